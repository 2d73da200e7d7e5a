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

} // namespace mezzet
