#pragma once

#include "hang/hooks.h"
#include "hang/mirror.h"
#include "project/project.h"
#include "room/house.h"
#include "scheme/on_wall.h"
#include "sheets/labels.h"
#include "sheets/look.h"

#include <QPainter>

#include <functional>
#include <optional>
#include <vector>

namespace mezzet::sheets {

/// Whether a sliding door has panels that pass each other in its frame, and none that slides along
/// the wall: from this width on (common practice).
[[nodiscard]] inline bool slidesInItsFrame(const Opening& o) {
    constexpr double wide = 1500; // mm
    return o.style == DoorStyle::sliding && o.width.mm() >= wide;
}

/// A surface drawn to scale on a painter: where its origin lies, how large a millimetre is, and how
/// large a line or a letter is meant to be. The same code draws for the board and for paper.
struct Drawing {
    QPainter& painter;
    const Look& look;
    QPointF origin;   ///< device place of the surface's origin
    double scale = 1; ///< device units to a millimetre of the room
    double pen = 1;   ///< device units to one unit of line width and letter height (1 on screen)
    Notation notation;
    Labels* labels = nullptr; ///< takes what is lettered; null letters nothing

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
/// Seams of carpets, as lines on the floor.
void drawSeams(const Drawing&, const std::vector<Segment>&);
/// Which of the pieces are drawn: rugs and the like, what else there is, or all of them.
enum class PiecesShown { flat, upright, all };
/// The pieces, rugs first. `quietly` draws them in outline only, for what is over them. `which`,
/// when given, is true of those that are drawn.
void drawPieces(const Drawing&, const FloorView&, bool quietly = false,
                PiecesShown = PiecesShown::all,
                const std::function<bool(const Piece&)>& which = {});
/// How pieces are named on a plan.
struct PieceNames {
    double height = 13;    ///< of the letters, device units
    bool withSizes = true; ///< its size under the name, where there is room
    bool numbered =
        false; ///< a name that finds no room gives way to the piece's number in the list
    std::function<bool(const Piece&)> which{}; ///< true of those that are named; null for all
};
/// Their names: inside where they fit, whole, broken or shortened; else beside them where the floor
/// is free. All their bodies are kept clear of other names where that can be.
void namePieces(const Drawing&, const FloorView&, const PieceNames&);
/// The cord of a light that is led aside, from the box its wire comes out of to its hook.
void drawSwag(const Drawing&, const Piece&, const Placed&);
/// What hangs from the ceiling, as it lies over the floor, with how high its underside is;
/// `quietly` in outline only.
void drawCeiling(const Drawing&, const CeilingView&, double height, bool quietly);

/// The middle point of a verdict's mark: points inward, outward, a bar between stops, cross-hatch.
void drawVerdict(QPainter&, const QRectF&, Verdict, const QColor&);

/// Where a reading was taken on the board.
void drawReadingStretch(const Drawing&, const Reading&, bool strong);
/// Its value in a chip with the verdict's mark, at the stretch or led to it by a thin line.
void drawReading(const Drawing&, const Reading&, bool strong, int tag = -1);
/// Whether two readings tell the same figure and verdict of the same stretch, as a way past a chair
/// and the gap to it do: one chip tells both.
[[nodiscard]] bool sameMark(const Reading&, const Reading&);
/// The readings that have a chip already.
class ReadingMarks {
public:
    /// False for one that a chip tells already; it must outlive this.
    bool isNew(const Reading&);

private:
    std::vector<const Reading*> seen_;
};
/// A figure or a word in a field of its own, about the middle of the stretch from a to b.
struct Chip {
    QString text;
    QFont font;
    QColor ink;
    QColor edge;
    QColor field;
    double edgeWidth = 1.2;
    bool small = false;               ///< no wider or higher than its text needs
    double round = 5;                 ///< of its corners; above half its height they are circles
    std::optional<Verdict> verdict{}; ///< its mark stands behind the text
    double weight = 40;
    int tag = -1; ///< of its label
};
void drawChip(const Drawing&, QPointF a, QPointF b, const Chip&);
/// Places about a middle for a box of that size, nearest first; `reach` so many heights away.
[[nodiscard]] std::vector<QRectF> placesAbout(QPointF middle, QSizeF, int reach = 6);

/// Words with no field, at the first of the places (device units) that is free.
struct Words {
    QString text;
    QFont font;
    QColor ink;
    double weight = 15;
    int of = 0;                   ///< the piece they name
    QColor halo{Qt::transparent}; ///< laid under them
};
void drawWords(const Drawing&, std::vector<QRectF> places, const Words&);
/// The box those words need, about a middle.
[[nodiscard]] QRectF wordsAbout(QPointF middle, const Words&, double pen);

/// A dimension between two points, drawn `away` device units to the left of the way from a to b,
/// with ticks and its figure in a gap of the line, or over it where it is too long for that. It is
/// left out where its figure finds no place.
void drawDimension(const Drawing&, QPointF a, QPointF b, double away, const QString& figure,
                   double letter);

/// A north arrow of the given radius.
void drawNorth(const Drawing&, QPointF centre, double radius, Angle north);

// ---- a wall ----

/// Where a place on a wall's face is in the drawing, mm: along from its left, and up from the
/// floor.
inline Vec2 onFace(double along, double height) {
    return {along, -height};
}
inline Vec2 onFace(Vec2 p) {
    return onFace(p.x, p.y);
}

/// A wall from inside, origin at its left end on the floor, y up on paper drawn upward: openings,
/// outlets, studs, what hangs there, and before it the furniture in outline, lighter the farther
/// off it stands. `pictures` are shown in their frames when given. `onTheFace` draws what lies on
/// the wall's face, behind all that.
void drawElevation(const Drawing&, const WallsView&, int wall, const Pictures* pictures = nullptr,
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
/// A hook's number beside its cross.
void drawHookNumber(const Drawing&, Length along, Length up, int number);
/// What a mirror shows, strip by strip, in the washes of what is seen.
void drawReflection(const Drawing&, const Scene&, const std::vector<MirrorStrip>&);
/// What stands and hangs on the adjoining walls within reach of the corners, and how far it comes
/// out along this wall, lightly.
void drawCorners(const Drawing&, const WallsView&, int wall);
/// The wall readings' stretches and chips: those about `chosen` and what is to mend elsewhere. A
/// chip's tag is the reading's place in the list.
void drawWallReadings(const Drawing&, const std::vector<Reading>&, int wall,
                      const std::vector<int>& chosen);
/// The same drawing for a wall, whose y runs up.
[[nodiscard]] Reading onPaper(Reading);
/// What is built into a wall or stands right before it, from inside.
void drawFixtureFront(const Drawing&, const Room&, int wall, const Fixture&);
} // namespace mezzet::sheets
