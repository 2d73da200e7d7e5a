#pragma once

#include "app/board/camera.h"
#include "app/board/hand.h"
#include "app/board/layer.h"
#include "app/session/job_session.h"
#include "app/session/lit_state.h"
#include "fits/fits.h"
#include "geometry/gap.h"
#include "sheets/drawing.h"

#include <QDragEnterEvent>
#include <QImage>
#include <QMimeData>
#include <QWidget>

#include <array>
#include <memory>

namespace mezzet::app {

/// The drawing board: one surface to scale, with rulers and graph squares.
class Board : public QWidget {
    Q_OBJECT
public:
    /// What a drag from the list of kinds carries: the line that adds one, without a place.
    static constexpr const char* addMime = "application/x-mezzet-add";
    static constexpr double ruler = 24;      ///< how wide the rulers are, pixels
    static constexpr double wallMargin = 74; ///< about a wall that is shown whole, pixels

    explicit Board(JobSession&, QWidget* parent = nullptr);

    void zoomToFit();
    void zoomToSelection();
    void zoomBy(double factor, QPointF about);
    void zoomIn() { zoomBy(1.25, centreOfView()); }
    void zoomOut() { zoomBy(0.8, centreOfView()); }
    [[nodiscard]] double pixelsPerMm() const { return camera_.scale; }

    /// Applies what the hand did, and tells when something goes through a wall by it.
    void applyAndTell(const Edit&);
    /// Takes the user's own tape in hand, or puts it away.
    void setTaping(bool on);
    /// A rug is drawn corner by corner, on the floor.
    void drawRug();
    [[nodiscard]] bool taping() const { return taping_; }
    /// Those of the scheme that is open.
    [[nodiscard]] const std::vector<OwnTape>& tapes() const { return session_.tapes(); }
    void clearTapes();
    /// What is shown over the floor besides the readings.
    enum class Over { use, ways, zones, view, hooks, reflected, light };
    void setShown(Over, bool on);
    /// Draws the walls to either side beside the one looked at, as if the room were opened out.
    void setUnrolled(bool on) {
        unrolled_ = on;
        zoomToFit();
    }
    [[nodiscard]] bool unrolled() const { return unrolled_; }
    /// Looks into the chosen mirror from the next place, while what it shows is shown.
    void lookIntoMirrorFromNext();
    /// Whether the light that is shown is found, with what is passed on.
    [[nodiscard]] bool lightFound() const { return lit_.whole(); }
    /// Turns the lights up as the next light scene has them, and past the last full on again.
    void lightNextScene();
    /// Looks from the next door, or in through the next window, while what is seen is shown.
    void lookFromNext();
    [[nodiscard]] bool shown(Over o) const { return shown_[static_cast<std::size_t>(o)]; }
    /// Where a piece may stand, as an answer told it; empty takes it away.
    void setRegions(std::vector<AllowedRegion>);
    /// What the piece in hand would snap to; empty while nothing is near.
    [[nodiscard]] const std::optional<SnapOffer>& snap() const {
        static const std::optional<SnapOffer> none;
        return hand_ && hand_->snap() != nullptr ? *hand_->snap() : none;
    }
    /// Whether the drawing a room was traced from lies under the board.
    void setUnderlayShown(bool on) {
        underlayShown_ = on;
        update();
    }

    /// What is told of a place on the floor: headroom where the ceiling is not flat, the level.
    [[nodiscard]] QString toldOf(Vec2 floor) const;
    /// What is told when the pointer rests: of the reading, the piece, the opening or the service
    /// there, and what the floor is like.
    [[nodiscard]] QString toldAt(QPointF) const;

    /// The square of the chosen piece under the pointer that sizes it: which corner.
    [[nodiscard]] std::optional<Vec2> sizeSquareAt(QPointF) const;
    /// The squares on the outline of the chosen rug that is cut: corners, and middles of edges.
    struct OutlineSquare {
        QPointF at;
        int edge = 0; ///< counted from 1; 0 for a corner
        int corner = 0;
    };
    [[nodiscard]] std::vector<OutlineSquare> outlineSquares() const;
    /// The length of an own tape as things stand.
    [[nodiscard]] Gap measured(const OwnTape&) const;

    [[nodiscard]] QPointF toScreen(Vec2 p) const { return camera_.toScreen(p); }
    [[nodiscard]] Vec2 toFloor(QPointF p) const { return camera_.toSurface(p); }
    /// A place or a step of the surface shown: on a wall y runs up.
    [[nodiscard]] Vec2 onSurface(Vec2 drawn) const {
        return !session_.surface().isWall() ? drawn : Vec2{drawn.x, -drawn.y};
    }
    /// The topmost piece at a place on the screen; 0 for none.
    [[nodiscard]] int pieceAt(QPointF) const;
    /// The topmost piece that hangs at a place of the wall shown, and is no group; 0 for none.
    [[nodiscard]] int hungAt(QPointF) const;
    [[nodiscard]] JobSession& session() const { return session_; }
    void panBy(QPointF step);
    /// A step of the drawing as one of what is chosen: what stands before the wall shown goes along
    /// it.
    [[nodiscard]] Vec2 stepOf(Vec2 drawn) const;
    /// Whether all that is chosen hangs on the wall shown, and can be moved on it.
    [[nodiscard]] bool chosenHang() const;
    /// Chooses what lies at that place under what is chosen there, and past the lowest the topmost.
    void chooseBelow(QPointF);

    /// Moves what is selected by a step on the floor, as an arrow key does.
    void nudge(Vec2 step, bool keepTies);

