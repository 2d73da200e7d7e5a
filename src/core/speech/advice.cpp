// Questions about what to do: how high, what fits, how many, what is wrong.
#include "edit/arrange.h"
#include "edit/beside_wall.h"
#include "edit/landing.h"
#include "edit/language.h"
#include "edit/new_piece.h"
#include "edit/phrase.h"
#include "edit/sizes_said.h"
#include "fits/ask.h"
#include "fits/trying.h"
#include "fits/walls.h"
#include "judge/at_table.h"
#include "judge/floor_ways.h"
#include "judge/remedy.h"
#include "judge/talk.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"
#include "scheme/spoken.h"
#include "speech/fit_questions.h"
#include "speech/meant_words.h"
#include "speech/questions.h"
#include "ways/path.h"

#include <algorithm>
#include <cmath>
#include <regex>

namespace mezzet {

namespace {

using Is = Target::Is;

/// "what fits on wall B?": the longest sofas, in place of those that stand there, and how wide
/// other things may be.
Answer fitsOnWall(const Asking& a, int wall) {
    Project job = a.job;
    std::vector<std::string> instead;
    for (const Piece& p : a.job.scheme().pieces)
        if (p.kind->role == Role::sofa && !p.locked && wallBehind(*a.scene, p.id) == wall) {
            Edit without;
            without.acts.emplace_back(RemovePiece{p.id});
            if (auto after = apply(job, without)) {
                job = *after->project;
                instead.push_back(p.name);
            }
        }
    Answer out = answerOf(sofasThatFit(job, wall, a.goesOn));
    if (!instead.empty())
        out.words = worded("{}; left out: {}", withoutStop(std::move(out.words)), listed(instead));
    std::vector<std::string> others;
    for (const char* id : {"sideboard", "desk", "bookcase"})
        if (const auto kind = a.job.library.kit->byId(id))
            if (const auto found = widthsThatFit(a.job, *kind, wall); !found.choices.empty())
                others.push_back(
                    fmt::format("{} {}", foldCase(kind->name), found.choices.front().title));
    if (!others.empty())
        out.words = worded("{}. Beside what is there: {}", withoutStop(std::move(out.words)),
                           listed(others));
    return out;
}

std::string bandWords(const Band& b, Notation n) {
    const auto l = [&](double mm) { return writeGap(Length::millimetres(mm), n); };
    if (b.low && b.high)
        return worded("{} to {}", l(*b.low), l(*b.high));
    return b.low    ? worded("{} or more", l(*b.low))
           : b.high ? worded("{} at most", l(*b.high))
                    : std::string();
}

/// What is not sat on lies on it with a margin all round.
Answer rugUnder(const Asking& a, const Piece& p) {
    const Length past = a.job.library.book->habit("rug-past-table");
    Answer out;
    out.about = {p.id};
    out.words =
        worded("For {}: {} by {} or more, so that it reaches {} past it on every side", p.name,
               writeGap(p.size.width + past * 2, a.job.notation),
               writeGap(p.size.depth + past * 2, a.job.notation), writeGap(past, a.job.notation));
    return out;
}

/// "how high should harbour hang", "how high do I hang a picture over the sofa"
std::optional<Answer> howHigh(Asking& a) {
    a.in.take(
        {"should", "do i", "do we", "do you", "does", "to", "must", "would you", "can", "ought"});
    a.in.take({"i", "we", "you"});
    a.in.take({"hang", "put", "place"});
    a.in.article();
    int id = 0;
    KindPtr kind;
    if (const std::size_t at = a.in.at(); a.in.take({"this", "it", "that"})) {
        if (a.selected == 0)
            a.in.fail(at, a.in.at() - at, "nothing is selected",
                      "select what is meant, or name it");
        id = a.selected;
    } else {
        // "the tv" is the one on the wall, where there is one.
        try {
            id = a.in.piece();
        } catch (const LineFault&) {
            id = 0; // several: what is said holds of each
        }
        if (id == 0)
            a.in.goTo(at);
        kind = id != 0 ? nullptr : a.in.kind();
        if (!kind && (a.in.take({"art", "pictures", "picture", "paintings"})))
            kind = a.job.library.kit->byWord("picture");
        if (!kind && id == 0)
            id = a.piece();
    }
    a.in.take({"hang", "be hung", "be", "go", "hung", "sit"});
    std::optional<Target> over;
    if (a.in.take({"over", "above"}))
        over = a.in.target();
    a.end();
    const Piece* p = id != 0 ? a.scene->pieceById(id) : nullptr;
    if (p != nullptr)
        kind = p->kind;
    Answer out;
    if (p != nullptr)
        out.about = {id};
    const auto& book = *a.job.library.book;
    // "how high should a tv hang?": the one that hangs.
    if (p == nullptr && kind->role == Role::screen && !kind->hangs())
        if (const KindPtr hung = a.job.library.kit->byId("wall-screen"))
            kind = hung;
    // "the lamp over the table": one that hangs there.
    if (p == nullptr && over && kind->family == Family::light && !kind->hangs() &&
        !kind->underCeiling())
        if (const KindPtr pendant = a.job.library.kit->byId("pendant"))
            kind = pendant;
    const auto name = p != nullptr ? p->name : kind->name;
    if (!kind->hangs()) {
        if (kind->underCeiling()) {
            out.words = worded("{}: its underside {} over a table's top", name,
                               writeGap(book.habit("pendant-over-table"), a.job.notation));
            return out;
        }
        out.words = worded("{} stands on the floor, and is not hung", name);
        return out;
    }
    const auto size = [&](Length l) { return writeGap(l, a.job.notation); };
    if (kind->hangAt > Length{}) {
        out.words = worded("{} usually hangs with its {} at {}", name,
                           kind->hangBy == Level::top      ? "top"
                           : kind->hangBy == Level::bottom ? "foot"
                                                           : "centre",
                           size(kind->hangAt));
    } else {
        out.words = worded("{}: its centre at {}, eye level here", name,
                           size(eyeLevel(book, a.job.judgement)));
        if (const Rule* r = book.byId("art-centre"))
            out.words += worded(" ({} is well)",
                                bandWords(artCentreBand(*r, a.job.judgement), a.job.notation));
    }
    std::optional<Target> under = over;
    if (p != nullptr && !under)
        for (const Tie& t : p->ties)
            if (t.kind == Tie::Kind::above && t.of.is == Is::piece)
                under = t.of;
    if (const Rule* r = book.byId("art-above"); r != nullptr && under && under->is == Is::piece) {
        const Band b = a.job.judgement.bandOf(*r);
        out.words += worded("; over {} its foot {} above that", spoken(*under, a.wording()),
                            bandWords(b, a.job.notation));
        out.about.push_back(under->piece);
    }
    if (p != nullptr && p->onWall()) {
        const double at = a.scene->byId(id)->pose.at.y;
        out.words += worded(". Now its centre is at {}", size(Length::millimetres(at)));
        Mark m;
        m.surface = p->on;
        const Vec2 c = a.scene->byId(id)->pose.at;
        m.from = {c.x, 0};
        m.to = c;
        m.words = size(Length::millimetres(at));
        out.marks.push_back(m);
    }
    return out;
}

std::optional<Answer> howBigRug(Asking& a) {
    a.in.take({"rug", "carpet"});
    a.in.take({"do i need", "do we need", "should i get", "should i buy", "fits here", "fits",
               "will fit", "goes here", "goes", "should go", "is right", "works"});
    if (a.in.take({"for", "under", "with"})) {
        const int id = a.piece();
        a.end();
        if (a.scene->pieceById(id)->kind->family == Family::seat)
            return answerOf(rugsThatHold(a.job, {id}, a.goesOn));
        return rugUnder(a, *a.scene->pieceById(id));
    }
    a.in.take({"here", "in here", "in this room"});
    a.end();
    const bool seats = std::any_of(a.job.scheme().pieces.begin(), a.job.scheme().pieces.end(),
                                   [](const Piece& p) { return isLounge(p); });
    if (const Piece* table = seats ? nullptr : onlyDiningTable(a.job))
        return rugUnder(a, *table);
    if (!seats)
        return Answer{worded("A rug goes by the seats it holds: there are none yet")};
    return askedOfFits(a, "rug for seats");
}

/// "what fits here?", "what sofa fits on wall A?", "what table fits?"
std::optional<Answer> whatFits(Asking& a) {
    std::size_t from = a.in.at();
    if (a.in.take({"rug", "carpet"})) {
        a.in.goTo(from);
        return howBigRug(a);
    }
    const auto cleaned = [&](std::string_view s) {
        std::string q(trimmed(s));
        while (!q.empty() && (q.back() == '?' || q.back() == ' '))
            q.pop_back();
        return q;
    };
    if (const auto sort = a.in.take({"sofa", "sofas", "couch", "couches", "settee"}) ? "sofa"
                          : a.in.take({"table", "tables", "dining table"})           ? "table"
                                                                                     : nullptr;
        sort != nullptr) {
        a.in.take({"will fit", "would fit", "can fit", "fits", "fit", "goes", "can go", "could go",
                   "will go"});
        auto rest = cleaned(a.in.rest());
        if (rest == "here" || rest == "in here" || rest == "there" || rest == "in this room")
            rest.clear();
        if (std::string_view(sort) == "sofa" && rest.empty()) {
            // The longest wall.
            int best = 0;
            for (std::size_t i = 0; i < a.job.room->walls.size(); ++i)
                if (a.job.room->walls[i].length() >
                    a.job.room->walls[static_cast<std::size_t>(best)].length())
                    best = static_cast<int>(i);
            rest = "on wall " + a.job.room->walls[static_cast<std::size_t>(best)].name;
        }
        return askedOfFits(a, std::string(sort) + (rest.empty() ? "" : " " + rest));
    }
    // "what bookcase fits on wall B?"
    if (const KindPtr kind = a.in.kind(); kind && !kind->flat() && kind->on == SurfaceKind::floor) {
        a.in.take({"will fit", "would fit", "can fit", "could fit", "fits", "fit", "goes", "can go",
                   "could go", "will go", "can stand", "could stand", "stands"});
        if (a.in.take({"on", "against", "along", "at"})) {
            const std::size_t at = a.in.at();
            const Target t = a.in.target(false);
            a.end();
            const auto wall = wallOf(t, *a.scene);
            if (!wall)
                a.in.fail(at, std::max<std::size_t>(a.in.at() - at, 1), "that is no wall",
                          "say it like: what bookcase fits on wall A?");
            // One of that kind that stands there makes room for it.
            std::vector<int> there;
            for (const Piece& p : a.job.scheme().pieces)
                if (p.kind == kind && p.on.isFloor() && wallBehind(*a.scene, p.id) == *wall)
                    there.push_back(p.id);
            const auto without = there.size() == 1 ? baseWithout(a.job, there) : std::nullopt;
            return answerOf(widthsThatFit(without ? *without->job : a.job, *kind, *wall));
        }
    }
    a.in.goTo(from);
    if (!a.in.take({"fits", "could fit", "will fit", "can fit", "would fit", "goes", "could go",
                    "can go", "will go", "would go", "can i put", "could i put", "can we put",
                    "should i put", "can stand", "could stand"})) {
        a.in.goTo(from);
        return {};
    }
    a.in.take({"here", "in here", "there", "in this room", "in the room"});
    if (const std::size_t under = a.in.at(); a.in.take({"under", "below", "beneath"})) {
        a.in.article();
        const Target t = a.in.target();
        a.end();
        const auto wall = wallOf(t, *a.scene);
        const auto box = wall && t.is != Is::wall ? boxOn(t, *wall, *a.scene) : std::nullopt;
        if (!box)
            a.in.fail(under, std::max<std::size_t>(a.in.at() - under, 1), "that is in no wall",
                      "name a window, or what hangs");
        const auto length = [&](double mm) {
            return writeGap(Length::millimetres(mm), a.job.notation);
        };
        Answer out;
        out.words = worded("Under {}: up to {} high, and {} wide to stand within it",
                           spoken(t, a.wording()), length(box->low.y), length(box->size().x));
        out.marks.push_back(
            {onWall(*wall), {box->low.x, box->low.y}, {box->low.x, 0}, length(box->low.y)});
        return out;
    }
    if (a.in.take({"over", "above"})) {
        const int id = a.piece();
        a.end();
        return answerOf(picturesOver(a.job, id));
    }
    if (a.in.take({"on", "against", "along"})) {
        const std::size_t at = a.in.at();
        const Target t = a.in.target(false);
        a.end();
        if (t.is != Is::wall)
            a.in.fail(at, std::max<std::size_t>(a.in.at() - at, 1),
                      "a sofa is asked for by its wall", "say it like: what fits on wall A?");
        return fitsOnWall(a, t.index);
    }
    a.end();
    const Piece* chosen = a.selected != 0 ? a.scene->pieceById(a.selected) : nullptr;
    if (chosen != nullptr && chosen->kind->role == Role::diningTable)
        return askedOfFits(a, "table");
    // The widest free round of floor, and the table it takes.
    const auto ways = floorWays(FloorView(*a.scene), {Length::metres(2), false, {}, {}});
    const auto free = largestCircle(ways.finder.blocks(), a.job.room->edge);
    auto found = askWhatFits("table", a.job, 0, a.goesOn);
    Answer out;
    const auto across = free.radius * 2;
    out.words = worded("The widest free floor is {} across", writeGap(across, a.job.notation));
    const double half = free.radius.mm();
    out.marks.push_back({theFloor(), free.centre - Vec2{half, 0}, free.centre + Vec2{half, 0},
                         writeGap(across, a.job.notation)});
    if (found) {
        const auto more = answerOf(std::move(*found));
        out.words += ". " + more.words;
        out.choices = more.choices;
    }
    return out;
}

/// How many of so many have a chair's room at a table where it stands, `each` of its edge.
int seatsWhereItStands(const Asking& a, int id, int most, Length each) {
    const auto kind = usualChair(a.job, id);
    if (!kind || a.scene->pieceById(id)->kind->role == Role::desk)
        return most;
    const auto haveRoom = [&](int n) {
        const auto seated = seatTable(a.job, *a.scene, id, n, kind);
        const auto after = seated ? apply(a.job, *seated) : Result<Applied>(seated.problem());
        const auto scene = after ? sceneOf(*after->project) : Result<ScenePtr>(after.problem());
        if (!scene)
            return false;
        std::vector<const Placed*> chairs;
        for (const Piece& p : after->project->scheme().pieces) {
            const Tie* tie = tieToTable(p, after->project->scheme());
            const Placed* where = (*scene)->fromAbove(p.id);
            if (tie == nullptr || tie->of != pieceTarget(id) || where == nullptr)
                continue;
            // Of those at one side each has its own stretch of the edge.
            const bool crowded =
                std::any_of(chairs.begin(), chairs.end(), [&](const Placed* other) {
                    return other->pose.turn == where->pose.turn &&
                           distance(other->pose.at, where->pose.at) < each - Length::millimetres(1);
                });
            if (crowded || !clearAtTable(**scene, p, where->pose))
                return false;
            chairs.push_back(where);
        }
        return true;
    };
    int n = most;
    while (n > 0 && !haveRoom(n))
        --n;
    return n;
}

/// How many a table seats, and whether so many do.
Answer seatsAt(const Asking& a, int id, int wanted) {
    const Piece& table = *a.scene->pieceById(id);
    const Length each = elbowRoom(a.job);
    // One sits before a desk, and all round a table.
    const int most = table.kind->role == Role::desk
                         ? std::max(1, static_cast<int>(table.size.width / each + 1e-6))
                         : seatsBy(table, each);
    Answer out;
    out.about = {id};
    const auto eachWords = writeGap(each, a.job.notation);
    if (wanted <= 0) {
        out.words = worded("{} seats {}, with {} of its edge each", table.name, most, eachWords);
        if (const int there = seatsWhereItStands(a, id, most, each); there < most)
            out.words += worded("; where it stands {}, for what is beside it", there);
        return out;
    }
    if (wanted > most) {
        out.words = worded("No: {} gives {} people {} of its edge each, and not {}", table.name,
                           most, eachWords, wanted);
        return out;
    }
    const auto kind = usualChair(a.job, id);
    const auto seated = kind ? seatTable(a.job, *a.scene, id, wanted, kind)
                             : Result<Edit>(Problem{"the kit has no chair for a table", ""});
    const auto after = seated ? apply(a.job, *seated) : Result<Applied>(seated.problem());
    out.words =
        worded("Yes: {} people have {} of its edge each at {}", wanted, eachWords, table.name);
    if (!after)
        return out;
    const auto before = judge(*a.scene, *a.job.library.book, a.job.judgement);
    const auto now = judge(*after->scene, *after->project->library.book, after->project->judgement);
    std::vector<const Reading*> upset;
    for (const Reading* r : toMendByWeight(now))
        if (isUpset(*r, before))
            upset.push_back(r);
    if (!upset.empty())
        out.words =
            worded("Not well: {} people have {} of its edge each at {}, but then: {}", wanted,
                   eachWords, table.name, sentenceOf(*upset.front(), after->project->wording()));
    return out;
}

/// "is there room for 8?", "can 6 sit at the supper table?"
std::optional<Answer> roomFor(Asking& a) {
    const std::size_t start = a.in.at();
    const bool can = a.in.since(0) == "can" || a.in.since(0) == "could";
    int n = 0;
    if (!a.in.takeCount(n)) {
        if (can)
            return couldItGo(a);
        a.in.goTo(start);
        return doesItFit(a);
    }
    a.in.take({"people", "persons", "guests", "chairs", "of us"});
    a.in.take({"to sit", "sit", "to eat", "eat", "fit", "be seated"});
    int id = 0;
    if (a.in.take({"at", "around", "round"})) {
        id = a.piece();
        a.end();
    } else {
        a.in.take({"in here", "here", "to dinner", "for dinner"});
        a.end();
        if (const Piece* table = onlyDiningTable(a.job))
            id = table->id;
    }
    const auto& book = *a.job.library.book;
    if (id != 0 && a.scene->pieceById(id)->kind->isSatInTo())
        return seatsAt(a, id, n);
    const Rule* r = book.byId("seats-count");
    const int seats =
        seatsIn(a.job.scheme(), Arrangement::day, r != nullptr ? r->setting("each") : Length{},
                r != nullptr ? r->setting("arms") : Length{});
    return Answer{seats >= n ? worded("Yes: there are seats for {}", seats)
                             : worded("No: there are seats for {}, {} too few", seats, n - seats)};
}

/// "how many chairs fit round a 180 table?", "a 60 inch round table": one of that size, which is
/// not there.
std::optional<Answer> seatsOfASize(Asking& a) {
    const std::size_t start = a.in.at();
    const auto another = [&] {
        a.in.goTo(start);
        return std::nullopt;
    };
    if (a.in.endOf("a") == 0 && a.in.endOf("an") == 0)
        return {};
    a.in.article();
    const bool roundFirst = a.in.take({"round", "circular"});
    if (!a.in.lengthAhead())
        return another();
    const Length across = a.in.length("the size");
    std::optional<Length> deep;
    if (a.in.take({"x", "by", "×"})) {
        if (!a.in.lengthAhead())
            return another();
        deep = a.in.length("the size");
    }
    a.in.take({"long", "wide", "across", "in diameter", "diameter"});
    const bool round = a.in.take({"round", "circular"}) || roundFirst;
    if (!a.in.take({"dining table", "kitchen table", "table"}))
        return another();
    a.end();
    const KindPtr kind = a.job.library.kit->byWord(round ? "round table" : "dining table");
    if (!kind)
        return another();
    Piece p = pieceOf(kind);
    p.size.width = across;
    p.size.depth = round ? across : deep.value_or(p.size.depth);
    const Length each = elbowRoom(a.job);
    const auto& n = a.job.notation;
    Answer out;
    out.words = worded("{} at one {} by {}, with {} of its edge each", seatsBy(p, each),
                       writeGap(p.size.width, n), writeGap(p.size.depth, n), writeGap(each, n));
    if (!round && !deep)
        out.words += told("; its depth is assumed");
    return out;
}

std::optional<Answer> howMany(Asking& a) {
    const bool chairs = a.in.take({"chairs"});
    const bool stools =
        !chairs && a.in.take({"stools", "bar stools", "counter stools", "barstools"});
    a.in.take({"people", "seats", "guests", "persons"});
    if (chairs &&
        a.in.take({"are there", "have i got", "have we got", "do i have", "do we have"})) {
        a.in.take({"in here", "in this room", "in the room", "here"});
        if (a.in.done())
            return {}; // those that stand there are counted
    }
    a.in.take({"can sit", "can fit", "could sit", "sit", "fit", "will fit", "can be seated",
               "can eat", "does", "do", "are there", "is there", "are", "have we", "do we have"});
    int id = 0;
    a.in.take({"in here", "in this room", "in the room", "here"});
    a.in.take({"at", "around", "round", "on"});
    if (auto table = seatsOfASize(a))
        return table;
    if (!a.in.done() && a.in.ahead() != "?") {
        id = a.piece();
        a.in.take({"seat", "seats", "take", "hold"});
    }
    a.end();
    if (stools && id == 0)
        return {};
    const Rule* r = a.job.library.book->byId("seats-count");
    const Length each = r != nullptr ? r->setting("each") : Length{};
    const Length arms = r != nullptr ? r->setting("arms") : Length{};
    if (id == 0) {
        const int day = seatsIn(a.job.scheme(), Arrangement::day, each, arms);
        return Answer{worded("There are seats for {}", day)};
    }
    const Piece& p = *a.scene->pieceById(id);
    if (p.kind->isSatInTo())
        return seatsAt(a, id, 0);
    Answer out;
    out.about = {id};
    // At an island or a bar one sits on stools, along one side.
    if (p.kind->family == Family::table && p.heights.top &&
        *p.heights.top >= a.job.library.book->habit("bar-height")) {
        const Length elbow = elbowRoom(a.job);
        out.words = worded("{} on stools along one side of {}, at {} each",
                           static_cast<int>(std::floor(p.size.width / elbow + 1e-9)), p.name,
                           writeGap(elbow, a.job.notation));
        return out;
    }
    const int n = seatsOf(p, each, arms);
    out.words = n > 0 ? worded("{} seats {}", p.name, n) : worded("Nobody sits on {}", p.name);
    return out;
}

} // namespace

const std::vector<Question>& adviceQuestions() {
    static const std::vector<Question> all{
        {{"how high should", "how high do i", "how high do we", "how high do you", "how high to",
          "how high must", "how high can", "how high ought", "at what height should",
          "what height should", "what height do i", "where should i hang"},
         &howHigh,
         "the height a thing is hung at, by the school and who looks",
         "how high should mill hang?; how high do I hang a picture?"},
        {{"how big a", "how large a", "what size", "which size", "what size of", "which", "what"},
         [](Asking& a) -> std::optional<Answer> {
             const std::size_t at = a.in.at();
             if (a.in.endOf("rug") > 0 || a.in.endOf("carpet") > 0)
                 return howBigRug(a);
             a.in.goTo(at);
             return whatFits(a);
         },
         "what fits: a rug for the seats, a sofa on a wall, a table, or the room that is free",
         "how big a rug?; what fits here?; what sofa fits on wall A?"},
        {{"does", "will", "would", "is there space for"},
         [](Asking& a) -> std::optional<Answer> {
             // "does the sofa face the fire?"
             const auto rest = foldCase(a.in.rest());
             if (rest.find(" face ") != std::string::npos)
                 return {};
             return doesItFit(a);
         },
         "whether a piece seen in a shop fits, and comes in at the door",
         "does a sofa 90 x 38 fit?"},
        {{"can i fit", "could i fit", "can we fit", "could we fit", "can i get"},
         &doesItFit,
         "the same",
         ""},
        {{"is there room for", "is there enough room for", "can", "could", "have we room for"},
         &roomFor,
         "whether so many can sit, or a piece can stand",
         "is there room for 8?; is there room for a sideboard?"},
        {{"how many"},
         &howMany,
         "how many a table or a seat takes; how many seats there are",
         "how many seats are there?"},
    };
    return all;
}

} // namespace mezzet
