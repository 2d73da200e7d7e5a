#pragma once

#include "geometry/vec.h"
#include "survey/tape_notes.h"

#include <array>
#include <optional>
#include <string>
#include <vector>

namespace mezzet {

/// A plane seen askew, straightened: maps points of a picture to points of a true rectangle.
class Straightener {
public:
    /// The projective map that takes four corners of a picture (clockwise from the upper left) to a
    /// rectangle of this width and height at the origin. Problem: corners that lie in a line or
    /// make no simple four-sided figure, or a rectangle without a size.
    [[nodiscard]] static Result<Straightener> of(const std::array<Vec2, 4>& corners, double width,
                                                 double height);
    [[nodiscard]] Vec2 map(Vec2 picture) const;
    /// The nine figures of the map, row by row; the last is 1.
    [[nodiscard]] const std::array<double, 9>& figures() const { return h_; }

private:
    std::array<double, 9> h_{1, 0, 0, 0, 1, 0, 0, 0, 1};
};

/// A length known between two points of a picture.
struct KnownLength {
    Vec2 from; ///< pixels, straightened
    Vec2 to;
    Length length;
};

/// Millimetres to a pixel, from one known length or several.
struct ScaleFit {
    double mmPerPixel = 0;
    double error = 0;            ///< relative standard error; 0 from a single length
    std::vector<Length> misfits; ///< each known length as the fit gives it, less as it was said
};

/// Fits a scale by least squares through the origin. Problem: no length, or points too close.
[[nodiscard]] Result<ScaleFit> fitScale(const std::vector<KnownLength>&);

/// Where a click counts as: on the line that makes a right angle (or goes straight on) from the
/// last stretch, when it lies within `degrees` of it; and, when it closes the outline, square to
/// the first stretch too. `first` closes when the click is within `near` of it.
struct Snapped {
    Vec2 at;
    bool square = false; ///< it was brought to a right angle
    bool closes = false; ///< it is the first point again
};
[[nodiscard]] Snapped snapClick(const std::vector<Vec2>& soFar, Vec2 click, double degrees,
                                double near);

/// Something traced on a wall, by its two jambs.
struct TracedOpening {
    OpeningKind kind = OpeningKind::window;
    Vec2 from; ///< mm
    Vec2 to;
};

/// A room traced from a drawing, in mm; y runs down the sheet.
struct TracedRoom {
    std::string name = "Traced room";
    std::vector<Vec2> corners; ///< in either sense
    std::vector<TracedOpening> openings;
    bool byEye = true; ///< from a picture; false for a drawing with true figures
};

/// Tape notes that make the traced room: walls in turn to the right, measured corners where they
/// are not square, openings on the walls they lie on. Problem: fewer than three corners, an outline
/// that crosses itself, an opening on no wall.
/// `place`, when given, takes where the room's own origin and wall A lie among the traced points.
[[nodiscard]] Result<std::string> notesOf(const TracedRoom&, Units, Pose* place = nullptr);

/// A tracing as text, a step a line, so that it can be kept and run again:
///
///     rectangle 102,80 930,120 950,700 90,660 = 12' 0" x 9' 0"
///     scale 100,200 900,200 = 12' 4"
///     room Parlour
///     corner 120,90
///     window 300,90 480,90
///
/// Points are pixels of the picture. The straightened picture of a rectangle line has 1000 pixels
/// across it. Problem: with line and column.
struct Tracing {
    std::optional<std::array<Vec2, 4>> corners;
    Length width;
    Length height;
    std::vector<KnownLength> lengths; ///< in pixels as clicked
    TracedRoom room;                  ///< in pixels as clicked
    bool snap = true;
};
[[nodiscard]] Result<Tracing> readTracing(std::string_view text, Units, std::string_view file = {});

/// Straightens, scales and snaps a tracing into notes. `fit`, when given, takes the scale and its
/// error.
[[nodiscard]] Result<std::string> notesOf(const Tracing&, Units, ScaleFit* fit = nullptr,
                                          Pose* place = nullptr);

/// How wide a straightened rectangle is drawn, pixels.
inline constexpr double straightWidth = 1000;
/// A stretch within so many degrees of square is meant to be square.
inline constexpr double squareWithin = 7;

} // namespace mezzet
