// What a line refers to: a wall, a corner, what is built into a wall, a piece, or the room.
#include "edit/beside_wall.h"
#include "edit/subjects.h"
#include "edit/words_reader.h"

#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"

#include <algorithm>
#include <charconv>
#include <map>
#include <tuple>

namespace mezzet {

void WordsReader::offer(std::string_view w) {
    skip();
    auto& list = offers_[at_];
    if (std::find(list.begin(), list.end(), w) == list.end())
        list.emplace_back(w);
}

void WordsReader::offerPieces() {
    skip();
    if (!piecesOffered_.insert(at_).second)
        return;
    // No two have one name, so each is held against the other words alone.
    auto& list = offers_[at_];
    const auto others = static_cast<std::ptrdiff_t>(list.size());
    list.reserve(list.size() + scheme().pieces.size());
    for (const Piece& p : scheme().pieces)
        if (std::find(list.begin(), list.begin() + others, p.name) == list.begin() + others)
            list.push_back(p.name);
}

std::vector<std::string> WordsReader::offered(std::size_t at) const {
    const auto it = offers_.find(at);
    auto out = it == offers_.end() ? std::vector<std::string>() : it->second;
    // Kinds are many, and put in words only where they are asked for. They differ, so each is held
    // against the others alone.
    const auto others = static_cast<std::ptrdiff_t>(out.size());
    if (kindsOffered_.count(at) > 0)
        for (const auto& k : job_.library.kit->kinds())
            if (auto name = foldCase(k->name);
                std::find(out.begin(), out.begin() + others, name) == out.begin() + others)
                out.push_back(std::move(name));
    return out;
}

const std::vector<WordsReader::PlainNames>& WordsReader::plainNames() {
    if (plainNames_.size() != scheme().pieces.size()) {
        plainNames_.clear();
        for (const Piece& p : scheme().pieces)
            plainNames_.push_back({plainWord(p.name), plainWord(p.kind->name)});
    }
    return plainNames_;
}

int WordsReader::orderSaid() {
    if (take({"last"}))
        return -1;
    int n = 0;
    for (const auto& words :
         {std::pair{"first", "1st"}, std::pair{"second", "2nd"}, std::pair{"third", "3rd"},
          std::pair{"fourth", "4th"}, std::pair{"fifth", "5th"}, std::pair{"sixth", "6th"}}) {
        ++n;
        if (take({words.first, words.second}))
            return n;
    }
    return 0;
}

Target WordsReader::corner() {
    Target t;
    t.is = Target::Is::corner;
    take({"between the", "between", "of"});
    take({"walls", "wall"});
    const std::size_t start = at();
    const auto first = word();
    std::string a = first;
    std::string b;
    const int walls = static_cast<int>(job_.room->walls.size());
    if (first.size() == 2) {
        a = first.substr(0, 1);
        b = first.substr(1);
    } else {
        take({"and wall", "and"});
        b = word();
    }
    const auto i = wallIndex(a);
    const auto k = wallIndex(b);
    // "30 from the corner" is along its wall; what is between things may be at either end.
    const auto before = foldCase(trimmed(text_.substr(0, start)));
    const bool measured = before.ends_with("from the corner") ||
                          before.ends_with("from its corner") || before.ends_with("from corner");
    if (!i && ownCorner_ && measured) {
        at_ = start;
        return *ownCorner_;
    }
    // "beside the corner sofa", of which there is none
    if (const auto noun = foldCase(text_.substr(0, start)).rfind("corner");
        !i && noun != std::string::npos)
        noneYet(noun);
    if (!i || !k || *i >= walls || *k >= walls)
        fail(start, std::max<std::size_t>(at_ - start, 1), "a corner is named by its two walls",
             "say it like: corner AB");
    if ((*i + 1) % walls == *k)
        t.index = *k;
    else if ((*k + 1) % walls == *i) {
        t.index = *i;
        t.alongNext = true;
    } else {
        fail(start, at_ - start, worded("walls {} and {} don't meet", wallName(*i), wallName(*k)),
             "name two walls that share a corner");
    }
    return t;
}

Target WordsReader::wall(std::size_t start) {
    const Room& room = *job_.room;
    const int walls = static_cast<int>(room.walls.size());
    const std::string has = walls > 0 ? worded("the room has walls A to {}", wallName(walls - 1))
                                      : "the room has no walls yet";
    if (const auto i = wallIndex(ahead()); i && *i < walls) {
        word();
        return wallTarget(*i);
    }
    // "the wall behind the bed"
    if (const std::size_t here = this->at(); take({"behind", "at the back of"})) {
        article();
        const std::size_t thing = this->at();
        const int id = piece();
        const auto scene = id != 0 ? sceneOf(job_) : Result<ScenePtr>(Problem{});
        const auto behind = scene ? wallBehind(**scene, id) : std::nullopt;
        if (behind)
            return wallTarget(*behind);
        if (id != 0)
            fail(thing, at_ - thing, worded("{} stands at no wall", scheme().byId(id)->name), has);
        noneYet();
        goTo(here);
    }
    // "the wall with the window", "the wall opposite the window"
    const bool facing = take({"opposite", "across from", "facing"});
    if (facing || take({"with", "that has", "of"})) {
        const std::size_t at = this->at();
        article();
        // "the windows", of those in one wall
        auto index =
            take({"windows"}) ? onlyWallOf(OpeningKind::window, room) : std::optional<int>();
        if (!index) {
            const Target t = target();
            const auto scene =
                t.is == Target::Is::piece ? sceneOf(job_) : Result<ScenePtr>(Problem{});
            index = scene ? wallBehind(**scene, t.piece) : wallIn(t, room);
        }
        if (!index)
            fail(at, at_ - at, "that is in no wall", has);
        if (!facing)
            return wallTarget(*index);
        const auto across = wallAcross(room, *index);
        if (!across)
            fail(start, at_ - start, "no wall is straight across from that", has);
        return wallTarget(*across);
    }
    const std::size_t letter = at();
    const auto ahead = this->ahead();
    // "the wall": the one behind what is spoken of.
    const bool named = ahead.size() == 1 && ahead[0] >= 'a' && ahead[0] <= 'z';
    if (ownWall_ && !named)
        return wallTarget(*ownWall_);
    fail(named ? letter : start, std::max<std::size_t>(named ? ahead.size() : at_ - start, 1),
         named ? worded("there is no wall {}", ahead) : std::string("which wall?"), has);
}

void WordsReader::ownTies(const std::vector<Tie>& ties) {
    ownOpenings_.clear();
    for (const Tie& t : ties)
        for (const Target& of : {t.of, t.also})
            if (of.is == Target::Is::window || of.is == Target::Is::door)
                ownOpenings_.push_back(of);
}

std::string WordsReader::nameBeforeIs(std::string what, std::string remedy) {
    const auto rest = foldCase(this->rest());
    auto stop = rest.find(" is ");
    std::size_t skip = 4;
    if (const auto colon = rest.find(':'); colon < stop) {
        stop = colon;
        skip = 1;
    }
    if (stop == std::string::npos || stop == 0)
        failAhead(std::move(what), std::move(remedy));
    std::string name(trimmed(this->rest().substr(0, stop)));
    goTo(at() + stop + skip);
    return name;
}

void WordsReader::isOne(const Match& m, std::size_t start) const {
    const Piece& one = *scheme().byId(m.ids.front());
    auto said = foldCase(text_.substr(start, m.end - start));
    for (const std::string_view own : {"'s", "’s"}) // "mill's bottom" is one's
        if (said.ends_with(own))
            said.resize(said.size() - own.size());
    const auto alike = std::count_if(scheme().pieces.begin(), scheme().pieces.end(),
                                     [&](const Piece& p) { return p.kind == one.kind; });
    if (alike > 1 && said.ends_with('s') && !foldCase(one.name).ends_with('s'))
        fail(start, m.end - start, worded("there are {} of {}", alike, foldCase(one.kind->name)),
             worded("say which, like {}, or “each”", one.name));
}

Target WordsReader::target(bool pieces) {
    // "the sill on A": the last word is no article.
    if (foldCase(trimmed(rest())) == "a" && !job_.room->walls.empty()) {
        word();
        return wallTarget(0);
    }
    article();
    skip();
    const std::size_t start = at_;
    const Room& room = *job_.room;
    const int walls = static_cast<int>(room.walls.size());
    Target t;
    if (pieces && !them_.empty() && take({"it", "this", "that", "them", "both"})) {
        if (const int group = theirGroup(); group != 0)
            return pieceTarget(group);
        if (const int one = foldCase(since(start)) == "it" ? whatTheyAreAt() : 0; one != 0)
            return pieceTarget(one);
        if (const int carrier = whatCarriesThem(foldCase(trimmed(text_.substr(0, start)))))
            return pieceTarget(carrier);
        if (them_.size() > 1)
            fail(start, at_ - start, "that is several things", "name one of them");
        return pieceTarget(them_.front());
    }
    // A piece's name comes first: it may begin with any word.
    if (pieces) {
        if (auto m = longestName(); m.end > 0) {
            offerPieces();
            isOne(m, start);
            at_ = m.end;
            take({"'s edge", "edge"});
            return pieceTarget(m.ids.front());
        }
    }
    for (const auto& w : room.walls)
        offer("wall " + w.name);
    for (const auto& o : room.openings)
        offer(o.name());
    if (take({"wall", "walls"}))
        return wall(start);
    // "the window wall"
    for (const auto& [word, kind, is] :
         {std::tuple{"window wall", OpeningKind::window, Target::Is::window},
          std::tuple{"door wall", OpeningKind::door, Target::Is::door}})
        if (take({word})) {
            if (const auto all = onlyWallOf(kind, room))
                return wallTarget(*all);
            at_ = start;
            take({"window", "door"});
            const auto index = wallIn(
                numbered(kind, is, kind == OpeningKind::window ? "window" : "door", start), room);
            take({"wall"});
            return wallTarget(index.value_or(0));
        }
    // "against the opposite wall"
    if (ownWall_ && take({"opposite wall", "facing wall", "wall opposite", "wall across"}))
        if (const auto across = wallAcross(room, *ownWall_))
            return wallTarget(*across);
    at_ = start;
    if (take({"chimney wall", "fireplace wall", "fire wall"}))
        for (const Fixture& f : room.fixtures)
            if (f.kind == FixtureKind::chimney || f.kind == FixtureKind::fireplace)
                return wallTarget(f.wall);
    at_ = start;
    // "under the slope", of a ceiling that comes down at one wall.
    if (const auto low = wallUnderSlope(room);
        low && take({"knee wall", "kneewall", "sloping wall", "slope wall", "sloped wall",
                     "low wall", "sloping ceiling", "sloped ceiling", "slope", "eaves"}))
        return wallTarget(*low);
    if (const auto where = openingByWhere(start)) {
        if (const auto wall = wallIn(*where, room); wall && take({"wall"}))
            return wallTarget(*wall);
        return *where;
    }
    if (const auto style = doorByStyle(start))
        return *style;
    if (const auto which = whichOpening(start))
        return *which;
    if (const auto sort = take({"long", "longest", "longer"})      ? 1
                          : take({"short", "shortest", "shorter"}) ? -1
                                                                   : 0;
        sort != 0) {
        if (take({"wall"})) {
            std::vector<std::string> same;
            int found = 0;
            for (int i = 0; i < walls; ++i) {
                const auto length = [&](int k) {
                    return sort * room.walls[static_cast<std::size_t>(k)].length().mm();
                };
                constexpr double alike = 1; // mm
                if (!same.empty() && length(i) < length(found) - alike)
                    continue;
                if (same.empty() || length(i) > length(found) + alike)
                    same.clear();
                same.push_back(worded("wall {}", wallName(i)));
                found = i;
            }
            if (same.size() > 1)
                fail(start, at_ - start, worded("that could be {}", listed(same, "or")),
                     "say which");
            if (!same.empty())
                return wallTarget(found);
        }
        at_ = start;
    }
    if (take({"corner"}))
        return corner();
    for (const auto& [word, is] :
         {std::pair{"windows", OpeningKind::window}, std::pair{"doors", OpeningKind::door}})
        if (take({word}))
            whichWallOf(is, start);
    if (take({"window"}))
        return numbered(OpeningKind::window, Target::Is::window, "window", start);
    if (take({"door", "doorway"}))
        return numbered(OpeningKind::door, Target::Is::door, "door", start);
    if (take({"opening", "archway"}))
        return numbered(OpeningKind::opening, Target::Is::opening, "opening", start);
    const auto has = [&](FixtureKind kind) {
        return std::any_of(room.fixtures.begin(), room.fixtures.end(),
                           [&](const Fixture& f) { return f.kind == kind; });
    };
    const bool fireplaces = has(FixtureKind::fireplace);
    const bool chimneys = has(FixtureKind::chimney);
    for (const Fixture& f : room.fixtures) {
        // "chimney" as well as "chimney breast"; the first of a kind takes a number or none.
        const std::string full = fixtureName(f.kind);
        const bool hearth = f.kind == FixtureKind::chimney || f.kind == FixtureKind::fireplace;
        if (f.number != 1 ||
            !(take({full}) || (f.kind == FixtureKind::chimney && take({"chimney"})) ||
              (f.kind == FixtureKind::builtIn &&
               take({"counter", "counters", "countertop", "worktop", "worktops", "kitchen counter",
                     "built-ins", "built in", "fitted cupboard", "fitted cupboards", "cabinets",
                     "base units", "kitchen units"})) ||
              (hearth && (take({"mantelpiece", "mantelshelf", "mantel", "mantle", "fire"}) ||
                          (!fireplaces && take({"fireplace"})) ||
                          (!chimneys && take({"chimney breast", "chimney"}))))))
            continue;
        t = targetOf(f);
        const auto w = ahead();
        Target other = t;
        const auto [end, error] = std::from_chars(w.data(), w.data() + w.size(), other.index);
        if (error == std::errc() && end == w.data() + w.size() &&
            fixtureOf(room, other) != nullptr) {
            word();
            t = other;
        }
        return t;
    }
    if (take({"room", "middle of the room"}))
        return roomTarget();
    using Is = Target::Is;
    for (const auto& [word, is] : {std::pair<std::string_view, Is>{"ceiling", Is::ceiling},
                                   {"skirting", Is::skirting},
                                   {"chair rail", Is::chairRail},
                                   {"picture rail", Is::pictureRail}}) {
        const bool there = is == Is::ceiling || (is == Is::skirting && room.mouldings.skirting) ||
                           (is == Is::chairRail && room.mouldings.chairRail) ||
                           (is == Is::pictureRail && room.mouldings.pictureRail);
        if (there && take({word})) {
            t.is = is;
            return t;
        }
    }
    if (pieces) {
        if (const int id = piece()) {
            take({"edge"});
            return pieceTarget(id);
        }
    }
    // A wall by its letter alone, where nothing else can be meant.
    if (const auto w = ahead(); w.size() == 1) {
        const auto i = wallIndex(w);
        word();
        if (i && *i < walls && (done() || this->ahead().empty() || this->ahead() == "and"))
            return wallTarget(*i);
        at_ = start;
    }
    if (done())
        failAhead("what it refers to is missing here", "name a wall, an opening or a piece");
    // "from the kitchen to the garden": by the only opening that leads there.
    if (const auto opening = openingTo())
        return *opening;
    if (pieces)
        noneYet();
    for (const FixtureKind kind :
         {FixtureKind::chimney, FixtureKind::fireplace, FixtureKind::radiator, FixtureKind::stairs,
          FixtureKind::column, FixtureKind::outlet, FixtureKind::lightSwitch, FixtureKind::vent})
        if (const std::size_t end = endOf(fixtureName(kind)); end > 0 && !has(kind))
            fail(start, end - start, worded("no {} is measured in this room", fixtureName(kind)),
                 "write it in the tape notes, like: radiator 40 from left, 36 wide, 24 high");
    unknownAhead(worded("I don't know “{}”", ahead()));
}

} // namespace mezzet
