#pragma once

#include "commands.h"
#include "measure/text.h"
#include "project/project.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <algorithm>
#include <cstdio>

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

inline Result<Library> library() {
    auto lib = loadLibrary(dataFolder());
    return lib ? withStudio(*lib, studioFolder()) : lib;
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

inline json point(Vec2 p) {
    const auto tidy = [](double v) { return std::round(v * 1e4) / 1e4 + 0.0; };
    return {tidy(p.x), tidy(p.y)};
}

inline json points(const std::vector<Vec2>& all) {
    json out = json::array();
    for (const Vec2 p : all)
        out.push_back(point(p));
    return out;
}

} // namespace mezzet::cli
