#pragma once

#include "geometry/shape.h"
#include "scheme/scheme.h"

#include <cstdint>
#include <functional>
#include <optional>
#include <string>
#include <vector>

namespace mezzet {

/// One of the things to be set out together; its outline is taken as its width and height.
struct GroupItem {
    int id = 0;
    Length width;
    Length height;
    std::optional<Vec2> pinned{}; ///< its centre, when it is to stay there; mm, y up

    bool operator==(const GroupItem&) const = default;
};

struct GroupAsk {
    GroupForm form = GroupForm::salon;
    Length gap = Length::inches(2); ///< between neighbours
    std::vector<GroupItem> items;
    /// The outline to keep within; for a salon also the one to fill. Without it a salon takes one
    /// half as wide again as it is high.
    std::optional<Vec2> within{};
    double slope = 0;               ///< stepped: how much each rises for its step to the right
    int answers = 4;                ///< how many clearly different ones are wanted
    std::uint32_t seed = 1;         ///< the same asked twice gives the same answers
    std::function<bool()> goesOn{}; ///< asked now and then; false stops with what there is
};

/// One way to set them out.
struct GroupAnswer {
    std::vector<Vec2> centres; ///< of the items, in order, about the outline's middle; mm, y up
    std::vector<int> leftOut;  ///< ids of those that found no place; their centres mean nothing
    Vec2 size;                 ///< of the outline, mm
    double fill = 0;           ///< share of the outline that is pictures
    double balance = 0;        ///< how far the weight is off the middle, over the half size; 0 best
    double seam = 0;           ///< the longest straight gutter over the outline's side; 0 best
    double cost = 0;           ///< what the solver made least: see costOf
};

/// What an arrangement costs; less is better. Empty outline, weight off the middle, the longest
/// straight gutter from side to side, an outline of other proportions than wanted or over it, empty
/// corners of a salon, large ones far out in a spiral. Overlaps are no answer at all.
[[nodiscard]] double costOf(const GroupAsk&, const GroupAnswer&);

/// Fills in what is measured of an arrangement: its outline, about whose middle its centres are
/// put, fill, balance, seam and cost.
void measure(const GroupAsk&, GroupAnswer&);

/// Sets things out in a form, best answer first, each clearly different from those before it. Rows,
/// columns and steps are ordered so that the weight balances; grids take the columns that fill
/// best; salons and spirals are packed by annealing over sequence pairs (Murata and others, 1996),
/// and round what is pinned by the order in which the rest finds its places. An empty list gives
/// none.
[[nodiscard]] std::vector<GroupAnswer> arrangeGroup(const GroupAsk&);

/// The packing a sequence pair means, at the gap, about nothing in particular: an item lies left of
/// another when it comes before it in both orders, and under it when only in the second.
[[nodiscard]] std::vector<Vec2> packedBy(const std::vector<int>& first,
                                         const std::vector<int>& second, const GroupAsk&);

/// How different two answers are: the mean way its things moved, over the outline's diagonal.
[[nodiscard]] double differenceOf(const GroupAnswer&, const GroupAnswer&);

/// Which of several sets of things make an outline nearest a wanted one: indices into `pool`, at
/// most `most` of them, and how they lie.
struct MatchingSet {
    std::vector<std::size_t> of; ///< indices of the pool
    GroupAnswer answer;          ///< of those, in that order
    double off = 0;              ///< the larger of the two sides' misses, over the wanted side
};
[[nodiscard]] std::optional<MatchingSet> setToMatch(const std::vector<GroupItem>& pool, Vec2 wanted,
                                                    Length gap, std::size_t most);

} // namespace mezzet
