#include "hang/hooks.h"

#include "hang/sag.h"
#include "measure/text.h"
#include "measure/texts.h"

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

/// Half the width of a piece's outline at a height over its middle, mm. Its outline is upright and
/// the same on both sides.
double halfWidthAt(const Piece& p, double up) {
    const Shape outline = p.shape();
    double in = 0;
    double out = p.size.width.mm() / 2;
    if (contains(outline, {out - 1e-6, up}))
        return out;
    for (int i = 0; i < 50; ++i) {
        const double middle = (in + out) / 2;
        (contains(outline, {middle, up}) ? in : out) = middle;
    }
    return in;
}

/// The drop of a thing that nobody measured.
Length usualDrop(const Piece& p, Mount mount, const HookRules& rules) {
    const Length high = p.size.height;
    if (mount == p.kind->hanging.mount && p.kind->hanging.drop)
        return std::min(*p.kind->hanging.drop, high / 4);
    switch (mount) {
    case Mount::ring:
    case Mount::rings:
    case Mount::wire:
        return high * rules.rings;
    case Mount::sawtooth:
        return std::min(rules.sawtooth, high / 4);
    case Mount::cleat:
    case Mount::screws:
        // What is as low as its plate is screwed through its middle, and so is a light.
        if (p.kind->role == Role::sconce || high <= rules.bar * 4)
            return high / 2;
        return rules.bar;
    case Mount::rod:
        return std::min(Length::inches(1), high / 4);
    case Mount::brackets:
        return high;
    case Mount::leaned:
        break;
    }
    return {};
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

/// What each of a piece's hooks, at these places from its middle, carries.
std::vector<Mass> sharesOf(const HangOf& h, const Piece& p, const std::vector<double>& across,
                           const Carried& carried) {
    const Mass even =
        (h.weight + h.load) / static_cast<double>(std::max<std::size_t>(across.size(), 1));
    std::vector<Mass> out(across.size(), even);
    if (h.mount != Mount::brackets || across.size() < 2)
        return out;
    // What rigid props carry does not depend on how stiff the board is.
    ShelfBeam beam;
    beam.length = p.size.width;
    beam.depth = Length::inches(10);
    beam.thickness = Length::inches(1);
    beam.modulus = 10;
    beam.clamped = p.hanging.clamped;
    for (const double x : across)
        beam.props.push_back(mm(x) + p.size.width / 2);
    Mass spread = h.weight;
    for (const auto& [at, weighs] : carried.standing)
        beam.loads.push_back({at, weighs});
    if (beam.loads.empty())
        spread = spread + h.load;
    beam.load = spread.newtons() / (p.size.width.mm() / 1000);
    const Sag sag = sagOf(beam);
    for (std::size_t i = 0; i < out.size() && i < sag.reactions.size(); ++i)
        out[i] = std::max(even, Mass::newtons(sag.reactions[i]));
    return out;
}

void addCautions(HangOf& out, const WallsView& scene, const Piece& p, const Box& b,
                 const HookRules& rules) {
    const Mass all = out.weight + out.load;
    const bool heavy = all >= rules.heavy;
    const bool toStud = std::all_of(out.hooks.begin(), out.hooks.end(),
                                    [](const HookPoint& k) { return k.into == Fixing::stud; });
    if (heavy && !toStud)
        out.cautions.push_back("Heavy: fix it into studs or solid wall, or have a fitter hang it.");
    else if (!toStud && out.hooks.size() > 0 &&
             std::any_of(out.hooks.begin(), out.hooks.end(),
                         [&](const HookPoint& k) { return k.carries > rules.plug; }))
        out.cautions.push_back("More than an ordinary plug is trusted with: use a rated fixing.");
    if (p.kind->role == Role::mirror)
        out.cautions.push_back("Glass: two people to lift it, and a safety backing.");
    for (const Standing& s : standingBefore(scene, p.wall())) {
        const Piece& under = scene.floor.piece(s.index);
        const bool headsUnder = under.kind->isSeat() || under.kind->family == Family::sleep;
        if (headsUnder && s.off < Length::inches(24).mm() && s.left < b.high.x &&
            s.right > b.low.x && b.low.y > s.base && all > Mass::pounds(10)) {
            out.cautions.push_back(worded(
                "Over heads ({}): closed hooks or a cleat, so that a knock can't lift it off.",
                under.name));
            break;
        }
    }
    if (stairsOn(*scene.room, p.wall()) != nullptr)
        out.cautions.push_back("On stairs: a ladder made for stairs, on firm footing, and someone "
                               "to hold it.");
    for (const HookPoint& k : out.hooks)
        if (!k.zone.empty()) {
            out.cautions.push_back(
                worded("Cables are likely here ({}): find them first. Outside such a place is no "
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

HookRules hookRules(const RuleBook& book) {
    HookRules out;
    if (const Rule* r = book.byId("hook")) {
        out.rating = r->number("rating");
        out.studHalf = r->setting("stud half");
        out.thirds = r->setting("thirds");
        out.heavy = Mass::pounds(r->number("heavy lb"));
        out.plug = Mass::pounds(r->number("plug lb"));
        out.bracketSpan = r->setting("bracket span");
        out.sawtooth = r->setting("sawtooth down");
        out.bar = r->setting("cleat down");
        out.rings = r->number("rings down");
    }
    if (const Rule* r = book.byId("cable-zone")) {
        out.zone = r->setting("zone");
        out.line = r->setting("line");
    }
    if (const Rule* r = book.byId("shelf-sag")) {
        out.deepShelf = r->setting("deep");
        out.books = Mass::pounds(r->number("books lb per foot"));
        out.light = Mass::pounds(r->number("light lb per foot"));
    }
    return out;
}

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
            return worded("{} {}", place.y > f.up.mm() ? "above" : "under", f.name());
        if (std::abs(place.y - f.up.mm()) < rules.line.mm())
            return worded("level with {}", f.name());
    }
    return {};
}

std::vector<Length> bracketsOf(const WallsView& scene, std::size_t piece, const HookRules& rules) {
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
    for (const Length s : studsOf(*scene.room, p.wall()))
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

Carried carriedBy(const WallsView& scene, std::size_t piece, const HookRules& rules) {
    const Piece& p = scene.hungPiece(piece);
    Carried out;
    if (p.hanging.load) {
        out.all = *p.hanging.load;
        return out;
    }
    if (p.kind->role != Role::shelf)
        return out;
    const double left = scene.hung[piece].pose.at.x - p.size.width.mm() / 2;
    for (std::size_t i = 0; i < scene.hung.size(); ++i) {
        const Piece& on = scene.hungPiece(i);
        const bool stands = std::any_of(on.ties.begin(), on.ties.end(), [&](const Tie& t) {
            return t.kind == Tie::Kind::above && t.of == pieceTarget(p.id) &&
                   abs(t.distance) <= quiet;
        });
        if (!stands)
            continue;
        bool guessed = false;
        const Mass weighs = weightOf(on, &guessed);
        out.guessed = out.guessed || guessed;
        out.all = out.all + weighs;
        out.standing.emplace_back(
            mm(std::clamp(scene.hung[i].pose.at.x - left, 0.0, p.size.width.mm())), weighs);
    }
    if (!out.standing.empty())
        return out;
    out.guessed = true;
    out.all = (p.size.depth >= rules.deepShelf ? rules.books : rules.light) *
              (p.size.width / Length::feet(1));
    return out;
}

HangOf hangOf(const WallsView& scene, std::size_t piece, const HookRules& rules) {
    const Piece& p = scene.hungPiece(piece);
    const Placed& where = scene.hung[piece];
    const Hanging& h = p.hanging;
    const Box b = bounds(where.shape);
    HangOf out;
    out.piece = p.id;
    out.wall = p.wall();
    out.mount = h.mount;
    out.weight = weightOf(p, &out.estimated);
    if (p.isGroup())
        return out;
    const Carried carried = carriedBy(scene, piece, rules);
    out.load = carried.all;
    out.loadGuessed = carried.guessed;
    if (h.mount == Mount::leaned)
        return out;
    const Length stile = h.frame > Length{} ? h.frame / 2 : Length::inches(1);
    out.dropAssumed = !h.drop && h.mount != Mount::brackets;
    out.drop = h.drop.value_or(usualDrop(p, h.mount, rules));
    // Where the rings or the bar are, the outline may be narrower than the piece.
    const auto spaceAt = [&](Length down) {
        const double up = p.size.height.mm() / 2 - down.mm();
        return mm(2 * halfWidthAt(p, up));
    };
    const auto ringsAt = [&](Length down) {
        const Length space = spaceAt(down);
        const Length inside = std::max(space - stile * 2, space / 3);
        if (h.ringSpacing && *h.ringSpacing > space + quiet)
            out.cautions.push_back("Its rings, as said, are wider apart than it is at their "
                                   "height: measure them again.");
        return h.ringSpacing.value_or(inside);
    };
    out.ringSpacing = ringsAt(out.drop);
    std::vector<double> across;
    double hookUp = b.high.y;
    // What turns with the piece is measured on the piece as it hangs upright.
    if (where.pose.turn != Angle{})
        hookUp = where.pose.at.y + p.size.height.mm() / 2;
    if (h.mount == Mount::wire) {
        WireHang w;
        w.ringsDown =
            h.ringsDown.value_or(std::min(p.size.height * rules.rings, Length::inches(8)));
        out.ringSpacing = ringsAt(w.ringsDown);
        w.ringSpacing = out.ringSpacing;
        w.hooks = h.hooks > 0 ? std::min(h.hooks, 2) : p.size.width >= rules.thirds ? 2 : 1;
        w.hookSpacing = h.hookSpacing.value_or(out.ringSpacing / 3);
        w.wire = h.slack  ? out.ringSpacing + *h.slack
                 : h.drop ? wireFor(w, *h.drop)
                          : wireFor(w, w.ringsDown / 2);
        w.weight = out.weight;
        out.wire = wireDrop(w);
        out.dropAssumed = !h.drop && !(h.ringsDown && h.ringSpacing && h.slack);
        out.drop = h.drop.value_or(out.wire->drop);
        out.ringsDown = w.ringsDown;
        out.wireLength = w.wire;
        across = acrossOf(out, p, w.hooks, w.hookSpacing);
        if (out.wire->overTop)
            out.cautions.push_back("The wire is so slack that the hook would show above the "
                                   "frame: shorten it.");
    } else if (h.mount == Mount::brackets) {
        for (const Length s : bracketsOf(scene, piece, rules))
            across.push_back(s.mm() - p.size.width.mm() / 2);
    } else {
        const Length space = spaceAt(out.drop);
        const auto half = [&](Length in) {
            return std::max((space / 2 - in).mm(), space.mm() / 6);
        };
        if (h.mount == Mount::cleat)
            across = onBar(studsOf(*scene.room, p.wall()), where.pose.at.x, half(Length::inches(2)),
                           h.hooks);
        else if (h.mount == Mount::screws && h.hooks != 1 &&
                 (h.hooks > 1 || p.size.width > Length::inches(20)))
            across = onBar(studsOf(*scene.room, p.wall()), where.pose.at.x,
                           half(Length::inches(1.5)), h.hooks);
        else
            across = acrossOf(out, p, h.hooks, {});
    }
    hookUp -= out.drop.mm();
    const Wall& wall = scene.room->walls[static_cast<std::size_t>(p.wall())];
    const auto studs = studsOf(*scene.room, p.wall());
    const std::vector<Mass> shares = sharesOf(out, p, across, carried);
    for (std::size_t i = 0; i < across.size(); ++i) {
        const double x = across[i];
        HookPoint k;
        // Turned with the piece, about its centre.
        const Vec2 at =
            where.pose.at + turned(Vec2{x, hookUp - where.pose.at.y}, drawn(p.on, where.pose).turn);
        k.along = mm(at.x);
        k.up = mm(at.y);
        k.fromCeiling = mm(ceilingOver(*scene.room, p.wall(), at.x) - at.y);
        k.fromRight = wall.length() - k.along;
        for (const Fixture& f : scene.room->fixtures)
            if (f.wall == p.wall() && f.isBreast() && k.along > f.left &&
                k.along < f.left + f.width)
                k.onBreast = k.along - f.left;
        // A breast is masonry: the wall's studs are not behind it.
        if (const auto s = nearestStud(studs, k.along); s && !k.onBreast) {
            k.fromStud = k.along - *s;
            k.into = abs(*k.fromStud) <= rules.studHalf + quiet ? Fixing::stud : Fixing::plug;
        }
        k.carries = shares[i];
        k.rated = k.carries * rules.rating;
        k.zone = cableZone(*scene.room, p.wall(), at, rules);
        out.hooks.push_back(std::move(k));
    }
    addCautions(out, scene, p, b, rules);
    return out;
}

std::vector<HangOf> hangAll(const WallsView& scene, const HookRules& rules,
                            std::optional<int> wall) {
    std::vector<HangOf> out;
    for (std::size_t i = 0; i < scene.hung.size(); ++i)
        if (const Piece& p = scene.hungPiece(i); !p.isGroup() && (!wall || p.wall() == *wall))
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
