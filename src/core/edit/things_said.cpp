// Things put on shelves and tables, several at once, each where there is room.
#include "edit/things_said.h"

#include "edit/described.h"
#include "edit/things_where.h"
#include "geometry/shape.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/surfaces.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

constexpr int mostAtOnce = 60;
constexpr double touch = 0.05; // mm

/// A stretch of a board that a thing takes, from above.
struct Taken {
    int id = 0;
    double left = 0;
    double right = 0;
    double back = 0;
    double front = 0;
};

/// The board things are put on: its own x and y, and what is on it.
struct BoardNow {
    SurfaceId on;
    Box box;
    double clear = 0; ///< mm over it; of a top as good as none
    std::vector<Taken> taken;
    std::string name;
};

class ThingsReader {
public:
    ThingsReader(WordsReader& words, const Scene& scene)
        : in(words), scene_(scene), scheme_(words.scheme()) {}

    /// Whether the line is this reader's; what it puts, or moves, is read then.
    bool begins() {
        const std::size_t start = in.at();
        lean_ = in.take({"lean", "prop"});
        if (!lean_ && in.endOf("stack of") == 0)
            in.take({"stack", "put", "place", "stand", "lay", "add", "set"});
        // "move" is another reader's; a thing that is there goes by its whole name.
        const std::size_t noun = in.at();
        if (in.endOf("a") == 0 && in.endOf("an") == 0 && in.nameAhead()) {
            in.article();
            try {
                if (const int id = in.piece(); id != 0 && scheme_.byId(id)->isThing())
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
        if (!begins())
            return {};
        said_ = readWhere(in, scene_);
        if (lean_ && !said_.lies)
            said_.lies = Lies::leaning;
        return moved_ == 0 ? placeNew(*described_, start) : moveThere(moved_, start);
    }

private:
    /// Whether the rest of the line places things as only this reader does.
    bool isMine(const std::optional<Described>& d, bool lean) {
        const auto rest = " " + foldCase(in.rest()) + " ";
        const auto has = [&](std::string_view w) { return rest.find(w) != std::string::npos; };
        const bool bare = has(" opening ") || has(" riser") || has(" lying") || has("widest") ||
                          has(" as a group") || has(" forward") || has("spine") || has("jacket");
        const bool form =
            d && (d->form == Described::Form::stack || d->stock != nullptr ||
                  (d->kind->thing->sort == ThingSort::book && d->kind->id != "books"));
        if (bare || form || lean)
            return true;
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
                if (thingHere(in) != 0)
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
        return mine;
    }

    // ---- what is put ----

    Edit placeNew(const Described& d, std::size_t start) {
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
            const bool book = p.isBook() && p.kind->id != "books";
            if (book && (told.lies == Lies::lying || d.form == Described::Form::stack)) {
                told.lies = Lies::lying;
                p.size = turnedOver(p.size);
            }
            p.heights.top.reset();
            p.thing = std::make_shared<const ThingTold>(std::move(told));
            all.push_back(std::move(p));
        }
        // What lies is piled, unless it was said to be in a row.
        const bool books = d.kind->thing->sort == ThingSort::book && d.kind->id != "books";
        const bool piled = d.count > 1 && (d.form == Described::Form::stack ||
                                           (books && liesOf(all.front()) == Lies::lying));
        if (piled && !said_.coverShows)
            std::stable_sort(all.begin(), all.end(), [](const Piece& a, const Piece& b) {
                return a.size.width * b.size.depth.mm() > b.size.width * a.size.depth.mm() &&
                       a.size.width.mm() * a.size.depth.mm() >
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
        ThingTold told;
        if (p.thing)
            told = *p.thing;
        tellOf(told);
        if (said_.lies && *said_.lies != told.lies) {
            if (p.isBook() && (*said_.lies == Lies::lying) != (told.lies == Lies::lying))
                p.size = turnedOver(p.size);
            told.lies = *said_.lies;
        }
        p.thing = std::make_shared<const ThingTold>(std::move(told));
        if (!said_.name.empty())
            p.name = std::exchange(said_.name, {});
        if (!said_.on && said_.beside == 0 && p.on.isCarried())
            said_.on = p.on;
        return put({std::move(p)}, false, start);
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
            lay(placed, start);
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
            caution(all, e);
            return e;
        }
        if (piled) {
            double high = 0;
            for (const Piece& p : all)
                high += p.size.height.mm();
            auto base = std::vector<Piece>{all.front()};
            lay(base, start, high);
            all.front() = base.front();
            for (std::size_t i = 1; i < all.size(); ++i) {
                all[i].on = onTop(next + static_cast<int>(i) - 1);
                all[i].ties.clear();
                all[i].pose = {};
            }
        } else {
            lay(all, start);
        }
        for (const Piece& p : all)
            e.acts.emplace_back(PutPiece{p});
        e.words = all.size() == 1 ? worded("{}", all.front().name)
                                  : worded("{} and {} more", all.front().name, all.size() - 1);
        caution(all, e);
        return e;
    }

    /// What is to be said where such a thing goes.
    void caution(const std::vector<Piece>& all, Edit& e) const {
        std::vector<std::string> said;
        for (const Piece& p : all) {
            if (!p.kind->caution.empty())
                said.push_back(p.kind->caution);
            constexpr double heavy = 7;   // kg
            constexpr double high = 1500; // mm
            if (kilogramsOf(p) > heavy && p.on.is == SurfaceId::Is::opening)
                if (const auto s = surfaceOf(scene_, p.on); s && s->origin.z > high)
                    said.push_back(worded("{} is heavy, and stands high: put it lower, and fix "
                                          "the unit to the wall",
                                          p.name));
        }
        for (auto& s : said)
            if (std::find(e.notices.begin(), e.notices.end(), s) == e.notices.end())
                e.notices.push_back(std::move(s));
    }

    /// How high it is clear over a surface: in an opening up to the board over it, whatever stands
    /// between; mm.
    double clearOver(SurfaceId on) const {
        const auto surface = surfaceOf(scene_, on);
        if (!surface)
            return 1e9;
        const Piece* carrier = scheme_.byId(on.piece);
        if (carrier == nullptr || !carrier->isThing())
            return surface->clear.mm();
        const SurfaceId board = scheme_.byId(baseUnder(scheme_, on.piece))->on;
        const auto under = board.isCarried() ? surfaceOf(scene_, board) : std::nullopt;
        return under ? under->origin.z + under->clear.mm() - surface->origin.z
                     : surface->clear.mm();
    }

    BoardNow boardNow(SurfaceId on) const {
        BoardNow b;
        b.on = on;
        const Piece& carrier = *scheme_.byId(on.piece);
        b.box = boardOf(carrier, on);
        b.name = words(on, in.job().wording());
        b.clear = clearOver(on);
        for (std::size_t i = 0; i < scheme_.pieces.size(); ++i) {
            const Piece& p = scheme_.pieces[i];
            if (p.on != on)
                continue;
            const Box of = bounds(scene_.all[i].shape);
            b.taken.push_back({p.id, of.low.x, of.high.x, of.low.y, of.high.y});
        }
        return b;
    }

    [[nodiscard]] static const Taken* takenBy(const BoardNow& b, int id) {
        for (const Taken& t : b.taken)
            if (t.id == id)
                return &t;
        return nullptr;
    }

    /// Gives each its place on the board, side by side. `high`: of what is piled on the first.
    void lay(std::vector<Piece>& all, std::size_t start, double high = 0) {
        SurfaceId on;
        int beside = 0;
        if (said_.beside != 0) {
            beside = baseUnder(scheme_, said_.beside);
            on = scheme_.byId(beside)->on;
            if (said_.on && *said_.on != on && said_.on->isCarried())
                in.fail(start, in.at() - start,
                        worded("{} is not there", scheme_.byId(said_.beside)->name),
                        "say one place only");
        } else if (said_.on) {
            on = *said_.on;
        } else {
            in.fail(start, std::max<std::size_t>(in.at() - start, 1), "where do they go?",
                    "say it like: in opening 2 of bookcase, or: on console");
        }
        BoardNow b = boardNow(on);
        for (const Piece& p : all)
            std::erase_if(b.taken, [&](const Taken& t) { return t.id == p.id; });
        for (Piece& p : all) {
            fits(p, b, high > 0 ? high : p.size.height.mm(), start);
            p.on = on;
            p.ties.clear();
            p.pose = {};
        }
        if (said_.eitherSide && all.size() == 2) {
            const Taken& t = *takenBy(b, beside);
            const double gap = said_.gap.value_or(usualGap(all.front())).mm();
            settle(all[0], b, t.left - gap - all[0].size.width.mm(), &t, Side::left, gap, 0);
            settle(all[1], b, t.right + gap, &t, Side::right, gap,
                   said_.oneForward.value_or(Length{}).mm());
            inside(all, b, start);
            return;
        }
        double wide = 0;
        const double gap =
            said_.beside == 0 && said_.gap ? said_.gap->mm() : (said_.group ? 12.7 : 0);
        for (const Piece& p : all)
            wide += p.size.width.mm();
        wide += gap * static_cast<double>(all.size() - 1);
        double deep = 0;
        for (const Piece& p : all)
            deep = std::max(deep, p.size.depth.mm());
        if (wide > b.box.high.x - b.box.low.x + touch)
            in.fail(
                start, in.at() - start,
                worded("they are {} wide, and there is {} {}",
                       writeGap(Length::millimetres(wide), in.job().notation),
                       writeGap(Length::millimetres(b.box.high.x - b.box.low.x), in.job().notation),
                       b.name),
                "say fewer, or a wider place");
        const Taken* by = beside != 0 ? takenBy(b, beside) : nullptr;
        double x = 0;
        std::optional<Side> side = said_.side;
        double off = said_.beside != 0 ? said_.gap.value_or(usualGap(all.front())).mm() : 0;
        if (by != nullptr && said_.between != 0) {
            const Taken* other = takenBy(b, baseUnder(scheme_, said_.between));
            if (other == nullptr)
                in.fail(start, in.at() - start, "these two don't stand on one board",
                        "name two things side by side");
            const Taken& l = by->left <= other->left ? *by : *other;
            const Taken& r = by->left <= other->left ? *other : *by;
            x = (l.right + r.left - wide) / 2;
            by = nullptr;
        } else if (by != nullptr && side) {
            x = *side == Side::left    ? by->left - off - wide
                : *side == Side::right ? by->right + off
                                       : (by->left + by->right - wide) / 2;
        } else if (said_.fromLeft) {
            x = b.box.low.x + said_.fromLeft->mm();
        } else if (said_.fromRight) {
            x = b.box.high.x - said_.fromRight->mm() - wide;
        } else {
            x = freeAlong(b, wide, deep, depthOf(all.front(), b), start);
        }
        double at = x;
        for (std::size_t i = 0; i < all.size(); ++i) {
            const double forward = (i == 1 ? said_.oneForward.value_or(Length{}).mm() : 0) +
                                   said_.forward.value_or(Length{}).mm();
            settle(all[i], b, at, i == 0 ? by : nullptr, side, off, forward);
            at += all[i].size.width.mm() + gap;
        }
        inside(all, b, start);
    }

    [[nodiscard]] Length usualGap(const Piece& p) const {
        return p.isBook() || said_.side == Side::front || said_.side == Side::behind
                   ? Length{}
                   : Length::inches(0.5);
    }

    void fits(const Piece& p, const BoardNow& b, double high, std::size_t start) {
        const Notation& n = in.job().notation;
        if (high > b.clear + touch)
            in.fail(start, in.at() - start,
                    worded("{} is {} high, and it is {} clear {}", p.name,
                           writeGap(Length::millimetres(high), n),
                           writeGap(Length::millimetres(b.clear), n), b.name),
                    "lay it down, or take a higher opening");
        const double deep = b.box.high.y - b.box.low.y;
        const double wide = b.box.high.x - b.box.low.x;
        // A thing may reach over the one it stands on.
        const Piece* carrier = scheme_.byId(b.on.piece);
        if (carrier != nullptr && carrier->isThing())
            return;
        if (p.size.depth.mm() > deep + touch)
            in.fail(start, in.at() - start,
                    worded("{} is {} deep, and it is {} deep {}", p.name, writeGap(p.size.depth, n),
                           writeGap(Length::millimetres(deep), n), b.name),
                    "turn it, or take a deeper shelf");
        if (p.size.width.mm() > wide + touch)
            in.fail(start, in.at() - start,
                    worded("{} is {} wide, and it is {} wide {}", p.name, writeGap(p.size.width, n),
                           writeGap(Length::millimetres(wide), n), b.name),
                    "take a wider place");
    }

    /// How far its back is from the back of the board, mm.
    [[nodiscard]] double depthOf(const Piece& p, const BoardNow& b) const {
        const double deep = b.box.high.y - b.box.low.y;
        const double own = p.size.depth.mm();
        if (said_.fromBack)
            return said_.fromBack->mm();
        if (said_.fromFront)
            return deep - own - said_.fromFront->mm();
        switch (said_.depth) {
        case Depth::back:
            return 0;
        case Depth::front:
            return deep - own;
        case Depth::middle:
            return (deep - own) / 2;
        case Depth::unsaid:
            break;
        }
        return liesOf(p) == Lies::leaning ? 0 : (deep - own) / 2;
    }

    /// Where so wide a thing is free along a board, as the line wants it: from its left end, mm.
    double freeAlong(const BoardNow& b, double wide, double deep, double fromBack,
                     std::size_t start) {
        const double low = b.box.low.x;
        const double high = b.box.high.x;
        const double back = b.box.low.y + fromBack;
        const auto clear = [&](double x) {
            return std::none_of(b.taken.begin(), b.taken.end(), [&](const Taken& t) {
                return t.left < x + wide - touch && t.right > x + touch &&
                       t.back < back + deep - touch && t.front > back + touch;
            });
        };
        std::vector<double> tried{low, high - wide, (low + high - wide) / 2};
        for (const Taken& t : b.taken)
            for (const double x : {t.right, t.left - wide})
                if (x > low - touch && x < high - wide + touch)
                    tried.push_back(x);
        const Piece* carrier = scheme_.byId(b.on.piece);
        const bool onThing = carrier != nullptr && carrier->isThing();
        const double wanted = said_.along == Along::right ? high - wide
                              : said_.along == Along::middle ||
                                      (said_.along == Along::unsaid && (b.taken.empty() || onThing))
                                  ? (low + high - wide) / 2
                                  : low;
        const auto better = [&](double a, double c) {
            return std::abs(a - wanted) < std::abs(c - wanted);
        };
        std::stable_sort(tried.begin(), tried.end(), better);
        for (const double x : tried)
            if (clear(x))
                return x;
        in.fail(start, std::max<std::size_t>(in.at() - start, 1),
                worded("there is no room left {}", b.name),
                "take something away, or name another place");
    }

    /// Its place, tied where the line ties it.
    void settle(Piece& p, const BoardNow& b, double left, const Taken* by, std::optional<Side> side,
                double gap, double forward) const {
        const double wide = p.size.width.mm();
        const double own = p.size.depth.mm();
        double back = b.box.low.y + depthOf(p, b);
        Tie t;
        if (by != nullptr && side && (*side == Side::left || *side == Side::right)) {
            t.kind = Tie::Kind::fromPiece;
            t.of = pieceTarget(by->id);
            t.side = *side;
            t.distance = Length::millimetres(gap);
            p.ties.push_back(t);
        } else if (by != nullptr && side) {
            t.kind = Tie::Kind::fromPiece;
            t.of = pieceTarget(by->id);
            t.side = *side;
            t.distance = Length::millimetres(gap);
            p.ties.push_back(t);
            back = *side == Side::front ? by->front + gap : by->back - gap - own;
        } else if (said_.fromLeft || said_.fromRight ||
                   (said_.along == Along::left && left < b.box.low.x + touch) ||
                   (said_.along == Along::right && left + wide > b.box.high.x - touch)) {
            const bool fromLeft =
                said_.fromLeft || (!said_.fromRight && said_.along == Along::left);
            t.kind = Tie::Kind::fromEdge;
            t.side = fromLeft ? Side::left : Side::right;
            t.distance =
                Length::millimetres(fromLeft ? left - b.box.low.x : b.box.high.x - left - wide);
            p.ties.push_back(t);
        }
        const bool behindSaid = said_.fromBack || said_.depth == Depth::back;
        const bool frontSaid = said_.fromFront || said_.depth == Depth::front;
        if ((behindSaid || frontSaid) && forward == 0) {
            Tie d;
            d.kind = Tie::Kind::fromEdge;
            d.side = behindSaid ? Side::behind : Side::front;
            d.distance =
                behindSaid ? said_.fromBack.value_or(Length{}) : said_.fromFront.value_or(Length{});
            p.ties.push_back(d);
        }
        p.pose.at = {left + wide / 2, back + own / 2 + forward};
    }

    /// Faults for what would stand beyond the board.
    void inside(const std::vector<Piece>& all, const BoardNow& b, std::size_t start) {
        const Piece* carrier = scheme_.byId(b.on.piece);
        if (carrier != nullptr && carrier->isThing())
            return;
        for (const Piece& p : all) {
            const double x = p.pose.at.x;
            const double y = p.pose.at.y;
            const double over = std::max({b.box.low.x - (x - p.size.width.mm() / 2),
                                          x + p.size.width.mm() / 2 - b.box.high.x,
                                          b.box.low.y - (y - p.size.depth.mm() / 2),
                                          y + p.size.depth.mm() / 2 - b.box.high.y});
            if (over > touch)
                in.fail(start, in.at() - start,
                        worded("{} would reach {} over the edge {}", p.name,
                               writeGap(Length::millimetres(over), in.job().notation), b.name),
                        "say another place");
        }
    }

    WordsReader& in;
    const Scene& scene_;
    const Scheme& scheme_;
    WhereSaid said_;
    bool lean_ = false;
    int moved_ = 0; ///< a thing that is there
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
