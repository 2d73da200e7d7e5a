#pragma once

#include "measure/result.h"

#include <fmt/format.h>

#include <functional>
#include <string>
#include <string_view>

namespace mezzet {

// Every sentence of the program goes through here on its way out. Its key is the English text, with
// {} where something is put in; lengths, masses and areas are put in as the notation writes them
// and never stand in the text itself. What a line can say back ("16 from sofa") is no sentence: it
// is the language of the line.

/// A text in the language the program speaks; the English one where there is no other.
[[nodiscard]] std::string_view told(std::string_view english);

/// Whether no other language was taken than English.
[[nodiscard]] bool speaksEnglish();

/// A title that goes on behind another word: small in English, as it is in other languages, whose
/// nouns may be written large.
[[nodiscard]] std::string goingOn(std::string title);

/// Takes other texts, English to its own; empty takes them away again. Asked before anything is
/// said, and not while something is. An answer that is empty stands for the English text; the views
/// must stay good.
using Speaking = std::function<std::string_view(std::string_view english)>;
void speak(Speaking);

/// A language from a JSON object, English text by its own. Problem: no such object, or a text whose
/// {} are not those of the English one; with its name.
[[nodiscard]] Result<Speaking> readTexts(std::string_view json, std::string_view file);

/// Of a language's own file: what its decimal mark is.
inline constexpr std::string_view decimalMarkKey = "the decimal mark";

/// Of the same: the folder under the handbook that has its pages in that language.
inline constexpr std::string_view handbookKey = "the handbook's folder";

/// The handbook's folder of the language that is spoken, by its own file; empty for English, and
/// when what the file says is no plain name.
[[nodiscard]] std::string ownHandbook();

/// What stands between a number's whole and its decimals in sentences: '.' or ','. Files and JSON
/// have '.' always. Said once, at the start, as the locale has it.
[[nodiscard]] char decimalMark();
void useDecimalMark(char);
/// A number as written by a program, with the decimal mark in place of its '.'.
[[nodiscard]] std::string decimals(std::string number);

/// A sentence with things put in.
template <class... A>
[[nodiscard]] std::string worded(fmt::format_string<A...> english, A&&... in) {
    const fmt::string_view key = english;
    return fmt::vformat(told({key.data(), key.size()}), fmt::make_format_args(in...));
}

} // namespace mezzet
