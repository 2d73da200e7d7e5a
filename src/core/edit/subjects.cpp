#include "edit/subjects.h"

#include "edit/beside_wall.h"
#include "measure/text.h"

namespace mezzet {

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

namespace {

/// "reading chair", of one that is called so, or Reading chair 2.
bool isCalled(const Piece& p, const std::string& said) {
    const auto name = plainWord(p.name);
    const auto plain = plainWord(said);
    if (plain.empty() || !name.starts_with(plain))
        return false;
    const auto more = std::string_view(name).substr(plain.size());
    return more.empty() ||
           (more[0] == ' ' && more.find_first_not_of("0123456789", 1) == std::string_view::npos);
}

} // namespace

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
    // "each chair", of an armchair and a reading chair.
    const std::size_t at = in.at();
    out.kind = in.kind();
    if (!out.kind) {
        const std::string every = "every ";
        const std::string said = every + std::string(in.rest());
        WordsReader all(said, in.job(), {});
        if (const auto ids = all.pieces(); !ids.empty() && all.done()) {
            out.one = foldCase(trimmed(in.rest()));
            for (const int id : ids)
                out.names.push_back(in.scheme().byId(id)->name);
            in.goTo(at + in.rest().size());
            return out;
        }
        in.goTo(at);
    }
    out.one = foldCase(out.kind ? std::string_view(out.kind->name) : trimmed(in.rest()));
    for (const Piece& p : in.scheme().pieces)
        if (out.kind ? p.kind == out.kind : isCalled(p, out.one))
            out.names.push_back(p.name);
    if (!out.kind) {
        if (out.names.empty())
            return {};
        in.goTo(in.at() + in.rest().size());
    }
    return out;
}

} // namespace mezzet
