#pragma once

#include "sheets/blank_sheet.h"
#include "sheets/sheet.h"

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

/// A sheet of a kind, printed.
inline Result<sheets::Printed> printPlan(const Project& job, const sheets::SheetOptions& o,
                                         const std::string& path) {
    return sheets::printSheet(sheets::planSheet, job, o, path);
}
inline Result<sheets::Printed> printWall(const Project& job, int wall, sheets::SheetOptions o,
                                         const std::string& path) {
    o.wall = wall;
    return sheets::printSheet(sheets::wallSheet, job, o, path);
}
inline Result<sheets::Printed> printHooks(const Project& job, const sheets::SheetOptions& o,
                                          const std::string& path) {
    return sheets::printSheet(sheets::hooksSheet, job, o, path);
}
inline Result<sheets::Printed> printTemplates(const Project& job, const sheets::SheetOptions& o,
                                              const std::string& path) {
    return sheets::printSheet(sheets::templatesSheet, job, o, path);
}
inline Result<int> printBlankSheet(const RoomPtr& room, Units units, const std::string& path) {
    return sheets::printPages(sheets::blankSheet(room, units).paper, path);
}

} // namespace mezzet::test
