// What is seen, and from where: finished-back, entry-view, sill-gap, screen-distance,
// screen-to-console, screen-glare.
#include "judge/sights.h"

#include "edit/place.h"
#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "judge/at_table.h"
#include "judge/rule_code.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace mezzet {

namespace {

/// Pieces lower than this don't take part in a view: one looks over them.
constexpr Length looksOver = Length::inches(10);
/// Seated eye above the cushion for a stature of 5' 6": 0.46 of it (Drillis and Contini's segment
/// ratios, from memory).
constexpr Length eyeAboveSeat = Length::inches(0.46 * 66);
constexpr Length standingEye = Length::inches(0.936 * 66); ///< the same source
constexpr Length outThere = Length::metres(3);

/// To the right as one faces what shows to `front`.
Vec2 rightOf(Vec2 front) {
    return {front.y, -front.x};
}

bool isScreen(const Piece& p) {
    return p.kind->role == Role::screen;
}

/// Whether a piece is seen from behind at a place: the place lies behind its back's line.
bool fromBehind(const Piece& p, const Placed& where, Vec2 eye) {
    if (p.footprint.form == FootprintForm::oval || p.kind->role == Role::plant ||
        p.kind->role == Role::lamp || p.kind->role == Role::lowTable ||
        p.kind->role == Role::diningTable || p.kind->role == Role::sideTable ||
        p.kind->role == Role::perch || p.kind->flat())
        return false;
    const Vec2 to = where.pose.toLocal(eye);
    return to.y < -p.size.depth.mm() / 2 && std::abs(to.x) < -to.y;
}

class PlanLooker {
public:
    PlanLooker(const FloorView& scene, Vec2 eye) : scene_(scene) {
        view_.from = eye;
        const Room& room = *scene.room;
        for (std::size_t i = 0; i < room.stretches(); ++i) {
            const Wall w = room.stretchAt(i);
            Vec2 at = w.start;
            const Wall& whole = room.walls[static_cast<std::size_t>(room.edgeWall[i])];
            for (const Opening* o : openingsAlong(room, i)) {
                add(stretch({at, whole.at(o->left)}), wallTarget(room.edgeWall[i]));
                add(stretch({whole.at(o->left), whole.at(o->left + o->width)}), targetOf(*o));
                at = whole.at(o->left + o->width);
            }
            add(stretch({at, w.end}), wallTarget(room.edgeWall[i]));
        }
        for (const Fixture& f : room.fixtures)
            if (f.takesFloor() && f.up < looksOver && f.height > looksOver)
                add(solid(room, f), targetOf(f));
        for (std::size_t i = 0; i < scene.placed.size(); ++i)
            if (scene.piece(i).kind->takesFloor() && scene.piece(i).size.height > looksOver)
                add(scene.placed[i].shape, pieceTarget(scene.placed[i].id));
    }

    void leaveOut(const Target& t) {
        std::erase_if(seen_, [&](const Seen& s) {
            return view_.owners[static_cast<std::size_t>(s.owner)] == t;
        });
    }

    RoomView look(Angle from, Angle sweep) {
        view_.toward = from + sweep * 0.5;
        view_.seen = seen_;
        view_.parts = viewFrom(view_.from, from, sweep, seen_);
        double whole = 0;
        for (const ViewPart& p : view_.parts)
            whole += p.sweep.inRadians();
        if (whole <= 0)
            return view_;
        for (const ViewPart& p : view_.parts) {
            const Target& t = view_.owners[static_cast<std::size_t>(p.owner)];
            const double share = p.sweep.inRadians() / whole;
            const auto it = std::find_if(view_.items.begin(), view_.items.end(),
                                         [&](const ViewItem& v) { return v.what == t; });
            if (it != view_.items.end())
                it->share += share;
            else
                view_.items.push_back({t, share, false});
        }
        for (ViewItem& v : view_.items) {
            if (v.what.is != Target::Is::piece)
                continue;
            const Piece& p = *scene_.scheme->byId(v.what.piece);
            v.backSeen = fromBehind(p, *scene_.byId(p.id), view_.from);
            if (v.backSeen)
                view_.backs += v.share;
        }
        std::stable_sort(view_.items.begin(), view_.items.end(),
                         [](const ViewItem& a, const ViewItem& b) { return a.share > b.share; });
        const Vec2 ahead{std::cos(view_.toward.inRadians()), std::sin(view_.toward.inRadians())};
        double best = -1;
        for (const Seen& s : seen_) {
            const double t = along(view_.from, ahead, s.shape);
            if (t >= 0 && (best < 0 || t < best)) {
                best = t;
                view_.first = view_.owners[static_cast<std::size_t>(s.owner)];
            }
        }
        if (best >= 0)
            view_.firstAt = view_.from + ahead * best;
        return view_;
    }

private:
    void add(const Shape& s, const Target& t) {
        for (const Convex& c : s.all())
            seen_.push_back({c, static_cast<int>(view_.owners.size())});
        view_.owners.push_back(t);
    }

