#include "survey/fit.h"

#include "geometry/polygon.h"
#include "measure/texts.h"
#include "survey/slip.h"

#include <algorithm>
#include <numbers>
#include <numeric>

namespace mezzet {

namespace {

constexpr double suspectFrom = 3.0;  ///< standard errors; 1 in 370 by chance
constexpr double setAsideFrom = 4.0; ///< 1 in 16,000 by chance
constexpr int mostSetAside = 3;
constexpr int manyCorners = 48;
constexpr std::size_t mostTried = 8;   ///< suspects looked at
constexpr std::size_t mostWorked = 3;  ///< of them, adjusted without
constexpr std::size_t mostClosers = 3; ///< runs tried because they alone would close the room
/// A recognised slip is taken to be so much likelier than an odd miss: e⁴ to 1.
constexpr double slipBonus = 8;

double degrees(double radians) {
    return radians * 180 / std::numbers::pi;
}

/// The adjusted place of two lines' crossing, each held off a wall.
std::optional<Vec2> crossingOf(const std::vector<Vec2>& corners, const FromWall& a, double offA,
                               const FromWall& b, double offB) {
    const auto n = corners.size();
    const auto normal = [&](int w) {
        const auto i = static_cast<std::size_t>(w);
        return quarter(unit(corners[(i + 1) % n] - corners[i]));
    };
    const Vec2 na = normal(a.wall);
    const Vec2 nb = normal(b.wall);
    const double det = cross(na, nb);
    if (std::abs(det) < 0.1)
        return {};
    const double ca = dot(na, corners[static_cast<std::size_t>(a.wall)]) + offA;
    const double cb = dot(nb, corners[static_cast<std::size_t>(b.wall)]) + offB;
    return Vec2{(ca * nb.y - cb * na.y) / det, (na.x * cb - nb.x * ca) / det};
}

class Fitter {
public:
    Fitter(const TapeNotes& notes, const Traverse& raw)
        : notes_(notes), raw_(raw),
          n_(static_cast<int>(notes.walls.size())), shown_{notes.units, 16} {}

    Fit run() {
        if (n_ < 3)
            return std::move(out_);
        if (!raw_.closure.turnsOnce) {
            wrongTurns();
            return std::move(out_);
        }
        out_.possible = true;
        points_ = raw_.balanced;
        walls();
        diagonals();
        columns();
        net_ = adjust(points_, observations_);
        if (!net_.determined && std::none_of(notes_.walls.begin(), notes_.walls.end(), isUnknown)) {
            // A slip so gross that the iteration finds no end.
            net_.chiSquare = 1e9;
            net_.points = points_;
        }
        if (net_.determined || net_.chiSquare > 0)
            snoop();
        out_.determined = net_.determined;
        if (net_.determined) {
            tellItems();
            next(net_);
        } else {
            undetermined();
        }
        tell();
        return std::move(out_);
    }

private:
    using Kind = Observation::Kind;

    static bool isUnknown(const TapedWall& w) { return w.corner == CornerSure::unknown; }

    void add(FitItem item, Observation o) {
        item.sigma = item.angular() ? degrees(o.sigma) : o.sigma;
        item.observed = item.angular() ? degrees(o.value) : o.value;
        out_.items.push_back(std::move(item));
        observations_.push_back(o);
    }

    void walls() {
        for (int i = 0; i < n_; ++i) {
            const auto& w = notes_.walls[static_cast<std::size_t>(i)];
            FitItem item;
            item.wall = i;
            item.place = w.place;
            item.name = worded("wall {}", w.name);
            item.made = {w.run};
            add(item, {Kind::distance, i, (i + 1) % n_, 0, w.run.value.mm(),
                       notes_.weights.of(w.run.tool).of(w.run.value).mm()});
        }
        for (int i = 0; i < n_; ++i) {
            const auto& w = notes_.walls[static_cast<std::size_t>(i)];
            corner(w, i);
            for (const auto& o : w.openings)
                parts(i, o.at, o.width, o.place);
            for (const auto& f : w.fixtures)
                parts(i, f.at, f.width, f.place);
            for (const auto& r : w.recesses)
                parts(i, r.at, r.width, r.place);
        }
    }

