#include "site/card.h"

#include "edit/edit.h"
#include "fits/trying.h"
#include "geometry/gap.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "things/stock.h"

#include <algorithm>

namespace mezzet {

namespace {

constexpr int mostSteps = 24;
constexpr double leastShare = 0.75;
constexpr double mostShare = 1.35;
/// Nearer to a wall than this its back is not seen.
constexpr Length backToWall = Length::inches(6);

/// A piece at another size; what is its highest point stays so.
Piece sized(Piece p, const Size& size) {
    if (p.heights.top && p.heights.top == p.size.height)
        p.heights.top = size.height;
    p.size = size;
    return p;
}

bool isBought(const ListItem& i) {
    return i.state == ItemState::toFind || i.state == ItemState::chosen;
}

class CardMaker {
public:
    CardMaker(const Project& job, const Scene& scene, const GoesOn& goesOn)
        : job_(job), scene_(scene),
          goesOn_(goesOn), base_{std::make_shared<const Project>(job),
                                 std::make_shared<const Scene>(scene),
                                 judgeWhole(scene, *job.library.book, job.judgement)} {
        step_ = isMetric(job.notation.units) ? Length::centimetres(2) : Length::inches(1);
    }

    ShoppingCard make() {
        ShoppingCard card;
        const auto items = jobList(job_);
        card.total = totalsOf(items).all;
        if (const auto& budget = handedOver(job_).budget)
            card.left = *budget - card.total;
        for (const ListItem& i : items) {
            if (!isBought(i) || (!i.room.empty() && foldCase(i.room) != foldCase(job_.room->name)))
                continue;
            const bool stops = goesOn_ && !goesOn_();
            if (stops) {
                ++card.more;
                continue;
            }
            CardThing t = thing(i);
            if (CardThing* like = alike(card.things, t)) {
                takeIn(*like, t);
                continue;
            }
            if (card.things.size() >= mostCardThings) {
                ++card.more;
                continue;
            }
            card.things.push_back(std::move(t));
        }
        return card;
    }

    /// How the piece does at another size; the sentences of what that upsets.
    [[nodiscard]] Result<std::vector<std::string>> at(const Piece& p, const Size& size) const {
        const auto after = apply(job_, {"", {PutPiece{sized(p, size)}}, {}});
        if (!after)
            return after.problem();
        return upsetBy(base_, *after, judgedAfter(*after));
    }

    /// The doors a piece of that size comes in by, and those it doesn't, with why.
    void ways(const Piece& p, const Size& size, std::vector<std::string>& in,
              std::vector<std::string>& not_) const {
        if (!p.kind->takesFloor())
            return;
        Piece as = p;
        as.size = size;
        for (const Opening& o : scene_.room->openings) {
            if (o.kind == OpeningKind::window)
                continue;
            const auto through = throughDoor(job_, o, partsToCarry(as));
            if (through.fits)
                in.push_back(o.name());
            else
                not_.push_back(worded("{}: {}", o.name(), through.how));
        }
    }

private:
    /// One of the same kind and size that is on the card already, called the same but for a number.
    static CardThing* alike(std::vector<CardThing>& all, const CardThing& t) {
        const auto base = [](std::string_view name) {
            const auto end = name.find_last_not_of("0123456789 ");
            return foldCase(name.substr(0, end == std::string_view::npos ? 0 : end + 1));
        };
        for (CardThing& o : all)
            if (t.item.piece != 0 && o.item.piece != 0 && o.item.kind == t.item.kind &&
                o.item.size == t.item.size && o.colour == t.colour &&
                base(o.item.name) == base(t.item.name))
                return &o;
        return nullptr;
    }

