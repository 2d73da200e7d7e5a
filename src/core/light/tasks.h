#pragma once

#include "light/illuminance.h"

namespace mezzet {

/// Something that is done at a piece, and the light it wants.
struct LightTask {
    int piece = 0;    ///< its id
    std::string name; ///< "Desk, desk work"
    Vec3 at;          ///< mm
    Vec3 facing;      ///< unit
    double least = 0; ///< lux, maintained
    double most = 0;
    std::string source;
};
/// All of a scene, in the order of its pieces: known by their kinds (data/light/tasks.json).
[[nodiscard]] std::vector<LightTask> tasksOf(const Project&, const Scene&);

} // namespace mezzet
