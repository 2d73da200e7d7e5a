#pragma once

#include "measure/angle.h"
#include "measure/notation.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// Where in the notes a fact stands.
struct NotePlace {
    int line = 0;   ///< 1-based
    int column = 0; ///< 1-based, in characters
    int width = 0;  ///< characters
};

/// What a length was taken with.
enum class Tool { tape, laser, eye };
[[nodiscard]] const char* toolName(Tool);

/// A length as written on site.
struct Taped {
    Length value;
    std::string written; ///< as typed, for finding slips in its figures
    Tool tool = Tool::tape;
};

/// How sure a tool is: a fixed part and a share of the length, taken together as a root of squares.
struct Accuracy {
    Length fixed;
    double share = 0;

    [[nodiscard]] Length of(Length run) const {
        return Length::millimetres(std::hypot(fixed.mm(), share * run.mm()));
    }
};

/// The standard errors measurements are weighted by. Common practice; the notes may say others.
struct Weights {
    Accuracy tape{Length::inches(0.125), 1.0 / 2000};
    Accuracy laser{Length::millimetres(1.5), 1.0 / 10000};
    Accuracy eye{Length::inches(2), 1.0 / 20};
    Angle assumed = Angle::degrees(0.75); ///< a corner taken to be square
    Angle measured = Angle::degrees(0.5); ///< a corner with its degrees written down
    Angle byEye = Angle::degrees(5);

    [[nodiscard]] const Accuracy& of(Tool) const;
};

/// Where along its wall a thing was taped, from either corner or from both.
struct TapedPlace {
    std::optional<Taped> left;
    std::optional<Taped> right;
    bool centred = false; ///< in the middle of its wall, where neither is taped

    [[nodiscard]] bool given() const { return left || right || centred; }
    [[nodiscard]] bool both() const { return left && right; }
    /// The left edge of something this wide on a wall this long. What was taped from both corners
    /// lies so that the two misses are shared.
    [[nodiscard]] Length on(Length wall, Length width) const;
};

enum class OpeningKind { window, door, opening };
enum class DoorStyle { hinged, pair, sliding, pocket, folding };
enum class WindowOpens { unknown, inward, outward, sliding, fixed };
[[nodiscard]] const char* styleName(DoorStyle);
[[nodiscard]] const char* opensName(WindowOpens);

/// A hole in a wall, as taped. Left and right are as you face the wall from inside.
struct TapedOpening {
    OpeningKind kind = OpeningKind::window;
    TapedPlace at;
    Taped width;
    Length height;
    Length sill; ///< 0 for doors and plain openings
    bool heightTaped = false;
    bool sillTaped = false;
    std::optional<Length> reveal;   ///< from the wall's face back to the frame
    std::optional<Length> undercut; ///< doors: clear under the leaf; empty when not taped
    DoorStyle style = DoorStyle::hinged;
    bool hingeRight = false; ///< doors; the side a sliding leaf goes to
    bool swingsIn = true;    ///< doors
    WindowOpens opens = WindowOpens::unknown;
    std::string leadsTo; ///< the room beyond
    NotePlace place;
};

enum class FixtureKind {
    chimney, ///< a breast: solid, floor to ceiling
    fireplace,
    radiator,
    builtIn,
    halfWall, ///< stands out of its wall, lower than the ceiling
    column,   ///< free in the room, or a boxed post
    stairs,
    outlet,
    lightSwitch,
    vent,
    wallLight
};
[[nodiscard]] const char* fixtureName(FixtureKind);

/// A distance taped from the face of a wall.
struct FromWall {
    int wall = 0; ///< index
    Taped away;
    NotePlace place;
};

/// Something built into the room, as taped.
struct TapedFixture {
    FixtureKind kind = FixtureKind::outlet;
    TapedPlace at; ///< on its wall; not for columns
    Taped width;   ///< along the wall; 0 for outlets and the like
    Length depth;  ///< out from the wall
    Length height; ///< of itself; 0 when it goes to the ceiling
    Length up;     ///< floor to its underside; outlets, switches, lights: to its middle
    bool round = false;
    std::vector<FromWall> columnAt; ///< columns: to its middle line or its near face
    bool toFace = true;             ///< columns: offsets run to the near face
    Length hearthDepth;             ///< fireplaces: in front of the breast
    Length hearthWidth;
    Length fireWidth; ///< the fire's opening
    Length fireHeight;
    int risers = 0; ///< stairs
    Length riser;
    Length going;
    bool upRight = true; ///< stairs: climb to the right as you face the wall
    NotePlace place;
};

