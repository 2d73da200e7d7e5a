#include "photometry/photometry_text.h"

#include "measure/text.h"

#include <fmt/format.h>

#include <charconv>
#include <cmath>

namespace mezzet {

std::optional<std::string_view> Lines::next() {
    if (done())
        return {};
    const std::size_t end = text_.find_first_of("\r\n", at_);
    const auto line = text_.substr(at_, end == std::string_view::npos ? end : end - at_);
    if (end == std::string_view::npos)
        at_ = text_.size();
    else
        at_ = end + (text_.substr(end, 2) == "\r\n" ? 2 : 1);
    ++number_;
    return line;
}

Problem Lines::problem(std::string what, std::string remedy) const {
    Problem p{std::move(what), std::move(remedy)};
    p.file = std::string(file_);
    p.line = number_;
    return p;
}

std::optional<std::string_view> Figures::word() {
    constexpr std::string_view between = " \t,;";
    while (true) {
        const auto from = line_.find_first_not_of(between, at_);
        if (from != std::string_view::npos) {
            const auto end = std::min(line_.find_first_of(between, from), line_.size());
            at_ = end;
            return line_.substr(from, end - from);
        }
        const auto next = lines_.next();
        if (!next)
            return {};
        line_ = *next;
        at_ = 0;
    }
}

Result<double> Figures::number(std::string_view what) {
    const auto w = word();
    if (!w)
        return problem(fmt::format("it ends before {}", what), "the file is cut short");
    double out = 0;
    const auto digits = w->front() == '+' ? w->substr(1) : *w;
    const auto [end, error] = std::from_chars(digits.data(), digits.data() + digits.size(), out);
    if (error != std::errc() || end != digits.data() + digits.size() || !std::isfinite(out))
        return problem(
            fmt::format("“{}” is no figure for {}", shownPlainly(w->substr(0, 40)), what),
            "write a plain number");
    return out;
}

Result<double> Figures::positive(std::string_view what, double most) {
    const auto n = number(what);
    if (!n)
        return n.problem();
    if (*n <= 0 || *n > most)
        return problem(fmt::format("{} is {}", what, *n),
                       fmt::format("it is over 0, and up to {}", most));
    return *n;
}

Result<int> Figures::whole(std::string_view what, int least, int most) {
    const auto n = number(what);
    if (!n)
        return n.problem();
    if (*n != std::floor(*n) || *n < least || *n > most)
        return problem(fmt::format("{} is {}", what, *n),
                       fmt::format("it is a whole number from {} to {}", least, most));
    return static_cast<int>(*n);
}

std::optional<Problem> Figures::angles(std::vector<double>& out, int count, std::string_view which,
                                       double least, double most) {
    out.reserve(static_cast<std::size_t>(count));
    for (int i = 0; i < count; ++i) {
        const auto n = number(fmt::format("{} angle {} of {}", which, i + 1, count));
        if (!n)
            return n.problem();
        if (*n < least || *n > most)
            return problem(fmt::format("a {} angle of {}°", which, *n),
                           fmt::format("they run from {}° to {}°", least, most));
        if (!out.empty() && *n <= out.back())
            return problem(fmt::format("the {} angle {}° comes after {}°", which, *n, out.back()),
                           "they rise");
        out.push_back(*n);
    }
    return {};
}

std::optional<Problem> Figures::candelas(std::vector<double>& out, std::size_t count,
                                         double factor) {
    out.reserve(count);
    for (std::size_t i = 0; i < count; ++i) {
        const auto n = number(fmt::format("value {} of {}", i + 1, count));
        if (!n)
            return n.problem();
        if (*n < 0)
            return problem(fmt::format("{} candela", *n), "no light is less than none");
        constexpr double brightest = 1e9;
        if (*n * factor > brightest)
            return problem(fmt::format("{} candela", *n * factor),
                           "that is brighter than any lamp; look at its multiplier");
        out.push_back(*n * factor);
    }
    return {};
}

std::optional<Problem> Figures::nothingMore() {
    if (const auto w = word())
        return problem(fmt::format("“{}” is left over", shownPlainly(w->substr(0, 40))),
                       "there are more figures than its angles ask for");
    return {};
}

std::optional<Problem> reachOf(const Photometry& p, const Figures& in) {
    const auto is = [](double a, double b) { return std::abs(a - b) < 1e-6; };
    const double v0 = p.vertical.front();
    const double v1 = p.vertical.back();
    const double h0 = p.horizontal.front();
    const double h1 = p.horizontal.back();
    if (p.type != PhotometricType::c) {
        if (!(is(h0, 0) || is(h0, -h1)))
            return in.problem(fmt::format("horizontal angles from {}° to {}°", h0, h1),
                              "they begin at 0, or reach as far on both sides");
        return {};
    }
    if (!(is(v0, 0) || is(v0, 90)) || !(is(v1, 90) || is(v1, 180)) || is(v0, v1))
        return in.problem(fmt::format("vertical angles from {}° to {}°", v0, v1),
                          "they run from 0 to 90, from 90 to 180 or from 0 to 180");
    if (p.horizontal.size() == 1 ? !is(h0, 0)
                                 : !((is(h0, 0) && (is(h1, 90) || is(h1, 180) || is(h1, 360))) ||
                                     (is(h0, 90) && is(h1, 270)) || (is(h0, -90) && is(h1, 90))))
        return in.problem(fmt::format("horizontal angles from {}° to {}°", h0, h1),
                          "they run from 0 to 0, 90, 180 or 360, or from 90 to 270");
    return {};
}

Problem tooLong(std::string_view file) {
    Problem p{fmt::format("it is over {} MB", mostPhotometryBytes >> 20U),
              "a file of this sort has a few thousand bytes"};
    p.file = std::string(file);
    return p;
}

Result<Photometry> readPhotometry(std::string_view text, std::string_view file) {
    const auto name = foldCase(file);
    if (name.ends_with(".ldt") || name.ends_with(".eul"))
        return readEulumdat(text, file);
    if (name.ends_with(".ies") || text.find("TILT") != std::string_view::npos)
        return readIes(text, file);
    return readEulumdat(text, file);
}

} // namespace mezzet
