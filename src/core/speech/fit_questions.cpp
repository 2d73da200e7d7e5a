// Whether a piece fits: one seen in a shop, one that is there, at a place that is said.
#include "speech/fit_questions.h"

#include "edit/arrange.h"
#include "edit/language.h"
#include "edit/line.h"
#include "edit/phrase.h"
#include "fits/ask.h"
#include "fits/fits.h"
#include "judge/remedy.h"
#include "judge/say.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/spoken.h"
#include "speech/asked_first.h"

#include <fmt/format.h>

#include <regex>

namespace mezzet {

/// What was found that fits, told in two sentences.
Answer answerOf(FitAnswer found) {
    Answer out;
    out.words = found.heading;
    for (std::size_t i = 0; i < std::min<std::size_t>(3, found.choices.size()); ++i)
        out.words += (i == 0 ? ": " : "; ") + found.choices[i].title +
                     (found.choices[i].detail.empty() ? "" : ", " + found.choices[i].detail);
    for (std::size_t i = 0; i < std::min<std::size_t>(2, found.reasons.size()); ++i) {
        if (out.words.find(found.reasons[i]) != std::string::npos)
            continue; // a choice has told it
        out.words = withoutStop(std::move(out.words)) + ". " + found.reasons[i];
    }
    out.choices = std::move(found.choices);
    return out;
}

Answer askedOfFits(const Asking& a, const std::string& question) {
    auto found = askWhatFits(question, a.job, a.selected, a.goesOn);
    if (!found) {
        Problem p = found.problem();
        p.column = 1;
        p.width = 0;
        throw LineFault{p};
    }
    return answerOf(std::move(*found));
}

namespace {

/// "does the rug fit?": what is to mend about it where it is.
Answer asItStands(const Asking& a, const Piece& p) {
    Answer out;
    out.about = {p.id};
    const auto all = judge(*a.scene, *a.job.library.book, a.job.judgement);
    constexpr int most = 3;
    int told = 0;
    for (const Reading* r : toMendByWeight(all))
        if (r->isAbout(p.id) && ++told <= most)
            out.words += (out.words.empty() ? "" : " ") + sentenceOf(*r, a.wording());
    if (out.words.empty())
        out.words = worded("{} fits where it is: nothing is to mend about it", p.name);
    else if (!p.kind->flat())
        out.words = worded("No place is better for {}. Where it is: {}", p.name, out.words);
    return out;
}

} // namespace

std::optional<Answer> couldItGo(Asking& a) {
    static const std::regex words(
        "(?:(the|my|our|this|that) )?(.+?) (?:go|stand|fit|hang|sit|live|be put|be placed|be hung) "
        "((?:on|in|at|under|by|near|next to|beside|between|against|along|in front of|behind|over|"
        "above|below|opposite|to the left of|to the right of|left of|right of) .+?)\\??",
        std::regex::icase | std::regex::optimize);
    const std::string rest(trimmed(a.in.rest()));
    std::smatch found;
    if (!std::regex_match(rest, found, words))
        return {};
    const std::size_t at = a.in.at();
    int id = 0;
    const std::string thing = found[2];
    WordsReader subject(thing, a.job, {});
    try {
        id = subject.piece();
        if (!subject.done())
            id = 0;
    } catch (const LineFault&) {
        id = 0;
    }
    if (id == 0)
        return found[1].matched
                   ? std::nullopt
                   : std::optional(askedOfFits(a, "does " + thing + " fit " + found[3].str()));
    const std::string name = a.job.scheme().byId(id)->name;
    const auto line = fmt::format("put {} {}", name, found[3].str());
    auto said = readSpoken(line, a.job, listening(a.selected));
    if (!said && asksFirst(said.problem())) // it is only tried
        said = readSpoken(line + " anyway", a.job, listening(a.selected));
    if (!said)
        a.in.fail(at, rest.size(), said.problem().what, said.problem().remedy);
    a.in.goTo(at + rest.size());
    if (said->is != Spoken::Is::edit)
        return {};
    Answer out = answerOf(fitsThere(a.job, said->said.edit, id));
    out.about = {id};
    return out;
}

/// How often a width goes into a length.
int wholes(Length length, Length width) {
    return width > Length{} ? static_cast<int>((length.mm() + 0.01) / width.mm()) : 0;
}

std::optional<Answer> doesItFit(Asking& a) {
    if (auto there = couldItGo(a))
        return there;
    // A piece that is there, at its own size.
    if (a.in.endOf("the") > 0 || a.in.nameAhead()) {
        const std::size_t at = a.in.at();
        a.in.article();
        // "the bed", of the only one.
        int id = 0;
        try {
            id = a.in.piece();
        } catch (const LineFault&) {
            a.in.goTo(at);
            a.in.article();
        }
        if (id != 0) {
            const Piece& p = *a.scene->pieceById(id);
            const bool whole = a.in.take({"fit", "fits", "come in", "go in", "get in", "come"});
            if (whole && (a.in.done() || a.in.ahead() == "?" || !phraseAhead(a.in, false))) {
                if (p.kind->flat())
                    return asItStands(a, p);
                // As one seen in a shop, in the room without it.
                Piece other = p;
                other.id = 0;
                other.ties.clear();
                Edit taken;
                taken.acts.emplace_back(RemovePiece{p.id});
                const auto without = apply(a.job, taken);
                auto found =
                    mezzet::doesItFit(without ? *without->project : a.job, other, a.goesOn);
                // Where nothing is better for what stands by it, it is told of where it stands.
                if (found.comesIn && !found.stands)
                    return asItStands(a, p);
                auto out = answerOf(std::move(found));
                out.about = {p.id};
                return out;
            }
        }
        a.in.goTo(at);
    }
    a.in.article();
    a.in.take({"room for"});
    a.in.article();
    std::string rest(trimmed(a.in.rest()));
    while (!rest.empty() && (rest.back() == '?' || rest.back() == ' '))
        rest.pop_back();
    for (const std::string_view more : {" in here", " in this room", " in the room", " there",
                                        " through the door", " through the doors", " in the door"})
        if (rest.ends_with(more))
            rest.resize(rest.size() - more.size());
    return askedOfFits(a, "does " + rest);
}

std::optional<Answer> howManyFit(Asking& a) {
    const std::size_t start = a.in.at();
    const auto none = [&]() -> std::optional<Answer> {
        a.in.goTo(start);
        return {};
    };
    KindPtr kind;
    try {
        a.in.take({"more"});
        kind = a.in.kind();
    } catch (const LineFault&) {
        return none();
    }
    if (!kind ||
        !a.in.take({"fit",         "would fit",   "could fit",   "will fit",    "can fit",
                    "go",          "can go",      "could go",    "would go",    "stand",
                    "can stand",   "can i fit",   "could i fit", "can we fit",  "can i get",
                    "could i get", "can we get",  "can i put",   "could i put", "can we put",
                    "can i have",  "can one get", "can you get", "can you fit", "can i stand"}))
        return none();
    a.in.take({"side by side", "in a row"});
    if (!a.in.take({"on", "along", "against", "at", "across"}))
        return none();
    a.in.article();
    const std::size_t at = a.in.at();
    Target t;
    try {
        t = a.in.target(false);
    } catch (const LineFault&) {
        return none(); // at a table, or another piece
    }
    a.in.take({"side by side", "in a row"});
    a.end();
    Answer out;
    const auto name = spoken(t, a.wording());
    if (const Fixture* built = fixtureOf(*a.job.room, t);
        built != nullptr && kind->isSeat() && !built->isPoint()) {
        // Seats along a counter, each with a diner's room.
        const Length each = elbowRoom(a.job);
        out.words =
            worded("{} along {}, with {} of it each", std::max(0, wholes(built->width, each)), name,
                   writeGap(each, a.job.notation));
        return out;
    }
    if (t.is != Target::Is::wall || kind->hangs() || kind->underCeiling())
        a.in.fail(at, std::max<std::size_t>(a.in.at() - at, 1), "things stand along a wall",
                  "say it like: how many bookcases fit on wall A?");
    const Piece one = pieceOf(kind);
    int count = 0;
    std::vector<std::string> parts;
    for (const Stretch& s : freeAlong(*a.scene, t.index, one.size.depth.mm(), one.size.height, 0)) {
        const Length free = Length::millimetres(s.second - s.first);
        const int here = wholes(free, one.size.width);
        if (here == 0)
            continue;
        count += here;
        parts.push_back(worded("{} where {} are free", here, writeGap(free, a.job.notation)));
        const Wall& w = a.job.room->walls[static_cast<std::size_t>(t.index)];
        out.marks.push_back({theFloor(), w.at(Length::millimetres(s.first)),
                             w.at(Length::millimetres(s.second)), writeGap(free, a.job.notation)});
    }
    const auto size = writeGap(one.size.width, a.job.notation);
    out.words = count == 0          ? worded("None: no free stretch of {} is {} wide", name, size)
                : parts.size() == 1 ? worded("{} on {}, each {} wide, in a free {}", count, name,
                                             size, out.marks.front().words)
                                    : worded("{} on {}, each {} wide: {}", count, name, size,
                                             fmt::format("{}", fmt::join(parts, ", ")));
    return out;
}

} // namespace mezzet
