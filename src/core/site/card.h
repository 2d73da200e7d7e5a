#pragma once

#include "fits/fits.h"
#include "handover/list.h"

#include <optional>
#include <string>
#include <vector>

namespace mezzet {

/// The sizes of one side that would do.
struct SizeWindow {
    Length least;
    Length best;
    Length most;
};

/// A thing to be bought, as the shopping card has it.
struct CardThing {
    ListItem item;
    std::optional<SizeWindow> width;
    std::optional<SizeWindow> depth;  ///< on a wall its height
    std::vector<std::string> fits;    ///< what "what fits" answers for it: "Round, 54 across"
    std::vector<std::string> heights; ///< what it must meet: "seat 17 to 18, for Supper table"
    std::vector<std::string> waysIn;  ///< doors it comes in by: "door 1"
    std::vector<std::string> notIn;   ///< and those it doesn't: "door 1: too high"
    int count = 1;                    ///< so many that are alike
    std::optional<bool> backFinished; ///< of what stands on the floor: its back is seen
    std::optional<Rgb> colour;
};

/// All that goes to the shop.
struct ShoppingCard {
    std::vector<CardThing> things;
    std::size_t more = 0;       ///< those that are to be bought besides
    std::optional<double> left; ///< of the budget
    double total = 0;
};

/// Limits, stated in docs/limits.md.
inline constexpr std::size_t mostCardThings = 24;

/// What is to be found or is chosen, in the active room and of no room, with the sizes that would
/// do: each side is made larger, and smaller, a step at a time (an inch, or 2 cm), as long as
/// nothing that is right is upset; tables, sofas and rugs have the answers of fits/fits.h besides.
/// `goesOn` is asked between things.
[[nodiscard]] ShoppingCard shoppingCard(const Project&, const Scene&, const GoesOn& goesOn = {});

/// "Does this one fit?" of a thing of the card: the piece at another size, where it is to stand.
struct FoundOne {
    bool fits = false;
    std::vector<std::string> upsets;
    std::vector<std::string> waysIn;
    std::vector<std::string> notIn;
    Edit edit; ///< tries it there
};
/// Problem: no such piece, or a size that nothing has.
[[nodiscard]] Result<FoundOne> doesThisOneFit(const Project&, const Scene&, int piece, const Size&);

} // namespace mezzet
