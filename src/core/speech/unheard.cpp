#include "speech/unheard.h"

#include "edit/verb.h"
#include "measure/length.h"
#include "measure/text.h"
#include "speech/looks.h"
#include "speech/meant_words.h"
#include "speech/vocabulary.h"

#include <fmt/format.h>

#include <algorithm>
#include <regex>

namespace mezzet {

namespace {

/// Words that no noun has in it.
bool isSmallWord(std::string_view w) {
    for (const std::string_view small :
         {"the", "a", "an", "to", "it", "them", "this", "that", "and", "or", "of", "my", "our",
          "by", "is", "are", "be", "up", "down", "out", "off", "all", "both", "each", "same",
          "every", "more", "less", "not", "no", "so", "i", "we", "you",
          // Words of place, of change and of time.
          "in", "on", "under", "underneath", "beneath", "below", "over", "above", "between",
          "beside", "behind", "around", "near", "next", "with", "there", "here", "too", "again",
          "until", "as", "than", "then", "if", "what", "how", "where", "places", "longer", "bigger",
          "smaller", "wider", "taller", "shorter", "narrower", "higher", "fill", "from", "for",
          "into", "nothing", "everything", "something", "anything", "one", "ones", "should", "must",
          "can", "will", "would", "could", "goes", "go"})
        if (w == small)
            return true;
    return false;
}

/// Which of several is meant, or how many: no name of a new one.
bool tellsWhichOne(std::string_view w) {
    for (const std::string_view which :
         {"left",   "right",  "top",     "bottom", "upper", "lower",   "middle",   "first",
          "second", "third",  "fourth",  "last",   "other", "nearest", "farthest", "two",
          "three",  "four",   "five",    "six",    "seven", "eight",   "nine",     "ten",
          "pair",   "few",    "several", "some",   "large", "small",   "big",      "little",
          "wide",   "narrow", "tall",    "short",  "long",  "deep",    "low",      "high",
          "front",  "back",   "old",     "new",    "extra", "another", "whole",    "half"})
        if (w == which)
            return true;
    return false;
}

/// A word that may be a slip of the keys for one that is known.
bool isNearly(std::string_view word, const std::set<std::string>& known) {
    constexpr std::size_t longWord = 8;
    constexpr std::size_t shortWord = 3;
    const int slips = word.size() >= longWord ? 2 : word.size() <= shortWord ? 0 : 1;
    return std::any_of(known.begin(), known.end(), [&](const std::string& k) {
        return k.find(' ') == std::string::npos && k.size() > 2 && editDistance(word, k) <= slips;
    });
}

/// Whether a kind is called nearly so: a slip or two away.
bool isNearAKind(std::string_view noun, const Kit& kit) {
    const auto plain = plainWord(noun);
    const auto near = [&](std::string_view name) {
        return editDistance(plain, plainWord(name)) <= 3;
    };
    return std::any_of(kit.kinds().begin(), kit.kinds().end(), [&](const KindPtr& k) {
        return near(k->name) || std::any_of(k->also.begin(), k->also.end(), near);
    });
}

/// Whether a line begins with a word like that: "moev".
bool isLikeAVerb(std::string_view word) {
    static const auto verbs = [] {
        std::set<std::string> out;
        for (const VerbHelp& v : allVerbs())
            for (const auto b : v.begins)
                out.insert(foldCase(b.substr(0, b.find(' '))));
        return out;
    }();
    const auto letters = [](std::string_view w) {
        std::string out(w);
        std::sort(out.begin(), out.end());
        return out;
    };
    constexpr std::size_t longWord = 7;
    return std::any_of(verbs.begin(), verbs.end(), [&](const std::string& v) {
        if (v == word)
            return true;
        const int slips = word.size() >= longWord ? 2 : 1;
        return v.size() > 3 && word.front() == v.front() &&
               (editDistance(word, v) <= slips || letters(word) == letters(v));
    });
}

} // namespace

bool isBuiltIn(std::string_view noun) {
    for (const std::string_view built :
         {"radiator",        "socket",       "outlet",    "light switch",
          "column",          "pillar",       "beam",      "skylight",
          "rooflight",       "skirting",     "baseboard", "cornice",
          "staircase",       "stairs",       "fireplace", "alcove",
          "air conditioner", "thermostat",   "vent",      "wainscoting",
          "wainscot",        "panelling",    "paneling",  "crown moulding",
          "crown molding",   "picture rail", "dado rail", "chair rail",
          "beadboard"})
        if (noun == built)
            return true;
    return false;
}

bool isUnheardWord(std::string_view word, const Project& job) {
    constexpr std::size_t least = 3;
    if (word.size() < least || !std::all_of(word.begin(), word.end(), [](char c) {
            return (c >= 'a' && c <= 'z') || c == '-';
        }))
        return false;
    return !isNearly(word, vocabulary(job));
}

namespace {

constexpr std::size_t longestHeard = 200;

/// A line that adds a thing: a verb, an article, the noun, its sizes, and where it goes.
const std::regex& addsAThing() {
    static const std::regex words(
        "((?:(?:put|place|hang|add|set|stand|have|fit|mount|stick|draw) )?(?:up |in )?)((?:an?|one|"
        "my|our|some) )?([a-z][a-z-]*(?: [a-z][a-z-]*){0,2}?)((?:,? )[0-9][^,a-z]*(?: ?(?:cm|mm|m|"
        "in|inch|inches|ft|feet|foot)\\b)?(?: ?(?:x|by) ?[0-9][^,a-z]*(?: ?(?:cm|mm|m|in|inch|"
        "inches|ft|feet|foot)\\b)?){1,2})?((?:,? )(?:on|in|into|under|over|above|below|against|"
        "along|by|near|beside|next|between|behind|before|opposite|at|left|right|facing|around|"
        "from|with|centred|centered)\\b.*)?",
        std::regex::icase | std::regex::optimize);
    return words;
}

} // namespace

std::optional<NamedKind> kindNamedMore(std::string_view line, const Project& job) {
    std::match_results<std::string_view::const_iterator> found;
    if (line.size() > longestHeard ||
        !std::regex_match(line.begin(), line.end(), found, addsAThing()))
        return {};
    const std::string noun = foldCase(found[3].str());
    const auto all = wordsOf(noun);
    const auto& kit = *job.library.kit;
    if (kit.byWord(noun))
        return {};
    NamedKind out;
    for (std::size_t i = 1; i < all.size() && !out.kind; ++i)
        if (auto k = kit.byWord(noun.substr(all[i].at))) {
            out.kind = std::move(k);
            out.told = std::string(trimmed(noun.substr(0, all[i].at)));
            out.at = static_cast<std::size_t>(found.position(3));
            out.bytes = out.told.size();
        }
    // Several of them are not called the same.
    const bool several =
        out.kind && !noun.ends_with("ss") && noun.ends_with("s") && !out.kind->name.ends_with("s");
    if (!out.kind || several || out.kind->role == Role::group)
        return {};
    const auto known = vocabulary(job);
    for (const WordAt& w : wordsOf(out.told)) {
        const auto word = out.told.substr(w.at, w.size);
        // A word of the line that is spelt right tells which one it is; one nearly so is a slip.
        if (isSmallWord(word) || tellsWhichOne(word) || kit.byWord(word) || isLikeAVerb(word) ||
            looksSaid("a " + word + " x") || (!isUnheardWord(word, job) && known.count(word) == 0))
            return {};
    }
    const auto rest = found[5].str();
    out.plain = fmt::format("{}{}{} called {}{}{}", line.substr(0, out.at),
                            noun.substr(out.told.size() + 1), found[4].str(),
                            job.scheme().freeName(capital(noun)),
                            rest.empty() || rest.starts_with(",") ? "" : ",", rest);
    return out;
}

std::optional<UnheardOf> unheardOf(std::string_view line, const Project& job) {
    std::match_results<std::string_view::const_iterator> found;
    if (line.size() > longestHeard ||
        !std::regex_match(line.begin(), line.end(), found, addsAThing()))
        return {};
    UnheardOf out;
    out.noun = foldCase(found[3].str());
    out.at = static_cast<std::size_t>(found.position(3));
    out.bytes = static_cast<std::size_t>(found.length(3));
    const bool sized = found[4].matched;
    // Alone, a word that is not known may be meant for anything.
    if (found.length(1) == 0 && !found[2].matched && !sized && !found[5].matched)
        return {};
    const auto all = wordsOf(out.noun);
    const auto word = [&](const WordAt& w) { return out.noun.substr(w.at, w.size); };
    const auto& kit = *job.library.kit;
    const bool small =
        std::any_of(all.begin(), all.end(), [&](const WordAt& w) { return isSmallWord(word(w)); });
    // One word that is like none; several that are no kind's name together, nor like one, the last
    // of which is no kind by itself, and none of which is a slip for a verb.
    const bool unheard =
        isBuiltIn(out.noun) ? true
        : all.size() == 1   ? isUnheardWord(out.noun, job)
                            : !kit.byWord(word(all.back())) && !isNearAKind(out.noun, kit) &&
                                std::none_of(all.begin(), all.end(),
                                             [&](const WordAt& w) { return isLikeAVerb(word(w)); });
    if (small || !unheard)
        return {};
    const bool metric = isMetric(job.notation.units);
    const auto rest = found[5].str();
    static const std::regex up(
        "(?:^|.* )(?:on (?:the )?[a-z]* ?wall|over|above|at eye|at [0-9])\\b.*",
        std::regex::icase | std::regex::optimize);
    const bool hung = foldCase(found[1].str()).starts_with("hang") || std::regex_match(rest, up);
    // On a table or a counter it is a small thing.
    static const std::regex onATop("(?:,? )on (?:top of )?(?:the |a |my )?(?!floor|wall|ground).*",
                                   std::regex::icase | std::regex::optimize);
    const bool top = !hung && std::regex_match(rest, onATop);
    const std::string usual = top    ? (metric ? " 30 x 30 x 30 cm" : " 12 x 12 x 12\"")
                              : hung ? (metric ? " 60 x 60 cm" : " 24 x 24\"")
                                     : (metric ? " 60 x 60 x 90 cm" : " 24 x 24 x 36\"");
    const auto before = std::string(line.substr(0, out.at));
    if (!sized)
        out.sized = before + found[3].str() + usual + rest;
    out.plain = fmt::format("{}{}{} called {}{}{}", before,
                            hung  ? "other hung piece"
                            : top ? "other small piece"
                                  : "other piece",
                            found[4].str(), job.scheme().freeName(capital(out.noun)),
                            rest.empty() || rest.starts_with(",") ? "" : ",", rest);
    return out;
}

} // namespace mezzet
