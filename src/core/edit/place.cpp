#include "edit/place.h"

#include "scheme/surfaces.h"

#include "edit/beside_wall.h"
#include "edit/drag.h"
#include "edit/landing.h"
#include "edit/new_piece.h"
#include "edit/rug_told.h"
#include "edit/surface_words.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"
#include "scheme/rug.h"
#include "scheme/words.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace mezzet {

Length usualBy(const Project& job, std::string_view rule) {
    const Rule* r = job.library.book->byId(rule);
    const Band b = r != nullptr ? job.judgement.bandOf(*r) : Band{};
    return Length::millimetres((b.low.value_or(0) + b.high.value_or(b.low.value_or(0))) / 2);
}

Problem locked(const Piece& p) {
    return {worded("{} is locked", p.name), "unlock it first"};
}

namespace {

/// A piece under fresh ties, and what lets go for them.
Result<Edit> retie(const Project& job, Piece p, const std::vector<Tie>& ties) {
    if (p.locked && !ties.empty())
        return locked(p);
    auto r = retied(job, p, ties);
    if (!r)
        return r.problem();
    Edit e;
    e.words = worded("move {}", p.name);
    for (const auto& w : r->letGo)
        e.notices.push_back(worded("lets go of “{}”", w));
    e.acts.emplace_back(PutPiece{std::move(r->piece)});
    return e;
}

/// A rug that would go through a wall lies the other way round, where nothing says how it is
/// turned: it has no front. Under seats that stand at the wall it lies under their front legs. What
/// is done is said.
void keepRugInside(const Project& job, Edit& e, const Piece& p, std::vector<Tie> ties) {
    const auto through = [&](const Edit& edit) {
        const auto after = apply(job, edit);
        if (!after)
            return Length{};
        const auto& put = std::get<PutPiece>(edit.acts.front()).piece;
        const Piece* now = after->project->scheme().byName(put.name);
        return now != nullptr ? throughWalls(*after->scene, now->id) : Length{};
    };
    const Length inside = Length::millimetres(1);
    const Length by = through(e);
    const auto under = std::find_if(ties.begin(), ties.end(), [](const Tie& t) {
        return t.kind == Tie::Kind::under && t.distance <= Length{};
    });
    const bool isUnder = std::any_of(ties.begin(), ties.end(),
                                     [](const Tie& t) { return t.kind == Tie::Kind::under; });
    const bool turned = std::any_of(ties.begin(), ties.end(), [](const Tie& t) {
        return t.fixesTurn() && t.kind != Tie::Kind::inLineWith;
    });
    const auto builtIn = [&](const Edit& edit) {
        const auto after = apply(job, edit);
        const auto& put = std::get<PutPiece>(edit.acts.front()).piece;
        const Piece* now = after ? after->project->scheme().byName(put.name) : nullptr;
        return now != nullptr ? builtInAt(*after->scene, now->id) : std::string();
    };
    if (p.id == 0 && !turned && by <= inside) {
        Piece across = p;
        std::swap(across.size.width, across.size.depth);
        const auto in = builtIn(e);
        auto other = in.empty() ? Result<Edit>(Problem{}) : retie(job, across, ties);
        if (other && through(*other) <= inside && builtIn(*other).empty()) {
            other->notices.push_back(
                worded("it lies the other way round, so that it is clear of {}", in));
            e = std::move(*other);
        }
    }
    if (by <= inside || (isUnder && under == ties.end()))
        return;
    Length least = by;
    const auto tried = [&](const Piece& rug, const std::vector<std::string>& told) {
        auto other = retie(job, rug, ties);
        const Length left = other ? through(*other) : by;
        if (left >= least)
            return false;
        least = left;
        other->notices.insert(other->notices.end(), told.begin(), told.end());
        e = std::move(*other);
        return left <= inside;
    };
    const auto round = worded("it lies the other way round, so that it stays in the room");
    Piece across = p;
    std::swap(across.size.width, across.size.depth);
    const bool mayTurn = p.id == 0 && !turned;
    if (mayTurn && tried(across, {round}))
        return;
    if (under == ties.end())
        return;
    // Under a bed it lies across, under two thirds of it from the foot (common practice).
    const Piece* over =
        under->group.size() == 1 ? job.scheme().byId(under->group.front()) : nullptr;
    const bool bed = over != nullptr && over->kind->role == Role::bed;
    const Length step = isMetric(job.notation.units) ? Length::centimetres(1) : Length::inches(1);
    under->distance = bed ? step * std::round(over->size.depth.mm() * 2 / 3 / step.mm())
                          : job.library.book->habit("front-legs-on-rug");
    const auto gap = writeGap(by, job.notation);
    const auto legs =
        bed ? worded("it lies under two thirds of the bed: in the middle under it it would go {} "
                     "through the wall",
                     gap)
            : worded("the front legs stand on it: in the middle under them it would go {} through "
                     "the wall",
                     gap);
    if (bed && mayTurn && across.size.width > p.size.width && tried(across, {legs}))
        return;
    if (!tried(p, {legs}) && mayTurn)
        tried(across, {round, legs});
}

/// What was told of a piece beside its place.
void tell(Piece& p, const Placement& said) {
    if (said.hanging)
        p.hanging = *said.hanging;
    if (said.picture)
        p.picture = *said.picture;
    if (!said.name.empty())
        p.name = said.name;
    if (said.unit)
        p.unit = *said.unit == UnitTold{} ? nullptr : std::make_shared<const UnitTold>(*said.unit);
    if (said.finishedBack)
        p.finishedBack = *said.finishedBack == !p.kind->bareBack ? std::nullopt : said.finishedBack;
    if (said.cost)
        p.cost = said.cost;
    if (said.reason)
        p.reason = *said.reason;
    if (said.heights.seat)
        p.heights.seat = said.heights.seat;
    if (said.heights.arm)
        p.heights.arm = said.heights.arm;
    if (said.heights.top) {
        p.heights.top = said.heights.top;
        p.size.height = std::max(p.size.height, *said.heights.top);
    }
}

/// Takes those ties from a piece; told is what lets go.
template <class Those>
std::vector<std::string> lettingGo(Piece& p, const Project& job, Those those) {
    std::vector<std::string> letGo;
    std::erase_if(p.ties, [&](const Tie& t) {
        if (!those(t))
            return false;
        letGo.push_back(worded("lets go of “{}”", words(t, job.wording())));
        return true;
    });
    return letGo;
}

/// On another wall nothing is over or level with what is at the one it hung on: then it hangs at
/// eye level, where nothing else is said.
std::vector<std::string> leaveTheOldWall(Piece& p, std::vector<Tie>& said, const Scene& scene,
                                         const Project& job) {
    // Nor is it along what stands elsewhere: then it hangs in the middle.
    auto letGo = lettingGo(p, job, [&](const Tie& t) {
        return t.fixesAcross() && t.of.is == Target::Is::piece && wallOf(t.of, scene) != p.wall();
    });
    if (!letGo.empty())
        p.pose.at.x = scene.room->walls[static_cast<std::size_t>(p.wall())].length().mm() / 2;
    const auto heights = lettingGo(p, job, [](const Tie& t) {
        return (t.kind == Tie::Kind::above || t.kind == Tie::Kind::below ||
                t.kind == Tie::Kind::levelWith) &&
               t.of.is == Target::Is::piece;
    });
    letGo.insert(letGo.end(), heights.begin(), heights.end());
    if (!heights.empty() &&
        std::none_of(said.begin(), said.end(), [](const Tie& t) { return t.fixesHeight(); })) {
        Tie t;
        t.kind = Tie::Kind::eyeLevel;
        t.distance = eyeLevel(*job.library.book, job.judgement);
        said.push_back(t);
    }
    return letGo;
}

} // namespace

