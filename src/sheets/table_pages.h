#pragma once

#include "sheets/sheet.h"

#include <QRectF>
#include <QString>

#include <functional>
#include <string>
#include <utility>
#include <vector>

namespace mezzet::sheets {

class PaperPen;

/// A column of a table on paper.
struct TableColumn {
    std::string title;
    double share = 1;     ///< of the width
    bool figures = false; ///< set right, in the letters of figures
};

/// A row of it: its cells, or a heading over what follows, or a line of words across all columns.
struct TableRow {
    enum class Is { cells, heading, words };
    Is is = Is::cells;
    std::vector<std::string> cells;
    bool strong = false;
    bool tick = false;    ///< a box to be ticked before it
    std::string swatch{}; ///< "#rrggbb", drawn before the first cell; empty for none
};

/// A table with what stands over it, on as many pages as it wants.
struct TablePages {
    std::string sheet; ///< "What is to be bought"
    std::vector<TableColumn> columns;
    std::vector<TableRow> rows;
    std::string caution{}; ///< under the first page's drawing, or over its rows
    bool across = false;
    /// Fields of the title block besides job, sheet, client and date.
    std::vector<std::pair<std::string, std::string>> fields{};
    /// Drawn at the head of the first page: how high that is, as a share of the page, and what.
    double drawing = 0;
    std::function<void(QPainter&, double unitsPerMm, const QRectF& mm)> draw{};
};

/// The pages of a table, on the paper asked for or the job's usual one.
[[nodiscard]] Sheet tableSheet(const Project&, const SheetOptions&, TablePages);

/// The paper asked for, or the job's usual one.
[[nodiscard]] Paper paperFor(const Project&, const SheetOptions&);

} // namespace mezzet::sheets
