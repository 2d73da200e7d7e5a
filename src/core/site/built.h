#pragma once

#include "judge/reading.h"

namespace mezzet {

/// What was built, against what was planned.
struct BuiltCheck {
    BuiltMark mark;
    int piece = 0;         ///< its id
    std::string what;      ///< "hook up", "hook from left", "bottom", "from wall A"
    bool agrees = false;   ///< to half of what the notation shows
    bool askAgain = false; ///< farther off than anybody builds: a slip of the tape or the tongue
    bool matters = false;  ///< some reading's verdict is another with it
    std::string why;       ///< a sentence: the weightiest of those readings, or that none changes
};

/// Farther off than this it is asked about again.
inline constexpr Length builtSurely = Length::millimetres(500);

/// Reads what was measured of something that is done: "hook of harbour 58 1/4 up", "hook 2 of
/// harbour 30 from left", "sofa 36 from wall A", "coffee table 17 from sofa", "top of mirror 80",
/// "bottom of pendant 62". A bare number takes the job's unit. Problem: with the place of the word
/// it can't take; what has no such measure.
[[nodiscard]] Result<BuiltMark> readBuilt(std::string_view text, const Project&, const Scene&,
                                          Day today);

/// Holds a measure against the scene as planned. Whether it matters: the scheme is judged with the
/// piece where it was found and all else where it is planned, against the same with it where it is
/// planned. Problem: the piece or what it is measured to is not there any more.
[[nodiscard]] Result<BuiltCheck> checkBuilt(const Project&, const Scene&, const BuiltMark&);

/// The marks kept with these; one of the same measure takes the older one's place.
[[nodiscard]] Handover withBuilt(const Project&, const std::vector<BuiltMark>&);

/// The scheme as it was built: the piece where it was found. Problem: as checkBuilt's.
[[nodiscard]] Result<Edit> asItIs(const Project&, const Scene&, const BuiltMark&);

} // namespace mezzet
