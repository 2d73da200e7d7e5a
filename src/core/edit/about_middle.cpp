#include "edit/about_middle.h"

#include "scheme/on_wall.h"

#include <algorithm>

namespace mezzet {

namespace {

/// What hangs over a thing, or is centred on it, hangs about its middle: three pictures above a
/// sideboard.
bool aboutOnWall(std::vector<Placement>& places, int count, const Piece& first, Length gap) {
    Placement model = places.front();
    Tie middle;
    std::erase_if(model.ties, [&](const Tie& t) {
        const bool centred = t.kind == Tie::Kind::centredOn &&
                             (t.distance == Length{} || t.of.is == Target::Is::wall);
        if (centred)
            middle = t;
        return centred;
    });
    if (std::any_of(model.ties.begin(), model.ties.end(),
                    [](const Tie& t) { return t.fixesAcross(); }))
        return false;
    for (const Tie& t : model.ties)
        if ((t.kind == Tie::Kind::above || t.kind == Tie::Kind::below) &&
            t.of.is != Target::Is::ceiling && middle.of.is == Target::Is::none)
            middle.of = t.of;
    if (middle.of.is == Target::Is::none)
        return false;
    middle.kind = Tie::Kind::centredOn;
    places = spaced(count, model, middle, first.size.width + gap);
    return true;
}

} // namespace

std::vector<Placement> spaced(int count, const Placement& model, const Tie& middle, Length pitch) {
    std::vector<Placement> out(static_cast<std::size_t>(count), model);
    for (int i = 0; i < count; ++i) {
        Tie along = middle;
        along.distance = middle.distance + pitch * (i - (count - 1) / 2.0);
        out[static_cast<std::size_t>(i)].ties.push_back(along);
    }
    return out;
}

void betweenAsMiddle(Placement& place, const Scene& scene) {
    if (!place.wall)
        return;
    for (Tie& t : place.ties) {
        if (t.kind != Tie::Kind::centredBetween)
            continue;
        const auto of = boxOn(t.of, *place.wall, scene);
        const auto also = boxOn(t.also, *place.wall, scene);
        if (!of || !also)
            continue;
        const bool ofIsLeft = of->centre().x < also->centre().x;
        const double left = ofIsLeft ? of->high.x : also->high.x;
        const double right = ofIsLeft ? also->low.x : of->low.x;
        const Wall& w = scene.room->walls[static_cast<std::size_t>(*place.wall)];
        Tie middle;
        middle.kind = Tie::Kind::centredOn;
        middle.of = wallTarget(*place.wall);
        middle.distance = Length::millimetres((left + right) / 2) - w.length() / 2;
        t = middle;
    }
}

bool aboutItsMiddle(std::vector<Placement>& places, int count, const Piece& one, Length gap) {
    const Placement& first = places.front();
    if (one.kind->hangs())
        return aboutOnWall(places, count, one, gap);
    const auto centred = std::find_if(first.ties.begin(), first.ties.end(), [](const Tie& t) {
        return t.kind == Tie::Kind::centredOn && t.of.is != Target::Is::room;
    });
    const bool before = std::any_of(first.ties.begin(), first.ties.end(), [](const Tie& t) {
        return t.kind == Tie::Kind::fromPiece || t.kind == Tie::Kind::fromWall ||
               t.kind == Tie::Kind::against;
    });
    if (centred == first.ties.end() || !before || centred->side == Side::left ||
        centred->side == Side::right)
        return false;
    const Tie middle = *centred;
    Placement model = first;
    model.ties.erase(model.ties.begin() + (centred - first.ties.begin()));
    places = spaced(count, model, middle, one.size.width + gap);
    return true;
}

std::vector<Placement> beforeItsMiddle(const Placement& first, int count, const Piece& like,
                                       Length gap) {
    const auto before = [](const Tie& t) {
        return t.kind == Tie::Kind::fromPiece && t.of.is == Target::Is::piece &&
               (t.side == Side::front || t.side == Side::behind);
    };
    const auto by = std::find_if(first.ties.begin(), first.ties.end(), before);
    if (by == first.ties.end() || first.step || first.on ||
        std::any_of(first.ties.begin(), first.ties.end(),
                    [&](const Tie& t) { return t.fixesPlace() && !before(t); }))
        return {};
    Tie middle;
    middle.kind = Tie::Kind::centredOn;
    middle.of = by->of;
    middle.side = by->side;
    return spaced(count, first, middle, like.size.width + gap);
}

bool seatsAlong(std::vector<Placement>& places, int count, const Piece& one,
                std::optional<Length> apart, bool sideSaid, const Scene& scene) {
    Placement model = places.front();
    if (!one.kind->isSeat() || one.kind->role == Role::sofa || one.kind->role == Role::armchair ||
        model.step || model.on)
        return false;
    const auto by = std::find_if(model.ties.begin(), model.ties.end(), [](const Tie& t) {
        return t.of.is == Target::Is::piece &&
               (t.kind == Tie::Kind::against ||
                (t.kind == Tie::Kind::fromPiece &&
                 (t.side == Side::front || t.side == Side::behind)));
    });
    const Piece* of = by != model.ties.end() ? scene.pieceById(by->of.piece) : nullptr;
    const Placed* there = of != nullptr && of->on.isFloor() ? scene.fromAbove(of->id) : nullptr;
    if (there == nullptr || !(of->kind->family == Family::table || of->kind->workedAt))
        return false;
    Tie off = *by;
    off.kind = Tie::Kind::fromPiece;
    if (by->kind == Tie::Kind::against)
        off.side = Side::front;
    if (!sideSaid && of->kind->workedAt)
        off.side = Side::behind;
    model.ties.erase(by);
    if (std::any_of(model.ties.begin(), model.ties.end(),
                    [](const Tie& t) { return t.fixesPlace(); }))
        return false;
    model.apart.reset();
    model.ties.push_back(off);
    if (std::none_of(model.ties.begin(), model.ties.end(),
                     [](const Tie& t) { return t.fixesTurn(); })) {
        // Its back to the wall that is behind it, so that all look straight at it.
        const Vec2 looks = off.side == Side::front ? -there->pose.front() : there->pose.front();
        constexpr double straight = 0.9999;
        Tie turn;
        turn.kind = Tie::Kind::inLineWith;
        turn.of = off.of;
        const auto& walls = scene.room->walls;
        for (std::size_t w = 0; w < walls.size(); ++w)
            if (dot(walls[w].inward(), looks) > straight) {
                turn.kind = Tie::Kind::squareTo;
                turn.of = wallTarget(static_cast<int>(w));
            }
        model.ties.push_back(turn);
    }
    Tie middle;
    middle.kind = Tie::Kind::centredOn;
    middle.of = off.of;
    middle.side = off.side;
    const Length pitch =
        apart ? one.size.width + *apart
              : std::max(one.size.width, of->size.width / static_cast<double>(count));
    places = spaced(count, model, middle, pitch);
    return true;
}

Length sharedOver(const Placement& placed, const Piece& one, int count, const Scene& scene) {
    if (one.kind->role != Role::sconce)
        return {};
    for (const Tie& t : placed.ties)
        if (const Piece* under = t.kind == Tie::Kind::above && t.of.is == Target::Is::piece
                                     ? scene.pieceById(t.of.piece)
                                     : nullptr)
            return std::max(Length{}, under->size.width / count - one.size.width);
    return {};
}

} // namespace mezzet