Tie nearEnd(Side side, const Project& job) {
    Tie out;
    out.kind = Tie::Kind::fromEdge;
    out.side = side;
    out.distance = isMetric(job.notation.units) ? Length::centimetres(5) : Length::inches(2);
    return out;
}

Piece asItStands(const Project& job, const Scene& scene, int id) {
    Piece p = *job.scheme().byId(id);
    p.pose = scene.byId(id)->pose;
    return p;
}

Result<Edit> placePiece(const Project& job, const Scene& scene, Piece p, Placement said) {
    const bool hangs = p.kind->hangs();
    const int wasWall = p.onWall() ? p.wall() : -1;
    if (hangs) {
        if (!said.wall)
            return Problem{worded("which wall does {} hang on?", p.name),
                           "say it like: on wall C, or: 6 above sofa"};
        p.on = onWall(*said.wall);
    }
    tell(p, said);
    std::vector<std::string> notices;
    const bool isRug = p.kind->flat();
    if (isRug) {
        const auto lies = tellOfRug(job, p, said, notices);
        if (!lies)
            return lies.problem();
        if (*lies) {
            if (p.locked)
                return locked(p);
            Edit e;
            e.words =
                worded("{} {}", p.id == 0 ? "add" : "cut", p.name.empty() ? p.kind->name : p.name);
            e.notices = std::move(notices);
            e.acts.emplace_back(PutPiece{std::move(p)});
            return e;
        }
    }
    if (said.step) {
        if (!said.ties.empty())
            return Problem{"this says both where it goes and how far it moves", "say one of them"};
        auto e = stepPiece(job, scene, p.id, *said.step);
        if (e && norm(*said.step) > 1) {
            const auto after = apply(job, *e);
            const bool still =
                after && norm(after->scene->byId(p.id)->pose.at - scene.byId(p.id)->pose.at) < 0.05;
            // Back, and it has its back to a wall.
            const int wall = still && p.on.isFloor() ? wallBehind(scene, p.id).value_or(-1) : -1;
            const auto walls = wallsNear(scene, p.id);
            const bool touches = std::any_of(walls.begin(), walls.end(), [&](const WallNear& w) {
                constexpr double touching = 1; // mm
                return w.wall == wall && w.gap.mm() < touching;
            });
            if (touches &&
                dot(*said.step, scene.room->walls[static_cast<std::size_t>(wall)].inward()) < 0)
                return Problem{
                    worded("{} stands at {} already", p.name,
                           words(wallTarget(wall), Wording{*job.room, job.scheme(), job.notation})),
                    "say another way"};
            if (still)
                return Problem{worded("{} can't go that way", p.name),
                               "free it from what it is tied to, or say another way"};
        }
        return e;
    }
    const bool isNew = p.id == 0;
    if (!hangs)
        settleSurface(p, said, scene);
    if (hangs && !isNew && wasWall != p.wall())
        notices = leaveTheOldWall(p, said.ties, scene, job);
    if (isNew && hangs)
        implyWallTies(p, said.ties, scene, job);
    else if (hangs)
        centreOverIt(p, wasWall, said.ties, scene);
    else if (isNew && !p.on.isCarried())
        implyTies(p, said.ties, scene);
    auto e = retie(job, p, said.ties);
    if (!e)
        return e;
    e->notices.insert(e->notices.end(), notices.begin(), notices.end());
    if (isRug)
        keepRugInside(job, *e, p, said.ties);
    if (isNew)
        e->words = worded("add {}", std::get<PutPiece>(e->acts.front()).piece.name);
    return e;
}