    /// What does for both.
    static void takeIn(CardThing& all, const CardThing& t) {
        ++all.count;
        if (all.count == 2)
            all.item.name =
                all.item.name.substr(0, all.item.name.find_last_not_of("0123456789 ") + 1);
        for (auto side : {&CardThing::width, &CardThing::depth})
            if (all.*side && t.*side) {
                (all.*side)->least = std::max((all.*side)->least, (t.*side)->least);
                (all.*side)->most = std::min((all.*side)->most, (t.*side)->most);
            }
        if (all.backFinished && t.backFinished)
            all.backFinished = *all.backFinished || *t.backFinished;
        for (const std::string& no : t.notIn)
            if (std::find(all.notIn.begin(), all.notIn.end(), no) == all.notIn.end())
                all.notIn.push_back(no);
        std::erase_if(all.waysIn, [&](const std::string& way) {
            return std::find(t.waysIn.begin(), t.waysIn.end(), way) == t.waysIn.end();
        });
    }

    CardThing thing(const ListItem& i) {
        CardThing t;
        t.item = i;
        const Piece* p = i.piece != 0 ? scene_.scheme->byId(i.piece) : nullptr;
        if (p == nullptr)
            return t;
        t.colour = p->thing ? p->thing->colour : std::nullopt;
        if (p->isThing())
            t.colour = colourOf(*p);
        if (p->on.isCarried())
            return t;
        t.width = window(*p, &Size::width);
        t.depth = window(*p, p->onWall() ? &Size::height : &Size::depth);
        if (p->kind->takesFloor())
            t.backFinished = backSeen(*p);
        ways(*p, {t.width->most, p->onWall() ? p->size.depth : t.depth->most, p->size.height},
             t.waysIn, t.notIn);
        heights(*p, t);
        fits(*p, t);
        return t;
    }

    /// As long as nothing is upset that was right.
    SizeWindow window(const Piece& p, Length Size::*side) const {
        SizeWindow w{p.size.*side, p.size.*side, p.size.*side};
        const bool round = p.footprint.form == FootprintForm::oval &&
                           abs(p.outlineSize().width - p.outlineSize().depth) <= quiet;
        for (const int way : {1, -1}) {
            for (int n = 1; n <= mostSteps; ++n) {
                Size size = p.size;
                size.*side = size.*side + step_ * (way * n);
                if (round) {
                    size.width = size.*side;
                    (p.onWall() ? size.height : size.depth) = size.*side;
                }
                // Much less, or much more, and it is another thing.
                if (size.*side < p.size.*side * leastShare || size.*side > p.size.*side * mostShare)
                    break;
                const auto upset = at(p, size);
                if (!upset || !upset->empty())
                    break;
                (way > 0 ? w.most : w.least) = size.*side;
            }
        }
        return w;
    }

    bool backSeen(const Piece& p) const {
        const Placed* at = scene_.fromAbove(p.id);
        if (at == nullptr)
            return p.backFinished();
        const Vec2 back = at->pose.toRoom({0, -p.size.depth.mm() / 2});
        for (std::size_t i = 0; i < scene_.room->stretches(); ++i) {
            const Wall s = scene_.room->stretchAt(i);
            if (norm(nearestOn({s.start, s.end}, back) - back) < backToWall.mm())
                return false;
        }
        return true;
    }

