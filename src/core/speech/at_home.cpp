// Where a piece goes that nobody has said a place for: a nightstand by the bed, a desk chair at the
// desk.
#include "speech/at_home.h"

#include "edit/landing.h"
#include "judge/ahead.h"
#include "measure/text.h"
#include "speech/asked_first.h"
#include "speech/meant_words.h"
#include "speech/reading.h"
#include "speech/what_if.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

namespace {

template <class Is> const Piece* only(const Project& job, Is is) {
    const Piece* found = nullptr;
    for (const Piece& p : job.scheme().pieces) {
        if (p.isGroup() || !is(p))
            continue;
        if (found != nullptr)
            return nullptr;
        found = &p;
    }
    return found;
}

const Piece* onlyOfRole(const Project& job, Role role) {
    return only(job, [&](const Piece& p) { return p.kind->role == role && p.on.isFloor(); });
}

const Piece* onlyOfIds(const Project& job, std::initializer_list<std::string_view> ids) {
    return only(job, [&](const Piece& p) {
        return std::find(ids.begin(), ids.end(), p.kind->id) != ids.end();
    });
}

bool isOneOf(const Kind& kind, std::initializer_list<std::string_view> ids) {
    return std::find(ids.begin(), ids.end(), kind.id) != ids.end();
}

/// A bed for grown people: what stands beside it is in reach of a pillow.
const Piece* onlyBed(const Project& job) {
    return only(job, [](const Piece& p) {
        return p.kind->role == Role::bed && p.kind->id != "crib" && p.kind->id != "bunk-bed" &&
               p.kind->id != "loft-bed";
    });
}

/// "left of Sofa", "right of Sofa": the side with more room first.
std::vector<std::string> besideIt(const Piece& host, const Project& job) {
    const auto scene = sceneOf(job);
    const Placed* there = scene ? (*scene)->fromAbove(host.id) : nullptr;
    if (there == nullptr)
        return {};
    const FloorView floor(**scene);
    const auto room = [&](Side side) {
        const auto stop = aheadOf(floor, host, *there, side).stop;
        return stop ? stop->ahead : 1e9;
    };
    const bool left = room(Side::left) >= room(Side::right);
    return {fmt::format("{} of {}", left ? "left" : "right", host.name),
            fmt::format("{} of {}", left ? "right" : "left", host.name)};
}

/// What a new rug lies under: the only group that the room has; empty for none, or several.
std::string underWhat(const Project& job) {
    std::vector<std::string> under;
    const auto some = [&](Role role) {
        const auto& all = job.scheme().pieces;
        return std::any_of(all.begin(), all.end(),
                           [&](const Piece& p) { return p.kind->role == role && p.on.isFloor(); });
    };
    const auto& all = job.scheme().pieces;
    if (std::any_of(all.begin(), all.end(), [](const Piece& p) { return p.kind->flat(); }))
        return {}; // another one lies anywhere
    if (some(Role::bed))
        under.push_back(onlyBed(job) != nullptr ? "under " + onlyBed(job)->name : "");
    if (some(Role::diningTable))
        under.push_back(onlyDiningTable(job) != nullptr ? "under " + onlyDiningTable(job)->name
                                                        : "");
    if (some(Role::sofa)) {
        const Piece* table = onlyOfRole(job, Role::lowTable);
        const Piece* sofa = onlyOfRole(job, Role::sofa);
        under.push_back(table != nullptr  ? "under " + table->name
                        : sofa != nullptr ? "under the front legs of " + sofa->name
                                          : "");
    }
    return under.size() == 1 ? under.front() : std::string();
}

/// The new pieces of an edit that does nothing else; none where it does.
std::vector<const Piece*> onlyNew(const Edit& edit, const Project& job) {
    std::vector<const Piece*> out;
    for (const Act& a : edit.acts) {
        const auto* put = std::get_if<PutPiece>(&a);
        if (put == nullptr || job.scheme().byId(put->piece.id) != nullptr)
            return {};
        out.push_back(&put->piece);
    }
    return out;
}

enum class Lands { inTheWay, beforeADoor, clear };

/// How all that an edit adds comes to stand: clear of other things, and of the floor before doors.
Lands landsBy(const Edit& edit, const Project& job) {
    const auto after = apply(job, edit);
    if (!after)
        return Lands::inTheWay;
    const Scene& scene = *after->scene;
    Lands out = Lands::clear;
    for (const Act& a : edit.acts) {
        const auto* put = std::get_if<PutPiece>(&a);
        if (put == nullptr || job.scheme().byId(put->piece.id) != nullptr)
            continue;
        const Piece* p = after->project->scheme().byName(put->piece.name);
        if (p == nullptr)
            return Lands::inTheWay;
        if (p->on.isCarried() || p->kind->flat())
            continue;
        const Placed* where = scene.fromAbove(p->id);
        const bool chair = p->kind->role == Role::diningChair;
        if (where == nullptr ||
            !(chair ? clearAtTable(scene, *p, where->pose) : clearOf(scene, *p, where->pose)))
            return Lands::inTheWay;
        if (!chair && !clearOf(scene, *p, where->pose, true))
            out = Lands::beforeADoor;
    }
    return out;
}

/// How a kind stands to the thing it goes with.
enum class Stays { beside, before, at, on, atTheFoot };

/// Which kinds go with what, and how; the first that a kind is one of.
struct Home {
    bool (*is)(const Kind&);
    const Piece* (*host)(const Project&);
    Stays stays;
};

const Home* homeOf(const Kind& kind) {
    static const Home homes[] = {
        {[](const Kind& k) { return k.id == "nightstand"; }, &onlyBed, Stays::beside},
        {[](const Kind& k) { return k.id == "bed-bench"; }, &onlyBed, Stays::atTheFoot},
        {[](const Kind& k) { return k.id == "desk-chair"; },
         [](const Project& job) { return onlyOfRole(job, Role::desk); }, Stays::at},
        {[](const Kind& k) { return k.role == Role::diningChair; },
         [](const Project& job) { return onlyDiningTable(job); }, Stays::at},
        {[](const Kind& k) { return k.id == "piano-stool"; },
         [](const Project& job) {
             return onlyOfIds(job, {"piano", "baby-grand-piano", "digital-piano"});
         },
         Stays::at},
        {[](const Kind& k) { return k.id == "dressing-stool"; },
         [](const Project& job) { return onlyOfIds(job, {"dressing-table"}); }, Stays::at},
        {[](const Kind& k) { return k.role == Role::lowTable && k.id != "child-table"; },
         [](const Project& job) { return onlyOfRole(job, Role::sofa); }, Stays::before},
        {[](const Kind& k) {
             return isOneOf(k, {"side-table", "round-side-table", "c-table", "pedestal-side-table",
                                "nest-of-tables"});
         },
         [](const Project& job) { return onlyOfRole(job, Role::sofa); }, Stays::beside},
        {[](const Kind& k) {
             return isOneOf(k, {"monitor", "desk-lamp"});
         },
         [](const Project& job) { return onlyOfRole(job, Role::desk); }, Stays::on},
        {[](const Kind& k) { return k.role == Role::screen && k.standsOn(); },
         [](const Project& job) { return onlyOfIds(job, {"media-console"}); }, Stays::on},
        {[](const Kind& k) {
             return isOneOf(k, {"cushion", "long-cushion", "draped-throw", "folded-throw"});
         },
         [](const Project& job) { return onlyOfRole(job, Role::sofa); }, Stays::on},
    };
    for (const Home& h : homes)
        if (h.is(kind))
            return &h;
    return nullptr;
}

/// The same of what is used at the fire, where there is one.
std::vector<std::string> placesAtTheFire(const Kind& kind, const Project& job) {
    if (onlyBreast(*job.room) == nullptr)
        return {};
    if (kind.id == "fire-screen")
        return {"in front of the fireplace"};
    if (isOneOf(kind, {"log-basket", "fire-tools", "coal-scuttle"}))
        return {"beside the fireplace"};
    return {};
}

/// The one thing a kind goes with: the bed of a nightstand; null for none, or several.
const Piece* goesWith(const Kind& kind, const Project& job) {
    const Home* home = homeOf(kind);
    return home != nullptr ? home->host(job) : nullptr;
}

/// Where new pieces of a kind usually go, by the one thing in the room that they go with, as the
/// end of a line: "right of Double bed", "at Desk"; likeliest first. Empty where there is no such
/// thing, or several. Common practice. `count`: how many are put at once.
std::vector<std::string> usualPlaces(const Kind& kind, int count, const Project& job) {
    using Places = std::vector<std::string>;
    if (count == 1 && isOneOf(kind, {"rug", "small-rug", "large-rug", "round-rug"})) {
        auto under = underWhat(job);
        return under.empty() ? Places() : Places{std::move(under)};
    }
    if (auto fire = placesAtTheFire(kind, job); !fire.empty() && count == 1)
        return fire;
    const Piece* host = goesWith(kind, job);
    if (host == nullptr)
        return {};
    switch (homeOf(kind)->stays) {
    case Stays::on:
        return {"on " + host->name};
    case Stays::at:
        return {"at " + host->name};
    case Stays::atTheFoot:
        return count == 1 ? Places{"at the foot of " + host->name} : Places();
    case Stays::before:
        return count == 1 ? Places{"in front of " + host->name} : Places();
    case Stays::beside:
        return count == 2   ? Places{"each side of " + host->name}
               : count == 1 ? besideIt(*host, job)
                            : Places();
    }
    return {};
}

/// The same, of what was refused for want of a place: what stands on something, several without a
/// number, a rug too large for the floor that is free.
std::vector<std::string> placesOfRefused(const std::string& line, const Problem& why,
                                         const Project& job) {
    std::vector<std::string> out;
    const auto add = [&](std::string_view what, const std::vector<std::string>& places) {
        for (const auto& place : places)
            out.push_back(fmt::format("{} {}", what, place));
    };
    std::smatch found;
    static const auto sized = meaning(
        "(?:(?:put|place|add|lay|have|get|i want) )?(?:an? )?[0-9][^,]*? ([a-z]+(?: [a-z]+)?)");
    if (asksFirst(why) && std::regex_match(line, found, sized)) {
        const KindPtr kind = job.library.kit->byWord(found[1].str());
        if (kind && kind->flat())
            add(line, usualPlaces(*kind, 1, job));
        return out;
    }
    static const auto bare =
        meaning("((?:(?:put|place|add|set|have|get|i want|i'd like) )?)((?:(?:an?|one|some|the|"
                "another|a few|a pair of|two|three|2|3) )?)([a-z][a-z -]*)");
    if (!std::regex_match(line, found, bare))
        return out;
    const KindPtr kind = job.library.kit->byWord(found[3].str());
    if (!kind)
        return out;
    const bool several = found[2].length() == 0 && line.ends_with('s');
    if (kind->standsOn()) {
        add(line, usualPlaces(*kind, 1, job));
    } else if (several && kind->role == Role::diningChair) {
        if (const Piece* host = goesWith(*kind, job))
            add(line, {"around " + host->name});
    } else if (several) {
        add(fmt::format("{}two {}", found[1].str(), found[3].str()), usualPlaces(*kind, 2, job));
    }
    return out;
}

} // namespace

