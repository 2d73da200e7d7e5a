#pragma once

#include "app/session/job_session.h"
#include "fits/ask.h"

#include <QDialog>

class QLabel;
class QLineEdit;

namespace mezzet::app {

class AnswerColumn;
class LongWork;

/// Asks what fits, and tries the answers.
class FitDialog : public QDialog {
    Q_OBJECT
public:
    explicit FitDialog(JobSession&, QWidget* parent = nullptr);
    ~FitDialog() override;

    /// Puts a question and answers it.
    void ask(const QString& question);
    [[nodiscard]] QLineEdit* question() const { return question_; }
    [[nodiscard]] bool answering() const;
    [[nodiscard]] const std::optional<FitAnswer>& answer() const { return answer_; }

signals:
    /// Where the piece asked for may stand, to be shown on the board.
    void regionsFound(const std::vector<AllowedRegion>&);

private:
    void start();
    void tell(const Result<FitAnswer>&);

    JobSession& session_;
    QLineEdit* question_;
    LongWork* work_;
    QLabel* heading_;
    AnswerColumn* answerRows_;
    std::optional<FitAnswer> answer_;
};

} // namespace mezzet::app
