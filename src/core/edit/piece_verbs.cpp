// What is done to pieces: moved, turned, sized, swapped, replaced, named, removed.
#include "edit/landing.h"
#include "edit/line_reader.h"

#include "edit/drag.h"
#include "edit/new_piece.h"
#include "edit/phrase.h"
#include "edit/pieces.h"
#include "edit/place.h"
#include "edit/sizes_said.h"
#include "edit/subjects.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// The side of a piece that another one is at, as one faces it.
Side sideOf(const Scene& scene, int of, int other) {
    const Placed* base = scene.inPlan(of);
    const Placed* seen = scene.inPlan(other);
    if (base == nullptr || seen == nullptr)
        return Side::front;
    const Vec2 at = base->pose.toLocal(seen->pose.at);
    const Size& s = scene.pieceById(of)->size;
    // By the diagonal of its own outline.
    if (std::abs(at.x) * s.depth.mm() > std::abs(at.y) * s.width.mm())
        return at.x < 0 ? Side::left : Side::right;
    return at.y < 0 ? Side::behind : Side::front;
}

constexpr std::string_view spokenOf[] = {" it ", " this ", " that "};

/// Whether a line up to there speaks of a thing as "it", and not by a name.
bool saidAsIt(std::string_view before) {
    const auto words = " " + foldCase(before) + " ";
    return std::any_of(std::begin(spokenOf), std::end(spokenOf),
                       [&](std::string_view w) { return words.find(w) != std::string::npos; });
}

} // namespace

const std::vector<Verb<LineReader>>& LineReader::verbs() {
    static const std::vector<Verb<LineReader>> all{
        {{{"move", "shift", "push", "pull", "slide", "bring", "drag", "scoot", "carry"},
          "puts a piece elsewhere, or by a step; several at once",
          "move sofa 6 left; pull sofa 6 forward; bring sofa closer to bookcase"},
         &LineReader::move},
        {{{"keep", "have", "let"},
          "where it is to be, or so far away from something",
          "keep sofa 24 away from wall B"},
         &LineReader::keep},
        {{{"nudge"}, "a little way", "nudge sofa left"}, &LineReader::nudge},
        {{{"turn", "rotate", "spin", "angle"},
          "turns it clockwise by degrees, to a turn, or to look at something",
          "turn sofa a quarter; turn sofa 30; turn sofa a little to the left; turn sofa to 30; "
          "turn "
          "sofa to face wall A"},
         &LineReader::turn},
        {{{"face", "point"}, "to look at something", "face sofa to wall A"}, &LineReader::face},
        {{{"size", "resize", "make", "change"},
          "its width, depth and height; of what hangs width, height and depth; several at once",
          "size sofa 78 x 36; make sofa 6 longer; size all dining chairs 18 x 20"},
         &LineReader::size},
        {{{"widen", "lengthen", "stretch", "extend"},
          "longer by so much, or to a length",
          "widen sofa by 6; widen sofa to 90"},
         &LineReader::widen},
        {{{"shorten", "shrink"}, "the other way", "shorten sofa by 6"}, &LineReader::shorten},
        {{{"raise", "lift"},
          "higher on its wall, or to a height",
          "raise mill 2; raise mill to 60"},
         &LineReader::raise},
        {{{"lower"}, "lower on its wall, or to a height", "lower mill 2"}, &LineReader::lower},
        {{{"centre", "center"}, "in line with the middle of something", "centre sofa on wall A"},
         &LineReader::centre},
        {{{"bottom of", "foot of", "top of", "centre of", "center of", "the bottom of",
           "the foot of", "the top of", "the centre of", "the center of"},
          "how high it hangs",
          "bottom of mill at 50"},
         &LineReader::levelOf},
        {{{"leave"},
          "so much between two things: the second moves",
          "leave 18 between sofa and bookcase"},
         &LineReader::leave},
        {{{"swap", "switch", "exchange"}, "each where the other was", "swap sofa and sideboard"},
         &LineReader::swap},
        {{{"replace"},
          "another kind in its place, under the same ties",
          "replace sofa by loveseat"},
         &LineReader::replace},
        {{{"use"}, "the same", "use loveseat instead of sofa"}, &LineReader::use},
        {{{"rename", "call", "name"}, "another name", "rename sofa to long sofa"},
         &LineReader::rename},
        {{{"copy", "duplicate"}, "one more of it, beside it", "copy sofa as second sofa"},
         &LineReader::copy},
        {{{"edge", "edges"},
          "how edges of a rug are finished; they count from its first corner",
          ""},
         &LineReader::edge},
        {{{"remove", "delete", "take away", "take out", "get rid of", "lose", "throw out",
           "throw away", "scrap", "ditch", "dispose of", "clear away", "take"},
          "takes it out; what was tied to it keeps its place",
          "remove sofa; remove sofa and rug"},
         &LineReader::remove},
        {{{"lock"}, "keeps it where it is, whatever its ties say", "lock sofa and rug"},
         &LineReader::lockThem},
        {{{"unlock"}, "lets it move again", "unlock sofa"}, &LineReader::unlockThem},
        {{{"free", "untie"},
          "lets go of its ties, or of those to one thing",
          "free sofa; free coffee table from sofa"},
         &LineReader::free},
    };
    return all;
}

