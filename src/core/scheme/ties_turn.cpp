// Ties that fix how a piece is turned.
#include "geometry/gap.h"
#include "scheme/faces.h"
#include "scheme/tie_kind.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet::ties {

using namespace faces;

Angle turnAlong(const TieAsk& ask, Vec2) {
    const Target& of = ask.tie.of;
    return isFace(of) ? faceTurn(faceOf(of, *ask.scene.room)) : ask.there(of.piece).pose.turn;
}

namespace {

/// Facing a piece while a gap to the same piece is tied: straight across from it.
std::optional<Angle> acrossFrom(const TieAsk& ask) {
    for (const Tie& t : ask.piece.ties) {
        if (t.kind != Tie::Kind::fromPiece || t.of != ask.tie.of || t.to != MeasuredTo::edge)
            continue;
        const Angle base = ask.there(t.of.piece).pose.turn;
        switch (t.side) {
        case Side::front:
            return base + Angle::degrees(180);
        case Side::behind:
            return base;
        case Side::left:
            return base - Angle::degrees(90);
        case Side::right:
            return base + Angle::degrees(90);
        }
    }
    return {};
}

/// The stretch of wall that what is in a wall, or hangs there, is faced as; none for the rest.
std::optional<Face> facedStretch(const Target& of, const Scene& scene) {
    if (isFace(of))
        return faceOf(of, *scene.room);
    const auto hung = hungStretch(of, scene);
    return hung ? std::optional(Face{hung->from, hung->to}) : std::nullopt;
}

/// Whether that is seen from so far aside that one looks at its middle, and no longer square at its
/// wall: farther beside it than before it. A wall is always looked at square.
bool isAside(const Target& of, const Face& face, Vec2 at) {
    if (of.is == Target::Is::wall)
        return false;
    const Vec2 along = unit(face.right - face.left);
    const Vec2 inward = mezzet::turned({0, 1}, faceTurn(face));
    const double beside = std::max(dot(face.left - at, along), dot(at - face.right, along));
    return beside > std::max(0.0, dot(at - face.left, inward));
}

Angle turnToFace(const TieAsk& ask, Vec2 at) {
    const Target& of = ask.tie.of;
    // The front goes opposite to the wall's inward side.
    if (const auto face = facedStretch(of, ask.scene); face && !isAside(of, *face, at))
        return faceTurn(*face) + Angle::degrees(180);
    if (const auto across = acrossFrom(ask))
        return *across;
    const Vec2 to = middleOf(of, ask.scene) - at;
    return norm(to) < 1e-6 ? ask.piece.pose.turn : directionOf(to) - Angle::degrees(90);
}

} // namespace

constexpr TieKind turned{
    .kind = Tie::Kind::turned,
    .word = "turned",
    .fixes = Fixes::turn,
    .fields = TieField::turn,
    .floor = TieOn{nothing},
    .ceiling = TieOn{nothing},
    .wall = TieOn{nothing},
    .board = TieOn{nothing},
    .words = [](const TieSay& say) { return "turned " + words(say.tie.turn); },
    .turn = [](const TieAsk& ask, Vec2) { return ask.tie.turn; },
    .mirrored =
        [](const Tie& was, const Piece& p) {
            Tie t = was;
            t.turn = p.pose.turn;
            return std::vector{t};
        },
};

constexpr TieKind squareTo{
    .kind = Tie::Kind::squareTo,
    .word = "square-to",
    .fixes = Fixes::turn,
    .fields = {},
    .floor = TieOn{things},
    .ceiling = TieOn{things},
    .words = [](const TieSay& say) { return "square to " + say.of(); },
    .turn = &turnAlong,
};

constexpr TieKind inLineWith{
    .kind = Tie::Kind::inLineWith,
    .word = "in-line-with",
    .fixes = Fixes::turn,
    .fields = {},
    .floor = TieOn{things},
    .ceiling = TieOn{things},
    .board = TieOn{pieces},
    .words = [](const TieSay& say) { return "in line with " + say.of(); },
    .turn = &turnAlong,
};

constexpr TieKind facing{
    .kind = Tie::Kind::facing,
    .word = "facing",
    .fixes = Fixes::turn,
    .fields = {},
    .floor = TieOn{placed},
    .ceiling = TieOn{placed},
    .words = [](const TieSay& say) { return "facing " + say.of(); },
    .turn = &turnToFace,
    .turnsWithPlace =
        [](const TieAsk& ask) {
            const auto face = facedStretch(ask.tie.of, ask.scene);
            return (!face || isAside(ask.tie.of, *face, ask.piece.pose.at)) && !acrossFrom(ask);
        },
};

} // namespace mezzet::ties
