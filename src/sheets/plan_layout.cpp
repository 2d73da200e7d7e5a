#include "sheets/plan_layout.h"
#include "measure/texts.h"
#include "sheets/tr.h"

#include "sheets/drawing.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet::sheets {

namespace {

constexpr double listWidth = 76; // mm

/// How much of the page the lists take: what they ask for, as little as tells something, nothing.
enum class Lists { whole, few, elsewhere };

/// `rows` is how many rows the longer of the two lists wants.
Layout layoutOf(const Paper& paper, bool across, int rows, Lists lists) {
    Layout l{paper, across, {}, {}, {}};
    const double w = l.width() - 2 * margin;
    const double h = l.height() - 2 * margin - titleHeight;
    if (lists == Lists::elsewhere) {
        l.drawing = {margin, margin, w, h};
    } else if (across) {
        l.drawing = {margin, margin, w - listWidth - 4, h};
        l.lists = {margin + w - listWidth, margin, listWidth, h};
    } else {
        const double high = lists == Lists::few
                                ? 34.0
                                : std::min({std::max(34.0, 8 + rows * rowHeight), 92.0, h * 0.36});
        l.drawing = {margin, margin, w, h - high - 4};
        l.lists = {margin, margin + h - high, w, high};
    }
    return l;
}

bool fits(const Layout& l, const Room& room) {
    const Vec2 size = room.bounds().size();
    const double k = 1 / l.scale.denominator;
    const double around = 2 * (aroundRoom + drawnWall.mm() * k);
    return size.x * k + around <= l.drawing.width() + 1e-6 &&
           size.y * k + around <= l.drawing.height() + 1e-6;
}

std::optional<Layout> fitting(const std::vector<Paper>& papers, const std::vector<Scale>& scales,
                              const Room& room, int rows, Lists lists = Lists::whole) {
    for (const Scale& s : scales) {
        for (const Paper& p : papers) {
            for (const bool across : {true, false}) {
                Layout l = layoutOf(p, across, rows, lists);
                l.scale = s;
                if (fits(l, room))
                    return l;
            }
        }
    }
    return {};
}

/// The lists never take the plan's place: they give way to it.
std::optional<Layout> fittingSomehow(const std::vector<Paper>& papers,
                                     const std::vector<Scale>& scales, const Room& room, int rows) {
    for (const Lists lists : {Lists::whole, Lists::few, Lists::elsewhere})
        if (auto l = fitting(papers, scales, room, rows, lists))
            return l;
    return {};
}

/// At the largest scale at all.
std::optional<Layout> fittingLargest(const std::vector<Paper>& papers, bool metric,
                                     const Room& room, int rows) {
    for (const Scale& s : usualScales(metric))
        if (auto l = fittingSomehow(papers, {s}, room, rows))
            return l;
    return {};
}

} // namespace

Result<Layout> chooseLayout(const Project& job, const SheetOptions& o, int rows) {
    const bool metric = isMetric(job.notation.units);
    const auto own = metric ? std::vector<Paper>{*paperNamed("a4"), *paperNamed("a3")}
                            : std::vector<Paper>{*paperNamed("letter"), *paperNamed("tabloid")};
    if (job.room->walls.empty())
        return Problem{"there is no room to print yet", "write its tape notes first"};
    if (o.paper && o.scale) {
        if (auto l = fittingSomehow({*o.paper}, {*o.scale}, *job.room, rows))
            return *l;
    } else if (o.paper) {
        if (auto l = fittingSomehow({*o.paper}, usualScales(metric), *job.room, rows))
            return *l;
    } else if (o.scale) {
        if (auto l = fittingSomehow(own, {*o.scale}, *job.room, rows))
            return *l;
    } else {
        // A sheet one can read: the smaller paper down to 1:50 or so, else the larger.
        const auto& scales = usualScales(metric);
        std::vector<Scale> readable;
        for (const auto& s : scales)
            if (s.denominator < 65)
                readable.push_back(s);
        for (const auto& p : own)
            if (auto l = fitting({p}, readable, *job.room, rows))
                return *l;
        if (auto l = fittingSomehow(own, scales, *job.room, rows))
            return *l;
    }
    std::string remedy = ("choose a smaller scale");
    const auto papers = o.paper ? std::vector<Paper>{*o.paper} : own;
    if (auto l = fittingLargest(papers, metric, *job.room, rows))
        remedy = worded("{} fits on {}", l->scale.words, l->paper.name);
    const Vec2 size = job.room->bounds().size();
    return Problem{worded("the room, {} by {}, doesn't fit{}{}",
                          write(Length::millimetres(size.x), job.notation),
                          write(Length::millimetres(size.y), job.notation),
                          o.paper ? " on " + o.paper->name : "",
                          o.scale ? " at " + o.scale->words : ""),
                   remedy};
}

} // namespace mezzet::sheets