    void corner(const TapedWall& w, int i) {
        if (w.corner == CornerSure::unknown)
            return;
        FitItem item;
        item.is = FitItem::Is::corner;
        item.wall = i;
        item.assumed = w.corner == CornerSure::assumed;
        item.place = w.cornerPlace;
        item.name = worded("the corner of {} and {}", w.name, wallName((i + 1) % n_));
        const auto& k = notes_.weights;
        const Angle sigma = w.corner == CornerSure::assumed    ? k.assumed
                            : w.corner == CornerSure::measured ? k.measured
                                                               : k.byEye;
        add(item, {Kind::angle, i, (i + 1) % n_, (i + 2) % n_, w.insideAngle.inRadians(),
                   sigma.inRadians()});
    }

    /// Taped from both corners, a thing and its two sides make the wall's run once more.
    void parts(int wall, const TapedPlace& at, const Taped& width, NotePlace place) {
        if (!at.both())
            return;
        FitItem item;
        item.is = FitItem::Is::parts;
        item.wall = wall;
        item.place = place;
        item.name = worded("the parts along wall {}", wallName(wall));
        item.made = {*at.left, width, *at.right};
        double sum = 0, variance = 0;
        for (const auto& t : item.made) {
            sum += t.value.mm();
            if (t.written.empty())
                continue; // an outlet has no width
            const double s = notes_.weights.of(t.tool).of(t.value).mm();
            variance += s * s;
        }
        add(item, {Kind::distance, wall, (wall + 1) % n_, 0, sum, std::sqrt(variance)});
    }

    void diagonals() {
        for (const auto& d : notes_.diagonals) {
            FitItem item;
            item.is = FitItem::Is::diagonal;
            item.wall = d.from;
            item.other = d.to;
            item.place = d.place;
            item.name = worded("diagonal {} to {}", wallName(d.from), wallName(d.to));
            item.made = {d.run};
            add(item, {Kind::distance, d.from, d.to, 0, d.run.value.mm(),
                       notes_.weights.of(d.run.tool).of(d.run.value).mm()});
        }
    }

    /// From a column's middle to its face toward a wall, when it was taped to its face.
    [[nodiscard]] double halfToward(const TapedFixture& c, int wall) const {
        if (!c.toFace)
            return 0;
        if (c.round)
            return c.width.value.mm() / 2;
        const auto along = [&](int w) {
            const auto i = static_cast<std::size_t>(w);
            const auto count = static_cast<std::size_t>(n_);
            return unit(points_[(i + 1) % count] - points_[i]);
        };
        const Vec2 a = along(c.columnAt.front().wall);
        const Vec2 b = along(wall);
        return std::abs(cross(a, b)) * c.width.value.mm() / 2 +
               std::abs(dot(a, b)) * c.depth.mm() / 2;
    }

    void columns() {
        for (std::size_t k = 0; k < notes_.columns.size(); ++k) {
            const auto& c = notes_.columns[k];
            std::optional<Vec2> start;
            for (std::size_t j = 1; j < c.columnAt.size() && !start; ++j) {
                const auto& a = c.columnAt.front();
                const auto& b = c.columnAt[j];
                start = crossingOf(raw_.balanced, a, a.away.value.mm() + halfToward(c, a.wall), b,
                                   b.away.value.mm() + halfToward(c, b.wall));
            }
            if (!start)
                continue; // buildRoom tells
            const int point = static_cast<int>(points_.size());
            points_.push_back(*start);
            for (const auto& from : c.columnAt) {
                FitItem item;
                item.is = FitItem::Is::column;
                item.wall = from.wall;
                item.other = static_cast<int>(k);
                item.place = from.place;
                item.name = worded("the column's distance from wall {}", wallName(from.wall));
                item.made = {from.away};
                add(item, {Kind::offset, from.wall, (from.wall + 1) % n_, point,
                           from.away.value.mm() + halfToward(c, from.wall),
                           notes_.weights.of(from.away.tool).of(from.away.value).mm()});
            }
        }
    }

    // ---- finding the slip ----

    struct Tried {
        int item;
        double drop;              ///< of the sum of squares without it
        std::vector<Vec2> points; ///< without it; empty when they were not worked out
        Suspect suspect;
    };

