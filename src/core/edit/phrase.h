#pragma once

#include "edit/words_reader.h"
#include "scheme/tie_kind.h"

#include <span>

namespace mezzet {

/// What a clause is read into. A phrase's reader finds the words it begins with taken already.
class Placing {
public:
    Placing(WordsReader& words, const Piece& subject, const Scene& scene, SurfaceId lookedAt);

    /// Reads clauses to the end of the line. Throws LineFault.
    Placement read(Begins how = Begins::clauses);

    WordsReader& in;
    const Piece& subject;
    const Scene& scene;
    Placement out;
    std::size_t start = 0; ///< where the clause begins
    std::string_view said; ///< the words it begins with, as the phrase spells them
    Length measured;       ///< the length before the words, of a phrase that has one
    Hanging hanging;       ///< of the subject, with what was said of it
    std::optional<int> saidWall;
    std::optional<int> wall; ///< the one it is on, or said to be

    // ---- for the readers ----

    Tie& add(Tie::Kind);
    /// What is named next.
    [[nodiscard]] Target target(bool pieces = true);
    /// The same, but one of these.
    [[nodiscard]] Target target(const Targets& fine, const char* phrase);
    /// The wall an opening is in; anything else as it is.
    [[nodiscard]] Target toWall(Target) const;
    /// "at 66" of what hangs from the ceiling: how high its underside is. Faults for what stands,
    /// whose place has two figures.
    bool underside(Length);
    /// "A": a wall by its letter alone, at the end of the clause.
    [[nodiscard]] std::optional<Target> bareWall();
    /// What was named last, which “centred” alone is about.
    [[nodiscard]] const Target& last() const { return last_; }
    /// Points at the whole clause.
    [[noreturn]] void fault(std::string what, std::string remedy);
    /// ", 3 left" after a tie: shifts it. `back` and `on` are the words for less and more.
    void shift(std::size_t tie, std::initializer_list<std::string_view> back,
               std::initializer_list<std::string_view> on);
    /// Centred on what comes next, or on what was named last, and shifted.
    void centred();
    /// True when it is said, or tied, to look at something.
    [[nodiscard]] bool facesSomething() const;
    /// It is beside a piece, and in line with that along its depth unless something else is said.
    /// `forward`: so much further to its front.
    void wantsAlongside(const Target& t, Length forward = {}) {
        alongside_ = t;
        forward_ = forward;
    }
    /// Whether a piece that is there stands before another as it is, however far off.
    [[nodiscard]] bool overlapsAlong(const Target& t) const;
    /// Its back to that wall is only usual, by what it is beside, and gives way to a turn that is
    /// said.
    void usuallyAgainst(const Target& t) { usualWall_ = t; }
    /// A height that is only usual, and gives way to one that is said.
    void usualHeight() { usualHeight_ = out.ties.size() - 1; }
    /// It hangs over a fire whose opening is so high: clear of that, where no height is said.
    void overFire(Length opening) { fireTop_ = opening; }
    /// "a little", after a step.
    void aLittle();
    /// Where what was named last begins.
    [[nodiscard]] std::size_t before() const { return lastAt_; }
    /// The gap it keeps beside a thing when no number is said: the one it has, or `usual`.
    [[nodiscard]] Length standing(Length usual) const;
    /// What a distance from a wall is measured to: lights are told by their middles.
    [[nodiscard]] MeasuredTo usualEnd() const {
        return subject.kind->underCeiling() ? MeasuredTo::centre : MeasuredTo::edge;
    }
    /// The surface it is on now, or was said to be on.
    [[nodiscard]] SurfaceId now() const { return out.on.value_or(subject.on); }
    [[nodiscard]] std::string name() const {
        return subject.name.empty() ? subject.kind->name : subject.name;
    }

private:
    bool clause(const std::vector<const struct Phrase*>& all);
    [[noreturn]] void unknown(bool afterLength);
    void onceOnly();
    void settleSides();
    void settleWall();

    void centredFirst();

    SurfaceId lookedAt_;
    Target last_;
    std::size_t lastAt_ = 0;
    std::optional<Target> alongside_;
    Length forward_; ///< of that
    std::optional<std::size_t> usualHeight_;
    std::optional<Length> fireTop_;
    std::optional<Target> usualWall_;
};

/// What must come after a phrase's words before a name ends there.
enum class Follows {
    anything,
    length,
    number,
    chairs,   ///< how many of them
    place,    ///< any word
    measure,  ///< a length, “with” or “on”
    wall,     ///< a wall's letter
    corner,   ///< a corner's letters
    built,    ///< a wall, or what is built into one
    material, ///< what a shelf can be made of
    pause     ///< a comma, the end, a length or another phrase
};

constexpr Flags<SaidOf> onPlan{SaidOf::floor, SaidOf::ceiling};

/// One clause of the line: what it begins with, of what it is said, and what reads it. A new one is
/// an entry in one of the files phrases_*.cpp.
struct Phrase {
    std::vector<std::string_view> begins; ///< any of these
    bool afterLength = false;             ///< a length comes before the words: "16 from sofa"
    Flags<SaidOf> of;
    /// Reads on. False when it is none of this after all: nothing is taken then.
    bool (*read)(Placing&);
    Follows follows = Follows::anything;
    const char* help;    ///< what it fixes, as the help says it
    const char* example; ///< one or more, parted by "; "; empty where another's tells it too
};

/// The phrases by what they are about; a new subject is one more file, and a line in phrases.cpp.
[[nodiscard]] std::span<const Phrase> floorPhrases();
[[nodiscard]] std::span<const Phrase> underPhrases();
[[nodiscard]] std::span<const Phrase> stepPhrases();
[[nodiscard]] std::span<const Phrase> plainPhrases();
[[nodiscard]] std::span<const Phrase> boardPhrases();
[[nodiscard]] std::span<const Phrase> ceilingPhrases();
[[nodiscard]] std::span<const Phrase> wallPhrases();
[[nodiscard]] std::span<const Phrase> heldPhrases();
[[nodiscard]] std::span<const Phrase> toldPhrases();
[[nodiscard]] std::span<const Phrase> rugPhrases();
[[nodiscard]] std::span<const Phrase> unitPhrases();

/// A table of them with a heading.
struct PhraseGroup {
    const char* title;
    std::span<const Phrase> phrases;
};
[[nodiscard]] std::span<const PhraseGroup> phraseGroups();

/// Whether a phrase about such pieces begins where the reader is, so that a name or a size ends
/// there. `afterLength`: one that follows a length.
[[nodiscard]] bool phraseAhead(WordsReader&, bool afterLength,
                               Flags<SaidOf> of = {SaidOf::floor, SaidOf::ceiling, SaidOf::wall,
                                                   SaidOf::board, SaidOf::rug});

} // namespace mezzet
