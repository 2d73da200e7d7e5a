#include "judge/lux.h"

#include "judge/on_walls.h"
#include "light/tasks.h"

#include <numbers>

namespace mezzet {

namespace {

void brightness(const Project& job, const Scene& scene, const LitRoom& lit, const Rule& rule,
                std::vector<Reading>& out) {
    const double passedOn = lit.evenlyPassedOn();
    for (const LightTask& t : tasksOf(job, scene)) {
        Reading r;
        r.rule = &rule;
        r.piece = t.piece;
        r.value = {Quantity::count, lit.direct(t.at, t.facing) + passedOn};
        r.band = {t.least, t.most, {}, {}};
        r.verdict = Verdict::note;
        r.at = {t.at.plan(), t.at.plan()};
        out.push_back(std::move(r));
    }
}

/// Bare lamps in sight of whoever sits: how far off straight ahead.
void dazzle(const Project& job, const Scene& scene, const LitRoom& lit, const Rule& rule,
            std::vector<Reading>& out) {
    const double about = rule.number("about");
    const FloorView floor(scene);
    for (std::size_t i = 0; i < floor.placed.size(); ++i) {
        const Piece& seat = floor.piece(i);
        if (!seat.kind->isSeat())
            continue;
        const Pose& pose = floor.placed[i].pose;
        const Vec3 eye = eyesOnSeat(*scene.room, seat, pose.at, job.judgement);
        const Vec2 ahead = pose.front();
        for (std::size_t k = 0; k < lit.lamps().size(); ++k) {
            const Lamp& lamp = lit.lamps()[k];
            const Piece& light = *scene.scheme->byId(lamp.piece);
            if (!light.kind->light->bare)
                continue;
            const Vec3 way = lamp.at - eye;
            const double off =
                std::acos(std::clamp(dot(unit(way), Vec3{ahead.x, ahead.y, 0}), -1.0, 1.0)) * 180 /
                std::numbers::pi;
            if (off > about || lit.directFrom(k, eye, unit(way)) <= 0)
                continue;
            Reading r;
            r.rule = &rule;
            r.piece = lamp.piece;
            r.other = pieceTarget(seat.id);
            r.value = {Quantity::count, std::round(off)};
            r.band = job.judgement.bandOf(rule);
            r.verdict = off < r.band.low.value_or(0) ? Verdict::note : Verdict::right;
            r.at = {lamp.at.plan(), pose.at};
            out.push_back(std::move(r));
        }
    }
}

} // namespace

std::vector<Reading> luxReadings(const Project& job, const Scene& scene) {
    std::vector<Reading> out;
    const Rule* bright = job.library.book->byId("illuminance");
    const Rule* bare = job.library.book->byId("glare");
    // Nothing shines: no bodies are made for it.
    const auto shines = [](const Piece& p) { return p.kind->light != nullptr; };
    const auto& pieces = scene.scheme->pieces;
    if (!scene.room->closed || std::none_of(pieces.begin(), pieces.end(), shines))
        return out;
    const LitRoom lit(job, scene);
    if (lit.lamps().empty())
        return out;
    if (bright != nullptr)
        brightness(job, scene, lit, *bright, out);
    if (bare != nullptr)
        dazzle(job, scene, lit, *bare, out);
    return out;
}

} // namespace mezzet
