#include "light/layout.h"

#include "scheme/surfaces.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace mezzet {

namespace {

/// Where the first line along one side belongs: over the front of the deepest seat or counter that
/// stands against the walls of that side.
struct FirstLine {
    Length away;
    bool told = false; ///< by something that stands there
};
FirstLine firstLine(const Scene& scene, Vec2 inward, double side, const EvenAsk& ask) {
    FirstLine out{ask.edge, false};
    const FloorView floor(scene);
    double wide = 0;
    for (std::size_t i = 0; i < floor.placed.size(); ++i) {
        const Piece& p = floor.piece(i);
        if (!p.kind->isSeat() && !p.kind->workedAt)
            continue;
        const Shape& s = floor.placed[i].shape;
        const double back = -extent(s, -inward) - side;
        const double front = extent(s, inward) - side;
        const Vec2 along = quarter(inward);
        const double width = extent(s, along) + extent(s, -along);
        if (back > ask.against.mm() || back < -1 || width <= wide)
            continue;
        wide = width;
        out = {Length::millimetres(front), true};
    }
    return out;
}

/// So many stations from one first line to the other, even.
std::vector<double> stations(double from, double to, int count) {
    std::vector<double> out;
    if (count == 1)
        return {(from + to) / 2};
    for (int i = 0; i < count; ++i)
        out.push_back(from + (to - from) * i / (count - 1));
    return out;
}

/// Whether a hole at such a distance from the joists' wall is clear of them.
bool clearOfJoists(const Joists& j, double away, double radius, double thick) {
    const double first = j.first.mm();
    const double apart = j.spacing.mm();
    const double joist = first + std::max(std::round((away - first) / apart), 0.0) * apart;
    return std::abs(away - joist) >= radius + thick / 2 - 1e-6;
}

/// Both ends of a run of stations moved by the least that keeps it even and clear of joists; as
/// they are where nothing within the bounds does. `awayOf` tells a station's distance from the
/// joists' wall.
template <class Away>
std::pair<double, double> offJoists(double from, double to, int count, const Joists& j,
                                    double radius, double thick, double slackFrom, double slackTo,
                                    Away awayOf) {
    constexpr double step = 3.175; // an eighth of an inch
    std::pair<double, double> best{from, to};
    double least = 1e300;
    for (double a = -slackFrom; a <= slackFrom + 1e-9; a += step)
        for (double b = -slackTo; b <= slackTo + 1e-9; b += step) {
            const double cost = std::abs(a) + std::abs(b);
            if (cost >= least)
                continue;
            const auto all = stations(from + a, to + b, count);
            if (std::all_of(all.begin(), all.end(),
                            [&](double s) { return clearOfJoists(j, awayOf(s), radius, thick); })) {
                least = cost;
                best = {from + a, to + b};
            }
        }
    return best;
}

int headsUnder(const Scene& scene, const std::vector<LaidLight>& lights) {
    const FloorView floor(scene);
    int out = 0;
    for (const LaidLight& l : lights)
        for (std::size_t i = 0; i < floor.placed.size(); ++i) {
            if (!floor.piece(i).kind->isSeat())
                continue;
            // Heads are over the back half of a seat.
            const Pose& pose = floor.placed[i].pose;
            const Vec2 local = pose.toLocal(l.at);
            const Size& s = floor.piece(i).size;
            if (std::abs(local.x) < s.width.mm() / 2 && local.y > -s.depth.mm() / 2 && local.y < 0)
                ++out;
        }
    return out;
}

/// What it comes to on the floor, straight and without shadows.
void judgeLayout(LightLayout& l, const Project& job, const Scene& scene, const Kind& kind) {
    const Room& room = *scene.room;
    l.floorEach = room.floorArea() / std::max<double>(1, static_cast<double>(l.lights.size()));
    l.onHeads = headsUnder(scene, l.lights);
    if (!kind.light || !job.library.shines)
        return;
    const auto it = job.library.shines->find(kind.light->shine);
    if (it == job.library.shines->end())
        return;
    std::vector<Lamp> lamps;
    for (const LaidLight& one : l.lights) {
        Lamp lamp;
        lamp.at = lifted(one.at, room.ceilingAt(one.at).mm());
        lamp.x = {1, 0, 0};
        lamp.y = {0, 1, 0};
        lamp.z = {0, 0, -1};
        lamp.shines = it->second;
        lamp.factor = kind.light->lumens / std::max(it->second->lumens(), 1.0);
        lamps.push_back(std::move(lamp));
    }
    const LitRoom lit(Solids{}, {}, std::move(lamps));
    if (const auto grid = gridOf(lit, room, Length::millimetres(400), {}, true)) {
        l.mean = grid->mean;
        l.evenness = grid->evenness();
    }
}

} // namespace

