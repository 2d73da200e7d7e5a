#include "sheets/blank_sheet.h"
#include "sheets/tr.h"

#include "sheets/drawing.h"
#include "sheets/paper_out.h"
#include "sheets/plan_layout.h"

namespace mezzet::sheets {

namespace {

constexpr double blankRow = 7;

class BlankPainter {
public:
    BlankPainter(QPainter& p, double unitsPerMm, const Room* room, Units units, const Paper& paper)
        : p_(p), k_(unitsPerMm), room_(room), units_(units), w_(paper.width.mm()),
          h_(paper.height.mm()) {}

    void sketch() {
        page(tr("Measuring sheet"));
        const double column = 58;
        const QRectF area(margin, 30, w_ - 2 * margin - column - 5, h_ - 30 - margin - 30);
        squares(area);
        if (room_ != nullptr)
            outline(area);
        double y = 30;
        const double x = w_ - margin - column;
        const int rows = room_ != nullptr ? static_cast<int>(room_->walls.size()) : 12;
        y = table(x, y, column, {{tr("wall"), 10}, {"run", 26}, {"corner", 22}}, std::min(rows, 16),
                  [](int i) { return QString::fromStdString(wallName(i)); });
        y = table(x, y + 5, column, {{"diagonal", 30}, {"", 28}}, 4, [this](int i) {
            if (i == 0 && room_ != nullptr && room_->fit.next)
                return tr("%1 to %2")
                    .arg(QString::fromStdString(wallName(room_->fit.next->from)),
                         QString::fromStdString(wallName(room_->fit.next->to)));
            return QString("    to");
        });
        table(x, y + 5, column, {{tr("round the room"), 30}, {"", 28}}, 5, [](int i) {
            constexpr const char* names[] = {"ceiling", "skirting", "picture rail", "cornice",
                                             "north"};
            return QString(tr(names[i]));
        });
        footer(
            tr("Walls in turn to the right, as you stand inside and face each one. A corner not "
               "noted is square. At least one diagonal, or two: they find the slip. On a ladder: "
               "on firm ground, three points of touch, never on the top step."));
    }

    void tables() {
        page(tr("Openings, and what stands on the walls"));
        const double w = w_ - 2 * margin;
        const double y = table(margin, 30, w,
                               {{tr("wall"), 12},
                                {tr("window, door, opening"), 38},
                                {tr("from left"), 24},
                                {tr("wide"), 20},
                                {tr("high"), 20},
                                {tr("sill"), 18},
                                {tr("reveal"), 18},
                                {tr("hinge, swing, undercut"), 0}},
                               14, [](int) { return QString(); });
        table(margin, y + 6, w,
              {{tr("wall"), 12},
               {tr("outlet, switch, radiator, chimney …"), 56},
               {tr("from left"), 24},
               {tr("wide"), 22},
               {tr("deep"), 22},
               {tr("high, up"), 24},
               {"", 0}},
              12, [](int) { return QString(); });
        footer(
            tr("Also: which way windows open, under the doors where a rug will lie, studs where "
               "something heavy or tall will be fixed, the hearth before a fire. Columns and "
               "chimney breasts may carry the house; wires run straight up, down and across from "
               "outlets and switches."));
    }

private:
    QRectF dev(const QRectF& mm) const {
        return {mm.left() * k_, mm.top() * k_, mm.width() * k_, mm.height() * k_};
    }
    void text(const QRectF& mm, int flags, const QString& s, double height,
              int weight = QFont::Normal) {
        p_.setFont(sans(height * k_, weight));
        p_.setPen(paperLook().ink);
        p_.drawText(dev(mm), flags, s);
    }
    void rule(double x0, double y0, double x1, double y1, double width = 0.15) {
        p_.setPen(QPen(paperLook().ink, width * k_));
        p_.drawLine(QPointF(x0 * k_, y0 * k_), QPointF(x1 * k_, y1 * k_));
    }

    void page(const QString& title) {
        p_.fillRect(QRectF(0, 0, w_ * k_, h_ * k_), Qt::white);
        text({margin, margin - 2, w_ - 2 * margin, 8}, Qt::AlignLeft | Qt::AlignVCenter, title, 5,
             QFont::DemiBold);
        const char* labels[] = {"room", "date", "by", "tape or laser"};
        const double w = (w_ - 2 * margin) / 4;
        for (int i = 0; i < 4; ++i) {
            const double x = margin + i * w;
            QString label = tr(labels[i]);
            if (i == 0 && room_ != nullptr)
                label += "   " + QString::fromStdString(room_->name);
            text({x, 17, w - 4, 4}, Qt::AlignLeft | Qt::AlignVCenter, label, 2.7);
            rule(x, 24.5, x + w - 4, 24.5);
        }
    }