    /// `residual` is what the others say, less what was taken; in mm or radians.
    Suspect suspectOf(int item, double drop, double residual) {
        const auto& it = out_.items[static_cast<std::size_t>(item)];
        const auto& o = observations_[static_cast<std::size_t>(item)];
        Suspect s;
        s.item = item;
        s.standardised = std::copysign(std::sqrt(std::max(drop, 0.0)), residual);
        const double unitOf = it.angular() ? 180 / std::numbers::pi : 1;
        s.likely = (o.value + residual) * unitOf;
        // How sure the others are of it follows from how much of it they check.
        const double share = net_.determined ? net_.share[static_cast<std::size_t>(item)] : 0.5;
        s.likelySigma = it.sigma * std::sqrt((1 - share) / std::max(share, 1e-3));
        const double within = std::hypot(s.likelySigma, it.sigma);
        if (it.angular()) {
            if (!it.assumed)
                s.slip = angleSlipWords(it.observed, s.likely, std::max(3 * within, 1.0));
        } else {
            const Length near = std::clamp(
                Length::millimetres(2.5 * within), Length::inches(0.25),
                std::max(Length::inches(0.25), Length::millimetres(std::abs(residual) * 0.2)));
            // Among parts, the one whose figures explain it all.
            for (const auto& part : it.made) {
                if (part.written.empty() || !s.slip.empty())
                    continue;
                const Length partLikely = part.value + Length::millimetres(s.likely - it.observed);
                s.slip = slipWords(part, partLikely, near, notes_.units);
                if (!s.slip.empty() && it.made.size() > 1)
                    s.slip = worded("{} in the {}", s.slip, write(part.value, shown_));
            }
        }
        return s;
    }

    void describe(Suspect& s) const {
        const auto& it = out_.items[static_cast<std::size_t>(s.item)];
        auto name = it.name;
        name[0] = static_cast<char>(std::toupper(static_cast<unsigned char>(name[0])));
        if (it.angular()) {
            const auto likely = decimals(fmt::format("{:.1f}", s.likely));
            s.words = it.assumed ? worded("{} is not square: the rest say {}°", name, likely)
                                 : worded("{} was written {}°, and the rest say {}°", name,
                                          decimals(fmt::format("{:g}", it.observed)), likely);
        } else {
            const auto l = [&](double mm) { return write(Length::millimetres(mm), shown_); };
            s.words = it.made.size() > 1 ? worded("{} make {}, and the rest say {}", name,
                                                  l(it.observed), l(s.likely))
                                         : worded("{} was taped {}, and the rest say {}", name,
                                                  l(it.observed), l(s.likely));
        }
        if (!s.slip.empty())
            s.words += ": " + s.slip;
        s.words += worded(" (line {})", it.place.line);
    }

    /// Corners as if one run had been misread: it takes what closes the room best, the rest stands.
    [[nodiscard]] std::vector<Vec2> closedBy(int run, double* left = nullptr) const {
        const auto i = static_cast<std::size_t>(run);
        const Vec2 dir = unit(raw_.raw[i + 1] - raw_.raw[i]);
        const double change = -dot(raw_.closure.step, dir);
        auto moved = raw_.raw;
        for (std::size_t k = i + 1; k < moved.size(); ++k)
            moved[k] = moved[k] + dir * change;
        if (left != nullptr)
            *left = norm(moved.back() - moved.front());
        auto out = compassRule(moved);
        out.insert(out.end(), points_.begin() + n_, points_.end());
        return out;
    }

    /// With a gross slip the iteration begins far from the truth, and residuals mislead: the runs
    /// that would close the room if they were other than written are tried too.
    [[nodiscard]] std::vector<int> closersOf() const {
        std::vector<std::pair<double, int>> closers;
        for (int i = 0; i < n_; ++i) {
            double left = 0;
            static_cast<void>(closedBy(i, &left));
            closers.emplace_back(left, i);
        }
        std::sort(closers.begin(), closers.end());
        std::vector<int> out;
        for (std::size_t k = 0; k < closers.size() && k < mostClosers; ++k)
            out.push_back(closers[k].second);
        return out;
    }