Result<std::vector<LightLayout>> evenLayouts(const Project& job, const Scene& scene,
                                             const EvenAsk& ask) {
    const Room& room = *scene.room;
    if (!room.closed)
        return Problem{"the room is not closed, so its ceiling is not known",
                       "tape all of its walls"};
    const KindPtr kind = job.library.kit->byId(ask.kind);
    const Box box = room.bounds();
    const Vec2 size = box.size();
    if (std::min(size.x, size.y) < 3 * ask.fromWall.mm())
        return Problem{"the room is too small for rows of lights", "say where one goes"};
    const double area = room.floorArea();
    const int least = std::max(1, static_cast<int>(std::ceil(area / ask.floorHigh - 1e-9)));
    const int most = std::max(least, static_cast<int>(std::floor(area / ask.floorLow + 1e-9)));
    // Left, right, top, bottom as the plan is drawn.
    const FirstLine left = firstLine(scene, {1, 0}, box.low.x, ask);
    const FirstLine right = firstLine(scene, {-1, 0}, -box.high.x, ask);
    const FirstLine back = firstLine(scene, {0, 1}, box.low.y, ask);
    const FirstLine front = firstLine(scene, {0, -1}, -box.high.y, ask);
    const double radius = kind && kind->light ? kind->light->cutOut.mm() / 2 : 75;
    const double slack = ((ask.edgeHigh - ask.edgeLow) / 2).mm();
    constexpr double overEdge = 76.2; // what is over a front may be this far off it
    std::vector<LightLayout> out;
    constexpr int mostLines = 12;
    for (int columns = 1; columns <= mostLines; ++columns)
        for (int rows = 1; rows <= mostLines; ++rows) {
            const int all = columns * rows;
            if (all < std::max(1, least * 2 / 3) || all > most * 3 / 2 + 1)
                continue;
            double x0 = box.low.x + left.away.mm();
            double x1 = box.high.x - right.away.mm();
            double y0 = box.low.y + back.away.mm();
            double y1 = box.high.y - front.away.mm();
            if (x1 < x0)
                x0 = x1 = box.centre().x;
            if (y1 < y0)
                y0 = y1 = box.centre().y;
            if (room.joists && room.joists->spacing > Length{}) {
                const Wall& w = room.walls[static_cast<std::size_t>(room.joists->wall)];
                const Vec2 n = w.inward();
                const double thick = ask.joist.mm();
                constexpr double square = 0.999;
                if (std::abs(n.x) > square)
                    std::tie(x0, x1) = offJoists(x0, x1, columns, *room.joists, radius, thick,
                                                 left.told ? overEdge : slack,
                                                 right.told ? overEdge : slack, [&](double x) {
                                                     return dot(Vec2{x, w.start.y} - w.start, n);
                                                 });
                else if (std::abs(n.y) > square)
                    std::tie(y0, y1) = offJoists(y0, y1, rows, *room.joists, radius, thick,
                                                 back.told ? overEdge : slack,
                                                 front.told ? overEdge : slack, [&](double y) {
                                                     return dot(Vec2{w.start.x, y} - w.start, n);
                                                 });
            }
            LightLayout l;
            l.rows = rows;
            l.columns = columns;
            for (const double y : stations(y0, y1, rows))
                for (const double x : stations(x0, x1, columns)) {
                    const Vec2 at{x, y};
                    bool inside = room.holds(at);
                    for (std::size_t i = 0; inside && i < room.stretches(); ++i) {
                        const Wall s = room.stretchAt(i);
                        inside =
                            norm(at - nearestOn({s.start, s.end}, at)) >= ask.fromWall.mm() - 1e-6;
                    }
                    if (inside)
                        l.lights.push_back({ask.kind, at, 0, 0});
                }
            if (l.lights.empty())
                continue;
            l.edge = std::min({left.away, right.away, back.away, front.away});
            judgeLayout(l, job, scene, *kind);
            out.push_back(std::move(l));
        }
    if (out.empty())
        return Problem{"no even rows of lights fit there", "say where each goes"};
    const double wanted = (ask.floorLow + ask.floorHigh) / 2;
    const auto cost = [&](const LightLayout& l) {
        const bool inBand = l.floorEach >= ask.floorLow - 1 && l.floorEach <= ask.floorHigh + 1;
        // As square a net as the room allows, even light, few on heads.
        const double dx = l.columns > 1 ? size.x / l.columns : size.x;
        const double dy = l.rows > 1 ? size.y / l.rows : size.y;
        return (inBand ? 0 : 1) + std::abs(std::log(l.floorEach / wanted)) +
               0.5 * std::abs(std::log(dx / dy)) + (1 - l.evenness) + 0.1 * l.onHeads;
    };
    std::stable_sort(out.begin(), out.end(),
                     [&](const LightLayout& a, const LightLayout& b) { return cost(a) < cost(b); });
    // Clearly different ones only: of other rows or columns, and of another count.
    std::vector<LightLayout> distinct;
    for (LightLayout& l : out) {
        const bool alike = std::any_of(distinct.begin(), distinct.end(), [&](const LightLayout& d) {
            return d.lights.size() == l.lights.size() ||
                   (d.rows == l.rows && d.columns == l.columns);
        });
        if (!alike)
            distinct.push_back(std::move(l));
        constexpr std::size_t answers = 3;
        if (distinct.size() == answers)
            break;
    }
    return distinct;
}

