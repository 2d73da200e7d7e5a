#pragma once

#include "files/whole_file.h"
#include "hang/stock.h"
#include "photometry/photometry.h"
#include "photometry/task_levels.h"
#include "rugs/rug_book.h"
#include "rules/rule_book.h"
#include "scheme/resolve.h"
#include "scheme/rug.h"
#include "things/stock.h"
#include "work/handover.h"
#include "work/work_book.h"

#include <filesystem>
#include <map>
#include <memory>
#include <string>
#include <vector>

namespace mezzet {

/// How fixtures shine, by the name a kind has for it.
using Shines = std::map<std::string, PhotometryPtr, std::less<>>;

/// What the program ships: its kit and its rule book.
struct Library {
    KitPtr kit;
    RuleBookPtr book;
    std::optional<Judgement> studio{};      ///< the school and bands a studio begins its jobs with
    std::vector<StockSize> stock{};         ///< sizes pictures come in
    RugBookPtr rugs{};                      ///< rolls, edges, pads and materials
    std::shared_ptr<const Shines> shines{}; ///< how kinds of lights shine, by the names they use
    std::shared_ptr<const TaskLevels> tasks{}; ///< how much light what is done wants
    std::shared_ptr<const WorkBook> work{};    ///< what is done in a room, and after what

    /// The kit and the book as one unit system has them.
    struct Edition {
        KitPtr kit{};
        RuleBookPtr book{};
    };
    Edition inches{}; ///< both of them; `kit` and `book` are those of one, see inUnits
    Edition metric{};
};

/// The library as a job in such units has it: kinds and figures in inches, or in the trade's own
/// metric. The same kit and book each time, so that pieces of it stay of it.
[[nodiscard]] Library inUnits(const Library&, Units);

/// Reads kit/, rules/book.json and walls/ of a data folder.
[[nodiscard]] Result<Library> loadLibrary(const std::filesystem::path& data);

/// What a studio keeps for itself: kinds of its own, and the school and bands its jobs begin with.
/// Two plain files in a folder: kinds.json, a kit file; bands.json, with the fields “school” and
/// “rules” of a job. Either may be missing. Problem: as the files' readers.
[[nodiscard]] Result<Library> withStudio(const Library&, const std::filesystem::path& folder);
/// The languages there are: English and each of data/texts, by two letters.
[[nodiscard]] std::vector<std::string> languages();

/// Speaks the language asked for: the texts that $MEZZET_TEXTS names, or $MEZZET_LANGUAGE, or the
/// one chosen (two letters; empty for none), or the locale's, where data/texts has it; with the
/// decimal mark of that language, or else of the locale. Said once, at the start.
/// Problem: the file can't be read; then it is English.
[[nodiscard]] std::optional<Problem> speakAsAsked(const std::string& chosen = {});
/// The same, but what can't be read is told and set aside under another name, so that it is never
/// the end of anything else: the library comes without it.
[[nodiscard]] Library withWholeStudio(const Library&, const std::filesystem::path& folder,
                                      std::vector<std::string>& told);
[[nodiscard]] Result<std::monostate> keepStudioKinds(const Library&, const std::filesystem::path&);
/// The library with these among the studio's own kinds; one with the id of an own kind takes its
/// place. `data` is the data folder, for the shipped kit.
[[nodiscard]] Result<Library> withOwnKinds(const Library&, const std::vector<Kind>&,
                                           const std::filesystem::path& data);
[[nodiscard]] Result<std::monostate> keepStudioBands(const Judgement&,
                                                     const std::filesystem::path&);
/// What the studio has at hand whatever the job: stock.csv of its folder; nothing where there is
/// none. Problem: as stockFromCsv's.
[[nodiscard]] Result<Stock> studioStock(const Kit&, const std::filesystem::path& folder);
/// Adds to it; a name that is there is replaced. Problem: what is there can't be read, or written.
[[nodiscard]] Result<std::monostate> keepStudioStock(const Stock&, const Kit&,
                                                     const std::filesystem::path& folder);
/// $MEZZET_STUDIO, else studio/ in the user's data folder.
[[nodiscard]] std::filesystem::path studioFolder();

/// A drawing laid under the board: where a room was traced from.
struct Underlay {
    std::string picture;  ///< PNG or JPEG, base64
    std::size_t room = 0; ///< under which room
    Vec2 at;              ///< the picture's upper left corner in the room, mm
    Angle turn;           ///< of the picture in the room
    double mmPerPixel = 1;

    bool operator==(const Underlay&) const = default;
};
using UnderlayPtr = std::shared_ptr<const Underlay>;
inline constexpr std::size_t mostUnderlayBytes = 8 * 1024 * 1024;

/// A picture for a frame: a copy, and where it came from.
struct Picture {
    std::string name;   ///< its file's name
    std::string source; ///< the file it was taken from, as the user gave it
    std::string bytes;  ///< PNG or JPEG, base64
    int width = 0;      ///< pixels
    int height = 0;

    bool operator==(const Picture&) const = default;
};
using Pictures = std::map<std::string, Picture, std::less<>>;

/// A photometric file: a copy of its text, and what it says.
struct PhotometryFile {
    std::string name; ///< its file's name
    std::string text;
    PhotometryPtr shines;

