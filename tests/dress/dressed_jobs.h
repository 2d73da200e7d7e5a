#pragma once

#include "jobs.h"

#include "things/covered.h"

#include <fmt/format.h>

namespace mezzet::test {

/// A job after more lines.
inline Project said(const Project& job, const std::vector<std::string>& lines) {
    Project now = job;
    for (const auto& line : lines) {
        auto heard = readLine(line, now);
        auto next = heard ? apply(now, heard->edit) : Result<Applied>(heard.problem());
        if (!next)
            throw std::runtime_error(line + ": " + next.problem().text());
        now = *next->project;
    }
    return now;
}

/// Why a line is refused, when it is read or applied; empty when it is taken.
inline std::string refusalOf(const Project& job, const std::string& line) {
    auto heard = readLine(line, job);
    if (!heard)
        return heard.problem().text();
    const auto next = apply(job, heard->edit);
    return next ? std::string() : next.problem().text();
}

inline Project bookcase() {
    return jobWith({"bookcase 48 x 12 x 84 against wall A, 5 shelves"});
}

inline std::vector<DressedSurface> surfacesOf(const Project& job, const char* of = "Bookcase") {
    return dressedSurfaces(**sceneOf(job), job.scheme().byName(of)->id);
}

inline const DressedThing& thingIn(const DressedSurface& s, const Project& job, const char* name) {
    for (const DressedThing& t : s.things)
        if (job.scheme().byId(t.id)->name == name)
            return t;
    throw std::runtime_error(fmt::format("{} is not in {}", name, s.name()));
}

} // namespace mezzet::test
