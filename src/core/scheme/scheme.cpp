#include "scheme/scheme.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace mezzet {

Target pieceTarget(int id) {
    Target t;
    t.is = Target::Is::piece;
    t.piece = id;
    return t;
}

Target wallTarget(int index) {
    Target t;
    t.is = Target::Is::wall;
    t.index = index;
    return t;
}

Target roomTarget() {
    Target t;
    t.is = Target::Is::room;
    return t;
}

Target targetOf(const Opening& o) {
    Target t;
    t.is = o.kind == OpeningKind::door     ? Target::Is::door
           : o.kind == OpeningKind::window ? Target::Is::window
                                           : Target::Is::opening;
    t.index = o.number;
    return t;
}

Target targetOf(const Fixture& f) {
    Target t;
    t.is = f.kind == FixtureKind::chimney ? Target::Is::chimney : Target::Is::fixture;
    t.index = f.number;
    t.built = f.kind;
    return t;
}

const Fixture* fixtureOf(const Room& room, const Target& t) {
    if (t.is != Target::Is::chimney && t.is != Target::Is::fixture)
        return nullptr;
    for (const auto& f : room.fixtures)
        if (f.number == t.index &&
            f.kind == (t.is == Target::Is::chimney ? FixtureKind::chimney : t.built))
            return &f;
    return nullptr;
}

bool Tie::refersTo(int id) const {
    return (of.is == Target::Is::piece && of.piece == id) ||
           (also.is == Target::Is::piece && also.piece == id) ||
           std::find(group.begin(), group.end(), id) != group.end();
}

std::string_view groupFormName(GroupForm f) {
    constexpr std::string_view names[] = {"row",   "column",   "grid",    "spiral",
                                          "salon", "mirrored", "stepped", "as placed"};
    return names[static_cast<std::size_t>(f)];
}

int Piece::rows() const {
    if (unit && !unit->high.empty())
        return static_cast<int>(unit->high.size());
    return unit && unit->rows > 0 ? unit->rows : kind->openings.up;
}

int Piece::across() const {
    if (unit && unit->across > 0)
        return unit->across;
    return kind->openings.across > 0 ? kind->openings.across : rows() > 0 ? 1 : 0;
}

bool Piece::carriesThings() const {
    if (!isThing())
        return false;
    const ThingSort s = kind->thing->sort;
    return s == ThingSort::book || s == ThingSort::stack || s == ThingSort::box ||
           s == ThingSort::riser || s == ThingSort::tray || s == ThingSort::bowl ||
           s == ThingSort::textile;
}

Length Piece::board() const {
    if (unit && unit->board)
        return *unit->board;
    return kind->openings.board > Length{} ? kind->openings.board : Length::inches(0.75);
}

int Piece::group() const {
    for (const Tie& t : ties)
        if (t.kind == Tie::Kind::inGroup)
            return t.of.piece;
    return 0;
}

std::vector<const Piece*> Scheme::members(int group) const {
    std::vector<const Piece*> out;
    for (const Piece& p : pieces)
        if (group != 0 && p.group() == group)
            out.push_back(&p);
    return out;
}

const Piece* Scheme::byId(int id) const {
    for (const Piece& p : pieces)
        if (p.id == id)
            return &p;
    return nullptr;
}

Piece* Scheme::byId(int id) {
    return const_cast<Piece*>(std::as_const(*this).byId(id));
}

const Piece* Scheme::byName(std::string_view said) const {
    const auto plain = plainWord(said);
    for (const Piece& p : pieces)
        if (plainWord(p.name) == plain)
            return &p;
    return nullptr;
}

