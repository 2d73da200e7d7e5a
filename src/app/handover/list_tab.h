#pragma once

#include "app/handover/handover_tab.h"
#include "edit/edit.h"
#include "handover/list.h"

#include <QWidget>

class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;
class QTableWidget;

namespace mezzet::app {

/// What is had and bought: every piece of the schemes, and what is in none. A cell is typed over;
/// several rows take a state at once.
class ListTab : public HandoverTab {
    Q_OBJECT
public:
    explicit ListTab(JobSession&);

    [[nodiscard]] QTableWidget* table() const { return table_; }
    [[nodiscard]] QLineEdit* filter() const { return filter_; }
    [[nodiscard]] QComboBox* states() const { return states_; }
    [[nodiscard]] QLineEdit* budget() const { return budget_; }
    [[nodiscard]] QLabel* totals() const { return totals_; }
    /// Gives the rows chosen a state.
    void setState(ItemState);
    /// Whether the chosen piece would do at another size: "88 x 36 x 34". Tells what that upsets,
    /// and keeps it to be tried.
    void askFits(const QString& sizes);
    /// Tries what was asked about last, in a scheme of its own.
    bool tryIt();
    /// A picture of the chosen row's thing, kept in the job.
    bool putPicture(const QString& path);
    bool readFrom(const QString& path);
    bool writeTo(const QString& path);

private:
    void refresh() override;
    void typed(int row, int column);
    bool put(const std::vector<ListEntry>&, const QString& words);
    void takeBudget();

    std::vector<ListItem> items_;
    QTableWidget* table_;
    QLineEdit* filter_;
    QComboBox* shown_;
    QComboBox* states_;
    QLineEdit* budget_;
    QLabel* totals_;
    QLineEdit* found_;
    QPushButton* try_;
    Edit tried_; ///< puts what was found where the piece is
    bool filling_ = false;
};

} // namespace mezzet::app
