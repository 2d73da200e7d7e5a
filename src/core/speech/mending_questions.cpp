// What is wrong, and what would mend it.
#include "edit/language.h"
#include "edit/words_reader.h"
#include "judge/remedy.h"
#include "judge/say.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/spoken.h"
#include "scheme/surfaces.h"
#include "speech/questions.h"

#include <algorithm>

namespace mezzet {

namespace {

/// What is to mend about a piece, or in all for 0, the weightiest first; `how`: with the line that
/// mends each.
/// `own`: not what only happens to be measured to it.
Answer toMendOf(const Asking& a, int id, bool how, bool itself = false) {
    const auto all = judge(*a.scene, *a.job.library.book, a.job.judgement);
    std::vector<const Reading*> own;
    for (const Reading* r : toMendByWeight(all))
        if (id == 0 || (itself ? r->piece == id || r->also == id || r->other == pieceTarget(id)
                               : r->isAbout(id)))
            own.push_back(r);
    Answer out;
    if (id != 0)
        out.about = {id};
    if (own.empty()) {
        out.words = id == 0
                        ? worded("Nothing is to mend")
                        : worded("{}: nothing is to mend about it", a.scene->pieceById(id)->name);
        return out;
    }
    // Two that say the same, as of a table and each of two chairs, are told once.
    std::vector<std::string> told;
    std::erase_if(own, [&](const Reading* r) {
        auto sentence = sentenceOf(*r, a.wording());
        if (std::find(told.begin(), told.end(), sentence) != told.end())
            return true;
        told.push_back(std::move(sentence));
        return false;
    });
    constexpr std::size_t most = 3;
    for (std::size_t i = 0; i < std::min(most, own.size()) && a.goesOn(); ++i) {
        const auto sentence = withoutStop(told[i]);
        out.words += (i == 0 ? "" : ". ") + sentence;
        if (how) {
            const auto remedy = remedyFor(*own[i], a.job, *a.scene, all);
            out.words += remedy ? worded("; say: {}", remedy->line)
                                : std::string(mezzet::told("; no single move mends it"));
        }
        if (own[i]->rule->seenInPlan || !own[i]->surface.isFloor())
            out.marks.push_back({own[i]->surface, own[i]->at[0], own[i]->at[1], ""});
        if (id == 0 && own[i]->piece != 0)
            out.about.push_back(own[i]->piece);
    }
    if (own.size() > most)
        out.words += worded(", and {} more", own.size() - most);
    return out;
}

/// "is the pendant too low?": what the rules say of how high it hangs; none where no rule does.
std::optional<Answer> howHighItHangs(const Asking& a, int id) {
    Answer out;
    out.about = {id};
    const Piece& p = *a.scene->pieceById(id);
    std::string now;
    if (p.kind->underCeiling())
        now = worded("{} hangs with its underside at {}, and is {} high", p.name,
                     writeGap(bottomOf(*a.scene, p, *a.scene->byId(id)), a.job.notation),
                     writeGap(p.size.height, a.job.notation));
    else if (p.onWall())
        now = worded("{} hangs with its centre at {}", p.name,
                     writeGap(Length::millimetres(a.scene->byId(id)->pose.at.y), a.job.notation));
    constexpr int most = 3;
    int count = 0;
    for (const Reading& r : judge(*a.scene, *a.job.library.book, a.job.judgement)) {
        if (count == most || r.piece != id || r.rule->quantity != Quantity::length ||
            r.rule->seenInPlan || r.inUse || (!r.band.low && !r.band.high) ||
            r.rule->id == "protrude")
            continue;
        out.words += (out.words.empty() ? "" : ". ") + withoutStop(sentenceOf(r, a.wording()));
        ++count;
        if (!r.surface.isFloor())
            out.marks.push_back({r.surface, r.at[0], r.at[1], ""});
    }
    if (out.words.empty() && !now.empty())
        out.words = worded("{}: nothing is to mend about it", p.name);
    if (!now.empty())
        out.words = now + (out.words.empty() ? "" : ". ") + out.words;
    return out.words.empty() ? std::nullopt : std::optional(std::move(out));
}

/// "what is wrong?", "why is this red?", "is the sofa ok?"
std::optional<Answer> whatIsWrong(Asking& a) {
    const auto began = a.in.since(0);
    int id = 0;
    const bool whole = began.starts_with("what");
    if (whole) {
        if (a.in.take({"with", "about"})) {
            a.in.article();
            if (!a.in.take({"the room", "room", "this room", "this plan", "plan", "it all",
                            "everything", "layout", "this layout"}))
                id = a.piece();
        } else {
            a.in.take({"here", "in here", "first", "next"});
        }
    } else {
        a.in.take({"is", "are"});
        a.in.article();
        if (a.in.take({"room", "everything", "all"})) {
            id = 0;
        } else {
            id = a.piece();
        }
        // "is the table too far from the sofa?": the distance, and what the rules say of it.
        if (id != 0 && a.in.take({"too far from", "too close to", "too near", "far enough from",
                                  "close enough to", "near enough to", "too far away from"}))
            return howFarFrom(a, pieceTarget(id));
        if (id != 0 && a.in.take({"too big", "too small", "too large", "too wide", "too narrow",
                                  "too long", "too short", "too deep", "too shallow", "too tall",
                                  "big enough", "wide enough", "long enough", "large enough",
                                  "small enough", "deep enough", "tall enough"})) {
            a.in.take({"here", "in here", "for the room", "for this room", "for here"});
            a.end();
            return toMendOf(a, id, false, true);
        }
        a.in.take({"hung", "hanging"});
        if (id != 0 && a.in.take({"too low", "too high", "low enough", "high enough",
                                  "at the right height", "the right height", "at a good height",
                                  "right height", "low enough over", "too low over"})) {
            a.in.take({"over the table", "above the table", "over it", "on the wall"});
            a.end();
            return howHighItHangs(a, id);
        }
        if (!a.in.take({"red",   "yellow",    "amber",   "orange",     "highlighted", "marked",
                        "wrong", "not right", "bad",     "in red",     "flagged",     "ok",
                        "okay",  "right",     "fine",    "all right",  "alright",     "good",
                        "amber", "orange",    "to mend", "well placed"}))
            return {};
    }
    a.end();
    return toMendOf(a, id, false);
}

/// "how is the sofa mended?", "how is it mended?": of what is wrong with it, or of all.
std::optional<Answer> howMended(Asking& a) {
    int id = 0;
    if (!a.in.take({"everything", "all"}) &&
        !(a.selected == 0 && a.in.take({"it", "this", "that"})))
        id = a.piece();
    if (!a.in.take({"mended", "put right"}))
        return {};
    a.end();
    return toMendOf(a, id, true);
}

} // namespace

const std::vector<Question>& mendingQuestions() {
    static const std::vector<Question> all{
        {{"what is wrong", "what's wrong", "whats wrong", "what is to mend", "what should i mend",
          "what should i fix", "what is not right", "why is", "why are", "is", "are", "why"},
         &whatIsWrong,
         "what is to mend, of all or of one piece, and why",
         "what is wrong?; why is sofa red?; is sofa ok?"},
        {{"how is", "how are"},
         &howMended,
         "what would mend what is wrong with a piece, or with all, as lines to say",
         "how is sofa mended?"},
    };
    return all;
}

} // namespace mezzet
