// Rugs by hand in the real window: drawn by corners, an edge and a corner dragged.
#include "edit/rug_outline.h"
#include "geometry/polygon.h"
#include "scheme/rug.h"
#include "ui/open_window.h"

#include <gtest/gtest.h>

#include <cmath>

using namespace mezzet;
using namespace mezzet::app;

namespace {

class RugsByHand : public test::OpenWindow {
protected:
    void SetUp() override {
        OpenWindow::SetUp();
        session().goTo(theFloor());
        board()->zoomToFit();
        settle();
    }
    QPoint at(double x, double y) { return board()->toScreen({x * 25.4, y * 25.4}).toPoint(); }
    void press(QPoint p) {
        move(p, Qt::NoButton);
        QTest::mousePress(board(), Qt::LeftButton, {}, p);
        QTest::mouseRelease(board(), Qt::LeftButton, {}, p);
    }
    /// The piece that was not there before.
    const Piece& newest() { return session().project()->scheme().pieces.back(); }
    std::vector<Vec2> corners(const char* name) {
        return trueOutline(*session().project()->scheme().byName(name), pose(name));
    }
};

} // namespace

TEST_F(RugsByHand, IsDrawnCornerByCorner) {
    const std::size_t before = session().project()->scheme().pieces.size();
    board()->drawRug();
    for (const auto& [x, y] : {std::pair{60, 60}, {130, 60}, {130, 100}, {60, 100}})
        press(at(x, y));
    QTest::keyClick(board(), Qt::Key_Return);
    settle();
    ASSERT_EQ(session().project()->scheme().pieces.size(), before + 1);
    ASSERT_TRUE(isCut(newest()));
    EXPECT_EQ(newest().rug->outline.size(), 4U);
    // To within what a pixel is, its edges square.
    const double pixel = 1 / board()->pixelsPerMm();
    EXPECT_NEAR(newest().size.width.mm(), 70 * 25.4, 12 * pixel);
    EXPECT_NEAR(areaOf(newest()), newest().size.width.mm() * newest().size.depth.mm(), 1);
    session().undo();
    EXPECT_EQ(session().project()->scheme().pieces.size(), before);
}

TEST_F(RugsByHand, ALengthThatIsTypedSetsTheNextCorner) {
    board()->drawRug();
    press(at(60, 60));
    move(at(100, 60), Qt::NoButton);
    QTest::keyClicks(board(), "72");
    QTest::keyClick(board(), Qt::Key_Return);
    move(at(132, 90), Qt::NoButton);
    QTest::keyClicks(board(), "3'");
    QTest::keyClick(board(), Qt::Key_Return);
    press(at(60, 96));
    QTest::keyClick(board(), Qt::Key_Return);
    settle();
    ASSERT_TRUE(isCut(newest()));
    const auto sides = sidesOf(newest(), newest().pose);
    ASSERT_EQ(sides.size(), 4U);
    EXPECT_NEAR(sides[0].length.inInches(), 72, 1e-6);
    EXPECT_NEAR(sides[1].length.inInches(), 36, 1e-6);
}

TEST_F(RugsByHand, EscapeLeavesTheDrawingAndTheJobAsItWas) {
    const auto before = session().project();
    board()->drawRug();
    press(at(60, 60));
    press(at(90, 60));
    QTest::keyClick(board(), Qt::Key_Escape);
    settle();
    EXPECT_EQ(session().project(), before);
    // The board is as ever: a press chooses.
    QTest::mousePress(board(), Qt::LeftButton, {}, on("Sofa"));
    QTest::mouseRelease(board(), Qt::LeftButton, {}, on("Sofa"));
    EXPECT_TRUE(session().isSelected(id("Sofa")));
}

TEST_F(RugsByHand, AnEdgeIsDraggedAndItsNeighboursFollow) {
    ASSERT_TRUE(session().sayLine("rug called Ell, corners at 60, 60; 130, 60; 130, 90; 95, 90; "
                                  "95, 120; 60, 120"));
    session().select({id("Ell")});
    settle();
    const auto squares = board()->outlineSquares();
    ASSERT_GE(squares.size(), 12U);
    QPoint from;
    for (const auto& s : squares)
        if (s.edge == 2)
            from = s.at.toPoint();
    const double scale = board()->pixelsPerMm();
    const QPoint to = from + QPoint(static_cast<int>(std::lround(10 * 25.4 * scale)), 0);
    QTest::mousePress(board(), Qt::LeftButton, {}, from);
    move((from + to) / 2, Qt::LeftButton);
    move(to, Qt::LeftButton);
    QTest::mouseRelease(board(), Qt::LeftButton, {}, to);
    settle();
    const auto now = corners("Ell");
    ASSERT_EQ(now.size(), 6U);
    EXPECT_NEAR(now[1].x, now[2].x, 1e-6);
    EXPECT_GT(now[1].x / 25.4, 135);
    EXPECT_NEAR(now[3].x / 25.4, 95, 1e-6) << "the others stay";
    EXPECT_NEAR(now[1].y / 25.4, 60, 1e-6);
}

TEST_F(RugsByHand, AnEdgeAlongAWallKeepsFollowingIt) {
    ASSERT_TRUE(session().sayLine("rug called Fill cut to the room, 20 off the walls anyway"));
    session().select({id("Fill")});
    settle();
    const Piece& p = *session().project()->scheme().byName("Fill");
    const auto edge = moveRugEdge(*session().project(), *session().scene(), p.id, 1, 8 * 25.4);
    ASSERT_TRUE(edge) << edge.problem().text();
    ASSERT_TRUE(session().apply(*edge));
    const Piece& now = *session().project()->scheme().byName("Fill");
    ASSERT_TRUE(now.rug->fit);
    ASSERT_EQ(now.rug->fit->off.size(), 1U);
    EXPECT_NEAR(now.rug->fit->off[0].by.inInches(), 12, 1e-6);
}
