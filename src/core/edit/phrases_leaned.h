#pragma once

#include "edit/phrase.h"

namespace mezzet {

/// After "leaned on": furniture, the floor, or a wall, its foot on the floor then.
bool leaned(Placing&);
/// After "in front of": it leans before what leans there, on the same board, and aside, so that
/// about a quarter of that is hidden.
bool leansBefore(Placing&);

} // namespace mezzet