    const FloorView scene_;
    RoomView view_;
    std::vector<Seen> seen_;
};

/// Everything that rises into a sight line but the two it runs between.
int hiddenBy(const FloorView& scene, const SightLine& line, int a, int b) {
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& p = scene.piece(i);
        if (p.id == a || p.id == b || p.kind->flat())
            continue;
        // What carries the mark is not in its way.
        const Placed* mark = scene.byId(b);
        if (mark != nullptr && scene.scheme->byId(b)->kind->standsOn() &&
            gapBetween(mark->shape, scene.placed[i].shape).depth > Length{})
            continue;
        if (hides(line, scene.placed[i].shape, p.size.height))
            return p.id;
    }
    return 0;
}

/// The part of a piece's back, 0 to 1, that is seen from an eye over whatever stands between.
double backSeenFrom(const FloorView& scene, std::size_t i, Vec2 eye, Length eyeHeight) {
    const Piece& p = scene.piece(i);
    const Pose& pose = scene.placed[i].pose;
    constexpr int looks = 9;
    int seen = 0;
    for (int k = 0; k < looks; ++k) {
        const double x = p.size.width.mm() * ((k + 0.5) / looks - 0.5);
        const Vec2 mark = pose.toRoom({x, -p.size.depth.mm() / 2 - 1});
        // It is behind the back's line, and inside the room nothing hides the mark.
        if (pose.toLocal(eye).y >= -p.size.depth.mm() / 2)
            continue;
        const SightLine line{eye, eyeHeight, mark, p.size.height * 0.7};
        bool hidden = false;
        for (const Fixture& f : scene.room->fixtures)
            if (f.takesFloor())
                hidden = hidden || hides(line, solid(*scene.room, f),
                                         f.toCeiling ? scene.room->ceiling : f.up + f.height);
        if (!hidden && hiddenBy(scene, line, p.id, 0) == 0)
            ++seen;
    }
    return static_cast<double>(seen) / looks;
}

void judgeBack(const FloorContext& c) {
    const Room& room = *c.scene.room;
    const Length against = c.rule.setting("against a wall");
    const Length toGlass = c.rule.setting("before a window");
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& p = c.scene.piece(i);
        if (p.backFinished() || p.kind->flat() || p.footprint.form == FootprintForm::oval)
            continue;
        const Placed& where = c.scene.placed[i];
        const Vec2 back = -where.pose.front();
        const Vec2 middle = where.pose.toRoom({0, -p.size.depth.mm() / 2});
        double worst = 0;
        Target from;
        Vec2 at;
        // From outside, over a sill lower than the piece.
        for (const Opening& o : room.openings) {
            if (o.kind != OpeningKind::window || o.sill >= p.size.height)
                continue;
            const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
            if (dot(back, -w.inward()) < 0.7)
                continue;
            const double off = dot(middle - w.start, w.inward());
            if (off < -1 || off > toGlass.mm())
                continue;
            const double left =
                std::max(-extent(where.shape, -w.along()) - dot(w.start, w.along()), o.left.mm());
            const double right = std::min(extent(where.shape, w.along()) - dot(w.start, w.along()),
                                          (o.left + o.width).mm());
            const double share = (right - left) / p.size.width.mm();
            if (share > worst) {
                worst = std::min(share, 1.0);
                from = targetOf(o);
                at = middleOf(room, o);
            }
        }
        // Floating, from a door.
        bool atWall = false;
        for (std::size_t k = 0; k < room.stretches() && !atWall; ++k) {
            const Wall w = room.stretchAt(k);
            const double off = dot(middle - w.start, w.inward());
            const double s = dot(middle - w.start, w.along());
            atWall = dot(back, -w.inward()) > 0.9 && off < against.mm() && off > -against.mm() &&
                     s > 0 && s < w.length().mm();
        }
        if (!atWall) {
            for (const Opening& o : room.openings) {
                if (!isWayIn(o))
                    continue;
                const double share = backSeenFrom(c.scene, i, middleOf(room, o), standingEye);
                if (share > worst) {
                    worst = share;
                    from = targetOf(o);
                    at = middleOf(room, o);
                }
            }
        }
        if (worst > 0)
            c.add(p.id, from, Amount::ratio(worst), middle, at);
    }
}

