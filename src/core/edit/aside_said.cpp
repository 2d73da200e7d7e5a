#include "edit/aside_said.h"

#include "edit/arrange.h"
#include "edit/beside_wall.h"
#include "edit/place.h"
#include "measure/texts.h"

#include <regex>

namespace mezzet {

bool takeSides(WordsReader& in) {
    return in.take({"on either side of", "either side of", "on each side of", "each side of",
                    "at each end of", "at either end of", "on both sides of", "both sides of",
                    "at both ends of", "on each end of", "flanking", "beside each side of",
                    "one each side of", "one on each side of", "one either side of"});
}

bool takeChairsAround(WordsReader& in) {
    const std::size_t start = in.at();
    if (in.take({"chairs", "dining chairs"}) && in.take({"around", "round", "about"}))
        return true;
    in.goTo(start);
    return false;
}

bool saysSide(std::string_view line) {
    static const std::regex words("\\b(?:in front of|before|behind|left|right)\\b",
                                  std::regex::icase | std::regex::optimize);
    return std::regex_search(line.begin(), line.end(), words);
}

std::optional<OnBothEnds> onBothEnds(WordsReader& in, const KindPtr& of, const Target& on,
                                     std::string_view words) {
    // A pair of curtains is one piece, drawn to both sides of its window.
    if (of->role == Role::curtain && on.is == Target::Is::window && in.done()) {
        Placement p;
        Tie there;
        there.kind = Tie::Kind::centredOn;
        there.of = on;
        p.ties.push_back(there);
        p.wall = wallIn(on, *in.job().room);
        return OnBothEnds{of, {p}};
    }
    const Piece* board = on.is == Target::Is::piece ? in.scheme().byId(on.piece) : nullptr;
    if (board == nullptr || !board->kind->hasTop() || !in.done() ||
        words.find("end") == std::string_view::npos)
        return {};
    static const std::regex lamps("\\blamps?\\b", std::regex::icase);
    static const std::regex onTheFloor("\\b(?:floor|standing|standard|arc|tripod) lamps?\\b",
                                       std::regex::icase);
    const std::string line(in.text());
    OnBothEnds out{of, {}};
    if (!of->standsOn() && std::regex_search(line, lamps) && !std::regex_search(line, onTheFloor))
        out.kind = in.job().library.kit->byWord("table lamp");
    if (!out.kind || !out.kind->standsOn())
        return {};
    for (const Side side : {Side::left, Side::right}) {
        Placement p;
        p.on = onTop(on.piece);
        p.ties.push_back(nearEnd(side, in.job()));
        out.places.push_back(std::move(p));
    }
    return out;
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

Placement oneOfEach(const WordsReader& whole, const SaidOfEach& said, const std::string& line,
                    const Project& now, const Piece& piece, const Scene& there,
                    SurfaceId lookedAt) {
    WordsReader in(line, now, {});
    try {
        return readPlacement(in, piece, there, lookedAt);
    } catch (const LineFault& f) {
        if (said.bytes == 0)
            throw;
        whole.fail(said.at, said.bytes, f.problem.what, f.problem.remedy);
    }
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

Placement hungBeside(WordsReader& in, const Piece& piece, const Scene& scene, SurfaceId lookedAt,
                     const std::string& clauses, std::size_t at) {
    if (clauses.empty())
        return {};
    try {
        WordsReader again(clauses, in.job(), {});
        return readPlacement(again, piece, scene, lookedAt);
    } catch (const LineFault& fault) {
        in.fail(at, in.at() - at, fault.problem.what, fault.problem.remedy);
    }
}

Edit chairsAround(WordsReader& in, const Project& job, const KindPtr& kind, int said,
                  std::size_t at) {
    const Target t = in.target();
    if (t.is != Target::Is::piece)
        in.fail(at, in.at() - at, "chairs go around a table", "name the table");
    const Piece& table = *job.scheme().byId(t.piece);
    const KindPtr chair = kind ? kind : usualChair(job, t.piece);
    if (!table.kind->isSatInTo())
        in.fail(at, in.at() - at, worded("nobody sits in to {}", table.name),
                "name a dining table or a desk");
    const int count = said > 0 ? said : std::max(1, seatsBy(table, elbowRoom(job)));
    in.nothingMore();
    auto scene = sceneOf(job);
    auto e = scene && chair
                 ? seatTable(job, **scene, t.piece, count, chair)
                 : Result<Edit>(Problem{"the kit has no chair for a table", "add one to it"});
    if (!e)
        in.refuse(e.problem(), at);
    return *e;
}

} // namespace mezzet
