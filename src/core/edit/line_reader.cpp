// A piece and where it goes, said without a verb or with one that only puts it there.
#include "edit/line_reader.h"

#include "edit/arrange.h"
#include "edit/beside_wall.h"
#include "edit/drag.h"
#include "edit/gallery.h"
#include "edit/handover_said.h"
#include "edit/landing.h"
#include "edit/language.h"
#include "edit/light_ring.h"
#include "edit/new_piece.h"
#include "edit/phrase.h"
#include "edit/place.h"
#include "edit/several.h"
#include "edit/sizes_said.h"
#include "edit/things_said.h"
#include "geometry/gap.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"

#include <algorithm>
#include <regex>
#include <set>

namespace mezzet {

LineReader::LineReader(std::string_view text, const Project& job, ScenePtr scene,
                       std::vector<int> them, SurfaceId surface)
    : in(text, job, std::move(them)), job_(job), scene_(std::move(scene)),
      selected_(in.them().size() == 1 ? in.them().front() : 0), surface_(surface) {}

Piece LineReader::placedPiece(int id) const {
    return asItStands(job_, *scene_, id);
}

Edit LineReader::done(Result<Edit> e, std::size_t at) {
    if (!e)
        in.refuse(e.problem(), at);
    return *e;
}

/// Takes how one begins to ask for something: "can you", "I'd like". True when there was any.
bool LineReader::opening() {
    return in.take({"please",     "can you", "could you", "would you", "can we",    "could we",
                    "let's",      "lets",    "let us",    "i want",    "i'd like",  "i would like",
                    "i need",     "we need", "we want",   "we'd like", "give me",   "how about",
                    "what about", "try",     "now",       "then",      "ok",        "okay",
                    "just",       "also",    "there is",  "there's",   "there are", "to have",
                    "to"});
}

Edit LineReader::read() {
    for (std::size_t at = in.at(); !in.nameAhead() && opening(); at = in.at())
        if (in.done()) {
            in.goTo(at);
            break;
        }
    in.comma();
    // "switch Supper by door 1" is said of a light zone, "switch sofa and chair" of two pieces.
    if (in.endOf("switch") > 0 || in.endOf("dim") > 0)
        for (const LightZone& z : in.scheme().light.zones)
            if (in.endOf("switch " + foldCase(z.name)) > 0 ||
                in.endOf("dim " + foldCase(z.name)) > 0)
                return *readLighting(in);
    // "bring out rug" is another verb than "bring rug closer".
    if (in.endOf("bring out") == 0 && in.endOf("bring back") == 0)
        if (auto e = readVerb(*this, in, verbs()))
            return *e;
    if (auto grouping = readGrouping(in, *scene_, selected_))
        return *grouping;
    if (auto arranging = readArranging(in, *scene_, selected_))
        return *arranging;
    if (auto ring = readLightRing(in, *scene_))
        return *ring;
    if (auto setting = readSetting(in))
        return *setting;
    if (auto light = readLighting(in))
        return *light;
    if (auto dressing = readDressing(in))
        return *dressing;
    if (auto handing = readHandingOver(in))
        return *handing;
    const std::size_t here = in.at();
    try {
        if (auto things = readThings(in, *scene_))
            return *things;
    } catch (const LineFault&) {
        // "two vases on the nightstands": one on each.
        in.goTo(here);
        try {
            const auto each = readSeveral(in, *scene_, surface_);
            std::set<int> tops;
            for (const Act& a : each ? each->acts : std::vector<Act>())
                if (const auto* put = std::get_if<PutPiece>(&a))
                    tops.insert(put->piece.on.isCarried() ? put->piece.on.piece : 0);
            // Cushions may lie over each other.
            const auto* any =
                each && !each->acts.empty() ? std::get_if<PutPiece>(&each->acts.front()) : nullptr;
            const bool soft = any != nullptr && any->piece.kind->isSoft();
            if ((tops.size() > 1 || soft) && tops.count(0) == 0)
                return *each;
            in.goTo(here);
        } catch (const LineFault&) {
            in.goTo(here);
        }
        throw;
    }
    bool fresh = in.take({"add", "another", "new"});
    // "drop the mirror 4" is said of how high it hangs.
    const bool dropped =
        in.endOf("drop a") > 0 || in.endOf("drop an") > 0 || in.endOf("drop in") > 0;
    if (fresh || (dropped && in.take({"drop"})) ||
        in.take({"put", "place", "hang", "stand", "lay", "set", "stick", "fit", "pop", "pin",
                 "mount", "slip", "tuck", "bring in"})) {
        in.take({"up", "in"});
        fresh = in.take({"another", "new"}) || fresh;
    }
    return put(fresh);
}

Edit LineReader::put(bool fresh) {
    if (auto gallery = readGallery(in, *scene_, surface_))
        return *gallery;
    // "nine prints" may be what something is called.
    const std::size_t counted = in.at();
    int count = 0;
    const bool isName = in.nameAhead() && in.takeCount(count);
    in.goTo(counted);
    if (!isName)
        if (auto many = readSeveral(in, *scene_, surface_))
            return *many;
    // "an armchair" is a new one, "the armchair" the one that is there.
    bool known = false;
    bool indefinite = false; // "a chair" is another one, even where “chair” is the end of a name
    if (!in.nameAhead()) {
        fresh = fresh || oneOf();
        known = !fresh && in.endOf("the") > 0;
        indefinite = !fresh && (in.endOf("a") > 0 || in.endOf("an") > 0);
    }
    in.article();
    const std::size_t start = in.at();
    if (in.done())
        in.failAhead("nothing is said yet", "name a piece, like: sofa 84 x 36 against wall A");
    if (!fresh) {
        const bool them = in.endOf("them") > 0;
        std::vector<int> ids;
        try {
            ids = in.pieces();
        } catch (const LineFault&) {
            if (!indefinite)
                throw;
        }
        if (!ids.empty()) {
            in.moves(them);
            return placeEach(ids, in.at(),
                             ids.size() == 1 ? worded("move {}", in.scheme().byId(ids[0])->name)
                                             : worded("move {} pieces", ids.size()));
        }
        in.goTo(start);
    }
    Piece p;
    const bool sizeFirst = sizesBeforeKind(in);
    int there = 0;
    try {
        if (!fresh && !(sizeFirst && (indefinite || !isTheSizedOne())))
            there = spokenOf(sizeFirst ? in.at() : start);
    } catch (const LineFault&) {
        if (!indefinite) // "a chair" is none of several that are there
            throw;
        in.goTo(start);
    }
    if (there != 0 && !known && isOtherOfPair(there, start)) {
        in.goTo(start);
        there = 0;
    }
    // "the bed", of which there are two, is asked about.
    if (there == 0 && known && !sizeFirst)
        there = in.piece();
    std::string like; // what a new piece is called after
    if (there == 0) {
        KindPtr usual;
        if (auto kind = kindFor()) {
            if (kind->role == Role::group)
                in.fail(start, in.at() - start, "a group is made of pieces that hang",
                        "say it like: group harbour, mill and barn as a row");
            howMany(*kind, start);
            like = nameOfMore(start);
            p = mezzet::pieceOf(kind);
            p.pose.at = scene_->room->middle();
        } else if (usual = fresh ? usualKind() : nullptr; usual) {
            p = mezzet::pieceOf(usual);
            p.pose.at = scene_->room->middle();
        } else if (fresh) {
            whichKind();
            in.failAhead(worded("the kit has no “{}”", firstWords()));
        } else if (selected_ != 0 && (phraseAhead(in, false) || in.lengthAhead())) {
            if (in.lengthAhead()) {
                in.length("the size");
                if (in.endOf("between") > 0)
                    in.fail(start, in.at() - start, "so much between two things is left free",
                            "say it like: leave 18 between sofa and bookcase");
                in.goTo(start);
            }
            there = selected_;
            in.moves(); // a step of what is looked at needs no name
        } else {
            try {
                there = in.piece();
            } catch (const LineFault&) {
                in.goTo(start);
                usual = indefinite ? usualKind() : nullptr;
                if (indefinite && !usual)
                    whichKind(); // "a table" is none of several that are there
                if (!usual)
                    throw;
            }
            if (there == 0 && !usual)
                usual = usualKind();
            if (there == 0 && !usual) {
                whichKind();
                in.unknownAhead(worded("I don't know “{}”", firstWords()));
            }
            if (usual) {
                p = mezzet::pieceOf(usual);
                p.pose.at = scene_->room->middle();
            }
        }
    }
    if (there != 0 && indefinite && !pieceOf(there).isGroup()) {
        // One more of that kind, and as large.
        const Piece& one = pieceOf(there);
        p = mezzet::pieceOf(one.kind);
        giveSize(p, one.size);
        p.pose.at = scene_->room->middle();
        like = plainWord(in.since(start)) == plainWord(one.name) ? one.name : one.kind->name;
        there = 0;
    }
    const bool isNew = there == 0;
    if (!isNew)
        p = placedPiece(there);
    if (const std::size_t here = in.at(); sizeFirst) {
        in.goTo(start);
        // "a 60 high hook rail" is none: no figure is left out.
        if (!readSizes(in, p, isNew, notices))
            in.fail(start, std::max<std::size_t>(here - start, 1),
                    worded("no {} is so high", foldCase(p.kind->name)),
                    "say behind it how high it hangs, like: hooks on wall A, 66 high");
        in.goTo(here);
    }
    bool called = callIt(p, isNew);
    bool sized = readSizes(in, p, isNew, notices);
    if (const std::size_t here = in.at(); !sized) {
        // "the sofa is 80 wide", "console, 48 wide, 12 deep"
        const bool joined = in.take({"is", "to be", "should be", "of", "to"}) || in.comma();
        sized = joined && readSizes(in, p, isNew, notices);
        if (!sized)
            in.goTo(here);
    }
    if (isNew && p.kind->isSatInTo())
        sizeForPeople(in, p, notices);
    if (const auto said = trimmed(in.since(start)); !isNew && !called && !sized && in.done() &&
                                                    !said.empty() && said.front() >= '0' &&
                                                    said.front() <= '9')
        in.fail(start, in.at() - start, worded("{} is there already", p.name),
                worded("for another one say: a {}; of that one say what it is to be, like: make {} "
                       "wider",
                       said, p.name));
    if (!isNew && !called && !sized && in.done() && in.at() > start)
        in.fail(start, in.at() - start, worded("what about {}?", p.name),
                "say where it goes, like: against wall A, or what is done to it");
    called = callIt(p, isNew) || called;
    if (isNew && !called)
        p.name = in.scheme().freeName(like.empty() ? p.kind->name : like);
    return place(std::move(p), start);
}

/// "drum stool" is a stool of that name; empty for a kind said by its own words.
std::string LineReader::nameOfMore(std::size_t start) {
    const auto said = foldCase(trimmed(in.since(start)));
    const bool words = said.find_first_not_of("abcdefghijklmnopqrstuvwxyz -") == std::string::npos;
    const bool more = words && said.find(' ') != std::string::npos;
    return more && !job_.library.kit->byWord(said) ? capital(said) : std::string();
}

/// Faults for "lamps", of a thing that is called by one: how many is not said. With a size it is
/// one. "curtains" and what else is always said so is one.
void LineReader::howMany(const Kind& kind, std::size_t start) {
    const auto& kit = *job_.library.kit;
    const auto text = trimmed(in.since(start));
    const bool plural = text.size() > 3 && (text.ends_with('s') || text.ends_with('S')) &&
                        !text.ends_with("ss") && !kind.name.ends_with('s');
    if (!plural || kind.role == Role::curtain || kind.isSoft())
        return;
    // "30 above island" is no size.
    if (const std::size_t at = in.at(); in.lengthAhead()) {
        in.length("the size");
        const bool away = in.take({"above", "over", "below", "under", "from", "off", "in front of",
                                   "behind", "left", "right", "apart"});
        in.goTo(at);
        if (!away)
            return;
    }
    // By its singular it is called as well.
    const auto one = kit.byWord(text);
    const bool always = std::any_of(kind.also.begin(), kind.also.end(), [&](const std::string& a) {
        return foldCase(a) == foldCase(text);
    });
    // "lamps" on a table are of another kind than on the floor.
    if (one && (one->id == kind.id || one->role == kind.role) && !always)
        in.fail(start, in.at() - start, worded("how many {}?", text),
                worded("say it like: two {}", text));
}

/// "it", or a piece by its name; 0 when the line begins otherwise.
int LineReader::spokenOf(std::size_t start) {
    if (selected_ != 0 && in.take({"it", "this"})) {
        in.moves();
        return selected_;
    }
    return startsPiece(start) ? in.piece() : 0;
}

/// "nightstand right of bed" where one stands left of it: one goes on each side, so another is
/// meant. Not of one that has a name of its own.
bool LineReader::isOtherOfPair(int id, std::size_t start) {
    const Piece& p = pieceOf(id);
    const std::size_t at = in.at();
    in.goTo(start);
    const bool ofKind = in.kind() == p.kind;
    in.goTo(at);
    if (!ofKind || !plainWord(p.name).starts_with(plainWord(p.kind->name)))
        return false;
    in.comma();
    const auto sideAhead = [&](const char* side) {
        for (const char* before : {"to the ", "on the ", "at the ", ""})
            if (in.take(
                    {std::string(before) + side + " of", std::string(before) + side + " side of"}))
                return true;
        return false;
    };
    const bool left = sideAhead("left");
    bool other = false;
    if (left || sideAhead("right")) {
        try {
            const Target of = in.target();
            other = std::any_of(p.ties.begin(), p.ties.end(), [&](const Tie& t) {
                return t.kind == Tie::Kind::fromPiece && t.of == of &&
                       t.side == (left ? Side::right : Side::left);
            });
            // "armchair right of the fireplace", of one that is left of it.
            const auto wall = of.is == Target::Is::piece ? std::nullopt : wallIn(of, *scene_->room);
            const auto its = wall ? boxOn(of, *wall, *scene_) : std::nullopt;
            const bool there =
                its && (p.onWall() ? p.wall() == *wall : wallBehind(*scene_, id) == wall);
            if (const auto own = there ? boxOn(pieceTarget(id), *wall, *scene_) : std::nullopt)
                other = left ? own->low.x >= its->high.x - 1 : own->high.x <= its->low.x + 1;
        } catch (const LineFault&) {
            other = false;
        }
    }
    // "rug under the dining table", of one that lies elsewhere, under other things.
    if (p.kind->flat() && in.take({"under", "beneath", "underneath"}))
        try {
            const Target over = in.target();
            const Placed* own = scene_->fromAbove(id);
            const Placed* its =
                over.is == Target::Is::piece ? scene_->fromAbove(over.piece) : nullptr;
            other = own != nullptr && its != nullptr &&
                    gapBetween(own->shape, its->shape).apart > quiet &&
                    std::any_of(p.ties.begin(), p.ties.end(),
                                [](const Tie& t) { return t.kind == Tie::Kind::under; });
        } catch (const LineFault&) {
            other = false;
        }
    in.goTo(at);
    return other;
}

std::string LineReader::firstWords() {
    const auto r = in.rest().substr(0, in.rest().find(','));
    auto words = trimmed(r.substr(0, r.find_first_of("0123456789")));
    // Up to where it says where: what is not known is the thing.
    for (const std::string_view place :
         {" in ", " on ", " at ", " by ", " to ", " near ", " next ", " against ", " along ",
          " beside ", " under ", " over ", " above ", " behind ", " between ", " facing ",
          " opposite ", " with "})
        words = trimmed(words.substr(0, words.find(place)));
    return std::string(words.empty() ? trimmed(r) : words);
}

/// "bed 3 ft from the dresser": a room with one bed has that meant, whatever kind of bed it is.
bool LineReader::isTheOnlyBed(int id, std::size_t start) {
    const Piece* p = in.scheme().byId(id);
    const auto& all = in.scheme().pieces;
    in.goTo(start);
    const bool bare = in.endOf("bed") > 0;
    return bare && p != nullptr && p->kind->role == Role::bed &&
           std::count_if(all.begin(), all.end(),
                         [](const Piece& o) { return o.kind->role == Role::bed; }) == 1;
}

/// "couch on wall A", where one sofa is: a room has one of those, whatever it is called.
bool LineReader::isTheOnlyLarge(int id) const {
    const Piece* p = in.scheme().byId(id);
    if (p == nullptr || p->name != p->kind->name)
        return false;
    const Role role = p->kind->role;
    return (role == Role::sofa || role == Role::desk || role == Role::diningTable ||
            role == Role::lowTable || role == Role::screen || p->kind->id == "armoire") &&
           isTheOnlyOne(*p);
}

/// "84 inch sofa on wall C", where one sofa is: that. The kind stands ahead.
bool LineReader::isTheSizedOne() {
    const std::size_t at = in.at();
    const KindPtr kind = in.kind();
    in.goTo(at);
    const auto& all = in.scheme().pieces;
    return std::any_of(all.begin(), all.end(),
                       [&](const Piece& p) { return p.kind == kind && isTheOnlyLarge(p.id); });
}

/// Whether no other piece is of its kind.
bool LineReader::isTheOnlyOne(const Piece& p) const {
    const auto& all = in.scheme().pieces;
    return std::count_if(all.begin(), all.end(),
                         [&](const Piece& o) { return o.kind == p.kind; }) == 1;
}

/// Whether a piece is the only one of its kind and called by that alone, and nothing but sizes
/// follows: "wardrobe 180 x 60" is then said of the wardrobe that is there.
bool LineReader::isTheOnlySized(int id, std::size_t from) {
    static const std::regex sizes(
        R"(\s*,?\s*(?:to |is )?[0-9][0-9 ./,'"x×½¼¾]*(?:(?:cm|mm|m|in|inch|inches|ft|feet|foot|by|wide|)"
        R"(long|deep|high|tall|across)\b[0-9 ./,'"x×½¼¾]*)*)",
        std::regex::icase | std::regex::optimize);
    constexpr std::size_t longest = 60;
    const Piece* p = in.scheme().byId(id);
    return p != nullptr && in.text().size() < from + longest && p->name == p->kind->name &&
           isTheOnlyOne(*p) && std::regex_match(std::string(in.text().substr(from)), sizes);
}

