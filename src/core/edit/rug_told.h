#pragma once

#include "edit/words_reader.h"

namespace mezzet {

/// Tells a rug what was said of it: its outline, its edges, its pile, what it lies on. True when
/// that says where it lies, so that nothing else is to place it. Problem: an outline that can't be,
/// an edge it has not, stairs that are not there, a place said twice.
[[nodiscard]] Result<bool> tellOfRug(const Project&, Piece&, const Placement& said,
                                     std::vector<std::string>& notices);

/// "2", "1 and 3": edges by number; none where none stands there.
[[nodiscard]] std::vector<int> readEdges(WordsReader&);
/// "in leather tape 3": how those edges are finished; of none, all of them. Throws LineFault.
void readFinish(WordsReader&, RugWork&, const std::vector<int>& edges);

/// What is told otherwise of a rug than before, in words: its edges, its pad, its pile.
[[nodiscard]] std::vector<std::string> rugToldWords(const Piece& before, const Piece& now,
                                                    const Project&);

/// Cuts anew what is cut to its room, after the room has changed.
void recut(Project&, std::vector<std::string>& notices);

/// A rug that is moved by hand keeps its outline, and follows its room no longer. Said of a piece
/// that takes the place of another; what is told, or nothing.
[[nodiscard]] std::string lostFit(const Piece& before, Piece& now);

} // namespace mezzet
