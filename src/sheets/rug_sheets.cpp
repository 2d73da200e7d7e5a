// What a workroom cuts from: the order of each rug, and how they lie on the roll.
#include "geometry/polygon.h"
#include "judge/rug_facts.h"
#include "measure/example.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "room/facts.h"
#include "scheme/rug.h"
#include "sheets/look.h"
#include "sheets/paper_pen.h"
#include "sheets/plan_layout.h"
#include "sheets/sheet.h"
#include "sheets/tr.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <functional>

namespace mezzet::sheets {

namespace {

constexpr double rugTitleHeight = 19;

/// All that the pages show, kept while they are painted.
struct Work {
    Project job;
    ScenePtr scene;
    std::vector<RugCutOff> cuts;
    struct Roll {
        RollGroup of;
        std::vector<RollPlan> plans; ///< least waste first, or the one asked for
    };
    std::vector<Roll> rolls; ///< a material each
    Paper paper;
    std::string date;
    double width = 0;
    double height = 0;

    [[nodiscard]] std::string length(Length l) const { return write(l, job.notation); }
    [[nodiscard]] std::string gap(Length l) const { return writeGap(l, job.notation); }
};

Result<std::shared_ptr<Work>> workOf(const Project& job, const SheetOptions& o, bool upright) {
    auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    const bool metric = isMetric(job.notation.units);
    auto out = std::make_shared<Work>(Work{job,
                                           *scene,
                                           {},
                                           {},
                                           o.paper.value_or(*paperNamed(metric ? "a4" : "letter")),
                                           dateOr(o.date)});
    out->width = (upright ? out->paper.width : out->paper.height).mm();
    out->height = (upright ? out->paper.height : out->paper.width).mm();
    const FloorView floor(**scene);
    const RuleBook& book = *job.library.book;
    auto cuts = rugsToCut(floor, book);
    if (!cuts)
        return cuts.problem();
    out->cuts = std::move(*cuts);
    RollAsk ask = rollAsk(book, job.notation);
    if (o.goOn)
        ask.goesOn = o.goOn;
    for (RollGroup& g : rollGroups(job.scheme(), out->cuts)) {
        auto plans = plansOf(g, out->cuts, ask,
                             o.roll ? std::vector<Length>{*o.roll} : job.library.rugs->rolls,
                             o.roll.has_value());
        if (!plans)
            return plans.problem();
        out->rolls.push_back({std::move(g), std::move(*plans)});
    }
    return out;
}

class RugPen : public PaperPen {
public:
    RugPen(QPainter& p, double k, const Work& of) : PaperPen(p, k), of_(of) {
        clear(of.width, of.height);
    }

    void title(const QString& sheet, const QString& scale) {
        titleBlock(margin, of_.height - margin - rugTitleHeight, of_.width - 2 * margin,
                   rugTitleHeight, jobFields(of_.job, sheet, {tr("Scale"), scale}, of_.date));
    }

    /// A way on paper from mm of floor.
    struct View {
        Vec2 low;     ///< mm of floor at the paper's place
        QPointF at;   ///< mm of paper
        double scale; ///< mm of paper to one of floor

        [[nodiscard]] QPointF operator()(Vec2 p) const {
            return {at.x() + (p.x - low.x) * scale, at.y() + (p.y - low.y) * scale};
        }
    };

    void polygon(const std::vector<Vec2>& corners, const View& v, const QColor& fill,
                 double line = 0.35) {
        QPolygonF shape;
        for (const Vec2 c : corners)
            shape << v(c) * k_;
        p_.setPen(QPen(paperLook().ink, line * k_));
        p_.setBrush(fill);
        p_.drawPolygon(shape);
        p_.setBrush(Qt::NoBrush);
    }

    /// An arrow along the pile.
    void arrow(QPointF from, QPointF to) {
        p_.setPen(QPen(paperLook().ink, 0.3 * k_));
        p_.drawLine(from * k_, to * k_);
        const QLineF way(to, from);
        for (const double turn : {25.0, -25.0}) {
            QLineF barb = way;
            barb.setLength(2.2);
            barb.setAngle(way.angle() + turn);
            p_.drawLine(barb.p1() * k_, barb.p2() * k_);
        }
    }