std::vector<Handle> backHandles(const Reading& r, double, const Project& job, const Scene& scene) {
    const Piece& p = *job.scheme().byId(r.piece);
    Piece finished = asItStands(job, scene, r.piece);
    finished.finishedBack = finished.kind->bareBack ? std::optional(true) : std::nullopt;
    std::vector<Handle> out{
        doing(p.name + ", finished back", changePiece(job, std::move(finished)))};
    // Against the wall its back is nearest to.
    const Placed& where = *scene.byId(p.id);
    const Wall* best = nullptr;
    double near = 1e300;
    for (const Wall& w : scene.room->walls) {
        const double off = dot(where.pose.at - w.start, w.inward());
        if (dot(where.pose.front(), w.inward()) > 0.7 && off < near) {
            near = off;
            best = &w;
        }
    }
    if (best != nullptr && !p.locked) {
        Tie back;
        back.kind = Tie::Kind::against;
        back.of = wallTarget(static_cast<int>(best - scene.room->walls.data()));
        out.push_back(doing(fmt::format("move {} against wall {}", p.name, best->name),
                            tiePiece(job, scene, p.id, back)));
    }
    return out;
}

void judgeEntry(const FloorContext& c) {
    if (!c.scene.room->closed || c.scene.placed.empty())
        return;
    for (const Opening& o : c.scene.room->openings) {
        if (!isWayIn(o))
            continue;
        const auto v = viewFromDoor(c.scene, o);
        if (!v.first)
            continue;
        const int piece = v.first->is == Target::Is::piece ? v.first->piece : 0;
        Reading& r = c.note(piece, targetOf(o), Amount::ratio(v.backs), v.from, v.firstAt);
        r.part = o.number + (o.kind == OpeningKind::opening ? 1000 : 0);
    }
}

/// A seat's back before a window: the gap to the wall, and what lies below the sill.
void judgeSill(const FloorContext& c) {
    const Room& room = *c.scene.room;
    const Length look = c.rule.setting("look");
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& p = c.scene.piece(i);
        if (!isLounge(p))
            continue;
        const Placed& where = c.scene.placed[i];
        const Vec2 back = where.pose.toRoom({0, -p.size.depth.mm() / 2});
        for (const Opening& o : room.openings) {
            if (o.kind != OpeningKind::window)
                continue;
            const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
            const double off = dot(back - w.start, w.inward());
            const double s = dot(back - w.start, w.along());
            if (dot(where.pose.front(), w.inward()) < 0.98 || off < -1 || off > look.mm() ||
                s < o.left.mm() || s > (o.left + o.width).mm())
                continue;
            const Length below = o.sill - p.heights.back.value_or(p.size.height);
            if (below < Length{})
                continue;
            Reading& r = c.note(p.id, targetOf(o), Amount{Quantity::length, std::max(off, 0.0)},
                                back, back - w.inward() * off);
            r.second = Amount::of(below);
            if (off < c.rule.setting("least ledge").mm())
                r.instead = "at the wall";
        }
    }
}

void judgeScreen(const FloorContext& c) {
    const double want = c.rule.number("degrees across") * std::numbers::pi / 180;
    for (const auto& s : screenSights(c.scene)) {
        if (s.hiddenBy != 0)
            continue;
        const Piece& screen = *c.scene.scheme->byId(s.screen);
        Band band;
        band.high = screen.size.width.mm() / (2 * std::tan(want / 2));
        Reading& r = c.add(s.seat, pieceTarget(s.screen), Amount::of(s.distance), band,
                           c.scene.byId(s.seat)->pose.at, s.face);
        r.verdict = Verdict::note;
        r.second = Amount{Quantity::count, s.across.inDegrees()};
    }
}

