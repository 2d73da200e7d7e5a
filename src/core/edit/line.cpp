#include "edit/line.h"

#include "edit/drag.h"
#include "edit/words_reader.h"
#include "geometry/gap.h"
#include "measure/text.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

namespace {

std::string capital(std::string s) {
    if (!s.empty() && s[0] >= 'a' && s[0] <= 'z')
        s[0] = static_cast<char>(s[0] - 'a' + 'A');
    return s;
}

class LineReader {
public:
    LineReader(std::string_view text, const Project& job, ScenePtr scene, int selected)
        : in(text, job), job_(job), scene_(std::move(scene)), selected_(selected) {}

    WordsReader in;

    Edit read() {
        if (in.take({"remove", "delete", "take away", "take out"}))
            return remove();
        if (in.take({"turn", "rotate", "spin"}))
            return turn();
        if (in.take({"size", "resize", "make"}))
            return size();
        if (in.take({"rename", "call"}))
            return rename();
        if (in.take({"copy", "duplicate"}))
            return copy();
        if (in.take({"lock"}))
            return lock(true);
        if (in.take({"unlock"}))
            return lock(false);
        if (in.take({"free", "untie"}))
            return free();
        if (in.take({"scheme", "schemes"}))
            return scheme();
        if (in.take({"school"}))
            return school();
        if (in.take({"rule"}))
            return rule();
        if (in.take({"band"}))
            return band();
        if (in.take({"units"}))
            return units();
        if (in.take({"title"}))
            return title(true);
        if (in.take({"client"}))
            return title(false);
        if (in.take({"move", "shift"}))
            return move();
        const bool fresh = in.take({"add", "another", "new"});
        if (fresh || in.take({"put", "place"}))
            in.take({"another", "new"});
        return put(fresh);
    }

private:
    [[noreturn]] void fault(Problem p, std::size_t from) {
        // A refusal of the whole points at what was said.
        p.column = static_cast<int>(from) + 1;
        throw LineFault{p};
    }

    /// A piece that must be there.
    int subject() {
        in.article();
        if (selected_ != 0 && in.take({"it", "this"}))
            return selected_;
        const int id = in.piece();
        if (id == 0 && in.done())
            in.failAhead("which piece?",
                         in.scheme().pieces.empty()
                             ? "there are no pieces yet"
                             : fmt::format("name one, like {}", in.scheme().pieces.front().name));
        if (id == 0)
            in.failAhead(fmt::format("there is no piece called “{}”", in.rest()));
        return id;
    }

    const Piece& pieceOf(int id) const { return *in.scheme().byId(id); }
    Piece placedPiece(int id) const {
        Piece p = pieceOf(id);
        p.pose = scene_->byId(id)->pose;
        return p;
    }

    void nothingMore() {
        in.take({"please"});
        if (!in.done())
            in.failAhead(fmt::format("“{}” is left over", in.rest()), "take it out");
    }

    Edit remove() {
        Edit e;
        std::vector<std::string> names;
        do {
            const int id = subject();
            names.push_back(pieceOf(id).name);
            e.acts.emplace_back(RemovePiece{id});
        } while (in.comma() || in.take({"and"}));
        nothingMore();
        e.words = "remove " + listed(names);
        return e;
    }

    Edit turn() {
        const int id = subject();
        in.take({"by"});
        const std::size_t at = in.at();
        if (in.take({"to face", "facing", "to"})) {
            in.goTo(at);
            const bool toDegrees = in.take({"to"}) && in.ahead() != "face";
            if (toDegrees) {
                Tie t;
                t.kind = Tie::Kind::turned;
                t.turn = Angle::degrees(in.number("the turn")).normalised();
                in.take({"degrees", "degree", "deg"});
                nothingMore();
                return retie(placedPiece(id), {t}, at);
            }
            return place(placedPiece(id), at);
        }
        in.article();
        Angle by;
        if (in.take({"quarter"}))
            by = Angle::degrees(90);
        else if (in.take({"half"}))
            by = Angle::degrees(180);
        else if (in.take({"round", "around"}))
            by = Angle::degrees(180);
        else if (in.done())
            by = Angle::degrees(90);
        else
            by = Angle::degrees(in.number("the turn"));
        in.take({"degrees", "degree", "deg", "turn"});
        if (in.take({"left", "anticlockwise", "counterclockwise"}))
            by = -by;
        in.take({"right", "clockwise", "turn"});
        nothingMore();
        auto edit = turnBy(job_, *scene_, {id}, by);
        if (!edit)
            fault(edit.problem(), at);
        return *edit;
    }

