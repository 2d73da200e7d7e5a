// Shelves and tabletops: what stands there, colours, the stock, and dressing from it.
#include "tell.h"
#include "commands.h"
#include "offscreen.h"
#include "shared.h"

#include "dress/solve.h"
#include "dress/tops.h"
#include "edit/handed_over.h"
#include "measure/texts.h"
#include "sheets/picture_in.h"

namespace mezzet::cli {

namespace {

json sizeJson(const Size& s) {
    return {tidied(s.width.mm()), tidied(s.depth.mm()), tidied(s.height.mm())};
}

json colourJson(const std::optional<Rgb>& c) {
    return c ? json(hexOf(*c)) : json(nullptr);
}

json thingJson(const DressedThing& t, const Scheme& scheme) {
    const Piece& p = *scheme.byId(t.id);
    return {{"name", p.name},
            {"kind", foldCase(p.kind->name)},
            {"at", {tidied(t.at.x), tidied(t.at.y), tidied(t.at.z)}},
            {"size_mm", sizeJson(t.size)},
            {"colour", colourJson(colourOf(p))},
            {"material", std::string(materialOf(p))},
            {"on", t.on != 0 ? json(scheme.byId(t.on)->name) : json(nullptr)}};
}

json surfaceJson(const DressedSurface& s, const Scheme& scheme) {
    json out{{"name", s.name()},
             {"of", scheme.byId(s.id.piece)->name},
             {"width_mm", tidied(s.width)},
             {"height_mm", s.height ? json(tidied(*s.height)) : json(nullptr)},
             {"depth_mm", tidied(s.depth)},
             {"things", json::array()}};
    for (const DressedThing& t : s.things)
        out["things"].push_back(thingJson(t, scheme));
    return out;
}

json paletteJson(const PaletteNow& p, const Scheme& scheme) {
    json out{{"families", json::array()}, {"accent", nullptr}, {"outside", json::array()}};
    const auto one = [](const PaletteNow::One& f) {
        return json{{"name", std::string(colourWord(f.colour))},
                    {"colour", hexOf(f.colour)},
                    {"share", tidied(f.share)}};
    };
    for (const auto& f : p.families)
        out["families"].push_back(one(f));
    if (p.accent)
        out["accent"] = one(*p.accent);
    for (const int id : p.outside)
        out["outside"].push_back(scheme.byId(id)->name);
    return out;
}

std::string metres(double mm, const Notation& n) {
    return write(Length::millimetres(mm), n);
}

} // namespace

int colour(const std::string& one, const std::string& two) {
    const auto a = readLab(one);
    if (!a)
        return wrong(a.problem().text());
    const auto b = readLab(two);
    if (!b)
        return wrong(b.problem().text());
    fmt::print("{:.4f}\n", colourDifference(*a, *b));
    return ran;
}

int colours(const std::string& file, int most, bool asJson) {
    if (most < 1 || most > 64)
        return wrong("--most is a whole number from 1 to 64");
    Offscreen drawing;
    const auto pixels = sheets::pixelsOf(file);
    if (!pixels)
        return refuse(pixels.problem());
    const auto found = dominantColours(*pixels, most);
    if (!asJson) {
        for (const Patch& p : found)
            fmt::print("{}  {:5.1f} %  {}\n", hexOf(p.colour), p.share * 100, colourWord(p.colour));
        return ran;
    }
    json out{{"colours", json::array()}};
    for (const Patch& p : found)
        out["colours"].push_back({{"colour", hexOf(p.colour)},
                                  {"name", std::string(colourWord(p.colour))},
                                  {"share", tidied(p.share)}});
    fmt::print("{}\n", out.dump(1));
    return ran;
}

int stock(const StockCommand& c) {
    const std::string& path = c.job;
    std::error_code error;
    if (!std::filesystem::exists(path, error))
        return refuse(open(path).problem());
    const auto kept = keepJob(path, "stock");
    if (!kept)
        return refuse(kept.problem());
    auto opened = open(path);
    if (!opened)
        return refuse(opened.problem());
    ProjectPtr job = *opened;
    if (!c.read.empty() || c.fromStudio) {
        Stock more;
        if (c.fromStudio) {
            auto own = studioStock(*job->library.kit, studioFolder());
            if (!own)
                return refuse(own.problem());
            more = std::move(*own);
        }
        if (!c.read.empty()) {
            const auto text = readTextFile(c.read, std::size_t{16} * 1024 * 1024);
            if (!text)
                return refuse(text.problem());
            const auto table = stockFromCsv(*text, c.read, *job->library.kit);
            if (!table)
                return refuse(table.problem());
            more = withThings(std::move(more), *table);
        }
        auto next = apply(
            *job, {"stock", {SetStock{withThings(job->stock ? *job->stock : Stock{}, more)}}, {}});
        if (!next)
            return refuse(next.problem());
        job = next->project;
        if (auto saved = saveJob(*job, path); !saved)
            return refuse(saved.problem());
        tell("{} read; the stock has {}\n", more.size(), job->stock ? job->stock->size() : 0);
    }
    const Stock none;
    const Stock& now = job->stock ? *job->stock : none;
    if (!c.write.empty()) {
        if (!endsAs(c.write, {".csv"}))
            return wrongUsage;
        const auto text = stockAsCsv(now, c.metric || isMetric(job->notation.units));
        if (auto written = writeWhole(c.write, text); !written)
            return refuse(written.problem());
        tell("{}: {} written\n", shownPlainly(c.write), now.size());
    }
    if (c.toStudio) {
        if (auto own = keepStudioStock(now, *job->library.kit, studioFolder()); !own)
            return refuse(own.problem());
        tell("{} kept for the studio\n", now.size());
    }
    if (c.read.empty() && c.write.empty() && !c.fromStudio && !c.toStudio) {
        for (const StockThing& t : now) {
            const int placed = placedOf(t, job->scheme());
            tell("{:<30} {:>3}, {} placed  {}  {}\n", t.name, t.count, placed,
                 fmt::format("{} x {} x {}", metres(t.size.width.mm(), job->notation),
                             metres(t.size.depth.mm(), job->notation),
                             metres(t.size.height.mm(), job->notation)),
                 foldCase(t.kind->name));
        }
        tell("{} in the stock\n", now.size());
    }
    return ran;
}

int dress(const DressCommand& c) {
    std::optional<JobLock> kept;
    if (c.keep || c.list) {
        std::error_code error;
        if (!std::filesystem::exists(c.job, error))
            return refuse(open(c.job).problem());
        auto lock = keepJob(c.job, "dress");
        if (!lock)
            return refuse(lock.problem());
        kept.emplace(std::move(*lock));
    }
    const auto opened = open(c.job, c.room);
    if (!opened)
        return refuse(opened.problem());
    ProjectPtr job = *opened;
    auto scene = sceneOf(*job);
    if (!scene)
        return refuse(scene.problem());
    int of = 0;
    if (!c.of.empty()) {
        const Piece* p = job->scheme().byName(c.of);
        if (p == nullptr) {
            // By its kind, when there is one of it.
            const auto kind = job->library.kit->byWord(c.of);
            for (const Piece& one : job->scheme().pieces)
                if (kind && one.kind == kind) {
                    if (p != nullptr)
                        return wrong(
                            worded("there are several of “{}”: use a name", shownPlainly(c.of)));
                    p = &one;
                }
        }
        if (p == nullptr)
            return wrong(worded("there is no piece “{}”", shownPlainly(c.of)));
        if (p->openings() == 0 && !p->kind->hasTop())
            return wrong(worded("nothing stands on {}", shownPlainly(p->name)));
        of = p->id;
    }
    if (c.list && c.solve && !c.keep)
        return wrong("--list with --solve goes with --keep: it is wanted of what is kept");
    if (c.keep && !c.solve)
        return wrong("--keep goes with --solve");
    if (c.answer < 1)
        return wrong("--answer is 1 for the best, 2 for the next");
    std::optional<std::size_t> answers;
    if (c.solve) {
        DressWish wish;
        if (of != 0)
            wish.units = {of};
        wish.answers = std::max(c.answer, 3);
        const auto found = dressUnits(*job, **scene, wish);
        if (!found)
            return refuse(found.problem());
        answers = found->size();
        if (static_cast<std::size_t>(c.answer) > found->size())
            return refuse(Problem{worded("there are {} answers that differ", found->size()),
                                  "ask for one of them, or put more in the stock"});
        auto next = apply(*job, (*found)[static_cast<std::size_t>(c.answer) - 1].edit);
        if (!next)
            return refuse(next.problem());
        job = next->project;
        scene = next->scene;
        if (c.keep)
            if (auto saved = saveJob(*job, c.job); !saved)
                return refuse(saved.problem());
    }
    const Scheme& scheme = job->scheme();
    const auto surfaces = dressedSurfaces(**scene, of);
    std::vector<DressedSurface> dressed;
    for (const DressedSurface& s : surfaces)
        if (s.height)
            dressed.push_back(s);
    const PaletteNow palette = paletteOf(scheme, surfaces);
    DressScore score = scoreOf(**scene, dressed);
    // A piece without openings is scored by its top.
    std::optional<TopScore> top;
    if (of != 0 && scheme.byId(of)->openings() == 0 && !surfaces.empty()) {
        top = topScoreOf(**scene, surfaces.front(), palette);
        score.whole = top->whole;
    }
    const auto wanted = wantedFor(*job, **scene, surfaces);
    if (c.list && !wanted.empty()) {
        const auto next = apply(*job, listEdit(*job, withEntries(*job, asEntries(wanted, *job)),
                                               "what is wanted, on the list"));
        if (!next)
            return refuse(next.problem());
        if (auto saved = saveJob(*next->project, c.job); !saved)
            return refuse(saved.problem());
        for (const auto& n : next->notices)
            fmt::print(stderr, "{}\n", n);
    }
    const Stock none;
    const auto left = leftOver(job->stock ? *job->stock : none, scheme);
    const auto all = judge(**scene, *job->library.book, job->judgement);
    const Wording say = job->wording();
    std::vector<const Reading*> readings;
    for (const Reading& r : all) {
        if (!isOf(dressRules(), *r.rule))
            continue;
        const Piece* p = scheme.byId(r.piece);
        bool here = of == 0 || r.piece == of;
        for (const DressedSurface& s : surfaces)
            for (const DressedThing& t : s.things)
                here = here || (p != nullptr && t.id == p->id);
        if (here)
            readings.push_back(&r);
    }
    if (c.asJson) {
        json out{{"surfaces", json::array()}, {"score", tidied(score.whole)}};
        for (const DressedSurface& s : surfaces)
            out["surfaces"].push_back(surfaceJson(s, scheme));
        out["terms"] = json::object();
        if (top)
            for (std::size_t i = 0; i < topTerms; ++i) {
                const auto t = static_cast<TopTerm>(i);
                out["terms"][std::string(topTermName(t))] = {{"value", tidied(top->terms[i])},
                                                             {"weight", topWeight(t)}};
            }
        for (std::size_t i = 0; !top && i < dressTerms; ++i) {
            const auto t = static_cast<DressTerm>(i);
            out["terms"][std::string(dressTermName(t))] = {{"value", tidied(score.of(t))},
                                                           {"weight", dressWeight(t)}};
        }
        out["palette"] = paletteJson(palette, scheme);
        out["readings"] = json::array();
        for (const Reading* r : readings)
            out["readings"].push_back(readingJson(*r, *job, scheme));
        out["left_over"] = left;
        out["missing"] = json::array();
        for (const WantedThing& w : wanted)
            out["missing"].push_back(
                {{"kind", w.kind},
                 {"least_mm", sizeJson(w.least)},
                 {"most_mm", sizeJson(w.most)},
                 {"colour", hexOf(w.colour)},
                 {"material", w.material.empty() ? json(nullptr) : json(w.material)},
                 {"where", words(w.where, say)}});
        if (answers)
            out["answers"] = *answers;
        fmt::print("{}\n", out.dump(1));
        return ran;
    }
    for (const DressedSurface& s : surfaces) {
        if (s.things.empty() && of == 0)
            continue;
        tell("{} of {}, {} wide{}, {} deep\n", s.name(), scheme.byId(s.id.piece)->name,
             metres(s.width, job->notation),
             s.height ? fmt::format(", {} high", metres(*s.height, job->notation)) : std::string(),
             metres(s.depth, job->notation));
        for (const DressedThing& t : s.things) {
            const Piece& p = *scheme.byId(t.id);
            tell("    {:<28} {} from the left, {} up{}\n", p.name, metres(t.at.x, job->notation),
                 metres(t.at.z, job->notation),
                 t.on != 0 ? fmt::format(", on {}", scheme.byId(t.on)->name) : "");
        }
    }
    for (const Reading* r : readings)
        fmt::print("{:<6} {:<15} {}: {}\n", verdictName(r->verdict), r->rule->id,
                   subjectOf(*r, say), whyOf(*r, say));
    if (!left.empty())
        tell("left over: {}\n", listed(leftOverInShort(job->stock ? *job->stock : none, scheme)));
    for (const WantedThing& w : wanted)
        tell("wanted {}: a {}{} in {}, {} to {} wide, {} to {} high\n", words(w.where, say),
             w.material.empty() ? "" : w.material + " ", w.kind, colourWord(w.colour),
             write(w.least.width, job->notation), write(w.most.width, job->notation),
             write(w.least.height, job->notation), write(w.most.height, job->notation));
    tell("score {:.3f}, 0 is best\n", score.whole);
    return ran;
}

} // namespace mezzet::cli
