#pragma once

#include "edit/line.h"
#include "judge/remedy.h"

namespace mezzet {

/// Reads a line as readLine does, and besides it what needs readings: "mend all", "mend all within
/// 18", "mend sofa", "accept sofa because …", "judge sofa again". Problem: as readLine's, that
/// there is nothing to mend, or that it was stopped.
[[nodiscard]] Result<Said> readSaid(std::string_view text, const Project&, int selected = 0,
                                    SurfaceId surface = {}, const Stopped& stopped = {});
[[nodiscard]] Result<Said> readSaid(std::string_view text, const Project&, const Listener&,
                                    const Stopped& stopped = {});

/// True for lines that take readSaid more than a moment.
[[nodiscard]] bool takesLong(std::string_view text);

} // namespace mezzet
