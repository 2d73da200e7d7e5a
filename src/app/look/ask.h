#pragma once

#include <QString>
#include <QStringList>

#include <optional>

class QWidget;

namespace mezzet::app {

/// A question in a window of its own, with one thing to tell.
struct Ask {
    QString title;
    QString words; ///< over the field
    QString does;  ///< on the button that takes it: what will be done
};

// What is told; nothing where the question was left.

[[nodiscard]] std::optional<QString> askText(QWidget* over, const Ask&, const QString& text = {});
/// Several lines of it.
[[nodiscard]] std::optional<QString> askLines(QWidget* over, const Ask&, const QString& text = {});
[[nodiscard]] std::optional<int> askNumber(QWidget* over, const Ask&, int value, int least,
                                           int most);
/// Which of several; the first is offered.
[[nodiscard]] std::optional<int> askWhich(QWidget* over, const Ask&, const QStringList& names);

} // namespace mezzet::app
