#pragma once

#include <filesystem>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "measure/result.h"

namespace mezzet {

/// With a capital first letter, where that is a plain one.
[[nodiscard]] std::string capital(std::string);
/// In small letters, of every alphabet, byte for byte as long as before; the few letters whose
/// small one is written longer stay as they are.
[[nodiscard]] std::string foldCase(std::string_view);
/// Without accents and other marks on letters: how words are compared.
[[nodiscard]] std::string withoutAccents(std::string_view);
/// With a small first letter, to go on in a sentence; A to Z only.
[[nodiscard]] std::string smallFirst(std::string);

/// Without blanks at either end.
[[nodiscard]] std::string_view trimmed(std::string_view);

/// How many characters (not bytes) a UTF-8 text has. Bytes that are no UTF-8 count one each.
[[nodiscard]] std::size_t characterCount(std::string_view);

/// True when the bytes are well-formed UTF-8 without the zero character.
[[nodiscard]] bool isText(std::string_view);

/// How many letters must change to make one word of the other (Levenshtein's distance).
[[nodiscard]] int editDistance(std::string_view, std::string_view);

/// The known word nearest to what was typed, if any is near enough to be what was meant.
[[nodiscard]] std::optional<std::string> nearestWord(std::string_view typed,
                                                     const std::vector<std::string>& known);

/// "a, b and c"; with an empty last word "a, b, c".
[[nodiscard]] std::string listed(const std::vector<std::string>&, std::string_view last = "and");

/// A name without what is not seen: control characters, line breaks, marks that turn the writing
/// about, characters of no width; and with single blanks. It may come out empty.
[[nodiscard]] std::string tidyName(std::string_view);

/// A text as one line that does nothing to a terminal or a list: what is not seen stands as “·”.
[[nodiscard]] std::string shownPlainly(std::string_view);

/// Where the kit, the rule book and the demo are: $MEZZET_DATA, else ../share/mezzet beside the
/// program, else the source tree it was built from.
[[nodiscard]] std::filesystem::path dataFolder();

} // namespace mezzet
