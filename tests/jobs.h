#pragma once

#include "edit/line.h"
#include "judge/remedy.h"

#include <gtest/gtest.h>

#include <string>
#include <vector>

namespace mezzet::test {

inline const Library& library() {
    static const Library lib = [] {
        auto l = loadLibrary(MEZZET_TEST_DATA);
        if (!l)
            throw std::runtime_error(l.problem().text());
        return *l;
    }();
    return lib;
}

/// A plain room, 20 by 15 feet, with a window in A and a door in C.
inline const char* plainNotes() {
    return "room Plain\nceiling 8'\nwall A 20'\n window 7' 6\" from left, 5' wide, 4' high, sill "
           "32\nwall B 15'\n"
           "wall C 20'\n door 2' from left, 32 wide, 80 high, hinge right, swings in, undercut "
           "3/4\nwall D 15'\n";
}

/// A job with lines said in turn; the test fails at the first that is refused.
inline Project jobWith(const std::vector<std::string>& lines, const char* notes = plainNotes()) {
    auto job = newProject(library(), notes);
    if (!job)
        throw std::runtime_error(job.problem().text());
    Project now = **job;
    for (const auto& line : lines) {
        auto said = readLine(line, now);
        auto next = said ? apply(now, said->edit) : Result<Applied>(said.problem());
        if (!next)
            throw std::runtime_error(line + ": " + next.problem().text());
        now = *next->project;
    }
    return now;
}

inline Pose poseOf(const Project& job, const char* name) {
    auto scene = sceneOf(job);
    return (*scene)->byId(job.scheme().byName(name)->id)->pose;
}

/// The problem a line is refused with; an empty one when it is taken.
inline Problem refusal(const Project& job, const std::string& line) {
    auto said = readLine(line, job);
    return said ? Problem{} : said.problem();
}

inline std::vector<Reading> readingsOf(const Project& job) {
    return judge(**sceneOf(job), *job.library.book, job.judgement);
}

/// The one reading of a rule about a piece and another thing named; fails when there is none.
inline const Reading* find(const std::vector<Reading>& all, const Project& job, const char* rule,
                           const char* piece, const char* other = nullptr) {
    for (const auto& r : all)
        if (r.rule->id == rule &&
            (r.piece == 0 ? std::string() : job.scheme().byId(r.piece)->name) == piece &&
            (other == nullptr || words(r.other, job.wording()) == other))
            return &r;
    return nullptr;
}

} // namespace mezzet::test
