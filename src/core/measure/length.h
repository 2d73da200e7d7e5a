#pragma once

#include <cmath>
#include <compare>

namespace mezzet {

/// A distance. Millimetres inside; an inch is exactly 25.4 of them (international yard and pound
/// agreement, 1959).
class Length {
public:
    constexpr Length() = default;
    static constexpr Length millimetres(double v) { return Length(v); }
    static constexpr Length centimetres(double v) { return Length(v * 10.0); }
    static constexpr Length metres(double v) { return Length(v * 1000.0); }
    static constexpr Length inches(double v) { return Length(v * 25.4); }
    static constexpr Length feet(double v) { return Length(v * 304.8); }

    [[nodiscard]] constexpr double mm() const { return mm_; }
    [[nodiscard]] constexpr double inInches() const { return mm_ / 25.4; }

    constexpr auto operator<=>(const Length&) const = default;
    constexpr Length operator-() const { return Length(-mm_); }
    constexpr Length& operator+=(Length b) {
        mm_ += b.mm_;
        return *this;
    }
    constexpr Length& operator-=(Length b) {
        mm_ -= b.mm_;
        return *this;
    }
    friend constexpr Length operator+(Length a, Length b) { return Length(a.mm_ + b.mm_); }
    friend constexpr Length operator-(Length a, Length b) { return Length(a.mm_ - b.mm_); }
    friend constexpr Length operator*(Length a, double k) { return Length(a.mm_ * k); }
    friend constexpr Length operator*(double k, Length a) { return Length(a.mm_ * k); }
    friend constexpr Length operator/(Length a, double k) { return Length(a.mm_ / k); }
    friend constexpr double operator/(Length a, Length b) { return a.mm_ / b.mm_; }

private:
    explicit constexpr Length(double mm) : mm_(mm) {}
    double mm_ = 0;
};

inline Length abs(Length a) {
    return Length::millimetres(std::abs(a.mm()));
}

/// Two lengths closer than this are the same to Mezzet: 0.001 mm.
inline constexpr Length quiet = Length::millimetres(0.001);

namespace literals {
constexpr Length operator""_mm(long double v) {
    return Length::millimetres(static_cast<double>(v));
}
constexpr Length operator""_mm(unsigned long long v) {
    return Length::millimetres(static_cast<double>(v));
}
constexpr Length operator""_in(long double v) {
    return Length::inches(static_cast<double>(v));
}
constexpr Length operator""_in(unsigned long long v) {
    return Length::inches(static_cast<double>(v));
}
constexpr Length operator""_ft(unsigned long long v) {
    return Length::feet(static_cast<double>(v));
}
} // namespace literals

} // namespace mezzet
