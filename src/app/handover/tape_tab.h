#pragma once

#include "app/session/job_session.h"
#include "handover/tape_out.h"

#include <QWidget>

class QLabel;
class QListWidget;

namespace mezzet::app {

/// The floor with the two tapes of one step.
class TapePicture : public QWidget {
    Q_OBJECT
public:
    explicit TapePicture(QWidget* parent = nullptr);
    void show(ScenePtr, const TapeOut&, const Notation&, std::optional<std::size_t> step);
    QSize sizeHint() const override { return {600, 480}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    ScenePtr scene_;
    TapeOut tape_;
    Notation shown_;
    std::optional<std::size_t> step_;
};

/// Marking the floor step by step: each is ticked off, the next one shown.
class TapeTab : public QWidget {
    Q_OBJECT
public:
    explicit TapeTab(JobSession&, QWidget* parent = nullptr);

    [[nodiscard]] QListWidget* steps() const { return steps_; }
    [[nodiscard]] const TapeOut& tape() const { return tape_; }
    /// Ticks the step shown off and goes on to the next.
    void done();

signals:
    void printWanted();
    /// A piece was marked elsewhere: what was measured is to be typed.
    void builtWanted(const QString& piece);

private:
    void fill();
    void showStep();

    JobSession& session_;
    TapePicture* picture_;
    QListWidget* steps_;
    QLabel* words_;
    TapeOut tape_;
    QString last_; ///< of which the ticks are
};

} // namespace mezzet::app
