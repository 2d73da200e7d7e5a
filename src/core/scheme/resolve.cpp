#include "scheme/resolve.h"

#include "geometry/gap.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "scheme/surfaces.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

namespace {

/// Two lines closer in direction than this (5 degrees) say the same coordinate.
constexpr double parallelSine = 0.087;

const Wall& wallOf(const Room& r, int i) {
    return r.walls[static_cast<std::size_t>(i)];
}

const Opening* openingOf(const Room& r, const Target& t) {
    const auto kind = t.is == Target::Is::window ? OpeningKind::window
                      : t.is == Target::Is::door ? OpeningKind::door
                                                 : OpeningKind::opening;
    for (const auto& o : r.openings)
        if (o.kind == kind && o.number == t.index)
            return &o;
    return nullptr;
}

/// The flat face something shows to the room: a wall, the wall of an opening, a chimney's front.
struct Face {
    Vec2 left;
    Vec2 right;
};

Face faceOf(const Target& t, const Room& r) {
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
    default: {
        const Wall& w = wallOf(r, t.index);
        return {w.start, w.end};
    }
    }
}

bool isFace(const Target& t) {
    return t.is == Target::Is::wall || t.is == Target::Is::window || t.is == Target::Is::door ||
           t.is == Target::Is::opening || t.is == Target::Is::chimney ||
           t.is == Target::Is::fixture;
}

Angle faceTurn(const Face& f) {
    return directionOf(f.right - f.left);
}

bool exists(const Target& t, const Room& r, const Scheme& s) {
    switch (t.is) {
    case Target::Is::none:
        return false;
    case Target::Is::piece:
        return s.byId(t.piece) != nullptr;
    case Target::Is::wall:
    case Target::Is::corner:
        return t.index >= 0 && t.index < static_cast<int>(r.walls.size()) &&
               (t.is == Target::Is::wall || r.closed || t.index > 0);
    case Target::Is::window:
    case Target::Is::door:
    case Target::Is::opening:
        return openingOf(r, t) != nullptr;
    case Target::Is::chimney:
    case Target::Is::fixture:
        return fixtureOf(r, t) != nullptr;
    case Target::Is::room:
    case Target::Is::ceiling:
    case Target::Is::skirting:
    case Target::Is::chairRail:
    case Target::Is::pictureRail:
        return true;
    }
    return false;
}

const Scene::Place* placeIn(const Scene& scene, int id) {
    const auto it =
        std::lower_bound(scene.places.begin(), scene.places.end(), id,
                         [](const Scene::Place& p, int wanted) { return p.id < wanted; });
    return it != scene.places.end() && it->id == id ? &*it : nullptr;
}

class Resolver {
public:
    Resolver(const RoomPtr& room, const SchemePtr& scheme, Notation notation)
        : scene_(std::make_shared<Scene>()), say_{*room, *scheme, notation} {
        scene_->room = room;
        scene_->scheme = scheme;
        scene_->all.resize(scheme->pieces.size());
        state_.assign(scheme->pieces.size(), State::waiting);
        for (std::size_t i = 0; i < state_.size(); ++i)
            scene_->places.push_back({pieceAt(i).id, i, -1});
        std::sort(scene_->places.begin(), scene_->places.end(),
                  [](const Scene::Place& a, const Scene::Place& b) { return a.id < b.id; });
        for (std::size_t i = 0; i < state_.size(); ++i) {
            scene_->all[i].id = pieceAt(i).id;
            if (pieceAt(i).onWall()) {
                scene_->walls.pieces.push_back(i);
            } else if (pieceAt(i).on.isCeiling()) {
                scene_->ceiling.pieces.push_back(i);
            } else if (seenFromAbove(pieceAt(i), *scheme)) {
                placeOf(pieceAt(i).id)->above = static_cast<int>(scene_->floor.pieces.size());
                scene_->floor.pieces.push_back(i);
            }
        }
        scene_->floor.placed.resize(scene_->floor.pieces.size());
        for (std::size_t k = 0; k < scene_->floor.pieces.size(); ++k)
            scene_->floor.placed[k].id = pieceAt(scene_->floor.pieces[k]).id;
    }

