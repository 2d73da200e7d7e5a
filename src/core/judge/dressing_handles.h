#pragma once

#include "judge/handle.h"

namespace mezzet {

// What could bring the readings of shelves and tabletops right: each is a line that is said, tried
// on the whole scene like any other remedy.
[[nodiscard]] std::vector<Handle> paletteHandles(const Reading&, double, const Project&,
                                                 const Scene&);
[[nodiscard]] std::vector<Handle> accentHandles(const Reading&, double, const Project&,
                                                const Scene&);
[[nodiscard]] std::vector<Handle> fillHandles(const Reading&, double, const Project&, const Scene&);
[[nodiscard]] std::vector<Handle> stackHandles(const Reading&, double, const Project&,
                                               const Scene&);
[[nodiscard]] std::vector<Handle> bookHandles(const Reading&, double, const Project&, const Scene&);
[[nodiscard]] std::vector<Handle> leanedHandles(const Reading&, double, const Project&,
                                                const Scene&);
[[nodiscard]] std::vector<Handle> pairHandles(const Reading&, double, const Project&, const Scene&);
[[nodiscard]] std::vector<Handle> materialHandles(const Reading&, double, const Project&,
                                                  const Scene&);
[[nodiscard]] std::vector<Handle> oddHandles(const Reading&, double, const Project&, const Scene&);
[[nodiscard]] std::vector<Handle> heightHandles(const Reading&, double, const Project&,
                                                const Scene&);
[[nodiscard]] std::vector<Handle> loadHandles(const Reading&, double, const Project&, const Scene&);

} // namespace mezzet
