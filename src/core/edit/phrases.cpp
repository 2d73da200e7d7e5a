// The table of clauses, and how a line goes by it.
#include "edit/beside_wall.h"
#include "edit/landing.h"
#include "edit/phrase.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"

#include <algorithm>
#include <utility>

namespace mezzet {

std::span<const PhraseGroup> phraseGroups() {
    static const PhraseGroup groups[] = {
        {"Where it stands", floorPhrases()},
        {"Where it stands, said plainly", plainPhrases()},
        {"Under things", underPhrases()},
        {"By a step", stepPhrases()},
        {"On a top, on a shelf", boardPhrases()},
        {"Under the ceiling", ceilingPhrases()},
        {"On a wall", wallPhrases()},
        {"How it is held there", heldPhrases()},
        {"What is told of it", toldPhrases()},
        {"Rugs and carpets", rugPhrases()},
        {"Units with shelves", unitPhrases()},
    };
    return groups;
}

namespace {

/// Every phrase, the more particular before what is said of all that stands.
const std::vector<const Phrase*>& allPhrases() {
    static const auto all = [] {
        std::vector<const Phrase*> out;
        const auto groups = phraseGroups();
        for (auto g = groups.rbegin(); g != groups.rend(); ++g)
            for (const Phrase& p : g->phrases)
                out.push_back(&p);
        return out;
    }();
    return all;
}

/// A phrase whose words stand ahead.
struct Begun {
    std::size_t end = 0; ///< behind them; 0 for none
    std::string_view words;
    const Phrase* phrase = nullptr;
};
Begun begun(WordsReader& in, const Phrase& p) {
    const std::size_t start = in.at();
    Begun out;
    for (const std::string_view words : p.begins) {
        if (!words.starts_with("a "))
            in.offer(words); // the article is passed over
        if (const std::size_t end = in.endOf(words); end > out.end)
            out = {end, words, &p};
    }
    in.goTo(start);
    return out;
}

bool followed(WordsReader& in, Follows how) {
    switch (how) {
    case Follows::anything:
        return true;
    case Follows::length:
        return in.lengthAhead();
    case Follows::number: {
        const auto w = in.ahead();
        return !w.empty() && w[0] >= '0' && w[0] <= '9';
    }
    case Follows::chairs: {
        const std::size_t here = in.at();
        int count = 0;
        const bool is = in.takeChairs(count);
        in.goTo(here);
        return is;
    }
    case Follows::place:
        return !in.done();
    case Follows::measure:
        return in.lengthAhead() || in.ahead() == "with" || in.ahead() == "on" ||
               in.ahead() == "level";
    case Follows::wall: {
        const auto i = wallIndex(in.ahead());
        return i && in.ahead().size() == 1 && *i < static_cast<int>(in.job().room->walls.size());
    }
    case Follows::corner: {
        const auto w = in.ahead();
        const std::size_t here = in.at();
        in.word();
        const bool two = w.size() == 2 || (w.size() == 1 && in.ahead().size() == 1);
        in.goTo(here);
        return two && wallIndex(w.substr(0, 1)).has_value();
    }
    case Follows::built: {
        const std::size_t here = in.at();
        in.article();
        bool is = in.ahead() == "left" || in.ahead() == "right" || in.ahead() == "long" ||
                  in.ahead() == "short";
        for (const std::string_view w : {"wall", "window", "door", "doorway", "opening", "archway",
                                         "chimney", "fireplace", "fire", "longest", "shortest"})
            is = is || in.endOf(w) > 0;
        in.goTo(here);
        return is;
    }
    case Follows::material:
        return std::any_of(in.job().library.book->shelving.begin(),
                           in.job().library.book->shelving.end(),
                           [&](const ShelfMaterial& m) { return in.endOf(foldCase(m.name)) > 0; });
    case Follows::pause:
        return in.done() || in.ahead().empty() || in.ahead() == "and" || in.lengthAhead() ||
               phraseAhead(in, false);
    }
    return true;
}

} // namespace

bool phraseAhead(WordsReader& in, bool afterLength, Flags<SaidOf> of) {
    const std::size_t start = in.at();
    bool found = false;
    for (const Phrase* p : allPhrases()) {
        if (found || p->afterLength != afterLength || (p->of.bits & of.bits) == 0)
            continue;
        for (const std::string_view words : p->begins) {
            const std::size_t end = in.endOf(words);
            if (end == 0)
                continue;
            in.goTo(end);
            found = found || followed(in, p->follows);
            in.goTo(start);
        }
    }
    return found;
}

Placing::Placing(WordsReader& words, const Piece& piece, const Scene& where, SurfaceId lookedAt)
    : in(words), subject(piece), scene(where), hanging(piece.hanging), lookedAt_(lookedAt) {
    if (piece.onWall())
        wall = piece.wall();
}

Flags<SaidOf> saidOf(const Kind& k) {
    if (k.hangs())
        return SaidOf::wall;
    if (k.underCeiling())
        return SaidOf::ceiling;
    if (k.flat())
        return {SaidOf::floor, SaidOf::rug};
    if (k.standsOn())
        return {SaidOf::floor, SaidOf::board};
    return SaidOf::floor;
}

Placement readPlacement(WordsReader& words, const Piece& subject, const Scene& scene,
                        SurfaceId lookedAt, Begins how) {
    return Placing(words, subject, scene, lookedAt).read(how);
}

namespace {

/// The corner at the nearer end of the wall that a piece stands or hangs at, measured along that.
Target nearerCorner(const Scene& scene, const Piece& p, int wall) {
    const auto& walls = scene.room->walls;
    const Wall& w = walls[static_cast<std::size_t>(wall)];
    const Vec2 at = scene.byId(p.id)->pose.at;
    const double along = p.onWall() ? at.x : dot(at - w.start, w.along());
    Target t;
    t.is = Target::Is::corner;
    t.alongNext = along < w.length().mm() / 2;
    t.index = t.alongNext ? wall : (wall + 1) % static_cast<int>(walls.size());
    return t;
}

} // namespace

Placement Placing::read(Begins how) {
    const auto place = saidOf(*subject.kind);
    const auto own = subject.id != 0 ? wallBehind(scene, subject.id) : std::nullopt;
    in.ownWall(own);
    in.ownCorner(own ? std::optional(nearerCorner(scene, subject, *own)) : std::nullopt);
    in.ownTies(subject.ties);
    if (how == Begins::centred)
        centredFirst();
    std::vector<const Phrase*> fine;
    for (const Phrase* p : allPhrases())
        if ((p->of.bits & place.bits) != 0)
            fine.push_back(p);
    while (!in.done()) {
        // "and four chairs", before "and" is only a word between two clauses.
        if (const std::size_t at = in.at(); in.take({"and", "plus"})) {
            const bool chairs = followed(in, Follows::chairs);
            in.goTo(at);
            if (chairs && clause(fine))
                continue;
        }
        if (in.comma() ||
            in.take({"and", "then", "is", "to", "so it is", "so that it is", "standing", "goes",
                     "go", "should be", "just", "it"}) ||
            (place.has(SaidOf::wall) &&
             in.take({"hung", "hang", "hanging", "mounted", "starting"})))
            continue;
        if (!clause(fine))
            unknown(false);
        // "piano against wall D, 10 off the wall"
        const auto back = std::find_if(out.ties.begin(), out.ties.end(), [](const Tie& t) {
            return t.kind == Tie::Kind::against && t.of.is == Target::Is::wall;
        });
        if (const auto at = back != out.ties.end() ? std::optional(back->of.index) : saidWall)
            in.ownWall(at);
    }
    onceOnly();
    place.has(SaidOf::wall) ? settleWall() : settleSides();
    onceOnly();
    if (hanging != subject.hanging)
        out.hanging = hanging;
    return std::move(out);
}

bool Placing::clause(const std::vector<const Phrase*>& all) {
    in.article();
    start = in.at();
    measured = {};
    const auto attempt = [&](bool afterLength) {
        const std::size_t here = in.at();
        // The longest words that stand here, then the next longest.
        std::vector<Begun> found;
        for (const Phrase* p : all)
            if (p->afterLength == afterLength)
                if (const auto b = begun(in, *p); b.end > 0)
                    found.push_back(b);
        std::stable_sort(found.begin(), found.end(),
                         [](const Begun& a, const Begun& b) { return a.end > b.end; });
        for (const Begun& b : found) {
            in.goTo(b.end);
            said = b.words;
            const auto before = out;
            if (b.phrase->read(*this))
                return true;
            out = before;
            in.goTo(here);
        }
        return false;
    };
    if (attempt(false))
        return true;
    if (!in.lengthAhead())
        return false;
    const std::size_t figure = in.at();
    measured = in.length("the distance");
    if (measured < Length{})
        in.fail(figure, in.at() - figure, "a distance is never less than nothing",
                "say it the other way");
    if (attempt(true))
        return true;
    unknown(true);
}

void Placing::unknown(bool afterLength) {
    const std::size_t here = in.at();
    // What can be said of other things is told so.
    Flags<SaidOf> of;
    std::size_t end = 0;
    for (const Phrase* p : allPhrases())
        if (const Begun b = p->afterLength == afterLength ? begun(in, *p) : Begun{}; b.end > 0) {
            of.bits |= p->of.bits;
            end = std::max(end, b.end);
        }
    if (end > 0) {
        const auto words = trimmed(in.rest().substr(0, end - here));
        const bool up = subject.kind->hangs();
        const bool down = subject.kind->underCeiling();
        // "a mirror on the wardrobe": what hangs on a wall hangs on nothing else.
        if (const std::size_t at = in.at(); up && in.take({"on"})) {
            in.article();
            int on = 0;
            try {
                on = in.piece();
            } catch (const LineFault&) {
                on = 0;
            }
            const Piece* p = in.scheme().byId(on);
            in.goTo(at);
            if (p != nullptr && !p->onWall())
                in.fail(here, words.size(),
                        worded("{} hangs on a wall, and can't hang on {}", name(), p->name),
                        worded("say it like: above {}, or: on wall C", p->name));
        }
        std::vector<std::string> whose;
        for (const auto& [which, what] : {std::pair{SaidOf::floor, "stands on the floor"},
                                          std::pair{SaidOf::board, "stands on a top or a shelf"},
                                          std::pair{SaidOf::wall, "hangs on a wall"},
                                          std::pair{SaidOf::ceiling, "hangs from the ceiling"},
                                          std::pair{SaidOf::rug, "is a rug"}})
            if (of.has(which))
                whose.emplace_back(what);
        in.noneYet(end);
        // Said of such a piece too, with something else behind it.
        if (of.has(up ? SaidOf::wall : down ? SaidOf::ceiling : SaidOf::floor))
            in.fail(here, words.size(),
                    worded("{}: “{}” doesn't go with “{}”", name(), words,
                           trimmed(in.rest().substr(end - here))),
                    up ? "say it like: 6 above sofa, or: on wall C"
                       : "say where it stands, like: 6 behind sofa");
        in.fail(here, words.size(),
                worded("{} {}, and “{}” is said of what {}", name(),
                       up     ? "hangs on a wall"
                       : down ? "hangs from the ceiling"
                              : "stands on the floor",
                       words, listed(whose, "or")),
                up     ? "say it like: 6 above sofa, or: on wall C"
                : down ? "say it like: over supper table"
                       : "say where it stands, like: 6 behind sofa");
    }
    if (afterLength && in.done())
        in.failAhead("this length measures to nothing",
                     subject.kind->hangs() ? "say what it is from, like “6 above sofa”"
                                           : "say what it is from, like “16 from sofa”");
    if (afterLength)
        in.failAhead(worded("“{}” doesn't follow a length", in.ahead()));
    in.offer(subject.kind->hangs() ? "6 above " : "16 from ");
    in.unknownAhead(worded("I don't know “{}” here", in.ahead()));
}

Target Placing::toWall(Target t) const {
    for (const auto& o : scene.room->openings)
        if (t == targetOf(o))
            return wallTarget(o.wall);
    return t;
}

std::optional<Target> Placing::bareWall() {
    const std::size_t here = in.at();
    const auto i = wallIndex(in.word());
    if (i && *i < static_cast<int>(scene.room->walls.size()) &&
        (in.done() || in.rest().front() == ','))
        return wallTarget(*i);
    in.goTo(here);
    return {};
}

Tie& Placing::add(Tie::Kind kind) {
    Tie t;
    t.kind = kind;
    out.ties.push_back(t);
    return out.ties.back();
}

Target Placing::target(bool pieces) {
    lastAt_ = in.at();
    // "right of the bed, 5 from it"
    if (last_.is != Target::Is::none && in.take({"it", "that"}))
        return last_;
    const Target t = in.target(pieces);
    if (t.is == Target::Is::piece && t.piece == subject.id && subject.id != 0)
        fault(worded("{} can't be placed by itself", subject.name), "name another piece");
    last_ = t;
    return t;
}

Target Placing::target(const Targets& fine, const char* phrase) {
    const Target t = target();
    if (!fine.has(t.is))
        fault(worded("“{}” doesn't go with that", phrase),
              "name something else, like a wall, an opening or a piece");
    return t;
}

void Placing::fault(std::string what, std::string remedy) {
    in.fail(start, in.at() - start, std::move(what), std::move(remedy));
}

void Placing::shift(std::size_t tie, std::initializer_list<std::string_view> back,
                    std::initializer_list<std::string_view> on) {
    const std::size_t here = in.at();
    in.comma();
    if (in.lengthAhead()) {
        const auto d = in.length("the offset");
        const bool less = in.take(back);
        if ((less || in.take(on)) && in.ahead() != "of") {
            out.ties[tie].distance = less ? -d : d;
            return;
        }
    }
    in.goTo(here);
}

bool Placing::facesSomething() const {
    for (const std::vector<Tie>* list : {&subject.ties, &std::as_const(out.ties)})
        for (const Tie& t : *list)
            if (t.fixesTurn())
                return true;
    return false;
}

bool Placing::overlapsAlong(const Target& t) const {
    const Placed* own = scene.inPlan(subject.id);
    const Placed* other = t.is == Target::Is::piece ? scene.inPlan(t.piece) : nullptr;
    if (own == nullptr || other == nullptr)
        return true; // a new one begins before its middle
    const Vec2 along = other->pose.right();
    const double apart = std::abs(dot(own->pose.at - other->pose.at, along));
    return apart < (subject.size.width + scene.pieceById(t.piece)->size.width).mm() / 2;
}

bool Placing::underside(Length height) {
    if (!subject.kind->underCeiling())
        in.failAhead("a place has two figures", "say it like: at 6' 2\", 4' 0\"");
    Tie& high = add(Tie::Kind::height);
    high.level = Level::bottom;
    high.distance = height;
    return true;
}

void Placing::aLittle() {
    if (in.take({"a bit", "a little", "a little bit", "a touch", "slightly"}))
        in.slightly();
}

/// After "centre sofa": "on wall A", "in front of bookcase", "at 60".
void Placing::centredFirst() {
    const bool hangs = subject.kind->hangs();
    start = in.at();
    if (in.take({"at"}) && in.lengthAhead()) {
        if (!hangs)
            fault("centred on what?", "name a wall, an opening or a piece");
        Tie& t = add(Tie::Kind::height);
        t.level = Level::centre;
        t.distance = in.length("the height");
        return;
    }
    in.goTo(start);
    if (in.endOf("between") > 0 || (hangs && (in.endOf("over") > 0 || in.endOf("above") > 0)))
        return; // these are centred as they are
    if (in.endOf("in front of") > 0 || in.endOf("behind") > 0 ||
        (!hangs && (in.endOf("under") > 0 || in.endOf("beneath") > 0 || in.endOf("below") > 0))) {
        std::vector<const Phrase*> fine;
        for (const Phrase* p : allPhrases())
            if ((p->of.bits & saidOf(*subject.kind).bits) != 0)
                fine.push_back(p);
        clause(fine);
        // Under a window it is in the middle of that already.
        if (std::none_of(out.ties.begin(), out.ties.end(), [&](const Tie& t) {
                return t.kind == Tie::Kind::under ||
                       (t.kind == Tie::Kind::centredOn && t.of == last_);
            }))
            add(Tie::Kind::centredOn).of = last_;
        return;
    }
    in.take({"on", "in", "over", "under", "with", "to", "against", "along"});
    centred();
}

void Placing::centred() {
    Target of = last_;
    if (in.done() || in.rest().front() == ',') {
        // "centre it", under a window: on that.
        for (const Tie& t : subject.ties)
            if (of.is == Target::Is::none && t.kind == Tie::Kind::centredOn &&
                (t.of.is == Target::Is::window || t.of.is == Target::Is::piece))
                of = t.of;
        if (of.is == Target::Is::none)
            fault("centred on what?", "name a wall, an opening or a piece");
    } else {
        of = target();
    }
    if (of.is == Target::Is::corner)
        fault("a corner has no middle",
              subject.kind->hangs() ? "say “20 from left corner”" : "say “in corner AB”");
    add(Tie::Kind::centredOn).of = of;
    shift(out.ties.size() - 1, {"left", "back"}, {"right", "forward"});
}

/// "against wall A, under window 1" says the wall twice.
void Placing::onceOnly() {
    auto& all = out.ties;
    for (std::size_t i = 1; i < all.size();)
        if (std::find(all.begin(), all.begin() + static_cast<std::ptrdiff_t>(i), all[i]) !=
            all.begin() + static_cast<std::ptrdiff_t>(i))
            all.erase(all.begin() + static_cast<std::ptrdiff_t>(i));
        else
            ++i;
    dropWhatItFacesAnyway(all, *scene.room);
    // "on wall D, 20 from the wall": there, and so far off it.
    const auto backed = [&](const Tie& t, bool off) {
        return std::any_of(all.begin(), all.end(), [&](const Tie& o) {
            return o.kind == Tie::Kind::against && o.of == t.of && (o.distance > Length{}) == off;
        });
    };
    for (Tie& t : all)
        if (t.kind == Tie::Kind::fromWall && t.to != MeasuredTo::centre && backed(t, false))
            t.kind = Tie::Kind::against;
    for (std::size_t i = all.size(); i-- > 0;)
        if (const Tie t = all[i];
            t.kind == Tie::Kind::against && t.distance == Length{} && backed(t, true))
            all.erase(all.begin() + static_cast<std::ptrdiff_t>(i));
}

Length Placing::standing(Length usual) const {
    for (const auto& t : subject.ties)
        if (t.kind == Tie::Kind::fromPiece)
            return t.distance;
    return usual;
}

/// What stands beside a piece is centred along that one's depth, or has its back in line with a
/// bed's.
void Placing::settleSides() {
    // "left of the fireplace, facing sofa": at the wall, and turned as it looks.
    const auto usual = std::find_if(out.ties.begin(), out.ties.end(), [&](const Tie& t) {
        return usualWall_ && t.kind == Tie::Kind::against && t.of == *usualWall_;
    });
    if (usual != out.ties.end() && std::count_if(out.ties.begin(), out.ties.end(),
                                                 [](const Tie& t) { return t.fixesTurn(); }) > 1) {
        usual->kind = Tie::Kind::fromWall;
        // Turned it takes more of the wall, and keeps clear of what it is beside.
        const Length more = Length::millimetres(
            std::hypot(subject.size.width.mm(), subject.size.depth.mm()) - subject.size.width.mm());
        for (Tie& t : out.ties)
            if (t.kind == Tie::Kind::fromCorner)
                t.distance = std::max(Length{}, t.distance - more);
    }
    // In a corner and looking at something: near both walls, and turned as it looks.
    const auto corner = std::find_if(out.ties.begin(), out.ties.end(),
                                     [](const Tie& t) { return t.kind == Tie::Kind::inCorner; });
    const bool looks = std::any_of(out.ties.begin(), out.ties.end(),
                                   [](const Tie& t) { return t.kind == Tie::Kind::facing; });
    if (corner != out.ties.end() && looks) {
        const int walls = static_cast<int>(scene.room->walls.size());
        const int next = corner->of.index;
        Tie second;
        second.kind = corner->kind = Tie::Kind::fromWall;
        corner->of = wallTarget(next);
        second.of = wallTarget((next + walls - 1) % walls);
        out.ties.push_back(second);
    }
    // Between two windows: its back to their wall.
    if (out.ties.size() == 1 && out.ties.front().kind == Tie::Kind::centredBetween &&
        subject.kind->takesFloor() && !out.step) {
        const auto wallWith = [&](const Target& t) {
            return t.is == Target::Is::piece || t.is == Target::Is::wall ? std::nullopt
                                                                         : wallOf(t, scene);
        };
        const auto both = wallWith(out.ties.front().of);
        if (both && wallWith(out.ties.front().also) == both)
            add(Tie::Kind::against).of = wallTarget(*both);
    }
    if (alongside_) {
        // A figure before it, or another tie, says where it is along.
        const bool fixed = std::count_if(out.ties.begin(), out.ties.end(),
                                         [](const Tie& t) { return t.fixesPlace(); }) > 1;
        const Piece* other = scene.pieceById(alongside_->piece);
        if (!fixed && other != nullptr && other->on.isFloor() && !subject.kind->flat() &&
            !other->kind->flat()) {
            Tie t;
            t.kind = Tie::Kind::centredOn;
            t.of = *alongside_;
            const bool beside = std::any_of(out.ties.begin(), out.ties.end(), [](const Tie& o) {
                return o.kind == Tie::Kind::fromPiece &&
                       (o.side == Side::left || o.side == Side::right);
            });
            t.distance = beside ? alongside(scene, *other, subject) + forward_ : Length{};
            out.ties.push_back(t);
            // From one wall to what stands at another: its back goes along with that.
            const auto leaves = [&](const Tie& was) {
                return was.kind == Tie::Kind::against &&
                       was.of.index != wallBehind(scene, other->id).value_or(was.of.index);
            };
            if (beside && std::any_of(subject.ties.begin(), subject.ties.end(), leaves) &&
                std::none_of(out.ties.begin(), out.ties.end(),
                             [](const Tie& o) { return o.fixesTurn(); })) {
                Tie turn;
                turn.kind = Tie::Kind::inLineWith;
                turn.of = *alongside_;
                out.ties.push_back(turn);
            }
        }
    }
    const auto beside = [&](const std::vector<Tie>& ties, const Target& of) -> const Tie* {
        const auto it = std::find_if(ties.begin(), ties.end(), [&](const Tie& t) {
            return t.kind == Tie::Kind::fromPiece && t.of == of;
        });
        return it == ties.end() ? nullptr : &*it;
    };
    for (Tie& t : out.ties) {
        if (t.kind != Tie::Kind::centredOn || t.of.is != Target::Is::piece)
            continue;
        const Tie* by = beside(out.ties, t.of);
        if (by == nullptr)
            by = beside(subject.ties, t.of);
        t.side = by != nullptr ? by->side : Side::front;
    }
}

} // namespace mezzet
