#pragma once

#include "hang/hooks.h"
#include "project/project.h"
#include "sheets/paper.h"

#include <filesystem>
#include <optional>
#include <string>

namespace mezzet::sheets {

struct WallSheetOptions {
    std::optional<Paper> paper;     ///< the job's own letter or A4 across when empty
    std::optional<Scale> scale;     ///< the largest usual one that fits, when empty
    std::string date;               ///< today's, when empty
    std::optional<Length> division; ///< hooks are called out to this: 1/16 in or 1 mm when empty
    GoOn goOn{};                    ///< asked before each page; may be empty
};

struct WallPrinted {
    std::string paper;
    std::string scale; ///< "1:20"; templates are "full size"
    int pages = 1;
};

/// A wall from inside, to scale, with its openings, the furniture before it, what hangs there, the
/// hooks, their distances from the left corner and the floor, and the schedule of that wall.
/// Problem: no such wall, the scale asked for doesn't fit, or the file can't be written.
[[nodiscard]] Result<WallPrinted> printWall(const Project&, int wall, const WallSheetOptions&,
                                            const std::filesystem::path&);

/// Every hook of the active scheme, wall by wall, with weights, fixings, tape corners of groups and
/// what to be careful of. PDF, SVG or PNG; with a .csv ending a table instead.
[[nodiscard]] Result<WallPrinted> printHooks(const Project&, const WallSheetOptions&,
                                             const std::filesystem::path&);
/// The same table as text, one hook a row.
[[nodiscard]] std::string hooksAsCsv(const Project&, const Scene&, Length division);

/// How templates are cut.
struct TemplateOptions {
    std::optional<Paper> paper; ///< tiles of this; the job's own letter or A4 when empty
    std::optional<Length> roll; ///< on a roll of this width instead, in one piece
    std::optional<int> wall;    ///< of one wall only
    std::string of;             ///< of one piece or group only, by name
    Length overlap = Length::millimetres(10);
    GoOn goOn{}; ///< asked before each page; may be empty
};
/// Paper templates at full size: the outline of each piece, and of a group all its pieces where
/// they hang, with every hook marked. On tiles they overlap, and marks on both meet. Problem:
/// nothing hangs, no such piece, or the file can't be written.
[[nodiscard]] Result<WallPrinted> printTemplates(const Project&, const TemplateOptions&,
                                                 const std::filesystem::path&);

/// The division hooks are called out to: 1/16 in, or 1 mm.
[[nodiscard]] Length hookDivision(Notation);
/// A length at that division: 4' 8 3/16", or mm.
[[nodiscard]] std::string hookWords(Length, Notation, std::optional<Length> division = {});
/// "stud", "stud + 3/4", "plug".
[[nodiscard]] std::string fixingWords(const HookPoint&, Notation);

} // namespace mezzet::sheets