    bool operator==(const PhotometryFile& o) const { return name == o.name && text == o.text; }
};
using PhotometryFiles = std::map<std::string, PhotometryFile, std::less<>>;

/// How a sheet was asked for last, to be offered again.
struct PrintChoice {
    std::string paper;                  ///< "A4"; empty for the job's own
    std::string scale;                  ///< "1:50"; empty for the largest that fits
    std::string file;                   ///< "pdf"; empty for that
    bool mends = true;                  ///< tells what is to mend
    std::vector<std::string> leftOut{}; ///< of a book: ids of the sheets that are not in it

    bool operator==(const PrintChoice&) const = default;
};

/// One job: its measured rooms and their schemes. A value; every change makes a new one.
struct Project {
    std::string title = "Untitled job";
    std::string client;
    std::string notes;          ///< the tape notes, as typed; the room is built from them
    std::vector<RoomPtr> rooms; ///< as the notes have them; at least one
    RoomPtr room;               ///< the one of the active scheme
    Notation notation;
    Judgement judgement;
    std::vector<SchemePtr> schemes; ///< at least one for every room
    std::size_t active = 0;
    std::vector<SchemePtr> thrownAway;                     ///< newest last; they can be got back
    UnderlayPtr underlay;                                  ///< null for none
    std::shared_ptr<const Pictures> pictures;              ///< by key; null for none
    std::shared_ptr<const PhotometryFiles> photometries{}; ///< by key; null for none
    std::shared_ptr<const Stock> stock{};                  ///< things at hand; null for none
    std::shared_ptr<const Handover> handover{};            ///< null for nothing told
    Library library;
    /// By the sheet's id; a book's by bookKey().
    std::map<std::string, PrintChoice, std::less<>> prints{};
    std::string extra;     ///< fields of the job file this version doesn't know, as JSON
    std::string roomExtra; ///< the same of its rooms

    [[nodiscard]] const Scheme& scheme() const { return *schemes[active]; }
    /// The schemes of the active room, as places in `schemes`.
    [[nodiscard]] std::vector<std::size_t> schemesHere() const;
    [[nodiscard]] const RoomPtr& roomOf(std::size_t index) const {
        return rooms[schemes[index]->room];
    }
    /// Makes a scheme the active one, and its room the room.
    void activate(std::size_t index) {
        active = index;
        room = roomOf(index);
    }
    [[nodiscard]] Wording wording() const { return {*room, scheme(), notation}; }
};

using ProjectPtr = std::shared_ptr<const Project>;

/// Gives a job a library, in its own units; its pieces are of the kinds there, at the sizes they
/// have.
void useLibrary(Project&, const Library&);

/// A new job with one empty scheme. The units and their bare meaning come from the notes.
/// Problem: as the notes'.
[[nodiscard]] Result<ProjectPtr> newProject(const Library&, std::string_view notes,
                                            std::string_view file = {});

/// Limits of a job file, stated in docs/job-file.md.
inline constexpr std::size_t mostJobBytes = 64 * 1024 * 1024;
inline constexpr std::size_t mostPieces = 2000;
inline constexpr int mostId = 1 << 30;     ///< the highest number a piece has
inline constexpr std::size_t mostTies = 8; ///< of one piece
inline constexpr std::size_t mostSchemes = 100;
inline constexpr std::size_t mostNameLength = 80;
inline constexpr std::size_t mostThrownAway = 20; ///< the oldest goes for good
inline constexpr std::size_t mostZones = 60;
inline constexpr std::size_t mostPictures = 200;
inline constexpr std::size_t mostPictureBytes = 1024 * 1024; ///< of one, base64
inline constexpr std::size_t mostPhotometries = 60;
inline constexpr std::size_t mostPhotometryText = 256 * 1024; ///< of one
inline constexpr std::size_t mostLightZones = 60;
inline constexpr std::size_t mostLightScenes = 60;
inline constexpr std::size_t mostStatures = 20;
inline constexpr std::size_t mostPrintChoices = 40;
inline constexpr std::size_t mostLeftOut = 60;    ///< sheets of a book
inline constexpr std::size_t mostAccepted = 2000; ///< readings left as they are, in a scheme
inline constexpr std::size_t mostRugCorners = mostOutlineCorners;
inline constexpr std::size_t mostRugParts = 60; ///< of a rug's fit: own distances, ends
inline constexpr std::size_t mostRows = 50;     ///< of openings in a unit
inline constexpr std::size_t mostFamilies = 4;  ///< of colours that are wanted
inline constexpr std::size_t mostHeld = 60;     ///< kinds of things a box is to hold
inline constexpr std::size_t mostReason = 2000; ///< characters of a reason or a scheme's note

/// A school and bands by themselves, with a job's fields “school” and “rules”.
[[nodiscard]] std::string bandsText(const Judgement&);
[[nodiscard]] Result<Judgement> readBands(std::string_view text, std::string_view file,
                                          const RuleBook&);

/// The job as the text of its file; docs/job-file.md tells its form.
[[nodiscard]] std::string jobText(const Project&);

/// Reads a job file's text. Problem: damaged, another format or version, over a limit, or naming
/// what is not there; nothing half-read is ever returned.
[[nodiscard]] Result<ProjectPtr> readJob(std::string_view text, std::string_view file,
                                         const Library&);
[[nodiscard]] Result<ProjectPtr> openJob(const std::filesystem::path&, const Library&);

/// Writes the job as a whole file (see files/whole_file.h).
[[nodiscard]] Result<std::monostate> saveJob(const Project&, const std::filesystem::path&);

} // namespace mezzet
