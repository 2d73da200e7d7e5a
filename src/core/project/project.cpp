#include "project/project.h"

#include "kit/csv.h"
#include "measure/text.h"

#include <fmt/format.h>

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <cerrno>
#include <cstdlib>
#include <cstring>

namespace mezzet {

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
    return Library{*kit, whole, {}, stock->sizes};
}

std::filesystem::path studioFolder() {
    if (const char* own = std::getenv("MEZZET_STUDIO"); own != nullptr && *own != 0)
        return own;
    if (const char* data = std::getenv("XDG_DATA_HOME"); data != nullptr && *data != 0)
        return std::filesystem::path(data) / "mezzet" / "studio";
    const char* home = std::getenv("HOME");
    return std::filesystem::path(home != nullptr ? home : ".") / ".local/share/mezzet/studio";
}

Result<Library> withStudio(const Library& library, const std::filesystem::path& folder) {
    Library out = library;
    std::error_code error;
    if (const auto file = folder / "kinds.json"; std::filesystem::exists(file, error)) {
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
    }
    if (const auto file = folder / "bands.json"; std::filesystem::exists(file, error)) {
        auto text = readTextFile(file, std::size_t{1} << 20U);
        if (!text)
            return text.problem();
        auto judgement = readBands(*text, file.string(), *library.book);
        if (!judgement)
            return judgement.problem();
        out.studio = *judgement;
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
    return keep(folder, "kinds.json", kitText(own));
}

Result<Library> withOwnKinds(const Library& library, const std::vector<Kind>& kinds,
                             const std::filesystem::path& data) {
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
    project->library = library;
    return ProjectPtr(project);
}

namespace {

Problem failed(const std::filesystem::path& path, const char* step) {
    Problem p{fmt::format("the file could not be {}: {}", step, std::strerror(errno)),
              "the old file is as it was; choose another place, or make room"};
    p.file = path.string();
    return p;
}

/// Closes a file descriptor when it goes out of scope.
struct Descriptor {
    int fd;
    explicit Descriptor(int f) : fd(f) {}
    Descriptor(const Descriptor&) = delete;
    Descriptor& operator=(const Descriptor&) = delete;
    ~Descriptor() {
        if (fd >= 0)
            ::close(fd);
    }
};

} // namespace

Result<std::monostate> writeWhole(const std::filesystem::path& path, std::string_view content) {
    namespace fs = std::filesystem;
    std::error_code error;
    // A link stays a link: the file it leads to is replaced.
    const fs::path real = fs::is_symlink(path, error) ? fs::weakly_canonical(path, error) : path;
    const fs::path target = error || real.empty() ? path : real;
    if (fs::is_directory(target, error)) {
        errno = EISDIR;
        return failed(path, "written");
    }
    auto name =
        (target.parent_path() / fmt::format(".{}.XXXXXX", target.filename().string())).string();
    {
        Descriptor file(::mkstemp(name.data()));
        if (file.fd < 0)
            return failed(path, "written");
        struct stat old {};
        const mode_t mode = ::stat(target.c_str(), &old) == 0 ? (old.st_mode & 0777U) : 0644U;
        std::string_view left = content;
        while (!left.empty()) {
            const auto n = ::write(file.fd, left.data(), left.size());
            if (n < 0 && errno == EINTR)
                continue;
            if (n <= 0) {
                const auto p = failed(path, "written");
                ::unlink(name.c_str());
                return p;
            }
            left.remove_prefix(static_cast<std::size_t>(n));
        }
        if (::fchmod(file.fd, mode) != 0 || ::fsync(file.fd) != 0) {
            const auto p = failed(path, "written to the disk");
            ::unlink(name.c_str());
            return p;
        }
    }
    if (::rename(name.c_str(), target.c_str()) != 0) {
        const auto p = failed(path, "put in place");
        ::unlink(name.c_str());
        return p;
    }
    const auto folder = target.has_parent_path() ? target.parent_path() : fs::path(".");
    Descriptor directory(::open(folder.c_str(), O_RDONLY | O_DIRECTORY));
    if (directory.fd >= 0)
        ::fsync(directory.fd);
    return std::monostate{};
}

Result<std::monostate> saveJob(const Project& project, const std::filesystem::path& path) {
    return writeWhole(path, jobText(project));
}

Result<ProjectPtr> openJob(const std::filesystem::path& path, const Library& library) {
    auto text = readTextFile(path, mostJobBytes);
    if (!text)
        return text.problem();
    return readJob(*text, path.string(), library);
}

} // namespace mezzet
