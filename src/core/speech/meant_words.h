#pragma once

#include "project/project.h"
#include "speech/saying.h"

#include <initializer_list>
#include <regex>
#include <string>
#include <string_view>
#include <utility>
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
/// Pieces that are named, each once, and a whole length behind them.
struct NamedAndFigure {
    std::vector<const Piece*> pieces;
    std::string figure;
};
/// "the pictures 5 cm", "picture 2 and picture 3 5 cm": a name may end in a figure too. None where
/// words can't be parted so.
[[nodiscard]] std::optional<NamedAndFigure> namedAndFigure(const std::string& words,
                                                           const Project&);
/// What words name, alone: a piece where `pieces`, or what is of the room.
[[nodiscard]] std::optional<Target> targetNamed(const std::string& words, const Project&,
                                                bool pieces = true);

/// The same of several: "window" is what it is alone, and else each of those with a number, by the
/// words that name it.
[[nodiscard]] std::vector<std::pair<std::string, Target>>
targetsNamed(const std::string& words, const Project&, bool pieces = true);

/// The only table people sit in to; null where there is none, or several.
[[nodiscard]] const Piece* onlyDiningTable(const Project&);

/// A piece on the floor, and where it stands; false for none.
struct Stands {
    ScenePtr scene;
    const Piece* piece = nullptr;
    const Placed* there = nullptr;
    explicit operator bool() const { return there != nullptr; }
};
/// The piece that words name, alone, where it stands on the floor.
[[nodiscard]] Stands standsNamed(const std::string& words, const Project&);

/// The pieces that words name, alone, and where each stands on the floor; none where one does not.
struct SeveralStand {
    ScenePtr scene;
    std::vector<std::pair<const Piece*, const Placed*>> all;
};
[[nodiscard]] SeveralStand severalStanding(const std::string& words, const Project&);

/// The piece a line would put, or moves, as it would be then; none for another line.
[[nodiscard]] std::optional<Piece> putBy(const std::string& line, const Project&);
/// The piece a line would stand with its back to a wall; none for what hangs, or lies.
[[nodiscard]] std::optional<Piece> standsAt(const std::string& thing, const Wall&, const Project&);

/// Whether a piece hangs on a wall, or stands at it: what stands out in the room with its back
/// that way is not on it.
[[nodiscard]] bool isAtWall(const Piece&, int wall, const Scene&);

/// The wall that a direction meets squarely, and how far off its face is, mm; null for none.
struct WallToward {
    const Wall* wall = nullptr;
    double off = 1e300;
};
[[nodiscard]] WallToward wallToward(const Room&, Vec2 from, Vec2 way);

/// The only piece that serves as a kind does, and has its place on the same surface; null for none,
/// or several.
[[nodiscard]] const Piece* onlyOneLike(const Kind&, const Project&);
/// The only fireplace or chimney breast; null for none, or several.
[[nodiscard]] const Fixture* onlyBreast(const Room&);

/// "84 x 36 x 34": such a size of a piece, in the order in which its kind is told.
[[nodiscard]] std::string sizesOf(const Piece&, const Size&, const Project&);
/// So many of a kind against a wall, side by side from there on: a line that adds them.
[[nodiscard]] std::string sideBySide(const Kind&, int count, int wall, double from, const Project&);

/// The turn of a piece whose front looks along a direction.
[[nodiscard]] Angle turnToFace(Vec2 direction);

/// One way of meaning: the sentences, put plainly, that a line may stand for are added.
using Meaning = void (*)(const std::string& line, const Project&, std::vector<std::string>& out);
/// Of chairs at their tables, and of the floor kept free about a thing.
[[nodiscard]] std::vector<Meaning> meaningsOfRoom();
[[nodiscard]] std::vector<Meaning> meaningsOfRoomFirst();
/// Of rugs partly under furniture; first, of those whose figures would be taken for sizes.
[[nodiscard]] std::vector<Meaning> meaningsOfRugsFirst();
[[nodiscard]] std::vector<Meaning> meaningsOfRugs();
/// Of what is as large as another thing, or larger.
[[nodiscard]] std::vector<Meaning> meaningsOfSize();
[[nodiscard]] std::vector<Meaning> meaningsOfSizeFirst();
/// Of chairs, benches and rugs at tables.
[[nodiscard]] std::vector<Meaning> meaningsOfTables();
[[nodiscard]] std::vector<Meaning> meaningsOfTablesFirst();
/// Of things on a mantel.
[[nodiscard]] std::vector<Meaning> meaningsOfMantelFirst();
/// Of what is told in another order.
[[nodiscard]] std::vector<Meaning> meaningsOfOrdersFirst();
[[nodiscard]] std::vector<Meaning> meaningsOfOrders();
/// Of what stands in a row.
[[nodiscard]] std::vector<Meaning> meaningsOfSpacing();
/// Of what takes the place of something else.
[[nodiscard]] std::vector<Meaning> meaningsOfInstead();
/// Of lights in rows.
[[nodiscard]] std::vector<Meaning> meaningsOverhead();
/// Of curtains by what they reach over; first, of those that hang.
[[nodiscard]] std::vector<Meaning> meaningsOfCurtains();
[[nodiscard]] std::vector<Meaning> meaningsOfCurtainsFirst();
/// Of walls, windows and corners told by what stands there; first, of small things that have one
/// place to stand.
[[nodiscard]] std::vector<Meaning> meaningsByPieces();
[[nodiscard]] std::vector<Meaning> meaningsByPiecesFirst();
/// Of what stands or hangs by a bay or a bow; first, by its window.
[[nodiscard]] std::vector<Meaning> meaningsOfBaysFirst();
[[nodiscard]] std::vector<Meaning> meaningsOfBays();
/// Of turns and steps told by what is there; first, of what has two meanings.
[[nodiscard]] std::vector<Meaning> meaningsOfTurns();
[[nodiscard]] std::vector<Meaning> meaningsOfTurnsFirst();
/// Of what goes with one thing in the room, on a side of that; tried first.
[[nodiscard]] std::vector<Meaning> meaningsOfHomeFirst();
/// Of several in one line, at the end of a room, as large as there is room.
[[nodiscard]] std::vector<Meaning> meaningsOfSpan();
/// Of where along its wall a thing goes.
[[nodiscard]] std::vector<Meaning> meaningsOfWalls();
/// Of what stands by what hangs, and of what hangs said to be on a top.
[[nodiscard]] std::vector<Meaning> meaningsOfHung();
/// The same of what the line's own words would understand too, but not so well.
[[nodiscard]] std::vector<Meaning> meaningsOfHungFirst();
/// Of the other side of a thing and the other window, and of what stands along one side of a thing.
[[nodiscard]] std::vector<Meaning> meaningsOfTheOther();
/// The same of what the line's own words would understand too, but not so well.
[[nodiscard]] std::vector<Meaning> meaningsOfTheOtherFirst();
/// Of lights so far apart, runners from one way in to another, and seats that stand together.
[[nodiscard]] std::vector<Meaning> meaningsOfRuns();
/// Of alcoves, bays and bows; tried first, since "the alcove" is beside a chimney else.
[[nodiscard]] std::vector<Meaning> meaningsOfRecesses();
/// Of what the line's own words would understand too, but not so well.
[[nodiscard]] std::vector<Meaning> meaningsFirst();
/// Of corners: out of one, and up to one.
[[nodiscard]] std::vector<Meaning> meaningsOfCorners();
/// Of where things go, told by what is there.
[[nodiscard]] std::vector<Meaning> meaningsOfPlace();

} // namespace mezzet