    Result<ScenePtr> run() {
        for (std::size_t i = 0; i < state_.size(); ++i)
            if (auto p = visit(i))
                return *p;
        for (ViewList* list : {&scene_->walls, &scene_->ceiling})
            for (const std::size_t i : list->pieces)
                list->placed.push_back(scene_->all[i]);
        return ScenePtr(scene_);
    }

private:
    enum class State { waiting, open, done };

    const Scheme& scheme() const { return say_.scheme; }

    const Piece& pieceAt(std::size_t i) const { return scheme().pieces[i]; }

    Scene::Place* placeOf(int id) const { return const_cast<Scene::Place*>(placeIn(*scene_, id)); }
    std::optional<std::size_t> indexOf(int id) const {
        const auto* p = placeOf(id);
        return p != nullptr ? std::optional(p->index) : std::nullopt;
    }

    std::optional<Problem> visit(std::size_t i) {
        if (state_[i] == State::done)
            return {};
        const Piece& p = pieceAt(i);
        state_[i] = State::open;
        if (auto problem = noSuchSurface(p, say_.room, scheme()))
            return problem;
        if (p.on.isCarried())
            if (auto problem =
                    first(i, p.on.piece, fmt::format("{} is {}", p.name, words(p.on, say_))))
                return problem;
        for (const Tie& t : p.ties) {
            const bool refers = t.kind != Tie::Kind::turned && t.kind != Tie::Kind::at &&
                                t.kind != Tie::Kind::under && t.kind != Tie::Kind::eyeLevel &&
                                t.kind != Tie::Kind::height && t.kind != Tie::Kind::fromEdge;
            if ((refers || t.of.is != Target::Is::none) && !exists(t.of, say_.room, scheme()))
                return missing(p, t.of);
            if (t.kind == Tie::Kind::centredBetween && !exists(t.also, say_.room, scheme()))
                return missing(p, t.also);
            if (auto why = unsuited(t, p, say_.room, scheme()); !why.empty())
                return Problem{fmt::format("{} can't be “{}”: {}", p.name, words(t, say_), why),
                               "say it otherwise"};
            std::vector<int> needs = t.group;
            if (t.of.is == Target::Is::piece)
                needs.push_back(t.of.piece);
            if (t.also.is == Target::Is::piece)
                needs.push_back(t.also.piece);
            for (const int id : needs)
                if (auto problem = first(i, id, fmt::format("{} is {}", p.name, words(t, say_))))
                    return problem;
        }
        place(i);
        state_[i] = State::done;
        return {};
    }

    /// Puts what a piece refers to in place before it.
    std::optional<Problem> first(std::size_t i, int id, std::string link) {
        const auto k = indexOf(id);
        if (!k)
            return Problem{fmt::format("{} is tied to a piece that is not there", pieceAt(i).name),
                           "tie it to something else"};
        if (state_[*k] == State::done)
            return {};
        chain_.push_back(std::move(link));
        if (*k == i || state_[*k] == State::open)
            return loop(pieceAt(*k).name);
        if (auto problem = visit(*k))
            return problem;
        chain_.pop_back();
        return {};
    }

    Problem missing(const Piece& p, const Target& target) const {
        return {fmt::format("{} is tied to {}, which is not there", p.name, words(target, say_)),
                "tie it to something else"};
    }

    Problem loop(const std::string& closing) const {
        // The chain from the piece that is met again.
        std::size_t from = 0;
        for (std::size_t k = chain_.size(); k-- > 0;)
            if (chain_[k].starts_with(closing + " is ")) {
                from = k;
                break;
            }
        std::vector<std::string> part(chain_.begin() + static_cast<std::ptrdiff_t>(from),
                                      chain_.end());
        std::string text;
        for (const auto& s : part)
            text += (text.empty() ? "" : ", ") + s;
        return {fmt::format("these ties go round in a loop: {}", text),
                "tie one of them to a wall, or free it first"};
    }

    void overTied(const Piece& p, const Tie& first, const Tie& second, const char* what) {
        scene_->overTied.push_back(
            {p.id, Problem{fmt::format("{} can't be both “{}” and “{}”: each fixes {}", p.name,
                                       words(first, say_), words(second, say_), what),
                           "say one of them"}});
    }

    /// Where something else is in the coordinates of the surface a piece is on.
    const Placed& placeSeen(const Piece& p, int id) const { return *seenBy(*scene_, p, id); }

