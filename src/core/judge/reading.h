#pragma once

#include "edit/edit.h"

#include <array>
#include <functional>

namespace mezzet {

enum class Verdict {
    right, ///< in its band
    tight, ///< under it
    loose, ///< over it
    clash, ///< two things in one place
    note   ///< for information
};

[[nodiscard]] std::string_view verdictName(Verdict);

/// One measured relation. Small and without text, so that judging while dragging allocates little;
/// its words are made when it is shown.
struct Reading {
    const Rule* rule = nullptr;
    int piece = 0;      ///< the piece it is about; 0 for the room as a whole
    Target other;       ///< what it is measured to
    int also = 0;       ///< a third piece it is between, like the table a chair stands at
    int part = 0;       ///< which of several like it: a side of a bed (1 left, 2 right), a window
    bool inUse = false; ///< with chairs drawn back and people in them; for guests
    const char* instead = ""; ///< the case in which the book says something else
    Amount value;
    Amount second; ///< another figure its words tell
    Target to;     ///< what it happens to be measured to, where that may be another next time
    Target from;   ///< of a way: the door it begins at; of two leaves: the other door
    Target goal;   ///< of a way: the door or the thing it leads to
    Band band;
    Verdict verdict = Verdict::right;
    std::array<Vec2, 2> at; ///< where it is seen on its surface, mm
    SurfaceId surface;      ///< the one it is seen on
    bool accepted = false;  ///< left as it is, for a reason that the scheme keeps

    [[nodiscard]] bool toMend() const { return off() && !accepted; }
    /// Not as the rule has it, accepted or not.
    [[nodiscard]] bool off() const {
        return verdict == Verdict::tight || verdict == Verdict::loose || verdict == Verdict::clash;
    }
    /// True when it is a stretch that can be drawn on a surface; of the walls' readings every one
    /// is.
    [[nodiscard]] bool seenOn(SurfaceId which) const {
        return surface == which && (!surface.isFloor() || rule->seenInPlan);
    }
    /// True for the same relation, whatever its value: of ways the one to the same goal, whatever
    /// makes it narrow.
    [[nodiscard]] bool sameAs(const Reading& r) const {
        if (goal.is != Target::Is::none)
            return rule == r.rule && goal == r.goal && from == r.from && part == r.part &&
                   inUse == r.inUse;
        return rule == r.rule && piece == r.piece && other == r.other && also == r.also &&
               part == r.part && inUse == r.inUse;
    }
    /// True when the piece is one of those it is between.
    [[nodiscard]] bool isAbout(int id) const {
        return piece == id || also == id || (other.is == Target::Is::piece && other.piece == id) ||
               (to.is == Target::Is::piece && to.piece == id);
    }
};

/// "Gap to Sofa", the rule's title with the other thing's name in it.
[[nodiscard]] std::string titleOf(const Reading&, const Wording&);
/// One short sentence: the value, what it should be, and why.
[[nodiscard]] std::string whyOf(const Reading&, const Wording&);
/// The piece it is about, by name; for the room as a whole "The room".
[[nodiscard]] std::string subjectOf(const Reading&, const Wording&);
/// "Sofa: 15": it wants 18" …": the piece and why.
[[nodiscard]] std::string sentenceOf(const Reading&, const Wording&);
/// "Sofa: gap to table": the piece and the title.
[[nodiscard]] std::string titleWithSubject(const Reading&, const Wording&);
/// How much it weighs among what is to mend: what can't be first, then what hurts, then the rest by
/// how far off it is.
[[nodiscard]] double weightOf(const Reading&);
/// Those to mend, the weightiest first.
[[nodiscard]] std::vector<const Reading*> toMendByWeight(const std::vector<Reading>&);
/// Names of the pieces it is between.
[[nodiscard]] std::vector<std::string> namesOf(const Reading&, const Wording&);

/// How wide a way there is, whether or not anything is to be said of it.
struct WayWidth {
    const Rule* rule = nullptr;
    Target from; ///< a door; of ways to a goal none, since it is the best of all doors
    Target goal;
    int part = 0; ///< a bed's side
    bool inUse = false;
    double width = 0;  ///< mm, up to what is of interest
    double wanted = 0; ///< mm

    [[nodiscard]] bool sameAs(const WayWidth& w) const {
        return rule == w.rule && from == w.from && goal == w.goal && part == w.part &&
               inUse == w.inUse;
    }
    [[nodiscard]] bool isOf(const Reading& r) const {
        return rule == r.rule && from == r.from && goal == r.goal && part == r.part &&
               inUse == r.inUse;
    }
};

/// All that was found out about a scene.
struct Judged {
    std::vector<Reading> readings;
    std::vector<WayWidth> ways;
    bool stopped = false; ///< before all rules were read
};

/// Asked now and then by what may take long: true to leave off.
using Stopped = std::function<bool()>;

/// Judges a scene whole; `stopped` is asked between rules and at least every few milliseconds
/// within the slow ones.
[[nodiscard]] Judged judgeWhole(const Scene&, const RuleBook&, const Judgement&,
                                const Stopped& stopped = {});

/// All readings of a scene, by the book and the job's judgement, in order of the book's rules and
/// the scheme's pieces.
[[nodiscard]] std::vector<Reading> judge(const Scene&, const RuleBook&, const Judgement&);

} // namespace mezzet
