// Things put on shelves and tables, several at once, each where there is room.
#include "edit/things_said.h"

#include "edit/carried.h"
#include "edit/described.h"
#include "edit/things_lay.h"
#include "geometry/shape.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/surfaces.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

constexpr int mostAtOnce = 60;

class ThingsReader {
public:
    ThingsReader(WordsReader& words, const Scene& scene)
        : in(words), scene_(scene), scheme_(words.scheme()) {}

    /// Whether the line is this reader's; what it puts, or moves, is read then.
    bool begins() {
        const std::size_t start = in.at();
        if (in.take({"sprinkle", "scatter"})) {
            in.goTo(start);
            return true;
        }
        lean_ = in.take({"lean", "prop"});
        if (!lean_ && in.endOf("stack of") == 0)
            in.take({"stack", "put", "place", "stand", "lay", "add", "set", "stick", "pop", "drop",
                     "slip", "fit"});
        // "move" is another reader's; a thing that is there goes by its whole name.
        const bool another = in.take({"another", "one more", "a second"});
        const std::size_t noun = in.at();
        if (!another && in.endOf("a") == 0 && in.endOf("an") == 0 && in.nameAhead()) {
            in.article();
            try {
                const int id = in.piece();
                if (id != 0 && !scheme_.byId(id)->isThing()) {
                    in.goTo(start);
                    return false;
                }
                if (id != 0 && !sizesAhead())
                    moved_ = id;
            } catch (const LineFault&) {
                moved_ = 0;
            }
        }
        if (moved_ == 0) {
            in.goTo(noun);
            described_ = readDescribed(in);
        }
        const std::size_t clauses = in.at();
        if ((moved_ == 0 && !described_) || !isMine(described_, lean_)) {
            in.goTo(start);
            return false;
        }
        in.goTo(clauses);
        return true;
    }

    std::optional<Edit> read() {
        const std::size_t start = in.at();
        if (in.take({"sprinkle", "scatter"}))
            return sprinkle(start);
        if (!begins())
            return {};
        try {
            said_ = readWhere(in, scene_,
                              described_             ? described_->kind
                              : scheme_.byId(moved_) ? scheme_.byId(moved_)->kind
                                                     : nullptr);
        } catch (const LineFault&) {
            // Books go elsewhere too, in other readers' words.
            if (!byFormOnly_)
                throw;
            in.goTo(start);
            return {};
        }
        if (byFormOnly_ && !said_.on && said_.beside == 0 &&
            described_->form != Described::Form::stack) {
            in.goTo(start);
            return {};
        }
        if (lean_ && !said_.lies)
            said_.lies = Lies::leaning;
        // Cushions and throws lie against a seat's back.
        if (described_ && described_->kind->isSoft() && said_.on &&
            said_.on->is == SurfaceId::Is::top && !said_.fromBack && !said_.forward)
            if (const Piece* seat = scheme_.byId(said_.on->piece);
                seat != nullptr && seat->kind->isSeat())
                said_.fromBack = Length{};
        return moved_ == 0 ? placeNew(*described_, start) : moveThere(moved_, start);
    }

private:
    /// A top where something stands already, or an end of one: a place is looked for there.
    bool amongOthers() {
        const int id = in.piece();
        const Piece* p = scheme_.byId(id);
        if (p == nullptr || p->openings() > 0)
            return false;
        if (p->kind->takesSoft())
            return described_ && described_->kind->isSoft();
        if (!p->kind->hasTop())
            return false;
        const bool others = std::any_of(scheme_.pieces.begin(), scheme_.pieces.end(),
                                        [&](const Piece& o) { return o.on == onTop(id); });
        if (in.done())
            return others;
        return in.comma() &&
               in.take({"left", "right", "at the left", "at the right", "at the back",
                        "at the front", "in the middle"}) &&
               in.done();
    }

    /// "9 x 6 x 1": what has sizes after its name is a new one.
    bool sizesAhead() {
        const std::size_t at = in.at();
        bool sizes = false;
        if (in.lengthAhead()) {
            (void)in.length("the size");
            sizes = in.endOf("x") > 0 || in.endOf("by") > 0 || in.endOf("dia") > 0;
        }
        in.goTo(at);
        return sizes;
    }

