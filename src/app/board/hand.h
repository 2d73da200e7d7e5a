#pragma once

#include "edit/drag.h"
#include "edit/rug_outline.h"
#include "edit/snap.h"
#include "sheets/drawing.h"

#include <QCursor>
#include <QPainter>

#include <memory>
#include <optional>

class QKeyEvent;

namespace mezzet::app {

class Board;

/// What the hand does from a press of the button until it is let go; a class each.
class Hand {
public:
    explicit Hand(Board& of) : board_(of) {}
    virtual ~Hand() = default;
    Hand(const Hand&) = delete;
    Hand& operator=(const Hand&) = delete;

    /// The pointer goes there. The hand that goes on from here, when it is another one.
    virtual std::unique_ptr<Hand> move(QPointF, Qt::KeyboardModifiers) = 0;
    /// The button is let go.
    virtual void release(QPointF, Qt::KeyboardModifiers) {}
    /// Nothing is done after all.
    virtual void cancel() {}
    /// What it shows over the surface, and over everything.
    virtual void paint(QPainter&) const {}
    virtual void paintOver(QPainter&) const {}
    /// What it letters there.
    virtual void letter(const sheets::Drawing&) const {}
    /// What the piece in hand would come to stand by; null for none.
    [[nodiscard]] virtual const std::optional<SnapOffer>* snap() const { return nullptr; }
    [[nodiscard]] virtual Qt::CursorShape cursor() const { return Qt::ArrowCursor; }

protected:
    Board& board_;
};

/// Moves the sheet under the pointer.
class PanHand : public Hand {
public:
    PanHand(Board& of, QPointF at) : Hand(of), last_(at) {}
    std::unique_ptr<Hand> move(QPointF, Qt::KeyboardModifiers) override;
    [[nodiscard]] Qt::CursorShape cursor() const override { return Qt::ClosedHandCursor; }

private:
    QPointF last_;
};

/// Chooses all whose middles are swept over.
class SweepHand : public Hand {
public:
    SweepHand(Board& of, QPointF at) : Hand(of), from_(at), to_(at) {}
    std::unique_ptr<Hand> move(QPointF, Qt::KeyboardModifiers) override;
    void paint(QPainter&) const override;

private:
    QPointF from_;
    QPointF to_;
};

/// Tries a change out while the pointer moves, and tells its figures in a small field by it.
class TrialHand : public Hand {
public:
    using Hand::Hand;
    void cancel() override;
    void letter(const sheets::Drawing&) const override;
    void paintOver(QPainter&) const override;

protected:
    QPointF last_;
    QString figures_;
};

/// Turns the chosen piece by its knob: by steps of 5 degrees, and square to a wall; with Shift by
/// single degrees.
class TurnHand : public TrialHand {
public:
    using TrialHand::TrialHand;
    std::unique_ptr<Hand> move(QPointF, Qt::KeyboardModifiers) override;
    void release(QPointF, Qt::KeyboardModifiers) override;

private:
    [[nodiscard]] Result<Edit> turned() const;
    Angle by_;
};

/// Sizes the chosen piece by one of its squares: the corner across stays, or with Ctrl its middle.
/// It stops at whole inches, or 5 cm; with Shift at the tape's own division.
class SizeHand : public TrialHand {
public:
    /// `corner`: to its right or left, and to its front or back; of what hangs its top or foot.
    SizeHand(Board& of, Vec2 corner) : TrialHand(of), corner_(corner) {}
    std::unique_ptr<Hand> move(QPointF, Qt::KeyboardModifiers) override;
    void release(QPointF, Qt::KeyboardModifiers) override;
    [[nodiscard]] Qt::CursorShape cursor() const override { return Qt::SizeFDiagCursor; }

private:
    Vec2 corner_;
    std::optional<Edit> edit_;
};

/// Drags an edge or a corner of a rug's outline; it stops at the building's lines.
class OutlineHand : public TrialHand {
public:
    /// Counted from 1; of a corner `edge` is 0.
    OutlineHand(Board& of, int edge, int corner);
    std::unique_ptr<Hand> move(QPointF, Qt::KeyboardModifiers) override;
    void release(QPointF, Qt::KeyboardModifiers) override;
    [[nodiscard]] Qt::CursorShape cursor() const override {
        return edge_ > 0 ? Qt::SizeAllCursor : Qt::CrossCursor;
    }

private:
    int edge_;
    int corner_;
    std::vector<FloorLine> lines_; ///< of the building, to snap to
    std::optional<Edit> edit_;
};

/// Draws a rug corner by corner: each press sets one, a length that is typed sets the next one so
/// far on, Enter or a press on the first closes it.
class DrawHand : public Hand {
public:
    explicit DrawHand(Board& of);
    std::unique_ptr<Hand> move(QPointF, Qt::KeyboardModifiers) override;
    void press(QPointF, Qt::KeyboardModifiers);
    /// True when the key was meant for it.
    bool key(QKeyEvent*);
    void release(QPointF, Qt::KeyboardModifiers) override {}
    void cancel() override;
    void paintOver(QPainter&) const override;
    [[nodiscard]] Qt::CursorShape cursor() const override { return Qt::CrossCursor; }
    [[nodiscard]] bool done() const { return done_; }

private:
    [[nodiscard]] Vec2 snapped(QPointF) const;
    void close();

    std::vector<FloorLine> lines_; ///< of the building, to snap to
    std::vector<Vec2> corners_;
    Vec2 next_;
    QString typed_;
    bool done_ = false;
};

/// A piece is pressed, and may be dragged.
class PressHand : public Hand {
public:
    PressHand(Board& of, QPointF at, bool inGroup, bool deeper)
        : Hand(of), at_(at), inGroup_(inGroup), deeper_(deeper) {}
    std::unique_ptr<Hand> move(QPointF, Qt::KeyboardModifiers) override;
    void release(QPointF, Qt::KeyboardModifiers) override;

private:
    QPointF at_;
    bool inGroup_; ///< a piece of the chosen group is chosen when it is let go without a drag
    bool deeper_;  ///< what was pressed was chosen already: what lies under it is chosen then
};

/// Drags what is chosen. It stops at walls and slides along them; with Alt it goes through.
class DragHand : public Hand {
public:
    DragHand(Board& of, QPointF from) : Hand(of), from_(from), last_(from) {}
    std::unique_ptr<Hand> move(QPointF, Qt::KeyboardModifiers) override;
    void release(QPointF, Qt::KeyboardModifiers) override;
    void cancel() override;
    void paint(QPainter&) const override;
    void paintOver(QPainter&) const override;
    /// How far it is to what is nearest, each way.
    void letter(const sheets::Drawing&) const override;
    [[nodiscard]] const std::optional<SnapOffer>* snap() const override { return &snap_; }
    [[nodiscard]] Qt::CursorShape cursor() const override { return Qt::SizeAllCursor; }

private:
    [[nodiscard]] Vec2 fine(Vec2 step) const;

    QPointF from_;
    QPointF last_;
    Vec2 step_;
    std::optional<Drag> drag_;
    std::optional<SnapOffer> snap_;
    QString stops_; ///< the wall that holds it; empty when none does
};

} // namespace mezzet::app
