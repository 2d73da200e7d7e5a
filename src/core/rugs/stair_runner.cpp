#include "rugs/stair_runner.h"

#include "measure/texts.h"

#include <numbers>

namespace mezzet {

Result<StairRunnerCut> measureRunner(const StairRunner& s) {
    constexpr int most = 200;
    if (s.risers < 1 || s.risers > most)
        return Problem{worded("{} risers are no stair", s.risers), worded("say 1 to {}", most)};
    if (s.riser <= Length{})
        return Problem{"a riser has a height", "say it like: riser 7 1/2"};
    if (s.going <= Length{} && s.risers > 1)
        return Problem{"a going has a depth", "say it like: going 10"};
    if (s.nosing < Length{})
        return Problem{"a nosing is not less than nothing", "say 0 for none"};
    if (s.width <= Length{})
        return Problem{"a runner has a width", "say it like: width 27"};
    if (s.pile < Length{})
        return Problem{"a pile is not less than nothing", "say how thick it is"};
    if (s.turns < 0)
        return Problem{"a stair turns not at all, or so many times", "say how many"};
    if (s.capped && s.nosing <= Length{})
        return Problem{"there is no nosing to cap", "say how far it stands out, or lay it as a "
                                                    "waterfall"};
    StairRunnerCut out;
    out.length = s.riser * s.risers + s.going * (s.risers - 1);
    if (s.capped)
        out.length = out.length + s.nosing * (2 * s.risers);
    for (const Length l : s.landings) {
        if (l < Length{})
            return Problem{"a landing is not shorter than nothing", "say its length"};
        out.length = out.length + l;
    }
    const Length step = s.riser + s.going + (s.capped ? s.nosing * 2 : Length{});
    Length landed;
    for (std::size_t i = 0; i < s.breaks.size(); ++i) {
        const StairBreak& b = s.breaks[i];
        if (b.after < 1 || b.after >= s.risers)
            return Problem{worded("a stair of {} risers is not broken after {}", s.risers, b.after),
                           s.risers > 1 ? worded("say 1 to {}", s.risers - 1) : "leave it out"};
        if (i > 0 && b.after <= s.breaks[i - 1].after)
            return Problem{"a stair's breaks follow each other up it", "say each once"};
        if (b.landing < Length{})
            return Problem{"a landing is not shorter than nothing", "say its length"};
        if (b.turns)
            out.joins.push_back(step * b.after + landed);
        landed = landed + b.landing;
    }
    out.length = out.length + landed;
    out.pieces = s.turns + static_cast<int>(out.joins.size()) + 1;
    out.nosings = s.risers;
    out.rods = s.risers;
    out.opening = s.pile * ((s.capped ? 2 : 1) * std::numbers::pi / 2);
    return out;
}

} // namespace mezzet
