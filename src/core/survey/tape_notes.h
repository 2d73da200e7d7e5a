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

enum class OpeningKind { window, door, opening };

/// A hole in a wall, as taped. Left and right are as you face the wall from inside.
struct TapedOpening {
    OpeningKind kind = OpeningKind::window;
    Length offset;          ///< from the corner it was taped from to its nearer jamb
    bool fromRight = false; ///< taped from the right-hand corner
    Length width;
    Length height;
    Length sill;                    ///< 0 for doors and plain openings
    bool hingeRight = false;        ///< doors
    bool swingsIn = true;           ///< doors
    std::optional<Length> undercut; ///< doors: clear under the leaf; empty when not taped
    NotePlace place;
};

/// A chimney breast: a solid standing out into the room from its wall, floor to ceiling.
struct TapedChimney {
    Length offset;
    bool fromRight = false;
    Length width;
    Length depth;
    NotePlace place;
};

enum class OutletKind { outlet, lightSwitch };

struct TapedOutlet {
    OutletKind kind = OutletKind::outlet;
    Length offset;
    bool fromRight = false;
    Length up; ///< floor to its centre
    NotePlace place;
};

struct TapedStuds {
    Length first;   ///< left corner to the middle of the first
    Length spacing; ///< middle to middle
};

struct TapedWall {
    std::string name; ///< A, B, C …
    Length run;
    Angle insideAngle = Angle::degrees(90); ///< at the corner where the next wall begins
    bool angleMeasured = false;             ///< a number was written, not "right" or "out"
    std::vector<TapedOpening> openings;
    std::vector<TapedChimney> chimneys;
    std::vector<TapedOutlet> outlets;
    std::optional<TapedStuds> studs;
    NotePlace place;
};

/// A run taped from the corner where one wall begins to the corner where another does.
struct TapedDiagonal {
    int from = 0; ///< wall index
    int to = 0;
    Length run;
    NotePlace place;
};

/// A room as written on site.
struct TapeNotes {
    std::string name = "Room";
    Units units = Units::feetAndInches; ///< what a bare number means in these notes
    Length ceiling = Length::inches(96);
    bool ceilingTaped = false;
    double tolerance = 200;     ///< closes within 1 in this many
    std::optional<Angle> north; ///< clockwise from the top of the plan
    std::vector<TapedWall> walls;
    std::vector<TapedDiagonal> diagonals;
};

/// Reads tape notes; see docs/tape-notes.md. The Problem has line, column and width, and `file` as
/// given. Notes without any wall are fine: a room is typed a line at a time.
[[nodiscard]] Result<TapeNotes> readTapeNotes(std::string_view text, std::string_view file = {});

/// "A" … "Z", "AA" …
[[nodiscard]] std::string wallName(int index);
/// The reverse; empty when it names no wall.
[[nodiscard]] std::optional<int> wallIndex(std::string_view name);

} // namespace mezzet