std::optional<Result<Spoken>> whereItBelongs(std::string_view text, const Result<Spoken>& said,
                                             const Project& job, const Listener& to,
                                             const Stopped& stopped) {
    if (mentions(text, {"anywhere", "somewhere", "wherever", "there is room", "there's room"}))
        return {};
    const std::string line(trimmed(text));
    std::vector<std::string> lines;
    if (!said) {
        lines = placesOfRefused(line, said.problem(), job);
    } else if (said->is == Spoken::Is::edit) {
        const auto added = onlyNew(said->said.edit, job);
        if (added.empty() || std::any_of(added.begin(), added.end(), [&](const Piece* p) {
                return !p->ties.empty() || !p->on.isFloor() || p->kind != added.front()->kind;
            }))
            return {};
        for (const auto& place :
             usualPlaces(*added.front()->kind, static_cast<int>(added.size()), job))
            lines.push_back(fmt::format("{} {}", line, place));
    }
    std::optional<Result<Spoken>> beforeADoor;
    for (const auto& placed : lines) {
        auto there = readAsSaid(placed, job, to, stopped);
        if (!there || there->is != Spoken::Is::edit)
            continue;
        const Lands lands = landsBy(there->said.edit, job);
        if (lands == Lands::clear)
            return there;
        if (lands == Lands::beforeADoor && !beforeADoor)
            beforeADoor = std::move(there);
    }
    return beforeADoor;
}

