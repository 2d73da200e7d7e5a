#pragma once

#include "measure/texts.h"

#include <fmt/format.h>

#include <cstdio>
#include <utility>

namespace mezzet::cli {

/// Prints a text in the language that is spoken, with things put in.
template <class... A> void tell(std::FILE* where, fmt::format_string<A...> english, A&&... in) {
    fmt::print(where, "{}", worded(english, std::forward<A>(in)...));
}
template <class... A> void tell(fmt::format_string<A...> english, A&&... in) {
    fmt::print("{}", worded(english, std::forward<A>(in)...));
}

} // namespace mezzet::cli
