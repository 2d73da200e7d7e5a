#pragma once

#include "app/session/runner.h"
#include "project/project.h"

#include <QTimer>

namespace mezzet::app {

/// Copies of unsaved work, for when a program ends uncleanly. Each is of one running program, is
/// written beside the window, and is gone after a clean end.
class Recovery : public QObject {
    Q_OBJECT
public:
    explicit Recovery(Runner& files, QObject* parent = nullptr);

    /// What is to be kept, soon: the job as it is now, and the file it is a copy of.
    void want(ProjectPtr, const QString& path);
    /// Writes the copy now and waits for it, when one is wanted. Whether what is unsaved is on the
    /// disk.
    bool writeNow();
    /// Nothing is unsaved: the copy goes.
    void drop();

    [[nodiscard]] static QString folder();
    /// This program's own copy, there or not.
    [[nodiscard]] static QString file();
    /// Where notes being typed in this program are kept meanwhile.
    [[nodiscard]] static QString notesFile();

    struct Left {
        QString file; ///< the copy
        QString path; ///< what it is a copy of; empty for a job never saved
        QString when;
    };
    /// Copies left behind by programs that did not end cleanly.
    [[nodiscard]] static std::vector<Left> leftBehind();
    /// Notes that were being typed when a program ended uncleanly.
    [[nodiscard]] static std::vector<Left> notesLeftBehind();
    static void forget(const Left&);

signals:
    void failed(const QString& words);

private:
    void write();

    Runner& files_;
    ProjectPtr wanted_; ///< not on the disk yet
    QString path_;
    ProgressPtr writing_;
    QTimer pause_;
    QTimer halfMinute_;
};

} // namespace mezzet::app