namespace {

/// Whether what is moved, or goes along, comes to reach through a wall or the like. Rugs are pulled
/// forward afterwards.
bool harms(const Project& job, const Edit& e) {
    const auto after = apply(job, e);
    if (!after)
        return true;
    const auto harmed = comeToHarm(job, *after);
    return std::any_of(harmed.begin(), harmed.end(),
                       [&](int id) { return !job.scheme().byId(id)->kind->flat(); });
}

/// What is moved to a wall, and no more is said, stands there where it and what goes along with it
/// find room: as near to where it would come as can be. The same edit where there is no such place.
Edit slidAlong(const Project& job, const Scene& scene, const Piece& p, const Placement& said,
               Edit e) {
    if (said.step || said.ties.size() != 1 || said.ties.front().kind != Tie::Kind::against ||
        !p.on.isFloor() || !harms(job, e))
        return e;
    const Wall& wall = scene.room->walls[static_cast<std::size_t>(said.ties.front().of.index)];
    // What held it where it was would hold it along that wall too.
    Piece loose = p;
    const auto letGo =
        lettingGo(loose, job, [](const Tie& t) { return t.fixesPlace() || t.fixesTurn(); });
    constexpr double step = 101.6; // mm
    for (double by = step; by < wall.length().mm(); by += step)
        for (const double sign : {1.0, -1.0}) {
            Piece tried = loose;
            tried.pose.at = p.pose.at + wall.along() * (sign * by);
            auto other = placePiece(job, scene, std::move(tried), said);
            if (other && !harms(job, *other)) {
                other->notices.insert(other->notices.end(), letGo.begin(), letGo.end());
                return *other;
            }
        }
    return e;
}

/// What is only turned, and would come to reach through a wall, stands where it is clear then, as
/// near as can be: out of its corner. The same edit where there is no such place.
Edit turnedClear(const Project& job, const Scene& scene, const Piece& p, const Placement& said,
                 Edit e) {
    const bool turns = !said.step && !said.ties.empty() &&
                       std::all_of(said.ties.begin(), said.ties.end(),
                                   [](const Tie& t) { return t.fixesTurn() && !t.fixesPlace(); });
    if (!turns || !p.on.isFloor() || p.kind->flat())
        return e;
    const auto after = apply(job, e);
    const Placed* turned = after ? after->scene->byId(p.id) : nullptr;
    // Where only what goes along would come to harm, that is asked about.
    const auto harmed = after ? comeToHarm(job, *after) : std::vector<int>();
    if (turned == nullptr || std::find(harmed.begin(), harmed.end(), p.id) == harmed.end())
        return e;
    Piece loose = p;
    const auto letGo = lettingGo(loose, job, [](const Tie& t) { return t.fixesPlace(); });
    constexpr double step = 25.4; // mm
    const double far = norm(Vec2{p.size.width.mm(), p.size.depth.mm()});
    for (double r = step; r < far; r += step)
        for (int k = 0; k < 16; ++k) {
            const double a = 2 * std::numbers::pi * k / 16;
            Pose pose = turned->pose;
            pose.at = p.pose.at + Vec2{std::cos(a), std::sin(a)} * r;
            if (!insideRoom(scene, placed(p.shape(), pose)))
                continue;
            Piece tried = loose;
            tried.pose.at = pose.at;
            auto other = placePiece(job, scene, std::move(tried), said);
            // What goes along is not in its way.
            const auto then = other ? apply(job, *other) : Result<Applied>(Problem{});
            constexpr double none = 0.01; // mm
            if (then && throughWalls(*then->scene, p.id).mm() < none &&
                comeToHarm(job, *then).empty() &&
                overlapOf(*then->scene, p.id) == overlapOf(scene, p.id)) {
                other->notices.insert(other->notices.end(), letGo.begin(), letGo.end());
                other->notices.push_back(
                    worded("it comes away from the wall, to have room to turn"));
                return *other;
            }
        }
    return e;
}

/// Curtains and blinds at a window are as large as that asks for, where no size is said: a blind as
/// the window, curtains past it on both sides and from over it to the floor (common practice).
void fitToWindow(Piece& p, Placement& said, const Project& job) {
    const bool wide = p.size.width == p.kind->size.width; // as it comes: none is said
    const bool high = p.size.height == p.kind->size.height;
    if (p.kind->role != Role::curtain || (!wide && !high))
        return;
    const Opening* window = nullptr;
    for (const Tie& t : said.ties)
        for (const Opening& o : job.room->openings)
            if (t.kind == Tie::Kind::centredOn && t.of == targetOf(o)) // a glazed door too
                window = &o;
    if (window == nullptr)
        return;
    const bool level = std::any_of(said.ties.begin(), said.ties.end(), [](const Tie& t) {
        return t.kind == Tie::Kind::height || t.kind == Tie::Kind::above ||
               t.kind == Tie::Kind::below;
    });
    if (p.kind->hanging.mount != Mount::rod) { // a blind
        if (wide)
            p.size.width = window->width;
        if (high)
            p.size.height = window->height;
        if (!level) {
            Tie foot;
            foot.kind = Tie::Kind::height;
            foot.level = high ? Level::bottom : Level::top;
            foot.distance = high ? window->sill : window->head();
            said.ties.push_back(foot);
        }
        return;
    }
    const RuleBook& book = *job.library.book;
    const Length past = (p.size.width - window->width) / 2;
    if (wide && (past < book.habit("curtain-past-least") || past > book.habit("curtain-past")))
        p.size.width = window->width + book.habit("curtain-past") * 2;
    if (!high)
        return;
    const Length foot = p.kind->hangAt;
    const Length top = foot + p.size.height;
    const Length highest = job.room->ceiling - book.habit("curtain-under-ceiling");
    // "8 above the window": from there down to where such a kind ends.
    for (const Tie& t : said.ties)
        if (t.kind == Tie::Kind::height && t.level == Level::top &&
            p.kind->hangBy == Level::bottom && t.distance > foot)
            p.size.height = t.distance - foot;
    if (!level && p.kind->hangBy == Level::bottom &&
        (top < window->head() + book.habit("curtain-over-least") || top > highest))
        p.size.height = std::min(window->head() + book.habit("curtain-over"), highest) - foot;
}

/// A runner beside a bed lies along it.
void liesAlong(Piece& p, const Placement& said, const Project& job) {
    if (!p.kind->flat() || p.size != p.kind->size || p.size.width <= p.size.depth ||
        std::any_of(said.ties.begin(), said.ties.end(), [](const Tie& t) { return t.fixesTurn(); }))
        return;
    for (const Tie& t : said.ties) {
        const Piece* by = t.of.is == Target::Is::piece ? job.scheme().byId(t.of.piece) : nullptr;
        if (by != nullptr && t.kind == Tie::Kind::fromPiece && by->kind->role == Role::bed &&
            (t.side == Side::left || t.side == Side::right)) {
            std::swap(p.size.width, p.size.depth);
            return;
        }
    }
}

/// What hangs over a table, and is said to be no height, hangs as far over it as the rule has it:
/// its band's middle, higher under a high ceiling.
void hangOverTable(const Piece& p, Placement& said, const Project& job) {
    if (!p.kind->underCeiling() || !p.kind->light || !p.kind->light->hung ||
        std::any_of(said.ties.begin(), said.ties.end(), [](const Tie& t) { return t.fixesDrop(); }))
        return;
    const Piece* table = nullptr;
    for (const Tie& t : said.ties)
        if (t.kind == Tie::Kind::centredOn && t.of.is == Target::Is::piece)
            table = job.scheme().byId(t.of.piece);
    if (table == nullptr || !table->on.isFloor() ||
        (table->kind->role != Role::diningTable && !table->kind->workedAt))
        return;
    const Rule* rule = job.library.book->byId(table->kind->workedAt ? "pendant-over-island"
                                                                    : "pendant-over-table");
    if (rule == nullptr)
        return;
    Tie over;
    over.kind = Tie::Kind::above;
    over.of = pieceTarget(table->id);
    over.distance = usualBy(job, rule->id) + raisedUnder(*rule, job.room->ceiling);
    // As one writes it.
    const double step = isMetric(job.notation.units) ? 10 : 25.4;
    over.distance = Length::millimetres(std::round(over.distance.mm() / step) * step);
    said.ties.push_back(over);
}

} // namespace

