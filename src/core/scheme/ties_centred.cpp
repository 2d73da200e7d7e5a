// Ties that centre a piece on, between or under other things.
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

/// How far from its middle a `centred on` can go and still be about that thing.
Length halfAcross(const Target& t, const Scene& scene) {
    const Room& room = *scene.room;
    switch (t.is) {
    case Is::piece:
        return scene.pieceById(t.piece)->size.width / 2;
    case Is::wall:
        return wallOf(room, t.index).length() / 2;
    case Is::chimney:
    case Is::fixture: {
        const auto* f = fixtureOf(room, t);
        return f != nullptr ? f->width : Length{};
    }
    case Is::room:
        return Length::millimetres(norm(room.bounds().size()) / 2);
    case Is::window:
    case Is::door:
    case Is::opening: {
        const auto* o = openingOf(room, t);
        return o != nullptr ? o->width : Length{};
    }
    case Is::none:
    case Is::corner:
    case Is::ceiling:
    case Is::skirting:
    case Is::chairRail:
    case Is::pictureRail:
        return {};
    }
    return {};
}

TieLines middleOfPiece(const TieAsk& ask) {
    const Tie& t = ask.tie;
    const Piece& other = *ask.scene.pieceById(t.of.piece);
    const Pose pose = ask.there(t.of.piece).pose;
    const Vec2 face =
        other.footprint.form == FootprintForm::ell ? frontMiddle(other, pose) : pose.at;
    const TieLine along{pose.right(), dot(pose.right(), face) + t.distance.mm()};
    // Under the ceiling both ways, unless a side says which.
    if (other.kind->flat() || (ask.piece.on.isCeiling() && t.side == Side::front))
        return {along, {pose.front(), dot(pose.front(), pose.at)}};
    if (t.side == Side::left || t.side == Side::right)
        return TieLine{pose.front(), dot(pose.front(), pose.at) + t.distance.mm()};
    return along;
}

TieLines centredOnLevel(const TieAsk& ask) {
    const Tie& t = ask.tie;
    // What hangs is stood before at its wall.
    if (const auto hung = hungStretch(t.of, ask.scene)) {
        const Vec2 n = unit(hung->to - hung->from);
        return TieLine{n, dot(n, (hung->from + hung->to) / 2) + t.distance.mm()};
    }
    if (t.of.is == Is::piece)
        return middleOfPiece(ask);
    if (t.of.is == Is::room) {
        const Vec2 m = middleOf(t.of, ask.scene);
        return {{{1, 0}, m.x + t.distance.mm()}, {{0, 1}, m.y}};
    }
    const auto f = faceOf(t.of, *ask.scene.room);
    const Vec2 n = unit(f.right - f.left);
    return TieLine{n, dot(n, (f.left + f.right) / 2) + t.distance.mm()};
}

TieLines centredOnBoard(const TieAsk& ask) {
    if (ask.tie.of != pieceTarget(ask.piece.on.piece))
        return middleOfPiece(ask);
    const Box board = boardOf(*ask.scene.pieceById(ask.piece.on.piece), ask.piece.on);
    const TieLine along{{1, 0}, board.centre().x + ask.tie.distance.mm()};
    if (ask.piece.on.is == SurfaceKind::top)
        return {along, {{0, 1}, board.centre().y}};
    return along;
}

TieLines betweenOnLevel(const TieAsk& ask) {
    const Tie& t = ask.tie;
    const auto middle = [&](const Target& x) {
        return x.is == Is::piece ? ask.there(x.piece).pose.at : middleOf(x, ask.scene);
    };
    if (isFace(t.of) && isFace(t.also)) {
        const auto f = faceOf(t.of, *ask.scene.room);
        const auto g = faceOf(t.also, *ask.scene.room);
        const Vec2 along = unit(f.right - f.left);
        // In one wall: the stretch between them.
        if (dot(along, unit(g.right - g.left)) > 0.999) {
            const bool inOrder = dot(f.left, along) < dot(g.left, along);
            const auto& l = inOrder ? f : g;
            const auto& r = inOrder ? g : f;
            return TieLine{along, (dot(l.right, along) + dot(r.left, along)) / 2};
        }
    }
    // A piece beside what is in a wall, and not before it: along that wall.
    for (const auto& [in, beside] : {std::pair{t.of, t.also}, std::pair{t.also, t.of}}) {
        if (!isFace(in) || in.is == Is::wall || beside.is != Is::piece)
            continue;
        const auto f = faceOf(in, *ask.scene.room);
        const auto& shape = ask.there(beside.piece).shape;
        const Vec2 along = unit(f.right - f.left);
        const Vec2 inward = mezzet::turned({0, 1}, faceTurn(f));
        const double low = -extent(shape, -along);
        const double high = extent(shape, along);
        const double left = dot(f.left, along);
        const double right = dot(f.right, along);
        const double off = -extent(shape, -inward) - dot(f.left, inward);
        if (const double aside = std::max(low - right, left - high); aside > std::max(off, 0.0))
            return TieLine{along, low > right ? (right + low) / 2 : (high + left) / 2};
    }
    const Vec2 a = middle(t.of);
    const Vec2 b = middle(t.also);
    Vec2 n = unit(b - a);
    if (isFace(t.of)) {
        const auto f = faceOf(t.of, *ask.scene.room);
        n = quarter(unit(f.right - f.left));
    } else if (isFace(t.also)) {
        const auto f = faceOf(t.also, *ask.scene.room);
        n = -quarter(unit(f.right - f.left));
    }
    const auto edge = [&](const Target& x, Vec2 mid, Vec2 toward) {
        return x.is == Is::piece ? extent(ask.there(x.piece).shape, toward) : dot(mid, toward);
    };
    return TieLine{n, (edge(t.of, a, n) - edge(t.also, b, -n)) / 2};
}

