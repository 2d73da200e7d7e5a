#pragma once

#include "edit/words_reader.h"
#include "scheme/resolve.h"

namespace mezzet {

enum class Along { unsaid, left, right, middle };
enum class Depth { unsaid, back, front, middle };

/// Where the line says they go.
struct WhereSaid {
    std::optional<SurfaceId> on;
    Along along = Along::unsaid;
    Depth depth = Depth::unsaid;
    std::optional<Length> fromLeft, fromRight, fromBack, fromFront;
    int beside = 0; ///< a thing
    std::optional<Side> side;
    bool eitherSide = false;
    int between = 0; ///< with `beside`
    std::optional<Length> gap;
    std::optional<Length> forward;    ///< of all
    std::optional<Length> oneForward; ///< of the second of two
    bool newRiser = false;
    bool coverShows = false;
    bool group = false;
    std::optional<Lies> lies;
    bool jacketOff = false, spineIn = false, papered = false;
    std::optional<Rgb> colour;
    std::string name;
};

/// A thing that is there, by its name; of several of one stack the topmost. 0, and nothing read,
/// for none.
[[nodiscard]] int thingHere(WordsReader&);

/// The thing under a thing that stands on the board itself.
[[nodiscard]] int baseUnder(const Scheme&, int thing);

/// Reads where things go, to the end of the line. Throws LineFault.
[[nodiscard]] WhereSaid readWhere(WordsReader&, const Scene&, KindPtr kind = {});

} // namespace mezzet
