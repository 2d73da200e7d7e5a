#include "edit/drag.h"

#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/surfaces.h"
#include "scheme/tie_kind.h"

#include <algorithm>

namespace mezzet {

namespace {

/// Whether all a tie refers to moves along with the piece.
bool movesAlong(const Tie& t, const std::vector<int>& ids) {
    const auto moves = [&](int id) { return std::find(ids.begin(), ids.end(), id) != ids.end(); };
    if (t.kind == Tie::Kind::under)
        return std::all_of(t.group.begin(), t.group.end(), moves);
    if (t.of.is != Target::Is::piece || !moves(t.of.piece))
        return false;
    return t.kind != Tie::Kind::centredBetween ||
           (t.also.is == Target::Is::piece && moves(t.also.piece));
}

/// The tie after a step, or nothing when it is pulled past what makes sense.
std::optional<Tie> stepped(const Tie& t, const Piece& p, const Placed& where, const Scene& scene,
                           Vec2& step, const TieLines& lines) {
    if (const auto go = tieKind(t.kind).stepped)
        return go({t, p, where, scene, step, lines});
    return std::all_of(lines.begin(), lines.end(),
                       [&](const TieLine& l) { return std::abs(dot(l.normal, step)) <= 0.01; })
               ? std::optional(t)
               : std::nullopt;
}

/// What stands on a piece that is moved goes with it.
bool goesAlong(const Piece& p, const Scene& scene, const std::vector<int>& ids) {
    const auto all = carriersOf(p, *scene.scheme);
    return std::any_of(all.begin() + 1, all.end(), [&](const Piece* carrier) {
        return std::find(ids.begin(), ids.end(), carrier->id) != ids.end();
    });
}

} // namespace

Drag drag(const Project& job, const Scene& scene, const std::vector<int>& ids, Vec2 step,
          DragTies mode) {
    Drag out;
    const Wording say{*scene.room, *scene.scheme, job.notation};
    std::vector<std::string> names;
    for (const int id : ids) {
        const Piece* old = scene.scheme->byId(id);
        const Placed* where = scene.byId(id);
        if (old == nullptr || where == nullptr || old->locked || goesAlong(*old, scene, ids))
            continue;
        Piece p = *old;
        p.pose = where->pose;
        names.push_back(p.name);
        // What stands on a top is moved along that, however it is turned.
        Vec2 own = step;
        if (const Placed* seen = scene.fromAbove(id); seen != nullptr && p.on.isCarried())
            own = turned(step, where->pose.turn - seen->pose.turn);
        if (mode == DragTies::keep) {
            p.pose.at = p.pose.at + own;
        } else {
            std::vector<Tie> ties;
            for (const Tie& t : old->ties) {
                const bool height = p.on.isCeiling() && t.fixesDrop();
                if (!t.fixesPlace() || height || movesAlong(t, ids)) {
                    ties.push_back(t);
                    continue;
                }
                const auto lines = tieLines(t, p, where->pose.turn, scene);
                const bool touched = std::any_of(lines.begin(), lines.end(), [&](const TieLine& l) {
                    return std::abs(dot(l.normal, own)) > 1e-6;
                });
                auto next = !touched                 ? std::optional<Tie>(t)
                            : mode == DragTies::drop ? std::nullopt
                                                     : stepped(t, p, *where, scene, own, lines);
                if (!next && tieKind(t.kind).keepsTurn) {
                    // Pulled off its wall, a piece still stands square to it.
                    Tie turn;
                    turn.kind = Tie::Kind::turned;
                    turn.turn = where->pose.turn;
                    ties.push_back(turn);
                }
                if (!next || *next != t)
                    out.changes.push_back(
                        {p.name, words(t, say), next ? words(*next, say) : std::string()});
                if (next)
                    ties.push_back(*next);
            }
            p.pose.at = p.pose.at + own;
            p.ties = std::move(ties);
        }
        out.edit.acts.emplace_back(PutPiece{std::move(p)});
    }
    out.edit.words = worded("move {}", listed(names));
    for (const auto& c : out.changes)
        if (c.after.empty())
            out.edit.notices.push_back(worded("{} lets go of “{}”", c.piece, c.before));
    return out;
}

Result<Edit> turnBy(const Project& job, const Scene& scene, const std::vector<int>& ids, Angle by) {
    Edit edit;
    std::vector<std::string> names;
    for (const int id : ids) {
        const Piece* old = scene.scheme->byId(id);
        if (old == nullptr || old->locked)
            continue;
        // What has its place at another of them goes round with that.
        const auto held = [&](const Tie& t) {
            return t.kind == Tie::Kind::atPlace && t.of.is == Target::Is::piece &&
                   std::find(ids.begin(), ids.end(), t.of.piece) != ids.end();
        };
        if (std::any_of(old->ties.begin(), old->ties.end(), held))
            continue;
        Tie t;
        t.kind = Tie::Kind::turned;
        t.turn = (scene.byId(id)->pose.turn + by).normalised();
        Piece p = *old;
        p.pose = scene.byId(id)->pose;
        auto next = retied(job, p, {t});
        if (!next)
            return next.problem();
        next->piece.pose.turn = t.turn;
        for (const auto& w : next->letGo)
            edit.notices.push_back(worded("{} lets go of “{}”", p.name, w));
        names.push_back(p.name);
        edit.acts.emplace_back(PutPiece{std::move(next->piece)});
    }
    edit.words = worded("turn {}", listed(names));
    return edit;
}

} // namespace mezzet