    /// A figure at the middle of an edge, outside it.
    void edgeFigure(QPointF a, QPointF b, QPointF outward, const QString& words) {
        // As far off as its own half width where it stands beside an upright edge.
        const double half = QFontMetricsF(lettering(2.9 * k_)).horizontalAdvance(words) / k_ / 2;
        const QPointF at =
            (a + b) / 2 + outward * 2 + QPointF(outward.x() * half, outward.y() * 2.2);
        text({at.x() - 20, at.y() - 2, 40, 4}, Qt::AlignCenter, words, 2.9, true);
    }

    /// "13 risers of 7 1/2, goings of 10, …", and where the stair is broken.
    void stairLines(const RugCutOff& cut,
                    const std::function<void(const std::string&, const std::string&)>& line) const {
        const StairRunner& s = *cut.runner;
        line(tr("Stairs"),
             worded("{} risers of {}, goings of {}, nosings of {} (the usual: not "
                    "taped); {}",
                    s.risers, of_.gap(s.riser), of_.gap(s.going), of_.gap(s.nosing),
                    s.capped ? tr("drawn in under each nosing") : tr("it falls from them")));
        for (const StairBreak& b : s.breaks)
            line(&b == &s.breaks.front() ? tr("Broken") : "",
                 worded("after {} {}: {}{}", b.after, b.after == 1 ? "riser" : "risers",
                        b.landing > Length{} ? tr("a landing of ") + of_.gap(b.landing)
                                             : std::string("winders"),
                        b.turns ? tr(", where it turns and is cut") : ""));
        std::vector<std::string> lengths;
        Length from;
        for (const Length end : cut.cut.ends) {
            lengths.push_back(of_.length(end - from));
            from = end;
        }
        lengths.push_back(of_.length(cut.cut.along - from));
        if (lengths.size() > 1)
            line(tr("Lengths"), worded("from its foot: {}", listed(lengths)));
        line(tr("Fixing"), worded("{} rods, or gripper, by a fitter: a loose runner makes people "
                                  "fall",
                                  s.risers));
    }

    /// Where a runner is cut for a turn, across it.
    void turnsOf(const RugCutOff& cut, const View& v) {
        const double w = cut.cut.along.mm() / 2;
        const double d = cut.cut.across.mm() / 2;
        p_.setPen(QPen(paperLook().ink, 0.25 * k_, Qt::DashLine));
        for (const Length end : cut.cut.ends)
            p_.drawLine(QLineF(v({end.mm() - w, -d}) * k_, v({end.mm() - w, d}) * k_));
    }

