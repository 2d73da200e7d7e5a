#include "kit/csv.h"
#include "project/dressing_text.h"
#include "project/job_words.h"
#include "project/project.h"
#include "scheme/tie_kind.h"

#include <nlohmann/json.hpp>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

using Json = nlohmann::ordered_json;

/// Adds the fields a newer version wrote, which this one only carries along.
void carry(Json& to, const std::string& extra) {
    if (extra.empty())
        return;
    const Json carried = Json::parse(extra); // outlives the loop over it
    for (const auto& [key, v] : carried.items())
        if (!to.contains(key))
            to[key] = v;
}

/// Places are kept to a millionth of a millimetre and turns to a billionth of a degree: past that
/// figures are noise, which would make a job another one each time it is read and written.
Json tidyPlace(Vec2 p) {
    const auto tidy = [](double mm) { return std::round(mm * 1e6) / 1e6; };
    return {tidy(p.x), tidy(p.y)};
}
double tidyTurn(Angle a) {
    return std::round(a.inDegrees() * 1e9) / 1e9;
}

Json jsonOf(const Target& t) {
    Json j{{"is", wordFor(targetWords, t.is)}};
    switch (t.is) {
    case Target::Is::piece:
        j["id"] = t.piece;
        break;
    case Target::Is::wall:
        j["wall"] = wallName(t.index);
        break;
    case Target::Is::corner:
        j["wall"] = wallName(t.index);
        j["along"] = t.alongNext ? "next" : "before";
        break;
    case Target::Is::room:
    case Target::Is::none:
    case Target::Is::ceiling:
    case Target::Is::skirting:
    case Target::Is::chairRail:
    case Target::Is::pictureRail:
        break;
    case Target::Is::fixture:
        j["kind"] = wordFor(fixtureWords, t.built);
        j["number"] = t.index;
        break;
    case Target::Is::window:
    case Target::Is::door:
    case Target::Is::opening:
    case Target::Is::chimney:
        j["number"] = t.index;
        break;
    }
    return j;
}

Json jsonOf(const Tie& t) {
    const TieKind& kind = tieKind(t.kind);
    const auto has = [&](TieField f) { return kind.fields.has(f); };
    Json j{{"tie", kind.word}};
    if (t.of.is != Target::Is::none)
        j["of"] = jsonOf(t.of);
    if (has(TieField::also))
        j["also"] = jsonOf(t.also);
    if (has(TieField::turn))
        j["turn"] = tidyTurn(t.turn);
    if (has(TieField::point))
        j["at"] = {t.distance.mm(), t.second.mm()};
    if (has(TieField::pieces)) {
        j["pieces"] = t.group;
        if (t.distance > Length{})
            j["distance"] = t.distance.mm();
    }
    if (has(TieField::place)) {
        j["place"] = t.place;
        j["places"] = t.places;
    }
    if (has(TieField::side))
        j["side"] = wordFor(sideWords, t.side);
    if (has(TieField::levelOf))
        j["levelOf"] = wordFor(levelWords, t.levelOf);
    if (has(TieField::level))
        j["level"] = wordFor(levelWords, t.level);
    if (has(TieField::distance))
        j["distance"] = t.distance.mm();
    if (has(TieField::sideIfNotFront) && t.side != Side::front)
        j["side"] = wordFor(sideWords, t.side);
    if (has(TieField::measuredTo) && t.to == MeasuredTo::centre)
        j["to"] = "centre";
    carry(j, t.extra);
    return j;
}

Json jsonOf(const Hanging& h) {
    Json j{{"mount", wordFor(mountWords, h.mount)}, {"hooks", h.hooks}};
    const auto length = [&](const char* name, const std::optional<Length>& l) {
        if (l)
            j[name] = l->mm();
    };
    length("drop", h.drop);
    if (h.drop)
        j["dropMeasured"] = true;
    length("ringSpacing", h.ringSpacing);
    length("ringsDown", h.ringsDown);
    length("slack", h.slack);
    length("hookSpacing", h.hookSpacing);
    if (h.weight)
        j["weight"] = h.weight->kg();
    if (h.load)
        j["load"] = h.load->kg();
    if (h.frame > Length{})
        j["frame"] = h.frame.mm();
    if (h.mat > Length{})
        j["mat"] = h.mat.mm();
    if (!h.material.empty())
        j["material"] = h.material;
    if (h.clamped)
        j["clamped"] = true;
    if (h.before != 0)
        j["before"] = h.before;
    return j;
}