void judgeConsole(const FloorContext& c) {
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& screen = c.scene.piece(i);
        if (!isScreen(screen) || !screen.kind->standsOn())
            continue;
        for (std::size_t k = 0; k < c.scene.placed.size(); ++k) {
            const Piece& under = c.scene.piece(k);
            if (under.kind->family != Family::storage || under.kind->standsOn() ||
                gapBetween(c.scene.placed[i].shape, c.scene.placed[k].shape).depth <= Length{})
                continue;
            const Pose& pose = c.scene.placed[k].pose;
            const Vec2 half = pose.right() * (under.size.width.mm() / 2);
            c.add(screen.id, pieceTarget(under.id),
                  Amount::ratio(screen.size.width / under.size.width), pose.at - half,
                  pose.at + half);
        }
    }
}

std::vector<Handle> consoleHandles(const Reading& r, double target, const Project& job,
                                   const Scene& scene) {
    const double under = job.scheme().byId(r.other.piece)->size.width.mm();
    const double screen = job.scheme().byId(r.piece)->size.width.mm();
    return {resize(job, scene, r.other.piece, SizeFigure::width, screen / target,
                   -screen / (under * under)),
            resize(job, scene, r.piece, SizeFigure::width, target * under, 1 / under)};
}

/// Where a window is mirrored in a screen for the seat that looks at it: the share of the window's
/// width. The screen is a plane mirror; by the mirrored eye.
void judgeGlare(const FloorContext& c) {
    const Room& room = *c.scene.room;
    for (const auto& s : screenSights(c.scene)) {
        if (s.hiddenBy != 0)
            continue;
        const Piece& screen = *c.scene.scheme->byId(s.screen);
        const Vec2 n = s.front;
        const Vec2 face = s.face;
        const Vec2 eye = c.scene.byId(s.seat)->pose.at;
        const Vec2 image = eye - n * (2 * dot(eye - face, n));
        const Vec2 half = rightOf(n) * (screen.size.width.mm() / 2);
        for (const Opening& o : room.openings) {
            if (o.kind != OpeningKind::window)
                continue;
            const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
            if (dot(w.at(o.left + o.width / 2) - face, n) <= 0)
                continue; // behind the screen
            // The two edges of the screen, as seen from the image, on the window's wall.
            std::array<double, 2> s2{};
            bool hits = true;
            for (std::size_t k = 0; k < 2; ++k) {
                const Vec2 edge = face + half * (k == 0 ? -1 : 1);
                const Vec2 d = edge - image;
                const double across = dot(d, w.inward());
                const double t = dot(w.start - image, w.inward()) / across;
                if (std::abs(across) < 1e-9 || t <= 1) {
                    hits = false;
                    break;
                }
                s2[k] = dot(image + d * t - w.start, w.along());
            }
            if (!hits)
                continue;
            const double low = std::max(std::min(s2[0], s2[1]), o.left.mm());
            const double high = std::min(std::max(s2[0], s2[1]), (o.left + o.width).mm());
            if (high - low <= 0)
                continue;
            Reading& r = c.note(s.screen, targetOf(o), Amount::ratio((high - low) / o.width.mm()),
                                face, middleOf(room, o));
            r.also = s.seat;
        }
    }
}

constexpr std::array<RuleCode, 6> sightsCodes{{{"finished-back", judgeBack, backHandles, true},
                                               {"sill-gap", judgeSill, noHandles},
                                               {"entry-view", judgeEntry, noHandles},
                                               {"screen-distance", judgeScreen, noHandles},
                                               {"screen-to-console", judgeConsole, consoleHandles},
                                               {"screen-glare", judgeGlare, noHandles}}};

} // namespace

RoomView viewFromDoor(const FloorView& scene, const Opening& o) {
    const Wall& w = scene.room->walls[static_cast<std::size_t>(o.wall)];
    // Just inside the door, so that its own wall is not all one sees.
    PlanLooker looker(scene, middleOf(*scene.room, o) + w.inward() * 1.0);
    const double in = directionOf(w.inward()).inRadians();
    const double quarterTurn = std::numbers::pi / 2 - 0.01;
    return looker.look(Angle::radians(in - quarterTurn), Angle::radians(2 * quarterTurn));
}

