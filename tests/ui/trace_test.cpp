// Tracing by hand: a photograph straightened and scaled, a PDF page, a DXF read off the window's
// thread; and pictures that are none.
#include "app/measure/trace_screen.h"
#include "dxf/dxf.h"
#include "sheets/sheet.h"
#include "ui/open_window.h"

#include <QComboBox>
#include <QImage>
#include <QLabel>
#include <QLineEdit>
#include <QPainter>
#include <QPlainTextEdit>
#include <QProgressBar>
#include <QPushButton>
#include <QTableWidget>
#include <QTemporaryDir>

using namespace mezzet;
using namespace mezzet::app;
using namespace mezzet::test;

namespace {

class Trace : public testing::Test {
protected:
    void SetUp() override {
        screen = std::make_unique<TraceScreen>(Units::feetAndInches);
        screen->show();
        ASSERT_TRUE(QTest::qWaitForWindowExposed(screen.get()));
        QApplication::setActiveWindow(screen.get());
    }
    /// A plan of a room, 100 pixels to a metre, walls as thick lines.
    QString picture(int w = 900, int h = 700) {
        QImage i(w, h, QImage::Format_RGB32);
        i.fill(Qt::white);
        QPainter p(&i);
        p.setPen(QPen(Qt::black, 8));
        p.drawRect(100, 100, 500, 400);
        p.end();
        const auto path = dir.filePath("plan.png");
        i.save(path);
        return path;
    }
    void click(double x, double y) {
        const auto at = screen->canvas()->toScreen({x, y}).toPoint();
        QTest::mouseClick(screen->canvas(), Qt::LeftButton, {}, at);
    }
    void clickButton(const char* name) {
        auto* b = screen->findChild<QPushButton*>(name);
        ASSERT_NE(b, nullptr) << name;
        b->click();
    }
    void type(const QString& length) {
        auto* field = screen->findChild<QLineEdit*>("knownLength");
        ASSERT_TRUE(field->isVisible());
        QTest::keyClicks(field, length);
        QTest::keyClick(field, Qt::Key_Return);
    }
    void waitForWork() {
        for (int i = 0; i < 1000 && screen->work()->running(); ++i)
            QTest::qWait(5);
    }
    RoomPtr room() {
        auto r = roomFromNotes(screen->notes().toStdString());
        return r ? *r : nullptr;
    }

    QTemporaryDir dir;
    std::unique_ptr<TraceScreen> screen;
};

} // namespace

TEST_F(Trace, APictureIsScaledAndItsWallsClicked) {
    ASSERT_TRUE(screen->openFile(picture()));
    clickButton("scale");
    click(100, 100);
    click(600, 100);
    type("5m");
    EXPECT_TRUE(screen->findChild<QLabel*>("scaleSays")->text().startsWith("10.0"))
        << qPrintable(screen->findChild<QLabel*>("scaleSays")->text());
    clickButton("walls");
    click(100, 100);
    click(600, 104); // a little off: it snaps
    click(597, 500);
    click(101, 498);
    click(100, 101); // the first again closes
    clickButton("window");
    click(200, 100);
    click(350, 100);
    clickButton("door");
    click(600, 200);
    click(600, 290);
    ASSERT_NE(room(), nullptr) << qPrintable(screen->notes());
    EXPECT_TRUE(room()->closed);
    EXPECT_EQ(room()->walls.size(), 4U);
    EXPECT_NEAR(room()->floorArea() / 1e6, 20, 0.35);
    const auto traced = room();
    for (const Wall& w : traced->walls)
        EXPECT_NEAR(std::abs(std::remainder(w.direction().inDegrees(), 90)), 0, 0.01);
    EXPECT_EQ(room()->openings.size(), 2U);
    EXPECT_TRUE(screen->findChild<QPlainTextEdit*>("traced")->toPlainText().contains("window"));
    EXPECT_FALSE(screen->grab().isNull());
}

