#pragma once

#include <algorithm>
#include <cstdlib>

namespace mezzet::test {

/// Whether this is the long run (MEZZET_LONG), which tries much more of what is tried at random.
inline bool longRun() {
    return std::getenv("MEZZET_LONG") != nullptr;
}

/// How often a test tries at random: `usual` times, or `many` in the long run. Under a sanitizer,
/// where a round takes some thirty times as long, a fifth of them.
inline int rounds(int usual, int many) {
    const int wanted = longRun() ? many : usual;
#ifdef __SANITIZE_ADDRESS__
    return std::max(1, wanted / 5);
#else
    return wanted;
#endif
}

} // namespace mezzet::test
