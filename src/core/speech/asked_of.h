#pragma once

#include "rules/rule_book.h"
#include "speech/questions.h"

#include <initializer_list>
#include <optional>
#include <string>
#include <string_view>

namespace mezzet {

// What the questions of sizes and of distances share.

/// What such a question is of: a piece that is there, or a kind of thing.
struct AskedOf {
    KindPtr kind;
    const Piece* piece = nullptr;

    [[nodiscard]] std::string name() const { return piece != nullptr ? piece->name : kind->name; }
    [[nodiscard]] bool is(Role r) const { return kind->role == r; }
};
/// "the coffee table", "a tv", "my curtains": a piece, or a kind; none for what is neither.
[[nodiscard]] std::optional<AskedOf> thingAhead(Asking&);

[[nodiscard]] std::string lengthSaid(const Asking&, double mm);
/// "16" to 18"", mm.
[[nodiscard]] std::string rangeSaid(const Asking&, double low, double high);
/// A rule by its id, and its band in this job. Throws LineFault where the book has none.
[[nodiscard]] const Rule& ruleOf(const Asking&, std::string_view id);
[[nodiscard]] Band bandOf(const Asking&, std::string_view id);
/// A band of lengths in words, however it is bounded.
[[nodiscard]] std::string bandSaid(const Asking&, const Band&);

/// The free floor on some sides of a piece and what comes first there, in words after what they
/// say already, and marked.
void tellFree(const Asking&, const Piece&, std::initializer_list<Side> sides, Answer&);

/// The middle of a target in the room's plan: of what hangs the place of its wall behind it, of
/// what stands on something where that is. None for what is in no plan.
[[nodiscard]] std::optional<Vec2> planMiddle(const Target&, const Scene&);

/// A round length to tell a proportion by: a metre, or a foot; mm.
[[nodiscard]] double figureFor(const Asking&);
/// A screen fills an angle of 30° for a main seat (SMPTE EG 18-1994, from memory).
constexpr double screenAngle = 30;
/// How many of its widths away it does.
[[nodiscard]] double widthsAway();
/// A screen of 16 to 9: its width by its size corner to corner.
[[nodiscard]] double screenWidth(double across);

} // namespace mezzet
