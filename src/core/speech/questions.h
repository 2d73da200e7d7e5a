#pragma once

#include "edit/words_reader.h"
#include "speech/speech.h"

#include <optional>

namespace mezzet {

/// What a question is read with.
struct Asking {
    WordsReader& in;
    const Project& job;
    ScenePtr scene;
    int selected = 0;
    const GoesOn& goesOn;

    [[nodiscard]] Wording wording() const { return job.wording(); }
    /// "Sofa": a piece that must be there, or what is selected.
    [[nodiscard]] int piece() const;
    /// Faults where something is left that is no politeness.
    void end() const;
};

/// How far a thing is from what is named next, or from "the wall". Throws LineFault.
[[nodiscard]] std::optional<Answer> howFarFrom(Asking&, const Target& one);

/// What a kind of thing usually measures, where no rule has a figure for it; and how deep a piece
/// may be for one to walk past it, when that is given.
[[nodiscard]] std::optional<Answer> usualSize(const Asking&, const Kind&, const Piece* passed);

/// One kind of question: what it begins with, and what answers it. Empty when it is another after
/// all; throws LineFault.
struct Question {
    std::vector<std::string_view> begins;
    std::optional<Answer> (*answer)(Asking&);
    const char* says;
    const char* example;
};

[[nodiscard]] const std::vector<Question>& lightQuestions();    ///< how bright, and by what
[[nodiscard]] const std::vector<Question>& rugQuestions();      ///< of what, and where it ends
[[nodiscard]] const std::vector<Question>& measuredQuestions(); ///< how far, where
[[nodiscard]] const std::vector<Question>& sizeQuestions();     ///< how big, how high it hangs
[[nodiscard]] const std::vector<Question>& distanceQuestions(); ///< how far things should be
[[nodiscard]] const std::vector<Question>& sizingQuestions();   ///< how large it should be
[[nodiscard]] const std::vector<Question>&
adviceQuestions();                                           ///< how high, what fits, what is wrong
[[nodiscard]] const std::vector<Question>& plainQuestions(); ///< colour, cost, weight, why not
[[nodiscard]] const std::vector<Question>& doorQuestions(); ///< whether a leaf opens, what it meets
[[nodiscard]] const std::vector<Question>& roomQuestions(); ///< its area, its walls, how many
[[nodiscard]] const std::vector<Question>& mendingQuestions();  ///< what would mend it
[[nodiscard]] const std::vector<Question>& standingQuestions(); ///< what is near, who sees
[[nodiscard]] const std::vector<Question>& alignedQuestions();  ///< centred, opposite, which way
[[nodiscard]] const std::vector<Question>& helpQuestions();     ///< how a thing is done
[[nodiscard]] const std::vector<Question>& viewQuestions();     ///< what one sees from a place

} // namespace mezzet
