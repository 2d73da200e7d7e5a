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

} // namespace mezzet