    /// Whether the rest of the line places things as only this reader does.
    bool isMine(const std::optional<Described>& d, bool lean) {
        const auto rest = " " + foldCase(in.rest()) + " ";
        const bool byDiameter = foldCase(in.text()).find(" dia ") != std::string::npos;
        const auto has = [&](std::string_view w) { return rest.find(w) != std::string::npos; };
        // What is of the room is another reader's.
        for (const std::string_view w :
             {" wall", " corner", " eye level", " window", " door", " floor"})
            if (has(w))
                return false;
        const bool units = std::any_of(scheme_.pieces.begin(), scheme_.pieces.end(),
                                       [](const Piece& p) { return p.openings() > 0; });
        const bool bare = (has(" opening ") && units) || has(" riser") || has(" lying") ||
                          has("widest") || has(" as a group") || has(" forward") || has("spine") ||
                          has("jacket") || byDiameter;
        // A colour or a material is this reader's too.
        const bool told =
            d && d->stock == nullptr && (d->colour || !d->material.empty() || !d->finish.empty());
        if (bare || lean || told)
            return true;
        const bool form = d && (d->form == Described::Form::stack || d->stock != nullptr ||
                                d->kind->thing->sort == ThingSort::book);
        // Beside, on or before another thing.
        const std::size_t start = in.at();
        bool mine = false;
        while (!in.done() && !mine) {
            if (in.comma())
                continue;
            const std::size_t at = in.at();
            const bool on = in.take({"on top of", "on"});
            if (on || in.take({"in front of", "behind", "left of", "right of", "either side of",
                               "between", "beside", "next to"})) {
                const std::size_t name = in.at();
                in.article();
                if (thingHere(in) != 0 || (on && amongOthers()))
                    mine = true;
                else
                    in.goTo(name);
            } else {
                in.word();
            }
            if (in.at() == at)
                break;
        }
        in.goTo(start);
        byFormOnly_ = form && !mine && d->form != Described::Form::stack;
        return mine || form;
    }

    /// "sprinkle 4 brass spheres over bookcase", "over openings 1 to 6": one to an opening, apart.
    Edit sprinkle(std::size_t start) {
        const auto d = readDescribed(in);
        if (!d)
            in.failAhead("that is no kind of thing that stands on a shelf",
                         "say it like: sprinkle 4 brass spheres over bookcase");
        if (!in.take({"over", "among", "through", "across", "in"}))
            in.failAhead("over what?", "say it like: over bookcase, or: over openings 1 to 6");
        int from = 0;
        int to = 0;
        if (in.take({"openings", "opening", "shelves"})) {
            if (!in.takeCount(from) || !in.take({"to", "-"}) || !in.takeCount(to))
                in.failAhead("over which openings?", "say it like: over openings 1 to 6");
            in.take({"of", "in"});
        }
        const std::size_t at = in.at();
        in.article();
        int unit = in.done() ? 0 : in.piece();
        if (unit == 0)
            for (const Piece& p : scheme_.pieces)
                if (p.openings() > 0)
                    unit = unit == 0 ? p.id : -1;
        const Piece* p = scheme_.byId(unit);
        if (p == nullptr || p->openings() == 0)
            in.fail(at, std::max<std::size_t>(in.at() - at, 1), "over which piece with openings?",
                    "say it like: over bookcase");
        in.nothingMore();
        from = from == 0 ? 1 : from;
        to = to == 0 ? p->openings() : to;
        if (from < 1 || to > p->openings() || from > to)
            in.fail(at, std::max<std::size_t>(in.at() - at, 1),
                    worded("{} has {} openings", p->name, p->openings()), "say some of them");
        const int there = to - from + 1;
        if (d->count > there)
            in.fail(start, in.at() - start, worded("there are {} openings for them", there),
                    "say fewer");
        Edit e;
        auto all = made(*d, start);
        int next = from;
        for (int i = 0; i < d->count; ++i) {
            // Evenly apart; where one has no room the next opening is tried.
            int opening = std::max(next, from + (2 * i + 1) * there / (2 * d->count));
            for (;; ++opening) {
                if (opening > to)
                    in.fail(start, in.at() - start, "there is no room left for all of them there",
                            "say fewer, or other openings");
                said_ = {};
                said_.on = inOpening(unit, opening);
                said_.along = opening % 2 == 0 ? Along::left : Along::right;
                std::vector<Piece> one{all[static_cast<std::size_t>(i)]};
                try {
                    layThings(in, scene_, said_, one, start);
                } catch (const LineFault&) {
                    continue;
                }
                e.acts.emplace_back(PutPiece{one.front()});
                break;
            }
            next = opening + 1;
        }
        e.words = worded("{} over {}", d->name, p->name);
        cautionOf(all, scene_, e);
        return e;
    }

