#pragma once

#include "hang/hooks.h"
#include "hang/mirror.h"
#include "project/project.h"
#include "room/house.h"
#include "scheme/on_wall.h"
#include "sheets/look.h"

#include <QPainter>

#include <functional>
#include <vector>

namespace mezzet::sheets {

/// A surface drawn to scale on a painter: where its origin lies, how large a millimetre is, and how
/// large a line or a letter is meant to be. The same code draws for the board and for paper.
struct Drawing {
    QPainter& painter;
    const Look& look;
    QPointF origin;   ///< device place of the surface's origin
    double scale = 1; ///< device units to a millimetre of the room
    double pen = 1;   ///< device units to one unit of line width and letter height (1 on screen)
    Notation notation;

    [[nodiscard]] QPointF at(Vec2 p) const { return origin + QPointF(p.x * scale, p.y * scale); }
    [[nodiscard]] QPolygonF polygon(const std::vector<Vec2>& points) const;
    [[nodiscard]] QPen ink(double width, const QColor& colour) const;
    [[nodiscard]] QPen ink(double width = 1) const { return ink(width, look.ink); }
};

/// How thick cut walls are drawn. A tape measures a room from inside, so this is a drawing habit.
inline constexpr Length drawnWall = Length::inches(6);

// ---- the floor ----

/// Graph squares: a foot (or 25 cm) each, stronger every fourth.
void drawGraph(const Drawing&, const QRectF& device);
[[nodiscard]] Length graphSquare(Notation);

/// Floor, poché walls with their openings, door swings, chimney breasts. An open room shows its
/// gap.
void drawRoom(const Drawing&, const Room&);
/// The rooms joined to one by its doors, lightly, with their names; in that room's coordinates.
void drawNeighbours(const Drawing&, const std::vector<RoomPtr>&, std::size_t room);
/// Something built in, from above.
void drawFixture(const Drawing&, const Room&, const Fixture&);
/// What is over the floor, and where the floor changes level: slopes, trays and beams in dashes,
/// steps as a line with an arrow down.
void drawOverhead(const Drawing&, const Room&);
/// How far alcoves, bays and curves go out past a wall's line, mm.
[[nodiscard]] double standsOut(const Room&, int wall);
/// Wall letters in circles outside the walls.
void drawWallLetters(const Drawing&, const Room&, double away);

/// One piece from above. `quiet` draws it in outline only.
void drawPiece(const Drawing&, const Piece&, const Placed&, bool quietly = false);
/// Its name, and size when wanted, upright in its middle. False, and nothing drawn, when it doesn't
/// fit inside at a readable height.
bool drawPieceName(const Drawing&, const Piece&, const Placed&, double height, bool withSize);
/// Where its name is drawn by drawPieces(), in device units; null where it finds no room.
QRectF pieceNameArea(const Drawing&, const Piece&, const Placed&, double height, bool withSize);
/// Which of the pieces are drawn: rugs and the like, what else there is, or all of them.
enum class PiecesShown { flat, upright, all };
/// The pieces, rugs first, and their names. Gives back which pieces found no room for theirs.
/// `quietly` draws them in outline only, for what is over them. `which`, when given, is true of
/// those that are drawn.
std::vector<std::size_t> drawPieces(const Drawing&, const FloorView&, double height, bool withSizes,
                                    bool quietly = false, PiecesShown = PiecesShown::all,
                                    const std::function<bool(const Piece&)>& which = {});
/// What hangs from the ceiling, as it lies over the floor, with how high its underside is;
/// `quietly` in outline only.
void drawCeiling(const Drawing&, const CeilingView&, double height, bool quietly);

/// The middle point of a verdict's mark: points inward, outward, a bar between stops, cross-hatch.
void drawVerdict(QPainter&, const QRectF&, Verdict, const QColor&);

/// Where a reading was taken on the board.
void drawReadingStretch(const Drawing&, const Reading&, bool strong);
/// Its value in a chip with the verdict's mark. `taken` holds the chips drawn before; this one
/// keeps clear of them and is added; of names too, where `onName` says one is under a place and
/// another can be had.
void drawReading(const Drawing&, const Reading&, std::vector<QRectF>& taken, bool strong,
                 const std::function<bool(const QRectF&)>& onName = {});

/// A dimension between two points, drawn `away` device units to the left of the way from a to b,
/// with ticks and its figure in a gap of the line. False when the figure doesn't fit in it.
bool drawDimension(const Drawing&, QPointF a, QPointF b, double away, const QString& figure,
                   double letter, std::vector<QRectF>* taken = nullptr);

/// A north arrow of the given radius.
void drawNorth(const Drawing&, QPointF centre, double radius, Angle north);

// ---- a wall ----

/// A wall from inside, origin at its left end on the floor, y up on paper drawn upward: openings,
/// outlets, studs and the furniture in front of it in outline, lighter the farther off it stands.
/// `onTheFace` draws what lies on the wall's face, behind the furniture.
void drawElevation(const Drawing&, const WallsView&, int wall,
                   const std::function<void()>& onTheFace = {});
/// What stands in openings and on ledges of that wall, and of what stands before it.
void drawCarried(const Drawing&, const Scene&, int wall);
/// What hangs on a wall, in outline and wash; groups as a dashed outline. `pictures` are shown in
/// their frames when given.
void drawHung(const Drawing&, const WallsView&, int wall, const Pictures* pictures = nullptr);
/// One piece as it hangs, from the front.
void drawHungPiece(const Drawing&, const Piece&, const Placed&, const Pictures* pictures = nullptr);
/// The band of eye level across a wall; over a stair it climbs along the nosings.
void drawEyeBand(const Drawing&, const Room&, int wall, const Band&);
/// A cross where each hook goes.
void drawHooks(const Drawing&, const std::vector<HangOf>&);
/// What a mirror shows, strip by strip, in the washes of what is seen.
void drawReflection(const Drawing&, const Scene&, const std::vector<MirrorStrip>&);
/// What stands and hangs on the adjoining walls within reach of the corners, and how far it comes
/// out along this wall, lightly.
void drawCorners(const Drawing&, const WallsView&, int wall);
/// The wall readings' stretches and chips: those about `chosen` and what is to mend elsewhere.
void drawWallReadings(const Drawing&, const std::vector<Reading>&, int wall,
                      const std::vector<int>& chosen, std::vector<QRectF>& taken);
/// The same drawing for a wall, whose y runs up.
[[nodiscard]] Reading onPaper(Reading);
/// What is built into a wall or stands right before it, from inside.
void drawFixtureFront(const Drawing&, const Room&, int wall, const Fixture&);
} // namespace mezzet::sheets
