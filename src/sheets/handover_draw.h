#pragma once

#include "handover/tape_out.h"
#include "handover/tasks.h"

#include <QPainter>
#include <QRectF>

#include <optional>

namespace mezzet::sheets {

/// The order of work as bars over days, in a rectangle of millimetres; `unitsPerMm` of the painter.
/// Full bars are on the longest chain, a thin line is how far a task may slip, dots are its wait.
void drawOrderOfWork(QPainter&, double unitsPerMm, const QRectF& mm, const JobSchedule&,
                     const WorkCalendar&);

/// The floor with every piece's number in the order they are marked, and its points; of one step
/// the two tapes, with their lengths.
void drawTapePlan(QPainter&, double unitsPerMm, const QRectF& mm, const Scene&, const Notation&,
                  const TapeOut&, std::optional<std::size_t> step = {});

} // namespace mezzet::sheets