std::string Scheme::freeName(std::string_view wanted) const {
    const auto taken = [&](std::string_view said) {
        const auto plain = plainWord(said);
        return byName(said) != nullptr ||
               std::any_of(away.begin(), away.end(),
                           [&](const Piece& p) { return plainWord(p.name) == plain; });
    };
    if (!taken(wanted))
        return std::string(wanted);
    // "Dining chair 1" is followed by "Dining chair 2".
    int first = 2;
    constexpr std::size_t mostDigits = 3;
    const auto blank = wanted.rfind(' ');
    if (const auto figure =
            blank == std::string_view::npos ? std::string_view() : wanted.substr(blank + 1);
        !figure.empty() && figure.size() <= mostDigits &&
        figure.find_first_not_of("0123456789") == std::string_view::npos) {
        // "Shelf 120" has its own name, and is the first of those.
        const int own = std::stoi(std::string(figure));
        const auto base = wanted.substr(0, blank);
        if (own == 1 || taken(fmt::format("{} {}", base, own - 1)) || (own == 2 && taken(base))) {
            first = own + 1;
            wanted = base;
        }
    }
    for (int i = first;; ++i) {
        auto n = fmt::format("{} {}", wanted, i);
        if (!taken(n))
            return n;
    }
}

const Zone* Scheme::zone(std::string_view said) const {
    const auto plain = plainWord(said);
    for (const auto& z : zones)
        if (plainWord(z.name) == plain)
            return &z;
    return nullptr;
}

const LightZone* LightPlan::zone(std::string_view said) const {
    const auto plain = plainWord(said);
    for (const auto& z : zones)
        if (plainWord(z.name) == plain)
            return &z;
    return nullptr;
}

const LightScene* LightPlan::scene(std::string_view said) const {
    const auto plain = plainWord(said);
    for (const auto& s : scenes)
        if (plainWord(s.name) == plain)
            return &s;
    return nullptr;
}

const LightZone* LightPlan::zoneOf(int light) const {
    for (const auto& z : zones)
        if (std::find(z.lights.begin(), z.lights.end(), light) != z.lights.end())
            return &z;
    return nullptr;
}

Scheme arranged(const Scheme& scheme, Arrangement wanted) {
    Scheme s = scheme;
    if (s.arrangement == wanted)
        return s;
    s.arrangement = wanted;
    s.pieces.clear();
    s.away.clear();
    const auto change = [](Piece& p) {
        if (!p.otherwise)
            return;
        const Stance now = p.stance();
        p.stand(*p.otherwise);
        p.otherwise = now;
    };
    for (Piece p : scheme.pieces) {
        change(p);
        (p.onlyHere ? s.away : s.pieces).push_back(std::move(p));
    }
    for (Piece p : scheme.away) {
        p.onlyHere = true;
        s.pieces.push_back(std::move(p));
    }
    // What stands on a piece that is not there is not there either.
    for (bool left = true; left;) {
        const auto gone = std::find_if(s.pieces.begin(), s.pieces.end(), [&](const Piece& p) {
            return p.on.isCarried() && std::as_const(s).byId(p.on.piece) == nullptr;
        });
        left = gone != s.pieces.end();
        if (left) {
            s.away.push_back(*gone);
            s.pieces.erase(gone);
        }
    }
    // What was tied to a piece that is not there stands free meanwhile, and is tied again
    // afterwards.
    const auto there = [&](int id) { return std::as_const(s).byId(id) != nullptr; };
    const auto holds = [&](const Tie& t) {
        return (t.of.is != Target::Is::piece || there(t.of.piece)) &&
               (t.also.is != Target::Is::piece || there(t.also.piece)) &&
               std::all_of(t.group.begin(), t.group.end(), there);
    };
    for (Piece& p : s.pieces) {
        std::vector<Tie> kept;
        for (const Tie& t : p.ties)
            if (holds(t))
                kept.push_back(t);
        if (kept.size() == p.ties.size())
            continue;
        if (!p.otherwise && !p.onlyHere)
            p.otherwise = p.stance();
        p.ties = std::move(kept);
    }
    return s;
}

