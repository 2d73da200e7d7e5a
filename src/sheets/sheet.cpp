#include "sheets/sheet.h"
#include "sheets/tr.h"

#include "files/whole_file.h"
#include "measure/text.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet::sheets {

std::span<const SheetKind* const> sheetKinds() {
    static const SheetKind* const all[] = {
        &planSheet,    &wallSheet,        &hooksSheet,    &templatesSheet, &rugOrderSheet,
        &cuttingSheet, &rugTemplateSheet, &ceilingSheet,  &lightingSheet,  &dressingSheet,
        &changesSheet, &listSheet,        &orderSheet,    &tapeOutSheet,   &boardsSheet,
        &cardSheet,    &asBuiltSheet,     &measuringSheet};
    return all;
}

const SheetKind* sheetById(std::string_view id) {
    const auto all = sheetKinds();
    const auto it =
        std::find_if(all.begin(), all.end(), [&](const SheetKind* k) { return k->id == id; });
    return it == all.end() ? nullptr : *it;
}

std::string sheetIds() {
    std::string out;
    for (const SheetKind* k : sheetKinds())
        out += (out.empty() ? "" : ", ") + std::string(k->id);
    return out;
}

Result<Printed> printSheet(const SheetKind& kind, const Project& job, SheetOptions options,
                           const std::filesystem::path& path) {
    if (foldCase(path.extension().string()) == ".csv" && kind.table != nullptr) {
        const auto table = kind.table(job, options);
        if (!table)
            return table.problem();
        if (auto saved = writeWhole(path, *table); !saved)
            return saved.problem();
        return Printed{"table", "", 1, {}};
    }
    const auto format = formatOf(path);
    if (!format)
        return Problem{kind.table != nullptr ? "a sheet is a .pdf, .svg or .png file, or a .csv"
                                             : "a sheet is a .pdf, .svg or .png file",
                       "give the file such an ending"};
    options.onePage = kind.onePageAsPicture && *format != Format::pdf;
    auto sheet = kind.pages(job, options);
    if (!sheet)
        return sheet.problem();
    sheet->paper.goOn = options.goOn;
    const auto pages = printPages(sheet->paper, path);
    if (!pages)
        return pages.problem();
    return Printed{sheet->on, sheet->scale, *pages, sheet->told};
}

} // namespace mezzet::sheets