Json jsonOf(const Footprint& f) {
    Json j{{"form", f.form == FootprintForm::oval      ? "oval"
                    : f.form == FootprintForm::ell     ? "L"
                    : f.form == FootprintForm::arch    ? "arch"
                    : f.form == FootprintForm::octagon ? "octagon"
                                                       : "rectangle"}};
    if (f.corner > Length{})
        j["corner"] = f.corner.mm();
    if (f.form == FootprintForm::ell) {
        j["body"] = f.bodyDepth.mm();
        j["arm"] = f.armWidth.mm();
        j["armOn"] = f.armOnRight ? "right" : "left";
    }
    return j;
}

Json jsonOf(const SurfaceId& on) {
    Json j{{"is", wordFor(surfaceWords, on.is)}};
    if (on.isWall())
        j["wall"] = wallName(on.wall());
    if (on.isCarried())
        j["piece"] = on.piece;
    if (on.is == SurfaceId::Is::opening)
        j["number"] = on.index;
    return j;
}

Json jsonOf(const RugWork& r) {
    Json j = Json::object();
    if (!r.outline.empty()) {
        j["outline"] = Json::array();
        for (const Vec2 c : r.outline)
            j["outline"].push_back(tidyPlace(c));
    }
    if (r.fit) {
        Json fit{{"border", r.fit->border.mm()}};
        for (const auto& o : r.fit->off)
            fit["off"].push_back(Json{{"of", jsonOf(o.of)}, {"by", o.by.mm()}});
        for (const auto& [key, list] :
             {std::pair{"ends", &r.fit->ends}, std::pair{"clear", &r.fit->clear}})
            for (const Target& t : *list)
                fit[key].push_back(jsonOf(t));
        j["fit"] = fit;
    }
    for (const RugEdge& e : r.edges) {
        Json edge{{"edge", e.edge}, {"finish", e.finish}};
        if (e.width > Length{})
            edge["width"] = e.width.mm();
        j["edges"].push_back(edge);
    }
    if (!r.material.empty())
        j["material"] = r.material;
    if (r.pad)
        j["pad"] = r.pad->mm();
    for (const auto& [key, l] : {std::pair{"repeat", r.repeat}, std::pair{"drop", r.drop}})
        if (l > Length{})
            j[key] = l.mm();
    for (const auto& [key, yes] :
         {std::pair{"taped", r.taped}, std::pair{"ready", r.ready}, std::pair{"seams", r.seams},
          std::pair{"pileAcross", r.pileAcross}, std::pair{"capped", r.capped}})
        if (yes)
            j[key] = true;
    if (r.stairs > 0)
        j["stairs"] = r.stairs;
    for (const StairBreak& b : r.breaks) {
        Json at{{"after", b.after}};
        if (b.landing > Length{})
            at["landing"] = b.landing.mm();
        if (b.turns)
            at["turns"] = true;
        j["breaks"].push_back(at);
    }
    return j;
}

Json jsonOf(const Piece& p) {
    Json j{{"id", p.id}, {"name", p.name}, {"kind", p.kind->id}};
    j["size"] = {p.size.width.mm(), p.size.depth.mm(), p.size.height.mm()};
    Json heights = Json::object();
    const auto height = [&](const char* name, const std::optional<Length>& h) {
        if (h)
            heights[name] = h->mm();
    };
    height("seat", p.heights.seat);
    height("arm", p.heights.arm);
    height("back", p.heights.back);
    height("top", p.heights.top);
    j["heights"] = heights;
    j["shape"] = jsonOf(p.footprint);
    j["at"] = tidyPlace(p.pose.at);
    j["turn"] = tidyTurn(p.pose.turn);
    if (!p.on.isFloor())
        j["on"] = jsonOf(p.on);
    if (p.on.isCeiling())
        j["drop"] = p.off.mm();
    if (p.onWall()) {
        j["hanging"] = jsonOf(p.hanging);
        if (p.isGroup())
            j["plan"] = {{"form", wordFor(formWords, p.plan.form)},
                         {"gap", p.plan.gap.mm()},
                         {"answer", p.plan.answer}};
        if (!p.picture.empty())
            j["picture"] = p.picture;
    }
    if (p.locked)
        j["locked"] = true;
    j["ties"] = Json::array();
    for (const auto& t : p.ties)
        j["ties"].push_back(jsonOf(t));
    if (p.otherwise) {
        Json other{{"at", tidyPlace(p.otherwise->pose.at)},
                   {"turn", tidyTurn(p.otherwise->pose.turn)},
                   {"ties", Json::array()}};
        if (!p.otherwise->on.isFloor())
            other["on"] = jsonOf(p.otherwise->on);
        if (p.otherwise->on.isCeiling())
            other["drop"] = p.otherwise->off.mm();
        for (const auto& t : p.otherwise->ties)
            other["ties"].push_back(jsonOf(t));
        j["otherwise"] = other;
    }
    if (p.darkFoot)
        j["darkFoot"] = true;
    if (p.onlyHere)
        j["onlyHere"] = true;
    if (p.finishedBack)
        j["finishedBack"] = *p.finishedBack;
    if (p.cost)
        j["cost"] = *p.cost;
    if (p.rug)
        j["rug"] = jsonOf(*p.rug);
    if (p.light) {
        Json light = Json::object();
        if (!p.light->shine.empty())
            light["file"] = p.light->shine;
        if (p.light->lumens)
            light["lumens"] = *p.light->lumens;
        if (p.light->watts)
            light["watts"] = *p.light->watts;
        if (p.light->aim)
            light["aim"] = jsonOf(*p.light->aim);
        if (p.light->wire)
            light["wire"] = Json::array({p.light->wire->x, p.light->wire->y});
        j["light"] = light;
    }
    if (p.reflects)
        j["reflects"] = *p.reflects;
    if (p.thing)
        j["thing"] = jsonOf(*p.thing);
    if (p.unit)
        j["unit"] = jsonOf(*p.unit);
    if (!p.reason.empty())
        j["reason"] = p.reason;
    carry(j, p.extra);
    return j;
}

