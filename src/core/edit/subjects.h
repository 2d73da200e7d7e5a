#pragma once

#include "edit/words_reader.h"

namespace mezzet {

/// "armchairs": the kind, where it is said of several; null, and nothing read, otherwise.
KindPtr kindOfSeveral(WordsReader& in);

} // namespace mezzet
