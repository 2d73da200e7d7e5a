// What comes from drawings and instruments, and what goes out to them: tracings, DXF, the measuring
// sheet, the laser.
#include "tell.h"
#include "dxf/dxf.h"
#include "measure/texts.h"
#include "offscreen.h"
#include "shared.h"
#include "sheets/blank_sheet.h"
#include "survey/laser.h"

#include <QCoreApplication>
#include <QLocalSocket>

namespace mezzet::cli {

namespace {

/// Layers named in the command, as indexes.
Result<std::vector<int>> layersNamed(const DrawnSheet& sheet,
                                     const std::vector<std::string>& names) {
    std::vector<int> out;
    for (const auto& n : names) {
        const auto it =
            std::find_if(sheet.layers.begin(), sheet.layers.end(),
                         [&](const std::string& l) { return foldCase(l) == foldCase(n); });
        if (it == sheet.layers.end())
            return Problem{worded("the drawing has no layer “{}”", n),
                           worded("its layers are {}", listed(sheet.layers))};
        out.push_back(static_cast<int>(it - sheet.layers.begin()));
    }
    return out;
}

int traceDxf(const TraceCommand& c, Units units) {
    auto sheet = readDxf(c.file);
    if (!sheet)
        return refuse(sheet.problem());
    if (c.listLayers) {
        tell("{} things drawn, one unit is {}\n", sheet->entities,
             sheet->unitName.empty() ? "not said" : sheet->unitName);
        for (std::size_t i = 0; i < sheet->layers.size(); ++i)
            fmt::print("{:>8}  {}\n", sheet->counts[i], sheet->layers[i]);
        for (const auto& s : sheet->skipped)
            tell("left out: {}\n", s);
        return ran;
    }
    double unit = sheet->unitMm.value_or(0);
    if (!c.unit.empty()) {
        const auto one = readLength("1" + c.unit, Units::millimetres);
        if (!one)
            return wrong(worded("“{}” is no unit; use mm, cm, m, in or ft", c.unit));
        unit = one->mm();
    }
    if (unit <= 0) {
        Problem p{"the drawing doesn't say its unit", "say it with --unit mm, cm, m, in or ft"};
        p.file = c.file;
        return refuse(p);
    }
    LayerRoles roles = guessRoles(*sheet);
    const std::pair<const std::vector<std::string>*, std::vector<int>*> given[] = {
        {&c.walls, &roles.walls}, {&c.windows, &roles.windows}, {&c.doors, &roles.doors}};
    for (const auto& [names, list] : given) {
        if (names->empty())
            continue;
        auto found = layersNamed(*sheet, *names);
        if (!found) {
            Problem p = found.problem();
            p.file = c.file;
            return refuse(p);
        }
        *list = *found;
    }
    std::optional<Vec2> inside;
    if (c.inside.size() == 2) // as the drawing has it, y up
        inside = Vec2{c.inside[0], -c.inside[1]};
    auto room = findRoom(*sheet, roles, unit, inside);
    if (!room) {
        Problem p = room.problem();
        p.file = c.file;
        return refuse(p);
    }
    if (!c.room.empty())
        room->name = c.room;
    auto notes = notesOf(*room, units);
    if (!notes)
        return refuse(notes.problem());
    if (auto saved = writeWhole(c.out, *notes); !saved)
        return refuse(saved.problem());
    tell("{}: {} corners, {} openings\n", c.out, room->corners.size(), room->openings.size());
    return ran;
}

} // namespace

int trace(const TraceCommand& c) {
    Units units = Units::feetAndInches;
    if (!c.units.empty()) {
        const auto u = readUnits(c.units);
        if (!u)
            return wrong(worded("“{}” is no unit; use feet, inches, mm, cm or m", c.units));
        units = *u;
    }
    if (!c.listLayers && c.out.empty())
        return wrong("where to? add -o NOTES");
    if (foldCase(std::filesystem::path(c.file).extension().string()) == ".dxf")
        return traceDxf(c, units);
    auto text = readTextFile(c.file, mostNotes);
    if (!text)
        return refuse(text.problem());
    auto tracing = readTracing(*text, units, c.file);
    if (!tracing)
        return refuse(tracing.problem());
    ScaleFit fit;
    auto notes = notesOf(*tracing, units, &fit);
    if (!notes) {
        Problem p = notes.problem();
        p.file = c.file;
        return refuse(p);
    }
    if (auto saved = writeWhole(c.out, *notes); !saved)
        return refuse(saved.problem());
    tell("{}: {:.4f} mm to a pixel", c.out, fit.mmPerPixel);
    if (fit.misfits.size() > 1)
        tell(", sure to {:.2f} %", fit.error * 100);
    fmt::print("\n");
    return ran;
}

int exportDxf(const std::string& path, const std::string& room, const std::string& out) {
    if (!endsAs(out, {".dxf"}))
        return wrongUsage;
    auto job = open(path, room);
    if (!job)
        return refuse(job.problem());
    auto scene = sceneOf(**job);
    if (!scene)
        return refuse(scene.problem());
    auto text = dxfText(**scene);
    if (!text)
        return refuse(text.problem());
    if (auto saved = writeWhole(out, *text); !saved)
        return refuse(saved.problem());
    tell("{}: {}, {} pieces, in millimetres\n", out, (*scene)->room->name,
         (*scene)->floor.placed.size());
    return ran;
}

int measuringSheet(const std::string& notes, bool metric, const std::string& out) {
    RoomPtr room;
    Units units = metric ? Units::millimetres : Units::feetAndInches;
    if (!notes.empty()) {
        auto text = readTextFile(notes, mostNotes);
        if (!text)
            return refuse(text.problem());
        auto rooms = roomsFromNotes(*text, notes);
        if (!rooms)
            return refuse(rooms.problem());
        room = rooms->front();
        units = room->units;
    }
    if (!sheets::formatOf(out))
        return wrong(
            worded("“{}” is no file a sheet can be written to; end it in .pdf, .svg or .png", out));
    Offscreen application;
    const auto blank = sheets::blankSheet(room, units);
    const auto printed = sheets::printPages(blank.paper, out);
    if (!printed)
        return refuse(printed.problem());
    fmt::print("{}: {}\n", out, blank.on);
    return ran;
}

int listen(const std::string& socket, int count, const std::string& log) {
    int argc = 1;
    char name[] = "mezzet-cli";
    char* argv[] = {name, nullptr};
    QCoreApplication application(argc, argv);
    QLocalSocket laser;
    laser.connectToServer(QString::fromStdString(socket));
    if (!laser.waitForConnected(3000)) {
        Problem p{fmt::format("no laser is on at “{}”", socket), "start mezzet-laser"};
        return refuse(p);
    }
    std::FILE* raw = log.empty() ? nullptr : std::fopen(log.c_str(), "a");
    if (!log.empty() && raw == nullptr) {
        Problem p{"the log can't be written", "check its place"};
        p.file = log;
        return refuse(p);
    }
    // A line that never ends is no reading, and is not kept.
    constexpr qint64 longestLine = 200;
    laser.setReadBufferSize(64 * 1024);
    bool inFlood = false;
    for (int got = 0; (count == 0 || got < count);) {
        if (!laser.canReadLine()) {
            if (laser.bytesAvailable() > longestLine) {
                laser.readAll();
                if (!inFlood)
                    tell(stderr, "The laser sends something that is no reading; it is passed "
                                 "over.\n");
                inFlood = true;
            }
            if (!laser.waitForReadyRead(-1))
                break;
            continue;
        }
        if (inFlood) { // the end of what was passed over
            laser.readLine();
            inFlood = false;
            continue;
        }
        while (laser.canReadLine() && (count == 0 || got < count)) {
            const auto line = laser.readLine(longestLine + 1).trimmed().toStdString();
            if (raw != nullptr) { // kept before anything is made of it
                fmt::print(raw, "{}\n", shownPlainly(line));
                std::fflush(raw);
            }
            const auto reading = readLaserLine(line);
            if (!reading) {
                fmt::print(stderr, "{}\n", reading.problem().sentence());
                continue;
            }
            ++got;
            fmt::print("{}  {}  {}\n", reading->figure, reading->time,
                       write(reading->distance, {Units::feetAndInches, 16}));
            std::fflush(stdout);
        }
    }
    if (raw != nullptr)
        std::fclose(raw);
    return ran;
}

} // namespace mezzet::cli