    std::vector<Tried> tryWithout(const std::vector<int>& aside) {
        std::vector<int> order;
        for (std::size_t i = 0; i < out_.items.size(); ++i)
            if (std::find(aside.begin(), aside.end(), static_cast<int>(i)) == aside.end() &&
                std::abs(net_.standardised[i]) > suspectFrom * 0.6)
                order.push_back(static_cast<int>(i));
        std::sort(order.begin(), order.end(), [&](int a, int b) {
            return std::abs(net_.standardised[static_cast<std::size_t>(a)]) >
                   std::abs(net_.standardised[static_cast<std::size_t>(b)]);
        });
        std::vector<Tried> out;
        const bool lost = !net_.determined;
        if (!lost &&
            (order.empty() ||
             std::abs(net_.standardised[static_cast<std::size_t>(order.front())]) < suspectFrom))
            return out;
        if (order.size() > mostTried)
            order.resize(mostTried);
        const auto closers = aside.empty() ? closersOf() : std::vector<int>{};
        for (const int i : closers)
            if (std::find(order.begin(), order.end(), i) == order.end())
                order.push_back(i);
        // The likeliest are worked through anew, the others judged in a straight line from here.
        std::size_t worked = 0;
        for (const int i : order) {
            const auto k = static_cast<std::size_t>(i);
            const bool closer = worked >= mostWorked && aside.empty() && i < n_ &&
                                std::find(closers.begin(), closers.end(), i) != closers.end();
            if (!lost && worked >= mostWorked && !closer) {
                if (net_.share[k] > 1e-3)
                    out.push_back({i,
                                   net_.standardised[k] * net_.standardised[k],
                                   {},
                                   suspectOf(i, net_.standardised[k] * net_.standardised[k],
                                             net_.residuals[k] / net_.share[k])});
                continue;
            }
            ++worked;
            auto without = aside;
            without.push_back(i);
            // A gross slip in a run: begin from the room it would close.
            const bool gross = aside.empty() && i < n_ && std::abs(net_.standardised[k]) > 15;
            auto a = adjust(lost || closer || gross ? closedBy(std::min(i, n_ - 1)) : net_.points,
                            observations_, without, false);
            if (!closer && !lost && !gross && aside.empty() && i < n_ &&
                (!a.determined || a.chiSquare > 4.0 * a.redundancy))
                if (auto b = adjust(closedBy(i), observations_, without, false);
                    b.determined && (!a.determined || b.chiSquare < a.chiSquare))
                    a = std::move(b);
            if (!a.determined)
                continue;
            const double drop = net_.chiSquare - a.chiSquare;
            out.push_back({i, drop, a.points, suspectOf(i, drop, a.residuals[k])});
        }
        std::sort(out.begin(), out.end(), [](const Tried& a, const Tried& b) {
            const auto key = [](const Tried& t) {
                return t.drop + (t.suspect.slip.empty() ? 0 : slipBonus);
            };
            return key(a) > key(b);
        });
        return out;
    }

    void snoop() {
        std::vector<int> aside;
        for (int round = 0; round <= mostSetAside; ++round) {
            auto tried = tryWithout(aside);
            if (tried.empty())
                break;
            if (round == 0)
                for (auto& t : tried) // a length below nothing is nobody's slip
                    if (std::abs(t.suspect.standardised) >= suspectFrom && t.suspect.likely > 0)
                        out_.suspects.push_back(t.suspect);
            Tried& first = tried.front();
            if (round > 0) {
                // What is still wrong without the first comes right after it.
                std::erase_if(out_.suspects,
                              [&](const Suspect& s) { return s.item == first.item; });
                out_.suspects.insert(out_.suspects.begin() + round, first.suspect);
            }
            const bool clear = std::abs(first.suspect.standardised) > setAsideFrom &&
                               (tried.size() < 2 || first.drop > tried[1].drop + slipBonus ||
                                (!first.suspect.slip.empty() && tried[1].suspect.slip.empty()));
            if (!clear || round == mostSetAside)
                break;
            aside.push_back(first.item);
            out_.items[static_cast<std::size_t>(first.item)].setAside = true;
            net_ = adjust(first.points.empty() ? net_.points : first.points, observations_, aside);
            if (!net_.determined)
                break;
        }
        if (out_.suspects.size() > mostTried)
            out_.suspects.resize(mostTried);
        for (auto& s : out_.suspects)
            describe(s);
    }

