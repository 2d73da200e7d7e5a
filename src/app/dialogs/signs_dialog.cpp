#include "app/dialogs/signs_dialog.h"
#include "app/look/tr.h"

#include "app/look/style.h"
#include "room/room.h"
#include "sheets/drawing.h"

#include <QDialogButtonBox>
#include <QGridLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

#include <functional>
#include <utility>
#include <vector>

namespace mezzet::app {

namespace {

constexpr QSize signSize(84, 40); // pixels

/// A sign, painted by whoever paints it on the board.
class Sign : public QWidget {
public:
    using Paint = std::function<void(QPainter&)>;
    explicit Sign(Paint paint) : paint_(std::move(paint)) { setFixedSize(signSize); }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        p.fillRect(rect(), look().board);
        paint_(p);
    }

private:
    Paint paint_;
};

/// What stands in the middle of a wall, from above, the wall along the upper edge.
Sign::Paint inPlan(const char* line, Notation n) {
    return [line = std::string(line), n](QPainter& p) {
        const auto room =
            roomFromNotes("wall A 12'\n " + line + "\nwall B 9'\nwall C 12'\nwall D 9'");
        if (!room)
            return;
        sheets::Labels none;
        const double scale = 0.05;
        const Wall& a = (*room)->walls.front();
        const Vec2 middle = (a.start + a.end) / 2;
        const QPointF at(signSize.width() / 2.0, 13);
        const sheets::Drawing d{p, look(), at - QPointF(middle.x, middle.y) * scale, scale, 1,
                                n, &none};
        p.setPen(Qt::NoPen);
        p.setBrush(look().floor);
        p.drawPolygon(d.polygon((*room)->edge));
        sheets::drawRoom(d, **room);
    };
}

Sign::Paint verdict(Verdict v) {
    return [v](QPainter& p) { sheets::drawVerdict(p, QRectF(28, 13, 28, 14), v, look().of(v)); };
}

} // namespace

SignsDialog::SignsDialog(Notation n, QWidget* parent) : QDialog(parent) {
    setWindowTitle(tr("Signs"));
    setObjectName("signs");
    auto* column = new QVBoxLayout(this);
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(14);
    grid->setVerticalSpacing(4);
    column->addLayout(grid);
    const auto stroke = [](QPen pen) {
        return [pen](QPainter& p) {
            p.setPen(pen);
            p.drawLine(10, 20, 74, 20);
        };
    };
    const std::vector<std::pair<Sign::Paint, QString>> signs{
        {verdict(Verdict::right), tr("right: within its band")},
        {verdict(Verdict::tight), tr("tight: less than the band asks")},
        {verdict(Verdict::loose), tr("loose: more than the band asks")},
        {verdict(Verdict::clash), tr("clash: two things in one place, or outside")},
        {verdict(Verdict::note), tr("for information")},
        {stroke(QPen(look().tight, 2.2)), tr("what a reading measures, of what is to mend")},
        {stroke(QPen(look().chosen, 1.4, Qt::DashLine)), tr("what a dragged piece lines up with")},
        {stroke(QPen(look().chosen, 1.6, Qt::DashDotLine)), tr("the edge of a zone")},
        {stroke(QPen(look().soft, 1, Qt::DashLine)), tr("overhead: a slope, a tray or a beam")},
        {[](QPainter& p) {
             p.setPen(QPen(look().chosen, 1.4));
             p.setBrush(look().field);
             p.drawRect(QRectF(39, 17, 6, 6));
         },
         tr("drag to size the chosen piece; Ctrl from its middle")},
        {[](QPainter& p) {
             p.setPen(QPen(look().chosen, 1.4));
             p.setBrush(look().field);
             p.drawEllipse(QPointF(42, 20), 5.5, 5.5);
             p.setBrush(look().chosen);
             p.drawEllipse(QPointF(42, 20), 1.6, 1.6);
         },
         tr("drag to turn it, in steps of 5 degrees; Shift finer")},
        {[](QPainter& p) {
             p.setPen(QPen(look().tight, 1.6));
             p.drawLine(QPointF(37, 15), QPointF(47, 25));
             p.drawLine(QPointF(37, 25), QPointF(47, 15));
         },
         tr("a hook; in a circle: into a stud")},
        {inPlan("window 4' from left, 4' wide, 4' high, sill 30", n), tr("a window")},
        {inPlan("door 5' from left, 30 wide, hinge left, swings in", n),
         tr("a door: its leaf, and the floor it sweeps")},
        {inPlan("opening 4' from left, 4' wide", n), tr("an opening without a door")},
        {inPlan("outlet 6' from left, 14 up", n), tr("an outlet")},
        {inPlan("switch 6' from left, 48 up", n), tr("a switch")},
        {inPlan("light 6' from left, 62 up", n), tr("a wall light's outlet")},
        {inPlan("chimney 4' from left, 4' wide, 14 deep", n), tr("a chimney breast")},
        {inPlan("radiator 4' from left, 4' wide, 4 deep", n), tr("a radiator")}};
    const int rows = static_cast<int>(signs.size() + 1) / 2;
    for (int i = 0; i < static_cast<int>(signs.size()); ++i) {
        const auto& [paint, words] = signs[static_cast<std::size_t>(i)];
        auto* sign = new Sign(paint);
        auto* label = new QLabel(words);
        sign->setAccessibleName(words);
        grid->addWidget(sign, i % rows, i / rows * 2);
        grid->addWidget(label, i % rows, i / rows * 2 + 1);
    }
    auto* buttons = new QDialogButtonBox;
    auto* close = buttons->addButton(tr("Close"), QDialogButtonBox::RejectRole);
    close->setIcon({});
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    column->addWidget(buttons);
}

} // namespace mezzet::app
