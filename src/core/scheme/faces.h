#pragma once

#include "scheme/scheme.h"

namespace mezzet::faces {

// The flat faces that ties are measured to; resolve.cpp and tie_lines.cpp see them.

inline const Wall& wallOf(const Room& r, int i) {
    return r.walls[static_cast<std::size_t>(i)];
}

inline const Opening* openingOf(const Room& r, const Target& t) {
    for (const auto& o : r.openings)
        if (targetOf(o) == t)
            return &o;
    return nullptr;
}

/// The flat face something shows to the room: a wall, the wall of an opening, a chimney's front.
struct Face {
    Vec2 left;
    Vec2 right;
};

inline Face faceOf(const Target& t, const Room& r) {
    switch (t.is) {
    case Target::Is::chimney:
    case Target::Is::fixture: {
        const auto* f = fixtureOf(r, t);
        const Wall& w = wallOf(r, f->wall);
        if (f->kind == FixtureKind::column) {
            const Vec2 half = w.along() * (f->width.mm() / 2);
            const Vec2 face = f->middle + w.inward() * (f->depth.mm() / 2);
            return {face - half, face + half};
        }
        const Vec2 out = w.inward() * f->depth.mm();
        return {w.at(f->left) + out, w.at(f->left + f->width) + out};
    }
    case Target::Is::window:
    case Target::Is::door:
    case Target::Is::opening: {
        const auto* o = openingOf(r, t);
        const Wall& w = wallOf(r, o->wall);
        return {w.at(o->left), w.at(o->left + o->width)};
    }
    case Target::Is::none:
    case Target::Is::piece:
    case Target::Is::wall:
    case Target::Is::corner:
    case Target::Is::room:
    case Target::Is::ceiling:
    case Target::Is::skirting:
    case Target::Is::chairRail:
    case Target::Is::pictureRail:
        break;
    }
    const Wall& w = wallOf(r, t.index);
    return {w.start, w.end};
}

inline bool isFace(const Target& t) {
    return t.is == Target::Is::wall || t.is == Target::Is::window || t.is == Target::Is::door ||
           t.is == Target::Is::opening || t.is == Target::Is::chimney ||
           t.is == Target::Is::fixture;
}

inline Angle faceTurn(const Face& f) {
    return directionOf(f.right - f.left);
}

} // namespace mezzet::faces
