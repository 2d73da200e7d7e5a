#include "files/job_lock.h"

#include "files/whole_file.h"
#include "measure/texts.h"

#include <fmt/format.h>

#include <cerrno>
#include <charconv>
#include <cstring>
#include <thread>
#include <utility>

#include <fcntl.h>
#include <sys/file.h>
#include <sys/stat.h>
#include <unistd.h>

namespace mezzet {

namespace {

namespace fs = std::filesystem;

std::string hostName() {
    char name[256] = {};
    return ::gethostname(name, sizeof name - 1) == 0 ? std::string(name) : std::string();
}

fs::path lockFileOf(const fs::path& job) {
    const auto target = whereItLeads(job);
    return target.parent_path() / fmt::format(".{}.lock", target.filename().string());
}

/// Program, process and host, a line each.
LockHolder readHolder(int fd) {
    char some[600] = {};
    const auto n = ::pread(fd, some, sizeof some - 1, 0);
    std::string_view left(some, n > 0 ? static_cast<std::size_t>(n) : 0);
    const auto line = [&] {
        const auto end = left.find('\n');
        const auto out = std::string(left.substr(0, end));
        left.remove_prefix(end == std::string_view::npos ? left.size() : end + 1);
        return out;
    };
    LockHolder out;
    out.program = line();
    const auto process = line();
    std::from_chars(process.data(), process.data() + process.size(), out.process);
    out.host = line();
    return out;
}

/// The same file still has this name: it was not taken away while we waited for it.
bool stillNamed(int fd, const fs::path& file) {
    struct stat held {};
    struct stat named {};
    return ::fstat(fd, &held) == 0 && ::stat(file.c_str(), &named) == 0 &&
           held.st_ino == named.st_ino && held.st_dev == named.st_dev;
}

} // namespace

std::string LockHolder::words() const {
    auto out = program.empty() ? std::string("another program") : program;
    if (process > 0)
        out += fmt::format(" (process {}{})", process,
                           host.empty() || host == hostName() ? "" : " on " + host);
    return out;
}

JobLock::JobLock(JobLock&& other) noexcept
    : fd_(std::exchange(other.fd_, -1)), file_(std::move(other.file_)),
      job_(std::move(other.job_)) {}

JobLock& JobLock::operator=(JobLock&& other) noexcept {
    if (this != &other) {
        release();
        fd_ = std::exchange(other.fd_, -1);
        file_ = std::move(other.file_);
        job_ = std::move(other.job_);
    }
    return *this;
}

JobLock::~JobLock() {
    release();
}

void JobLock::release() {
    if (fd_ < 0)
        return;
    // Taken away while it is held, so that whoever waits looks again.
    ::unlink(file_.c_str());
    ::close(std::exchange(fd_, -1));
}

Result<JobLock> JobLock::take(const fs::path& job, const std::string& program,
                              std::chrono::milliseconds wait) {
    const auto file = lockFileOf(job);
    const auto until = std::chrono::steady_clock::now() + wait;
    const auto refuse = [&](std::string what, std::string remedy) {
        Problem p{std::move(what), std::move(remedy)};
        p.file = job.string();
        return p;
    };
    while (true) {
        const int fd = ::open(file.c_str(), O_RDWR | O_CREAT | O_CLOEXEC | O_NOFOLLOW, 0666);
        if (fd < 0)
            return refuse(worded("the job can't be kept for writing: {}", std::strerror(errno)),
                          "check that you may write in its folder");
        if (::flock(fd, LOCK_EX | LOCK_NB) == 0) {
            if (!stillNamed(fd, file)) {
                ::close(fd);
                continue;
            }
            const auto who = fmt::format("{}\n{}\n{}\n", program, ::getpid(), hostName());
            static_cast<void>(::ftruncate(fd, 0) == 0 &&
                              ::pwrite(fd, who.data(), who.size(), 0) > 0);
            JobLock out;
            out.fd_ = fd;
            out.file_ = file;
            out.job_ = job;
            return out;
        }
        const auto holder = readHolder(fd);
        ::close(fd);
        if (holder.program == theWindow || std::chrono::steady_clock::now() >= until)
            return refuse(worded("{} has this job", holder.words()),
                          holder.program == theWindow ? "say it there, or close the job first"
                                                      : "try again when that has ended");
        std::this_thread::sleep_for(std::chrono::milliseconds(15));
    }
}

Result<LockHolder> holderOf(const fs::path& job) {
    const int fd = ::open(lockFileOf(job).c_str(), O_RDWR | O_CLOEXEC | O_NOFOLLOW);
    if (fd < 0)
        return Problem{"nobody has this job", {}};
    if (::flock(fd, LOCK_EX | LOCK_NB) == 0) {
        ::close(fd);
        return Problem{"nobody has this job", {}};
    }
    auto out = readHolder(fd);
    ::close(fd);
    return out;
}

} // namespace mezzet
