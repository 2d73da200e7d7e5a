#include "project/project.h"

#include "things/stock.h"

#include "files/whole_file.h"
#include "kit/metric.h"

#include "kit/csv.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "project/spoken_library.h"

#include <algorithm>
#include <cstdlib>
#include <locale>
#include <stdexcept>

namespace mezzet {

namespace {

/// The distributions the program ships; every kind's own is among them.
Result<std::shared_ptr<const Shines>> loadShines(const std::filesystem::path& folder,
                                                 const Kit& kit) {
    auto out = std::make_shared<Shines>();
    std::error_code error;
    for (const auto& f : std::filesystem::directory_iterator(folder, error)) {
        if (f.path().extension() != ".ies")
            continue;
        const auto text = readTextFile(f.path(), mostPhotometryBytes);
        if (!text)
            return text.problem();
        auto read = readIes(*text, f.path().string());
        if (!read)
            return read.problem();
        (*out)[f.path().stem().string()] = std::make_shared<const Photometry>(std::move(*read));
    }
    for (const KindPtr& k : kit.kinds())
        if (k->light && out->count(k->light->shine) == 0) {
            Problem p{worded("there is no distribution “{}”, which {} shines by", k->light->shine,
                             k->name),
                      "the program's data folder holds light/*.ies; MEZZET_DATA can name it"};
            p.file = folder.string();
            return p;
        }
    return std::shared_ptr<const Shines>(std::move(out));
}

} // namespace

Result<Library> loadLibrary(const std::filesystem::path& data) {
    auto kit = loadKit(data / "kit");
    if (!kit)
        return kit.problem();
    auto book = loadRuleBook(data / "rules" / "book.json");
    if (!book)
        return book.problem();
    auto stock = loadWallStock(data / "walls");
    if (!stock)
        return stock.problem();
    auto whole = std::make_shared<RuleBook>(**book);
    whole->shelving = stock->shelving;
    auto rugs = loadRugBook(data / "rugs" / "rugs.json");
    if (!rugs)
        return rugs.problem();
    auto shines = loadShines(data / "light", **kit);
    if (!shines)
        return shines.problem();
    const auto tasksFile = data / "light" / "tasks.json";
    const auto tasksText = readTextFile(tasksFile, std::size_t{1} << 20U);
    if (!tasksText)
        return tasksText.problem();
    auto tasks = readTaskLevels(*tasksText, tasksFile.string());
    if (!tasks)
        return tasks.problem();
    const auto workFile = data / "work" / "work.json";
    const auto workText = readTextFile(workFile, std::size_t{1} << 20U);
    if (!workText)
        return workText.problem();
    auto work = readWorkBook(*workText, workFile.string());
    if (!work)
        return work.problem();
    return inUnits(
        inOwnLanguage(Library{*kit, whole, {}, stock->sizes, *rugs, *shines, *tasks, *work}),
        Units::feetAndInches);
}

Library inUnits(const Library& library, Units units) {
    Library out = library;
    // Another kit, or another book, than those its editions were made of.
    if (out.kit != out.inches.kit && out.kit != out.metric.kit) {
        out.inches.kit = out.kit;
        out.metric.kit = metricKit(*out.kit);
    }
    if (out.book != out.inches.book && out.book != out.metric.book) {
        out.inches.book = out.book;
        out.metric.book = metricBook(*out.book);
    }
    const Library::Edition& e = isMetric(units) ? out.metric : out.inches;
    out.kit = e.kit;
    out.book = e.book;
    return out;
}

void useLibrary(Project& job, const Library& library) {
    job.library = inUnits(library, job.notation.units);
    const auto bound = [&](const SchemePtr& scheme) {
        auto out = std::make_shared<Scheme>(*scheme);
        for (Piece& p : out->pieces)
            if (auto kind = job.library.kit->byId(p.kind->id))
                p.kind = std::move(kind);
        return SchemePtr(std::move(out));
    };
    for (SchemePtr& s : job.schemes)
        s = bound(s);
    for (SchemePtr& s : job.thrownAway)
        s = bound(s);
}

namespace {

/// The language of the first of these that says one: two letters; "en" for C and POSIX.
std::string languageAsked(const std::string& chosen) {
    for (const char* name : {"MEZZET_LANGUAGE", "", "LC_ALL", "LC_MESSAGES", "LANG"}) {
        const char* told = *name == 0 ? chosen.c_str() : std::getenv(name);
        if (told == nullptr || *told == 0)
            continue;
        const std::string_view says = told;
        const auto two = foldCase(says.substr(0, says.find_first_of("_.@")));
        const bool letters =
            two.size() == 2 && two[0] >= 'a' && two[0] <= 'z' && two[1] >= 'a' && two[1] <= 'z';
        return letters ? two : "en";
    }
    return "en";
}

} // namespace

std::vector<std::string> languages() {
    std::vector<std::string> out{"en"};
    std::error_code none;
    for (const auto& file : std::filesystem::directory_iterator(dataFolder() / "texts", none))
        if (file.path().extension() == ".json")
            out.push_back(file.path().stem().string());
    std::sort(out.begin() + 1, out.end());
    return out;
}

std::optional<Problem> speakAsAsked(const std::string& chosen) {
    try {
        useDecimalMark(std::use_facet<std::numpunct<char>>(std::locale("")).decimal_point());
    } catch (const std::runtime_error&) {
        useDecimalMark('.'); // a locale that isn't on this machine
    }
    std::filesystem::path file;
    if (const char* own = std::getenv("MEZZET_TEXTS"); own != nullptr && *own != 0) {
        file = own;
    } else {
        const auto language = languageAsked(chosen);
        if (language == "en")
            return {};
        file = dataFolder() / "texts" / (language + ".json");
        std::error_code none;
        if (!std::filesystem::exists(file, none))
            return {}; // English, where there is no such language
    }
    const auto text = readTextFile(file, std::size_t{4} << 20U);
    const auto own = text ? readTexts(*text, file.string()) : Result<Speaking>(text.problem());
    if (!own)
        return own.problem();
    speak(*own);
    if (const auto mark = told(decimalMarkKey); mark.size() == 1)
        useDecimalMark(mark.front());
    return {};
}

std::filesystem::path studioFolder() {
    if (const char* own = std::getenv("MEZZET_STUDIO"); own != nullptr && *own != 0)
        return own;
    if (const char* data = std::getenv("XDG_DATA_HOME"); data != nullptr && *data != 0)
        return std::filesystem::path(data) / "mezzet" / "studio";
    const char* home = std::getenv("HOME");
    return std::filesystem::path(home != nullptr ? home : ".") / ".local/share/mezzet/studio";
}

namespace {

/// What a studio keeps of its own; its rules come before the bands that name their schools.
constexpr const char* studioFiles[] = {"kinds.json", "rugs.json", "rules.json", "bands.json"};

/// The library with one of the studio's files.
Result<Library> withOnly(const Library& library, const std::filesystem::path& folder,
                         std::string_view name) {
    Library out = library;
    const auto file = folder / name;
    if (name == "kinds.json") {
        auto kinds = readKitFile(file);
        if (!kinds)
            return kinds.problem();
        auto kit = withStudio(library.kit, *kinds);
        if (!kit) {
            Problem p = kit.problem();
            p.file = file.string();
            return p;
        }
        out.kit = *kit;
        return out;
    }
    auto text = readTextFile(file, std::size_t{1} << 20U);
    if (!text)
        return text.problem();
    if (name == "rugs.json") {
        auto rugs = readRugBook(*text, file.string(), library.rugs.get());
        if (!rugs)
            return rugs.problem();
        out.rugs = *rugs;
        return out;
    }
    if (name == "rules.json") {
        auto book = readStudioBook(*text, file.string(), *library.book);
        if (!book)
            return book.problem();
        out.book = *book;
        return out;
    }
    auto judgement = readBands(*text, file.string(), *library.book);
    if (!judgement)
        return judgement.problem();
    out.studio = *judgement;
    return out;
}

} // namespace

Result<Library> withStudio(const Library& library, const std::filesystem::path& folder) {
    Library out = library;
    std::error_code error;
    for (const char* name : studioFiles)
        if (std::filesystem::exists(folder / name, error)) {
            auto with = withOnly(out, folder, name);
            if (!with)
                return with;
            out = *with;
        }
    return out;
}

Library withWholeStudio(const Library& library, const std::filesystem::path& folder,
                        std::vector<std::string>& told) {
    Library out = library;
    std::error_code error;
    for (const char* name : studioFiles) {
        const auto file = folder / name;
        if (!std::filesystem::exists(file, error))
            continue;
        auto with = withOnly(out, folder, name);
        if (with) {
            out = *with;
            continue;
        }
        // Set aside under a name that is free, so that nothing of it is lost.
        auto aside = file;
        for (int i = 1; std::filesystem::exists(aside, error); ++i)
            aside = folder / worded("{}.damaged-{}", name, i);
        std::filesystem::rename(file, aside, error);
        told.push_back(worded("{}; the studio's file was left out{}", with.problem().text(),
                              error ? std::string()
                                    : worded(" and set aside as {}", aside.filename().string())));
    }
    return out;
}

namespace {

Result<std::monostate> keep(const std::filesystem::path& folder, const char* name,
                            const std::string& text) {
    std::error_code error;
    std::filesystem::create_directories(folder, error);
    return writeWhole(folder / name, text);
}

} // namespace

Result<std::monostate> keepStudioKinds(const Library& library,
                                       const std::filesystem::path& folder) {
    std::vector<Kind> own;
    for (const auto& k : library.kit->kinds())
        if (k->own)
            own.push_back(*k);
    const auto text = kitText(own);
    // Never a file that could not be read again.
    if (const auto again = readKit(text, "kinds.json"); !own.empty() && !again)
        return again.problem();
    return keep(folder, "kinds.json", text);
}

Result<Library> withOwnKinds(const Library& library, const std::vector<Kind>& kinds,
                             const std::filesystem::path& data) {
    // Nothing is taken that could not be kept and read again.
    if (const auto again = readKit(kitText(kinds), "kinds"); !kinds.empty() && !again)
        return again.problem();
    std::vector<Kind> own;
    for (const auto& k : library.kit->kinds())
        if (k->own &&
            std::none_of(kinds.begin(), kinds.end(), [&](const Kind& n) { return n.id == k->id; }))
            own.push_back(*k);
    own.insert(own.end(), kinds.begin(), kinds.end());
    const auto shipped = loadKit(data / "kit");
    if (!shipped)
        return shipped.problem();
    auto kit = withStudio(*shipped, own);
    if (!kit)
        return kit.problem();
    Library out = library;
    out.kit = *kit;
    return out;
}

Result<std::monostate> keepStudioBands(const Judgement& judgement,
                                       const std::filesystem::path& folder) {
    return keep(folder, "bands.json", bandsText(judgement));
}

Result<Stock> studioStock(const Kit& kit, const std::filesystem::path& folder) {
    constexpr std::size_t most = std::size_t{16} * 1024 * 1024;
    const auto file = folder / "stock.csv";
    std::error_code error;
    if (!std::filesystem::exists(file, error))
        return Stock{};
    const auto text = readTextFile(file, most);
    if (!text)
        return text.problem();
    return stockFromCsv(*text, file.string(), kit);
}

Result<std::monostate> keepStudioStock(const Stock& stock, const Kit& kit,
                                       const std::filesystem::path& folder) {
    auto now = studioStock(kit, folder);
    if (!now)
        return now.problem();
    return keep(folder, "stock.csv", stockAsCsv(withThings(std::move(*now), stock), true));
}

std::vector<std::size_t> Project::schemesHere() const {
    std::vector<std::size_t> out;
    for (std::size_t i = 0; i < schemes.size(); ++i)
        if (schemes[i]->room == scheme().room)
            out.push_back(i);
    return out;
}

Result<ProjectPtr> newProject(const Library& library, std::string_view notes,
                              std::string_view file) {
    auto rooms = roomsFromNotes(notes, file);
    if (!rooms)
        return rooms.problem();
    auto project = std::make_shared<Project>();
    project->title = rooms->front()->name;
    project->notes = notes;
    project->rooms = *rooms;
    project->room = rooms->front();
    project->notation.units = rooms->front()->units;
    project->judgement.school = library.book->schools.front().id;
    if (library.studio) {
        project->judgement.school = library.studio->school;
        project->judgement.choices = library.studio->choices;
    }
    for (std::size_t i = 0; i < rooms->size(); ++i) {
        auto scheme = std::make_shared<Scheme>();
        scheme->room = i;
        project->schemes.push_back(scheme);
    }
    project->library = inUnits(library, project->notation.units);
    return ProjectPtr(project);
}

Result<std::monostate> saveJob(const Project& project, const std::filesystem::path& path) {
    return writeWhole(path, jobText(project));
}

Result<ProjectPtr> openJob(const std::filesystem::path& path, const Library& library) {
    clearLeftovers(path);
    auto text = readTextFile(path, mostJobBytes);
    if (!text)
        return text.problem();
    return readJob(*text, path.string(), library);
}

} // namespace mezzet
