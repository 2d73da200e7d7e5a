#pragma once

#include "geometry/vec.h"

#include <array>
#include <optional>
#include <vector>

namespace mezzet {

/// One thing observed between the points of a network, and how sure it is.
struct Observation {
    enum class Kind {
        distance, ///< between a and b
        angle,    ///< inside angle at b, from leg ba round the floor to leg bc
        offset,   ///< of c from the line a to b, positive on the floor's side (clockwise of it)
        bearing   ///< direction from a to b, clockwise from x
    };
    Kind kind = Kind::distance;
    int a = 0; ///< point index
    int b = 0;
    int c = 0;
    double value = 0; ///< mm, or radians
    double sigma = 1; ///< its standard error, in the same unit; more than 0
};

/// Where a point most likely lies: the standard error ellipse. It holds the true point with a
/// probability of 39.35 %; 2.448 times as large, with 95 % (chi-squared, two degrees of freedom).
struct Ellipse {
    double major = 0; ///< semi-axis, mm
    double minor = 0; ///< semi-axis, mm
    Angle turn;       ///< of the major axis, clockwise from x
};

/// How many standard ellipses hold the point with 95 %.
inline constexpr double ninetyFive = 2.4477;

/// A network adjusted by least squares.
struct Adjustment {
    bool determined = false; ///< false when the observations leave a point free to move
    bool settled = false;    ///< false when the iteration found no end
    std::vector<Vec2> points;
    std::vector<double> residuals; ///< adjusted less observed, an observation each, mm or radians
    std::vector<double> standardised; ///< residual over its own standard error; 0 when unchecked
    std::vector<double> share;        ///< redundancy number of each, 0 (unchecked) to 1
    std::vector<Ellipse> ellipses;    ///< a point each
    int redundancy = 0;               ///< observations less unknowns
    double chiSquare = 0;             ///< sum of squared residuals over their variances
    std::vector<double> covariance;   ///< of the unknowns, row by row; mm²
    int unknowns = 0;

    /// The covariance of the coordinates of two points (either may be held fixed, and gives 0):
    /// xx, xy, yx, yy; mm².
    [[nodiscard]] std::array<double, 4> between(int p, int q) const;
    std::vector<int> column; ///< of x and y of each point among the unknowns; -1 when held
};

/// Adjusts a network by least squares, weights 1 / sigma², by Gauss and Newton's iteration from
/// `start` (any surveying textbook; e.g. Ghilani and Wolf, Adjustment Computations). Point 0 is
/// held; the direction from 0 to 1 is held too unless a bearing is observed. Observations whose
/// index is in `without` take no part but get their residual all the same, with a standardised
/// residual as against a free value. Without `errors` only points, residuals and the sum of squares
/// are worked out, which takes a third of the time.
[[nodiscard]] Adjustment adjust(const std::vector<Vec2>& start, const std::vector<Observation>&,
                                const std::vector<int>& without = {}, bool errors = true);

/// What an observation would read between these points, mm or radians.
[[nodiscard]] double computed(const Observation&, const std::vector<Vec2>& points);

/// The standard error with which the adjusted points give what an observation measures.
[[nodiscard]] double computedSigma(const Observation&, const Adjustment&);

/// The largest semi-axis among the points, were one more observation of this kind made as well.
[[nodiscard]] double worstWith(const Observation&, const Adjustment&);

/// The probability that chi-squared of so many degrees of freedom is as large as this or larger.
[[nodiscard]] double chiSquareTail(double value, int degrees);

} // namespace mezzet
