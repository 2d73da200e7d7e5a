#pragma once

#include "edit/phrase.h"

namespace mezzet {

/// After "leaned on": furniture, the floor, or a wall, its foot on the floor then.
bool leaned(Placing&);
/// "leaning", of what hangs where else it is said: its foot on the floor there.
bool leanedThere(Placing&);
/// After "in front of": it leans before what leans there, on the same board, and aside, so that
/// about a quarter of that is hidden.
bool leansBefore(Placing&);

} // namespace mezzet
