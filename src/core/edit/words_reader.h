#pragma once

#include "edit/edit.h"
#include "measure/mass.h"
#include "scheme/tie_kind.h"

#include <initializer_list>
#include <map>
#include <optional>
#include <set>
#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// A fault in a line; lives only between the readers of this folder and readLine.
struct LineFault {
    Problem problem;
};

/// Of which pieces a clause can be said.
enum class SaidOf : unsigned {
    floor = 1,   ///< what stands on the floor
    ceiling = 2, ///< what hangs from the ceiling
    wall = 4,    ///< what hangs on a wall
    board = 8,   ///< what stands on a top or in an opening, or may
    rug = 16     ///< what lies flat on the floor
};
[[nodiscard]] Flags<SaidOf> saidOf(const Kind&);

/// Between words, within a line.
[[nodiscard]] constexpr bool isBlank(char c) {
    return c == ' ' || c == '\t';
}
/// What no word goes on over.
[[nodiscard]] constexpr bool endsWord(char c) {
    return isBlank(c) || c == ',' || c == ';';
}

/// Reads a line word by word, keeping what it could have taken at each place, for completion and
/// for pointing at the word it couldn't take.
class WordsReader {
public:
    /// `them`: what "it", "them" and "both" speak of.
    WordsReader(std::string_view text, const Project& job, std::vector<int> them = {})
        : text_(text), job_(job), them_(std::move(them)) {
        std::erase_if(them_, [&](int id) { return job.scheme().byId(id) == nullptr; });
    }

    [[nodiscard]] const Project& job() const { return job_; }
    [[nodiscard]] const Scheme& scheme() const { return job_.scheme(); }
    [[nodiscard]] const std::vector<int>& them() const { return them_; }
    /// What “it” is after "six chairs around it": the one piece that all of several, spoken of
    /// last, stand at; 0 for none. Of what hangs over furniture “it” could be either.
    [[nodiscard]] int whatTheyAreAt() const;
    /// What the one thing spoken of stands on, where the line before "it" says "at the end of": a
    /// lamp has none; 0 else.
    [[nodiscard]] int whatCarriesThem(std::string_view before) const;
    /// The group that was spoken of with all that is in it; 0 for anything else.
    [[nodiscard]] int theirGroup() const;
    /// Which wall "the wall" is: the one behind what is spoken of.
    void ownWall(std::optional<int> wall) { ownWall_ = wall; }
    /// Which corner "the corner" is: the nearer of its wall's.
    void ownCorner(std::optional<Target> corner) { ownCorner_ = corner; }
    /// Which window "the window" is: one that what is spoken of is tied to.
    void ownTies(const std::vector<Tie>&);
    /// A step that is said without a figure goes a little way: "nudge it left".
    void slightly() { slightly_ = true; }
    /// The line takes something elsewhere, so that “20 away from” is a step; of one that only says
    /// where a thing stands it is how far off that is.
    void moves(bool is = true) { moves_ = is; }
    [[nodiscard]] bool isMoved() const { return moves_; }
    [[nodiscard]] Length usualStep() const;
    [[nodiscard]] bool done();
    /// Where the next word begins.
    [[nodiscard]] std::size_t at() {
        skip();
        return at_;
    }
    void goTo(std::size_t at) { at_ = at; }
    [[nodiscard]] std::string_view rest();

    /// The word ahead, lower case; "" at the end or before a comma.
    [[nodiscard]] std::string ahead();
    std::string word();
    bool comma();
    /// Takes one of several words or phrases ("in front of"); the longest should come first.
    bool take(std::initializer_list<std::string_view> phrases);
    /// Where such words end that stand ahead; 0 when they don't. Nothing is taken or offered.
    [[nodiscard]] std::size_t endOf(std::string_view phrase);
    /// Takes "the", "a", "an", "my".
    void article();

    [[nodiscard]] bool lengthAhead();
    Length length(std::string_view what);
    double number(std::string_view what);
    /// "6", "six": a whole number up to 10000. False, and nothing taken, for none.
    bool takeCount(int& n);
    /// "six chairs", "a chair". False, and nothing taken, for none.
    bool takeChairs(int& n);
    /// "24 lb", "11 kg".
    Mass mass(std::string_view what);
    /// "84 x 36 x 34": one to three lengths.
    /// One figure that begins a clause about such pieces, like "16 from", is none. `measured`: the
    /// word after them, "high".
    std::vector<Length> sizes(Flags<SaidOf> of, std::string_view* measured = nullptr);
    /// Text up to a comma, or to words that begin a clause about such pieces; or whatever stands in
    /// quotes.
    std::string name(Flags<SaidOf> of = {SaidOf::floor, SaidOf::ceiling, SaidOf::wall,
                                         SaidOf::board, SaidOf::rug});

