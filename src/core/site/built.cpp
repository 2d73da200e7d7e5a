#include "site/built.h"

#include "edit/line.h"
#include "edit/words_reader.h"
#include "geometry/gap.h"
#include "handover/list.h"
#include "hang/hooks.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/surfaces.h"

#include <algorithm>

namespace mezzet {

namespace {

using What = BuiltMark::What;

Problem builtProblem(std::string what, std::string remedy) {
    return {std::move(what), std::move(remedy)};
}

/// What is measured, found in the scene again.
struct Found {
    const Piece* piece = nullptr;
    const Placed* placed = nullptr;
    Length planned;
    Vec2 way;            ///< where the piece goes on its surface when the figure grows; unit
    bool drop = false;   ///< under the ceiling: it is its drop that changes
    bool higher = false; ///< on the floor: it is its own height that changes
};

bool isHigh(What w) {
    return w == What::foot || w == What::top || w == What::centre || w == What::hookUp;
}

class Finder {
public:
    Finder(const Project& job, const Scene& scene) : job_(job), scene_(scene) {}

    [[nodiscard]] Result<Found> find(const BuiltMark& m) const {
        Found f;
        f.piece = scene_.scheme->byName(m.piece);
        if (f.piece == nullptr)
            return builtProblem(worded("there is no piece “{}”", shownPlainly(m.piece)),
                                std::string(told("name one of this scheme")));
        f.placed = scene_.byId(f.piece->id);
        if (f.piece->on.isCarried())
            return builtProblem(
                worded("{} stands on something else", f.piece->name),
                std::string(told("measure what stands on the floor or hangs, or move it there")));
        std::optional<Problem> wrong;
        if (m.what == What::hookUp || m.what == What::hookAlong)
            wrong = hook(m, f);
        else if (isHigh(m.what))
            wrong = high(m, f);
        else if (m.what == What::fromWall)
            wrong = fromWall(m, f);
        else
            wrong = fromPiece(m, f);
        if (wrong)
            return *wrong;
        return f;
    }

private:
    std::optional<Problem> hook(const BuiltMark& m, Found& f) const {
        if (!f.piece->onWall())
            return builtProblem(worded("{} hangs on no wall", f.piece->name),
                                std::string(told("hooks are of what hangs on one")));
        const WallsView walls(scene_);
        for (const HangOf& h : hangAll(walls, hookRules(*job_.library.book))) {
            if (h.piece != f.piece->id)
                continue;
            if (h.hooks.empty())
                break;
            if (m.number < 1 || static_cast<std::size_t>(m.number) > h.hooks.size())
                return builtProblem(worded("{} has {} hooks", f.piece->name, h.hooks.size()),
                                    std::string(told("they are counted from the left, from 1")));
            const HookPoint& at = h.hooks[static_cast<std::size_t>(m.number) - 1];
            f.planned = m.what == What::hookUp ? at.up : at.along;
            f.way = m.what == What::hookUp ? Vec2{0, 1} : Vec2{1, 0};
            return {};
        }
        return builtProblem(worded("{} has no hooks", f.piece->name),
                            std::string(told("measure its foot or its top")));
    }

    std::optional<Problem> high(const BuiltMark& m, Found& f) const {
        const Length whole = f.piece->size.height;
        Length foot;
        if (f.piece->onWall()) {
            foot = Length::millimetres(f.placed->pose.at.y) - whole / 2;
            f.way = {0, 1};
        } else if (f.piece->on.isCeiling()) {
            foot = bottomOf(scene_, *f.piece, *f.placed);
            f.drop = true;
        } else {
            if (m.what != What::top)
                return builtProblem(worded("{} stands on the floor", f.piece->name),
                                    std::string(told("its top can be measured")));
            f.planned = f.piece->top();
            f.higher = true;
            return {};
        }
        f.planned = m.what == What::foot  ? foot
                    : m.what == What::top ? foot + whole
                                          : foot + whole / 2;
        return {};
    }

