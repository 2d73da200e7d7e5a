// A piece of a job file, with its ties and how it hangs.
#include "geometry/polygon.h"
#include "measure/texts.h"
#include "project/job_fields.h"
#include "scheme/rug.h"
#include "scheme/surfaces.h"
#include "scheme/tie_kind.h"

namespace mezzet {

Target readTarget(const json& j, const std::string& where) {
    Fields f(j, where);
    Target t;
    t.is = f.word("is", targetWords);
    switch (t.is) {
    case Target::Is::piece:
        t.piece = f.whole("id", 1, mostId);
        break;
    case Target::Is::wall:
    case Target::Is::corner: {
        const auto i = wallIndex(f.text("wall", 2, true));
        if (!i)
            f.fail("“wall” is no wall letter");
        t.index = *i;
        if (t.is == Target::Is::corner)
            t.alongNext = f.text("along", 10, false) == "next";
        break;
    }
    case Target::Is::room:
    case Target::Is::none:
    case Target::Is::ceiling:
    case Target::Is::skirting:
    case Target::Is::chairRail:
    case Target::Is::pictureRail:
        break;
    case Target::Is::fixture:
        t.built = f.word("kind", fixtureWords);
        [[fallthrough]];
    case Target::Is::window:
    case Target::Is::door:
    case Target::Is::opening:
    case Target::Is::chimney:
        t.index = f.whole("number", 1, 10000);
    }
    return t;
}

namespace {

Tie readTie(const json& j, const std::string& where) {
    Fields f(j, where);
    Tie t;
    const auto word = f.text("tie", 40, true);
    const TieKind* kind = tieByWord(word);
    if (kind == nullptr)
        f.fail(worded("“tie” can't be “{}”", word), "a newer Mezzet may have written it");
    t.kind = kind->kind;
    const auto has = [&](TieField field) { return kind->fields.has(field); };
    const Targets targets = kind->targets();
    if (!targets.has(Target::Is::none) || (targets.any() && f.has("of"))) {
        t.of = readTarget(f.need("of"), where + ", “of”");
        if (!targets.has(t.of.is))
            f.fail("this tie can't refer to that");
    }
    if (has(TieField::also))
        t.also = readTarget(f.need("also"), where + ", “also”");
    if (has(TieField::turn))
        t.turn = Angle::degrees(f.number("turn"));
    if (has(TieField::point)) {
        const auto p = f.pair("at");
        t.distance = Length::millimetres(p.x);
        t.second = Length::millimetres(p.y);
    }
    if (has(TieField::pieces)) {
        for (const auto& id : f.list("pieces", mostPieces)) {
            if (!id.is_number_integer())
                f.fail("“pieces” holds something that is no number");
            t.group.push_back(id.get<int>());
        }
        if (t.group.empty())
            f.fail("“pieces” is empty");
    }
    if (has(TieField::place)) {
        t.places = f.whole("places", 1, 60);
        t.place = f.whole("place", 1, t.places);
    }
    if (has(TieField::side) || (has(TieField::sideIfNotFront) && f.has("side")))
        t.side = f.word("side", sideWords);
    if (has(TieField::levelOf))
        t.levelOf = f.word("levelOf", levelWords);
    if (has(TieField::level))
        t.level = f.word("level", levelWords);
    if ((has(TieField::distance) || has(TieField::pieces)) && f.has("distance"))
        t.distance = Length::millimetres(f.number("distance"));
    if (has(TieField::pieces) && t.distance < Length{})
        f.fail("“distance” is under nothing");
    if (has(TieField::measuredTo) && f.has("to") && f.text("to", 10, true) == "centre")
        t.to = MeasuredTo::centre;
    t.extra = f.rest();
    return t;
}

Footprint readFootprint(const json& j, const std::string& where, const Size& size) {
    Fields f(j, where);
    Footprint p;
    const auto form = f.text("form", 20, true);
    if (form == "oval")
        p.form = FootprintForm::oval;
    else if (form == "L")
        p.form = FootprintForm::ell;
    else if (form == "arch")
        p.form = FootprintForm::arch;
    else if (form == "octagon")
        p.form = FootprintForm::octagon;
    else if (form != "rectangle")
        f.fail(worded("“{}” is no shape", form), "a newer Mezzet may have written it");
    const auto length = [&](const char* key) {
        const double v = f.number(key);
        if (v < 0)
            f.fail(worded("“{}” is under nothing", key));
        return Length::millimetres(v);
    };
    if (f.has("corner"))
        p.corner = length("corner");
    if (p.form == FootprintForm::ell) {
        p.bodyDepth = length("body");
        p.armWidth = length("arm");
        p.armOnRight = f.text("armOn", 10, true) != "left";
        if (p.bodyDepth > size.depth || p.armWidth > size.width)
            f.fail("the L is larger than its piece");
    }
    return p;
}

/// `usual`: how such a kind hangs. Jobs of before wrote its drop down as if it had been measured.
Hanging readHanging(const json& j, const std::string& where, const Hanging& usual) {
    Fields f(j, where);
    Hanging h;
    h.mount = f.word("mount", mountWords);
    h.hooks = f.whole("hooks", 0, 20);
    const auto length = [&](const char* key) -> std::optional<Length> {
        if (!f.has(key))
            return {};
        const double v = f.number(key);
        if (v < 0 || v > 20000)
            f.fail(worded("“{}” is no length of a piece", key));
        return Length::millimetres(v);
    };
    h.drop = length("drop");
    const bool measured = f.has("dropMeasured") && f.need("dropMeasured") == true;
    if (h.drop && !measured && h.mount == usual.mount && usual.drop &&
        abs(*h.drop - *usual.drop) <= quiet)
        h.drop.reset();
    h.ringSpacing = length("ringSpacing");
    h.ringsDown = length("ringsDown");
    h.slack = length("slack");
    h.hookSpacing = length("hookSpacing");
    h.frame = length("frame").value_or(Length{});
    h.mat = length("mat").value_or(Length{});
    const auto mass = [&](const char* key) -> std::optional<Mass> {
        if (!f.has(key))
            return {};
        const double kg = f.number(key);
        if (kg < 0 || kg > 2000)
            f.fail(worded("“{}” is no weight a wall could hold", key));
        return Mass::kilograms(kg);
    };
    h.weight = mass("weight");
    h.load = mass("load");
    h.material = f.text("material", mostNameLength, false);
    if (f.has("clamped"))
        h.clamped = f.need("clamped") == true;
    if (f.has("before"))
        h.before = f.whole("before", 0, 1000000000);
    return h;
}

} // namespace

namespace {

SurfaceId readSurface(const json& j, const std::string& where) {
    Fields f(j, where);
    SurfaceId on;
    on.is = f.word("is", surfaceWords);
    if (on.isWall()) {
        const auto wall = wallIndex(f.text("wall", 2, true));
        if (!wall)
            f.fail("“wall” is no wall letter");
        on.index = *wall;
    }
    if (on.isCarried())
        on.piece = f.whole("piece", 1, mostId);
    if (on.is == SurfaceId::Is::opening)
        on.index = f.whole("number", 1, 10000);
    return on;
}

} // namespace

namespace {

RugFit readRugFit(const json& j, const std::string& where) {
    Fields f(j, where);
    RugFit fit;
    fit.border = Length::millimetres(f.number("border"));
    int n = 0;
    if (f.has("off"))
        for (const auto& o : f.list("off", mostRugParts)) {
            Fields one(o, worded("{}, off {}", where, ++n));
            fit.off.push_back(
                {readTarget(one.need("of"), one.where()), Length::millimetres(one.number("by"))});
            if (fit.off.back().by < Length{})
                one.fail("“by” is less than nothing");
        }
    for (const auto& [key, list] : {std::pair{"ends", &fit.ends}, std::pair{"clear", &fit.clear}})
        if (f.has(key))
            for (const auto& t : f.list(key, mostRugParts))
                list->push_back(readTarget(t, worded("{}, “{}”", where, key)));
    if (fit.border < Length{})
        f.fail("“border” is less than nothing");
    return fit;
}

RugWork readRug(const json& j, const std::string& where) {
    Fields f(j, where);
    RugWork r;
    if (f.has("outline")) {
        for (const auto& c : f.list("outline", mostRugCorners)) {
            if (!c.is_array() || c.size() != 2 || !Fields::isNumber(c[0]) ||
                !Fields::isNumber(c[1]))
                f.fail("a corner of “outline” is not two numbers");
            r.outline.push_back({c[0].get<double>(), c[1].get<double>()});
        }
        if (r.outline.size() < 3 || selfCrossing(r.outline) || std::abs(signedArea(r.outline)) < 1)
            f.fail("“outline” crosses itself, or holds nothing");
    }
    if (f.has("fit"))
        r.fit = readRugFit(f.need("fit"), where + ", “fit”");
    if (f.has("edges"))
        for (const auto& e : f.list("edges", mostRugCorners)) {
            Fields one(e, where + ", “edges”");
            RugEdge edge;
            edge.edge = one.whole("edge", 0, static_cast<int>(mostRugCorners));
            edge.finish = one.text("finish", 80, true);
            if (one.has("width"))
                edge.width = Length::millimetres(one.number("width"));
            r.edges.push_back(edge);
        }
    r.material = f.text("material", 80, false);
    const auto length = [&](const char* key) {
        const Length l = Length::millimetres(f.number(key));
        if (l < Length{} || l > Length::metres(5))
            f.fail(worded("“{}” is no length it could have", key));
        return l;
    };
    if (f.has("pad"))
        r.pad = length("pad");
    if (f.has("repeat"))
        r.repeat = length("repeat");
    if (f.has("drop"))
        r.drop = length("drop");
    for (const auto& [key, yes] :
         {std::pair{"taped", &r.taped}, std::pair{"ready", &r.ready}, std::pair{"seams", &r.seams},
          std::pair{"pileAcross", &r.pileAcross}, std::pair{"capped", &r.capped}})
        *yes = f.yes(key);
    if (f.has("stairs"))
        r.stairs = f.whole("stairs", 1, 1000);
    if (f.has("breaks"))
        for (const auto& b : f.list("breaks", mostStairBreaks)) {
            Fields one(b, where + ", “breaks”");
            StairBreak at;
            at.after = one.whole("after", 1, 200);
            if (one.has("landing"))
                at.landing = Length::millimetres(one.number("landing"));
            at.turns = one.yes("turns");
            if (at.landing < Length{} || at.landing > Length::metres(20) ||
                (!r.breaks.empty() && r.breaks.back().after >= at.after))
                one.fail("a break of the stairs can't be there, or so long");
            r.breaks.push_back(at);
        }
    return r;
}

} // namespace

Piece readPiece(const json& j, const std::string& where, const Kit& kit, int version) {
    Fields f(j, where);
    Piece p;
    p.id = f.whole("id", 1, mostId);
    p.name = f.text("name", mostNameLength, true);
    p.name = tidyName(p.name);
    if (plainWord(p.name).empty())
        f.fail("it has no name");
    const auto kind = f.text("kind", 80, true);
    p.kind = kit.byId(kind);
    if (!p.kind)
        f.fail(worded("the kit has no kind “{}”", kind),
               "add the kind to the kit, or take the piece out of the file");
    const auto& size = f.list("size", 3);
    if (size.size() != 3)
        f.fail("“size” is not three numbers");
    for (const auto& s : size)
        if (!Fields::isNumber(s) || s.get<double>() <= 0 || s.get<double>() > 20000)
            f.fail("“size” holds a length that no piece has");
    p.size = {Length::millimetres(size[0].get<double>()),
              Length::millimetres(size[1].get<double>()),
              Length::millimetres(size[2].get<double>())};
    p.heights = p.kind->heights;
    if (f.has("heights")) {
        Fields h(f.need("heights"), where + ", “heights”");
        const auto height = [&](const char* key) -> std::optional<Length> {
            if (!h.has(key))
                return {};
            return Length::millimetres(h.number(key));
        };
        p.heights = {height("seat"), height("arm"), height("back"), height("top")};
    }
    p.hanging = p.kind->hanging;
    p.hanging.drop.reset();
    if (version == 1 && f.has("wall")) {
        const auto wall = wallIndex(f.text("wall", 2, true));
        if (!wall)
            f.fail("“wall” is no wall letter");
        p.on = onWall(*wall);
    } else if (version > 1 && f.has("on")) {
        p.on = readSurface(f.need("on"), where + ", “on”");
    }
    if (p.on.isCeiling() && f.has("drop"))
        p.off = Length::millimetres(f.number("drop"));
    if (p.onWall()) {
        if (f.has("hanging"))
            p.hanging = readHanging(f.need("hanging"), where + ", “hanging”", p.kind->hanging);
        if (f.has("plan")) {
            Fields plan(f.need("plan"), where + ", “plan”");
            p.plan.form = plan.word("form", formWords);
            p.plan.gap = Length::millimetres(plan.number("gap"));
            p.plan.answer = plan.whole("answer", 0, 1000);
        }
        p.picture = f.text("picture", 80, false);
    }
    if (!suits(*p.kind, p.on.is))
        f.fail(p.kind->hangs()          ? "such a kind hangs, and no wall is named"
               : p.kind->underCeiling() ? "such a kind hangs from the ceiling, and is not there"
               : p.onWall()             ? "such a kind stands on the floor, and a wall is named"
                                        : "such a kind can't be on the surface it names");
    p.footprint = f.has("shape")
                      ? readFootprint(f.need("shape"), where + ", “shape”", p.outlineSize())
                      : p.kind->footprint;
    p.pose.at = f.pair("at");
    p.pose.turn = Angle::degrees(f.number("turn"));
    if (f.has("locked")) {
        if (!f.need("locked").is_boolean())
            f.fail("“locked” is neither true nor false");
        p.locked = f.need("locked").get<bool>();
    }
    int n = 0;
    for (const auto& t : f.list("ties", mostTies))
        p.ties.push_back(readTie(t, worded("{}, tie {}", where, ++n)));
    if (f.has("otherwise")) {
        Fields o(f.need("otherwise"), where + ", “otherwise”");
        Stance other;
        other.on = p.on;
        other.off = p.off;
        if (version > 1)
            other.on =
                o.has("on") ? readSurface(o.need("on"), where + ", “otherwise”") : theFloor();
        if (o.has("drop"))
            other.off = Length::millimetres(o.number("drop"));
        if (!suits(*p.kind, other.on.is))
            o.fail("such a kind can't be on the surface it names");
        other.pose = {o.pair("at"), Angle::degrees(o.number("turn"))};
        for (const auto& t : o.list("ties", mostTies))
            other.ties.push_back(readTie(t, where + ", “otherwise”"));
        p.otherwise = other;
    }
    const auto yes = [&](const char* key) {
        if (!f.need(key).is_boolean())
            f.fail(worded("“{}” is neither true nor false", key));
        return f.need(key).get<bool>();
    };
    if (f.has("darkFoot"))
        p.darkFoot = yes("darkFoot");
    if (f.has("onlyHere"))
        p.onlyHere = yes("onlyHere");
    if (f.has("finishedBack"))
        p.finishedBack = yes("finishedBack");
    if (f.has("cost")) {
        if (!f.need("cost").is_number() || !(f.need("cost").get<double>() >= 0) ||
            f.need("cost").get<double>() > 1e9)
            f.fail("“cost” is no price");
        p.cost = f.need("cost").get<double>();
    }
    p.reason = f.text("reason", mostReason, false);
    if (p.kind->flat()) {
        // Before format 3 a rug's height had the usual pad in it.
        if (version < 3)
            p.size.height = std::max(p.size.height - Length::inches(0.25), Length::millimetres(2));
        if (f.has("rug"))
            p.rug = std::make_shared<RugWork>(readRug(f.need("rug"), where + ", “rug”"));
    }
    if (p.kind->light && f.has("light"))
        p.light = std::make_shared<LightTold>(readLightTold(f.need("light"), where + ", “light”"));
    p.reflects = readReflects(f);
    if (f.has("thing"))
        p.thing = std::make_shared<ThingTold>(readThingTold(f.need("thing"), where + ", “thing”"));
    if (f.has("unit"))
        p.unit = std::make_shared<UnitTold>(readUnitTold(f.need("unit"), where + ", “unit”"));
    p.extra = f.rest();
    return p;
}

} // namespace mezzet
