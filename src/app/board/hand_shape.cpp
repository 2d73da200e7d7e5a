// Turning and sizing the chosen piece by its knob and its squares.
#include "app/board/hand.h"
#include "app/look/tr.h"

#include "app/board/board.h"

#include "edit/pieces.h"
#include "measure/texts.h"
#include "scheme/clearance.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet::app {

namespace {

/// The turn square to a wall that is nearest to another: along it, or to or from it.
Angle squareTurn(const Wall& wall, Angle to) {
    const Angle along = wall.direction();
    const double quarters = std::round(difference(to, along).inDegrees() / 90);
    return along + Angle::degrees(90 * quarters);
}

/// The wall nearest to a place, of those that a turn is square to within so many degrees; null for
/// none.
const Wall* squareTo(const Room& room, Vec2 at, Angle to, double within) {
    const Wall* best = nullptr;
    double least = 0;
    for (const Wall& wall : room.walls) {
        if (std::abs(difference(squareTurn(wall, to), to).inDegrees()) > within)
            continue;
        const double far = norm(at - nearestOn({wall.start, wall.end}, at));
        if (best == nullptr || far < least) {
            least = far;
            best = &wall;
        }
    }
    return best;
}

} // namespace

Result<Edit> TurnHand::turned() const {
    JobSession& session = board_.session();
    return turnBy(*session.settledProject(), *session.settledScene(), session.selected(), by_);
}

std::unique_ptr<Hand> TurnHand::move(QPointF at, Qt::KeyboardModifiers keys) {
    JobSession& session = board_.session();
    last_ = at;
    if (session.selected().empty())
        return {};
    const Placed* where = session.settledScene()->inPlan(session.selected().front());
    if (where == nullptr)
        return {};
    const Vec2 to = board_.toFloor(at) - where->pose.at;
    const bool fine = (keys & Qt::ShiftModifier) != 0;
    const double stops = fine ? 1.0 : 5.0;
    // By steps from where it stands, and square to the walls.
    const Angle toPointer = directionOf(to) - Angle::degrees(90);
    const double turnBy = difference(toPointer, where->pose.turn).inDegrees();
    by_ = Angle::degrees(std::round(turnBy / stops) * stops);
    const Wall* square =
        fine ? nullptr : squareTo(*session.project()->room, where->pose.at, toPointer, stops / 2);
    if (square != nullptr)
        by_ = difference(squareTurn(*square, toPointer), where->pose.turn);
    const double degrees = std::round(by_.inDegrees() * 10) / 10;
    figures_ =
        QString::fromStdString(decimals(fmt::format("{:g}", std::abs(degrees)))) + QChar(0x00B0);
    if (degrees != 0)
        figures_ = (degrees > 0 ? tr("%1 right") : tr("%1 left")).arg(figures_);
    if (square != nullptr)
        figures_ += tr(", square to wall %1").arg(QString::fromStdString(square->name));
    if (auto edit = turned())
        session.tryOut(*edit);
    return {};
}

void TurnHand::release(QPointF, Qt::KeyboardModifiers) {
    auto edit = turned();
    board_.session().endTrial();
    if (edit && std::abs(by_.inDegrees()) > 0.01)
        board_.applyAndTell(*edit);
}

std::unique_ptr<Hand> SizeHand::move(QPointF at, Qt::KeyboardModifiers keys) {
    JobSession& session = board_.session();
    last_ = at;
    const int id = session.selected().empty() ? 0 : session.selected().front();
    const Piece* now = session.settledProject()->scheme().byId(id);
    const Placed* where = session.settledScene()->byId(id);
    if (now == nullptr || where == nullptr)
        return {};
    const bool hangs = now->onWall();
    const Vec2 there = board_.toFloor(at);
    const Vec2 local =
        hangs ? board_.onSurface(there) - where->pose.at : where->pose.toLocal(there);
    const bool fromMiddle = (keys & Qt::ControlModifier) != 0;
    const Notation n = session.project()->notation;
    const double stop = (keys & Qt::ShiftModifier) != 0 ? division(n).mm()
                        : isMetric(n.units)             ? 50
                                                        : 25.4;
    const double halfWide = now->size.width.mm() / 2;
    const double halfDeep = (hangs ? now->size.height : now->size.depth).mm() / 2;
    const auto wanted = [&](double reach, double half) {
        const double whole = fromMiddle ? 2 * reach : reach + half;
        return std::max(stop, std::round(whole / stop) * stop);
    };
    Vec2 want{wanted(local.x * corner_.x, halfWide), wanted(local.y * corner_.y, halfDeep)};
    // A size it is stocked in holds the hand a little.
    bool stocked = false;
    if ((keys & Qt::ShiftModifier) == 0)
        for (const Vec2 size : stockedSizes(*session.settledProject(), *now))
            if (!stocked && std::abs(size.x - want.x) <= stop * 1.5 + 1e-6 &&
                std::abs(size.y - want.y) <= stop * 1.5 + 1e-6) {
                want = size;
                stocked = true;
            }
    const Edit edit =
        sizeByCorner(*session.settledProject(), *session.settledScene(), id, corner_,
                     Length::millimetres(want.x), Length::millimetres(want.y), fromMiddle);
    const Size size = std::get<PutPiece>(edit.acts.front()).piece.size;
    figures_ = QString::fromStdString(writeGap(size.width, n) + " x " +
                                      writeGap(hangs ? size.height : size.depth, n)) +
               (stocked ? tr(", in stock") : "");
    session.tryOut(edit);
    edit_ = edit;
    board_.update();
    return {};
}

void SizeHand::release(QPointF, Qt::KeyboardModifiers) {
    board_.session().endTrial();
    if (edit_)
        board_.applyAndTell(*edit_);
}

} // namespace mezzet::app
