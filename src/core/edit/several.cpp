#include "edit/several.h"

#include "edit/about_middle.h"
#include "edit/arrange.h"
#include "edit/aside_said.h"
#include "edit/beside_wall.h"
#include "edit/column_said.h"
#include "edit/landing.h"
#include "edit/language.h"
#include "edit/new_piece.h"
#include "edit/phrase.h"
#include "edit/place.h"
#include "edit/sizes_said.h"
#include "edit/subjects.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"

#include <algorithm>
#include <functional>

namespace mezzet {

namespace {

constexpr int mostOfAKind = 30;
bool isBeforeWall(const Tie& t) { // of what is in a wall
    return t.kind == Tie::Kind::centredOn && t.of.is != Target::Is::piece &&
           t.of.is != Target::Is::room && t.of.is != Target::Is::wall;
}

class SeveralReader {
public:
    SeveralReader(WordsReader& words, const Scene& scene, SurfaceId lookedAt)
        : in(words), job_(words.job()), scene_(scene), lookedAt_(lookedAt) {}

    std::optional<Edit> read() {
        const std::size_t start = in.at();
        if (auto each = onEach())
            return each;
        count_ = readCount(in);
        if (count_ == 0 && takeChairsAround(in))
            return chairsAround(in, job_, kind_, count_, start);
        if (count_ == 0 && pairAhead()) {
            count_ = 2;
            in.article();
        }
        const std::size_t word = in.at();
        if (count_ > 0 && in.done())
            in.failAhead("of what?", "say it like: two armchairs");
        if (pairOfOne_) {
            kind_ = in.kind();
        } else if (count_ > 0) {
            sizesAt_ = in.at();
            sizeFirst_ = sizesBeforeKind(in); // "three 10 x 12 pictures"
            kind_ = kindOfSeveral(in);        // "2 sofa" may be a size
            if (kind_ && kind_->standsOn())   // "three prints on wall D"
                if (auto hung = onTheWallAhead(in, *kind_))
                    kind_ = std::move(hung);
            if (!kind_)
                usualChairs_ = in.take({"chairs", "people"});
        }
        if (!kind_ && !usualChairs_) {
            in.goTo(start);
            return {};
        }
        if (count_ > mostOfAKind)
            in.fail(start, word - start, worded("that is more than {} at once", mostOfAKind),
                    "say fewer");
        return whole(start);
    }

private:
    /// "lamps either side of sofa": two, as one says of two sides.
    bool pairAhead() {
        const std::size_t start = in.at();
        in.take({"one", "1"});
        in.article();
        kind_ = in.kind();
        bool pair = kind_ != nullptr;
        if (pair) {
            Piece any = pieceOf(kind_);
            readSizesIfAny(in, any, notices_);
            notices_.clear();
            in.comma();
            pair = takeSides(in);
        }
        pairOfOne_ = pair;
        kind_ = {};
        in.goTo(start);
        return pair;
    }
    /// "a lamp on each nightstand", "curtains on both windows": one for every piece of a kind, or
    /// every opening.
    std::optional<Edit> onEach() {
        const auto none = [this, start = in.at()] {
            kind_ = {};
            notices_.clear();
            in.goTo(start);
            return std::nullopt;
        };
        const int said = readCount(in);
        in.article();
        in.take({"one", "1", "single"});
        const std::size_t word = in.at();
        kind_ = in.kind();
        if (!kind_)
            return none();
        const auto noun = std::string(in.since(word));
        const std::size_t sizes = in.at();
        first_ = pieceOf(kind_);
        readSizesIfAny(in, first_, notices_);
        in.comma();
        in.take({"one", "1"});
        const std::size_t where = in.at();
        if (!in.take({"on", "at", "under", "over", "above", "in front of", "by", "beside",
                      "next to", "for", "in"}))
            return none();
        const auto place = std::string(in.since(where));
        const bool both = in.take({"both of", "both"});
        // "two lamps on the nightstands", of which there are two.
        const bool theirs = !both && !in.take({"each of", "each", "every", "all of", "all"});
        if (theirs && (said < 2 || in.endOf("the") == 0))
            return none();
        in.article();
        const std::size_t at = in.at();
        if (place == "in" && kind_->hangs())
            return none();
        const auto all = everyOneAhead(in, place == "in");
        if (!all || (theirs &&
                     (static_cast<int>(all->names.size()) != said || !in.since(at).ends_with('s'))))
            return none();
        const auto& names = all->names;
        if (names.empty())
            in.fail(at, in.at() - at, worded("there is no {} yet", all->one), "add one first");
        const auto count = static_cast<int>(names.size());
        if ((both && count != 2) || (said > 0 && said != count))
            in.fail(at, in.at() - at,
                    count == 1 ? worded("there is one {}", all->one)
                               : worded("there are {} of {}", count, all->one),
                    "say “each”, with one for each");
        // "…, at 60": the same of each.
        in.comma();
        const std::string more(withoutCourtesy(in.rest()));
        const std::size_t clauses = in.at();
        const std::size_t end = in.text().size();
        in.goTo(end);
        // "lamp" is one that stands on a table.
        const bool tops = all->kind && all->kind->hasTop() && place == "on";
        if (tops && !kind_->standsOn())
            if (auto small = job_.library.kit->byWord("table " + noun);
                small && small->standsOn()) {
                kind_ = small;
                first_ = pieceOf(kind_);
                notices_.clear();
                in.goTo(sizes);
                readSizesIfAny(in, first_, notices_);
                in.goTo(end);
            }
        first_.pose.at = scene_.room->middle();
        std::size_t next = 0;
        const auto added = addInTurn(
            count,
            [&](const Project& now, const Scene& there, int) {
                // "a side table for each chair" stands by it; what hangs goes on it.
                const bool by = place == "for" && !first_.kind->hangs();
                const auto line = (by ? "beside" : place) + " " + names[next++] +
                                  (more.empty() ? "" : ", " + more);
                return oneOfEach(in, {clauses, more.size()}, line, now, first_, there, lookedAt_);
            },
            mostOfAKind);
        if (!added)
            in.refuse(added.problem(), at);
        return *added;
    }
    bool tableAhead(std::size_t at) {
        bool is = false;
        try {
            const Target t = in.target();
            is = t.is == Target::Is::piece && job_.scheme().byId(t.piece)->kind->isSatInTo();
        } catch (const LineFault&) {
            is = false;
        }
        in.goTo(at);
        return is;
    }

