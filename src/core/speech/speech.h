#pragma once

#include "edit/line.h"
#include "fits/fits.h"

#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// A stretch of a surface that an answer is about, to be shown on the board.
struct Mark {
    SurfaceId surface;
    Vec2 from; ///< mm, on that surface
    Vec2 to;
    std::string words; ///< the figure at it
};

/// The answer to a question: nothing is changed.
struct Answer {
    std::string words;                ///< one or two sentences
    std::vector<int> about{};         ///< the pieces it speaks of
    std::vector<Mark> marks{};        ///< what it measured
    std::vector<FitChoice> choices{}; ///< what would fit, where that was asked
    std::optional<SurfaceId> shows{}; ///< what is to be looked at, where that was asked
    std::string act{}; ///< an act of the window, by its name there: "save"; of "select"
                       ///< what the answer is about is chosen, and of "fitSelection"
};

/// What a line comes to: something to be done, an answer, or a step in what was done before.
struct Spoken {
    enum class Is { edit, answer, undo, redo };
    Is is = Is::edit;
    Said said;     ///< of an edit; of an answer only what it speaks of
    Answer answer; ///< of an answer
};

/// Reads whatever can be typed in the line: what readSaid reads, questions ("how far is sofa from
/// wall A?"), "undo", "redo", and "again", which says the line before once more.
/// Problem: as readSaid's; or that a question can't be answered.
[[nodiscard]] Result<Spoken> readSpoken(std::string_view text, const Project&, const Listener&,
                                        const Stopped& stopped = {});

/// True for a problem that only asks first: what was said would go through a wall, stand in a
/// chimney, reach over the ceiling. The same line with “anyway” at its end does it.
[[nodiscard]] bool asksFirst(const Problem&);

/// True for "again", "a little more": what only says once more what was said before it.
[[nodiscard]] bool saysAgain(std::string_view text);

/// True for what is asked and not said to be done.
[[nodiscard]] bool isQuestion(std::string_view text);

/// Up to three whole lines that would do here in place of one that is refused: with the word mended
/// that can't be taken, with the thing named that could be several, or with a place for what is
/// spoken of. None for a line that is fine.
[[nodiscard]] std::vector<std::string> waysOn(std::string_view text, const Project&,
                                              const Listener&);

/// A few lines that can be said now, of what is selected or named, in the job's own unit: shown
/// where nothing is typed yet. Each is one that readSpoken takes.
[[nodiscard]] std::vector<std::string> openings(const Project&, const Listener&);

/// A question by its first words, as the help tells it.
struct QuestionHelp {
    const char* says;
    const char* example; ///< one or more, parted by "; "
};
[[nodiscard]] std::vector<QuestionHelp> questionHelp();

} // namespace mezzet
