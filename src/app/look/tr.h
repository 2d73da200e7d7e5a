#pragma once

#include <QCoreApplication>
#include <QString>
#include <QTranslator>

#include <string>

namespace mezzet::app {

/// A text of the window in the language that is spoken, as QObject::tr has it; for what is no
/// QObject. Where nothing is translated, the English text.
[[nodiscard]] QString tr(const char* english);

/// The same for the words of an edit.
[[nodiscard]] std::string inOwnWords(const char* english);

/// Has Qt look its texts up where the core's are; before the first widget.
void installTexts(QCoreApplication&);

} // namespace mezzet::app
