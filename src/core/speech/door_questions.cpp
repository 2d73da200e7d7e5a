// Questions about the leaves of doors: whether one opens, and what it meets.
#include "geometry/gap.h"
#include "judge/remedy.h"
#include "judge/say.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/spoken.h"
#include "scheme/words.h"
#include "speech/questions.h"

#include <algorithm>

namespace mezzet {

namespace {

/// Whether a reading is of an opening's own leaf, and no way through it.
bool isOfLeaf(const Reading& r, const Target& opening) {
    return (r.other == opening && !r.rule->id.starts_with("walkway")) ||
           (r.from == opening && r.rule->id == "door-swing");
}

/// "will the door hit the sideboard?": how far its leaf's sweep is from that.
Answer doesItHit(Asking& a, const Target& door, bool clears) {
    const auto& openings = a.job.room->openings;
    const auto leaf = std::find_if(openings.begin(), openings.end(),
                                   [&](const Opening& o) { return targetOf(o) == door; });
    const int id = a.piece();
    a.end();
    Answer out;
    out.about = {id};
    const auto name = spoken(door, a.wording());
    const auto& piece = *a.scene->pieceById(id);
    const auto swing = leaf != openings.end() ? doorSwing(*a.job.room, *leaf) : std::nullopt;
    if (!swing) {
        out.words = worded("No leaf of {} swings into the room", name);
        return out;
    }
    const Placed* there = a.scene->fromAbove(id);
    if (there == nullptr || piece.kind->underCeiling()) {
        out.words =
            worded("{} hangs: only what stands on the floor is measured to a leaf", piece.name);
        return out;
    }
    const Gap g = gapBetween(there->shape, *swing);
    const Length touching = Length::millimetres(0.5); // nearer than one can tell
    const Length clear = g.clear() < Length{} && -g.clear() < touching ? Length{} : g.clear();
    const auto gap = writeGap(clear < Length{} ? -clear : clear, a.job.notation);
    if (clear >= Length{})
        out.words = clears ? worded("Yes: the leaf of {} clears {} by {}", name, piece.name, gap)
                           : worded("No: the leaf of {} clears {} by {}", name, piece.name, gap);
    else if (!piece.kind->flat())
        out.words =
            clears
                ? worded("No: the leaf of {} meets {}, {} into its swing", name, piece.name, gap)
                : worded("Yes: the leaf of {} meets {}, {} into its swing", name, piece.name, gap);
    else {
        for (const Reading& r : judge(*a.scene, *a.job.library.book, a.job.judgement))
            if (r.piece == id && isOfLeaf(r, door))
                out.words += (out.words.empty() ? "" : " ") + sentenceOf(r, a.wording());
        if (out.words.empty())
            out.words = worded("The leaf of {} passes over {}", name, piece.name);
    }
    return out;
}

/// "can the door open all the way?": what stands or hangs where its leaf goes.
std::optional<Answer> doesItOpen(Asking& a) {
    a.in.article();
    Target t;
    try {
        t = a.in.target(false);
    } catch (const LineFault& f) {
        if (!f.problem.oneOfSeveral.empty()) // which door?
            throw;
        return {};
    }
    if (t.is != Target::Is::door && t.is != Target::Is::window)
        return {};
    a.in.take({"still"});
    const bool clears = a.in.take({"clear", "miss"});
    const bool meets =
        clears || a.in.take({"hit", "touch", "meet", "catch", "bang into", "bump into", "bump",
                             "bang", "knock into", "run into", "swing into", "open into"});
    if (meets && !a.in.take({"anything", "something", "any furniture", "everything"}))
        return doesItHit(a, t, clears);
    if (!meets &&
        !a.in.take({"open", "close", "swing", "shut", "opens", "fully open", "open into the room"}))
        return {};
    a.in.take({"fully", "all the way", "properly", "completely", "wide", "freely"});
    const auto name = spoken(t, a.wording());
    a.end();
    Answer out;
    for (const Reading& r : judge(*a.scene, *a.job.library.book, a.job.judgement)) {
        if (!r.toMend() || !isOfLeaf(r, t))
            continue;
        if (r.piece != 0)
            out.about.push_back(r.piece);
        out.words += (out.words.empty() ? "" : " ") + sentenceOf(r, a.wording());
    }
    if (out.words.empty())
        out.words = worded("Nothing is in the way of {}", name);
    return out;
}

} // namespace

const std::vector<Question>& doorQuestions() {
    static const std::vector<Question> all{
        {{"can", "will", "does", "do", "could"},
         &doesItOpen,
         "whether a door or a window opens, and what is in its way",
         ""},
    };
    return all;
}

} // namespace mezzet
