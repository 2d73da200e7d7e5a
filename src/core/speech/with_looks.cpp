// Lines that tell how a thing looks, and things the kit doesn't know.
#include "edit/things_said.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "speech/looks.h"
#include "speech/meant_words.h"
#include "speech/reading.h"
#include "speech/unheard.h"

#include <regex>

namespace mezzet {

namespace {

/// "a sofa in navy velvet against wall A" as "a navy velvet sofa against wall A"; empty for what
/// tells no looks so.
std::string looksPutFirst(std::string_view text, const Project& job) {
    static const std::regex words(
        "((?:(?:put|place|hang|add|set|stand|have) )?(?:an?|one|two|three|four|a pair of|another) )"
        "([a-z -]+?),? in ((?:[a-z-]+ ){0,3}?[a-z-]+?)((?:,? "
        "(?:on|against|in|at|under|by|near|next|"
        "beside|between|behind|over|above|facing|opposite|along|around|to|for) .*)?)",
        std::regex::icase | std::regex::optimize);
    constexpr std::size_t longest = 200;
    const std::string line(trimmed(text));
    std::smatch found;
    if (line.size() > longest || !std::regex_match(line, found, words))
        return {};
    const auto plain = looksSaid("a " + found[3].str() + " " + found[2].str());
    if (!plain || foldCase(plain->plain) != "a " + foldCase(found[2].str()) ||
        !job.library.kit->byWord(found[2].str()))
        return {};
    return found[1].str() + found[3].str() + " " + found[2].str() + found[4].str();
}

/// "sofa in navy velvet", of one that is there: its colour, and told that cloth is not drawn.
/// Nothing for what tells no colour so.
std::optional<Result<Spoken>> inItsLooks(std::string_view text, const Project& job,
                                         const Listener& to, const Stopped& stopped) {
    static const std::regex words(
        "(?:make |have |do |change |cover |upholster |reupholster )?(?:the |my )?([a-z0-9 -]+?),? "
        "(?:in|to) (?:an? )?([a-z][a-z -]*)",
        std::regex::icase | std::regex::optimize);
    constexpr std::size_t longest = 100;
    const std::string line(trimmed(text));
    std::smatch found;
    if (line.size() > longest || !std::regex_match(line, found, words))
        return {};
    const Piece* piece = pieceNamed(found[1], job);
    const auto looks = piece != nullptr ? looksSaid("a " + found[2].str() + " x") : std::nullopt;
    if (!looks || !looks->colour || looks->plain != "a x")
        return {};
    auto said = readAsSaid("colour " + piece->name + " " + looks->colourWords, job, to, stopped);
    if (!said)
        return {};
    LooksSaid left = *looks;
    left.colourWords.clear();
    tellLooks(left, *said);
    return said;
}

/// "replace the coffee table by a large ottoman": without how that looks, which is told. Nothing
/// where that is refused too.
std::optional<Result<Spoken>> withLooksWithin(std::string_view text, const Project& job,
                                              const Listener& to, const Stopped& stopped) {
    static const std::regex one("\\b(?:an?|one|two|three|four|some) ",
                                std::regex::icase | std::regex::optimize);
    constexpr std::size_t longest = 200;
    const std::string line(trimmed(text));
    if (line.size() > longest)
        return {};
    for (auto at = std::sregex_iterator(line.begin(), line.end(), one);
         at != std::sregex_iterator(); ++at) {
        const auto from = static_cast<std::size_t>(at->position());
        const auto looks = from > 0 ? looksSaid(line.substr(from)) : std::nullopt;
        if (!looks)
            continue;
        auto said = readInParts(line.substr(0, from) + looks->plain, job, to, stopped, sentences);
        if (!said || said->is != Spoken::Is::edit)
            continue;
        if (!wearLooks(*looks, job, *said))
            tellLooks(*looks, *said);
        return said;
    }
    return {};
}

} // namespace

std::optional<Result<Spoken>> withItsLooks(std::string_view text, const Project& job,
                                           const Listener& to, const Stopped& stopped) {
    const auto looks = looksSaid(text, &job);
    if (!looks) {
        if (auto own = inItsLooks(text, job, to, stopped))
            return own;
        // "a sofa in navy velvet against wall A"
        const auto first = looksPutFirst(text, job);
        auto said = first.empty() ? std::nullopt : withItsLooks(first, job, to, stopped);
        return said && *said ? std::move(said) : withLooksWithin(text, job, to, stopped);
    }
    auto said = readInParts(looks->plain, job, to, stopped, sentences);
    if (said && !wearLooks(*looks, job, *said)) {
        // "white curtains on the window", where some hang: those.
        const auto after = said->is == Spoken::Is::edit && looks->colour
                               ? apply(job, said->said.edit)
                               : Result<Applied>(Problem{});
        const Piece* one = after && said->said.them.size() == 1
                               ? job.scheme().byId(said->said.them.front())
                               : nullptr;
        const Piece* then = one != nullptr ? after->project->scheme().byId(one->id) : nullptr;
        // "big mirror on wall D", where one is elsewhere: that, or another?
        const Piece* meant = said->is == Spoken::Is::edit && said->said.them.size() == 1
                                 ? job.scheme().byId(said->said.them.front())
                                 : nullptr;
        // "matching armchair": one more.
        static const std::regex alike("(?:matching|similar|identical|second)",
                                      std::regex::icase | std::regex::optimize);
        if (meant != nullptr && looks->at == 0 && std::regex_match(looks->made, alike))
            return readInParts("another " + looks->plain, job, to, stopped, sentences);
        if (meant != nullptr && looks->at == 0) {
            Problem which{worded("this could be {}, or another one", meant->name),
                          worded("say it like: {}; or: a {}", looks->plain, trimmed(text))};
            which.column = 1;
            which.width = static_cast<int>(characterCount(text.substr(0, looks->bytes)));
            return Result<Spoken>(std::move(which));
        }
        if (then == nullptr || !(then->pose == one->pose) || then->size != one->size)
            return {};
        auto coloured =
            readAsSaid("colour " + one->name + " " + looks->colourWords, job, to, stopped);
        return coloured ? std::optional(std::move(coloured)) : std::nullopt;
    }
    if (said)
        return said;
    Problem why = said.problem();
    if (why.unknown || why.column <= 0)
        return {};
    // Where it stands in what was typed.
    const auto before = characterCount(text.substr(0, looks->at));
    const auto left = static_cast<int>(characterCount(text.substr(looks->at, looks->bytes)));
    if (why.column > static_cast<int>(before))
        why.column += left;
    else if (why.column + why.width > static_cast<int>(before))
        why.width += left;
    return Result<Spoken>(std::move(why));
}

std::optional<Result<Spoken>> asPlainPiece(std::string_view text, const Project& job,
                                           const Listener& to, const Stopped& stopped) {
    if (const auto more = isQuestion(text) ? std::nullopt : kindNamedMore(trimmed(text), job)) {
        auto said = readInParts(more->plain, job, to, stopped, sentences);
        if (said && said->is == Spoken::Is::edit) {
            auto words = worded("“{}” is only its name: it is drawn as {}", more->told,
                                foldCase(more->kind->name));
            said->said.preview += "; " + words;
            said->said.edit.notices.push_back(std::move(words));
            return said;
        }
        if (!said && asksFirst(said.problem()))
            return said;
    }
    const auto thing = isQuestion(text) ? std::nullopt : unheardOf(trimmed(text), job);
    if (!thing)
        return {};
    const auto begins = static_cast<std::size_t>(trimmed(text).data() - text.data());
    const auto point = [&](Problem p) {
        p.column = static_cast<int>(characterCount(text.substr(0, begins + thing->at))) + 1;
        p.width = static_cast<int>(characterCount(trimmed(text).substr(thing->at, thing->bytes)));
        return Result<Spoken>(std::move(p));
    };
    if (!thing->sized.empty()) {
        if (isBuiltIn(thing->noun))
            return point(
                {worded("“{}” is built into the room, and the line furnishes it", thing->noun),
                 "write it in the room's tape notes, or say its size to draw a plain piece"});
        return point({worded("the kit has no “{}”", thing->noun),
                      worded("say its size, and it is drawn as a plain piece: {}", thing->sized)});
    }
    auto said = readInParts(thing->plain, job, to, stopped, sentences);
    if (!said)
        return point(said.problem());
    if (said->is != Spoken::Is::edit)
        return {};
    auto words =
        worded("the kit has no “{}”: it is drawn as a plain piece of that size", thing->noun);
    said->said.preview += "; " + words;
    said->said.edit.notices.push_back(std::move(words));
    return said;
}

} // namespace mezzet
