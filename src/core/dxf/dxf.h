#pragma once

#include "scheme/resolve.h"
#include "trace/drawn_sheet.h"

#include <filesystem>

namespace mezzet {

/// Reads the lines, polylines, arcs, circles and ellipses of a DXF drawing, blocks flattened,
/// curves cut into chords within a thousandth of the drawing's size. What else it holds is counted
/// in `skipped`. `watch`, when given, is told how far it is, and stops it. Problem: no DXF, nothing
/// drawn in it, over a million lines, blocks nested without end, or stopped.
[[nodiscard]] Result<DrawnSheet> readDxf(const std::filesystem::path&, Watch* watch = nullptr);

/// A scheme's plan as a DXF drawing for another CAD: millimetres at true size, y up, a layer for
/// walls, windows, doors, what is built in and each family of pieces; names as text.
[[nodiscard]] Result<std::string> dxfText(const Scene&);

} // namespace mezzet