    void order(const Piece& onFloor, const RugCutOff* cut, const QString& sheet) {
        const bool stairs = cut != nullptr && cut->runner.has_value();
        const Piece p = stairs ? unrolled(onFloor, cut->cut.along) : onFloor;
        const bool metric = isMetric(of_.job.notation.units);
        const RugBook& book = *of_.job.library.rugs;
        // As it lies in its own frame, the pile up the page where it runs along it.
        const Pose flat;
        const auto corners = trueOutline(p, flat);
        const auto sides = pricedSides(p, flat, book);
        Box box;
        for (const Vec2 c : corners)
            box.include(c);
        const double listsFrom = of_.height * 0.52;
        const QRectF room(margin + 16, margin + 22, of_.width - 2 * margin - 32,
                          listsFrom - margin - 34);
        const double fit = std::min(room.width() / box.size().x, room.height() / box.size().y);
        std::optional<Scale> scale;
        for (const Scale& s : usualScales(metric))
            if (!scale && 1 / s.denominator <= fit)
                scale = s;
        const double k = scale ? 1 / scale->denominator : fit;
        const View v{
            box.low,
            {room.center().x() - box.size().x * k / 2, room.center().y() - box.size().y * k / 2},
            k};
        text({margin, margin, of_.width - 2 * margin, 7}, Qt::AlignLeft, q(p.name), 5.2, false,
             QFont::DemiBold);
        text({margin, margin + 7.4, of_.width - 2 * margin, 5}, Qt::AlignLeft,
             q(worded("{} by {}, {}, {} round", of_.length(p.size.width), of_.length(p.size.depth),
                      writeArea(areaOf(p), of_.job.notation.units), of_.length(perimeterOf(p)))),
             3.4);
        polygon(corners, v, QColor(0xf3, 0xee, 0xe2));
        if (stairs)
            turnsOf(*cut, v);
        const bool clockwise = signedArea(corners) > 0;
        int n = 0;
        for (const RugSidePrice& s : sides) {
            ++n;
            const QPointF a = v(s.from);
            const QPointF b = v(s.to);
            if (norm(s.to - s.from) < 0.01)
                continue;
            const Vec2 out = quarter(unit(s.to - s.from)) * (clockwise ? -1.0 : 1.0);
            edgeFigure(a, b, {out.x, out.y}, q(fmt::format("{}: {}", n, of_.length(s.length))));
        }
        const bool alongWidth = (p.size.width >= p.size.depth) != rugOf(p).pileAcross;
        const QPointF middle = v(insideOutline(corners, {0, 0}) ? Vec2{0, 0} : centroid(corners));
        const QPointF way = alongWidth ? QPointF(9, 0) : QPointF(0, 9);
        arrow(middle - way, middle + way);
        text({middle.x() - 20, middle.y() + (alongWidth ? 1.5 : 10.5), 40, 4}, Qt::AlignHCenter,
             "pile", 2.6, false, QFont::Normal, paperLook().soft);

        double y = heading(tr("Edges, counted from the first corner"), margin, listsFrom,
                           of_.width - 2 * margin);
        double sum = 0;
        n = 0;
        const double columns[] = {margin, margin + 12, margin + 50, margin + 130};
        for (const RugSidePrice& s : sides) {
            ++n;
            sum += s.price;
            const RugEdging* e = book.edgeById(s.finish);
            if (y > of_.height - margin - rugTitleHeight - 62 &&
                n < static_cast<int>(sides.size())) {
                text({columns[0], y, 160, rowHeight}, Qt::AlignLeft,
                     q(worded("and {} more edges", static_cast<int>(sides.size()) - n + 1)), 3);
                y += rowHeight;
                for (std::size_t i = static_cast<std::size_t>(n); i < sides.size(); ++i)
                    sum += sides[i].price;
                break;
            }
            text({columns[0], y, 10, rowHeight}, Qt::AlignLeft | Qt::AlignVCenter,
                 QString::number(n), 3, true);
            text({columns[1], y, 36, rowHeight}, Qt::AlignLeft | Qt::AlignVCenter,
                 q(of_.length(s.length)), 3, true);
            text({columns[2], y, 78, rowHeight}, Qt::AlignLeft | Qt::AlignVCenter,
                 e == nullptr             ? QString(stairs ? tr("tucked under") : tr("as it comes"))
                 : s.tape > Length{}      ? q(worded("{}, {} wide", e->name, of_.gap(s.tape)))
                 : rugOf(p).edges.empty() ? q(e->name + tr(" (not said: the usual one)"))
                                          : q(e->name),
                 3);
            text({columns[3], y, 30, rowHeight}, Qt::AlignRight | Qt::AlignVCenter,
                 QString::number(s.price, 'f', 2), 3, true);
            y += rowHeight;
        }
        const int corner = mitres(sides);
        y += 1.5;
        y = heading(tr("To order"), margin, y, of_.width - 2 * margin);
        const auto line = [&](const std::string& what, const std::string& says) {
            text({margin, y, 42, rowHeight}, Qt::AlignLeft | Qt::AlignVCenter, q(what), 3, false,
                 QFont::Normal, paperLook().soft);
            const double wide = of_.width - 2 * margin - 42;
            if (heightOf(q(says), wide, 3) > rowHeight * 1.2) {
                y += wrapped(margin + 42, y + 0.5, wide, q(says), 3) + 1;
                return;
            }
            text({margin + 42, y, wide, rowHeight}, Qt::AlignLeft | Qt::AlignVCenter, q(says), 3);
            y += rowHeight;
        };
        const RugMaterial* m = book.materialById(rugOf(p).material);
        const double stuff = m != nullptr ? m->price * areaOf(p) / 1e6 : 0;
        line(tr("Material"), m != nullptr ? fmt::format("{}, {:.2f}", m->name, stuff)
                                          : std::string(tr("to be chosen")));
        line(tr("Thickness"), worded("{} without a pad", of_.gap(p.size.height)));
        const Length pad = padUnder(p, of_.job.library.book->habit("rug-pad"));
        const Length shortBy = metric ? Length::centimetres(4) : Length::inches(1.5);
        const RugPad* kind = nullptr;
        for (const RugPad& one : book.pads)
            if (one.floor == "hard" &&
                (kind == nullptr || abs(one.thickness - pad) < abs(kind->thickness - pad)))
                kind = &one;
        const std::string thick =
            of_.gap(pad) + (rugOf(p).pad ? " thick" : tr(" thick (not said: the usual one)"));
        line(tr("Pad"),
             pad <= Length{} ? std::string(stairs ? "none" : tr("none: on a hard floor it slips"))
             : stairs        ? thick + tr(", a piece on each tread, short of its nosing")
                      : worded("{}, {} short of the rug all round{}", thick, of_.gap(shortBy),
                               kind != nullptr ? worded("; on a hard floor {}, which {}",
                                                        kind->name, kind->says)
                                               : std::string()));
        line(tr("Pile"), alongWidth ? tr("along its width, as the arrow has it")
                                    : tr("along its depth, as the arrow has it"));
        if (stairs)
            stairLines(*cut, line);
        if (rugOf(p).taped)
            line(tr("Laid"), tr("its edges taped down"));
        if (rugOf(p).repeat > Length{})
            line(tr("Pattern"),
                 worded("repeats after {}{}", of_.gap(rugOf(p).repeat),
                        rugOf(p).drop > Length{} ? worded(", drops {}", of_.gap(rugOf(p).drop))
                                                 : std::string()));
        if (corner > 0)
            line(tr("Mitres"), worded("{} corners, {:.2f}", corner, corner * book.mitre));
        for (const Work::Roll& roll : of_.rolls) {
            const RollPlan& plan = roll.plans.front();
            std::size_t lengths = 0;
            for (const RollPart& part : plan.parts)
                lengths += &of_.cuts[part.cut] == cut ? 1 : 0;
            if (lengths == 0)
                continue;
            line(tr("Cut"), worded("{} from a roll {} wide, the whole order {}",
                                   lengths == 1 ? std::string(tr("in one piece"))
                                                : worded("in {} lengths", lengths),
                                   of_.length(plan.width), of_.length(plan.length)));
        }
        line(tr("Edges and material"), fmt::format("{:.2f}", sum + corner * book.mitre + stuff));
        wrapped(margin, y + 1, of_.width - 2 * margin,
                tr("Sizes are of the finished rug. Check each against the room before it is cut; "
                   "prices are the studio's own figures."),
                2.7, paperLook().soft);
        title(sheet, scale ? q(scale->words) : tr("not to scale"));
    }

