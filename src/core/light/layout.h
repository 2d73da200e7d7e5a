#pragma once

#include "light/tasks.h"

namespace mezzet {

/// A light that a layout would hang.
struct LaidLight {
    std::string kind; ///< its id
    Vec2 at;          ///< on the floor under it, mm
    int aim = 0;      ///< a piece it is turned to; 0 for straight down
    int task = 0;     ///< the piece it is for; 0 for the room at large
};

/// A way of lighting a room, with what it comes to.
struct LightLayout {
    std::vector<LaidLight> lights;
    int rows = 0; ///< of an even one, along the room's second side, and its columns
    int columns = 0;
    double floorEach = 0; ///< mm² of floor to each
    double mean = 0;      ///< lux straight on the floor
    double evenness = 0;  ///< the least over the mean
    int onHeads = 0;      ///< lights right over a seat
    Length edge;          ///< of its first lines from the walls, the least
};

/// What an even layout goes by; the rule book's figures.
struct EvenAsk {
    std::string kind = "recessed-light";
    Length edge = Length::inches(36);    ///< where no seat or counter says
    Length edgeLow = Length::inches(30); ///< within these it may give way to a joist
    Length edgeHigh = Length::inches(42);
    double floorLow = 20 * 304.8 * 304.8; ///< mm² of floor to each light
    double floorHigh = 25 * 304.8 * 304.8;
    Length against = Length::inches(8);   ///< how near a wall what stands against it is
    Length joist = Length::inches(1.5);   ///< how thick a joist is
    Length fromWall = Length::inches(18); ///< no light is nearer to any wall
};

/// Rows and columns of lights over a room, corners first and then even between: the first lines
/// over the fronts of seats and counters, else `edge` from the walls; off each joist by the least
/// shift that keeps the rows even. Several clearly different answers, the best first: by the count
/// that the floor asks for, and by rows more or fewer, judged by evenness and by light on heads.
/// Lights that would lie outside an L-shaped or cut-off room are left out. Problem: an open room,
/// or one too small.
[[nodiscard]] Result<std::vector<LightLayout>> evenLayouts(const Project&, const Scene&,
                                                           const EvenAsk&);

/// A light over each place of work in front of whoever stands there, and a tilting light on each
/// picture from so far off the upright, by the figures of the rule `recessed-task`.
[[nodiscard]] LightLayout taskLayout(const Project&, const Scene&);

} // namespace mezzet
