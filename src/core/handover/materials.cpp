#include "handover/materials.h"

#include "measure/texts.h"
#include "room/facts.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

constexpr double squareMetresALitre = 10; // of wall paint and coat, common practice

} // namespace

double paintLitres(double squareMetres) {
    return squareMetres * paintCoats / squareMetresALitre;
}

PaintWanted paintFor(double area, Units units) {
    const bool metric = isMetric(units);
    const double litres = paintLitres(area / 1e6);
    PaintWanted out;
    out.quantity =
        std::max(1, static_cast<int>(std::ceil(metric ? litres : litres / litresAGallon)));
    out.amount = metric ? worded("{} litres", out.quantity) : worded("{} gallons", out.quantity);
    out.goesFor = writeArea(squareMetresALitre * 1e6 * (metric ? 1 : litresAGallon), units);
    return out;
}

std::vector<Material> materialsOf(const Project& job, std::size_t scheme) {
    std::vector<Material> out;
    const Scheme& s = *job.schemes[scheme];
    const Room& room = *job.roomOf(scheme);
    const RoomFacts facts = factsOf(room);
    const auto paint = [&](std::string name, const std::optional<Rgb>& colour, double area) {
        if (!colour || area <= 0)
            return;
        const auto wanted = paintFor(area, job.notation.units);
        Material m;
        m.name = std::move(name);
        m.room = room.name;
        m.quantity = wanted.quantity;
        // How far a litre or a gallon goes is assumed, and said.
        m.note = worded("{} ({}), {} for two coats on {}, at {} to one (assumed)",
                        colourWord(*colour), hexOf(*colour), wanted.amount,
                        writeArea(area, job.notation.units), wanted.goesFor);
        out.push_back(std::move(m));
    };
    // Walls of their own colour are painted from another tin.
    double own = 0;
    for (const auto& [wall, colour] : s.dressing.ownWalls)
        if (wall < static_cast<int>(room.walls.size())) {
            const double area = netAreaOf(room, wall);
            paint(worded("Paint for wall {}", wallName(wall)), colour, area);
            own += area;
        }
    paint(std::string(told("Wall paint")), s.dressing.walls, facts.netWallArea() - own);
    paint(std::string(told("Ceiling paint")), s.dressing.ceiling, facts.ceilingArea);
    for (const Piece& p : s.pieces) {
        if (!p.rug || !p.rug->pad || *p.rug->pad <= Length{})
            continue;
        Material m;
        m.name = worded("Pad for {}", p.name);
        m.room = room.name;
        m.note = worded("{} thick", writeGap(*p.rug->pad, job.notation));
        m.size = {p.size.width, p.size.depth, std::nullopt};
        out.push_back(std::move(m));
    }
    return out;
}

} // namespace mezzet
