#pragma once

#include <cmath>
#include <compare>
#include <numbers>

namespace mezzet {

/// A turn, clockwise as seen from above. Not wrapped: 450 degrees stays 450 until normalised.
class Angle {
public:
    constexpr Angle() = default;
    static constexpr Angle degrees(double v) { return Angle(v * std::numbers::pi / 180.0); }
    static constexpr Angle radians(double v) { return Angle(v); }

    [[nodiscard]] constexpr double inDegrees() const { return rad_ * 180.0 / std::numbers::pi; }
    [[nodiscard]] constexpr double inRadians() const { return rad_; }
    /// The same direction in [0, 360) degrees.
    [[nodiscard]] Angle normalised() const {
        double r = std::fmod(rad_, 2 * std::numbers::pi);
        if (r < 0)
            r += 2 * std::numbers::pi;
        // A hair under a full turn is no turn at all.
        return Angle(2 * std::numbers::pi - r < 1e-10 ? 0.0 : r);
    }

    constexpr auto operator<=>(const Angle&) const = default;
    constexpr Angle operator-() const { return Angle(-rad_); }
    friend constexpr Angle operator+(Angle a, Angle b) { return Angle(a.rad_ + b.rad_); }
    friend constexpr Angle operator-(Angle a, Angle b) { return Angle(a.rad_ - b.rad_); }
    friend constexpr Angle operator*(Angle a, double k) { return Angle(a.rad_ * k); }

private:
    explicit constexpr Angle(double rad) : rad_(rad) {}
    double rad_ = 0;
};

/// The smallest turn from b to a, in (-180, 180] degrees.
inline Angle difference(Angle a, Angle b) {
    double r = std::remainder((a - b).inRadians(), 2 * std::numbers::pi);
    return Angle::radians(r);
}

} // namespace mezzet