    void applySizes(Piece& p, const std::vector<Length>& sizes, std::size_t at) {
        for (const Length l : sizes)
            if (l <= Length{} || l > Length::metres(20))
                in.fail(at, in.at() - at, "no piece has that size",
                        "sizes lie between nothing and 20 m");
        const Size before = p.size;
        const bool round = p.kind->footprint.form == FootprintForm::oval &&
                           abs(p.kind->size.width - p.kind->size.depth) <= quiet;
        if (sizes.size() == 1) {
            p.size.width = sizes[0];
            if (round)
                p.size.depth = sizes[0];
        } else if (sizes.size() >= 2) {
            p.size.width = sizes[0];
            // A round piece takes a diameter and a height when two figures can't be its plan.
            if (round && sizes.size() == 2 && abs(sizes[0] - sizes[1]) > quiet) {
                p.size.depth = sizes[0];
                p.size.height = sizes[1];
            } else {
                p.size.depth = sizes[1];
            }
        }
        if (sizes.size() == 3)
            p.size.height = sizes[2];
        // A table's top is its height; a seat keeps the height of its cushion.
        const auto follow = [&](std::optional<Length>& h) {
            if (h && (abs(*h - before.height) <= quiet || *h > p.size.height))
                h = p.size.height;
        };
        follow(p.heights.top);
        follow(p.heights.back);
        follow(p.heights.arm);
        if (p.footprint.form == FootprintForm::ell && p.size != before) {
            const auto share = [](Length part, Length whole, Length now) {
                return part * (now / whole);
            };
            if (p.footprint.bodyDepth >= p.size.depth)
                p.footprint.bodyDepth = share(p.footprint.bodyDepth, before.depth, p.size.depth);
            if (p.footprint.armWidth >= p.size.width)
                p.footprint.armWidth = share(p.footprint.armWidth, before.width, p.size.width);
        }
    }

    Edit size() {
        Piece p = placedPiece(subject());
        in.take({"to"});
        const std::size_t at = in.at();
        const auto sizes = in.sizes();
        if (sizes.empty() && in.done())
            in.failAhead("which size?", "say it like: size sofa 78 x 36");
        applySizes(p, sizes, at);
        return place(std::move(p), at, "size");
    }

    Edit rename() {
        Piece p = pieceOf(subject());
        in.take({"to", "as"});
        const std::size_t at = in.at();
        auto n = in.name();
        nothingMore();
        checkName(n, p.id, at);
        Edit e;
        e.words = fmt::format("call {} {}", p.name, n);
        p.name = std::move(n);
        e.acts.emplace_back(PutPiece{std::move(p)});
        return e;
    }

    void checkName(const std::string& n, int id, std::size_t at) {
        if (characterCount(n) > mostNameLength || plainWord(n).empty())
            in.fail(at, n.size(), "that is no name for a piece",
                    fmt::format("use 1 to {} characters", mostNameLength));
        if (const auto* other = in.scheme().byName(n); other != nullptr && other->id != id)
            in.fail(at, n.size(), fmt::format("there is a piece called {} already", other->name),
                    "choose another name");
    }

    Edit copy() {
        const int id = subject();
        Piece p = placedPiece(id);
        const auto source = p.name;
        p.id = 0;
        p.locked = false;
        p.ties.clear();
        p.name.clear();
        if (in.take({"as", "called", "named"})) {
            const std::size_t at = in.at();
            p.name = in.name();
            checkName(p.name, 0, at);
        }
        if (p.name.empty())
            p.name = in.scheme().freeName(source);
        p.pose.at = freePlace(p, p.pose.at);
        auto e = place(std::move(p), in.at());
        e.words = "copy " + source;
        return e;
    }

    Edit lock(bool on) {
        Piece p = placedPiece(subject());
        nothingMore();
        p.locked = on;
        Edit e;
        e.words = (on ? "lock " : "unlock ") + p.name;
        e.acts.emplace_back(PutPiece{std::move(p)});
        return e;
    }