    std::optional<Problem> fromWall(const BuiltMark& m, Found& f) const {
        const Room& room = *scene_.room;
        std::size_t wall = room.walls.size();
        for (std::size_t i = 0; i < room.walls.size(); ++i)
            if (foldCase(room.walls[i].name) == foldCase(m.other))
                wall = i;
        if (wall == room.walls.size())
            return builtProblem(worded("there is no wall {}", shownPlainly(m.other)),
                                std::string(told("name one of the room's")));
        if (f.piece->onWall()) {
            const auto own = static_cast<std::size_t>(f.piece->wall());
            const auto n = room.walls.size();
            const Length half = f.piece->size.width / 2;
            const Length x = Length::millimetres(f.placed->pose.at.x);
            if (wall == (own + n - 1) % n && wall != own) {
                f.planned = x - half;
                f.way = {1, 0};
            } else if (wall == (own + 1) % n && wall != own) {
                f.planned = room.walls[own].length() - x - half;
                f.way = {-1, 0};
            } else {
                return builtProblem(worded("{} hangs on wall {}, which doesn't meet wall {}",
                                           f.piece->name, room.walls[own].name,
                                           room.walls[wall].name),
                                    std::string(told("measure it from one of the two beside it")));
            }
            return {};
        }
        const Placed* at = scene_.inPlan(f.piece->id);
        const Wall& w = room.walls[wall];
        f.way = w.inward();
        // What hangs from the ceiling is measured to its middle.
        const double off = f.piece->on.isCeiling()
                               ? dot(at->pose.at - w.start, w.inward())
                               : -extent(at->shape, -w.inward()) - dot(w.start, w.inward());
        f.planned = Length::millimetres(off);
        return {};
    }

    std::optional<Problem> fromPiece(const BuiltMark& m, Found& f) const {
        const Piece* other = scene_.scheme->byName(m.other);
        if (other == nullptr)
            return builtProblem(worded("there is no piece “{}”", shownPlainly(m.other)),
                                std::string(told("name one of this scheme")));
        const bool wall = f.piece->onWall();
        if (other == f.piece || other->on.isCarried() ||
            (wall ? other->on != f.piece->on : other->onWall()))
            return builtProblem(
                worded("{} and {} are on no surface that they share", f.piece->name, other->name),
                std::string(told("measure it to a wall, or to what is beside it")));
        const Placed* a = wall ? f.placed : scene_.inPlan(f.piece->id);
        const Placed* b = wall ? scene_.byId(other->id) : scene_.inPlan(other->id);
        const Gap gap = gapBetween(b->shape, a->shape);
        f.planned = gap.clear();
        f.way = gap.direction;
        return {};
    }

    const Project& job_;
    const Scene& scene_;
};

/// The scheme with one piece by itself, moved by so much, and all else where it is planned.
Scheme apart(const Scene& scene, const Found& f, double by) {
    Scheme out = *scene.scheme;
    for (Piece& p : out.pieces) {
        const Placed* at = scene.byId(p.id);
        if (p.id == f.piece->id) {
            p.pose = at->pose;
            p.ties.clear();
            p.off = at->off;
            if (f.drop)
                p.off = p.off - Length::millimetres(by);
            else if (f.higher) {
                p.size.height = p.size.height + Length::millimetres(by);
                if (p.heights.top)
                    p.heights.top = *p.heights.top + Length::millimetres(by);
            } else
                p.pose.at = p.pose.at + f.way * by;
            continue;
        }
        const auto refers = [&](const Tie& t) { return t.refersTo(f.piece->id); };
        if (std::any_of(p.ties.begin(), p.ties.end(), refers)) {
            std::erase_if(p.ties, refers);
            p.pose = at->pose;
            p.off = at->off;
        }
    }
    return out;
}

Result<Judged> judgedWith(const Project& job, Scheme scheme) {
    const auto scene =
        resolve(job.room, std::make_shared<const Scheme>(std::move(scheme)), job.notation);
    if (!scene)
        return scene.problem();
    return judgeWhole(**scene, *job.library.book, job.judgement);
}

std::string whatOf(const BuiltMark& m) {
    const std::string hook =
        m.number == 1 ? std::string(told("hook")) : worded("hook {}", m.number);
    switch (m.what) {
    case What::hookUp:
        return worded("{} up", hook);
    case What::hookAlong:
        return worded("{} from left", hook);
    case What::foot:
        return std::string(told("bottom"));
    case What::top:
        return std::string(told("top"));
    case What::centre:
        return std::string(told("centre"));
    case What::fromPiece:
        return worded("from {}", m.other);
    case What::fromWall:
        return worded("from wall {}", m.other);
    }
    return {};
}

class BuiltReader {
public:
    BuiltReader(std::string_view text, const Project& job) : in(text, job), job_(job) {}