LightLayout taskLayout(const Project& job, const Scene& scene) {
    LightLayout out;
    const Room& room = *scene.room;
    const Rule* rule = job.library.book->byId("recessed-task");
    if (rule == nullptr)
        return out;
    const double apart = rule->setting("apart").mm();
    const double wash = rule->number("wash") * std::numbers::pi / 180;
    const auto put = [&](const char* kind, Vec2 at, int aim, int task) {
        if (room.holds(at))
            out.lights.push_back({kind, at, aim, task});
    };
    for (const Piece& p : scene.scheme->pieces) {
        const auto body = bodyOf(scene, p.id);
        if (!body)
            continue;
        const Vec2 right = body->right.plan();
        const Vec2 front = body->front.plan();
        const bool sits = p.kind->role == Role::desk;
        if (p.kind->workedAt || sits) {
            // Over its front edge, in front of whoever works there; of a desk over its middle.
            const double over = sits ? 0 : p.size.depth.mm() / 2;
            const double wide = p.size.width.mm();
            const int count = std::max(1, static_cast<int>(std::ceil(wide / apart - 1e-9)));
            for (int i = 0; i < count; ++i)
                put("small-recessed-light",
                    body->foot.plan() + front * over + right * (wide * ((i + 0.5) / count - 0.5)),
                    0, p.id);
        } else if (p.kind->role == Role::art && p.onWall() && p.group() == 0) {
            // As far off the wall as tan 30 of its height over the picture's middle.
            const double middle = body->foot.z + p.outlineSize().depth.mm() / 2;
            const double off = (room.ceiling.mm() - middle) * std::tan(wash);
            put("tilting-light", body->foot.plan() + front * off, p.id, p.id);
        }
    }
    const KindPtr kind = job.library.kit->byId("small-recessed-light");
    if (kind && !out.lights.empty())
        judgeLayout(out, job, scene, *kind);
    return out;
}

} // namespace mezzet
