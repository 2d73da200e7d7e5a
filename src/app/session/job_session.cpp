#include "app/session/job_session.h"

#include "judge/deadline.h"
#include "judge/say.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "scheme/surfaces.h"

#include <QCoreApplication>
#include <QDateTime>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QJsonDocument>
#include <QJsonObject>
#include <QStandardPaths>

#include <algorithm>
#include <csignal>

namespace mezzet::app {

namespace {

constexpr int pauseMilliseconds = 2000;
constexpr int regularMilliseconds = 30000;
/// Longer than this the window is not kept waiting; what is left is judged beside it.
constexpr std::chrono::milliseconds judgeInWindow{40};

/// The running program's mark on its copies: its number, and when it began, since numbers come
/// again.
const QString& ownMark() {
    static const QString mark = QString("%1-%2")
                                    .arg(QCoreApplication::applicationPid())
                                    .arg(QDateTime::currentMSecsSinceEpoch());
    return mark;
}

/// Whether the program that left a copy with this mark is still there.
bool stillRuns(const QString& mark) {
    if (mark == ownMark())
        return true;
    const auto pid = mark.section('-', 0, 0).toLongLong();
    if (pid <= 0 || pid == QCoreApplication::applicationPid() ||
        ::kill(static_cast<pid_t>(pid), 0) != 0)
        return false;
    QFile name(QString("/proc/%1/comm").arg(pid));
    return !name.open(QIODevice::ReadOnly) || name.readAll().startsWith("mezzet");
}

} // namespace

JobSession::JobSession(Library library, QObject* parent)
    : QObject(parent), library_(std::move(library)) {
    auto empty = newProject(library_, "room Untitled room\n");
    take(*empty, *sceneOf(**empty));
    pool_.setMaxThreadCount(1);
    pause_.setSingleShot(true);
    pause_.setInterval(pauseMilliseconds);
    halfMinute_.setInterval(regularMilliseconds);
    connect(&pause_, &QTimer::timeout, this, [this] { keepCopy(); });
    connect(&halfMinute_, &QTimer::timeout, this, [this] { keepCopy(); });
    halfMinute_.start();
}

JobSession::~JobSession() {
    ++*generation_;
    ++*judgement_;
    *leavingNow_ = true;
    pool_.clear();
    pool_.waitForDone();
    // What was not saved, and not given up, keeps its copy.
    if (!changed_ || leaving_)
        dropCopy();
}

void JobSession::take(ProjectPtr project, ScenePtr scene) {
    // Numbers of pieces mean nothing in another scheme: each has its own selection.
    if (project_ && project_->schemes.size() > project->schemes.size())
        selectedIn_.clear();
    if (project_ && project_->active != project->active) {
        selectedIn_[project_->active] = selected_;
        selected_ = selectedIn_[project->active];
    }
    project_ = std::move(project);
    scene_ = std::move(scene);
    trial_.reset();
    mendElsewhere_.clear();
    dropMissing();
    judgeNow();
}

void JobSession::judgeNow() {
    ++*judgement_;
    ++*generation_;
    judged_ = judgeWhole(*scene(), *library_.book, project()->judgement, within(judgeInWindow));
    remedies_.clear();
    finding_ = 0;
    if (judged_.stopped)
        judgeBeside();
}

void JobSession::judgeBeside() {
    pool_.start([this, mine = judgement_->load(), now = judgement_, job = project(),
                 there = scene(), book = library_.book] {
        auto all = judgeWhole(*there, *book, job->judgement, [&] { return *now != mine; });
        if (all.stopped)
            return;
        QMetaObject::invokeMethod(
            this,
            [this, mine, all = std::move(all)]() mutable {
                if (*judgement_ != mine)
                    return;
                judged_ = std::move(all);
                emit jobChanged();
            },
            Qt::QueuedConnection);
    });
}

void JobSession::dropMissing() {
    std::erase_if(selected_, [&](int id) { return project_->scheme().byId(id) == nullptr; });
    if (!canShow(surface_))
        surface_ = theFloor();
}

int JobSession::toMend() const {
    return static_cast<int>(std::count_if(judged_.readings.begin(), judged_.readings.end(),
                                          [](const Reading& r) { return r.toMend(); }));
}

std::optional<int> JobSession::toMendIn(std::size_t scheme) {
    if (scheme == project()->active)
        return judgedWhole() ? std::optional(toMend()) : std::nullopt;
    if (const auto known = mendElsewhere_.find(scheme); known != mendElsewhere_.end())
        return known->second;
    const auto count = [job = project_, scheme, book = library_.book](const Stopped& stopped) {
        const auto other = resolve(job->roomOf(scheme), job->schemes[scheme], job->notation);
        std::optional<int> out = 0;
        if (!other)
            return out;
        const auto all = judgeWhole(**other, *book, job->judgement, stopped);
        for (const Reading& r : all.readings)
            *out += r.toMend() ? 1 : 0;
        return all.stopped ? std::nullopt : out;
    };
    const auto known = mendElsewhere_[scheme] = count(within(judgeInWindow / 4));
    if (!known)
        pool_.start([this, count, scheme, of = project_, gone = leavingNow_] {
            const auto found = count([&] { return gone->load(); });
            QMetaObject::invokeMethod(
                this,
                [this, found, scheme, of] {
                    if (of != project_)
                        return;
                    mendElsewhere_[scheme] = found;
                    emit jobChanged();
                },
                Qt::QueuedConnection);
        });
    return known;
}

Verdict JobSession::verdictOf(int piece) const {
    Verdict worst = Verdict::right;
    for (const Reading& r : judged_.readings) {
        if (!r.toMend() ||
            !(r.piece == piece || (r.other.is == Target::Is::piece && r.other.piece == piece)))
            continue;
        if (r.verdict == Verdict::clash)
            return r.verdict;
        if (worst == Verdict::right || r.verdict == Verdict::tight)
            worst = r.verdict;
    }
    return worst;
}

const std::optional<Remedy>& JobSession::remedyOf(std::size_t reading) {
    const auto it = remedies_.find(reading);
    if (it != remedies_.end())
        return it->second;
    return remedies_[reading] = remedyFor(judged_.readings[reading], *project(), *scene(), judged_);
}

void JobSession::setLibrary(Library library) {
    library_ = std::move(library);
    auto next = std::make_shared<Project>(*project_);
    next->library = library_;
    project_ = next;
    emit jobChanged();
}

void JobSession::findRemedies(std::vector<std::size_t> wanted) {
    const int mine = ++*generation_;
    std::erase_if(wanted,
                  [&](std::size_t i) { return remedyKnown(i) || i >= judged_.readings.size(); });
    // Not before all is judged: then they are asked for again.
    if (!judgedWhole())
        wanted.clear();
    finding_ = static_cast<int>(wanted.size());
    if (wanted.empty())
        return;
    // Jobs, scenes and readings are values: the thread has its own.
    auto all = std::make_shared<const Judged>(judged_);
    pool_.start([this, mine, now = generation_, job = project(), there = scene(), all,
                 wanted = std::move(wanted)] {
        for (const std::size_t i : wanted) {
            if (*now != mine)
                return;
            auto remedy =
                remedyFor(all->readings[i], *job, *there, *all, [&] { return *now != mine; });
            QMetaObject::invokeMethod(
                this,
                [this, mine, i, remedy = std::move(remedy)] {
                    if (*generation_ != mine)
                        return;
                    remedies_[i] = remedy;
                    --finding_;
                    emit remedyFound(i);
                },
                Qt::QueuedConnection);
        }
    });
}

bool JobSession::apply(const Edit& edit) {
    auto next = mezzet::apply(*project_, edit);
    if (!next) {
        endTrial();
        emit told(QString::fromStdString(next.problem().sentence()), true);
        return false;
    }
    past_.push_back({project_, QString::fromStdString(edit.words)});
    future_.clear();
    // A piece just added is what one goes on with.
    int added = 0;
    if (edit.acts.size() == 1)
        if (const auto* put = std::get_if<PutPiece>(&edit.acts.front());
            put != nullptr && put->piece.id == 0)
            added = next->project->scheme().byName(put->piece.name)->id;
    const auto chosen = selected_;
    take(next->project, next->scene);
    changed_ = true;
    copyWanted_ = true;
    pause_.start();
    if (added != 0)
        selected_ = {added};
    emit jobChanged();
    emit fileChanged();
    if (added != 0 || selected_ != chosen)
        emit selectionChanged();
    if (added != 0) {
        // What is hung while the floor is looked at is shown where it hangs.
        if (const Piece* p = project_->scheme().byId(added); !p->on.isFloor())
            goTo(shownOn(*p));
    }
    if (!next->notices.empty())
        emit told(QString::fromStdString(listed(next->notices, "")), false);
    return true;
}

bool JobSession::sayLine(const QString& line) {
    const auto word = line.trimmed().toLower();
    if (word == "undo" || word == "redo") {
        word == "undo" ? undo() : redo();
        return true;
    }
    const int selected = selected_.size() == 1 ? selected_.front() : 0;
    if (takesLong(line.toStdString())) {
        emit told("Looking for what can be mended …", false);
        sayBeside(line.toStdString(), selected, surface_);
        return true;
    }
    auto said = readSaid(line.toStdString(), *project_, selected, surface_);
    if (!said) {
        emit told(QString::fromStdString(said.problem().sentence()), true);
        return false;
    }
    return apply(said->edit);
}

void JobSession::sayBeside(const std::string& line, int selected, SurfaceId surface) {
    // What was said is never dropped: when the job is another one by the time, it is worked out
    // again for that.
    ++said_;
    pool_.start([this, line, selected, surface, job = project_, gone = leavingNow_] {
        auto found = readSaid(line, *job, selected, surface, [&] { return gone->load(); });
        QMetaObject::invokeMethod(
            this,
            [this, line, selected, surface, job, found = std::move(found)] {
                --said_;
                if (job != project_)
                    sayBeside(line, selected, surface);
                else if (!found)
                    emit told(QString::fromStdString(found.problem().sentence()), true);
                else if (apply(found->edit))
                    emit told(QString::fromStdString(found->preview), false);
            },
            Qt::QueuedConnection);
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

QString JobSession::undoWords() const {
    return past_.empty() ? QString() : past_.back().words;
}

QString JobSession::redoWords() const {
    return future_.empty() ? QString() : future_.back().words;
}

void JobSession::undo() {
    stepBetween(past_, future_, "Undid: ");
}

void JobSession::redo() {
    stepBetween(future_, past_, "Did again: ");
}

void JobSession::stepBetween(std::vector<Step>& from, std::vector<Step>& to, const char* verb) {
    if (from.empty())
        return;
    const Step step = from.back();
    from.pop_back();
    to.push_back({project_, step.words});
    take(step.project, *sceneOf(*step.project));
    changed_ = copyWanted_ = project_ != saved_;
    if (changed_)
        pause_.start();
    else
        dropCopy();
    emit jobChanged();
    emit selectionChanged();
    emit fileChanged();
    emit told(verb + step.words, false);
}

bool JobSession::isSelected(int id) const {
    return std::find(selected_.begin(), selected_.end(), id) != selected_.end();
}

void JobSession::select(std::vector<int> ids) {
    if (ids == selected_)
        return;
    selected_ = std::move(ids);
    emit selectionChanged();
}

void JobSession::toggle(int id) {
    if (isSelected(id))
        std::erase(selected_, id);
    else
        selected_.push_back(id);
    emit selectionChanged();
}

void JobSession::goTo(SurfaceId surface) {
    if (surface == surface_ || !canShow(surface))
        return;
    surface_ = surface;
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
    dropCopy();
    past_.clear();
    future_.clear();
    selected_.clear();
    selectedIn_.clear();
    surface_ = theFloor();
    take(std::move(project), *scene);
    path_ = path;
    keepForUs(path);
    saved_ = changed ? nullptr : project_;
    changed_ = changed;
    copyWanted_ = changed;
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
    auto job = openJob(path.toStdString(), library_);
    if (!job) {
        emit told(QString::fromStdString(job.problem().text()), true);
        return false;
    }
    open(*job, whole);
    stamp_ = before;
    if (!elsewhere_.isEmpty())
        emit told(QString("%1 has this job: look at it here, and save it under another name")
                      .arg(elsewhere_),
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
                      " was changed by something else since it was opened here",
                  true);
        return false;
    }
    auto saved = saveJob(*project_, file);
    if (!saved) {
        emit told(QString::fromStdString(saved.problem().text()), true);
        return false;
    }
    if (!ours)
        lock_ = std::move(lock);
    elsewhere_.clear();
    stamp_ = stampOf(file);
    dropCopy();
    path_ = whole;
    saved_ = project_;
    changed_ = false;
    emit fileChanged();
    emit told("Saved " + QFileInfo(path).fileName(), false);
    return true;
}

QString JobSession::recoveryFolder() {
    return QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + "/unsaved";
}

QString JobSession::copyFile() const {
    return QString("%1/%2.mezzet").arg(recoveryFolder(), ownMark());
}

bool JobSession::keepCopy() {
    if (!copyWanted_ || !changed_)
        return QFile::exists(copyFile());
    QDir().mkpath(recoveryFolder());
    const QJsonObject about{{"path", path_},
                            {"when", QDateTime::currentDateTime().toString("d MMM, HH:mm")},
                            {"title", QString::fromStdString(project_->title)}};
    const auto aboutText = QJsonDocument(about).toJson().toStdString();
    const auto saved = saveJob(*project_, copyFile().toStdString());
    const auto told1 = writeWhole((copyFile() + ".json").toStdString(), aboutText);
    if (!saved || !told1) {
        emit told("The copy for safety could not be written: " +
                      QString::fromStdString((saved ? told1 : saved).problem().sentence()),
                  true);
        return false;
    }
    copyWanted_ = false;
    return true;
}

void JobSession::dropCopy() {
    pause_.stop();
    copyWanted_ = false;
    QFile::remove(copyFile());
    QFile::remove(copyFile() + ".json");
}

std::vector<JobSession::Recovered> JobSession::leftBehind() {
    std::vector<Recovered> out;
    for (const auto& f :
         QDir(recoveryFolder()).entryInfoList({"*.mezzet"}, QDir::Files, QDir::Time)) {
        if (stillRuns(f.completeBaseName()))
            continue;
        Recovered r{f.absoluteFilePath(), {}, f.lastModified().toString("d MMM, HH:mm")};
        QFile about(r.file + ".json");
        if (about.open(QIODevice::ReadOnly))
            r.path = QJsonDocument::fromJson(about.readAll()).object().value("path").toString();
        out.push_back(r);
    }
    return out;
}

std::vector<JobSession::Recovered> JobSession::notesLeftBehind() {
    std::vector<Recovered> out;
    for (const auto& f : QDir(recoveryFolder()).entryInfoList({"*.tape"}, QDir::Files, QDir::Time))
        if (!stillRuns(f.completeBaseName()))
            out.push_back({f.absoluteFilePath(), {}, f.lastModified().toString("d MMM, HH:mm")});
    return out;
}

QString JobSession::notesFile() {
    return QString("%1/%2.tape").arg(recoveryFolder(), ownMark());
}

void JobSession::forget(const Recovered& r) {
    QFile::remove(r.file);
    QFile::remove(r.file + ".json");
}

} // namespace mezzet::app
