#include "edit/grouping.h"

#include "edit/verb.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// Where a piece's outline lies on its wall.
Box hungBox(const Scene& scene, int id) {
    return bounds(scene.byId(id)->shape);
}

Tie inGroup(int group, Vec2 offset) {
    Tie t;
    t.kind = Tie::Kind::inGroup;
    t.of = pieceTarget(group);
    t.distance = Length::millimetres(offset.x);
    t.second = Length::millimetres(offset.y);
    return t;
}

} // namespace

std::vector<int> membersOf(const Scheme& scheme, const std::vector<int>& ids) {
    std::vector<int> out;
    const auto add = [&](int id) {
        if (std::find(out.begin(), out.end(), id) == out.end())
            out.push_back(id);
    };
    for (const int id : ids) {
        const Piece* p = scheme.byId(id);
        if (p != nullptr && p->isGroup())
            for (const Piece* m : scheme.members(id))
                add(m->id);
        else if (p != nullptr)
            add(id);
    }
    return out;
}

GroupAsk askOf(const Scene& scene, const std::vector<int>& pieces, GroupForm form, Length gap,
               const std::vector<int>& pinned) {
    GroupAsk ask;
    ask.form = form;
    ask.gap = gap;
    for (const int id : pieces) {
        const Piece* p = scene.scheme->byId(id);
        if (p == nullptr)
            continue;
        const Box b = hungBox(scene, id);
        GroupItem item{id, Length::millimetres(b.size().x), Length::millimetres(b.size().y), {}};
        if (std::find(pinned.begin(), pinned.end(), id) != pinned.end())
            item.pinned = b.centre();
        ask.items.push_back(item);
        if (const Fixture* stairs = stairsOn(*scene.room, p->wall()))
            ask.slope = nosingSlope(*stairs, b.centre().x);
    }
    return ask;
}

Result<Edit> makeGroup(const Project& job, const Scene& scene, const std::vector<int>& ids,
                       const std::string& name, GroupForm form, Length gap) {
    if (ids.size() < 2)
        return Problem{"a group has at least two pieces", "name more of them"};
    const Scheme& scheme = job.scheme();
    const Piece* first = scheme.byId(ids.front());
    Box all;
    for (const int id : ids) {
        const Piece* p = scheme.byId(id);
        if (p == nullptr || !p->onWall())
            return Problem{worded("{} is not on a wall", p != nullptr ? p->name : "that"),
                           "a group is of pieces on a wall"};
        if (p->isGroup())
            return Problem{worded("{} is a group itself", p->name),
                           "take it apart first, or name its pieces"};
        if (p->wall() != first->wall())
            return Problem{worded("{} and {} hang on two walls", first->name, p->name),
                           "a group is of one wall"};
        all.include(hungBox(scene, id));
    }
    const auto kind = job.library.kit->byId("wall-group");
    if (!kind)
        return Problem{"the kit has no group", "put the shipped kit back"};
    Edit e;
    Piece group = pieceOf(kind);
    group.id = scheme.nextId;
    group.name = name.empty() ? scheme.freeName(worded("Group of {}", ids.size())) : name;
    group.on = first->on;
    group.pose = {all.centre(), {}};
    group.size = {Length::millimetres(all.size().x), kind->size.depth,
                  Length::millimetres(all.size().y)};
    group.plan = {form, gap, 0};
    e.words = worded("make {} pieces {}", ids.size(), group.name);
    e.acts.emplace_back(PutPiece{group});
    for (const int id : ids) {
        Piece p = *scheme.byId(id);
        p.pose = scene.byId(id)->pose;
        std::erase_if(p.ties, [](const Tie& t) { return t.fixesPlace(); });
        p.ties.push_back(inGroup(group.id, hungBox(scene, id).centre() - all.centre()));
        e.acts.emplace_back(PutPiece{std::move(p)});
    }
    return e;
}

