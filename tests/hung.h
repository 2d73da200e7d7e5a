#pragma once

#include "scheme/scheme.h"

#include <vector>

namespace mezzet::test {

/// The pieces of a scheme on its walls, in the order they were hung.
[[nodiscard]] inline std::vector<Piece> hungIn(const Scheme& s) {
    auto all = s.hung();
    return {all.begin(), all.end()};
}

} // namespace mezzet::test