Edit LineReader::move() {
    in.moves();
    return keep();
}

Edit LineReader::keep() {
    const auto ids = subjects();
    const std::size_t at = in.at();
    in.take({"to"});
    if (in.done())
        in.failAhead(worded("where does {} go?", pieceOf(ids.front()).name),
                     "say it like: against wall A, or: 6 left");
    if (ids.size() > 1)
        return placeEach(ids, at, worded("move {} pieces", ids.size()));
    return place(placedPiece(ids.front()), in.at());
}

Edit LineReader::nudge() {
    in.slightly();
    return move();
}

Edit LineReader::turn() {
    const bool angled = in.since(0).ends_with("angle");
    const auto ids = subjects();
    in.take({"by"});
    const std::size_t at = in.at();
    const auto words = worded("turn {} pieces", ids.size());
    if (in.take({"into"})) {
        if (ids.size() > 1)
            in.fail(at, in.at() - at, "only one piece at a time", "name one of them");
        return asKind(ids.front());
    }
    in.goTo(at);
    // "to 30" and "to the window": degrees, or what it looks at.
    if (in.take({"to", "toward", "towards"}) && in.ahead() != "face" && in.ahead() != "look" &&
        in.endOf("the left") == 0 && in.endOf("the right") == 0) {
        Tie t;
        const auto w = in.ahead();
        if (w.empty() || w[0] == '-' || (w[0] >= '0' && w[0] <= '9')) {
            t.kind = Tie::Kind::turned;
            t.turn = Angle::degrees(in.number("the turn")).normalised();
            in.take({"degrees", "degree", "deg"});
        } else {
            in.take({"face"});
            t.kind = Tie::Kind::facing;
            t.of = in.target();
        }
        in.nothingMore();
        return retieEach(ids, t, at, words);
    }
    in.goTo(at);
    if (in.take({"to face", "to look", "so it faces", "so that it faces", "facing", "to be"})) {
        if (ids.size() > 1)
            return placeEach(ids, at, words);
        in.goTo(at);
        return place(placedPiece(ids.front()), at);
    }
    in.take({"to"});
    in.article();
    Angle by;
    if (in.take({"half", "round", "around", "about"}))
        by = Angle::degrees(180);
    else if (in.take({"little", "bit", "little bit", "touch", "slightly"}))
        by = Angle::degrees(15);
    else if (in.take({"quarter"}) || in.done() || in.endOf("left") || in.endOf("right") ||
             in.endOf("clockwise") || in.endOf("anticlockwise") || in.endOf("counterclockwise"))
        by = Angle::degrees(angled ? 45 : 90);
    else
        by = Angle::degrees(in.number("the turn"));
    in.take({"degrees", "degree", "deg", "°", "turn"});
    if (in.take({"to the left", "left", "anticlockwise", "counterclockwise"}))
        by = -by;
    in.take({"to the right", "right", "clockwise", "turn"});
    in.nothingMore();
    Edit turned = done(turnBy(job_, *scene_, ids, by), at);
    // One that would go through a wall comes away from it.
    if (ids.size() == 1 && pieceOf(ids.front()).on.isFloor())
        if (const auto after = apply(job_, turned); after && !comeToHarm(job_, *after).empty()) {
            Tie t;
            t.kind = Tie::Kind::turned;
            t.turn = (scene_->byId(ids.front())->pose.turn + by).normalised();
            return retie(pieceOf(ids.front()), t, at);
        }
    return turned;
}

/// "face the armchair to the fire"
Edit LineReader::face() {
    const auto ids = subjects();
    in.take({"to", "toward", "towards", "at", "into", "on"});
    const std::size_t at = in.at();
    Tie t;
    t.kind = Tie::Kind::facing;
    t.of = in.target();
    in.nothingMore();
    return retieEach(ids, t, at, worded("turn {}", pieceOf(ids.front()).name));
}

