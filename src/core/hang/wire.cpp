#include "hang/wire.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace mezzet {

namespace {

/// The part of the wire that lies level between the hooks, mm.
double level(const WireHang& w) {
    return w.hooks >= 2 ? std::clamp(w.hookSpacing.mm(), 0.0, w.ringSpacing.mm()) : 0.0;
}

} // namespace

WireDrop wireDrop(const WireHang& w) {
    WireDrop out;
    const double leg = (std::max(w.wire, w.ringSpacing).mm() - level(w)) / 2;
    const double across = (w.ringSpacing.mm() - level(w)) / 2;
    const double rise = std::sqrt(std::max(leg * leg - across * across, 0.0));
    out.rise = Length::millimetres(rise);
    out.drop = w.ringsDown - out.rise;
    out.overTop = out.drop < Length{};
    out.tension =
        rise > 0 ? w.weight.newtons() / 2 * leg / rise : std::numeric_limits<double>::infinity();
    return out;
}

Length wireFor(const WireHang& w, Length drop) {
    const double rise = std::max((w.ringsDown - drop).mm(), 0.0);
    const double across = (w.ringSpacing.mm() - level(w)) / 2;
    return Length::millimetres(level(w) + 2 * std::hypot(across, rise));
}

} // namespace mezzet
