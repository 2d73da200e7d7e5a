#pragma once

#include "project/project.h"
#include "sheets/paper.h"

#include <filesystem>
#include <optional>
#include <string>

namespace mezzet::sheets {

struct PlanOptions {
    std::optional<Paper> paper; ///< the smallest of the job's own papers that takes it, when empty
    std::optional<Scale> scale; ///< the largest usual one that fits, when empty
    std::string date;           ///< today's, when empty
    GoOn goOn{};                ///< asked before each page; may be empty
};

/// What was printed.
struct Printed {
    std::string paper; ///< "A4 across"
    std::string scale;
    int pages = 1;
};

/// Prints the plan of the active scheme, true to scale, with its schedule and what is left to mend.
/// Pieces that don't fit the schedule go on further pages of a PDF. Problem when the room doesn't
/// fit the paper at the scale asked for (with one that does), or the file can't be written.
[[nodiscard]] Result<Printed> printPlan(const Project&, const PlanOptions&,
                                        const std::filesystem::path&);

} // namespace mezzet::sheets
