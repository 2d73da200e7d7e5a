#pragma once

#include "app/session/job_session.h"
#include "edit/grouping.h"

#include <QDialog>

#include <set>

class QButtonGroup;
class QCheckBox;
class QComboBox;
class QGridLayout;
class QLabel;
class QLineEdit;
class QListWidget;

namespace mezzet::app {

class LongWork;

/// One answer, drawn small: the outlines where they would hang.
class AnswerPicture : public QWidget {
    Q_OBJECT
public:
    AnswerPicture(const GroupAsk&, const GroupAnswer&, const QString& words,
                  QWidget* parent = nullptr);
    QSize sizeHint() const override { return {250, 190}; }

signals:
    void taken();

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    GroupAsk ask_;
    GroupAnswer answer_;
    QString words_;
};

/// Sets several pieces of a wall out as one: in which form, at which gap, within which outline,
/// which of them stay; and shows clearly different answers to choose from.
class GroupDialog : public QDialog {
    Q_OBJECT
public:
    /// `ids`: a group, or pieces that are to become one.
    GroupDialog(JobSession&, std::vector<int> ids, QWidget* parent = nullptr);
    ~GroupDialog() override;

    void setForm(GroupForm);
    [[nodiscard]] QLineEdit* gap() const { return gap_; }
    [[nodiscard]] QLineEdit* within() const { return within_; }
    [[nodiscard]] QListWidget* pins() const { return pins_; }
    [[nodiscard]] bool solving() const;
    [[nodiscard]] const std::vector<GroupAnswer>& answers() const { return answers_; }
    /// Hangs it as the answer of this number has it.
    bool take(std::size_t answer);
    /// Finds answers for what is asked now.
    void solve();

private:
    [[nodiscard]] std::optional<GroupAsk> asked();
    void tell();

    JobSession& session_;
    std::vector<int> pieces_;
    int group_ = 0; ///< 0 while it is to be made
    QComboBox* form_;
    QLineEdit* gap_;
    QLineEdit* within_;
    QListWidget* pins_;
    LongWork* work_;
    QLabel* say_;
    QGridLayout* grid_;
    GroupAsk ask_;
    std::vector<GroupAnswer> answers_;
};

} // namespace mezzet::app
