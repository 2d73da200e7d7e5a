#include "room/room.h"

#include "geometry/polygon.h"
#include "measure/texts.h"

#include <algorithm>
#include <numbers>

namespace mezzet {

std::string Opening::name() const {
    const char* k = kind == OpeningKind::window ? "window"
                    : kind == OpeningKind::door ? "door"
                                                : "opening";
    return worded("{} {}", k, number);
}

std::string Fixture::name() const {
    const char* k = kind == FixtureKind::chimney ? "chimney" : fixtureName(kind);
    return number == 1 ? k : worded("{} {}", k, number);
}

bool Fixture::takesFloor() const {
    // What begins above a person's head takes no floor.
    constexpr Length overhead = Length::inches(78);
    switch (kind) {
    case FixtureKind::outlet:
    case FixtureKind::lightSwitch:
    case FixtureKind::vent:
    case FixtureKind::wallLight:
        return false;
    default:
        return up < overhead;
    }
}

std::vector<Vec2> Room::corners() const {
    std::vector<Vec2> out;
    for (const auto& w : walls)
        out.push_back(w.start);
    if (!closed && !walls.empty())
        out.push_back(walls.back().end);
    return out;
}

double Room::floorArea() const {
    if (!closed)
        return 0;
    double area = std::abs(signedArea(edge));
    for (const auto& f : fixtures) {
        if (f.isBreast())
            area -= f.width.mm() * f.depth.mm();
        else if (f.kind == FixtureKind::column)
            area -= f.width.mm() * f.depth.mm() * (f.round ? std::numbers::pi / 4 : 1);
    }
    return area;
}

Length Room::perimeter() const {
    double sum = 0;
    for (std::size_t i = 0; i < stretches(); ++i)
        sum += stretchAt(i).length().mm();
    return Length::millimetres(sum);
}

Box Room::bounds() const {
    Box b;
    for (const Vec2 p : edge)
        b.include(p);
    return b;
}

bool Room::holds(Vec2 p) const {
    if (closed && !insideOutline(edge, p))
        return false;
    return std::none_of(fixtures.begin(), fixtures.end(), [&](const Fixture& f) {
        return f.takesFloor() && contains(solid(*this, f), p);
    });
}

Vec2 Room::middle() const {
    const auto& c = edge;
    if (c.empty())
        return {};
    const Vec2 m = centroid(c);
    if (!closed || insideOutline(c, m))
        return m;
    // An L or a U can have its centroid outside: take the inside point of a coarse grid that lies
    // farthest from every wall.
    const Box b = bounds();
    Vec2 best = m;
    double most = -1;
    for (int i = 1; i < 20; ++i) {
        for (int j = 1; j < 20; ++j) {
            const Vec2 p{b.low.x + b.size().x * i / 20, b.low.y + b.size().y * j / 20};
            if (!insideOutline(c, p))
                continue;
            double nearest = 1e300;
            for (const auto& w : walls)
                nearest = std::min(nearest, norm(p - nearestOn({w.start, w.end}, p)));
            if (nearest > most) {
                most = nearest;
                best = p;
            }
        }
    }
    return best;
}

std::vector<Vec2> arcPoints(Vec2 start, Vec2 end, double rise, Vec2 out) {
    const double chord = norm(end - start);
    if (rise < 1e-6 || chord < 1e-6)
        return {start};
    // Radius from chord and rise: r = (c²/4 + h²) / 2h.
    const double r = (chord * chord / 4 + rise * rise) / (2 * rise);
    const double half = std::asin(std::min(chord / 2 / r, 1.0));
    const Vec2 along = unit(end - start);
    const Vec2 centre = (start + end) / 2 + out * (rise - r);
    const double step = 2 * std::acos(std::max(1 - 0.05 / r, -1.0));
    const int parts = std::clamp(static_cast<int>(std::ceil(2 * half / step)), 4, 400);
    std::vector<Vec2> points;
    for (int i = 0; i < parts; ++i) {
        const double a = -half + 2 * half * i / parts;
        points.push_back(i == 0 ? start
                                : centre + along * (r * std::sin(a)) + out * (r * std::cos(a)));
    }
    return points;
}

namespace {

class Builder {
public:
    explicit Builder(const TapeNotes& notes) : notes_(notes), room_(std::make_shared<Room>()) {}