TEST_F(Trace, ASecondLengthShowsTheFitsError) {
    ASSERT_TRUE(screen->openFile(picture()));
    clickButton("scale");
    click(100, 100);
    click(600, 100);
    type("5m");
    click(100, 100);
    click(100, 500);
    type("4.04m");
    const auto words = screen->findChild<QLabel*>("scaleSays")->text();
    EXPECT_TRUE(words.contains("sure to")) << qPrintable(words);
    EXPECT_TRUE(words.contains("length 2 is off by")) << qPrintable(words);
    QTest::keyClick(screen.get(), Qt::Key_Backspace);
    EXPECT_EQ(screen->tracing().lengths.size(), 1U) << "Backspace takes the last step back";
    click(300, 300);
    click(301, 300);
    type("1m");
    EXPECT_TRUE(screen->said().contains("too close")) << qPrintable(screen->said());
    type("far");
    EXPECT_EQ(screen->tracing().lengths.size(), 1U);
}

TEST_F(Trace, ASkewedPhotographIsStraightened) {
    // The plan seen askew; its whole outline of 5 by 4 m is the known rectangle.
    QImage flat(picture());
    QPolygonF from{{100, 100}, {600, 100}, {600, 500}, {100, 500}};
    QPolygonF to{{140, 130}, {560, 90}, {640, 560}, {90, 470}};
    QTransform t;
    ASSERT_TRUE(QTransform::quadToQuad(from, to, t));
    QImage seen(900, 700, QImage::Format_RGB32);
    seen.fill(Qt::white);
    QPainter p(&seen);
    p.setTransform(t);
    p.drawImage(0, 0, flat);
    p.end();
    const auto path = dir.filePath("photo.jpg");
    seen.save(path);
    ASSERT_TRUE(screen->openFile(path));
    clickButton("straighten");
    for (const QPointF c : to)
        click(c.x(), c.y());
    type("5m x 4m");
    ASSERT_EQ(screen->tracing().lengths.size(), 1U) << qPrintable(screen->said());
    // In the straightened picture the rectangle is 1000 pixels wide, drawn with room about it.
    const auto& k = screen->tracing().lengths[0];
    const Vec2 o = k.from;
    EXPECT_NEAR(norm(k.to - k.from), straightWidth, 1e-9);
    EXPECT_EQ(screen->canvas()->hand(), TraceHand::walls);
    for (const Vec2 c : {o, o + Vec2{1000, 0}, o + Vec2{1000, 800}, o + Vec2{0, 800}, o})
        click(c.x, c.y);
    ASSERT_NE(room(), nullptr) << qPrintable(screen->notes());
    EXPECT_NEAR(room()->floorArea() / 1e6, 20, 0.2);
}

TEST_F(Trace, FourCornersThatAreNoRectangleAreRefused) {
    ASSERT_TRUE(screen->openFile(picture()));
    clickButton("straighten");
    for (const double x : {100.0, 200.0, 300.0, 400.0})
        click(x, 100);
    type("5m x 4m");
    EXPECT_TRUE(screen->said().contains("no rectangle")) << qPrintable(screen->said());
    type("5m");
    EXPECT_TRUE(screen->said().contains("two figures")) << qPrintable(screen->said());
}

TEST_F(Trace, APageOfAPdfIsTraced) {
    const auto library = *loadLibrary(MEZZET_TEST_DATA);
    const auto job =
        openJob(std::filesystem::path(MEZZET_TEST_DATA) / "demo" / "lantern-row.mezzet", library);
    const auto path = dir.filePath("plan.pdf");
    sheets::SheetOptions options;
    options.scale = sheets::readScale("1:48");
    ASSERT_TRUE(sheets::printSheet(sheets::planSheet, **job, options, path.toStdString()));
    ASSERT_TRUE(screen->openFile(path)) << qPrintable(screen->said());
    EXPECT_FALSE(screen->grab().isNull());
    QFile bad(dir.filePath("bad.pdf"));
    ASSERT_TRUE(bad.open(QIODevice::WriteOnly));
    bad.write("%PDF-1.4 and no more");
    bad.close();
    EXPECT_FALSE(screen->openFile(bad.fileName()));
    EXPECT_TRUE(screen->said().contains("can't be read"));
}

