#pragma once

#include "edit/phrase.h"

#include <string_view>

namespace mezzet {

// Clauses of how high a thing hangs, as more than one phrase reads them.

/// So high over the floor, its middle, foot or top.
bool overFloor(Placing&, Level, Length);
/// The same over the line of a stair's nosings, which is named next.
bool overStairs(Placing&, Level, Length);
/// "at eye level", "at seated eye level"
bool eyeHeight(Placing&);
/// "centre at 58", "bottom at 40", after the word for it.
bool heightAt(Placing&);
/// "hooks, 66 high": how high what is low itself hangs; false for what may be so high.
bool hungSoHigh(Placing&);
/// Which of its levels a word is: "top", "bottom", "sill", "centre".
[[nodiscard]] Level levelFor(std::string_view word);

} // namespace mezzet