    /// The turn a tie fixes; for facing a point, as seen from `at`.
    Angle turnOf(const Tie& t, const Piece& p, Vec2 at) const {
        switch (t.kind) {
        case Tie::Kind::turned:
            return t.turn;
        case Tie::Kind::against:
        case Tie::Kind::squareTo:
            if (isFace(t.of))
                return faceTurn(faceOf(t.of, say_.room));
            return placeSeen(p, t.of.piece).pose.turn;
        case Tie::Kind::inCorner: {
            const int count = static_cast<int>(say_.room.walls.size());
            return wallOf(say_.room, t.of.alongNext ? t.of.index : (t.of.index + count - 1) % count)
                .direction();
        }
        case Tie::Kind::inLineWith:
            if (isFace(t.of))
                return faceTurn(faceOf(t.of, say_.room));
            return placeSeen(p, t.of.piece).pose.turn;
        case Tie::Kind::atPlace: {
            const auto places = placesAt(*scene_->pieceById(t.of.piece), t.places);
            const Vec2 looks = places[static_cast<std::size_t>(t.place - 1)].looks;
            return placeSeen(p, t.of.piece).pose.turn + directionOf(looks) - Angle::degrees(90);
        }
        case Tie::Kind::facing:
            break;
        default:
            return p.pose.turn;
        }
        // The front goes opposite to the wall's inward side.
        if (isFace(t.of))
            return faceTurn(faceOf(t.of, say_.room)) + Angle::degrees(180);
        if (const auto across = acrossFrom(t, p))
            return *across;
        const Vec2 to = middleOf(t.of, *scene_) - at;
        return norm(to) < 1e-6 ? p.pose.turn : directionOf(to) - Angle::degrees(90);
    }