Json jsonOf(const LightPlan& plan) {
    Json j = Json::object();
    for (const auto& [key, share] :
         {std::pair{"walls", plan.walls}, std::pair{"ceiling", plan.ceiling},
          std::pair{"floor", plan.floor}})
        if (share)
            j[key] = *share;
    if (plan.maintained != 1)
        j["maintained"] = plan.maintained;
    for (const LightZone& z : plan.zones) {
        Json one{{"name", z.name}, {"lights", z.lights}};
        for (const Target& s : z.switches)
            one["switches"].push_back(jsonOf(s));
        if (z.dims)
            one["dims"] = true;
        j["zones"].push_back(std::move(one));
    }
    for (const LightScene& s : plan.scenes) {
        Json one{{"name", s.name}, {"levels", Json::array()}};
        for (const LightScene::Level& l : s.levels)
            one["levels"].push_back({{"zone", l.zone}, {"part", l.part}});
        j["scenes"].push_back(std::move(one));
    }
    return j;
}

Json jsonOf(const Judgement& judgement) {
    Json rules = Json::object();
    for (const auto& [id, c] : judgement.choices) {
        Json r = Json::object();
        if (!c.school.empty())
            r["school"] = c.school;
        if (c.band) {
            const auto bound = [](const std::optional<double>& b) {
                return b ? Json(*b) : Json(nullptr);
            };
            r["band"] = {bound(c.band->low), bound(c.band->high)};
        }
        rules[id] = r;
    }
    return rules;
}

} // namespace

std::string bandsText(const Judgement& judgement) {
    const Json j{
        {"format", "mezzet-bands"}, {"school", judgement.school}, {"rules", jsonOf(judgement)}};
    return j.dump(1) + "\n";
}

