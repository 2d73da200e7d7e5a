#include "room/house.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

namespace {

/// Where an opening's middle is, and the direction of its wall.
Pose poseOf(const Room& room, const Opening& o) {
    return {middleOf(room, o), room.walls[static_cast<std::size_t>(o.wall)].direction()};
}

/// What a door may lead to that is no room to tape.
bool isNeverTaped(const std::string& to) {
    constexpr std::string_view places[] = {"outside", "garden", "patio",    "balcony", "terrace",
                                           "deck",    "closet", "cupboard", "pantry"};
    return std::find(std::begin(places), std::end(places), foldCase(to)) != std::end(places);
}

Pose compose(const Pose& outer, const Pose& inner) {
    return {outer.toRoom(inner.at), outer.turn + inner.turn};
}

/// The place of a room so that its opening's pose comes to lie on `wanted`.
Pose placeFor(const Pose& opening, const Pose& wanted) {
    const Angle turn = wanted.turn - opening.turn;
    return {wanted.at - turned(opening.at, turn), turn.normalised()};
}

} // namespace

House joinRooms(const std::vector<RoomPtr>& rooms, Length thickness) {
    House house;
    house.places.resize(rooms.size());
    const auto named = [&](const std::string& name) -> std::optional<std::size_t> {
        for (std::size_t i = 0; i < rooms.size(); ++i)
            if (foldCase(rooms[i]->name) == foldCase(name))
                return i;
        return {};
    };
    for (std::size_t r = 0; r < rooms.size(); ++r) {
        for (std::size_t o = 0; o < rooms[r]->openings.size(); ++o) {
            const Opening& opening = rooms[r]->openings[o];
            if (opening.leadsTo.empty())
                continue;
            const auto to = named(opening.leadsTo);
            if (!to || *to == r) {
                if (rooms.size() > 1 && !isNeverTaped(opening.leadsTo))
                    house.notices.push_back(worded("{} of {} leads to {}, which is no room "
                                                   "of these notes",
                                                   opening.name(), rooms[r]->name,
                                                   opening.leadsTo));
                continue;
            }
            Joint j{r, o, *to, {}, {}};
            // The k-th door from here to there is the k-th from there to here.
            const auto before = static_cast<std::size_t>(
                std::count_if(house.joints.begin(), house.joints.end(), [&](const Joint& other) {
                    return other.room == r && other.beyond == *to;
                }));
            std::size_t seen = 0;
            for (std::size_t k = 0; k < rooms[*to]->openings.size(); ++k)
                if (foldCase(rooms[*to]->openings[k].leadsTo) == foldCase(rooms[r]->name) &&
                    seen++ == before)
                    j.other = k;
            house.joints.push_back(j);
        }
    }
    if (rooms.empty())
        return house;
    house.places[0] = Pose{};
    // Across the opening, turned half round, a wall's thickness away.
    const auto wanted = [&](const Joint& j) {
        const Opening& o = rooms[j.room]->openings[j.opening];
        Pose p = compose(*house.places[j.room], poseOf(*rooms[j.room], o));
        p.at = p.at - quarter(turned({1, 0}, p.turn)) * thickness.mm();
        p.turn = p.turn + Angle::degrees(180);
        return p;
    };
    for (bool more = true; more;) {
        more = false;
        for (const Joint& j : house.joints) {
            if (!j.other || !house.places[j.room] || house.places[j.beyond])
                continue;
            house.places[j.beyond] =
                placeFor(poseOf(*rooms[j.beyond], rooms[j.beyond]->openings[*j.other]), wanted(j));
            more = true;
        }
    }
    const Notation n{rooms.front()->units, 16};
    for (Joint& j : house.joints) {
        if (!j.other || !house.places[j.room] || !house.places[j.beyond])
            continue;
        const Opening& here = rooms[j.room]->openings[j.opening];
        const Opening& there = rooms[j.beyond]->openings[*j.other];
        const Pose back = compose(*house.places[j.beyond], poseOf(*rooms[j.beyond], there));
        j.off = distance(back.at, wanted(j).at);
        if (j.room > j.beyond)
            continue; // said once
        if (j.off > Length::inches(1))
            house.notices.push_back(worded("{} and {} don't meet at {} by {}: a wall between "
                                           "is thicker than drawn, or a run is wrong",
                                           rooms[j.room]->name, rooms[j.beyond]->name, here.name(),
                                           write(j.off, n)));
        if (abs(here.width - there.width) > Length::inches(0.5))
            house.notices.push_back(worded("{} of {} is {} wide, and {} on the other side",
                                           here.name(), rooms[j.room]->name, write(here.width, n),
                                           write(there.width, n)));
    }
    for (std::size_t i = 1; i < rooms.size(); ++i)
        if (!house.places[i])
            house.notices.push_back(worded("{} is joined to no other room: say “leads to” on "
                                           "a door of both",
                                           rooms[i]->name));
    return house;
}

} // namespace mezzet
