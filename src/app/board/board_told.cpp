// What is told when the pointer rests on the board, and of a view in its corner.
#include "app/board/board.h"
#include "app/look/style.h"
#include "app/look/tr.h"
#include "measure/texts.h"
#include "scheme/spoken.h"

#include "judge/reading.h"
#include "scheme/words.h"

#include <cmath>

namespace mezzet::app {

namespace {

/// An opening in the language that is spoken, and as the line knows it where that is otherwise.
std::string called(const Opening& o) {
    const auto own = spokenOfRoom(o.name());
    const auto name = own == o.name() ? own : fmt::format("{} ({})", own, o.name());
    return o.leadsTo.empty() ? name : worded("{}, to {}", name, o.leadsTo);
}

QString text(const std::string& s) {
    return QString::fromStdString(s);
}

/// "window 1, 5' 0\" wide, 4' 6\" high, 2' 8\" up"; what is nought is left out.
QString sized(std::string name, Length wide, Length high, Length up, Notation n) {
    if (wide > Length{})
        name += ", " + write(wide, n) + " wide";
    if (high > Length{})
        name += ", " + write(high, n) + " high";
    if (up > Length{})
        name += ", " + write(up, n) + " up";
    return text(name);
}

} // namespace

QString Board::toldOfPiece(int id) const {
    const Project& job = *session_.project();
    const Wording say = session_.wording();
    const Piece& p = *job.scheme().byId(id);
    QStringList out{text(p.name + ", " + words(p.size, job.notation) + ", " + p.kind->name)};
    constexpr int most = 3;
    int left = 0;
    for (const Reading& r : session_.readings())
        if (r.piece == id && r.toMend() && ++left <= most)
            out << text(titleOf(r, say) + ": " + whyOf(r, say));
    if (left > most)
        out << tr("and %1 more to mend").arg(left - most);
    if (p.locked)
        out << tr("Locked where it is.");
    return out.join("\n");
}

QString Board::toldOfRoom(Vec2 p) const {
    const Room& room = *session_.project()->room;
    const Notation n = session_.project()->notation;
    const double reach = 8 / camera_.scale;
    const bool wall = session_.surface().isWall();
    for (const Opening& o : room.openings) {
        const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
        const Vec2 local{dot(p - w.start, w.along()), dot(p - w.start, w.inward())};
        const auto within = [&](double along) {
            return along >= o.left.mm() && along <= (o.left + o.width).mm();
        };
        if (wall
                ? session_.surface() == onWall(o.wall) && within(p.x) && p.y >= o.sill.mm() &&
                      p.y <= o.head().mm()
                : within(local.x) && local.y <= reach && local.y >= -sheets::drawnWall.mm() - reach)
            return sized(called(o), o.width, o.height,
                         o.kind == OpeningKind::window ? o.sill : Length{}, n);
    }
    for (const Fixture& f : room.fixtures) {
        bool here = false;
        if (wall)
            here = session_.surface() == onWall(f.wall) && f.isPoint() &&
                   std::abs(p.x - f.left.mm()) < 60 + reach &&
                   std::abs(p.y - f.up.mm()) < 80 + reach;
        else if (f.isPoint())
            here = norm(p - room.walls[static_cast<std::size_t>(f.wall)].at(f.left)) < 1.5 * reach;
        else
            here = contains(solid(room, f), p);
        if (!here)
            continue;
        Target t;
        t.is = f.isBreast() ? Target::Is::chimney : Target::Is::fixture;
        t.built = f.kind;
        t.index = f.number;
        return sized(words(t, session_.wording()), f.isPoint() ? Length{} : f.width, Length{}, f.up,
                     n);
    }
    return wall ? QString() : toldOf(p);
}

QString Board::toldAt(QPointF at) const {
    const Wording say = session_.wording();
    const auto& readings = session_.readings();
    for (const auto& [i, box] : chips_)
        if (box.contains(at) && static_cast<std::size_t>(i) < readings.size()) {
            QStringList out;
            for (const Reading& r : readings)
                if (sheets::sameMark(r, readings[static_cast<std::size_t>(i)]))
                    out << text(titleWithSubject(r, say) + ", " +
                                std::string(verdictName(r.verdict)) + ". " + whyOf(r, say));
            return out.join("\n");
        }
    if (const int id = pieceAt(at); id != 0)
        return toldOfPiece(id);
    return toldOfRoom(onSurface(toFloor(at)));
}

// What is seen first, in a corner of the sheet: last, so that no wall's letter crosses it.
void Board::paintViewSaid(QPainter& p) const {
    if (viewSaid_.isEmpty())
        return;
    p.setFont(sheets::sans(13));
    const QRectF at(sheetArea().left() + 10, sheetArea().top() + 8,
                    p.fontMetrics().horizontalAdvance(viewSaid_) + 20, 22);
    p.setPen(QPen(look().panelEdge, 1));
    p.setBrush(look().field);
    p.drawRoundedRect(at, 5, 5);
    p.setPen(look().ink);
    p.drawText(at, Qt::AlignCenter, viewSaid_);
}

} // namespace mezzet::app