TieLines betweenOnWall(const TieAsk& ask) {
    const auto of = boxOn(ask.tie.of, ask.piece.wall(), ask.scene);
    const auto also = boxOn(ask.tie.also, ask.piece.wall(), ask.scene);
    if (!of || !also)
        return {};
    const bool inOrder = of->centre().x <= also->centre().x;
    const Box& l = inOrder ? *of : *also;
    const Box& r = inOrder ? *also : *of;
    return TieLine{{1, 0}, (l.high.x + r.low.x) / 2 + ask.tie.distance.mm()};
}

TieLines underThem(const TieAsk& ask) {
    const Tie& t = ask.tie;
    const Pose frame = ask.there(t.group.front()).pose;
    Box box;
    for (const int id : t.group) {
        const auto& s = ask.there(id).shape;
        box.include(Vec2{-extent(s, -frame.right()), -extent(s, -frame.front())});
        box.include(Vec2{extent(s, frame.right()), extent(s, frame.front())});
    }
    if (t.distance > Length{}) {
        // With its front legs on: from there the rug lies forward.
        const Vec2 front = frame.front();
        const double edge = extent(ask.there(t.group.front()).shape, front);
        return {{frame.right(), box.centre().x},
                {front, edge - t.distance.mm() + ask.reach(front)}};
    }
    return {{frame.right(), box.centre().x}, {frame.front(), box.centre().y}};
}

constexpr TieOn onMiddle{things | Targets{Is::room}, &centredOnLevel};
constexpr TieOn between{placed, &betweenOnLevel};

} // namespace

constexpr TieKind centredOn{
    .kind = Tie::Kind::centredOn,
    .word = "centred-on",
    .fixes = Fixes::across,
    .fields = {TieField::distance, TieField::sideIfNotFront, TieField::measuredTo},
    .floor = onMiddle,
    .ceiling = onMiddle,
    .wall = TieOn{things | Targets{Is::room},
                  [](const TieAsk& ask) {
                      const auto of = boxOn(ask.tie.of, ask.piece.wall(), ask.scene);
                      return of ? TieLines(TieLine{{1, 0}, of->centre().x + ask.tie.distance.mm()})
                                : TieLines();
                  }},
    .board = TieOn{pieces, &centredOnBoard},
    .words =
        [](const TieSay& say) {
            const Length d = say.tie.distance;
            if (abs(d) <= quiet)
                return "centred on " + say.of();
            // Of what is beside a piece it runs along that one's depth.
            const bool along = say.tie.of.is == Target::Is::piece &&
                               (say.tie.side == Side::left || say.tie.side == Side::right);
            return fmt::format("centred on {}, {} {}", say.of(), say.gap(abs(d)),
                               along ? (d < Length{} ? "back" : "forward")
                                     : (d < Length{} ? "left" : "right"));
        },
    .stepped = [](TieStep s) -> std::optional<Tie> {
        if (s.lines.size() > 1 && std::abs(s.along(1)) > 0.01)
            return {};
        s.tie.distance += Length::millimetres(s.along(0));
        if (abs(s.tie.distance) > halfAcross(s.tie.of, s.scene))
            return {};
        return s.tie;
    },
    .mirrored =
        [](const Tie& was, const Piece&) {
            Tie other = was;
            other.side = was.side == Side::left    ? Side::right
                         : was.side == Side::right ? Side::left
                                                   : was.side;
            other.distance = -was.distance;
            Tie same = other;
            same.distance = was.distance;
            return std::vector{other, same};
        },
};

constexpr TieKind centredBetween{
    .kind = Tie::Kind::centredBetween,
    .word = "centred-between",
    .fixes = Fixes::across,
    .fields = TieField::also,
    .floor = between,
    .ceiling = between,
    .wall = TieOn{placed, &betweenOnWall},
    .board = TieOn{pieces, &betweenOnLevel},
    .words =
        [](const TieSay& say) {
            return fmt::format("centred between {} and {}", say.of(),
                               words(say.tie.also, say.wording));
        },
};

constexpr TieKind under{
    .kind = Tie::Kind::under,
    .word = "under",
    .fixes = Fixes::across,
    .fields = TieField::pieces,
    .floor = TieOn{nothing, &underThem},
    .words =
        [](const TieSay& say) {
            std::vector<std::string> names;
            for (const int id : say.tie.group)
                if (const auto* p = say.wording.scheme.byId(id))
                    names.push_back(p->name);
            // The line's own words, in every language.
            std::string all;
            for (std::size_t i = 0; i < names.size(); ++i)
                all += (i == 0 ? "" : i + 1 == names.size() ? " and " : ", ") + names[i];
            if (say.tie.distance > Length{})
                return fmt::format("under the front legs of {}, {} on", all,
                                   say.gap(say.tie.distance));
            return "under " + all;
        },
};

} // namespace mezzet::ties
