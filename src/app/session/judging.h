#pragma once

#include "app/session/runner.h"
#include "judge/remedy.h"

#include <map>

namespace mezzet::app {

/// What is found out about the job that is shown: its readings, their remedies, and how much is to
/// mend in its other schemes. What takes long is found beside the window; answers about a job that
/// is another one since never come.
class JudgedState : public QObject {
    Q_OBJECT
public:
    explicit JudgedState(QObject* parent = nullptr);

    /// This is the job now. Judged at once, or, when it is crowded, whole a little later.
    void judge(ProjectPtr, ScenePtr, RuleBookPtr);

    [[nodiscard]] const std::vector<Reading>& readings() const { return judged_.readings; }
    [[nodiscard]] const Judged& judged() const { return judged_; }
    /// False while it is still being judged beside the window.
    [[nodiscard]] bool whole() const { return !judged_.stopped; }
    [[nodiscard]] int toMend() const;
    /// Readings left to mend in another scheme of the job; nothing while that is being found out.
    [[nodiscard]] std::optional<int> toMendIn(const ProjectPtr&, std::size_t scheme);
    /// The worst verdict a piece has a part in; right when it has none.
    [[nodiscard]] Verdict verdictOf(int piece) const;

    /// The remedy of a reading, found when first asked for and kept until the job changes.
    [[nodiscard]] const std::optional<Remedy>& remedyOf(std::size_t reading);
    [[nodiscard]] bool remedyKnown(std::size_t reading) const {
        return remedies_.count(reading) > 0;
    }
    /// Finds the remedies of these readings, in turn. What was asked for before is left.
    void findRemedies(std::vector<std::size_t> readings);
    [[nodiscard]] bool findingRemedies() const { return runner_.runs(finding_); }

signals:
    /// It is judged whole now, or more is known of another scheme.
    void foundMore();
    void remedyFound(std::size_t reading);

private:
    void findNext();

    Runner runner_;
    ProjectPtr job_;
    ScenePtr scene_;
    RuleBookPtr book_;
    Judged judged_;
    std::shared_ptr<const Judged> shared_; ///< the same, for the thread that finds remedies
    std::map<std::size_t, std::optional<Remedy>> remedies_;
    std::vector<std::size_t> wanted_; ///< remedies to find yet, the last one first
    ProgressPtr judging_;
    ProgressPtr finding_;
    std::map<std::size_t, std::optional<int>> elsewhere_; ///< by scheme
    ProjectPtr elsewhereOf_;
    std::vector<ProgressPtr> counting_;
};

} // namespace mezzet::app