/// Whether a piece is called by its kind alone, of which rooms have several: pictures, shelves.
bool LineReader::isOneOfMany(int id) const {
    const Piece& p = pieceOf(id);
    return p.name == p.kind->name && (p.kind->role == Role::art || p.kind->role == Role::object ||
                                      p.kind->role == Role::shelf);
}

/// True when an existing piece's whole name stands here, and not as the beginning of the name
/// of a kind that says more ("table lamp" when there is a piece called Table).
bool LineReader::startsPiece(std::size_t start) {
    in.goTo(start);
    std::size_t asKind = start;
    const KindPtr kind = in.kind();
    if (kind)
        asKind = in.at();
    in.goTo(start);
    std::size_t asPiece = start;
    try {
        const int id = in.piece();
        if (id != 0)
            asPiece = in.at();
        const auto said = id == 0 ? std::string() : plainWord(in.scheme().byId(id)->name);
        const bool exact = id != 0 && plainWord(in.since(start)) == said;
        // "bookcases", of one that is there: more are meant.
        const auto typed = trimmed(in.since(start));
        const bool several = id != 0 && typed.size() > 3 && typed.ends_with('s') &&
                             !typed.ends_with("ss") && !pieceOf(id).name.ends_with('s');
        in.goTo(start);
        if (several && asKind > start)
            return false;
        // "picture 50 x 70 on wall D": one more; of such things there are many.
        static const std::regex sized(R"(\s*,?\s*[0-9][^ ,]*(?: ?[a-z"']+)? ?(?:x|by|×) ?[0-9].*)",
                                      std::regex::icase | std::regex::optimize);
        if (asKind > start && asPiece == asKind && exact && isOneOfMany(id) &&
            in.text().size() < asKind + 200 &&
            std::regex_match(std::string(in.text().substr(asKind)), sized) &&
            !isTheOnlySized(id, asKind))
            return false;
        if (asKind > start && !exact &&
            (asPiece != asKind || !(isTheOnlySized(id, asKind) || isTheOnlyBed(id, start) ||
                                    (kind == pieceOf(id).kind && isTheOnlyLarge(id)))))
            return false; // a kind's name by itself adds one
    } catch (const LineFault&) {
        in.goTo(start);
        if (asKind == start)
            throw;
        return false;
    }
    // "sofa called second sofa" adds one all the same, wherever in the line that is said.
    if (asPiece > start && asPiece >= asKind) {
        bool another = false;
        in.goTo(asPiece);
        while (asKind > start && !another && !in.done() && in.ahead() != "because") {
            if (in.comma())
                continue;
            const auto w = in.word();
            another = w == "called" || w == "named";
        }
        in.goTo(start);
        return !another;
    }
    return false;
}

