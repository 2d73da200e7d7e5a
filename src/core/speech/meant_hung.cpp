// What stands beside, before and under what hangs on a wall; and what hangs, said to be on a top.
#include "edit/beside_wall.h"
#include "edit/line.h"
#include "edit/subjects.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

namespace {

/// The piece that words name, alone, where it hangs on a wall; null for all else.
const Piece* hungNamed(const std::string& words, const Project& job) {
    const Piece* p = pieceNamed(words, job);
    return p != nullptr && p->onWall() ? p : nullptr;
}

/// "coffee table between the loveseat and the tv", which hangs: between the one and the other's
/// wall.
void betweenAndWhatHangs(const std::string& line, const Project& job,
                         std::vector<std::string>& out) {
    static const Saying words(
        "(.+?) (?:in )?between (?:the |my )?(.+?) and (?:the |my )?([^,]+?)(,.*)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* a = pieceNamed(found[2], job);
    const Piece* b = pieceNamed(found[3], job);
    if (a == nullptr || b == nullptr || a->onWall() == b->onWall())
        return;
    const Piece& stands = a->onWall() ? *b : *a;
    const Piece& hangs = a->onWall() ? *a : *b;
    out.push_back(fmt::format("{} between {} and wall {}, centred on {}{}", found[1].str(),
                              stands.name, wallName(hangs.wall()), stands.name, found[4].str()));
}

/// "wardrobe next to the mirror", which hangs: at its wall, beside it.
void besideWhatHangs(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("(.+?),? (?:to the |on the )?(next to|beside|left of|right "
                              "of) (?:the |my )?([^,]+?)(,.*)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* hung = hungNamed(found[3], job);
    const auto scene = sceneOf(job);
    const auto box = hung != nullptr && scene ? boxOn(pieceTarget(hung->id), hung->wall(), **scene)
                                              : std::nullopt;
    if (!box)
        return;
    const Wall& w = job.room->walls[static_cast<std::size_t>(hung->wall())];
    const auto p = standsAt(found[1], w, job);
    if (!p)
        return;
    const double gap = job.library.book->habit("beside-on-wall").mm();
    const double wide = p->size.width.mm();
    const double right = box->high.x + gap;
    const double left = box->low.x - gap - wide;
    const auto side = foldCase(found[2].str());
    const bool fitsRight = right + wide <= w.length().mm();
    const double at = side.starts_with("left")    ? left
                      : side.starts_with("right") ? right
                      : fitsRight                 ? right
                                                  : left;
    if (at >= 0)
        out.push_back(fmt::format("{} against wall {}, {} from left corner{}", found[1].str(),
                                  w.name, write(Length::millimetres(at), job.notation),
                                  found[4].str()));
}

/// "bookcases on each side of the tv", which hangs: at its wall, one beside each.
void eachSideOfWhatHangs(const std::string& line, const Project& job,
                         std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:put|place|add|stand|have) )?(?:an? |two |2 |a pair of |one )?(.+?),? (?:(?:on|at) "
        "(?:each|either|both) sides? of|(?:each|either|both) sides? of|flanking|beside each side "
        "of) (?:the |my )?([^,]+)");
    std::smatch found;
    if (!words.is(line, found) || hungNamed(found[2], job) == nullptr)
        return;
    const std::string thing = plainWord(found[1].str());
    const KindPtr kind = nounIn(found[1].str(), job);
    if (!kind || !kind->takesFloor() || kind->flat())
        return;
    std::vector<std::string> sides;
    for (const char* side : {"left", "right"})
        besideWhatHangs(fmt::format("another {} {} of {}", thing, side, found[2].str()), job,
                        sides);
    if (sides.size() == 2)
        out.push_back(fmt::format("{}; then {}", sides[0], sides[1]));
}

/// "recliner 8' from the tv", "rug in front of the tv": so far from its wall, before it.
void beforeWhatHangs(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(.+?),? ([0-9].*?)? ?(from|off|away from|in front of|before) (?:the |my )?([^,]+?)(,.*)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* hung = hungNamed(found[4], job);
    const KindPtr kind = hung != nullptr ? nounIn(found[1].str(), job) : nullptr;
    if (!kind || !(kind->takesFloor() || kind->flat()))
        return;
    const auto how = foldCase(found[3].str());
    const bool before = how == "in front of" || how == "before";
    if (!found[2].matched && !before)
        return;
    const auto centred = before ? ", centred on " + hung->name : std::string();
    if (found[2].matched)
        out.push_back(fmt::format(
            "{} {} from wall {}{}{}{}", found[1].str(), found[2].str(), wallName(hung->wall()),
            centred, kind->isSeat() ? ", facing " + hung->name : std::string(), found[5].str()));
    else
        out.push_back(fmt::format("{} {} wall {}{}{}", found[1].str(),
                                  kind->flat() ? "0 from" : "against", wallName(hung->wall()),
                                  centred, found[5].str()));
}

/// What stands on the floor under what hangs, with a top: the one that reaches farthest under it.
const Piece* topUnder(const Piece& hung, const Project& job, const Scene& scene) {
    const auto box = boxOn(pieceTarget(hung.id), hung.wall(), scene);
    const Piece* best = nullptr;
    double most = 0;
    for (const Piece& p : job.scheme().pieces) {
        if (!p.on.isFloor() || !p.kind->hasTop() || p.kind->isSeat() || !box ||
            wallBehind(scene, p.id) != hung.wall())
            continue;
        const auto its = boxOn(pieceTarget(p.id), hung.wall(), scene);
        const double under =
            its ? std::min(its->high.x, box->high.x) - std::max(its->low.x, box->low.x) : 0;
        if (under > most) {
            most = under;
            best = &p;
        }
    }
    return best;
}

/// "soundbar under the tv", which hangs: what has its place on a top, on the one there.
void onTheTopUnder(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("(?:(?:put|place|add|set|stand|have|move) )?(.+?) (?:under|below|"
                              "beneath|underneath) (?:the |my )?([^,]+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* hung = hungNamed(found[2], job);
    const KindPtr kind = hung != nullptr ? nounIn(found[1].str(), job) : nullptr;
    const auto scene = sceneOf(job);
    // "vase on the dresser under the mirror" says on what itself.
    if (!kind || !kind->standsOn() || !scene || mentions(found[1].str(), {" on "}))
        return;
    if (const Piece* top = topUnder(*hung, job, **scene))
        out.push_back(fmt::format("{} on {}", found[1].str(), top->name));
}

/// "clock on the nightstand", "mirror on the dresser": of what usually hangs, the kind that stands.
void standsInstead(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:put|place|add|set|stand|have|hang) )?(?:an? |the )?(.+?) on (?:top "
        "of )?(the |my |its )?([^,]+?)(,.*)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const KindPtr hangs = job.library.kit->byWord(found[2].str());
    const KindPtr top = hangs && hangs->hangs() ? nounIn(found[4].str(), job) : nullptr;
    // What stands over one's eyes is not seen.
    if (!top || !top->hasTop() ||
        top->heights.top.value_or(top->size.height) > eyeLevel(*job.library.book, job.judgement) ||
        piecesNamed("the " + plainWord(found[4].str()) + "s", job).empty())
        return;
    const auto noun = " " + plainWord(found[2].str());
    const auto is = [&](const KindPtr& k) {
        const auto ends = [&](const std::string& name) { return plainWord(name).ends_with(noun); };
        return k->standsOn() &&
               (ends(k->name) || std::any_of(k->also.begin(), k->also.end(), ends));
    };
    const auto& kinds = job.library.kit->kinds();
    if (const auto it = std::find_if(kinds.begin(), kinds.end(), is); it != kinds.end())
        out.push_back(fmt::format("{}a {} on {}{}{}", found[1].str(), foldCase((*it)->name),
                                  found[3].str(), found[4].str(), found[5].str()));
}

/// "hang the tv on the wall", "put the tv above the fireplace", of one that stands on something:
/// one as large hangs there in its place.
void screenOntoAWall(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"tv", "television", "screen", "telly"}))
        return;
    static const Saying words(
        "(?:put|place|move|hang|mount|set|have|get|fix) ((?:the |my )?[a-z0-9 ]+?)(?: up)? (on "
        "(?:the "
        ")?wall(?: [a-z])?|(?:on (?:the |a )?wall )?(?:above|over) .+|on (?:the )?(?:chimney|"
        "fireplace|[a-z]+ wall).*)");
    std::smatch found;
    const auto scene = sceneOf(job);
    if (!scene || !words.is(line, found))
        return;
    const Piece* tv = pieceNamed(found[1], job);
    if (tv == nullptr || tv->kind->role != Role::screen || tv->onWall())
        return;
    std::string place = found[2];
    static const auto wallOver = meaning("^on (?:the |a )?wall (?=(?:above|over) )");
    static const auto breast = meaning("^on (?=(?:the )?(?:chimney|fireplace)(?: breast)?$)");
    place = std::regex_replace(std::regex_replace(place, wallOver, ""), breast, "over ");
    if (foldCase(place) == "on the wall" || foldCase(place) == "on wall") {
        const auto wall = wallBehind(**scene, tv->on.isCarried() ? tv->on.piece : tv->id);
        if (!wall)
            return;
        const Piece* under = tv->on.isCarried() ? job.scheme().byId(tv->on.piece) : nullptr;
        place = fmt::format("on wall {}", wallName(*wall));
        if (under != nullptr)
            place += ", centred on " + under->name;
    }
    out.push_back(fmt::format("remove {}; then add wall screen {} wide {} high {}", tv->name,
                              write(tv->size.width, job.notation),
                              write(tv->size.height, job.notation), place));
}

