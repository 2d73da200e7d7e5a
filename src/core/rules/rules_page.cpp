#include "rules/rules_page.h"

#include <fmt/format.h>

#include <cmath>

namespace mezzet {

namespace {

std::string number(double v, Quantity q) {
    if (q == Quantity::length)
        return fmt::format("{:g}", std::round(v / 25.4 * 100) / 100);
    return fmt::format("{:g}", v);
}

std::string bandWords(const Band& b, Quantity q) {
    const char* unit = q == Quantity::length ? " in" : "";
    std::string out;
    if (b.low && b.high)
        out = fmt::format("{} to {}{}", number(*b.low, q), number(*b.high, q), unit);
    else if (b.low)
        out = fmt::format("at least {}{}", number(*b.low, q), unit);
    else if (b.high)
        out = *b.high == 0 ? "none" : fmt::format("at most {}{}", number(*b.high, q), unit);
    else
        return "its own, or for information";
    if (b.bestLow || b.bestHigh) {
        out += ", best ";
        out += b.bestLow && b.bestHigh
                   ? fmt::format("{} to {}", number(*b.bestLow, q), number(*b.bestHigh, q))
               : b.bestLow ? fmt::format("from {}", number(*b.bestLow, q))
                           : fmt::format("up to {}", number(*b.bestHigh, q));
    }
    return out;
}

} // namespace

std::string rulesPage(const RuleBook& book) {
    std::string out =
        "# Rules\n\n"
        "Made from `data/rules/book.json` by `mezzet-cli rules`: change the book, "
        "not this page. Lengths "
        "are in inches.\nThe code that measures each is in `src/core/judge/`, a file "
        "a subject. A value "
        "within 0.005 mm of a bound sits on\nit. A job picks a school as a whole "
        "(`school …`), rule by "
        "rule (`rule …`), or its own band (`band …`); a studio\nkeeps its bands for "
        "the jobs it begins "
        "(Judge, Keep these bands for the studio).\n\n"
        "A remedy is found by asking which tie's number, step or size would bring "
        "the reading to the "
        "middle of its band,\nthen to its near edge, and trying each on the whole "
        "scene; the one that "
        "leaves least to mend, and moves least, is\noffered, with all that it upsets "
        "and what it mends. When "
        "it upsets something, up to two further moves are\nlooked for that mend "
        "that. Nothing is offered that makes or worsens a clash, a thing past a wall, "
        "a stopped\ndoor or a way, or that leaves as much wrong as it mends. A remedy "
        "is a line that can be typed.\n\n";
    for (const auto& s : book.schools)
        out += fmt::format("- **{}** (`{}`): {}\n", s.title, s.id, s.says);
    for (const Rule& r : book.rules) {
        out += fmt::format("\n## `{}`\n\n{}\n\n", r.id, r.measuresIn({Units::inches, 16}));
        std::string bands;
        for (const auto& [school, b] : r.bands)
            bands += fmt::format("{}{}{}", bands.empty() ? "" : "; ", bandWords(b, r.quantity),
                                 school.empty() ? "" : " (" + school + ")");
        out += fmt::format("Band: {}. Source: {}.\n", bands, r.source);
        for (const auto& [verdict, says] :
             {std::pair{"Right", r.right}, std::pair{"Tight", r.tight}, std::pair{"Loose", r.loose},
              std::pair{"Note", r.note}})
            if (!says.empty())
                out += fmt::format("- {}: {}\n", verdict, r.filled(says, {Units::inches, 16}));
        for (const auto& [when, says] : r.instead)
            out += fmt::format("- When {}: {}\n", when, r.filled(says, {Units::inches, 16}));
    }
    out += "\n# Habits\n\nWhat is done where nothing is said.\n\n";
    for (const Habit& h : book.habits)
        out += fmt::format("- `{}`: {} {:g} in; a book may put {:g} to {:g} in its place. Source: "
                           "{}.\n",
                           h.id, h.says, h.length.inInches(), h.low.inInches(), h.high.inInches(),
                           h.source);
    return out;
}

} // namespace mezzet
