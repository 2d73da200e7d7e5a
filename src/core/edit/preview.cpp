#include "edit/preview.h"

#include "edit/rug_told.h"

#include "edit/landing.h"
#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/surfaces.h"

#include <map>
#include <set>

namespace mezzet {

namespace {

/// "through wall A", "beyond wall A": a thing on the floor that no wall lets stand there; "" for
/// one that is inside, and for one that was just as far through before.
std::string throughWords(const Scene& was, const Scene& now, int id, const Wording& wording) {
    struct Past {
        bool beyond = false; // its middle is outside; then `by` is how far
        double by = 0;       // mm
        int wall = -1;
    };
    const auto past = [](const Scene& s, int of) {
        Past out;
        const Placed* p = s.fromAbove(of);
        if (p == nullptr || !s.pieceById(of)->on.isFloor())
            return out;
        out.beyond = s.room->closed && !insideOutline(s.room->edge, p->shape.centre);
        for (std::size_t k = 0; k < s.room->stretches(); ++k) {
            const Wall w = s.room->stretchAt(k);
            const Segment face{w.start, w.end};
            const double by = out.beyond ? norm(p->shape.centre - nearestOn(face, p->shape.centre))
                                         : gapBetween(p->shape, stretch(face)).depth.mm();
            // Beyond the nearest wall, through the one it is deepest in.
            if (out.wall < 0 || (out.beyond ? by < out.by : by > out.by)) {
                out.by = by;
                out.wall = s.room->edgeWall[k];
            }
        }
        return out;
    };
    constexpr double touching = 1;
    const Past is = past(now, id);
    const Past before = past(was, id);
    if (is.wall < 0 || (!is.beyond && is.by <= touching) ||
        (is.beyond == before.beyond && is.by <= before.by + touching))
        return {};
    const auto name = words(wallTarget(is.wall), wording);
    return is.beyond ? worded("beyond {}", name) : worded("through {}", name);
}

/// What else is elsewhere now, as the ties have it.
std::string movedTooWords(const Scene& was, const Scene& now, const std::set<std::string>& told) {
    if (was.room != now.room)
        return {};
    std::vector<std::string> names;
    for (const Piece& p : now.scheme->pieces) {
        if (p.isGroup() || told.count(std::to_string(p.id)) > 0 || was.pieceById(p.id) == nullptr)
            continue;
        const Placed& a = *was.byId(p.id);
        const Placed& b = *now.byId(p.id);
        if (was.pieceById(p.id)->on == p.on && norm(b.pose.at - a.pose.at) < 0.05 &&
            std::abs(difference(b.pose.turn, a.pose.turn).inDegrees()) < 0.05)
            continue;
        names.push_back(p.name);
    }
    if (names.empty())
        return {};
    constexpr std::size_t byName = 3;
    return worded("moves {} too",
                  names.size() > byName ? worded("{} others", names.size()) : listed(names));
}

/// "Bookcase has 4 openings, 14", 12", 16" and 10" high, over a plinth of 3""
std::string openingsOf(const Piece& p, Notation n) {
    std::vector<std::string> high;
    for (int row = 0; row < p.rows(); ++row)
        if (const auto o = openingOf(p, row * p.across() + 1))
            high.push_back(writeGap(Length::millimetres(o->head - o->board), n));
    const bool alike =
        std::all_of(high.begin(), high.end(), [&](const std::string& h) { return h == high[0]; });
    std::string out = worded("{} has {} openings, {} high", p.name, p.openings(),
                             alike && !high.empty() ? high.front() : listed(high));
    if (const Length plinth = plinthOf(p); plinth > quiet)
        out += worded(", over a plinth of {}", writeGap(plinth, n));
    return out;
}

} // namespace

std::string cautionAt(const Piece& p) {
    // What leans holds by nothing in the wall.
    return std::string(p.onWall() && p.hanging.mount == Mount::leaned &&
                               p.kind->hanging.mount != Mount::leaned
                           ? told("Leaned: pads under its foot, and a strap or putty at its "
                                  "top, so that it neither slips nor tips.")
                           : std::string_view(p.kind->caution));
}

std::vector<std::string> toldOf(const Edit& edit) {
    auto all = edit.notices;
    for (const Act& a : edit.acts)
        if (const auto* put = std::get_if<PutPiece>(&a))
            if (auto caution = cautionAt(put->piece); !caution.empty())
                all.push_back(std::move(caution));
    return all;
}

std::string previewOf(const Project& before, const Scene& was, const Edit& edit,
                      const Applied& after) {
    std::string out;
    const auto say = [&](const std::string& s) { out += (out.empty() ? "" : "; ") + s; };
    std::set<std::string> seenOf; // a piece that several acts put is told once
    // Many of one kind are told as so many.
    constexpr int many = 5;
    std::map<std::string, std::vector<std::string>> newOf;
    for (const Act& act : edit.acts)
        if (const auto* put = std::get_if<PutPiece>(&act); put != nullptr && put->piece.id == 0)
            newOf[put->piece.kind->name].push_back(put->piece.name);
    for (const auto& [kind, names] : newOf) {
        if (static_cast<int>(names.size()) < many)
            continue;
        say(worded("adds {}: {} to {}", names.size(), names.front(), names.back()));
        for (const auto& name : names)
            seenOf.insert("+" + name);
    }
    std::vector<std::string> taken; // of an edit that puts pieces besides
    bool puts = false;
    for (const Act& act : edit.acts) {
        puts = puts || std::holds_alternative<PutPiece>(act);
        if (const auto* gone = std::get_if<RemovePiece>(&act))
            if (const Piece* p = before.scheme().byId(gone->id))
                taken.push_back(p->name);
    }
    if (!puts)
        taken.clear();
    struct Kept {
        std::size_t at; ///< in what is told
        std::string name;
    };
    std::vector<Kept> kept; // what stays where it is, and is held there from now on
    for (const Act& act : edit.acts) {
        if (const auto* put = std::get_if<PutPiece>(&act)) {
            if (!seenOf
                     .insert(put->piece.id == 0 ? "+" + put->piece.name
                                                : std::to_string(put->piece.id))
                     .second)
                continue;
            const Piece* old = put->piece.id == 0 ? nullptr : before.scheme().byId(put->piece.id);
            const Piece& now = old != nullptr ? *after.project->scheme().byId(old->id)
                                              : *after.project->scheme().byName(put->piece.name);
            const Wording wording = after.project->wording();
            std::vector<std::string> ties;
            if (now.on.isCarried())
                ties.push_back(words(now.on, wording));
            for (const auto& t : now.ties)
                ties.push_back(words(t, wording));
            if (old == nullptr) {
                const auto where = listed(ties, "");
                say(worded("adds {} {}{}", now.name, sizeWords(now, before.notation),
                           where.empty() ? ", where there is room" : ", " + where));
                if (const auto w = throughWords(was, *after.scene, now.id, wording); !w.empty())
                    out += ", " + w;
                if (const auto in = overlapOf(*after.scene, now.id); !in.empty())
                    out +=
                        now.onWall() ? worded(", over {}", in) : worded(", and stands in {}", in);
                if (const auto door = doorwayAt(*after.scene, now.id); !door.empty())
                    out += worded(", before {}", door);
                if (!now.reason.empty())
                    out += worded(", because {}", now.reason);
                const auto caution = cautionAt(now);
                if (!caution.empty() && seenOf.insert(caution).second)
                    say(caution);
                continue;
            }
            const Placed& a = *was.byId(old->id);
            const Placed& b = *after.scene->byId(old->id);
            const auto step = movedWords(*after.project, was, old->id, *after.scene, old->id);
            const double turn = difference(b.pose.turn, a.pose.turn).inDegrees();
            bool told = false;
            const auto tell = [&](const std::string& s) {
                say(s);
                told = true;
            };
            if (now.name != old->name)
                tell(worded("calls {} {}", old->name, now.name));
            if (now.size != old->size)
                tell(worded("makes {} {}", now.name, sizeWords(now, before.notation)));
            const auto height = [&](const char* what, const std::optional<Length>& is,
                                    const std::optional<Length>& before_) {
                if (is && is != before_ && now.size == old->size)
                    tell(worded("makes the {} of {} {} high", what, now.name,
                                writeGap(*is, before.notation)));
            };
            height("seat", now.heights.seat, old->heights.seat);
            height("arms", now.heights.arm, old->heights.arm);
            height("top", now.heights.top, old->heights.top);
            if (now.cost != old->cost && now.cost)
                tell(worded("notes that {} costs {:g}", now.name, *now.cost));
            if (now.reason != old->reason)
                tell(worded("notes why {} is there", now.name));
            if (now.footprint.armOnRight != old->footprint.armOnRight)
                tell(now.footprint.armOnRight
                         ? worded("puts the return of {} on the right, as you face it", now.name)
                         : worded("puts the return of {} on the left, as you face it", now.name));
            if (now.backFinished() != old->backFinished())
                tell(worded("notes that the back of {} is {}", now.name,
                            now.backFinished() ? "finished" : "bare"));
            if (now.hanging != old->hanging)
                tell(worded("notes how {} is held", now.name));
            for (const auto& s : rugToldWords(*old, now, before))
                tell(s);
            if (now.picture != old->picture)
                tell(worded("shows {} in {}", now.picture, now.name));
            const bool shines = (now.light == nullptr) != (old->light == nullptr) ||
                                (now.light && *now.light != *old->light);
            const auto differs = [](const auto& one, const auto& two) {
                return (one == nullptr) != (two == nullptr) || (one && *one != *two);
            };
            if (differs(now.unit, old->unit))
                tell(openingsOf(now, before.notation));
            if (shines || now.reflects != old->reflects ||
                (differs(now.thing, old->thing) && now.on == old->on)) {
                told = true;
                if (seenOf.insert(edit.words).second)
                    say(edit.words);
            }
            if (now.locked != old->locked)
                tell(worded("{} {}", now.locked ? "locks" : "unlocks", now.name));
            auto through = throughWords(was, *after.scene, old->id, wording);
            if (const auto in = overlapOf(*after.scene, old->id);
                !in.empty() && in != overlapOf(was, old->id))
                through += (through.empty() ? "" : ", ") +
                           (now.onWall() ? worded("over {}", in) : worded("into {}", in));
            if (const auto door = doorwayAt(*after.scene, old->id);
                !door.empty() && door != doorwayAt(was, old->id))
                through += (through.empty() ? "" : ", ") + worded("before {}", door);
            if (!step.empty())
                tell(
                    worded("moves {} {}{}", now.name, step, through.empty() ? "" : ", " + through));
            else if (!through.empty())
                tell(worded("puts {} {}", now.name, through));
            if (std::abs(turn) > 0.05)
                tell(worded("turns {} {:.4g}°", now.name, turn < -179.95 ? 180 : turn));
            const bool same = now.ties == old->ties && now.heights == old->heights;
            if (!told && !same && edit.words != worded("size {}", now.name))
                kept.push_back({out.size(), now.name});
            else if (!told)
                say(edit.words == worded("size {}", now.name)
                        ? worded("changes nothing: {} is so already", now.name)
                        : worded("changes nothing: {} is there already", now.name));
        } else if (std::holds_alternative<RemovePiece>(act) && !taken.empty()) {
            // Of an edit that does more besides, what goes is told by name, and once.
            if (seenOf.insert("-").second)
                say(worded("removes {}", listed(taken, "and")));
        } else {
            say(edit.words);
            break;
        }
    }
    // Several that stay are as many, where something else is done.
    constexpr std::size_t severalKept = 3;
    if (kept.size() >= severalKept && !out.empty()) {
        say(worded("leaves {} where they are", kept.size()));
        kept.clear();
    }
    for (auto it = kept.rbegin(); it != kept.rend(); ++it) {
        const auto words = worded("leaves {} where it is and keeps it so", it->name);
        out.insert(it->at, it->at == 0 ? words + (out.empty() ? "" : "; ") : "; " + words);
    }
    if (const auto too = movedTooWords(was, *after.scene, seenOf); !too.empty())
        say(too);
    std::set<std::pair<std::string, std::string>> inEachOther;
    // A rug that goes along may come to lie under a wall.
    if (was.room == after.scene->room)
        for (const Piece& p : after.scene->scheme->pieces) {
            const Placed* old = was.byId(p.id);
            if (old == nullptr || p.isGroup() || seenOf.count(std::to_string(p.id)) > 0 ||
                old->pose == after.scene->byId(p.id)->pose)
                continue;
            if (const auto through =
                    throughWords(was, *after.scene, p.id, after.project->wording());
                !through.empty())
                say(worded("{} goes {}", p.name, through));
            if (const auto door = doorwayAt(*after.scene, p.id);
                !door.empty() && door != doorwayAt(was, p.id))
                say(worded("{} comes to stand before {}", p.name, door));
            // Of two that come to stand in each other it is told once.
            if (const auto in = overlapOf(*after.scene, p.id);
                !in.empty() && in != overlapOf(was, p.id) && inEachOther.count({in, p.name}) == 0 &&
                inEachOther.insert({p.name, in}).second)
                say(p.onWall() ? worded("{} comes to hang over {}", p.name, in)
                               : worded("{} comes to stand in {}", p.name, in));
        }
    for (const auto& n : after.notices)
        say(n);
    return capital(out);
}

} // namespace mezzet