RoomView viewFromSeat(const FloorView& scene, int piece, Length over) {
    const Piece& p = *scene.scheme->byId(piece);
    const Placed& where = *scene.byId(piece);
    PlanLooker looker(scene, frontMiddle(p, where.pose));
    looker.leaveOut(pieceTarget(piece));
    for (std::size_t i = 0; i < scene.placed.size(); ++i)
        if (scene.piece(i).size.height <= over)
            looker.leaveOut(pieceTarget(scene.placed[i].id));
    const double ahead = directionOf(where.pose.front()).inRadians();
    const double third = std::numbers::pi / 3;
    return looker.look(Angle::radians(ahead - third), Angle::radians(2 * third));
}

RoomView viewFromOutside(const FloorView& scene, const Opening& o) {
    const Wall& w = scene.room->walls[static_cast<std::size_t>(o.wall)];
    const Vec2 eye = middleOf(*scene.room, o) - w.inward() * outThere.mm();
    PlanLooker looker(scene, eye);
    looker.leaveOut(targetOf(o));
    for (std::size_t i = 0; i < scene.placed.size(); ++i)
        if (scene.piece(i).size.height <= o.sill)
            looker.leaveOut(pieceTarget(scene.placed[i].id));
    const double a = directionOf(w.at(o.left) - eye).inRadians();
    const double b = directionOf(w.at(o.left + o.width) - eye).inRadians();
    const double sweep = std::remainder(b - a, 2 * std::numbers::pi);
    return sweep >= 0 ? looker.look(Angle::radians(a), Angle::radians(sweep))
                      : looker.look(Angle::radians(b), Angle::radians(-sweep));
}

std::vector<ScreenSight> screenSights(const FloorView& scene) {
    std::vector<ScreenSight> out;
    // From each seat to a screen's face, whose middle hangs or stands so high.
    const auto look = [&](const Piece& screen, Vec2 face, Vec2 front, Length middle) {
        for (std::size_t i = 0; i < scene.placed.size(); ++i) {
            const Piece& seat = scene.piece(i);
            if (!isLounge(seat) && seat.kind->role != Role::bed)
                continue;
            const Pose& from = scene.placed[i].pose;
            const Vec2 eye = from.at;
            const Vec2 to = face - eye;
            const double far = norm(to);
            // It looks toward the screen, and stands before its face.
            if (far < 1 || dot(unit(to), from.front()) < 0.5 || dot(-unit(to), front) < 0.17)
                continue;
            ScreenSight s;
            s.seat = seat.id;
            s.screen = screen.id;
            s.face = face;
            s.front = front;
            s.distance = Length::millimetres(far);
            const Vec2 half = rightOf(front) * (screen.size.width.mm() / 2);
            const double a = directionOf(face - half - eye).inRadians();
            const double b = directionOf(face + half - eye).inRadians();
            s.across = Angle::radians(std::abs(std::remainder(b - a, 2 * std::numbers::pi)));
            s.off = Angle::radians(std::acos(std::clamp(dot(-unit(to), front), -1.0, 1.0)));
            const SightLine line{eye, seat.heights.seat.value_or(Length::inches(18)) + eyeAboveSeat,
                                 face, middle};
            s.hiddenBy = hiddenBy(scene, line, seat.id, screen.id);
            out.push_back(s);
        }
    };
    for (std::size_t k = 0; k < scene.placed.size(); ++k) {
        const Piece& screen = scene.piece(k);
        if (!isScreen(screen))
            continue;
        const Pose& pose = scene.placed[k].pose;
        look(screen, pose.toRoom({0, screen.size.depth.mm() / 2}), pose.front(),
             baseOf(scene, k) + screen.size.height / 2);
    }
    const WallsView walls(scene);
    for (std::size_t k = 0; k < walls.hung.size(); ++k) {
        const Piece& screen = walls.hungPiece(k);
        if (!isScreen(screen))
            continue;
        const Wall& w = scene.room->walls[static_cast<std::size_t>(screen.wall())];
        const Vec2 at = walls.hung[k].pose.at; // along the wall, and up
        look(screen, w.start + w.along() * at.x + w.inward() * screen.size.depth.mm(), w.inward(),
             Length::millimetres(at.y));
    }
    return out;
}

std::span<const RuleCode> lookRules() {
    return sightsCodes;
}

} // namespace mezzet
