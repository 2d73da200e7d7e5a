#pragma once

#include "measure/result.h"

#include <QPainter>

#include <filesystem>
#include <functional>
#include <string>
#include <vector>

namespace mezzet::sheets {

/// Pages to be painted in millimetres of paper; each is given the painter and its units to a
/// millimetre.
struct PaperJob {
    double width = 0; ///< mm
    double height = 0;
    std::string title;
    std::vector<std::function<void(QPainter&, double)>> pages;
};

/// Writes a PDF of all pages, or the first of them as SVG or PNG, by the file's ending; whole or
/// not at all. Gives back how many pages were written. Problem: another ending, or it can't be
/// written.
[[nodiscard]] Result<int> printPages(const PaperJob&, const std::filesystem::path&);

} // namespace mezzet::sheets
