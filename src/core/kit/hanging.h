#pragma once

#include "measure/length.h"
#include "measure/mass.h"

#include <array>
#include <optional>
#include <string>
#include <utility>

namespace mezzet {

/// Which height of a thing on a wall.
enum class Level { bottom, centre, top };

/// How a thing is held up on a wall.
enum class Mount {
    ring,     ///< one ring in the middle
    rings,    ///< two rings, a hook each
    wire,     ///< a wire between two rings
    sawtooth, ///< a toothed strip, or a clamp, in the middle of the back
    cleat,    ///< two bevelled strips, one on the wall
    screws,   ///< fixed through its back or its plate
    brackets, ///< on brackets from below
    rod,      ///< between two end brackets: a curtain
    leaned    ///< stands on something and leans
};

/// The mounts as files and lines spell them.
inline constexpr std::array<std::pair<Mount, const char*>, 9> mountWords{
    {{Mount::ring, "one ring"},
     {Mount::rings, "two rings"},
     {Mount::wire, "wire"},
     {Mount::sawtooth, "sawtooth"},
     {Mount::cleat, "cleat"},
     {Mount::screws, "screws"},
     {Mount::brackets, "brackets"},
     {Mount::rod, "rod"},
     {Mount::leaned, "leaned"}}};

/// What is known of how a piece hangs; what is empty is worked out from its size. See hang/hooks.h.
struct Hanging {
    Mount mount = Mount::wire;
    int hooks = 0;              ///< wire: 1 or 2; screws, brackets: how many; 0 as its size asks
    std::optional<Length> drop; ///< top edge to where the hook takes the weight, as measured; of a
                                ///< kind, as is usual
    std::optional<Length> ringSpacing; ///< ring to ring, or bracket to bracket
    std::optional<Length> ringsDown;   ///< wire: top edge to the rings
    std::optional<Length> slack;       ///< wire: how much longer than the spacing it is
    std::optional<Length> hookSpacing; ///< wire on two hooks
    std::optional<Mass> weight;
    std::optional<Mass> load; ///< a shelf: what stands on it in all; else books by the foot
    Length frame;             ///< width of the moulding round a picture or mirror
    Length mat;               ///< between frame and picture
    std::string material;     ///< of a shelf, by its name in data/walls; empty for the kind's
    bool clamped = false;     ///< a shelf housed at its ends
    int before = 0;           ///< of what leans: the id of the piece it stands before; 0 for none

    bool operator==(const Hanging&) const = default;
};

} // namespace mezzet