    /// The text before " is " or ":", and past that. Faults with `what` when there is none.
    std::string nameBeforeIs(std::string what, std::string remedy);

    /// A piece by name, by the beginning of its name, or by its kind when there is only one; the
    /// left or the right one of several. 0 when there is none; faults when several could be meant.
    int piece();
    /// "the chairs", "both armchairs", "all lamps", "them": all of them where it is said of
    /// several; none, and nothing read, otherwise.
    std::vector<int> pieces();
    KindPtr kind();
    Target target(bool pieces = true);
    /// Wall and corner names, as in "corner BC", "corner B C".
    Target corner();

    [[nodiscard]] std::string_view text() const { return text_; }
    /// True where a piece's whole name stands.
    [[nodiscard]] bool nameAhead() { return nameEnd() > 0; }
    /// Where the longest name of a piece ends that stands ahead; 0 for none.
    [[nodiscard]] std::size_t nameEnd() { return longestName().end; }
    /// What was said from there up to here, without the blanks around it.
    [[nodiscard]] std::string_view since(std::size_t from);
    /// Faults where a kind's name stands ahead, of which there is no piece.
    void noneYet();
    /// The same of what is named behind a place in the line, where no piece is of that kind.
    void noneYet(std::size_t behind);
    /// Faults where anything but "please" is left.
    void nothingMore();

    /// The candidates tried at a place, for completion.
    void offer(std::string_view word);
    /// Every piece's name.
    void offerPieces();
    [[nodiscard]] std::vector<std::string> offered(std::size_t at) const;

    /// A refusal of the whole, which points at what was said.
    [[noreturn]] static void refuse(Problem, std::size_t from);
    [[noreturn]] void fail(std::size_t at, std::size_t bytes, std::string what,
                           std::string remedy) const;
    /// The same, of what could be one of several.
    [[noreturn]] void failWhich(std::size_t at, std::size_t bytes, std::string what,
                                std::string remedy) const;
    /// Points at the word ahead and names the nearest thing it could have been.
    [[noreturn]] void failAhead(std::string what, std::string remedy = {});
    /// The same of words that are not known.
    [[noreturn]] void unknownAhead(std::string what, std::string remedy = {});

private:
    struct Match {
        std::size_t end = 0;
        std::vector<int> ids;
    };
    /// A piece's name and its kind's, in plain words.
    struct PlainNames {
        std::string own;
        std::string kind;
    };
    void skip();
    /// Of the scheme's pieces, in their order; made when they are first asked for.
    [[nodiscard]] const std::vector<PlainNames>& plainNames();
    [[nodiscard]] Match longestName();
    /// The pieces that the longest words from here may mean, by kind or by a part of their names.
    /// With a figure at its end unless it is of several, where the figure is of something else.
    [[nodiscard]] Match meantHere(bool several = false);
    /// Faults where a name was said of several: "the nightstands" is no one of them.
    /// Whether a kind's name stands from there on.
    [[nodiscard]] bool isOfKind(std::size_t from);
    /// Faults where openings of a kind, said as several from `start`, are in more than one wall;
    /// goes back there where they are not.
    void whichWallOf(OpeningKind, std::size_t start);
    /// Faults at a noun that there is nothing of.
    [[noreturn]] void failNone(std::size_t at, std::size_t bytes, std::string noun) const;
    void isOne(const Match&, std::size_t start) const;
    /// "second": 2, "last": -1; 0, and nothing taken, for none.
    int orderSaid();
    Target wall(std::size_t start);
    /// "the closet", "the bathroom door", "the door to the hall": by where it leads, as the notes
    /// have it; none, and nothing taken, where none does.
    std::optional<Target> openingByWhere(std::size_t start);
    /// "the french doors", "the bifolds": by what sort of door it is; none, and nothing taken, where
    /// none is of that sort.
    std::optional<Target> doorByStyle(std::size_t start);
    /// "the kitchen": the only opening that leads to it; none, and nothing taken, for another.
    std::optional<Target> openingTo();
    Target numbered(OpeningKind, Target::Is, const char* what, std::size_t start);
    std::optional<Target> whichOpening(std::size_t start);
    std::optional<int> ofWall();
    [[nodiscard]] bool sidesAhead();
    /// The number of the only opening of a kind in the wall of what is spoken of; 0 for none.
    [[nodiscard]] int inOwnWall(OpeningKind) const;