void hangOverIt(const Piece& p, Placement& said, const Scene& scene) {
    if (!p.kind->underCeiling())
        return;
    const auto above = std::find_if(said.ties.begin(), said.ties.end(), [](const Tie& t) {
        return t.kind == Tie::Kind::above && t.of.is == Target::Is::piece;
    });
    if (above == said.ties.end() || std::any_of(said.ties.begin(), said.ties.end(),
                                                [](const Tie& t) { return t.fixesAcross(); }))
        return;
    const Placed* under = scene.fromAbove(above->of.piece);
    const Placed* now = p.id != 0 ? scene.byId(p.id) : nullptr;
    if (under == nullptr || (now != nullptr && contains(under->shape, now->pose.at)))
        return;
    Tie middle;
    middle.kind = Tie::Kind::centredOn;
    middle.of = above->of;
    said.ties.push_back(middle);
}

Result<Edit> placeWhereFree(const Project& job, const Scene& scene, Piece p, Placement said) {
    const bool isNew = p.id == 0;
    hangOverIt(p, said, scene);
    if (isNew) {
        liesAlong(p, said, job);
        fitToWindow(p, said, job);
        hangOverTable(p, said, job);
    }
    auto e = placePiece(job, scene, p, said);
    if (e && !isNew)
        return turnedClear(job, scene, p, said, slidAlong(job, scene, p, said, std::move(*e)));
    // One that is cut lies where its outline says.
    if (e && isNew && !isCut(std::get<PutPiece>(e->acts.front()).piece))
        *e = landed(job, std::move(*e));
    return e;
}