Edit setOut(const Project& job, const Scene& scene, int group, const GroupPlan& plan,
            const GroupAsk& ask, const GroupAnswer& answer) {
    Edit e;
    Piece g = *job.scheme().byId(group);
    g.pose = scene.byId(group)->pose;
    g.plan = plan;
    e.words = worded("set out {} as a {}", g.name, groupFormName(plan.form));
    // What is pinned stays where it is on the wall, so the outline's middle moves with it.
    for (std::size_t i = 0; i < ask.items.size(); ++i)
        if (ask.items[i].pinned) {
            g.pose.at = *ask.items[i].pinned - answer.centres[i];
            std::erase_if(g.ties, [](const Tie& t) { return t.fixesPlace(); });
            break;
        }
    e.acts.emplace_back(PutPiece{g});
    std::vector<std::string> out;
    for (std::size_t i = 0; i < ask.items.size(); ++i) {
        const int id = ask.items[i].id;
        Piece p = *job.scheme().byId(id);
        p.pose = scene.byId(id)->pose;
        std::erase_if(p.ties, [](const Tie& t) { return t.fixesPlace(); });
        if (std::find(answer.leftOut.begin(), answer.leftOut.end(), id) != answer.leftOut.end())
            out.push_back(p.name);
        else
            p.ties.push_back(inGroup(group, answer.centres[i]));
        e.acts.emplace_back(PutPiece{std::move(p)});
    }
    if (!out.empty())
        e.notices.push_back(worded("left over: {}", listed(out)));
    return e;
}

Edit ungroup(const Project& job, const Scene& scene, int group) {
    Edit e;
    e.words = worded("take {} apart", job.scheme().byId(group)->name);
    for (const Piece* m : job.scheme().members(group)) {
        Piece p = *m;
        p.pose = scene.byId(m->id)->pose;
        std::erase_if(p.ties, [](const Tie& t) { return t.kind == Tie::Kind::inGroup; });
        e.acts.emplace_back(PutPiece{std::move(p)});
    }
    e.acts.emplace_back(RemovePiece{group});
    return e;
}

Result<Edit> wrapShelf(const Project& job, const Scene& scene, int shelf, Length beyond) {
    const Piece* p = job.scheme().byId(shelf);
    if (p == nullptr || p->kind->role != Role::shelf)
        return Problem{"that is no shelf", "name a shelf on a wall"};
    const Room& room = *job.room;
    const int count = static_cast<int>(room.walls.size());
    const Box b = hungBox(scene, shelf);
    const double length = room.walls[static_cast<std::size_t>(p->wall())].length().mm();
    const bool left = b.low.x < length - b.high.x;
    if (!room.closed && ((left && p->wall() == 0) || (!left && p->wall() == count - 1)))
        return Problem{"no wall is round that corner", "close the room first"};
    const int other = left ? (p->wall() + count - 1) % count : (p->wall() + 1) % count;
    const auto cornerTie = [](int index) {
        Tie t;
        t.kind = Tie::Kind::fromCorner;
        t.of.is = Target::Is::corner;
        t.of.index = index;
        return t;
    };
    // The corner begins the wall to its right.
    const int corner = left ? p->wall() : other;
    Piece first = *p;
    first.pose = scene.byId(shelf)->pose;
    auto drawn = retied(job, first, {cornerTie(corner)});
    if (!drawn)
        return drawn.problem();
    Piece second = *p;
    second.id = 0;
    second.name = job.scheme().freeName(p->name + ", round the corner");
    second.on = onWall(other);
    // What is as deep as the first takes the corner itself.
    second.size.width = beyond;
    second.locked = false;
    Tie level;
    level.kind = Tie::Kind::levelWith;
    level.of = pieceTarget(shelf);
    level.level = level.levelOf = Level::top;
    second.ties = {cornerTie(corner), level};
    // The far board begins where the near one's front edge is.
    second.ties.front().distance = p->size.depth;
    Edit e;
    e.words = worded("carry {} round the corner", p->name);
    e.acts.emplace_back(PutPiece{std::move(drawn->piece)});
    e.acts.emplace_back(PutPiece{std::move(second)});
    return e;
}

