#pragma once

#include "speech/speech.h"

#include "jobs.h"

#include <string>

namespace mezzet::test {

// Sentences said to a job as one types them, with nothing spoken of before.

/// The job after a sentence; the test fails where it is refused, or can't be done. As it was where
/// the sentence is no change.
inline Project afterSaying(const Project& job, const std::string& line) {
    const auto said = readSpoken(line, job, {});
    EXPECT_TRUE(said) << line << ": " << (said ? "" : said.problem().text());
    if (!said || said->is != Spoken::Is::edit)
        return job;
    const auto done = apply(job, said->said.edit);
    EXPECT_TRUE(done) << line << ": " << (done ? "" : done.problem().text());
    return done ? *done->project : job;
}

/// What is answered, or told of a change; "refused: " and why else.
inline std::string toldBySaying(const Project& job, const std::string& line) {
    const auto said = readSpoken(line, job, {});
    if (!said)
        return "refused: " + said.problem().text();
    return said->is == Spoken::Is::answer ? said->answer.words : said->said.preview;
}

/// Whether a text tells a part of it.
inline bool tellsThat(const std::string& text, const char* part) {
    return text.find(part) != std::string::npos;
}

} // namespace mezzet::test
