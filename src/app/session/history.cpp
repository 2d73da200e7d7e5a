#include "app/session/history.h"

#include <algorithm>

namespace mezzet::app {

class History::Step : public QUndoCommand {
public:
    Step(History& of, ProjectPtr before, ProjectPtr after, const QString& words, QString run)
        : QUndoCommand(words), of_(of), before_(std::move(before)), after_(std::move(after)),
          run_(std::move(run)) {}

    void undo() override { of_.at_ = before_; }
    void redo() override { of_.at_ = after_; }
    [[nodiscard]] int id() const override { return run_.isEmpty() ? -1 : 1; }
    bool mergeWith(const QUndoCommand* other) override {
        const auto* next = dynamic_cast<const Step*>(other);
        if (next == nullptr || next->run_ != run_ || next->before_ != after_)
            return false;
        after_ = next->after_;
        return true;
    }

private:
    History& of_;
    ProjectPtr before_;
    ProjectPtr after_;
    QString run_;
};

History::History(QObject* parent) : QObject(parent) {}

void History::begin(bool saved) {
    stack_.clear();
    if (!saved)
        stack_.resetClean();
}

void History::did(ProjectPtr before, ProjectPtr after, const QString& words, const QString& run) {
    stack_.push(new Step(*this, std::move(before), std::move(after), words, run));
}

// Told only when the stack has its place, so that whoever asks finds it right.
void History::undo() {
    stack_.undo();
    emit wentTo(at_);
}

void History::redo() {
    stack_.redo();
    emit wentTo(at_);
}

QStringList History::steps() const {
    QStringList out;
    for (int i = 0; i < stack_.count(); ++i)
        out << stack_.text(i);
    return out;
}

void History::goTo(int steps) {
    const int to = std::clamp(steps, 0, stack_.count());
    if (to == stack_.index())
        return;
    stack_.setIndex(to);
    emit wentTo(at_);
}

} // namespace mezzet::app
