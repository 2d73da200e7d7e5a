#include "edit/subjects.h"

#include "measure/text.h"

namespace mezzet {

bool thingAhead(WordsReader& in) {
    const auto w = in.ahead();
    return !w.empty() && !(w[0] >= '0' && w[0] <= '9') && w[0] != '-';
}

std::vector<int> allOfAKind(WordsReader& in) {
    const std::size_t at = in.at();
    in.article();
    const std::string_view from = in.rest();
    const KindPtr kind = in.kind();
    const auto said = trimmed(from.substr(0, from.size() - in.rest().size()));
    std::vector<int> ids;
    if (kind && said.ends_with('s') && !kind->name.ends_with('s'))
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
