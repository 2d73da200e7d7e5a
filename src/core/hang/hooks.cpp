#include "hang/hooks.h"

#include "measure/text.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

Length mm(double v) {
    return Length::millimetres(v);
}

std::vector<Length> studsOf(const Room& room, int wall) {
    const auto i = static_cast<std::size_t>(wall);
    if (i >= room.studs.size() || !room.studs[i])
        return {};
    return room.studs[i]->on(room.walls[i].length());
}

std::optional<Length> nearestStud(const std::vector<Length>& studs, Length along) {
    std::optional<Length> best;
    for (const Length s : studs)
        if (!best || abs(along - s) < abs(along - *best))
            best = s;
    return best;
}

/// Places across a piece, from its middle, where what holds it goes.
std::vector<double> acrossOf(const HangOf& h, const Piece& p, int hooks, Length hookSpacing) {
    const double w = p.size.width.mm();
    switch (h.mount) {
    case Mount::rings:
        return {-h.ringSpacing.mm() / 2, h.ringSpacing.mm() / 2};
    case Mount::wire:
        if (hooks >= 2)
            return {-hookSpacing.mm() / 2, hookSpacing.mm() / 2};
        return {0};
    case Mount::rod: {
        // A bracket at either end, and more so that none spans over five feet.
        const int spans = std::max(1, static_cast<int>(std::ceil(w / Length::feet(5).mm())));
        std::vector<double> out;
        for (int i = 0; i <= spans; ++i)
            out.push_back(-w / 2 + w * i / spans);
        return out;
    }
    default:
        return {0};
    }
}

/// Studs a bar behind the piece reaches, as places from its middle; two plugged places when fewer
/// than two are there.
std::vector<double> onBar(const std::vector<Length>& studs, double middle, double half, int least) {
    std::vector<double> out;
    for (const Length s : studs)
        if (std::abs(s.mm() - middle) <= half)
            out.push_back(s.mm() - middle);
    if (static_cast<int>(out.size()) >= std::max(least, 2))
        return out;
    const int count = std::max(least, 2);
    out.clear();
    for (int i = 0; i < count; ++i)
        out.push_back(-half + 2 * half * i / (count - 1));
    return out;
}

void addCautions(HangOf& out, const Scene& scene, const Piece& p, const Box& b,
                 const HookRules& rules) {
    const bool heavy = out.weight >= rules.heavy;
    const bool toStud = std::all_of(out.hooks.begin(), out.hooks.end(),
                                    [](const HookPoint& k) { return k.into == Fixing::stud; });
    if (heavy && !toStud)
        out.cautions.push_back("Heavy: fix it into studs or solid wall, or have a fitter hang it.");
    else if (!toStud && out.hooks.size() > 0 &&
             out.weight / static_cast<double>(out.hooks.size()) > rules.plug)
        out.cautions.push_back("More than an ordinary plug is trusted with: use a rated fixing.");
    if (p.kind->role == Role::mirror)
        out.cautions.push_back("Glass: two people to lift it, and a safety backing.");
    for (const Standing& s : standingBefore(scene, p.wall)) {
        const Piece& under = scene.piece(s.index);
        const bool headsUnder = under.kind->isSeat() || under.kind->family == Family::sleep;
        if (headsUnder && s.off < Length::inches(24).mm() && s.left < b.high.x &&
            s.right > b.low.x && b.low.y > s.base && out.weight > Mass::pounds(10)) {
            out.cautions.push_back(fmt::format(
                "Over heads ({}): closed hooks or a cleat, so that a knock can't lift it off.",
                under.name));
            break;
        }
    }
    if (stairsOn(*scene.room, p.wall) != nullptr)
        out.cautions.push_back("On stairs: a ladder made for stairs, on firm footing, and someone "
                               "to hold it.");
    for (const HookPoint& k : out.hooks)
        if (!k.zone.empty()) {
            out.cautions.push_back(fmt::format(
                "Cables are likely here ({}): find them first. Outside such a place is no "
                "clearance to drill either.",
                k.zone));
            break;
        }
    if (p.kind->role == Role::cabinet)
        out.cautions.push_back("A wall cabinet can come down loaded: into studs, with rated "
                               "screws.");
    if (p.kind->role == Role::sconce)
        out.cautions.push_back("Wiring is for a licensed electrician.");
}

} // namespace

