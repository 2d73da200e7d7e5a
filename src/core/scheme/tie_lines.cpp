// The lines that positional ties fix, and the places they are measured to.
#include "geometry/gap.h"
#include "scheme/faces.h"
#include "scheme/on_wall.h"
#include "scheme/surfaces.h"

#include <algorithm>

namespace mezzet {

using namespace faces;

namespace {

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

/// How far a piece of this shape and turn reaches from its centre along a unit direction.
double reach(const Piece& p, Angle turn, Vec2 direction) {
    return extent(placed(p.shape(), {{0, 0}, turn}), direction);
}

} // namespace

Length baseOf(const FloorView& scene, std::size_t i) {
    Length base;
    if (scene.piece(i).on.isCarried())
        if (const auto body = bodyOf(scene, scene.placed[i].id))
            return Length::millimetres(body->foot.z) - scene.room->levelAt(scene.placed[i].pose.at);
    if (!scene.piece(i).kind->standsOn())
        return base;
    for (std::size_t k = 0; k < scene.placed.size(); ++k)
        if (k != i && scene.piece(k).kind->takesFloor() &&
            gapBetween(scene.placed[i].shape, scene.placed[k].shape).depth > Length{})
            base = std::max(base, scene.piece(k).top());
    return base;
}

Segment frontEdge(const Piece& p, const Pose& pose) {
    const double w = p.size.width.mm() / 2;
    const double d = p.size.depth.mm() / 2;
    if (p.footprint.form != FootprintForm::ell)
        return {pose.toRoom({-w, d}), pose.toRoom({w, d})};
    const double y = -d + p.footprint.bodyDepth.mm();
    const double arm = p.footprint.armWidth.mm();
    return p.footprint.armOnRight ? Segment{pose.toRoom({-w, y}), pose.toRoom({w - arm, y})}
                                  : Segment{pose.toRoom({-w + arm, y}), pose.toRoom({w, y})};
}

Vec2 frontMiddle(const Piece& p, const Pose& pose) {
    const auto e = frontEdge(p, pose);
    return (e.from + e.to) / 2;
}

Vec2 middleOf(const Target& t, const Scene& scene) {
    switch (t.is) {
    case Target::Is::piece: {
        const Placed* there = scene.inPlan(t.piece);
        return there != nullptr ? there->pose.at : Vec2{};
    }
    case Target::Is::corner:
        return wallOf(*scene.room, t.index).start;
    case Target::Is::room:
        return scene.room->bounds().centre();
    case Target::Is::none:
    case Target::Is::ceiling:
    case Target::Is::skirting:
    case Target::Is::chairRail:
    case Target::Is::pictureRail:
        return {};
    default: {
        const auto f = faceOf(t, *scene.room);
        return (f.left + f.right) / 2;
    }
    }
}

std::vector<TieLine> tieLines(const Tie& t, const Piece& p, Angle turn, const Scene& scene) {
    if (p.onWall())
        return wallTieLines(t, p, turn, scene, p.pose.at.x);
    if (p.on.isCarried() && (t.kind == Tie::Kind::fromEdge || t.of == pieceTarget(p.on.piece)))
        return carrierTieLines(t, p, turn, scene);
    const Room& room = *scene.room;
    const auto line = [](Vec2 n, double c) { return std::vector<TieLine>{{n, c}}; };
    const auto pieceOf = [&](int id) -> const Piece& { return *scene.pieceById(id); };
    const auto there = [&](int id) -> const Placed& { return *seenBy(scene, p, id); };
    const auto poseOf = [&](int id) { return there(id).pose; };
    /// Centre held `distance` off a face, measured to edge or centre.
    const auto offFace = [&](Vec2 n, double face) {
        return t.to == MeasuredTo::centre ? face + t.distance.mm()
                                          : face + t.distance.mm() + reach(p, turn, -n);
    };
    switch (t.kind) {
    case Tie::Kind::turned:
    case Tie::Kind::squareTo:
    case Tie::Kind::inLineWith:
    case Tie::Kind::facing:
        return {};
    case Tie::Kind::against:
        if (t.of.is == Target::Is::piece) {
            const Pose pose = poseOf(t.of.piece);
            return line(-pose.front(),
                        offFace(-pose.front(), extent(there(t.of.piece).shape, -pose.front())));
        }
        [[fallthrough]];
    case Tie::Kind::fromWall: {
        const auto f = faceOf(t.of, room);
        const Vec2 n = quarter(unit(f.right - f.left));
        return line(n, offFace(n, dot(n, f.left)));
    }
    case Tie::Kind::fromCorner: {
        const int count = static_cast<int>(room.walls.size());
        const Wall& next = wallOf(room, t.of.index);
        const Wall& before = wallOf(room, (t.of.index + count - 1) % count);
        const Vec2 n = t.of.alongNext ? next.along() : -before.along();
        return line(n, offFace(n, dot(n, next.start)));
    }
    case Tie::Kind::inCorner: {
        const int count = static_cast<int>(room.walls.size());
        const Wall& next = wallOf(room, t.of.index);
        const Wall& before = wallOf(room, (t.of.index + count - 1) % count);
        std::vector<TieLine> out;
        for (const Wall* w : {&before, &next}) {
            const Vec2 n = w->inward();
            out.push_back({n, dot(n, w->start) + reach(p, turn, -n)});
        }
        return out;
    }
    case Tie::Kind::fromPiece: {
        const Piece& other = pieceOf(t.of.piece);
        const Pose pose = poseOf(t.of.piece);
        const Vec2 n = sideNormal(t.side, pose);
        const double face = t.side == Side::front ? dot(n, frontMiddle(other, pose))
                                                  : extent(there(t.of.piece).shape, n);
        return line(n, offFace(n, face));
    }
    case Tie::Kind::centredOn: {
        if (t.of.is == Target::Is::piece) {
            const Piece& other = pieceOf(t.of.piece);
            const Pose pose = poseOf(t.of.piece);
            const Vec2 face =
                other.footprint.form == FootprintForm::ell ? frontMiddle(other, pose) : pose.at;
            const TieLine along{pose.right(), dot(pose.right(), face) + t.distance.mm()};
            if (other.kind->flat() || p.on.isCeiling())
                return {along, {pose.front(), dot(pose.front(), pose.at)}};
            if (t.side == Side::left || t.side == Side::right)
                return line(pose.front(), dot(pose.front(), pose.at) + t.distance.mm());
            return {along};
        }
        if (t.of.is == Target::Is::room) {
            const Vec2 m = middleOf(t.of, scene);
            return {{{1, 0}, m.x + t.distance.mm()}, {{0, 1}, m.y}};
        }
        const auto f = faceOf(t.of, room);
        const Vec2 n = unit(f.right - f.left);
        return line(n, dot(n, (f.left + f.right) / 2) + t.distance.mm());
    }
    case Tie::Kind::centredBetween: {
        const Vec2 a = middleOf(t.of, scene);
        const Vec2 b = middleOf(t.also, scene);
        Vec2 n = unit(b - a);
        if (isFace(t.of)) {
            const auto f = faceOf(t.of, room);
            n = quarter(unit(f.right - f.left));
        } else if (isFace(t.also)) {
            const auto f = faceOf(t.also, room);
            n = -quarter(unit(f.right - f.left));
        }
        const auto edge = [&](const Target& x, Vec2 middle, Vec2 toward) {
            return x.is == Target::Is::piece ? extent(there(x.piece).shape, toward)
                                             : dot(middle, toward);
        };
        return line(n, (edge(t.of, a, n) - edge(t.also, b, -n)) / 2);
    }
    case Tie::Kind::under: {
        const Pose frame = poseOf(t.group.front());
        Box box;
        for (const int id : t.group) {
            const auto& s = there(id).shape;
            box.include(Vec2{-extent(s, -frame.right()), -extent(s, -frame.front())});
            box.include(Vec2{extent(s, frame.right()), extent(s, frame.front())});
        }
        if (t.distance > Length{}) {
            // With its front legs on: from there the rug lies forward.
            const Vec2 front = frame.front();
            const double edge = extent(there(t.group.front()).shape, front);
            const double half = extent(placed(p.shape(), {{0, 0}, turn}), front);
            return {{frame.right(), box.centre().x}, {front, edge - t.distance.mm() + half}};
        }
        return {{frame.right(), box.centre().x}, {frame.front(), box.centre().y}};
    }
    case Tie::Kind::atPlace: {
        const Pose pose = poseOf(t.of.piece);
        const auto place =
            placesAt(pieceOf(t.of.piece), t.places)[static_cast<std::size_t>(t.place - 1)];
        const Vec2 out = turned(-place.looks, pose.turn);
        const Vec2 at = pose.toRoom(place.edge) + out * (t.distance.mm() + p.size.depth.mm() / 2);
        return {{{1, 0}, at.x}, {{0, 1}, at.y}};
    }
    case Tie::Kind::at:
        return {{{1, 0}, t.distance.mm()}, {{0, 1}, t.second.mm()}};
    default: // said of pieces on a wall only
        return {};
    }
}

} // namespace mezzet