    Edit free() {
        Piece p = placedPiece(subject());
        Edit e;
        e.words = "free " + p.name;
        if (in.take({"from", "of"})) {
            const std::size_t at = in.at();
            const auto t = in.target();
            const auto count = std::erase_if(p.ties, [&](const Tie& tie) {
                return tie.of == t || tie.also == t ||
                       (t.is == Target::Is::piece && tie.refersTo(t.piece)) ||
                       (t.is == Target::Is::corner && tie.of.is == t.is && tie.of.index == t.index);
            });
            if (count == 0)
                in.fail(at, in.at() - at,
                        fmt::format("{} is not tied to {}", p.name, words(t, job_.wording())),
                        "see its ties on the tape");
            e.words += " from " + words(t, job_.wording());
        } else {
            p.ties.clear();
        }
        nothingMore();
        e.acts.emplace_back(PutPiece{std::move(p)});
        return e;
    }

    Edit scheme() {
        Edit e;
        if (in.take({"new", "empty", "copy"})) {
            AddScheme a;
            a.copy = true;
            if (in.take({"empty"}))
                a.copy = false;
            in.take({"called", "named", "as"});
            if (!in.done())
                a.name = in.name();
            nothingMore();
            e.words = "new scheme";
            e.acts.emplace_back(a);
            return e;
        }
        if (in.take({"rename", "called", "name"})) {
            in.take({"to", "as"});
            RenameScheme r{in.name()};
            nothingMore();
            e.words = "call the scheme " + r.name;
            e.acts.emplace_back(r);
            return e;
        }
        if (in.take({"remove", "delete"})) {
            nothingMore();
            e.words = "throw away " + in.scheme().name;
            e.acts.emplace_back(RemoveScheme{});
            return e;
        }
        for (std::size_t i = 0; i < job_.schemes.size(); ++i) {
            const std::size_t at = in.at();
            if (in.take({foldCase(job_.schemes[i]->name)}) && in.done()) {
                e.words = "go to " + job_.schemes[i]->name;
                e.acts.emplace_back(SwitchScheme{i});
                return e;
            }
            in.goTo(at);
        }
        const std::size_t at = in.at();
        const double n = in.number("the scheme");
        if (n < 1 || n > static_cast<double>(job_.schemes.size()) || n != std::floor(n))
            in.fail(at, in.at() - at, fmt::format("there is no scheme {:g}", n),
                    fmt::format("there {} {}; “scheme new” adds one",
                                job_.schemes.size() == 1 ? "is" : "are", job_.schemes.size()));
        nothingMore();
        const auto index = static_cast<std::size_t>(n) - 1;
        e.words = "go to " + job_.schemes[index]->name;
        e.acts.emplace_back(SwitchScheme{index});
        return e;
    }

    const School& schoolNamed(std::string_view said, std::size_t at) {
        const auto& book = *job_.library.book;
        for (const auto& s : book.schools)
            in.offer(s.id);
        if (const auto* s = book.schoolByWords(said))
            return *s;
        std::vector<std::string> names;
        for (const auto& s : book.schools)
            names.push_back(s.id);
        in.fail(at, std::max<std::size_t>(said.size(), 1),
                fmt::format("there is no school “{}”", said), "the schools are " + listed(names));
    }

    Edit school() {
        const std::size_t at = in.at();
        const auto& s = schoolNamed(trimmed(in.rest()), at);
        Edit e;
        e.words = "judge by " + s.title;
        e.acts.emplace_back(SetSchool{s.id, {}, false});
        in.goTo(at + in.rest().size());
        return e;
    }

    const Rule& ruleNamed() {
        const std::size_t at = in.at();
        for (const auto& r : job_.library.book->rules)
            in.offer(r.id);
        const auto w = in.word();
        const auto* r = job_.library.book->byId(w);
        if (r == nullptr) {
            in.goTo(at);
            in.failAhead(fmt::format("there is no rule “{}”", w));
        }
        return *r;
    }

    Edit rule() {
        const auto& r = ruleNamed();
        const std::size_t at = in.at();
        Edit e;
        if (in.take({"as the job", "as school", "restore"})) {
            nothingMore();
            e.words = "judge " + r.id + " as the job";
            e.acts.emplace_back(SetSchool{{}, r.id, true});
            return e;
        }
        const auto& s = schoolNamed(trimmed(in.rest()), at);
        e.words = fmt::format("judge {} by {}", r.id, s.title);
        e.acts.emplace_back(SetSchool{s.id, r.id, false});
        in.goTo(at + in.rest().size());
        return e;
    }

