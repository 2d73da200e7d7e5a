#include "judge/accept.h"

#include "measure/texts.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

Accepted relationOf(const Reading& r) {
    Accepted a;
    a.rule = r.rule->id;
    a.piece = r.piece;
    a.other = r.other;
    a.also = r.also;
    a.part = r.part;
    a.inUse = r.inUse;
    a.goal = r.goal;
    a.from = r.from;
    a.value = r.value.value;
    return a;
}

bool isOf(const Accepted& a, const Reading& r) {
    if (a.rule != r.rule->id)
        return false;
    Reading then;
    then.rule = r.rule;
    then.piece = a.piece;
    then.other = a.other;
    then.also = a.also;
    then.part = a.part;
    then.inUse = a.inUse;
    then.goal = a.goal;
    then.from = a.from;
    return r.sameAs(then);
}

/// How far out of its band a value is.
double off(const Reading& r, double value) {
    if (r.band.low && value < *r.band.low)
        return *r.band.low - value;
    if (r.band.high && value > *r.band.high)
        return value - *r.band.high;
    return 0;
}

const Accepted* of(const Reading& r, const Scheme& s) {
    const auto it = std::find_if(s.accepted.begin(), s.accepted.end(),
                                 [&](const Accepted& a) { return isOf(a, r); });
    return it == s.accepted.end() ? nullptr : &*it;
}

} // namespace

bool canBeAccepted(const Reading& r) {
    return r.off() && r.verdict != Verdict::clash;
}

void markAccepted(std::vector<Reading>& all, const Scheme& s) {
    if (s.accepted.empty())
        return;
    for (Reading& r : all) {
        if (!canBeAccepted(r))
            continue;
        const Accepted* a = of(r, s);
        // No more than a hair worse: half a millimetre, or half a hundredth.
        const double hair = r.value.quantity == Quantity::length ? 0.5 : 0.005;
        r.accepted = a != nullptr && off(r, r.value.value) <= off(r, a->value) + hair;
    }
}

std::string_view whyAccepted(const Reading& r, const Scheme& s) {
    const Accepted* a = r.accepted ? of(r, s) : nullptr;
    return a != nullptr ? std::string_view(a->reason) : std::string_view();
}

Edit accepting(const std::vector<const Reading*>& which, std::string reason, const Scheme& s,
               const Wording& say) {
    SetAccepted all{s.accepted};
    for (const Reading* r : which) {
        std::erase_if(all.accepted, [&](const Accepted& a) { return isOf(a, *r); });
        all.accepted.push_back(relationOf(*r));
        all.accepted.back().reason = reason;
    }
    return {which.size() == 1 ? worded("accept {}", titleWithSubject(*which.front(), say))
                              : worded("accept {} readings", which.size()),
            {std::move(all)},
            {}};
}

Edit judgingAgain(const std::vector<const Reading*>& which, const Scheme& s, const Wording& say) {
    SetAccepted all{s.accepted};
    for (const Reading* r : which)
        std::erase_if(all.accepted, [&](const Accepted& a) { return isOf(a, *r); });
    return {which.size() == 1 ? worded("judge {} again", titleWithSubject(*which.front(), say))
                              : worded("judge {} readings again", which.size()),
            {std::move(all)},
            {}};
}

} // namespace mezzet
