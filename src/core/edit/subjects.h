#pragma once

#include "edit/words_reader.h"

#include <vector>

namespace mezzet {

/// Whether something of the room is named next, and no number; nothing is read.
bool thingAhead(WordsReader& in);

/// "the armchairs": the ids of all pieces of a kind, where it is said of several and there are
/// several; none, and nothing read, otherwise.
std::vector<int> allOfAKind(WordsReader& in);

} // namespace mezzet