    Edit band() {
        const auto& r = ruleNamed();
        const auto bound = [&]() -> double {
            if (r.quantity == Quantity::length)
                return in.length("the band").mm();
            const double v = in.number("the band");
            in.take({"%"});
            return r.quantity == Quantity::ratio && v > 5 ? v / 100 : v;
        };
        Band b;
        if (in.take({"at least", "from"})) {
            b.low = bound();
            if (in.take({"to"}))
                b.high = bound();
        } else if (in.take({"at most", "up to"})) {
            b.high = bound();
        } else {
            b.low = bound();
            if (!in.take({"to", "-"}))
                in.failAhead("a band has two ends",
                             "say it like: band seat-to-table 14 to 18, or “at least 14”");
            b.high = bound();
        }
        nothingMore();
        Edit e;
        e.words = "own band for " + r.id;
        e.acts.emplace_back(SetBand{r.id, b});
        return e;
    }

    Edit units() {
        const std::size_t at = in.at();
        Notation n = job_.notation;
        const auto w = in.word();
        for (const auto* u : {"feet", "inches", "mm", "cm", "m"})
            in.offer(u);
        const auto u = readUnits(w);
        if (!u)
            in.fail(at, std::max<std::size_t>(w.size(), 1),
                    fmt::format("“{}” is no unit I know", w), "use feet, inches, mm, cm or m");
        n.units = *u;
        in.take({"to"});
        if (!in.done()) {
            const std::size_t part = in.at();
            const auto f = in.word();
            n.denominator = f == "1/2"    ? 2
                            : f == "1/4"  ? 4
                            : f == "1/8"  ? 8
                            : f == "1/16" ? 16
                            : f == "1/32" ? 32
                                          : 0;
            if (n.denominator == 0)
                in.fail(part, f.size(), fmt::format("“{}” is no division of the tape", f),
                        "use 1/2, 1/4, 1/8, 1/16 or 1/32");
        }
        nothingMore();
        Edit e;
        e.words = fmt::format("units {}", unitsName(n.units));
        e.acts.emplace_back(SetNotation{n});
        return e;
    }

    Edit title(bool job) {
        Edit e;
        const auto said = std::string(trimmed(in.rest()));
        if (job && said.empty())
            in.failAhead("the job needs a title", "say it like: title Harbour flat");
        e.words = job ? "title " + said : "client " + said;
        e.acts.emplace_back(SetTitle{job ? said : job_.title, job ? job_.client : said});
        in.goTo(in.at() + in.rest().size());
        return e;
    }

    Edit move() {
        const int id = subject();
        in.take({"to"});
        if (in.done())
            in.failAhead(fmt::format("where does {} go?", pieceOf(id).name),
                         "say it like: against wall A, or: 6 left");
        return place(placedPiece(id), in.at());
    }

    /// Somewhere near `wanted` where nothing stands.
    Vec2 freePlace(const Piece& p, Vec2 wanted) const {
        const auto fits = [&](Vec2 at) {
            const Shape s = placed(p.shape(), {at, p.pose.turn});
            if (!scene_->room->holds(at))
                return false;
            for (const Wall& w : scene_->room->walls)
                if (gapBetween(s, stretch({w.start, w.end})).apart <= quiet)
                    return false;
            for (const auto& c : scene_->room->chimneys)
                if (gapBetween(s, solid(*scene_->room, c)).apart <= quiet)
                    return false;
            for (std::size_t i = 0; i < scene_->placed.size(); ++i)
                if ((p.kind->flat() == scene_->piece(i).kind->flat()) &&
                    gapBetween(s, scene_->placed[i].shape).apart <= quiet)
                    return false;
            return true;
        };
        if (fits(wanted))
            return wanted;
        for (double r = 152.4; r < 6000; r += 152.4) {
            const int around = static_cast<int>(r / 50);
            for (int k = 0; k < around; ++k) {
                const double a = 2 * std::numbers::pi * k / around;
                const Vec2 at = wanted + Vec2{std::cos(a), std::sin(a)} * r;
                if (fits(at))
                    return at;
            }
        }
        return wanted + Vec2{152.4, 152.4};
    }

