#pragma once

#include "app/session/job_session.h"
#include "dress/solve.h"
#include "sheets/draw_things.h"

#include <QDialog>
#include <QWidget>

class QComboBox;
class QHBoxLayout;
class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;

namespace mezzet::app {

class LongWork;

/// A unit from the front, with what stands in it: a thing is chosen by a click, and dragged to
/// another place or opening.
class UnitPicture : public QWidget {
    Q_OBJECT
public:
    explicit UnitPicture(JobSession&, QWidget* parent = nullptr);

    void show(int unit);
    [[nodiscard]] int unit() const { return unit_; }
    /// Light and dark only, blurred, as from across the room.
    void squint(bool);
    [[nodiscard]] int chosen() const { return chosen_; }
    void choose(int thing);
    /// The opening or top at a point of this widget, and how far from its left; nothing beside the
    /// unit.
    [[nodiscard]] std::optional<std::pair<SurfaceId, double>> boardAt(QPointF) const;
    /// Where a thing is drawn; nothing for one that isn't.
    [[nodiscard]] QRectF frontOf(int thing) const;
    QSize sizeHint() const override { return {560, 520}; }

signals:
    void chosenChanged();

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    bool event(QEvent*) override;

private:
    [[nodiscard]] sheets::UnitView drawn() const;
    /// The foremost thing at a point; 0 for none.
    [[nodiscard]] int thingAt(QPointF) const;
    void moveBy(double mm);

    JobSession& session_;
    int unit_ = 0;
    int chosen_ = 0;
    bool squint_ = false;
    std::optional<QPointF> grabbed_; ///< from the thing's left foot to the pointer
    QPointF at_;
    bool dragged_ = false;
};

/// Dresses a shelf unit or a tabletop: says, drags and counts what stands there, and finds answers
/// from the stock to try.
class DressDialog : public QDialog {
    Q_OBJECT
public:
    explicit DressDialog(JobSession&, QWidget* parent = nullptr);
    ~DressDialog() override;

    [[nodiscard]] UnitPicture* picture() const { return picture_; }
    [[nodiscard]] QComboBox* units() const { return units_; }
    [[nodiscard]] QLineEdit* line() const { return line_; }
    [[nodiscard]] QListWidget* readings() const { return readings_; }
    [[nodiscard]] QListWidget* stock() const { return stock_; }
    [[nodiscard]] QListWidget* wanted() const { return wanted_; }
    [[nodiscard]] QLabel* told() const { return told_; }
    [[nodiscard]] bool solving() const;
    [[nodiscard]] std::size_t answers() const { return found_.size(); }
    /// Dresses it from the stock: `wish` as the buttons have it.
    void solve(DressWish wish);
    /// Tries an answer; another takes its place.
    bool take(std::size_t answer);

signals:
    void printWanted();

private:
    void fill();
    void showAnswers();
    void tell(const QString&, bool trouble);
    void sayIt();

    JobSession& session_;
    QComboBox* units_;
    UnitPicture* picture_;
    QListWidget* readings_;
    QListWidget* stock_;
    QListWidget* wanted_;
    QLabel* counts_;
    QLabel* told_;
    QLineEdit* line_;
    LongWork* work_;
    QHBoxLayout* answersRow_;
    std::vector<QPushButton*> answerButtons_;
    std::vector<DressAnswer> found_;
    ProjectPtr solvedFor_; ///< the job the answers are of
    ProjectPtr tried_;     ///< as an answer made it; null for none
    std::size_t taken_ = 0;
    unsigned seed_ = 1;
};

} // namespace mezzet::app