Result<Edit> tiePiece(const Project& job, const Scene& scene, int id, const Tie& tie) {
    return retie(job, asItStands(job, scene, id), {tie});
}

Result<Edit> stepPiece(const Project& job, const Scene& scene, int id, Vec2 step) {
    Edit e = drag(job, scene, {id}, step, DragTies::revalue).edit;
    if (e.acts.empty())
        return locked(*job.scheme().byId(id));
    return e;
}

std::optional<Vec2> wayInPlan(const Scene& scene, int id, const Target& to) {
    const Placed* seen = scene.inPlan(id);
    return seen != nullptr ? std::optional(wayTo(to, *seen, scene)) : std::nullopt;
}

Result<Edit> raisePiece(const Project& job, const Scene& scene, int id, Length by) {
    const Piece& p = *job.scheme().byId(id);
    if (!p.on.isCeiling())
        return stepPiece(job, scene, id, {0, by.mm()});
    Tie held;
    held.kind = Tie::Kind::height;
    held.level = Level::bottom;
    held.distance = bottomOf(scene, p, *scene.byId(id));
    for (const Tie& t : p.ties)
        if (t.kind == Tie::Kind::above)
            held = t;
    held.distance = held.distance + by;
    return tiePiece(job, scene, id, held);
}

Result<Edit> stepAway(const Project& job, const Scene& scene, int id, const Target& from,
                      Length by) {
    // Nobody moves a thing away from nothing, from the room, or from itself.
    const auto way =
        from.is == Target::Is::none || from.is == Target::Is::room || from == pieceTarget(id)
            ? std::nullopt
            : wayInPlan(scene, id, from);
    if (!way)
        return Problem{"there is no way to or from that", "name another thing"};
    return stepPiece(job, scene, id, *way * -by.mm());
}

Result<Edit> sizePiece(const Project& job, const Scene& scene, int id, const Size& size) {
    Piece p = asItStands(job, scene, id);
    giveSize(p, size);
    return changePiece(job, std::move(p));
}

Result<Edit> changePiece(const Project& job, Piece p) {
    auto e = retie(job, p, {});
    if (e)
        e->words = worded("change {}", p.name);
    return e;
}

} // namespace mezzet
