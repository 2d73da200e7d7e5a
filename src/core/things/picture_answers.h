#pragma once

#include "colour/families.h"
#include "scheme/resolve.h"

#include <cstdint>
#include <span>
#include <string>
#include <vector>

namespace mezzet {

/// What a picture is made of, as far as a room answers it.
struct PictureColours {
    std::vector<Patch> patches; ///< its dominant colours, the largest first
    double lightness = 0;       ///< mean L*
    double footDarker = 0;      ///< by how much its lowest third is darker than the rest, L*
};
/// From a picture's pixels, 0xAARRGGBB, row by row from the top, `width` to a row. What is more
/// than half transparent is left out.
[[nodiscard]] PictureColours pictureColours(std::span<const std::uint32_t> pixels,
                                            std::size_t width);
/// From so much on a picture is dark at its foot, and wants more air below it: common practice,
/// from memory.
inline constexpr double darkFootFrom = 8; // L*

/// A colour of the room that was told, and how much of it there is.
struct RoomColour {
    std::string name; ///< "the walls", "Sofa"
    Rgb colour;
    double area = 0; ///< m², of its face from above or from the front
    bool wall = false;
};
/// Of walls, floor and ceiling, and of seats, rugs, beds, curtains and textiles that have one.
[[nodiscard]] std::vector<RoomColour> roomColours(const Scene&);

/// How a picture answers a room.
struct PictureAnswer {
    double score = 0;    ///< 1 the best there can be
    double shared = 0;   ///< the share of it that is of a colour of the room, walls left out
    double repeats = 0;  ///< the share of it that one colour of the room has
    double contrast = 0; ///< L* from the wall's; 0 when its colour is not told
    bool darkFoot = false;
    std::vector<std::string> with; ///< whose colours it takes up
    std::string why;               ///< a sentence or two
};

/// Judged by what decorators say of a picture in a room (common practice, from memory): it takes up
/// some of the room's colours (best from a fifth to a half of it), is not a wall's nor a sofa's own
/// colour over again (no more than 60 % of one), and stands out from its wall, light on dark best
/// of all. Weights: shared 0.45, contrast 0.35, no repeating 0.2.
[[nodiscard]] PictureAnswer answerOf(const PictureColours&, const std::vector<RoomColour>&);

} // namespace mezzet
