// Which rug holds a group of seats.
#include "fits/fits.h"

#include "fits/trying.h"
#include "geometry/gap.h"
#include "judge/rug_facts.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/rug.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

RugHold rugHold(const Scene& scene, const std::vector<int>& seats, const Shape& rug,
                Length frontDepth, Length leg) {
    const auto corners = outline(rug);
    RugHold least = RugHold::allLegs;
    for (const int id : seats) {
        const Piece* p = scene.scheme->byId(id);
        const Placed* where = scene.byId(id);
        if (p == nullptr || where == nullptr)
            continue;
        const auto how = seatOnRug(*p, where->pose, corners, leg, frontDepth).how;
        least = std::min(least, how == SeatOnRug::How::all     ? RugHold::allLegs
                                : how == SeatOnRug::How::front ? RugHold::frontLegs
                                                               : RugHold::none);
    }
    return least;
}

namespace {

/// A stock rug where it lies under a group, and what comes of it.
struct Tried {
    FitChoice choice;
    RugHold hold = RugHold::none;
    double area = 0;   ///< mm²
    double border = 0; ///< mm: the narrowest floor left bare beside it
    int trips = 0;     ///< readings of it that are to mend: where one trips, doors that catch
};

/// "10 x 8 ft", "300 x 200 cm", "8 ft round".
std::string sizeName(const RugSize& s) {
    const double unit = s.metric ? 10 : 304.8;
    const auto figure = [&](Length l) {
        return decimals(fmt::format("{:g}", std::round(l.mm() / unit * 100) / 100));
    };
    const char* name = s.metric ? "cm" : "ft";
    return s.round ? worded("{} {} round", figure(s.width), name)
                   : worded("{} x {} {}", figure(s.width), figure(s.depth), name);
}

class RugTrier {
public:
    RugTrier(const Project& job, ScenePtr scene, const std::vector<int>& seats)
        : job_(job), scene_(std::move(scene)), seats_(seats),
          frame_(scene_->byId(seats.front())->pose) {
        for (const int id : seats) {
            const Shape& s = scene_->byId(id)->shape;
            box_.include(Vec2{-extent(s, -frame_.right()), -extent(s, -frame_.front())});
            box_.include(Vec2{extent(s, frame_.right()), extent(s, frame_.front())});
        }
    }

    /// A size where it holds them best; none where it holds none of them inside the walls.
    std::optional<Tried> tried(const RugSize& size) const {
        std::optional<Tried> best;
        for (const bool across : {true, false}) {
            if (!across && size.width == size.depth)
                break;
            auto one =
                lying(size, across ? size.width : size.depth, across ? size.depth : size.width);
            if (one && (!best || one->hold > best->hold))
                best = std::move(one);
        }
        return best;
    }

private:
    std::optional<Tried> lying(const RugSize& size, Length w, Length deep) const {
        const auto kind = job_.library.kit->byId(size.round ? "round-rug" : "rug");
        if (!kind)
            return {};
        // In the middle under them; or, where that goes through a wall, forward until only their
        // front legs are on.
        const Length onIt = job_.library.book->habit("front-legs-on-rug");
        const double front = extent(scene_->byId(seats_.front())->shape, frame_.front());
        const Vec2 middle = frame_.right() * box_.centre().x + frame_.front() * box_.centre().y;
        const Vec2 forward =
            frame_.right() * box_.centre().x + frame_.front() * (front - onIt.mm() + deep.mm() / 2);
        for (const Vec2 at : {middle, forward}) {
            const Shape rug =
                placed(size.round ? oval(w, deep) : rectangle(w, deep), {at, frame_.turn});
            const auto holds =
                rugHold(*scene_, seats_, rug, job_.library.book->habit("front-legs-least"),
                        job_.library.book->habit("rug-leg"));
            if (holds == RugHold::none || !job_.room->holds(at))
                continue;
            double border = 1e300;
            bool in = true;
            for (std::size_t side = 0; side < job_.room->stretches() && in; ++side) {
                const Wall wall = job_.room->stretchAt(side);
                const Gap gap = gapBetween(rug, stretch({wall.start, wall.end}));
                in = gap.depth.mm() <= 0.01;
                border = std::min(border, gap.apart.mm());
            }
            if (!in)
                continue;
            Piece p = pieceOf(kind);
            p.size.width = w;
            p.size.depth = deep;
            p.name = job_.scheme().freeName(kind->name);
            p.pose = {at, frame_.turn};
            Tie under;
            under.kind = Tie::Kind::under;
            under.group = seats_;
            if (at != middle)
                under.distance = onIt;
            Tie turn;
            turn.kind = Tie::Kind::inLineWith;
            turn.of = pieceTarget(seats_.front());
            p.ties = {turn, under};
            Tried out;
            out.choice.edit.acts.emplace_back(PutPiece{p});
            const auto after = apply(job_, out.choice.edit);
            if (!after)
                continue;
            const int id = job_.scheme().nextId;
            for (const Reading& r : judgedAfter(*after).readings)
                out.trips += r.piece == id && r.toMend() &&
                                     (r.rule->id == "rug-trip" || r.rule->id == "rug-door")
                                 ? 1
                                 : 0;
            out.hold = holds;
            out.area = areaOf(p);
            out.border = border;
            out.choice.size = p.size;
            out.choice.pose = p.pose;
            out.choice.form = size.round ? FootprintForm::oval : FootprintForm::rectangle;
            out.choice.title = sizeName(size);
            out.choice.edit.words = worded("try a rug {}", out.choice.title);
            return out;
        }
        return {};
    }

