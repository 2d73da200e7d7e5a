#pragma once

#include "sheets/look.h"

#include <QApplication>
#include <QWidget>

namespace mezzet::app {

/// The theme in use; every widget paints from it.
[[nodiscard]] const sheets::Look& look();
/// Takes a theme for the whole program.
void useTheme(bool night);
[[nodiscard]] QString styleSheet(const sheets::Look&);
/// A name on a button or in a menu, where & would make the next letter a key.
[[nodiscard]] inline QString plainButton(QString words) {
    return words.replace('&', "&&");
}

/// Gives a window a size, within the screen that there is.
void openAt(QWidget&, QSize);

/// Words as they begin a heading.
[[nodiscard]] QString capitalised(const std::string& words);

} // namespace mezzet::app
