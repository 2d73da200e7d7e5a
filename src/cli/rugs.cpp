// Rugs and carpets: how seats stand on them, how they are cut off a roll, a stair's runner.
#include "tell.h"
#include "commands.h"
#include "shared.h"

#include "judge/rug_facts.h"
#include "measure/texts.h"
#include "room/facts.h"
#include "rugs/stair_runner.h"
#include "scheme/rug.h"

#include <regex>

namespace mezzet::cli {

namespace {

json rounded(double v) {
    return std::round(v * 1e4) / 1e4 + 0.0;
}

/// What bare figures are in where there is no job: centimetres where anything is said in metric.
Units unitsOf(const std::vector<std::string>& said) {
    static const std::regex metric(R"(\d ?(mm|cm|m)\b)");
    const bool any = std::any_of(said.begin(), said.end(),
                                 [](const std::string& s) { return std::regex_search(s, metric); });
    return any ? Units::centimetres : Units::feetAndInches;
}

/// A length of an option, bare figures in these units. Problem: none there.
Result<Length> lengthOf(const std::string& said, Units bare, const char* what) {
    const auto l = readLength(said, bare);
    if (!l)
        return Problem{worded("“{}” is no length for {}", shownPlainly(said), what),
                       isMetric(bare) ? "write it like 366 cm or 4 m" : "write it like 12' or 144"};
    return l;
}

json planJson(const RollPlan& plan, const std::vector<RollCut>& cuts,
              const std::vector<RugCutOff>* onFloor) {
    json roll{{"width_mm", rounded(plan.width.mm())},
              {"length_mm", rounded(plan.length.mm())},
              {"waste", std::round(plan.waste() * 1e6) / 1e6}};
    roll["seams"] = json::array();
    for (const RollSeam& s : plan.seams) {
        const bool floor = onFloor != nullptr && (*onFloor)[s.cut].onFloor();
        const Vec2 from = floor ? (*onFloor)[s.cut].toFloor(s.from) : s.from;
        const Vec2 to = floor ? (*onFloor)[s.cut].toFloor(s.to) : s.to;
        roll["seams"].push_back({{"rug", cuts[s.cut].name},
                                 {"from", point(from)},
                                 {"to", point(to)},
                                 {"length_mm", rounded(s.length().mm())},
                                 {"walked_on", s.walkedOn}});
    }
    roll["cuts"] = json::array();
    for (const RollPart& p : plan.parts)
        roll["cuts"].push_back({{"rug", cuts[p.cut].name},
                                {"part", p.part},
                                {"at", point(p.at)},
                                {"size_mm", point(p.size)}});
    return roll;
}

void printPlans(const std::vector<RollPlan>& plans, const std::vector<RollCut>& cuts, Notation n) {
    for (const RollPlan& plan : plans) {
        tell("Roll {} wide: order {}, {:.1f} % waste{}\n", write(plan.width, n),
             write(plan.length, n), plan.waste() * 100,
             plan.seams.empty() ? ""
                                : fmt::format(", {} {}", plan.seams.size(),
                                              plan.seams.size() == 1 ? "seam" : "seams"));
        for (const RollPart& p : plan.parts)
            tell("  {:<24} part {}  {} across from the left, {} along: {} x {}\n",
                 shownPlainly(cuts[p.cut].name), p.part, writeGap(Length::millimetres(p.at.x), n),
                 write(Length::millimetres(p.at.y), n), writeGap(Length::millimetres(p.size.x), n),
                 write(Length::millimetres(p.size.y), n));
        for (const RollSeam& s : plan.seams)
            tell("  seam in {}, {} long{}\n", shownPlainly(cuts[s.cut].name),
                 writeGap(s.length(), n),
                 s.walkedOn ? ": it crosses a doorway or the middle of a way" : "");
    }
}

/// Widths said, or those in stock.
Result<std::vector<Length>> widthsOf(const std::vector<std::string>& said, Units bare,
                                     const RugBook& book) {
    if (said.empty())
        return book.rolls;
    std::vector<Length> out;
    for (const auto& s : said) {
        const auto w = lengthOf(s, bare, "a roll's width");
        if (!w)
            return w.problem();
        if (*w < Length::millimetres(100) || *w > Length::metres(20))
            return Problem{worded("“{}” is no width of a roll", shownPlainly(s)),
                           "write it like 12' or 4 m"};
        out.push_back(*w);
    }
    return out;
}

/// Plans on rolls that were said, each of which has to do, in their order; or on those in stock
/// that do, least waste first.
Result<std::vector<RollPlan>> plansOn(const std::vector<RollCut>& cuts, RollAsk ask,
                                      const std::vector<Length>& widths, bool said) {
    if (!said)
        return layOnRolls(cuts, ask, widths);
    std::vector<RollPlan> out;
    for (const Length w : widths) {
        ask.width = w;
        auto plan = layOnRoll(cuts, ask);
        if (!plan)
            return plan.problem();
        out.push_back(std::move(*plan));
    }
    return out;
}

} // namespace

int cut(const CutCommand& c) {
    const auto lib = library();
    if (!lib)
        return refuse(lib.problem());
    const Units bare = unitsOf(c.cuts);
    const Notation shown{bare, 8};
    std::vector<RollCut> cuts;
    for (const auto& said : c.cuts) {
        const auto x = said.find_first_of("xX");
        const auto across = x == std::string::npos ? Result<Length>(Problem{})
                                                   : readLength(trimmed(said.substr(0, x)), bare);
        const auto along = x == std::string::npos ? Result<Length>(Problem{})
                                                  : readLength(trimmed(said.substr(x + 1)), bare);
        if (!across || !along || *across <= Length{} || *along <= Length{})
            return refuse({worded("cut {}, “{}”, is no size", cuts.size() + 1, shownPlainly(said)),
                           "write across x along the pile, like \"9' x 12'\""});
        if (*across > Length::metres(100) || *along > Length::metres(1000))
            return refuse({worded("cut {}, “{}”, is larger than anything that is cut",
                                  cuts.size() + 1, shownPlainly(said)),
                           "look at its unit"});
        cuts.push_back({fmt::format("cut {}", cuts.size() + 1), *across, *along});
    }
    RollAsk ask;
    ask.shown = shown;
    ask.seams = c.seams;
    ask.allowance = isMetric(bare) ? Length::centimetres(5) : Length::inches(2);
    const auto option = [&](const std::string& said, Length& into,
                            const char* what) -> std::optional<Problem> {
        if (said.empty())
            return {};
        const auto l = lengthOf(said, bare, what);
        if (!l)
            return l.problem();
        into = *l;
        return {};
    };
    if (auto bad = option(c.allowance, ask.allowance, "the allowance"))
        return refuse(*bad);
    if (auto bad = option(c.repeat, ask.repeat, "the pattern's repeat"))
        return refuse(*bad);
    if (!c.repeat.empty() && ask.repeat <= Length{})
        return refuse({"a pattern's repeat of nothing is none", "leave it out, or say its length"});
    if (auto bad = option(c.drop, ask.drop, "the pattern's drop"))
        return refuse(*bad);
    const auto widths = widthsOf(c.rolls, bare, *lib->rugs);
    if (!widths)
        return refuse(widths.problem());
    const auto plans = plansOn(cuts, ask, *widths, !c.rolls.empty());
    if (!plans)
        return refuse(plans.problem());
    if (!c.asJson) {
        printPlans(*plans, cuts, shown);
        return ran;
    }
    json out{{"rolls", json::array()}};
    for (const RollPlan& plan : *plans)
        out["rolls"].push_back(planJson(plan, cuts, nullptr));
    fmt::print("{}\n", out.dump(1));
    return ran;
}

int runner(const RunnerCommand& c) {
    StairRunner s;
    const Units bare = unitsOf({c.riser, c.going, c.nosing, c.width, c.pile});
    const bool inMetric = isMetric(bare);
    s.nosing = inMetric ? Length::millimetres(25) : Length::inches(1);
    s.pile = inMetric ? Length::millimetres(10) : Length::inches(0.375);
    for (const auto& [said, into, what] :
         {std::tuple<const std::string&, Length&, const char*>{c.riser, s.riser, "--riser"},
          {c.going, s.going, "--going"},
          {c.nosing, s.nosing, "--nosing"},
          {c.width, s.width, "--width"},
          {c.pile, s.pile, "--pile"}}) {
        if (said.empty())
            continue;
        const auto l = lengthOf(said, bare, what);
        if (!l)
            return refuse(l.problem());
        into = *l;
    }
    for (const auto& said : c.landings) {
        const auto l = lengthOf(said, bare, "--landing");
        if (!l)
            return refuse(l.problem());
        s.landings.push_back(*l);
    }
    s.risers = c.count;
    s.turns = c.turns;
    s.capped = c.capped;
    const auto out = measureRunner(s);
    if (!out)
        return refuse(out.problem());
    if (c.asJson) {
        fmt::print("{}\n", json{{"length_mm", rounded(out->length.mm())},
                                {"pieces", out->pieces},
                                {"opening_mm", rounded(out->opening.mm())},
                                {"width_mm", rounded(s.width.mm())},
                                {"nosings", out->nosings},
                                {"rods", out->rods},
                                {"nosing_assumed", c.nosing.empty()},
                                {"pile_assumed", c.pile.empty()}}
                               .dump(1));
        return ran;
    }
    const Notation n{bare, 8};
    tell("{} long, {} wide, in {} {}; {} rods\n", write(out->length, n), writeGap(s.width, n),
         out->pieces, out->pieces == 1 ? "length" : "lengths", out->rods);
    tell("the pile opens by {} over each nosing\n",
         writeGap(out->opening, {bare, inMetric ? 8 : 32}));
    tell("Whoever fits it sees to the grip and the fixing: a loose runner makes people fall.\n");
    return ran;
}

int rugs(const RugsCommand& c) {
    auto job = open(c.job, c.room);
    if (!job)
        return refuse(job.problem());
    const Project& p = **job;
    const auto scene = sceneOf(p);
    if (!scene)
        return refuse(scene.problem());
    const FloorView floor(**scene);
    const RuleBook& book = *p.library.book;
    const Length leg = book.habit("rug-leg");
    const Length front = book.habit("front-legs-least");
    const Rule* chairs = book.byId("chair-pull-out");
    const Length atTable = chairs != nullptr ? chairs->setting("at table") : Length{};
    const auto toCut = rugsToCut(floor, book);
    if (!toCut)
        return refuse(toCut.problem());
    json all = json::array();
    std::string text;
    for (std::size_t i = 0; i < floor.placed.size(); ++i) {
        const Piece& rug = floor.piece(i);
        if (!rug.kind->flat())
            continue;
        const Pose& pose = floor.placed[i].pose;
        const auto corners = trueOutline(rug, pose);
        // Of one up stairs, as it is cut, and not as it lies over them.
        const auto cutOff = std::find_if(toCut->begin(), toCut->end(), [&](const RugCutOff& one) {
            return one.rug == rug.id && one.runner;
        });
        const Piece whole = cutOff != toCut->end() ? unrolled(rug, cutOff->cut.along) : rug;
        const double area = areaOf(whole);
        const Length round = perimeterOf(whole);
        auto sides = pricedSides(whole, pose, *p.library.rugs);
        if (const auto lying = sidesOf(rug, pose); cutOff != toCut->end())
            for (std::size_t k = 0; k < sides.size(); ++k) {
                sides[k].from = lying[k].from;
                sides[k].to = lying[k].to;
            }
        json one{{"name", rug.name},
                 {"outline_mm", points(corners)},
                 {"area_m2", std::round(area) / 1e6},
                 {"perimeter_mm", rounded(round.mm())}};
        one["edges"] = json::array();
        double price = 0;
        for (const RugSidePrice& s : sides) {
            json edge{{"from", point(s.from)},
                      {"to", point(s.to)},
                      {"length_mm", rounded(s.length.mm())},
                      {"finish", s.finish},
                      {"price", s.price}};
            if (s.tape > Length{})
                edge["tape_mm"] = rounded(s.tape.mm());
            price += s.price;
            one["edges"].push_back(edge);
        }
        one["hold"] = json::array();
        const auto held = rugOf(rug).stairs > 0 ? std::vector<SeatOnRug>{}
                                                : seatsOnRug(floor, corners, leg, front, atTable);
        text += fmt::format("{}: {}, {} round\n", shownPlainly(rug.name),
                            writeArea(area, p.notation.units), write(round, p.notation));
        for (const SeatOnRug& s : held) {
            const auto& name = p.scheme().byId(s.seat)->name;
            one["hold"].push_back(
                {{"seat", name}, {"how", howWord(s.how)}, {"legs_on", s.legsOn}, {"legs", s.legs}});
            text += fmt::format("  {}: {}, {} of {} legs on\n", shownPlainly(name), howWord(s.how),
                                s.legsOn, s.legs);
        }
        for (const RugSidePrice& s : sides)
            if (!s.finish.empty())
                text += fmt::format("  edge of {}: {}, {:.2f}\n", write(s.length, p.notation),
                                    p.library.rugs->edgeById(s.finish) != nullptr
                                        ? p.library.rugs->edgeById(s.finish)->name
                                        : s.finish,
                                    s.price);
        one["pile_mm"] = rounded(rug.size.height.mm());
        one["pad_mm"] = rounded(padUnder(rug, book.habit("rug-pad")).mm());
        one["pad_assumed"] = !rugOf(rug).pad.has_value();
        one["layered"] = isLayered(floor, i);
        one["groups"] = json::array();
        std::vector<std::string> groups;
        for (const Zone& z : p.scheme().zones)
            if (std::any_of(z.pieces.begin(), z.pieces.end(), [&](int id) {
                    const Piece* on = p.scheme().byId(id);
                    const Placed* where = floor.byId(id);
                    return on != nullptr && where != nullptr && !on->kind->flat() &&
                           standsOn(where->shape, rug, floor.placed[i]);
                })) {
                one["groups"].push_back(z.name);
                groups.push_back(shownPlainly(z.name));
            }
        if (groups.size() > 1)
            text += fmt::format("  it lies under more than one group: {}\n", listed(groups));
        if (const RugMaterial* m = p.library.rugs->materialById(rugOf(rug).material)) {
            one["material"] = m->name;
            one["material_price"] = std::round(m->price * area / 1e6 * 100) / 100;
        }
        const double corner = mitres(sides) * p.library.rugs->mitre;
        one["mitres"] = mitres(sides);
        one["edges_price"] = std::round((price + corner) * 100) / 100;
        all.push_back(one);
    }
    std::vector<RollCut> cuts;
    for (const RugCutOff& r : *toCut)
        cuts.push_back(r.cut);
    RollAsk ask = rollAsk(book, p.notation);
    if (!c.allowance.empty()) {
        const auto l = lengthOf(c.allowance, p.notation.units, "the allowance");
        if (!l)
            return refuse(l.problem());
        ask.allowance = *l;
    }
    const auto widths = widthsOf(c.rolls, p.notation.units, *p.library.rugs);
    if (!widths)
        return refuse(widths.problem());
    json rolls = json::array();
    for (const RollGroup& g : rollGroups(p.scheme(), *toCut)) {
        const auto plans = plansOf(g, *toCut, ask, *widths, !c.rolls.empty());
        if (!plans)
            return refuse(plans.problem());
        const RugMaterial* m = p.library.rugs->materialById(g.material);
        if (!c.asJson) {
            if (m != nullptr)
                text += fmt::format("{}, the least dear {:.2f}:\n", m->name,
                                    g.price(plans->front(), *p.library.rugs));
            fmt::print("{}", text);
            printPlans(*plans, cuts, p.notation);
            text.clear();
            continue;
        }
        for (const RollPlan& plan : *plans) {
            json roll = planJson(plan, cuts, &*toCut);
            if (m != nullptr) {
                roll["material"] = m->name;
                roll["price"] = g.price(plan, *p.library.rugs);
            }
            rolls.push_back(std::move(roll));
        }
    }
    if (!c.asJson) {
        if (toCut->empty())
            fmt::print("{}", text.empty() ? "There is no rug in this scheme.\n" : text);
        return ran;
    }
    json out{{"rugs", all}, {"rolls", rolls}};
    fmt::print("{}\n", out.dump(1));
    return ran;
}

} // namespace mezzet::cli
