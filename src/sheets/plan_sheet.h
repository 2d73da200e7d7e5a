#pragma once

#include "project/project.h"
#include "sheets/look.h"

#include <QPaintDevice>

#include <filesystem>
#include <optional>
#include <string>
#include <string_view>

namespace mezzet::sheets {

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

struct PlanOptions {
    std::optional<Paper> paper; ///< the smallest of the job's own papers that takes it, when empty
    std::optional<Scale> scale; ///< the largest usual one that fits, when empty
    std::string date;           ///< today's, when empty
};

/// What was printed.
struct Printed {
    std::string paper; ///< "A4 across"
    std::string scale;
    int pages = 1;
};

/// By the file's ending.
[[nodiscard]] std::optional<Format> formatOf(const std::filesystem::path&);
/// letter, tabloid, a4, a3, in any case.
[[nodiscard]] std::optional<Paper> paperNamed(std::string_view);
/// "1:50", "1:48", "1/4"", "1/4" = 1'-0"".
[[nodiscard]] std::optional<Scale> readScale(std::string_view);
/// The usual scales of a system, largest drawing first.
[[nodiscard]] const std::vector<Scale>& usualScales(bool metric);

/// Prints the plan of the active scheme, true to scale, with its schedule and what is left to mend.
/// Pieces that don't fit the schedule go on further pages of a PDF. Problem when the room doesn't
/// fit the paper at the scale asked for (with one that does), or the file can't be written.
[[nodiscard]] Result<Printed> printPlan(const Project&, const PlanOptions&,
                                        const std::filesystem::path&);

} // namespace mezzet::sheets
