// Light on the floor: a warm wash, and lines of one brightness with their figures.
#include "sheets/draw_floor.h"

#include <QPainterPath>

#include <algorithm>
#include <array>
#include <cmath>
#include <map>

namespace mezzet::sheets {

namespace {

constexpr std::array<double, 14> luxLevels{5,   10,  20,  50,  75,   100,  150,
                                           200, 300, 500, 750, 1000, 1500, 2000};

/// Lines of one brightness, by marching squares over the grid.
class Isolux {
public:
    Isolux(const LuxGrid& g, double level) : g_(g), level_(level) {
        for (std::size_t r = 0; r + 1 < g.rows; ++r)
            for (std::size_t c = 0; c + 1 < g.columns; ++c)
                square(c, r);
        chain();
    }
    std::vector<std::vector<Vec2>> lines;

private:
    [[nodiscard]] const std::optional<double>& at(std::size_t c, std::size_t r) const {
        return g_.lux[r * g_.columns + c];
    }
    [[nodiscard]] Vec2 place(double c, double r) const { return g_.from + Vec2{c, r} * g_.step; }
    void square(std::size_t c, std::size_t r) {
        const std::array<std::optional<double>, 4> v{at(c, r), at(c + 1, r), at(c + 1, r + 1),
                                                     at(c, r + 1)};
        if (!v[0] || !v[1] || !v[2] || !v[3])
            return;
        constexpr std::array<Vec2, 4> corner{Vec2{0, 0}, Vec2{1, 0}, Vec2{1, 1}, Vec2{0, 1}};
        std::vector<Vec2> crossings;
        for (std::size_t i = 0; i < 4; ++i) {
            const std::size_t k = (i + 1) % 4;
            if ((*v[i] < level_) == (*v[k] < level_))
                continue;
            // From the lower corner always, so that two squares find the same point.
            const bool turn = *v[i] > *v[k];
            const std::size_t a = turn ? k : i;
            const std::size_t b = turn ? i : k;
            const double part = (level_ - *v[a]) / (*v[b] - *v[a]);
            const Vec2 p = corner[a] + (corner[b] - corner[a]) * part;
            crossings.push_back(place(static_cast<double>(c) + p.x, static_cast<double>(r) + p.y));
        }
        for (std::size_t i = 0; i + 1 < crossings.size(); i += 2)
            pieces_.push_back({crossings[i], crossings[i + 1]});
    }
    [[nodiscard]] static std::pair<long, long> key(Vec2 p) {
        return {std::lround(p.x * 10), std::lround(p.y * 10)};
    }
    /// Joins pieces that share an end.
    void chain() {
        std::multimap<std::pair<long, long>, std::size_t> ends;
        for (std::size_t i = 0; i < pieces_.size(); ++i) {
            ends.emplace(key(pieces_[i].from), i);
            ends.emplace(key(pieces_[i].to), i);
        }
        std::vector<bool> used(pieces_.size(), false);
        for (std::size_t i = 0; i < pieces_.size(); ++i) {
            if (used[i])
                continue;
            used[i] = true;
            std::vector<Vec2> line{pieces_[i].from, pieces_[i].to};
            for (const bool back : {false, true}) {
                if (back)
                    std::reverse(line.begin(), line.end());
                for (bool more = true; more;) {
                    more = false;
                    const auto [low, high] = ends.equal_range(key(line.back()));
                    for (auto it = low; it != high && !more; ++it) {
                        const std::size_t n = it->second;
                        if (used[n])
                            continue;
                        used[n] = true;
                        more = true;
                        line.push_back(key(pieces_[n].from) == it->first ? pieces_[n].to
                                                                         : pieces_[n].from);
                    }
                }
            }
            lines.push_back(std::move(line));
        }
    }

    const LuxGrid& g_;
    double level_;
    std::vector<Segment> pieces_;
};

/// What is known nearest to a place of the grid that has none: beyond an edge it is as bright as
/// just before it.
std::optional<double> nearestLux(const LuxGrid& g, long c, long r) {
    constexpr long reach = 2;
    for (long away = 0; away <= reach; ++away)
        for (long dr = -away; dr <= away; ++dr)
            for (long dc = -away; dc <= away; ++dc) {
                const long cc = c + dc;
                const long rr = r + dr;
                if (std::max(std::abs(dc), std::abs(dr)) != away || cc < 0 || rr < 0 ||
                    cc >= static_cast<long>(g.columns) || rr >= static_cast<long>(g.rows))
                    continue;
                if (const auto& lux = g.lux[static_cast<std::size_t>(rr) * g.columns +
                                            static_cast<std::size_t>(cc)])
                    return lux;
            }
    return {};
}

} // namespace

void drawLux(const Drawing& d, const LuxGrid& g, const std::vector<Vec2>& edge) {
    if (g.columns < 2 || g.rows < 2)
        return;
    QPainter& p = d.painter;
    // The wash: brighter is warmer, by steps as the eye takes them; one cell more on every side.
    const auto columns = static_cast<int>(g.columns) + 2;
    const auto rows = static_cast<int>(g.rows) + 2;
    QImage wash(columns, rows, QImage::Format_ARGB32);
    wash.fill(Qt::transparent);
    for (int r = 0; r < rows; ++r)
        for (int c = 0; c < columns; ++c)
            if (const auto lux = nearestLux(g, c - 1, r - 1)) {
                const double bright = std::clamp(std::log10(std::max(*lux, 1.0)) / 3.0, 0.0, 1.0);
                const QColor dark(0x2b, 0x33, 0x4a, d.look.night ? 150 : 105);
                const QColor warm(0xff, 0xd8, 0x70, d.look.night ? 90 : 130);
                const auto mix = [&](int a, int b) {
                    return static_cast<int>(std::lround(a + (b - a) * bright));
                };
                wash.setPixelColor(
                    c, r,
                    QColor(mix(dark.red(), warm.red()), mix(dark.green(), warm.green()),
                           mix(dark.blue(), warm.blue()), mix(dark.alpha(), warm.alpha())));
            }
    const Vec2 low = g.from - Vec2{1.5, 1.5} * g.step;
    const Vec2 high = low + Vec2{static_cast<double>(columns), static_cast<double>(rows)} * g.step;
    p.save();
    QPainterPath floor;
    floor.addPolygon(d.polygon(edge));
    p.setClipPath(floor, Qt::IntersectClip);
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    p.drawImage(QRectF(d.at(low), d.at(high)), wash);
    p.restore();
    const QColor ink = d.look.night ? d.look.onInk : d.look.ink;
    for (const double level : luxLevels) {
        const Isolux iso(g, level);
        for (const auto& line : iso.lines) {
            QPolygonF path;
            for (const Vec2 v : line)
                path << d.at(v);
            p.setPen(QPen(ink, 0.9 * d.pen, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
            p.setBrush(Qt::NoBrush);
            p.drawPolyline(path);
            // A short one is told by its neighbours.
            constexpr std::size_t shortest = 6;
            if (line.size() < shortest || d.labels == nullptr)
                continue;
            QColor halo = d.look.floor;
            halo.setAlphaF(0.85F);
            const Words words{QString::number(level), lettering(12 * d.pen), ink, 30, 0, halo};
            std::vector<QRectF> places;
            constexpr std::size_t tries = 8;
            for (std::size_t i = 0; i < tries; ++i)
                places.push_back(
                    wordsAbout(d.at(line[line.size() * (2 * i + 1) / (2 * tries)]), words, d.pen));
            drawWords(d, std::move(places), words);
        }
    }
}

} // namespace mezzet::sheets
