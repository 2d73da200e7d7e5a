#pragma once

#include "measure/notation.h"
#include "rules/rule_book.h"

#include <QDialog>
#include <QString>

#include <vector>

class QLineEdit;
class QListWidget;
class QTextBrowser;

namespace mezzet::app {

/// The handbook in the language that is spoken: its pages, and what of them has a word in it. Those
/// of the line and of the rules are made of what reads the line and of the book that judges, in the
/// units of the job.
class HandbookDialog : public QDialog {
    Q_OBJECT
public:
    HandbookDialog(const RuleBook& book, Units units, QWidget* parent = nullptr);

    /// Shows a page by its file's name without the ending, "walls"; false when there is none.
    bool showPage(const QString& page);
    [[nodiscard]] QLineEdit* search() const { return search_; }
    [[nodiscard]] QListWidget* list() const { return list_; }
    [[nodiscard]] QTextBrowser* text() const { return text_; }
    [[nodiscard]] int pages() const { return static_cast<int>(pages_.size()); }

private:
    void fill();
    void openPage(int page, const QString& wanted);

    struct Page {
        QString id;
        QString title;
        QString text;
    };
    std::vector<Page> pages_;
    QLineEdit* search_;
    QListWidget* list_;
    QTextBrowser* text_;
    int shown_ = -1;
};

} // namespace mezzet::app