    void cutting(const Work::Roll* roll, const QString& sheet) {
        double y = margin;
        text({margin, y, of_.width - 2 * margin, 7}, Qt::AlignLeft, tr("Cutting from the roll"),
             5.2, false, QFont::DemiBold);
        y += 9;
        if (roll == nullptr) {
            text({margin, y, of_.width - 2 * margin, 6}, Qt::AlignLeft,
                 tr("No rug of this scheme is cut off a roll."), 3.6);
            title(sheet, "");
            return;
        }
        const RugMaterial* m = of_.job.library.rugs->materialById(roll->of.material);
        if (m != nullptr) {
            text({margin, y, of_.width - 2 * margin, rowHeight + 1}, Qt::AlignLeft,
                 q(fmt::format("{}: {:.2f}", m->name,
                               roll->of.price(roll->plans.front(), *of_.job.library.rugs))),
                 3.6);
            y += rowHeight + 1;
        }
        for (const RollPlan& plan : roll->plans) {
            text({margin, y, of_.width - 2 * margin, rowHeight}, Qt::AlignLeft,
                 q(worded("{} wide: order {}, {:.1f} % is waste, {}", of_.length(plan.width),
                          of_.length(plan.length), plan.waste() * 100,
                          plan.seams.empty()       ? std::string(tr("no seam"))
                          : plan.seams.size() == 1 ? std::string(tr("1 seam"))
                                                   : worded("{} seams", plan.seams.size()))),
                 3.2, false, &plan == &roll->plans.front() ? QFont::DemiBold : QFont::Normal);
            y += rowHeight;
        }
        const RollPlan& plan = roll->plans.front();
        y += 6;
        // The roll runs across the page.
        const double bottom = of_.height - margin - rugTitleHeight - 8;
        const double listHeight = (static_cast<double>(plan.parts.size()) + 3) * rowHeight;
        const QRectF room(margin + 14, y, of_.width - 2 * margin - 20,
                          std::max(40.0, bottom - y - listHeight));
        const double fit =
            std::min(room.width() / plan.length.mm(), room.height() / plan.width.mm());
        std::optional<Scale> scale;
        for (const Scale& s : usualScales(isMetric(of_.job.notation.units)))
            if (!scale && 1 / s.denominator <= fit)
                scale = s;
        const double k = scale ? 1 / scale->denominator : fit;
        const auto onRoll = [&](Vec2 p) { // turned, not mirrored: its left edge is the lower one
            return Vec2{p.y, plan.width.mm() - p.x};
        };
        const View v{{0, 0}, room.topLeft(), k};
        const auto box = [](Vec2 at, Vec2 size) {
            return std::vector<Vec2>{at, at + Vec2{size.x, 0}, at + size, at + Vec2{0, size.y}};
        };
        const auto turned = [&](std::vector<Vec2> all) {
            for (Vec2& p : all)
                p = onRoll(p);
            return all;
        };
        polygon(turned(box({0, 0}, {plan.width.mm(), plan.length.mm()})), v,
                QColor(0xec, 0xe8, 0xe0));
        const double allow = of_.job.library.book->habit("cut-allowance").mm();
        int n = 0;
        for (const RollPart& part : plan.parts) {
            ++n;
            polygon(turned(box(part.at, part.size)), v, QColor(0xfb, 0xf8, 0xf1), 0.25);
            // The finished piece in it.
            const RollCut& c = of_.cuts[part.cut].cut;
            const Vec2 at = part.at + Vec2{allow, allow};
            auto outline =
                c.outline.empty() ? box({0, 0}, {c.across.mm(), c.along.mm()}) : c.outline;
            std::vector<Vec2> own = outline;
            for (const auto& [normal, offset] :
                 {std::pair{Vec2{1, 0}, part.own.low.x}, std::pair{Vec2{-1, 0}, -part.own.high.x}})
                own = clipped(own, normal, offset);
            for (Vec2& p : own)
                p = p - part.own.low + at;
            polygon(turned(own), v, QColor(0xf3, 0xee, 0xe2), 0.35);
            const QPointF middle = v(onRoll(part.at + part.size / 2));
            const double wide = part.size.y * k;
            text({middle.x() - wide / 2, middle.y() - 3, wide, 6}, Qt::AlignCenter,
                 QString::number(n), 3.6, false, QFont::DemiBold);
        }
        // Its width, its length, and the pile.
        const QPointF end = v(onRoll({0, plan.length.mm()}));
        text({room.left(), room.top() - 5, end.x() - room.left(), 4}, Qt::AlignCenter,
             q(of_.length(plan.length)), 3, true);
        p_.save();
        p_.translate(dev(room.left() - 6, (room.top() + end.y()) / 2));
        p_.rotate(-90);
        text({-30, -2, 60, 4}, Qt::AlignCenter, q(of_.length(plan.width)), 3, true);
        p_.restore();
        arrow({room.left(), end.y() + 4}, {room.left() + 22, end.y() + 4});
        text({room.left() + 24, end.y() + 2, 120, 4}, Qt::AlignLeft,
             tr("the pile runs this way; below is the roll's left edge"), 2.8, false, QFont::Normal,
             paperLook().soft);
        y = heading(tr("Cuts: from the roll's left edge and from its start"), margin, end.y() + 9,
                    of_.width - 2 * margin);
        n = 0;
        for (const RollPart& part : plan.parts) {
            ++n;
            if (y > bottom)
                break;
            const auto l = [&](double mm) { return of_.length(Length::millimetres(mm)); };
            text({margin, y, of_.width - 2 * margin, rowHeight}, Qt::AlignLeft | Qt::AlignVCenter,
                 q(worded("{}   {}{}   {} across by {} along, at {} and {}", n,
                          of_.cuts[part.cut].cut.name,
                          partsOf(plan, part.cut) > 1 ? worded(", length {}", part.part)
                                                      : std::string(),
                          l(part.size.x), l(part.size.y), l(part.at.x), l(part.at.y))),
                 3);
            y += rowHeight;
        }
        for (const RollSeam& s : plan.seams) {
            if (y > bottom)
                break;
            text({margin, y, of_.width - 2 * margin, rowHeight}, Qt::AlignLeft | Qt::AlignVCenter,
                 q(worded("Seam in {}, {} long, {} from its left{}", of_.cuts[s.cut].cut.name,
                          of_.length(s.length()), of_.length(Length::millimetres(s.from.x)),
                          s.walkedOn ? tr(": it crosses a doorway or the middle of a way") : "")),
                 3);
            y += rowHeight;
        }
        title(sheet, scale ? q(scale->words) : tr("not to scale"));
    }

private:
    static int partsOf(const RollPlan& plan, std::size_t cut) {
        return static_cast<int>(std::count_if(plan.parts.begin(), plan.parts.end(),
                                              [cut](const RollPart& p) { return p.cut == cut; }));
    }

