#include "app/measure/measure_plan.h"
#include "app/look/tr.h"

#include "app/look/style.h"

#include <QMouseEvent>
#include <QPainter>

#include <cmath>

namespace mezzet::app {

namespace {

/// Corners are sure to a fraction of an inch, which no drawing shows: this many times as large.
constexpr double ellipsesTimes = 20;

} // namespace

MeasurePlan::MeasurePlan(QWidget* parent) : QWidget(parent) {
    setObjectName("measurePlan");
    setMinimumSize(380, 300);
    setMouseTracking(true);
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("The room the notes make"));
    setAccessibleDescription(tr("Left and Right go from wall to wall, Enter types its run"));
    field_ = new QLineEdit(this);
    field_->setObjectName("wallField");
    field_->setProperty("figure", true);
    field_->hide();
    connect(field_, &QLineEdit::returnPressed, this, [this] {
        const auto text = field_->text().trimmed();
        field_->hide();
        setFocus();
        if (!text.isEmpty())
            emit typedAt(asked_, text);
    });
}

void MeasurePlan::show(std::vector<RoomPtr> rooms, std::size_t room, Notation notation) {
    rooms_ = std::move(rooms);
    at_ = std::min(room, rooms_.empty() ? 0 : rooms_.size() - 1);
    notation_ = notation;
    const int count = rooms_.empty() ? 0 : static_cast<int>(rooms_[at_]->walls.size());
    if (pointed_ >= count)
        pointed_ = -1;
    if (lit_ >= count)
        lit_ = -1;
    update();
}

void MeasurePlan::light(int wall) {
    if (lit_ == wall)
        return;
    lit_ = wall;
    update();
}

sheets::Drawing MeasurePlan::drawing(QPainter& p) const {
    const Box b = rooms_[at_]->bounds();
    const QRectF area = QRectF(rect()).adjusted(66, 60, -66, -66);
    const double k = std::min(area.width() / std::max(b.size().x, 500.0),
                              area.height() / std::max(b.size().y, 500.0));
    return {p, look(), area.center() - QPointF(b.centre().x, b.centre().y) * k, k, 1, notation_};
}

QPointF MeasurePlan::middleOfWall(int wall) const {
    QImage none(1, 1, QImage::Format_RGB32);
    QPainter p(&none);
    const auto d = drawing(p);
    const Wall& w = rooms_[at_]->walls[static_cast<std::size_t>(wall)];
    return d.at((w.start + w.end) / 2);
}

int MeasurePlan::wallAt(QPointF at) const {
    if (rooms_.empty() || rooms_[at_]->walls.empty())
        return -1;
    QImage none(1, 1, QImage::Format_RGB32);
    QPainter p(&none);
    const auto d = drawing(p);
    const Vec2 here{(at.x() - d.origin.x()) / d.scale, (at.y() - d.origin.y()) / d.scale};
    int best = -1;
    double near = 42 / d.scale; // pixels; its figure and its letter count as the wall
    const auto& walls = rooms_[at_]->walls;
    for (std::size_t i = 0; i < walls.size(); ++i) {
        const double far = norm(here - nearestOn({walls[i].start, walls[i].end}, here));
        if (far < near) {
            near = far;
            best = static_cast<int>(i);
        }
    }
    return best;
}

void MeasurePlan::point(int wall) {
    if (wall == pointed_)
        return;
    pointed_ = wall;
    setCursor(wall >= 0 ? Qt::IBeamCursor : Qt::ArrowCursor);
    emit wallPointed(wall);
    update();
}

