#pragma once

#include "judge/remedy.h"

#include <filesystem>
#include <string>
#include <vector>

namespace mezzet::cli {

/// What a command ends with: 0 when it ran, 2 for wrong usage, 3 for bad input.
enum Exit { ran = 0, wrongUsage = 2, badInput = 3 };

/// `headroomAt`, when it has two lengths, is a place on the first room's floor.
int survey(const std::string& notes, bool asJson, const std::vector<std::string>& headroomAt);
int build(const std::string& notes, const std::string& lines, const std::string& out);
int say(const std::string& job, const std::vector<std::string>& lines);
// `room` names one of the job's rooms; empty for the one it was left in.
int scene(const std::string& job, const std::string& room, bool asJson);
int check(const std::string& path, const std::string& room, const std::string& school,
          double seconds, bool asJson);

struct SheetCommand {
    std::string job;
    std::string room;
    std::string which; ///< by its id in sheets/sheet.h
    std::string out;
    std::string paper = "fit";
    std::string scale = "fit";
    std::string wall;    ///< a letter
    std::string of;      ///< one piece or group
    std::string roll;    ///< a roll's width
    bool client = false; ///< leaves off what is to mend
};
int sheet(const SheetCommand&);
/// Puts a PNG or JPEG in a piece's frame, with a copy of it in the job.
int picture(const std::string& job, const std::string& piece, const std::string& file);
/// Several pictures, ranked by how they answer the room; with `piece` the best goes in that frame.
int pictures(const std::string& job, const std::string& room, const std::vector<std::string>& files,
             const std::string& piece, bool asJson);
/// Hook points, what mirrors show and how shelves hold; of one wall when `wall` names it.
int hang(const std::string& job, const std::string& room, const std::string& wall, bool asJson);

/// A question about what fits, as fits/ask.h reads it.
int fit(const std::string& job, const std::string& room, const std::string& question, bool asJson);
int schemes(const std::string& job, const std::string& room, bool asJson);
/// Zones, talk, views, ways, room in use and balance, as JSON.
int floorFacts(const std::string& job, const std::string& room);
/// `read` is a CSV of own kinds to take in, `write` one to write; both may be empty.
int kitCommand(const std::string& read, const std::string& write, bool metric, bool ownOnly);
int rules(bool metric);
int phrases();

struct LightCommand {
    std::string job;
    std::string room;
    std::string scene;  ///< a light scene; empty for all lights full on
    std::string at;     ///< X,Y,Z in mm
    std::string facing; ///< a direction; up when empty
    std::string grid;   ///< a step
    std::string height; ///< of the grid over the floor
    bool directOnly = false;
    bool asJson = false;
};
/// The light at what is done, at a point, or on a grid.
int light(const LightCommand&);
/// What a photometric file says; `at` is V,H in degrees, or empty.
/// `curve` is a file its polar curve is drawn to, or empty.
int photometry(const std::string& file, const std::string& at, const std::string& curve,
               bool asJson);

/// The difference of two colours (CIEDE2000).
int colour(const std::string& one, const std::string& two);
/// The dominant colours of a picture.
int colours(const std::string& file, int most, bool asJson);
/// `read` is a CSV of things to take into the stock, `write` one to write; the stock itself with
/// neither.
struct StockCommand {
    std::string job;
    std::string read;  ///< a CSV of things to add
    std::string write; ///< a CSV to write
    bool metric = false;
    bool fromStudio = false; ///< adds what the studio has
    bool toStudio = false;   ///< adds it to what the studio has
};
int stock(const StockCommand&);

struct DressCommand {
    std::string job;
    std::string room;
    std::string of; ///< a piece; everything when empty
    bool solve = false;
    bool keep = false; ///< the answer is written to the job
    bool list = false; ///< put what is wanted on the list
    int answer = 1;
    bool asJson = false;
};
/// What stands on shelves and tables, or would, dressed from the stock.
int dress(const DressCommand&);

struct CutCommand {
    std::vector<std::string> cuts; ///< "9' x 12'", across and along the pile
    std::vector<std::string> rolls;
    std::string allowance;
    std::string repeat;
    std::string drop;
    bool seams = false;
    bool asJson = false;
};
/// Lays cuts out on a roll.
int cut(const CutCommand&);

struct RunnerCommand {
    std::string riser;
    std::string going;
    std::string nosing;
    std::string width;
    std::string pile;
    std::vector<std::string> landings;
    int count = 0;
    int turns = 0;
    bool capped = false;
    bool asJson = false;
};
/// Measures a runner up a stair.
int runner(const RunnerCommand&);

struct RugsCommand {
    std::string job;
    std::string room;
    std::vector<std::string> rolls;
    std::string allowance;
    bool asJson = false;
};
/// Every rug of a scheme: its outline, its edges, what stands on it; and how they are cut.
int rugs(const RugsCommand&);

struct TraceCommand {
    std::string file; ///< a .dxf, or the steps of a tracing
    std::string out;
    std::string units; ///< of the notes
    std::string unit;  ///< of the drawing
    std::string room;
    std::vector<std::string> walls;
    std::vector<std::string> windows;
    std::vector<std::string> doors;
    std::vector<double> inside; ///< x and y in the drawing's own units, y up
    bool listLayers = false;
};
int trace(const TraceCommand&);
int exportDxf(const std::string& job, const std::string& room, const std::string& out);
int measuringSheet(const std::string& notes, bool metric, const std::string& out);
int listen(const std::string& socket, int count, const std::string& log);

struct ListCommand {
    std::string job;
    std::string read; ///< a CSV to take in; may be empty
    bool asCsv = false;
    bool asJson = false;
};
/// What is had and bought, and what it comes to.
int list(const ListCommand&);

struct OrderCommand {
    std::string job;
    std::string from; ///< a day; empty for the one told, or next Monday
    std::string read; ///< iCalendar or CSV to take changes from
    bool asIcs = false;
    bool asCsv = false;
    bool asJson = false;
};
/// The tasks with their days.
int order(const OrderCommand&);
/// How the floor is marked with tape.
int tapeOutCommand(const std::string& job, const std::string& room, bool asJson);

struct BoardsCommand {
    std::vector<std::string> boards;
    std::string stock;
    std::string kerf;
    bool turn = false;
    bool asJson = false;
};
/// Cuts boards out of stock with the least waste.
int boards(const BoardsCommand&);

struct AsBuiltCommand {
    std::string job;
    std::string room;
    std::vector<std::string> said;
    bool sure = false;
    bool take = false;
    bool asJson = false;
};
/// Holds what was measured against what was planned, and keeps it.
int asBuilt(const AsBuiltCommand&);

struct BookCommand {
    std::string job;
    std::string reader; ///< empty for oneself
    std::string paper;  ///< empty for what was asked for last, else the job's own
    std::string scale;  ///< empty for what was asked for last, else the largest that fits
    std::string out;
    std::vector<std::string> without; ///< ids of sheets
};
/// The whole set of sheets as one PDF.
int book(const BookCommand&);
/// The shopping card.
int card(const std::string& job, const std::string& room, const std::string& out);

} // namespace mezzet::cli
