// Drawing: every kind of the kit, verdict marks that differ by shape, dimensions that don't
// collide.
#include "geometry/gap.h"
#include "jobs.h"
#include "sheets/drawing.h"

#include <QImage>

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;
using namespace mezzet::sheets;

namespace {

QImage blank(int side = 400) {
    QImage i(side, side, QImage::Format_RGB32);
    i.fill(Qt::white);
    return i;
}

bool inked(const QImage& i, int x, int y) {
    return i.pixelColor(x, y) != QColor(Qt::white);
}

} // namespace

TEST(Drawing, EveryKindIsDrawnAndStaysInItsFootprint) {
    loadFonts();
    for (const auto& kind : library().kit->kinds()) {
        for (const double turn : {0.0, 33.0}) {
            QImage image = blank();
            QPainter p(&image);
            Piece piece = pieceOf(kind);
            piece.name = kind->name;
            Placed where;
            where.pose = {{0, 0}, Angle::degrees(turn)};
            where.shape = placed(piece.shape(), where.pose);
            const double scale = 150 / where.shape.reach;
            const Drawing d{p, dayLook(), {200, 200}, scale, 1, {}};
            drawPiece(d, piece, where);
            p.end();
            int outside = 0;
            int inside = 0;
            for (int y = 0; y < 400; ++y) {
                for (int x = 0; x < 400; ++x) {
                    const Vec2 at{(x + 0.5 - 200) / scale, (y + 0.5 - 200) / scale};
                    if (!inked(image, x, y))
                        continue;
                    if (contains(where.shape, at)) {
                        ++inside;
                        continue;
                    }
                    // A line has some width of its own.
                    const double d2 = gapBetween(where.shape, stretch({at, at})).apart.mm() * scale;
                    (d2 > 2.5 ? outside : inside)++;
                }
            }
            EXPECT_EQ(outside, 0) << kind->id << " turned " << turn;
            EXPECT_GT(inside, 500) << kind->id;
        }
    }
}

TEST(Drawing, VerdictsDifferByShapeNotByColourAlone) {
    std::vector<QImage> marks;
    for (const auto v : {Verdict::right, Verdict::tight, Verdict::loose, Verdict::clash}) {
        QImage image = blank(40);
        QPainter p(&image);
        drawVerdict(p, {4, 10, 32, 16}, v, Qt::black);
        p.end();
        for (const auto& m : marks)
            EXPECT_NE(m, image);
        marks.push_back(image);
    }
}

TEST(Drawing, DimensionsKeepClearOfEachOther) {
    loadFonts();
    QImage image = blank();
    QPainter p(&image);
    Labels labels;
    const Drawing d{p, dayLook(), {0, 0}, 1, 1, {}, &labels};
    for (int i = 0; i < 12; ++i)
        drawDimension(d, QPointF(20 + i * 9, 200), QPointF(29 + i * 9, 200), 16, "4' 3 1/8\"", 12);
    labels.place();
    const auto taken = labels.boxes();
    for (std::size_t i = 0; i < taken.size(); ++i)
        for (std::size_t k = 0; k < i; ++k)
            EXPECT_FALSE(taken[i].intersects(taken[k]));
    EXPECT_GT(taken.size(), 2U);
}

TEST(Drawing, ANameMakesWayForWhatIsDraggedOverIt) {
    const auto nameAt = [](double x, int of) {
        Label l;
        l.places = {QRectF(x, 100, 40, 14), QRectF(x, 130, 40, 14)};
        l.of = of;
        return l;
    };
    Labels names(QRectF(0, 0, 400, 400));
    names.add(nameAt(20, 1));
    names.add(nameAt(200, 2));
    names.place();
    const std::vector<QRectF> dragged{QRectF(190, 90, 30, 20)};
    EXPECT_TRUE(names.liesUnder(dragged));
    auto others = names;
    const auto taken = others.takeUnder(dragged);
    ASSERT_EQ(taken.size(), 1U);
    EXPECT_EQ(taken.front().of, 2);
    EXPECT_EQ(others.boxes(), std::vector<QRectF>{QRectF(20, 100, 40, 14)});
    EXPECT_FALSE(others.liesUnder(dragged));
    EXPECT_EQ(names.boxes().size(), 2U);
    // It finds its other place, clear of what came over it.
    Labels live(QRectF(0, 0, 400, 400));
    live.keepClear(others);
    live.ratherClear(dragged.front(), 3);
    live.add(taken.front());
    live.place();
    EXPECT_EQ(live.boxes(), std::vector<QRectF>{QRectF(200, 130, 40, 14)});
}

TEST(Drawing, OneChipTellsReadingsOfTheSameStretchThatSayTheSame) {
    Reading gap;
    gap.value = Amount::of(Length::inches(18));
    gap.at = {Vec2{0, 0}, Vec2{0, 457.2}};
    Reading way = gap;
    std::swap(way.at[0], way.at[1]);
    Reading tight = gap;
    tight.verdict = Verdict::tight;
    Reading elsewhere = gap;
    elsewhere.at = {Vec2{500, 0}, Vec2{500, 457.2}};
    EXPECT_TRUE(sameMark(gap, way));
    EXPECT_FALSE(sameMark(gap, tight));
    EXPECT_FALSE(sameMark(gap, elsewhere));
    ReadingMarks marks;
    EXPECT_TRUE(marks.isNew(gap));
    EXPECT_FALSE(marks.isNew(way));
    EXPECT_TRUE(marks.isNew(tight));
    EXPECT_TRUE(marks.isNew(elsewhere));
}

TEST(Drawing, AWallShowsTheFurnitureBeforeIt) {
    const auto job =
        jobWith({"sofa 84 x 36 against wall A, 20 from corner DA", "stool at 10', 12'"});
    const auto scene = *sceneOf(job);
    const auto a = standingBefore(*scene, 0);
    ASSERT_EQ(a.size(), 1U);
    EXPECT_NEAR(a[0].left / 25.4, 20, 1e-6);
    EXPECT_NEAR(a[0].right / 25.4, 104, 1e-6);
    EXPECT_NEAR(a[0].off, 0, 1e-6);
    // Wall D runs from C's end back to A: the sofa stands 20 in off it, at its right-hand end.
    const auto dWall = standingBefore(*scene, 3);
    ASSERT_EQ(dWall.size(), 1U);
    EXPECT_NEAR(dWall[0].off / 25.4, 20, 1e-6);
    EXPECT_NEAR(dWall[0].right / 25.4, 180, 1e-6);
}
