#pragma once

#include "dress/score.h"
#include "edit/edit.h"

#include <functional>

namespace mezzet {

/// Asked now and then in long work; true stops it.
using StopsDressing = std::function<bool()>;

/// A way of dressing units from the stock.
struct DressAnswer {
    Edit edit;
    DressScore score;
};

struct DressWish {
    std::vector<int> units; ///< pieces with openings; all of them when empty. One without: its top
    int only = 0;           ///< an opening of the only unit that alone is dressed anew; 0 for all
    double accent = 0;      ///< from -1, calmer, to 1, more of the accent
    double most = 1;        ///< of the things that would fit, the share to be used at most
    unsigned seed = 1;
    int answers = 3;
};

/// Dresses units from the stock: which things, where, standing, lying or leaning. What is locked or
/// is none of the stock stays; what is of the stock and stands there is taken again. Best answer
/// first; the others differ in where a quarter of the things stand, at least. Worked out by
/// simulated annealing over how many of each kind stand in each opening (Kirkpatrick, Gelatt and
/// Vecchi, 1983), an opening being set out anew for each try. Problem: there is no unit with
/// openings, or no stock. The same answers each time for the same job.
[[nodiscard]] Result<std::vector<DressAnswer>>
dressUnits(const Project&, const Scene&, const DressWish&, const StopsDressing& stops = {});

/// Every way of dressing tried, for small cases: the best score. Only for tests and the like; more
/// than two million ways are refused.
[[nodiscard]] Result<double> bestOfAll(const Project&, const Scene&, const DressWish&);

/// What would still help: for openings that lack height, or any accent, or where nothing stands.
struct WantedThing {
    std::string kind;
    Size least;
    Size most;
    Rgb colour;
    std::string material; ///< empty where any will do
    SurfaceId where;
};
[[nodiscard]] std::vector<WantedThing> wantedFor(const Project&, const Scene&,
                                                 const std::vector<DressedSurface>&);
/// The same as things to buy, for the job's list: called by their colour, their kind and where they
/// would stand; a size in the middle of those that would do, and which those are as a note.
[[nodiscard]] std::vector<ListEntry> asEntries(const std::vector<WantedThing>&, const Project&);

} // namespace mezzet
