#include "judge/near.h"

#include <algorithm>

namespace mezzet {

Near::Near(const FloorView& scene, const Which& which) {
    items_.reserve(scene.placed.size());
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        if (which && !which(scene.piece(i)))
            continue;
        const Shape& s = scene.placed[i].shape;
        items_.push_back({s.centre, s.reach, i});
        longest_ = std::max(longest_, s.reach);
    }
    std::sort(items_.begin(), items_.end(),
              [](const Item& a, const Item& b) { return a.centre.x < b.centre.x; });
}

const std::vector<std::size_t>& Near::to(const Shape& s, Length far) {
    found_.clear();
    const double most = s.reach + longest_ + far.mm();
    auto it = std::lower_bound(items_.begin(), items_.end(), s.centre.x - most,
                               [](const Item& i, double x) { return i.centre.x < x; });
    for (; it != items_.end() && it->centre.x <= s.centre.x + most; ++it)
        if (norm(it->centre - s.centre) - it->reach - s.reach <= far.mm())
            found_.push_back(it->index);
    std::sort(found_.begin(), found_.end());
    return found_;
}

} // namespace mezzet