    Edit whole(std::size_t start) {
        const std::size_t at = in.at();
        const bool sides = takeSides(in);
        in.goTo(at);
        if (!sides && in.take({"around", "round", "about", "at"})) {
            const std::size_t table = in.at();
            if (!kind_ || (kind_->isSeat() && tableAhead(table)))
                return chairsAround(in, job_, kind_, count_, at);
            in.goTo(at);
        }
        if (!kind_)
            in.fail(start, in.at() - start, "which chairs?",
                    "say it like: 6 chairs around supper table, or: two armchairs");
        if (kind_->role == Role::group)
            in.fail(start, in.at() - start, "a group is made of pieces that hang",
                    "say it like: group harbour, mill and barn as a row");
        first_ = pieceOf(kind_);
        first_.pose.at = scene_.room->middle();
        if (const std::size_t here = in.at(); sizeFirst_) {
            in.goTo(sizesAt_);
            readSizes(in, first_, true, notices_);
            in.goTo(here);
        }
        readSizes(in, first_, true, notices_);
        const std::size_t sized = in.at();
        in.comma();
        const auto called = in.take({"called", "named"}) ? in.name(saidOf(*kind_)) : std::string();
        in.comma();
        // A pair of wall lamps beside a thing: one on each side.
        const bool lamps = count_ == 2 && kind_->role == Role::sconce;
        if (const std::size_t here = in.at();
            takeSides(in) || (lamps && in.take({"beside", "next to", "by"})))
            return eitherSide(at, called, in.since(here));
        in.goTo(sized);
        in.comma();
        if (const std::size_t here = in.at(); count_ == 2 && takeEachOther())
            return eachOther(here);
        return row(at);
    }

