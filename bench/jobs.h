#pragma once

#include "edit/line.h"

#include <fmt/format.h>

#include <cstdio>
#include <cstdlib>

namespace mezzet {

inline const Library& library() {
    static const Library lib = *loadLibrary(MEZZET_BENCH_DATA);
    return lib;
}

/// Says a line to a job; a job that can't be made ends the run.
inline void sayTo(Project& now, const std::string& line) {
    auto said = readLine(line, now);
    auto next = said ? apply(now, said->edit) : Result<Applied>(said.problem());
    if (!next) {
        fmt::print(stderr, "{}: {}\n", line, next.problem().text());
        std::exit(1);
    }
    now = *next->project;
}

} // namespace mezzet