/// The end of "a loveseat" where such a kind stands ahead, and not as the beginning of a piece's
/// place.
std::optional<int> LineReader::otherKindAhead(int id) {
    const std::size_t at = in.at();
    in.take({"for", "to", "into", "with", "by"});
    in.article();
    const auto kind = in.kind();
    const auto end = static_cast<int>(in.at());
    const bool rest = in.done() || in.ahead().empty() || in.lengthAhead();
    in.goTo(at);
    if (!kind || !rest || kind == pieceOf(id).kind)
        return {};
    return end;
}

Edit LineReader::rename() {
    Piece p = pieceOf(subject());
    // "call the chair on the left Reading chair" tells which chair.
    for (const char* where : {"on the left", "on the right", "by the", "next to the", "near the",
                              "in the corner", "at the window"})
        if (in.endOf(where) > 0)
            in.failAhead(worded("“{}” tells which one, and is no name", where),
                         "say it like: call the left chair Reading chair");
    in.take({"to", "as"});
    const std::size_t at = in.at();
    auto n = in.name();
    in.nothingMore();
    checkName(n, p.id, at);
    Edit e;
    e.words = worded("call {} {}", p.name, n);
    p.name = std::move(n);
    e.acts.emplace_back(PutPiece{std::move(p)});
    return e;
}

Edit LineReader::copy() {
    const Piece& source = pieceOf(subject());
    if (in.take({"to the other side", "on the other side", "at the other side", "to the other end",
                 "at the other end", "the other side"})) {
        const std::size_t at = in.at();
        int of = 0;
        if (in.take({"of"}))
            of = pieceOf(subject()).id;
        else
            for (const Tie& t : source.ties)
                if (t.kind == Tie::Kind::fromPiece && t.of.is == Target::Is::piece)
                    of = t.of.piece;
        if (of == 0)
            in.fail(at, 1, "the other side of what?",
                    worded("say it like: copy {} to the other side of sofa", source.name));
        std::string called;
        if (in.take({"as", "called", "named"})) {
            called = in.name();
            checkName(called, 0, at);
        }
        in.nothingMore();
        return done(copyAcross(job_, *scene_, source.id, of, called), at);
    }
    Piece p = copyOf(source, *scene_->byId(source.id), in.scheme());
    if (in.take({"as", "called", "named"})) {
        const std::size_t at = in.at();
        p.name = in.name();
        checkName(p.name, 0, at);
    }
    if (!p.onWall())
        p.pose.at = freePlace(*scene_, p, p.pose.at);
    else
        p.pose.at.x += (p.size.width + Length::inches(2)).mm();
    auto e = place(std::move(p), in.at());
    e.words = worded("copy {}", source.name);
    return e;
}

Edit LineReader::remove() {
    std::vector<int> ids;
    do {
        const auto some = subjects();
        ids.insert(ids.end(), some.begin(), some.end());
    } while (in.comma() || in.take({"and"}));
    in.take({"away", "out"});
    in.nothingMore();
    return removePieces(job_, ids);
}

Edit LineReader::lock(bool on) {
    const auto ids = subjects();
    in.nothingMore();
    return lockPieces(job_, *scene_, ids, on);
}

/// "raise mill 2", "lower mill by 2", "raise mill to 60"
Edit LineReader::up(double way) {
    const std::size_t at = in.at();
    const auto ids = wholes(subjects());
    for (const int id : ids)
        if (!pieceOf(id).onWall() && !pieceOf(id).on.isCeiling())
            in.fail(at, 1, worded("{} does not hang", pieceOf(id).name), "name what does");
    if (in.take({"to"})) {
        Tie t;
        t.kind = Tie::Kind::height;
        t.level = pieceOf(ids.front()).onWall() ? Level::centre : Level::bottom;
        const std::size_t height = in.at();
        t.distance = in.length("the height");
        in.nothingMore();
        for (const int id : ids)
            if (const double is = scene_->byId(id)->pose.at.y;
                pieceOf(id).onWall() && way * (t.distance.mm() - is) < 0)
                in.fail(height, in.at() - height,
                        worded("the centre of {} hangs at {} now", pieceOf(id).name,
                               writeGap(Length::millimetres(is), job_.notation)),
                        way > 0 ? "say lower" : "say raise");
        return retieEach(ids, t, at, worded("hang {}", pieceOf(ids.front()).name));
    }
    in.take({"by"});
    if (in.take({"a bit", "a little", "slightly"}))
        in.slightly();
    const Length by = in.done() ? in.usualStep() : in.length("how far");
    in.nothingMore();
    return each(
        ids,
        [&](LineReader& r, int id) {
            // What is level with one of the others has gone along.
            const double gone = r.pieceOf(id).onWall()
                                    ? r.scene_->byId(id)->pose.at.y - scene_->byId(id)->pose.at.y
                                    : 0;
            const Length left = by * way - Length::millimetres(gone);
            return abs(left) <= quiet ? Edit{}
                                      : r.done(raisePiece(r.job_, *r.scene_, id, left), at);
        },
        worded("move {}", pieceOf(ids.front()).name));
}