    bool takeEachOther() {
        return !kind_->hangs() && !kind_->underCeiling() &&
               in.take({"facing each other", "face to face", "opposite each other",
                        "facing one another", "opposite one another"});
    }

    /// "two sofas facing each other, 8' apart": the second before the first, looking at it.
    Edit eachOther(std::size_t at) {
        std::vector<Placement> places{readPlacement(in, first_, scene_, lookedAt_)};
        if (std::any_of(places[0].ties.begin(), places[0].ties.end(), isBeforeWall))
            in.fail(at, in.at() - at, "they would face each other across it",
                    "say it like: two armchairs either side of window 1");
        const Length apart = places.front().apart.value_or(usualBy(job_, "conversation"));
        if (places.front().ties.empty() && scene_.room->closed) {
            // The two of them about the middle of the room.
            const Box room = scene_.room->bounds();
            Tie there;
            there.kind = Tie::Kind::at;
            const Vec2 middle = room.centre();
            const Wall& a = scene_.room->walls.front();
            const Vec2 from = middle - Vec2{0, (apart + first_.size.depth).mm() / 2} - a.start;
            there.distance = Length::millimetres(dot(from, a.along()));
            there.second = Length::millimetres(dot(from, a.inward()));
            places.front().ties.push_back(there);
        }
        Placement other;
        Tie off;
        off.kind = Tie::Kind::fromPiece;
        off.side = Side::front;
        off.distance = apart;
        Tie centred;
        centred.kind = Tie::Kind::centredOn;
        Tie looks;
        looks.kind = Tie::Kind::facing;
        other.ties = {off, centred, looks};
        places.front().apart.reset();
        places.push_back(std::move(other));
        return addAll(places, at);
    }

    Edit eitherSide(std::size_t at, const std::string& called, std::string_view words) {
        const Target of = in.target();
        if (auto ends = onBothEnds(in, kind_, of, words); ends && count_ == 2) {
            if (ends->kind != kind_)
                first_ = pieceOf(kind_ = ends->kind);
            for (Placement& p : ends->places)
                p.name = called;
            return addAll(ends->places, at);
        }
        // A runner on each side of a bed lies along it.
        if (kind_->flat() && of.is == Target::Is::piece && first_.size.width > first_.size.depth)
            std::swap(first_.size.width, first_.size.depth);
        // "… either side of the bed, 12 from it, at 60": the same of both.
        Placement more;
        const auto aside = asideSaid(in);
        if (!in.done())
            more = readPlacement(in, first_, scene_, lookedAt_);
        if (count_ != 2)
            in.fail(at, in.at() - at, "one goes on each side, so there are two of them",
                    "say it like: two lamps either side of sofa");
        std::vector<Placement> places;
        for (const Side side : {Side::left, Side::right}) {
            Placement p;
            if (of.is == Target::Is::piece) {
                Tie off;
                off.kind = Tie::Kind::fromPiece;
                off.of = of;
                off.side = side;
                off.distance = aside.value_or(
                    kind_->hangs() ? job_.library.book->habit("beside-on-wall") : Length{});
                p.ties.push_back(off);
                if (!kind_->hangs()) {
                    Tie along;
                    along.kind = Tie::Kind::centredOn;
                    along.of = of;
                    along.side = side;
                    along.distance = alongside(scene_, *job_.scheme().byId(of.piece), first_);
                    p.ties.push_back(along);
                }
                if (kind_->hangs()) {
                    const Piece& beside = *job_.scheme().byId(of.piece);
                    p.wall = wallBehind(scene_, of.piece);
                    if (!p.wall)
                        in.fail(at, in.at() - at, worded("{} stands before no wall", beside.name),
                                "name something that hangs, or stands against a wall");
                    if (beside.onWall()) {
                        Tie level;
                        level.kind = Tie::Kind::levelWith;
                        level.of = of;
                        p.ties.push_back(level);
                    }
                }
            } else if (const auto wall = wallOf(of, scene_);
                       wall && of.is != Target::Is::wall && !kind_->hangs()) {
                p.ties = besideInWall(of, *wall, side, aside.value_or(Length{}), first_, scene_);
            } else if (wall && of.is != Target::Is::wall)
                p = hungBeside(in, first_, scene_, lookedAt_,
                               besideOnWall(of, *wall, side, aside, scene_, job_), at);
            if (p.ties.empty())
                in.fail(at, in.at() - at,
                        worded("there is no room for {} on each side of that", first_.kind->name),
                        "name something with free wall beside it");
            // A height that is said takes the place of being level with it.
            if (std::any_of(more.ties.begin(), more.ties.end(), [](const Tie& t) {
                    return t.kind == Tie::Kind::height || t.kind == Tie::Kind::eyeLevel;
                }))
                std::erase_if(p.ties, [](const Tie& t) { return t.kind == Tie::Kind::levelWith; });
            // "… turned to the sofa": near the wall, and turned as it looks.
            if (std::any_of(more.ties.begin(), more.ties.end(),
                            [](const Tie& t) { return t.fixesTurn(); }))
                for (Tie& t : p.ties)
                    if (t.kind == Tie::Kind::against)
                        t.kind = Tie::Kind::fromWall;
            p.ties.insert(p.ties.end(), more.ties.begin(), more.ties.end());
            p.name = called.empty() ? more.name : called;
            places.push_back(std::move(p));
        }
        return addAll(places, at);
    }

