#include "kit/metric.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

Length metricSize(Length l) {
    const double cm = l.mm() / 10;
    const double step = cm >= 100 ? 10 : cm >= 30 ? 5 : cm >= 5 ? 1 : 0.5;
    const double whole = std::round(cm / step) * step;
    return Length::centimetres(l > Length{} ? std::max(whole, 0.5) : whole);
}

Kind metricKind(const Kind& kind) {
    Kind k = kind;
    if (k.own)
        return k;
    const Size was = k.size;
    k.size = kind.metric
                 ? *kind.metric
                 : Size{metricSize(was.width), metricSize(was.depth), metricSize(was.height)};
    // A round one stays round; a height that was its highest point stays that.
    const auto height = [&](std::optional<Length>& h) {
        if (h)
            h = abs(*h - was.height) <= quiet ? k.size.height
                                              : std::min(metricSize(*h), k.size.height);
    };
    height(k.heights.seat);
    height(k.heights.arm);
    height(k.heights.back);
    height(k.heights.top);
    Footprint& f = k.footprint;
    f.corner = metricSize(f.corner);
    if (f.form == FootprintForm::ell) {
        f.bodyDepth = std::min(metricSize(f.bodyDepth), k.outlineSize().depth * 0.9);
        f.armWidth = std::min(metricSize(f.armWidth), k.outlineSize().width * 0.9);
    }
    for (Length* l : {&k.use.front, &k.use.back, &k.use.left, &k.use.right})
        *l = metricSize(*l);
    if (k.openings.count() > 0) {
        // Boards are bought by their thickness: 3/4 in is what is sold as 18 or 19 mm.
        k.openings.foot = metricSize(k.openings.foot);
    }
    k.clearBelow = std::min(metricSize(k.clearBelow), k.size.height);
    // Heights on a wall are measured finer than furniture is made.
    if (k.hangAt > Length{})
        k.hangAt = kind.metricHangAt > Length{}
                       ? kind.metricHangAt
                       : Length::centimetres(std::round(k.hangAt.mm() / 10));
    k.hanging.frame = metricSize(k.hanging.frame);
    k.hanging.mat = metricSize(k.hanging.mat);
    return k;
}

KitPtr metricKit(const Kit& kit) {
    std::vector<Kind> kinds;
    kinds.reserve(kit.kinds().size());
    for (const KindPtr& k : kit.kinds())
        kinds.push_back(metricKind(*k));
    // The same ids and words as a kit that was good: it can't be refused.
    auto out = Kit::of(std::move(kinds));
    return out ? std::make_shared<const Kit>(std::move(*out)) : nullptr;
}

} // namespace mezzet