void MeasurePlan::ask(int wall) {
    const auto& room = *rooms_[at_];
    asked_ = wall;
    const Wall& w = room.walls[static_cast<std::size_t>(wall)];
    field_->setText(QString::fromStdString(write(w.taped, notation_)));
    field_->setAccessibleName(
        tr("Run of wall %1, or what stands on it").arg(QString::fromStdString(w.name)));
    field_->setPlaceholderText(tr("its run, or what stands on it"));
    field_->resize(150, 30);
    QPointF c = middleOfWall(wall);
    c.setX(std::clamp(c.x() - 75, 4.0, width() - 154.0));
    c.setY(std::clamp(c.y() - 15, 4.0, height() - 34.0));
    field_->move(c.toPoint());
    field_->show();
    field_->selectAll();
    field_->setFocus();
}

void MeasurePlan::mouseMoveEvent(QMouseEvent* e) {
    point(wallAt(e->position()));
}

void MeasurePlan::mousePressEvent(QMouseEvent* e) {
    field_->hide();
    const int wall = wallAt(e->position());
    if (wall >= 0 && e->button() == Qt::LeftButton)
        ask(wall);
}

void MeasurePlan::leaveEvent(QEvent*) {
    if (!field_->isVisible())
        point(-1);
}

void MeasurePlan::keyPressEvent(QKeyEvent* e) {
    const int count = rooms_.empty() ? 0 : static_cast<int>(rooms_[at_]->walls.size());
    if (e->key() == Qt::Key_Escape && field_->isVisible()) {
        field_->hide();
        setFocus();
        return;
    }
    if (count == 0)
        return QWidget::keyPressEvent(e);
    switch (e->key()) {
    case Qt::Key_Right:
        return point((pointed_ + 1) % count);
    case Qt::Key_Left:
        return point((std::max(pointed_, 0) + count - 1) % count);
    case Qt::Key_Return:
    case Qt::Key_Enter:
        if (pointed_ >= 0)
            ask(pointed_);
        return;
    default:
        QWidget::keyPressEvent(e);
    }
}

void MeasurePlan::paintSure(const sheets::Drawing& d) {
    const auto& room = *rooms_[at_];
    QPainter& p = d.painter;
    p.setPen(QPen(look().chosen, 1.4));
    QColor wash = look().chosen;
    wash.setAlphaF(0.14F);
    p.setBrush(wash);
    for (std::size_t i = 0; room.closed && i < room.fit.sure.size(); ++i) {
        const Ellipse& e = room.fit.sure[i];
        p.save();
        p.translate(d.at(room.walls[i].start));
        p.rotate(e.turn.inDegrees());
        const double k = ninetyFive * ellipsesTimes * d.scale;
        p.drawEllipse(QPointF(0, 0), std::max(e.major * k, 2.0), std::max(e.minor * k, 1.0));
        p.restore();
    }
    if (room.closed && room.fit.next) {
        const auto& next = *room.fit.next;
        p.setPen(QPen(look().chosen, 1.4, Qt::DashLine));
        const QPointF a = d.at(room.walls[static_cast<std::size_t>(next.from)].start);
        const QPointF b = d.at(room.walls[static_cast<std::size_t>(next.to)].start);
        p.drawLine(a, b);
        const auto words = tr("measure next: %1 to %2")
                               .arg(QString::fromStdString(wallName(next.from)),
                                    QString::fromStdString(wallName(next.to)));
        sheets::drawChip(d, a, b,
                         {words, sheets::sans(12.5, QFont::Medium), look().chosen, look().chosen,
                          look().field, 1, false, 11, std::nullopt, 60});
    }
}

