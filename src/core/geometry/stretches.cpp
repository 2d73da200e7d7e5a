#include "geometry/stretches.h"

#include <algorithm>

namespace mezzet {

std::vector<Stretch> leftBy(std::vector<Stretch> taken, double length) {
    std::sort(taken.begin(), taken.end());
    std::vector<Stretch> out;
    double from = 0;
    for (const auto& [low, high] : taken) {
        if (const double to = std::min(low, length); to > from)
            out.emplace_back(from, to);
        from = std::max(from, high);
    }
    if (length > from)
        out.emplace_back(from, length);
    return out;
}

Stretch widestOf(const std::vector<Stretch>& all) {
    const auto best =
        std::max_element(all.begin(), all.end(), [](const Stretch& a, const Stretch& b) {
            return a.second - a.first < b.second - b.first;
        });
    return best == all.end() ? Stretch{} : *best;
}

} // namespace mezzet
