// Small fields by the pointer with figures in them, while something is turned, sized or drawn.
#pragma once

#include "app/board/board.h"
#include "app/look/style.h"
#include "sheets/drawing.h"

#include <QPainter>

#include <algorithm>

namespace mezzet::app {

/// Where a small field by the pointer with figures in it comes.
inline QRectF fieldBy(const Board& board, QPointF at, const QString& figures) {
    const double w = QFontMetricsF(sheets::lettering(14)).horizontalAdvance(figures) + 18;
    QRectF box(at.x() + 16, at.y() + 16, w, 24);
    box.moveRight(std::min(box.right(), board.width() - 6.0));
    box.moveBottom(std::min(box.bottom(), board.height() - 6.0));
    return box;
}

/// A small field by the pointer with figures in it.
inline void figuresBy(QPainter& p, const Board& board, QPointF at, const QString& figures) {
    p.setFont(sheets::lettering(14));
    const QRectF box = fieldBy(board, at, figures);
    p.setPen(QPen(look().chosen, 1.4));
    p.setBrush(look().field);
    p.drawRoundedRect(box, 5, 5);
    p.setPen(look().ink);
    p.drawText(box, Qt::AlignCenter, figures);
}

/// No tag lies under those figures.
inline void keepClearOfFigures(const sheets::Drawing& d, const Board& board, QPointF at,
                               const QString& figures) {
    if (!figures.isEmpty())
        d.labels->keepClear(fieldBy(board, at, figures));
}

} // namespace mezzet::app