    void footer(const QString& words) {
        text({margin, h_ - margin - 16, w_ - 2 * margin, 16}, Qt::TextWordWrap | Qt::AlignTop,
             words, 2.9);
    }

    void squares(const QRectF& area) {
        const double step = isMetric(units_) ? 5.0 : 25.4 / 4;
        int n = 0;
        for (double x = area.left(); x <= area.right() + 0.01; x += step, ++n) {
            p_.setPen(QPen(n % 4 == 0 ? QColor(0x9aa6a8) : QColor(0xcdd5d6), 0.12 * k_));
            p_.drawLine(QPointF(x * k_, area.top() * k_), QPointF(x * k_, area.bottom() * k_));
        }
        n = 0;
        for (double y = area.top(); y <= area.bottom() + 0.01; y += step, ++n) {
            p_.setPen(QPen(n % 4 == 0 ? QColor(0x9aa6a8) : QColor(0xcdd5d6), 0.12 * k_));
            p_.drawLine(QPointF(area.left() * k_, y * k_), QPointF(area.right() * k_, y * k_));
        }
    }

    /// The room as it is known, with an empty line for each figure.
    void outline(const QRectF& area) {
        const Box b = room_->bounds();
        const double k = std::min((area.width() - 34) / std::max(b.size().x, 500.0),
                                  (area.height() - 34) / std::max(b.size().y, 500.0)) *
                         k_;
        Labels labels;
        const Drawing d{
            p_,     paperLook(), dev(area).center() - QPointF(b.centre().x, b.centre().y) * k,
            k,      k_ * 0.25,   Notation{units_, 16},
            &labels};
        drawRoom(d, *room_);
        for (std::size_t i = 0; i < room_->walls.size(); ++i) {
            const Wall& w = room_->walls[i];
            drawDimension(d, d.at(w.start), d.at(w.end),
                          drawnWall.mm() * k + 4 * k_ + standsOut(*room_, static_cast<int>(i)) * k,
                          "            ", 3 * k_);
        }
        drawWallLetters(d, *room_, 9.5 * k_);
        labels.place();
        labels.draw(p_);
    }

    struct Head {
        QString words;
        double width; ///< mm; 0 takes what is left
    };
    double table(double x, double y, double w, const std::vector<Head>& heads, int rows,
                 const std::function<QString(int)>& first) {
        std::vector<double> at{x};
        for (const Head& h : heads) {
            text({at.back() + 1, y, (h.width > 0 ? h.width : 60) - 1, 4.5},
                 Qt::AlignLeft | Qt::AlignVCenter, h.words, 2.6, QFont::Medium);
            at.push_back(h.width > 0 ? at.back() + h.width : x + w);
        }
        at.back() = x + w;
        y += 5;
        rule(x, y, x + w, y, 0.3);
        for (int i = 0; i < rows; ++i) {
            text({x + 1, y, 40, blankRow}, Qt::AlignLeft | Qt::AlignVCenter, first(i), 3);
            y += blankRow;
            rule(x, y, x + w, y);
        }
        for (std::size_t i = 1; i + 1 < at.size(); ++i)
            rule(at[i], y - rows * blankRow, at[i], y);
        return y;
    }

    QPainter& p_;
    double k_;
    const Room* room_;
    Units units_;
    double w_;
    double h_;
};

} // namespace

Sheet blankSheet(RoomPtr room, Units units) {
    loadFonts();
    const Paper paper = *paperNamed(isMetric(units) ? "a4" : "letter");
    if (room && room->walls.empty())
        room.reset();
    Sheet out{{paper.width.mm(), paper.height.mm(), tr("Measuring sheet"), {}, {}},
              paper.name + " upright",
              tr("to no scale")};
    out.paper.pages = {
        [=](QPainter& p, double k) { BlankPainter(p, k, room.get(), units, paper).sketch(); },
        [=](QPainter& p, double k) { BlankPainter(p, k, room.get(), units, paper).tables(); }};
    return out;
}

const SheetKind measuringSheet{
    .id = "measuring",
    .title = "A measuring sheet",
    .about = "Squares to sketch on and tables for what is taped, to take along.",
    .asks = {},
    .pages = [](const Project& job, const SheetOptions&) -> Result<Sheet> {
        return blankSheet(job.room, job.room->units);
    },
};

} // namespace mezzet::sheets
