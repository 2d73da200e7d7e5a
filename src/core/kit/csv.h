#pragma once

#include "kit/kind.h"

#include <span>

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

/// The text of a cell: tidied, and without the apostrophe that csvCell puts before what a
/// spreadsheet would run.
[[nodiscard]] std::string csvText(std::string_view cell);

/// A table whose first line names its columns, in any order; all but the first of those it may have
/// can be left out.
class CsvTable {
public:
    /// Problem: no UTF-8 text, as readCsv's, empty, a column that is none or is there twice, or
    /// without the first; with its name.
    [[nodiscard]] static Result<CsvTable> read(std::string_view text, std::string_view file,
                                               std::span<const std::string_view> columns,
                                               std::size_t most);

    /// The rows, those that are blank left out.
    [[nodiscard]] std::size_t rows() const { return rows_.size(); }
    [[nodiscard]] bool has(std::size_t column) const { return at_.at(column) >= 0; }
    /// Empty where there is none.
    [[nodiscard]] std::string cell(std::size_t row, std::size_t column) const;
    /// With the line and the column of a cell.
    [[nodiscard]] Problem fault(std::size_t row, std::size_t column, std::string what,
                                std::string remedy) const;

private:
    std::string file_;
    std::vector<int> at_; ///< of each column its place in a record; -1 for none
    struct Row {
        int line = 0;
        std::vector<std::string> cells;
    };
    std::vector<Row> rows_;
};

/// Splits CSV into records; cells may be parted by semicolons, as the first line has them. Problem:
/// quotes that never close, or that stand in the middle of a cell; more than so many after the
/// first.
[[nodiscard]] Result<std::vector<std::vector<std::string>>>
readCsv(std::string_view text, std::string_view file, std::size_t most = 2000);

/// The shipped kit with the studio's kinds after it. Problem: as readKit's, or a word that is
/// taken.
[[nodiscard]] Result<KitPtr> withStudio(const KitPtr& shipped, const std::vector<Kind>& studio);

} // namespace mezzet
