#include "measure/example.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <vector>

namespace mezzet {

namespace {

/// What is counted, and no length: the word before a figure, and the one after it.
bool isCounted(std::string_view before, std::string_view after) {
    constexpr std::string_view befores[] = {
        "scheme", "window", "door",  "opening",  "place", "of",     "shelf", "turn", "turned",
        "with",   "answer", "brief", "costs",    "for",   "room",   "can",   "feet", "budget",
        "price",  "lead",   "waits", "quantity", "count", "corner", "over"};
    constexpr std::string_view afters[] = {
        "chairs", "dining", "brackets", "hooks",  "hook",     "seats", "of",    "lb",
        "kg",     "for",    "degrees",  "people", "pictures", "sofas", "sit",   "armchairs",
        "at",     "guests", "armchair", "days",   "day",      "weeks", "hours", "each"};
    const auto is = [](auto& list, std::string_view word) {
        return std::find(std::begin(list), std::end(list), word) != std::end(list);
    };
    return is(befores, before) || is(afters, after);
}

/// As round as one says it.
std::string roundMetric(double inches, Units units) {
    const double cm = inches * 2.54;
    const double step = cm >= 100 ? 10 : cm >= 4 ? 5 : 1;
    const double round = std::max(step, std::round(cm / step) * step);
    return decimals(fmt::format("{:g}", units == Units::millimetres ? round * 10
                                        : units == Units::metres    ? round / 100
                                                                    : round));
}

const char* unitWord(Units units) {
    return units == Units::millimetres ? " mm" : units == Units::metres ? " m" : " cm";
}

bool digitAt(std::string_view s, std::size_t i) {
    return i < s.size() && s[i] >= '0' && s[i] <= '9';
}

} // namespace

std::string exampleIn(std::string_view text, Units units) {
    if (!isMetric(units))
        return std::string(text);
    const auto wordBefore = [&](std::size_t at) {
        std::size_t end = at;
        while (end > 0 && text[end - 1] == ' ')
            --end;
        std::size_t from = end;
        while (from > 0 && text[from - 1] != ' ')
            --from;
        return text.substr(from, end - from);
    };
    const auto wordAfter = [&](std::size_t at) {
        while (at < text.size() && text[at] == ' ')
            ++at;
        std::size_t end = at;
        while (end < text.size() && text[end] != ' ' && text[end] != ',' && text[end] != ';')
            ++end;
        return text.substr(at, end - at);
    };
    const auto turns = [&](std::size_t at) {
        const auto said = text.substr(0, at);
        const auto from = std::max(said.rfind(';') + 1, said.rfind(':') + 1);
        return said.substr(from).find("turn ") != std::string_view::npos;
    };
    std::string out;
    for (std::size_t i = 0; i < text.size();) {
        const bool begins =
            digitAt(text, i) && (i == 0 || text[i - 1] == ' ' || text[i - 1] == '-' ||
                                 text[i - 1] == 'W' || text[i - 1] == 'D' || text[i - 1] == 'H');
        if (!begins) {
            out += text[i++];
            continue;
        }
        // A day is no length.
        if (text.size() >= i + 10 && text[i + 4] == '-' && text[i + 7] == '-') {
            out += text.substr(i, 10);
            i += 10;
            continue;
        }
        const auto scanned = scanLength(text.substr(i), Units::inches);
        if (scanned && wordAfter(i + scanned->used) == "lb") {
            out += fmt::format("{:.0f} kg", scanned->value.inInches() * 0.45359237);
            i = text.find("lb", i) + 2;
            continue;
        }
        if (!scanned || turns(i) ||
            (!scanned->unitGiven && isCounted(wordBefore(i), wordAfter(i + scanned->used)))) {
            while (digitAt(text, i))
                out += text[i++];
            continue;
        }
        const auto written = text.substr(i, scanned->used);
        if (written.find('m') != std::string_view::npos) {
            out += written; // metric already
        } else {
            out += roundMetric(scanned->value.inInches(), units);
            // "a 90 inch sofa", "6' 2\"": the unit goes with its figure.
            if (scanned->unitGiven)
                out += unitWord(units);
        }
        i += scanned->used;
    }
    return out;
}

std::string remedyIn(std::string_view remedy, Units units) {
    // In another language than English an example follows whatever words are said there.
    const std::string own{told(remedy)};
    const auto says =
        speaksEnglish()
            ? std::vector<std::string_view>{"say it like: ", "write it like: ", "say “",
                                            "like “",        "like: ",          ", like "}
            : std::vector<std::string_view>{": ", "„"};
    for (const std::string_view begins : says)
        if (const auto from = own.find(begins); from != std::string::npos)
            return own.substr(0, from) + exampleIn(std::string_view(own).substr(from), units);
    return own;
}

} // namespace mezzet
