#include "measure/mass.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <fmt/format.h>

#include <array>
#include <charconv>
#include <cmath>
#include <utility>

namespace mezzet {

std::string write(Mass m, Notation n) {
    const bool metric = isMetric(n.units);
    const double v = metric ? m.kg() : m.lb();
    const char* unit = metric ? "kg" : "lb";
    const double tenth = std::round(v * 10) / 10;
    if (tenth < 10 && std::abs(tenth - std::round(tenth)) > 0.01)
        return decimals(fmt::format("{:.1f}", tenth)) + " " + unit;
    return fmt::format("{:.0f} {}", v, unit);
}

std::optional<Mass> scanMass(std::string_view text, Units bare, std::size_t& used) {
    std::size_t at = text.find_first_not_of(" \t");
    if (at == std::string_view::npos)
        return {};
    double v = 0;
    const auto [end, error] = std::from_chars(text.data() + at, text.data() + text.size(), v);
    if (error != std::errc() || !std::isfinite(v))
        return {};
    at = static_cast<std::size_t>(end - text.data());
    // "12,5 kg"
    if (at + 1 < text.size() && text[at] == ',' && text[at + 1] >= '0' && text[at + 1] <= '9') {
        double place = 0.1;
        for (++at; at < text.size() && text[at] >= '0' && text[at] <= '9'; ++at, place /= 10)
            v += place * (text[at] - '0');
    }
    used = at;
    const std::size_t word = text.find_first_not_of(" \t", at);
    if (word != std::string_view::npos) {
        std::size_t stop = word;
        while (stop < text.size() && ((text[stop] >= 'a' && text[stop] <= 'z') ||
                                      (text[stop] >= 'A' && text[stop] <= 'Z')))
            ++stop;
        const auto said = foldCase(text.substr(word, stop - word));
        static constexpr std::array<std::pair<std::string_view, bool>, 9> units{
            {{"lb", false},
             {"lbs", false},
             {"pound", false},
             {"pounds", false},
             {"kg", true},
             {"kgs", true},
             {"kilo", true},
             {"kilos", true},
             {"kilograms", true}}};
        for (const auto& [name, metric] : units)
            if (said == name) {
                used = stop;
                return metric ? Mass::kilograms(v) : Mass::pounds(v);
            }
    }
    return isMetric(bare) ? Mass::kilograms(v) : Mass::pounds(v);
}

} // namespace mezzet
