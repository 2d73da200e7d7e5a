#pragma once

#include "trace/trace.h"

#include <atomic>
#include <memory>

namespace mezzet {

/// A straight stretch of a drawing, in the drawing's own units; y runs down the sheet.
struct DrawnLine {
    Vec2 from;
    Vec2 to;
    int layer = 0; ///< index in DrawnSheet::layers
};

/// A drawing as lines by layer; curves cut into chords, blocks flattened.
struct DrawnSheet {
    std::vector<std::string> layers;
    std::vector<int> counts; ///< lines on each layer
    std::vector<DrawnLine> lines;
    std::optional<double> unitMm;     ///< what one unit is, mm; empty when the drawing doesn't say
    std::string unitName;             ///< "mm", "inches"; empty when it doesn't say
    std::size_t entities = 0;         ///< read, blocks counted once
    std::vector<std::string> skipped; ///< what was left out, in words
    Vec2 low;
    Vec2 high;
};

/// How far a long reading is, and whether it should stop. Shared between two threads.
struct Watch {
    std::atomic<double> share{0}; ///< 0 to 1; 0 while that is not known
    std::atomic<bool> stop{false};
};

/// Which layers mean what, by index.
struct LayerRoles {
    std::vector<int> walls;
    std::vector<int> windows;
    std::vector<int> doors;
};

/// Layers by what they are called: walls, windows, doors. No wall layer by name: all that are
/// neither.
[[nodiscard]] LayerRoles guessRoles(const DrawnSheet&);

/// The room whose floor holds a point (the largest one when empty), from the lines of the wall
/// layers: gaps of 12 in to 9 ft between stretches in one line are bridged, and are openings; what
/// lies in a gap on the window or door layers says which. Problem: no closed outline, none at that
/// point, too many corners or lines, or it was stopped.
[[nodiscard]] Result<TracedRoom> findRoom(const DrawnSheet&, const LayerRoles&, double unitMm,
                                          std::optional<Vec2> inside, Watch* watch = nullptr);

} // namespace mezzet