    Result<RoomPtr> run() {
        auto laid = traverse(notes_);
        Fit fitted = fit(notes_, laid);
        std::string square = rightAnglesDoubted(laid, fitted);
        room_->name = notes_.name;
        room_->units = notes_.units;
        room_->ceiling = notes_.ceiling.height;
        room_->ceilingTaped = notes_.ceiling.taped;
        room_->slopes = notes_.ceiling.slopes;
        room_->tray = notes_.ceiling.tray;
        room_->beams = notes_.ceiling.beams;
        room_->joists = notes_.ceiling.joists;
        room_->mouldings = notes_.mouldings;
        room_->steps = notes_.steps;
        room_->north = notes_.north;
        room_->closure = laid.closure;
        room_->fit = std::move(fitted);
        auto& closure = room_->closure;
        // With corners unknown the runs alone can't gape: then the fit itself must be no worse than
        // a few times what the tools promise.
        const bool unknown = loosened_ || std::any_of(notes_.walls.begin(), notes_.walls.end(),
                                                      [](const TapedWall& w) {
                                                          return w.corner == CornerSure::unknown;
                                                      });
        closure.closed =
            closure.closed && room_->fit.determined && (!unknown || room_->fit.unitWeight < 6);
        room_->closed = closure.closed;
        if (!room_->fit.words.empty())
            closure.words = (room_->closed || !laid.closure.closed ? closure.words + " " : "") +
                            room_->fit.words;
        closure.doubted = closure.closed && !square.empty() && !loosened_;
        if (!square.empty())
            closure.words += (closure.words.empty() ? "" : " ") + square;
        corners_ = room_->closed ? room_->fit.corners : laid.raw;
        if (room_->closed) {
            if (auto problem = crossed(corners_, false))
                return *problem;
        }
        for (std::size_t i = 0; i < notes_.walls.size(); ++i)
            wall(i);
        diagonals();
        if (auto problem = columns())
            return *problem;
        edge();
        if (room_->closed) {
            if (auto problem = crossed(room_->edge, true))
                return *problem;
        }
        if (auto problem = headsUnderSlopes())
            return *problem;
        return RoomPtr(room_);
    }

private:
    /// How far a diagonal is from what right angles make it, when that is more than the tools
    /// allow.
    [[nodiscard]] std::optional<std::pair<const TapedDiagonal*, Length>>
    offSquare(const Traverse& laid) const {
        std::optional<std::pair<const TapedDiagonal*, Length>> worst;
        double most = 1;
        for (const TapedDiagonal& d : notes_.diagonals) {
            const auto from = static_cast<std::size_t>(d.from);
            const auto to = static_cast<std::size_t>(d.to);
            if (from >= laid.balanced.size() || to >= laid.balanced.size())
                continue;
            const Length square =
                Length::millimetres(norm(laid.balanced[to] - laid.balanced[from]));
            const double sigma = notes_.weights.tape.of(d.run.value).mm();
            const double off = std::abs((d.run.value - square).mm()) / (3 * std::sqrt(3.0) * sigma);
            if (off > most) {
                most = off;
                worst = {&d, square};
            }
        }
        return worst;
    }

    /// Corners that were only taken to be square are held loosely: where what was measured fits
    /// well without them and not with them, they give. Where one diagonal alone speaks against
    /// them, that is said, and nothing is decided.
    std::string rightAnglesDoubted(Traverse& laid, Fit& fitted) {
        const bool assumed =
            std::any_of(notes_.walls.begin(), notes_.walls.end(),
                        [](const TapedWall& w) { return w.corner == CornerSure::assumed; });
        if (!assumed || notes_.diagonals.empty() || !laid.closure.turnsOnce)
            return {};
        const auto off = offSquare(laid);
        if (laid.closure.closed && fitted.suspects.empty() && !off)
            return {};
        TapeNotes loose = notes_;
        for (TapedWall& w : loose.walls)
            if (w.corner == CornerSure::assumed)
                w.corner = CornerSure::unknown;
        auto laidLoose = traverse(loose);
        auto fitLoose = fit(loose, laidLoose);
        constexpr double good = 2.5;
        // Only where its lengths alone say more than its shape needs, which for so many corners are
        // twice as many less three: else a slip would pass for a crooked room.
        const bool braced =
            notes_.walls.size() + notes_.diagonals.size() + 3 > 2 * notes_.walls.size();
        if (fitLoose.determined && fitLoose.redundancy > 0 && braced &&
            fitLoose.unitWeight < good && fitLoose.suspects.empty()) {
            loosened_ = true;
            laid = std::move(laidLoose);
            fitted = std::move(fitLoose);
            return "It is out of square, as the diagonals have it.";
        }
        if (!off || !laid.closure.closed || fitLoose.redundancy > 0)
            return {};
        const Notation shown{notes_.units, 16};
        const auto& [d, square] = *off;
        return worded("Diagonal {} to {} reads {}, and right angles make it {}: the room is "
                      "out of square, or one of these is a slip. Tape the other diagonal.",
                      wallName(d->from), wallName(d->to), write(d->run.value, shown),
                      write(square, shown));
    }
    bool loosened_ = false;

