#include "kit/kind.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>
#include <unordered_map>

namespace mezzet {

Shape footprintShape(const Footprint& f, const Size& s) {
    switch (f.form) {
    case FootprintForm::oval:
        return oval(s.width, s.depth);
    case FootprintForm::ell:
        return ell(s.width, s.depth, f.bodyDepth, f.armWidth, f.armOnRight, f.corner);
    case FootprintForm::arch:
        return arch(s.width, s.depth);
    case FootprintForm::octagon:
        return octagon(s.width, s.depth);
    case FootprintForm::rectangle:
        break;
    }
    return rectangle(s.width, s.depth, f.corner);
}

std::string_view familyName(Family f) {
    constexpr std::string_view names[] = {"seat",  "table", "storage", "sleep", "rug",
                                          "light", "plant", "screen",  "art",   "textile"};
    return names[static_cast<std::size_t>(f)];
}

Family wallFamily(Role r) {
    switch (r) {
    case Role::shelf:
    case Role::cabinet:
    case Role::hookRail:
        return Family::storage;
    case Role::sconce:
        return Family::light;
    case Role::curtain:
        return Family::textile;
    case Role::screen:
        return Family::screen;
    default:
        return Family::art;
    }
}

std::string_view surfaceWord(SurfaceKind k) {
    constexpr std::string_view names[] = {"floor", "wall", "ceiling", "opening", "top"};
    return names[static_cast<std::size_t>(k)];
}

std::string_view thingSortName(ThingSort s) {
    switch (s) {
    case ThingSort::book:
        return "book";
    case ThingSort::stack:
        return "stack";
    case ThingSort::box:
        return "box";
    case ThingSort::vase:
        return "vase";
    case ThingSort::bowl:
        return "bowl";
    case ThingSort::tray:
        return "tray";
    case ThingSort::candle:
        return "candle";
    case ThingSort::flat:
        return "flat";
    case ThingSort::plant:
        return "plant";
    case ThingSort::figure:
        return "figure";
    case ThingSort::riser:
        return "riser";
    case ThingSort::basket:
        return "basket";
    case ThingSort::lamp:
        return "lamp";
    case ThingSort::clock:
        return "clock";
    case ThingSort::textile:
        return "textile";
    case ThingSort::other:
        return "other";
    }
    return "";
}

std::string_view roleName(Role r) {
    constexpr std::string_view names[] = {
        "none",         "sofa",   "armchair",     "perch",   "low-table", "side-table",
        "dining-table", "desk",   "dining-chair", "bed",     "storage",   "rug",
        "lamp",         "plant",  "screen",       "art",     "mirror",    "shelf",
        "sconce",       "object", "hook-rail",    "cabinet", "curtain",   "group"};
    return names[static_cast<std::size_t>(r)];
}

namespace {

std::string madePlain(std::string_view s) {
    std::string out;
    std::string word;
    const auto flush = [&] {
        if (word.empty())
            return;
        if (word.size() > 4 &&
            (word.ends_with("shes") || word.ends_with("ches") || word.ends_with("xes")))
            word.resize(word.size() - 2);
        else if (word.size() > 4 && word.ends_with("lves"))
            word.replace(word.size() - 3, 3, "f");
        else if (word.size() > 4 && word.ends_with("ies"))
            word.replace(word.size() - 3, 3, "y");
        else if (word.size() > 3 && word.ends_with("s") && !word.ends_with("ss") &&
                 !word.ends_with("us"))
            word.pop_back();
        if (!out.empty())
            out += ' ';
        out += word;
        word.clear();
    };
    for (const char c : withoutAccents(foldCase(s))) {
        if (c == ' ' || c == ',' || c == '.' || c == '-' || c == '_' || c == '\t' || c == ';')
            flush();
        else if (c != '\'' && c != '"')
            word += c;
    }
    flush();
    return out;
}

struct HashOfText {
    using is_transparent = void;
    std::size_t operator()(std::string_view s) const { return std::hash<std::string_view>{}(s); }
};

} // namespace

std::string plainWord(std::string_view s) {
    // Names of pieces and kinds are asked for again at every word of a line that is read.
    constexpr std::size_t most = 80;
    constexpr std::size_t kept = 4096;
    if (s.size() > most)
        return madePlain(s);
    thread_local std::unordered_map<std::string, std::string, HashOfText, std::equal_to<>> known;
    if (const auto it = known.find(s); it != known.end())
        return it->second;
    if (known.size() >= kept)
        known.clear();
    return known.emplace(std::string(s), madePlain(s)).first->second;
}

namespace {
/// What a kind is besides by the sort that it is of: "wingback" is a "wingback chair" too.
std::vector<std::string_view> sortsOf(const Kind& k) {
    switch (k.family) {
    case Family::seat:
        if (k.role == Role::armchair || k.role == Role::diningChair)
            return {"chair", "armchair"};
        return k.role == Role::sofa ? std::vector<std::string_view>{"sofa", "couch"}
                                    : std::vector<std::string_view>{};
    case Family::table:
        return {"table"};
    case Family::light:
        return {"light", "lamp"};
    case Family::rug:
        return {"rug"};
    case Family::sleep:
        return {"bed"};
    default:
        return {};
    }
}

/// As if written in one word.
std::string joined(std::string plain) {
    std::erase(plain, ' ');
    return plain;
}
} // namespace

Result<Kit> Kit::of(std::vector<Kind> kinds) {
    Kit kit;
    for (auto& k : kinds) {
        if (kit.byId(k.id))
            return Problem{worded("the kind “{}” is there twice", k.id), "give each its own id"};
        auto held = std::make_shared<const Kind>(std::move(k));
        auto all = held->also;
        all.insert(all.begin(), held->name);
        auto& plain = kit.plain_.emplace_back();
        for (const auto& w : all) {
            plain.push_back(plainWord(w));
            const auto [it, fresh] = kit.byWord_.emplace(plain.back(), held);
            // Two kinds that differ by a blank alone are only known with it.
            if (const auto [j, first] = kit.byJoined_.emplace(joined(plain.back()), held);
                !first && j->second != held)
                j->second = nullptr;
            if (!fresh && it->second != held)
                return Problem{
                    worded("the word “{}” means both “{}” and “{}”", w, it->second->id, held->id),
                    "take it from one of them"};
        }
        kit.byId_.emplace(held->id, held);
        kit.kinds_.push_back(std::move(held));
    }
    // A word with its sort behind it, unless that is another kind's, or the word tells it already.
    for (std::size_t n = 0; n < kit.kinds_.size(); ++n) {
        const auto sorts = sortsOf(*kit.kinds_[n]);
        for (const auto& w : kit.plain_[n]) {
            if (std::any_of(sorts.begin(), sorts.end(), [&](auto s) { return w.ends_with(s); }))
                continue;
            for (const auto s : sorts)
                kit.byWord_.emplace(fmt::format("{} {}", w, s), kit.kinds_[n]);
        }
    }
    return kit;
}

KindPtr Kit::byId(std::string_view id) const {
    const auto it = byId_.find(std::string(id));
    return it == byId_.end() ? nullptr : it->second;
}

KindPtr Kit::usuallyMeant(std::string_view word) const {
    const auto plain = plainWord(word);
    for (const KindPtr& k : kinds_)
        for (const auto& w : k->usually)
            if (plainWord(w) == plain)
                return k;
    return nullptr;
}

KindPtr Kit::byWord(std::string_view word) const {
    const auto plain = plainWord(word);
    if (const auto it = byWord_.find(plain); it != byWord_.end())
        return it->second;
    // "book case", "arm chair"
    const auto it = byJoined_.find(joined(plain));
    return it == byJoined_.end() ? nullptr : it->second;
}

KindPtr Kit::byLastWords(std::string_view name, bool (*fine)(const Kind&)) const {
    auto words = plainWord(name);
    while (!words.empty()) {
        if (auto k = byWord(words); k && (fine == nullptr || fine(*k)))
            return k;
        const auto blank = words.find(' ');
        if (blank == std::string::npos)
            return {};
        words = words.substr(blank + 1);
    }
    return {};
}

std::vector<KindPtr> Kit::matching(std::string_view typed) const {
    const auto w = plainWord(typed);
    std::vector<std::pair<int, KindPtr>> found;
    for (std::size_t n = 0; n < kinds_.size(); ++n) {
        int best = 9;
        for (std::size_t i = 0; i < plain_[n].size(); ++i) {
            const auto& a = plain_[n][i];
            const int later = i == 0 ? 0 : 1;
            if (a == w)
                best = std::min(best, later);
            else if (a.starts_with(w))
                best = std::min(best, 2 + later);
            else if (a.find(' ' + w) != std::string::npos)
                best = std::min(best, 4 + later);
        }
        if (best < 9)
            found.emplace_back(best, kinds_[n]);
    }
    std::stable_sort(found.begin(), found.end(),
                     [](const auto& a, const auto& b) { return a.first < b.first; });
    std::vector<KindPtr> out;
    out.reserve(found.size());
    for (auto& f : found)
        out.push_back(std::move(f.second));
    return out;
}

} // namespace mezzet
