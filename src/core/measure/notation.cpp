#include "measure/notation.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <fmt/format.h>

#include <array>
#include <cctype>
#include <cmath>
#include <numeric>

namespace mezzet {

namespace {

/// A reader over text that knows the typographic spellings of marks and fractions.
class Cursor {
public:
    explicit Cursor(std::string_view t) : text(t) {}

    std::string_view text;
    std::size_t at = 0;

    [[nodiscard]] std::string_view rest() const { return text.substr(at); }
    bool take(std::string_view word) {
        if (!rest().starts_with(word))
            return false;
        at += word.size();
        return true;
    }
    bool takeAny(std::initializer_list<std::string_view> words) {
        for (auto w : words)
            if (take(w))
                return true;
        return false;
    }
    void skipBlanks() {
        while (takeAny({" ", "\t", "\u00a0", "\u2009", "\u202f"})) {
        }
    }
    [[nodiscard]] char peek() const { return at < text.size() ? text[at] : '\0'; }
    [[nodiscard]] bool digit() const { return peek() >= '0' && peek() <= '9'; }
};

struct NamedFraction {
    std::string_view sign;
    double value;
};
constexpr std::array<NamedFraction, 15> fractions{{{"½", 1.0 / 2},
                                                   {"¼", 1.0 / 4},
                                                   {"¾", 3.0 / 4},
                                                   {"⅛", 1.0 / 8},
                                                   {"⅜", 3.0 / 8},
                                                   {"⅝", 5.0 / 8},
                                                   {"⅞", 7.0 / 8},
                                                   {"⅓", 1.0 / 3},
                                                   {"⅔", 2.0 / 3},
                                                   {"⅕", 1.0 / 5},
                                                   {"⅖", 2.0 / 5},
                                                   {"⅗", 3.0 / 5},
                                                   {"⅘", 4.0 / 5},
                                                   {"⅙", 1.0 / 6},
                                                   {"⅚", 5.0 / 6}}};

/// Digits as a number. More than nine of them is no length of a room.
std::optional<double> takeInteger(Cursor& c) {
    if (!c.digit())
        return {};
    double v = 0;
    int count = 0;
    while (c.digit()) {
        v = v * 10 + (c.peek() - '0');
        ++c.at;
        if (++count > 9)
            return {};
    }
    return v;
}

/// "1/2", "1⁄2" or "½".
std::optional<double> takeFraction(Cursor& c) {
    for (const auto& f : fractions)
        if (c.take(f.sign))
            return f.value;
    Cursor t = c;
    auto top = takeInteger(t);
    if (!top || !t.takeAny({"/", "⁄"}))
        return {};
    auto bottom = takeInteger(t);
    if (!bottom || *bottom == 0)
        return {};
    c = t;
    return *top / *bottom;
}

/// A number with its fraction: 98, 98.5, 98 1/2, 98-1/2, 98½, 1/2; with `comma`, 98,5 too.
std::optional<double> takeNumber(Cursor& c, bool comma = false) {
    if (auto f = takeFraction(c))
        return f;
    Cursor t = c;
    auto whole = takeInteger(t);
    if (!whole && t.peek() != '.')
        return {};
    double v = whole.value_or(0);
    const bool point = t.peek() == '.' || (comma && t.peek() == ',' && t.at + 1 < t.text.size() &&
                                           t.text[t.at + 1] >= '0' && t.text[t.at + 1] <= '9');
    if (point) {
        ++t.at;
        double place = 0.1;
        if (!t.digit() && !whole)
            return {};
        for (; t.digit(); ++t.at, place /= 10)
            v += place * (t.peek() - '0');
        c = t;
        return v;
    }
    c = t;
    t.skipBlanks();
    if (t.at == c.at)
        t.take("-");
    if (auto f = takeFraction(t); f && *f < 1) {
        c = t;
        return v + *f;
    }
    return v;
}

bool letterAt(std::string_view s, std::size_t i) {
    return i < s.size() && std::isalpha(static_cast<unsigned char>(s[i])) != 0;
}

bool takeWord(Cursor& c, std::initializer_list<std::string_view> words) {
    for (auto w : words) {
        if (c.rest().size() >= w.size() && foldCase(c.rest().substr(0, w.size())) == w &&
            !letterAt(c.text, c.at + w.size())) {
            c.at += w.size();
            return true;
        }
    }
    return false;
}

bool takeFootMark(Cursor& c) {
    if (c.rest().starts_with("''"))
        return false;
    return c.takeAny({"'", "′", "’", "ʹ"}) || takeWord(c, {"feet", "foot", "ft.", "ft"});
}

/// "in" is also the small word of "in corner", "in front of", "in line with" and "in a row".
bool takeInchMark(Cursor& c) {
    if (c.takeAny({"\"", "″", "”", "''", "′′", "ʺ"}))
        return true;
    Cursor t = c;
    if (!takeWord(t, {"inches", "inch", "in.", "in"}))
        return false;
    Cursor next = t;
    next.skipBlanks();
    if (takeWord(next, {"corner", "front", "line", "the", "a", "an", "opening"}))
        return false;
    c = t;
    return true;
}

std::optional<Length> takeMetricUnit(Cursor& c, double v) {
    if (takeWord(c, {"mm", "millimetres", "millimeters", "millimetre", "millimeter"}))
        return Length::millimetres(v);
    if (takeWord(c, {"cm", "centimetres", "centimeters", "centimetre", "centimeter"}))
        return Length::centimetres(v);
    if (takeWord(c, {"m", "metres", "meters", "metre", "meter"}))
        return Length::metres(v);
    return {};
}

Length bareLength(double v, Units u) {
    switch (u) {
    case Units::millimetres:
        return Length::millimetres(v);
    case Units::centimetres:
        return Length::centimetres(v);
    case Units::metres:
        return Length::metres(v);
    default:
        return Length::inches(v);
    }
}

Problem fault(std::string_view text, std::size_t at, std::string what, std::string remedy) {
    Problem p{std::move(what), std::move(remedy)};
    p.column = static_cast<int>(characterCount(text.substr(0, at))) + 1;
    return p;
}

/// After the feet: the inches, if any follow.
Result<Length> takeInchesAfterFeet(Cursor& c, double feet) {
    Cursor t = c;
    t.skipBlanks();
    t.take("-");
    t.skipBlanks();
    const std::size_t where = t.at;
    auto inches = takeNumber(t);
    if (!inches)
        return Length::feet(feet);
    Cursor mark = t;
    mark.skipBlanks();
    if (takeInchMark(mark)) {
        t = mark;
    } else if (takeFootMark(mark) || takeMetricUnit(mark, 0)) {
        return fault(c.text, where, "after feet come inches",
                     "write it like 8' 2 1/2\" or with one unit");
    }
    if (*inches >= 12)
        return fault(c.text, where, worded("{} inches after feet", *inches),
                     "inches after feet are under 12: write it in inches alone, or check the tape");
    c = t;
    return Length::feet(feet) + Length::inches(*inches);
}

/// "a foot", "two feet", "half a metre", "a foot and a half", "five-foot": words are a length only
/// with their unit.
std::optional<Length> takeSpelled(Cursor& c) {
    constexpr std::string_view words[] = {"one",   "two",   "three", "four", "five",   "six",
                                          "seven", "eight", "nine",  "ten",  "eleven", "twelve"};
    Cursor t = c;
    double number = 0;
    if (takeWord(t, {"half a", "half an", "half"})) {
        number = 0.5;
    } else if (takeWord(t, {"a", "an"})) {
        number = 1;
    } else {
        for (double n = 1; const auto w : words) {
            if (takeWord(t, {w}))
                number = n;
            ++n;
        }
    }
    if (number == 0)
        return {};
    t.skipBlanks();
    t.take("-");
    const auto unit = [&]() -> std::optional<Length> {
        if (takeWord(t, {"foot", "feet"}))
            return Length::feet(number);
        if (takeWord(t, {"inches", "inch"}))
            return Length::inches(number);
        return takeMetricUnit(t, number);
    }();
    if (!unit)
        return {};
    c = t;
    t.skipBlanks();
    if (takeWord(t, {"and a half"})) {
        c = t;
        return *unit + *unit / (2 * number);
    }
    return unit;
}

/// A number with a decimal comma, where that can be meant: in a metric job, or before a metric
/// unit.
std::optional<double> takeCommaNumber(Cursor& c, Units bare) {
    Cursor t = c;
    const auto number = takeNumber(t, true);
    if (!number || c.text.substr(c.at, t.at - c.at).find(',') == std::string_view::npos)
        return {};
    Cursor unit = t;
    unit.skipBlanks();
    if (!isMetric(bare) && !takeMetricUnit(unit, 0))
        return {};
    c = t;
    return number;
}

Result<Length> takeMagnitude(Cursor& c, Units bare, bool& unitGiven) {
    const std::size_t start = c.at;
    const bool whole = c.digit();
    if (const auto spelled = takeSpelled(c)) {
        unitGiven = true;
        return *spelled;
    }
    auto number = takeCommaNumber(c, bare);
    if (!number)
        number = takeNumber(c);
    if (!number)
        return fault(c.text, start, "no length here",
                     isMetric(bare) ? "write it like 2490 mm or 2.49 m"
                                    : "write it like 8' 2 1/2\" or 98.5in");
    Cursor t = c;
    t.skipBlanks();
    unitGiven = true;
    if (takeInchMark(t)) {
        c = t;
        return Length::inches(*number);
    }
    if (takeFootMark(t)) {
        c = t;
        return takeInchesAfterFeet(c, *number);
    }
    if (auto metric = takeMetricUnit(t, *number)) {
        c = t;
        return *metric;
    }
    // 8-2 1/2: feet and inches written on a tape with a dash between them.
    if (whole && std::floor(*number) == *number && c.peek() == '-') {
        Cursor dash = c;
        ++dash.at;
        if (dash.digit())
            return takeInchesAfterFeet(c, *number);
    }
    unitGiven = false;
    return bareLength(*number, bare);
}

std::string trimZeros(std::string s) {
    if (s.find('.') != std::string::npos) {
        while (s.back() == '0')
            s.pop_back();
        if (s.back() == '.')
            s.pop_back();
    }
    return s == "-0" ? "0" : s;
}

/// "2 1/2", "1/2" or "2", from a whole number of divisions.
std::string mixed(long long parts, int denominator) {
    const long long whole = parts / denominator;
    long long top = parts % denominator;
    if (top == 0)
        return fmt::format("{}", whole);
    const long long g = std::gcd(top, static_cast<long long>(denominator));
    const auto fraction = fmt::format("{}/{}", top / g, denominator / g);
    return whole == 0 ? fraction : fmt::format("{} {}", whole, fraction);
}

} // namespace

Result<ScannedLength> scanLength(std::string_view text, Units bare) {
    Cursor c(text);
    c.skipBlanks();
    bool negative = false;
    if (c.takeAny({"-", "−"})) {
        negative = true;
        c.skipBlanks();
    } else {
        c.take("+");
    }
    bool unitGiven = false;
    auto magnitude = takeMagnitude(c, bare, unitGiven);
    if (!magnitude)
        return magnitude.problem();
    // Ten kilometres; every figure up to there is written so that it can be read again.
    if (magnitude->mm() > 1e7)
        return fault(text, 0, "that is longer than anything that is measured here",
                     "look at its unit");
    return ScannedLength{negative ? -*magnitude : *magnitude, c.at, unitGiven};
}

Result<Length> readLength(std::string_view text, Units bare) {
    auto scanned = scanLength(text, bare);
    if (!scanned)
        return scanned.problem();
    Cursor c(text);
    c.at = scanned->used;
    c.skipBlanks();
    if (c.at != text.size())
        return fault(text, c.at, worded("“{}” is not part of a length", c.rest()),
                     isMetric(bare) ? "write it like 2490 mm or 2.49 m"
                                    : "write it like 8' 2 1/2\" or 98.5in");
    return scanned->value;
}

Length division(Notation n) {
    return isMetric(n.units) ? Length::millimetres(1) : Length::inches(1.0 / n.denominator);
}

Length rounded(Length v, Notation n) {
    const Length d = division(n);
    return d * std::round(v / d);
}

std::string write(Length v, Notation n) {
    switch (n.units) {
    case Units::millimetres:
        return trimZeros(fmt::format("{:.0f}", v.mm())) + " mm";
    case Units::centimetres:
        return decimals(trimZeros(fmt::format("{:.1f}", v.mm() / 10))) + " cm";
    case Units::metres:
        return decimals(trimZeros(fmt::format("{:.3f}", v.mm() / 1000))) + " m";
    default:
        break;
    }
    const long long parts = std::llround(std::abs(v.inInches()) * n.denominator);
    const char* sign = v < Length{} && parts != 0 ? "-" : "";
    const long long foot = 12LL * n.denominator;
    if (n.units == Units::inches || parts < foot)
        return fmt::format("{}{}\"", sign, mixed(parts, n.denominator));
    const bool fractionOnly = parts % foot > 0 && parts % foot < n.denominator;
    return fmt::format("{}{}' {}{}\"", sign, parts / foot, fractionOnly ? "0 " : "",
                       mixed(parts % foot, n.denominator));
}

std::string writeGap(Length v, Notation n) {
    if (n.units == Units::feetAndInches)
        n.units = Units::inches;
    return write(v, n);
}

std::string writeBare(Length v, Notation n) {
    auto s = writeGap(v, n);
    const auto end = s.find_first_of("\"cm");
    s = s.substr(0, end);
    while (!s.empty() && s.back() == ' ')
        s.pop_back();
    return s;
}

std::string_view unitsName(Units u) {
    switch (u) {
    case Units::feetAndInches:
        return "feet";
    case Units::inches:
        return "inches";
    case Units::millimetres:
        return "mm";
    case Units::centimetres:
        return "cm";
    case Units::metres:
        return "m";
    }
    return "feet";
}

std::optional<Units> readUnits(std::string_view name) {
    const auto n = foldCase(name);
    if (n == "feet" || n == "ft" || n == "foot" || n == "imperial" || n == "feet and inches")
        return Units::feetAndInches;
    if (n == "inches" || n == "in" || n == "inch")
        return Units::inches;
    if (n == "mm" || n == "millimetres" || n == "millimeters" || n == "metric")
        return Units::millimetres;
    if (n == "cm" || n == "centimetres" || n == "centimeters")
        return Units::centimetres;
    if (n == "m" || n == "metres" || n == "meters")
        return Units::metres;
    return {};
}

} // namespace mezzet
