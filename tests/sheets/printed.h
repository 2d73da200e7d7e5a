#pragma once

#include <QProcess>
#include <QString>
#include <QStringList>

namespace mezzet::test {

/// What a program prints; for poppler's, which read a sheet back.
inline QString run(const QString& program, const QStringList& arguments) {
    QProcess p;
    p.start(program, arguments);
    p.waitForFinished(60000);
    return QString::fromUtf8(p.readAllStandardOutput());
}

} // namespace mezzet::test
