// Several lights that hang in a row.
#include "edit/place.h"
#include "edit/several.h"

#include <algorithm>

namespace mezzet {

std::vector<Placement> rowUnderCeiling(Placement model, int count, const Project& job,
                                       const Scene& scene) {
    const auto apart = model.apart;
    std::vector<Placement> out;
    const auto tied = [&](Tie::Kind kind, Target::Is to) {
        return std::find_if(model.ties.begin(), model.ties.end(),
                            [&](const Tie& t) { return t.kind == kind && t.of.is == to; });
    };
    const auto along = [&](Length pitch, int i) { return pitch * (i - (count - 1) / 2.0); };
    const auto spread = [&](const Tie& middle, Length pitch) {
        for (int i = 0; i < count; ++i) {
            out.push_back(model);
            out.back().ties.push_back(middle);
            out.back().ties.back().distance = middle.distance + along(pitch, i);
        }
    };
    if (const auto over = tied(Tie::Kind::centredOn, Target::Is::piece); over != model.ties.end()) {
        const Tie middle = *over;
        model.ties.erase(over);
        const Piece& table = *job.scheme().byId(middle.of.piece);
        const Length pitch = apart.value_or(std::max(table.size.width, table.size.depth) / count);
        if (table.size.width >= table.size.depth) {
            spread(middle, pitch);
            return out;
        }
        // Along a side that no tie shifts along: where it is now.
        const Wall& a = scene.room->walls.front();
        for (int i = 0; i < count; ++i) {
            const Vec2 there =
                scene.inPlan(table.id)->pose.toRoom({0, along(pitch, i).mm()}) - a.start;
            Tie place;
            place.kind = Tie::Kind::at;
            place.distance = Length::millimetres(dot(there, a.along()));
            place.second = Length::millimetres(dot(there, a.inward()));
            out.push_back(model);
            out.back().ties.push_back(place);
        }
        return out;
    }
    const auto wall = tied(Tie::Kind::fromWall, Target::Is::wall);
    if (wall == model.ties.end())
        return out;
    // Corners first, then evenly between.
    const Length length = scene.room->walls[static_cast<std::size_t>(wall->of.index)].length();
    const Length edge = usualBy(job, "recessed-edge");
    Tie middle;
    middle.kind = Tie::Kind::centredOn;
    middle.of = wall->of;
    spread(middle,
           apart.value_or(std::max((length - edge * 2) / std::max(count - 1, 1), Length{})));
    return out;
}

} // namespace mezzet
