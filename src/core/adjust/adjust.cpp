#include "adjust/adjust.h"

#include <Eigen/Dense>

#include <algorithm>
#include <numbers>

namespace mezzet {

namespace {

constexpr int mostSteps = 30;
constexpr double settledStep = 1e-7; // mm
constexpr double roughStep = 1e-2;   // mm; sums of squares are told apart well enough

double wrapped(double radians) {
    return std::remainder(radians, 2 * std::numbers::pi);
}

/// The partial derivatives of an observation by the coordinates of its points.
struct Row {
    struct Term {
        int point;
        Vec2 by; ///< by x and by y
    };
    std::array<Term, 3> terms{};
    int count = 0;

    void add(int point, Vec2 by) { terms[static_cast<std::size_t>(count++)] = {point, by}; }
};

Vec2 at(const std::vector<Vec2>& points, int i) {
    return points[static_cast<std::size_t>(i)];
}

/// Of the direction from a to b, by b; the opposite by a.
Vec2 turnBy(Vec2 a, Vec2 b) {
    const Vec2 d = b - a;
    const double n2 = std::max(dot(d, d), 1e-12);
    return {-d.y / n2, d.x / n2};
}

Row derivatives(const Observation& o, const std::vector<Vec2>& p) {
    Row row;
    switch (o.kind) {
    case Observation::Kind::distance: {
        const Vec2 u = unit(at(p, o.b) - at(p, o.a));
        row.add(o.a, -u);
        row.add(o.b, u);
        break;
    }
    case Observation::Kind::bearing: {
        const Vec2 t = turnBy(at(p, o.a), at(p, o.b));
        row.add(o.a, -t);
        row.add(o.b, t);
        break;
    }
    case Observation::Kind::angle: {
        // 180° less the turn from ab to bc.
        const Vec2 in = turnBy(at(p, o.a), at(p, o.b));
        const Vec2 out = turnBy(at(p, o.b), at(p, o.c));
        row.add(o.a, -in);
        row.add(o.b, in + out);
        row.add(o.c, -out);
        break;
    }
    case Observation::Kind::offset: {
        const Vec2 along = at(p, o.b) - at(p, o.a);
        const double n = std::max(norm(along), 1e-6);
        const Vec2 u = along / n;
        const Vec2 normal = quarter(u);
        const double s = dot(at(p, o.c) - at(p, o.a), u) / n; // share of the way along
        row.add(o.a, normal * (s - 1));
        row.add(o.b, normal * -s);
        row.add(o.c, normal);
        break;
    }
    }
    return row;
}

/// Observed less computed.
double misfit(const Observation& o, const std::vector<Vec2>& p) {
    const double d = o.value - computed(o, p);
    const bool angular = o.kind == Observation::Kind::angle || o.kind == Observation::Kind::bearing;
    return angular ? wrapped(d) : d;
}

/// h P hᵀ, with h an observation's row over the unknowns.
template <class Matrix>
double through(const Row& row, const std::vector<int>& column, const Matrix& p) {
    std::array<std::pair<int, double>, 6> h{};
    std::size_t n = 0;
    for (int t = 0; t < row.count; ++t) {
        const auto& term = row.terms[static_cast<std::size_t>(t)];
        for (const int k : {0, 1}) {
            const int c = column[static_cast<std::size_t>(2 * term.point + k)];
            if (c >= 0)
                h[n++] = {c, k == 0 ? term.by.x : term.by.y};
        }
    }
    double sum = 0;
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t j = 0; j < n; ++j)
            sum += h[i].second * h[j].second * p(h[i].first, h[j].first);
    return sum;
}

using Square = Eigen::Matrix<double, Eigen::Dynamic, Eigen::Dynamic, Eigen::RowMajor>;

Eigen::Map<const Square> covarianceOf(const Adjustment& a) {
    return {a.covariance.data(), a.unknowns, a.unknowns};
}

Ellipse ellipseOf(double xx, double xy, double yy) {
    const double mean = (xx + yy) / 2;
    const double half = std::hypot((xx - yy) / 2, xy);
    return {std::sqrt(std::max(mean + half, 0.0)), std::sqrt(std::max(mean - half, 0.0)),
            Angle::radians(half < 1e-18 ? 0 : 0.5 * std::atan2(2 * xy, xx - yy))};
}

} // namespace