namespace {

/// Angles at equal stretches of an ellipse's edge, from its front round.
std::vector<double> equalAngles(double a, double b, int count) {
    std::vector<double> out;
    const auto share = [&](int i) { return static_cast<double>(i) / count; };
    if (std::abs(a - b) < quiet.mm()) {
        for (int i = 0; i < count; ++i)
            out.push_back(2 * std::numbers::pi * share(i));
        return out;
    }
    constexpr std::size_t steps = 720;
    std::array<double, steps + 1> run{};
    const double step = 2 * std::numbers::pi / steps;
    for (std::size_t i = 1; i <= steps; ++i) {
        // The chord's middle stands for the stretch.
        const double t = step * (static_cast<double>(i) - 0.5);
        run[i] = run[i - 1] + step * std::hypot(a * std::cos(t), b * std::sin(t));
    }
    for (int k = 0; k < count; ++k) {
        const double want = share(k) * run[steps];
        const auto it = std::lower_bound(run.begin(), run.end(), want);
        const auto i = static_cast<std::size_t>(std::max<std::ptrdiff_t>(it - run.begin(), 1));
        const double part = (want - run[i - 1]) / (run[i] - run[i - 1]);
        out.push_back(step * (static_cast<double>(i) - 1 + part));
    }
    return out;
}

} // namespace

bool fitsUnder(const Piece& chair, const Piece& table) {
    const bool chairLike = chair.kind->role == Role::diningChair || chair.kind->role == Role::perch;
    // All of a basket or a bin goes under.
    const bool kept = chair.kind->role == Role::none && chair.kind->family == Family::storage &&
                      chair.size.width <= table.size.width && chair.size.depth <= table.size.depth;
    const Length high =
        chairLike ? chair.heights.seat.value_or(chair.size.height) : chair.size.height;
    return table.kind->clearBelow > Length{} && (chairLike || kept) &&
           high <= table.kind->clearBelow;
}

std::vector<TablePlace> placesAt(const Piece& table, int count) {
    std::vector<TablePlace> out;
    if (count <= 0)
        return out;
    const double w = table.size.width.mm() / 2;
    const double d = table.size.depth.mm() / 2;
    if (table.footprint.form == FootprintForm::oval) {
        // From the front (+y) clockwise as drawn: toward -x.
        for (const double t : equalAngles(w, d, count)) {
            const Vec2 p{-w * std::sin(t), d * std::cos(t)};
            out.push_back({p, -unit(Vec2{p.x / (w * w), p.y / (d * d)})});
        }
        return out;
    }
    // How many at each side: front, left, back, right. The long sides first, while each there has
    // easy room; then wherever there is most edge for one more.
    constexpr Length easy = Length::inches(30);
    std::array<int, 4> at{};
    const std::array<double, 4> length{2 * w, 2 * d, 2 * w, 2 * d};
    const std::size_t longSide = w >= d ? 0 : 1;
    for (int n = 0; n < count; ++n) {
        std::size_t best = 0;
        double most = -1;
        for (const std::size_t k :
             {std::size_t{0}, std::size_t{2}, std::size_t{1}, std::size_t{3}}) {
            const std::size_t s = (k + longSide) % 4;
            double each = length[s] / (at[s] + 1);
            if (s % 2 == longSide && each >= easy.mm() - 0.1)
                each += 1e6;
            if (each > most + 1e-9) {
                most = each;
                best = s;
            }
        }
        ++at[best];
    }
    const auto side = [&](std::size_t s, Vec2 from, Vec2 to, Vec2 looks) {
        for (int i = 0; i < at[s]; ++i)
            out.push_back({from + (to - from) * ((i + 0.5) / at[s]), looks});
    };
    side(0, {w, d}, {-w, d}, {0, -1});
    side(1, {-w, d}, {-w, -d}, {1, 0});
    side(2, {-w, -d}, {w, -d}, {0, 1});
    side(3, {w, -d}, {w, d}, {-1, 0});
    return out;
}

Piece pieceOf(const KindPtr& kind) {
    Piece p;
    p.kind = kind;
    p.size = kind->size;
    p.heights = kind->heights;
    p.footprint = kind->footprint;
    p.hanging = kind->hanging;
    p.hanging.drop.reset(); // usual, and not measured
    return p;
}

} // namespace mezzet
