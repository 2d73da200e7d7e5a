#pragma once

#include "app/handover/handover_tab.h"
#include "app/look/widgets.h"
#include "handover/tape_out.h"

#include <QWidget>

class QLabel;
class QListWidget;

namespace mezzet::app {

/// The floor with the two tapes of one step.
class TapePicture : public PaperWidget {
public:
    TapePicture();
    void show(ScenePtr, const TapeOut&, const Notation&, std::optional<std::size_t> step);
    QSize sizeHint() const override { return {600, 480}; }

protected:
    void drawPaper(QPainter&, double unitsPerMm, const QRectF& mm) override;

private:
    ScenePtr scene_;
    TapeOut tape_;
    Notation shown_;
    std::optional<std::size_t> step_;
};

/// Marking the floor step by step: each is ticked off, the next one shown.
class TapeTab : public HandoverTab {
    Q_OBJECT
public:
    explicit TapeTab(JobSession&);

    [[nodiscard]] QListWidget* steps() const { return steps_; }
    [[nodiscard]] const TapeOut& tape() const { return tape_; }
    /// Ticks the step shown off and goes on to the next.
    void done();

signals:
    /// A piece was marked elsewhere: what was measured is to be typed.
    void builtWanted(const QString& piece);

private:
    void refresh() override;
    void showStep();

    TapePicture* picture_;
    QListWidget* steps_;
    QLabel* words_;
    TapeOut tape_;
    QStringList last_; ///< of which the ticks are
};

} // namespace mezzet::app
