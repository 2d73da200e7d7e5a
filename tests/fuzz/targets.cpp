#include "fuzz/targets.h"

#include "dxf/dxf.h"
#include "edit/handed_over.h"
#include "edit/line.h"
#include "handover/tasks.h"
#include "judge/remedy.h"
#include "judge/say.h"
#include "kit/csv.h"
#include "speech/speech.h"
#include "survey/laser.h"
#include "trace/trace.h"

#include <fmt/format.h>

#include <array>
#include <cmath>
#include <filesystem>
#include <fstream>
#include <stdexcept>
#include <unistd.h>

namespace mezzet::fuzz {

namespace {

const Library& library() {
    static const Library lib = *loadLibrary(MEZZET_TEST_DATA);
    return lib;
}

void must(bool holds, const std::string& what) {
    if (!holds)
        throw std::runtime_error(what);
}

template <class T> void mustRead(const Result<T>& r, const char* what) {
    must(r.ok(), std::string(what) + (r.ok() ? "" : ": " + r.problem().text()));
}

/// Looked at as the window would, so that what is read is not only held but lived with.
void lookAt(const Project& job) {
    const auto scene = sceneOf(job);
    mustRead(scene, "a job that was read has no scene");
    if ((*scene)->floor.placed.size() + (*scene)->walls.placed.size() <= 30)
        for (const Reading& r : judge(**scene, *job.library.book, job.judgement)) {
            must(std::isfinite(r.value.value), "a reading that is no number: " + r.rule->id);
            must(!sentenceOf(r, job.wording()).empty(), "a reading without words");
        }
}

/// A job can always be written and opened again, and is then the same.
void writesAndOpens(const Project& job) {
    const auto text = jobText(job);
    const auto again = readJob(text, "again", library());
    mustRead(again, "a job that was taken can't be opened again");
    must(jobText(**again) == text, "a job changes when it is written and read");
}

void readsJob(std::string_view in) {
    const auto job = readJob(in, "job", library());
    if (!job)
        return;
    lookAt(**job);
    writesAndOpens(**job);
}

void readsNotes(std::string_view in) {
    const auto job = newProject(library(), in, "notes");
    if (!job)
        return;
    for (const auto& room : (*job)->rooms)
        for (const Vec2 p : room->edge)
            must(std::isfinite(p.x) && std::isfinite(p.y), "a corner that is no place");
    writesAndOpens(**job);
}

void readsLines(std::string_view in) {
    static const ProjectPtr start =
        *newProject(library(), "ceiling 8'\nwall A 20'\n window 7' from left, 5' wide, 4' high, "
                               "sill 32\nwall B 15'\n outlet 4' from left, 16 up\nwall C 20'\n "
                               "door 2' from left, 32 wide, hinge right, swings in\nwall D 15'");
    ProjectPtr now = start;
    int said = 0;
    while (!in.empty() && said++ < 20) {
        const auto end = std::min(in.find('\n'), in.size());
        const auto line = in.substr(0, end);
        in.remove_prefix(std::min(end + 1, in.size()));
        if (said <= 2)
            (void)completions(line, *now);
        const auto read = readLine(line, *now, 0, said % 3 == 0 ? onWall(0) : theFloor());
        if (!read)
            continue;
        const auto next = apply(*now, read->edit);
        mustRead(next, "a line that was read is refused");
        now = next->project;
    }
    lookAt(*now);
    writesAndOpens(*now);
}

/// What is typed in the line of the window: edits, questions, and what is offered for a refusal.
void readsSpeech(std::string_view in) {
    static const std::array<ProjectPtr, 2> starts{
        *newProject(library(), "ceiling 8'\nwall A 20'\n window 7' from left, 5' wide, "
                               "4' high, sill 32\nwall B 15'\nwall C 20'\n door 2' from left, 32 "
                               "wide, hinge right, swings in\nwall D 15'"),
        *newProject(library(), "units metres\nceiling 2,6\nwall A 6\nwall B 4,5\nwall C 6\n door "
                               "0,6 from left, 0,8 wide\nwall D 4,5")};
    ProjectPtr now = starts[in.size() % 2];
    Listener by{};
    int said = 0;
    while (!in.empty() && said++ < 12) {
        const auto end = std::min(in.find('\n'), in.size());
        const auto line = in.substr(0, end);
        in.remove_prefix(std::min(end + 1, in.size()));
        by.surface = said % 3 == 0 ? onWall(0) : theFloor();
        const auto heard = readSpoken(line, *now, by);
        if (!heard) {
            must(!heard.problem().text().empty(), "a refusal without a word");
            for (const std::string& way : waysOn(line, *now, by))
                mustRead(readSpoken(way, *now, by), "a way on that is refused");
            continue;
        }
        by.before = std::string(line);
        if (heard->is == Spoken::Is::answer)
            must(!heard->answer.words.empty(), "an answer without a word");
        if (heard->is != Spoken::Is::edit)
            continue;
        const auto next = apply(*now, heard->said.edit);
        mustRead(next, "what was said is refused");
        now = next->project;
        by.them = heard->said.them;
    }
    lookAt(*now);
    writesAndOpens(*now);
}

void readsKit(std::string_view in) {
    const auto kinds = readKit(in, "kit");
    if (!kinds)
        return;
    const auto text = kitText(*kinds);
    const auto again = readKit(text, "again");
    mustRead(again, "a kit that was read can't be read again");
    must(kitText(*again) == text, "a kit changes when it is written and read");
}

void readsTable(std::string_view in) {
    const auto kinds = kindsFromCsv(in, "table", *library().kit);
    if (!kinds)
        return;
    mustRead(readKit(kitText(*kinds), "again"), "kinds that were taken can't be kept");
    std::vector<KindPtr> held;
    for (const Kind& k : *kinds)
        held.push_back(std::make_shared<Kind>(k));
    for (const bool metric : {false, true})
        mustRead(kindsFromCsv(kindsAsCsv(held, metric), "again", *library().kit),
                 "kinds that were taken can't be written out and taken again");
}

void readsBook(std::string_view in) {
    const auto book = readRuleBook(in, "book");
    if (!book)
        return;
    for (const Rule& r : (*book)->rules)
        must(!r.id.empty() && r.measuresIn({}).find('{') == std::string::npos,
             "a sentence with a place left open");
}

void readsBands(std::string_view in) {
    const auto bands = readBands(in, "bands", *library().book);
    if (!bands)
        return;
    const auto again = readBands(bandsText(*bands), "again", *library().book);
    mustRead(again, "bands that were taken can't be read again");
    must(*again == *bands, "bands change when they are written and read");
}

void readsDrawing(std::string_view in) {
    static const std::string file =
        (std::filesystem::temp_directory_path() / fmt::format("mezzet-fuzz-{}.dxf", ::getpid()))
            .string();
    std::ofstream(file, std::ios::binary) << in;
    Watch watch;
    const auto sheet = readDxf(file, &watch);
    ::unlink(file.c_str());
    if (!sheet)
        return;
    for (const DrawnLine& l : sheet->lines)
        must(std::isfinite(l.from.x) && std::isfinite(l.to.y) && l.layer >= 0 &&
                 l.layer < static_cast<int>(sheet->layers.size()),
             "a line that is nowhere");
    if (sheet->lines.size() > 2000)
        return;
    const auto room =
        findRoom(*sheet, guessRoles(*sheet), sheet->unitMm.value_or(25.4), {}, &watch);
    if (!room)
        return;
    if (const auto notes = notesOf(*room, Units::inches))
        mustRead(readTapeNotes(*notes), "a drawing becomes notes that can't be read");
}

void readsTracing(std::string_view in) {
    for (const Units units : {Units::feetAndInches, Units::metres}) {
        const auto tracing = readTracing(in, units);
        if (!tracing)
            continue;
        if (const auto notes = notesOf(*tracing, units))
            mustRead(readTapeNotes(*notes), "a tracing becomes notes that can't be read");
    }
}

void readsLaser(std::string_view in) {
    const auto reading = readLaserLine(in);
    if (!reading)
        return;
    const auto again = readLaserLine(writeLaserLine(*reading));
    mustRead(again, "a reading that was taken can't be read again");
    must(again->distance == reading->distance && again->number == reading->number,
         "a reading changes when it is written and read");
}

void readsLengths(std::string_view in) {
    for (const Units units :
         {Units::inches, Units::feetAndInches, Units::centimetres, Units::metres}) {
        const auto length = readLength(in, units);
        if (!length)
            continue;
        Notation n;
        n.units = units;
        const auto again = readLength(write(*length, n), units);
        mustRead(again, "a length that was written can't be read");
        must(std::abs((*again - *length).mm()) <=
                 division(n).mm() / 2 + 1e-6 * std::abs(length->mm()),
             "a length changes by more than its division");
    }
}

void readsRugs(std::string_view in) {
    const auto book = readRugBook(in, "rugs.json", library().rugs.get());
    if (!book)
        return;
    for (const auto& n : (*book)->needs)
        must(rankMaterials(**book, {n.id}).size() == (*book)->materials.size(),
             "a material is lost when they are ranked");
    for (const auto& e : (*book)->edges)
        must(std::isfinite(e.price) && e.price >= 0, "an edge has no price");
}

void readsPhotometry(std::string_view in) {
    for (const char* name : {"a.ies", "a.ldt", "a"}) {
        const auto p = readPhotometry(in, name);
        if (!p)
            continue;
        must(std::isfinite(p->lumens()) && p->lumens() >= 0, "a fixture gives no figure of light");
        must(p->at(0, 0) >= 0 && p->along(0.3, -0.4, 0.5) >= 0, "light is less than none");
        const auto again = readIes(writeIes(*p), "again.ies");
        mustRead(again, "a photometric file that was written can't be read");
        must(again->candela == p->candela, "what it shines changes when it is written");
    }
}

void readsStock(std::string_view in) {
    const auto stock = stockFromCsv(in, "things.csv", *library().kit);
    if (!stock)
        return;
    for (const bool metric : {false, true}) {
        const auto again = stockFromCsv(stockAsCsv(*stock, metric), "again.csv", *library().kit);
        mustRead(again, "a stock that was written can't be read");
        must(again->size() == stock->size(), "a stock loses a thing when it is written");
    }
    for (const StockThing& t : *stock)
        must(t.count >= 1 && static_cast<int>(namesOf(t).size()) == t.count &&
                 t.size.width > Length{},
             "a thing of the stock has no size, or no name");
}

/// A room with a few things in it, whose list and order of work are changed.
const Project& furnished() {
    static const Project job = [] {
        Project now = **newProject(library(), "ceiling 8'\nwall A 20'\nwall B 15'\nwall C 20'\n"
                                              " door 2' from left, 32 wide\nwall D 15'");
        for (const char* line :
             {"sofa 84 x 36 against wall C", "coffee table at 10', 9'", "pendant centred on room"})
            now = *apply(now, readLine(line, now)->edit)->project;
        return now;
    }();
    return job;
}

void readsList(std::string_view in) {
    const auto change = listFromCsv(in, "list.csv", furnished());
    if (!change)
        return;
    const auto next = apply(furnished(), listEdit(furnished(), *change, "list"));
    // A size may be none that a piece can have.
    if (!next)
        return;
    writesAndOpens(*next->project);
    const auto csv = listAsCsv(jobList(*next->project));
    const auto again = listFromCsv(csv, "again.csv", *next->project);
    mustRead(again, "a list that was written can't be read");
    must(std::isfinite(totalsOf(jobList(*next->project)).all), "a total that is no number");
}

void readsCalendar(std::string_view in) {
    const auto now = jobSchedule(furnished(), *readDay("2027-03-01"), Day{});
    for (const auto& change : {withCalendar(furnished(), *now, in, "a.ics"),
                               withTasksCsv(furnished(), *now, in, "a.csv")}) {
        if (!change)
            continue;
        const auto next = apply(furnished(), {"", {SetHandover{change->handover}}, {}});
        mustRead(next, "a change of the tasks that was taken can't be applied");
        writesAndOpens(*next->project);
        const auto then = jobSchedule(*next->project, *readDay("2027-03-01"), Day{});
        if (!then)
            continue; // not within 20 years of that day
        mustRead(withCalendar(*next->project, *then, tasksAsCalendar(*then, "t"), "b.ics"),
                 "a calendar that was written can't be read");
        mustRead(withTasksCsv(*next->project, *then, tasksAsCsv(*then), "b.csv"),
                 "tasks that were written can't be read");
    }
}

void readsColours(std::string_view in) {
    if (const auto lab = readLab(in)) {
        must(std::isfinite(lab->l) && colourDifference(*lab, *lab) == 0,
             "a colour differs from itself");
        must(labOf(rgbOf(*lab)).l >= -1e-9, "a colour is darker than black");
    }
    if (const auto c = readColour(in))
        must(*readColour(hexOf(*c)) == *c, "a colour changes when it is written");
    must(colourAhead(in).bytes <= in.size(), "a colour takes more than there is");
}

constexpr std::array<Target, 18> all{{{"job", readsJob},
                                      {"notes", readsNotes},
                                      {"lines", readsLines},
                                      {"speech", readsSpeech},
                                      {"kit", readsKit},
                                      {"table", readsTable},
                                      {"book", readsBook},
                                      {"bands", readsBands},
                                      {"drawing", readsDrawing},
                                      {"tracing", readsTracing},
                                      {"laser", readsLaser},
                                      {"lengths", readsLengths},
                                      {"rugs", readsRugs},
                                      {"photometry", readsPhotometry},
                                      {"stock", readsStock},
                                      {"colours", readsColours},
                                      {"list", readsList},
                                      {"calendar", readsCalendar}}};

} // namespace

std::span<const Target> targets() {
    return all;
}

} // namespace mezzet::fuzz
