#include "edit/language.h"

#include "edit/phrase.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>
#include <array>

namespace mezzet {

std::string wordOfTheLine(std::string_view name, const Project& job) {
    const auto word = foldCase(trimmed(name));
    if (job.library.kit->byWord(word) || characterCount(word) == 1)
        return {};
    constexpr std::string_view pronouns[] = {
        "it",    "this",       "that", "them", "these", "those", "both", "all",   "here",
        "there", "everything", "undo", "redo", "again", "and",   "then", "please"};
    bool is = std::find(std::begin(pronouns), std::end(pronouns), word) != std::end(pronouns);
    for (const auto& verbs : {pieceVerbs(), arrangingVerbs(), groupVerbs(), jobVerbs()})
        for (const VerbHelp& v : verbs)
            for (const std::string_view begins : v.begins)
                is = is || begins == word;
    for (const PhraseGroup& g : phraseGroups())
        for (const Phrase& p : g.phrases)
            for (const std::string_view begins : p.begins)
                is = is || begins == word;
    if (is)
        return "a word of the line";
    try {
        WordsReader in(word, job);
        const Target t = in.target(false);
        if (in.done())
            return worded("{} of the room", words(t, job.wording()));
    } catch (const LineFault&) {
        // Nothing in the room is called so.
    }
    return {};
}

std::string_view withoutCourtesy(std::string_view line) {
    const auto folded = foldCase(line);
    for (const std::string_view free : {"note ", "title ", "client "})
        if (trimmed(folded).starts_with(free))
            return line;
    for (const std::string_view free : {"because ", "called ", "named ", "\"", "“"})
        if (folded.find(free) != std::string::npos)
            return line;
    constexpr std::array<std::string_view, 9> ends{
        "please", "thanks", "thank you", "for me", "too", "as well", "now", "instead", "there"};
    std::size_t size = line.size();
    for (bool cut = true; cut;) {
        cut = false;
        while (size > 0 && (line[size - 1] == ' ' || line[size - 1] == '!' ||
                            (line[size - 1] == '.' && size > 1 && line[size - 2] != '.'))) {
            --size;
            cut = true;
        }
        for (const auto end : ends) {
            const auto now = std::string_view(folded).substr(0, size);
            if (now.size() > end.size() && now.ends_with(end) &&
                (now[now.size() - end.size() - 1] == ' ' ||
                 now[now.size() - end.size() - 1] == ',')) {
                size -= end.size();
                while (size > 0 && (line[size - 1] == ' ' || line[size - 1] == ','))
                    --size;
                cut = true;
                break;
            }
        }
    }
    return size == 0 ? line : line.substr(0, size);
}

} // namespace mezzet
