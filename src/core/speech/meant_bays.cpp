// What stands or hangs by a bay or a bow that has no windows of its own in the tape notes.
#include "measure/notation.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

namespace {

/// The only bay or bow of the room; null for none, or several.
const Recess* onlyBay(const Room& room) {
    const Recess* found = nullptr;
    for (const Recess& r : room.recesses) {
        if (r.kind == RecessKind::alcove)
            continue;
        if (found != nullptr)
            return nullptr;
        found = &r;
    }
    return found;
}

std::string length(double mm, const Project& job) {
    return write(Length::millimetres(mm), job.notation);
}

/// "tall plant beside the bay", "settee in front of the bay window", "curtains across the bay": by
/// its mouth in the wall.
void byABay(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"bay", "bow"}))
        return;
    const Recess* bay = onlyBay(*job.room);
    if (bay == nullptr)
        return;
    static const Saying words(
        "((?:put|place|add|set|stand|hang|move|push|slide|have|turn|angle) )?(.+?),? "
        "(beside|by|next to|near|left of|right of|to the left of|to the right of|in front of|"
        "before|across|at|on|in|over|for|facing|to face|toward|towards) (?:the |my )?(?:bay|bow)"
        "(?: window)?(,.*)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Wall& wall = job.room->walls[static_cast<std::size_t>(bay->wall)];
    const auto said = foldCase(found[3].str());
    const std::string thing = found[1].str() + found[2].str();
    const std::string rest = found[4];
    if (said == "facing" || said == "to face" || said.starts_with("toward")) {
        out.push_back(fmt::format("{} facing wall {}{}", found[2].str(), wall.name, rest));
        return;
    }
    const double from = bay->left.mm();
    const double to = from + bay->width.mm();
    const KindPtr noun = nounIn(found[2].str(), job);
    if (noun && noun->role == Role::curtain) {
        if (noun->id != "curtains")
            return;
        const double past = job.library.book->habit("curtain-past").mm();
        const double left = std::min(past, from);
        const double right = std::min(past, wall.length().mm() - to);
        out.push_back(fmt::format(
            "{} {} wide {} high on wall {}, {} from left corner, bottom at {}", noun->name,
            length(left + right + to - from, job),
            length(job.room->ceiling.mm() - job.library.book->habit("curtain-under-ceiling").mm() -
                       noun->hangAt.mm(),
                   job),
            wall.name, length(from - left, job), length(noun->hangAt.mm(), job)));
        return;
    }
    // As large as it is, or would be: the wall beside a bay may be too short for it.
    const Piece* named = pieceNamed(found[2].str(), job);
    const auto p = named != nullptr ? std::optional(*named) : putBy(found[2].str(), job);
    if (!p || p->kind->hangs() || p->kind->underCeiling() || p->kind->flat())
        return;
    const double wide = p->size.width.mm();
    if (said == "in front of" || said == "before" || said == "across") {
        const Vec2 at = wall.at(Length::millimetres((from + to) / 2)) +
                        wall.inward() * (p->size.depth.mm() / 2);
        out.push_back(fmt::format("{} at {}, {}, turned {:.1f}{}", thing, length(at.x, job),
                                  length(at.y, job), turnToFace(wall.inward()).inDegrees(), rest));
        return;
    }
    if (said == "at" || said == "on" || said == "in" || said == "over" || said == "for")
        return;
    // On the side that is said, else where there is more wall.
    const bool roomier = from >= wall.length().mm() - to;
    const bool left = said.find("left") != std::string::npos ||
                      (said.find("right") == std::string::npos && roomier);
    const double at = left ? from - wide : to;
    if (at < 0 || at + wide > wall.length().mm())
        return;
    out.push_back(fmt::format("{} against wall {}, {} from left corner{}", thing, wall.name,
                              length(at, job), rest));
}

/// The same of "the bay window", which is any window else.
void byABayWindow(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (mentions(line, {"bay window", "bow window"}))
        byABay(line, job, out);
}

} // namespace

std::vector<Meaning> meaningsOfBaysFirst() {
    return {byABayWindow};
}

std::vector<Meaning> meaningsOfBays() {
    return {byABay};
}

} // namespace mezzet
