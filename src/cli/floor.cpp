// What the floor comes to: what fits, schemes side by side, zones, views, ways, the kit, the rules.
#include "commands.h"
#include "shared.h"
#include "tell.h"

#include "fits/ask.h"
#include "judge/compare.h"
#include "judge/sights.h"
#include "judge/talk.h"
#include "judge/use.h"
#include "judge/ways.h"
#include "judge/zones.h"
#include "kit/csv.h"
#include "room/facts.h"
#include "rules/rules_page.h"
#include "speech/line_page.h"

#include <fmt/format.h>

#include <cstdio>

namespace mezzet::cli {

int fit(const std::string& path, const std::string& room, const std::string& question,
        bool asJson) {
    auto job = open(path, room);
    if (!job)
        return refuse(job.problem());
    auto answer = askWhatFits(question, **job);
    if (!answer) {
        Problem p = answer.problem();
        p.file = "question";
        p.line = 1;
        return refuse(p);
    }
    if (!asJson) {
        fmt::print("{}\n", answer->heading);
        for (const auto& c : answer->choices)
            fmt::print("  {}: {}\n", c.title, c.detail);
        for (const auto& r : answer->reasons)
            fmt::print("  {}\n", r);
        return ran;
    }
    json out{{"heading", answer->heading},
             {"yes", answer->yes},
             {"reasons", answer->reasons},
             {"choices", json::array()},
             {"regions", json::array()}};
    if (!answer->carry.empty()) {
        json steps = json::array();
        for (const auto& step : answer->carry)
            steps.push_back(points(step));
        out["carry"] = {{"how", answer->carryWords},
                        {"gap_mm", answer->carryGap},
                        {"seen", answer->carryHigh > 0 ? "in the doorway" : "from above"},
                        {"steps", steps}};
    }
    for (const auto& c : answer->choices)
        out["choices"].push_back(
            {{"title", c.title},
             {"detail", c.detail},
             {"seats", c.seats},
             {"size_mm", {c.size.width.mm(), c.size.depth.mm(), c.size.height.mm()}},
             {"centre", point(c.pose.at)},
             {"turn", c.pose.turn.inDegrees()}});
    for (const auto& r : answer->regions) {
        json one{
            {"turn", r.turn.inDegrees()}, {"outlines", json::array()}, {"holes", json::array()}};
        for (const auto& ring : r.outlines)
            one["outlines"].push_back(points(ring));
        for (const auto& ring : r.holes)
            one["holes"].push_back(points(ring));
        out["regions"].push_back(one);
    }
    fmt::print("{}\n", out.dump(1));
    return ran;
}

int schemes(const std::string& path, const std::string& room, bool asJson) {
    auto job = open(path, room);
    if (!job)
        return refuse(job.problem());
    std::vector<SchemeSummary> all;
    for (const auto i : (*job)->schemesHere()) {
        auto s = summaryOf(**job, i);
        if (!s)
            return refuse(s.problem());
        all.push_back(std::move(*s));
    }
    json out{{"room", (*job)->room->name}, {"schemes", json::array()}};
    for (const auto& s : all) {
        json one{{"name", s.name},
                 {"note", s.note},
                 {"pieces", s.scene->scheme->pieces.size()},
                 {"to_mend", s.toMend},
                 {"clashes", s.clashes},
                 {"seats", s.seats},
                 {"seats_for_guests", s.seatsForGuests},
                 {"floor_taken", s.floorTaken}};
        one["narrowest_way_mm"] = s.narrowest ? json(s.narrowest->mm()) : json(nullptr);
        one["cost"] = s.cost ? json(*s.cost) : json(nullptr);
        one["differs"] = json::array();
        for (const auto& d : differencesBetween(**job, all.front(), s))
            one["differs"].push_back({{"piece", d.name}, {"how", d.words}});
        out["schemes"].push_back(one);
        if (!asJson)
            tell("{:<26} {:>2} to mend, {} seats, {} for guests, way {}, floor {:.0f} %{}\n",
                 s.name, s.toMend, s.seats, s.seatsForGuests,
                 s.narrowest ? writeGap(*s.narrowest, (*job)->notation) : "wide",
                 s.floorTaken * 100, s.cost ? ", cost " + writeCost(*s.cost) : "");
    }
    if (asJson)
        fmt::print("{}\n", out.dump(1));
    return ran;
}

int floorFacts(const std::string& path, const std::string& room) {
    auto job = open(path, room);
    if (!job)
        return refuse(job.problem());
    const auto resolved = sceneOf(**job);
    if (!resolved)
        return refuse(resolved.problem());
    const FloorView s(**resolved);
    const Wording say = (*job)->wording();
    const auto& book = *(*job)->library.book;
    json out{{"zones", json::array()},  {"gaps", json::array()}, {"talk", json::array()},
             {"views", json::array()},  {"ways", json::array()}, {"use", json::array()},
             {"screens", json::array()}};
    const auto zones = zonesOf(s);
    for (const auto& z : zones.zones) {
        json names = json::array();
        for (const int id : z.pieces)
            names.push_back(s.scheme->byId(id)->name);
        out["zones"].push_back({{"name", z.name},
                                {"pieces", names},
                                {"area_m2", z.area / 1e6},
                                {"held_by", z.heldBy},
                                {"outline", points(z.outline)}});
    }
    for (const auto& g : zones.gaps)
        out["gaps"].push_back({{"between", {zones.zones[g.first].name, zones.zones[g.second].name}},
                               {"apart_mm", g.apart.mm()}});
    const auto talks = talksIn(s, book);
    for (const auto& t : talks)
        out["talk"].push_back({{"between", {s.piece(t.first).name, s.piece(t.second).name}},
                               {"apart_mm", t.apart.mm()}});
    const auto addView = [&](const std::string& from, const RoomView& v) {
        json items = json::array();
        for (const auto& i : v.items)
            items.push_back(
                {{"what", words(i.what, say)}, {"share", i.share}, {"back", i.backSeen}});
        out["views"].push_back({{"from", from},
                                {"first", v.first ? json(words(*v.first, say)) : json(nullptr)},
                                {"backs", v.backs},
                                {"seen", items}});
    };
    for (const auto& o : s.room->openings)
        addView(o.kind == OpeningKind::window ? "outside, through " + o.name() : o.name(),
                o.kind == OpeningKind::window ? viewFromOutside(s, o) : viewFromDoor(s, o));
    for (const auto& p : s.placed)
        if (s.scheme->byId(p.id)->kind->isSeat())
            addView(s.scheme->byId(p.id)->name, viewFromSeat(s, p.id));
    for (const auto& v : screenSights(s))
        out["screens"].push_back({{"seat", s.scheme->byId(v.seat)->name},
                                  {"screen", s.scheme->byId(v.screen)->name},
                                  {"distance_mm", v.distance.mm()},
                                  {"across_degrees", v.across.inDegrees()},
                                  {"off_degrees", v.off.inDegrees()},
                                  {"hidden", v.hiddenBy != 0}});
    for (const auto& w : waysToDraw(s, book, (*job)->judgement))
        out["ways"].push_back({{"line", points(w.line)},
                               {"narrowest_mm", w.width ? json(w.width->mm()) : json(nullptr)},
                               {"wide_enough", w.right}});
    for (const auto& z : useZones(s, book))
        out["use"].push_back(
            {{"of", words(z.what, say)},
             {"says", z.says},
             {"wanted_mm", z.wanted.mm()},
             {"free_mm", z.free.mm()},
             {"stopped_by",
              z.stops.is == Target::Is::none ? json(nullptr) : json(words(z.stops, say))}});
    const auto b = balanceOf(s);
    out["balance"] = {{"quarters", {"upper left", "upper right", "lower right", "lower left"}},
                      {"footprint", b.footprint},
                      {"weight", b.weight}};
    fmt::print("{}\n", out.dump(1));
    return ran;
}

int kitCommand(const std::string& read, const std::string& write, bool metric, bool ownOnly) {
    auto lib = library();
    if (!lib)
        return refuse(lib.problem());
    if (!read.empty()) {
        auto text = readTextFile(read, std::size_t{4} << 20U);
        if (!text)
            return refuse(text.problem());
        auto kinds = kindsFromCsv(*text, read, *lib->kit);
        if (!kinds)
            return refuse(kinds.problem());
        auto with = withOwnKinds(*lib, *kinds, dataFolder());
        if (!with) {
            Problem p = with.problem();
            p.file = read;
            return refuse(p);
        }
        *lib = *with;
        if (auto kept = keepStudioKinds(*lib, studioFolder()); !kept)
            return refuse(kept.problem());
        tell("{} kinds kept in the studio's kit\n", kinds->size());
    }
    std::vector<KindPtr> shown;
    for (const auto& k : lib->kit->kinds())
        if (!ownOnly || k->own)
            shown.push_back(k);
    const auto csv = kindsAsCsv(shown, metric);
    if (!write.empty()) {
        if (auto done = writeWhole(write, csv); !done)
            return refuse(done.problem());
        tell("{}: {} kinds\n", write, shown.size());
    } else if (read.empty()) {
        fmt::print("{}", csv);
    }
    return ran;
}

int phrases() {
    fmt::print("{}", linePage());
    return ran;
}

int rules(bool metric) {
    auto lib = library();
    if (!lib)
        return refuse(lib.problem());
    const Units units = metric ? Units::centimetres : Units::inches;
    fmt::print("{}", rulesPage(*inUnits(*lib, units).book, units));
    return ran;
}

} // namespace mezzet::cli
