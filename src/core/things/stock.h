#pragma once

#include "scheme/scheme.h"

#include <string_view>
#include <vector>

namespace mezzet {

/// Things that are at hand, alike.
struct StockThing : ThingLooks {
    std::string name;
    KindPtr kind;
    int count = 1;
    Size size; ///< as one of them stands: a book's width is its thickness

    bool operator==(const StockThing&) const = default;
};
using Stock = std::vector<StockThing>;

inline constexpr std::size_t mostStock = 2000; ///< entries
inline constexpr int mostOfOne = 500;          ///< alike

/// What each of them is called: "Brass bowl", or "Cream book 1" to "Cream book 12".
[[nodiscard]] std::vector<std::string> namesOf(const StockThing&);
/// One of them as a piece, with no place yet.
[[nodiscard]] Piece pieceOf(const StockThing&, std::string name);

/// An entry by its name, in any case; null for none.
[[nodiscard]] const StockThing* inStock(const Stock&, std::string_view name);
/// The stock with an entry more, or one of that name replaced.
[[nodiscard]] Stock withThing(Stock, StockThing);
/// The same of many.
[[nodiscard]] Stock withThings(Stock, const Stock& more);
/// How many of an entry are placed in a scheme.
[[nodiscard]] int placedOf(const StockThing&, const Scheme&);
/// The names of those that are not.
[[nodiscard]] std::vector<std::string> leftOver(const Stock&, const Scheme&);
/// The same in short: "9 of cream book (32 to 40)".
[[nodiscard]] std::vector<std::string> leftOverInShort(const Stock&, const Scheme&);

/// The stock as CSV (RFC 4180):
/// name,kind,count,width_in,depth_in,height_in,colour,colour2,material, finish,weight_lb; or _mm
/// and _kg.
[[nodiscard]] std::string stockAsCsv(const Stock&, bool metric);
/// Reads such a table. The columns come in any order; `colour`, `material`, `colour2`, `finish`,
/// `count`, `kind` and the weight may be left out; without a kind the name tells it ("Brass bowl"
/// is a bowl). Problem: line, column, and what was found; nothing half-read is returned.
[[nodiscard]] Result<Stock> stockFromCsv(std::string_view text, std::string_view file, const Kit&);

// ---- how a piece looks ----

/// The colour that is seen: what was told, else its kind's; of a book its cloth when its jacket is
/// off, its pages when its spine is turned in. Nothing for a piece of whose colour nothing is told.
[[nodiscard]] std::optional<Rgb> colourOf(const Piece&);
[[nodiscard]] std::string_view materialOf(const Piece&);
[[nodiscard]] std::string_view finishOf(const Piece&);
/// As told, else by its size and its kind's weight for its size.
[[nodiscard]] double kilogramsOf(const Piece&);
[[nodiscard]] Lies liesOf(const Piece&);

/// The size of a book or the like turned from standing to lying, and back: its spine, or its front,
/// stays toward the eye.
[[nodiscard]] Size turnedOver(const Size&);

/// What lies in a box, side by side and on top of each other, each thing turned as one likes: how
/// much of the box's height it takes, laid in layers by the largest first; over 1 when it doesn't
/// fit.
[[nodiscard]] double filledBy(const Size& box, const std::vector<HeldThing>&);

} // namespace mezzet