    /// A window or door can't be higher than the ceiling that slopes down over it.
    std::optional<Problem> headsUnderSlopes() const {
        if (!room_->closed || room_->slopes.empty())
            return {};
        for (const Opening& o : room_->openings) {
            const auto top = room_->topOf(o.wall);
            for (const Length s : {o.left, o.left + o.width}) {
                double h = top.front().y;
                for (std::size_t i = 0; i + 1 < top.size(); ++i)
                    if (s.mm() >= top[i].x)
                        h = top[i].y + (top[i + 1].y - top[i].y) * (s.mm() - top[i].x) /
                                           std::max(top[i + 1].x - top[i].x, 1e-9);
                // A dormer's window stands out of the slope: a reveal as deep as that says so.
                if (o.head().mm() <= h + 6.35 || o.reveal.value_or(Length{}) >= Length::inches(12))
                    continue;
                const Notation n{room_->units, 16};
                Problem p{worded("the head of {}, {}, is above the sloping ceiling, {} there",
                                 o.name(), write(o.head(), n), write(Length::millimetres(h), n)),
                          "check its heights and the slope; a dormer's window has a reveal of a "
                          "foot or more"};
                p.line = o.place.line;
                p.column = o.place.column;
                p.width = o.place.width;
                return p;
            }
        }
        return {};
    }

    std::optional<Problem> crossed(const std::vector<Vec2>& outline, bool ofEdge) const {
        const auto hit = selfCrossing(outline);
        if (!hit)
            return {};
        const auto wallAt = [&](int k) {
            return static_cast<std::size_t>(ofEdge ? room_->edgeWall[static_cast<std::size_t>(k)]
                                                   : k);
        };
        const auto& w = notes_.walls[wallAt(hit->second)];
        const auto& other = notes_.walls[wallAt(hit->first)];
        Problem p{w.name == other.name
                      ? worded("what goes back from wall {} runs through itself", w.name)
                      : worded("wall {} runs through wall {}", w.name, other.name),
                  ofEdge ? "check how deep its alcoves, bays and curves are"
                         : "check the corners: “corner out” turns the other way"};
        p.line = w.place.line;
        p.column = w.place.column;
        p.width = w.place.width;
        return p;
    }

    void wall(std::size_t i) {
        const auto& taped = notes_.walls[i];
        Wall w{taped.name, corners_[i], corners_[(i + 1) % corners_.size()], taped.run.value,
               taped.rise};
        if (room_->closed)
            room_->closure.corrections[i] = w.length() - taped.run.value;
        const int index = static_cast<int>(i);
        for (const auto& o : taped.openings) {
            Opening out;
            out.kind = o.kind;
            out.number = ++counted_[static_cast<std::size_t>(o.kind)];
            out.wall = index;
            out.left = o.at.on(w.length(), o.width.value);
            out.width = o.width.value;
            out.height = o.height;
            out.sill = o.sill;
            out.hingeRight = o.hingeRight;
            out.swingsIn = o.swingsIn;
            out.undercut = o.undercut;
            out.style = o.style;
            out.opens = o.opens;
            out.reveal = o.reveal;
            out.leadsTo = o.leadsTo;
            out.sillTaped = o.sillTaped;
            out.place = o.place;
            room_->openings.push_back(out);
        }
        for (const auto& f : taped.fixtures)
            fixture(f, index, f.at.on(w.length(), f.width.value));
        for (const auto& r : taped.recesses)
            room_->recesses.push_back({r.kind, index, r.at.on(w.length(), r.width.value),
                                       r.width.value, r.depth, r.face, r.height});
        room_->studs.push_back(taped.studs);
        room_->walls.push_back(std::move(w));
    }

