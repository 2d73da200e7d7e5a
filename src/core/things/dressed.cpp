#include "things/dressed.h"

#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

namespace {

double along(Vec3 a, Vec3 b) {
    return a.x * b.x + a.y * b.y + a.z * b.z;
}

/// The furniture's board a thing stands on in the end, and the thing it stands on itself; nothing
/// for what is on no board.
std::optional<SurfaceId> boardUnder(const Piece& p, const Scheme& s) {
    const Piece* one = &p;
    for (std::size_t guard = 0; guard <= s.pieces.size() && one->on.isCarried(); ++guard) {
        const Piece* carrier = s.byId(one->on.piece);
        if (carrier == nullptr)
            return {};
        if (!carrier->isThing())
            return one->on;
        one = carrier;
    }
    return {};
}

double frontOf(const DressedThing& t) {
    return t.size.width.mm() * t.size.height.mm();
}

} // namespace

std::string DressedSurface::name() const {
    return isTop() ? std::string(told("top")) : worded("opening {}", id.index);
}

double DressedSurface::reach() const {
    double out = 0;
    for (const DressedThing& t : things)
        out = std::max(out, t.top());
    return out;
}

bool DressedUnit::hasOpenings() const {
    return std::any_of(surfaces.begin(), surfaces.end(),
                       [](const DressedSurface& s) { return !s.isTop(); });
}

std::vector<DressedSurface> dressedSurfaces(const Scene& scene, int of) {
    const Scheme& scheme = *scene.scheme;
    std::vector<DressedSurface> out;
    std::vector<Surface> frames; // of each
    const auto add = [&](SurfaceId id, const Piece& unit) {
        const auto s = surfaceOf(scene, id);
        if (!s)
            return;
        const Box box = boardOf(unit, id);
        DressedSurface d;
        d.id = id;
        d.width = box.high.x - box.low.x;
        d.depth = box.high.y - box.low.y;
        if (id.is == SurfaceId::Is::opening)
            d.height = s->clear.mm();
        d.floor = s->origin.z - scene.room->levelAt(s->origin.plan()).mm();
        out.push_back(std::move(d));
        frames.push_back(*s);
    };
    for (const Piece& p : scheme.pieces) {
        if (p.isThing() || p.isGroup() || (of != 0 && p.id != of))
            continue;
        for (int i = 1; i <= p.openings(); ++i)
            add(inOpening(p.id, i), p);
        if (p.kind->hasTop())
            add(onTop(p.id), p);
    }
    for (const Piece& p : scheme.pieces) {
        if (!p.on.isCarried())
            continue;
        const auto board = boardUnder(p, scheme);
        if (!board)
            continue;
        const auto it = std::find_if(out.begin(), out.end(),
                                     [&](const DressedSurface& d) { return d.id == *board; });
        const auto body = bodyOf(scene, p.id);
        if (it == out.end() || !body)
            continue;
        const Surface& s = frames[static_cast<std::size_t>(it - out.begin())];
        const Box box = boardOf(*scheme.byId(board->piece), *board);
        // Its outline about its middle, turned as it is.
        const Shape shape = p.shape();
        const Vec3 from = body->foot + s.origin * -1;
        const Vec2 middle{along(from, s.x), along(from, s.y)};
        const Vec2 right{along(body->right, s.x), along(body->right, s.y)};
        const Vec2 front{along(body->front, s.x), along(body->front, s.y)};
        const auto half = [&](Vec2 way) {
            return extent(shape, Vec2{dot(way, right), dot(way, front)});
        };
        const double l = half({-1, 0});
        const double r = half({1, 0});
        const double b = half({0, -1});
        const double f = half({0, 1});
        DressedThing t;
        t.id = p.id;
        t.at = {middle.x - l - box.low.x, middle.y - b - box.low.y, along(from, s.normal)};
        t.size = {Length::millimetres(l + r), Length::millimetres(b + f), p.size.height};
        t.on = p.on == *board ? 0 : p.on.piece;
        it->things.push_back(t);
    }
    return out;
}

std::vector<DressedUnit> dressedUnits(const Scene& scene) {
    std::vector<DressedUnit> out;
    const auto carried = [](const Piece& p) { return p.on.isCarried(); };
    if (std::none_of(scene.scheme->pieces.begin(), scene.scheme->pieces.end(), carried))
        return out;
    for (DressedSurface& s : dressedSurfaces(scene)) {
        if (out.empty() || out.back().id != s.id.piece)
            out.push_back({s.id.piece, {}});
        out.back().surfaces.push_back(std::move(s));
    }
    std::erase_if(out, [](const DressedUnit& u) {
        return std::all_of(u.surfaces.begin(), u.surfaces.end(),
                           [](const DressedSurface& s) { return s.things.empty(); });
    });
    return out;
}

std::optional<std::size_t> PaletteNow::familyOf(Rgb c) const {
    const Lab lab = labOf(c);
    std::optional<std::size_t> best;
    double least = sameFamily;
    const auto tried = [&](Rgb of, std::size_t at) {
        if (const double d = colourDifference(lab, labOf(of)); d <= least) {
            least = d;
            best = at;
        }
    };
    for (std::size_t i = 0; i < families.size(); ++i)
        tried(families[i].colour, i);
    if (accent)
        tried(accent->colour, families.size());
    return best;
}

PaletteNow paletteOf(const Scheme& scheme, const std::vector<DressedSurface>& surfaces) {
    std::vector<Patch> patches;
    std::vector<int> ids;
    for (const DressedSurface& s : surfaces)
        for (const DressedThing& t : s.things)
            if (const auto c = colourOf(*scheme.byId(t.id))) {
                patches.push_back({*c, frontOf(t)});
                ids.push_back(t.id);
            }
    PaletteNow out;
    const Dressing& said = scheme.dressing;
    if (!said.families.empty() || said.accent) {
        for (const Rgb c : said.families)
            out.families.push_back({c, 0});
        if (said.accent)
            out.accent = PaletteNow::One{*said.accent, 0};
    } else {
        constexpr double small = 0.2; // an accent has no more, a second family over half of it
        const PaletteChoice chosen = choosePalette(familiesOf(patches), small / 2, small);
        for (const Rgb c : chosen.families)
            out.families.push_back({c, 0});
        if (chosen.accent)
            out.accent = PaletteNow::One{*chosen.accent, 0};
    }
    double whole = 0;
    for (const Patch& p : patches)
        whole += p.share;
    for (std::size_t i = 0; i < patches.size(); ++i) {
        const auto of = out.familyOf(patches[i].colour);
        const double share = whole > 0 ? patches[i].share / whole : 0;
        if (!of)
            out.outside.push_back(ids[i]);
        else if (*of < out.families.size())
            out.families[*of].share += share;
        else
            out.accent->share += share;
    }
    return out;
}

} // namespace mezzet
