#include "judge/say.h"

#include "edit/words_reader.h"
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

Said mendOne(WordsReader& in, const Stopped& stopped) {
    in.article();
    const std::size_t at = in.at();
    const int id = in.piece();
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
            own.empty() ? "there is nothing to mend about it" : "no move or size mends it alone",
            "");
}

} // namespace

bool takesLong(std::string_view text) {
    return foldCase(trimmed(text)).starts_with("mend");
}

Result<Said> readSaid(std::string_view text, const Project& job, int selected, SurfaceId surface,
                      const Stopped& stopped) {
    return readSaid(
        text, job,
        Listener{selected == 0 ? std::vector<int>{} : std::vector{selected}, surface, {}}, stopped);
}

Result<Said> readSaid(std::string_view text, const Project& job, const Listener& to,
                      const Stopped& stopped) {
    if (!takesLong(text) || !isText(text) || text.size() > 2000)
        return readLine(text, job, to);
    try {
        WordsReader in(text, job);
        if (in.take({"mend all", "mend everything", "mend all i can"}))
            return mendEverything(in, stopped);
        if (in.take({"mend"}))
            return mendOne(in, stopped);
    } catch (const LineFault& f) {
        return f.problem;
    }
    return readLine(text, job, to);
}

Result<Applied> runWholeScript(std::string_view script, std::string_view file, const Project& job) {
    return runScript(script, file, job,
                     [](std::string_view line, const Project& now) { return readSaid(line, now); });
}

} // namespace mezzet
