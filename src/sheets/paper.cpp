#include "sheets/paper.h"
#include "sheets/tr.h"

#include "measure/notation.h"
#include "measure/text.h"

#include <QString>

namespace mezzet::sheets {

std::optional<Format> formatOf(const std::filesystem::path& path) {
    const auto ending = foldCase(path.extension().string());
    if (ending == ".pdf")
        return Format::pdf;
    if (ending == ".svg")
        return Format::svg;
    if (ending == ".png")
        return Format::png;
    return {};
}

std::optional<Paper> paperNamed(std::string_view name) {
    const auto n = foldCase(name);
    if (n == "letter")
        return Paper{"Letter", Length::inches(8.5), Length::inches(11)};
    if (n == "tabloid")
        return Paper{"Tabloid", Length::inches(11), Length::inches(17)};
    if (n == "a4")
        return Paper{"A4", Length::millimetres(210), Length::millimetres(297)};
    if (n == "a3")
        return Paper{"A3", Length::millimetres(297), Length::millimetres(420)};
    return {};
}

const std::vector<Scale>& usualScales(bool metric) {
    static const std::vector<Scale> metricScales{{10, "1:10"},  {20, "1:20"},   {25, "1:25"},
                                                 {50, "1:50"},  {100, "1:100"}, {200, "1:200"},
                                                 {500, "1:500"}};
    static const std::vector<Scale> feet{
        {12, "1\" = 1'-0\""},   {16, "3/4\" = 1'-0\""},   {24, "1/2\" = 1'-0\""},
        {32, "3/8\" = 1'-0\""}, {48, "1/4\" = 1'-0\""},   {64, "3/16\" = 1'-0\""},
        {96, "1/8\" = 1'-0\""}, {192, "1/16\" = 1'-0\""}, {384, "1/32\" = 1'-0\""}};
    return metric ? metricScales : feet;
}

std::optional<Scale> readScale(std::string_view text) {
    const auto t = trimmed(text);
    if (t.starts_with("1:")) {
        const auto n = QString::fromUtf8(t.data() + 2, static_cast<qsizetype>(t.size()) - 2);
        bool ok = false;
        const double d = n.toDouble(&ok);
        if (!ok || !(d >= 1) || d > 2000)
            return {};
        return Scale{d, "1:" + n.trimmed().toStdString()};
    }
    // Inches to the foot, with or without the "= 1'-0"" that follows.
    const auto first = trimmed(t.substr(0, t.find('=')));
    const auto inches = readLength(first, Units::inches);
    if (!inches || *inches <= Length{} || *inches > Length::feet(1))
        return {};
    return Scale{Length::feet(1) / *inches, write(*inches, {Units::inches, 32}) + " = 1'-0\""};
}

} // namespace mezzet::sheets