double computed(const Observation& o, const std::vector<Vec2>& p) {
    switch (o.kind) {
    case Observation::Kind::distance:
        return norm(at(p, o.b) - at(p, o.a));
    case Observation::Kind::bearing:
        return directionOf(at(p, o.b) - at(p, o.a)).inRadians();
    case Observation::Kind::angle: {
        const double turn =
            wrapped((directionOf(at(p, o.c) - at(p, o.b)) - directionOf(at(p, o.b) - at(p, o.a)))
                        .inRadians());
        return std::numbers::pi - turn;
    }
    case Observation::Kind::offset:
        return dot(quarter(unit(at(p, o.b) - at(p, o.a))), at(p, o.c) - at(p, o.a));
    }
    return 0;
}

std::array<double, 4> Adjustment::between(int p, int q) const {
    std::array<double, 4> out{};
    for (std::size_t i = 0; i < 2; ++i) {
        for (std::size_t j = 0; j < 2; ++j) {
            const int r = column[2 * static_cast<std::size_t>(p) + i];
            const int c = column[2 * static_cast<std::size_t>(q) + j];
            if (r >= 0 && c >= 0)
                out[2 * i + j] = covariance[static_cast<std::size_t>(r * unknowns + c)];
        }
    }
    return out;
}

Adjustment adjust(const std::vector<Vec2>& start, const std::vector<Observation>& observations,
                  const std::vector<int>& without, bool errors) {
    Adjustment out;
    out.points = start;
    const std::size_t m = observations.size();
    const bool oriented =
        std::any_of(observations.begin(), observations.end(),
                    [](const Observation& o) { return o.kind == Observation::Kind::bearing; });
    if (!oriented && start.size() > 1)
        out.points[1].y = out.points[0].y; // the way from 0 to 1 lies along x
    out.column.assign(2 * start.size(), -1);
    for (std::size_t i = 2; i < out.column.size(); ++i)
        if (i != 3 || oriented)
            out.column[i] = out.unknowns++;
    const int u = out.unknowns;
    std::vector<char> used(m, 1);
    for (const int i : without)
        used[static_cast<std::size_t>(i)] = 0;
    const auto count = static_cast<int>(std::count(used.begin(), used.end(), 1));
    out.redundancy = count - u;
    out.residuals.assign(m, 0);
    out.standardised.assign(m, 0);
    out.share.assign(m, 0);
    out.ellipses.assign(start.size(), {});
    if (errors)
        out.covariance.assign(static_cast<std::size_t>(u) * static_cast<std::size_t>(u), 0);
    if (u == 0 || count < u)
        return out;

    Square normal(u, u);
    Eigen::VectorXd right(u);
    Eigen::LLT<Square> factor;
    for (int step = 0; step < mostSteps; ++step) {
        normal.setZero();
        right.setZero();
        for (std::size_t i = 0; i < m; ++i) {
            if (used[i] == 0)
                continue;
            const auto& o = observations[i];
            const Row row = derivatives(o, out.points);
            const double weight = 1 / (o.sigma * o.sigma);
            const double l = misfit(o, out.points);
            std::array<std::pair<int, double>, 6> h{};
            std::size_t n = 0;
            for (int t = 0; t < row.count; ++t) {
                const auto& term = row.terms[static_cast<std::size_t>(t)];
                for (const int k : {0, 1}) {
                    const int c = out.column[static_cast<std::size_t>(2 * term.point + k)];
                    if (c >= 0)
                        h[n++] = {c, k == 0 ? term.by.x : term.by.y};
                }
            }
            for (std::size_t p = 0; p < n; ++p) {
                right(h[p].first) += h[p].second * weight * l;
                for (std::size_t q = 0; q < n; ++q)
                    normal(h[p].first, h[q].first) += h[p].second * weight * h[q].second;
            }
        }
        // A point that nothing holds shows as a pivot that vanishes beside its diagonal.
        Eigen::VectorXd scale = normal.diagonal().cwiseSqrt();
        if ((scale.array() <= 0).any())
            return out;
        const Square scaled =
            scale.cwiseInverse().asDiagonal() * normal * scale.cwiseInverse().asDiagonal();
        factor.compute(scaled);
        if (factor.info() != Eigen::Success ||
            Eigen::VectorXd(Square(factor.matrixL()).diagonal()).minCoeff() < 1e-6)
            return out;
        const Eigen::VectorXd change =
            scale.cwiseInverse().asDiagonal() *
            factor.solve(Eigen::VectorXd(scale.cwiseInverse().asDiagonal() * right));
        for (std::size_t i = 0; i < out.column.size(); ++i) {
            if (out.column[i] < 0)
                continue;
            Vec2& p = out.points[i / 2];
            (i % 2 == 0 ? p.x : p.y) += change(out.column[i]);
        }
        if (!change.allFinite())
            return out;
        if (change.cwiseAbs().maxCoeff() < (errors ? settledStep : roughStep)) {
            out.settled = true;
            if (!errors)
                break;
            const Square inverse = factor.solve(Square::Identity(u, u));
            Eigen::Map<Square>(out.covariance.data(), u, u) =
                scale.cwiseInverse().asDiagonal() * inverse * scale.cwiseInverse().asDiagonal();
            break;
        }
    }
    if (!out.settled)
        return out;
    out.determined = true;
    for (std::size_t i = 0; i < m; ++i) {
        const auto& o = observations[i];
        out.residuals[i] = -misfit(o, out.points);
        if (used[i] != 0)
            out.chiSquare += out.residuals[i] * out.residuals[i] / (o.sigma * o.sigma);
    }
    if (!errors)
        return out;
    const auto cov = covarianceOf(out);
    for (std::size_t i = 0; i < m; ++i) {
        const auto& o = observations[i];
        const double known = through(derivatives(o, out.points), out.column, cov);
        const double own = o.sigma * o.sigma;
        if (used[i] == 0) {
            out.share[i] = own / (own + known); // what it would be checked by, taken back in
            out.standardised[i] = out.residuals[i] / std::sqrt(own + known);
            continue;
        }
        out.share[i] = std::clamp(1 - known / own, 0.0, 1.0);
        if (out.share[i] > 1e-6)
            out.standardised[i] = out.residuals[i] / (o.sigma * std::sqrt(out.share[i]));
    }
    for (std::size_t i = 0; i < start.size(); ++i) {
        const auto c = out.between(static_cast<int>(i), static_cast<int>(i));
        out.ellipses[i] = ellipseOf(c[0], c[1], c[3]);
    }
    return out;
}

