#include "judge/judging.h"

#include "judge/accept.h"
#include "judge/guard.h"

#include <algorithm>

namespace mezzet {

Judging::Judging(const Scene& scene, const RuleBook& book, const Judgement& judgement,
                 const Stopped& stopped)
    : scene_(scene), book_(book), judgement_(judgement), stopped_(stopped), shared_(scene, book),
      read_(book.rules.size(), 0) {
    judged_.readings.reserve(scene.all.size() * 2);
}

void Judging::read(const Rule& rule) {
    char& done = read_[static_cast<std::size_t>(&rule - book_.rules.data())];
    const auto* code = codeOf(rule.id);
    if (done != 0 || code == nullptr || judged_.stopped)
        return;
    done = 1;
    if (!code->after.empty())
        if (const Rule* first = book_.byId(code->after))
            read(*first);
    const JudgeContext context{
        book_,        rule,    judgement_.bandOf(rule), judged_.readings, judgement_, shared_,
        judged_.ways, stopped_};
    if (code->judge.floor != nullptr)
        code->judge.floor({context, FloorView(scene_)});
    if (code->judge.walls != nullptr)
        code->judge.walls({context, WallsView(scene_)});
    if (code->judge.ceiling != nullptr)
        code->judge.ceiling({context, CeilingView(scene_)});
    if (code->judge.units != nullptr)
        code->judge.units({context, scene_, shared_.units()});
    judged_.stopped = judged_.stopped || (stopped_ && stopped_());
}

void Judging::readEach(const std::function<bool(const Rule&)>& which) {
    for (const Rule& rule : book_.rules)
        if (which(rule))
            read(rule);
}

bool Judging::readAll(const Judged* before) {
    if (before != nullptr) {
        readEach([](const Rule& r) { return isGuarded(r) && !isOfWays(r); });
        if (harms(*before, judged_))
            return false;
        readEach([](const Rule& r) { return isGuarded(r); });
        if (harms(*before, judged_))
            return false;
    }
    readEach([](const Rule&) { return true; });
    return true;
}

Judged Judging::take() {
    // Rules are as they lie in the book, and a rule's own readings keep their order.
    std::stable_sort(judged_.readings.begin(), judged_.readings.end(),
                     [](const Reading& a, const Reading& b) { return a.rule < b.rule; });
    std::stable_sort(judged_.ways.begin(), judged_.ways.end(),
                     [](const WayWidth& a, const WayWidth& b) { return a.rule < b.rule; });
    markAccepted(judged_.readings, *scene_.scheme);
    return std::move(judged_);
}

Judged judgeWhole(const Scene& scene, const RuleBook& book, const Judgement& judgement,
                  const Stopped& stopped) {
    Judging all(scene, book, judgement, stopped);
    all.readAll();
    return all.take();
}

std::vector<Reading> judge(const Scene& scene, const RuleBook& book, const Judgement& judgement) {
    return judgeWhole(scene, book, judgement).readings;
}

} // namespace mezzet
