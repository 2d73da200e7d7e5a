#pragma once

#include "edit/edit.h"
#include "handover/list.h"

#include <optional>
#include <string>

namespace mezzet {

/// Why a job can't have this told of its handing over; nothing when it can.
[[nodiscard]] std::optional<Problem> wrongHandover(const Project&, const Handover&);

/// What is told of a piece goes with it when it is called otherwise, unless another scheme of its
/// room has a piece of the old name still.
void followName(Project&, std::string_view was, std::string_view is);

/// A change of the list as an edit: what is told, and the pieces that differ with it.
[[nodiscard]] Edit listEdit(const Project&, const ListChange&, std::string words);

} // namespace mezzet
