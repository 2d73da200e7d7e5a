#include "app/session/job_session.h"
#include "app/look/tr.h"

#include "judge/say.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "scheme/surfaces.h"

#include <QFileInfo>

#include <algorithm>

namespace mezzet::app {

JobSession::JobSession(Library library, QObject* parent)
    : QObject(parent), library_(std::move(library)) {
    auto empty = newProject(library_, "room Untitled room\n");
    take(*empty, *sceneOf(**empty));
    connect(&history_, &History::wentTo, this, &JobSession::wentTo);
    connect(&judged_, &JudgedState::foundMore, this, &JobSession::jobChanged);
    connect(&judged_, &JudgedState::remedyFound, this, &JobSession::remedyFound);
    connect(&recovery_, &Recovery::failed, this,
            [this](const QString& words) { emit told(words, true); });
}

JobSession::~JobSession() {
    // What was not saved, and not given up, keeps its copy.
    if (!changed() || leaving_)
        recovery_.drop();
    else
        recovery_.writeNow();
}

void JobSession::take(ProjectPtr project, ScenePtr scene) {
    const bool sameRoom = !project_ || project_->scheme().room == project->scheme().room;
    views_.goTo(project->active, project->schemes.size(), sameRoom);
    project_ = std::move(project);
    scene_ = std::move(scene);
    trial_.reset();
    std::erase_if(views_.now().selected,
                  [&](int id) { return project_->scheme().byId(id) == nullptr; });
    if (!canShow(surface()))
        views_.now().surface = theFloor();
    judgeNow();
}

void JobSession::judgeNow() {
    judged_.judge(project(), scene(), project()->library.book);
}

std::optional<int> JobSession::toMendIn(std::size_t scheme) {
    if (scheme == project()->active)
        return judgedWhole() ? std::optional(toMend()) : std::nullopt;
    return judged_.toMendIn(project_, scheme);
}

void JobSession::setLibrary(Library library) {
    library_ = std::move(library);
    auto next = std::make_shared<Project>(*project_);
    useLibrary(*next, library_);
    project_ = next;
    emit jobChanged();
}

/// What is unsaved has its copy, and what is saved needs none.
void JobSession::changedOrNot() {
    if (changed())
        recovery_.want(project_, path_);
    else
        recovery_.drop();
}

bool JobSession::apply(const Edit& edit, const QString& run, const QString& said) {
    auto next = mezzet::apply(*project_, edit);
    if (!next) {
        endTrial();
        emit told(QString::fromStdString(next.problem().sentence()), true);
        return false;
    }
    history_.did(project_, next->project, QString::fromStdString(edit.words), run);
    marks_.clear();
    // A piece just added is what one goes on with.
    int added = 0;
    if (edit.acts.size() == 1)
        if (const auto* put = std::get_if<PutPiece>(&edit.acts.front());
            put != nullptr && put->piece.id == 0)
            added = next->project->scheme().byName(put->piece.name)->id;
    const auto chosen = selected();
    const auto looked = surface();
    take(next->project, next->scene);
    changedOrNot();
    if (added != 0)
        views_.now().selected = {added};
    emit jobChanged();
    emit fileChanged();
    if (looked != surface())
        emit surfaceChanged();
    if (added != 0 || selected() != chosen)
        emit selectionChanged();
    if (added != 0) {
        // What is hung while the floor is looked at is shown where it hangs.
        if (const Piece* p = project_->scheme().byId(added); !p->on.isFloor())
            goTo(shownOn(*p));
    }
    QStringList words;
    if (!said.isEmpty())
        words << said;
    for (const auto& n : next->notices)
        if (const auto notice = QString::fromStdString(n); !said.contains(notice))
            words << notice;
    if (!words.isEmpty())
        emit told(words.join("; "), false);
    return true;
}

Listener JobSession::listener() const {
    // What is gone may be among them: the line says so of it.
    return {selected().empty() ? named_ : selected(), surface(), before_};
}

void JobSession::clearMarks() {
    if (marks_.empty())
        return;
    marks_.clear();
    emit selectionChanged();
}

bool JobSession::sayLine(const QString& line) {
    const std::string text = line.toStdString();
    if (takesLong(text) || isQuestion(text)) {
        emit told(takesLong(text) ? tr("Looking for what can be mended …") : tr("Looking …"),
                  false);
        sayBeside(text, listener());
        return true;
    }
    return spoke(text, readSpoken(text, *project_, listener()));
}

bool JobSession::spoke(const std::string& line, const Result<Spoken>& spoken) {
    if (!spoken) {
        emit told(QString::fromStdString(spoken.problem().sentence()), true);
        return false;
    }
    switch (spoken->is) {
    case Spoken::Is::undo:
        undo();
        return true;
    case Spoken::Is::redo:
        redo();
        return true;
    case Spoken::Is::answer:
        marks_ = spoken->answer.marks;
        if (!spoken->said.them.empty())
            named_ = spoken->said.them;
        if (!marks_.empty() && marks_.front().surface != surface())
            goTo(marks_.front().surface);
        if (spoken->answer.shows)
            goTo(*spoken->answer.shows);
        emit selectionChanged();
        if (spoken->answer.act == "select" || spoken->answer.act == "fitSelection")
            select(spoken->answer.about);
        if (!spoken->answer.act.empty() && spoken->answer.act != "select")
            emit asked(QString::fromStdString(spoken->answer.act));
        emit answered(QString::fromStdString(spoken->answer.words));
        return true;
    case Spoken::Is::edit:
        break;
    }
    if (!apply(spoken->said.edit, {}, QString::fromStdString(spoken->said.preview)))
        return false;
    named_ = spoken->said.them;
    auto there = named_;
    std::erase_if(there, [&](int id) { return project_->scheme().byId(id) == nullptr; });
    if (there.size() > 1)
        select(there);
    if (!saysAgain(line))
        before_ = line;
    return true;
}

void JobSession::sayBeside(const std::string& line, const Listener& to) {
    // What was said is never dropped: when the job is another one by the time, it is worked out
    // again for that.
    ++said_;
    lines_.run(
        [line, to, job = project_](Progress& p) {
            return std::make_shared<Result<Spoken>>(
                readSpoken(line, *job, to, [&p] { return p.stop.load(); }));
        },
        [this, line, to, job = project_](const std::shared_ptr<Result<Spoken>>& found) {
            --said_;
            if (job != project_)
                return sayBeside(line, to);
            spoke(line, *found);
        },
        [this](const QString& fault) {
            --said_;
            emit told("That could not be worked out: " + fault, true);
        });
}

bool JobSession::tryOut(const Edit& edit) {
    auto next = mezzet::apply(*project_, edit);
    if (!next)
        return false;
    trial_ = std::move(*next);
    judgeNow();
    emit jobChanged();
    return true;
}

void JobSession::endTrial() {
    if (!trial_)
        return;
    trial_.reset();
    judgeNow();
    emit jobChanged();
}

void JobSession::undo() {
    if (!canUndo())
        return;
    const auto words = undoWords();
    history_.undo();
    emit told("Undid: " + words, false);
}

void JobSession::redo() {
    if (!canRedo())
        return;
    const auto words = redoWords();
    history_.redo();
    emit told("Did again: " + words, false);
}

void JobSession::remember(const std::string& sheet, const PrintChoice& choice) {
    auto next = std::make_shared<Project>(*settledProject());
    next->prints[sheet] = choice;
    project_ = std::move(next);
}

void JobSession::wentTo(const ProjectPtr& stood) {
    marks_.clear();
    const auto looked = surface();
    // How sheets are asked for is no step of the job.
    auto job = stood;
    if (project_ && project_->prints != job->prints) {
        auto next = std::make_shared<Project>(*job);
        next->prints = project_->prints;
        job = std::move(next);
    }
    take(job, *sceneOf(*job));
    changedOrNot();
    emit jobChanged();
    emit selectionChanged();
    emit fileChanged();
    if (looked != surface())
        emit surfaceChanged();
}

bool JobSession::isSelected(int id) const {
    return std::find(selected().begin(), selected().end(), id) != selected().end();
}

void JobSession::select(std::vector<int> ids) {
    if (ids == selected())
        return;
    views_.now().selected = std::move(ids);
    emit selectionChanged();
}

void JobSession::toggle(int id) {
    if (isSelected(id))
        std::erase(views_.now().selected, id);
    else
        views_.now().selected.push_back(id);
    emit selectionChanged();
}

void JobSession::goTo(SurfaceId to) {
    if (to == surface() || !canShow(to))
        return;
    views_.now().surface = to;
    emit surfaceChanged();
}

void JobSession::show(int piece) {
    const Piece* p = project_->scheme().byId(piece);
    if (p == nullptr)
        return;
    goTo(shownOn(*p));
    select({piece});
}

bool JobSession::canShow(SurfaceId surface) const {
    return !surface.isCarried() &&
           (!surface.isWall() || (surface.wall() >= 0 &&
                                  surface.wall() < static_cast<int>(project_->room->walls.size())));
}

SurfaceId JobSession::shownOn(const Piece& p) const {
    const auto all = carriersOf(p, project_->scheme());
    const Piece& last = *all.back();
    // What is in an opening is seen from the front.
    const bool within = std::any_of(all.begin(), all.end(), [](const Piece* one) {
        return one->on.is == SurfaceId::Is::opening;
    });
    if (within && last.on.isFloor())
        if (const auto wall = wallBehind(*settledScene(), last.id))
            return onWall(*wall);
    return last.on;
}

void JobSession::open(ProjectPtr project, const QString& path, bool changed) {
    auto scene = sceneOf(*project);
    if (!scene) {
        emit told(QString::fromStdString(scene.problem().sentence()), true);
        return;
    }
    recovery_.drop();
    history_.begin(!changed);
    views_.begin();
    project_.reset();
    take(std::move(project), *scene);
    path_ = path;
    keepForUs(path);
    changedOrNot();
    emit jobChanged();
    emit selectionChanged();
    emit surfaceChanged();
    emit fileChanged();
}

void JobSession::keepForUs(const QString& path) {
    elsewhere_.clear();
    stamp_ = path.isEmpty() ? FileStamp{} : stampOf(path.toStdString());
    if (lock_.held() && lock_.job() == path.toStdString())
        return;
    lock_.release();
    if (path.isEmpty())
        return;
    if (auto lock = JobLock::take(path.toStdString(), theWindow, std::chrono::milliseconds(0)))
        lock_ = std::move(*lock);
    else if (const auto who = holderOf(path.toStdString()))
        elsewhere_ = QString::fromStdString(who->words());
}

bool JobSession::changedElsewhere() const {
    return !path_.isEmpty() && stampOf(path_.toStdString()) != stamp_;
}

bool JobSession::openFile(const QString& path) {
    const auto whole = QFileInfo(path).absoluteFilePath();
    // The stamp is of before: what is written while it is read is a change.
    const auto before = stampOf(whole.toStdString());
    const auto read = files_.waitFor([file = path.toStdString(), lib = library_](Progress&) {
        return std::make_shared<Result<ProjectPtr>>(openJob(file, lib));
    });
    const auto job = read ? **read : Result<ProjectPtr>(Problem{"it could not be read", ""});
    if (!job) {
        emit told(QString::fromStdString(job.problem().text()), true);
        return false;
    }
    open(*job, whole);
    stamp_ = before;
    if (!elsewhere_.isEmpty())
        emit told(
            tr("%1 has this job: look at it here, and save it under another name").arg(elsewhere_),
            true);
    return true;
}

bool JobSession::saveTo(const QString& path, bool over) {
    const auto whole = QFileInfo(path).absoluteFilePath();
    const auto file = whole.toStdString();
    JobLock lock;
    const bool ours = lock_.held() && lock_.job() == file;
    if (!ours) {
        auto taken = JobLock::take(file, theWindow, std::chrono::milliseconds(0));
        if (!taken) {
            emit told(QString::fromStdString(taken.problem().text()), true);
            return false;
        }
        lock = std::move(*taken);
    }
    if (!over && whole == path_ && changedElsewhere()) {
        emit told(QFileInfo(path).fileName() +
                      tr(" was changed by something else since it was opened here"),
                  true);
        return false;
    }
    using Saved = Result<std::monostate>;
    const ProjectPtr job = project_;
    const auto written = files_.waitFor(
        [job, file](Progress&) { return std::make_shared<Saved>(saveJob(*job, file)); });
    const Saved saved = written ? **written : Saved(Problem{"it could not be written", ""});
    if (!saved) {
        emit told(QString::fromStdString(saved.problem().text()), true);
        return false;
    }
    if (!ours)
        lock_ = std::move(lock);
    elsewhere_.clear();
    stamp_ = stampOf(file);
    path_ = whole;
    // Something said before may have come in meanwhile; that is not in the file.
    if (job == project_)
        history_.saved();
    changedOrNot();
    emit fileChanged();
    emit told("Saved " + QFileInfo(path).fileName(), false);
    return true;
}

} // namespace mezzet::app
