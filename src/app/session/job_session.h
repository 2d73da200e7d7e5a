#pragma once

#include "app/session/history.h"
#include "app/session/judging.h"
#include "app/session/recovery.h"
#include "app/session/runner.h"
#include "app/session/view_state.h"
#include "edit/drag.h"
#include "edit/line.h"
#include "files/job_lock.h"
#include "files/whole_file.h"
#include "speech/speech.h"

#include <QObject>

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
    /// What is found out about the job shown.
    [[nodiscard]] JudgedState& judged() { return judged_; }
    [[nodiscard]] const std::vector<Reading>& readings() const { return judged_.readings(); }
    /// False while a crowded job is still being judged beside the window; `readings` are then
    /// those found so far.
    [[nodiscard]] bool judgedWhole() const { return judged_.whole(); }
    [[nodiscard]] Wording wording() const { return project()->wording(); }
    [[nodiscard]] int toMend() const { return judged_.toMend(); }
    /// Readings left to mend in another scheme; empty while that is being found out beside the
    /// window, which jobChanged tells of.
    [[nodiscard]] std::optional<int> toMendIn(std::size_t scheme);
    [[nodiscard]] Verdict verdictOf(int piece) const { return judged_.verdictOf(piece); }
    [[nodiscard]] const std::optional<Remedy>& remedyOf(std::size_t reading) {
        return judged_.remedyOf(reading);
    }
    [[nodiscard]] bool remedyKnown(std::size_t reading) const {
        return judged_.remedyKnown(reading);
    }
    void findRemedies(std::vector<std::size_t> readings) {
        judged_.findRemedies(std::move(readings));
    }
    /// True while remedies asked for, or lines that take long, are still being worked out.
    [[nodiscard]] bool findingRemedies() const { return judged_.findingRemedies() || said_ > 0; }

    // ---- changing ----
    /// Applies an edit and keeps the job before it. Says why not when it is refused. Edits that
    /// follow each other in one `run`, like nudges of the same pieces, are one step back. What it
    /// lets go of, adds unasked or cautions of is told, after `said`.
    bool apply(const Edit&, const QString& run = {}, const QString& said = {});
    /// Does what a line says, or answers it: at once, or beside the window when it may take long.
    /// False when it is refused, with the reason told.
    bool sayLine(const QString&);
    /// To whom the next line is said: what is selected, or was named last, and what is looked at.
    [[nodiscard]] Listener listener() const;
    /// What the last answer measured, until the job changes.
    [[nodiscard]] const std::vector<Mark>& marks() const { return marks_; }
    void clearMarks();
    /// Shows an edit without keeping it: a drag under way. Silent when it is refused.
    bool tryOut(const Edit&);
    void endTrial();
    [[nodiscard]] bool inTrial() const { return trial_.has_value(); }
    [[nodiscard]] bool canUndo() const { return history_.canUndo(); }
    [[nodiscard]] bool canRedo() const { return history_.canRedo(); }
    [[nodiscard]] QString undoWords() const { return history_.undoWords(); }
    [[nodiscard]] QString redoWords() const { return history_.redoWords(); }
    [[nodiscard]] const History& history() const { return history_; }
    /// Keeps how a sheet was asked for, with the job: no step of its own, and saved with the next.
    void remember(const std::string& sheet, const PrintChoice&);
    /// Goes back, or on, until so many steps stand.
    void goToStep(int steps) { history_.goTo(steps); }
    void undo();
    void redo();

    // ---- how it is looked at ----
    [[nodiscard]] const std::vector<int>& selected() const { return views_.now().selected; }
    [[nodiscard]] bool isSelected(int id) const;
    void select(std::vector<int> ids);
    void toggle(int id);
    [[nodiscard]] SurfaceId surface() const { return views_.now().surface; }
    /// The user's own tapes.
    [[nodiscard]] const std::vector<OwnTape>& tapes() const { return views_.now().tapes; }
    void addTape(const OwnTape& t) { views_.now().tapes.push_back(t); }
    void clearTapes() { views_.now().tapes.clear(); }
    void goTo(SurfaceId surface);
    /// The surface on which a piece is seen: what stands on a top with what carries it, what is in
    /// an opening on the wall behind its unit.
    [[nodiscard]] SurfaceId shownOn(const Piece&) const;
    /// Shows a piece where it is, and selects it.
    void show(int piece);

    // ---- files ----
    [[nodiscard]] const QString& path() const { return path_; }
    /// Whether there is something its file does not have.
    [[nodiscard]] bool changed() const { return !history_.isSaved(); }
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

    /// Writes the recovery copy now, when there is anything unsaved. Whether what is unsaved is on
    /// the disk.
    bool keepCopy() { return recovery_.writeNow(); }

signals:
    /// A question that was asked has its answer.
    void answered(const QString& words);
    /// A line asked for an act of the window, by its name there.
    void asked(const QString& act);
    void remedyFound(std::size_t reading);
    /// The job, or the trial of a drag, is another one.
    void jobChanged();
    void selectionChanged();
    void surfaceChanged();
    void fileChanged();
    /// Something to tell in words; `trouble` when nothing was done.
    void told(const QString& words, bool trouble);

private:
    void take(ProjectPtr, ScenePtr);
    void judgeNow();
    [[nodiscard]] bool canShow(SurfaceId) const;
    void sayBeside(const std::string& line, const Listener&);
    bool spoke(const std::string& line, const Result<Spoken>&);
    void wentTo(const ProjectPtr&);
    void keepForUs(const QString& path);
    void changedOrNot();

    Library library_;
    ProjectPtr project_;
    ScenePtr scene_;
    std::optional<Applied> trial_;
    History history_;
    ViewStates views_;
    JudgedState judged_;
    Runner lines_;           ///< lines that take long
    int said_ = 0;           ///< how many of them
    std::vector<int> named_; ///< what was spoken of last: "it"
    std::string before_;     ///< the line said last, for "again"
    std::vector<Mark> marks_;
    Runner files_; ///< all that is written and read
    Recovery recovery_{files_};

    QString path_;
    JobLock lock_;      ///< on `path_`, while it is open here
    QString elsewhere_; ///< who has it instead
    FileStamp stamp_;   ///< of `path_`, as it was read or written last
    bool leaving_ = false;
};

} // namespace mezzet::app
