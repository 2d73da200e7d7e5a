// Which kind a line means: by its words, by where it is put, by what such a word usually means.
#include "edit/line_reader.h"

#include "edit/arrange.h"
#include "edit/sizes_said.h"
#include "edit/subjects.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

/// Where a word is the end of several kinds' names, says which they are.
void LineReader::whichKind() {
    const std::size_t at = in.at();
    const auto word = plainWord(in.word());
    std::vector<std::string> names;
    for (const auto& k : job_.library.kit->kinds())
        if (word.size() > 2 && plainWord(k->name).ends_with(" " + word))
            names.push_back(foldCase(k->name));
    const std::size_t end = in.at();
    in.goTo(at);
    if (names.size() < 2)
        return;
    constexpr std::size_t shown = 4;
    if (names.size() > shown) {
        names.resize(shown);
        names.emplace_back("another");
    }
    in.fail(at, end - at, worded("which {}: {}?", word, listed(names, "or")), "say which kind");
}

KindPtr LineReader::usualKind() {
    const std::size_t at = in.at();
    const auto word = foldCase(in.word());
    auto kind = job_.library.kit->usuallyMeant(word);
    if (!kind) {
        in.goTo(at);
        return kind;
    }
    // "a chair for the desk" is one to work in.
    const std::size_t end = in.at();
    if (plainWord(word) == "chair" && in.take({"for", "at", "in front of", "before", "behind",
                                               "facing", "under", "to go with", "to go at"})) {
        in.article();
        try {
            const int table = in.take({"it", "this", "that"}) ? selected_ : in.piece();
            if (table != 0 && pieceOf(table).kind->isSatInTo())
                if (auto drawnUp = usualChair(job_, table))
                    kind = std::move(drawnUp);
        } catch (const LineFault&) {
            // Which is meant is asked where the place is read.
        }
        in.goTo(end);
    }
    return kind;
}

/// "an armchair", "one armchair", "1 armchair": takes the word. True for one that is new.
bool LineReader::oneOf() {
    const std::size_t at = in.at();
    if (in.take({"a", "an", "one", "1", "some"})) {
        const std::size_t after = in.at();
        in.article();
        const bool kind = in.kind() != nullptr;
        in.goTo(after);
        if (kind)
            return true;
        // "a 90 inch sofa"
        const bool sized = sizesBeforeKind(in);
        in.goTo(sized ? after : at);
        return sized;
    }
    return false;
}

/// The kind that stands ahead. "lamp on the sideboard" is one that can stand there.
KindPtr LineReader::kindFor() {
    const std::size_t at = in.at();
    const KindPtr kind = in.kind();
    if (kind && kind->standsOn())
        if (auto hung = onTheWallAhead(in, *kind))
            return hung;
    if (!kind || kind->standsOn() || kind->hangs() || kind->underCeiling())
        return kind;
    const std::size_t end = in.at();
    const auto word = in.since(at);
    bool onTop = false;
    if (in.take({"on top of", "on"})) {
        in.article();
        const auto& them = in.them();
        const bool ofThem = in.endOf("them") > 0 || in.endOf("each") > 0;
        try {
            const int id = !ofThem && (in.nameAhead() || in.ahead() != "wall") ? in.piece() : 0;
            // Of which none is there, that is told later.
            const KindPtr none = id == 0 && !ofThem ? in.kind() : nullptr;
            onTop = id != 0 ? pieceOf(id).kind->heights.top.has_value() : none && none->hasTop();
        } catch (const LineFault&) {
            onTop = false;
        }
        const bool ofIt = in.endOf("it") > 0 || in.endOf("this") > 0 || in.endOf("that") > 0;
        if ((ofThem || (ofIt && them.size() == 1)) && !them.empty())
            onTop = std::all_of(them.begin(), them.end(),
                                [&](int id) { return pieceOf(id).kind->hasTop(); });
    }
    in.goTo(end);
    if (!onTop)
        return kind;
    // "a fern on it", "a reading lamp on the desk"
    const auto noun = word.substr(std::min(word.size(), word.rfind(' ') + 1));
    for (const auto& words : {"table " + std::string(word), "table " + std::string(noun),
                              std::string(kind->family == Family::plant ? "table plant" : "")})
        if (const auto small = job_.library.kit->byWord(words); small && small->standsOn())
            return small;
    return kind;
}

} // namespace mezzet
