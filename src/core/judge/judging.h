#pragma once

#include "judge/rule_code.h"

namespace mezzet {

/// A scene being judged, rule by rule, in whatever order is of use: what a remedy is about first,
/// then what it may never cost, and the rest only when those are well. What comes of it is the same
/// in any order.
class Judging {
public:
    /// All four, and `stopped`, have to outlive it.
    Judging(const Scene&, const RuleBook&, const Judgement&, const Stopped& stopped);

    /// Reads one rule, and the one it comes after, unless that was done.
    void read(const Rule&);
    /// Reads all that is left. With `before`, what is guarded (see guard.h) comes first, the ways
    /// last of it; false, with the rest unread, as soon as something of it is worse than before.
    bool readAll(const Judged* before = nullptr);
    [[nodiscard]] const Judged& soFar() const { return judged_; }
    /// What was read, in the book's order.
    [[nodiscard]] Judged take();

private:
    void readEach(const std::function<bool(const Rule&)>& which);

    const Scene& scene_;
    const RuleBook& book_;
    const Judgement& judgement_;
    const Stopped& stopped_;
    Shared shared_;
    Judged judged_;
    std::vector<char> read_; ///< by rule of the book
};

} // namespace mezzet
