#pragma once

#include "project/project.h"

#include <nlohmann/json.hpp>

namespace mezzet {

// What is told of things and of what they stand on, as a job file has it.
[[nodiscard]] nlohmann::ordered_json jsonOf(const ThingTold&);
[[nodiscard]] nlohmann::ordered_json jsonOf(const UnitTold&);
[[nodiscard]] nlohmann::ordered_json jsonOf(const Dressing&);
[[nodiscard]] nlohmann::ordered_json jsonOf(const Stock&);
[[nodiscard]] nlohmann::ordered_json jsonOf(const Handover&);

} // namespace mezzet