bool LineReader::callIt(Piece& p, bool isNew) {
    const std::size_t before = in.at();
    in.comma();
    if (!in.take({"called", "named"})) {
        in.goTo(before);
        return false;
    }
    const std::size_t at = in.at();
    p.name = in.name(saidOf(*p.kind));
    checkName(p.name, isNew ? 0 : p.id, at);
    return true;
}

void LineReader::checkName(const std::string& n, int id, std::size_t at) {
    if (characterCount(n) > mostNameLength || plainWord(n).empty())
        in.fail(at, n.size(), "that is no name for a piece",
                worded("use 1 to {} characters", mostNameLength));
    if (tidyName(n) != n)
        in.fail(at, n.size(), "the name has characters that are not seen", "type it again");
    if (const auto what = wordOfTheLine(n, job_); !what.empty())
        in.fail(at, n.size(), worded("“{}” is {}, and can't be a name too", n, what),
                "choose another name");
    if (const auto* other = in.scheme().byName(n); other != nullptr && other->id != id)
        in.fail(at, n.size(), worded("there is a piece called {} already", other->name),
                "choose another name");
}

Edit LineReader::place(Piece p, std::size_t start) {
    auto said = readPlacement(in, p, *scene_, surface_);
    if (said.apart)
        in.fail(said.apartAt, in.at() - said.apartAt, "only several things are apart",
                "say it like: two armchairs, 24 apart");
    if (!said.name.empty())
        checkName(said.name, p.id, said.nameAt);
    // A vase stands on something; on the floor where that is said.
    if (p.id == 0 && p.kind->standsOn() && said.ties.empty() && !said.on &&
        foldCase(in.text()).find("floor") == std::string::npos)
        in.fail(start, 1, worded("on what does {} stand?", p.name),
                "name a table, a chest or a shelf, like: on console; or say: on the floor");
    const auto chairs = said.chairs;
    const int id = p.id == 0 ? job_.scheme().nextId : p.id;
    Edit e = done(placeWhereFree(job_, *scene_, std::move(p), std::move(said)), start);
    if (!chairs)
        return e;
    // "with six chairs": round it, where it comes to stand.
    for (Act& a : e.acts)
        if (auto* put = std::get_if<PutPiece>(&a); put != nullptr && put->piece.id == 0)
            put->piece.id = id;
    const auto with = apply(job_, e);
    if (!with)
        in.refuse(with.problem(), start);
    const Edit seats =
        done(seatTable(*with->project, *with->scene, id, *chairs, usualChair(*with->project, id)),
             start);
    e.acts.insert(e.acts.end(), seats.acts.begin(), seats.acts.end());
    e.notices.insert(e.notices.end(), seats.notices.begin(), seats.notices.end());
    e.words += worded(", with {} chairs", *chairs);
    return e;
}

} // namespace mezzet
