#pragma once

#include "colour/families.h"
#include "things/stock.h"

#include "scheme/resolve.h"
#include "scheme/surfaces.h"

namespace mezzet {

/// A thing on its board.
struct DressedThing {
    int id = 0;
    Vec3 at; ///< its outline's left, back and foot: from the board's left, its back and its top; mm
    Size size;  ///< of its outline
    int on = 0; ///< the thing it stands on; 0 for the board itself

    [[nodiscard]] double right() const { return at.x + size.width.mm(); }
    [[nodiscard]] double front() const { return at.y + size.depth.mm(); }
    [[nodiscard]] double top() const { return at.z + size.height.mm(); }
};

/// An opening of a unit or a top, with all that stands there, one on the other, in the order of the
/// scheme.
struct DressedSurface {
    SurfaceId id;
    double width = 0; ///< mm
    double depth = 0;
    std::optional<double> height; ///< none of a top
    double floor = 0;             ///< the board's top over the floor there, mm
    std::vector<DressedThing> things;

    [[nodiscard]] bool isTop() const { return id.is == SurfaceId::Is::top; }
    /// "opening 2", "top"
    [[nodiscard]] std::string name() const;
    /// How high what stands there reaches, mm.
    [[nodiscard]] double reach() const;
};

/// Every opening of every unit, and every top of what stands in the room or hangs on its walls,
/// dressed or not; of one piece only when that is named. Things are no surfaces of their own.
[[nodiscard]] std::vector<DressedSurface> dressedSurfaces(const Scene&, int of = 0);

/// The surfaces of one piece of furniture that are judged together: its openings and its top.
struct DressedUnit {
    int id = 0;
    std::vector<DressedSurface> surfaces;

    [[nodiscard]] bool hasOpenings() const;
};
/// Those with anything on them.
[[nodiscard]] std::vector<DressedUnit> dressedUnits(const Scene&);

/// The colours a unit is dressed in.
struct PaletteNow {
    struct One {
        Rgb colour;
        double share = 0; ///< of the front of all things
    };
    std::vector<One> families; ///< the main one first
    std::optional<One> accent;
    std::vector<int> outside; ///< things that are of none of these

    /// Which family a colour is of: its place, `families.size()` for the accent; nothing for none.
    [[nodiscard]] std::optional<std::size_t> familyOf(Rgb) const;
};
/// As the scheme's palette has it; when it has none, the two largest families of colour that are
/// there, and the most colourful of the small ones (a fifth of the front, at most) as the accent.
[[nodiscard]] PaletteNow paletteOf(const Scheme&, const std::vector<DressedSurface>&);

} // namespace mezzet
