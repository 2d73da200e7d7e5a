#include "photometry/photometry.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace mezzet {

namespace {

constexpr double radian = std::numbers::pi / 180;

/// Where a value lies among rising ones: between `low` and `low + 1`, so far along. False outside.
struct Between {
    std::size_t low = 0;
    double part = 0;
};
bool locate(const std::vector<double>& rising, double x, Between& out) {
    constexpr double same = 1e-9;
    if (rising.empty() || x < rising.front() - same || x > rising.back() + same)
        return false;
    if (rising.size() == 1) {
        out = {};
        return true;
    }
    auto above = std::upper_bound(rising.begin(), rising.end(), x);
    if (above == rising.end())
        --above;
    if (above == rising.begin())
        ++above;
    out.low = static_cast<std::size_t>(above - rising.begin()) - 1;
    const double from = rising[out.low];
    out.part = std::clamp((x - from) / (rising[out.low + 1] - from), 0.0, 1.0);
    return true;
}

/// An angle round the upright folded into what a type C distribution gives.
double folded(const std::vector<double>& given, double h) {
    h = std::fmod(h, 360);
    if (h < 0)
        h += 360;
    constexpr double same = 1e-6;
    const double first = given.front();
    const double last = given.back();
    const auto is = [](double a, double b) { return std::abs(a - b) < same; };
    if (is(first, 0) && is(last, 90)) {
        if (h > 180)
            h = 360 - h;
        return h > 90 ? 180 - h : h;
    }
    if (is(first, 0) && is(last, 180))
        return h > 180 ? 360 - h : h;
    if (is(first, 90) && is(last, 270))
        return h < 90 ? 180 - h : h > 270 ? 540 - h : h;
    if (is(first, -90) && is(last, 90)) {
        if (h > 180)
            h -= 360;
        return h > 90 ? 180 - h : h < -90 ? -180 - h : h;
    }
    return h;
}

/// The integral of a + b (v - v0) by sin v from v0 to v1; radians.
double overSine(double v0, double v1, double i0, double i1) {
    const double b = (i1 - i0) / (v1 - v0);
    const double a = i0 - b * v0;
    const auto primitive = [&](double v) {
        return -a * std::cos(v) + b * (std::sin(v) - v * std::cos(v));
    };
    return primitive(v1) - primitive(v0);
}
/// The same by cos v.
double overCosine(double v0, double v1, double i0, double i1) {
    const double b = (i1 - i0) / (v1 - v0);
    const double a = i0 - b * v0;
    const auto primitive = [&](double v) {
        return a * std::sin(v) + b * (std::cos(v) + v * std::sin(v));
    };
    return primitive(v1) - primitive(v0);
}

} // namespace

double Photometry::at(double v, double h) const {
    Between up;
    Between about;
    if (!locate(vertical, v, up))
        return 0;
    if (horizontal.size() > 1) {
        if (type == PhotometricType::c)
            h = folded(horizontal, h);
        else if (horizontal.front() >= -1e-9)
            h = std::abs(h); // alike on both sides
        if (!locate(horizontal, h, about))
            return 0;
    }
    const auto value = [&](std::size_t hi, std::size_t vi) {
        return candela[hi * vertical.size() + vi];
    };
    const auto row = [&](std::size_t hi) {
        const double low = value(hi, up.low);
        return up.part == 0 ? low : low + (value(hi, up.low + 1) - low) * up.part;
    };
    const double low = row(about.low);
    return about.part == 0 ? low : low + (row(about.low + 1) - low) * about.part;
}

double Photometry::along(double x, double y, double z) const {
    const double far = std::sqrt(x * x + y * y + z * z);
    if (far <= 0)
        return 0;
    switch (type) {
    case PhotometricType::c: {
        const double v = std::acos(std::clamp(z / far, -1.0, 1.0)) / radian;
        return at(v, horizontal.size() > 1 ? std::atan2(y, x) / radian : 0);
    }
    case PhotometricType::b: // the level axis is x
        return at(std::atan2(y, z) / radian, std::asin(std::clamp(x / far, -1.0, 1.0)) / radian);
    case PhotometricType::a: // the upright axis is y
        return at(std::asin(std::clamp(y / far, -1.0, 1.0)) / radian, std::atan2(x, z) / radian);
    }
    return 0;
}

double Photometry::lumens() const {
    const std::size_t nv = vertical.size();
    const std::size_t nh = horizontal.size();
    if (nv < 2)
        return 0;
    const auto row = [&](std::size_t hi, std::size_t vi) { return candela[hi * nv + vi]; };
    double sum = 0;
    if (type == PhotometricType::c) {
        const auto zone = [&](std::size_t hi) {
            double all = 0;
            for (std::size_t i = 0; i + 1 < nv; ++i)
                all += overSine(vertical[i] * radian, vertical[i + 1] * radian, row(hi, i),
                                row(hi, i + 1));
            return all;
        };
        if (nh == 1)
            return 2 * std::numbers::pi * zone(0);
        double before = zone(0);
        for (std::size_t i = 0; i + 1 < nh; ++i) {
            const double next = zone(i + 1);
            sum += (before + next) / 2 * (horizontal[i + 1] - horizontal[i]) * radian;
            before = next;
        }
        const double span = horizontal.back() - horizontal.front();
        // What is mirrored shines as well.
        return sum * (span < 359 && (std::abs(span - 90) < 1e-6 || std::abs(span - 180) < 1e-6)
                          ? 360 / span
                          : 1);
    }
    const double alike = nh > 1 && horizontal.front() >= -1e-9 ? 2 : 1;
    if (nh < 2)
        return 0;
    // The angle toward the poles is V of type A and H of type B.
    const bool byV = type == PhotometricType::a;
    const auto& poles = byV ? vertical : horizontal;
    const auto& turns = byV ? horizontal : vertical;
    const auto zone = [&](std::size_t r) {
        double all = 0;
        for (std::size_t i = 0; i + 1 < poles.size(); ++i)
            all += overCosine(poles[i] * radian, poles[i + 1] * radian, byV ? row(r, i) : row(i, r),
                              byV ? row(r, i + 1) : row(i + 1, r));
        return all;
    };
    double before = zone(0);
    for (std::size_t i = 0; i + 1 < turns.size(); ++i) {
        const double next = zone(i + 1);
        sum += (before + next) / 2 * (turns[i + 1] - turns[i]) * radian;
        before = next;
    }
    return sum * alike;
}

double Photometry::most() const {
    return candela.empty() ? 0 : *std::max_element(candela.begin(), candela.end());
}

double Photometry::spread(double part) const {
    const double middle = at(0, 0);
    if (middle <= 0)
        return 0;
    constexpr double step = 0.1;
    double v = 0;
    while (v < 180 && at(v, 0) >= middle * part)
        v += step;
    return 2 * v;
}

Photometry Photometry::times(double factor) const {
    Photometry out = *this;
    for (double& c : out.candela)
        c *= factor;
    out.lampLumens *= factor;
    return out;
}

} // namespace mezzet
