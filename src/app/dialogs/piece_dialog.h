#pragma once

#include "app/session/job_session.h"

#include <QDialog>

class QLabel;
class QLineEdit;

namespace mezzet::app {

/// A piece's name and sizes, typed. What can't be is told where it is typed, and nothing changes.
class PieceDialog : public QDialog {
    Q_OBJECT
public:
    PieceDialog(JobSession&, int piece, QWidget* parent = nullptr);

    [[nodiscard]] QLineEdit* name() const { return name_; }
    [[nodiscard]] QLineEdit* width() const { return width_; }
    [[nodiscard]] QLineEdit* depth() const { return depth_; }
    [[nodiscard]] QLineEdit* height() const { return height_; }
    [[nodiscard]] QString fault() const;

    void accept() override;

private:
    JobSession& session_;
    int piece_;
    QLineEdit* name_;
    QLineEdit* width_;
    QLineEdit* depth_;
    QLineEdit* height_;
    QLabel* fault_;
};

} // namespace mezzet::app
