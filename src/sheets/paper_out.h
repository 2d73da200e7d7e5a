#pragma once

#include "measure/result.h"
#include "sheets/paper.h"

#include <QImage>
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
    GoOn goOn{}; ///< asked before each page; may be empty
};

/// A page as a picture so many pixels wide, on white.
[[nodiscard]] QImage pictureOf(const PaperJob&, std::size_t page, int width);

/// The file a page of an SVG or PNG goes to: the path itself, then with -2, -3 … after its name.
[[nodiscard]] std::filesystem::path pagePath(const std::filesystem::path&, std::size_t page);

/// "1 page", or "9 pages, a file each, to t-9.svg".
[[nodiscard]] std::string pagesWords(const std::filesystem::path&, int pages);

/// Writes a PDF of all pages, or a file for each of them as SVG or PNG (`pagePath`), by the path's
/// ending; each file whole or not at all. Gives back how many pages there are. Problem: it was
/// stopped, another ending, or it can't be written.
[[nodiscard]] Result<int> printPages(const PaperJob&, const std::filesystem::path&);

} // namespace mezzet::sheets
