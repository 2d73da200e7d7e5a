#include "app/session/recovery.h"
#include "app/look/tr.h"

#include "files/whole_file.h"

#include <QCoreApplication>
#include <QDateTime>
#include <QDir>
#include <QFile>
#include <QJsonDocument>
#include <QJsonObject>
#include <QStandardPaths>

#include <csignal>

namespace mezzet::app {

namespace {

constexpr int pauseMilliseconds = 2000;
constexpr int regularMilliseconds = 30000;

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

/// Writes a copy with what it is of. The words of what went wrong; empty when nothing did.
QString writeCopy(const Project& job, const QString& path, const QString& file) {
    const QJsonObject about{{"path", path},
                            {"when", QDateTime::currentDateTime().toString("d MMM, HH:mm")},
                            {"title", QString::fromStdString(job.title)}};
    const auto text = QJsonDocument(about).toJson().toStdString();
    const auto saved = saveJob(job, file.toStdString());
    if (!saved)
        return QString::fromStdString(saved.problem().sentence());
    const auto told = writeWhole((file + ".json").toStdString(), text);
    return told ? QString() : QString::fromStdString(told.problem().sentence());
}

void removeCopy(const QString& file) {
    QFile::remove(file);
    QFile::remove(file + ".json");
}

} // namespace

Recovery::Recovery(Runner& files, QObject* parent) : QObject(parent), files_(files) {
    pause_.setSingleShot(true);
    pause_.setInterval(pauseMilliseconds);
    halfMinute_.setInterval(regularMilliseconds);
    connect(&pause_, &QTimer::timeout, this, &Recovery::write);
    connect(&halfMinute_, &QTimer::timeout, this, &Recovery::write);
    halfMinute_.start();
}

void Recovery::want(ProjectPtr job, const QString& path) {
    wanted_ = std::move(job);
    path_ = path;
    pause_.start();
}

void Recovery::write() {
    if (!wanted_ || files_.runs(writing_))
        return;
    QDir().mkpath(folder());
    writing_ = files_.run(
        [job = wanted_, path = path_, to = file()](Progress& p) {
            // Dropped while it waited or was written, it must not be there.
            if (p.stop)
                return QString();
            auto fault = writeCopy(*job, path, to);
            if (p.stop)
                removeCopy(to);
            return fault;
        },
        [this, of = wanted_](const QString& fault) {
            if (!fault.isEmpty())
                emit failed(tr("The copy for safety could not be written: ") + fault);
            else if (wanted_ == of)
                wanted_ = nullptr;
        },
        [this](const QString& fault) {
            emit failed(tr("The copy for safety could not be written: ") + fault);
        });
}

bool Recovery::writeNow() {
    if (!wanted_)
        return QFile::exists(file());
    QDir().mkpath(folder());
    // After what is being written already: the two must not meet in one file.
    const auto fault = files_.waitFor([job = wanted_, path = path_, to = file()](Progress&) {
        return writeCopy(*job, path, to);
    });
    if (fault && fault->isEmpty()) {
        wanted_ = nullptr;
        return true;
    }
    emit failed(tr("The copy for safety could not be written") +
                (fault ? ": " + *fault : QString()));
    return false;
}

void Recovery::drop() {
    pause_.stop();
    wanted_ = nullptr;
    if (files_.runs(writing_))
        files_.drop(writing_); // takes away what it wrote
    removeCopy(file());
}

QString Recovery::folder() {
    return QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + "/unsaved";
}

QString Recovery::file() {
    return QString("%1/%2.mezzet").arg(folder(), ownMark());
}

QString Recovery::notesFile() {
    return QString("%1/%2.tape").arg(folder(), ownMark());
}

std::vector<Recovery::Left> Recovery::leftBehind() {
    std::vector<Left> out;
    for (const auto& f : QDir(folder()).entryInfoList({"*.mezzet"}, QDir::Files, QDir::Time)) {
        if (stillRuns(f.completeBaseName()))
            continue;
        Left r{f.absoluteFilePath(), {}, f.lastModified().toString("d MMM, HH:mm")};
        QFile about(r.file + ".json");
        if (about.open(QIODevice::ReadOnly))
            r.path = QJsonDocument::fromJson(about.readAll()).object().value("path").toString();
        out.push_back(r);
    }
    return out;
}

std::vector<Recovery::Left> Recovery::notesLeftBehind() {
    std::vector<Left> out;
    for (const auto& f : QDir(folder()).entryInfoList({"*.tape"}, QDir::Files, QDir::Time))
        if (!stillRuns(f.completeBaseName()))
            out.push_back({f.absoluteFilePath(), {}, f.lastModified().toString("d MMM, HH:mm")});
    return out;
}

void Recovery::forget(const Left& left) {
    removeCopy(left.file);
}

} // namespace mezzet::app