Length stackBack(const Piece& p) {
    return std::min(p.size.width / 6, Length::inches(14));
}

Mass weightOf(const Piece& p, bool* estimated) {
    if (estimated != nullptr)
        *estimated = !p.hanging.weight;
    if (p.hanging.weight)
        return *p.hanging.weight;
    const double face = p.size.width.mm() * p.size.height.mm() / 1e6;
    const double deep = p.size.width.mm() * p.size.depth.mm() / 1e6;
    // A shelf's weight goes by its top, everything else's by its face.
    return Mass::kilograms(p.kind->arealWeight * (p.kind->role == Role::shelf ? deep : face));
}

std::string cableZone(const Room& room, int wall, Vec2 place, const HookRules& rules) {
    const Wall& w = room.walls[static_cast<std::size_t>(wall)];
    if (ceilingOver(room, wall, place.x) - place.y < rules.zone.mm())
        return "just under the ceiling";
    const auto count = room.walls.size();
    const auto i = static_cast<std::size_t>(wall);
    const auto turnsIn = [&](const Wall& a, const Wall& b) {
        return cross(a.along(), b.along()) > 0;
    };
    if (place.x < rules.zone.mm() && (room.closed || wall > 0) &&
        turnsIn(room.walls[(i + count - 1) % count], w))
        return "beside the left corner";
    if (w.length().mm() - place.x < rules.zone.mm() && (room.closed || i + 1 < count) &&
        turnsIn(w, room.walls[(i + 1) % count]))
        return "beside the right corner";
    for (const Fixture& f : room.fixtures) {
        if (f.wall != wall || !f.isPoint())
            continue;
        if (std::abs(place.x - f.left.mm()) < rules.line.mm())
            return fmt::format("{} {}", place.y > f.up.mm() ? "above" : "under", f.name());
        if (std::abs(place.y - f.up.mm()) < rules.line.mm())
            return fmt::format("level with {}", f.name());
    }
    return {};
}

std::vector<Length> bracketsOf(const Scene& scene, std::size_t piece, const HookRules& rules) {
    const Piece& p = scene.hungPiece(piece);
    const double w = p.size.width.mm();
    const double left = scene.hung[piece].pose.at.x - w / 2;
    std::vector<Length> out;
    if (p.hanging.clamped)
        return {Length{}, p.size.width};
    const int wanted = p.hanging.hooks;
    if (p.hanging.ringSpacing && wanted <= 2) {
        const Length inset = (p.size.width - *p.hanging.ringSpacing) / 2;
        return {inset, p.size.width - inset};
    }
    for (const Length s : studsOf(*scene.room, p.wall))
        if (s.mm() > left + 20 && s.mm() < left + w - 20)
            out.push_back(mm(s.mm() - left));
    if (out.size() >= 2 && wanted == 0) {
        // Of studs closer than the span asks for, only as many as hold it.
        std::vector<Length> kept{out.front()};
        for (std::size_t i = 1; i + 1 < out.size(); ++i)
            if (out[i + 1] - kept.back() > rules.bracketSpan + quiet)
                kept.push_back(out[i]);
        kept.push_back(out.back());
        return kept;
    }
    out.clear();
    const double inset = w / 6;
    const int spans =
        wanted > 1 ? wanted - 1
                   : std::max(1, static_cast<int>(
                                     std::ceil((w - 2 * inset) / rules.bracketSpan.mm() - 1e-9)));
    for (int i = 0; i <= spans; ++i)
        out.push_back(mm(inset + (w - 2 * inset) * i / spans));
    return out;
}