std::optional<Spoken> askedAtHome(std::string_view text, const Project& job, const Listener& to,
                                  const Stopped& stopped) {
    const std::string line(trimmed(text));
    if (line.size() > 120 || !mentions(line, {"room for", "space for", "where", "fit"}))
        return {};
    static const Saying words(
        "(?:(?:is there|do i have|do we have|have i|have we|would there be|will there be) (?:got "
        ")?(?:still |any |enough )?(?:room|space) (?:left )?for|where (?:should|could|would|can|do|"
        "does) (?:i |we )?(?:put |place |have )?(?:the |my |some "
        ")?|(?:would|will|can|could|do|does)"
        ") ?((?:an? |two |another |some |the |both )?[a-z][a-z -]*?)(?: (?:go|fit|stand|be|work)"
        "(?: best| here| in here)?)?(?: here| in here)?\\??");
    std::smatch found;
    if (!words.is(line, found))
        return {};
    std::string thing = found[1];
    if (foldCase(thing).starts_with("some ") || foldCase(thing).starts_with("the "))
        thing = thing.substr(thing.find(' ') + 1);
    if (!piecesNamed(thing, job).empty())
        return {}; // it is asked of what is there
    if (!job.library.kit->byWord(thing.substr(thing.rfind(' ') + 1)) &&
        !job.library.kit->byWord(thing))
        return {};
    const auto said = readAsSaid(thing, job, to, stopped);
    auto there = whereItBelongs(thing, said, job, to, stopped);
    // "is there room for two armchairs?": where there is room for both.
    static const auto several = meaning("(?:two|three|four|both|[2-9]) .+");
    if (!there && said && std::regex_match(thing, several))
        there = said;
    if (!there || !*there || (*there)->is != Spoken::Is::edit ||
        landsBy((*there)->said.edit, job) == Lands::inTheWay)
        return {};
    auto out = whatWouldCome(job, (*there)->said);
    return out ? std::optional(std::move(*out)) : std::nullopt;
}

