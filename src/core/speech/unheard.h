#pragma once

#include "project/project.h"

#include <optional>
#include <string>
#include <string_view>

namespace mezzet {

/// Something the kit doesn't know, in a line that adds it: "a punchbag 40 x 40 x 120 in the
/// corner".
struct UnheardOf {
    std::string noun;   ///< "punchbag", in small letters
    std::string plain;  ///< the line, with a plain piece of that size in its place
    std::string sized;  ///< the line with a usual size behind the noun; empty where one was said
    std::size_t at = 0; ///< where the noun stands in the line, and how many bytes it has
    std::size_t bytes = 0;
};

/// What a line adds that no kind is called, nor anything like it. Nothing for a line that may only
/// be misspelt, or that does something else.
[[nodiscard]] std::optional<UnheardOf> unheardOf(std::string_view line, const Project&);

/// "a toy trunk under the window", "a jewelry box on the dresser": a kind that is known, behind
/// words that only tell which one it is.
struct NamedKind {
    std::string told;  ///< those words, in small letters
    KindPtr kind;      ///< what it is drawn as
    std::string plain; ///< the line with that kind, called by all of them
    std::size_t at = 0;
    std::size_t bytes = 0;
};
/// The same of a line that adds one. Nothing where those words mean something to the line, or may
/// be misspelt.
[[nodiscard]] std::optional<NamedKind> kindNamedMore(std::string_view line, const Project&);

/// Whether a noun is of what is built into a room, and taped with it: "radiator".
[[nodiscard]] bool isBuiltIn(std::string_view noun);

/// Whether no line of a job is made of a word of letters, and none of its words is like it.
[[nodiscard]] bool isUnheardWord(std::string_view word, const Project&);

} // namespace mezzet
