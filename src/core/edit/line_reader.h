#pragma once

#include "edit/edit.h"
#include "edit/verb.h"
#include "edit/words_reader.h"

#include <functional>

namespace mezzet {

/// Reads one line about pieces: a verb and what it is done to, or a piece and where it goes.
class LineReader {
public:
    LineReader(std::string_view text, const Project& job, ScenePtr scene, std::vector<int> them,
               SurfaceId surface);

    WordsReader in;
    std::vector<std::string> notices; ///< how something was taken that could be meant otherwise

    /// Throws LineFault.
    Edit read();

    static const std::vector<Verb<LineReader>>& verbs();

private:
    // ---- what is done to pieces (piece_verbs.cpp) ----
    Edit move();
    Edit keep();
    Edit nudge();
    Edit turn();
    Edit face();
    Edit size();
    Edit raise() { return up(1); }
    Edit lower() { return up(-1); }
    Edit centre();
    Edit leave();
    Edit swap();
    Edit replace();
    Edit use();
    Edit rename();
    Edit copy();
    Edit edge();
    Edit remove();
    Edit lockThem() { return lock(true); }
    Edit unlockThem() { return lock(false); }
    Edit free();

    Edit up(double way);
    Edit lock(bool on);
    Edit asKind(int id);
    void readSizesOf(Piece&);
    bool biggerOrSmaller(Piece&);
    bool asRound(Piece&);
    bool asHanded(Piece&);
    std::optional<int> otherKindAhead(int id);
    Edit levelOf();
    Edit widen() { return lengthen(1); }
    Edit shorten() { return lengthen(-1); }
    Edit lengthen(double way);

    // ---- a piece and where it goes (line_reader.cpp) ----
    /// "sofa 84 x 36 x 34 against wall C": a new piece, or one that is there.
    Edit put(bool fresh);
    /// The rest of the line: where the piece goes.
    Edit place(Piece, std::size_t start);
    /// "pull the chairs out": those of them that are drawn up to a table or desk; all for a line
    /// (from there) of something else, and where none is.
    std::vector<int> drawnUp(const std::vector<int>& ids, std::size_t at) const;
    /// The same of several, one after the other. `words` is what it is called.
    Edit placeEach(const std::vector<int>& ids, std::size_t at, std::string words);
    /// Each where it is told, free of its ties to the others.
    Edit together(std::vector<std::pair<Piece, Placement>> all, std::size_t at, std::string words);
    /// With a group in place of all that is in it: what is moved goes as one.
    [[nodiscard]] std::vector<int> wholes(const std::vector<int>& ids) const;
    Edit retie(const Piece&, const Tie&, std::size_t start);
    Edit retieEach(const std::vector<int>& ids, const Tie&, std::size_t start, std::string words);
    /// Does the same to several, each in the job the one before leaves.
    Edit each(const std::vector<int>& ids, const std::function<Edit(LineReader&, int)>&,
              std::string words);
    bool opening();
    bool oneOf();
    KindPtr kindFor();
    void whichKind();
    /// The kind that is meant by a word of several: "a chair"; null, and nothing taken, for none.
    KindPtr usualKind();
    int spokenOf(std::size_t start);
    bool isTheSizedOne();
    std::string nameOfMore(std::size_t start);
    void howMany(const Kind&, std::size_t start);
    bool isTheOnlyBed(int id, std::size_t start);
    [[nodiscard]] bool isTheOnlyLarge(int id) const;
    [[nodiscard]] bool isTheOnlyOne(const Piece&) const;
    bool isTheOnlySized(int id, std::size_t from);
    bool startsPiece(std::size_t start);
    [[nodiscard]] bool isOneOfMany(int id) const;
    bool isOtherOfPair(int id, std::size_t start);
    bool callIt(Piece&, bool isNew);
    void checkName(const std::string&, int id, std::size_t at);
    /// The words from here up to something known, for a message.
    std::string firstWords();

    int subject() { return readSubject(in, selected_); }
    std::vector<int> subjects() { return readSubjects(in, selected_); }
    const Piece& pieceOf(int id) const { return *in.scheme().byId(id); }
    Piece placedPiece(int id) const;
    /// Points at what was said from there, unless it is done.
    Edit done(Result<Edit>, std::size_t at);

    const Project& job_;
    ScenePtr scene_;
    int selected_;
    SurfaceId surface_; ///< the one looked at
};

} // namespace mezzet
