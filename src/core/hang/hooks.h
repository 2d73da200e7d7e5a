#pragma once

#include "hang/wire.h"
#include "rules/rule_book.h"
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
    Length sawtooth = Length::inches(0.5);   ///< a sawtooth under the top edge, when not measured
    double rings = 0.25;                     ///< rings, as a share of the height, when not measured
    Length bar = Length::inches(2);          ///< a cleat under the top edge, when not measured
    Length deepShelf = Length::inches(7);    ///< from here a shelf holds books
    Mass books = Mass::pounds(20);           ///< to a foot of a deep shelf, when nothing is said
    Mass light = Mass::pounds(4);            ///< to a foot of a narrow one
};

/// The figures of the rules `hook`, `cable-zone` and `shelf-sag`.
[[nodiscard]] HookRules hookRules(const RuleBook&);

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
    Length drop;              ///< top edge to where the hooks take the weight
    bool dropAssumed = false; ///< not measured: the habit of the trade for such a thing
    Mass weight;              ///< its own
    bool estimated = false;   ///< the weight, from its size
    Mass load;                ///< what stands in or on it
    bool loadGuessed = false; ///< the load, from its length
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

/// What a piece on a wall carries besides itself: what was said, what stands on it (a thing tied so
/// that its foot is on its top), or for a shelf books (or, on a narrow ledge, light things) by the
/// running foot. Nothing for what is no shelf and holds nothing.
struct Carried {
    Mass all;
    bool guessed = false;
    std::vector<std::pair<Length, Mass>> standing; ///< from its left end; part of `all`
};
[[nodiscard]] Carried carriedBy(const WallsView&, std::size_t piece, const HookRules&);

/// Where the hooks of a piece go: for a ring, sawtooth, cleat or screws from the drop; for a wire
/// under tension, see wireDrop. A drop that was measured wins. What was not measured takes what is
/// usual for the kind when it hangs as that kind does, and else the habits of the trade: a sawtooth
/// half an inch under the top edge, rings a quarter of the way down and an inch inside the outline
/// there (or in the middle of the frame's stiles), a wire that rises half of that, a cleat or
/// screws near the top; two hooks a third of the ring spacing apart from a width on; brackets on
/// the studs where there are any. Each hook carries its share of the piece and of its load: at the
/// least an even one, and of a shelf on three brackets or more what the beam lays on that bracket.
/// Problem-free: what leans has no hooks. `piece` is an index in scene.hung; groups have none of
/// their own.
[[nodiscard]] HangOf hangOf(const WallsView&, std::size_t piece, const HookRules&);

/// Of every piece on the walls, or of one wall, from left to right.
[[nodiscard]] std::vector<HangOf> hangAll(const WallsView&, const HookRules&,
                                          std::optional<int> wall = {});

/// Said wherever a hook is told whose drop was assumed.
inline constexpr const char* measureTheDrop = "measure the drop before you drill";

/// Where cables are likely near a place of a wall: "6 in under the ceiling", "over outlet 1".
/// Empty when nowhere known (BS 7671 522.6, from memory; other codes differ).
[[nodiscard]] std::string cableZone(const Room&, int wall, Vec2 place, const HookRules&);

/// Where a shelf's brackets go along it, from its left end: on the studs behind it where at least
/// two are, and else a sixth of its length in from the ends, with more between as the span asks.
[[nodiscard]] std::vector<Length> bracketsOf(const WallsView&, std::size_t piece, const HookRules&);

} // namespace mezzet
