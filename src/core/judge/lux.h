#pragma once

#include "judge/reading.h"

namespace mezzet {

/// How bright it is at night where things are done, for information: by the rule `illuminance`, in
/// lux, against the levels of data/light/tasks.json. Straight light point by point with its
/// shadows; what is passed on as if it were spread evenly over all surfaces (an integrating
/// sphere), which is quick, and near enough to say whether there is light enough. None where
/// nothing shines.
[[nodiscard]] std::vector<Reading> luxReadings(const Project&, const Scene&);

} // namespace mezzet
