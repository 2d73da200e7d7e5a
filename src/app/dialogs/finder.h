#pragma once

#include "app/session/job_session.h"

#include <QDialog>

#include <functional>

class QAction;
class QLineEdit;
class QListWidget;

namespace mezzet::app {

/// Finds anything by a few letters: acts, pieces, kinds, rules, schemes, rooms and walls.
class Finder : public QDialog {
    Q_OBJECT
public:
    Finder(JobSession&, const QList<QAction*>& acts, QWidget* parent = nullptr);

    [[nodiscard]] QLineEdit* box() const { return box_; }
    [[nodiscard]] QListWidget* list() const { return list_; }

signals:
    /// A line to be said, put on the line bar.
    void lineWanted(const QString&);

protected:
    bool eventFilter(QObject*, QEvent*) override;

private:
    struct Entry {
        QString text;
        QString what; ///< "act", "piece", …
        QString more; ///< its key, or its size
        std::function<void()> does;
    };
    void gather(const QList<QAction*>&);
    void look();
    void take();

    JobSession& session_;
    QLineEdit* box_;
    QListWidget* list_;
    std::vector<Entry> entries_;
    std::vector<std::size_t> shown_;
};

} // namespace mezzet::app