Result<Edit> arrangeAs(const Project& job, const Scene& scene, int group, const GroupPlan& plan,
                       const std::vector<int>& pinned, std::optional<Vec2> within) {
    std::vector<int> ids;
    for (const Piece* m : job.scheme().members(group))
        ids.push_back(m->id);
    GroupAsk ask = askOf(scene, ids, plan.form, plan.gap, pinned);
    ask.within = within;
    ask.answers = std::max(plan.answer + 1, 4);
    const auto answers = arrangeGroup(ask);
    if (answers.empty())
        return Problem{"nothing sets these out so", "allow a wider outline"};
    if (plan.answer >= static_cast<int>(answers.size()))
        return Problem{
            worded("there {} only {}", answers.size() == 1 ? "is" : "are", answers.size()),
            "ask for one of them"};
    return setOut(job, scene, group, plan, ask, answers[static_cast<std::size_t>(plan.answer)]);
}

namespace {

class GroupingReader {
public:
    GroupingReader(WordsReader& words, const Scene& scene, int selected)
        : in(words), job_(words.job()), scene_(scene), selected_(selected) {}

    std::optional<Edit> read() {
        const std::size_t at = in.at();
        // A piece may be called "Group of three": then the line is about where it goes.
        if (named(at))
            return {};
        return readVerb(*this, in, verbs());
    }

    static const std::vector<Verb<GroupingReader>>& verbs() {
        static const std::vector<Verb<GroupingReader>> all{
            {{{"group"},
              "several on a wall as one: placed, moved and judged as one outline",
              "group harbour, mill and barn as a row, gap 2, called trio"},
             &GroupingReader::group},
            {{{"arrange", "set out"},
              "sets a group out anew: as a row, column, grid, spiral, salon, mirrored or stepped",
              "arrange trio as a grid, gap 1 1/2, within 80 x 60, keeping mill, answer 1"},
             &GroupingReader::arrange},
            {{{"ungroup", "take apart"}, "each for itself again, where it hangs", "ungroup trio"},
             &GroupingReader::apart},
            {{{"wrap", "carry"},
              "carries a shelf on along the adjoining wall, level with itself",
              ""},
             &GroupingReader::wrap},
        };
        return all;
    }

private:
    bool named(std::size_t at) {
        bool found = false;
        for (const Piece& p : job_.scheme().pieces) {
            found = found || in.take({std::string_view(foldCase(p.name))});
            in.goTo(at);
        }
        return found;
    }
    Edit apart() {
        const std::size_t at = in.at();
        const int id = readSubject(in, selected_);
        if (!job_.scheme().byId(id)->isGroup())
            in.fail(at, in.at() - at, "that is no group", "name a group");
        return ungroup(job_, scene_, id);
    }

    /// "wrap floating shelf round the corner 18"
    Edit wrap() {
        const std::size_t at = in.at();
        const int id = readSubject(in, selected_);
        in.take({"round the corner", "round", "around the corner", "around"});
        in.take({"by", "for"});
        const Length beyond = in.length("how far it goes on");
        auto e = wrapShelf(job_, scene_, id, beyond);
        if (!e)
            in.refuse(e.problem(), at);
        return *e;
    }

    struct Said {
        std::optional<GroupForm> form;
        std::optional<Length> gap;
        std::optional<Vec2> within;
        std::vector<int> pinned;
        int answer = 1;
        std::string name;
    };

