#pragma once

#include "project/project.h"
#include "scheme/tie_kind.h"
#include "sheets/paper_out.h"

#include <filesystem>
#include <optional>
#include <span>
#include <string>

namespace mezzet::sheets {

/// What a sheet is asked for with; each kind reads what it asks (see Asks).
struct SheetOptions {
    std::optional<Paper> paper{};     ///< the job's own when empty
    std::optional<Scale> scale{};     ///< the largest usual one that fits, when empty
    std::string date{};               ///< today's, when empty
    std::optional<Length> division{}; ///< hooks are called out to this: 1/16 in or 1 mm when empty
    std::optional<int> wall{};        ///< of one wall
    std::string of{};                 ///< of one piece or group, by name
    std::optional<Length> roll{};     ///< on a roll of this width instead of sheets, in one piece
    Length overlap = Length::millimetres(10); ///< of tiles
    bool mends = true;                        ///< tells what is to mend; false for a client
    bool onePage = false;                     ///< what doesn't fit the first page is left out
    GoOn goOn{};                              ///< asked before each page; may be empty
};

/// A sheet ready to be painted; its pages own all they show.
struct Sheet {
    PaperJob paper;
    std::string on;     ///< "A4 across"
    std::string scale;  ///< "1:20", "full size"
    std::string told{}; ///< what else is to be known of these pages; empty for nothing
};

/// What was printed.
struct Printed {
    std::string paper;
    std::string scale;
    int pages = 1;
    std::string told{}; ///< what else is to be known of them
};

/// What is to be said for a sheet.
enum class Asks : unsigned {
    paper = 1,
    scale = 2,
    wall = 4,
    anyWall = 8,
    piece = 16,
    roll = 32,
    mends = 64
};

/// One kind of sheet. A new one is a file with its entry, and a line in sheet.cpp; the command and
/// the window's dialog go by the table.
struct SheetKind {
    const char* id;    ///< "wall", as the command takes it
    const char* title; ///< "A wall"
    const char* about; ///< who it is for, in a sentence
    Flags<Asks> asks;
    /// Problem: it does not fit, or what is asked for is not there.
    Result<Sheet> (*pages)(const Project&, const SheetOptions&);
    /// The same as a table, one thing a row; null when there is none.
    Result<std::string> (*table)(const Project&, const SheetOptions&) = nullptr;
    /// As a picture it is one page, and what doesn't fit that is left out.
    bool onePageAsPicture = false;
    const char* note = ""; ///< to be known before it is printed
};

extern const SheetKind planSheet, wallSheet, hooksSheet, templatesSheet, rugOrderSheet,
    rugTemplateSheet, cuttingSheet, ceilingSheet, lightingSheet, dressingSheet, changesSheet,
    listSheet, orderSheet, tapeOutSheet, boardsSheet, cardSheet, asBuiltSheet, measuringSheet;

[[nodiscard]] std::span<const SheetKind* const> sheetKinds();
/// Null when there is no such one.
[[nodiscard]] const SheetKind* sheetById(std::string_view);
/// "plan, wall, hooks, templates"
[[nodiscard]] std::string sheetIds();

/// Prints a sheet: a PDF of all pages, or a file a page as SVG or PNG, or its table as CSV, by the
/// path's ending. Problem: it can't be made (see SheetKind), no such ending, or it can't be
/// written.
[[nodiscard]] Result<Printed> printSheet(const SheetKind&, const Project&, SheetOptions,
                                         const std::filesystem::path&);

/// The shopping card as a PDF of two pages, or as one picture, a page under the other, for a
/// telephone's screen. Problem: as printSheet's.
[[nodiscard]] Result<Printed> printCard(const Project&, SheetOptions, const std::filesystem::path&);

} // namespace mezzet::sheets