TEST_F(Trace, APictureOfAnySizeOrNoneIsTakenOrRefused) {
    QImage wide(9000, 300, QImage::Format_Grayscale8);
    wide.fill(200);
    wide.save(dir.filePath("wide.png"));
    EXPECT_TRUE(screen->openFile(dir.filePath("wide.png")));
    QImage dot(1, 1, QImage::Format_RGB32);
    dot.fill(Qt::red);
    dot.save(dir.filePath("dot.png"));
    EXPECT_FALSE(screen->openFile(dir.filePath("dot.png")));
    EXPECT_TRUE(screen->said().contains("too small"));
    QFile none(dir.filePath("none.png"));
    ASSERT_TRUE(none.open(QIODevice::WriteOnly));
    none.write("not a picture at all");
    none.close();
    EXPECT_FALSE(screen->openFile(none.fileName()));
    EXPECT_TRUE(screen->said().contains("can't be read as a picture"));
    EXPECT_FALSE(screen->openFile(dir.filePath("nowhere.png")));
    EXPECT_TRUE(screen->notes().isEmpty());
}

TEST_F(Trace, ADxfIsReadOffTheWindowsThreadAndARoomClickedIn) {
    const auto library = *loadLibrary(MEZZET_TEST_DATA);
    const auto job =
        openJob(std::filesystem::path(MEZZET_TEST_DATA) / "demo" / "lantern-row.mezzet", library);
    const auto path = dir.filePath("plan.dxf");
    QFile f(path);
    ASSERT_TRUE(f.open(QIODevice::WriteOnly));
    f.write(QByteArray::fromStdString(*dxfText(**sceneOf(**job))));
    f.close();
    screen->openFile(path);
    waitForWork();
    auto* layers = screen->findChild<QTableWidget*>("layers");
    ASSERT_GT(layers->rowCount(), 5);
    EXPECT_EQ(screen->findChild<QComboBox*>("unit")->currentText(), "mm");
    click(2500, 2000);
    waitForWork();
    ASSERT_NE(room(), nullptr) << qPrintable(screen->said());
    EXPECT_EQ(room()->walls.size(), 5U);
    EXPECT_NEAR(room()->walls[0].length().inInches(), 180, 0.1);
    EXPECT_EQ(room()->openings.size(), 4U);
    click(-3000, -3000);
    waitForWork();
    EXPECT_TRUE(screen->said().contains("no closed outline")) << qPrintable(screen->said());
    EXPECT_NE(room(), nullptr) << "what was found before stays";
    // With its walls' layer left out nothing closes.
    for (int i = 0; i < layers->rowCount(); ++i) {
        auto* role = qobject_cast<QComboBox*>(layers->cellWidget(i, 2));
        if (layers->item(i, 0)->text() == "WALLS") {
            role->setCurrentIndex(0);
            emit role->activated(0);
        }
    }
    click(2500, 2000);
    waitForWork();
    EXPECT_FALSE(screen->said().startsWith("Found")) << qPrintable(screen->said());
    EXPECT_FALSE(screen->grab().isNull());
}

TEST_F(Trace, AUnitThatIsMissingIsAskedFor) {
    const auto path = dir.filePath("bare.dxf");
    QFile f(path);
    ASSERT_TRUE(f.open(QIODevice::WriteOnly));
    f.write("0\nSECTION\n2\nENTITIES\n"
            "0\nLWPOLYLINE\n8\nWALLS\n90\n4\n70\n1\n10\n0.0\n20\n0.0\n10\n5.0\n20\n0.0\n10\n5.0\n"
            "20\n4.0\n10\n0.0\n20\n4.0\n0\nENDSEC\n0\nEOF\n");
    f.close();
    screen->openFile(path);
    waitForWork();
    EXPECT_TRUE(screen->said().contains("doesn't say its unit")) << qPrintable(screen->said());
    click(2.5, -2);
    EXPECT_TRUE(screen->said().contains("Choose what one unit")) << qPrintable(screen->said());
    auto* unit = screen->findChild<QComboBox*>("unit");
    unit->setCurrentIndex(unit->findText("m"));
    emit unit->activated(unit->currentIndex());
    click(2.5, -2);
    waitForWork();
    ASSERT_NE(room(), nullptr) << qPrintable(screen->said());
    EXPECT_NEAR(room()->floorArea() / 1e6, 20, 1e-6);
}

