#pragma once

#include "measure/notation.h"

#include <compare>
#include <optional>
#include <string>
#include <string_view>

namespace mezzet {

/// How heavy something is. Kilograms inside; a pound is exactly 0.45359237 of them (international
/// yard and pound agreement, 1959).
class Mass {
public:
    constexpr Mass() = default;
    static constexpr Mass kilograms(double v) { return Mass(v); }
    static constexpr Mass newtons(double v) { return Mass(v / 9.80665); }
    static constexpr Mass pounds(double v) { return Mass(v * 0.45359237); }

    [[nodiscard]] constexpr double kg() const { return kg_; }
    [[nodiscard]] constexpr double lb() const { return kg_ / 0.45359237; }
    /// Its weight, newtons, under standard gravity (9.80665 m/s², CGPM 1901).
    [[nodiscard]] constexpr double newtons() const { return kg_ * 9.80665; }

    constexpr auto operator<=>(const Mass&) const = default;
    friend constexpr Mass operator+(Mass a, Mass b) { return Mass(a.kg_ + b.kg_); }
    friend constexpr Mass operator*(Mass a, double k) { return Mass(a.kg_ * k); }
    friend constexpr Mass operator/(Mass a, double k) { return Mass(a.kg_ / k); }
    friend constexpr double operator/(Mass a, Mass b) { return a.kg_ / b.kg_; }

private:
    explicit constexpr Mass(double kg) : kg_(kg) {}
    double kg_ = 0;
};

/// "24 lb" or "11 kg", as the job's units are; to a tenth under ten.
[[nodiscard]] std::string write(Mass, Notation);
/// Reads "24 lb", "24lbs", "24 pounds", "11 kg"; a bare number takes the job's units. Empty when
/// the text begins otherwise; `used` is the bytes taken.
[[nodiscard]] std::optional<Mass> scanMass(std::string_view text, Units bare, std::size_t& used);

} // namespace mezzet