/// "bottom of mill at 50"
Edit LineReader::levelOf() {
    const auto said = in.since(0);
    Tie t;
    t.kind = Tie::Kind::height;
    t.level = said.find("top") != std::string_view::npos    ? Level::top
              : said.find("cent") != std::string_view::npos ? Level::centre
                                                            : Level::bottom;
    const std::size_t at = in.at();
    const int id = subject();
    if (!pieceOf(id).onWall())
        in.fail(at, in.at() - at, worded("{} does not hang on a wall", pieceOf(id).name),
                "name something that does");
    in.take({"is at", "at", "to", "goes at"});
    t.distance = in.length("the height");
    in.nothingMore();
    return retie(pieceOf(id), t, at);
}

/// "centre sofa on wall A", "centre mill at 60"
Edit LineReader::centre() {
    const int id = subject();
    const std::size_t at = in.at();
    auto said = readPlacement(in, placedPiece(id), *scene_, surface_, Begins::centred);
    return done(placePiece(job_, *scene_, placedPiece(id), std::move(said)), at);
}

/// "leave 18 between sofa and coffee table": the one that is tied to the other moves, or the
/// second.
Edit LineReader::leave() {
    const Length by = in.length("how much");
    if (!in.take({"between"}))
        in.failAhead("between what?", "say it like: leave 18 between sofa and bookcase");
    const std::size_t at = in.at();
    const Target one = in.target();
    if (!in.take({"and"}))
        in.failAhead("and what?", "say it like: leave 18 between sofa and bookcase");
    const Target other = in.target();
    in.nothingMore();
    const auto tiedTo = [&](const Target& a, const Target& b) {
        return a.is == Target::Is::piece && b.is == Target::Is::piece &&
               std::any_of(pieceOf(a.piece).ties.begin(), pieceOf(a.piece).ties.end(),
                           [&](const Tie& t) { return t.refersTo(b.piece); });
    };
    const bool first = other.is != Target::Is::piece || tiedTo(one, other);
    const Target& moved = first ? one : other;
    const Target& from = first ? other : one;
    if (moved.is != Target::Is::piece || moved == from)
        in.fail(at, in.at() - at, "neither of them can be moved", "name a piece");
    Tie t;
    t.kind = from.is == Target::Is::piece ? Tie::Kind::fromPiece : Tie::Kind::fromWall;
    t.of = from;
    t.distance = by;
    if (t.kind == Tie::Kind::fromPiece)
        t.side = sideOf(*scene_, from.piece, moved.piece);
    return retie(pieceOf(moved.piece), t, at);
}

/// Each takes the other's ties, place and turn. "swap the sofa for a loveseat" is another kind.
Edit LineReader::swap() {
    const std::size_t at = in.at();
    if (const auto both = in.pieces(); both.size() == 2) { // "swap the nightstands"
        in.nothingMore();
        return done(swapPieces(job_, *scene_, both[0], both[1]), at);
    }
    in.goTo(at);
    const int one = subject();
    const bool instead = in.endOf("for") > 0 || in.endOf("with") > 0 || in.endOf("to") > 0;
    if (instead && otherKindAhead(one)) {
        const std::size_t here = in.at();
        in.take({"for", "with", "to"});
        bool there = true;
        const bool a = in.endOf("a") > 0 || in.endOf("an") > 0;
        try {
            in.article();
            there = in.piece() != 0;
        } catch (const LineFault&) { // several of them
        }
        in.goTo(here);
        if (a || !there) {
            in.take({"for", "with", "to"});
            return asKind(one);
        }
    }
    if (!in.take({"and", "with", "for"}) && !in.comma())
        in.failAhead("with what?", "say it like: swap sofa and sideboard");
    const int other = subject();
    in.take({"round", "around", "over"});
    in.nothingMore();
    return done(swapPieces(job_, *scene_, one, other), at);
}

