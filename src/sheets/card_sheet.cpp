// The shopping card: one fold of pocket size, and for a telephone's screen.
#include "measure/text.h"
#include "measure/texts.h"
#include "sheets/draw_things.h"
#include "sheets/drawing.h"
#include "sheets/paper_pen.h"
#include "sheets/plan_layout.h"
#include "sheets/sheet.h"
#include "sheets/tr.h"
#include "site/card.h"

#include <algorithm>

namespace mezzet::sheets {

namespace {

constexpr double cardWide = 148; ///< mm: A5 upright, folded once across
constexpr double cardHigh = 210;
constexpr double cardMargin = 7;

struct CardWork {
    Project job;
    ScenePtr scene;
    ShoppingCard card;
    std::string date;
    bool own = true; ///< with money; a shop has its own prices
};

std::string windowWords(const SizeWindow& w, const Notation& n) {
    if (w.most - w.least < Length::millimetres(1))
        return writeGap(w.best, n);
    return worded("{} to {}, best {}", writeGap(w.least, n), writeGap(w.most, n),
                  writeGap(w.best, n));
}

/// The lines under a thing's name.
std::vector<std::string> linesOf(const CardThing& t, const Notation& n, bool onWall) {
    std::vector<std::string> out;
    if (t.width)
        out.push_back(worded("wide {}", windowWords(*t.width, n)));
    if (t.depth)
        out.push_back(onWall ? worded("high {}", windowWords(*t.depth, n))
                             : worded("deep {}", windowWords(*t.depth, n)));
    if (!t.fits.empty())
        out.push_back(worded("fits: {}", listed(t.fits, "or")));
    if (!t.heights.empty())
        out.push_back(listed(t.heights));
    if (t.backFinished)
        out.push_back(std::string(*t.backFinished ? told("its back is seen: finished")
                                                  : told("its back is not seen")));
    if (!t.waysIn.empty())
        out.push_back(worded("comes in by {}", listed(t.waysIn)));
    for (const std::string& no : t.notIn)
        out.push_back(worded("not by {}", no));
    return out;
}

class CardPen : public PaperPen {
public:
    CardPen(QPainter& p, double k, const CardWork& w) : PaperPen(p, k), w_(w) {
        clear(cardWide, cardHigh);
    }

    /// The room small, the money, and room to write.
    void front() {
        const double width = cardWide - 2 * cardMargin;
        text({cardMargin, cardMargin, width, 7}, Qt::AlignLeft | Qt::AlignVCenter, q(w_.job.title),
             5, false, QFont::DemiBold);
        text({cardMargin, cardMargin + 7, width, 5}, Qt::AlignLeft | Qt::AlignVCenter,
             q(worded("{}, {}", w_.scene->room->name, w_.date)), 2.8, false, QFont::Normal,
             paperLook().soft);
        plan({cardMargin, cardMargin + 14, width, cardHigh / 2 - cardMargin - 30});
        if (w_.card.left && w_.own)
            text({cardMargin, cardHigh / 2 - 14, width, 6}, Qt::AlignLeft | Qt::AlignVCenter,
                 q(*w_.card.left >= 0 ? worded("Money left: {}", moneyText(*w_.card.left))
                                      : worded("Over the budget by {}", moneyText(-*w_.card.left))),
                 3.4, false, QFont::DemiBold);
        fold();
        double y = cardHigh / 2 + 4;
        text({cardMargin, y, width, 5}, Qt::AlignLeft | Qt::AlignVCenter,
             q(std::string(told("What was seen"))), 3.2, false, QFont::DemiBold);
        text({cardMargin, y + 5, width, 4}, Qt::AlignLeft | Qt::AlignVCenter,
             q(std::string(told("shop and thing, wide x deep x high, seat or top, price"))), 2.4,
             false, QFont::Normal, paperLook().soft);
        for (y += 18; y < cardHigh - cardMargin; y += 9)
            rule(cardMargin, y, cardWide - cardMargin, y, 0.12);
    }

    /// The things from one on, in two columns; which is next. Small enough letters are the
    /// caller's.
    std::size_t things(double letter) {
        const double gap = 6;
        const double column = (cardWide - 2 * cardMargin - gap) / 2;
        std::size_t i = 0;
        for (int part = 0; part < 4 && i < w_.card.things.size(); ++part) {
            // Left and right of the upper half, then of the lower one: a fold goes between.
            const double x = cardMargin + (part % 2) * (column + gap);
            const double top = part < 2 ? cardMargin : cardHigh / 2 + 4;
            const double end = part < 2 ? cardHigh / 2 - 4 : cardHigh - cardMargin - 5;
            double y = top;
            while (i < w_.card.things.size()) {
                const double high = heightOfThing(w_.card.things[i], column, letter);
                if (y + high > end && y > top)
                    break;
                if (y + high > end)
                    return i;
                thing(w_.card.things[i], x, y, column, letter);
                y += high;
                ++i;
            }
        }
        fold();
        const std::size_t more = w_.card.more + (w_.card.things.size() - i);
        if (more > 0)
            text({cardMargin, cardHigh - cardMargin - 4, cardWide - 2 * cardMargin, 4},
                 Qt::AlignLeft | Qt::AlignVCenter, q(worded("and {} more on the list", more)), 2.4,
                 false, QFont::Normal, paperLook().soft);
        return i;
    }

private:
    void fold() {
        p_.setPen(QPen(paperLook().soft, 0.1 * k_, Qt::DashLine));
        p_.drawLine(dev(0, cardHigh / 2), dev(cardWide, cardHigh / 2));
    }

