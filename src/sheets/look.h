#pragma once

#include "judge/reading.h"

#include <QColor>
#include <QFont>

namespace mezzet::sheets {

/// The colours of one theme. Every colour of the program comes from here.
struct Look {
    QColor panel;     ///< behind lists and menus
    QColor panelEdge; ///< lines on panels
    QColor field;     ///< where something is typed
    QColor board;     ///< the drawing sheet round the room
    QColor floor;     ///< inside the room
    QColor graph;     ///< graph squares
    QColor graphStrong;
    QColor ink;      ///< lines and text
    QColor soft;     ///< lesser text
    QColor poche;    ///< cut walls
    QColor tape;     ///< the measuring tape outside the band
    QColor tapeBand; ///< inside it
    QColor right;
    QColor tight;
    QColor loose;
    QColor chosen; ///< selection
    QColor onInk;  ///< text on ink
    bool night = false;

    [[nodiscard]] QColor wash(Family) const;
    [[nodiscard]] QColor of(Verdict) const;
};

[[nodiscard]] const Look& dayLook();
[[nodiscard]] const Look& nightLook();
/// Ink on white, for sheets.
[[nodiscard]] const Look& paperLook();

/// Makes the program's own fonts known to Qt. Once, after the application object.
void loadFonts();
/// The humanist sans of names and sentences, by its height in pixels.
[[nodiscard]] QFont sans(double pixels, int weight = QFont::Normal);
/// The drafting lettering of dimensions and figures.
[[nodiscard]] QFont lettering(double pixels);

} // namespace mezzet::sheets
