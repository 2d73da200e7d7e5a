#pragma once

#include "app/handover/handover_tab.h"
#include "site/built.h"

#include <QWidget>

class QLabel;
class QLineEdit;
class QPushButton;
class QTableWidget;

namespace mezzet::app {

/// What was measured once it was done, against what is planned: typed, kept, and taken as it is.
class BuiltTab : public HandoverTab {
    Q_OBJECT
public:
    explicit BuiltTab(JobSession&);

    [[nodiscard]] QLineEdit* line() const { return line_; }
    [[nodiscard]] QTableWidget* table() const { return table_; }
    [[nodiscard]] QPushButton* sure() const { return sure_; }
    /// Reads the line, and keeps what it says; what is far off is asked about first.
    void say(bool sure = false);
    /// The scheme stands as the chosen row says.
    bool takeAsItIs();

private:
    void refresh() override;
    [[nodiscard]] std::vector<BuiltMark> marks() const;

    QTableWidget* table_;
    QLineEdit* line_;
    QPushButton* sure_;
};

} // namespace mezzet::app
