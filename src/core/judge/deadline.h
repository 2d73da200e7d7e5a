#pragma once

#include "judge/reading.h"

#include <chrono>

namespace mezzet {

/// A stop that says so once this much time has passed.
[[nodiscard]] inline Stopped within(std::chrono::milliseconds time) {
    return [until = std::chrono::steady_clock::now() + time] {
        return std::chrono::steady_clock::now() > until;
    };
}

} // namespace mezzet
