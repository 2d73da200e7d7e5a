#include "judge/lying.h"

#include "geometry/polygon.h"
#include "judge/rug_facts.h"
#include "scheme/rug.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

std::vector<Lying> rugsOf(const FloorView& scene, bool layered) {
    std::vector<Lying> out;
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& p = scene.piece(i);
        if (!p.kind->flat() || rugOf(p).stairs > 0 || (!layered && isLayered(scene, i)))
            continue;
        Lying l{i, trueOutline(p, scene.placed[i].pose, Length::millimetres(0.5)), areaOf(p)};
        if (signedArea(l.corners) < 0)
            std::reverse(l.corners.begin(), l.corners.end());
        out.push_back(std::move(l));
    }
    return out;
}

bool isRunner(const Piece& p) {
    return std::max(p.size.width, p.size.depth) > std::min(p.size.width, p.size.depth) * 2.5;
}

Handle widen(const Project& job, const Scene& scene, int rug, Vec2 way, double by, double slope) {
    const Piece& p = *job.scheme().byId(rug);
    const Placed* where = scene.byId(rug);
    const bool across = where != nullptr && std::abs(dot(way, where->pose.right())) > 0.7;
    return resize(job, scene, rug, across ? SizeFigure::width : SizeFigure::depth,
                  (across ? p.size.width : p.size.depth).mm() + by, slope);
}

} // namespace mezzet
