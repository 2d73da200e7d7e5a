#include "speech/speech.h"

#include "edit/language.h"
#include "edit/preview.h"
#include "edit/things_said.h"
#include "judge/say.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "speech/asked_first.h"
#include "speech/at_home.h"
#include "speech/gist.h"
#include "speech/looks.h"
#include "speech/meant.h"
#include "speech/meant_words.h"
#include "speech/other_words.h"
#include "speech/questions.h"
#include "speech/reading.h"
#include "speech/refused.h"
#include "speech/shown.h"
#include "speech/spoken_names.h"
#include "speech/unheard.h"
#include "speech/what_if.h"

#include <algorithm>
#include <iterator>
#include <regex>

namespace mezzet {

int Asking::piece() const {
    return readSubject(in, selected);
}

void Asking::end() const {
    in.take({"right now", "now", "here", "please"});
    in.take({"?"});
    if (!in.done())
        in.unknownAhead(worded("“{}” is left over", in.rest()), "take it out");
}

namespace {

std::vector<const std::vector<Question>*> questionTables() {
    return {&lightQuestions(),    &rugQuestions(),     &measuredQuestions(), &sizeQuestions(),
            &distanceQuestions(), &sizingQuestions(),  &adviceQuestions(),   &mendingQuestions(),
            &plainQuestions(),    &doorQuestions(),    &roomQuestions(),     &standingQuestions(),
            &viewQuestions(),     &alignedQuestions(), &helpQuestions()};
}

/// Questions by the most particular beginning first.
struct Begun {
    std::size_t end = 0;
    const Question* question = nullptr;
};

std::vector<Begun> begunHere(WordsReader& in) {
    std::vector<Begun> out;
    for (const auto* table : questionTables())
        for (const Question& q : *table) {
            std::size_t best = 0;
            for (const std::string_view b : q.begins)
                best = std::max(best, in.endOf(b));
            if (best > 0)
                out.push_back({best, &q});
        }
    std::stable_sort(out.begin(), out.end(),
                     [](const Begun& a, const Begun& b) { return a.end > b.end; });
    return out;
}

/// The text with its question mark set off, so that a word before it ends.
std::string withoutQuestionMark(std::string_view text) {
    std::string out(trimmed(text));
    while (!out.empty() && (out.back() == '?' || out.back() == ' ' || out.back() == '.'))
        out.pop_back();
    return out;
}

/// The answer, or none where it is no question after all. Throws LineFault.
std::optional<Answer> answerTo(std::string_view text, const Project& job, const Listener& to,
                               const Stopped& stopped) {
    auto scene = sceneOf(job);
    if (!scene)
        throw LineFault{scene.problem()};
    const std::string question = withoutQuestionMark(text);
    const GoesOn goesOn = [&stopped] { return !stopped || !stopped(); };
    std::optional<LineFault> fault;
    WordsReader probe(question, job, to.them);
    for (const Begun& b : begunHere(probe)) {
        WordsReader in(question, job, to.them);
        in.goTo(b.end);
        Asking a{in, job, *scene, to.them.size() == 1 ? to.them.front() : 0, goesOn};
        try {
            if (auto out = b.question->answer(a))
                return out;
        } catch (const LineFault& f) {
            // Which of several is meant is worth more than that it is another question.
            // So is that what is named is not there.
            const auto telling = [](const Problem& p) {
                return !p.oneOfSeveral.empty() ? 2 : !p.notThere.empty() ? 1 : 0;
            };
            if (!fault || telling(f.problem) > telling(fault->problem))
                fault = f;
        }
    }
    if (fault)
        throw *fault;
    return {};
}

/// "a little more": so of what was changed, and not of what was added.
bool saysMore(std::string_view word) {
    constexpr std::string_view all[] = {"a little more",
                                        "a bit more",
                                        "more",
                                        "some more",
                                        "further",
                                        "farther",
                                        "a bit further",
                                        "a little further",
                                        "a touch more",
                                        "keep going",
                                        "just a little more",
                                        "a bit farther"};
    return std::find(std::begin(all), std::end(all), word) != std::end(all);
}

} // namespace

bool saysAgain(std::string_view text) {
    constexpr std::string_view all[] = {"again",  "once more",     "the same again",
                                        "repeat", "do that again", "do it again"};
    const auto word = foldCase(trimmed(text));
    return saysMore(word) || std::find(std::begin(all), std::end(all), word) != std::end(all);
}

bool isQuestion(std::string_view text) {
    const auto t = foldCase(trimmed(text));
    if (t.ends_with("?"))
        return true;
    // What there is, and not a line of the list.
    for (const std::string_view w : {"list everything", "list all", "list the furniture",
                                     "list the pieces", "list what", "list the room"})
        if (t == w || t.starts_with(std::string(w) + " "))
            return true;
    for (const std::string_view w :
         {"how ", "why ", "where ", "where's ", "what ", "what's ", "whats ", "which ", "is ",
          "are ", "does ", "will ", "would ", "can ", "could ", "distance ", "gap between "})
        if (t.starts_with(w))
            return !t.starts_with("how about ") && !t.starts_with("what about ");
    return false;
}

Result<Spoken> readAsSaid(std::string_view whole, const Project& job, const Listener& to,
                          const Stopped& stopped) {
    Spoken out;
    const auto text = withoutAnyway(whole);
    const bool anyway = text.size() != whole.size();
    const auto word = foldCase(trimmed(text));
    const auto oneOf = [&](std::initializer_list<std::string_view> words) {
        return std::find(words.begin(), words.end(), word) != words.end();
    };
    const bool undo =
        oneOf({"undo", "undo that", "undo it", "undo this", "take that back", "go back",
               "put it back", "put that back", "put them back", "change it back",
               "put everything back", "put everything back the way it was",
               "put it back the way it was", "put it back how it was", "put it back as it was"});
    if (undo || oneOf({"redo", "redo that", "redo it"})) {
        out.is = undo ? Spoken::Is::undo : Spoken::Is::redo;
        return out;
    }
    if (oneOf({"never mind", "nevermind", "cancel", "cancel that", "forget it", "forget that",
               "stop", "leave it", "don't", "no", "nothing"})) {
        out.is = Spoken::Is::answer;
        out.answer.words = worded("Nothing is changed");
        out.said.preview = out.answer.words;
        return out;
    }
    // "a little more", of what was moved, turned or made larger.
    static const std::regex changes(
        "(?:please "
        ")?(?:move|push|pull|slide|scoot|nudge|shift|bring|raise|lower|lift|drop|turn|rotate|"
        "angle|swing|make|widen|shorten|lengthen|shrink|spread|it |them )\\b.*",
        std::regex::icase | std::regex::optimize);
    if (saysAgain(word) && (!saysMore(word) || std::regex_match(to.before, changes))) {
        if (to.before.empty() || foldCase(trimmed(to.before)) == word) {
            Problem p{"nothing was said yet that could be said again", "say what is to be done"};
            p.column = 1;
            p.width = static_cast<int>(characterCount(text));
            return p;
        }
        return readSpoken(to.before, job, {to.them, to.surface, {}}, stopped);
    }
    if (oneOf({"undo everything", "undo all", "undo it all", "undo all of it"})) {
        Problem p{"one step is undone at a time", "say: undo; or: start again"};
        p.column = 1;
        p.width = static_cast<int>(characterCount(text));
        return p;
    }
    const auto asksWhat = word.substr(0, word.find_last_not_of("? ") + 1);
    if (word.starts_with("what ") &&
        (asksWhat == "what did i just do" || asksWhat == "what did i do" ||
         asksWhat == "what did i just say" || asksWhat == "what did i say" ||
         asksWhat == "what have i just done" || asksWhat == "what did we just do" ||
         asksWhat == "what did i change" || asksWhat == "what did i just change" ||
         asksWhat == "what changed" || asksWhat == "what just changed")) {
        out.is = Spoken::Is::answer;
        out.answer.words =
            to.before.empty() ? worded("Nothing was said yet") : worded("You said: {}", to.before);
        out.said.preview = out.answer.words;
        return out;
    }
    if (auto shown = shownFor(text, job)) {
        out.is = Spoken::Is::answer;
        out.said.preview = shown->words;
        out.said.them = shown->about;
        out.answer = std::move(*shown);
        return out;
    }
    std::optional<Problem> unanswered;
    if (isQuestion(text) && isText(text) && text.size() <= 2000) {
        try {
            if (auto answer = answerTo(text, job, to, stopped)) {
                out.is = Spoken::Is::answer;
                out.said.them = answer->about;
                out.said.preview = answer->words;
                out.answer = std::move(*answer);
                return out;
            }
        } catch (const LineFault& f) {
            unanswered = f.problem;
        }
    }
    // "can you put the sofa here?" asks for something to be done.
    std::string_view line = trimmed(text);
    while (line.ends_with("?") || line.ends_with(" "))
        line.remove_suffix(1);
    const bool polite = line.size() != trimmed(text).size();
    auto said = readSaid(polite ? line : text, job, to, stopped);
    if (!said && unanswered)
        return *unanswered;
    if (!said && isQuestion(text) && said.problem().unknown) {
        Problem p = said.problem();
        p.what = worded("I can't answer that: {}", p.what);
        p.remedy = "ask like: how far is sofa from wall A?";
        return p;
    }
    if (!said)
        return said.problem();
    out.said = std::move(*said);
    if (out.said.preview.empty() && out.said.edit.acts.empty())
        out.said.preview = "Changes nothing: it is so already";
    if (const auto asks = anyway ? std::nullopt : whatItAsks(text, job, out.said))
        return *asks;
    return out;
}

namespace {

/// "a lamp on each one", of several that were spoken of: one for each of them; empty for all else.
std::string oneForEach(const std::string& line, const Project& job, const std::vector<int>& them) {
    static const std::regex onEach(
        "(.+? (?:on|at|by|beside|in front of|under|over|above|behind)) (?:each(?: of "
        "them| one)?|them|both(?: of them)?)",
        std::regex::icase | std::regex::optimize);
    std::smatch found;
    if (them.size() < 2 || line.size() > 200 || !std::regex_match(line, found, onEach))
        return {};
    // "lamps on them": one on each.
    static const std::regex many("(?:some |the |two |three |four )?([a-z][a-z -]*?)s ([a-z ]+)",
                                 std::regex::icase | std::regex::optimize);
    std::string of = found[1];
    if (std::smatch plural; std::regex_match(of, plural, many))
        of = "a " + plural[1].str() + " " + plural[2].str();
    std::string out;
    for (const int id : them)
        if (const Piece* p = job.scheme().byId(id))
            out += fmt::format("{}{} {}", out.empty() ? "" : "; then ", of, p->name);
    return out;
}

/// The two said one after the other, "it" in the second being what the first was about. Empty when
/// either can't be done; `why` is then what the second meets, if the first could be.
std::optional<Spoken> oneAfterTheOther(const std::pair<std::string, std::string>& parts,
                                       const Project& job, const Listener& to,
                                       const Stopped& stopped, int most,
                                       std::optional<Problem>& why) {
    auto first = readInParts(parts.first, job, to, stopped, most - 1);
    if (!first && !why && asksFirst(first.problem()))
        why = first.problem();
    if (!first || first->is != Spoken::Is::edit || first->said.edit.acts.empty())
        return {};
    const auto between = apply(job, first->said.edit);
    if (!between || between->project->active != job.active)
        return {};
    auto them = first->said.them.empty() ? to.them : first->said.them;
    std::erase_if(them, [&](int id) { return between->project->scheme().byId(id) == nullptr; });
    const auto heard = [&](const std::string& line) {
        return readInParts(line, *between->project, {them, to.surface, {}}, stopped, most - 1);
    };
    // What comes with something stands beside it; and nothing stands just anywhere.
    static const std::regex saidToAdd("(?:and )?(?:add|put|place|set) .*", std::regex::icase);
    const bool byItself = std::regex_match(parts.second, saidToAdd);
    const auto standsFree = [&](const Result<Spoken>& s) {
        return !byItself &&
               std::any_of(s->said.edit.acts.begin(), s->said.edit.acts.end(), [&](const Act& a) {
                   const auto* put = std::get_if<PutPiece>(&a);
                   return put != nullptr && put->piece.ties.empty() && !put->piece.on.isCarried() &&
                          between->project->scheme().byId(put->piece.id) == nullptr;
               });
    };
    // "… with a lamp on each": of the ones just said.
    const auto each = oneForEach(parts.second, *between->project, them);
    const std::string& next = each.empty() ? parts.second : each;
    auto second = heard(next);
    // "a console, with the vase on it": of one that is not there yet.
    if (const auto folded = foldCase(parts.second); !second && folded.starts_with("the "))
        if (auto one = heard("a" + parts.second.substr(3)))
            second = std::move(one);
    const auto folded = foldCase(parts.second);
    // "a side table with a lamp", "a console with two lamps": on it.
    static const std::regex lamps("(an?|one|1|two|2|a pair of|three|3) (?:small |little |tall "
                                  "|table )?(?:reading )?lamp(s?)");
    if (std::smatch many; them.size() == 1 && std::regex_match(folded, many, lamps)) {
        const Piece& one = *between->project->scheme().byId(them.front());
        if (one.kind->hasTop() && !one.kind->isSeat() && one.kind->role != Role::bed)
            if (auto on = heard(fmt::format("{} table lamp{} on it", many[1].str(), many[2].str())))
                second = std::move(on);
    }
    // "a stand with a 65 inch tv", "a window seat with two cushions": on it, where it belongs.
    if (them.size() == 1) {
        const Piece& one = *between->project->scheme().byId(them.front());
        const KindPtr noun = nounIn(parts.second, *between->project);
        const bool top = !second && one.kind->hasTop() && !one.kind->isSeat();
        if (noun && ((top && (noun->standsOn() || noun->family == Family::screen)) ||
                     (noun->isSoft() && one.kind->takesSoft())))
            if (auto on = heard(parts.second + " on it"))
                second = std::move(on);
    }
    // "a tray with two candles on the table": on the same top.
    if (them.size() == 1)
        if (const Piece& one = *between->project->scheme().byId(them.front()); one.on.isCarried())
            if (auto there = heard(fmt::format(
                    "{} on {}", parts.second, between->project->scheme().byId(one.on.piece)->name)))
                second = std::move(there);
    if (second && second->is == Spoken::Is::edit && standsFree(second)) {
        const bool one = folded.starts_with("a ") || folded.starts_with("an ") ||
                         folded.starts_with("one ") || folded.starts_with("1 ");
        for (const char* place :
             {" at it", one ? " beside it" : " either side of it", " beside it"})
            if (second = heard(parts.second + place); second)
                break;
    }
    if (!second && !why)
        why = second.problem();
    if (!second || second->is != Spoken::Is::edit || second->said.edit.acts.empty() ||
        standsFree(second))
        return {};
    Said& all = first->said;
    Said& then = second->said;
    // "two armchairs" for one: both are what is spoken of.
    if (then.them.size() == 1 && all.them.size() == 1 && next.starts_with("another ")) {
        const Piece* one = between->project->scheme().byId(all.them.front());
        const auto added =
            std::find_if(then.edit.acts.begin(), then.edit.acts.end(),
                         [](const Act& a) { return std::holds_alternative<PutPiece>(a); });
        if (one != nullptr && added != then.edit.acts.end() &&
            std::get<PutPiece>(*added).piece.kind == one->kind)
            then.them.insert(then.them.begin(), one->id);
    }
    all.edit.words += ", then " + then.edit.words;
    then.preview = withoutNotices(std::move(then.preview), toldOf(all.edit));
    std::move(then.edit.acts.begin(), then.edit.acts.end(), std::back_inserter(all.edit.acts));
    std::move(then.edit.notices.begin(), then.edit.notices.end(),
              std::back_inserter(all.edit.notices));
    all.preview = withoutStop(std::move(all.preview)) + "; then " + then.preview;
    all.them = then.them.empty() ? all.them : then.them;
    return std::move(*first);
}

/// The line with the names of what was spoken of last, likeliest first.
std::vector<std::string> ofWhatWasSpoken(std::string_view text, const Project& job,
                                         const Listener& to) {
    const std::vector<int>& them = to.them;
    std::vector<std::string> out;
    const auto add = [&](std::vector<std::string> lines) {
        std::move(lines.begin(), lines.end(), std::back_inserter(out));
    };
    if (const auto named = ofThoseSpoken(text, job, them); !named.empty()) {
        out.push_back(named);
        add(inOtherWords(named, job, false));
    }
    if (auto other = insteadOfThose(text, job, them); !other.empty())
        out.push_back(std::move(other));
    // As large as the one there is.
    for (auto more : {onTheOtherSide(text, job, to), moreOfThose(text, job, them),
                      madeSeveral(text, job, them)})
        if (!more.empty()) {
            add(asMeant(more, job));
            out.push_back(std::move(more));
        }
    if (const auto more = anotherOfThose(text, job, them); !more.empty()) {
        add(asMeant(more, job)); // as large as the one there is, first
        out.push_back(more);
        add(inOtherWords(more, job, false));
    }
    return out;
}

} // namespace

Result<Spoken> readInParts(std::string_view text, const Project& job, const Listener& to,
                           const Stopped& stopped, int most, std::optional<Problem>* why) {
    std::optional<Problem> first; // what is asked of what is meant first
    // "hutch to the right too" is another, and no step of the one there.
    if (const auto too = isText(text) ? onThatSideToo(text, job, to) : std::string(); !too.empty())
        if (auto meant = readAsSaid(too, job, to, stopped))
            return meant;
    if (isText(text) && text.size() <= 300)
        for (const auto& named : {std::string(text), theirNames(text, job, to.them)})
            for (const auto& line : meantFirst(named, job)) {
                auto meant = readAsSaid(line, job, to, stopped);
                if (meant)
                    return meant;
                if (!first && asksFirst(meant.problem())) {
                    first = meant.problem();
                    first->width = static_cast<int>(characterCount(text));
                }
            }
    auto said = readAsSaid(text, job, to, stopped);
    if (isText(text) && text.size() <= 300)
        if (auto there = whereItBelongs(text, said, job, to, stopped))
            return std::move(*there);
    if (!said && first)
        return *first;
    if (said || !isText(text) || (stopped && stopped()))
        return said;
    // What is understood otherwise, and asked about, is asked about as it was said.
    const auto asked = [&](const Result<Spoken>& s) { return !s && asksFirst(s.problem()); };
    if (asked(said))
        return readClear(said, text, job, to, stopped);
    std::optional<Problem> asks;
    const bool ofThings = isOfThings(text, job);
    auto wordings = ofThings ? asMeant(text, job) : inOtherWords(text, job, most == sentences);
    if (auto each = oneForEach(std::string(trimmed(text)), job, to.them); !each.empty())
        wordings.push_back(std::move(each));
    auto spoken = ofWhatWasSpoken(text, job, to);
    wordings.insert(wordings.begin(), spoken.begin(), spoken.end());
    const std::size_t ofThem = wordings.size();
    const auto meanThem = [&](std::string_view line) {
        if (const auto named = theirNames(line, job, to.them); !named.empty()) {
            for (auto& other : asMeant(named, job))
                wordings.push_back(std::move(other));
            wordings.push_back(named); // "does it fit?"
        }
    };
    meanThem(text);
    for (std::size_t i = 0; i < ofThem && !ofThings; ++i)
        meanThem(std::string(wordings[i]));
    std::optional<Problem> missing;
    std::optional<Problem> several;
    std::optional<Problem> unit;
    for (std::size_t i = 0; i < wordings.size(); ++i) {
        auto heard = readAsSaid(wordings[i], job, to, stopped);
        // What they are said by their names goes on being them.
        if (heard && i >= ofThem)
            heard->said.them = to.them;
        if (!heard && !asks && asked(heard))
            heard = readClear(heard, wordings[i], job, to, stopped);
        if (heard)
            return heard;
        if (!missing)
            missing = whatIsMissing(heard.problem(), text);
        if (!several)
            several = whatIsOneOfSeveral(heard.problem(), text);
        // The one that was understood the farthest.
        if (why != nullptr && !heard.problem().unknown && heard.problem().notThere.empty() &&
            (!*why || heard.problem().column > (*why)->column))
            *why = heard.problem();
        // Which unit a figure is in is asked before all else.
        if (!unit && asksUnit(heard.problem())) {
            unit = heard.problem();
            unit->column = 1;
            unit->width = static_cast<int>(characterCount(text));
        }
        if (!asks && asked(heard)) {
            asks = heard.problem();
            asks->width = static_cast<int>(characterCount(text));
        }
    }
    if (asks)
        return *asks;
    if (unit && !asksUnit(said.problem()) && said.problem().notThere.empty() &&
        said.problem().oneOfSeveral.empty())
        return *unit;
    if (several && said.problem().oneOfSeveral.empty() && said.problem().notThere.empty())
        said = *several;
    else if (missing && (said.problem().unknown || said.problem().nameless))
        said = *missing;
    // "bowl and two candlesticks on the sideboard" is of things, and two.
    if (most < 2 || (ofThings && foldCase(text).find(" and ") == std::string::npos))
        return said;
    for (const auto& parts : inTwoParts(text)) {
        std::optional<Problem> second;
        if (auto heard = oneAfterTheOther(parts, job, to, stopped, most, second))
            return std::move(*heard);
        if (!second || second->column == 0)
            continue;
        // What the second part meets is told where it stands.
        second->column += static_cast<int>(characterCount(text) - characterCount(parts.second));
        return *second;
    }
    return said;
}

Result<Spoken> readSpoken(std::string_view text, const Project& job, const Listener& heard,
                          const Stopped& stopped) {
    // What was spoken of may be gone since: undone, or taken out.
    Listener to = heard;
    std::erase_if(to.them, [&](int id) { return job.scheme().byId(id) == nullptr; });
    const bool gone = !heard.them.empty() && to.them.empty();
    if (gone && isBroughtBack(text, heard.before)) {
        Spoken back;
        back.is = Spoken::Is::undo;
        return back;
    }
    if (const auto supposing = isText(text) ? supposed(text) : std::vector<std::string>();
        !supposing.empty()) {
        std::optional<Problem> why;
        for (const auto& line : supposing) {
            auto said = readSpoken(line, job, to, stopped);
            if (said && said->is == Spoken::Is::edit && !said->said.edit.acts.empty())
                return whatWouldCome(job, std::move(said->said));
            if (!why && !said)
                why = said.problem();
        }
        if (why) {
            why->column = 1;
            why->width = static_cast<int>(characterCount(text));
            return *why;
        }
    }
    if (isText(text) && isQuestion(text))
        if (auto home = askedAtHome(text, job, to, stopped))
            return std::move(*home);
    // "hm, turn it round": what only begins a line, where no piece is called so.
    if (const auto opens = isText(text) ? openingWords(text) : 0;
        opens > 0 && !WordsReader(text, job).nameAhead()) {
        auto said = readSpoken(text.substr(opens), job, to, stopped);
        if (!said && said.problem().column > 0) {
            Problem p = said.problem();
            p.column += static_cast<int>(characterCount(text.substr(0, opens)));
            return p;
        }
        return said;
    }
    std::optional<Problem> why; // what was meant can't be done
    auto said = readInParts(text, job, to, stopped, sentences, &why);
    // What is said to be by something that isn't there is no matter of looks.
    if (!said && isText(text) && !asksFirst(said.problem()) && said.problem().notThere.empty() &&
        !(stopped && stopped()))
        if (auto plain = withItsLooks(text, job, to, stopped))
            return std::move(*plain);
    if (!said && isText(text) && !asksFirst(said.problem()) && !(stopped && stopped()))
        if (auto plain = asPlainPiece(text, job, to, stopped))
            return std::move(*plain);
    if (!said && !asksFirst(said.problem()))
        for (const auto& no : {onASill(text), onADoorLeaf(text), nothingOnIt(text, job)})
            if (no)
                return *no;
    if (!said && gone)
        if (auto out = isTakenOut(text))
            return std::move(*out);
    if (!said && isText(text) && isQuestion(text) && !asksFirst(said.problem()) &&
        (said.problem().unknown || said.problem().nameless) && said.problem().notThere.empty() &&
        said.problem().oneOfSeveral.empty())
        if (auto answer = byItsGist(text, job, to, stopped))
            return std::move(*answer);
    if (!said)
        if (auto which = whichWall(text, *job.room))
            return std::move(*which);
    // Understood otherwise, and refused: that says more than a word that isn't known.
    if (!said && why && said.problem().unknown) {
        why->column = 1;
        why->width = static_cast<int>(characterCount(text));
        return *why;
    }
    return said;
}

std::vector<QuestionHelp> questionHelp() {
    std::vector<QuestionHelp> out;
    for (const auto* table : questionTables())
        for (const Question& q : *table)
            out.push_back({q.says, q.example});
    return out;
}

} // namespace mezzet
