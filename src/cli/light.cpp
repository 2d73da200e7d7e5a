// The light of a room: fixtures, what is done by it, and how bright it is.
#include "tell.h"
#include "commands.h"
#include "offscreen.h"
#include "shared.h"

#include "light/tasks.h"
#include "measure/texts.h"
#include "sheets/look.h"
#include "sheets/polar.h"

#include <charconv>

namespace mezzet::cli {

namespace {

json place(Vec3 p) {
    return json::array({tidied(p.x), tidied(p.y), tidied(p.z)});
}

/// "1200,900,0" as a point or a direction. Problem: no three numbers.
Result<Vec3> threeOf(const std::string& said, const char* option) {
    double v[3] = {};
    const char* at = said.data();
    const char* const end = said.data() + said.size();
    for (int i = 0; i < 3; ++i) {
        while (at < end && *at == ' ')
            ++at;
        const auto [next, error] = std::from_chars(at, end, v[i]);
        if (error != std::errc() || !std::isfinite(v[i]) ||
            (i < 2 ? next == end || *next != ',' : next != end))
            return Problem{worded("“{}” is no X,Y,Z for {}", shownPlainly(said), option),
                           "write it like 2000,1500,760: lengths in mm, z up from the floor"};
        at = next + 1;
    }
    return Vec3{v[0], v[1], v[2]};
}

/// A length of an option, bare figures in the job's unit.
Result<Length> lengthSaid(const std::string& said, Units bare, const char* option) {
    auto l = readLength(said, bare);
    if (!l)
        return Problem{worded("“{}” is no length for {}", shownPlainly(said), option),
                       isMetric(bare) ? "write it like 25 or 250mm" : "write it like 10 or 250mm"};
    return l;
}

json gridJson(const LuxGrid& g) {
    json rows = json::array();
    for (std::size_t r = 0; r < g.rows; ++r) {
        json row = json::array();
        for (std::size_t c = 0; c < g.columns; ++c) {
            const auto& lux = g.lux[r * g.columns + c];
            row.push_back(lux ? json(tidied(*lux)) : json(nullptr));
        }
        rows.push_back(std::move(row));
    }
    return {{"from", point(g.from)}, {"step_mm", tidied(g.step)}, {"lux", std::move(rows)}};
}

} // namespace

int light(const LightCommand& c) {
    const auto opened = open(c.job, c.room);
    if (!opened)
        return refuse(opened.problem());
    const Project& job = **opened;
    const auto scene = sceneOf(job);
    if (!scene)
        return refuse(scene.problem());
    const LightPlan& plan = job.scheme().light;
    const LightScene* turned = nullptr;
    if (!c.scene.empty()) {
        turned = plan.scene(c.scene);
        if (turned == nullptr) {
            std::vector<std::string> names;
            for (const auto& s : plan.scenes)
                names.push_back(s.name);
            Problem p{fmt::format("there is no light scene “{}”", shownPlainly(c.scene)),
                      names.empty() ? "say one first, like: scene Supper is Table 60 %"
                                    : fmt::format("there is {}", listed(names))};
            p.file = c.job;
            return refuse(p);
        }
    }
    if (!job.room->closed)
        return refuse(Problem{"the room is not closed, so no light can be reckoned in it",
                              "tape all of its walls", c.job});
    const Units units = job.notation.units;
    LitRoom lit(job, **scene, turned);
    if (!c.at.empty()) {
        const auto at = threeOf(c.at, "--at");
        if (!at)
            return wrong(at.problem().text());
        Vec3 facing{0, 0, 1};
        if (!c.facing.empty()) {
            const auto said = threeOf(c.facing, "--facing");
            if (!said)
                return wrong(said.problem().text());
            facing = unit(*said);
            if (norm(*said) <= 0)
                return wrong("--facing 0,0,0 is no direction; say one like 0,0,1 for up");
        }
        if (!c.directOnly)
            lit.pass();
        const Lux lux = lit.at(*at, facing);
        if (c.asJson)
            fmt::print("{}\n", json{{"lux", tidied(lux.all())},
                                    {"direct", tidied(lux.direct)},
                                    {"bounced", tidied(lux.bounced)}}
                                   .dump(1));
        else
            tell("{:.0f} lux: {:.0f} straight from the lights, {:.0f} passed on\n", lux.all(),
                 lux.direct, lux.bounced);
        return ran;
    }
    if (!c.grid.empty()) {
        const auto step = lengthSaid(c.grid, units, "--grid");
        if (!step)
            return wrong(step.problem().text());
        Length height;
        if (!c.height.empty()) {
            const auto said = lengthSaid(c.height, units, "--height");
            if (!said)
                return wrong(said.problem().text());
            height = *said;
        }
        if (!c.directOnly)
            lit.pass();
        const auto grid = gridOf(lit, *job.room, *step, height, c.directOnly);
        if (!grid)
            return wrong(grid.problem().text());
        if (c.asJson) {
            fmt::print("{}\n", json{{"grid", gridJson(*grid)}}.dump());
            return ran;
        }
        for (std::size_t r = 0; r < grid->rows; ++r) {
            for (std::size_t k = 0; k < grid->columns; ++k) {
                const auto& lux = grid->lux[r * grid->columns + k];
                fmt::print("{:>6}", lux ? fmt::format("{:.0f}", *lux) : std::string("-"));
            }
            fmt::print("\n");
        }
        tell("lux; mean {:.0f}, least {:.0f}, evenness {:.2f}\n", grid->mean, grid->least,
             grid->evenness());
        return ran;
    }
    if (!c.directOnly)
        lit.pass();
    json out{{"fixtures", json::array()}, {"tasks", json::array()}, {"zones", json::array()}};
    for (const Lamp& l : lit.lamps()) {
        const Piece& p = *(*scene)->pieceById(l.piece);
        const double lumens = shiningOf(job, p).lumens; // new, and full on
        json one{{"name", p.name},
                 {"kind", foldCase(p.kind->name)},
                 {"at", place(l.at)},
                 {"drop_mm", p.on.isCeiling() ? json(tidied(l.drop)) : json(nullptr)},
                 {"lumens", tidied(lumens)},
                 {"watts", tidied(l.watts)},
                 {"zone", l.zone.empty() ? json(nullptr) : json(l.zone)}};
        if (!c.asJson)
            fmt::print("{:<24} {:<20} {:>6.0f} lm {:>5.0f} W  {}\n", p.name, p.kind->name, lumens,
                       l.watts, l.zone);
        out["fixtures"].push_back(std::move(one));
    }
    for (const LightTask& t : tasksOf(job, **scene)) {
        const Lux lux = lit.at(t.at, t.facing);
        if (!c.asJson)
            tell("{:<44} {:>6.0f} lux, wants {:.0f} to {:.0f}\n", t.name, lux.all(), t.least,
                 t.most);
        out["tasks"].push_back({{"name", t.name},
                                {"at", place(t.at)},
                                {"lux", tidied(lux.all())},
                                {"direct", tidied(lux.direct)},
                                {"bounced", tidied(lux.bounced)},
                                {"wanted", t.least > 0 ? json(t.least) : json(nullptr)}});
    }
    for (const LightZone& z : plan.zones) {
        double watts = 0;
        json names = json::array();
        for (const Lamp& l : lit.lamps())
            if (l.zone == z.name) {
                watts += l.watts;
                names.push_back((*scene)->pieceById(l.piece)->name);
            }
        if (!c.asJson)
            tell("zone {:<19} {:>27.0f} W\n", z.name, watts);
        out["zones"].push_back(
            {{"name", z.name}, {"watts", tidied(watts)}, {"fixtures", std::move(names)}});
    }
    const auto floor = gridOf(lit, *job.room, Length::millimetres(200), {}, c.directOnly);
    if (!floor)
        return refuse(floor.problem());
    out["floor"] = {{"mean", tidied(floor->mean)},
                    {"least", tidied(floor->least)},
                    {"evenness", tidied(floor->evenness())}};
    if (c.asJson)
        fmt::print("{}\n", out.dump(1));
    else
        tell("floor: mean {:.0f} lux, least {:.0f}, evenness {:.2f}; daylight is left out\n",
             floor->mean, floor->least, floor->evenness());
    if (const auto assumed = assumedIn(plan); !assumed.empty() && !c.asJson)
        fmt::print("{}\n", assumed);
    return ran;
}

int photometry(const std::string& file, const std::string& at, const std::string& curve,
               bool asJson) {
    const auto text = readWholeFile(file, mostPhotometryBytes);
    if (!text)
        return refuse(text.problem());
    const auto read = readPhotometry(*text, file);
    if (!read)
        return refuse(read.problem());
    json out{{"lumens", tidied(read->lumens())}, {"watts", tidied(read->watts)}};
    if (!curve.empty()) {
        if (!endsAs(curve, {".pdf", ".svg", ".png"}))
            return wrongUsage;
        const Offscreen screen;
        sheets::loadFonts();
        const auto name =
            read->name.empty() ? std::filesystem::path(file).stem().string() : read->name;
        const auto made = sheets::printPages(
            sheets::polarCurve(std::make_shared<const Photometry>(*read), shownPlainly(name)),
            curve);
        if (!made)
            return refuse(made.problem());
    }
    if (!at.empty()) {
        const auto comma = at.find(',');
        double v = 0;
        double h = 0;
        const auto number = [](std::string_view s, double& into) {
            s = trimmed(s);
            const auto [end, error] = std::from_chars(s.data(), s.data() + s.size(), into);
            return error == std::errc() && end == s.data() + s.size() && std::isfinite(into);
        };
        if (comma == std::string::npos || !number(std::string_view(at).substr(0, comma), v) ||
            !number(std::string_view(at).substr(comma + 1), h))
            return wrong(worded("“{}” is no V,H for --at; write it like 30,90, in degrees",
                                shownPlainly(at)));
        out["candela"] = tidied(read->at(v, h));
    }
    if (asJson) {
        fmt::print("{}\n", out.dump(1));
        return ran;
    }
    tell("{}: {:.0f} lumens, {:g} W, at most {:.0f} candela, beam {:.0f}°, field {:.0f}°\n",
         read->name.empty() ? std::string("a fixture") : read->name, read->lumens(), read->watts,
         read->most(), read->spread(0.5), read->spread(0.1));
    if (out.contains("candela"))
        tell("{} candela there\n", out["candela"].dump());
    return ran;
}

} // namespace mezzet::cli
