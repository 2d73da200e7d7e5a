// What hangs: sheets of walls, hooks and templates, and hook points as data.
#include "tell.h"
#include "commands.h"
#include "offscreen.h"
#include "shared.h"

#include "judge/on_walls.h"
#include "measure/texts.h"
#include "sheets/picture_in.h"
#include "sheets/wall_sheets.h"

#include <fmt/format.h>

namespace mezzet::cli {

namespace {

/// A wall by its letter; none when it is left out.
Result<std::optional<int>> wallNamed(const Project& job, const std::string& said) {
    if (said.empty())
        return std::optional<int>();
    const auto i = wallIndex(said);
    const int count = static_cast<int>(job.room->walls.size());
    if (!i || *i >= count)
        return Problem{worded("there is no wall “{}”; the room has walls A to {}", said,
                              wallName(std::max(0, count - 1))),
                       ""};
    return i;
}

} // namespace

int sheet(const SheetCommand& c) {
    const sheets::SheetKind* kind = sheets::sheetById(c.which);
    if (kind == nullptr)
        return wrong(
            worded("there is no sheet “{}”; the sheets are: {}", c.which, sheets::sheetIds()));
    const bool table = kind->table != nullptr &&
                       foldCase(std::filesystem::path(c.out).extension().string()) == ".csv";
    if (!table && !sheets::formatOf(c.out))
        return wrong(worded(
            "“{}” is no file a sheet can be written to; end it in .pdf, .svg or .png", c.out));
    sheets::SheetOptions o;
    if (c.paper != "fit" && !(o.paper = sheets::paperNamed(c.paper)))
        return wrong(worded("there is no paper “{}”; use letter, tabloid, a4 or a3", c.paper));
    if (c.scale != "fit" && !(o.scale = sheets::readScale(c.scale)))
        return wrong(worded("“{}” is no scale; write it like 1:50 or 1/4\"", c.scale));
    auto job = open(c.job, c.room);
    if (!job)
        return refuse(job.problem());
    const auto wall = wallNamed(**job, c.wall);
    if (!wall)
        return wrong(wall.problem().what);
    o.wall = *wall;
    o.mends = !c.client;
    if (kind->asks.has(sheets::Asks::wall) && !o.wall)
        return wrong("which wall? say it like: --wall C");
    o.of = c.of;
    if (!c.roll.empty()) {
        const auto roll = readLength(c.roll, (*job)->notation.units);
        if (!roll || *roll < Length::inches(4) || *roll > Length::metres(5))
            return wrong(worded("“{}” is no width of a roll; write it like 24 or 610mm", c.roll));
        o.roll = *roll;
    }
    Offscreen application;
    const auto printed = sheets::printSheet(*kind, **job, o, c.out);
    if (!printed)
        return refuse(printed.problem());
    fmt::print("{}: {}, {}, {}{}\n", c.out, printed->paper, printed->scale,
               sheets::pagesWords(c.out, printed->pages),
               printed->told.empty() ? "" : " (" + printed->told + ")");
    return ran;
}

int picture(const std::string& path, const std::string& name, const std::string& file) {
    std::error_code error;
    if (!std::filesystem::exists(path, error))
        return refuse(open(path).problem());
    const auto kept = keepJob(path, "picture");
    if (!kept)
        return refuse(kept.problem());
    auto job = open(path);
    if (!job)
        return refuse(job.problem());
    const Piece* p = (*job)->scheme().byName(name);
    if (p == nullptr || !p->onWall() || p->isGroup())
        return wrong(worded("no frame on a wall is called “{}”", name));
    auto read = sheets::readPicture(file);
    if (!read)
        return refuse(read.problem());
    const auto scene = sceneOf(**job);
    if (!scene)
        return refuse(scene.problem());
    auto next = apply(**job, sheets::intoFrame(**job, **scene, *p, *read));
    if (!next)
        return refuse(next.problem());
    if (auto saved = saveJob(*next->project, path); !saved)
        return refuse(saved.problem());
    tell("{}: {}, {} x {} pixels kept\n", p->name, next->project->scheme().byId(p->id)->picture,
         read->width, read->height);
    return ran;
}

int pictures(const std::string& path, const std::string& room,
             const std::vector<std::string>& files, const std::string& name, bool asJson) {
    const auto opened = open(path, room);
    if (!opened)
        return refuse(opened.problem());
    const auto scene = sceneOf(**opened);
    if (!scene)
        return refuse(scene.problem());
    struct Ranked {
        std::string file;
        PictureAnswer answer;
    };
    std::vector<Ranked> all;
    const auto colours = roomColours(**scene);
    for (const std::string& file : files) {
        const auto read = sheets::readPicture(file);
        if (!read)
            return refuse(read.problem());
        all.push_back({file, answerOf(sheets::coloursOf(*read), colours)});
    }
    std::stable_sort(all.begin(), all.end(), [](const Ranked& a, const Ranked& b) {
        return a.answer.score > b.answer.score;
    });
    if (asJson) {
        json out{{"room", json::array()}, {"pictures", json::array()}};
        for (const RoomColour& c : colours)
            out["room"].push_back({{"name", c.name}, {"colour", hexOf(c.colour)}});
        for (const Ranked& r : all)
            out["pictures"].push_back({{"file", r.file},
                                       {"score", std::round(r.answer.score * 1e4) / 1e4},
                                       {"shared", std::round(r.answer.shared * 1e4) / 1e4},
                                       {"contrast", std::round(r.answer.contrast * 10) / 10},
                                       {"repeats", std::round(r.answer.repeats * 1e4) / 1e4},
                                       {"dark_foot", r.answer.darkFoot},
                                       {"with", r.answer.with},
                                       {"why", r.answer.why}});
        fmt::print("{}\n", out.dump(1));
    } else {
        if (colours.empty())
            tell("no colour of the room is told yet: say it like “colour walls sage”\n");
        for (const Ranked& r : all)
            fmt::print("{:.2f}  {}: {}\n", r.answer.score, shownPlainly(r.file), r.answer.why);
    }
    return name.empty() ? static_cast<int>(ran) : picture(path, name, all.front().file);
}

int hang(const std::string& path, const std::string& room, const std::string& wallSaid,
         bool asJson) {
    auto job = open(path, room);
    if (!job)
        return refuse(job.problem());
    const auto wall = wallNamed(**job, wallSaid);
    if (!wall)
        return wrong(wall.problem().what);
    auto resolved = sceneOf(**job);
    if (!resolved)
        return refuse(resolved.problem());
    const WallsView scene(**resolved);
    const Notation n = (*job)->notation;
    const auto hangs = hangAll(scene, hookRules(*(*job)->library.book), *wall);
    json out{{"room", scene.room->name}, {"scheme", scene.scheme->name}, {"pieces", json::array()}};
    for (const HangOf& h : hangs) {
        const Piece& p = *scene.scheme->byId(h.piece);
        const Box b = bounds(scene.byId(h.piece)->shape);
        if (!asJson) {
            tell("{:<26} {:>14}  wall {}, {}{}{}{}\n", p.name, footprintWords(p, n),
                 wallName(h.wall), write(h.weight, n), h.estimated ? ", guessed" : "",
                 h.load > Mass{} ? fmt::format(", holds {}{}", write(h.load, n),
                                               h.loadGuessed ? ", guessed" : "")
                                 : std::string(),
                 h.dropAssumed ? fmt::format("; drop {} assumed: {}", sheets::hookWords(h.drop, n),
                                             measureTheDrop)
                               : std::string());
            for (const HookPoint& k : h.hooks)
                tell("    {:>12} from the left corner, {:>12} up, {:<14} rated {}{}\n",
                     sheets::hookWords(k.along, n), sheets::hookWords(k.up, n),
                     sheets::fixingWords(k, n), write(k.rated, n),
                     k.zone.empty() ? "" : "; cables likely: " + k.zone);
            for (const auto& c : h.cautions)
                fmt::print("    {}\n", c);
            continue;
        }
        json one{{"name", p.name}, {"wall", wallName(h.wall)}};
        for (const auto& [m, word] : mountWords)
            if (m == h.mount)
                one["mount"] = word;
        if (p.group() != 0)
            one["group"] = scene.scheme->byId(p.group())->name;
        one["top_mm"] = b.high.y;
        one["left_mm"] = b.low.x;
        one["drop_mm"] = h.drop.mm();
        one["drop_assumed"] = h.dropAssumed;
        one["load_kg"] = h.load.kg();
        one["load_guessed"] = h.loadGuessed;
        one["weight_kg"] = h.weight.kg();
        one["weight_guessed"] = h.estimated;
        if (h.wire)
            one["wire"] = {{"ring_spacing_mm", h.ringSpacing.mm()},
                           {"rings_down_mm", h.ringsDown.mm()},
                           {"length_mm", h.wireLength.mm()},
                           {"rise_mm", h.wire->rise.mm()},
                           {"tension_N", h.wire->tension}};
        one["hooks"] = json::array();
        for (const HookPoint& k : h.hooks) {
            json hook{{"from_left_mm", k.along.mm()},
                      {"up_mm", k.up.mm()},
                      {"from_ceiling_mm", k.fromCeiling.mm()},
                      {"from_right_mm", k.fromRight.mm()},
                      {"from_left", sheets::hookWords(k.along, n)},
                      {"up", sheets::hookWords(k.up, n)},
                      {"into", k.into == Fixing::stud ? "stud" : "plug"},
                      {"carries_kg", k.carries.kg()},
                      {"rated_kg", k.rated.kg()},
                      {"cable_zone", k.zone}};
            if (k.fromStud)
                hook["from_stud_mm"] = k.fromStud->mm();
            if (k.onBreast)
                hook["on_breast_mm"] = k.onBreast->mm();
            one["hooks"].push_back(hook);
        }
        one["cautions"] = h.cautions;
        out["pieces"].push_back(one);
    }
    json mirrors = json::array();
    json shelves = json::array();
    const auto lookers = lookersOf(scene, statureOf((*job)->judgement));
    for (std::size_t i = 0; i < scene.hung.size(); ++i) {
        const Piece& p = scene.hungPiece(i);
        if (*wall && p.wall() != **wall)
            continue;
        if (p.kind->role == Role::mirror)
            for (const Looker& l : lookers) {
                const auto v = mirrorShows(scene, i, l);
                if (!v.seen)
                    continue;
                if (!asJson)
                    fmt::print("{}: {}\n", p.name, mirrorSaid(v, (*job)->wording()));
                json shows = json::array();
                for (const MirrorItem& m : v.items)
                    shows.push_back(
                        {{"what", words(m.what, (*job)->wording())}, {"share", m.share}});
                mirrors.push_back({{"mirror", p.name},
                                   {"from", words(l.from, (*job)->wording())},
                                   {"hidden", v.hidden},
                                   {"self", v.self},
                                   {"shows", shows}});
            }
        if (const auto beam = shelfBeam(scene, i, *(*job)->library.book)) {
            const Sag s = sagOf(*beam);
            const Length holds = spanThatHolds(*beam, 1.0 / 360);
            if (!asJson)
                tell("{}: bends {} over {}; a span of {} would hold\n", p.name,
                     sheets::hookWords(s.deflection, n), sheets::hookWords(s.span, n),
                     sheets::hookWords(holds, n));
            json props = json::array();
            for (const Length b : beam->props)
                props.push_back(b.mm());
            shelves.push_back({{"shelf", p.name},
                               {"load_N_per_m", beam->load},
                               {"deflection_mm", s.deflection.mm()},
                               {"span_mm", s.span.mm()},
                               {"span_that_holds_mm", holds.mm()},
                               {"brackets_mm", props}});
        }
    }
    if (asJson) {
        out["mirrors"] = mirrors;
        out["shelves"] = shelves;
        fmt::print("{}\n", out.dump(1));
    } else if (hangs.empty()) {
        tell("Nothing hangs there.\n");
    }
    return ran;
}

} // namespace mezzet::cli
