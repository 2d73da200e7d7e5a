#include "edit/subjects.h"

#include "edit/beside_wall.h"
#include "measure/text.h"

#include <map>
#include <regex>

namespace mezzet {

KindPtr hungInstead(const Kind& kind, const Kit& kit) {
    auto hung = kit.byWord(kind.name + " on the wall");
    return hung && hung->hangs() ? hung : nullptr;
}

KindPtr onTheWallAhead(WordsReader& in, const Kind& kind) {
    static const std::regex words(
        R"(\s*,?\s*(?:[0-9][0-9 ./x'"]*\s*(?:inches|inch|in|cm|mm|m|ft|feet|diagonal)?\s*)*)"
        R"((?:on (?:the )?(?:[a-z]+ )?wall\b.*|(?:above|over) .*))",
        std::regex::icase | std::regex::optimize);
    const std::string rest(in.rest());
    return std::regex_match(rest, words) ? hungInstead(kind, *in.job().library.kit) : nullptr;
}

KindPtr kindOfSeveral(WordsReader& in) {
    const std::size_t at = in.at();
    const KindPtr kind = in.kind();
    const auto said = in.since(at);
    if (kind && (said.ends_with('s') || said.ends_with('S')))
        return kind;
    in.goTo(at);
    return {};
}

int readCount(WordsReader& in) {
    const std::size_t start = in.at();
    in.article();
    if (in.take({"pair of", "couple of", "couple"}))
        return 2;
    in.goTo(start);
    in.article();
    if (in.take({"half a dozen", "half dozen"}))
        return 6;
    if (in.take({"dozen"}))
        return 12;
    in.goTo(start);
    in.article();
    if (!in.take({"row of", "line of"}))
        in.goTo(start);
    int figure = 0;
    if (in.ahead() == "1" || in.ahead() == "one" || !in.takeCount(figure) || figure < 2) {
        in.goTo(start);
        return 0;
    }
    in.take({"of the", "of"});
    return figure;
}

std::optional<int> takeWall(WordsReader& in) {
    const std::size_t at = in.at();
    try {
        if (const Target t = in.target(false); t.is == Target::Is::wall)
            return t.index;
    } catch (const LineFault&) {
        in.goTo(at);
    }
    in.goTo(at);
    return {};
}

std::optional<int> wallOfSeveral(OpeningKind kind, const Room& room) {
    std::map<int, int> count;
    for (const Opening& o : room.openings)
        if (o.kind == kind)
            ++count[o.wall];
    std::optional<int> out;
    for (const auto& [wall, n] : count)
        if (n > 1) {
            if (out)
                return {};
            out = wall;
        }
    return out;
}

std::optional<int> onlyWallOf(OpeningKind kind, const Room& room) {
    std::optional<int> out;
    for (const Opening& o : room.openings) {
        if (o.kind == kind && out && *out != o.wall)
            return {};
        if (o.kind == kind)
            out = o.wall;
    }
    return out;
}

std::optional<EveryOne> everyOneAhead(WordsReader& in, bool corners) {
    EveryOne out;
    for (const auto& [words, is] :
         {std::pair{"window", OpeningKind::window}, std::pair{"door", OpeningKind::door}})
        if (in.take({words, is == OpeningKind::window ? "windows" : "doors"})) {
            out.one = words;
            for (const Opening& o : in.job().room->openings)
                if (o.kind == is)
                    out.names.push_back(o.name());
        }
    if (corners) {
        if (!in.take({"corners", "corner"}))
            return {};
        out.one = "corner";
        in.take({"of the room", "of this room", "of it"});
        out.names = cornersToStandIn(*in.job().room);
    }
    if (!out.one.empty())
        return out;
    const std::size_t at = in.at();
    if ((out.kind = in.kind())) {
        out.one = foldCase(out.kind->name);
        for (const Piece& p : in.scheme().pieces)
            if (p.kind == out.kind)
                out.names.push_back(p.name);
        if (!out.names.empty())
            return out;
    }
    // "each chair", of an armchair and a reading chair.
    // "each bed", of a single one and a bunk bed.
    const std::size_t kindEnd = in.at();
    in.goTo(at);
    const std::string said = "every " + std::string(in.rest());
    WordsReader all(said, in.job(), {});
    const auto ids = all.pieces();
    if (ids.empty() || !all.done()) {
        in.goTo(kindEnd);
        return out.kind ? std::optional(out) : std::nullopt;
    }
    out.kind = nullptr;
    out.one = foldCase(trimmed(in.rest()));
    for (const int id : ids)
        out.names.push_back(in.scheme().byId(id)->name);
    in.goTo(in.at() + in.rest().size());
    return out;
}

std::vector<int> endChairs(const Scheme& scheme) {
    std::vector<int> out;
    for (const Piece& p : scheme.pieces)
        for (const Tie& t : p.ties) {
            const Piece* table = t.kind == Tie::Kind::atPlace ? scheme.byId(t.of.piece) : nullptr;
            if (table == nullptr || abs(table->size.width - table->size.depth) < Length::inches(2))
                continue;
            // At an end when it is farther along the table than across it, by the table's sides.
            const Vec2 at = table->pose.toLocal(p.pose.at);
            const bool alongWidth =
                std::abs(at.x) * table->size.depth.mm() > std::abs(at.y) * table->size.width.mm();
            if (alongWidth == (table->size.width > table->size.depth))
                out.push_back(p.id);
        }
    return out;
}

std::optional<int> wallUnderSlope(const Room& room) {
    std::optional<int> out;
    for (const Slope& s : room.slopes) {
        if (out && *out != s.wall)
            return {};
        out = s.wall;
    }
    return out;
}

} // namespace mezzet
