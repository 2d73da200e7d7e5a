#pragma once

#include <span>
#include <string_view>

namespace mezzet::fuzz {

/// A reader of something a person or another program wrote, fed with anything. It throws
/// std::runtime_error when what it read can't be written and read again; a crash is a crash.
struct Target {
    const char* name; ///< of its corpus folder too
    void (*run)(std::string_view);
};

[[nodiscard]] std::span<const Target> targets();

} // namespace mezzet::fuzz
