#include "fits/walls.h"

#include "edit/grouping.h"
#include "edit/new_piece.h"
#include "edit/place.h"
#include "hang/free_wall.h"
#include "hang/stock.h"
#include "judge/on_walls.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

FitChoice choice(std::string title, std::string detail, Edit edit) {
    FitChoice c;
    c.title = std::move(title);
    c.detail = std::move(detail);
    c.edit = std::move(edit);
    return c;
}

/// Something new on a wall, held by these ties; nothing when it can't be. `sizes` as the line takes
/// them.
std::optional<Edit> hungNew(const Project& job, const Scene& scene, const char* kind,
                            const std::vector<Length>& sizes, int wall, std::vector<Tie> ties) {
    const KindPtr k = job.library.kit->byId(kind);
    if (!k)
        return {};
    Piece p = pieceOf(k);
    p.name = job.scheme().freeName(k->name);
    giveSizes(p, sizes);
    Placement where;
    where.ties = std::move(ties);
    where.wall = wall;
    auto e = placePiece(job, scene, std::move(p), std::move(where));
    return e ? std::optional(*e) : std::nullopt;
}

Tie tieOf(Tie::Kind kind, Target of, Length distance) {
    Tie t;
    t.kind = kind;
    t.of = of;
    t.distance = distance;
    return t;
}

Length setting(const Project& job, const char* rule, const char* name) {
    const Rule* r = job.library.book->byId(rule);
    return r != nullptr ? r->setting(name) : Length{};
}

Band bandOf(const Project& job, const char* rule) {
    const Rule* r = job.library.book->byId(rule);
    return r != nullptr ? job.judgement.bandOf(*r) : Band{};
}

std::optional<std::size_t> placedIndex(const FloorView& scene, int id) {
    for (std::size_t i = 0; i < scene.placed.size(); ++i)
        if (scene.placed[i].id == id)
            return i;
    return {};
}

/// A group set out within an outline, and hung so far above a piece, over its middle.
std::optional<Edit> groupFilling(const Project& job, const Scene& scene, const Piece& group,
                                 Vec2 within, int furniture, Length gap) {
    auto set = arrangeAs(job, scene, group.id, {GroupForm::salon, group.plan.gap, 0}, {}, within);
    auto then = set ? apply(job, *set) : Result<Applied>(Problem{});
    if (!then)
        return {};
    Piece p = asItStands(*then->project, *then->scene, group.id);
    Placement where;
    where.wall = p.wall();
    where.ties = {tieOf(Tie::Kind::above, pieceTarget(furniture), gap),
                  tieOf(Tie::Kind::centredOn, pieceTarget(furniture), {})};
    auto hung = placePiece(*then->project, *then->scene, std::move(p), std::move(where));
    if (!hung)
        return {};
    set->acts.insert(set->acts.end(), hung->acts.begin(), hung->acts.end());
    set->notices.insert(set->notices.end(), hung->notices.begin(), hung->notices.end());
    return *set;
}

/// A picture that hangs, at another size and place.
std::optional<Edit> anew(const Project& job, const Scene& scene, const Piece& picture,
                         const std::vector<Length>& sizes, const std::vector<Tie>& ties) {
    Piece p = asItStands(job, scene, picture.id);
    giveSizes(p, sizes);
    Placement where;
    where.wall = p.wall();
    where.ties = ties;
    auto e = placePiece(job, scene, std::move(p), std::move(where));
    return e ? std::optional(*e) : std::nullopt;
}

} // namespace