    /// "sofa 84 x 36 x 34 against wall C": a new piece, or one that is there.
    Edit put(bool fresh) {
        in.article();
        const std::size_t start = in.at();
        if (in.done())
            in.failAhead("nothing is said yet", "name a piece, like: sofa 84 x 36 against wall A");
        Piece p;
        bool isNew = true;
        if (!fresh && selected_ != 0 && in.take({"it", "this"})) {
            p = placedPiece(selected_);
            isNew = false;
        } else if (!fresh && startsPiece(start)) {
            p = placedPiece(in.piece());
            isNew = false;
        } else if (auto kind = in.kind()) {
            p = mezzet::pieceOf(kind);
            p.pose.at = scene_->room->middle();
        } else if (!fresh && selected_ != 0 && (beginsPlacement(in.ahead()) || in.lengthAhead())) {
            p = placedPiece(selected_);
            isNew = false;
        } else if (!fresh) {
            const int id = in.piece();
            if (id == 0)
                in.failAhead(fmt::format("I don't know “{}”", firstWords()));
            p = placedPiece(id);
            isNew = false;
        } else {
            in.failAhead(fmt::format("the kit has no “{}”", firstWords()));
        }
        const std::size_t at = in.at();
        bool called = callIt(p, isNew);
        applySizes(p, in.sizes(), at);
        called = callIt(p, isNew) || called;
        if (isNew && !called)
            p.name = in.scheme().freeName(p.kind->name);
        auto e = place(std::move(p), start, isNew ? "add" : "");
        return e;
    }

    /// The words from here up to something known, for a message.
    std::string firstWords() {
        auto r = in.rest();
        return std::string(
            trimmed(r.substr(0, std::min(r.find(','), r.find_first_of("0123456789")))));
    }

    /// True when an existing piece's whole name stands here, and not as the beginning of the name
    /// of a kind that says more ("table lamp" when there is a piece called Table).
    bool startsPiece(std::size_t start) {
        in.goTo(start);
        std::size_t asKind = start;
        if (in.kind())
            asKind = in.at();
        in.goTo(start);
        std::size_t asPiece = start;
        try {
            const int id = in.piece();
            if (id != 0)
                asPiece = in.at();
            const auto said = id == 0 ? std::string() : plainWord(in.scheme().byId(id)->name);
            const bool exact = id != 0 && plainWord(textBetween(start, asPiece)) == said;
            in.goTo(start);
            if (asKind > start && !exact)
                return false; // a kind's name by itself adds one
        } catch (const LineFault&) {
            in.goTo(start);
            if (asKind == start)
                throw;
            return false;
        }
        // "sofa called second sofa" adds one all the same.
        if (asPiece > start && asPiece >= asKind) {
            in.goTo(asPiece);
            in.sizes();
            const bool another = asKind > start && in.take({"called", "named"});
            in.goTo(start);
            return !another;
        }
        return false;
    }

    std::string textBetween(std::size_t from, std::size_t to) {
        const auto here = in.at();
        in.goTo(from);
        auto s = std::string(in.rest().substr(0, to - from));
        in.goTo(here);
        return s;
    }

    bool callIt(Piece& p, bool isNew) {
        const std::size_t before = in.at();
        in.comma();
        if (!in.take({"called", "named"})) {
            in.goTo(before);
            return false;
        }
        const std::size_t at = in.at();
        p.name = in.name();
        checkName(p.name, isNew ? 0 : p.id, at);
        return true;
    }

    /// The rest of the line: where the piece goes.
    Edit place(Piece p, std::size_t start, const char* verb = "") {
        auto said = readPlacement(in, p, *scene_);
        if (!said.name.empty()) {
            checkName(said.name, p.id, said.nameAt);
            p.name = said.name;
        }
        if (said.heights.seat)
            p.heights.seat = said.heights.seat;
        if (said.heights.arm)
            p.heights.arm = said.heights.arm;
        if (said.heights.top) {
            p.heights.top = said.heights.top;
            p.size.height = std::max(p.size.height, *said.heights.top);
        }
        if (said.step) {
            if (!said.ties.empty())
                in.fail(start, in.at() - start, "this says both where it goes and how far it moves",
                        "say one of them");
            const auto moved = drag(job_, *scene_, {p.id}, *said.step, DragTies::revalue);
            Edit e = moved.edit;
            if (e.acts.empty())
                in.fail(start, in.at() - start, fmt::format("{} is locked", p.name),
                        "unlock it first");
            return e;
        }
        const bool isNew = p.id == 0;
        if (isNew)
            imply(p, said.ties);
        Edit e = retie(p, said.ties, start);
        if (isNew) {
            auto& added = std::get<PutPiece>(e.acts.front()).piece;
            e.words = fmt::format("add {}", added.name);
        } else if (std::string_view(verb) == "size") {
            e.words = "size " + p.name;
        }
        return e;
    }