double computedSigma(const Observation& o, const Adjustment& a) {
    return std::sqrt(std::max(through(derivatives(o, a.points), a.column, covarianceOf(a)), 0.0));
}

double worstWith(const Observation& o, const Adjustment& a) {
    const auto cov = covarianceOf(a);
    const Row row = derivatives(o, a.points);
    Eigen::VectorXd ph = Eigen::VectorXd::Zero(a.unknowns); // P hᵀ
    for (int t = 0; t < row.count; ++t) {
        const auto& term = row.terms[static_cast<std::size_t>(t)];
        for (const int k : {0, 1}) {
            const int c = a.column[static_cast<std::size_t>(2 * term.point + k)];
            if (c >= 0)
                ph += cov.row(c).transpose() * (k == 0 ? term.by.x : term.by.y);
        }
    }
    const double spread = o.sigma * o.sigma + through(row, a.column, cov);
    double worst = 0;
    for (std::size_t i = 0; i < a.points.size(); ++i) {
        const auto c = a.between(static_cast<int>(i), static_cast<int>(i));
        const auto gain = [&](std::size_t k) {
            const int col = a.column[2 * i + k];
            return col < 0 ? 0.0 : ph(col);
        };
        worst = std::max(worst, ellipseOf(c[0] - gain(0) * gain(0) / spread,
                                          c[1] - gain(0) * gain(1) / spread,
                                          c[3] - gain(1) * gain(1) / spread)
                                    .major);
    }
    return worst;
}

double chiSquareTail(double value, int degrees) {
    if (degrees <= 0)
        return 1;
    // The regularised upper incomplete gamma function by recursion on the degrees of freedom
    // (Abramowitz and Stegun 26.4.4 and 26.4.5).
    const double h = value / 2;
    double term = degrees % 2 == 0 ? std::exp(-h)
                                   : 2 * std::sqrt(value / (2 * std::numbers::pi)) * std::exp(-h);
    double tail = degrees % 2 == 0 ? term : std::erfc(std::sqrt(h));
    if (degrees % 2 == 0) {
        for (int k = 1; k < degrees / 2; ++k)
            tail += term *= h / k;
    } else {
        for (int k = 1; k <= (degrees - 1) / 2; ++k) {
            tail += term;
            term *= value / (2 * k + 1);
        }
    }
    return std::clamp(tail, 0.0, 1.0);
}

} // namespace mezzet
