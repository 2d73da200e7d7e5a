#include "judge/reading.h"

#include <fmt/format.h>

namespace mezzet {

namespace {

void replaceAll(std::string& s, std::string_view what, const std::string& with) {
    for (auto at = s.find(what); at != std::string::npos; at = s.find(what, at + with.size()))
        s.replace(at, what.size(), with);
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
    replaceAll(s, "{other}", words(r.other, w));
    return s;
}

} // namespace

std::string_view verdictName(Verdict v) {
    constexpr std::string_view names[] = {"right", "tight", "loose", "clash", "note"};
    return names[static_cast<std::size_t>(v)];
}

std::string titleOf(const Reading& r, const Wording& w) {
    return filled(r.rule->title, r, w);
}

std::string whyOf(const Reading& r, const Wording& w) {
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
    case Verdict::right:
    case Verdict::note:
        break;
    }
    return filled(r.rule->right, r, w);
}

std::vector<std::string> namesOf(const Reading& r, const Wording& w) {
    std::vector<std::string> out;
    for (const int id : {r.piece, r.other.is == Target::Is::piece ? r.other.piece : 0, r.also})
        if (const Piece* p = id != 0 ? w.scheme.byId(id) : nullptr)
            out.push_back(p->name);
    return out;
}

} // namespace mezzet
