#include "speech/vocabulary.h"

#include "edit/phrase.h"
#include "edit/verb.h"
#include "measure/text.h"

namespace mezzet {

std::vector<WordAt> wordsOf(std::string_view text) {
    std::vector<WordAt> out;
    for (std::size_t i = 0; i < text.size();) {
        const auto stop = [&](char c) { return c == ' ' || c == ',' || c == ';' || c == '\t'; };
        while (i < text.size() && stop(text[i]))
            ++i;
        const std::size_t from = i;
        while (i < text.size() && !stop(text[i]))
            ++i;
        if (i > from)
            out.push_back({from, i - from});
    }
    return out;
}

std::set<std::string> vocabulary(const Project& job) {
    std::set<std::string> out;
    const auto take = [&](std::string_view phrase) {
        const auto folded = foldCase(phrase);
        for (const WordAt& w : wordsOf(folded))
            out.insert(folded.substr(w.at, w.size));
        out.insert(folded);
    };
    for (const VerbHelp& v : allVerbs())
        for (const auto b : v.begins)
            take(b);
    for (const PhraseGroup& g : phraseGroups())
        for (const Phrase& p : g.phrases)
            for (const auto b : p.begins)
                take(b);
    for (const auto& k : job.library.kit->kinds()) {
        take(k->name);
        for (const auto& also : k->also)
            take(also);
    }
    for (const Piece& p : job.scheme().pieces)
        take(p.name);
    for (const Opening& o : job.room->openings)
        take(o.name());
    for (const std::string_view w : {"wall", "corner", "window", "door", "room", "ceiling", "floor",
                                     "chimney", "fireplace", "middle", "the"})
        take(w);
    return out;
}

} // namespace mezzet
