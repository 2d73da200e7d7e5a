// Questions in nobody's words but the speaker's: what is asked is told by the things that are named
// and by a few words, wherever in the sentence they are.
#include "speech/gist.h"

#include "edit/words_reader.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "speech/meant_words.h"
#include "speech/reading.h"
#include "speech/what_if.h"

#include <fmt/format.h>

#include <algorithm>
#include <span>

namespace mezzet {

namespace {

/// Something a sentence names.
struct Named {
    std::size_t from = 0;
    std::size_t end = 0;
    std::string words;             ///< as said
    std::optional<Target> is = {}; ///< none for a kind, or for one of several
    KindPtr kind = {};             ///< of a kind that is no one thing in the room
};

/// Whether a word tells how large, how many or which, before the noun it is said of.
bool isOfItsNoun(std::string_view word) {
    if (!word.empty() && (word.front() >= '0' && word.front() <= '9'))
        return true;
    constexpr std::string_view all[] = {
        "a",     "an",     "two",    "three", "four",   "five",   "six",    "eight", "another",
        "round", "foot",   "feet",   "ft",    "inch",   "inches", "in",     "cm",    "m",
        "metre", "meter",  "metres", "wide",  "long",   "deep",   "high",   "tall",  "x",
        "by",    "square", "small",  "large", "narrow", "pair",   "couple", "of",    "seat"};
    return std::find(std::begin(all), std::end(all), word) != std::end(all);
}

/// Where so many characters from there on end, in bytes.
std::size_t afterCharacters(std::string_view text, std::size_t at, int characters) {
    for (; characters > 0 && at < text.size(); --characters)
        do
            ++at;
        while (at < text.size() && (static_cast<unsigned char>(text[at]) & 0xC0U) == 0x80U);
    return at;
}

/// The things of the room and the kinds that a sentence names, in their order.
std::vector<Named> namedIn(const std::string& line, const Project& job, const Listener& to) {
    std::vector<Named> out;
    std::vector<std::size_t> starts;
    for (std::size_t i = 0; i < line.size(); ++i)
        if (!endsWord(line[i]) && (i == 0 || endsWord(line[i - 1])))
            starts.push_back(i);
    std::size_t past = 0;
    for (const std::size_t at : starts) {
        if (at < past)
            continue;
        Named n;
        n.from = at;
        WordsReader in(line, job, to.them);
        in.goTo(at);
        const auto word = in.ahead();
        // "in", "to" and the like begin no name; an article belongs to what comes after it.
        if (word == "a" || word == "an" || word == "the" || word == "my" || word == "our" ||
            word == "that" || word == "this" || word == "both")
            continue;
        try {
            n.is = in.target();
            n.end = in.at();
        } catch (const LineFault& f) {
            n.is.reset();
            if (!f.problem.oneOfSeveral.empty())
                n.end = afterCharacters(line, at, f.problem.width);
        }
        if (n.end <= at) {
            in.goTo(at);
            n.kind = in.kind();
            n.end = n.kind ? in.at() : at;
        }
        if (n.end <= at)
            continue;
        n.end = std::min(n.end, line.size());
        n.words = std::string(trimmed(line.substr(at, n.end - at)));
        past = n.end;
        out.push_back(std::move(n));
    }
    return out;
}

/// A kind with what is said of it before its name: "an 8 foot sofa", "two chairs".
std::string withItsSize(const Named& n, const std::string& line) {
    std::size_t from = n.from;
    while (from > 0) {
        std::size_t end = from;
        while (end > 0 && endsWord(line[end - 1]))
            --end;
        std::size_t begin = end;
        while (begin > 0 && !endsWord(line[begin - 1]))
            --begin;
        if (begin == end || !isOfItsNoun(foldCase(line.substr(begin, end - begin))))
            break;
        from = begin;
    }
    // "much of a sofa" is no size of it.
    auto out = std::string(trimmed(line.substr(from, n.end - from)));
    if (out.starts_with("of "))
        out = out.substr(3);
    return out;
}

/// Where a thing is said to go: from the words of place before what is named, to its end.
std::string placeBefore(const Named& n, const std::string& line) {
    constexpr std::string_view words[] = {"on the left of",
                                          "on the right of",
                                          "to the left of",
                                          "to the right of",
                                          "left of",
                                          "right of",
                                          "in front of",
                                          "next to",
                                          "on top of",
                                          "on",
                                          "by",
                                          "beside",
                                          "against",
                                          "along",
                                          "under",
                                          "over",
                                          "above",
                                          "behind",
                                          "opposite",
                                          "near",
                                          "at",
                                          "between"};
    std::string before(trimmed(line.substr(0, n.from)));
    for (const char* article : {" the", " my", " a", " our"})
        if (before.ends_with(article)) {
            before.resize(before.size() - std::string_view(article).size());
            break;
        }
    for (const auto w : words)
        if (before.ends_with(" " + std::string(w)))
            return std::string(w) + " " + n.words;
    return {};
}

namespace gist {

/// What is asked, by words that tell it: the questions it is put as, likeliest first. {1} and {2}
/// are the first and the second thing that stands for itself, {k} what is no one thing in the room,
/// with its size, {p} where that is said to go.
struct Topic {
    std::span<const std::string_view> words;
    std::span<const char* const> asks;
};

constexpr std::string_view seating[] = {"seat",   "seats",  "sit", "people",
                                        "guests", "diners", "eat"};
constexpr const char* seatingAsks[] = {"how many people can sit at {1}",
                                       "how many seats are there"};
constexpr std::string_view largest[] = {"biggest", "largest", "widest", "longest",
                                        "tallest", "max",     "maximum"};
constexpr const char* largestAsks[] = {"what is the biggest {k} that fits",
                                       "how big should {1} be"};
constexpr std::string_view sized[] = {"big",  "size",  "wide",  "large",
                                      "long", "small", "width", "dimensions"};
constexpr const char* sizedAsks[] = {"what is the biggest {k} that fits", "how big should {k} be",
                                     "how big is {1}"};
constexpr std::string_view fitting[] = {"fit", "fits", "room", "space", "squeeze",
                                        "get", "go",   "work", "have"};
constexpr const char* fittingAsks[] = {"would {k} fit {p}", "is there room for {k}"};
constexpr std::string_view ways[] = {"walk", "path",  "route", "walkway", "through",
                                     "past", "reach", "pass",  "passage", "access"};
constexpr const char* waysAsks[] = {"is there a way from {1} to {2}", "is there a way to {1}",
                                    "how much room is around {1}", "how wide is the walkway"};
constexpr std::string_view apart[] = {"far", "close", "near", "distance",
                                      "gap", "apart", "away", "between"};
constexpr const char* apartAsks[] = {"how far is {1} from {2}", "how far is {1} from the wall"};
constexpr std::string_view roomAbout[] = {"behind", "around", "beside",   "front",
                                          "space",  "room",   "clearance"};
constexpr const char* roomAboutAsks[] = {"how much room is around {1}", "what is in front of {1}"};
constexpr std::string_view blocked[] = {"block", "blocked", "blocking", "hit",  "hits",
                                        "clash", "bump",    "swing",    "open", "opens",
                                        "way",   "cover",   "covers"};
constexpr const char* blockedAsks[] = {"is anything blocking {1}", "what is wrong with {1}"};
constexpr std::string_view high[] = {"high", "height", "tall", "hang", "low"};
constexpr const char* highAsks[] = {"how high should {k} hang", "how high is {1}"};
constexpr std::string_view light[] = {"bright", "light", "dark", "dim", "lit", "gloomy"};
constexpr const char* lightAsks[] = {"how bright is {1}", "how bright is it in here"};
constexpr std::string_view seen[] = {"see", "seen", "view", "watch", "visible", "looks"};
constexpr const char* seenAsks[] = {"can {1} be seen from {2}", "what is seen from {2}",
                                    "what is seen from {1}"};
constexpr std::string_view judged[] = {
    "ok",     "okay",  "right", "wrong",   "problem", "problems", "good",     "fine",  "too",
    "enough", "check", "issue", "trouble", "work",    "works",    "balanced", "better"};
constexpr const char* judgedAsks[] = {"what is wrong with {1}", "what is wrong"};
constexpr std::string_view placed[] = {"where", "wall", "which"};
constexpr const char* placedAsks[] = {"where is {1}", "is there room for {k}"};

constexpr Topic topics[] = {
    {seating, seatingAsks}, {largest, largestAsks},     {fitting, fittingAsks},
    {apart, apartAsks},     {ways, waysAsks},           {blocked, blockedAsks},
    {seen, seenAsks},       {light, lightAsks},         {high, highAsks},
    {sized, sizedAsks},     {roomAbout, roomAboutAsks}, {judged, judgedAsks},
    {placed, placedAsks},
};

} // namespace gist

/// A question with what it is asked of put in; empty where one of them is not named.
std::string filled(std::string_view ask, const std::vector<const Named*>& things, const Named* kind,
                   const std::string& line) {
    std::string out(ask);
    const auto put = [&](std::string_view sign, const std::string& words) {
        const auto at = out.find(sign);
        if (at == std::string::npos)
            return true;
        out.replace(at, sign.size(), words);
        return !words.empty();
    };
    const auto thing = [&](std::size_t i) {
        return i < things.size() ? things[i]->words : std::string();
    };
    std::string place;
    for (const Named* t : things)
        if (place.empty())
            place = placeBefore(*t, line);
    const bool all = put("{1}", thing(0)) && put("{2}", thing(1)) &&
                     put("{k}", kind != nullptr ? withItsSize(*kind, line) : std::string()) &&
                     put("{p}", place);
    return all ? out : std::string();
}

} // namespace

std::optional<Spoken> byItsGist(std::string_view text, const Project& job, const Listener& to,
                                const Stopped& stopped) {
    constexpr std::size_t longest = 200;
    std::string line(trimmed(text));
    while (line.ends_with("?") || line.ends_with(" ") || line.ends_with("."))
        line.pop_back();
    if (line.size() > longest)
        return {};
    const auto named = namedIn(line, job, to);
    std::vector<const Named*> things;
    const Named* kind = nullptr;
    for (const Named& n : named)
        if (n.kind)
            kind = kind != nullptr ? kind : &n;
        else
            things.push_back(&n);
    const auto has = [words = " " + foldCase(line) + " "](std::string_view w) {
        return words.find(" " + std::string(w) + " ") != std::string::npos;
    };
    for (const gist::Topic& t : gist::topics) {
        if (std::none_of(t.words.begin(), t.words.end(), has))
            continue;
        for (const char* ask : t.asks) {
            if (stopped && stopped())
                return {};
            const auto question = filled(ask, things, kind, line);
            // What names something is answered of that, and not of all that there is.
            if (question.empty() || (question == ask && !named.empty()))
                continue;
            // A wall, or what is in one, is no way off the wall.
            const bool offTheWall = std::string_view(ask).ends_with("from the wall");
            if (offTheWall && things.front()->is && things.front()->is->is != Target::Is::piece)
                continue;
            auto heard = readInParts(question + "?", job, to, stopped);
            if (!heard || heard->is != Spoken::Is::answer)
                continue;
            heard->answer.words = worded("“{}?” {}", capital(question), heard->answer.words);
            heard->said.preview = heard->answer.words;
            return std::move(*heard);
        }
    }
    return {};
}

} // namespace mezzet
