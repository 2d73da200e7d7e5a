#pragma once

#include "edit/words_reader.h"

#include <optional>
#include <string>

namespace mezzet {

/// "either side of", "at each end of": takes it. False where no such words stand.
bool takeSides(WordsReader&);

/// "chairs around": as many as a table has room for. False, and nothing taken, for all else.
bool takeChairsAround(WordsReader&);

/// "six chairs around the table", from the table on: of a kind, or of the one that is usual there;
/// none said is as many as there is room for. Throws LineFault, pointing from `at`.
[[nodiscard]] Edit chairsAround(WordsReader&, const Project&, const KindPtr&, int said,
                                std::size_t at);

/// Whether a line names a side of what it speaks of: "behind the island".
[[nodiscard]] bool saysSide(std::string_view line);

/// ", 12 from it", ", gap 12", ", 12 away": how far each of two is beside what is between them.
/// Takes a comma before it, and nothing else where no such thing is said. Throws LineFault.
[[nodiscard]] std::optional<Length> asideSaid(WordsReader&);

/// Reads where one of several goes; a fault in what was said of each (`said`: where it stands in
/// the whole line, and how many bytes it has) points there. Throws LineFault.
struct SaidOfEach {
    std::size_t at = 0;
    std::size_t bytes = 0;
};
[[nodiscard]] Placement oneOfEach(const WordsReader& whole, const SaidOfEach& said,
                                  const std::string& line, const Project&, const Piece&,
                                  const Scene&, SurfaceId lookedAt);

/// The clauses of what hangs beside something in a wall: so far from it, or in the middle of the
/// free wall up to the next thing on that side. Empty where nothing comes next.
[[nodiscard]] std::string besideOnWall(const Target&, int wall, Side, std::optional<Length> aside,
                                       const Scene&, const Project&);

/// What such clauses say of one that hangs so; nothing for none. Throws LineFault, pointing from
/// `at` in the line that is read.
[[nodiscard]] Placement hungBeside(WordsReader&, const Piece&, const Scene&, SurfaceId lookedAt,
                                   const std::string& clauses, std::size_t at);

/// Two of a kind on a top, one near each end of it.
struct OnBothEnds {
    KindPtr kind; ///< of lamps, the kind that stands on tops
    std::vector<Placement> places;
};
/// After "at each end of" a thing (`words`, of what it is said): on it, where it has a top that
/// they can stand on and nothing more is said. Nothing for all else.
[[nodiscard]] std::optional<OnBothEnds> onBothEnds(WordsReader&, const KindPtr& of,
                                                   const Target& on, std::string_view words);

} // namespace mezzet
