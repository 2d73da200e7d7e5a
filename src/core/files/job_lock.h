#pragma once

#include "measure/result.h"

#include <chrono>
#include <filesystem>
#include <string>

namespace mezzet {

/// Who has a job.
struct LockHolder {
    std::string program; ///< "the window", "mezzet-cli say"
    long long process = 0;
    std::string host;

    /// "the window (process 4711)", with the host when it is another.
    [[nodiscard]] std::string words() const;
};

/// A job kept for one program: whoever reads it in order to write it holds this meanwhile. It is a
/// lock of the system on a file beside the job, `.NAME.lock`, that says who holds it; it goes with
/// the program, however that ends, and leaves nothing.
class JobLock {
public:
    JobLock() = default;
    JobLock(JobLock&&) noexcept;
    JobLock& operator=(JobLock&&) noexcept;
    ~JobLock();

    /// Takes the lock of a job, waiting so long for a command that has it; one that the window has
    /// is not waited for. Problem: who has it; or that the folder can't be written to.
    [[nodiscard]] static Result<JobLock> take(const std::filesystem::path& job,
                                              const std::string& program,
                                              std::chrono::milliseconds wait);

    [[nodiscard]] bool held() const { return fd_ >= 0; }
    [[nodiscard]] const std::filesystem::path& job() const { return job_; }
    void release();

private:
    int fd_ = -1;
    std::filesystem::path file_;
    std::filesystem::path job_;
};

/// What the window is called in a lock.
inline constexpr const char* theWindow = "the window";

/// Who has a job just now, if anyone has.
[[nodiscard]] Result<LockHolder> holderOf(const std::filesystem::path& job);

} // namespace mezzet
