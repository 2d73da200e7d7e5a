#pragma once

#include "hang/wire.h"
#include "scheme/on_wall.h"

#include <optional>
#include <string>
#include <vector>

namespace mezzet {

/// The trade's figures for hooks; the rules `hook` and `cable-zone` tell them.
struct HookRules {
    double rating = 4;                       ///< times the weight it carries
    Length studHalf = Length::inches(0.5);   ///< off a stud's middle and still well in it
    Length thirds = Length::inches(24);      ///< from this width a wire goes on two hooks
    Mass heavy = Mass::pounds(50);           ///< from here: into studs, or by a fitter
    Mass plug = Mass::pounds(25);            ///< what an ordinary plug is trusted with
    Length zone = Length::inches(6);         ///< cables: from the ceiling and from inner corners
    Length line = Length::inches(3);         ///< and either side of an outlet's or switch's lines
    Length bracketSpan = Length::inches(32); ///< brackets at most so far apart
};

enum class Fixing { stud, plug };

/// A place on a wall where a hook, a screw or a bracket goes.
struct HookPoint {
    Length along;                   ///< from the wall's left corner
    Length up;                      ///< from the floor there
    Length fromCeiling;             ///< down from the ceiling over it
    Length fromRight;               ///< from the wall's right corner
    std::optional<Length> onBreast; ///< from a chimney breast's left edge, when it is on one
    Fixing into = Fixing::plug;
    std::optional<Length> fromStud; ///< to the nearest stud's middle; right of it is positive
    Mass carries;
    Mass rated;       ///< what the hook and its fixing should be rated for
    std::string zone; ///< where cables are likely, in words; empty when outside
};

/// How one piece hangs.
struct HangOf {
    int piece = 0;
    int wall = 0;
    Mount mount = Mount::wire;
    Length drop; ///< top edge to where the hooks take the weight
    Mass weight;
    bool estimated = false; ///< the weight, from its size
    std::optional<WireDrop> wire;
    Length ringSpacing;           ///< wire and rings
    Length ringsDown;             ///< wire
    Length wireLength;            ///< wire
    std::vector<HookPoint> hooks; ///< left to right; none for what leans
    std::vector<std::string> cautions;
};

/// How wide a pair of curtains stands on each side when drawn back: about a sixth of its rod, and
/// not over 14 in (common practice).
[[nodiscard]] Length stackBack(const Piece&);

/// The piece's weight, or what its size makes likely.
[[nodiscard]] Mass weightOf(const Piece&, bool* estimated = nullptr);

/// Where the hooks of a piece go: for a ring, sawtooth, cleat or screws from the drop; for a wire
/// under tension, see wireDrop. What was not measured takes the habits of the trade: rings a
/// quarter of the way down and an inch inside the sides (or in the middle of the frame's stiles), a
/// wire that rises half of that; two hooks a third of the ring spacing apart from a width on;
/// brackets on the studs where there are any. Problem-free: what leans has no hooks. `piece` is an
/// index in scene.hung; groups have none of their own.
[[nodiscard]] HangOf hangOf(const Scene&, std::size_t piece, const HookRules&);

/// Of every piece on the walls, or of one wall, from left to right.
[[nodiscard]] std::vector<HangOf> hangAll(const Scene&, const HookRules&, int wall = -1);

/// Where cables are likely near a place of a wall: "6 in under the ceiling", "over outlet 1".
/// Empty when nowhere known (BS 7671 522.6, from memory; other codes differ).
[[nodiscard]] std::string cableZone(const Room&, int wall, Vec2 place, const HookRules&);

/// Where a shelf's brackets go along it, from its left end: on the studs behind it where at least
/// two are, and else a sixth of its length in from the ends, with more between as the span asks.
[[nodiscard]] std::vector<Length> bracketsOf(const Scene&, std::size_t piece, const HookRules&);

} // namespace mezzet
