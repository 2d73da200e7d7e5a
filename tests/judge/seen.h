#pragma once

#include "jobs.h"

#include <fmt/format.h>

namespace mezzet::test {

/// How a rule sees a piece after the lines: its value in inches, or as a ratio or a count.
struct SeenReading {
    bool there = false;
    Verdict verdict = Verdict::note;
    double value = 0;
};
inline SeenReading readingOf(const std::vector<std::string>& lines, const char* rule,
                             const char* piece, const char* other = nullptr,
                             const char* notes = plainNotes()) {
    const auto job = jobWith(lines, notes);
    const auto all = readingsOf(job);
    const auto* r = find(all, job, rule, piece, other);
    if (r == nullptr)
        return {};
    return {true, r->verdict,
            r->value.quantity == Quantity::length ? r->value.value / 25.4 : r->value.value};
}

/// A length to a ten-thousandth of an inch, as it is said.
inline std::string in(double v) {
    return fmt::format("{:.4f}in", v);
}

} // namespace mezzet::test
