#pragma once

#include "app/session/job_session.h"
#include "judge/compare.h"

#include <QDialog>

class QHBoxLayout;
class QCheckBox;

namespace mezzet::app {

/// Two or three schemes of a room side by side at one scale, what differs marked, and what each
/// comes to.
class CompareView : public QDialog {
    Q_OBJECT
public:
    explicit CompareView(JobSession&, QWidget* parent = nullptr);

    [[nodiscard]] const std::vector<SchemeSummary>& shown() const { return shown_; }
    /// Shows these schemes, at most three, by their place in the job.
    void show(const std::vector<std::size_t>&);
    using QDialog::show;

private:
    void rebuild();

    JobSession& session_;
    std::vector<QCheckBox*> choose_;
    std::vector<std::size_t> here_;
    std::vector<SchemeSummary> shown_;
    QHBoxLayout* columns_;
    std::vector<QWidget*> built_;
};

} // namespace mezzet::app
