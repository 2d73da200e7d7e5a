#pragma once

#include "photometry/photometry.h"
#include "sheets/paper_out.h"

namespace mezzet::sheets {

/// How a fixture shines, as a polar curve: in the plane of H 0 as a full line, in that of H 90 in
/// dashes; rings of candela, angles from straight down, and its figures below.
[[nodiscard]] PaperJob polarCurve(PhotometryPtr, std::string name);

} // namespace mezzet::sheets
