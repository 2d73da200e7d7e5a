#pragma once

#include "edit/words_reader.h"
#include "things/stock.h"

namespace mezzet {

/// A thing as it is described: "12 cream books 9 x 6 x 1", "stack of 5 blue books".
struct Described {
    enum class Form { one, several, stack, pair };
    Form form = Form::one;
    int count = 1;
    std::string name; ///< its words, without how many
    KindPtr kind;
    const StockThing* stock = nullptr; ///< the entry of the stock that is meant; null for none
    std::optional<Rgb> colour;
    std::string material;
    std::string finish;
    std::optional<Size> size;
    std::optional<Lies> lies;
};

/// Reads such words up to the end of the noun and the figures after it; empty, and nothing read,
/// when no kind of thing is named. `anyWords`: others may stand before the noun ("seaside print").
/// Throws LineFault for sizes that can't be.
[[nodiscard]] std::optional<Described> readDescribed(WordsReader&, bool anyWords = false);

/// "9 x 6 x 1", "10 dia x 5" as the sizes of such a thing: height, depth and thickness of a book,
/// width and height of what is flat, width, depth and height of the rest; what is not said keeps
/// its kind's proportion. Empty, and nothing read, when no figures stand here.
[[nodiscard]] std::optional<Size> readThingSize(WordsReader&, const Kind&, const Size& usual);

/// Sizes without a kind: "7 x 2 x 1" as width, depth and height; one that is not said is 1/2 in.
[[nodiscard]] std::optional<Size> readBareSize(WordsReader&);

/// The name of one of several: "cream books" is "cream book".
[[nodiscard]] std::string oneOf(std::string name, const Kind&);

/// "brass", "oak": a material that things are of; nothing taken otherwise.
[[nodiscard]] std::string takeMaterial(WordsReader&);
/// "matt", "shiny": how it is finished; nothing taken otherwise.
[[nodiscard]] std::string takeFinish(WordsReader&);
/// A colour word or "#rrggbb"; nothing taken otherwise.
[[nodiscard]] std::optional<Rgb> takeColour(WordsReader&);

} // namespace mezzet
