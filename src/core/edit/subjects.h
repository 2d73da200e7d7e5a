#pragma once

#include "edit/words_reader.h"

#include <vector>

namespace mezzet {

/// "armchairs": the kind, where it is said of several; null, and nothing read, otherwise.
KindPtr kindOfSeveral(WordsReader& in);

/// "the armchairs": the ids of all pieces of a kind, where it is said of several and there are
/// several; none, and nothing read, otherwise.
std::vector<int> allOfAKind(WordsReader& in);

} // namespace mezzet
