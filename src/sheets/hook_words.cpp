// How hooks are called out, on paper, on the board and in tables.
#include "hang/running.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "sheets/wall_sheets.h"

#include <fmt/format.h>

namespace mezzet::sheets {

Length hookDivision(Notation n) {
    return isMetric(n.units) ? Length::millimetres(1) : Length::inches(1.0 / 16);
}

std::string hookWords(Length l, Notation n, std::optional<Length> division) {
    const Length d = division.value_or(hookDivision(n));
    n.denominator = 16;
    if (isMetric(n.units))
        n.units = Units::millimetres;
    return write(roundedTo(l, d), n);
}

std::string fixingWords(const HookPoint& k, Notation n) {
    if (k.into == Fixing::plug)
        return std::string(told("plug"));
    n.denominator = 16;
    if (!k.fromStud || abs(*k.fromStud) < hookDivision(n) / 2)
        return std::string(told("stud"));
    return worded("stud {} {}", *k.fromStud > Length{} ? "+" : "-", writeGap(abs(*k.fromStud), n));
}

} // namespace mezzet::sheets
