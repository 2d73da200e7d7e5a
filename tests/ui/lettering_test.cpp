// Nothing lettered on the board or on a sheet lies over anything else lettered there, is painted
// over, or is cut off: the demo, a crowded room and fifty random ones, looked at by a paint device
// that knows nothing of how the places were found.
#include "any_room.h"
#include "lettering.h"
#include "open_window.h"
#include "sheets/sheet.h"

using namespace mezzet;
using namespace mezzet::app;
using namespace mezzet::test;

namespace {

class LetteringOf : public OpenWindow {
protected:
    void open(const Project& job) {
        session().open(std::make_shared<Project>(job), {});
        settle();
    }
    /// What is wrong with the board as it stands.
    std::vector<std::string> boardFaults() {
        Lettering on(board()->size());
        board()->render(&on, QPoint(), QRegion(), QWidget::DrawWindowBackground);
        EXPECT_FALSE(on.texts().empty());
        letters += on.texts().size();
        return on.faults();
    }
    void look(const std::string& where) {
        for (const auto& f : boardFaults())
            ADD_FAILURE() << where << ": " << f;
    }
    void lookEverywhere(const std::string& where) {
        session().goTo(theFloor());
        session().select({});
        board()->zoomToFit();
        look(where + ", floor");
        for (std::size_t w = 0; w < session().project()->room->walls.size(); ++w) {
            session().goTo(onWall(static_cast<int>(w)));
            board()->zoomToFit();
            look(where + ", wall " + wallName(static_cast<int>(w)));
        }
        session().goTo(theFloor());
    }
    std::size_t letters = 0;
};

/// Every page of a sheet, at 8 dots a millimetre.
void lookAtSheet(const sheets::SheetKind& kind, const Project& job, sheets::SheetOptions o,
                 const std::string& where) {
    const auto sheet = kind.pages(job, o);
    if (!sheet)
        return; // it is too large for the paper, and says so
    for (const auto& page : sheet->paper.pages) {
        const double dots = 8;
        Lettering on(QSizeF(sheet->paper.width * dots, sheet->paper.height * dots).toSize());
        QPainter p(&on);
        page(p, dots);
        p.end();
        for (const auto& f : on.faults())
            ADD_FAILURE() << where << ", " << kind.id << ": " << f;
    }
}

} // namespace

TEST_F(LetteringOf, TheEyeItselfSees) {
    Lettering on({200, 100});
    QPainter p(&on);
    p.drawText(20, 20, "first");
    p.drawText(24, 22, "second");
    p.drawText(190, 60, "cut");
    p.drawText(20, 80, "hidden");
    p.fillRect(QRectF(15, 65, 40, 30), Qt::white);
    p.drawText(80, 80, "clear");
    p.end();
    const auto faults = on.faults();
    ASSERT_EQ(faults.size(), 3U);
    EXPECT_EQ(faults[0], "\"hidden\" is painted over");
    EXPECT_EQ(faults[1], "\"second\" lies over \"first\"");
    EXPECT_EQ(faults[2], "\"cut\" is cut off");
}

TEST_F(LetteringOf, TheDemoIsLetteredClearly) {
    for (int scheme = 0; scheme < static_cast<int>(session().project()->schemes.size()); ++scheme) {
        session().sayLine(QString("scheme %1").arg(scheme + 1));
        const auto where = "scheme " + std::to_string(scheme + 1);
        lookEverywhere(where);
        session().select({id("Sofa")});
        look(where + ", sofa chosen");
        session().select({});
        for (const auto over : {Board::Over::zones, Board::Over::ways, Board::Over::use}) {
            board()->setShown(over, true);
            look(where + ", with what is shown over it");
            board()->setShown(over, false);
        }
        for (int w = 0; w < 5; ++w) {
            session().goTo(onWall(w));
            board()->setUnrolled(true);
            look(where + ", unrolled");
            board()->setUnrolled(false);
        }
        session().goTo(theFloor());
    }
}

TEST_F(LetteringOf, AZoomedBoardIsLetteredClearly) {
    for (int i = 0; i < 12; ++i) {
        board()->zoomBy(i < 6 ? 0.8 : 1.6, QPointF(300 + 20 * i, 280));
        look("zoom step " + std::to_string(i));
    }
}

TEST_F(LetteringOf, ACrowdedRoomIsLetteredClearly) {
    std::vector<std::string> lines;
    for (int i = 0; i < 40; ++i)
        lines.push_back(fmt::format("{} called Thing of many words {} at {}in, {}in",
                                    i % 3 == 0   ? "armchair"
                                    : i % 3 == 1 ? "side table"
                                                 : "stool",
                                    i, 20 + (i % 8) * 28, 20 + (i / 8) * 32));
    for (int i = 0; i < 12; ++i)
        lines.push_back(fmt::format("picture {} x {} called Print {} on wall A, {} from corner DA, "
                                    "centre at {}",
                                    8 + i, 10, i, 4 + i * 14, 50 + (i % 3) * 9));
    open(jobWith(lines));
    lookEverywhere("crowded");
    const auto& job = *session().project();
    lookAtSheet(sheets::planSheet, job, {}, "crowded");
    sheets::SheetOptions o;
    o.wall = 0;
    lookAtSheet(sheets::wallSheet, job, o, "crowded");
}

TEST_F(LetteringOf, RandomRoomsAreLetteredClearly) {
    for (unsigned seed = 1; seed <= 50; ++seed) {
        const auto job = anyRoom(seed);
        open(job);
        lookEverywhere("room " + std::to_string(seed));
        lookAtSheet(sheets::planSheet, job, {}, "room " + std::to_string(seed));
        sheets::SheetOptions o;
        o.wall = 0;
        lookAtSheet(sheets::wallSheet, job, o, "room " + std::to_string(seed));
    }
    EXPECT_GT(letters, 50U * 40U) << "what is looked at is lettered";
}
