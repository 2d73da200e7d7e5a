#include "scheme/resolve.h"

#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/faces.h"
#include "scheme/surfaces.h"
#include "scheme/tie_kind.h"

#include <algorithm>

namespace mezzet {

using namespace faces;

namespace {

/// Two lines closer in direction than this (5 degrees) say the same coordinate.
constexpr double parallelSine = 0.087;

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
            if (auto problem = first(i, p.on.piece, worded("{} is {}", p.name, words(p.on, say_))))
                return problem;
        for (const Tie& t : p.ties) {
            for (const Target* x : {&t.of, &t.also})
                if (x->is != Target::Is::none && !exists(*x, say_.room, scheme()))
                    return missing(p, *x);
            if (auto why = unsuited(t, p, say_.room, scheme()); !why.empty())
                return Problem{worded("{} can't be “{}”: {}", p.name, words(t, say_), why),
                               "say it otherwise"};
            std::vector<int> needs = t.group;
            if (t.of.is == Target::Is::piece)
                needs.push_back(t.of.piece);
            if (t.also.is == Target::Is::piece)
                needs.push_back(t.also.piece);
            for (const int id : needs)
                if (auto problem = first(i, id, worded("{} is {}", p.name, words(t, say_))))
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
            return Problem{worded("{} is tied to a piece that is not there", pieceAt(i).name),
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
        return {worded("{} is tied to {}, which is not there", p.name, words(target, say_)),
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
        return {worded("these ties go round in a loop: {}", text),
                "tie one of them to a wall, or free it first"};
    }

    void overTied(const Piece& p, const Tie& first, const Tie& second, const char* what) {
        scene_->overTied.push_back(
            {p.id, Problem{worded("{} can't be both “{}” and “{}”: each fixes {}", p.name,
                                  words(first, say_), words(second, say_), what),
                           "say one of them"}});
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
        const TieKind* turns = turnTie != nullptr ? &tieKind(turnTie->kind) : nullptr;
        const auto turnAt = [&](Vec2 at) {
            return turns->turn({*turnTie, p, p.pose.turn, *scene_, p.pose.at.x}, at);
        };
        if (turns != nullptr)
            pose.turn = turnAt(pose.at);
        solve(p, pose, out, true);
        if (turns != nullptr && turns->turnsWithPlace != nullptr &&
            turns->turnsWithPlace({*turnTie, p, pose.turn, *scene_, p.pose.at.x})) {
            for (int step = 0; step < 100; ++step) {
                const Angle next = turnAt(pose.at);
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
            for (const TieLine& line : tieLines(TieAsk{t, p, pose.turn, *scene_, along})) {
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

Result<ScenePtr> resolve(const RoomPtr& room, const SchemePtr& scheme, Notation notation) {
    return Resolver(room, scheme, notation).run();
}

} // namespace mezzet
