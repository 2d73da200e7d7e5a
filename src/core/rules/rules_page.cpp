#include "rules/rules_page.h"

#include "measure/texts.h"

#include <fmt/format.h>

#include <cmath>

namespace mezzet {

namespace {

/// A bound as the page has it: lengths in inches or centimetres, to a hundredth, without the unit.
std::string number(double v, Quantity q, Units units) {
    if (q == Quantity::length)
        v = std::round(v / (isMetric(units) ? 10 : 25.4) * 100) / 100;
    return decimals(fmt::format("{:g}", v));
}

std::string_view unitName(Units units) {
    return isMetric(units) ? "cm" : "in";
}

std::string bandWords(const Band& b, Quantity q, Units units) {
    const auto said = [&](double v) { return number(v, q, units); };
    const auto unit = q == Quantity::length ? fmt::format(" {}", unitName(units)) : std::string();
    std::string out;
    if (b.low && b.high)
        out = worded("{} to {}{}", said(*b.low), said(*b.high), unit);
    else if (b.low)
        out = worded("at least {}{}", said(*b.low), unit);
    else if (b.high)
        out =
            *b.high == 0 ? std::string(told("none")) : worded("at most {}{}", said(*b.high), unit);
    else
        return std::string(told("its own, or for information"));
    if (b.bestLow && b.bestHigh)
        out += worded(", best {} to {}", said(*b.bestLow), said(*b.bestHigh));
    else if (b.bestLow)
        out += worded(", best from {}", said(*b.bestLow));
    else if (b.bestHigh)
        out += worded(", best up to {}", said(*b.bestHigh));
    return out;
}

} // namespace

std::string rulesPage(const RuleBook& book, Units units) {
    const Notation notation{units, 16};
    std::string out(told("# Rules\n\n"
                         "Made from `data/rules/book.json` by `mezzet-cli rules`: change the book, "
                         "not this page. "));
    out += told(isMetric(units) ? "Lengths are in centimetres.\n" : "Lengths are in inches.\n");
    out +=
        told("The code that measures each is in `src/core/judge/`, a file a subject. A value "
             "within 0.005 mm of a bound sits on\n"
             "it. A job picks a school as a whole (`school …`), rule by rule (`rule …`), or its "
             "own band (`band …`); a studio\n"
             "keeps its bands for the jobs it begins (Judge, Keep these bands for the studio).\n\n"
             "A remedy is found by asking which tie's number, step or size would bring the reading "
             "to the middle of its band,\n"
             "then to its near edge, and trying each on the whole scene; the one that leaves least "
             "to mend, and moves least, is\n"
             "offered, with all that it upsets and what it mends. When it upsets something, up to "
             "two further moves are\n"
             "looked for that mend that. Nothing is offered that makes or worsens a clash, a thing "
             "past a wall, a stopped\n"
             "door or a way, or that leaves as much wrong as it mends. A remedy is a line that can "
             "be typed.\n\n");
    for (const auto& s : book.schools)
        out += fmt::format("- **{}** (`{}`): {}\n", s.title, s.id, s.says);
    for (const Rule& r : book.rules) {
        out += fmt::format("\n## `{}`\n\n{}\n\n", r.id, r.measuresIn(notation));
        std::string bands;
        for (const auto& [school, b] : r.bands)
            bands +=
                fmt::format("{}{}{}", bands.empty() ? "" : "; ", bandWords(b, r.quantity, units),
                            school.empty() ? "" : " (" + school + ")");
        out += worded("Band: {}. Source: {}.\n", bands, r.source);
        for (const auto& [verdict, says] :
             {std::pair{told("Sits right"), r.right}, std::pair{told("Tight"), r.tight},
              std::pair{told("Loose"), r.loose}, std::pair{told("Note"), r.note}})
            if (!says.empty())
                out += fmt::format("- {}: {}\n", verdict, r.filled(says, notation));
        for (const auto& [when, says] : r.instead)
            out += worded("- When {}: {}\n", when, r.filled(says, notation));
    }
    out += told("\n# Habits\n\nWhat is done where nothing is said.\n\n");
    for (const Habit& h : book.habits) {
        const auto said = [&](Length l) { return number(l.mm(), Quantity::length, units); };
        out += worded("- `{}`: {} {} {}; a book may put {} to {} in its place. Source: {}.\n", h.id,
                      h.says, said(h.length), unitName(units), said(h.low), said(h.high), h.source);
    }
    return out;
}

} // namespace mezzet
