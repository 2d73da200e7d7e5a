#pragma once

#include "project/project.h"
#include "solid/vec3.h"

namespace mezzet {

/// A light of a scene where it shines.
struct Lamp {
    int piece = 0; ///< its id
    Vec3 at; ///< its photometric centre, mm: recessed in the ceiling's plane, else in its body
    Vec3 x;  ///< unit, along H 0 of its distribution
    Vec3 y;  ///< unit, along H 90
    Vec3 z;  ///< unit, its aim: along V 0
    PhotometryPtr shines;
    double factor = 1; ///< candela of `shines` times this, as it is turned up
    double lumens = 0; ///< that it gives, as it is turned up
    double watts = 0;  ///< full on
    double drop = 0;   ///< from the ceiling there to its lowest point, mm; under a ceiling only
    double length = 0; ///< of its luminous opening along x, mm
    double width = 0;  ///< along y
    bool round = false;
    std::string zone; ///< empty for none
};

/// How far a light is turned up: in a scene as its zone is, what is in no zone of it not at all;
/// without a scene full on.
[[nodiscard]] double levelOf(const LightPlan&, const LightScene*, int light);

/// Every light of the scene, turned up as a light scene has it; null for full on.
[[nodiscard]] std::vector<Lamp> lampsOf(const Project&, const Scene&, const LightScene* = nullptr);

/// How a light shines, and with how much light and power, full on: its file's, its kind's, or as
/// told.
struct Shining {
    PhotometryPtr shines;
    double factor = 1;
    double lumens = 0;
    double watts = 0;
};
[[nodiscard]] Shining shiningOf(const Project&, const Piece&);

/// From a ceiling to the lowest point of what hangs there, mm; nothing for what is let into it.
[[nodiscard]] Length dropOf(const Piece&, const Placed&);

/// The cord of what hangs, from where its wire comes out of the ceiling to its top. One that is led
/// aside to a hook hangs between in a shallow curve, an eighth of its span deep, as long as a
/// parabola's arc is (handbooks of mathematics).
[[nodiscard]] Length cordOf(const Piece&, const Placed&);

} // namespace mezzet
