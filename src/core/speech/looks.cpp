#include "speech/looks.h"

#include "measure/text.h"
#include "measure/texts.h"
#include "speech/unheard.h"
#include "speech/vocabulary.h"

#include <algorithm>
#include <initializer_list>
#include <memory>
#include <regex>

namespace mezzet {

namespace {

/// The first of these words that a text begins with, as a whole word; nothing for none.
std::string_view firstOf(std::string_view lower, std::initializer_list<std::string_view> words) {
    for (const std::string_view w : words)
        if (lower.starts_with(w) &&
            (lower.size() == w.size() || lower[w.size()] == ' ' || lower[w.size()] == ','))
            return w;
    return {};
}

std::string_view sizeAhead(std::string_view lower) {
    return firstOf(lower,
                   {"big",          "large",     "small",      "little", "huge",         "tiny",
                    "tall",         "high",      "low",        "long",   "short",        "wide",
                    "narrow",       "deep",      "shallow",    "thin",   "slim",         "slender",
                    "oversized",    "generous",  "good-sized", "medium", "medium-sized", "decent",
                    "decent-sized", "full-size", "full-sized", "chunky", "compact",      "skinny"});
}

std::string_view makeAhead(std::string_view lower) {
    return firstOf(
        lower,
        {"leather",     "jute",       "sisal",       "seagrass",    "persian",     "oriental",
         "kilim",       "shaggy",     "velvet",      "linen",       "wool",        "woollen",
         "cotton",      "bouclé",     "boucle",      "suede",       "tweed",       "silk",
         "wooden",      "wood",       "oak",         "walnut",      "pine",        "teak",
         "mahogany",    "cherry",     "birch",       "bamboo",      "rattan",      "wicker",
         "cane",        "metal",      "brass",       "steel",       "iron",        "chrome",
         "copper",      "glass",      "marble",      "stone",       "ceramic",     "painted",
         "upholstered", "striped",    "patterned",   "floral",      "checked",     "tufted",
         "antique",     "vintage",    "modern",      "traditional", "rustic",      "industrial",
         "old",         "new",        "second-hand", "comfy",       "comfortable", "cosy",
         "cozy",        "pretty",     "nice",        "lovely",      "beautiful",   "elegant",
         "simple",      "plain",      "sturdy",      "heavy",       "matching",    "favourite",
         "favorite",    "blackout",   "framed",      "gilt",        "gold-framed", "lacquered",
         "distressed",  "reclaimed",  "folding",     "fold-down",   "fold down",   "drop-leaf",
         "drop leaf",   "plug in",    "extending",   "extendable",  "expandable",  "stackable",
         "plug-in",     "adjustable", "swivelling",  "portable",    "soft",        "fluffy",
         "colourful",   "colorful",   "cheap",       "expensive"});
}

/// Whether a kind of the kit is named next, in up to three words.
bool kindAhead(std::string_view lower, const Kit& kit) {
    std::size_t end = 0;
    for (int words = 0; words < 3 && end < lower.size(); ++words) {
        end = std::min(lower.find(' ', end + 1), lower.size());
        if (kit.byWord(lower.substr(0, end)))
            return true;
    }
    return false;
}

/// Whether no kind of a kit has a word like it in its names.
bool isNoKindsWord(std::string_view word, const Kit& kit) {
    const auto like = [&](std::string_view name) {
        const auto folded = foldCase(name);
        const auto words = wordsOf(folded);
        return std::any_of(words.begin(), words.end(), [&](const WordAt& w) {
            return editDistance(word, folded.substr(w.at, w.size)) <= (word.size() > 3 ? 2 : 0);
        });
    };
    return std::none_of(kit.kinds().begin(), kit.kinds().end(), [&](const KindPtr& k) {
        return like(k->name) || std::any_of(k->also.begin(), k->also.end(), like);
    });
}

/// "longer curtains": a change of what is there, and no look of something new.
bool isAComparison(std::string_view word) {
    for (const std::string_view w :
         {"longer", "shorter", "wider", "narrower", "bigger", "larger", "smaller", "taller",
          "deeper", "higher", "lower", "shallower", "extra", "more", "fewer", "other", "same"})
        if (word == w)
            return true;
    return false;
}

/// A word, said behind “a” or “put”, that is in no kind's name, nor like any there, and that no
/// line is made of: "a gaming chair".
bool isOwnWord(std::string_view word, const Project& job) {
    constexpr std::size_t least = 4;
    return word.size() >= least &&
           std::all_of(word.begin(), word.end(), [](char c) { return c >= 'a' && c <= 'z'; }) &&
           vocabulary(job).count(std::string(word)) == 0 && isNoKindsWord(word, *job.library.kit);
}

void join(std::string& to, std::string_view word) {
    to += (to.empty() ? "" : " ") + std::string(word);
}

} // namespace

std::optional<LooksSaid> looksSaid(std::string_view sentence, const Project* job) {
    static const std::regex opening(
        "(?:(?:put|place|hang|add|set|stand|have|get|use|try|lay|i want|i'd like|we want) )?"
        "(?:(?:an?|one|two|three|four|five|six|some|the|another|a pair of|[2-9]) )?",
        std::regex::icase | std::regex::optimize);
    std::match_results<std::string_view::const_iterator> begun;
    std::regex_search(sentence.begin(), sentence.end(), begun, opening,
                      std::regex_constants::match_continuous);
    LooksSaid out;
    out.at = static_cast<std::size_t>(begun.length());
    const auto lower = foldCase(sentence);
    std::size_t at = out.at;
    std::size_t end = at; // behind the last word of looks
    while (at < lower.size()) {
        const auto rest = std::string_view(lower).substr(at);
        std::size_t taken = 0;
        if (const auto size = sizeAhead(rest); !size.empty()) {
            join(out.size, size);
            taken = size.size();
        } else if (const auto made = makeAhead(rest); !made.empty()) {
            join(out.made, made);
            taken = made.size();
        } else if (const auto colour = colourAhead(rest); colour.bytes > 0 && !out.colour) {
            out.colour = colour.colour;
            out.colourWords = rest.substr(0, colour.bytes);
            taken = colour.bytes;
        } else if (const auto between =
                       firstOf(rest, {"really", "very", "quite", "fairly", "nice and", "and"});
                   !between.empty()) {
            at += between.size();
            while (at < lower.size() && (lower[at] == ' ' || lower[at] == ','))
                ++at;
            continue;
        } else if (const auto word = rest.substr(0, rest.find_first_of(" ,"));
                   job != nullptr && !isAComparison(word) &&
                   kindAhead(trimmed(rest.substr(word.size())), *job->library.kit) &&
                   (isUnheardWord(word, *job) || (begun.length() > 0 && isOwnWord(word, *job)))) {
            join(out.made, word);
            taken = word.size();
        } else {
            break;
        }
        at += taken;
        while (at < lower.size() && (lower[at] == ' ' || lower[at] == ','))
            ++at;
        end = at;
    }
    if (end == out.at || end >= sentence.size())
        return {};
    out.bytes = end - out.at;
    out.plain = std::string(sentence.substr(0, out.at)) + std::string(sentence.substr(end));
    return out;
}

bool wearLooks(const LooksSaid& looks, const Project& job, Spoken& spoken) {
    if (spoken.is != Spoken::Is::edit)
        return false;
    std::vector<std::string> sizes;
    // Of what is named first: "a navy sofa with a lamp" leaves the lamp as it is.
    KindPtr named;
    for (Act& a : spoken.said.edit.acts) {
        auto* put = std::get_if<PutPiece>(&a);
        if (put == nullptr || job.scheme().byId(put->piece.id) != nullptr || put->piece.isGroup() ||
            (named && put->piece.kind != named))
            continue;
        named = put->piece.kind;
        const Size& s = put->piece.size;
        const Length second = put->piece.kind->hangs() ? s.height : s.depth;
        const auto one =
            worded("{} x {}", writeBare(s.width, job.notation), writeBare(second, job.notation));
        if (std::find(sizes.begin(), sizes.end(), one) == sizes.end())
            sizes.push_back(one);
        if (looks.colour) {
            auto told = put->piece.thing ? *put->piece.thing : ThingTold{};
            told.colour = looks.colour;
            put->piece.thing = std::make_shared<const ThingTold>(std::move(told));
        }
    }
    if (sizes.empty())
        return false;
    const auto tell = [&](std::string words) {
        spoken.said.preview += "; " + words;
        spoken.said.edit.notices.push_back(std::move(words));
    };
    if (looks.colour)
        spoken.said.preview += "; " + worded("in {}", looks.colourWords);
    if (!looks.size.empty())
        tell(worded("“{}” is no size: {} is taken, say another if it is to be one", looks.size,
                    listed(sizes)));
    if (!looks.made.empty())
        tell(worded("“{}” is not drawn: say it in its note on the list", looks.made));
    return true;
}

void tellLooks(const LooksSaid& looks, Spoken& spoken) {
    for (const std::string* words : {&looks.size, &looks.made, &looks.colourWords})
        if (!words->empty()) {
            auto told = worded("“{}” is left out: say it by itself", *words);
            spoken.said.preview += "; " + told;
            spoken.said.edit.notices.push_back(std::move(told));
        }
}

} // namespace mezzet
