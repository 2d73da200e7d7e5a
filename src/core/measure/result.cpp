#include "measure/result.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <fmt/format.h>

namespace mezzet {

std::string Problem::sentence() const {
    return shownPlainly(remedy.empty() ? std::string(told(what))
                                       : fmt::format("{}; {}", told(what), told(remedy)));
}

std::string Problem::text() const {
    std::string place = shownPlainly(file);
    if (line > 0) {
        place += fmt::format("{}{}", place.empty() ? "" : ":", line);
        if (column > 0)
            place += fmt::format(":{}", column);
    }
    return place.empty() ? sentence() : fmt::format("{}: {}", place, sentence());
}

} // namespace mezzet