    /// "as a grid, gap 2, within 80 x 50, keeping harbour and mill, answer 2, called fireside"
    Said how() {
        Said s;
        while (!in.done()) {
            if (in.comma() || in.take({"and"}))
                continue;
            const std::size_t at = in.at();
            if (in.take({"as"})) {
                in.article();
                for (int i = 0; i < groupForms; ++i) {
                    const auto form = static_cast<GroupForm>(i);
                    if (in.take({groupFormName(form)})) {
                        s.form = form;
                        break;
                    }
                }
                if (!s.form)
                    in.failAhead("as what?", "as a row, column, grid, spiral, salon, mirrored or "
                                             "stepped");
            } else if (in.take({"gap"})) {
                s.gap = in.length("the gap");
                if (*s.gap < Length{} || *s.gap > Length::metres(2))
                    in.fail(at, in.at() - at, "no group hangs that far apart",
                            "say it like: gap 2");
            } else if (in.take({"within"})) {
                const auto sizes = in.sizes(SaidOf::wall);
                if (sizes.size() != 2 || sizes[0] <= Length{} || sizes[1] <= Length{})
                    in.fail(at, in.at() - at, "an outline has a width and a height",
                            "say it like: within 80 x 50");
                s.within = Vec2{sizes[0].mm(), sizes[1].mm()};
            } else if (in.take({"keeping", "pinning"})) {
                do {
                    s.pinned.push_back(readSubject(in, selected_));
                } while (in.take({"and"}) || more());
            } else if (in.take({"answer"})) {
                const double n = in.number("the answer");
                if (n < 1 || n > 20 || n != std::floor(n))
                    in.fail(at, in.at() - at, "answers are counted from 1", "");
                s.answer = static_cast<int>(n);
            } else if (in.take({"called", "named"})) {
                s.name = in.name();
            } else {
                in.unknownAhead(worded("I don't know “{}” here", in.ahead()),
                                "say it like: as a grid, gap 2, within 80 x 50");
            }
        }
        return s;
    }

    /// Whether a comma is followed by another piece.
    bool more() {
        const std::size_t at = in.at();
        if (in.comma() && in.piece() != 0) {
            in.goTo(at);
            in.comma();
            return true;
        }
        in.goTo(at);
        return false;
    }

    Edit solved(const Project& job, const Scene& scene, int group, const Said& s, std::size_t at) {
        const Piece& g = *job.scheme().byId(group);
        GroupPlan plan{
            s.form.value_or(g.plan.form == GroupForm::asPlaced ? GroupForm::salon : g.plan.form),
            s.gap.value_or(g.plan.gap), s.answer - 1};
        auto e = arrangeAs(job, scene, group, plan, s.pinned, s.within);
        if (!e)
            in.refuse(e.problem(), at);
        return *e;
    }

    Edit group() {
        const std::size_t at = in.at();
        in.take({"of"});
        std::vector<int> ids;
        do {
            // "them", "the pictures over the sofa", or one by one.
            if (const auto several = in.pieces(); !several.empty())
                ids.insert(ids.end(), several.begin(), several.end());
            else
                ids.push_back(readSubject(in, selected_));
        } while (in.take({"and", "with"}) || more());
        const Said s = how();
        auto made = makeGroup(job_, scene_, membersOf(job_.scheme(), ids), s.name,
                              s.form.value_or(GroupForm::asPlaced),
                              s.gap.value_or(job_.library.book->habit("group-gap")));
        if (!made)
            in.refuse(made.problem(), at);
        if (!s.form || *s.form == GroupForm::asPlaced)
            return *made;
        auto with = apply(job_, *made);
        if (!with)
            in.refuse(with.problem(), at);
        const int id = std::get<PutPiece>(made->acts.front()).piece.id;
        Edit out = solved(*with->project, *with->scene, id, s, at);
        Edit all = *made;
        all.words += worded(" as a {}", groupFormName(*s.form));
        all.acts.insert(all.acts.end(), out.acts.begin(), out.acts.end());
        all.notices.insert(all.notices.end(), out.notices.begin(), out.notices.end());
        return all;
    }

    Edit arrange() {
        const std::size_t at = in.at();
        const int id = readSubject(in, selected_);
        if (!job_.scheme().byId(id)->isGroup())
            in.fail(at, in.at() - at, "that is no group", "say: group A, B and C as a row");
        return solved(job_, scene_, id, how(), at);
    }

    WordsReader& in;
    const Project& job_;
    const Scene& scene_;
    int selected_;
};

} // namespace

std::vector<VerbHelp> groupVerbs() {
    return helpOf(GroupingReader::verbs());
}

std::optional<Edit> readGrouping(WordsReader& words, const Scene& scene, int selected) {
    return GroupingReader(words, scene, selected).read();
}

} // namespace mezzet
