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

std::vector<Material> materialsOf(const Project& job, std::size_t scheme) {
    std::vector<Material> out;
    const Scheme& s = *job.schemes[scheme];
    const Room& room = *job.roomOf(scheme);
    const bool metric = isMetric(job.notation.units);
    const RoomFacts facts = factsOf(room);
    const auto paint = [&](std::string name, const std::optional<Rgb>& colour, double area) {
        if (!colour || area <= 0)
            return;
        const double litres = paintLitres(area / 1e6);
        Material m;
        m.name = std::move(name);
        m.room = room.name;
        m.quantity =
            std::max(1, static_cast<int>(std::ceil(metric ? litres : litres / litresAGallon)));
        // How far a litre or a gallon goes is assumed, and said.
        const double spread = squareMetresALitre * 1e6 * (metric ? 1 : litresAGallon);
        m.note = worded("{} ({}), {} for two coats on {}, at {} to one (assumed)",
                        colourWord(*colour), hexOf(*colour),
                        metric ? worded("{} litres", m.quantity) : worded("{} gallons", m.quantity),
                        writeArea(area, job.notation.units), writeArea(spread, job.notation.units));
        out.push_back(std::move(m));
    };
    paint(std::string(told("Wall paint")), s.dressing.walls, facts.netWallArea());
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
