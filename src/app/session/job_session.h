#pragma once

#include "edit/drag.h"
#include "edit/line.h"
#include "files/job_lock.h"
#include "files/whole_file.h"
#include "judge/remedy.h"

#include <QObject>
#include <QThreadPool>
#include <QTimer>

#include <atomic>

#include <map>
#include <memory>

namespace mezzet::app {

/// The open job: its present value, its past and its future, what is selected, and where it is
/// kept. Views read it and hand it Edits; nothing else changes a job.
class JobSession : public QObject {
    Q_OBJECT
public:
    explicit JobSession(Library library, QObject* parent = nullptr);
    ~JobSession() override;

    [[nodiscard]] const Library& library() const { return library_; }
    /// Takes another kit or another start for new jobs; the open job has it at once.
    void setLibrary(Library);
    [[nodiscard]] const ProjectPtr& project() const { return trial_ ? trial_->project : project_; }
    [[nodiscard]] const ScenePtr& scene() const { return trial_ ? trial_->scene : scene_; }
    /// Without the drag under way.
    [[nodiscard]] const ProjectPtr& settledProject() const { return project_; }
    [[nodiscard]] const ScenePtr& settledScene() const { return scene_; }
    [[nodiscard]] const std::vector<Reading>& readings() const { return judged_.readings; }
    /// False while a crowded job is still being judged beside the window; `readings` are then
    /// those found so far.
    [[nodiscard]] bool judgedWhole() const { return !judged_.stopped; }
    [[nodiscard]] Wording wording() const { return project()->wording(); }
    [[nodiscard]] int toMend() const;
    /// Readings left to mend in another scheme; empty while that is being found out beside the
    /// window, which jobChanged tells of.
    [[nodiscard]] std::optional<int> toMendIn(std::size_t scheme);
    /// The worst verdict a piece has a part in; right when it has none.
    [[nodiscard]] Verdict verdictOf(int piece) const;
    /// The remedy of a reading, found when first asked for and kept until the job changes.
    [[nodiscard]] const std::optional<Remedy>& remedyOf(std::size_t reading);
    [[nodiscard]] bool remedyKnown(std::size_t reading) const {
        return remedies_.count(reading) > 0;
    }
    /// Finds the remedies of these readings, in turn, beside the window; remedyFound tells of each.
    /// What was asked for before is left.
    void findRemedies(std::vector<std::size_t> readings);
    /// True while remedies asked for are still being looked for.
    [[nodiscard]] bool findingRemedies() const { return finding_ > 0 || said_ > 0; }

    // ---- changing ----
    /// Applies an edit and keeps the job before it. Says why not when it is refused.
    bool apply(const Edit&);
    bool sayLine(const QString&);
    /// Shows an edit without keeping it: a drag under way. Silent when it is refused.
    bool tryOut(const Edit&);
    void endTrial();
    [[nodiscard]] bool inTrial() const { return trial_.has_value(); }
    [[nodiscard]] bool canUndo() const { return !past_.empty(); }
    [[nodiscard]] bool canRedo() const { return !future_.empty(); }
    [[nodiscard]] QString undoWords() const;
    [[nodiscard]] QString redoWords() const;
    void undo();
    void redo();

    // ---- selection ----
    [[nodiscard]] const std::vector<int>& selected() const { return selected_; }
    [[nodiscard]] bool isSelected(int id) const;
    void select(std::vector<int> ids);
    void toggle(int id);
    /// -1 for the floor, else a wall.
    [[nodiscard]] SurfaceId surface() const { return surface_; }
    void goTo(SurfaceId surface);
    /// The surface on which a piece is seen: what stands on a top with what carries it, what is in
    /// an opening on the wall behind its unit.
    [[nodiscard]] SurfaceId shownOn(const Piece&) const;
    /// Shows a piece where it is, and selects it.
    void show(int piece);

