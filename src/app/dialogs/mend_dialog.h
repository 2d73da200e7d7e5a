#pragma once

#include "app/session/job_session.h"

#include <QDialog>

class QLabel;
class QLineEdit;
class QPushButton;

namespace mezzet::app {

class AnswerColumn;
class LongWork;

/// "Mend all I can": shows every step before any is taken.
class MendDialog : public QDialog {
    Q_OBJECT
public:
    explicit MendDialog(JobSession&, QWidget* parent = nullptr);
    ~MendDialog() override;

    [[nodiscard]] bool looking() const;
    [[nodiscard]] const std::optional<Mended>& found() const { return found_; }
    [[nodiscard]] QPushButton* takeButton() const { return take_; }

private:
    void start();
    void tell(Mended);

    JobSession& session_;
    QLineEdit* largest_;
    LongWork* work_;
    QLabel* heading_;
    AnswerColumn* answerRows_;
    QPushButton* take_;
    std::optional<Mended> found_;
};

} // namespace mezzet::app
