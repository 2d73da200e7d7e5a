#include "speech/refused.h"

#include "measure/text.h"
#include "measure/texts.h"
#include "speech/meant_words.h"

#include <regex>

namespace mezzet {

std::optional<Problem> whichWall(std::string_view text, const Room& room) {
    static const std::regex words(
        "\\b(back|far|near|front|rear|end|side|main|empty|blank|other|left|left-hand|"
        "right|right-hand) wall\\b",
        std::regex::icase | std::regex::optimize);
    std::match_results<std::string_view::const_iterator> found;
    if (room.walls.empty() || !std::regex_search(text.begin(), text.end(), found, words))
        return {};
    const auto letter = wallName(static_cast<int>(room.walls.size()) - 1);
    Problem p{worded("which is the {}? the room has walls A to {}", found.str(), letter),
              worded("say its letter, or what is in it, like “the window wall”")};
    p.column = static_cast<int>(
                   characterCount(text.substr(0, static_cast<std::size_t>(found.position())))) +
               1;
    p.width = static_cast<int>(found.length());
    return p;
}

std::optional<Problem> onASill(std::string_view text) {
    static const std::regex words(
        "\\bon (?:the |a |my )?(window ?sill|window ledge|sill|mantel(?:piece|shelf)?)\\b",
        std::regex::icase | std::regex::optimize);
    std::match_results<std::string_view::const_iterator> found;
    if (!std::regex_search(text.begin(), text.end(), found, words))
        return {};
    Problem p{"how deep it is stands nowhere, so nothing is set on it",
              "hang a shelf there, or stand a console before it, and say it on that"};
    p.column = static_cast<int>(
                   characterCount(text.substr(0, static_cast<std::size_t>(found.position(1))))) +
               1;
    p.width = static_cast<int>(found.length(1));
    return p;
}

std::optional<Problem> onADoorLeaf(std::string_view text) {
    static const std::regex words(
        "\\bon (?:the )?(?:back|inside|front|outside) of (?:the |my )?(?:[a-z]+ )?door\\b",
        std::regex::icase | std::regex::optimize);
    std::match_results<std::string_view::const_iterator> found;
    if (!std::regex_search(text.begin(), text.end(), found, words))
        return {};
    Problem p{"a door's leaf moves, and nothing is hung on it here",
              "say it like: mirror beside the door; what the leaf carries is no part of the plan"};
    p.column = static_cast<int>(
                   characterCount(text.substr(0, static_cast<std::size_t>(found.position())))) +
               1;
    p.width = static_cast<int>(found.length());
    return p;
}

std::optional<Problem> nothingOnIt(std::string_view text, const Project& job) {
    static const std::regex words(
        "\\b(?:everything|all|all the things|the things|whatever is|what is|what's|anything) on "
        "(?:top of )?(.+?)(?: away| off| out)?$",
        std::regex::icase | std::regex::optimize);
    const std::string line(trimmed(text));
    std::smatch found;
    if (!std::regex_search(line, found, words))
        return {};
    const Piece* on = pieceNamed(found[1].str(), job);
    const auto& all = job.scheme().pieces;
    if (on == nullptr || std::any_of(all.begin(), all.end(), [&](const Piece& p) {
            return p.on.isCarried() && p.on.piece == on->id;
        }))
        return {};
    Problem p{worded("nothing is on {}", on->name), "name what is in the room"};
    p.column = static_cast<int>(characterCount(
                   std::string_view(line).substr(0, static_cast<std::size_t>(found.position(1))))) +
               1;
    p.width = static_cast<int>(characterCount(line)) - p.column + 1;
    return p;
}

bool isBroughtBack(std::string_view line, std::string_view before) {
    static const std::regex back(
        "(?:(?:no|ok|okay|actually|wait),? )?(?:(?:please )?(?:(?:bring|get|put|take|have|give(?: "
        "me)?|can (?:i|we) (?:have|get)) (?:it|that|this|them|those|these) back|(?:restore|return) "
        "(?:it|that|this|them|those|these)(?: back)?)(?: in| again| please)*|(?:i|we) "
        "(?:want|need|miss|do want|would like|'d like) (?:it|that|this|"
        "them|those|these) (?:back|after all)(?: please)?)[.!?]*",
        std::regex::icase | std::regex::optimize);
    static const std::regex taken(
        "(?:.*\\b)?(?:remove|delete|take|lose|get rid of|drop|scrap|bin|clear|erase|ditch|chuck|"
        "throw|cut)\\b.*",
        std::regex::icase | std::regex::optimize);
    constexpr std::size_t longest = 200;
    const auto said = trimmed(line);
    return said.size() < longest && before.size() < longest &&
           std::regex_match(said.begin(), said.end(), back) &&
           std::regex_match(before.begin(), before.end(), taken);
}

std::optional<Problem> isTakenOut(std::string_view text) {
    static const std::regex spoken("\\b(it|its|it's|them|they|their|those|these|both)\\b",
                                   std::regex::icase | std::regex::optimize);
    std::match_results<std::string_view::const_iterator> found;
    if (!std::regex_search(text.begin(), text.end(), found, spoken))
        return {};
    Problem p{worded("what “{}” speaks of was taken out", found.str(1)),
              "name another piece, or say “undo” to have it back"};
    p.column = static_cast<int>(
                   characterCount(text.substr(0, static_cast<std::size_t>(found.position(1))))) +
               1;
    p.width = static_cast<int>(found.length(1));
    return p;
}

namespace {

/// The problem, pointing at a word where that stands in a text by itself.
std::optional<Problem> pointingAt(const std::string& word, Problem p, std::string_view text) {
    const auto folded = foldCase(text);
    const auto wanted = foldCase(word);
    if (wanted.empty() || folded.size() != text.size())
        return {};
    const auto isLetter = [](char c) { return c >= 'a' && c <= 'z'; };
    for (auto at = folded.find(wanted); at != std::string::npos; at = folded.find(wanted, at + 1)) {
        const auto end = at + wanted.size();
        if (at > 0 && isLetter(folded[at - 1]))
            continue;
        p.column = static_cast<int>(characterCount(text.substr(0, at))) + 1;
        p.width = static_cast<int>(characterCount(text.substr(at, end - at)));
        return p;
    }
    return {};
}

} // namespace

std::optional<Problem> whatIsMissing(Problem p, std::string_view text) {
    const auto word = p.notThere;
    return pointingAt(word, std::move(p), text);
}

std::optional<Problem> whatIsOneOfSeveral(Problem p, std::string_view text) {
    const auto word = p.oneOfSeveral;
    return pointingAt(word, std::move(p), text);
}

} // namespace mezzet