    const Project& job_;
    ScenePtr scene_;
    const std::vector<int>& seats_;
    Pose frame_;
    Box box_;
};

} // namespace

FitAnswer rugsThatHold(const Project& job, const std::vector<int>& seats, const GoesOn& goesOn) {
    FitAnswer out;
    out.heading = "Rugs that hold the group";
    const auto scene = sceneOf(job);
    if (!scene || seats.empty()) {
        out.reasons.push_back("Choose the seats it is to hold first.");
        return out;
    }
    const bool metric = isMetric(job.notation.units);
    const RugTrier trier(job, *scene, seats);
    std::vector<Tried> all;
    for (const RugSize& s : job.library.rugs->sizes) {
        if (goesOn && !goesOn()) {
            out.stopped = true;
            break;
        }
        if (s.metric != metric || s.runner)
            continue;
        if (auto one = trier.tried(s))
            all.push_back(std::move(*one));
    }
    std::stable_sort(all.begin(), all.end(),
                     [](const Tried& a, const Tried& b) { return a.area < b.area; });
    // Three to look at first: the smallest of either kind, and the largest there is room for.
    const auto smallest = [&](RugHold hold) {
        return std::find_if(all.begin(), all.end(), [&](const Tried& t) { return t.hold >= hold; });
    };
    const auto fronts = smallest(RugHold::frontLegs);
    const auto legs = smallest(RugHold::allLegs);
    for (auto it = all.begin(); it != all.end(); ++it) {
        std::vector<std::string> says{it->hold == RugHold::allLegs ? "all legs on"
                                                                   : "front legs on"};
        if (it == legs)
            says.emplace_back("the smallest that holds all");
        else if (it == fronts)
            says.emplace_back("the smallest that holds fronts");
        if (it + 1 == all.end() && all.size() > 1)
            says.emplace_back("the largest there is room for");
        says.push_back(worded("{} of floor at its narrowest",
                              writeGap(Length::millimetres(it->border), job.notation)));
        if (it->trips > 0)
            says.emplace_back("one trips on it, or a door catches");
        for (const auto& s : says)
            it->choice.detail += (it->choice.detail.empty() ? "" : "; ") + s;
    }
    // Those nobody trips on first; of them all legs before fronts where both are asked about alike.
    std::stable_sort(all.begin(), all.end(),
                     [](const Tried& a, const Tried& b) { return (a.trips > 0) < (b.trips > 0); });
    for (Tried& t : all)
        out.choices.push_back(std::move(t.choice));
    out.yes = !out.choices.empty();
    if (out.choices.empty() && !out.stopped)
        out.reasons.push_back(
            "No usual size holds this group inside the walls; a larger one is cut "
            "from the roll.");
    return out;
}

} // namespace mezzet
