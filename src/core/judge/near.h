#pragma once

#include "geometry/gap.h"
#include "scheme/resolve.h"

#include <functional>
#include <vector>

namespace mezzet {

/// What stands near what, without looking at everything: some pieces of a floor, sorted from left
/// to right.
class Near {
public:
    using Which = std::function<bool(const Piece&)>;
    /// Those for which `which` is true, or all.
    explicit Near(const FloorView&, const Which& which = {});

    /// The places in FloorView::placed of those whose holding circle comes within `far` of a
    /// shape's, in order. Valid until the next call.
    const std::vector<std::size_t>& to(const Shape&, Length far);

private:
    struct Item {
        Vec2 centre;
        double reach = 0;
        std::size_t index = 0;
    };
    std::vector<Item> items_; ///< by the centre's x
    double longest_ = 0;      ///< reach
    std::vector<std::size_t> found_;
};

} // namespace mezzet