FitAnswer picturesOver(const Project& job, int furniture) {
    FitAnswer out;
    const auto scene = sceneOf(job);
    const Piece* under = job.scheme().byId(furniture);
    const auto index = scene ? placedIndex(**scene, furniture) : std::nullopt;
    if (under == nullptr || !index) {
        out.heading = "That stands nowhere";
        return out;
    }
    const auto behind = wallBehind(**scene, furniture);
    if (!behind) {
        out.heading = worded("No wall is behind {}", under->name);
        out.reasons = {"stand it against one, and ask again"};
        return out;
    }
    const int wall = *behind;
    // What hangs over it now would be taken down for the new one.
    std::vector<int> there;
    const auto on = *boxOn(pieceTarget(furniture), wall, **scene);
    const WallsView walls(**scene);
    for (std::size_t i = 0; i < walls.hung.size(); ++i) {
        const Piece& p = walls.hungPiece(i);
        const Box b = bounds(walls.hung[i].shape);
        const bool above = b.low.x < on.high.x && b.high.x > on.low.x && b.low.y >= on.high.y - 1;
        const bool light = p.kind->role == Role::sconce;
        if (p.wall() == wall && (light || above) && p.group() == 0)
            there.push_back(p.id);
    }
    const auto free = freeOver(**scene, faceOf(**scene, wall), *index, there);
    const Band above = bandOf(job, "art-above");
    const Length gap = Length::millimetres((above.low.value_or(0) + above.high.value_or(0)) / 2);
    const auto room = free ? within(*free, setting(job, "art-shape", "sides"), gap,
                                    setting(job, "art-shape", "over"))
                           : std::nullopt;
    const Notation n = job.notation;
    if (!room) {
        out.heading = worded("The wall over {} is taken, or too low", under->name);
        return out;
    }
    const Length w = Length::millimetres(room->size().x);
    const Length h = Length::millimetres(room->size().y);
    out.heading = worded("Over {}: {} x {} free, {}", under->name, writeBare(w, n), writeBare(h, n),
                         proportionName(w, h));
    out.reasons.push_back(
        worded("That is the wall over it less {} at either side, {} under and {} over.",
               writeGap(setting(job, "art-shape", "sides"), n), writeGap(gap, n),
               writeGap(setting(job, "art-shape", "over"), n)));
    const Band share = bandOf(job, "art-width");
    const double least = share.low.value_or(0);
    const double most = share.high.value_or(10);
    for (const int id : there) {
        const Piece& p = *job.scheme().byId(id);
        if (p.kind->role == Role::sconce || p.kind->role == Role::object)
            continue;
        if (p.size.width / under->size.width < least - 1e-6)
            out.reasons.push_back(worded("{} is too small for it: {} wide over {}.", p.name,
                                         writeGap(p.size.width, n),
                                         writeGap(under->size.width, n)));
    }
    auto sizes = stockFor(job.library.stock, w, h, isMetric(n.units));
    // Those about two thirds as wide come first, each in the order of how well it fills the wall.
    std::stable_partition(sizes.begin(), sizes.end(), [&](const Suits& s) {
        const double wide = s.width / under->size.width;
        return wide >= least - 1e-6 && wide <= most + 1e-6;
    });
    const Piece* single = nullptr;
    if (there.size() == 1 && job.scheme().byId(there.front())->kind->id == "picture")
        single = job.scheme().byId(there.front());
    // A group of that wall can be set out to fill it.
    for (const Piece& g : job.scheme().hung())
        if (g.isGroup() && g.wall() == wall)
            if (auto e = groupFilling(job, **scene, g, {w.mm(), h.mm()}, furniture, gap))
                out.choices.push_back(
                    choice(worded("{} within {} x {}", g.name, writeBare(w, n), writeBare(h, n)),
                           "the group set out to fill it", std::move(*e)));
    for (const Suits& s : sizes) {
        if (out.choices.size() >= 8)
            break;
        const double wide = s.width / under->size.width;
        const std::vector<Tie> ties{tieOf(Tie::Kind::above, pieceTarget(furniture), gap),
                                    tieOf(Tie::Kind::centredOn, pieceTarget(furniture), {})};
        // A new one takes the place of the single picture that hangs there.
        auto e = single != nullptr
                     ? anew(job, **scene, *single, {s.width, s.height}, ties)
                     : hungNew(job, **scene, "picture", {s.width, s.height}, wall, ties);
        if (!e)
            continue;
        out.choices.push_back(choice(
            worded("{} x {}", writeBare(s.width, n), writeBare(s.height, n)),
            worded("{}, {:.0f} % of {}'s width, {:.0f} % of the free wall{}",
                   proportionName(s.width, s.height), wide * 100, under->name, s.covers * 100,
                   wide < least - 1e-6  ? "; narrow for it"
                   : wide > most + 1e-6 ? "; wide for it"
                                        : ""),
            std::move(*e)));
        out.choices.back().size = {s.width, Length::inches(1.25), s.height};
    }
    return out;
}