    void tellItems() {
        out_.redundancy = net_.redundancy;
        out_.chiSquare = net_.chiSquare;
        out_.unitWeight = net_.redundancy > 0 ? std::sqrt(net_.chiSquare / net_.redundancy) : 0;
        out_.corners.assign(net_.points.begin(), net_.points.begin() + n_);
        out_.columns.assign(net_.points.begin() + n_, net_.points.end());
        out_.sure.assign(net_.ellipses.begin(), net_.ellipses.begin() + n_);
        for (std::size_t i = 0; i < out_.items.size(); ++i) {
            auto& it = out_.items[i];
            const double k = it.angular() ? 180 / std::numbers::pi : 1;
            it.computed = it.observed + net_.residuals[i] * k;
            it.standardised = net_.standardised[i];
            it.share = net_.share[i];
        }
    }

    /// The room's corners don't make a full turn: which one, turned otherwise, would close it?
    void wrongTurns() {
        const double missing = raw_.closure.angular.inDegrees();
        struct Guess {
            int wall;
            double degrees;
            double misclosure;
        };
        std::vector<Guess> guesses;
        for (int i = 0; i < n_; ++i) {
            auto changed = notes_;
            auto& w = changed.walls[static_cast<std::size_t>(i)];
            const double a = w.insideAngle.inDegrees() - missing;
            if (a < 5 || a > 355)
                continue;
            w.insideAngle = Angle::degrees(a);
            const auto t = traverse(changed);
            if (t.closure.perimeter > t.closure.misclosure * 100)
                guesses.push_back({i, a, t.closure.misclosure.mm()});
        }
        std::sort(guesses.begin(), guesses.end(),
                  [](const Guess& a, const Guess& b) { return a.misclosure < b.misclosure; });
        for (const auto& g : guesses) {
            if (out_.suspects.size() == 3)
                break;
            const auto& w = notes_.walls[static_cast<std::size_t>(g.wall)];
            corner(w, g.wall);
            Suspect s;
            s.item = static_cast<int>(out_.items.size()) - 1;
            const auto& it = out_.items.back();
            s.likely = g.degrees;
            s.standardised = (g.degrees - it.observed) / it.sigma;
            s.slip = angleSlipWords(it.observed, g.degrees, 1.0);
            s.words = worded("With the corner of {} and {} {}, the room would close (line {})",
                             w.name, wallName((g.wall + 1) % n_),
                             std::abs(g.degrees - 270) < 1e-6  ? "“out”"
                             : std::abs(g.degrees - 90) < 1e-6 ? "a plain right angle"
                                                               : worded("{:.4g}°", g.degrees),
                             w.cornerPlace.line);
            out_.suspects.push_back(s);
        }
        if (!out_.suspects.empty())
            out_.words = out_.suspects.front().words + ".";
    }

    // ---- the next measurement ----

    [[nodiscard]] bool tapeRuns(const std::vector<Vec2>& corners, int a, int b) const {
        const Vec2 p = corners[static_cast<std::size_t>(a)];
        const Vec2 q = corners[static_cast<std::size_t>(b)];
        if (!insideOutline(corners, (p + q) / 2))
            return false;
        for (int i = 0; i < n_; ++i) {
            const int j = (i + 1) % n_;
            if (i == a || i == b || j == a || j == b)
                continue;
            if (crossing({p, q}, {corners[static_cast<std::size_t>(i)],
                                  corners[static_cast<std::size_t>(j)]}))
                return false;
        }
        return true;
    }

