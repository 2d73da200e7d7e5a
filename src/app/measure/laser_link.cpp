#include "app/measure/laser_link.h"
#include "app/look/tr.h"

#include "measure/text.h"

#include <QDate>
#include <QDir>
#include <QFile>
#include <QStandardPaths>

#include <unistd.h>

namespace mezzet::app {

namespace {
constexpr qint64 longestLine = 200;
}

LaserLink::LaserLink(QObject* parent) : QObject(parent) {
    connect(&socket_, &QLocalSocket::readyRead, this, &LaserLink::readLines);
    connect(&socket_, &QLocalSocket::connected, this, [this] { emit told("listening"); });
    connect(&socket_, &QLocalSocket::disconnected, this, [this] { emit told("not connected"); });
    connect(&socket_, &QLocalSocket::errorOccurred, this, [this](QLocalSocket::LocalSocketError e) {
        if (e == QLocalSocket::PeerClosedError)
            return;
        emit told(e == QLocalSocket::ServerNotFoundError ||
                          e == QLocalSocket::ConnectionRefusedError
                      ? tr("no laser is on; start mezzet-laser")
                      : tr("the laser can't be reached: ") + socket_.errorString());
    });
}

void LaserLink::listen(const QString& socket) {
    socket_.abort();
    socket_.connectToServer(socket, QIODevice::ReadWrite);
}

void LaserLink::stop() {
    socket_.disconnectFromServer();
}

bool LaserLink::connected() const {
    return socket_.state() == QLocalSocket::ConnectedState;
}

QString LaserLink::logFile() const {
    const auto folder =
        QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + "/readings";
    QDir().mkpath(folder);
    return folder + "/" + QDate::currentDate().toString("yyyy-MM-dd") + ".log";
}

bool LaserLink::keep(const QByteArray& line) {
    QFile log(logFile());
    if (!log.open(QIODevice::Append))
        return false;
    const QByteArray whole = line + "\n";
    return log.write(whole) == whole.size() && log.flush() && ::fsync(log.handle()) == 0;
}

void LaserLink::readLines() {
    while (socket_.canReadLine()) {
        const auto line = socket_.readLine(longestLine + 1).trimmed();
        if (line.isEmpty())
            continue;
        if (!keep(line))
            emit told("the raw reading could not be written to " + logFile());
        auto reading = readLaserLine(line.toStdString());
        if (reading)
            emit came(*reading);
        else
            emit told(QString::fromStdString(reading.problem().sentence()));
    }
    if (socket_.bytesAvailable() > longestLine) {
        // A line without an end is no reading.
        keep(socket_.readAll().left(longestLine));
        emit told("the laser sends something that is no reading");
        socket_.abort();
    }
}

} // namespace mezzet::app
