#pragma once

#include "jobs.h"

namespace mezzet::test {

/// A job when a line was said to it; the test fails where it is refused.
inline Project after(const Project& job, const std::string& line) {
    const auto said = readLine(line, job);
    if (!said)
        throw std::runtime_error(line + ": " + said.problem().text());
    const auto done = apply(job, said->edit);
    if (!done)
        throw std::runtime_error(line + ": " + done.problem().text());
    return *done->project;
}

} // namespace mezzet::test