    void fixture(const TapedFixture& f, int wall, Length left, Vec2 middle = {}) {
        Fixture out;
        out.kind = f.kind;
        out.number =
            1 + static_cast<int>(std::count_if(room_->fixtures.begin(), room_->fixtures.end(),
                                               [&](const Fixture& o) { return o.kind == f.kind; }));
        out.wall = wall;
        out.left = left;
        out.width = f.width.value;
        out.depth = f.depth;
        out.up = f.up;
        out.toCeiling = f.height <= Length{} && !out.isPoint();
        out.height = out.toCeiling ? notes_.ceiling.height - f.up : f.height;
        if (f.kind == FixtureKind::stairs) {
            out.toCeiling = false;
            out.height = f.riser * f.risers;
        }
        out.middle = middle;
        out.round = f.round;
        out.hearthDepth = f.hearthDepth;
        out.hearthWidth = f.hearthWidth;
        out.fireWidth = f.fireWidth;
        out.fireHeight = f.fireHeight;
        out.risers = f.risers;
        out.riser = f.riser;
        out.going = f.going;
        out.upRight = f.upRight;
        out.place = f.place;
        room_->fixtures.push_back(out);
    }

    void diagonals() {
        for (const auto& d : notes_.diagonals) {
            DiagonalCheck check{d.from, d.to, d.run.value, {}, true};
            check.computed = distance(corners_[static_cast<std::size_t>(d.from)],
                                      corners_[static_cast<std::size_t>(d.to)]);
            const Length allowed = std::max(d.run.value / notes_.tolerance, Length::inches(0.25));
            check.agrees = abs(check.computed - check.taped) <= allowed;
            for (const FitItem& it : room_->fit.items)
                if (it.is == FitItem::Is::diagonal && it.wall == d.from && it.other == d.to &&
                    it.setAside)
                    check.agrees = false;
            room_->diagonals.push_back(check);
        }
    }

    std::optional<Problem> columns() {
        std::size_t known = 0;
        for (const auto& c : notes_.columns) {
            const bool crosses =
                std::any_of(c.columnAt.begin(), c.columnAt.end(), [&](const FromWall& f) {
                    return std::abs(cross(direction(f.wall), direction(c.columnAt.front().wall))) >
                           0.1;
                });
            if (!crosses) {
                Problem p{"the walls this column was taped from run the same way",
                          "tape it from two walls that meet"};
                p.line = c.place.line;
                p.column = c.place.column;
                p.width = c.place.width;
                return p;
            }
            if (!room_->closed)
                continue;
            fixture(c, c.columnAt.front().wall, {}, room_->fit.columns[known++]);
        }
        return {};
    }

    [[nodiscard]] Vec2 direction(int wall) const {
        return room_->walls[static_cast<std::size_t>(wall)].along();
    }

    void edge() {
        auto& e = room_->edge;
        const auto put = [&](Vec2 p, std::size_t wall) {
            if (!e.empty() && norm(e.back() - p) < 1e-6)
                e.pop_back(), room_->edgeWall.pop_back();
            e.push_back(p);
            room_->edgeWall.push_back(static_cast<int>(wall));
        };
        for (std::size_t i = 0; i < room_->walls.size(); ++i) {
            const Wall& w = room_->walls[i];
            const Vec2 out = -w.inward();
            if (w.rise) {
                const bool outward = *w.rise > Length{};
                for (const Vec2 p :
                     arcPoints(w.start, w.end, abs(*w.rise).mm(), outward ? out : -out))
                    put(p, i);
                continue;
            }
            put(w.start, i);
            std::vector<const Recess*> here;
            for (const Recess& r : room_->recesses)
                if (r.wall == static_cast<int>(i))
                    here.push_back(&r);
            std::sort(here.begin(), here.end(),
                      [](const Recess* a, const Recess* b) { return a->left < b->left; });
            for (const Recess* r : here) {
                const Vec2 a = w.at(r->left);
                const Vec2 b = w.at(r->left + r->width);
                const Vec2 back = out * r->depth.mm();
                if (r->kind == RecessKind::bow) {
                    for (const Vec2 p : arcPoints(a, b, r->depth.mm(), out))
                        put(p, i);
                } else {
                    const Vec2 in = r->kind == RecessKind::bay
                                        ? w.along() * ((r->width - r->face).mm() / 2)
                                        : Vec2{};
                    put(a, i);
                    put(a + in + back, i);
                    put(b - in + back, i);
                }
                put(b, i);
            }
        }
        if (e.size() > 1 && room_->closed && norm(e.back() - e.front()) < 1e-6) {
            e.pop_back();
            room_->edgeWall.pop_back();
        }
        if (!room_->closed && !room_->walls.empty())
            put(room_->walls.back().end, room_->walls.size() - 1);
    }

