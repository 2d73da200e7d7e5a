#pragma once

#include "measure/length.h"

#include <filesystem>
#include <functional>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace mezzet::sheets {

/// Told what share of the pages is done, 0 to 1; false stops the printing.
using GoOn = std::function<bool(double share)>;

enum class Format { pdf, svg, png };

/// A sheet of paper, upright. ISO 216 and ANSI Y14.1 sizes.
struct Paper {
    std::string name; ///< "A4"
    Length width;
    Length height;
};

/// Room millimetres to one millimetre of paper.
struct Scale {
    double denominator = 50;
    std::string words; ///< "1:50" or "1/4\" = 1'-0\""
};

/// By the file's ending.
[[nodiscard]] std::optional<Format> formatOf(const std::filesystem::path&);
/// letter, tabloid, a4, a3, in any case.
[[nodiscard]] std::optional<Paper> paperNamed(std::string_view);
/// "1:50", "1:48", "1/4"", "1/4" = 1'-0"".
[[nodiscard]] std::optional<Scale> readScale(std::string_view);
/// The usual scales of a system, largest drawing first.
[[nodiscard]] const std::vector<Scale>& usualScales(bool metric);

} // namespace mezzet::sheets