    /// Heights that go with what is there: a chair with its table, a table with its seats.
    void heights(const Piece& p, CardThing& t) const {
        const Notation& n = job_.notation;
        if (p.heights.seat)
            t.heights.push_back(worded("seat {}", writeGap(*p.heights.seat, n)));
        if (p.heights.top)
            t.heights.push_back(worded("top {}", writeGap(*p.heights.top, n)));
        else if (p.kind->takesFloor())
            t.heights.push_back(worded("{} high", writeGap(p.size.height, n)));
        const Placed* at = scene_.fromAbove(p.id);
        if (at == nullptr || p.onWall())
            return;
        const auto near = [&](const Piece& o) {
            const Placed* where = scene_.fromAbove(o.id);
            return where != nullptr && o.id != p.id &&
                   gapBetween(at->shape, where->shape).clear() < Length::inches(24);
        };
        for (const Piece& o : scene_.scheme->pieces) {
            if (o.onWall() || o.on.isCeiling() || o.on.isCarried())
                continue;
            if (p.kind->role == Role::diningChair && o.kind->isSatInTo() && near(o))
                t.heights.push_back(worded("goes under {}, {} clear below", o.name,
                                           writeGap(o.kind->clearBelow, n)));
            if (p.kind->role == Role::sideTable && o.kind->isSeat() && o.heights.arm && near(o))
                t.heights.push_back(
                    worded("by the arm of {}, {}", o.name, writeGap(*o.heights.arm, n)));
            if (p.kind->role == Role::lowTable && o.kind->isSeat() && o.heights.seat && near(o))
                t.heights.push_back(
                    worded("before the seat of {}, {}", o.name, writeGap(*o.heights.seat, n)));
        }
        // Under a sill it stands before.
        for (const Opening& o : scene_.room->openings)
            if (o.kind == OpeningKind::window) {
                const Wall& w = scene_.room->walls.at(static_cast<std::size_t>(o.wall));
                const Shape sill = stretch({w.at(o.left), w.at(o.left + o.width)});
                if (gapBetween(at->shape, sill).clear() < Length::inches(12))
                    t.heights.push_back(
                        worded("before {}, its sill {} up", o.name(), writeGap(o.sill, n)));
            }
    }

    void fits(const Piece& p, CardThing& t) const {
        FitAnswer answer;
        if (p.kind->role == Role::diningTable) {
            TableAsked asked;
            asked.near = scene_.fromAbove(p.id)->pose.at;
            asked.replace = p.id;
            answer = tablesThatFit(job_, asked, goesOn_);
        } else if (p.kind->role == Role::sofa) {
            for (const Tie& tie : p.ties)
                if (tie.kind == Tie::Kind::against && tie.of.is == Target::Is::wall) {
                    const auto base = baseWithout(job_, {p.id});
                    if (base)
                        answer = sofasThatFit(*base->job, tie.of.index, goesOn_);
                }
        } else if (p.kind->role == Role::rug && !(p.rug && p.rug->fit)) {
            std::vector<int> seats;
            const Placed* at = scene_.fromAbove(p.id);
            for (const Piece& o : scene_.scheme->pieces)
                if (const Placed* where = scene_.fromAbove(o.id);
                    where != nullptr && o.kind->isSeat() && !o.onWall() &&
                    gapBetween(at->shape, where->shape).clear() <= Length{})
                    seats.push_back(o.id);
            if (!seats.empty())
                if (const auto base = baseWithout(job_, {p.id}))
                    answer = rugsThatHold(*base->job, seats, goesOn_);
        }
        for (std::size_t i = 0; i < std::min<std::size_t>(3, answer.choices.size()); ++i)
            t.fits.push_back(answer.choices[i].title);
    }

    const Project& job_;
    const Scene& scene_;
    const GoesOn& goesOn_;
    Base base_;
    Length step_;
};

} // namespace

ShoppingCard shoppingCard(const Project& job, const Scene& scene, const GoesOn& goesOn) {
    return CardMaker(job, scene, goesOn).make();
}

Result<FoundOne> doesThisOneFit(const Project& job, const Scene& scene, int piece,
                                const Size& size) {
    const Piece* p = scene.scheme->byId(piece);
    if (p == nullptr)
        return Problem{std::string(told("that piece is gone")), ""};
    const GoesOn none;
    const CardMaker maker(job, scene, none);
    auto upsets = maker.at(*p, size);
    if (!upsets)
        return upsets.problem();
    FoundOne out;
    out.upsets = std::move(*upsets);
    out.fits = out.upsets.empty();
    maker.ways(*p, size, out.waysIn, out.notIn);
    out.edit.words = worded("{} as found", p->name);
    out.edit.acts.emplace_back(PutPiece{sized(*p, size)});
    return out;
}

} // namespace mezzet
