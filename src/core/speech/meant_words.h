#pragma once

#include "project/project.h"

#include <initializer_list>
#include <regex>
#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

// What the meanings of sentences share: src/core/speech/meant*.cpp.

/// Whether a line has any of these words in it, in any case: what a pattern can't do without, asked
/// first, since a line is read at every key.
[[nodiscard]] bool mentions(std::string_view line, std::initializer_list<std::string_view> words);
/// A pattern of words, in any case.
[[nodiscard]] std::regex meaning(const char* words);
/// The first kind that is named anywhere in a text; null for none.
[[nodiscard]] KindPtr nounIn(std::string_view text, const Project&);
/// The piece that words name, alone; none for several, or for something else.
[[nodiscard]] const Piece* pieceNamed(const std::string& words, const Project&);

/// The pieces that words name, alone: "the chairs", "bed and desk"; none where they don't.
[[nodiscard]] std::vector<const Piece*> piecesNamed(const std::string& words, const Project&);
/// What words name, alone: a piece where `pieces`, or what is of the room.
[[nodiscard]] std::optional<Target> targetNamed(const std::string& words, const Project&,
                                                bool pieces = true);

/// Whether a piece hangs on a wall, or stands at it: what stands out in the room with its back
/// that way is not on it.
[[nodiscard]] bool isAtWall(const Piece&, int wall, const Scene&);

/// One way of meaning: the sentences, put plainly, that a line may stand for are added.
using Meaning = void (*)(const std::string& line, const Project&, std::vector<std::string>& out);
/// Of chairs at their tables, and of the floor kept free about a thing.
[[nodiscard]] std::vector<Meaning> meaningsOfRoom();
/// Of what is as large as another thing, or larger.
[[nodiscard]] std::vector<Meaning> meaningsOfSize();
/// Of chairs and benches at tables, lights in rows, curtains.
[[nodiscard]] std::vector<Meaning> meaningsOfTables();
/// Of where things go, told by what is there.
[[nodiscard]] std::vector<Meaning> meaningsOfPlace();

} // namespace mezzet
