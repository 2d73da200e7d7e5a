#pragma once

#include "hang/group_solver.h"

#include <random>
#include <utility>
#include <vector>

namespace mezzet {

// What the files of the group solver share.

/// The gutter's part of the cost.
inline constexpr double seamWeighs = 0.3;

/// Outlines where they lie, a place an item that hangs; kept and filled anew, so that trying many
/// ways allocates nothing.
struct Boxes {
    std::vector<double> left, right, low, high;
    std::vector<std::size_t> inOrder; ///< longestGutter's own

    void clear() {
        for (auto* v : {&left, &right, &low, &high})
            v->clear();
    }
    void add(Vec2 centre, const GroupItem& item) {
        const double w = item.width.mm() / 2;
        const double h = item.height.mm() / 2;
        left.push_back(centre.x - w);
        right.push_back(centre.x + w);
        low.push_back(centre.y - h);
        high.push_back(centre.y + h);
    }
    [[nodiscard]] std::size_t size() const { return left.size(); }
};

/// What is measured of them.
struct Measures {
    Vec2 middle;
    Vec2 size;
    double fill = 0;
    double balance = 0;
};

[[nodiscard]] bool leftOut(const GroupAnswer&, int id);
[[nodiscard]] Boxes boxesOf(const GroupAsk&, const GroupAnswer&);
[[nodiscard]] Measures measuresOf(const Boxes&);
/// The longest straight gutter over the outline's side, 1 at most; 0 for fewer than three. Where it
/// is over `most`, any value over that.
[[nodiscard]] double seamOf(Boxes&, Vec2 size, double most = 2);
/// The outline asked for; else one half as wide again as high that all would just fill.
[[nodiscard]] Vec2 wantedSize(const GroupAsk&);
/// Forms that are packed, and not set in lines.
[[nodiscard]] bool isFree(GroupForm);
/// What an arrangement of that outline costs at least; `area`, of the things together, mm2.
[[nodiscard]] double leastCost(const GroupAsk&, Vec2 size, double area, Vec2 wanted);
/// All of the cost but the gutter, which takes longest to find.
[[nodiscard]] double costWithoutSeam(const GroupAsk&, const Boxes&, const Measures&, Vec2 wanted,
                                     std::size_t leftOut);

using Random = std::mt19937;
[[nodiscard]] inline double unitOf(Random& r) {
    return static_cast<double>(r()) / static_cast<double>(Random::max());
}
[[nodiscard]] GroupAnswer answerOf(const GroupAsk&, std::vector<Vec2> centres);

// Each form's answers, in no order.
[[nodiscard]] std::vector<GroupAnswer> inLines(const GroupAsk&);
[[nodiscard]] std::vector<GroupAnswer> inGrids(const GroupAsk&);
[[nodiscard]] std::vector<GroupAnswer> mirroredOver(const GroupAsk&);
[[nodiscard]] std::vector<GroupAnswer> annealed(const GroupAsk&);
/// Round what is pinned, by the order in which the rest finds its places.
[[nodiscard]] std::vector<GroupAnswer> byOrder(const GroupAsk&);

} // namespace mezzet
