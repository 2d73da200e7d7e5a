#pragma once

#include "measure/notation.h"

#include <string>

class QComboBox;

namespace mezzet::app {

/// The papers to print on; the job's own first. Its data is the paper's name, "" for the job's own.
[[nodiscard]] QComboBox* newPaperBox();

/// The scales to print at, those of the job's own system first. Its data is the scale in words, ""
/// for the largest that fits.
[[nodiscard]] QComboBox* newScaleBox(Units);

/// Chooses what has such data, where there is any.
void choose(QComboBox*, const std::string& data);

} // namespace mezzet::app
