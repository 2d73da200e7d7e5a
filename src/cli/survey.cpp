// What tape notes come to: corners and how sure they are, suspects, the next measurement, facts.
#include "tell.h"
#include "files/whole_file.h"
#include "room/facts.h"
#include "room/house.h"
#include "shared.h"

namespace mezzet::cli {

namespace {

double tidy(double v) {
    return std::round(v * 1e4) / 1e4 + 0.0;
}

const char* kindOf(const FitItem& it) {
    switch (it.is) {
    case FitItem::Is::run:
        return "run";
    case FitItem::Is::parts:
        return "parts";
    case FitItem::Is::diagonal:
        return "diagonal";
    case FitItem::Is::corner:
        return it.assumed ? "assumed corner" : "corner";
    case FitItem::Is::column:
        return "column";
    }
    return "";
}

/// The figures of an item in its unit: "taped_mm" or "taped_degrees".
void figure(json& j, const FitItem& it, const char* name, double value) {
    j[fmt::format("{}_{}", name, it.angular() ? "degrees" : "mm")] = tidy(value);
}

json itemJson(const FitItem& it) {
    json j{{"what", it.name}, {"kind", kindOf(it)}, {"wall", wallName(it.wall)}};
    if (it.is == FitItem::Is::diagonal)
        j["to"] = wallName(it.other);
    j["line"] = it.place.line;
    figure(j, it, "taped", it.observed);
    return j;
}

json jsonOf(const Room& room) {
    const Closure& c = room.closure;
    const Fit& fit = room.fit;
    json j{{"room", room.name},
           {"closed", room.closed},
           {"corners_mm", points(room.corners())},
           {"doubted", c.doubted},
           {"misclosure_mm", c.misclosure.mm()},
           {"words", c.words}};
    j["ratio"] = c.ratio > 0 ? json(c.ratio) : json(nullptr);
    j["perimeter_mm"] = room.perimeter().mm();
    j["area_m2"] = room.closed ? json(room.floorArea() / 1e6) : json(nullptr);
    j["ceiling_mm"] = room.ceiling.mm();
    j["redundancy"] = fit.redundancy;
    j["unit_weight"] = fit.unitWeight;
    j["ellipses"] = json::array();
    for (std::size_t i = 0; i < fit.sure.size(); ++i)
        j["ellipses"].push_back({{"corner", wallName(static_cast<int>(i))},
                                 {"major_mm", tidy(fit.sure[i].major)},
                                 {"minor_mm", tidy(fit.sure[i].minor)},
                                 {"turn", tidy(fit.sure[i].turn.inDegrees())}});
    j["suspects"] = json::array();
    for (const Suspect& s : fit.suspects) {
        const FitItem& it = fit.items[static_cast<std::size_t>(s.item)];
        json one = itemJson(it);
        figure(one, it, "likely", s.likely);
        one["standardised"] = tidy(s.standardised);
        one["slip"] = s.slip;
        one["set_aside"] = it.setAside;
        one["words"] = s.words;
        j["suspects"].push_back(one);
    }
    if (fit.next)
        j["next_best_measurement"] = {{"kind", "diagonal"},
                                      {"from", wallName(fit.next->from)},
                                      {"to", wallName(fit.next->to)},
                                      {"expected_mm", tidy(fit.next->expected.mm())},
                                      {"worst_corner_now_mm", tidy(fit.next->worstBefore.mm())},
                                      {"worst_corner_then_mm", tidy(fit.next->worstAfter.mm())},
                                      {"words", fit.next->words}};
    else
        j["next_best_measurement"] = nullptr;
    j["walls"] = json::array();
    for (std::size_t i = 0; i < room.walls.size(); ++i)
        j["walls"].push_back({{"wall", room.walls[i].name},
                              {"taped_mm", room.walls[i].taped.mm()},
                              {"adjusted_mm", room.walls[i].length().mm()}});
    j["diagonals"] = json::array();
    for (const auto& d : room.diagonals)
        j["diagonals"].push_back({{"from", wallName(d.from)},
                                  {"to", wallName(d.to)},
                                  {"taped_mm", d.taped.mm()},
                                  {"computed_mm", d.computed.mm()},
                                  {"agrees", d.agrees}});
    j["residuals"] = json::array();
    for (const FitItem& it : fit.items) {
        json one = itemJson(it);
        figure(one, it, "residual", it.residual());
        figure(one, it, "sigma", it.sigma);
        one["standardised"] = tidy(it.standardised);
        one["redundancy"] = tidy(it.share);
        j["residuals"].push_back(one);
    }
    if (room.closed) {
        const auto f = factsOf(room);
        j["facts"] = {{"floor_m2", f.floorArea / 1e6},
                      {"ceiling_m2", f.ceilingArea / 1e6},
                      {"walls_m2", f.wallArea / 1e6},
                      {"openings_m2", f.openingsArea / 1e6},
                      {"walls_less_openings_m2", f.netWallArea() / 1e6},
                      {"skirting_mm", f.skirting.mm()},
                      {"volume_m3", f.volume / 1e9},
                      {"headroom_low_mm", f.headroomLow.mm()},
                      {"headroom_high_mm", f.headroomHigh.mm()}};
    }
    j["cautions"] = cautionsOf(room);
    j["says"] = c.words;
    return j;
}

void tellRoom(const Room& room) {
    const Notation n{room.units, 16};
    const Fit& fit = room.fit;
    fmt::print("{}\n", room.name);
    for (std::size_t i = 0; i < room.walls.size(); ++i) {
        const Length grew = room.closure.corrections[i];
        tell("  wall {}  {:>14}  adjusted {}{}\n", room.walls[i].name,
             write(room.walls[i].taped, n), grew < Length{} ? "" : "+", write(grew, n));
    }
    for (const auto& d : room.diagonals)
        tell("  diagonal {} to {}  {}, the walls give {}: {}\n", wallName(d.from), wallName(d.to),
             write(d.taped, n), write(d.computed, n), d.agrees ? "agrees" : "does not agree");
    for (std::size_t i = 0; i < fit.sure.size(); ++i)
        tell("  corner {}  sure to ±{} by ±{} (standard error)\n", wallName(static_cast<int>(i)),
             write(Length::millimetres(fit.sure[i].major), n),
             write(Length::millimetres(fit.sure[i].minor), n));
    if (room.closed)
        for (const auto& [what, value] : factLines(factsOf(room), n))
            fmt::print("  {:<22} {}\n", what, value);
    for (const Suspect& s : fit.suspects)
        tell("  suspect: {} ({:.1f} standard errors)\n", s.words, std::abs(s.standardised));
    if (fit.next)
        fmt::print("  {}\n", fit.next->words);
    for (const auto& c : cautionsOf(room))
        tell("  caution: {}\n", c);
    fmt::print("{}\n", room.closure.words);
}

} // namespace

int survey(const std::string& path, bool asJson, const std::vector<std::string>& headroomAt) {
    auto text = readTextFile(path, mostNotes);
    if (!text)
        return refuse(text.problem());
    auto rooms = roomsFromNotes(*text, path);
    if (!rooms)
        return refuse(rooms.problem());
    if (headroomAt.size() == 2) {
        const Room& room = *rooms->front();
        Vec2 at;
        for (const int i : {0, 1}) {
            const auto l = readLength(headroomAt[static_cast<std::size_t>(i)], room.units);
            if (!l)
                return wrong(l.problem().sentence());
            (i == 0 ? at.x : at.y) = l->mm();
        }
        if (!room.closed || !room.holds(at))
            return refuse({"that place is not on the floor",
                           "say how far along wall A and how far from it, like --headroom 6',4'"});
        const Length h = room.headroom(at);
        if (asJson)
            fmt::print("{}\n", json{{"headroom_mm", tidy(h.mm())},
                                    {"floor_level_mm", tidy(room.levelAt(at).mm())}}
                                   .dump(1));
        else
            fmt::print("{}\n", write(h, {room.units, 16}));
        return ran;
    }
    const auto house = joinRooms(*rooms);
    if (asJson) {
        json j = jsonOf(*rooms->front());
        if (rooms->size() > 1) {
            j["rooms"] = json::array();
            for (const auto& r : *rooms)
                j["rooms"].push_back(jsonOf(*r));
            j["joined"] = json::array();
            for (const auto& m : house.joints)
                j["joined"].push_back({{"door", (*rooms)[m.room]->openings[m.opening].name()},
                                       {"room", (*rooms)[m.room]->name},
                                       {"to", (*rooms)[m.beyond]->name},
                                       {"off_mm", tidy(m.off.mm())}});
            j["notices"] = house.notices;
        }
        fmt::print("{}\n", j.dump(1));
        return ran;
    }
    for (const auto& r : *rooms)
        tellRoom(*r);
    for (const auto& n : house.notices)
        fmt::print("{}\n", n);
    return ran;
}

} // namespace mezzet::cli
