#include "judge/say.h"

#include "edit/words_reader.h"
#include "judge/accept.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

namespace {

/// What was stopped did nothing, and says so.
void unlessStopped(WordsReader& in, const Stopped& stopped) {
    if (stopped && stopped())
        in.fail(0, 4, "the mending was stopped", "nothing was changed");
}

Said mendEverything(WordsReader& in, const Stopped& stopped) {
    MendAsked asked;
    asked.stopped = stopped;
    if (in.take({"within", "by at most", "moving at most"}))
        asked.largestMove = in.length("the largest move");
    if (!in.done())
        in.failAhead(worded("“{}” is left over", in.rest()), "say it like: mend all within 18");
    auto mended = mendAll(in.job(), asked);
    unlessStopped(in, stopped);
    if (mended.before == 0)
        in.fail(0, 4, "there is nothing to mend", "");
    if (mended.lines.empty())
        in.fail(0, 4, "nothing can be mended without upsetting as much",
                "look at the remedies one by one, unlock a piece, or allow a larger move");
    Said said;
    said.edit = std::move(mended.edit);
    said.preview = worded("Mends {} of {}: {}", mended.before - mended.after, mended.before,
                          listed(mended.lines, "and"));
    return said;
}

/// "mend sofa", "mend it": the only one that was spoken of; all where none was.
Said mendOne(WordsReader& in, const std::vector<int>& them, const Stopped& stopped) {
    in.article();
    const std::size_t at = in.at();
    const bool it = !in.nameAhead() && in.take({"it", "this", "that"});
    if (it && them.empty())
        return mendEverything(in, stopped);
    const int id = it ? (them.size() == 1 ? them.front() : 0) : in.piece();
    if (id == 0)
        in.failAhead("mend what?", "say it like: mend all, or: mend sofa");
    if (!in.done())
        in.failAhead(worded("“{}” is left over", in.rest()), "take it out");
    const Project& job = in.job();
    const auto scene = sceneOf(job);
    if (!scene)
        throw LineFault{scene.problem()};
    const auto all = judgeWhole(**scene, *job.library.book, job.judgement, stopped);
    auto own = toMendByWeight(all.readings);
    std::erase_if(own, [&](const Reading* r) { return !r->isAbout(id); });
    for (const Reading* r : own)
        if (auto remedy = remedyFor(*r, job, **scene, all, stopped))
            return {remedy->edit, remedy->preview, {}};
    unlessStopped(in, stopped);
    in.fail(at, in.at() - at,
            own.empty()
                ? worded("there is nothing to mend about {}", scene->get()->pieceById(id)->name)
                : worded("no move or size mends it alone"),
            "");
}

/// "accept coffee table because …", "accept seat-to-table of coffee table, because …"; and "judge
/// coffee table again".
Said acceptSome(WordsReader& in, bool again, const Stopped& stopped) {
    const Project& job = in.job();
    std::string rule;
    for (const Rule& r : job.library.book->rules)
        if (in.take({std::string_view(r.id)})) {
            rule = r.id;
            break;
        }
    if (!rule.empty())
        in.take({"of", "for", "at"});
    in.article();
    const std::size_t at = in.at();
    const bool room = in.take({"room", "whole room"});
    const int id = room ? 0 : in.piece();
    if (id == 0 && !room && rule.empty())
        in.failAhead("accept what?", "say it like: accept sofa because the dog lies there");
    std::string reason;
    if (again) {
        if (!in.take({"again"}) || !in.done())
            in.failAhead("“again” is missing", "say it like: judge sofa again");
    } else {
        in.comma();
        if (!in.take({"because of", "because", "since", "as", "for"}) || in.done())
            in.failAhead("say why it is left as it is",
                         "say it like: accept sofa because the dog lies there");
        reason = std::string(trimmed(in.rest()));
    }
    const auto scene = sceneOf(job);
    if (!scene)
        throw LineFault{scene.problem()};
    const auto all = judgeWhole(**scene, *job.library.book, job.judgement, stopped);
    std::vector<const Reading*> which;
    bool clash = false;
    for (const Reading& r : all.readings) {
        if ((!rule.empty() && r.rule->id != rule) || (id != 0 && !r.isAbout(id)) ||
            (again ? !r.accepted : !r.toMend()))
            continue;
        clash = clash || r.verdict == Verdict::clash;
        if (again || canBeAccepted(r))
            which.push_back(&r);
    }
    if (which.empty())
        in.fail(at, std::max<std::size_t>(in.at() - at, 1),
                again   ? "nothing of it is accepted"
                : clash ? "two things in one place can't be accepted"
                        : "there is nothing to mend about it",
                "");
    const Wording say = job.wording();
    Said said;
    said.edit = again ? judgingAgain(which, job.scheme(), say)
                      : accepting(which, reason, job.scheme(), say);
    std::vector<std::string> told;
    for (const Reading* r : which)
        told.push_back(worded("{}, {}", titleWithSubject(*r, say), words(r->value, say.notation)));
    said.preview = again ? worded("Judges again {}", listed(told, "and"))
                         : worded("Leaves as it is {}: {}", listed(told, "and"), reason);
    if (id != 0)
        said.them = {id};
    return said;
}

/// "fix it", "put that right": whatever was spoken of.
bool isMendingIt(std::string_view folded) {
    for (const std::string_view verb :
         {"fix ", "correct ", "solve ", "sort ", "sort out ", "put right "})
        for (const std::string_view it : {"it", "this", "that"})
            if (folded.starts_with(verb) && folded.substr(verb.size()) == it)
                return true;
    return false;
}

} // namespace

bool takesLong(std::string_view text) {
    const auto folded = foldCase(trimmed(text));
    return folded.starts_with("mend") || isMendingIt(folded);
}

Result<Said> readSaid(std::string_view text, const Project& job, int selected, SurfaceId surface,
                      const Stopped& stopped) {
    return readSaid(text, job, listening(selected, surface), stopped);
}

Result<Said> readSaid(std::string_view text, const Project& job, const Listener& to,
                      const Stopped& stopped) {
    const auto folded = foldCase(trimmed(text));
    const bool accepts = folded.starts_with("accept ");
    const bool again = folded.starts_with("judge ") && folded.ends_with(" again");
    const bool fixes = isMendingIt(folded);
    if ((!takesLong(text) && !fixes && !accepts && !again) || !isText(text) || text.size() > 2000)
        return readLine(text, job, to);
    try {
        WordsReader in(text, job, to.them);
        if (accepts && in.take({"accept"}))
            return acceptSome(in, false, stopped);
        if (again && in.take({"judge"}))
            return acceptSome(in, true, stopped);
        if (in.take({"mend all", "mend everything", "mend all i can"}))
            return mendEverything(in, stopped);
        if (in.take({"mend", "fix", "correct", "solve", "put right", "sort out", "sort"}))
            return mendOne(in, to.them, stopped);
    } catch (const LineFault& f) {
        return f.problem;
    }
    return readLine(text, job, to);
}

} // namespace mezzet
