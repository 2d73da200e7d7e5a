#pragma once

#include "app/job_session.h"

#include <QDialog>
#include <QPlainTextEdit>

class QLabel;
class QPushButton;

namespace mezzet::app {

/// The tape notes as text, with the room they make drawn beside them as they are typed.
class NotesDialog : public QDialog {
    Q_OBJECT
public:
    NotesDialog(const QString& notes, bool fresh, QWidget* parent = nullptr);

    [[nodiscard]] QString notes() const { return text_->toPlainText(); }
    [[nodiscard]] QPlainTextEdit* editor() const { return text_; }
    [[nodiscard]] QString said() const;
    /// Notes to begin a room from.
    static QString example();

private:
    void read();

    QPlainTextEdit* text_;
    QWidget* plan_;
    QLabel* says_;
    QPushButton* take_;
    std::shared_ptr<const Room> room_;
    friend class NotesPlan;
};

} // namespace mezzet::app