    BuiltMark read() {
        BuiltMark m;
        if (in.take({"hook", "the hook", "hooks"})) {
            int n = 1;
            if (in.takeCount(n))
                m.number = n;
            in.take({"of"});
            m.piece = piece();
            in.comma();
            m.built = in.length("its height, or how far it is from the left");
            if (in.take({"up", "high", "above the floor", "over the floor", "from the floor"})) {
                m.what = What::hookUp;
            } else if (in.take({"from the left corner", "from left corner", "from the left",
                                "from left"})) {
                m.what = What::hookAlong;
            } else {
                in.failAhead("up from the floor, or from the left?",
                             "say it like: hook of harbour 58 up, or 30 from left");
            }
        } else if (in.take({"bottom of", "the bottom of", "foot of"})) {
            m.what = What::foot;
            high(m);
        } else if (in.take({"top of", "the top of"})) {
            m.what = What::top;
            high(m);
        } else if (in.take({"centre of", "center of", "middle of", "the centre of"})) {
            m.what = What::centre;
            high(m);
        } else {
            m.piece = piece();
            in.comma();
            in.take({"is", "stands", "hangs", "at"});
            m.built = in.length("how far it is");
            if (!in.take({"from", "off", "to"}))
                in.failAhead("from what?", "say it like: sofa 36 from wall A");
            const Target t = in.target();
            if (t.is == Target::Is::wall) {
                m.what = What::fromWall;
                m.other = job_.room->walls.at(static_cast<std::size_t>(t.index)).name;
            } else if (t.is == Target::Is::piece) {
                m.what = What::fromPiece;
                m.other = in.scheme().byId(t.piece)->name;
            } else {
                in.fail(0, in.at(), "that is measured from a wall or a piece",
                        "say it like: sofa 36 from wall A");
            }
        }
        in.nothingMore();
        return m;
    }

private:
    std::string piece() {
        in.article();
        const int id = in.piece();
        if (id == 0)
            noSuchPiece(in);
        return in.scheme().byId(id)->name;
    }
    void high(BuiltMark& m) {
        m.piece = piece();
        in.comma();
        in.take({"is", "at", "is at"});
        m.built = in.length("how high it is");
        in.take({"up", "high", "above the floor", "over the floor", "from the floor"});
    }

