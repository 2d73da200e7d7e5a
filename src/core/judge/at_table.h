#pragma once

#include "geometry/lane.h"
#include "scheme/resolve.h"

#include <optional>

namespace mezzet {

/// A chair drawn up to a table: looking at it, its front no farther from the edge than `atTable`.
/// Both are indices in the scene.
[[nodiscard]] bool seatedAt(const FloorView&, std::size_t chair, std::size_t table, Length atTable);

/// The table a chair is drawn up to; the nearest when there are several.
[[nodiscard]] std::optional<std::size_t> tableOf(const FloorView&, std::size_t chair,
                                                 Length atTable);

/// Where a chair's own middle line meets its table's edge, on the chair's side; mm.
[[nodiscard]] std::optional<Vec2> tableEdge(const FloorView&, std::size_t chair, std::size_t table);

/// A chair drawn back with a person in it: its back `behind` the table's edge. Where it stands
/// farther back already, it stays.
[[nodiscard]] Shape inUse(const FloorView&, std::size_t chair, std::size_t table, Length behind);

/// The lanes out from each side of a table that seats someone: with chairs drawn up those they are
/// at, without every side that has `place` for one. A round or oval table has one from each chair,
/// or from four quarters when no chair is there.
[[nodiscard]] std::vector<Lane> seatingSides(const FloorView&, std::size_t table, Length place,
                                             Length atTable);

/// An upholstered seat people settle in: a sofa or an armchair.
[[nodiscard]] bool isLounge(const Piece&);

/// How many a piece seats: chairs and armchairs one, sofas and benches by their length less what
/// their arms take. `each` is the width a person takes, `arms` what both arms take.
[[nodiscard]] int seatsOf(const Piece&, Length each, Length arms);

} // namespace mezzet
