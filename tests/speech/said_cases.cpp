#include "said_cases.h"

#include "edit/words_reader.h"
#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "jobs.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "speech/speech.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <fstream>
#include <sstream>

namespace mezzet::test {

namespace {

constexpr double near = 0.6; // mm: what is called the same place

std::string clean(std::string_view s) {
    return std::string(trimmed(s));
}

std::vector<std::string> parted(const std::string& s, const std::string& by) {
    std::vector<std::string> out;
    for (std::size_t at = 0;;) {
        const auto end = s.find(by, at);
        if (const auto part = clean(s.substr(at, end == std::string::npos ? end : end - at));
            !part.empty())
            out.push_back(part);
        if (end == std::string::npos)
            return out;
        at = end + by.size();
    }
}

/// The reckoning is of its own where it can be: outlines by their corners, walls by their ends.
struct Look {
    const Project& was;
    const Project& now;
    ScenePtr before;
    ScenePtr scene;

    [[nodiscard]] double unit() const { return isMetric(now.notation.units) ? 10 : 25.4; }
    [[nodiscard]] const Wall& wall(int i) const {
        return now.room->walls[static_cast<std::size_t>(i)];
    }
    [[nodiscard]] std::vector<Vec2> corners(const Piece& p) const {
        const Pose pose = scene->inPlan(p.id)->pose;
        const double w = p.size.width.mm() / 2;
        const double d = p.size.depth.mm() / 2;
        return {pose.toRoom({-w, -d}), pose.toRoom({w, -d}), pose.toRoom({w, d}),
                pose.toRoom({-w, d})};
    }
    /// Least distance of its corners from a wall's face.
    [[nodiscard]] double off(const Piece& p, int w) const {
        double least = 1e9;
        for (const Vec2 c : corners(p))
            least = std::min(least, dot(c - wall(w).start, wall(w).inward()));
        return least;
    }
    [[nodiscard]] std::optional<Target> target(const std::string& name) const {
        try {
            WordsReader in(name, now);
            const Target t = in.target();
            if (in.done())
                return t;
        } catch (const LineFault&) {
        }
        return {};
    }
    /// A thing's middle in plan.
    [[nodiscard]] Vec2 middle(const Target& t) const { return middleOf(t, *scene); }
};

const Look* look = nullptr; // of the case being tried

std::string fault(const std::string& s) {
    return s;
}

double figure(const std::string& s) {
    const char* end = s.c_str();
    char* after = nullptr;
    const double v = std::strtod(end, &after);
    return after == end ? NAN : v;
}

/// Where a hung piece is on its wall: low and high corner.
Box boxOf(const Look& l, const Piece& p) {
    const Vec2 at = l.scene->byId(p.id)->pose.at;
    const Vec2 half{p.size.width.mm() / 2, p.size.height.mm() / 2};
    return {at - half, at + half};
}

double gapTo(const Look& l, const Piece& p, const Target& t) {
    if (p.onWall()) {
        const auto b = boxOn(t, p.wall(), *l.scene);
        const Box own = boxOf(l, p);
        if (!b)
            return NAN;
        return std::max(std::max(b->low.x, own.low.x) - std::min(b->high.x, own.high.x),
                        std::max(b->low.y, own.low.y) - std::min(b->high.y, own.high.y));
    }
    const Shape own = l.scene->inPlan(p.id)->shape;
    if (t.is == Target::Is::wall)
        return l.off(p, t.index);
    if (t.is == Target::Is::piece)
        return gapBetween(own, l.scene->inPlan(t.piece)->shape).clear().mm();
    for (const Opening& o : l.now.room->openings)
        if (t == targetOf(o)) {
            const Wall& w = l.wall(o.wall);
            const Vec2 a = w.start + w.along() * o.left.mm();
            // Along the wall, between near edges.
            double low = 1e9;
            double high = -1e9;
            for (const Vec2 c : l.corners(p)) {
                low = std::min(low, dot(c - w.start, w.along()));
                high = std::max(high, dot(c - w.start, w.along()));
            }
            (void)a;
            return std::max(low - (o.left + o.width).mm(), o.left.mm() - high);
        }
    const Fixture* f = fixtureOf(*l.now.room, t);
    return f != nullptr ? gapBetween(own, solid(*l.now.room, *f)).clear().mm() : NAN;
}

/// Checks one thing of one piece; "" when it holds.
std::string holds(const Look& l, const Piece& p, const std::string& verb, const std::string& rest,
                  const std::string& preview) {
    const double u = l.unit();
    const auto no = [&](const std::string& is) {
        return fmt::format("{}: {} {}: {}", p.name, verb, rest, is);
    };
    const auto target = [&](const std::string& name) { return l.target(name); };
    const bool plan = !p.onWall();
    const Placed* seen = plan ? l.scene->inPlan(p.id) : nullptr;
    if (verb == "kind")
        return p.kind->name == rest ? "" : no(p.kind->name);
    if (verb == "named")
        return p.name == rest ? "" : no(p.name);
    if (verb == "round")
        return p.footprint.form == FootprintForm::oval &&
                       abs(p.size.width - (plan ? p.size.depth : p.size.height)) <
                           Length::millimetres(near)
                   ? ""
                   : no("is not");
    if (verb == "is") {
        const auto want = parted(rest, " x ");
        const std::vector<double> is =
            plan ? std::vector{p.size.width.mm(), p.size.depth.mm(), p.size.height.mm()}
                 : std::vector{p.size.width.mm(), p.size.height.mm(), p.size.depth.mm()};
        for (std::size_t i = 0; i < want.size(); ++i)
            if (!(std::abs(is[i] - figure(want[i]) * u) < near))
                return no(fmt::format("{} x {} x {}", is[0] / u, is[1] / u, is[2] / u));
        return "";
    }
    if (verb == "back") {
        const auto t = target(rest);
        if (!t || t->is != Target::Is::wall)
            return no("no such wall");
        if (!plan)
            return no("it hangs");
        const double turned = dot(seen->pose.front(), l.wall(t->index).inward());
        const double off = l.off(p, t->index);
        return turned > 0.9999 && std::abs(off) < near
                   ? ""
                   : no(fmt::format("is {} off, turned {}", off / u, turned));
    }
    if (verb == "on") {
        if (rest == "floor")
            return p.on.isFloor() ? "" : no("is elsewhere");
        const auto t = target(rest);
        if (t && t->is == Target::Is::wall)
            return p.onWall() && p.wall() == t->index ? "" : no("is elsewhere");
        return t && t->is == Target::Is::piece && p.on.isCarried() && p.on.piece == t->piece
                   ? ""
                   : no("is elsewhere");
    }
    if (verb == "gap" || verb == "near") {
        const auto at = rest.rfind(' ');
        const auto t = target(rest.substr(0, at));
        const double want = figure(rest.substr(at + 1)) * u;
        if (!t)
            return no("no such thing");
        const double is = gapTo(l, p, *t);
        return (verb == "gap" ? std::abs(is - want) < near : is < want + near)
                   ? ""
                   : no(fmt::format("is {}", is / u));
    }
    if (verb == "left" || verb == "right") {
        const auto t = target(rest.substr(3));
        if (!t)
            return no("no such thing");
        const bool left = verb == "left";
        double x = 0;
        if (t->is == Target::Is::piece && plan) {
            x = l.scene->inPlan(t->piece)->pose.toLocal(seen->pose.at).x;
        } else {
            for (const Opening& o : l.now.room->openings)
                if (*t == targetOf(o)) {
                    const Wall& w = l.wall(o.wall);
                    x = dot(seen->pose.at - w.start, w.along()) - (o.left + o.width / 2).mm();
                }
        }
        return (left ? x < 0 : x > 0) ? "" : no("is on the other side");
    }
    if (verb == "before" || verb == "behind") {
        const auto t = target(rest);
        if (!t || t->is != Target::Is::piece)
            return no("no such piece");
        const double y = l.scene->inPlan(t->piece)->pose.toLocal(seen->pose.at).y;
        return (verb == "before" ? y > 0 : y < 0) ? "" : no("is not");
    }
    if (verb == "before-any")
        return "";
    if (verb == "between") {
        const auto two = parted(rest, " and ");
        const auto a = target(two[0]);
        const auto b = target(two[1]);
        if (!a || !b)
            return no("no such things");
        // Its middle lies between theirs.
        if (!plan) {
            const auto left = boxOn(*a, p.wall(), *l.scene);
            const auto right = boxOn(*b, p.wall(), *l.scene);
            const double x = l.scene->byId(p.id)->pose.at.x;
            return left && right && (x - left->centre().x) * (x - right->centre().x) < 0
                       ? ""
                       : no("hangs elsewhere");
        }
        const Vec2 line = l.middle(*b) - l.middle(*a);
        const double share = dot(seen->pose.at - l.middle(*a), line) / dot(line, line);
        return share > 0.1 && share < 0.9 ? "" : no(fmt::format("at {}", share));
    }
    if (verb == "centred") {
        const auto t = target(rest);
        if (!t)
            return no("no such thing");
        if (!plan) {
            const auto b = boxOn(*t, p.wall(), *l.scene);
            const double x = l.scene->byId(p.id)->pose.at.x;
            return b && std::abs(b->centre().x - x) < near
                       ? ""
                       : no(b ? fmt::format("is {} off", (b->centre().x - x) / u) : "not seen");
        }
        const Vec2 d = seen->pose.at - l.middle(*t);
        if (p.kind->flat() || p.kind->underCeiling())
            return norm(d) < near ? "" : no("is not");
        // In line with it, along its own or the thing's width.
        double across = std::abs(dot(d, seen->pose.right()));
        for (const Opening& o : l.now.room->openings)
            if (*t == targetOf(o))
                across = std::abs(dot(d, l.wall(o.wall).along()));
        if (t->is == Target::Is::piece) {
            const Pose other = l.scene->inPlan(t->piece)->pose;
            across = std::min(
                {across, std::abs(dot(d, other.right())), std::abs(dot(d, other.front()))});
        }
        return across < near ? "" : no(fmt::format("is {} off", across / u));
    }
    if (verb == "faces") {
        const auto t = target(rest);
        if (!t)
            return no("no such thing");
        if (t->is == Target::Is::wall)
            return dot(seen->pose.front(), l.wall(t->index).inward()) < -0.9 ? "" : no("does not");
        const Vec2 to = mezzet::unit(l.middle(*t) - seen->pose.at);
        double c = dot(to, seen->pose.front());
        // What is in a wall is looked at straight, too.
        for (const Opening& o : l.now.room->openings)
            if (*t == targetOf(o))
                c = std::max(c, -dot(l.wall(o.wall).inward(), seen->pose.front()));
        return c > 0.85 ? "" : no(fmt::format("looks {:.2f} off", c));
    }
    if (verb == "turned") {
        const Placed* old = l.before->byId(p.id);
        const double is = difference(l.scene->byId(p.id)->pose.turn, old->pose.turn).inDegrees();
        const double want = figure(rest);
        const double off = std::remainder(is - want, 360.0);
        return std::abs(off) < 0.01 ? "" : no(fmt::format("by {}", is));
    }
    if (verb == "moved") {
        const Placed* old = l.before->byId(p.id);
        if (old == nullptr)
            return no("it is new");
        const double is = norm(l.scene->byId(p.id)->pose.at - old->pose.at);
        return std::abs(is - figure(rest) * u) < near ? "" : no(fmt::format("by {}", is / u));
    }
    if (verb == "same-place") {
        const Placed* old = l.before->byId(p.id);
        return norm(l.scene->byId(p.id)->pose.at - old->pose.at) < near ? "" : no("moved");
    }
    if (verb == "centre" || verb == "foot" || verb == "top") {
        if (plan)
            return no("does not hang");
        const Box b = boxOf(l, p);
        const double is = verb == "centre" ? b.centre().y : verb == "foot" ? b.low.y : b.high.y;
        return std::abs(is - figure(rest) * u) < near ? "" : no(fmt::format("at {}", is / u));
    }
    if (verb == "in") {
        int touched = 0;
        for (std::size_t w = 0; w < l.now.room->walls.size(); ++w)
            touched += std::abs(l.off(p, static_cast<int>(w))) < near ? 1 : 0;
        return touched >= 2 ? "" : no(fmt::format("touches {}", touched));
    }
    if (verb == "middle")
        return norm(seen->pose.at - l.now.room->bounds().centre()) < near ? "" : no("is not");
    if (verb == "says")
        return preview.find(rest) != std::string::npos ? "" : no(preview);
    return no("no such check");
}

/// What stands wrong: outside, or in another thing.
std::string standsWrong(const Look& l, const Piece& p) {
    if (p.onWall()) {
        const Box b = boxOf(l, p);
        const Wall& w = l.wall(p.wall());
        if (b.low.x < -near || b.high.x > w.length().mm() + near || b.low.y < -near ||
            b.high.y > l.now.room->ceiling.mm() + near)
            return p.name + " reaches past its wall";
        for (const Piece& o : l.now.scheme().pieces) {
            if (o.id == p.id || !o.onWall() || o.wall() != p.wall() || o.kind->role == Role::shelf)
                continue;
            const Box c = boxOf(l, o);
            if (std::min(b.high.x, c.high.x) - std::max(b.low.x, c.low.x) > near &&
                std::min(b.high.y, c.high.y) - std::max(b.low.y, c.low.y) > near &&
                o.kind->role != Role::curtain && p.kind->role != Role::curtain)
                return p.name + " hangs over " + o.name;
        }
        return "";
    }
    if (p.on.isCarried() || p.kind->underCeiling())
        return "";
    const Placed* seen = l.scene->inPlan(p.id);
    // Corners are taken sharp: turned, a rounded one reaches less far than that.
    const double aslant = std::abs(std::sin(2 * seen->pose.turn.inRadians()));
    const double round = aslant > 1e-6 ? p.footprint.corner.mm() * (std::sqrt(2.0) - 1) : 0;
    for (const Vec2 c : l.corners(p)) {
        for (std::size_t w = 0; w < l.now.room->walls.size(); ++w)
            if (dot(c - l.wall(static_cast<int>(w)).start, l.wall(static_cast<int>(w)).inward()) <
                -near - round)
                return fmt::format("{} goes {:.1f} through wall {}", p.name,
                                   -dot(c - l.wall(static_cast<int>(w)).start,
                                        l.wall(static_cast<int>(w)).inward()) /
                                       l.unit(),
                                   l.wall(static_cast<int>(w)).name);
    }
    if (p.kind->flat())
        return "";
    for (const Fixture& f : l.now.room->fixtures)
        if (f.takesFloor() && gapBetween(seen->shape, solid(*l.now.room, f)).depth.mm() > near)
            return p.name + " stands in the " + std::string(fixtureName(f.kind));
    for (const Piece& o : l.now.scheme().pieces) {
        if (o.id == p.id || !o.on.isFloor() || o.kind->flat())
            continue;
        // A chair goes under its table.
        const bool drawn =
            (o.kind->isSatInTo() && p.kind->isSeat()) || (p.kind->isSatInTo() && o.kind->isSeat());
        if (!drawn && gapBetween(seen->shape, l.scene->inPlan(o.id)->shape).depth.mm() > near)
            return fmt::format("{} stands in {}", p.name, o.name);
    }
    return "";
}

} // namespace

SaidFile readSaidFile(const std::filesystem::path& path) {
    std::ifstream file(path);
    if (!file)
        throw std::runtime_error(path.string() + " is not there");
    SaidFile out;
    std::string line;
    int number = 0;
    enum class In { none, notes, lines, cases } in = In::none;
    std::string notes;
    std::vector<std::string> lines;
    const auto settle = [&] {
        out.settings.back().job = jobWith(lines, notes.c_str());
        notes.clear();
        lines.clear();
    };
    while (std::getline(file, line)) {
        ++number;
        if (line.starts_with("== ")) {
            out.settings.push_back({line.substr(3), {}});
            in = In::notes;
        } else if (line == "--") {
            in = In::lines;
        } else if (line == "++") {
            settle();
            in = In::cases;
        } else if (in == In::notes) {
            notes += line + "\n";
        } else if (in == In::lines && !clean(line).empty()) {
            lines.push_back(clean(line));
        } else if (in == In::cases && !clean(line).empty() && line[0] != '#') {
            const auto bar = line.rfind(" | ");
            if (bar == std::string::npos)
                throw std::runtime_error(fmt::format("line {} has no check", number));
            out.cases.push_back({out.settings.back().name, number,
                                 parted(line.substr(0, bar), ";;"),
                                 parted(line.substr(bar + 3), ";")});
        }
    }
    return out;
}

CaseResult tryCase(const SaidCase& c, const SaidFile& file) {
    const auto setting = std::find_if(file.settings.begin(), file.settings.end(),
                                      [&](const SaidSetting& s) { return s.name == c.setting; });
    Project now = setting->job;
    std::vector<Project> history;
    Listener to;
    std::string preview;
    std::vector<int> subjects;
    Project before = now;
    for (std::size_t i = 0; i < c.sentences.size(); ++i) {
        const bool last = i + 1 == c.sentences.size();
        const auto spoken = readSpoken(c.sentences[i], now, to);
        before = now;
        const auto& first = c.checks.front();
        const bool asks = last && first.starts_with("asks");
        const bool answers = last && first.starts_with("answers");
        if (!spoken) {
            auto words = spoken.problem().sentence();
            // What is offered in its place counts as said.
            if (asks)
                for (const auto& way : waysOn(c.sentences[i], now, to))
                    words += " | " + way;
            if (!asks)
                return {Heard::refused, words};
            if (const auto want = clean(first.substr(4));
                foldCase(words).find(foldCase(want)) == std::string::npos)
                return {Heard::refused, "says: " + words};
            if (spoken.problem().column <= 0)
                return {Heard::refused, "points at nothing: " + words};
            return {};
        }
        if (asks)
            return {Heard::wrong, "is not asked about, but: " + spoken->said.preview};
        if (answers) {
            if (spoken->is != Spoken::Is::answer)
                return {Heard::wrong, "does instead: " + spoken->said.preview};
            const auto want = clean(first.substr(7));
            return spoken->answer.words.find(want) != std::string::npos
                       ? CaseResult{}
                       : CaseResult{Heard::wrong, "answers: " + spoken->answer.words};
        }
        if (spoken->is == Spoken::Is::undo) {
            if (history.empty())
                return {Heard::refused, "nothing to undo"};
            now = history.back();
            history.pop_back();
            if (last && first == "undo")
                return {};
            continue;
        }
        if (spoken->is == Spoken::Is::answer)
            return {last ? Heard::wrong : Heard::refused, "answers: " + spoken->answer.words};
        auto next = apply(now, spoken->said.edit);
        if (!next)
            return {Heard::refused, next.problem().sentence()};
        history.push_back(now);
        now = *next->project;
        preview = spoken->said.preview;
        if (!spoken->said.them.empty())
            to.them = spoken->said.them;
        subjects = spoken->said.them;
        if (!saysAgain(c.sentences[i]))
            to.before = c.sentences[i];
    }
    const auto scene = sceneOf(now);
    const auto old = sceneOf(before);
    const Look l{before, now, *old, *scene};
    look = &l;
    bool loose = false;
    std::vector<int> fresh;
    std::vector<int> moved;
    for (const Piece& p : now.scheme().pieces) {
        const Placed* was = before.scheme().byId(p.id) == nullptr ? nullptr : (*old)->byId(p.id);
        if (was == nullptr)
            fresh.push_back(p.id);
        else if (norm(was->pose.at - (*scene)->byId(p.id)->pose.at) > near ||
                 before.scheme().byId(p.id)->size != p.size)
            moved.push_back(p.id);
    }
    for (const auto& check : c.checks) {
        const auto space = check.find(' ');
        const auto verb = check.substr(0, space);
        const auto rest = space == std::string::npos ? std::string() : check.substr(space + 1);
        if (verb == "loose") {
            loose = true;
            continue;
        }
        if (verb[0] == '+' || verb[0] == '-') {
            const int count = static_cast<int>(figure(verb));
            const int is = static_cast<int>(now.scheme().pieces.size()) -
                           static_cast<int>(before.scheme().pieces.size());
            if (is != count)
                return {Heard::wrong, fmt::format("{} pieces more: {}", is, preview)};
            continue;
        }
        std::vector<int> of = subjects;
        std::string v = verb;
        std::string r = rest;
        if (const auto colon = check.find(": "); colon != std::string::npos) {
            const Piece* named = now.scheme().byName(clean(check.substr(0, colon)));
            if (named == nullptr)
                return {Heard::wrong, fmt::format("no {}: {}", check.substr(0, colon), preview)};
            of = {named->id};
            const auto body = clean(check.substr(colon + 2));
            const auto gap = body.find(' ');
            v = body.substr(0, gap);
            r = gap == std::string::npos ? "" : body.substr(gap + 1);
        }
        if (v == "says") {
            if (preview.find(r) == std::string::npos)
                return {Heard::wrong, "says: " + preview};
            continue;
        }
        if (of.empty())
            return {Heard::wrong, "nothing is spoken of: " + preview};
        // What is said of several holds of each.
        for (const int id : of) {
            const Piece* p = now.scheme().byId(id);
            if (p == nullptr)
                return {Heard::wrong, "it is gone: " + preview};
            if (const auto why = holds(l, *p, v, r, preview); !why.empty())
                return {Heard::wrong, fault(why) + " | " + preview};
        }
    }
    if (!loose) {
        for (const int id : fresh)
            if (const auto why = standsWrong(l, *now.scheme().byId(id)); !why.empty())
                return {Heard::wrong, why + " | " + preview};
        for (const int id : moved)
            if (const auto why = standsWrong(l, *now.scheme().byId(id)); !why.empty())
                return {Heard::wrong, why + " | " + preview};
    }
    return {};
}

} // namespace mezzet::test
