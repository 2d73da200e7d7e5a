#pragma once

#include "geometry/shape.h"
#include "measure/notation.h"
#include "measure/result.h"

#include <functional>
#include <string>
#include <vector>

namespace mezzet {

/// mm: what is narrower or shorter than this is nothing, in laying out.
constexpr double hair = 1e-6;

/// Something to be cut off a roll. Its own frame has x across the roll from its left and y along
/// the pile from where the roll begins; mm.
struct RollCut {
    std::string name;
    Length across;
    Length along;
    /// Its outline in its own frame, within 0..across and 0..along; empty for the whole rectangle.
    std::vector<Vec2> outline{};
    /// Stretches across it (x from, to) where a seam would be walked on, at some places along it:
    /// doorways and the middles of ways. A seam keeps out of them where it can.
    std::vector<Box> noSeam{};
    /// Places along it at which it is cut anyway, lowest first; they are no seams.
    std::vector<Length> ends{};
};

/// How it is to be cut.
struct RollAsk {
    Length width;       ///< of the roll
    Length allowance;   ///< more at each of a piece's four edges, seams too
    bool seams = false; ///< what is wider than the roll may be made of several lengths
    Length repeat{};    ///< of the pattern along the roll; nothing for a plain one
    Length drop{};      ///< how far the pattern is shifted from one length to the next
    Notation shown{};   ///< how lengths are written where something is refused
    std::function<bool(double)> goesOn{}; ///< told the share done (0 to 1); false stops
};

/// One length cut off, where it lies on the roll.
struct RollPart {
    std::size_t cut = 0; ///< index of what it belongs to
    int part = 1;        ///< counted from 1, from its left, and then along it
    Vec2 at;   ///< mm: its corner nearest the roll's left edge and start, across and along
    Vec2 size; ///< mm, across and along, the allowance in it
    Box own;   ///< mm: what of the finished piece it is, in the cut's own frame
};

/// Where two lengths of one piece meet, in the cut's own frame; mm.
struct RollSeam {
    std::size_t cut = 0;
    Vec2 from;
    Vec2 to;
    bool walkedOn = false; ///< it crosses a doorway or the middle of a way
    [[nodiscard]] Length length() const { return distance(from, to); }
};

/// What is ordered, and how it is cut.
struct RollPlan {
    Length width;
    Length length;   ///< to order
    double area = 0; ///< of the finished pieces, mm²
    std::vector<RollPart> parts;
    std::vector<RollSeam> seams;
    bool stopped = false; ///< the best found until it was stopped
    /// 1 less the finished area over the roll's.
    [[nodiscard]] double waste() const;
};

/// Limits, stated in docs/limits.md.
inline constexpr std::size_t mostCuts = 200;

/// Lays cuts out on a roll so that the fewest seams are made and then the least length is used. The
/// pile runs one way in all of them, so none is turned. With up to seven lengths every layout that
/// stands on another or on the roll's start is looked through by branch and bound; with more,
/// orders of them are improved by annealing over a skyline, from a fixed seed. Deterministic.
/// Problem: none or too many cuts, a size of nothing, a roll with no width, an allowance below
/// nothing or that leaves nothing of the roll, a pattern repeat below nothing, a cut wider than the
/// roll where no seam is allowed.
[[nodiscard]] Result<RollPlan> layOnRoll(const std::vector<RollCut>&, const RollAsk&);

/// The same on several rolls: those that can take the cuts, least waste first. Problem: none can.
[[nodiscard]] Result<std::vector<RollPlan>> layOnRolls(const std::vector<RollCut>&, RollAsk,
                                                       const std::vector<Length>& widths);

/// No layout is shorter: the finished lengths' areas over the width, those that can't lie side by
/// side one after the other, the longest of them. mm.
[[nodiscard]] double leastRollLength(const std::vector<Vec2>& sizes, double width);

/// Packs rectangles of fixed turn into a strip; what layOnRoll does with the lengths. `set` names
/// those whose pattern must match, by the first of them (-1 for none), `step` their place in it.
struct StripItem {
    Vec2 size; ///< mm, across and along
    int set = -1;
    int step = 0;
};
struct StripPacking {
    std::vector<Vec2> at; ///< mm, a place for each item
    double length = 0;    ///< mm
    bool stopped = false;
};
[[nodiscard]] StripPacking packStrip(const std::vector<StripItem>&, double width, double repeat = 0,
                                     double drop = 0,
                                     const std::function<bool(double)>& goesOn = {});

} // namespace mezzet