namespace {

/// "a nightstand on the left", "nightstands on both sides": of the bed, which it goes with.
void onThatSideOfIt(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"side", "left", "right"}))
        return;
    static const Saying words(
        "((?:put |place |add |set |have |stand )?)((?:an? |another |one more |the other |the "
        "second "
        "|a second |second |a matching |matching |two |2 |a pair of )?)([a-z][a-z -]*?),? (?:on|to|"
        "at) (?:(?:the |its )?(left|right|other)(?:[- ]hand)?(?: side| one)?|(each|either|both) "
        "sides?)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const KindPtr kind = job.library.kit->byWord(found[3].str());
    const Piece* host = kind ? goesWith(*kind, job) : nullptr;
    if (host == nullptr || kind->standsOn())
        return;
    static const auto bare = meaning("(?:the )?(?:other|second|matching) ");
    const std::string verb = found[1];
    std::string count = found[2];
    if (std::regex_match(count, bare))
        count = "another ";
    if (found[5].matched) {
        std::string noun = found[3];
        if (noun.ends_with('s') && job.library.kit->byWord(noun.substr(0, noun.size() - 1)))
            noun.pop_back();
        out.push_back(fmt::format("{}a {} each side of {}", verb, noun, host->name));
        return;
    }
    if (const auto side = foldCase(found[4].str()); side != "other")
        out.push_back(
            fmt::format("{}{}{} {} of {}", verb, count, found[3].str(), side, host->name));
    else if (const auto sides = besideIt(*host, job); !sides.empty())
        out.push_back(fmt::format("{}{}{} {}", verb, count, found[3].str(), sides.front()));
}

/// "a trunk as a coffee table", "use the bench as a side table": where one of those would go.
void inTheRoleOf(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:put|place|use|have|add|try) )?((?:an? |the |my )?[a-z0-9][a-z0-9 "
        "-]*?) as (?:an? |the |my |our )([a-z][a-z -]*?)(?:,? ((?:in|on|at|by|"
        "beside|next|before|under|over|against|between) .+))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const KindPtr role = job.library.kit->byWord(found[2].str());
    const std::string thing = found[1];
    if (!role || (pieceNamed(thing, job) == nullptr && !nounIn(thing, job)))
        return;
    if (found[3].matched) {
        out.push_back(fmt::format("{} {}", thing, found[3].str()));
        return;
    }
    for (const auto& place : usualPlaces(*role, 1, job))
        out.push_back(fmt::format("{} {}", thing, place));
}

} // namespace

std::vector<Meaning> meaningsOfHomeFirst() {
    return {onThatSideOfIt, inTheRoleOf};
}

} // namespace mezzet
