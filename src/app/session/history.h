#pragma once

#include "project/project.h"

#include <QObject>
#include <QUndoStack>

namespace mezzet::app {

/// The past and the future of the open job. Jobs are values: a step keeps the one before and the
/// one after.
class History : public QObject {
    Q_OBJECT
public:
    explicit History(QObject* parent = nullptr);

    /// Begins anew; `saved` when the job is as its file has it.
    void begin(bool saved);
    /// One step on. Steps that follow each other with the same `run`, which is not empty, are one.
    void did(ProjectPtr before, ProjectPtr after, const QString& words, const QString& run = {});
    void undo();
    void redo();
    [[nodiscard]] bool canUndo() const { return stack_.canUndo(); }
    [[nodiscard]] bool canRedo() const { return stack_.canRedo(); }
    /// What was done, the oldest first, and how many of it stand.
    [[nodiscard]] QStringList steps() const;
    [[nodiscard]] int standing() const { return stack_.index(); }
    /// Goes back, or on, until so many stand.
    void goTo(int steps);
    [[nodiscard]] QString undoWords() const { return stack_.undoText(); }
    [[nodiscard]] QString redoWords() const { return stack_.redoText(); }

    /// The job as it is now is what its file has.
    void saved() { stack_.setClean(); }
    [[nodiscard]] bool isSaved() const { return stack_.isClean(); }

signals:
    /// Undone or done again: this is the job now.
    void wentTo(const ProjectPtr&);

private:
    class Step;
    QUndoStack stack_;
    ProjectPtr at_; ///< where the last step back or on led
};

} // namespace mezzet::app