    QSize sizeHint() const override { return {780, 640}; }

signals:
    /// A piece's name and sizes are to be typed.
    void editWanted(int piece);
    /// What can be done to the chosen is asked for, at a place on the screen.
    void menuWanted(QPoint at);
    void tapingChanged(bool on);
    void zoomChanged();

protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void mouseDoubleClickEvent(QMouseEvent*) override;
    void contextMenuEvent(QContextMenuEvent*) override;
    void dragEnterEvent(QDragEnterEvent*) override;
    void dragMoveEvent(QDragMoveEvent*) override;
    void dragLeaveEvent(QDragLeaveEvent*) override;
    void dropEvent(QDropEvent*) override;
    void wheelEvent(QWheelEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    void keyReleaseEvent(QKeyEvent*) override;
    bool event(QEvent*) override;
    void leaveEvent(QEvent*) override;

private:
    void fit(const Box&, double margin);
    [[nodiscard]] Box contentBounds() const;
    [[nodiscard]] QRectF sheetArea() const;
    [[nodiscard]] QPointF centreOfView() const { return sheetArea().center(); }
    [[nodiscard]] sheets::Drawing drawing(QPainter&) const;
    void paintFloor(QPainter&);
    /// What the base of a floor is made of, and its painting.
    [[nodiscard]] std::pair<LayerKey, Layer::Paint> base();
    void paintFigures(QPainter&);
    void letter(const sheets::Drawing&);
    [[nodiscard]] std::shared_ptr<const sheets::Labels> placeFigures(const sheets::Drawing&);
    /// The same drawing, lettered by those.
    [[nodiscard]] static sheets::Drawing drawingOn(const sheets::Drawing& d, sheets::Labels& by) {
        return {d.painter, d.look, d.origin, d.scale, d.pen, d.notation, &by};
    }
    [[nodiscard]] LayerKey cameraKey() const;
    /// The pieces that are not where they were before the drag under way.
    [[nodiscard]] std::vector<int> inHand() const;
    void takeUnderlay();
    void paintWall(QPainter&);
    void paintWallNow(QPainter&);
    void paintWallOver(const sheets::Drawing&);
    /// Where another wall's left corner on the floor is drawn, from that of the one looked at, mm.
    struct BesideWall {
        int wall;
        Vec2 at;
    };
    /// The other walls, opened out, in so many rows as show them largest.
    [[nodiscard]] std::vector<BesideWall> wallsBeside() const;
    void paintUnrolled(const sheets::Drawing&);
    void paintHungSelection(const sheets::Drawing&);
    /// Whether all that is chosen stands on the floor.
    [[nodiscard]] bool chosenStand() const;
    /// All pieces at a place of the screen, the topmost first.
    [[nodiscard]] std::vector<int> piecesAt(QPointF) const;
    [[nodiscard]] QString toldOfPiece(int id) const;
    [[nodiscard]] QString toldOfRoom(Vec2) const;
    void paintPointer(QPainter&) const;
    void paintSelection(const sheets::Drawing&);
    void paintMarks(const sheets::Drawing&);
    void paintTapes(const sheets::Drawing&);
    void paintOver(const sheets::Drawing&);
    void paintViewSaid(QPainter&) const;
    [[nodiscard]] QString lineFor(const QMimeData*, QPointF) const;
    void take(std::unique_ptr<Hand>);
    void cancelHand();
    [[nodiscard]] OwnTape::End endAt(QPointF) const;
    [[nodiscard]] std::optional<QPointF> turnHandle() const;
    void describe();

    JobSession& session_;
    Camera camera_;
    std::pair<ScenePtr, std::vector<Segment>> seams_; ///< of that scene's carpets
    std::unique_ptr<Hand> hand_;                      ///< null while nothing is held
    bool lettingGo_ = false;
    Layer base_{*this};        ///< the room
    Layer under_{*this, true}; ///< the room and all that stays in it, in one
    Layer flats_{*this};       ///< rugs that stay where they are
    Layer pieces_{*this};      ///< what else stays
    Layer wall_{*this, true};  ///< a wall, with all on it, while nothing is held
    Layer figures_{*this};     ///< dimensions, letters and rulers
    Layer namesLayer_{*this};  ///< the names of what stays
    std::shared_ptr<const sheets::Labels> names_;
    LayerKey namesAs_; ///< what they were placed for
    std::shared_ptr<const sheets::Labels> figuresPlaced_;
    LayerKey figuresAs_;
    std::vector<std::pair<int, QRectF>> chips_; ///< readings as last lettered, by their place
    bool fitted_ = true;                        ///< still showing all, so a resize fits again
    bool underlayShown_ = true;
    UnderlayPtr underlayOf_; ///< what underlay_ was made of
    QImage underlay_;
    std::array<bool, 7> shown_{};
    std::size_t lookFrom_ = 0;   ///< which opening is looked from
    LitState lit_;               ///< the light on the floor, while it is shown
    int lightScene_ = -1;        ///< which of the scheme's light scenes; less than nothing: full on
    std::size_t mirrorFrom_ = 0; ///< which place a mirror is looked into from
    bool unrolled_ = false;
    QString viewSaid_; ///< what is seen first and most, as last painted
    std::vector<AllowedRegion> regions_;
    bool spaceHeld_ = false;
    bool taping_ = false;
    std::optional<OwnTape::End> tapeStart_;
    QPointF pointer_;
    bool pointerIn_ = false;
};

} // namespace mezzet::app
