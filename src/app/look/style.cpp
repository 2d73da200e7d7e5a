#include "app/look/style.h"

#include <QScreen>

#include <QPalette>

static void initIconResource() {
    Q_INIT_RESOURCE(icons);
}

namespace mezzet::app {

namespace {
const sheets::Look* current = nullptr;
}

const sheets::Look& look() {
    return current != nullptr ? *current : sheets::dayLook();
}

void useTheme(bool night) {
    initIconResource();
    current = night ? &sheets::nightLook() : &sheets::dayLook();
    const auto& l = *current;
    QPalette p;
    p.setColor(QPalette::Window, l.panel);
    p.setColor(QPalette::WindowText, l.ink);
    p.setColor(QPalette::Base, l.field);
    p.setColor(QPalette::AlternateBase, l.board);
    p.setColor(QPalette::Text, l.ink);
    p.setColor(QPalette::Button, l.panel);
    p.setColor(QPalette::ButtonText, l.ink);
    p.setColor(QPalette::Highlight, l.ink);
    p.setColor(QPalette::HighlightedText, l.onInk);
    p.setColor(QPalette::PlaceholderText, l.soft);
    p.setColor(QPalette::ToolTipBase, l.field);
    p.setColor(QPalette::ToolTipText, l.ink);
    p.setColor(QPalette::Disabled, QPalette::Text, l.soft);
    p.setColor(QPalette::Disabled, QPalette::ButtonText, l.soft);
    p.setColor(QPalette::Disabled, QPalette::WindowText, l.soft);
    QApplication::setPalette(p);
    qApp->setStyleSheet(styleSheet(l));
}

QString styleSheet(const sheets::Look& l) {
    const auto c = [](const QColor& x) { return x.name(); };
    QString s = R"(
* { font-family: "Cabin"; font-size: 14px; }
QMainWindow, QDialog { background: @panel; color: @ink; }
QMenuBar { background: @panel; border-bottom: 1px solid @edge; padding: 2px 6px; }
QMenuBar::item { padding: 4px 10px; background: transparent; border-radius: 4px; }
QMenuBar::item:selected { background: @ink; color: @onink; }
QMenu { background: @field; border: 1px solid @edge; padding: 5px; }
QMenu::item { padding: 5px 28px 5px 22px; border-radius: 4px; }
QMenu::item:selected { background: @ink; color: @onink; }
QMenu::item:disabled { color: @soft; }
QMenu::separator { height: 1px; background: @edge; margin: 4px 8px; }
QLabel { background: transparent; }
QLabel[quiet="true"] { color: @soft; font-size: 13px; }
QLabel[small="true"] { color: @ink; font-size: 13px; }
QLabel[heading="true"] { font-size: 18px; font-weight: 600; }
QLabel[trouble="true"] { color: @tight; }
QLineEdit, QPlainTextEdit, QComboBox, QSpinBox { background: @field; border: 1px solid @soft; border-radius: 5px; padding: 4px 8px; selection-background-color: @ink; selection-color: @onink; color: @ink; }
QLineEdit:focus, QPlainTextEdit:focus, QComboBox:focus { border: 2px solid @chosen; padding: 3px 7px; }
QLineEdit[figure="true"] { font-family: "Routed Gothic"; font-size: 16px; padding: 1px 4px; }
QComboBox::drop-down { border: none; width: 22px; }
QComboBox::down-arrow { image: url(:/icons/down.svg); width: 12px; height: 12px; }
QComboBox QAbstractItemView { background: @field; border: 1px solid @edge; selection-background-color: @ink; selection-color: @onink; }
QPlainTextEdit { font-family: "Routed Gothic"; font-size: 16px; }
* { dialogbuttonbox-buttons-have-icons: 0; }
QPushButton { background: @field; border: 1px solid @soft; border-radius: 5px; padding: 5px 14px; color: @ink; }
QPushButton:hover { border-color: @ink; }
QPushButton:focus { border: 2px solid @chosen; padding: 4px 13px; }
QPushButton:checked { background: @ink; color: @onink; border-color: @ink; }
QTableWidget { background: @field; border: 1px solid @soft; border-radius: 5px; color: @ink; }
QHeaderView::section { background: @panel; color: @soft; border: none; border-bottom: 1px solid @edge; padding: 3px 6px; font-size: 13px; }
QProgressBar { background: @edge; border: none; border-radius: 4px; }
QProgressBar::chunk { background: @ink; border-radius: 4px; }
QPushButton:default, QPushButton[act="true"], QPushButton[first="true"] { background: @ink; color: @onink; border: 1px solid @ink; }
QPushButton[act="true"] { text-align: left; padding: 6px 10px; font-size: 13px; }
QPushButton[act="true"]:focus, QPushButton[first="true"]:focus { border: 2px solid @chosen; }
QPushButton[plain="true"] { background: transparent; border: 1px solid transparent; padding: 4px 8px; }
QPushButton[plain="true"]:hover { border-color: @edge; }
QPushButton[plain="true"]:focus { border: 1px solid @chosen; }
QPushButton:disabled { color: @soft; border-color: @edge; }
QScrollArea { border: none; background: transparent; }
QScrollBar:vertical { background: transparent; width: 9px; margin: 0; }
QScrollBar::handle:vertical { background: @edge; border-radius: 4px; min-height: 24px; }
QScrollBar:horizontal { background: transparent; height: 9px; margin: 0; }
QScrollBar::handle:horizontal { background: @edge; border-radius: 4px; min-width: 24px; }
QScrollBar::add-line, QScrollBar::sub-line { width: 0; height: 0; }
QScrollBar::add-page, QScrollBar::sub-page { background: transparent; }
QListView { background: transparent; border: none; outline: none; }
QListView::indicator { width: 12px; height: 12px; border: 1px solid @soft; border-radius: 3px; background: @field; }
QListView::indicator:checked { background: @ink; border-color: @ink; }
QListView::indicator:focus, QListView::indicator:hover { border-color: @chosen; }
QToolTip { background: @field; color: @ink; border: 1px solid @edge; padding: 4px; }
QSplitter::handle { background: @edge; }
)";
    const std::pair<const char*, QColor> names[] = {
        {"@panel", l.panel}, {"@edge", l.panelEdge}, {"@field", l.field},   {"@onink", l.onInk},
        {"@ink", l.ink},     {"@soft", l.soft},      {"@chosen", l.chosen}, {"@tight", l.tight}};
    for (const auto& [name, colour] : names)
        s.replace(QString::fromLatin1(name), c(colour));
    return s;
}

QString capitalised(const std::string& words) {
    const auto all = QString::fromStdString(words);
    return all.left(1).toUpper() + all.mid(1);
}

void openAt(QWidget& w, QSize size) {
    // A screen that is none (tests, pictures) bounds nothing.
    if (QGuiApplication::platformName() != "offscreen")
        size = size.boundedTo(w.screen()->availableSize());
    w.resize(size);
}

} // namespace mezzet::app
