#pragma once

#include "sheets/drawing.h"
#include "things/dressed.h"

#include <map>

namespace mezzet::sheets {

/// A unit as one stands before it, or a top from above: where it goes, and how.
struct UnitView {
    QRectF into;         ///< device; the drawing keeps its proportions in it
    double pen = 1;      ///< device units to one of line width
    double letter = 0;   ///< height of numbers, device; 0 for none
    bool values = false; ///< light and dark only, as one sees it with eyes half shut
    int chosen = 0;      ///< a thing that is marked; 0 for none
    std::map<int, int>
        numbers{}; ///< by thing: what it is called in the list; several may share one
};

/// Draws a unit from the front: its boards, and all that stands in its openings and on its top,
/// each of its own form and colour, what leans behind the rest.
void drawUnitFront(QPainter&, const Look&, const Scene&, int unit, const UnitView&);

/// Draws a top from above, its front below.
void drawTopFromAbove(QPainter&, const Look&, const Scene&, const DressedSurface&, const UnitView&);

/// A unit's front as it is drawn: device units to a millimetre, and where its left foot is.
struct UnitFrame {
    double scale = 1;
    QPointF foot;
};
[[nodiscard]] UnitFrame unitFrame(const Scene&, int unit, const UnitView&);

/// Where each thing of a unit's front is drawn, what is behind first; device.
[[nodiscard]] std::vector<std::pair<int, QRectF>> thingFronts(const Scene&, int unit,
                                                              const UnitView&);

/// The colour of a thing as it is drawn.
[[nodiscard]] QColor qcolor(Rgb);

} // namespace mezzet::sheets