    /// Facing a piece while a gap to the same piece is tied: straight across from it.
    std::optional<Angle> acrossFrom(const Tie& facing, const Piece& p) const {
        for (const Tie& t : p.ties) {
            if (t.kind != Tie::Kind::fromPiece || t.of != facing.of || t.to != MeasuredTo::edge)
                continue;
            const Angle base = placeSeen(p, t.of.piece).pose.turn;
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

    void place(std::size_t i) {
        const Piece& p = pieceAt(i);
        Placed& out = scene_->all[i];
        const Tie* turnTie = nullptr;
        for (const Tie& t : p.ties) {
            if (!t.fixesTurn())
                continue;
            if (turnTie != nullptr)
                overTied(p, *turnTie, t, "its turn");
            else
                turnTie = &t;
        }
        Pose pose = p.pose;
        if (p.locked) {
            pose.turn = pose.turn.normalised();
            out = {p.id, pose, shapeAt(p, pose), true, 2, {}, p.off, true};
            seeFromAbove(i);
            return;
        }
        const bool facesPoint = turnTie != nullptr && turnTie->kind == Tie::Kind::facing &&
                                !isFace(turnTie->of) && !acrossFrom(*turnTie, p);
        if (turnTie != nullptr)
            pose.turn = turnOf(*turnTie, p, pose.at);
        solve(p, pose, out, true);
        if (facesPoint) {
            for (int step = 0; step < 100; ++step) {
                const Angle next = turnOf(*turnTie, p, pose.at);
                const Angle change = difference(next, pose.turn);
                pose.turn = pose.turn + change;
                if (std::abs(change.inRadians()) < 1e-13)
                    break;
                solve(p, pose, out, false);
            }
        }
        pose.turn = pose.turn.normalised();
        out.turnTied = turnTie != nullptr;
        out.pose = pose;
        out.shape = shapeAt(p, pose);
        hang(p, out);
        seeFromAbove(i);
    }

    static Shape shapeAt(const Piece& p, const Pose& pose) {
        return placed(p.shape(), drawn(p.on, pose));
    }

    /// Under the ceiling: how far below it the piece's top is.
    void hang(const Piece& p, Placed& out) {
        out.off = p.off;
        if (!p.on.isCeiling())
            return;
        const Tie* held = nullptr;
        for (const Tie& t : p.ties) {
            if (!t.fixesDrop())
                continue;
            if (held != nullptr) {
                overTied(p, *held, t, "how high it hangs");
                continue;
            }
            held = &t;
            out.off = dropOf(t, p, out.pose.at, *scene_);
            out.offTied = true;
        }
    }

    /// Keeps the floor as seen from above up to date while pieces are put in place.
    void seeFromAbove(std::size_t i) {
        const int above = placeOf(pieceAt(i).id)->above;
        if (above < 0)
            return;
        const Placed& own = scene_->all[i];
        Placed& seen = scene_->floor.placed[static_cast<std::size_t>(above)];
        seen = own;
        if (pieceAt(i).on.isFloor())
            return;
        const Pose& carrier = scene_->fromAbove(pieceAt(i).on.piece)->pose;
        seen.pose = {carrier.toRoom(own.pose.at), (carrier.turn + own.pose.turn).normalised()};
        seen.shape = placed(pieceAt(i).shape(), seen.pose);
        seen.freeAlong = turned(own.freeAlong, carrier.turn);
    }

    /// Puts pose.at where the positional ties say, from where it last was.
    void solve(const Piece& p, Pose& pose, Placed& out, bool complain) {
        struct Held {
            TieLine line;
            const Tie* tie;
        };
        std::array<Held, 2> held{};
        int count = 0;
        // Over a stair, where a thing is along its wall comes first.
        double along = p.pose.at.x;
        if (p.onWall())
            for (const Tie& t : p.ties)
                for (const TieLine& line : tieLines(t, p, pose.turn, *scene_))
                    if (std::abs(line.normal.y) < 1e-9)
                        along = line.offset / line.normal.x;
        for (const Tie& t : p.ties) {
            if (!t.fixesPlace() || (p.on.isCeiling() && t.fixesDrop()))
                continue;
            for (const TieLine& line : p.onWall() ? wallTieLines(t, p, pose.turn, *scene_, along)
                                                  : tieLines(t, p, pose.turn, *scene_)) {
                const auto parallel = [&](const Held& h) {
                    return std::abs(cross(h.line.normal, line.normal)) < parallelSine;
                };
                if (count > 0 && parallel(held[0])) {
                    if (complain)
                        overTied(p, *held[0].tie, t, "the same coordinate");
                } else if (count > 1) {
                    if (complain)
                        overTied(p, parallel(held[1]) ? *held[1].tie : *held[0].tie, t,
                                 "a coordinate that is fixed already");
                } else {
                    held[static_cast<std::size_t>(count++)] = {line, &t};
                }
            }
        }
        out.coordinatesTied = count;
        pose.at = p.pose.at;
        if (count == 1) {
            const auto& l = held[0].line;
            pose.at = pose.at + l.normal * (l.offset - dot(l.normal, pose.at));
            out.freeAlong = quarter(l.normal);
        } else if (count == 2) {
            const auto& a = held[0].line;
            const auto& b = held[1].line;
            const double det = cross(a.normal, b.normal);
            pose.at = {(a.offset * b.normal.y - b.offset * a.normal.y) / det,
                       (a.normal.x * b.offset - b.normal.x * a.offset) / det};
        }
    }

    std::shared_ptr<Scene> scene_;
    Wording say_;
    std::vector<State> state_;
    std::vector<std::string> chain_;
};

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

const Piece* Scene::pieceById(int id) const {
    const Place* p = placeIn(*this, id);
    return p != nullptr ? &scheme->pieces[p->index] : nullptr;
}

const Placed* Scene::byId(int id) const {
    const Place* p = placeIn(*this, id);
    return p != nullptr ? &all[p->index] : nullptr;
}

const Placed* Scene::fromAbove(int id) const {
    const Place* p = placeIn(*this, id);
    return p != nullptr && p->above >= 0 ? &floor.placed[static_cast<std::size_t>(p->above)]
                                         : nullptr;
}

const Placed* Scene::inPlan(int id) const {
    const Place* p = placeIn(*this, id);
    if (p == nullptr)
        return nullptr;
    return p->above >= 0 ? &floor.placed[static_cast<std::size_t>(p->above)]
           : scheme->pieces[p->index].on.isCeiling() ? &all[p->index]
                                                     : nullptr;
}

Length baseOf(const FloorView& scene, std::size_t i) {
    Length base;
    if (scene.piece(i).on.isCarried())
        if (const auto body = bodyOf(scene, scene.placed[i].id))
            return Length::millimetres(body->foot.z);
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

Result<ScenePtr> resolve(const RoomPtr& room, const SchemePtr& scheme, Notation notation) {
    return Resolver(room, scheme, notation).run();
}

} // namespace mezzet
