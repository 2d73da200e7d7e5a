// Several pieces that are there, placed, turned and tied by one line.
#include "edit/arrange.h"
#include "edit/drag.h"
#include "edit/landing.h"
#include "edit/line_reader.h"
#include "edit/moved_together.h"
#include "edit/place.h"
#include "edit/sizes_said.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/words.h"

#include <algorithm>
#include <regex>

namespace mezzet {

std::vector<int> LineReader::wholes(const std::vector<int>& ids) const {
    const auto has = [&](int id) { return std::find(ids.begin(), ids.end(), id) != ids.end(); };
    std::vector<int> out;
    for (const int id : ids) {
        const int group = pieceOf(id).group();
        const auto members = in.scheme().members(group);
        const bool all = group != 0 && std::all_of(members.begin(), members.end(),
                                                   [&](const Piece* p) { return has(p->id); });
        const int whole = all ? group : id;
        if (std::find(out.begin(), out.end(), whole) == out.end())
            out.push_back(whole);
    }
    return out;
}

/// "pull the chairs out", "tuck them in": those that are drawn up to something, where some are.
std::vector<int> LineReader::drawnUp(const std::vector<int>& ids, std::size_t at) const {
    static const std::regex words("(?:^|.* )(?:out|in)(?: (?:[0-9]|an? |half ).*)?",
                                  std::regex::icase | std::regex::optimize);
    const std::string where(trimmed(in.text().substr(at)));
    constexpr std::size_t longest = 40;
    if (where.size() > longest || !std::regex_match(where, words))
        return ids;
    std::vector<int> out = ids;
    std::erase_if(out, [&](int id) { return tieToTable(pieceOf(id), in.scheme()) == nullptr; });
    return out.empty() ? ids : out;
}

Edit LineReader::placeEach(const std::vector<int>& several, std::size_t at, std::string words) {
    const std::vector<int> ids = drawnUp(wholes(several), at);
    // A step takes them all along; what is tied among them goes with them once. What hangs on walls
    // has other ways than what stands: it stays where not all hang.
    in.goTo(at);
    const auto hung = [&](int id) { return pieceOf(id).onWall(); };
    const auto stands = std::find_if_not(ids.begin(), ids.end(), hung);
    const Piece first = placedPiece(stands != ids.end() ? *stands : ids.front());
    // "2 away from the bed" is another way for what stands on its other side.
    static const std::regex byWhat("\\b(?:away|toward|towards|closer|nearer|further|farther)\\b",
                                   std::regex::icase | std::regex::optimize);
    // Toward a wall is the same way for all.
    static const std::regex byWall("\\b(?:away from|toward|towards|to) (?:the )?wall [a-z]\\b",
                                   std::regex::icase | std::regex::optimize);
    const std::string where(in.text().substr(at));
    const bool eachItsWay = std::regex_search(where, byWhat) && !std::regex_search(where, byWall);
    const auto said = readPlacement(in, first, *scene_, surface_);
    // How far they are apart is another thing than where each goes.
    if (said.apart)
        in.fail(said.apartAt, std::max<std::size_t>(in.at() - said.apartAt, 1),
                "only what is added is told to be apart", "say it like: space them 2 apart");
    if (said.step && !eachItsWay) {
        std::vector<int> moving = ids;
        if (stands != ids.end())
            std::erase_if(moving, hung);
        auto moved = drag(job_, *scene_, moving, *said.step, DragTies::revalue).edit;
        if (moved.acts.empty())
            in.refuse(locked(first), at);
        moved.words = std::move(words);
        return moved;
    }
    // Of a step, what is held by another of them goes along with it, and no second time.
    std::vector<int> movers = ids;
    if (said.step && stands != ids.end())
        std::erase_if(movers, hung);
    if (said.step)
        std::erase_if(movers, [&](int id) {
            const Piece& p = pieceOf(id);
            return std::any_of(p.ties.begin(), p.ties.end(), [&](const Tie& t) {
                return t.fixesPlace() && std::any_of(ids.begin(), ids.end(), [&](int other) {
                           return other != id && t.refersTo(other);
                       });
            });
        });
    if (movers.empty())
        movers = ids;
    const std::size_t end = in.at();
    std::optional<LineFault> fault;
    std::optional<Edit> one;
    bool inTheWay = false; // each where it would be said to hang, over what hangs or stands there
    try {
        one = each(
            movers,
            [at](LineReader& r, int id) {
                r.in.goTo(at);
                Piece p = r.placedPiece(id);
                r.readSizesOf(p);
                return r.place(std::move(p), at);
            },
            words);
        const auto after = apply(job_, *one);
        const auto over = [&](int id) { return hung(id) && !overlapOf(*after->scene, id).empty(); };
        inTheWay = after && std::any_of(ids.begin(), ids.end(), over);
        if (!after || (!standOnOneAnother(ids, *scene_, *after->scene) && !inTheWay))
            return *one;
    } catch (const LineFault& f) {
        fault = f;
    }
    // Where they would stand on one another, or one is held by the next, they go together; along a
    // wall as near to its middle as they are free there.
    bool along = true;
    std::optional<Edit> all;
    constexpr int steps = 12; // to either end of a wall
    for (int k = 0; k <= 2 * steps && ids.size() > 1 && along; ++k)
        try {
            const double aside = (k % 2 == 0 ? 1 : -1) * ((k + 1) / 2) / double(steps);
            auto places = movedTogether(job_, *scene_, ids, said, aside);
            along = places.along.has_value();
            if (places.all.empty())
                break;
            in.goTo(end);
            auto edit = together(std::move(places.all), at, words);
            const auto after = apply(job_, edit);
            const bool free = after && std::all_of(ids.begin(), ids.end(), [&](int id) {
                                  return overlapOf(*after->scene, id).empty() &&
                                         harmOf(job_, *after->scene, {id}).empty();
                              });
            if (free || (!all && !inTheWay))
                all = std::move(edit);
            if (free)
                break;
        } catch (const LineFault&) {
            in.goTo(end); // not there
        }
    if (all)
        return *all;
    if (fault)
        throw *fault;
    return *one;
}

/// First each comes free of the others, or the first could not go before they do.
Edit LineReader::together(std::vector<std::pair<Piece, Placement>> all, std::size_t at,
                          std::string words) {
    Edit free;
    std::vector<int> order;
    for (const auto& [p, place] : all) {
        order.push_back(p.id);
        if (p.ties.size() != pieceOf(p.id).ties.size())
            free.acts.emplace_back(PutPiece{p});
    }
    const auto loose = apply(job_, free);
    if (!loose)
        in.refuse(loose.problem(), at);
    LineReader then(in.text(), *loose->project, loose->scene, in.them(), surface_);
    then.in.goTo(in.at());
    std::size_t next = 0;
    Edit out = then.each(
        order,
        [&](LineReader& r, int) {
            auto& [p, place] = all[next++];
            return r.done(placeWhereFree(r.job_, *r.scene_, p, place), at);
        },
        std::move(words));
    out.acts.insert(out.acts.begin(), free.acts.begin(), free.acts.end());
    return out;
}

void LineReader::readSizesOf(Piece& p) {
    readSizes(in, p, false, notices);
}

Edit LineReader::each(const std::vector<int>& ids, const std::function<Edit(LineReader&, int)>& one,
                      std::string words) {
    Project now = job_;
    ScenePtr scene = scene_;
    Edit all;
    all.words = std::move(words);
    for (const int id : ids) {
        // A group is gone when its last piece has left it.
        if (now.scheme().byId(id) == nullptr)
            continue;
        LineReader r(in.text(), now, scene, in.them(), surface_);
        r.in.goTo(in.at());
        r.in.moves(in.isMoved());
        Edit e = one(r, id);
        in.goTo(r.in.at());
        auto after = apply(now, e);
        if (!after)
            in.refuse(after.problem(), 0);
        now = *after->project;
        scene = after->scene;
        for (Act& a : e.acts)
            all.acts.push_back(std::move(a));
        for (auto& n : e.notices)
            all.notices.push_back(std::move(n));
        for (auto& n : r.notices)
            if (std::find(notices.begin(), notices.end(), n) == notices.end())
                notices.push_back(std::move(n));
    }
    return all;
}

Edit LineReader::retieEach(const std::vector<int>& ids, const Tie& tie, std::size_t start,
                           std::string words) {
    // Those that are turned together stay where they are: one beside another goes round with it in
    // no circle.
    const auto ofAnother = [&](const Tie& t) {
        return std::any_of(ids.begin(), ids.end(), [&](int id) { return t.refersTo(id); });
    };
    return each(
        ids,
        [&](LineReader& r, int id) {
            Piece p = placedPiece(id);
            const bool loose = tie.fixesTurn() && !tie.fixesPlace() && p.on.isFloor() &&
                               std::any_of(p.ties.begin(), p.ties.end(), ofAnother);
            if (!loose)
                return r.retie(r.pieceOf(id), tie, start);
            std::vector<std::string> letGo;
            for (const Tie& t : p.ties)
                if (ofAnother(t))
                    letGo.push_back(mezzet::words(t, job_.wording()));
            std::erase_if(p.ties, ofAnother);
            Placement said;
            said.ties = {tie};
            Edit e =
                r.done(placeWhereFree(r.job_, *r.scene_, std::move(p), std::move(said)), start);
            for (const auto& w : letGo)
                e.notices.push_back(worded("lets go of “{}”", w));
            return e;
        },
        std::move(words));
}

Edit LineReader::retie(const Piece& p, const Tie& tie, std::size_t start) {
    // What is turned keeps clear of the walls it stands by.
    if (tie.fixesTurn() && !tie.fixesPlace() && p.on.isFloor()) {
        Placement said;
        said.ties = {tie};
        return done(placeWhereFree(job_, *scene_, placedPiece(p.id), std::move(said)), start);
    }
    return done(tiePiece(job_, *scene_, p.id, tie), start);
}

} // namespace mezzet
