#pragma once

#include "sheets/sheet.h"

#include <QRectF>

namespace mezzet::sheets {

// All of the sheet's own measures, in millimetres of paper.
inline constexpr double margin = 10;
inline constexpr double titleHeight = 20;
inline constexpr double aroundRoom =
    19; ///< walls, letters and dimensions outside the room's outline
inline constexpr double rowHeight = 4.6;

/// What goes where on a plan's first page, mm of paper.
struct Layout {
    Paper paper;
    bool across = true;
    Scale scale;
    QRectF drawing; ///< where the plan goes
    QRectF lists;   ///< where the schedule and the readings go; null: on a page of their own
    [[nodiscard]] double width() const {
        return (across ? std::max(paper.width, paper.height) : std::min(paper.width, paper.height))
            .mm();
    }
    [[nodiscard]] double height() const {
        return (across ? std::min(paper.width, paper.height) : std::max(paper.width, paper.height))
            .mm();
    }
};

/// The layout by what was asked for: the smallest of the job's own papers, the largest usual scale.
/// `rows` is how many rows the longer of the two lists wants. Problem: there is no room yet, or it
/// doesn't fit; with a scale and paper that do.
[[nodiscard]] Result<Layout> chooseLayout(const Project&, const SheetOptions&, int rows);

} // namespace mezzet::sheets
