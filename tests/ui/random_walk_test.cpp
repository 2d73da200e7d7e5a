// The real window under keys, clicks, drags and words that come as they may; dialogs and menus are
// walked like the rest. The seed is told: MEZZET_SEED=N walks the same way again.
#include "open_window.h"
#include "rounds.h"

#include <QAbstractButton>
#include <QDialog>
#include <QDir>
#include <QFileDialog>
#include <QLineEdit>
#include <QMenu>
#include <QPlainTextEdit>
#include <QPointer>
#include <QTemporaryDir>
#include <QTimer>

#include <array>
#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

class Walker : public QObject {
public:
    Walker(app::MainWindow& window, unsigned seed, int events, QEventLoop& loop)
        : window_(window), random_(seed), left_(events), loop_(loop) {
        next();
    }
    int done = 0;

private:
    int any(int below) { return static_cast<int>(random_() % static_cast<unsigned>(below)); }

    /// A shot of its own each time, so that it goes on inside a dialog's own loop.
    void next() { QTimer::singleShot(0, this, &Walker::step); }

    void step() {
        if (left_-- <= 0) {
            closeAll();
            loop_.quit();
            return;
        }
        ++done;
        next();
        QWidget* top = QApplication::activePopupWidget();
        if (top == nullptr)
            top = QApplication::activeModalWidget();
        if (top == nullptr) {
            top = &window_;
            if (!window_.isVisible())
                window_.show();
            window_.activateWindow();
        }
        // Nothing outside of the test's own folder is read or written.
        if (qobject_cast<QFileDialog*>(top) != nullptr) {
            press(top, Qt::Key_Escape);
            return;
        }
        // No dialog is walked for ever.
        if (top != &window_ && any(25) == 0) {
            press(top, Qt::Key_Escape);
            return;
        }
        switch (any(10)) {
        case 0:
        case 1:
        case 2:
            click(top);
            break;
        case 3:
        case 4:
            key(top);
            break;
        case 5:
        case 6:
            words(top);
            break;
        case 7:
        case 8:
            drag();
            break;
        default:
            if (top == &window_)
                window_.resize(1024 + any(600), 700 + any(300));
        }
    }

    void click(QWidget* top) {
        const auto all = top->findChildren<QWidget*>();
        QWidget* at = all.isEmpty() || any(6) == 0 ? top : all[any(static_cast<int>(all.size()))];
        if (!at->isVisible() || at->width() < 1 || at->height() < 1)
            return;
        const QPoint p(any(at->width()), any(at->height()));
        const auto button = any(6) == 0 ? Qt::RightButton : Qt::LeftButton;
        const auto with = any(5) == 0 ? Qt::ControlModifier : Qt::NoModifier;
        const bool twice = any(12) == 0;
        // What a press takes away gets no release.
        const QPointer<QWidget> held(at);
        QTest::mousePress(at, button, with, p);
        if (held)
            QTest::mouseRelease(at, button, with, p);
        if (held && twice)
            QTest::mouseDClick(at, button, with, p);
    }

    static void press(QWidget* to, Qt::Key key, Qt::KeyboardModifiers with = {}) {
        const QPointer<QWidget> held(to);
        QTest::keyPress(to, key, with);
        if (held)
            QTest::keyRelease(to, key, with);
    }

    void key(QWidget* top) {
        constexpr std::array keys{Qt::Key_Tab,  Qt::Key_Return, Qt::Key_Escape, Qt::Key_Delete,
                                  Qt::Key_Left, Qt::Key_Right,  Qt::Key_Up,     Qt::Key_Down,
                                  Qt::Key_F8,   Qt::Key_F1,     Qt::Key_Space,  Qt::Key_Home,
                                  Qt::Key_End,  Qt::Key_L,      Qt::Key_R,      Qt::Key_D,
                                  Qt::Key_Z,    Qt::Key_Y,      Qt::Key_F,      Qt::Key_G,
                                  Qt::Key_1,    Qt::Key_2,      Qt::Key_Slash,  Qt::Key_PageDown,
                                  Qt::Key_A,    Qt::Key_K,      Qt::Key_B,      Qt::Key_Backspace};
        constexpr std::array<Qt::KeyboardModifiers, 5> with{
            Qt::NoModifier, Qt::NoModifier, Qt::ShiftModifier, Qt::ControlModifier,
            Qt::ControlModifier | Qt::ShiftModifier};
        QWidget* to = QApplication::focusWidget() != nullptr ? QApplication::focusWidget() : top;
        press(to, keys[static_cast<std::size_t>(any(keys.size()))],
              with[static_cast<std::size_t>(any(with.size()))]);
    }

