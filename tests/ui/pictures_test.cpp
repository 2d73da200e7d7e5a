// Several pictures for a frame: shown on the wall, ranked, one put there.
#include "app/dialogs/pictures_dialog.h"
#include "ui/open_window.h"

#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QTemporaryDir>

#include <gtest/gtest.h>

using namespace mezzet;
using namespace mezzet::app;

class PicturesWindow : public test::OpenWindow {};

TEST_F(PicturesWindow, AreRankedOnTheWallAndOneIsHung) {
    for (const char* line : {"colour walls navy", "colour sofa cream"})
        ASSERT_TRUE(session().sayLine(line));
    QTemporaryDir folder;
    const auto painted = [&](const char* name, QColor c) {
        QImage image(120, 90, QImage::Format_RGB32);
        image.fill(c);
        const auto path = folder.filePath(name);
        EXPECT_TRUE(image.save(path));
        return path;
    };
    const int frame = session().project()->scheme().byName("Mill")->id;
    PicturesDialog dialog(session(), frame);
    dialog.setModal(false);
    QWidget& shown = dialog;
    shown.show();
    dialog.take({painted("wall.png", QColor(0, 0, 110)),
                 painted("cream.png", QColor(240, 230, 200)), folder.filePath("none.png")});
    ASSERT_TRUE(QTest::qWaitFor([&] { return !dialog.reading(); }, 10000));
    ASSERT_EQ(dialog.list()->count(), 2);
    EXPECT_FALSE(dialog.told()->text().isEmpty()); // the one that is not there
    EXPECT_TRUE(dialog.list()->item(0)->text().startsWith("cream.png"))
        << dialog.list()->item(0)->text().toStdString();
    EXPECT_FALSE(dialog.list()->item(0)->icon().isNull());
    dialog.list()->setCurrentRow(0);
    QTest::mouseClick(dialog.findChild<QPushButton*>("picturesHang"), Qt::LeftButton);
    EXPECT_EQ(session().project()->scheme().byName("Mill")->picture, "cream");
    session().undo();
    EXPECT_NE(session().project()->scheme().byName("Mill")->picture, "cream");
}
