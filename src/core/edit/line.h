#pragma once

#include "edit/edit.h"

#include <functional>
#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// What a line says, ready to be done.
struct Said {
    Edit edit;
    std::string preview;   ///< what Enter will do, in one sentence
    std::vector<int> them; ///< the pieces it speaks of: what "it" or "them" is afterwards
};

/// To whom a line is said.
struct Listener {
    std::vector<int> them; ///< what "it" and "them" are: what was named last, or is selected
    SurfaceId surface;     ///< the one looked at: a new piece hangs on that wall when none is named
    std::string before{};  ///< the line said before, for "again"
};

/// One that has a piece selected, or none (0), and looks at a surface.
[[nodiscard]] Listener listening(int selected, SurfaceId looksAt = {});

/// Reads one line of the language in docs/line.md against a job. `selected` is the piece that "it",
/// and a line without a subject, speak of; 0 for none. `surface` is the one looked at: a new
/// piece hangs on that wall when the line names none. Nothing is changed.
/// Problem: with the column and width of the word it can't take, and the nearest thing it knows; or
/// what apply() would refuse.
[[nodiscard]] Result<Said> readLine(std::string_view text, const Project&, int selected = 0,
                                    SurfaceId surface = {});
[[nodiscard]] Result<Said> readLine(std::string_view text, const Project&, const Listener&);

/// The pieces an edit puts: the new ones, or those it changes; as they are afterwards. Of one that
/// only takes some out, those: "it" is nothing else then.
[[nodiscard]] std::vector<int> spokenOf(const Project& before, const Edit&, const Project& after);

/// Several lines in one, parted by "; then": each is said to the job the one before leaves.
/// readLine reads such a line too.
[[nodiscard]] Result<Said> readChain(std::string_view text, const Project&, Listener);

/// The ways the last word of a half-typed line can go on: whole words and names, best first.
struct Completion {
    std::string text; ///< the whole line, completed
    std::string word; ///< what was added or replaced
};
[[nodiscard]] std::vector<Completion> completions(std::string_view text, const Project&,
                                                  int selected = 0, SurfaceId surface = {});
[[nodiscard]] std::vector<Completion> completions(std::string_view text, const Project&,
                                                  const Listener&);

/// Says several lines in turn; blank ones and those beginning with # are passed over. The Problem
/// has the file, the line, and the column; then nothing of the script is done.
[[nodiscard]] Result<Applied> runScript(std::string_view script, std::string_view file,
                                        const Project&);
/// The same with another reader of lines.
using LineReading = std::function<Result<Said>(std::string_view line, const Project&)>;
[[nodiscard]] Result<Applied> runScript(std::string_view script, std::string_view file,
                                        const Project&, const LineReading&);

} // namespace mezzet