    // ---- files ----
    [[nodiscard]] const QString& path() const { return path_; }
    [[nodiscard]] bool changed() const { return changed_; }
    void open(ProjectPtr, const QString& path, bool changed = false);
    bool openFile(const QString& path);
    /// Writes the job, and keeps it for this window from then on. Refused, with the reason told,
    /// when another program has it, or, unless `over`, when the file is not as it was when this
    /// window last read or wrote it.
    bool saveTo(const QString& path, bool over = false);
    /// Whether the open job's file was changed, or taken away, by something else.
    [[nodiscard]] bool changedElsewhere() const;
    /// Who else has the open job; empty when this window has it, or nobody.
    [[nodiscard]] QString elsewhere() const { return elsewhere_; }
    /// The work at hand is to be given up: its copy for safety goes with the window.
    void leave() { leaving_ = true; }

    /// Where copies of unsaved work go. Each is of one running program and is gone after a clean
    /// end.
    static QString recoveryFolder();
    struct Recovered {
        QString file; ///< the copy
        QString path; ///< what it is a copy of; empty for a job never saved
        QString when;
    };
    /// Copies left behind by programs that did not end cleanly.
    static std::vector<Recovered> leftBehind();
    static void forget(const Recovered&);
    /// Notes that were being typed when a program ended uncleanly.
    static std::vector<Recovered> notesLeftBehind();
    /// Where notes being typed in this program are kept meanwhile.
    static QString notesFile();
    /// This session's own copy, there or not.
    [[nodiscard]] QString copyFile() const;

public slots:
    /// Writes the recovery copy now, when there is anything unsaved. Whether what is unsaved is on
    /// the disk.
    bool keepCopy();

signals:
    void remedyFound(std::size_t reading);
    /// The job, or the trial of a drag, is another one.
    void jobChanged();
    void selectionChanged();
    void surfaceChanged();
    void fileChanged();
    /// Something to tell in words; `trouble` when nothing was done.
    void told(const QString& words, bool trouble);

private:
    struct Step {
        ProjectPtr project;
        QString words;
    };
    void take(ProjectPtr, ScenePtr);
    void stepBetween(std::vector<Step>& from, std::vector<Step>& to, const char* verb);
    void judgeNow();
    void judgeBeside();
    [[nodiscard]] bool canShow(SurfaceId) const;
    void sayBeside(const std::string& line, int selected, SurfaceId surface);
    void dropMissing();
    void dropCopy();

    Library library_;
    ProjectPtr project_;
    ScenePtr scene_;
    std::optional<Applied> trial_;
    Judged judged_;
    std::map<std::size_t, std::optional<Remedy>> remedies_;
    QThreadPool pool_;                              ///< one thread, for remedies
    std::shared_ptr<std::atomic<int>> generation_ = ///< of what was asked; older answers are late
        std::make_shared<std::atomic<int>>(0);
    std::shared_ptr<std::atomic<int>> judgement_ = ///< of what was judged; older answers are late
        std::make_shared<std::atomic<int>>(0);
    std::shared_ptr<std::atomic<bool>> leavingNow_ = std::make_shared<std::atomic<bool>>(false);
    int said_ = 0; ///< lines being worked out beside the window
    int finding_ = 0;
    ProjectPtr saved_; ///< the job as its file has it; null when it has none
    /// What was selected in each of the open job's other schemes.
    std::map<std::size_t, std::vector<int>> selectedIn_;
    std::map<std::size_t, std::optional<int>> mendElsewhere_; ///< by scheme, until the job changes
    std::vector<Step> past_;
    std::vector<Step> future_;
    std::vector<int> selected_;
    SurfaceId surface_;
    void keepForUs(const QString& path);

    QString path_;
    JobLock lock_;      ///< on `path_`, while it is open here
    QString elsewhere_; ///< who has it instead
    FileStamp stamp_;   ///< of `path_`, as it was read or written last
    bool leaving_ = false;
    bool changed_ = false;
    bool copyWanted_ = false;
    QTimer pause_;
    QTimer halfMinute_;
};

} // namespace mezzet::app
