#include "edit/aside_said.h"

#include "edit/beside_wall.h"

namespace mezzet {

bool takeSides(WordsReader& in) {
    return in.take({"on either side of", "either side of", "on each side of", "each side of",
                    "at each end of", "at either end of", "on both sides of", "both sides of",
                    "at both ends of", "on each end of", "flanking", "beside each side of",
                    "one each side of", "one on each side of", "one either side of"});
}

std::optional<Length> asideSaid(WordsReader& in) {
    in.comma();
    const std::size_t start = in.at();
    const bool gap = in.take({"gap", "with a gap of", "with", "each"});
    if (in.lengthAhead()) {
        const Length l = in.length("how far it is beside that");
        if (in.take({"away from it", "away from that", "from it on each side",
                     "from it on both sides", "from it", "from that", "from its edges",
                     "from its edge", "from each side", "off it", "clear of it", "apart from it",
                     "away", "off", "beside it", "on each side", "on either side",
                     "on both sides"}) ||
            (gap && (in.done() || in.ahead().empty()))) {
            in.comma();
            return l;
        }
    }
    in.goTo(start);
    return {};
}

std::string besideOnWall(const Target& of, int wall, Side side, std::optional<Length> aside,
                         const Scene& scene, const Project& job) {
    if (aside)
        return fmt::format("on wall {}, {} {} of {}", wallName(wall), write(*aside, job.notation),
                           side == Side::left ? "left" : "right", words(of, job.wording()));
    const auto end = nextInWall(of, wall, side, scene);
    return end ? fmt::format("on wall {}, between {} and {}", wallName(wall),
                             words(*end, job.wording()), words(of, job.wording()))
               : std::string();
}

} // namespace mezzet
