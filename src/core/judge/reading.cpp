#include "judge/reading.h"

#include "hang/stock.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/spoken.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

void replaceAll(std::string& s, std::string_view what, const std::string& with) {
    for (auto at = s.find(what); at != std::string::npos; at = s.find(what, at + with.size()))
        s.replace(at, what.size(), with);
}

/// What a way leads to: "Bed 2 on its left side and 2 more", "it", "window 1".
std::string goalOf(const Reading& r, const Wording& w) {
    std::string out =
        r.goal == pieceTarget(r.piece) && r.part == 0 ? std::string(told("it")) : spoken(r.goal, w);
    if (r.part != 0) {
        const bool left = r.part == 1;
        if (r.goal == pieceTarget(r.piece))
            out = left ? told("its left side") : told("its right side");
        else
            out = left ? worded("the {}’s left side", spoken(r.goal, w))
                       : worded("the {}’s right side", spoken(r.goal, w));
    }
    if (r.second.quantity == Quantity::count && r.second.value > 1)
        out += worded(" and {:.0f} more", r.second.value - 1);
    return out;
}

std::string filled(std::string s, const Reading& r, const Wording& w) {
    const auto bound = [&](const std::optional<double>& b) {
        return b ? words(Amount{r.value.quantity, *b}, w.notation) : std::string();
    };
    auto value = words(r.value, w.notation);
    // Never "36, and 36 is needed": a value that rounds to the bound it misses says so.
    if (r.verdict == Verdict::tight && value == bound(r.band.low))
        value = "just under " + value;
    else if (r.verdict == Verdict::loose && value == bound(r.band.high))
        value = "just over " + value;
    if (s.starts_with("{value}") && value[0] == 'j')
        value[0] = 'J';
    replaceAll(s, "{value}", value);
    replaceAll(s, "{depth}", words(Amount{r.value.quantity, std::abs(r.value.value)}, w.notation));
    replaceAll(s, "{low}", bound(r.band.low));
    replaceAll(s, "{high}", bound(r.band.high));
    replaceAll(s, "{other}",
               r.other.is != Target::Is::none ? spoken(r.other, w)
               : r.to.is != Target::Is::none  ? spoken(r.to, w)
                                              : "none");
    if (r.from.is != Target::Is::none)
        replaceAll(s, "{from}", spoken(r.from, w));
    replaceAll(s, "{second}", words(r.second, w.notation));
    replaceAll(s, "{area unit}", isMetric(w.notation.units) ? "m²" : "sq ft");
    if (r.value.quantity == Quantity::ratio && r.value.value > 0)
        replaceAll(
            s, "{proportion}",
            proportionName(Length::millimetres(1000 * r.value.value), Length::millimetres(1000)));
    if (const Piece* also = r.also != 0 ? w.scheme.byId(r.also) : nullptr)
        replaceAll(s, "{also}", also->name);
    replaceAll(s, "{best}",
               words(Amount{r.value.quantity, r.band.bestLow.value_or(r.band.low.value_or(0))},
                     w.notation));
    if (s.find("{piece}") != std::string::npos)
        replaceAll(s, "{piece}", subjectOf(r, w));
    if (s.find("{goal}") != std::string::npos)
        replaceAll(s, "{goal}", goalOf(r, w));
    replaceAll(s, "{side}", r.part == 1 ? "left" : r.part == 2 ? "right" : "other");
    replaceAll(s, "{state}", r.inUse ? std::string(told(", chairs in use")) : "");
    replaceAll(s, "{for}", std::string(told(r.inUse ? "for guests" : "every day")));
    return r.rule->filled(std::move(s), w.notation);
}

} // namespace

std::string_view verdictName(Verdict v) {
    // texts
    constexpr std::string_view names[] = {"right", "tight", "loose", "clash", "note"};
    // end of texts
    return names[static_cast<std::size_t>(v)];
}

std::string titleOf(const Reading& r, const Wording& w) {
    return filled(r.rule->title, r, w);
}

std::string whyOf(const Reading& r, const Wording& w) {
    if (const auto other = r.rule->instead.find(std::string_view(r.instead));
        *r.instead != 0 && other != r.rule->instead.end())
        return filled(other->second, r, w);
    switch (r.verdict) {
    case Verdict::tight:
        return filled(r.rule->tight, r, w);
    case Verdict::loose:
        return filled(r.rule->loose, r, w);
    case Verdict::clash:
        return filled(r.rule->loose.empty() || (r.band.low && r.value.value < *r.band.low)
                          ? r.rule->tight
                          : r.rule->loose,
                      r, w);
    case Verdict::note:
        if (!r.rule->note.empty())
            return filled(r.rule->note, r, w);
        break;
    case Verdict::right:
        break;
    }
    return filled(r.rule->right, r, w);
}

std::string subjectOf(const Reading& r, const Wording& w) {
    const Piece* p = r.piece != 0 ? w.scheme.byId(r.piece) : nullptr;
    return p != nullptr ? p->name : std::string(told("The room"));
}

std::string sentenceOf(const Reading& r, const Wording& w) {
    return subjectOf(r, w) + ": " + whyOf(r, w);
}

std::string titleWithSubject(const Reading& r, const Wording& w) {
    return subjectOf(r, w) + ": " + goingOn(titleOf(r, w));
}

double weightOf(const Reading& r) {
    if (!r.toMend())
        return 0;
    const double off = r.verdict == Verdict::tight && r.band.low    ? *r.band.low - r.value.value
                       : r.verdict == Verdict::loose && r.band.high ? r.value.value - *r.band.high
                                                                    : 0;
    const double size =
        r.verdict == Verdict::tight ? r.band.low.value_or(1) : r.band.high.value_or(1);
    const double share = std::min(off / std::max(std::abs(size), 1e-6), 1.0);
    return (r.verdict == Verdict::clash ? 1000 : 0) + r.rule->weight * 100 + share * 99;
}

std::vector<const Reading*> toMendByWeight(const std::vector<Reading>& all) {
    std::vector<const Reading*> out;
    for (const Reading& r : all)
        if (r.toMend())
            out.push_back(&r);
    std::stable_sort(out.begin(), out.end(), [](const Reading* a, const Reading* b) {
        return weightOf(*a) > weightOf(*b);
    });
    return out;
}

std::vector<std::string> namesOf(const Reading& r, const Wording& w) {
    std::vector<std::string> out;
    for (const int id : {r.piece, r.other.is == Target::Is::piece ? r.other.piece : 0, r.also,
                         r.to.is == Target::Is::piece ? r.to.piece : 0})
        if (const Piece* p = id != 0 ? w.scheme.byId(id) : nullptr)
            out.push_back(p->name);
    return out;
}

} // namespace mezzet