FitAnswer setLike(const Project& job, int large, const std::vector<int>& named,
                  const GoesOn& goesOn) {
    FitAnswer out;
    const auto scene = sceneOf(job);
    const Piece* one = job.scheme().byId(large);
    if (!scene || one == nullptr || !one->onWall()) {
        out.heading = "That is not on a wall";
        return out;
    }
    std::vector<int> pool = named;
    if (pool.empty())
        for (const Piece& p : job.scheme().hung())
            if (p.kind->role == Role::art && p.group() == 0 && p.id != large)
                pool.push_back(p.id);
    std::erase(pool, large);
    const Box b = bounds((*scene)->byId(large)->shape);
    const GroupAsk ask =
        askOf(**scene, pool, GroupForm::grid, job.library.book->habit("group-gap"));
    std::vector<GroupItem> items = ask.items;
    if (goesOn && !goesOn()) {
        out.stopped = true;
        return out;
    }
    const auto set = setToMatch(items, b.size(), ask.gap, 6);
    const Notation n = job.notation;
    const auto say = [&](double mm) { return writeBare(Length::millimetres(mm), n); };
    if (!set) {
        out.heading = worded("No set of these makes {} x {}", say(b.size().x), say(b.size().y));
        out.reasons.push_back(pool.size() < 2 ? "there are fewer than two to choose from"
                                              : "they fill less than half of it, or more than all");
        return out;
    }
    std::vector<std::string> names;
    std::vector<int> ids;
    std::vector<std::string> left;
    for (std::size_t i = 0; i < items.size(); ++i) {
        const bool in = std::find(set->of.begin(), set->of.end(), i) != set->of.end();
        (in ? names : left).push_back(job.scheme().byId(items[i].id)->name);
        if (in)
            ids.push_back(items[i].id);
    }
    out.heading =
        worded("{} answer {}: {} x {} for {} x {}", listed(names), one->name,
               say(set->answer.size.x), say(set->answer.size.y), say(b.size().x), say(b.size().y));
    if (!left.empty())
        out.reasons.push_back(worded("Left over: {}.", listed(left)));
    auto made = makeGroup(job, **scene, ids, {}, GroupForm::asPlaced, ask.gap);
    if (!made) {
        out.reasons.push_back(made.problem().sentence());
        return out;
    }
    const auto with = apply(job, *made);
    if (!with) {
        out.reasons.push_back(with.problem().sentence());
        return out;
    }
    const int group = std::get<PutPiece>(made->acts.front()).piece.id;
    GroupAsk chosen = askOf(**scene, ids, GroupForm::grid, ask.gap);
    const Edit laid = setOut(*with->project, *with->scene, group, {GroupForm::asPlaced, ask.gap, 0},
                             chosen, set->answer);
    FitChoice c;
    c.title = worded("A set of {}", ids.size());
    c.detail = worded("within {:.0f} % of its outline", set->off * 100);
    c.edit = *made;
    c.edit.acts.insert(c.edit.acts.end(), laid.acts.begin(), laid.acts.end());
    out.choices.push_back(std::move(c));
    return out;
}