TEST_F(Trace, ALongReadingCanBeStopped) {
    const auto path = dir.filePath("long.dxf");
    QFile f(path);
    ASSERT_TRUE(f.open(QIODevice::WriteOnly));
    f.write("0\nSECTION\n2\nENTITIES\n");
    QByteArray lines;
    for (int i = 0; i < 200000; ++i)
        lines +=
            QString("0\nLINE\n8\nW\n10\n%1\n20\n0.0\n11\n%2\n21\n1.0\n").arg(i).arg(i + 1).toUtf8();
    f.write(lines);
    f.write("0\nENDSEC\n0\nEOF\n");
    f.close();
    screen->openFile(path);
    ASSERT_TRUE(screen->work()->running());
    EXPECT_TRUE(screen->work()->isVisible());
    screen->findChild<QPushButton*>("stopWork")->click();
    waitForWork();
    EXPECT_TRUE(screen->said().contains("stopped")) << qPrintable(screen->said());
    // Closed in the middle of a reading, it ends cleanly.
    screen->openFile(path);
    screen.reset();
}

TEST_F(Trace, WithoutAKnownLengthItSaysWhatIsMissing) {
    ASSERT_TRUE(screen->openFile(picture()));
    clickButton("walls");
    for (const QPointF c : {QPointF(100, 100), QPointF(600, 100), QPointF(600, 500)})
        click(c.x(), c.y());
    QTest::keyClick(screen.get(), Qt::Key_Return);
    EXPECT_TRUE(screen->notes().isEmpty());
    EXPECT_TRUE(
        screen->findChild<QPlainTextEdit*>("traced")->toPlainText().contains("known length"));
    QTest::keyClick(screen.get(), Qt::Key_Backspace);
    QTest::keyClick(screen.get(), Qt::Key_Backspace);
    EXPECT_EQ(screen->tracing().room.corners.size(), 2U);
}

class Under : public OpenWindow {};

TEST_F(Under, TheBoardShowsWhatARoomWasTracedFrom) {
    QTemporaryDir dir;
    QImage i(900, 700, QImage::Format_RGB32);
    i.fill(QColor(200, 40, 40));
    i.save(dir.filePath("red.png"));
    TraceScreen trace(Units::feetAndInches);
    trace.show();
    ASSERT_TRUE(trace.openFile(dir.filePath("red.png")));
    trace.setHand(TraceHand::scale);
    trace.clickAt({100, 100});
    trace.clickAt({600, 100});
    trace.typeLength("5m");
    trace.setHand(TraceHand::walls);
    for (const Vec2 c : {Vec2{100, 100}, Vec2{600, 100}, Vec2{600, 500}, Vec2{100, 500}})
        trace.clickAt(c);
    trace.clickAt({100, 100});
    const auto u = trace.underlay();
    ASSERT_TRUE(u);
    EXPECT_NEAR(norm(u->at - Vec2{-1000, -1000}), 0, 1)
        << "the picture begins a metre before the room";
    EXPECT_NEAR(u->mmPerPixel, 10, 1e-6);
    ASSERT_TRUE(session().apply(
        {"",
         {SetNotes{trace.notes().toStdString() + session().project()->notes}, SetUnderlay{u}},
         {}}));
    session().sayLine("room traced room");
    settle();
    const auto colourAt = [&](Vec2 p) {
        return board()->grab().toImage().pixelColor(board()->toScreen(p).toPoint());
    };
    const QColor with = colourAt({2600, 2100});
    EXPECT_GT(with.red() - with.green(), 30) << "it shows through";
    auto* show = window->act("underlay");
    show->trigger();
    settle();
    const QColor without = colourAt({2600, 2100});
    EXPECT_LT(without.red() - without.green(), 20);
    show->trigger();
    window->act("dropUnderlay")->trigger();
    EXPECT_FALSE(session().project()->underlay);
    session().undo();
    EXPECT_TRUE(session().project()->underlay);
    session().sayLine("room supper room");
    settle();
    const QColor other = colourAt({2600, 2100});
    EXPECT_LT(other.red() - other.green(), 60) << "it is the traced room's alone";
}

TEST_F(Under, HeadroomIsToldOverTheBoard) {
    EXPECT_EQ(board()->toldOf({2000, 2000}), "") << "a flat ceiling needs no telling";
    ASSERT_TRUE(
        session().apply({"",
                         {SetNotes{"room Supper room\nceiling 8'\nslope wall B, knee 4', full "
                                   "at 5'\nwall A 20'\nwall B 16'\nwall C 20'\nwall D 16'\nstep "
                                   "10' from wall D, down 7"}},
                         {}}));
    EXPECT_EQ(board()->toldOf({17.5 * 304.8, 2000}), "headroom 6' 7\", floor 7\" down");
    EXPECT_EQ(board()->toldOf({-500, 2000}), "") << "outside";
}
