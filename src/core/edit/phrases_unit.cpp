// The openings of a unit with shelves, when they are not as its kind has them.
#include "edit/phrase.h"
#include "measure/texts.h"
#include "project/project.h"

#include <charconv>

namespace mezzet {

namespace {

UnitTold& unitOf(Placing& p) {
    if (!p.out.unit) {
        p.out.unit = p.subject.unit ? *p.subject.unit : UnitTold{};
        if (p.subject.kind->family != Family::storage && p.subject.kind->role != Role::cabinet)
            p.fault(worded("{} has no openings", p.name()), "say it of a bookcase or a cabinet");
    }
    return *p.out.unit;
}

int counted(Placing& p, std::string_view figure) {
    int n = 0;
    const auto [end, fault] = std::from_chars(figure.data(), figure.data() + figure.size(), n);
    if (fault != std::errc{} || n < 0 || n >= static_cast<int>(mostRows) ||
        (end != figure.data() + figure.size() && *end != ' '))
        p.fault("that is no number of boards", worded("say a whole number up to {}", mostRows - 1));
    return n;
}

/// "5 shelves": boards between top and bottom.
bool shelves(Placing& p) {
    UnitTold& u = unitOf(p);
    u.rows = counted(p, p.in.text().substr(p.start)) + 1;
    u.high.clear();
    return true;
}

bool uprights(Placing& p) {
    unitOf(p).across = counted(p, p.in.text().substr(p.start)) + 1;
    return true;
}

bool uprightsAfter(Placing& p) {
    int n = 0;
    const std::size_t at = p.in.at();
    if (!p.in.takeCount(n) || n < 0 || n >= static_cast<int>(mostRows))
        p.in.fail(at, 1, "how many uprights?", "say it like: uprights 2");
    unitOf(p).across = n + 1;
    return true;
}

/// "openings 14, 12, 16, 10 high", from the top.
bool openingsHigh(Placing& p) {
    if (!p.in.lengthAhead())
        return false;
    const std::size_t at = p.in.at();
    std::vector<Length> high;
    do {
        const std::size_t comma = p.in.at();
        if (!p.in.lengthAhead()) {
            p.in.goTo(comma);
            break;
        }
        high.push_back(p.in.length("how high the opening is"));
        if (high.back() <= Length{})
            p.in.fail(at, p.in.at() - at, "an opening has some height", "correct the figures");
        if (p.in.take({"high", "tall"}))
            break;
    } while (p.in.comma() || p.in.take({"and"}));
    if (high.size() >= mostRows)
        p.in.fail(at, p.in.at() - at, worded("a unit has at most {} openings in height", mostRows),
                  "say fewer");
    UnitTold& u = unitOf(p);
    u.high = std::move(high);
    u.rows = 0;
    return true;
}

bool boardsThick(Placing& p) {
    if (!p.in.lengthAhead())
        return false;
    unitOf(p).board = p.in.length("how thick the boards are");
    p.in.take({"thick"});
    return true;
}

bool pinSteps(Placing& p) {
    if (!p.in.lengthAhead())
        return false;
    const Length step = p.in.length("the step of the pins");
    p.in.take({"apart", "steps"});
    if (step <= Length{} || step > Length::inches(12))
        p.fault("no pins stand so far apart", "say it like: pins 1 1/4 apart");
    unitOf(p).pins = step;
    return true;
}

} // namespace

std::span<const Phrase> unitPhrases() {
    static const std::vector<Phrase> all{
        {.begins = {"shelves", "adjustable shelves"},
         .afterLength = true,
         .of = SaidOf::floor,
         .read = &shelves,
         .help = "of a unit: boards between its top and bottom, all alike",
         .example = "5 shelves"},
        {.begins = {"uprights", "upright"},
         .afterLength = true,
         .of = SaidOf::floor,
         .read = &uprights,
         .help = "boards on edge between its sides",
         .example = "2 uprights"},
        {.begins = {"uprights"},
         .of = SaidOf::floor,
         .read = &uprightsAfter,
         .follows = Follows::number,
         .help = "",
         .example = ""},
        {.begins = {"openings"},
         .of = SaidOf::floor,
         .read = &openingsHigh,
         .follows = Follows::length,
         .help = "how high each of its openings is, from the top; what is left over is the plinth",
         .example = "openings 14, 10 high"},
        {.begins = {"boards"},
         .of = SaidOf::floor,
         .read = &boardsThick,
         .follows = Follows::length,
         .help = "how thick its boards and uprights are; as its kind has them when not said",
         .example = "boards 1 thick"},
        {.begins = {"pins"},
         .of = SaidOf::floor,
         .read = &pinSteps,
         .follows = Follows::length,
         .help = "its boards rest on pins, so far apart",
         .example = "pins 1 1/4 apart"},
    };
    return all;
}

} // namespace mezzet
