#include "app/look/ask.h"

#include <QInputDialog>

namespace mezzet::app {

namespace {

/// Whether it was taken.
bool isTaken(QInputDialog& dialog, const Ask& ask) {
    dialog.setWindowTitle(ask.title);
    dialog.setLabelText(ask.words);
    dialog.setOkButtonText(ask.does);
    return dialog.exec() == QDialog::Accepted;
}

} // namespace

std::optional<QString> askText(QWidget* over, const Ask& ask, const QString& text) {
    QInputDialog dialog(over);
    dialog.setInputMode(QInputDialog::TextInput);
    dialog.setTextValue(text);
    return isTaken(dialog, ask) ? std::optional(dialog.textValue()) : std::nullopt;
}

std::optional<QString> askLines(QWidget* over, const Ask& ask, const QString& text) {
    QInputDialog dialog(over);
    dialog.setInputMode(QInputDialog::TextInput);
    dialog.setOption(QInputDialog::UsePlainTextEditForTextInput);
    dialog.setTextValue(text);
    return isTaken(dialog, ask) ? std::optional(dialog.textValue()) : std::nullopt;
}

std::optional<int> askNumber(QWidget* over, const Ask& ask, int value, int least, int most) {
    QInputDialog dialog(over);
    dialog.setInputMode(QInputDialog::IntInput);
    dialog.setIntRange(least, most);
    dialog.setIntValue(value);
    return isTaken(dialog, ask) ? std::optional(dialog.intValue()) : std::nullopt;
}

std::optional<int> askWhich(QWidget* over, const Ask& ask, const QStringList& names) {
    QInputDialog dialog(over);
    dialog.setInputMode(QInputDialog::TextInput);
    dialog.setComboBoxItems(names);
    return isTaken(dialog, ask) ? std::optional(static_cast<int>(names.indexOf(dialog.textValue())))
                                : std::nullopt;
}

} // namespace mezzet::app
