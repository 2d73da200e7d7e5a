#pragma once

#include "app/session/job_session.h"
#include "site/built.h"

#include <QWidget>

class QLabel;
class QLineEdit;
class QPushButton;
class QTableWidget;

namespace mezzet::app {

/// What was measured once it was done, against what is planned: typed, kept, and taken as it is.
class BuiltTab : public QWidget {
    Q_OBJECT
public:
    explicit BuiltTab(JobSession&, QWidget* parent = nullptr);

    [[nodiscard]] QLineEdit* line() const { return line_; }
    [[nodiscard]] QTableWidget* table() const { return table_; }
    [[nodiscard]] QPushButton* sure() const { return sure_; }
    /// Reads the line, and keeps what it says; what is far off is asked about first.
    void say(bool sure = false);
    /// The scheme stands as the chosen row says.
    bool takeAsItIs();

signals:
    void told(const QString& words, bool trouble);
    void printWanted();

private:
    void fill();
    [[nodiscard]] std::vector<BuiltMark> marks() const;

    JobSession& session_;
    QTableWidget* table_;
    QLineEdit* line_;
    QPushButton* sure_;
};

} // namespace mezzet::app