    // ---- what is put ----

    /// So many of them as pieces, without a place.
    std::vector<Piece> made(const Described& d, std::size_t start) {
        if (d.count > mostAtOnce)
            in.fail(start, in.at() - start, worded("that is more than {} at once", mostAtOnce),
                    "say fewer");
        std::vector<Piece> all;
        std::vector<std::string> left;
        if (d.stock != nullptr) {
            left = leftOver({*d.stock}, scheme_);
            if (static_cast<int>(left.size()) < d.count)
                in.fail(start, in.at() - start,
                        worded("of {} {} are left", d.stock->name, left.size()),
                        "say fewer, or add to the stock");
        }
        // Names that no other thing has, nor one of these.
        std::vector<std::string> given;
        Scheme named = scheme_;
        for (int i = 0; i < d.count; ++i) {
            Piece p = d.stock != nullptr ? pieceOf(*d.stock, left[static_cast<std::size_t>(i)])
                                         : pieceOf(d.kind);
            ThingTold told;
            if (p.thing)
                told = *p.thing;
            if (d.stock == nullptr) {
                p.name = named.freeName(nameFor(d));
                named.pieces.push_back(p);
                if (d.kind->thing->sort == ThingSort::flat)
                    told.lies = Lies::leaning;
            }
            if (d.size)
                p.size = *d.size;
            if (d.colour)
                told.colour = d.colour;
            if (!d.material.empty())
                told.material = d.material;
            if (!d.finish.empty())
                told.finish = d.finish;
            if (const auto lies = said_.lies ? said_.lies : d.lies)
                told.lies = *lies;
            tellOf(told);
            const bool book = p.isBook();
            if (book && (told.lies == Lies::lying || d.form == Described::Form::stack)) {
                told.lies = Lies::lying;
                p.size = turnedOver(p.size);
            }
            p.heights.top.reset();
            p.thing = std::make_shared<const ThingTold>(std::move(told));
            all.push_back(std::move(p));
        }
        return all;
    }

    Edit placeNew(const Described& d, std::size_t start) {
        std::vector<Piece> all = made(d, start);
        // What lies is piled, unless it was said to be in a row.
        const bool books = d.kind->thing->sort == ThingSort::book;
        const bool piled = d.count > 1 && (d.form == Described::Form::stack ||
                                           (books && liesOf(all.front()) == Lies::lying));
        if (piled && !said_.coverShows)
            std::stable_sort(all.begin(), all.end(), [](const Piece& a, const Piece& b) {
                return a.size.width.mm() * a.size.depth.mm() >
                       b.size.width.mm() * b.size.depth.mm();
            });
        if (piled && said_.coverShows) {
            ThingTold top = *all.back().thing;
            top.coverShows = true;
            all.back().thing = std::make_shared<const ThingTold>(std::move(top));
        }
        return put(std::move(all), piled, start);
    }

    void tellOf(ThingTold& told) const {
        told.jacketOff = told.jacketOff || said_.jacketOff;
        told.spineIn = told.spineIn || said_.spineIn;
        told.papered = told.papered || said_.papered;
    }

    static std::string nameFor(const Described& d) {
        auto name = d.name.empty() ? d.kind->name : d.name;
        if (d.form != Described::Form::one)
            name = oneOf(std::move(name), *d.kind);
        name[0] = static_cast<char>(std::toupper(static_cast<unsigned char>(name[0])));
        return name;
    }

