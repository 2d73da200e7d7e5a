#pragma once

#include "app/session/job_session.h"
#include "app/session/runner.h"
#include "things/picture_answers.h"

#include <QDialog>
#include <QStringList>

class QLabel;
class QListWidget;
class QPushButton;

namespace mezzet::app {

/// Several pictures for one frame, side by side on its wall, ranked by how they answer the room.
class PicturesDialog : public QDialog {
    Q_OBJECT
public:
    /// For the frame with that id.
    PicturesDialog(JobSession&, int frame, QWidget* parent = nullptr);
    ~PicturesDialog() override;

    /// Reads and ranks files beside the window.
    void take(const QStringList& files);
    [[nodiscard]] bool reading() const { return left_ > 0; }
    [[nodiscard]] QListWidget* list() const { return list_; }
    [[nodiscard]] QLabel* told() const { return told_; }
    /// Puts the chosen one in the frame.
    bool hang();

private:
    struct Tried {
        Picture picture;
        PictureAnswer answer;
    };
    void showTried();
    [[nodiscard]] QPixmap onTheWall(const Tried&) const;

    JobSession& session_;
    int frame_;
    std::vector<Tried> tried_; ///< the best first
    int left_ = 0;             ///< files that are being read
    Runner runner_;
    QListWidget* list_;
    QLabel* told_;
    QPushButton* hang_;
};

} // namespace mezzet::app
