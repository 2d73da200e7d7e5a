#include "files/whole_file.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <cerrno>
#include <charconv>
#include <csignal>
#include <cstring>
#include <random>

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

namespace mezzet {

namespace {

namespace fs = std::filesystem;

Problem failed(const fs::path& path, const char* step, int error) {
    Problem p{worded("the file could not be {}: {}", step, std::strerror(error)),
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

/// A file that is taken away again unless it is kept.
struct Scrap {
    std::string name;
    bool kept = false;
    ~Scrap() {
        if (!name.empty() && !kept)
            ::unlink(name.c_str());
    }
};

/// What a file being written is called until it is whole: it tells which program writes it.
std::string partPrefix(const fs::path& target) {
    return worded(".{}.", target.filename().string());
}
constexpr std::string_view partSuffix = ".part";

/// The program that was writing a part; 0 when that is none of ours.
pid_t writerOf(std::string_view name, std::string_view prefix) {
    if (!name.starts_with(prefix) || !name.ends_with(partSuffix))
        return 0;
    name.remove_prefix(prefix.size());
    pid_t pid = 0;
    const auto [end, error] = std::from_chars(name.data(), name.data() + name.size(), pid);
    return error == std::errc() && end != name.data() && *end == '-' ? pid : 0;
}

/// A file limit makes the system end a program that writes on; we would rather be told.
void outliveFileLimits() {
    static const bool done = [] {
        struct sigaction now {};
        if (::sigaction(SIGXFSZ, nullptr, &now) == 0 && now.sa_handler == SIG_DFL) {
            now.sa_handler = SIG_IGN;
            ::sigaction(SIGXFSZ, &now, nullptr);
        }
        return true;
    }();
    (void)done;
}

/// What a thing that is no plain file is; null for a plain file.
const char* otherThan(mode_t mode) {
    if (S_ISREG(mode))
        return nullptr;
    if (S_ISDIR(mode))
        return "a folder";
    if (S_ISFIFO(mode))
        return "a pipe";
    if (S_ISSOCK(mode))
        return "a socket";
    return "a device";
}

} // namespace

fs::path whereItLeads(const fs::path& path) {
    fs::path at = path;
    constexpr int most = 40;
    for (int i = 0; i < most; ++i) {
        std::error_code error;
        if (!fs::is_symlink(fs::symlink_status(at, error)))
            return at;
        const auto to = fs::read_symlink(at, error);
        if (error)
            return {};
        at = to.is_absolute() ? to : at.parent_path() / to;
    }
    return {};
}

void clearLeftovers(const fs::path& beside) {
    const auto target = whereItLeads(beside);
    if (target.empty())
        return;
    const auto folder = target.has_parent_path() ? target.parent_path() : fs::path(".");
    const auto prefix = partPrefix(target);
    std::error_code error;
    for (fs::directory_iterator it(folder, error), end; !error && it != end; it.increment(error)) {
        const auto pid = writerOf(it->path().filename().string(), prefix);
        if (pid > 0 && pid != ::getpid() && ::kill(pid, 0) != 0 && errno == ESRCH)
            ::unlink(it->path().c_str());
    }
}

Result<std::monostate> writeWhole(const fs::path& path, std::string_view content) {
    outliveFileLimits();
    const fs::path target = whereItLeads(path);
    if (target.empty())
        return failed(path, "written", ELOOP);
    struct stat old {};
    const bool there = ::stat(target.c_str(), &old) == 0;
    if (there)
        if (const char* other = otherThan(old.st_mode)) {
            Problem p{worded("this is {}, and is not written over", other), "name a file"};
            p.file = path.string();
            return p;
        }
    clearLeftovers(target);
    Scrap scrap;
    Descriptor file(-1);
    std::random_device random;
    for (int tries = 0; tries < 50 && file.fd < 0; ++tries) {
        scrap.name = (target.parent_path() /
                      worded("{}{}-{:08x}{}", partPrefix(target), ::getpid(), random(), partSuffix))
                         .string();
        file.fd = ::open(scrap.name.c_str(), O_WRONLY | O_CREAT | O_EXCL | O_CLOEXEC, 0666);
        if (file.fd < 0 && errno != EEXIST)
            break;
    }
    if (file.fd < 0) {
        const int error = errno;
        scrap.kept = true; // there is none
        return failed(path, "written", error);
    }
    std::string_view left = content;
    while (!left.empty()) {
        const auto n = ::write(file.fd, left.data(), left.size());
        if (n < 0 && errno == EINTR)
            continue;
        if (n <= 0)
            return failed(path, "written", n < 0 ? errno : ENOSPC);
        left.remove_prefix(static_cast<std::size_t>(n));
    }
    if (there) {
        // Whose it was, where we may; then what may be done with it.
        struct stat now {};
        if (::fstat(file.fd, &now) == 0 && (now.st_uid != old.st_uid || now.st_gid != old.st_gid) &&
            ::fchown(file.fd, old.st_uid, old.st_gid) != 0)
            static_cast<void>(::fchown(file.fd, static_cast<uid_t>(-1), old.st_gid) != 0);
        if (::fchmod(file.fd, old.st_mode & 07777U) != 0)
            return failed(path, "written", errno);
    }
    if (::fsync(file.fd) != 0)
        return failed(path, "written to the disk", errno);
    if (::close(std::exchange(file.fd, -1)) != 0)
        return failed(path, "written to the disk", errno);
    if (::rename(scrap.name.c_str(), target.c_str()) != 0)
        return failed(path, "put in place", errno);
    scrap.kept = true;
    const auto folder = target.has_parent_path() ? target.parent_path() : fs::path(".");
    const Descriptor directory(::open(folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC));
    if (directory.fd >= 0)
        ::fsync(directory.fd);
    return std::monostate{};
}

Result<std::string> readWholeFile(const fs::path& path, std::size_t limit) {
    const auto refuse = [&](std::string what, std::string remedy) {
        Problem p{std::move(what), std::move(remedy)};
        p.file = path.string();
        return p;
    };
    // Opened so that nobody is waited for: a pipe without a writer would hold us.
    const Descriptor file(::open(path.c_str(), O_RDONLY | O_NONBLOCK | O_NOCTTY | O_CLOEXEC));
    struct stat about {};
    if (file.fd < 0)
        return errno == ENOENT || errno == ENOTDIR
                   ? refuse("there is no such file", "check the name and the folder")
               : errno == ENXIO
                   ? refuse("this is a socket or a device, and is not read", "name a plain file")
                   : refuse(worded("the file can't be opened: {}", std::strerror(errno)),
                            "check that you may read it");
    if (::fstat(file.fd, &about) != 0)
        return refuse(worded("the file can't be read: {}", std::strerror(errno)),
                      "check that you may read it");
    if (const char* other = otherThan(about.st_mode))
        return refuse(worded("this is {}, and is not read", other), "name a plain file");
    const auto over = [&] {
        return refuse(worded("the file is over {} KB long", limit / 1024),
                      worded("at most {} KB is read", limit / 1024));
    };
    if (static_cast<unsigned long long>(about.st_size) > limit)
        return over();
    std::string text;
    text.reserve(static_cast<std::size_t>(about.st_size) + 1);
    char some[65536];
    while (true) {
        const auto n = ::read(file.fd, some, sizeof some);
        if (n < 0 && errno == EINTR)
            continue;
        if (n < 0)
            return refuse(worded("the file can't be read: {}", std::strerror(errno)),
                          "try again, or take a copy");
        if (n == 0)
            return text;
        text.append(some, static_cast<std::size_t>(n));
        if (text.size() > limit)
            return over();
    }
}

Result<std::string> readTextFile(const fs::path& path, std::size_t limit) {
    auto text = readWholeFile(path, limit);
    if (!text)
        return text;
    if (text->starts_with("\xEF\xBB\xBF"))
        text->erase(0, 3);
    if (isText(*text))
        return text;
    Problem p{"the file is not UTF-8 text", "save it as UTF-8"};
    p.file = path.string();
    return p;
}

FileStamp stampOf(const fs::path& path) {
    struct stat s {};
    if (::stat(path.c_str(), &s) != 0)
        return {};
    return {true, s.st_size, s.st_mtim.tv_sec * 1000000000LL + s.st_mtim.tv_nsec, s.st_dev,
            s.st_ino};
}

} // namespace mezzet