    /// The first as said, and each other to the right of the one before.
    Edit row(std::size_t at) {
        // To be centred on either fixes both ways.
        if (kind_->flat())
            in.fail(at, std::max<std::size_t>(in.rest().size(), 1), "rugs are placed one by one",
                    "say it like: rug under sofa");
        if (kind_->underCeiling()) {
            in.take({"in a row", "in a line", "side by side", "in row"});
            auto model = readPlacement(in, first_, scene_, lookedAt_);
            hangOverIt(first_, model, scene_); // "three pendants 30 above the island"
            auto places = rowUnderCeiling(model, count_, job_, scene_);
            if (places.empty())
                in.fail(at, std::max<std::size_t>(in.rest().size(), 1), "where does the row go?",
                        "say it like: three pendants over supper table, or: 4 recessed lights 36 "
                        "from wall A");
            return addAll(places, at);
        }
        const bool inRow = in.take({"in a row", "in a line", "side by side", "in row"});
        const bool hangs = kind_->hangs();
        const auto column = hangs && !inRow ? withoutColumn(in.text(), in.at()) : std::nullopt;
        const std::size_t clauses = in.at();
        std::vector<Placement> places{column ? placedInColumn(*column, in.at())
                                             : readPlacement(in, first_, scene_, lookedAt_)};
        betweenAsMiddle(places.front(), scene_);
        const auto apart = places.front().apart;
        // Shelves are told apart one over the other.
        if (column || (apart && !inRow && kind_->role == Role::shelf))
            return oneOverTheOther(std::move(places), apart, at);
        const bool sits = kind_->role == Role::armchair || kind_->role == Role::sofa;
        const char* usual = hangs ? "group-gap" : "seats-apart";
        const Length gap =
            apart.value_or(std::max(hangs || sits ? job_.library.book->habit(usual) : Length{},
                                    sharedOver(places.front(), first_, count_, scene_)));
        if (aboutItsMiddle(places, count_, first_, gap) ||
            seatsAlong(places, count_, first_, apart, saysSide(in.text()), scene_))
            return addAll(places, at);
        // Cushions lie along the back of a seat.
        if (places.front().on && places.front().on->is == SurfaceId::Is::top && !apart &&
            std::all_of(places.front().ties.begin(), places.front().ties.end(), [&](const Tie& t) {
                return kind_->isSoft() && t.kind == Tie::Kind::fromEdge;
            }))
            return spreadOnTop(places.front(), at);
        if (hangs && openAlong(places.front()))
            if (auto hung = rowOnWall(places.front(), gap))
                return *hung;
        if (const auto even = beforeItsMiddle(places.front(), count_, first_, gap); !even.empty()) {
            if (const auto all = addClear(even))
                return *all;
        }
        // Without a word of a row each goes where the words have it and there is room.
        if (!hangs && !inRow && !apart)
            if (auto each = eachByItself(clauses))
                return *each;
        // Left of something the row goes on to the left.
        const auto& ties = places.front().ties;
        const bool left = std::any_of(ties.begin(), ties.end(), [](const Tie& t) {
            return t.kind == Tie::Kind::fromPiece && t.side == Side::left;
        });
        for (int i = 1; i < count_; ++i) {
            Placement p;
            Tie off;
            off.kind = Tie::Kind::fromPiece;
            off.side = left ? Side::left : Side::right;
            off.distance = gap;
            Tie level;
            level.kind = hangs ? Tie::Kind::levelWith : Tie::Kind::centredOn;
            level.side = off.side;
            p.ties = {off, level};
            places.push_back(std::move(p));
        }
        return addAll(places, at);
    }

