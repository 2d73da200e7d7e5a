#pragma once

#include "sheets/drawing.h"

#include <QLineEdit>
#include <QWidget>

namespace mezzet::app {

/// The rooms the notes make, drawn as they are typed: how sure each corner is, which run is
/// suspect, which diagonal would tell most. A wall is clicked, or walked to with the arrow keys,
/// and its run typed.
class MeasurePlan : public QWidget {
    Q_OBJECT
public:
    explicit MeasurePlan(QWidget* parent = nullptr);

    void show(std::vector<RoomPtr> rooms, std::size_t room, Notation);
    /// The wall whose line is being typed; -1 for none.
    void light(int wall);
    [[nodiscard]] int lit() const { return lit_; }
    [[nodiscard]] int pointed() const { return pointed_; }
    /// Where a wall is on the widget.
    [[nodiscard]] QPointF middleOfWall(int wall) const;
    /// Opens the field at a wall.
    void ask(int wall);
    [[nodiscard]] QLineEdit* field() const { return field_; }

    QSize sizeHint() const override { return {640, 420}; }

signals:
    void wallPointed(int wall);
    /// A run, or what stands on the wall, typed at it.
    void typedAt(int wall, const QString& text);

protected:
    void paintEvent(QPaintEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void leaveEvent(QEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    [[nodiscard]] sheets::Drawing drawing(QPainter&) const;
    [[nodiscard]] int wallAt(QPointF) const;
    void point(int wall);
    void paintSure(const sheets::Drawing&);
    void paintSuspects(const sheets::Drawing&);

    std::vector<RoomPtr> rooms_;
    std::size_t at_ = 0;
    Notation notation_;
    int lit_ = -1;
    int pointed_ = -1;
    int asked_ = -1;
    QLineEdit* field_;
};

} // namespace mezzet::app
