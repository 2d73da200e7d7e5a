#pragma once

#include "app/measure/laser_link.h"
#include "app/measure/measure_plan.h"
#include "app/session/job_session.h"
#include "judge/unmeasured.h"

#include <QDialog>
#include <QPlainTextEdit>
#include <QTimer>

class QLabel;
class QListWidget;
class QPushButton;

namespace mezzet::app {

/// The measure screen: the tape notes as text at one side, the rooms they make at the other, how
/// all fits together and what is still to be measured below.
class MeasureScreen : public QDialog {
    Q_OBJECT
public:
    /// `job`, when there is one, tells what is planned, and so what is still to be measured.
    MeasureScreen(const QString& notes, bool fresh, QWidget* parent = nullptr,
                  ProjectPtr job = nullptr);

    [[nodiscard]] QString notes() const { return text_->toPlainText(); }
    [[nodiscard]] QPlainTextEdit* editor() const { return text_; }
    [[nodiscard]] MeasurePlan* plan() const { return plan_; }
    [[nodiscard]] QListWidget* missing() const { return missing_; }
    [[nodiscard]] LaserLink* laser() const { return laser_; }
    [[nodiscard]] QString said() const;
    /// The picture a room was traced from here; null for none.
    [[nodiscard]] UnderlayPtr underlay() const;
    /// Notes to begin a room from, in the units of where one is.
    static QString example();
    /// The copy of notes being typed in this program goes: they are kept elsewhere.
    static void forgetDraft();
    void reject() override;
    /// Takes a room from a drawing or a photograph, on the trace screen.
    void trace();
    ~MeasureScreen() override;

    /// Puts a reading where the caret stands, with its unit, and its time behind the line.
    void take(const LaserReading&);

protected:
    void keyPressEvent(QKeyEvent*) override;

private:
    void read();
    void drawRest(std::string text);
    void follow();
    void showMarks();
    void showFit();
    void showMissing();
    void typedAt(int wall, const QString& text);
    void jumpTo(Unmeasured); // by value: writing it makes the list anew
    void replaceLine(int line, const QString& text);
    void insertAfter(int line, const QString& text);
    [[nodiscard]] int lastLineOf(std::size_t wall) const;
    void printBlank();

    bool keepDraft();

    ProjectPtr job_;
    QString begunFrom_; ///< the notes as they were given
    QTimer draft_;
    QPlainTextEdit* text_;
    MeasurePlan* plan_;
    QLabel* says_;
    QLabel* fit_;
    QLabel* facts_;
    QListWidget* missing_;
    QPushButton* take_;
    QPushButton* laserButton_;
    QLabel* laserSays_;
    LaserLink* laser_;
    std::vector<TapeNotes> taped_; ///< as last read without a fault
    std::vector<RoomPtr> rooms_;
    std::vector<Unmeasured> todo_;
    std::optional<Problem> fault_;
    std::shared_ptr<Underlay> underlay_;
    std::string tracedRoom_; ///< what it lies under
    std::size_t room_ = 0;
};

} // namespace mezzet::app