std::string jobText(const Project& p) {
    Json j{
        {"format", "mezzet-job"}, {"version", jobFormat}, {"title", p.title}, {"client", p.client}};
    j["notation"] = {{"units", unitsName(p.notation.units)},
                     {"denominator", p.notation.denominator}};
    j["school"] = p.judgement.school;
    j["rules"] = jsonOf(p.judgement);
    // The first room's name and corners stand where they always did; all of them are in “rooms”.
    const auto cornersOf = [](const Room& room) {
        Json corners = Json::array();
        for (const Vec2 c : room.corners())
            corners.push_back({c.x, c.y});
        return corners;
    };
    j["room"] = {{"name", p.rooms.front()->name},
                 {"notes", p.notes},
                 {"bareFeet", true},
                 {"corners", cornersOf(*p.rooms.front())},
                 {"rooms", Json::array()}};
    for (const auto& room : p.rooms)
        j["room"]["rooms"].push_back({{"name", room->name}, {"corners", cornersOf(*room)}});
    carry(j["room"], p.roomExtra);
    if (p.underlay)
        j["underlay"] = {{"room", p.rooms[std::min(p.underlay->room, p.rooms.size() - 1)]->name},
                         {"at", tidyPlace(p.underlay->at)},
                         {"turn", tidyTurn(p.underlay->turn)},
                         {"mmPerPixel", p.underlay->mmPerPixel},
                         {"picture", p.underlay->picture}};
    // Kinds of the studio's own go with the job, so that it opens elsewhere.
    std::vector<Kind> own;
    for (const auto& s : p.schemes)
        for (const auto* list : {&s->pieces, &s->away})
            for (const Piece& piece : *list)
                if (piece.kind->own && std::none_of(own.begin(), own.end(), [&](const Kind& k) {
                        return k.id == piece.kind->id;
                    }))
                    own.push_back(*piece.kind);
    if (!own.empty())
        j["kinds"] = Json::parse(kitText(own));
    j["active"] = p.active + 1;
    const auto schemeJson = [&](const Scheme& s) {
        Json one{{"name", s.name},
                 {"note", s.note},
                 {"room", p.rooms[std::min(s.room, p.rooms.size() - 1)]->name},
                 {"nextId", s.nextId},
                 {"pieces", Json::array()}};
        for (const auto& piece : s.pieces)
            one["pieces"].push_back(jsonOf(piece));
        if (s.arrangement == Arrangement::guests)
            one["arrangement"] = "guests";
        if (!s.away.empty())
            one["away"] = Json::array();
        for (const auto& piece : s.away)
            one["away"].push_back(jsonOf(piece));
        if (!s.zones.empty())
            one["zones"] = Json::array();
        for (const auto& z : s.zones)
            one["zones"].push_back({{"name", z.name}, {"pieces", z.pieces}});
        if (s.light != LightPlan{})
            one["light"] = jsonOf(s.light);
        if (s.dressing != Dressing{})
            one["dressing"] = jsonOf(s.dressing);
        if (!s.accepted.empty())
            one["accepted"] = Json::array();
        for (const Accepted& a : s.accepted) {
            Json is{{"rule", a.rule}, {"value", a.value}, {"reason", a.reason}};
            for (const auto& [key, of] : {std::pair{"other", &a.other}, std::pair{"goal", &a.goal},
                                          std::pair{"from", &a.from}})
                if (of->is != Target::Is::none)
                    is[key] = jsonOf(*of);
            for (const auto& [key, id] : {std::pair{"piece", a.piece}, std::pair{"also", a.also},
                                          std::pair{"part", a.part}})
                if (id != 0)
                    is[key] = id;
            if (a.inUse)
                is["inUse"] = true;
            one["accepted"].push_back(std::move(is));
        }
        carry(one, s.extra);
        return one;
    };
    j["schemes"] = Json::array();
    for (const auto& s : p.schemes)
        j["schemes"].push_back(schemeJson(*s));
    if (!p.thrownAway.empty())
        j["thrownAway"] = Json::array();
    for (const auto& s : p.thrownAway)
        j["thrownAway"].push_back(schemeJson(*s));
    if (p.judgement.access)
        j["access"] = true;
    if (!p.prints.empty())
        j["prints"] = Json::object();
    for (const auto& [sheet, c] : p.prints) {
        j["prints"][sheet] = {
            {"paper", c.paper}, {"scale", c.scale}, {"file", c.file}, {"mends", c.mends}};
        if (!c.leftOut.empty())
            j["prints"][sheet]["leftOut"] = c.leftOut;
    }
    if (!p.judgement.briefs.empty())
        j["briefs"] = Json::array();
    for (const auto& [room, b] : p.judgement.briefs)
        j["briefs"].push_back({{"room", room}, {"day", b.day}, {"guests", b.guests}});
    if (const Eyes& eyes = p.judgement.eyes; eyes != Eyes{}) {
        Json e{{"household", wordFor(householdWords, eyes.household)}, {"statures", Json::array()}};
        for (const Length l : eyes.statures)
            e["statures"].push_back(l.mm());
        j["eyes"] = e;
    }
    if (p.pictures && !p.pictures->empty()) {
        j["pictures"] = Json::array();
        for (const auto& [key, one] : *p.pictures)
            j["pictures"].push_back({{"key", key},
                                     {"name", one.name},
                                     {"source", one.source},
                                     {"width", one.width},
                                     {"height", one.height},
                                     {"picture", one.bytes}});
    }
    if (p.photometries && !p.photometries->empty()) {
        j["photometries"] = Json::array();
        for (const auto& [key, one] : *p.photometries)
            j["photometries"].push_back({{"key", key}, {"name", one.name}, {"text", one.text}});
    }
    if (p.stock && !p.stock->empty())
        j["stock"] = jsonOf(*p.stock);
    if (p.handover && *p.handover != Handover{})
        j["handover"] = jsonOf(*p.handover);
    carry(j, p.extra);
    return j.dump(1) + "\n";
}

} // namespace mezzet