    /// What is said of where they hang, but that they hang over each other.
    Placement placedInColumn(const std::string& line, std::size_t from) {
        WordsReader again(line, job_, in.them());
        again.goTo(from);
        again.comma();
        auto placed = readPlacement(again, first_, scene_, lookedAt_);
        in.goTo(in.text().size());
        return placed;
    }

    /// The lowest as said, and each other over the one before.
    Edit oneOverTheOther(std::vector<Placement> places, std::optional<Length> apart,
                         std::size_t at) {
        const char* usual = kind_->role == Role::shelf ? "shelves-apart" : "group-gap";
        Tie over;
        over.kind = Tie::Kind::above;
        over.distance = apart.value_or(job_.library.book->habit(usual));
        columnAtEyes(places.front(), first_, count_, over.distance, job_);
        Tie level;
        level.kind = Tie::Kind::centredOn;
        Placement p;
        p.ties = {over, level};
        places.resize(static_cast<std::size_t>(count_), p);
        places.front().apart.reset();
        return addAll(places, at);
    }

    /// Each in the middle of its share of the top.
    Edit spreadOnTop(const Placement& model, std::size_t at) {
        const Piece& board = *job_.scheme().byId(model.on->piece);
        const Length share = board.size.width / count_;
        if (share < first_.size.width)
            in.fail(at, in.at() - at, worded("{} has no room for so many", board.name),
                    "say fewer, or smaller ones");
        Tie middle;
        middle.kind = Tie::Kind::centredOn;
        middle.of = pieceTarget(board.id);
        return addAll(spaced(count_, model, middle, share), at);
    }

    /// Nothing says where along its wall it hangs.
    static bool openAlong(const Placement& p) {
        return p.wall && !p.step && std::all_of(p.ties.begin(), p.ties.end(), [](const Tie& t) {
                   return t.kind == Tie::Kind::height || t.kind == Tie::Kind::eyeLevel;
               });
    }

    /// A row about the middle of its wall, or as near to that as it hangs over nothing.
    std::optional<Edit> rowOnWall(const Placement& model, Length gap) {
        const Wall& w = scene_.room->walls[static_cast<std::size_t>(*model.wall)];
        const Length pitch = first_.size.width + gap;
        const Length row = pitch * (count_ - 1) + first_.size.width;
        const Length spare = (w.length() - row) / 2;
        if (spare < Length{})
            return {};
        constexpr int steps = 12; // to either end
        for (int k = 0; k <= 2 * steps; ++k) {
            const Length off = spare * ((k % 2 == 0 ? 1 : -1) * ((k + 1) / 2) / double(steps));
            Tie middle;
            middle.kind = Tie::Kind::centredOn;
            middle.of = wallTarget(*model.wall);
            middle.distance = off;
            const auto all = addClear(spaced(count_, model, middle, pitch));
            if (all)
                return *all;
        }
        Tie middle; // over a door, or what hangs there, which is told
        middle.kind = Tie::Kind::centredOn;
        middle.of = wallTarget(*model.wall);
        return addAll(spaced(count_, model, middle, pitch), 0);
    }