HangOf hangOf(const Scene& scene, std::size_t piece, const HookRules& rules) {
    const Piece& p = scene.hungPiece(piece);
    const Placed& where = scene.hung[piece];
    const Hanging& h = p.hanging;
    const Box b = bounds(where.shape);
    HangOf out;
    out.piece = p.id;
    out.wall = p.wall;
    out.mount = h.mount;
    out.weight = weightOf(p, &out.estimated);
    if (p.isGroup())
        return out;
    const Length stile = h.frame > Length{} ? h.frame / 2 : Length::inches(1);
    out.ringSpacing = h.ringSpacing.value_or(std::max(p.size.width - stile * 2, p.size.width / 3));
    std::vector<double> across;
    double hookUp = b.high.y;
    if (h.mount == Mount::wire) {
        WireHang w;
        w.ringSpacing = out.ringSpacing;
        w.ringsDown = h.ringsDown.value_or(std::min(p.size.height / 4, Length::inches(8)));
        w.hooks = h.hooks > 0 ? std::min(h.hooks, 2) : p.size.width >= rules.thirds ? 2 : 1;
        w.hookSpacing = h.hookSpacing.value_or(out.ringSpacing / 3);
        w.wire = h.slack ? out.ringSpacing + *h.slack : wireFor(w, w.ringsDown / 2);
        w.weight = out.weight;
        out.wire = wireDrop(w);
        out.drop = out.wire->drop;
        out.ringsDown = w.ringsDown;
        out.wireLength = w.wire;
        across = acrossOf(out, p, w.hooks, w.hookSpacing);
        if (out.wire->overTop)
            out.cautions.push_back("The wire is so slack that the hook would show above the "
                                   "frame: shorten it.");
    } else if (h.mount == Mount::leaned) {
        return out;
    } else if (h.mount == Mount::brackets) {
        for (const Length s : bracketsOf(scene, piece, rules))
            across.push_back(s.mm() - p.size.width.mm() / 2);
        out.drop = h.drop.value_or(p.size.height);
    } else {
        out.drop = h.drop.value_or(p.size.height / 2);
        if (h.mount == Mount::cleat)
            across = onBar(studsOf(*scene.room, p.wall), where.pose.at.x,
                           p.size.width.mm() / 2 - Length::inches(2).mm(), h.hooks);
        else if (h.mount == Mount::screws && (h.hooks > 1 || p.size.width > Length::inches(20)))
            across = onBar(studsOf(*scene.room, p.wall), where.pose.at.x,
                           p.size.width.mm() / 2 - Length::inches(1.5).mm(), h.hooks);
        else
            across = acrossOf(out, p, h.hooks, {});
    }
    hookUp -= out.drop.mm();
    const Wall& wall = scene.room->walls[static_cast<std::size_t>(p.wall)];
    const auto studs = studsOf(*scene.room, p.wall);
    const double n = static_cast<double>(across.size());
    for (const double x : across) {
        HookPoint k;
        // Turned with the piece, about its centre.
        const Vec2 at = where.pose.at + turned(Vec2{x, hookUp - where.pose.at.y}, -where.pose.turn);
        k.along = mm(at.x);
        k.up = mm(at.y);
        k.fromCeiling = mm(ceilingOver(*scene.room, p.wall, at.x) - at.y);
        k.fromRight = wall.length() - k.along;
        for (const Fixture& f : scene.room->fixtures)
            if (f.wall == p.wall && f.isBreast() && k.along > f.left && k.along < f.left + f.width)
                k.onBreast = k.along - f.left;
        // A breast is masonry: the wall's studs are not behind it.
        if (const auto s = nearestStud(studs, k.along); s && !k.onBreast) {
            k.fromStud = k.along - *s;
            k.into = abs(*k.fromStud) <= rules.studHalf + quiet ? Fixing::stud : Fixing::plug;
        }
        k.carries = out.weight / n;
        k.rated = k.carries * rules.rating;
        k.zone = cableZone(*scene.room, p.wall, at, rules);
        out.hooks.push_back(std::move(k));
    }
    addCautions(out, scene, p, b, rules);
    return out;
}

std::vector<HangOf> hangAll(const Scene& scene, const HookRules& rules, int wall) {
    std::vector<HangOf> out;
    for (std::size_t i = 0; i < scene.hung.size(); ++i)
        if (const Piece& p = scene.hungPiece(i); !p.isGroup() && (wall < 0 || p.wall == wall))
            out.push_back(hangOf(scene, i, rules));
    const auto firstAt = [&](const HangOf& h) {
        const Placed& where = *scene.byId(h.piece);
        return std::tuple(h.wall, h.hooks.empty() ? where.pose.at.x : h.hooks.front().along.mm());
    };
    std::stable_sort(out.begin(), out.end(),
                     [&](const HangOf& a, const HangOf& b) { return firstAt(a) < firstAt(b); });
    return out;
}

} // namespace mezzet
