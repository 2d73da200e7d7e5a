#pragma once

#include "commands.h"
#include "files/job_lock.h"
#include "files/whole_file.h"
#include "judge/rule_code.h"
#include "measure/text.h"
#include "project/project.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <algorithm>
#include <chrono>
#include <cstdio>

#include <unistd.h>

namespace mezzet::cli {

using json = nlohmann::ordered_json;

inline constexpr std::size_t mostNotes = 200000;
inline constexpr std::size_t mostScript = 1000000;

inline int refuse(const Problem& p) {
    Problem shown = p;
    // file:line:column, so that an editor can jump there.
    if (!shown.file.empty()) {
        shown.line = std::max(shown.line, 1);
        shown.column = std::max(shown.column, 1);
    }
    fmt::print(stderr, "{}\n", shown.text());
    return badInput;
}

inline int wrong(const std::string& what) {
    fmt::print(stderr, "{}\n", what);
    return wrongUsage;
}

/// With what the studio keeps; what of it can't be read is told, set aside, and no reason to stop.
inline Result<Library> library() {
    auto lib = loadLibrary(dataFolder());
    if (!lib)
        return lib;
    if (auto odd = unpaired(*lib->book)) {
        odd->file = (dataFolder() / "rules" / "book.json").string();
        return *odd;
    }
    std::vector<std::string> told;
    auto whole = withWholeStudio(*lib, studioFolder(), told);
    for (const auto& t : told)
        fmt::print(stderr, "{}\n", t);
    return whole;
}

/// How long a command waits for another that has the job.
inline constexpr std::chrono::milliseconds waitForJob{15000};

/// The job kept for this command while it reads and writes it. Problem: who has it.
inline Result<JobLock> keepJob(const std::string& path, const char* command) {
    return JobLock::take(path, fmt::format("mezzet-cli {}", command), waitForJob);
}

/// Whether a file ends as one of these; else what would do, on standard error.
inline bool endsAs(const std::string& file, std::initializer_list<const char*> endings) {
    const auto own = foldCase(std::filesystem::path(file).extension().string());
    std::vector<std::string> all;
    for (const char* e : endings) {
        if (own == e)
            return true;
        all.emplace_back(e);
    }
    fmt::print(stderr, "“{}” is no file this can be written to; end it in {}\n", shownPlainly(file),
               listed(all, "or"));
    return false;
}

/// Opens a job, at one of its rooms when named.
inline Result<ProjectPtr> open(const std::string& path, const std::string& room = {}) {
    auto lib = library();
    if (!lib)
        return lib.problem();
    auto job = openJob(path, *lib);
    if (!job || room.empty())
        return job;
    for (std::size_t i = 0; i < (*job)->schemes.size(); ++i) {
        if (foldCase((*job)->roomOf(i)->name) != foldCase(room))
            continue;
        if ((*job)->schemes[i]->room == (*job)->scheme().room)
            return job;
        auto there = std::make_shared<Project>(**job);
        there->activate(i);
        return ProjectPtr(there);
    }
    std::vector<std::string> names;
    for (const auto& r : (*job)->rooms)
        names.push_back(r->name);
    Problem p{fmt::format("there is no room “{}”", room),
              fmt::format("the job has {}", listed(names))};
    p.file = path;
    return p;
}

/// How far long work is, on a terminal only; nothing for what is quick.
class Progress {
public:
    Progress(std::string what, std::size_t all)
        : what_(std::move(what)), all_(all), shown_(isatty(2) == 1),
          next_(std::chrono::steady_clock::now() + std::chrono::milliseconds(700)) {}
    void step() {
        ++done_;
        if (!shown_ || std::chrono::steady_clock::now() < next_)
            return;
        next_ = std::chrono::steady_clock::now() + std::chrono::milliseconds(200);
        fmt::print(stderr, "\r{}: {} of {} ", what_, done_, all_);
        told_ = true;
    }
    void end() const {
        if (told_)
            fmt::print(stderr, "\r{:{}}\r", "", what_.size() + 30);
    }

private:
    std::string what_;
    std::size_t all_;
    std::size_t done_ = 0;
    bool shown_;
    bool told_ = false;
    std::chrono::steady_clock::time_point next_;
};

/// To a ten-thousandth, and never -0.
inline double tidied(double v) {
    return std::round(v * 1e4) / 1e4 + 0.0;
}
inline json point(Vec2 p) {
    return {tidied(p.x), tidied(p.y)};
}

/// A reading as `check` and `dress` print it.
json readingJson(const Reading&, const Project&, const Scheme&);

inline json points(const std::vector<Vec2>& all) {
    json out = json::array();
    for (const Vec2 p : all)
        out.push_back(point(p));
    return out;
}

} // namespace mezzet::cli