/// "replace sofa by loveseat": the new one has its ties, and what was tied to it.
Edit LineReader::replace() {
    in.article();
    auto ids = in.pieces();
    if (ids.empty())
        ids = {subject()};
    if (!in.take({"by", "with", "for"}))
        in.failAhead("by what?", "say it like: replace sofa by loveseat");
    if (ids.size() == 1)
        return asKind(ids.front());
    // "the dining chairs with benches": each by one.
    in.article();
    const std::size_t at = in.at();
    const auto kind = kindOfSeveral(in);
    if (!kind)
        in.failAhead(in.done() ? "by what?" : worded("the kit has no “{}”", firstWords()));
    const std::size_t end = in.at();
    Edit all;
    auto now = std::make_shared<const Project>(job_);
    for (const int id : ids) {
        in.goTo(end);
        auto p = asAnother(*now, placedPiece(id), kind);
        if (!p)
            in.fail(at, end - at, p.problem().what, p.problem().remedy);
        readSizes(in, *p, false, notices);
        const Edit one = replacedBy(*now, std::move(*p));
        auto after = apply(*now, one);
        if (!after)
            in.refuse(after.problem(), at);
        now = after->project;
        all.acts.insert(all.acts.end(), one.acts.begin(), one.acts.end());
    }
    in.nothingMore();
    all.words = worded("replace {} pieces by {}", ids.size(), kind->name);
    return all;
}

Edit LineReader::asKind(int id) {
    in.article();
    const std::size_t at = in.at();
    const bool sizeFirst = sizesBeforeKind(in);
    const bool round = in.take({"round one"});
    KindPtr kind = round ? job_.library.kit->byWord("round " + pieceOf(id).kind->name) : in.kind();
    if (!kind && !round)
        kind = usualKind();
    if (!kind)
        whichKind();
    if (!kind)
        in.failAhead(in.done() ? "by what?" : worded("the kit has no “{}”", firstWords()));
    // "make it a sectional" is said of a seat, and not of the rug that was named last.
    if (const Piece& it = pieceOf(id);
        saidAsIt(in.text().substr(0, at)) &&
        (it.kind->flat() != kind->flat() || it.kind->family != kind->family)) {
        const auto& all = in.scheme().pieces;
        const auto alike = std::find_if(all.begin(), all.end(), [&](const Piece& p) {
            return p.kind->role == kind->role && p.kind->family == kind->family && !p.isGroup();
        });
        in.fail(at, in.at() - at, worded("“it” is {}, which was spoken of last", it.name),
                worded("say: replace {} by {}", alike != all.end() ? alike->name : it.name,
                       foldCase(kind->name)));
    }
    auto instead = asAnother(job_, placedPiece(id), kind);
    if (!instead)
        in.fail(at, in.at() - at, instead.problem().what, instead.problem().remedy);
    Piece p = *instead;
    if (const std::size_t here = in.at(); sizeFirst) {
        in.goTo(at);
        readSizes(in, p, false, notices);
        in.goTo(here);
    }
    readSizes(in, p, false, notices);
    in.nothingMore();
    return replacedBy(job_, std::move(p));
}

/// "use a loveseat instead of the sofa"
Edit LineReader::use() {
    in.article();
    const std::size_t at = in.at();
    if (!in.kind())
        in.failAhead(worded("the kit has no “{}”", firstWords()));
    if (!in.take({"instead of", "in place of", "for"}))
        in.failAhead("instead of what?", "say it like: use loveseat instead of sofa");
    const int id = subject();
    in.nothingMore();
    const std::size_t end = in.at();
    in.goTo(at);
    const KindPtr kind = in.kind();
    in.goTo(end);
    auto p = asAnother(job_, placedPiece(id), kind);
    if (!p)
        in.fail(at, end - at, p.problem().what, p.problem().remedy);
    return replacedBy(job_, std::move(*p));
}

Edit LineReader::free() {
    Piece p = placedPiece(subject());
    Edit e;
    e.words = worded("free {}", p.name);
    if (in.take({"from", "of"})) {
        const std::size_t at = in.at();
        const auto t = in.target();
        const auto count = std::erase_if(p.ties, [&](const Tie& tie) {
            return tie.of == t || tie.also == t ||
                   (t.is == Target::Is::piece && tie.refersTo(t.piece)) ||
                   (t.is == Target::Is::corner && tie.of.is == t.is && tie.of.index == t.index);
        });
        if (count == 0)
            in.fail(
                at, in.at() - at, worded("{} is not tied to {}", p.name, words(t, job_.wording())),
                p.ties.empty() ? std::string("it has no ties")
                               : worded("it is tied {}", words(p.ties.front(), job_.wording())));
        e.words += " from " + words(t, job_.wording());
    } else {
        p.ties.clear();
    }
    in.nothingMore();
    e.acts.emplace_back(PutPiece{std::move(p)});
    return e;
}

std::vector<VerbHelp> pieceVerbs() {
    return helpOf(LineReader::verbs());
}

} // namespace mezzet