    const TapeNotes& notes_;
    std::shared_ptr<Room> room_;
    std::vector<Vec2> corners_;
    std::array<int, 3> counted_{};
};

} // namespace

Result<RoomPtr> buildRoom(const TapeNotes& notes) {
    return Builder(notes).run();
}

Result<std::vector<RoomPtr>> roomsFromNotes(std::string_view notes, std::string_view file) {
    auto read = readTapeNotes(notes, file);
    if (!read)
        return read.problem();
    std::vector<RoomPtr> out;
    for (const auto& one : *read) {
        auto room = buildRoom(one);
        if (!room) {
            Problem p = room.problem();
            p.file = file;
            return p;
        }
        out.push_back(*room);
    }
    return out;
}

Result<RoomPtr> roomFromNotes(std::string_view notes, std::string_view file) {
    auto all = roomsFromNotes(notes, file);
    if (!all)
        return all.problem();
    return all->front();
}

Shape solid(const Room& room, const Fixture& f) {
    const Wall& w = room.walls[static_cast<std::size_t>(f.wall)];
    if (f.kind == FixtureKind::column)
        return placed(f.round ? oval(f.width, f.depth) : rectangle(f.width, f.depth),
                      {f.middle, w.direction()});
    const Vec2 in = w.inward() * f.depth.mm();
    const std::array<Vec2, 4> corners{w.at(f.left), w.at(f.left + f.width),
                                      w.at(f.left + f.width) + in, w.at(f.left) + in};
    return convexPolygon(corners);
}

std::optional<Shape> doorSwing(const Room& room, const Opening& o) {
    if (o.kind != OpeningKind::door || !o.swingsIn || o.style == DoorStyle::sliding ||
        o.style == DoorStyle::pocket)
        return {};
    const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
    // From shut along the wall round to square into the room.
    const auto leaf = [&](bool right, Length width) {
        return sector(w.at(right ? o.left + o.width : o.left), right ? -w.along() : w.along(),
                      Angle::degrees(right ? -90 : 90), width);
    };
    if (o.style == DoorStyle::pair) {
        Shape both = leaf(false, o.width / 2);
        const Shape right = leaf(true, o.width / 2);
        both.parts[1] = right.parts[0];
        both.count = 2;
        both.centre = w.at(o.left + o.width / 2);
        both.reach = o.width.mm(); // holds both sectors
        return both;
    }
    // A folding door's leaves stand out half their opening, at the side they fold to.
    return leaf(o.hingeRight, o.style == DoorStyle::folding ? o.width / 2 : o.width);
}

Vec2 middleOf(const Room& room, const Opening& o) {
    return room.walls[static_cast<std::size_t>(o.wall)].at(o.left + o.width / 2);
}

std::vector<const Opening*> openingsAlong(const Room& room, std::size_t stretch) {
    const Wall w = room.stretchAt(stretch);
    std::vector<const Opening*> out;
    for (const Opening& o : room.openings) {
        const Vec2 middle = middleOf(room, o);
        if (o.wall == room.edgeWall[stretch] &&
            norm(middle - nearestOn({w.start, w.end}, middle)) < 1)
            out.push_back(&o);
    }
    std::sort(out.begin(), out.end(),
              [](const Opening* a, const Opening* b) { return a->left < b->left; });
    return out;
}

} // namespace mezzet
