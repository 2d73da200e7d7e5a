#pragma once

#include "app/window/main_window.h"
#include "measure/text.h"

#include <QApplication>
#include <QMouseEvent>
#include <QTest>

#include <gtest/gtest.h>

#include <memory>

namespace mezzet::test {

/// The real window with the demo open.
class OpenWindow : public testing::Test {
protected:
    void SetUp() override {
        window = std::make_unique<app::MainWindow>(*loadLibrary(MEZZET_TEST_DATA));
        window->show();
        ASSERT_TRUE(QTest::qWaitForWindowExposed(window.get()));
        // Without a window manager nobody else makes it the active one, which shortcuts ask for.
        QApplication::setActiveWindow(window.get());
        window->openDemo(0);
        settle();
    }
    static void settle() {
        for (int i = 0; i < 25; ++i)
            QApplication::processEvents(QEventLoop::AllEvents, 5);
    }
    /// Until what is looked for beside the window is found.
    void settled() {
        settle();
        for (int i = 0; i < 2000 && session().findingRemedies(); ++i)
            QTest::qWait(5);
        settle();
    }
    app::JobSession& session() { return window->session(); }
    app::Board* board() { return window->board(); }
    int id(const char* name) { return session().project()->scheme().byName(name)->id; }
    Pose pose(const char* name) { return session().scene()->byId(id(name))->pose; }
    QPoint on(const char* name) { return board()->toScreen(pose(name).at).toPoint(); }
    void move(QPoint to, Qt::MouseButton button, Qt::KeyboardModifiers keys = {}) {
        QMouseEvent e(QEvent::MouseMove, to, board()->mapToGlobal(to), Qt::NoButton, button, keys);
        QApplication::sendEvent(board(), &e);
    }

    std::unique_ptr<app::MainWindow> window;
};

} // namespace mezzet::test
