#include "speech/refused.h"

#include "measure/text.h"
#include "measure/texts.h"
#include "speech/meant_words.h"

#include <regex>

namespace mezzet {

namespace {

/// The problem, pointing at a stretch of a text, in bytes.
Problem at(Problem p, std::string_view text, std::size_t from, std::size_t size) {
    p.column = static_cast<int>(characterCount(text.substr(0, from))) + 1;
    p.width = static_cast<int>(characterCount(text.substr(from, size)));
    return p;
}

/// The same of what a pattern found, or of a part of that.
template <class Found>
Problem at(Problem p, std::string_view text, const Found& found, std::size_t part = 0) {
    return at(std::move(p), text, static_cast<std::size_t>(found.position(part)),
              static_cast<std::size_t>(found.length(part)));
}

} // namespace

std::optional<Problem> whichWall(std::string_view text, const Room& room) {
    static const std::regex words(
        "\\b(back|far|near|front|rear|end|side|main|empty|blank|other|left|left-hand|"
        "right|right-hand) wall\\b",
        std::regex::icase | std::regex::optimize);
    std::match_results<std::string_view::const_iterator> found;
    if (room.walls.empty() || !std::regex_search(text.begin(), text.end(), found, words))
        return {};
    const auto letter = wallName(static_cast<int>(room.walls.size()) - 1);
    return at(Problem{worded("which is the {}? the room has walls A to {}", found.str(), letter),
                      worded("say its letter, or what is in it, like “the window wall”")},
              text, found);
}

std::optional<Problem> onASill(std::string_view text) {
    static const std::regex words(
        "\\bon (?:the |a |my )?(window ?sill|window ledge|sill|mantel(?:piece|shelf)?)\\b",
        std::regex::icase | std::regex::optimize);
    std::match_results<std::string_view::const_iterator> found;
    if (!std::regex_search(text.begin(), text.end(), found, words))
        return {};
    return at(Problem{"how deep it is stands nowhere, so nothing is set on it",
                      "hang a shelf there, or stand a console before it, and say it on that"},
              text, found, 1);
}

std::optional<Problem> onADoorLeaf(std::string_view text) {
    static const std::regex words(
        "\\bon (?:the )?(?:back|inside|front|outside) of (?:the |my )?(?:[a-z]+ )?door\\b",
        std::regex::icase | std::regex::optimize);
    std::match_results<std::string_view::const_iterator> found;
    if (!std::regex_search(text.begin(), text.end(), found, words))
        return {};
    return at(
        Problem{
            "a door's leaf moves, and nothing is hung on it here",
            "say it like: mirror beside the door; what the leaf carries is no part of the plan"},
        text, found);
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
    return at(Problem{worded("nothing is on {}", on->name), "name what is in the room"}, line,
              static_cast<std::size_t>(found.position(1)), line.size());
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
    return at(Problem{worded("what “{}” speaks of was taken out", found.str(1)),
                      "name another piece, or say “undo” to have it back"},
              text, found, 1);
}

namespace {

/// The problem, pointing at a word where that stands in a text by itself.
std::optional<Problem> pointingAt(const std::string& word, Problem p, std::string_view text) {
    const auto folded = foldCase(text);
    const auto wanted = foldCase(word);
    if (wanted.empty() || folded.size() != text.size())
        return {};
    const auto isLetter = [](char c) { return c >= 'a' && c <= 'z'; };
    for (auto where = folded.find(wanted); where != std::string::npos;
         where = folded.find(wanted, where + 1)) {
        if (where > 0 && isLetter(folded[where - 1]))
            continue;
        return at(std::move(p), text, where, wanted.size());
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