    Edit retie(Piece p, const std::vector<Tie>& ties, std::size_t start) {
        if (p.locked && !ties.empty())
            in.fail(start, in.at() - start, fmt::format("{} is locked", p.name), "unlock it first");
        auto r = retied(job_, p, ties);
        if (!r) {
            Problem problem = r.problem();
            problem.column = static_cast<int>(start) + 1;
            throw LineFault{problem};
        }
        // A turn that is said of a piece nothing holds is kept as its own turn too.
        Edit e;
        e.words = "move " + p.name;
        for (const auto& w : r->letGo)
            e.notices.push_back(fmt::format("lets go of “{}”", w));
        e.acts.emplace_back(PutPiece{std::move(r->piece)});
        return e;
    }

    /// What goes without saying for a new piece: it stands square to what it is placed by, a seat
    /// looks at the table or seat it stands before, and what is not said begins in the middle.
    void imply(Piece& p, std::vector<Tie>& ties) {
        const Tie* by = nullptr;
        for (const auto& t : ties) {
            if (t.fixesTurn())
                by = nullptr;
            if (t.fixesTurn())
                return start(p, ties);
        }
        for (const auto& t : ties) {
            if (t.kind == Tie::Kind::fromPiece || t.kind == Tie::Kind::under ||
                (t.kind == Tie::Kind::centredOn && t.of.is == Target::Is::piece)) {
                by = &t;
                break;
            }
        }
        Tie turn;
        if (by != nullptr) {
            const int id = by->kind == Tie::Kind::under ? by->group.front() : by->of.piece;
            const Piece& other = pieceOf(id);
            turn.of.is = Target::Is::piece;
            turn.of.piece = id;
            const bool toTable =
                other.kind->family == Family::table && by->kind == Tie::Kind::fromPiece;
            const bool acrossSeats =
                other.kind->isSeat() && by->kind == Tie::Kind::fromPiece && by->side == Side::front;
            turn.kind = p.kind->isSeat() && p.kind->role != Role::perch && (toTable || acrossSeats)
                            ? Tie::Kind::facing
                            : Tie::Kind::inLineWith;
            ties.push_back(turn);
        } else {
            for (const auto& t : ties) {
                const bool wall = t.kind == Tie::Kind::fromWall && t.to == MeasuredTo::edge &&
                                  t.of.is == Target::Is::wall;
                if (wall && p.kind->footprint.form != FootprintForm::oval) {
                    turn.kind = Tie::Kind::squareTo;
                    turn.of = t.of;
                    ties.push_back(turn);
                    break;
                }
            }
        }
        start(p, ties);
    }

    /// Where a new piece begins along what no tie fixes: by the middle of the first thing named, or
    /// wherever there is room.
    void start(Piece& p, const std::vector<Tie>& ties) {
        for (const auto& t : ties) {
            if (t.kind == Tie::Kind::at)
                return;
            if (t.of.is == Target::Is::none)
                continue;
            if (t.kind == Tie::Kind::fromPiece)
                p.pose.at = frontMiddle(pieceOf(t.of.piece), scene_->byId(t.of.piece)->pose);
            else
                p.pose.at = middleOf(t.of, *scene_);
            if (t.fixesPlace())
                return;
        }
        if (ties.empty())
            p.pose.at = freePlace(p, scene_->room->middle());
    }

