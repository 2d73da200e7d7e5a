// Ties that say how high a piece is: on a wall, or hanging from the ceiling.
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "scheme/surfaces.h"
#include "scheme/tie_kind.h"

#include <fmt/format.h>

namespace mezzet::ties {

namespace {

constexpr Vec2 up{0, 1};

/// How far the piece's own foot, centre or top lies under its centre.
double own(const TieAsk& ask, Level l) {
    return l == Level::bottom ? ask.reach(-up) : l == Level::top ? -ask.reach(up) : 0.0;
}

double levelOf(const Box& b, Level l) {
    return l == Level::bottom ? b.low.y : l == Level::top ? b.high.y : b.centre().y;
}

std::optional<Box> boxOf(const TieAsk& ask) {
    return boxOn(ask.tie.of, ask.piece.wall(), ask.scene);
}

/// A height over the floor, or over a stair's nosing line.
TieLines overFloor(const TieAsk& ask, double z) {
    const Fixture* stairs = fixtureOf(*ask.scene.room, ask.tie.of);
    if (stairs == nullptr)
        return TieLine{up, z};
    const double slope = nosingSlope(*stairs, ask.along);
    const double scale = std::hypot(slope, 1);
    return TieLine{Vec2{-slope, 1} / scale,
                   (nosingAt(*stairs, ask.along) - slope * ask.along + z) / scale};
}

std::string onlyOverStairs(const Tie& t, const Piece& p, const Room& room, const Scheme&) {
    const Fixture* f = fixtureOf(room, t.of);
    return f == nullptr                     ? ""
           : f->kind != FixtureKind::stairs ? "only a stair's nosing line is hung over like this"
           : f->wall != p.wall()            ? "those stairs are not on its wall"
                                            : "";
}

/// Straight up, also where the line is aslant over a stair.
std::optional<Tie> stepUp(TieStep s) {
    s.tie.distance += Length::millimetres(s.along(0) / s.lines[0].normal.y);
    return s.tie;
}

std::optional<Tie> stepGap(TieStep s, double way) {
    s.tie.distance += Length::millimetres(way * s.along(0));
    return s.tie.distance < Length{} ? std::nullopt : std::optional(s.tie);
}

} // namespace

constexpr TieKind height{
    .kind = Tie::Kind::height,
    .word = "height",
    .fixes = Fixes::up,
    .fields = {TieField::distance, TieField::level},
    .ceiling = TieOn{.of = nothing,
                     .drop =
                         [](const Tie& t, const Piece& p, Vec2 place, const Scene& scene) {
                             const Length z = scene.room->levelAt(place) + t.distance;
                             const Length self = t.level == Level::bottom   ? p.size.height
                                                 : t.level == Level::centre ? p.size.height / 2
                                                                            : Length{};
                             return scene.room->ceilingAt(place) - z - self;
                         }},
    .wall = TieOn{nothing | Targets{Is::fixture},
                  [](const TieAsk& ask) {
                      return overFloor(ask, ask.tie.distance.mm() + own(ask, ask.tie.level));
                  },
                  nullptr, &onlyOverStairs},
    .words =
        [](const TieSay& say) {
            const Tie& t = say.tie;
            if (t.of.is != Is::none)
                return fmt::format("{} {} over {}", levelName(t.level), say.gap(t.distance),
                                   say.of());
            return fmt::format("{} at {}", levelName(t.level),
                               write(t.distance, say.wording.notation));
        },
    .stepped = &stepUp,
};

constexpr TieKind eyeLevel{
    .kind = Tie::Kind::eyeLevel,
    .word = "eye-level",
    .fixes = Fixes::up,
    .fields = TieField::distance,
    .wall = TieOn{nothing | Targets{Is::fixture},
                  [](const TieAsk& ask) { return overFloor(ask, ask.tie.distance.mm()); }, nullptr,
                  &onlyOverStairs},
    .words = [](const TieSay&) { return std::string("at eye level"); },
    .stepped =
        [](TieStep s) {
            s.tie.kind = Tie::Kind::height;
            return stepUp(s);
        },
};

constexpr TieKind above{
    .kind = Tie::Kind::above,
    .word = "above",
    .fixes = Fixes::up,
    .fields = TieField::distance,
    .ceiling = TieOn{.of = pieces,
                     .otherwise = "only over a piece can that be said",
                     .drop =
                         [](const Tie& t, const Piece& p, Vec2 place, const Scene& scene) {
                             const auto body = bodyOf(scene, t.of.piece);
                             return scene.room->ceilingAt(place) -
                                    Length::millimetres(body->foot.z) -
                                    scene.pieceById(t.of.piece)->top() - t.distance - p.size.height;
                         }},
    .wall = TieOn{anything,
                  [](const TieAsk& ask) {
                      const auto of = boxOf(ask);
                      return of ? TieLines(TieLine{up, of->high.y + ask.tie.distance.mm() +
                                                           own(ask, Level::bottom)})
                                : TieLines();
                  }},
    .words =
        [](const TieSay& say) {
            return fmt::format("{} above {}", say.gap(say.tie.distance), say.of());
        },
    .stepped = [](TieStep s) { return stepGap(s, 1); },
};

constexpr TieKind below{
    .kind = Tie::Kind::below,
    .word = "below",
    .fixes = Fixes::up,
    .fields = TieField::distance,
    .ceiling =
        TieOn{.of = Targets{Is::ceiling},
              .otherwise = "only below the ceiling can that be said",
              .drop = [](const Tie& t, const Piece&, Vec2, const Scene&) { return t.distance; }},
    .wall = TieOn{anything,
                  [](const TieAsk& ask) {
                      const auto of = boxOf(ask);
                      return of ? TieLines(TieLine{up, of->low.y - ask.tie.distance.mm() +
                                                           own(ask, Level::top)})
                                : TieLines();
                  }},
    .words =
        [](const TieSay& say) {
            return fmt::format("{} below {}", say.gap(say.tie.distance), say.of());
        },
    .stepped = [](TieStep s) { return stepGap(s, -1); },
};

constexpr TieKind levelWith{
    .kind = Tie::Kind::levelWith,
    .word = "level-with",
    .fixes = Fixes::up,
    .fields = {TieField::distance, TieField::level, TieField::levelOf},
    .wall = TieOn{anything,
                  [](const TieAsk& ask) {
                      const auto of = boxOf(ask);
                      return of ? TieLines(TieLine{up, levelOf(*of, ask.tie.levelOf) +
                                                           ask.tie.distance.mm() +
                                                           own(ask, ask.tie.level)})
                                : TieLines();
                  }},
    .words =
        [](const TieSay& say) {
            const Tie& t = say.tie;
            auto out = t.level == t.levelOf || isRail(t.of.is)
                           ? fmt::format("{} with {}", levelName(t.level), say.of())
                           : fmt::format("{} with {} of {}", levelName(t.level),
                                         levelName(t.levelOf), say.of());
            if (abs(t.distance) > quiet)
                out += fmt::format(", {} {}", say.gap(abs(t.distance)),
                                   t.distance < Length{} ? "lower" : "higher");
            return out;
        },
    .stepped = &stepUp,
};

} // namespace mezzet::ties
