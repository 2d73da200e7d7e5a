#include "scheme/words.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <fmt/format.h>

namespace mezzet {

std::string words(const Target& t, const Wording& w) {
    switch (t.is) {
    case Target::Is::none:
        return "nothing";
    case Target::Is::piece: {
        const auto* p = w.scheme.byId(t.piece);
        return p != nullptr ? p->name : "a piece that is gone";
    }
    case Target::Is::wall:
        return "wall " + wallName(t.index);
    case Target::Is::corner: {
        const int count = static_cast<int>(w.room.walls.size());
        const auto before = wallName(count > 0 ? (t.index + count - 1) % count : 0);
        const auto after = wallName(t.index);
        return "corner " + (t.alongNext ? after + before : before + after);
    }
    case Target::Is::window:
        return fmt::format("window {}", t.index);
    case Target::Is::door:
        return fmt::format("door {}", t.index);
    case Target::Is::opening:
        return fmt::format("opening {}", t.index);
    case Target::Is::chimney:
        return t.index == 1 ? "chimney" : fmt::format("chimney {}", t.index);
    case Target::Is::room:
        return "room";
    case Target::Is::ceiling:
        return "ceiling";
    case Target::Is::skirting:
        return "skirting";
    case Target::Is::chairRail:
        return "chair rail";
    case Target::Is::pictureRail:
        return "picture rail";
    case Target::Is::fixture: {
        const auto* f = fixtureOf(w.room, t);
        return f != nullptr ? f->name() : std::string(fixtureName(t.built)) + " that is gone";
    }
    }
    return {};
}

std::string surfaceName(SurfaceId on, const Wording& w) {
    switch (on.is) {
    case SurfaceId::Is::floor:
        return "floor";
    case SurfaceId::Is::wall:
        return "wall " + wallName(on.index);
    case SurfaceId::Is::ceiling:
        return "ceiling";
    case SurfaceId::Is::opening:
        return fmt::format("opening {} of {}", on.index, words(pieceTarget(on.piece), w));
    case SurfaceId::Is::top:
        return "top of " + words(pieceTarget(on.piece), w);
    }
    return {};
}

std::string words(SurfaceId on, const Wording& w) {
    if (on.isCeiling())
        return "under the ceiling";
    if (on.is == SurfaceId::Is::opening)
        return "in " + surfaceName(on, w);
    if (on.is == SurfaceId::Is::top)
        return "on " + words(pieceTarget(on.piece), w);
    return on.isFloor() ? "on the floor" : "on " + surfaceName(on, w);
}

std::string_view edgeName(Side s) {
    switch (s) {
    case Side::left:
        return "left end";
    case Side::right:
        return "right end";
    case Side::front:
        return "front edge";
    case Side::behind:
        return "back edge";
    }
    return {};
}

std::string words(Angle a) {
    // What is nothing but for rounding is nothing.
    constexpr double least = 1e-4;
    return fmt::format("{:.4g}", std::abs(a.inDegrees()) < least ? 0.0 : a.inDegrees());
}

std::string words(const Size& s, Notation n) {
    return fmt::format("{} x {} x {}", writeBare(s.width, n), writeBare(s.depth, n),
                       writeBare(s.height, n));
}

std::string sizeWords(const Piece& p, Notation n) {
    // One board is called by its length, depth and thickness, wherever it hangs.
    const bool board = p.kind->role == Role::shelf && p.kind->size.height <= Length::inches(3);
    return words(board ? p.size : p.outlineSize(), n);
}

std::string_view levelName(Level l) {
    return l == Level::bottom ? "bottom" : l == Level::top ? "top" : "centre";
}

std::string footprintWords(const Piece& p, Notation n) {
    const Size s = p.outlineSize();
    if (p.footprint.form == FootprintForm::oval && abs(s.width - s.depth) <= quiet)
        return worded("{} dia", writeBare(s.width, n));
    return fmt::format("{} x {}", writeBare(s.width, n), writeBare(s.depth, n));
}

} // namespace mezzet
