#pragma once

#include "scheme/resolve.h"

#include <vector>

namespace mezzet {

/// Something that leans against a wall, or against what leans behind it.
struct Leaning {
    int id = 0;
    Box box;                     ///< on the wall: along it, and up; mm
    double thick = 0;            ///< mm
    double foot = 0;             ///< from the wall's face to the front of its foot, mm
    double plane = 0;            ///< from the wall's face to the middle of its front, mm
    int onto = 0;                ///< the piece it stands on; 0 for the floor
    std::optional<double> board; ///< how far out that reaches from the wall, mm; none for the floor
};

/// How far out a foot stands, for each unit of height. Common practice: an inch to eight.
constexpr double usualLean = 0.125;

/// What leans on a wall, from the back to the front: as it was said to stand before another, and
/// of the rest the taller behind the lower that it overlaps. Each leans on the wall, or on the
/// foremost of what it stands before.
[[nodiscard]] std::vector<Leaning> leaningOn(const WallsView&, int wall, double lean = usualLean);

/// How far along a wall something may stand before what leans there, so that about a quarter of
/// that is hidden; at most as far as it is wide. mm; common practice: a third is the most.
[[nodiscard]] double standsOver(const Box& behind, double wide, double high);

/// The share of one's front that others before it hide from an eye, told as along the wall, up, and
/// out from its face, mm: their outlines thrown on its front and laid together.
[[nodiscard]] double hiddenShare(const Leaning&, const std::vector<Leaning>& before, Vec3 eye);

} // namespace mezzet