/// "mirror opposite the window", "tv on wall C across from the sofa", of what hangs: on the wall
/// across from it, in line with it.
void hungOpposite(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"opposite", "across from", "facing"}))
        return;
    static const Saying words(
        "(.+?),? (?:hung )?(?:opposite|across from|facing) (?:to )?(?:the |my )?(.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    // "tv on wall C opposite the window": that wall, if it is the one across.
    static const auto onWall = meaning(",? on (?:the )?wall [a-z],?$");
    const std::string thing = std::regex_replace(found[1].str(), onWall, "");
    const bool wallSaid = thing != found[1].str();
    KindPtr kind = nounIn(thing, job);
    if (kind && !kind->hangs() && wallSaid)
        kind = hungInstead(*kind, *job.library.kit);
    const Piece* there = pieceNamed(thing, job);
    if (!(there != nullptr ? there->kind->hangs() : kind && kind->hangs()))
        return;
    const auto t = targetNamed(found[2], job);
    if (wallSaid && t && t->is == Target::Is::piece)
        out.push_back(
            fmt::format("{}, centred on {}", found[1].str(), job.scheme().byId(t->piece)->name));
    const auto scene = sceneOf(job);
    const auto wall = t && scene ? wallOf(*t, **scene) : std::nullopt;
    const auto across = wall ? wallAcross(*job.room, *wall) : std::nullopt;
    if (!across)
        return;
    const Wall& w = job.room->walls[static_cast<std::size_t>(*across)];
    const double along = dot(middleOf(*t, **scene) - w.start, w.along());
    if (along <= 0 || along >= w.length().mm()) {
        out.push_back(fmt::format("{} on wall {}", thing, w.name));
        return;
    }
    out.push_back(fmt::format("{} on wall {}, centre {} from left corner", thing, w.name,
                              write(Length::millimetres(along), job.notation)));
}