    void next(const Adjustment& net) {
        const std::vector<Vec2> corners(net.points.begin(), net.points.begin() + n_);
        double now = 0;
        for (int i = 0; i < n_; ++i)
            now = std::max(now, net.ellipses[static_cast<std::size_t>(i)].major);
        // In a room of very many corners only diagonals from the least sure ones are weighed.
        std::vector<int> least(static_cast<std::size_t>(n_));
        std::iota(least.begin(), least.end(), 0);
        std::sort(least.begin(), least.end(), [&](int a, int b) {
            return net.ellipses[static_cast<std::size_t>(a)].major >
                   net.ellipses[static_cast<std::size_t>(b)].major;
        });
        if (n_ > manyCorners)
            least.resize(manyCorners / 4);
        const auto isLeast = [&](int i) {
            return std::find(least.begin(), least.end(), i) != least.end();
        };
        double best = now;
        for (int a = 0; a < n_; ++a) {
            for (int b = a + 2; b < n_; ++b) {
                if ((a == 0 && b == n_ - 1) || (n_ > manyCorners && !isLeast(a) && !isLeast(b)))
                    continue;
                const bool taped = std::any_of(
                    notes_.diagonals.begin(), notes_.diagonals.end(), [&](const TapedDiagonal& d) {
                        return (d.from == a && d.to == b) || (d.from == b && d.to == a);
                    });
                if (taped || !tapeRuns(corners, a, b))
                    continue;
                Observation o{Kind::distance, a, b, 0, 0, 0};
                const double run = computed(o, net.points);
                o.sigma = notes_.weights.tape.of(Length::millimetres(run)).mm();
                const double worst = worstWith(o, net);
                if (worst < best * (out_.next ? 0.999 : 0.98)) {
                    best = worst;
                    out_.next = NextMeasure{a,
                                            b,
                                            Length::millimetres(run),
                                            Length::millimetres(now),
                                            Length::millimetres(worst),
                                            {}};
                }
            }
        }
        if (!out_.next)
            return;
        auto& m = *out_.next;
        m.words = net_.determined
                      ? worded("One more would help most: diagonal {} to {}, about {}; the "
                               "least sure corner goes from ±{} to ±{}.",
                               wallName(m.from), wallName(m.to), write(m.expected, shown_),
                               write(m.worstBefore, shown_), write(m.worstAfter, shown_))
                      : worded("Measure diagonal {} to {} next.", wallName(m.from), wallName(m.to));
    }

    /// Corners that nothing holds: a loose guess at each shows what would hold them best.
    void undetermined() {
        auto loose = observations_;
        for (int i = 0; i < n_; ++i)
            if (notes_.walls[static_cast<std::size_t>(i)].corner == CornerSure::unknown)
                loose.push_back({Kind::angle, i, (i + 1) % n_, (i + 2) % n_,
                                 raw_.inside[static_cast<std::size_t>(i)].inRadians(),
                                 Angle::degrees(15).inRadians()});
        const auto net = adjust(points_, loose);
        if (net.determined)
            next(net);
        out_.words = std::none_of(notes_.walls.begin(), notes_.walls.end(), isUnknown)
                         ? told("What was taped is too far apart to be one room.")
                         : told("Nothing holds the unknown corners.");
        if (out_.next)
            out_.words += " " + out_.next->words;
    }

    void tell() {
        if (!net_.determined)
            return;
        if (out_.suspects.empty()) {
            if (out_.redundancy == 0 && out_.next)
                out_.words = worded("Nothing checks these measurements. {}", out_.next->words);
            return;
        }
        const auto& first = out_.suspects.front();
        const bool clear = out_.items[static_cast<std::size_t>(first.item)].setAside;
        out_.words = clear && raw_.closure.closed
                         ? worded("{}. It is set aside: measure it again.", first.words)
                         : worded("{}. Measure it again.", first.words);
        if (!clear && out_.suspects.size() > 1 &&
            std::abs(out_.suspects[1].standardised) > std::abs(first.standardised) * 0.95)
            out_.words = worded("{}; or {}. Measure both again.", first.words,
                                out_.items[static_cast<std::size_t>(out_.suspects[1].item)].name);
    }

    const TapeNotes& notes_;
    const Traverse& raw_;
    int n_;
    Notation shown_;
    std::vector<Vec2> points_;
    std::vector<Observation> observations_;
    Adjustment net_;
    Fit out_;
};

} // namespace

Fit fit(const TapeNotes& notes, const Traverse& raw) {
    return Fitter(notes, raw).run();
}

} // namespace mezzet
