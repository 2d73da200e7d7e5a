#pragma once

#include "measure/result.h"

#include <QImage>
#include <QString>

namespace mezzet::app {

/// A picture is held to so many pixels a side; more tells nothing to a tracing.
inline constexpr int mostPixels = 6000;

/// A picture file of any kind Qt reads, the right way up. Problem: it can't be read.
[[nodiscard]] Result<QImage> picture(const QString& path);

/// A page of a PDF, counted from 1 and held to those it has; `pages` takes how many. Problem: it
/// can't be read, or is locked.
[[nodiscard]] Result<QImage> pdfPage(const QString& path, int page, int& pages);

} // namespace mezzet::app
