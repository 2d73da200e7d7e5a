// A carpet's outline at full size on a roll of paper, in strips that are taped together.
#include "geometry/polygon.h"
#include "measure/example.h"
#include "measure/texts.h"
#include "scheme/rug.h"
#include "sheets/look.h"
#include "sheets/paper_pen.h"
#include "sheets/sheet.h"
#include "sheets/tr.h"

#include <QPainterPath>

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet::sheets {

namespace {

constexpr double paperEdge = 8;  // mm of paper about what is drawn
constexpr double foot = 14;      // mm below it for words
constexpr double tallest = 4500; // mm: what printers and readers of PDF take

/// One strip of one rug.
struct Strip {
    int rug = 0;
    int across = 0; ///< counted from 0
    int along = 0;
    Vec2 low; ///< mm, in the rug's own frame
    Vec2 high;
    int acrossOf = 1;
    int alongOf = 1;
};

struct Template {
    Project job;
    std::vector<Strip> strips;
    double width = 0;
    double height = 0;
};

class StripPen : public PaperPen {
public:
    StripPen(QPainter& p, double k, const Template& of) : PaperPen(p, k), of_(of) {
        clear(of.width, of.height);
    }

    void strip(const Strip& s) {
        const Piece& p = *of_.job.scheme().byId(s.rug);
        const QRectF window(paperEdge, paperEdge, s.high.x - s.low.x, s.high.y - s.low.y);
        const auto at = [&](Vec2 q) {
            return QPointF((q.x - s.low.x + paperEdge) * k_, (q.y - s.low.y + paperEdge) * k_);
        };
        p_.save();
        p_.setClipRect(dev(window.adjusted(-1, -1, 1, 1)));
        QPolygonF shape;
        for (const Vec2 c : trueOutline(p, {}))
            shape << at(c);
        p_.setPen(Qt::NoPen);
        p_.setBrush(QColor(0xf6, 0xf2, 0xe8));
        p_.drawPolygon(shape);
        p_.setBrush(Qt::NoBrush);
        // A band along its inside, so that the band's outer edge is the carpet's.
        QPainterPath inside;
        inside.addPolygon(shape);
        inside.closeSubpath();
        p_.save();
        p_.setClipPath(inside, Qt::IntersectClip);
        p_.setPen(QPen(paperLook().ink, 12 * k_, Qt::SolidLine, Qt::FlatCap, Qt::MiterJoin));
        p_.drawPolygon(shape);
        p_.restore();
        // Where strips meet: a line, and a cross on it that both have.
        p_.setPen(QPen(paperLook().soft, 0.25 * k_, Qt::DashLine));
        if (s.across > 0)
            p_.drawLine(at(s.low), at({s.low.x, s.high.y}));
        if (s.across + 1 < s.acrossOf)
            p_.drawLine(at({s.high.x, s.low.y}), at(s.high));
        if (s.along > 0)
            p_.drawLine(at(s.low), at({s.high.x, s.low.y}));
        if (s.along + 1 < s.alongOf)
            p_.drawLine(at({s.low.x, s.high.y}), at(s.high));
        p_.restore();
        const double y = of_.height - foot;
        text({paperEdge, y, of_.width - 2 * paperEdge, 5}, Qt::AlignLeft,
             QString::fromStdString(worded(
                 "{}, {}{}: strip {} of {}{}", of_.job.title, p.name,
                 s.acrossOf * s.alongOf == 1 ? "" : tr(" in strips"), s.across + 1, s.acrossOf,
                 s.alongOf > 1 ? worded(", length {} of {}", s.along + 1, s.alongOf)
                               : std::string())),
             3.6, false, QFont::DemiBold);
        // A length to check the printer by.
        const bool metric = isMetric(of_.job.notation.units);
        const double check = metric ? 100 : 101.6;
        rule(paperEdge, y + 8, paperEdge + check, y + 8, 0.3);
        rule(paperEdge, y + 6.5, paperEdge, y + 9.5, 0.3);
        rule(paperEdge + check, y + 6.5, paperEdge + check, y + 9.5, 0.3);
        text({paperEdge + check + 3, y + 6, 120, 4}, Qt::AlignLeft,
             metric ? tr("this is 10 cm: print at full size")
                    : tr("this is 4\": print at full size"),
             3);
    }

private:
    const Template& of_;
};

Result<Sheet> rugTemplatePages(const Project& job, const SheetOptions& o) {
    auto of = std::make_shared<Template>(Template{job, {}});
    const double roll =
        o.roll
            .value_or(isMetric(job.notation.units) ? Length::millimetres(914) : Length::inches(36))
            .mm();
    const double wide = roll - 2 * paperEdge;
    double longest = 0;
    const auto& pieces = job.scheme().pieces;
    // Those with an outline of their own; where there is none, all of them.
    const bool anyCut = std::any_of(pieces.begin(), pieces.end(), isCut);
    for (const Piece& p : pieces) {
        if (!p.kind->flat() || (o.of.empty() ? anyCut && !isCut(p) : p.name != o.of))
            continue;
        Box box;
        for (const Vec2 c : trueOutline(p, {}))
            box.include(c);
        const Vec2 size = box.size();
        const int across = std::max(1, static_cast<int>(std::ceil(size.x / wide)));
        const int along = std::max(1, static_cast<int>(std::ceil(size.y / tallest)));
        for (int a = 0; a < along; ++a)
            for (int x = 0; x < across; ++x) {
                Strip s{p.id, x, a, {}, {}, across, along};
                s.low = box.low + Vec2{wide * x, tallest * a};
                s.high = {std::min(box.high.x, s.low.x + wide),
                          std::min(box.high.y, s.low.y + tallest)};
                longest = std::max(longest, s.high.y - s.low.y);
                of->strips.push_back(s);
            }
    }
    if (of->strips.empty())
        return Problem{o.of.empty() ? std::string("there is no rug in this scheme")
                                    : worded("no rug is called {}", o.of),
                       remedyIn("say one first, like: rug cut to the room, 10 off the walls",
                                job.notation.units)};
    if (of->strips.size() > 200)
        return Problem{"that is over 200 strips", "take wider paper, or one rug at a time"};
    loadFonts();
    of->width = roll;
    of->height = longest + 2 * paperEdge + foot;
    Sheet out{{of->width, of->height, job.title + tr(", carpet templates"), {}, {}},
              worded("a roll {} wide", writeGap(Length::millimetres(roll), job.notation)),
              tr("full size")};
    const std::shared_ptr<const Template> kept = of;
    for (std::size_t i = 0; i < of->strips.size(); ++i)
        out.paper.pages.emplace_back(
            [kept, i](QPainter& p, double k) { StripPen(p, k, *kept).strip(kept->strips[i]); });
    out.told = fmt::format("{} {}", of->strips.size(), of->strips.size() == 1 ? "strip" : "strips");
    return out;
}

} // namespace

const SheetKind rugTemplateSheet{
    .id = "rug-template",
    .title = "Carpet templates",
    .about = "The outline of what is cut, at full size on a roll of paper, to lay out and mark by.",
    .asks = {Asks::piece, Asks::roll},
    .pages = &rugTemplatePages,
    .note = "Print at full size (100 %, not “fit to page”). Each strip has a length to check the "
            "printer by.",
};

} // namespace mezzet::sheets
