#include "scheme/words.h"

#include "measure/text.h"

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
    return fmt::format("{:.4g}", a.inDegrees());
}

std::string words(const Tie& t, const Wording& w) {
    const auto of = words(t.of, w);
    const auto gap = [&](Length l) { return writeGap(l, w.notation); };
    const char* centre = t.to == MeasuredTo::centre ? "centre " : "";
    switch (t.kind) {
    case Tie::Kind::against:
        return abs(t.distance) <= quiet ? "against " + of
                                        : fmt::format("against {}, gap {}", of, gap(t.distance));
    case Tie::Kind::inCorner:
        return "in " + of;
    case Tie::Kind::turned:
        return "turned " + words(t.turn);
    case Tie::Kind::squareTo:
        return "square to " + of;
    case Tie::Kind::inLineWith:
        return "in line with " + of;
    case Tie::Kind::facing:
        return "facing " + of;
    case Tie::Kind::fromPiece:
        switch (t.side) {
        case Side::front:
            return fmt::format("{} from {}", gap(t.distance), of);
        case Side::behind:
            return fmt::format("{} behind {}", gap(t.distance), of);
        case Side::left:
            return fmt::format("{} left of {}", gap(t.distance), of);
        case Side::right:
            return fmt::format("{} right of {}", gap(t.distance), of);
        }
        return {};
    case Tie::Kind::fromWall:
    case Tie::Kind::fromCorner:
        return fmt::format("{}{} from {}", centre, gap(t.distance), of);
    case Tie::Kind::centredOn:
        if (abs(t.distance) <= quiet)
            return "centred on " + of;
        return fmt::format("centred on {}, {} {}", of, gap(abs(t.distance)),
                           t.distance < Length{} ? "left" : "right");
    case Tie::Kind::centredBetween:
        return fmt::format("centred between {} and {}", of, words(t.also, w));
    case Tie::Kind::under: {
        std::vector<std::string> names;
        for (const int id : t.group)
            if (const auto* p = w.scheme.byId(id))
                names.push_back(p->name);
        if (t.distance > Length{})
            return fmt::format("under the front legs of {}, {} on", listed(names), gap(t.distance));
        return "under " + listed(names);
    }
    case Tie::Kind::atPlace:
        return fmt::format("place {} of {} at {}{}", t.place, t.places, of,
                           abs(t.distance) <= quiet ? std::string()
                           : t.distance < Length{}  ? fmt::format(", tucked {}", gap(-t.distance))
                                                    : fmt::format(", drawn {}", gap(t.distance)));
    case Tie::Kind::height:
        if (t.of.is != Target::Is::none)
            return fmt::format("{} {} over {}", levelName(t.level), gap(t.distance), of);
        return fmt::format("{} at {}", levelName(t.level), write(t.distance, w.notation));
    case Tie::Kind::eyeLevel:
        return "at eye level";
    case Tie::Kind::above:
        return fmt::format("{} above {}", gap(t.distance), of);
    case Tie::Kind::below:
        return fmt::format("{} below {}", gap(t.distance), of);
    case Tie::Kind::levelWith: {
        const bool same = t.level == t.levelOf || t.of.is == Target::Is::skirting ||
                          t.of.is == Target::Is::chairRail || t.of.is == Target::Is::pictureRail;
        auto out =
            same ? fmt::format("{} with {}", levelName(t.level), of)
                 : fmt::format("{} with {} of {}", levelName(t.level), levelName(t.levelOf), of);
        if (abs(t.distance) > quiet)
            out += fmt::format(", {} {}", gap(abs(t.distance)),
                               t.distance < Length{} ? "lower" : "higher");
        return out;
    }
    case Tie::Kind::inGroup:
        return "in " + of;
    case Tie::Kind::fromEdge:
        return fmt::format("{}{} from {}", centre, gap(t.distance), edgeName(t.side));
    case Tie::Kind::at:
        return fmt::format("at {}, {}", write(t.distance, w.notation), write(t.second, w.notation));
    }
    return {};
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
        return writeBare(s.width, n) + " dia";
    return fmt::format("{} x {}", writeBare(s.width, n), writeBare(s.depth, n));
}

} // namespace mezzet
