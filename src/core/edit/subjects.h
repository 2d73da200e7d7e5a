#pragma once

#include "edit/words_reader.h"

namespace mezzet {

/// "armchairs": the kind, where it is said of several; null, and nothing read, otherwise.
KindPtr kindOfSeveral(WordsReader& in);

/// "two", "a pair of", "a row of 6": how many; 0, and nothing read, for none or one.
[[nodiscard]] int readCount(WordsReader&);

} // namespace mezzet
