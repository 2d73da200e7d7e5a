#pragma once

#include <QScrollArea>

class QVBoxLayout;

namespace mezzet::app {

/// The scrolling column of a dialog's answer: each new answer takes the place of the one before.
class AnswerColumn : public QScrollArea {
    Q_OBJECT
public:
    explicit AnswerColumn(int spacing, QWidget* parent = nullptr);

    /// Takes the old answer away, and gives back the empty rows for a new one.
    [[nodiscard]] QVBoxLayout* begin();
    /// Shows what has been put in the rows.
    void end();

private:
    QVBoxLayout* column_;
    QWidget* body_ = nullptr;
    int spacing_;
};

} // namespace mezzet::app
