#pragma once

#include "app/handover/built_tab.h"
#include "app/handover/list_tab.h"
#include "app/handover/order_tab.h"
#include "app/handover/tape_tab.h"
#include "sheets/book.h"

#include <QDialog>

class QTabWidget;

namespace mezzet::app {

/// What leaves the desk and what comes back: the list, the order of work, tape-out, what was built,
/// and the book of all sheets.
class HandoverDialog : public QDialog {
    Q_OBJECT
public:
    explicit HandoverDialog(JobSession&, QWidget* parent = nullptr);

    [[nodiscard]] QTabWidget* tabs() const { return tabs_; }
    [[nodiscard]] ListTab* list() const { return list_; }
    [[nodiscard]] OrderTab* order() const { return order_; }
    [[nodiscard]] TapeTab* tape() const { return tape_; }
    [[nodiscard]] BuiltTab* built() const { return built_; }
    /// The book as the last tab asks for it.
    [[nodiscard]] sheets::BookAsked asked() const;
    /// What came of something, in words, at the foot.
    [[nodiscard]] QString told() const;

signals:
    void printSheet(const QString& id);
    void printBook(const sheets::BookAsked&);
    void printCard();

private:
    QWidget* bookTab();
    void tell(const QString&, bool trouble);
    void showChapters();
    void remember();

    JobSession& session_;
    QTabWidget* tabs_;
    ListTab* list_;
    OrderTab* order_;
    TapeTab* tape_;
    BuiltTab* built_;
    QComboBox* reader_;
    QComboBox* paper_;
    QComboBox* scale_;
    QListWidget* chapters_;
    QLabel* told_;
};

} // namespace mezzet::app
