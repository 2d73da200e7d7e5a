// Ways to light a room: found beside the window, tried on the board, one in another's place.
#include "app/dialogs/layout_dialog.h"
#include "ui/open_window.h"

#include <QComboBox>
#include <QLabel>
#include <QListWidget>

#include <gtest/gtest.h>

using namespace mezzet;
using namespace mezzet::app;

class LayoutWindow : public test::OpenWindow {
protected:
    int lights() {
        int n = 0;
        for (const Piece& p : session().project()->scheme().pieces)
            n += p.on.isCeiling() ? 1 : 0;
        return n;
    }
};

TEST_F(LayoutWindow, WaysAreTriedOneInTheOthersPlace) {
    const int before = lights();
    LayoutDialog dialog(session());
    dialog.setModal(false);
    dialog.show();
    ASSERT_TRUE(QTest::qWaitFor([&] { return !dialog.finding(); }, 20000));
    ASSERT_GE(dialog.list()->count(), 2) << dialog.told()->text().toStdString();
    EXPECT_FALSE(dialog.list()->item(0)->icon().isNull());
    ASSERT_TRUE(dialog.tryIt(0));
    const int first = lights();
    EXPECT_GT(first, before);
    const auto steps = session().history().standing();
    ASSERT_TRUE(dialog.tryIt(1));
    // In its place, not on top of it.
    EXPECT_EQ(session().history().standing(), steps);
    EXPECT_NE(lights(), first);
    session().undo();
    EXPECT_EQ(lights(), before);
    EXPECT_FALSE(dialog.tryIt(99));
}
