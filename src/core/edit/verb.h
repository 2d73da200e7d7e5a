#pragma once

#include "edit/words_reader.h"

#include <span>

namespace mezzet {

/// A line by its first words, as the help tells it.
struct VerbHelp {
    std::vector<std::string_view> begins; ///< any of these
    const char* help;
    const char* example; ///< one or more, parted by "; "; empty where another's tells it too
};

/// The same with what reads it.
template <class Reader> struct Verb {
    VerbHelp said;
    Edit (Reader::*read)();
};

/// Reads the line a verb of the table begins; empty when none does, and nothing is taken.
template <class Reader>
std::optional<Edit> readVerb(Reader& reader, WordsReader& in,
                             const std::vector<Verb<Reader>>& table) {
    const Verb<Reader>* best = nullptr;
    std::size_t end = 0;
    for (const auto& v : table)
        for (const std::string_view words : v.said.begins) {
            in.offer(words);
            if (const std::size_t e = in.endOf(words); e > end) {
                end = e;
                best = &v;
            }
        }
    // A name that begins with a verb's word and goes on is a name: "edge lamp, 6 left".
    if (best == nullptr || in.nameEnd() > end)
        return {};
    in.goTo(end);
    return (reader.*best->read)();
}

template <class Reader> std::vector<VerbHelp> helpOf(const std::vector<Verb<Reader>>& table) {
    std::vector<VerbHelp> out;
    for (const auto& v : table)
        out.push_back(v.said);
    return out;
}

/// The verbs by what they are about.
[[nodiscard]] std::vector<VerbHelp> pieceVerbs();
[[nodiscard]] std::vector<VerbHelp> arrangingVerbs();
[[nodiscard]] std::vector<VerbHelp> groupVerbs();
[[nodiscard]] std::vector<VerbHelp> jobVerbs();
[[nodiscard]] std::vector<VerbHelp> lightVerbs();
/// All of them, with those of dressing and of handing over.
[[nodiscard]] std::vector<VerbHelp> allVerbs();

} // namespace mezzet
