// Seats and the low tables before them: seat-to-table, table-level, table-to-sofa.
#include "geometry/gap.h"
#include "judge/at_table.h"
#include "judge/near.h"
#include "judge/rule_code.h"

#include <algorithm>
#include <array>
#include <map>

namespace mezzet {

namespace {

struct FacedTable {
    std::size_t seat = 0; ///< index in the scene
    std::size_t table = 0;
    Gap gap; ///< from the seat's front edge to the table
};

/// The low table a seat faces: the nearest one within reach whose middle lies before its front edge
/// and no farther round than the rule's angle.
std::optional<FacedTable> tableBefore(const FloorView& scene, std::size_t seat,
                                      const Rule& reachRule, Near& lowTables) {
    const Piece& s = scene.piece(seat);
    const Pose& pose = scene.placed[seat].pose;
    const auto edge = frontEdge(s, pose);
    const Shape front = stretch(edge);
    const Vec2 middle = (edge.from + edge.to) / 2;
    const double aside = std::cos(Angle::degrees(reachRule.number("facing degrees")).inRadians());
    const Length reach = reachRule.setting("reach");
    std::optional<FacedTable> best;
    for (const std::size_t i : lowTables.to(front, reach)) {
        const Vec2 to = scene.placed[i].pose.at - middle;
        if (dot(to, pose.front()) <= 0 ||
            dot(unit(scene.placed[i].pose.at - pose.at), pose.front()) < aside)
            continue;
        const Gap g = gapBetween(front, scene.placed[i].shape);
        if (g.apart > reach || (best && g.clear() >= best->gap.clear()))
            continue;
        best = FacedTable{seat, i, g};
    }
    return best;
}

/// What it is to face a table is told once, by the first of the three rules.
const Rule& reachRule(const FloorContext& c) {
    const Rule* r = c.book.byId("seat-to-table");
    return r != nullptr ? *r : c.rule;
}

/// A corner sofa's return is sat on too: the gap from its inner edge, for a table beside it.
void judgeReturn(const FloorContext& c, std::size_t seat, std::size_t table) {
    const Piece& s = c.scene.piece(seat);
    if (s.footprint.form != FootprintForm::ell)
        return;
    const Pose& pose = c.scene.placed[seat].pose;
    const double w = s.size.width.mm() / 2;
    const double d = s.size.depth.mm() / 2;
    const double inner = w - s.footprint.armWidth.mm();
    const double x = s.footprint.armOnRight ? inner : -inner;
    const Shape edge =
        stretch({pose.toRoom({x, -d + s.footprint.bodyDepth.mm()}), pose.toRoom({x, d})});
    const Vec2 at = pose.toLocal(c.scene.placed[table].pose.at);
    if (s.footprint.armOnRight ? at.x >= x : at.x <= x)
        return;
    const Gap g = gapBetween(edge, c.scene.placed[table].shape);
    if (g.apart > reachRule(c).setting("reach"))
        return;
    c.add(c.scene.placed[table].id, pieceTarget(s.id), Amount::of(g.clear()), g.onFirst, g.onSecond)
        .part = 1;
}

bool isLowTable(const Piece& p) {
    return p.kind->role == Role::lowTable;
}

void judgeGap(const FloorContext& c) {
    Near lowTables(c.scene, isLowTable);
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        if (!isLounge(c.scene.piece(i)))
            continue;
        const auto t = tableBefore(c.scene, i, reachRule(c), lowTables);
        if (!t)
            continue;
        c.add(c.scene.placed[t->table].id, pieceTarget(c.scene.placed[i].id),
              Amount::of(t->gap.clear()), t->gap.onFirst, t->gap.onSecond);
        judgeReturn(c, i, t->table);
    }
}

/// The longest seat before each low table.
template <class Each> void mainSeats(const FloorContext& c, Each each) {
    const Rule& reach = reachRule(c);
    std::map<std::size_t, FacedTable> longest; // by table
    Near lowTables(c.scene, isLowTable);
    for (std::size_t s = 0; s < c.scene.placed.size(); ++s) {
        if (!isLounge(c.scene.piece(s)))
            continue;
        const auto faced = tableBefore(c.scene, s, reach, lowTables);
        if (!faced)
            continue;
        const auto [it, first] = longest.emplace(faced->table, *faced);
        if (!first && c.scene.piece(s).size.width > c.scene.piece(it->second.seat).size.width)
            it->second = *faced;
    }
    for (const auto& [table, seat] : longest)
        each(seat);
}

void judgeLevel(const FloorContext& c) {
    mainSeats(c, [&](const FacedTable& f) {
        const Piece& seat = c.scene.piece(f.seat);
        const Piece& table = c.scene.piece(f.table);
        if (!seat.heights.seat)
            return;
        Reading& r =
            c.add(table.id, pieceTarget(seat.id), Amount::of(table.top() - *seat.heights.seat),
                  f.gap.onFirst, f.gap.onSecond);
        if (!r.toMend() && table.top() > *seat.heights.seat + quiet)
            r.instead = "over";
    });
}

void judgeLength(const FloorContext& c) {
    mainSeats(c, [&](const FacedTable& f) {
        const Piece& seat = c.scene.piece(f.seat);
        const Piece& table = c.scene.piece(f.table);
        if (seat.kind->role != Role::sofa)
            return;
        const bool wide = table.size.width >= table.size.depth;
        const Length length = wide ? table.size.width : table.size.depth;
        const Pose& pose = c.scene.placed[f.table].pose;
        const Vec2 half = (wide ? pose.right() : pose.front()) * (length.mm() / 2);
        c.add(table.id, pieceTarget(seat.id), Amount::ratio(length / seat.size.width),
              pose.at - half, pose.at + half);
    });
}

std::vector<Handle> gapHandles(const Reading& r, double target, const Project& job,
                               const Scene& scene) {
    const double by = target - r.value.value;
    const int seat = r.other.piece;
    auto out = retape(job, scene, r.piece, seat, by);
    if (out.empty()) {
        Tie t;
        t.kind = Tie::Kind::fromPiece;
        t.of = r.other;
        out.push_back(tieAt(job, scene, r.piece, t, target));
    }
    out.push_back(moveAway(job, scene, r.piece, r.other, by));
    out.push_back(moveAway(job, scene, seat, pieceTarget(r.piece), by));
    return out;
}

std::vector<Handle> levelHandles(const Reading& r, double target, const Project& job,
                                 const Scene& scene) {
    const Piece& table = *job.scheme().byId(r.piece);
    const double by = target - r.value.value;
    return {resize(job, scene, r.piece, SizeFigure::height, table.size.height.mm() + by, 1)};
}

std::vector<Handle> lengthHandles(const Reading& r, double target, const Project& job,
                                  const Scene& scene) {
    const Piece& table = *job.scheme().byId(r.piece);
    const Piece& sofa = *job.scheme().byId(r.other.piece);
    const bool wide = table.size.width >= table.size.depth;
    const double sofaLength = sofa.size.width.mm();
    return {resize(job, scene, r.piece, wide ? SizeFigure::width : SizeFigure::depth,
                   target * sofaLength, 1 / sofaLength)};
}

constexpr std::array<RuleCode, 3> seatingCodes{{{"seat-to-table", judgeGap, gapHandles},
                                                {"table-level", judgeLevel, levelHandles},
                                                {"table-to-sofa", judgeLength, lengthHandles}}};

} // namespace

std::span<const RuleCode> seatingRules() {
    return seatingCodes;
}

} // namespace mezzet