    void plan(const QRectF& mm) {
        const Box b = w_.scene->room->bounds();
        const double around = 7;
        const double perMm = std::min((mm.width() - 2 * around) / b.size().x,
                                      (mm.height() - 2 * around) / b.size().y) *
                             k_;
        const QPointF middle = dev(mm).center();
        Labels labels(dev(mm));
        Drawing d{p_,     paperLook(), middle - QPointF(b.centre().x, b.centre().y) * perMm,
                  perMm,  k_ * 0.2,    w_.job.notation,
                  &labels};
        drawRoom(d, *w_.scene->room);
        drawPieces(d, FloorView(*w_.scene), true);
        drawWallLetters(d, *w_.scene->room, 5 * k_);
        PieceNames names;
        names.height = 2.0 * k_;
        names.withSizes = false;
        namePieces(d, FloorView(*w_.scene), names);
        labels.place();
        labels.draw(p_);
    }

    [[nodiscard]] bool onWall(const CardThing& t) const {
        const Piece* p = t.item.piece != 0 ? w_.scene->pieceById(t.item.piece) : nullptr;
        return p != nullptr && p->onWall();
    }

    [[nodiscard]] double heightOfThing(const CardThing& t, double width, double letter) const {
        double y = letter * 1.9;
        for (const std::string& line : linesOf(t, w_.job.notation, onWall(t)))
            y += heightOf(q(line), width - 3, letter) + 0.2;
        return y + letter * 0.9;
    }

    void thing(const CardThing& t, double x, double y, double width, double letter) {
        double in = 0;
        if (t.colour) {
            p_.setPen(QPen(paperLook().ink, 0.12 * k_));
            p_.setBrush(qcolor(*t.colour));
            p_.drawRect(dev(QRectF(x, y + letter * 0.35, letter, letter)));
            in = letter * 1.5;
        }
        std::string name = t.item.name;
        if (const int n = t.item.quantity * t.count; n != 1)
            name = worded("{}, {} of them", name, n);
        text({x + in, y, width * 0.76 - in, letter * 1.7}, Qt::AlignLeft | Qt::AlignVCenter,
             q(name), letter * 1.15, false, QFont::DemiBold);
        if (t.item.price && w_.own)
            text({x + width * 0.76, y, width * 0.24, letter * 1.7},
                 Qt::AlignRight | Qt::AlignVCenter, q(moneyText(*t.item.price)), letter, true);
        y += letter * 1.9;
        for (const std::string& line : linesOf(t, w_.job.notation, onWall(t)))
            y += wrapped(x + 1.5, y, width - 3, q(line), letter) + 0.2;
        rule(x, y + letter * 0.35, x + width, y + letter * 0.35, 0.06);
    }

    const CardWork& w_;
};

Result<Sheet> cardPages(const Project& job, const SheetOptions& o) {
    const auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    const auto goesOn = [&o] { return !o.goOn || o.goOn(0); };
    auto work = std::make_shared<CardWork>(
        CardWork{job, *scene, shoppingCard(job, **scene, goesOn), dateOr(o.date), o.mends});
    loadFonts();
    // The largest letters with which all goes on the card.
    QImage none(8, 8, QImage::Format_RGB32);
    QPainter scratch(&none);
    double letter = 2.7;
    for (; letter > 1.75; letter -= 0.15)
        if (CardPen(scratch, 0.1, *work).things(letter) == work->card.things.size())
            break;
    Sheet sheet{{cardWide, cardHigh, job.title + tr(", card"), {}, {}},
                tr("A5, folded once"),
                tr("to fit")};
    sheet.paper.pages.emplace_back([work](QPainter& p, double k) { CardPen(p, k, *work).front(); });
    sheet.paper.pages.emplace_back(
        [work, letter](QPainter& p, double k) { CardPen(p, k, *work).things(letter); });
    if (work->card.things.empty())
        sheet.told = std::string(told("nothing is to be found: all is had or ordered"));
    return sheet;
}

} // namespace

const SheetKind cardSheet{"card",
                          "Shopping card",
                          "For your pocket: the room small, and the sizes that would do.",
                          {},
                          cardPages};

Result<Printed> printCard(const Project& job, SheetOptions o, const std::filesystem::path& path) {
    if (formatOf(path) != Format::png)
        return printSheet(cardSheet, job, std::move(o), path);
    auto made = cardPages(job, o);
    if (!made)
        return made.problem();
    // One picture, a page under the other.
    const PaperJob pages = made->paper;
    PaperJob one{
        pages.width, pages.height * static_cast<double>(pages.pages.size()), pages.title, {}, {}};
    one.pages.emplace_back([pages](QPainter& p, double k) {
        for (std::size_t i = 0; i < pages.pages.size(); ++i) {
            p.save();
            p.translate(0, static_cast<double>(i) * pages.height * k);
            p.setClipRect(QRectF(0, 0, pages.width * k, pages.height * k));
            pages.pages[i](p, k);
            p.restore();
        }
    });
    const auto printed = printPages(one, path);
    if (!printed)
        return printed.problem();
    return Printed{std::string(told("a picture for a telephone")), made->scale, 1, made->told};
}

} // namespace mezzet::sheets