void MeasurePlan::paintSuspects(const sheets::Drawing& d) {
    const auto& room = *rooms_[at_];
    QPainter& p = d.painter;
    for (std::size_t k = 0; k < room.fit.suspects.size() && k < 2; ++k) {
        const auto& s = room.fit.suspects[k];
        const FitItem& it = room.fit.items[static_cast<std::size_t>(s.item)];
        const auto at = [&](int wall) {
            return d.at(room.walls[static_cast<std::size_t>(wall)].start);
        };
        const auto wall = static_cast<std::size_t>(it.wall);
        p.setPen(QPen(look().tight, k == 0 ? 4 : 2, Qt::DashLine, Qt::FlatCap));
        QPointF mark;
        switch (it.is) {
        case FitItem::Is::diagonal:
            p.drawLine(at(it.wall), at(it.other));
            mark = (at(it.wall) + at(it.other)) / 2;
            break;
        case FitItem::Is::corner:
            mark = d.at(room.walls[wall].end);
            break;
        default:
            p.drawLine(d.at(room.walls[wall].start), d.at(room.walls[wall].end));
            mark = d.at((room.walls[wall].start + room.walls[wall].end) / 2);
        }
        p.setPen(QPen(look().tight, 1.6));
        p.setBrush(look().field);
        p.drawEllipse(mark, 10, 10);
        d.labels->keepClear(QRectF(mark - QPointF(11, 11), QSizeF(22, 22)));
        p.setFont(sheets::sans(14, QFont::DemiBold));
        p.drawText(QRectF(mark - QPointF(10, 10), QSizeF(20, 20)), Qt::AlignCenter, "?");
    }
}

void MeasurePlan::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), look().board);
    p.setPen(QPen(hasFocus() ? look().chosen : look().panelEdge, hasFocus() ? 2 : 1));
    p.drawRect(rect().adjusted(0, 0, -1, -1));
    if (rooms_.empty() || rooms_[at_]->walls.empty()) {
        p.setPen(look().soft);
        p.setFont(sheets::sans(15));
        p.drawText(rect(), Qt::AlignCenter, tr("The room is drawn here\nas its walls are typed."));
        return;
    }
    const auto& room = *rooms_[at_];
    auto d = drawing(p);
    // The foot of the picture tells of the room.
    sheets::Labels labels{QRectF(rect()).adjusted(2, 2, -2, -24)};
    d.labels = &labels;
    p.setClipRect(rect().adjusted(1, 1, -1, -1));
    sheets::drawNeighbours(d, rooms_, at_);
    if (room.closed) {
        p.setPen(Qt::NoPen);
        p.setBrush(look().floor);
        p.drawPolygon(d.polygon(room.edge));
    }
    sheets::drawRoom(d, room);
    for (const int wall : {pointed_, lit_}) {
        if (wall < 0)
            continue;
        const Wall& w = room.walls[static_cast<std::size_t>(wall)];
        const Vec2 out = -w.inward() * (sheets::drawnWall.mm() / 2);
        p.setPen(QPen(look().chosen, sheets::drawnWall.mm() * d.scale * 0.6, Qt::SolidLine,
                      Qt::FlatCap));
        p.drawLine(d.at(w.start + out), d.at(w.end + out));
    }
    const double wall = sheets::drawnWall.mm() * d.scale;
    for (std::size_t i = 0; i < room.walls.size(); ++i) {
        const Wall& w = room.walls[i];
        sheets::drawDimension(d, d.at(w.start), d.at(w.end),
                              wall + 12 + sheets::standsOut(room, static_cast<int>(i)) * d.scale,
                              QString::fromStdString(write(w.length(), notation_)), 13);
    }
    sheets::drawWallLetters(d, room, 32);
    paintSure(d);
    paintSuspects(d);
    labels.place();
    labels.draw(p);
    p.setFont(sheets::sans(12));
    p.setPen(look().soft);
    p.drawText(rect().adjusted(10, 0, -10, -7), Qt::AlignBottom | Qt::AlignLeft,
               rooms_.size() > 1 ? tr("%1, room %2 of %3")
                                       .arg(QString::fromStdString(room.name))
                                       .arg(at_ + 1)
                                       .arg(rooms_.size())
                                 : QString::fromStdString(room.name));
    if (room.closed)
        p.drawText(rect().adjusted(10, 0, -10, -7), Qt::AlignBottom | Qt::AlignRight,
                   tr("ovals: where each corner lies, 95 %, %1 times as large")
                       .arg(static_cast<int>(ellipsesTimes)));
}

} // namespace mezzet::app
