// What would still help an opening: a thing to look for, with the sizes that would do.
#include "dress/solve.h"

#include "geometry/stretches.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>
#include <set>

namespace mezzet {

namespace {

/// The widest stretch of a board where nothing stands, mm.
double widestFree(const DressedSurface& s) {
    std::vector<Stretch> taken;
    for (const DressedThing& t : s.things)
        if (t.on == 0)
            taken.emplace_back(t.at.x, t.right());
    const auto [from, to] = widestOf(leftBy(std::move(taken), s.width));
    return to - from;
}

Size sizeOf(double w, double d, double h) {
    return {Length::millimetres(w), Length::millimetres(d), Length::millimetres(h)};
}

} // namespace

std::vector<WantedThing> wantedFor(const Project& job, const Scene& scene,
                                   const std::vector<DressedSurface>& surfaces) {
    const auto bandOf = [&](const char* id) {
        const Rule* rule = job.library.book->byId(id);
        return rule != nullptr ? job.judgement.bandOf(*rule) : Band{};
    };
    const Band fill = bandOf("opening-fill"); // of the opening's height
    const double low = fill.low.value_or(0.5);
    const double high = fill.high.value_or(1);
    const Rule* mix = job.library.book->byId("material-mix");
    const double materialsWanted = bandOf("material-mix").low.value_or(0);
    constexpr double small = 50; // mm: less is lost on a shelf
    constexpr double air = 25;   // mm on either side
    const Scheme& scheme = *scene.scheme;
    std::vector<WantedThing> out;
    std::vector<const DressedSurface*> openings;
    for (const DressedSurface& s : surfaces)
        if (s.height)
            openings.push_back(&s);
    if (std::all_of(openings.begin(), openings.end(),
                    [](const DressedSurface* s) { return s->things.empty(); }) &&
        scheme.dressing.families.empty())
        return out; // nothing is wanted of a unit that nobody has begun
    const PaletteNow palette = paletteOf(scheme, surfaces);
    const Rgb mainColour =
        palette.families.empty() ? Rgb{240, 230, 200} : palette.families.front().colour;
    std::set<std::string_view> materials;
    std::size_t things = 0;
    for (const DressedSurface* s : openings)
        for (const DressedThing& t : s->things) {
            ++things;
            if (const auto m = materialOf(*scheme.byId(t.id)); !m.empty())
                materials.insert(m);
        }
    for (const DressedSurface* s : openings) {
        const double free = widestFree(*s) - 2 * air;
        const double h = *s->height;
        if (free < small)
            continue;
        if (s->reach() < low * h) {
            // Something tall; on what lies there less is enough, but nobody can count on it.
            const bool wide = free > h;
            out.push_back({wide ? "print" : "vase", sizeOf(small, wide ? 10 : small, low * h),
                           sizeOf(free, s->depth, high * h), mainColour, "", s->id});
        }
        const bool accent =
            !palette.accent || s->things.empty() ||
            std::any_of(s->things.begin(), s->things.end(), [&](const DressedThing& t) {
                const auto c = colourOf(*scheme.byId(t.id));
                return c && palette.familyOf(*c) == palette.families.size();
            });
        if (!accent)
            out.push_back({"bowl", sizeOf(small, small, 25),
                           sizeOf(std::min(free, s->width / 3), s->depth, low * h),
                           palette.accent->colour, "", s->id});
    }
    if (mix != nullptr && static_cast<double>(things) >= mix->number("few") &&
        static_cast<double>(materials.size()) < materialsWanted) {
        const auto* widest = *std::max_element(
            openings.begin(), openings.end(), [](const DressedSurface* a, const DressedSurface* b) {
                return widestFree(*a) < widestFree(*b);
            });
        if (const double free = widestFree(*widest) - 2 * air; free >= small)
            for (const std::string_view material : {"wood", "stone", "glass", "brass"})
                if (materials.count(material) == 0) {
                    out.push_back(
                        {"box", sizeOf(small, small, 25),
                         sizeOf(free, widest->depth, low * *widest->height),
                         palette.families.size() > 1 ? palette.families[1].colour : mainColour,
                         std::string(material), widest->id});
                    break;
                }
    }
    return out;
}

std::vector<ListEntry> asEntries(const std::vector<WantedThing>& wanted, const Project& job) {
    const Wording say = job.wording();
    std::vector<ListEntry> out;
    for (const WantedThing& w : wanted) {
        ListEntry e;
        e.name = worded("{} {} for {}", colourWord(w.colour), w.kind, words(w.where, say));
        if (characterCount(e.name) > mostNameLength)
            e.name = worded("{} {}", colourWord(w.colour), w.kind);
        e.room = job.room->name;
        e.size = {(w.least.width + w.most.width) / 2, (w.least.depth + w.most.depth) / 2,
                  (w.least.height + w.most.height) / 2};
        const auto span = [&](Length a, Length b) {
            return worded("{} to {}", writeGap(a, job.notation), writeGap(b, job.notation));
        };
        e.note = worded("{} wide, {} deep, {} high{}", span(w.least.width, w.most.width),
                        span(w.least.depth, w.most.depth), span(w.least.height, w.most.height),
                        w.material.empty() ? std::string() : worded(", of {}", w.material));
        out.push_back(std::move(e));
    }
    return out;
}

} // namespace mezzet