    const Project& job_;
    ScenePtr scene_;
    int selected_;
};

/// What Enter will do, told from the job before and after.
std::string previewOf(const Project& before, const Scene& was, const Edit& edit,
                      const Applied& after) {
    std::string out;
    const auto say = [&](const std::string& s) { out += (out.empty() ? "" : "; ") + s; };
    for (const Act& act : edit.acts) {
        if (const auto* put = std::get_if<PutPiece>(&act)) {
            const Piece* old = put->piece.id == 0 ? nullptr : before.scheme().byId(put->piece.id);
            const Piece& now = old != nullptr ? *after.project->scheme().byId(old->id)
                                              : after.project->scheme().pieces.back();
            const Wording wording = after.project->wording();
            std::vector<std::string> ties;
            for (const auto& t : now.ties)
                ties.push_back(words(t, wording));
            if (old == nullptr) {
                const auto where = listed(ties, "");
                say(fmt::format("adds {} {}{}", now.name, words(now.size, before.notation),
                                where.empty() ? ", free" : ", " + where));
                if (!now.kind->caution.empty())
                    say(now.kind->caution);
                continue;
            }
            const Placed& a = *was.byId(old->id);
            const Placed& b = *after.scene->byId(old->id);
            const auto step = stepWords(before, b.pose.at - a.pose.at);
            const double turn = difference(b.pose.turn, a.pose.turn).inDegrees();
            bool told = false;
            const auto tell = [&](const std::string& s) {
                say(s);
                told = true;
            };
            if (now.name != old->name)
                tell(fmt::format("calls {} {}", old->name, now.name));
            if (now.size != old->size)
                tell(fmt::format("makes {} {}", now.name, words(now.size, before.notation)));
            if (now.locked != old->locked)
                tell(fmt::format("{} {}", now.locked ? "locks" : "unlocks", now.name));
            if (!step.empty())
                tell(fmt::format("moves {} {}", now.name, step));
            if (std::abs(turn) > 0.05)
                tell(fmt::format("turns {} {:.4g}°", now.name, turn));
            if (!told)
                say(now.ties == old->ties && now.heights == old->heights
                        ? fmt::format("changes nothing: {} is there already", now.name)
                        : fmt::format("leaves {} where it is and keeps it so", now.name));
        } else {
            say(edit.words);
            break;
        }
    }
    for (const auto& n : after.notices)
        say(n);
    return capital(out);
}

} // namespace

Result<Said> readLine(std::string_view text, const Project& job, int selected) {
    if (text.size() > 2000)
        return Problem{"the line is too long", "say it in several"};
    if (!isText(text))
        return Problem{"the line is not text", "type it again"};
    auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    try {
        LineReader reader(text, job, *scene, selected);
        Said said;
        said.edit = reader.read();
        if (!reader.in.done())
            reader.in.failAhead(fmt::format("“{}” is left over", reader.in.rest()),
                                "take it out, or put a comma before it");
        auto after = apply(job, said.edit);
        if (!after) {
            Problem p = after.problem();
            if (p.column == 0)
                p.column = 1;
            return p;
        }
        said.preview = previewOf(job, **scene, said.edit, *after);
        return said;
    } catch (const LineFault& f) {
        return f.problem;
    }
}

std::vector<Completion> completions(std::string_view text, const Project& job, int selected) {
    std::vector<Completion> out;
    auto scene = sceneOf(job);
    if (!scene || !isText(text))
        return out;
    LineReader reader(text, job, *scene, selected);
    try {
        reader.read();
    } catch (const LineFault&) {
        // What was tried before the fault is just what we are after.
    }
    // Every place a candidate was tried from which the rest of the line begins it.
    for (std::size_t at = 0; at <= text.size(); ++at) {
        const auto part = foldCase(text.substr(at));
        for (const auto& w : reader.in.offered(at)) {
            if (w.size() <= part.size() || !foldCase(w).starts_with(part))
                continue;
            if (part.empty() && at > 0 && text[at - 1] != ' ' && text[at - 1] != ',')
                continue;
            auto whole = std::string(text.substr(0, at)) + w;
            if (std::none_of(out.begin(), out.end(),
                             [&](const Completion& c) { return c.text == whole; }))
                out.push_back({std::move(whole), w});
        }
    }
    return out;
}

Result<Applied> runScript(std::string_view script, std::string_view file, const Project& job) {
    Applied now{std::make_shared<const Project>(job), {}, {}};
    int number = 0;
    while (!script.empty()) {
        const auto end = script.find('\n');
        auto line = script.substr(0, end);
        script = end == std::string_view::npos ? std::string_view() : script.substr(end + 1);
        ++number;
        if (line.ends_with('\r'))
            line.remove_suffix(1);
        if (trimmed(line).empty() || trimmed(line).front() == '#')
            continue;
        const auto refuse = [&](Problem p) {
            p.file = file;
            p.line = number;
            p.column = std::max(p.column, 1);
            return p;
        };
        auto said = readLine(line, *now.project);
        if (!said)
            return refuse(said.problem());
        auto next = apply(*now.project, said->edit);
        if (!next)
            return refuse(next.problem());
        for (auto& n : next->notices)
            now.notices.push_back(std::move(n));
        now.project = next->project;
        now.scene = next->scene;
    }
    if (!now.scene) {
        auto scene = sceneOf(*now.project);
        if (!scene)
            return scene.problem();
        now.scene = *scene;
    }
    return now;
}

} // namespace mezzet
