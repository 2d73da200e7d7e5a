#include "edit/language.h"

#include "edit/handover_said.h"
#include "edit/phrase.h"
#include "edit/things_said.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>

namespace mezzet {

std::vector<VerbHelp> allVerbs() {
    std::vector<VerbHelp> out;
    for (auto& verbs : {pieceVerbs(), arrangingVerbs(), groupVerbs(), jobVerbs(), lightVerbs(),
                        dressingVerbs(), handoverVerbs()})
        out.insert(out.end(), verbs.begin(), verbs.end());
    return out;
}

std::string wordOfTheLine(std::string_view name, const Project& job) {
    const auto word = foldCase(trimmed(name));
    if (job.library.kit->byWord(word) || characterCount(word) == 1)
        return {};
    constexpr std::string_view pronouns[] = {
        "it",    "this",       "that", "them", "these", "those", "both", "all",   "here",
        "there", "everything", "undo", "redo", "again", "and",   "then", "please"};
    // Said behind a figure only, "66 high", and a name as well.
    constexpr std::string_view alsoName = "high";
    bool is = std::find(std::begin(pronouns), std::end(pronouns), word) != std::end(pronouns);
    for (const VerbHelp& v : allVerbs())
        for (const std::string_view begins : v.begins)
            is = is || begins == word;
    for (const PhraseGroup& g : phraseGroups())
        for (const Phrase& p : g.phrases)
            for (const std::string_view begins : p.begins)
                is = is || (begins == word && word != alsoName);
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
    constexpr std::array<std::string_view, 8> ends{"please", "thanks",  "thank you", "for me",
                                                   "too",    "as well", "now",       "there"};
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

std::size_t openingWords(std::string_view line) {
    // Those that also mean something only before a comma.
    constexpr std::array<std::string_view, 22> alone{
        "hm",  "hmm",  "um",   "uh",     "er",      "oh",       "ah",    "ok",
        "so",  "okay", "well", "please", "perhaps", "actually", "maybe", "alright",
        "and", "yes",  "yeah", "also",   "then",    "now"};
    constexpr std::array<std::string_view, 9> withComma{
        "right", "all right", "no", "no wait", "wait", "sorry", "next", "finally", "first"};
    const auto folded = foldCase(line);
    const auto blank = [&](std::size_t at) { return folded[at] == ' ' || folded[at] == ','; };
    std::size_t cut = 0;
    for (bool more = true; more;) {
        more = false;
        std::size_t from = cut;
        while (from < folded.size() && blank(from))
            ++from;
        const auto rest = std::string_view(folded).substr(from);
        const auto take = [&](std::string_view word, bool comma) {
            if (more || !rest.starts_with(word) || rest.size() <= word.size())
                return;
            const char after = rest[word.size()];
            if (after == ',' || (!comma && after == ' ')) {
                cut = from + word.size();
                more = true;
            }
        };
        for (const auto word : withComma)
            take(word, true);
        for (const auto word : alone)
            take(word, false);
    }
    while (cut > 0 && cut < folded.size() && blank(cut))
        ++cut;
    return cut < line.size() ? cut : 0;
}

std::string withoutNotices(std::string preview, const std::vector<std::string>& notices) {
    for (const auto& n : notices) {
        const auto told = "; " + n;
        if (const auto at = preview.find(told);
            at != std::string::npos && at + told.size() == preview.size())
            preview.erase(at);
        else if (at != std::string::npos && preview[at + told.size()] == ';')
            preview.erase(at, told.size());
    }
    return preview;
}

std::string withoutStop(std::string sentence) {
    while (sentence.ends_with("."))
        sentence.pop_back();
    return sentence;
}

} // namespace mezzet