    /// What a piece is told, seen from the job the one before it leaves.
    using Told = std::function<Placement(const Project&, const Scene&, int before)>;

    /// Adds as many in turn. Problem: one can't be; or one from `clearFrom` on would stand in
    /// another.
    Result<Edit> addInTurn(int count, const Told& told, int clearFrom) {
        ProjectPtr now = std::make_shared<const Project>(job_);
        auto first = sceneOf(*now);
        if (!first)
            return first.problem();
        ScenePtr there = *first;
        Edit all;
        std::string called; // "called guest" is of them all: guest, guest 2
        int before = 0;
        for (int i = 0; i < count; ++i) {
            auto said = told(*now, *there, before);
            if (i == 0)
                called = said.name;
            said.name.clear();
            Piece p = first_;
            p.name = now->scheme().freeName(called.empty() ? kind_->name : called);
            auto e = placeWhereFree(*now, *there, std::move(p), std::move(said));
            if (!e)
                return e;
            const int id = now->scheme().nextId;
            std::get<PutPiece>(e->acts.front()).piece.id = id;
            auto after = apply(*now, *e);
            if (!after)
                return after.problem();
            now = after->project;
            there = after->scene;
            if (i >= clearFrom &&
                (!harmOf(*now, *there, {id}).empty() || !overlapOf(*there, id).empty()))
                return Problem{"there is no room for so many", "say fewer"};
            before = id;
            for (Act& a : e->acts)
                all.acts.push_back(std::move(a));
        }
        all.notices = notices_;
        all.words = worded("add {} pieces of {}", count, kind_->name);
        return all;
    }

    /// Each as it is told, where all are clear.
    Result<Edit> addClear(const std::vector<Placement>& places) {
        std::size_t next = 0;
        return addInTurn(
            count_, [&](const Project&, const Scene&, int) { return places[next++]; }, 0);
    }

    /// The same words of each in turn; none where one would stand where another does.
    std::optional<Edit> eachByItself(std::size_t clauses) {
        const auto all = addInTurn(
            count_,
            [&](const Project& now, const Scene& there, int) {
                WordsReader again(in.text(), now, in.them());
                again.goTo(clauses);
                return readPlacement(again, first_, there, lookedAt_);
            },
            1);
        return all ? std::optional(*all) : std::nullopt;
    }

    /// Each as it is told; a tie of no target is to the one before.
    Edit addAll(const std::vector<Placement>& places, std::size_t at) {
        std::size_t next = 0;
        const auto all = addInTurn(
            static_cast<int>(places.size()),
            [&](const Project& now, const Scene&, int before) {
                Placement place = places[next++];
                for (Tie& t : place.ties)
                    if (t.of.is == Target::Is::none && before != 0 && t.kind != Tie::Kind::height &&
                        t.kind != Tie::Kind::eyeLevel && t.kind != Tie::Kind::fromEdge)
                        t.of = pieceTarget(before);
                if (before != 0 && kind_->hangs() && !place.wall)
                    place.wall = now.scheme().byId(before)->wall();
                return place;
            },
            mostOfAKind);
        if (!all)
            in.refuse(all.problem(), at);
        return *all;
    }

    WordsReader& in;
    const Project& job_;
    const Scene& scene_;
    SurfaceId lookedAt_;
    int count_ = 0;
    KindPtr kind_;
    bool usualChairs_ = false;
    bool sizeFirst_ = false;
    bool pairOfOne_ = false; ///< "a lamp on each side of it"
    std::size_t sizesAt_ = 0;
    Piece first_;
    std::vector<std::string> notices_;
};

} // namespace

std::optional<Edit> readSeveral(WordsReader& in, const Scene& scene, SurfaceId lookedAt) {
    return SeveralReader(in, scene, lookedAt).read();
}

} // namespace mezzet