    WordsReader in;
    const Project& job_;
};

} // namespace

Result<BuiltMark> readBuilt(std::string_view text, const Project& job, const Scene& scene,
                            Day today) {
    BuiltMark m;
    try {
        m = BuiltReader(text, job).read();
    } catch (const LineFault& f) {
        return f.problem;
    }
    m.day = today;
    m.room = job.room->name;
    const auto found = Finder(job, scene).find(m);
    if (!found)
        return found.problem();
    m.planned = found->planned;
    return m;
}

Result<BuiltCheck> checkBuilt(const Project& job, const Scene& scene, const BuiltMark& mark) {
    const auto found = Finder(job, scene).find(mark);
    if (!found)
        return found.problem();
    BuiltCheck c;
    c.mark = mark;
    c.mark.planned = found->planned;
    c.piece = found->piece->id;
    c.what = whatOf(mark);
    const Length off = mark.built - found->planned;
    c.agrees = abs(off) <= division(job.notation) / 2;
    c.askAgain = abs(off) > builtSurely;
    const auto was = judgedWith(job, apart(scene, *found, 0));
    const auto is = judgedWith(job, apart(scene, *found, off.mm()));
    if (!was)
        return was.problem();
    if (!is) {
        c.matters = true;
        c.why = is.problem().sentence();
        return c;
    }
    const Wording say = job.wording();
    double weight = -1;
    const auto verdictIn = [](const Judged& j, const Reading& r) -> std::optional<Verdict> {
        for (const Reading& o : j.readings)
            if (o.sameAs(r))
                return o.verdict;
        return {};
    };
    const auto isOff = [](Verdict v) {
        return v == Verdict::tight || v == Verdict::loose || v == Verdict::clash;
    };
    for (const Reading& r : is->readings) {
        const auto before = verdictIn(*was, r);
        // What is new and right, or for information, is no other verdict on anything.
        if (before == r.verdict || (!before && !isOff(r.verdict)))
            continue;
        c.matters = true;
        const double w = r.off() ? 1 + weightOf(r) : 0;
        if (w > weight) {
            weight = w;
            c.why = sentenceOf(r, say);
        }
    }
    for (const Reading& r : was->readings)
        if (r.off() && !verdictIn(*is, r)) {
            c.matters = true;
            if (weight < 0) {
                weight = 0;
                c.why = worded("it mends: {}", sentenceOf(r, say));
            }
        }
    if (!c.matters)
        c.why = std::string(told("no reading changes its verdict"));
    return c;
}

Handover withBuilt(const Project& job, const std::vector<BuiltMark>& marks) {
    Handover h = handedOver(job);
    for (const BuiltMark& m : marks) {
        std::erase_if(h.built, [&](const BuiltMark& o) {
            return o.what == m.what && o.number == m.number &&
                   foldCase(o.piece) == foldCase(m.piece) && foldCase(o.room) == foldCase(m.room) &&
                   foldCase(o.other) == foldCase(m.other);
        });
        h.built.push_back(m);
    }
    return h;
}

Result<Edit> asItIs(const Project& job, const Scene& scene, const BuiltMark& mark) {
    const auto found = Finder(job, scene).find(mark);
    if (!found)
        return found.problem();
    const double by = (mark.built - found->planned).mm();
    Edit e;
    e.words = worded("{} as it was built", found->piece->name);
    Piece p = *found->piece;
    if (found->higher) {
        p.size.height = p.size.height + Length::millimetres(by);
        if (p.heights.top)
            p.heights.top = *p.heights.top + Length::millimetres(by);
        e.acts.emplace_back(PutPiece{std::move(p)});
        return e;
    }
    std::vector<Tie> fresh;
    const Pose pose = found->placed->pose;
    if (found->drop || (p.onWall() && isHigh(mark.what))) {
        Tie t;
        t.kind = Tie::Kind::height;
        t.level = Level::bottom;
        const Length foot = found->drop
                                ? bottomOf(scene, *found->piece, *found->placed)
                                : Length::millimetres(pose.at.y) - found->piece->size.height / 2;
        t.distance = foot + Length::millimetres(by);
        fresh.push_back(std::move(t));
    } else {
        Tie t;
        t.kind = Tie::Kind::at;
        const Vec2 to = pose.at + found->way * by;
        t.distance = Length::millimetres(to.x);
        t.second = Length::millimetres(to.y);
        fresh.push_back(std::move(t));
    }
    auto now = retied(job, std::move(p), fresh);
    if (!now)
        return now.problem();
    for (const std::string& let : now->letGo)
        e.notices.push_back(worded("no longer {}", let));
    e.acts.emplace_back(PutPiece{std::move(now->piece)});
    return e;
}

} // namespace mezzet
