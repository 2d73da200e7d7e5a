#include "sheets/polar.h"
#include "measure/texts.h"
#include "sheets/tr.h"

#include "sheets/paper_pen.h"

#include <fmt/format.h>

#include <cmath>
#include <numbers>

namespace mezzet::sheets {

namespace {

constexpr double polarSide = 120; // mm of paper
constexpr double polarFoot = 22;  // for the figures

/// A round figure a little over the largest value, in four rings.
double ringStep(double most) {
    const double each = std::max(most, 1e-6) / 4;
    const double ten = std::pow(10, std::floor(std::log10(each)));
    for (const double k : {1.0, 2.0, 2.5, 5.0})
        if (k * ten >= each - 1e-9)
            return k * ten;
    return 10 * ten;
}

class PolarPen : public PaperPen {
public:
    using PaperPen::PaperPen;

    void draw(const Photometry& p, const std::string& name) {
        clear(polarSide, polarSide + polarFoot);
        const double step = ringStep(p.most());
        const QPointF middle(polarSide / 2, polarSide / 2);
        const double radius = polarSide / 2 - 9;
        const auto at = [&](double degrees, double far) {
            const double a = degrees * std::numbers::pi / 180;
            return QPointF((middle.x() + std::sin(a) * far) * k_,
                           (middle.y() + std::cos(a) * far) * k_);
        };
        p_.setBrush(Qt::NoBrush);
        p_.setPen(QPen(paperLook().graphStrong, 0.12 * k_));
        for (int ring = 1; ring <= 4; ++ring) {
            const double r = radius * ring / 4;
            p_.drawEllipse(middle * k_, r * k_, r * k_);
        }
        for (int a = 0; a < 360; a += 30) {
            p_.setPen(QPen(paperLook().graphStrong, 0.12 * k_));
            p_.drawLine(middle * k_, at(a, radius));
            const int told = a > 180 ? 360 - a : a;
            const QPointF label = at(a, radius + 4) / k_;
            text({label.x() - 8, label.y() - 2, 16, 4}, Qt::AlignCenter, QString("%1°").arg(told),
                 2.6, true, QFont::Normal, paperLook().soft);
        }
        for (int ring = 1; ring <= 4; ++ring)
            text({middle.x() + 1, middle.y() - radius * ring / 4 - 1.6, 16, 3.2}, Qt::AlignLeft,
                 QString("%1").arg(step * ring), 2.4, true, QFont::Normal, paperLook().soft);
        const double scale = radius / (4 * step);
        for (const bool across : {true, false}) {
            if (across && p.horizontal.size() < 2 && p.type == PhotometricType::c)
                continue;
            QPolygonF curve;
            for (int v = -180; v <= 180; ++v) {
                const double a = v * std::numbers::pi / 180;
                const double side = std::sin(a);
                const double candela =
                    across ? p.along(0, side, std::cos(a)) : p.along(side, 0, std::cos(a));
                curve << at(v, candela * scale);
            }
            p_.setPen(QPen(paperLook().ink, (across ? 0.3 : 0.5) * k_,
                           across ? Qt::DashLine : Qt::SolidLine));
            p_.drawPolyline(curve);
        }
        text({6, polarSide + 1, polarSide - 12, 6}, Qt::AlignLeft,
             q(name.empty() ? std::string(tr("A fixture")) : name), 4, false, QFont::DemiBold);
        text({6, polarSide + 8, polarSide - 12, 5}, Qt::AlignLeft,
             q(worded("{:.0f} lm{}, at most {:.0f} cd; beam {:.0f}°, field {:.0f}°", p.lumens(),
                      p.watts > 0 ? fmt::format(", {:g} W", p.watts) : std::string(), p.most(),
                      p.spread(0.5), p.spread(0.1))),
             3.2);
        text({6, polarSide + 14, polarSide - 12, 5}, Qt::AlignLeft,
             tr("candela; full line H 0 to 180, dashes H 90 to 270"), 2.6, false, QFont::Normal,
             paperLook().soft);
    }
};

} // namespace

PaperJob polarCurve(PhotometryPtr p, std::string name) {
    PaperJob out{polarSide, polarSide + polarFoot, name, {}, {}};
    out.pages.emplace_back([p = std::move(p), name = std::move(name)](QPainter& painter, double k) {
        PolarPen(painter, k).draw(*p, name);
    });
    return out;
}

} // namespace mezzet::sheets
