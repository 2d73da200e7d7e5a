#pragma once

#include "fits/fits.h"
#include "judge/remedy.h"

namespace mezzet {

/// A job with pieces taken out, and its readings: what something new is tried against.
struct Base {
    ProjectPtr job;
    ScenePtr scene;
    Judged judged;
};
/// Empty when the pieces can't be taken out.
[[nodiscard]] std::optional<Base> baseWithout(const Project&, const std::vector<int>& ids);

/// What a job upsets against its base: readings to mend that are worse, or new, and what is guarded
/// (see judge/guard.h), in words. A new seat wants a surface beside it: that alone counts as
/// nothing.
[[nodiscard]] std::vector<std::string> upsetBy(const Base&, const Applied& after,
                                               const Judged& judgedAfter);
[[nodiscard]] Judged judgedAfter(const Applied&);

/// A figure of a rule; 0 when the book has no such rule.
[[nodiscard]] double settingOf(const Project&, const char* rule, const char* name);
/// The lower bound of a rule's band in this job.
[[nodiscard]] double lowOf(const Project&, const char* rule, double otherwise);

/// Down to what people say: whole inches, or 5 cm.
[[nodiscard]] Length spokenDown(const Project&, double mm);

} // namespace mezzet
