#include "measure/result.h"

#include <fmt/format.h>

namespace mezzet {

std::string Problem::sentence() const {
    return remedy.empty() ? what : fmt::format("{}; {}", what, remedy);
}

std::string Problem::text() const {
    std::string place = file;
    if (line > 0) {
        place += fmt::format("{}{}", place.empty() ? "" : ":", line);
        if (column > 0)
            place += fmt::format(":{}", column);
    }
    return place.empty() ? sentence() : fmt::format("{}: {}", place, sentence());
}

} // namespace mezzet