/// A part of the floor beyond the wall's line: an alcove, a bay or a bow.
enum class RecessKind { alcove, bay, bow };
struct TapedRecess {
    RecessKind kind = RecessKind::alcove;
    TapedPlace at;
    Taped width;   ///< across its mouth; a bow's chord
    Length depth;  ///< a bow's rise
    Length face;   ///< bays: the middle light's width; 0 splays at 45°
    Length height; ///< alcoves lower than the ceiling; 0 when as high
    NotePlace place;
};

struct TapedStuds {
    Length first;   ///< left corner to the middle of the first
    Length spacing; ///< middle to middle; 0 when each was sounded
    std::vector<Length> each{};

    /// Middles on a wall of this length, from its left corner.
    [[nodiscard]] std::vector<Length> on(Length wall) const;
};

enum class CornerSure { assumed, measured, byEye, unknown };

struct TapedWall {
    std::string name; ///< A, B, C …
    Taped run;
    Angle insideAngle = Angle::degrees(90); ///< at the corner where the next wall begins
    CornerSure corner = CornerSure::assumed;
    NotePlace cornerPlace;
    std::optional<Length> rise; ///< of a curved wall; the run is its chord; positive goes outward
    std::vector<TapedOpening> openings;
    std::vector<TapedFixture> fixtures;
    std::vector<TapedRecess> recesses;
    std::optional<TapedStuds> studs;
    NotePlace place;
};

/// A run taped from the corner where one wall begins to the corner where another does.
struct TapedDiagonal {
    int from = 0; ///< wall index
    int to = 0;
    Taped run;
    NotePlace place;
};

/// The ceiling rising from a wall to its full height.
struct Slope {
    int wall = 0;
    Length knee; ///< height at the wall
    Length full; ///< out from the wall, where it reaches the ceiling's height
    NotePlace place;
};
struct Tray {
    Length border; ///< from the walls
    Length up;     ///< above the ceiling's height
};
struct Beam {
    FromWall at; ///< to its near face; it runs along that wall
    Length width;
    Length drop; ///< below the ceiling
};
struct Joists {
    int wall = 0; ///< they are counted out from this wall and run along it
    Length first;
    Length spacing;
};
/// A line across the floor, along a wall, where its level changes.
struct FloorStep {
    FromWall at;
    Length rise; ///< of the floor beyond it; below 0 it lies lower
    int steps = 1;
};

/// The height that is taken for a ceiling that nobody taped: 8 ft, or 240 cm.
[[nodiscard]] constexpr Length usualCeiling(Units units) {
    return isMetric(units) ? Length::centimetres(240) : Length::feet(8);
}
struct TapedCeiling {
    Length height = usualCeiling(Units::feetAndInches);
    bool taped = false;
    NotePlace place;
    std::vector<Slope> slopes;
    std::optional<Tray> tray;
    std::vector<Beam> beams;
    std::optional<Joists> joists;
};

/// Heights that run round the room.
struct Mouldings {
    std::optional<Length> skirting;    ///< height of its top
    std::optional<Length> chairRail;   ///< height
    std::optional<Length> pictureRail; ///< height
    std::optional<Length> cornice;     ///< down from the ceiling
};

/// A room as written on site.
struct TapeNotes {
    std::string name = "Room";
    int firstLine = 1;
    Units units = Units::feetAndInches; ///< what a bare number means in these notes
    bool bareFeet = false;              ///< a bare number is feet, and not inches
    TapedCeiling ceiling;
    Mouldings mouldings;
    double tolerance = 200; ///< closes within 1 in this many
    Weights weights;
    std::optional<Angle> north; ///< clockwise from the top of the plan
    std::vector<TapedWall> walls;
    std::vector<TapedDiagonal> diagonals;
    std::vector<TapedFixture> columns;
    std::vector<FloorStep> steps;
};

/// Reads tape notes; see docs/tape-notes.md. At least one room comes out, without any wall when
/// none is typed yet. The Problem has line, column and width, and `file` as given.
[[nodiscard]] Result<std::vector<TapeNotes>> readTapeNotes(std::string_view text,
                                                           std::string_view file = {});

/// "A" … "Z", "AA" …
[[nodiscard]] std::string wallName(int index);
/// The reverse; empty when it names no wall.
[[nodiscard]] std::optional<int> wallIndex(std::string_view name);

} // namespace mezzet
