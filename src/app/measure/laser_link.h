#pragma once

#include "survey/laser.h"

#include <QLocalSocket>
#include <QObject>

namespace mezzet::app {

/// Listens to a laser measure on a local socket. Every line it sends is written to the raw log,
/// and to the disk, before anything is made of it.
class LaserLink : public QObject {
    Q_OBJECT
public:
    explicit LaserLink(QObject* parent = nullptr);

    void listen(const QString& socket = defaultSocket());
    void stop();
    [[nodiscard]] bool connected() const;
    /// The day's log of raw readings.
    [[nodiscard]] QString logFile() const;
    static QString defaultSocket() { return "mezzet-laser"; }

signals:
    void came(const mezzet::LaserReading&);
    /// Whether it listens, or why not.
    void told(const QString& words);

private:
    void readLines();
    bool keep(const QByteArray& line);

    QLocalSocket socket_;
};

} // namespace mezzet::app
