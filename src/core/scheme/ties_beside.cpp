// Ties that hold a piece off, against, in or beside something, and those by figures alone.
#include "geometry/gap.h"
#include "measure/text.h"
#include "scheme/faces.h"
#include "scheme/on_wall.h"
#include "scheme/surfaces.h"
#include "scheme/tie_kind.h"

#include <fmt/format.h>

namespace mezzet::ties {

using namespace faces;

namespace {

/// Two feet off the wall, a piece is no longer against it.
constexpr Length offTheWall = Length::inches(24);

Vec2 sideNormal(Side s, const Pose& pose) {
    switch (s) {
    case Side::front:
        return pose.front();
    case Side::behind:
        return -pose.front();
    case Side::left:
        return -pose.right();
    case Side::right:
        return pose.right();
    }
    return {};
}

TieLines offTheFace(const TieAsk& ask) {
    const auto f = faceOf(ask.tie.of, *ask.scene.room);
    const Vec2 n = quarter(unit(f.right - f.left));
    return TieLine{n, ask.offFace(n, dot(n, f.left))};
}

/// The walls before and after a corner, as one goes round the room.
struct CornerWalls {
    const Wall& before;
    const Wall& next;
};
CornerWalls wallsOf(const Target& corner, const Room& room) {
    const int count = static_cast<int>(room.walls.size());
    return {wallOf(room, (corner.index + count - 1) % count), wallOf(room, corner.index)};
}

/// A distance that grows as the piece goes along the tie's line; under nothing only from centre.
std::optional<Tie> stepOff(TieStep s) {
    s.tie.distance += Length::millimetres(s.along(0));
    if (s.tie.distance < Length{} && s.tie.to == MeasuredTo::edge)
        return {};
    return s.tie;
}

/// On a wall the line runs to the right, whichever side it is measured from.
std::optional<Tie> stepOnWall(TieStep s, bool fromRight) {
    s.tie.distance += Length::millimetres(fromRight ? -s.along(0) : s.along(0));
    return s.tie.distance < Length{} ? std::nullopt : std::optional(s.tie);
}

std::vector<Tie> sidesChanged(const Tie& was, const Piece&) {
    Tie t = was;
    t.side = was.side == Side::left ? Side::right : was.side == Side::right ? Side::left : was.side;
    return {t};
}

std::string offWords(const TieSay& say) {
    return fmt::format("{}{} from {}", say.centre(), say.gap(say.tie.distance), say.of());
}

TieLines besideOnWall(const TieAsk& ask) {
    const auto of = boxOn(ask.tie.of, ask.piece.wall(), ask.scene);
    if (!of)
        return {};
    const double d = ask.tie.distance.mm();
    const Vec2 right{1, 0};
    return ask.tie.side == Side::left ? TieLine{right, of->low.x - d - ask.reach(right)}
                                      : TieLine{right, of->high.x + d + ask.reach(-right)};
}

TieLines fromCornerOnWall(const TieAsk& ask) {
    const Vec2 right{1, 0};
    const double d = ask.tie.distance.mm();
    const bool left = ask.tie.of.index == ask.piece.wall();
    const double edge = ask.tie.to == MeasuredTo::centre ? 0
                        : left                           ? ask.reach(-right)
                                                         : -ask.reach(right);
    const double length = wallOf(*ask.scene.room, ask.piece.wall()).length().mm();
    return TieLine{right, (left ? d : length - d) + edge};
}

TieLines besideOnLevel(const TieAsk& ask) {
    const int id = ask.tie.of.piece;
    const Placed& there = ask.there(id);
    const Vec2 n = sideNormal(ask.tie.side, there.pose);
    const double face = ask.tie.side == Side::front
                            ? dot(n, frontMiddle(*ask.scene.pieceById(id), there.pose))
                            : extent(there.shape, n);
    return TieLine{n, ask.offFace(n, face)};
}

TieLines placeAtTable(const TieAsk& ask) {
    const Tie& t = ask.tie;
    const Pose pose = ask.there(t.of.piece).pose;
    const auto place =
        placesAt(*ask.scene.pieceById(t.of.piece), t.places)[static_cast<std::size_t>(t.place - 1)];
    const Vec2 out = mezzet::turned(-place.looks, pose.turn);
    const Vec2 at =
        pose.toRoom(place.edge) + out * (t.distance.mm() + ask.piece.size.depth.mm() / 2);
    return {{{1, 0}, at.x}, {{0, 1}, at.y}};
}

TieLines pointGiven(const TieAsk& ask) {
    return {{{1, 0}, ask.tie.distance.mm()}, {{0, 1}, ask.tie.second.mm()}};
}

std::optional<Tie> stepPoint(TieStep s) {
    s.tie.distance += Length::millimetres(s.step.x);
    s.tie.second += Length::millimetres(s.step.y);
    return s.tie;
}

TieLines offTheEdge(const TieAsk& ask) {
    const Box board = boardOf(*ask.scene.pieceById(ask.piece.on.piece), ask.piece.on);
    const double d = ask.tie.distance.mm();
    const auto reach = [&](Vec2 way) {
        return ask.tie.to == MeasuredTo::centre ? 0 : ask.reach(way);
    };
    switch (ask.tie.side) {
    case Side::left:
        return TieLine{{1, 0}, board.low.x + d + reach({-1, 0})};
    case Side::right:
        return TieLine{{1, 0}, board.high.x - d - reach({1, 0})};
    case Side::front:
        return TieLine{{0, 1}, board.high.y - d - reach({0, 1})};
    case Side::behind:
        return TieLine{{0, 1}, board.low.y + d + reach({0, -1})};
    }
    return {};
}

std::string noGroupThere(const Tie& t, const Piece& p, const Room&, const Scheme& scheme) {
    const Piece* group = scheme.byId(t.of.piece);
    return group == nullptr || !group->isGroup() || group->on != p.on
               ? "that is no group of its wall"
               : "";
}

constexpr TieOn againstIt{things, [](const TieAsk& ask) {
                              if (isFace(ask.tie.of))
                                  return offTheFace(ask);
                              const Placed& there = ask.there(ask.tie.of.piece);
                              const Vec2 n = -there.pose.front();
                              return TieLines(TieLine{n, ask.offFace(n, extent(there.shape, n))});
                          }};
constexpr TieOn bothWalls{Targets{Is::corner}, [](const TieAsk& ask) {
                              const auto walls = wallsOf(ask.tie.of, *ask.scene.room);
                              const auto to = [&](const Wall& w) {
                                  const Vec2 n = w.inward();
                                  return TieLine{n, dot(n, w.start) + ask.reach(-n)};
                              };
                              return TieLines(to(walls.before), to(walls.next));
                          }};
constexpr TieOn besidePiece{pieces, &besideOnLevel, "that side is a piece's"};
constexpr TieOn offFace{faces, &offTheFace};
constexpr TieOn alongWall{Targets{Is::corner}, [](const TieAsk& ask) {
                              const auto walls = wallsOf(ask.tie.of, *ask.scene.room);
                              const Vec2 n =
                                  ask.tie.of.alongNext ? walls.next.along() : -walls.before.along();
                              return TieLines(TieLine{n, ask.offFace(n, dot(n, walls.next.start))});
                          }};
constexpr TieOn point{nothing, &pointGiven};

} // namespace

constexpr TieKind against{
    .kind = Tie::Kind::against,
    .word = "against",
    .fixes = {Fixes::turn, Fixes::across},
    .fields = {TieField::distance, TieField::measuredTo},
    .floor = againstIt,
    .ceiling = againstIt,
    .words =
        [](const TieSay& say) {
            return abs(say.tie.distance) <= quiet
                       ? "against " + say.of()
                       : fmt::format("against {}, gap {}", say.of(), say.gap(say.tie.distance));
        },
    .turn = &turnAlong,
    .stepped = [](TieStep s) -> std::optional<Tie> {
        const Length gap = s.tie.distance + Length::millimetres(s.along(0));
        if (gap > offTheWall)
            return {};
        if (gap < Length{}) // It stops at the wall.
            s.step = s.step - s.lines[0].normal * gap.mm();
        s.tie.distance = std::max(gap, Length{});
        return s.tie;
    },
    .keepsTurn = true,
};

constexpr TieKind inCorner{
    .kind = Tie::Kind::inCorner,
    .word = "in-corner",
    .fixes = {Fixes::turn, Fixes::across},
    .fields = {},
    .floor = bothWalls,
    .ceiling = bothWalls,
    .words = [](const TieSay& say) { return "in " + say.of(); },
    .turn =
        [](const TieAsk& ask, Vec2) {
            const auto walls = wallsOf(ask.tie.of, *ask.scene.room);
            return (ask.tie.of.alongNext ? walls.next : walls.before).direction();
        },
    .keepsTurn = true,
};

constexpr TieKind fromPiece{
    .kind = Tie::Kind::fromPiece,
    .word = "from-piece",
    .fixes = Fixes::across,
    .fields = {TieField::distance, TieField::side, TieField::measuredTo},
    .floor = besidePiece,
    .ceiling = besidePiece,
    .wall = TieOn{pieces | Targets{Is::window, Is::door, Is::opening, Is::chimney, Is::fixture},
                  &besideOnWall, nullptr,
                  [](const Tie& t, const Piece&, const Room&, const Scheme&) -> std::string {
                      return t.side == Side::left || t.side == Side::right
                                 ? ""
                                 : "a piece on a wall can't be so";
                  }},
    .board = TieOn{pieces, &besideOnLevel},
    .words =
        [](const TieSay& say) {
            const auto d = say.gap(say.tie.distance);
            switch (say.tie.side) {
            case Side::front:
                return fmt::format("{} from {}", d, say.of());
            case Side::behind:
                return fmt::format("{} behind {}", d, say.of());
            case Side::left:
                return fmt::format("{} left of {}", d, say.of());
            case Side::right:
                return fmt::format("{} right of {}", d, say.of());
            }
            return std::string();
        },
    .stepped =
        [](TieStep s) {
            return s.piece.onWall() ? stepOnWall(s, s.tie.side == Side::left) : stepOff(s);
        },
    .mirrored = &sidesChanged,
};

constexpr TieKind fromWall{
    .kind = Tie::Kind::fromWall,
    .word = "from-wall",
    .fixes = Fixes::across,
    .fields = {TieField::distance, TieField::measuredTo},
    .floor = offFace,
    .ceiling = offFace,
    .words = &offWords,
    .stepped = &stepOff,
};

constexpr TieKind fromCorner{
    .kind = Tie::Kind::fromCorner,
    .word = "from-corner",
    .fixes = Fixes::across,
    .fields = {TieField::distance, TieField::measuredTo},
    .floor = alongWall,
    .ceiling = alongWall,
    .wall = TieOn{Targets{Is::corner}, &fromCornerOnWall,
                  "that wall does not meet the one it hangs on"},
    .words = &offWords,
    .stepped =
        [](TieStep s) {
            return s.piece.onWall() ? stepOnWall(s, s.tie.of.index != s.piece.wall()) : stepOff(s);
        },
};

constexpr TieKind at{
    .kind = Tie::Kind::at,
    .word = "at",
    .fixes = {Fixes::across, Fixes::up},
    .fields = TieField::point,
    .floor = point,
    .ceiling = point,
    .wall = point,
    .board = point,
    .words =
        [](const TieSay& say) {
            return fmt::format("at {}, {}", write(say.tie.distance, say.wording.notation),
                               write(say.tie.second, say.wording.notation));
        },
    .stepped = &stepPoint,
    .mirrored =
        [](const Tie& was, const Piece& p) {
            Tie t = was;
            t.distance = Length::millimetres(p.pose.at.x);
            t.second = Length::millimetres(p.pose.at.y);
            return std::vector{t};
        },
};

constexpr TieKind atPlace{
    .kind = Tie::Kind::atPlace,
    .word = "at-place",
    .fixes = {Fixes::turn, Fixes::across},
    .fields = {TieField::distance, TieField::place},
    .floor = TieOn{pieces, &placeAtTable},
    .words =
        [](const TieSay& say) {
            const Length d = say.tie.distance;
            return fmt::format("place {} of {} at {}{}", say.tie.place, say.tie.places, say.of(),
                               abs(d) <= quiet ? std::string()
                               : d < Length{}  ? fmt::format(", tucked {}", say.gap(-d))
                                               : fmt::format(", drawn {}", say.gap(d)));
        },
    .turn =
        [](const TieAsk& ask, Vec2) {
            const auto places = placesAt(*ask.scene.pieceById(ask.tie.of.piece), ask.tie.places);
            const Vec2 looks = places[static_cast<std::size_t>(ask.tie.place - 1)].looks;
            return ask.there(ask.tie.of.piece).pose.turn + directionOf(looks) - Angle::degrees(90);
        },
    .mirrored =
        [](const Tie& was, const Piece&) {
            Tie t = was;
            t.place = t.place == 1 ? 1 : t.places + 2 - t.place;
            return std::vector{t};
        },
};

constexpr TieKind inGroup{
    .kind = Tie::Kind::inGroup,
    .word = "in-group",
    .fixes = {Fixes::across, Fixes::up},
    .fields = TieField::point,
    .wall = TieOn{pieces,
                  [](const TieAsk& ask) {
                      const Vec2 centre = ask.scene.byId(ask.tie.of.piece)->pose.at;
                      return TieLines({{1, 0}, centre.x + ask.tie.distance.mm()},
                                      {{0, 1}, centre.y + ask.tie.second.mm()});
                  },
                  nullptr, &noGroupThere},
    .words = [](const TieSay& say) { return "in " + say.of(); },
    .stepped = &stepPoint,
};

constexpr TieKind fromEdge{
    .kind = Tie::Kind::fromEdge,
    .word = "from-edge",
    .fixes = Fixes::across,
    .fields = {TieField::distance, TieField::side, TieField::measuredTo},
    .board = TieOn{nothing, &offTheEdge},
    .words =
        [](const TieSay& say) {
            return fmt::format("{}{} from {}", say.centre(), say.gap(say.tie.distance),
                               edgeName(say.tie.side));
        },
    .stepped = [](TieStep s) -> std::optional<Tie> {
        const double away = s.tie.side == Side::right || s.tie.side == Side::front ? -1 : 1;
        s.tie.distance += Length::millimetres(away * s.along(0));
        return s.tie.distance < Length{} ? std::nullopt : std::optional(s.tie);
    },
    .mirrored = &sidesChanged,
};

} // namespace mezzet::ties
