#include "hang/sag.h"

#include <Eigen/Dense>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// Newton metre²: E in GPa, sizes in metres.
double stiffness(const ShelfBeam& b) {
    const double t = b.thickness.mm() / 1000;
    return b.modulus * 1e9 * (b.depth.mm() / 1000) * t * t * t / 12;
}

/// Places where the beam's elements meet, metres: ends, props and loads.
std::vector<double> nodesOf(const ShelfBeam& b) {
    std::vector<double> at{0, b.length.mm() / 1000};
    for (const Length p : b.props)
        at.push_back(p.mm() / 1000);
    for (const PointLoad& l : b.loads)
        at.push_back(l.at.mm() / 1000);
    std::sort(at.begin(), at.end());
    std::erase_if(at, [&](double x) { return x < 0 || x > b.length.mm() / 1000; });
    at.erase(std::unique(at.begin(), at.end(), [](double a, double c) { return c - a < 1e-7; }),
             at.end());
    return at;
}

std::size_t nodeAt(const std::vector<double>& nodes, Length place) {
    std::size_t best = 0;
    for (std::size_t i = 0; i < nodes.size(); ++i)
        if (std::abs(nodes[i] - place.mm() / 1000) < std::abs(nodes[best] - place.mm() / 1000))
            best = i;
    return best;
}

} // namespace

Sag sagOf(const ShelfBeam& b) {
    Sag out;
    const double ei = stiffness(b);
    if (ei <= 0 || b.props.size() < 2 || b.length <= Length{})
        return out;
    const auto nodes = nodesOf(b);
    const auto count = static_cast<Eigen::Index>(nodes.size() * 2);
    // Downward deflection and slope at each node.
    Eigen::MatrixXd k = Eigen::MatrixXd::Zero(count, count);
    Eigen::VectorXd f = Eigen::VectorXd::Zero(count);
    for (std::size_t e = 0; e + 1 < nodes.size(); ++e) {
        const double l = nodes[e + 1] - nodes[e];
        const double s = ei / (l * l * l);
        Eigen::Matrix4d m;
        m << 12, 6 * l, -12, 6 * l, 6 * l, 4 * l * l, -6 * l, 2 * l * l, -12, -6 * l, 12, -6 * l,
            6 * l, 2 * l * l, -6 * l, 4 * l * l;
        const auto i = static_cast<Eigen::Index>(e * 2);
        k.block<4, 4>(i, i) += s * m;
        f.segment<4>(i) += b.load * l * Eigen::Vector4d(0.5, l / 12, 0.5, -l / 12);
    }
    for (const PointLoad& l : b.loads)
        f(static_cast<Eigen::Index>(nodeAt(nodes, l.at) * 2)) += l.weight.newtons();
    std::vector<bool> held(static_cast<std::size_t>(count), false);
    std::vector<std::size_t> props;
    for (const Length p : b.props) {
        props.push_back(nodeAt(nodes, p));
        held[props.back() * 2] = true;
    }
    if (b.clamped)
        held[props.front() * 2 + 1] = held[props.back() * 2 + 1] = true;
    std::vector<Eigen::Index> open;
    for (std::size_t i = 0; i < held.size(); ++i)
        if (!held[i])
            open.push_back(static_cast<Eigen::Index>(i));
    Eigen::VectorXd u = Eigen::VectorXd::Zero(count);
    if (!open.empty()) {
        const Eigen::MatrixXd part = k(open, open);
        const Eigen::VectorXd load = f(open);
        const Eigen::VectorXd moved = part.ldlt().solve(load);
        u(open) = moved;
    }
    for (const std::size_t p : props) {
        const auto i = static_cast<Eigen::Index>(p * 2);
        out.reactions.push_back(f(i) - k.row(i).dot(u));
    }
    const double first = nodes[props.front()];
    const double last = nodes[props.back()];
    for (std::size_t e = 0; e + 1 < nodes.size(); ++e) {
        const double l = nodes[e + 1] - nodes[e];
        const auto i = static_cast<Eigen::Index>(e * 2);
        constexpr int steps = 64;
        for (int n = 0; n <= steps; ++n) {
            const double x = l * n / steps;
            const double t = x / l;
            const double v = u(i) * (1 - 3 * t * t + 2 * t * t * t) +
                             u(i + 1) * l * (t - 2 * t * t + t * t * t) +
                             u(i + 2) * (3 * t * t - 2 * t * t * t) +
                             u(i + 3) * l * (t * t * t - t * t) +
                             b.load * x * x * (l - x) * (l - x) / (24 * ei);
            if (v * 1000 <= out.deflection.mm())
                continue;
            out.deflection = Length::millimetres(v * 1000);
            const double at = nodes[e] + x;
            out.at = Length::metres(at);
            double from = at < first ? 0 : first;
            double to = at > last ? nodes.back() : last;
            for (const std::size_t p : props) {
                if (nodes[p] <= at + 1e-9)
                    from = std::max(from, nodes[p]);
                if (nodes[p] >= at - 1e-9)
                    to = std::min(to, nodes[p]);
            }
            const bool free = at < first || at > last;
            out.span = Length::metres((to - from) * (free ? 2 : 1));
        }
    }
    out.ratio = out.span > Length{} ? out.deflection / out.span : 0;
    return out;
}

Length spanThatHolds(const ShelfBeam& b, double ratio) {
    const double ei = stiffness(b);
    if (ei <= 0 || b.load <= 0 || ratio <= 0)
        return {};
    return Length::metres(std::cbrt(384 * ei * ratio / (b.load * (b.clamped ? 1 : 5))));
}

} // namespace mezzet
