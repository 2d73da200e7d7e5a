// Things on a mantel: the notes tell the breast and not its shelf.
#include "edit/place.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "room/room.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

namespace {

/// "clock on the mantel", "a pair of candlesticks on the mantelpiece, one at each end": on a shelf
/// over the fire, which is put there first where there is none: as wide as the breast, on top of
/// one that ends under the ceiling and as deep as it, and else as such shelves are.
void onTheMantel(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"mantel", "mantle"}))
        return;
    static const Saying words("(.+?),? (on|along|across) (?:the |my |our )?(?:mantel|mantle)(?: ?"
                              "(?:piece|shelf))?(,? .*)?");
    std::smatch found;
    const Fixture* f = onlyBreast(*job.room);
    if (f == nullptr || !words.is(line, found))
        return;
    const auto name = std::string(told("Mantel shelf"));
    const auto& all = job.scheme().pieces;
    const auto there = std::find_if(all.begin(), all.end(), [&](const Piece& p) {
        return p.kind->role == Role::shelf &&
               std::any_of(p.ties.begin(), p.ties.end(),
                           [&](const Tie& t) { return t.of == targetOf(*f); });
    });
    const auto& book = *job.library.book;
    const bool top = !f->toCeiling && f->height > Length{} && f->height < job.room->ceiling * 0.8;
    const auto size = [&](Length l) { return write(l, job.notation); };
    std::string first;
    if (there == all.end()) {
        const Length depth = top && f->depth > Length{} ? f->depth : book.habit("mantel-depth");
        Length high = top ? f->height : book.habit("mantel-height");
        // Under what hangs over the fire already, by as much as it would hang over the shelf.
        const auto scene = sceneOf(job);
        for (const Piece& p : job.scheme().pieces) {
            if (!scene || !p.onWall() || p.wall() != f->wall || p.isGroup())
                continue;
            const Vec2 at = (*scene)->byId(p.id)->pose.at;
            const bool over = at.x + p.size.width.mm() / 2 > f->left.mm() &&
                              at.x - p.size.width.mm() / 2 < (f->left + f->width).mm();
            const Length foot = Length::millimetres(at.y) - p.size.height / 2;
            if (over && p.kind->role != Role::sconce)
                high = std::min(high, foot - usualBy(job, "art-above"));
        }
        const Length least = book.habit("mantel-height") * 0.5;
        if (high < least)
            return;
        const bool taped = top && f->depth > Length{};
        const auto assumed =
            taped
                ? std::string()
                : ", because " +
                      std::string(told("nobody taped the shelf: its height and depth are assumed"));
        first = fmt::format("add floating shelf {} wide {} deep called {}, centred on {}, top at "
                            "{}{}; then ",
                            size(f->width), size(depth), name, f->name(), size(high), assumed);
    }
    const auto& on = there == all.end() ? name : there->name;
    // A clock that stands is another than one that hangs.
    static const auto clock = meaning("^((?:put |place |set |add |stand )?)(?:an? |the )?clock$");
    static const auto lamp =
        meaning("^((?:put |place |set |add |stand )?(?:an? |the |two |a pair of )?)"
                "lamp(s?)$");
    const auto thing = std::regex_replace(
        std::regex_replace(found[1].str(), clock, "$1mantel clock"), lamp, "$1table lamp$2");
    const auto rest = found[3].str();
    static const auto atTheEnds = meaning(",? (?:one )?(?:on|at) (?:each|either|both) (?:end|side)"
                                          "s?(?: of it)?");
    static const auto pair = meaning("((?:put |place |set |add |stand )?)(?:a pair of|two|2) "
                                     "([a-z -]+?)s");
    if (std::smatch two; std::regex_match(rest, atTheEnds) && std::regex_match(thing, two, pair)) {
        out.push_back(
            fmt::format("{}{}a {} at each end of {}", first, two[1].str(), two[2].str(), on));
        return;
    }
    // What hangs leans there, and hangs over it where it can't.
    out.push_back(fmt::format("{}{} on {}{}", first, thing, on, rest));
    const KindPtr kind = nounIn(thing, job);
    if (kind && (kind->role == Role::art || kind->role == Role::mirror))
        out.push_back(fmt::format("{} above {}{}", thing, f->name(), rest));
}

} // namespace

std::vector<Meaning> meaningsOfMantelFirst() {
    return {onTheMantel};
}

} // namespace mezzet