FitAnswer mirrorShowing(const Project& job, int wall, const Target& thing, const Target& from) {
    FitAnswer out;
    const auto scene = sceneOf(job);
    if (!scene)
        return out;
    const Notation n = job.notation;
    const Wording say = job.wording();
    const auto lookers = lookersOf(**scene, statureOf(job.judgement));
    const auto who = std::find_if(lookers.begin(), lookers.end(),
                                  [&](const Looker& l) { return l.from == from; });
    if (who == lookers.end()) {
        out.heading = worded("Nobody looks from {}", words(from, say));
        out.reasons = {"name a sofa, an armchair, a door or an opening"};
        return out;
    }
    const auto b = shownOn(**scene, wall, Length::inches(1.5), *who, thing);
    const double length = job.room->walls[static_cast<std::size_t>(wall)].length().mm();
    const auto at = [&](double mm) { return write(Length::millimetres(mm), n); };
    if (!b || b->high.x < 0 || b->low.x > length) {
        out.heading = worded("No mirror on wall {} shows {} from {}", wallName(wall),
                             words(thing, say), words(from, say));
        return out;
    }
    out.yes = true;
    out.heading = worded("{} is seen at {} along wall {}, {} up", words(thing, say),
                         at(b->centre().x), wallName(wall), at(b->centre().y));
    out.reasons.push_back(worded("To show all of it, a mirror covers {} to {} along and {} to {} "
                                 "up.",
                                 at(b->low.x), at(b->high.x), at(b->low.y), at(b->high.y)));
    const auto tried = [&](const char* kind, double w, double h) {
        const double x = std::clamp(b->centre().x, w / 2, length - w / 2);
        Tie place;
        place.kind = Tie::Kind::at;
        place.distance = rounded(Length::millimetres(x), n);
        place.second = rounded(Length::millimetres(b->centre().y), n);
        const auto e = hungNew(job, **scene, kind, {Length::millimetres(w), Length::millimetres(h)},
                               wall, {place});
        if (!e)
            return;
        auto c = choice(worded("{}, {} x {}", foldCase(job.library.kit->byId(kind)->name),
                               writeBare(Length::millimetres(w), n),
                               writeBare(Length::millimetres(h), n)),
                        {}, *e);
        const auto next = apply(job, c.edit);
        if (!next)
            return;
        const auto view = mirrorShows(*next->scene, next->scene->walls.placed.size() - 1, *who);
        double share = 0;
        for (const MirrorItem& i : view.items)
            if (i.what == thing)
                share = i.share;
        c.detail = worded("{:.0f} % of it would be {}; {:.0f} % hidden", share * 100,
                          words(thing, say), view.hidden * 100);
        out.choices.push_back(std::move(c));
    };
    tried("mirror", Length::inches(24).mm(), Length::inches(36).mm());
    tried("round-mirror", Length::inches(30).mm(), Length::inches(30).mm());
    return out;
}

FitAnswer ledgeBehind(const Project& job, int sofa) {
    FitAnswer out;
    const auto scene = sceneOf(job);
    const Piece* p = job.scheme().byId(sofa);
    const auto behind = scene && p != nullptr ? wallBehind(**scene, sofa) : std::nullopt;
    if (!behind) {
        out.heading = "It stands before no wall";
        return out;
    }
    const int wall = *behind;
    const Notation n = job.notation;
    const auto standing = standingBefore(**scene, wall);
    const auto index = placedIndex(**scene, sofa);
    const auto s = std::find_if(standing.begin(), standing.end(),
                                [&](const Standing& x) { return index && x.index == *index; });
    if (s == standing.end()) {
        out.heading = worded("{} stands too far from the wall", p->name);
        return out;
    }
    const double back = s->base + p->heights.back.value_or(p->size.height).mm();
    for (const Opening& o : job.room->openings) {
        if (o.kind != OpeningKind::window || o.wall != wall)
            continue;
        const double left = std::max(s->left, o.left.mm());
        const double right = std::min(s->right, (o.left + o.width).mm());
        if (right - left < 200)
            continue;
        if (s->off < Length::inches(2).mm()) {
            out.heading = worded("{} stands {} off the wall: too little for a ledge", p->name,
                                 writeGap(Length::millimetres(s->off), n));
            return out;
        }
        const double top = std::min(back, o.sill.mm());
        const auto len = Length::millimetres(right - left);
        const auto deep = Length::millimetres(s->off);
        out.heading = worded("A ledge {} long and {} deep, its top {} up", writeGap(len, n),
                             writeGap(deep, n), writeGap(Length::millimetres(top), n));
        out.reasons.push_back(worded(
            "It fills the space between {}'s back and {}; the back is {} {} the sill.", p->name,
            o.name(), writeGap(Length::millimetres(std::abs(o.sill.mm() - back)), n),
            back <= o.sill.mm() ? "under" : "over"));
        Tie high = tieOf(Tie::Kind::height, {}, rounded(Length::millimetres(top), n));
        high.level = Level::top;
        Tie along =
            tieOf(Tie::Kind::fromCorner, {}, rounded(Length::millimetres((left + right) / 2), n));
        along.of.is = Target::Is::corner;
        along.of.index = wall;
        along.to = MeasuredTo::centre;
        if (auto e = hungNew(job, **scene, "ledge", {rounded(len, n), rounded(deep, n)}, wall,
                             {high, along}))
            out.choices.push_back(choice("Put it there", "under " + o.name(), std::move(*e)));
        return out;
    }
    out.heading = worded("No window is behind {}", p->name);
    return out;
}

} // namespace mezzet
