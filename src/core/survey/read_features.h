#pragma once

#include "survey/note_line.h"

namespace mezzet {

/// One line about something on a wall or in the room, read into it. Each throws a NoteFault.
void readOpening(NoteLine&, NotePlace, const std::string& word, const ThingSaid&, Tool, TapedWall&);
void readFixture(NoteLine&, NotePlace, FixtureKind, Tool, TapedWall&);
void readColumn(NoteLine&, NotePlace, Tool, TapeNotes&);
void readRecess(NoteLine&, NotePlace, RecessKind, Tool, TapedWall&);
void readCurve(NoteLine&, TapedWall&);
void readStuds(NoteLine&, TapedWall&);
void readCeiling(NoteLine&, NotePlace, TapeNotes&);
void readSlope(NoteLine&, NotePlace, TapeNotes&);
void readTray(NoteLine&, TapeNotes&);
void readBeam(NoteLine&, Tool, TapeNotes&);
void readJoists(NoteLine&, TapeNotes&);
void readStep(NoteLine&, Tool, TapeNotes&);

/// Whether all that stands on the walls fits them: nothing past a wall's end or over another
/// opening, no head above the ceiling, no wall named that is not there.
[[nodiscard]] std::optional<Problem> checkNotes(const TapeNotes&);

} // namespace mezzet
