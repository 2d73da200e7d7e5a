#include "edit/subjects.h"

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

std::vector<int> allOfAKind(WordsReader& in) {
    const std::size_t at = in.at();
    in.article();
    const KindPtr kind = kindOfSeveral(in);
    std::vector<int> ids;
    // "curtains" is one pair as well.
    if (kind && !kind->name.ends_with('s'))
        for (const Piece& p : in.scheme().pieces)
            if (p.kind == kind)
                ids.push_back(p.id);
    if (ids.size() < 2) {
        in.goTo(at);
        return {};
    }
    return ids;
}

} // namespace mezzet
