#include "judge/guard.h"

#include "judge/remedy.h"
#include "judge/rule_code.h"
#include "measure/texts.h"

#include <algorithm>
#include <array>

namespace mezzet {

namespace {

/// What is no worse: half of a hundredth of a millimetre either way.
constexpr double same = 0.01;

/// Judged by how wide the way is, told or not.
bool isWay(const Rule& r) {
    return r.id == "walkway-main" || r.id == "walkway-minor";
}

/// A way that is narrower than it was, and than it should be.
const WayWidth* narrowed(const Judged& before, const Judged& after) {
    for (const WayWidth& w : after.ways) {
        if (w.width >= w.wanted - same)
            continue;
        const auto old = std::find_if(before.ways.begin(), before.ways.end(),
                                      [&](const WayWidth& b) { return b.sameAs(w); });
        // A thing that is new has to be reached.
        if (old == before.ways.end() || w.width < old->width - same)
            return &w;
    }
    return nullptr;
}

const Reading* worsened(const Judged& before, const Judged& after) {
    for (const Reading& r : after.readings) {
        if (!r.toMend() || isWay(*r.rule) || !isGuarded(*r.rule))
            continue;
        const auto old = std::find_if(before.readings.begin(), before.readings.end(),
                                      [&](const Reading& b) { return b.sameAs(r); });
        if (old == before.readings.end() || !old->toMend())
            return &r;
        const double by = r.verdict == Verdict::tight || r.rule->id == "door-swing"
                              ? old->value.value - r.value.value
                              : r.value.value - old->value.value;
        if (by > same || r.second.value > old->second.value + same)
            return &r;
    }
    return nullptr;
}

} // namespace

bool isGuarded(const Rule& r) {
    constexpr std::array<std::string_view, 7> ids{"clash",         "inside",       "headroom",
                                                  "door-swing",    "walkway-main", "walkway-minor",
                                                  "turning-circle"};
    return std::find(ids.begin(), ids.end(), r.id) != ids.end();
}

bool isOfWays(const Rule& r) {
    return isWay(r) || r.id == "turning-circle";
}

std::string harmOf(const Judged& before, const Judged& after, const Wording& then) {
    if (const Reading* r = worsened(before, after))
        return sentenceOf(*r, then);
    if (const WayWidth* w = narrowed(before, after))
        return worded("the way to {} becomes {}", words(w->goal, then),
                      words(Amount{Quantity::length, w->width}, then.notation));
    return {};
}

bool harms(const Judged& before, const Judged& after) {
    return worsened(before, after) != nullptr || narrowed(before, after) != nullptr;
}

FoundAgain foundAgain(const Reading& r, const Judged& after, const std::vector<Reading>& before) {
    FoundAgain out;
    if (isWay(*r.rule)) {
        for (const WayWidth& w : after.ways)
            if (w.isOf(r)) {
                out.value = w.width;
                out.mended = w.width >= w.wanted - same;
            }
        return out;
    }
    for (const Reading& now : after.readings)
        if (now.sameAs(r)) {
            out.value = now.value.value;
            out.mended = !now.toMend();
        }
    if (out.value)
        return out;
    const RuleCode* code = codeOf(r.rule->id);
    if (code == nullptr)
        return out;
    // Another of its kind about the same piece, that was not there or not wrong before.
    const auto another = [&](const Reading& now) {
        return now.rule == r.rule && now.piece == r.piece && now.part == r.part &&
               now.also == r.also && now.inUse == r.inUse;
    };
    if (code->goneWhenMended) {
        out.mended =
            std::none_of(after.readings.begin(), after.readings.end(), [&](const Reading& now) {
                return now.rule == r.rule && now.piece == r.piece && isUpset(now, before);
            });
        return out;
    }
    if (!code->toNearest)
        return out;
    // What it is measured to is whatever is nearest: now it is another thing.
    for (const Reading& now : after.readings)
        if (another(now)) {
            const bool first = !out.value;
            out.value = first || now.toMend() ? now.value.value : *out.value;
            out.mended = (first || out.mended) && !now.toMend();
        }
    return out;
}

} // namespace mezzet