    const Work& of_;
};

Result<Sheet> orderPages(const Project& job, const SheetOptions& o) {
    const auto work = workOf(job, o, true);
    if (!work)
        return work.problem();
    loadFonts();
    const std::shared_ptr<const Work> of = *work;
    Sheet out{
        {of->width, of->height, job.title + tr(", rugs"), {}, {}}, of->paper.name, tr("as told")};
    std::vector<int> rugs;
    for (const Piece& p : job.scheme().pieces)
        if (p.kind->flat() && (o.of.empty() || p.name == o.of))
            rugs.push_back(p.id);
    if (rugs.empty())
        return Problem{
            o.of.empty() ? std::string("there is no rug in this scheme")
                         : worded("no rug is called {}", o.of),
            remedyIn("place one first, like: rug 120 x 96 under sofa", job.notation.units)};
    for (std::size_t i = 0; i < rugs.size(); ++i)
        out.paper.pages.emplace_back([of, id = rugs[i], i, n = rugs.size()](QPainter& p, double k) {
            const RugCutOff* cut = nullptr;
            for (const RugCutOff& c : of->cuts)
                if (c.rug == id)
                    cut = &c;
            RugPen(p, k, *of).order(*of->job.scheme().byId(id), cut,
                                    n == 1 ? tr("Rug order")
                                           : tr("Rug order, %1 of %2").arg(i + 1).arg(n));
        });
    return out;
}

Result<Sheet> cuttingPages(const Project& job, const SheetOptions& o) {
    const auto work = workOf(job, o, false);
    if (!work)
        return work.problem();
    loadFonts();
    const std::shared_ptr<const Work> of = *work;
    Sheet out{{of->width, of->height, job.title + tr(", cutting"), {}, {}},
              of->paper.name + " across",
              tr("as told")};
    const std::size_t pages = std::max<std::size_t>(1, of->rolls.size());
    for (std::size_t i = 0; i < pages; ++i)
        out.paper.pages.emplace_back([of, i, pages](QPainter& p, double k) {
            RugPen(p, k, *of).cutting(of->rolls.empty() ? nullptr : &of->rolls[i],
                                      pages == 1
                                          ? tr("Cutting plan")
                                          : tr("Cutting plan, %1 of %2").arg(i + 1).arg(pages));
        });
    return out;
}

} // namespace

const SheetKind rugOrderSheet{
    .id = "rug-order",
    .title = "The rugs, to order",
    .about = "A page a rug for the workroom: its outline with every length, edges, pile, pad and "
             "price.",
    .asks = {Asks::paper, Asks::piece, Asks::roll},
    .pages = &orderPages,
};

const SheetKind cuttingSheet{
    .id = "cutting",
    .title = "Cutting from the roll",
    .about = "How the rugs lie on the roll with the least length, with seams and waste.",
    .asks = {Asks::paper, Asks::roll},
    .pages = &cuttingPages,
};

} // namespace mezzet::sheets