    Edit moveThere(int id, std::size_t start) {
        Piece p = *scheme_.byId(id);
        if (p.locked)
            in.fail(start, in.at() - start, worded("{} is locked", p.name),
                    worded("unlock it first: unlock {}", p.name));
        ThingTold now;
        if (p.thing)
            now = *p.thing;
        tellOf(now);
        if (said_.lies && *said_.lies != now.lies) {
            if (p.isBook() && (*said_.lies == Lies::lying) != (now.lies == Lies::lying))
                p.size = turnedOver(p.size);
            now.lies = *said_.lies;
        }
        p.thing = std::make_shared<const ThingTold>(std::move(now));
        if (!said_.name.empty())
            p.name = std::exchange(said_.name, {});
        if (!said_.on && said_.beside == 0 && p.on.isCarried())
            said_.on = p.on;
        std::vector<std::string> told_;
        for (const auto& [said, words] : {std::pair{said_.jacketOff, "its jacket off"},
                                          std::pair{said_.spineIn, "its spine in"},
                                          std::pair{said_.papered, "covered in paper"}})
            if (said)
                told_.emplace_back(told(words));
        const std::string name = p.name;
        Edit e = put({std::move(p)}, false, start);
        if (!told_.empty())
            e.words = worded("{}, {}", name, listed(told_));
        return e;
    }

    /// Finds the places, and makes the edit.
    Edit put(std::vector<Piece> all, bool piled, std::size_t start) {
        if (!said_.name.empty() && all.size() == 1)
            all.front().name = said_.name;
        Edit e;
        int next = scheme_.nextId;
        if (said_.newRiser) {
            Piece riser = pieceOf(in.job().library.kit->byId("riser"));
            riser.name = scheme_.freeName(riser.kind->name);
            riser.size.width = std::max(riser.size.width, all.front().size.width);
            riser.size.depth = std::max(riser.size.depth, all.front().size.depth);
            auto placed = std::vector<Piece>{riser};
            layThings(in, scene_, said_, placed, start);
            e.acts.emplace_back(PutPiece{placed.front()});
            for (Piece& p : all) {
                p.on = onTop(next);
                p.ties.clear();
                p.pose = {};
            }
            ++next;
            for (Piece& p : all)
                e.acts.emplace_back(PutPiece{p});
            e.words = worded("{} on a riser", all.front().name);
            cautionOf(all, scene_, e);
            return e;
        }
        if (piled) {
            double high = 0;
            for (const Piece& p : all)
                high += p.size.height.mm();
            auto base = std::vector<Piece>{all.front()};
            layThings(in, scene_, said_, base, start, high);
            all.front() = base.front();
            for (std::size_t i = 1; i < all.size(); ++i) {
                all[i].on = onTop(next + static_cast<int>(i) - 1);
                all[i].ties.clear();
                all[i].pose = {};
            }
        } else {
            // What is moved takes along what stands on it.
            const Piece* old = moved_ != 0 ? scheme_.byId(moved_) : nullptr;
            const double load =
                old != nullptr ? heightWithLoad(scheme_, moved_) - old->size.height.mm() : 0;
            layThings(in, scene_, said_, all, start,
                      load > 0 ? all.front().size.height.mm() + load : 0);
        }
        for (const Piece& p : all)
            e.acts.emplace_back(PutPiece{p});
        e.words = all.size() == 1 ? worded("{}", all.front().name)
                                  : worded("{} and {} more", all.front().name, all.size() - 1);
        cautionOf(all, scene_, e);
        return e;
    }

    WordsReader& in;
    const Scene& scene_;
    const Scheme& scheme_;
    WhereSaid said_;
    bool lean_ = false;
    bool byFormOnly_ = false; ///< it may be another reader's after all
    int moved_ = 0;           ///< a thing that is there
    std::optional<Described> described_;
};

} // namespace

bool isOfThings(std::string_view line, const Project& job) {
    const auto scene = sceneOf(job);
    if (!scene)
        return false;
    WordsReader in(line, job);
    try {
        return ThingsReader(in, **scene).begins();
    } catch (const LineFault&) {
        return true;
    }
}

std::optional<Edit> readThings(WordsReader& in, const Scene& scene) {
    return ThingsReader(in, scene).read();
}

} // namespace mezzet