    std::string_view text_;
    const Project& job_;
    std::vector<int> them_;
    std::optional<int> ownWall_;
    std::optional<Target> ownCorner_;
    std::vector<Target> ownOpenings_; ///< what is spoken of is tied to these
    bool slightly_ = false;
    bool moves_ = false;
    std::size_t at_ = 0;
    std::map<std::size_t, std::vector<std::string>> offers_;
    std::set<std::size_t> piecesOffered_; ///< where all pieces are among them
    std::set<std::size_t> kindsOffered_;  ///< where all kinds are among them
    std::vector<PlainNames> plainNames_;
};

/// The unit step straight to something: square to a wall, else along the shortest gap; out of a
/// door's swing for a door.
[[nodiscard]] Vec2 wayTo(const Target&, const Placed& from, const Scene&);

/// The ties said from here to the end of the line, and what else is said on the way.
struct Placement {
    std::vector<Tie> ties;
    std::optional<Vec2> step;         ///< "left 6", "6 toward wall A", on the floor
    Heights heights;                  ///< "seat 17", "top 20"
    std::optional<bool> finishedBack; ///< "finished back", "bare back"
    std::optional<double> cost;       ///< "costs 1200"
    std::optional<Length> apart;      ///< "2 apart", of several
    std::optional<int> chairs;        ///< "with six chairs", of a table
    std::optional<UnitTold> unit;     ///< of a unit with shelves: "5 shelves"
    std::optional<RugWork> rug;      ///< of a rug: all that is told of it, what was said before too
    std::vector<Vec2> corners;       ///< of a rug: its outline, in the room; mm
    std::optional<Length> thickness; ///< of a rug, without its pad
    std::optional<Length> rounded;   ///< of a rug: the radius of its corners
    std::size_t apartAt = 0;         ///< where that stands in the line
    std::optional<std::string> reason;  ///< "because it faces the fire"; to the end of the line
    std::optional<SurfaceId> on;        ///< "on console", "in opening 2 of bookcase"
    std::optional<int> wall;            ///< on a wall: which one; none when nothing tells
    std::optional<Hanging> hanging;     ///< on a wall: how it is held, when that is said
    std::optional<std::string> picture; ///< "showing harbour": a picture of the job
    std::string name;                   ///< "called supper table"
    std::size_t nameAt = 0;             ///< where that stands in the line
};
/// Whether clauses follow, or first what it is centred on: "centre sofa | on wall A".
enum class Begins { clauses, centred };
/// What a piece is told by the clauses from here to the end of the line (edit/phrase.h). What hangs
/// goes on the wall `lookedAt` when nothing said tells another.
[[nodiscard]] Placement readPlacement(WordsReader&, const Piece& subject, const Scene&,
                                      SurfaceId lookedAt, Begins how = Begins::clauses);

/// A line that makes, changes or takes apart a group on a wall, or hangs a whole wall; empty when
/// this is none, and nothing is taken.
[[nodiscard]] std::optional<Edit> readGrouping(WordsReader&, const Scene&, int selected);

/// The chairs at the ends of tables that are longer than they are wide.
[[nodiscard]] std::vector<int> endChairs(const Scheme&);

/// Faults: no piece is called what stands ahead, up to the next phrase or figure.
[[noreturn]] void noSuchPiece(WordsReader&);
/// A piece that must be there, by name; "it" is the selected one.
[[nodiscard]] int readSubject(WordsReader&, int selected);
/// Several: "sofa, rug and lamp", or "all dining chairs".
[[nodiscard]] std::vector<int> readSubjects(WordsReader&, int selected);

/// A line about how several pieces stand to each other, a table and its chairs, or what is put away
/// for the other arrangement; empty when this is none, and nothing is taken.
[[nodiscard]] std::optional<Edit> readArranging(WordsReader&, const Scene&, int selected);

/// A line that speaks of the job and not of a piece; empty when this is none, and nothing is taken.
[[nodiscard]] std::optional<Edit> readSetting(WordsReader&);
/// A line that speaks of light: zones, scenes, switches, files; empty when this is none, and
/// nothing is taken.
[[nodiscard]] std::optional<Edit> readLighting(WordsReader&);

} // namespace mezzet