/// "hooks behind the door": where its leaf comes to when it is open, which is the wall around the
/// corner from its hinges, or beside them where the corner is farther off.
void hungBehindADoor(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"behind"}))
        return;
    static const Saying words("(.+?) (?:on the wall )?behind ((?:the |my )?(?:[a-z]+ )?door(?: "
                              "[0-9]+)?)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* piece = pieceNamed(found[1], job);
    const KindPtr kind = piece != nullptr ? piece->kind : nounIn(found[1].str(), job);
    if (!kind || !kind->hangs())
        return;
    const auto named = targetNamed(found[2], job, false);
    if (!named)
        return;
    const Target of = *named;
    const auto& openings = job.room->openings;
    const auto door = std::find_if(openings.begin(), openings.end(), [&](const Opening& o) {
        return o.kind == OpeningKind::door && targetOf(o) == of;
    });
    if (door == openings.end() || door->style != DoorStyle::hinged || !door->swingsIn)
        return;
    const int walls = static_cast<int>(job.room->walls.size());
    const Wall& w = job.room->walls[static_cast<std::size_t>(door->wall)];
    const Length corner = door->hingeRight ? w.length() - door->left - door->width : door->left;
    const auto size = [&](Length l) { return write(l, job.notation); };
    if (corner < door->width) {
        const int around = (door->wall + (door->hingeRight ? 1 : walls - 1)) % walls;
        out.push_back(fmt::format("{} on wall {}, centre {} from {} corner", found[1].str(),
                                  wallName(around), size(door->width / 2),
                                  door->hingeRight ? "left" : "right"));
        return;
    }
    const Length middle =
        door->hingeRight ? door->left + door->width * 1.5 : door->left - door->width / 2;
    out.push_back(fmt::format("{} on wall {}, centre {} from left corner", found[1].str(), w.name,
                              size(middle)));
}

} // namespace

std::vector<Meaning> meaningsOfHung() {
    return {hungOpposite,        betweenAndWhatHangs, besideWhatHangs,
            eachSideOfWhatHangs, beforeWhatHangs,     standsInstead};
}

std::vector<Meaning> meaningsOfHungFirst() {
    return {onTheTopUnder, screenOntoAWall, hungBehindADoor};
}

} // namespace mezzet