    void words(QWidget* top) {
        constexpr std::array say{"sofa 84 x 36 against wall A",
                                 "armchair",
                                 "coffee table 16 from sofa",
                                 "stool at 3', 3'",
                                 "remove sofa",
                                 "undo",
                                 "picture 30 x 24 on wall B",
                                 "seat table with 6",
                                 "units mm",
                                 "mend all",
                                 "turn it 45",
                                 "copy it",
                                 "dining table 72 x 40",
                                 "<b>x</b> & \"y\"",
                                 "1e999",
                                 "rug 96 x 60 under sofa",
                                 "wall A 12'",
                                 "diagonal A to C 20'",
                                 "mirror 36 round above sofa 8",
                                 "units in",
                                 "8' 2 1/2\"",
                                 "-5",
                                 "17",
                                 "\u202Eabc\u0007"};
        const auto text = QString::fromUtf8(say[static_cast<std::size_t>(any(say.size()))]);
        QWidget* to = QApplication::focusWidget();
        if (top == &window_ && any(2) == 0)
            to = window_.findChild<QLineEdit*>("line");
        if (auto* line = qobject_cast<QLineEdit*>(to); line != nullptr && !line->isReadOnly()) {
            line->setFocus();
            line->selectAll();
            // Not by keyClicks, which knows no more than ASCII.
            for (const QChar c : text) {
                QKeyEvent press(QEvent::KeyPress, 0, Qt::NoModifier, QString(c));
                QApplication::sendEvent(line, &press);
            }
            if (any(4) != 0)
                press(line, Qt::Key_Return);
        } else if (auto* notes = qobject_cast<QPlainTextEdit*>(to)) {
            notes->insertPlainText(text + "\n");
        }
    }

    void drag() {
        if (QApplication::activeModalWidget() != nullptr ||
            QApplication::activePopupWidget() != nullptr)
            return;
        auto* board = window_.board();
        QPoint at(any(board->width()), any(board->height()));
        const auto& pieces = window_.session().scene()->floor.placed;
        if (!pieces.empty() && any(4) != 0)
            at = board
                     ->toScreen(
                         pieces[static_cast<std::size_t>(any(static_cast<int>(pieces.size())))]
                             .pose.at)
                     .toPoint();
        const auto send = [&](QEvent::Type type, Qt::MouseButton button, Qt::MouseButtons held) {
            QMouseEvent e(type, at, board->mapToGlobal(at), button, held, {});
            QApplication::sendEvent(board, &e);
        };
        send(QEvent::MouseButtonPress, Qt::LeftButton, Qt::LeftButton);
        for (int i = any(5); i >= 0; --i) {
            at += QPoint(any(81) - 40, any(81) - 40);
            send(QEvent::MouseMove, Qt::NoButton, Qt::LeftButton);
        }
        if (any(6) == 0)
            press(board, Qt::Key_Escape);
        send(QEvent::MouseButtonRelease, Qt::LeftButton, Qt::NoButton);
    }

    void closeAll() {
        for (int i = 0; i < 20; ++i) {
            QWidget* top = QApplication::activePopupWidget();
            if (top == nullptr)
                top = QApplication::activeModalWidget();
            if (top == nullptr)
                return;
            if (auto* dialog = qobject_cast<QDialog*>(top))
                dialog->done(0);
            else
                top->close();
        }
    }

    app::MainWindow& window_;
    std::mt19937 random_;
    int left_;
    QEventLoop& loop_;
};

} // namespace

TEST_F(OpenWindow, AWalkAtRandomEndsWithAJobThatIsWhole) {
    const int events = rounds(250, 20000);
    const unsigned seed = qEnvironmentVariableIntValue("MEZZET_SEED") != 0
                              ? static_cast<unsigned>(qEnvironmentVariableIntValue("MEZZET_SEED"))
                              : 2611;
    std::printf("seed %u, %d events\n", seed, events);
    std::fflush(stdout);
    QTemporaryDir folder;
    const auto was = QDir::currentPath();
    QDir::setCurrent(folder.path());
    QApplication::setQuitOnLastWindowClosed(false);
    QEventLoop loop;
    Walker walker(*window, seed, events, loop);
    loop.exec();
    settle();
    QDir::setCurrent(was);
    EXPECT_EQ(walker.done, events);
    const auto text = jobText(*session().project());
    const auto again = readJob(text, "walked", session().library());
    ASSERT_TRUE(again) << again.problem().text();
    EXPECT_EQ(jobText(**again), text);
    session().leave();
}
