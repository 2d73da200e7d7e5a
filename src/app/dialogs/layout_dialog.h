#pragma once

#include "app/session/job_session.h"
#include "app/session/runner.h"

#include <QDialog>

class QComboBox;
class QLabel;
class QListWidget;
class QPushButton;

namespace mezzet::app {

/// Clearly different ways to light the room, each drawn with its figures and readings: one is
/// tried, another takes its place, one is kept.
class LayoutDialog : public QDialog {
    Q_OBJECT
public:
    explicit LayoutDialog(JobSession&, QWidget* parent = nullptr);
    ~LayoutDialog() override;

    [[nodiscard]] QListWidget* list() const { return list_; }
    [[nodiscard]] QComboBox* kinds() const { return kinds_; }
    [[nodiscard]] bool finding() const { return left_ > 0; }
    [[nodiscard]] QLabel* told() const { return told_; }
    /// Tries a way; what was tried before goes.
    bool tryIt(int row);

private:
    struct Way {
        QString line;
        QString words;
        Edit edit;
        ProjectPtr job;
        ScenePtr scene;
        int toMend = 0; ///< readings of light
        int order = 0;
    };
    void find();
    void showWays();
    [[nodiscard]] QPixmap drawn(const Way&) const;

    JobSession& session_;
    ProjectPtr from_;  ///< the job the ways are of
    ProjectPtr tried_; ///< as a way made it
    std::vector<Way> ways_;
    int left_ = 0;
    int round_ = 0; ///< of which search an answer is
    Runner runner_;
    QComboBox* kinds_;
    QListWidget* list_;
    QLabel* told_;
    QPushButton* try_;
};

} // namespace mezzet::app
