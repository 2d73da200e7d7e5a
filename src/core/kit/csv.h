#pragma once

#include "kit/kind.h"

namespace mezzet {

/// Kinds as CSV (RFC 4180): a heading line, then a kind a line, lengths in inches or millimetres as
/// the heading of the size columns says (`width_in` or `width_mm`).
[[nodiscard]] std::string kindsAsCsv(const std::vector<KindPtr>&, bool metric);

/// Reads such a table. `name`, `width_…`, `depth_…` and `height_…` are needed; `id`, `family`,
/// `role`, `shape`, `seat_…`, `also`, `caution`, `front_…`, `opens`, `back` may be there, in any
/// order; another column is refused. A role or family left out is taken from the kind of the
/// shipped kit whose name the new one ends with ("Heron sofa" is a sofa). Problem: line, column,
/// and what was found; nothing half-read is returned.
[[nodiscard]] Result<std::vector<Kind>> kindsFromCsv(std::string_view text, std::string_view file,
                                                     const Kit& shipped);

/// A kit file of these kinds, as readKit reads it; in millimetres.
[[nodiscard]] std::string kitText(const std::vector<Kind>&);

/// A cell as CSV writes it: in quotes when it must be.
[[nodiscard]] std::string csvCell(std::string_view);

/// Splits CSV into records; cells may be parted by semicolons, as the first line has them. Problem: quotes that never close, or that stand in the middle of a
/// cell; more than so many after the first.
[[nodiscard]] Result<std::vector<std::vector<std::string>>>
readCsv(std::string_view text, std::string_view file, std::size_t most = 2000);

/// The shipped kit with the studio's kinds after it. Problem: as readKit's, or a word that is
/// taken.
[[nodiscard]] Result<KitPtr> withStudio(const KitPtr& shipped, const std::vector<Kind>& studio);

} // namespace mezzet
