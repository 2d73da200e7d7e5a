#pragma once

#include "kit/kind.h"

namespace mezzet {

/// A size as it comes in metric trade: whole 10 cm from a metre on, whole 5 cm from 30 cm, whole
/// centimetres from 5, half ones below. Common practice.
[[nodiscard]] Length metricSize(Length);

/// A kind in round centimetres: by its own metric size where it has one, else rounded. A studio's
/// own kind is as the studio wrote it.
[[nodiscard]] Kind metricKind(const Kind&);

/// A kit of the same kinds in round centimetres. It has the same ids and words.
[[nodiscard]] KitPtr metricKit(const Kit&);

} // namespace mezzet
