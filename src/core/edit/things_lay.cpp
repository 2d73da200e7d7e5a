// Places for things on a board, side by side, at its edges, beside others.
#include "edit/things_lay.h"

#include "measure/texts.h"
#include "scheme/surfaces.h"
#include "things/stock.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

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

class Laying {
public:
    Laying(WordsReader& words, const Scene& scene, const WhereSaid& said)
        : in(words), scene_(scene), scheme_(words.scheme()), said_(said) {}

    /// Gives each its place on the board, side by side. `high`: of what is piled on the first.
    void lay(std::vector<Piece>& all, std::size_t start, double high) {
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
        const Piece* under = scheme_.byId(on.piece);
        const bool onThing = under != nullptr && under->isThing();
        if (!onThing && wide > b.box.high.x - b.box.low.x + touch)
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

private:
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
        if (carrier != nullptr && carrier->isThing()) {
            // What is twice as wide or deep as what it stands on tips off.
            if (p.size.width.mm() > 2 * wide + touch || p.size.depth.mm() > 2 * deep + touch)
                in.fail(start, in.at() - start,
                        worded("{} would tip off {}", p.name, carrier->name),
                        "put it on something wider");
            return;
        }
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
        std::vector<double> tried{(low + high - wide) / 2};
        if (wide <= high - low + touch) {
            tried.push_back(low);
            tried.push_back(high - wide);
        }
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
        if (by != nullptr && side) {
            t.kind = Tie::Kind::fromPiece;
            t.of = pieceTarget(by->id);
            t.side = *side;
            t.distance = Length::millimetres(gap);
            p.ties.push_back(t);
            if (*side == Side::front)
                back = by->front + gap;
            else if (*side == Side::behind)
                back = by->back - gap - own;
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
    const WhereSaid& said_;
};

} // namespace

void layThings(WordsReader& in, const Scene& scene, const WhereSaid& said, std::vector<Piece>& all,
               std::size_t start, double high) {
    Laying(in, scene, said).lay(all, start, high);
}

void cautionOf(const std::vector<Piece>& all, const Scene& scene, Edit& e) {
    std::vector<std::string> said;
    for (const Piece& p : all) {
        constexpr double heavy = 7;   // kg
        constexpr double high = 1500; // mm
        if (kilogramsOf(p) > heavy && p.on.is == SurfaceId::Is::opening)
            if (const auto s = surfaceOf(scene, p.on); s && s->origin.z > high)
                said.push_back(worded("{} is heavy, and stands high: put it lower, and fix "
                                      "the unit to the wall",
                                      p.name));
    }
    for (auto& s : said)
        if (std::find(e.notices.begin(), e.notices.end(), s) == e.notices.end())
            e.notices.push_back(std::move(s));
}

} // namespace mezzet
