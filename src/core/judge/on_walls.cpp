// What holds and what stands out: shelf-level, shelf-sag, protrude, cable-zone, hook,
// mirror-shows. Clashes on a wall are in clash.cpp.
#include "judge/on_walls.h"

#include "edit/place.h"
#include "hang/stock.h"
#include "judge/rule_code.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>

namespace mezzet {

std::optional<ShelfBeam> shelfBeam(const WallsView& scene, std::size_t piece,
                                   const RuleBook& book) {
    const Piece& p = scene.hungPiece(piece);
    const Rule* rule = book.byId("shelf-sag");
    if (p.kind->role != Role::shelf || rule == nullptr)
        return {};
    const auto& name = p.hanging.material.empty() ? p.kind->hanging.material : p.hanging.material;
    const ShelfMaterial* m = materialNamed(book.shelving, name);
    if (m == nullptr)
        return {};
    ShelfBeam out;
    out.length = p.size.width;
    out.depth = p.size.depth;
    // What is taller than a board is several of them, each of its usual thickness.
    out.thickness = p.size.height > Length::inches(3) ? m->thickness : p.size.height;
    out.modulus = m->modulus;
    out.clamped = p.hanging.clamped;
    out.props = bracketsOf(scene, piece, hookRules(book));
    const double metres = out.length.mm() / 1000;
    const double own = m->density * out.depth.mm() / 1000 * out.thickness.mm() / 1000;
    const Carried on = carriedBy(scene, piece, hookRules(book));
    for (const auto& [at, weighs] : on.standing)
        out.loads.push_back({at, weighs});
    const double carried = on.standing.empty() ? on.all.newtons() / metres : 0;
    out.load = Mass::kilograms(own).newtons() + carried;
    return out;
}

Length statureOf(const Judgement& judgement) {
    const auto& all = judgement.eyes.statures;
    if (all.empty())
        return Length::inches(66);
    Length sum;
    for (const Length l : all)
        sum += l;
    return sum / static_cast<double>(all.size());
}

Vec3 eyesOnSeat(const Room& room, const Piece& seat, Vec2 at, const Judgement& judgement) {
    const Length cushion = seat.heights.seat.value_or(seat.size.height);
    return {at.x, at.y, (room.levelAt(at) + seatedEye(cushion, statureOf(judgement))).mm()};
}

bool worthSeeing(const Target& t, const WallsView& scene) {
    if (t.is == Target::Is::window)
        return true;
    if (t.is == Target::Is::fixture)
        return t.built == FixtureKind::fireplace || t.built == FixtureKind::wallLight;
    if (t.is != Target::Is::piece)
        return false;
    const Piece* p = scene.scheme->byId(t.piece);
    if (p == nullptr)
        return false;
    const Role r = p->kind->role;
    return r == Role::lamp || r == Role::plant || r == Role::art || r == Role::object ||
           r == Role::sconce;
}

std::string mirrorSaid(const MirrorView& view, const Wording& say) {
    std::string out = worded("From {}: ", words(view.looker.from, say));
    if (!view.seen)
        return out + "it can't be looked into from there";
    std::vector<std::string> parts;
    for (const MirrorItem& i : view.items) {
        const auto share = std::lround(i.share * 100);
        if (share < 1 || parts.size() == 5)
            break;
        parts.push_back(fmt::format(
            "{} {} %", i.what.is == Target::Is::room ? std::string("floor") : words(i.what, say),
            share));
    }
    if (const auto share = std::lround(view.hidden * 100); share > 0)
        parts.push_back(fmt::format("{} % of it hidden", share));
    if (view.self)
        parts.emplace_back("and yourself");
    return out + listed(parts, "");
}

namespace {

void judgeShelves(const WallContext& c) {
    for (std::size_t i = 0; i < c.scene.hung.size(); ++i) {
        const Piece& p = c.scene.hungPiece(i);
        if (p.kind->role != Role::shelf)
            continue;
        const Box b = bounds(c.scene.hung[i].shape);
        Reading& r = c.addOnWall(p.wall(), p.id, {}, Amount::of(Length::millimetres(b.high.y)),
                                 Band{}, {b.low.x, 0}, {b.low.x, b.high.y});
        r.verdict = Verdict::note;
        r.second = Amount::of(p.size.depth);
    }
}

void judgeSag(const WallContext& c) {
    for (std::size_t i = 0; i < c.scene.hung.size(); ++i) {
        const auto beam = shelfBeam(c.scene, i, c.book);
        if (!beam)
            continue;
        const Piece& p = c.scene.hungPiece(i);
        const Sag s = sagOf(*beam);
        const double most =
            s.span.mm() * std::min(c.rule.number("share of span"), c.rule.number("share of foot"));
        const Box b = bounds(c.scene.hung[i].shape);
        const Vec2 at{b.low.x + s.at.mm(), b.low.y};
        Reading& r = c.addOnWall(p.wall(), p.id, {}, Amount::of(s.deflection),
                                 Band{{}, most, {}, {}}, at, at - Vec2{0, s.deflection.mm()});
        r.second = Amount::of(s.span);
    }
}

void judgeProtrude(const WallContext& c) {
    const Length low = c.rule.setting("from");
    const Length high = c.rule.setting("to");
    const Length walk = c.rule.setting("walk");
    for (std::size_t i = 0; i < c.scene.hung.size(); ++i) {
        const Piece& p = c.scene.hungPiece(i);
        if (p.isGroup() || p.kind->role == Role::curtain || p.size.depth < c.rule.setting("tell"))
            continue;
        const Box b = bounds(c.scene.hung[i].shape);
        const Length foot =
            Length::millimetres(b.low.y - floorUnder(*c.scene.room, p.wall(), b.centre().x));
        // What reaches down to 27 in is found by a cane; what is over 80 is over heads.
        if (foot <= low || foot >= high)
            continue;
        // Furniture under it keeps people off.
        bool kept = false;
        for (const Standing& s : c.shared.face(p.wall()).standing)
            kept = kept || (!c.scene.floor.piece(s.index).kind->flat() && s.off < walk.mm() &&
                            s.left < b.high.x && s.right > b.low.x);
        // So does the breast under a mantelshelf.
        for (const Fixture& f : c.scene.room->fixtures)
            kept = kept || (f.isBreast() && f.wall == p.wall() && f.left.mm() < b.high.x &&
                            (f.left + f.width).mm() > b.low.x);
        if (kept)
            continue;
        c.addOnWall(p.wall(), p.id, {}, Amount::of(p.size.depth), c.band, {b.low.x, b.centre().y},
                    {b.high.x, b.centre().y});
    }
}

/// The nearest line cables are likely along, and how far it is.
void judgeCables(const WallContext& c) {
    const HookRules rules = hookRules(c.book);
    const Room& room = *c.scene.room;
    for (const HangOf& h : c.shared.hangs()) {
        const HookPoint* worst = nullptr;
        Length least;
        Target what;
        Band band;
        for (const HookPoint& k : h.hooks) {
            if (k.zone.empty())
                continue;
            const auto offer = [&](Length off, const Target& t, Length keep) {
                // Past the wall's end or the ceiling it is judged as outside, and not here.
                if (off < Length{} || off >= keep || (worst != nullptr && off >= least))
                    return;
                worst = &k;
                least = off;
                what = t;
                band = {keep.mm(), {}, {}, {}};
            };
            for (const Fixture& f : room.fixtures)
                if (f.wall == h.wall && f.isPoint()) {
                    offer(abs(k.along - f.left), targetOf(f), rules.line);
                    offer(abs(k.up - f.up), targetOf(f), rules.line);
                }
            Target corner;
            corner.is = Target::Is::corner;
            corner.index = h.wall;
            if (k.zone.find("left corner") != std::string::npos)
                offer(k.along, corner, rules.zone);
            corner.index = (h.wall + 1) % static_cast<int>(room.walls.size());
            if (k.zone.find("right corner") != std::string::npos)
                offer(k.fromRight, corner, rules.zone);
            Target ceiling;
            ceiling.is = Target::Is::ceiling;
            offer(k.fromCeiling, ceiling, rules.zone);
        }
        if (worst == nullptr)
            continue;
        const Vec2 at{worst->along.mm(), worst->up.mm()};
        c.addOnWall(h.wall, h.piece, what, Amount::of(least), band, at, at);
    }
}

void judgeHooks(const WallContext& c) {
    const HookRules rules = hookRules(c.book);
    for (const HangOf& h : c.shared.hangs()) {
        if (h.hooks.empty())
            continue;
        const HookPoint& first = h.hooks.front();
        const HookPoint* off = nullptr;
        for (const HookPoint& k : h.hooks)
            if (k.fromStud && k.into == Fixing::plug &&
                (off == nullptr || abs(*k.fromStud) > abs(*off->fromStud)))
                off = &k;
        if (h.weight + h.load >= rules.heavy && off != nullptr) {
            const Vec2 at{off->along.mm(), off->up.mm()};
            c.addOnWall(h.wall, h.piece, {}, Amount::of(abs(*off->fromStud)),
                        Band{{}, rules.studHalf.mm(), {}, {}}, at,
                        at - Vec2{off->fromStud->mm(), 0})
                .part = 1;
            continue;
        }
        const Vec2 at{first.along.mm(), first.up.mm()};
        Reading& r = c.addOnWall(h.wall, h.piece, {}, Amount::of(first.up), Band{}, {at.x, 0}, at);
        r.verdict = Verdict::note;
        r.second = Amount::of(first.along);
    }
}

void judgeMirrors(const WallContext& c) {
    constexpr int strips = 32;
    const auto lookers = lookersOf(c.scene, statureOf(c.judgement));
    for (std::size_t i = 0; i < c.scene.hung.size(); ++i) {
        const Piece& p = c.scene.hungPiece(i);
        if (p.kind->role != Role::mirror)
            continue;
        const Box b = bounds(c.scene.hung[i].shape);
        std::optional<MirrorView> best;
        double most = -1;
        std::optional<MirrorView> opposite;
        std::optional<MirrorView> meets;
        for (const Looker& l : lookers) {
            auto v = c.shared.reflections().of(i, l, strips);
            if (!v.seen)
                continue;
            double share = 0;
            for (const MirrorItem& m : v.items) {
                if (worthSeeing(m.what, c.scene))
                    share += m.share;
                const Piece* q =
                    m.what.is == Target::Is::piece ? c.scene.scheme->byId(m.what.piece) : nullptr;
                if (q != nullptr && q->onWall() && q->kind->role == Role::mirror &&
                    m.share > c.rule.number("facing share"))
                    opposite = v;
            }
            // Walking toward it down a room, one meets oneself.
            const Wall& w = c.scene.room->walls[static_cast<std::size_t>(p.wall())];
            const double far = dot(l.at - w.start, w.inward());
            if (v.self && l.from.is != Target::Is::piece && far > c.rule.setting("hall").mm())
                meets = v;
            if (share > most) {
                most = share;
                best = std::move(v);
            }
        }
        if (!best)
            continue;
        const auto tell = [&](const MirrorView& v, double share, Verdict verdict, int part) {
            Reading& r = c.addOnWall(p.wall(), p.id, v.looker.from, Amount::ratio(share), Band{},
                                     b.low, b.high);
            r.verdict = verdict;
            r.part = part;
        };
        tell(*best, most, Verdict::note, 0);
        if (opposite)
            tell(*opposite, 0, Verdict::tight, 1);
        if (meets)
            tell(*meets, 0, Verdict::loose, 2);
    }
}

std::vector<Handle> sagHandles(const Reading& r, double, const Project& job, const Scene& scene) {
    std::vector<Handle> out;
    for (const int n : {2, 3, 4, 5}) {
        Piece p = asItStands(job, scene, r.piece);
        p.hanging.mount = Mount::brackets;
        p.hanging.hooks = n;
        out.push_back(
            doing(fmt::format("{} on {} brackets", p.name, n), changePiece(job, std::move(p))));
    }
    for (const double more : {1.25, 1.5, 2.0}) {
        const double thick = job.scheme().byId(r.piece)->size.height.mm() * more;
        out.push_back(resize(job, scene, r.piece, SizeFigure::height, thick, 0));
    }
    return out;
}

std::vector<Handle> depthHandles(const Reading& r, double target, const Project& job,
                                 const Scene& scene) {
    return {resize(job, scene, r.piece, SizeFigure::depth, target, 1)};
}

std::vector<Handle> stepHandles(const Reading& r, double target, const Project& job,
                                const Scene& scene) {
    return moveAnywhereOnWall(job, scene, r.piece, target - r.value.value, 1);
}

std::vector<Handle> studHandles(const Reading& r, double, const Project& job, const Scene& scene) {
    Piece onCleat = asItStands(job, scene, r.piece);
    onCleat.hanging.mount = Mount::cleat;
    auto line = onCleat.name + " on a cleat";
    return {doing(std::move(line), changePiece(job, std::move(onCleat))),
            moveRight(job, scene, r.piece, r.at[1].x - r.at[0].x)};
}

constexpr std::array<RuleCode, 6> onWallsCodes{{{"shelf-level", judgeShelves, noHandles},
                                                {"shelf-sag", judgeSag, sagHandles},
                                                {"protrude", judgeProtrude, depthHandles},
                                                {"cable-zone", judgeCables, stepHandles, true},
                                                {"hook", judgeHooks, studHandles, true},
                                                {"mirror-shows", judgeMirrors, noHandles}}};

} // namespace

std::span<const RuleCode> wallRules() {
    return onWallsCodes;
}

} // namespace mezzet
