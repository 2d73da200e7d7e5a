#pragma once

#include "colour/colour.h"
#include "kit/kind.h"

#include <optional>
#include <string>
#include <vector>

namespace mezzet {

/// How a thing is on its board. Its size is always told as it stands now: of a book that lies, its
/// width is what its height was.
enum class Lies { standing, lying, leaning };

/// Something a box is to hold.
struct HeldThing {
    std::string name;
    int count = 1;
    Size size;

    bool operator==(const HeldThing&) const = default;
};

/// How a thing looks and what it weighs, where that is told and not as its kind has it.
struct ThingLooks {
    std::optional<Rgb> colour;
    std::optional<Rgb> colour2; ///< of a book the cloth under its jacket
    std::string material;       ///< empty for its kind's own
    std::string finish;
    std::optional<double> kilograms;

    bool operator==(const ThingLooks&) const = default;
};

/// What is told of a thing that stands on a shelf or a table, beside its kind; of any piece its
/// colour.
struct ThingTold : ThingLooks {
    Lies lies = Lies::standing;
    bool jacketOff = false;  ///< of a book: its second colour is seen
    bool spineIn = false;    ///< of a book: its pages are seen
    bool papered = false;    ///< of a book: covered in paper
    bool coverShows = false; ///< on top of a stack, and the point of it
    std::string stock;       ///< the entry of the stock it is one of; empty for none
    std::vector<HeldThing> holds;

    bool operator==(const ThingTold&) const = default;
};

/// The openings of one unit when they are not as its kind has them.
struct UnitTold {
    std::vector<Length> high; ///< the clear height of each row, from the top; all alike when empty
    int rows = 0;             ///< when they are all alike; 0 as the kind has them
    int across = 0;           ///< how many side by side; 0 as the kind has them
    std::optional<Length> board; ///< how thick boards and uprights are
    Length pins;                 ///< the step of the pins its boards rest on; nothing when fixed

    bool operator==(const UnitTold&) const = default;
};

} // namespace mezzet
