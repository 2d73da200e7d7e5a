#include "judge/dressing_handles.h"

#include "edit/line.h"
#include "measure/text.h"
#include "things/dressed.h"
#include "things/stock.h"

#include <algorithm>
#include <set>

namespace mezzet {

namespace {

constexpr std::size_t mostOffered = 4;
/// A pair is parted by so much, and no more: common practice.
constexpr Length stagger = Length::inches(2);

/// A line, as something that can be done.
Handle byLine(const Project& job, std::string line) {
    const auto said = readLine(line, job);
    return doing(std::move(line), said ? Result<Edit>(said->edit) : Result<Edit>(said.problem()));
}

/// The lines that can be done; those of last resort only where none of them can.
std::vector<Handle> byLines(const Project& job, const std::vector<std::string>& lines,
                            const std::vector<std::string>& lastResort = {}) {
    std::vector<Handle> out;
    for (const auto* some : {&lines, &lastResort}) {
        for (const std::string& l : *some) {
            if (out.size() >= mostOffered)
                break;
            Handle h = byLine(job, l);
            const auto edit = h.edit(0);
            if (edit && apply(job, *edit))
                out.push_back(std::move(h));
        }
        if (!out.empty())
            break;
    }
    return out;
}

std::string shownLength(const Project& job, double mm) {
    return write(rounded(Length::millimetres(mm), job.notation), job.notation);
}

/// The surface a reading is of, with its things; nothing when there is none.
std::optional<DressedSurface> surfaceOfReading(const Reading& r, const Scene& scene) {
    const Piece* p = scene.pieceById(r.piece);
    if (p == nullptr)
        return {};
    const int unit = p->on.isCarried() && p->isThing() ? p->on.piece : p->id;
    for (const int of : {r.surface.isCarried() ? r.surface.piece : unit, unit})
        for (DressedSurface& s : dressedSurfaces(scene, of))
            if (s.id == r.surface)
                return std::move(s);
    return {};
}

std::string placeWords(const DressedSurface& s, const Scene& scene) {
    const std::string unit = scene.pieceById(s.id.piece)->name;
    return s.isTop() ? "on " + unit : fmt::format("in opening {} of {}", s.id.index, unit);
}

/// What of the stock is at hand yet, and is as wanted, the first that suits first.
template <class Fits>
std::vector<std::string> fromStock(const Project& job, const DressedSurface& s, const Scene& scene,
                                   Fits fits) {
    std::vector<std::string> out;
    if (job.stock)
        for (const StockThing& t : *job.stock)
            if (placedOf(t, job.scheme()) < t.count && fits(t))
                out.push_back(fmt::format("{} {}", t.name, placeWords(s, scene)));
    return out;
}

std::string removing(const Scene& scene, int id) {
    return "remove " + scene.pieceById(id)->name;
}

} // namespace

std::vector<Handle> paletteHandles(const Reading& r, double, const Project& job,
                                   const Scene& scene) {
    const Piece* p = scene.pieceById(r.piece);
    if (p == nullptr)
        return {};
    std::vector<std::string> lines;
    const bool jacket = p->thing ? !p->thing->jacketOff : true;
    if (p->isBook() && jacket && ((p->thing && p->thing->colour2) || p->kind->thing->colour2))
        lines.push_back(p->name + " jacket off");
    if (p->isBook() && !(p->thing && p->thing->spineIn))
        lines.push_back(p->name + " spine in");
    return byLines(job, lines, {"remove " + p->name});
}

std::vector<Handle> accentHandles(const Reading& r, double, const Project& job,
                                  const Scene& scene) {
    const auto s = surfaceOfReading(r, scene);
    if (!s)
        return {};
    const PaletteNow now = paletteOf(*scene.scheme, dressedSurfaces(scene, s->id.piece));
    const auto isAccent = [&](const std::optional<Rgb>& c) {
        return c && now.accent && now.familyOf(*c) == now.families.size();
    };
    std::vector<std::string> lines;
    if (r.verdict == Verdict::tight)
        lines = fromStock(job, *s, scene, [&](const StockThing& t) {
            return isAccent(colourOf(pieceOf(t, t.name)));
        });
    else
        for (const DressedThing& t : s->things)
            if (isAccent(colourOf(*scene.pieceById(t.id))))
                lines.push_back(removing(scene, t.id));
    return byLines(job, lines);
}

std::vector<Handle> fillHandles(const Reading& r, double target, const Project& job,
                                const Scene& scene) {
    const auto s = surfaceOfReading(r, scene);
    if (!s || !s->height || s->things.empty())
        return {};
    std::vector<std::string> lines;
    if (r.verdict == Verdict::tight) {
        // Something that reaches so high, the nearest first.
        std::vector<std::pair<double, const StockThing*>> fit;
        if (job.stock)
            for (const StockThing& t : *job.stock)
                if (const double h = t.size.height.mm();
                    placedOf(t, job.scheme()) < t.count && h < *s->height && h > s->reach())
                    fit.emplace_back(std::abs(h - target * *s->height), &t);
        std::stable_sort(fit.begin(), fit.end(),
                         [](const auto& a, const auto& b) { return a.first < b.first; });
        for (const auto& [off, t] : fit)
            lines.push_back(fmt::format("{} {}", t->name, placeWords(*s, scene)));
    } else {
        const auto highest = std::max_element(
            s->things.begin(), s->things.end(),
            [](const DressedThing& a, const DressedThing& b) { return a.top() < b.top(); });
        lines.push_back(removing(scene, highest->id));
        if (highest->on != 0)
            lines.push_back(removing(scene, highest->on));
    }
    return byLines(job, lines);
}

std::vector<Handle> stackHandles(const Reading& r, double, const Project& job, const Scene& scene) {
    const Piece* upper = scene.pieceById(r.piece);
    const Piece* lower = r.other.is == Target::Is::piece ? scene.pieceById(r.other.piece) : nullptr;
    if (upper == nullptr || lower == nullptr)
        return {};
    return byLines(job, {fmt::format("swap {} and {}", upper->name, lower->name)},
                   {"remove " + upper->name});
}

std::vector<Handle> bookHandles(const Reading& r, double, const Project& job, const Scene& scene) {
    std::vector<std::string> lines;
    for (const DressedSurface& s : dressedSurfaces(scene, r.piece))
        for (const DressedThing& t : s.things) {
            const Piece& p = *scene.pieceById(t.id);
            const bool carries = std::any_of(s.things.begin(), s.things.end(),
                                             [&](const DressedThing& o) { return o.on == t.id; });
            if (!p.isBook() || carries || lines.size() >= mostOffered)
                continue;
            if (r.verdict == Verdict::loose && liesOf(p) == Lies::lying)
                lines.push_back(p.name + " standing");
            else if (r.verdict == Verdict::tight && liesOf(p) == Lies::standing)
                lines.push_back(p.name + " lying");
        }
    return byLines(job, lines);
}

std::vector<Handle> leanedHandles(const Reading& r, double, const Project& job,
                                  const Scene& scene) {
    const auto s = surfaceOfReading(r, scene);
    if (!s)
        return {};
    const DressedThing* art = nullptr;
    for (const DressedThing& t : s->things)
        if (t.id == r.piece)
            art = &t;
    if (art == nullptr)
        return {};
    std::vector<std::string> lines, away;
    for (const DressedThing& t : s->things) {
        const bool before = t.id != art->id && t.on == 0 && t.front() > art->front() &&
                            t.at.x < art->right() && t.right() > art->at.x;
        if (!before)
            continue;
        // Clear of it, to whichever side is nearer; then half of that.
        const double right = art->right() - t.at.x, left = t.right() - art->at.x;
        for (const double share : {1.0, 0.6})
            for (const bool toRight : {right <= left, right > left}) {
                const double by = (toRight ? right : left) * share;
                lines.push_back(fmt::format("{} {} {}", scene.pieceById(t.id)->name,
                                            shownLength(job, by), toRight ? "right" : "left"));
            }
        away.push_back(removing(scene, t.id));
    }
    return byLines(job, lines, away);
}

std::vector<Handle> pairHandles(const Reading& r, double, const Project& job, const Scene& scene) {
    std::vector<std::string> lines;
    const std::string by =
        shownLength(job, isMetric(job.notation.units) ? Length::centimetres(5).mm() : stagger.mm());
    for (const int id : {r.other.is == Target::Is::piece ? r.other.piece : 0, r.piece})
        if (const Piece* p = id != 0 ? scene.pieceById(id) : nullptr)
            for (const char* way : {"forward", "back"})
                lines.push_back(fmt::format("{} {} {}", p->name, by, way));
    return byLines(job, lines);
}

std::vector<Handle> materialHandles(const Reading& r, double, const Project& job,
                                    const Scene& scene) {
    std::map<std::string_view, std::vector<int>> of;
    const DressedSurface* emptiest = nullptr;
    const auto surfaces = dressedSurfaces(scene, r.piece);
    for (const DressedSurface& s : surfaces) {
        if (emptiest == nullptr || s.things.size() < emptiest->things.size())
            emptiest = &s;
        for (const DressedThing& t : s.things)
            if (const auto m = materialOf(*scene.pieceById(t.id)); !m.empty())
                of[m].push_back(t.id);
    }
    if (emptiest == nullptr)
        return {};
    std::vector<std::string> lines;
    if (r.verdict == Verdict::tight) {
        lines = fromStock(job, *emptiest, scene, [&](const StockThing& t) {
            const Piece one = pieceOf(t, t.name);
            return !materialOf(one).empty() && of.count(materialOf(one)) == 0;
        });
    } else {
        const auto rarest =
            std::min_element(of.begin(), of.end(), [](const auto& a, const auto& b) {
                return a.second.size() < b.second.size();
            });
        if (rarest != of.end())
            for (const int id : rarest->second)
                lines.push_back(removing(scene, id));
    }
    return byLines(job, lines);
}

std::vector<Handle> oddHandles(const Reading& r, double, const Project& job, const Scene& scene) {
    const auto s = surfaceOfReading(r, scene);
    const Piece* first = scene.pieceById(r.piece);
    if (!s || first == nullptr)
        return {};
    std::vector<std::string> lines;
    // One more of them, or one less.
    for (std::string& l : fromStock(job, *s, scene, [&](const StockThing& t) {
             return t.kind == first->kind && t.size == first->size;
         }))
        lines.push_back(std::move(l));
    for (auto t = s->things.rbegin(); t != s->things.rend(); ++t)
        if (const Piece& p = *scene.pieceById(t->id); p.kind == first->kind && t->on == 0) {
            lines.push_back(removing(scene, t->id));
            break;
        }
    return byLines(job, lines);
}

std::vector<Handle> heightHandles(const Reading& r, double, const Project& job,
                                  const Scene& scene) {
    const auto s = surfaceOfReading(r, scene);
    if (!s || r.verdict != Verdict::tight)
        return {};
    std::vector<const DressedThing*> alone;
    for (const DressedThing& t : s->things)
        if (t.on == 0 && std::none_of(s->things.begin(), s->things.end(),
                                      [&](const DressedThing& o) { return o.on == t.id; }))
            alone.push_back(&t);
    std::stable_sort(alone.begin(), alone.end(), [](const DressedThing* a, const DressedThing* b) {
        return a->size.width < b->size.width;
    });
    std::vector<std::string> lines;
    for (const DressedThing* t : alone)
        lines.push_back(scene.pieceById(t->id)->name + " on a riser");
    return byLines(job, lines);
}

std::vector<Handle> loadHandles(const Reading& r, double, const Project& job, const Scene& scene) {
    const auto s = surfaceOfReading(r, scene);
    const Piece* unit = scene.pieceById(r.piece);
    if (!s || unit == nullptr)
        return {};
    std::vector<const DressedThing*> heavy;
    for (const DressedThing& t : s->things)
        heavy.push_back(&t);
    std::stable_sort(heavy.begin(), heavy.end(), [&](const DressedThing* a, const DressedThing* b) {
        return kilogramsOf(*scene.pieceById(a->id)) > kilogramsOf(*scene.pieceById(b->id));
    });
    std::vector<std::string> lines;
    // Lower down, where it weighs on the floor; an upright under it; or away with it.
    if (!heavy.empty() && unit->rows() > 1)
        lines.push_back(fmt::format("{} in opening {} of {}",
                                    scene.pieceById(heavy.front()->id)->name, unit->openings(),
                                    unit->name));
    lines.push_back(fmt::format("{} uprights {}", unit->name, unit->across()));
    return byLines(job, lines,
                   heavy.empty() ? std::vector<std::string>{}
                                 : std::vector<std::string>{removing(scene, heavy.front()->id)});
}

} // namespace mezzet
