#pragma once

#include "project/project.h"

#include <optional>
#include <string>
#include <variant>
#include <vector>

namespace mezzet {

/// Adds a piece (id 0) or puts it in place of the one with its id.
struct PutPiece {
    Piece piece;
};
struct RemovePiece {
    int id = 0;
};
/// Takes new tape notes; what was tied to a wall that is gone keeps its place.
struct SetNotes {
    std::string notes;
};
/// Lays a drawing under the board; null takes it away.
struct SetUnderlay {
    UnderlayPtr underlay;
};
struct SetNotation {
    Notation notation;
};
/// For one rule, or for the whole job when `rule` is empty. `restore` forgets the rule's choice.
struct SetSchool {
    std::string school;
    std::string rule;
    bool restore = false;
};
struct SetBand {
    std::string rule;
    Band band;
};
/// A copy of the active scheme, or an empty one; it becomes the active one.
struct AddScheme {
    std::string name;
    bool copy = true;
};
struct SwitchScheme {
    std::size_t index = 0;
};
struct RenameScheme {
    std::string name;
};
/// Throws away the active scheme; the last one is never thrown away.
struct RemoveScheme {};
/// Judges for a wheelchair too, or no longer.
struct SetAccess {
    bool on = false;
};
/// How many the active room is to seat.
struct SetBrief {
    Brief brief;
};
/// A zone of the active scheme; one without pieces is taken away.
struct SetZone {
    Zone zone;
};
/// Furnishes the active scheme for every day, or for guests.
struct SetArrangement {
    Arrangement arrangement = Arrangement::day;
};
/// Takes a piece out of the arrangement shown, keeping it in the other; or brings it back.
struct PutAway {
    int id = 0;
    bool away = true;
};
/// Gets back a scheme that was thrown away.
struct RestoreScheme {
    std::size_t index = 0; ///< in Project::thrownAway
};
/// What is noted of the active scheme.
/// All readings of the scheme that are left as they are; see judge/accept.h.
struct SetAccepted {
    std::vector<Accepted> accepted;
};
struct SetSchemeNote {
    std::string note;
};
/// Who looks at what hangs; what is tied to eye level follows.
struct SetEyes {
    Eyes eyes;
};
/// Keeps a picture in the job, for frames; one of the same key is replaced.
struct PutPicture {
    std::string key;
    Picture picture;
};
/// Keeps a photometric file in the job; one of the same key is replaced.
struct PutPhotometry {
    std::string key;
    PhotometryFile file;
};
/// What is told of the active scheme's light: zones, scenes, reflectances.
struct SetLightPlan {
    LightPlan plan;
};
/// Colours and palette of the active scheme.
struct SetDressing {
    Dressing dressing;
};
/// The things that are at hand, all of them.
struct SetStock {
    Stock stock;
};
/// What is told of the job's handing over, all of it.
struct SetHandover {
    Handover handover;
};
struct SetTitle {
    std::string title;
    std::string client;
};

using Act = std::variant<PutPiece, RemovePiece, SetNotes, SetUnderlay, SetNotation, SetSchool,
                         SetBand, AddScheme, SwitchScheme, RenameScheme, RemoveScheme, SetTitle,
                         SetAccess, SetBrief, SetZone, SetArrangement, PutAway, RestoreScheme,
                         SetSchemeNote, SetEyes, PutPicture, SetAccepted, PutPhotometry,
                         SetLightPlan, SetDressing, SetStock, SetHandover>;

/// A change to a job, as data: tried without harm, applied, and undone by keeping the old job.
struct Edit {
    std::string words; ///< what it does, in a few words, for the undo menu
    std::vector<Act> acts;
    std::vector<std::string> notices; ///< what it lets go of, or adds unasked
};

struct Applied {
    ProjectPtr project;
    ScenePtr scene;                   ///< of its active scheme
    std::vector<std::string> notices; ///< the edit's, and what applying it let go of
};

/// The job after an edit. The places pieces came to are kept in them, so that what is free stays
/// put later. Problem, and no change: a loop of ties, an over-tied piece, a name that is not there
/// or is taken, notes that can't be read, a limit of the job file passed.
[[nodiscard]] Result<Applied> apply(const Project&, const Edit&);

/// The scene of the active scheme.
[[nodiscard]] Result<ScenePtr> sceneOf(const Project&);

/// How a placement came out: the piece with its new ties and whatever older ties still go with
/// them.
struct Retied {
    Piece piece;
    std::vector<std::string> letGo; ///< words of the older ties that had to give
};

/// Says `fresh` of a piece that has other ties already: new words win over old ones that fix the
/// same thing. Problem when the new ones clash among themselves or close a loop. A piece with id 0
/// is tried as a new one.
[[nodiscard]] Result<Retied> retied(const Project&, Piece piece, const std::vector<Tie>& fresh);

/// "8\" toward wall E", for a step on the floor of more than a hair.
[[nodiscard]] std::string stepWords(const Project&, Vec2 step);
/// "3\" right and 2\" up", for one on a wall.
[[nodiscard]] std::string wallStepWords(const Project&, Vec2 step);
/// How a piece has moved from one scene to another, as seen in the room: "8\" toward wall E", "3\"
/// up", "to wall C", "to top of Desk". Nothing when by no more than `least` mm.
[[nodiscard]] std::string movedWords(const Project&, const Scene& was, int id, const Scene& now,
                                     int nowId, double least = 0.05);

} // namespace mezzet
