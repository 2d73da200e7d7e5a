#include "hang/display.h"

#include "scheme/on_wall.h"

#include <algorithm>

namespace mezzet {

namespace {

bool overlap(const Box& a, const Box& b) {
    constexpr double touching = 0.5;
    return std::min(a.high.x, b.high.x) - std::max(a.low.x, b.low.x) > touching &&
           std::min(a.high.y, b.high.y) - std::max(a.low.y, b.low.y) > touching;
}

/// The piece that something on a wall stands on: what it is told to be over, touching it, or on a
/// riser there.
int standsOnto(const Piece& p) {
    for (const Tie& t : p.ties)
        if (t.kind == Tie::Kind::above && t.of.is == Target::Is::piece)
            return t.of.piece;
    return 0;
}

/// How far a piece reaches out from a wall; nothing where it is not before it.
std::optional<double> reachOut(const WallsView& scene, int wall, int piece) {
    for (const Standing& s : standingBefore(scene.floor, wall))
        if (scene.floor.placed[s.index].id == piece) {
            const Wall& w = scene.room->walls[static_cast<std::size_t>(wall)];
            double out = 0;
            for (const Vec2 c : outline(scene.floor.placed[s.index].shape))
                out = std::max(out, dot(c - w.start, w.inward()));
            return out;
        }
    for (std::size_t i = 0; i < scene.hung.size(); ++i)
        if (scene.hung[i].id == piece)
            return scene.hungPiece(i).size.depth.mm();
    return {};
}

} // namespace

std::vector<Leaning> leaningOn(const WallsView& scene, int wall, double lean) {
    std::vector<Leaning> out;
    std::vector<int> before; // whom each is said to stand before
    for (std::size_t i = 0; i < scene.hung.size(); ++i) {
        const Piece& p = scene.hungPiece(i);
        if (p.isGroup() || p.wall() != wall || p.hanging.mount != Mount::leaned)
            continue;
        Leaning l;
        l.id = p.id;
        l.box = bounds(scene.hung[i].shape);
        l.thick = p.size.depth.mm();
        l.onto = standsOnto(p);
        if (l.onto != 0)
            l.board = reachOut(scene, wall, l.onto);
        out.push_back(l);
        before.push_back(p.hanging.before);
    }
    // One layer in front of another; a ring is gone round once.
    const auto layerOf = [&](std::size_t i) {
        int layer = 0;
        for (std::size_t guard = 0; guard < out.size() && before[i] != 0; ++guard) {
            const auto it = std::find_if(out.begin(), out.end(),
                                         [&](const Leaning& l) { return l.id == before[i]; });
            if (it == out.end())
                break;
            ++layer;
            i = static_cast<std::size_t>(it - out.begin());
        }
        return layer;
    };
    std::vector<std::pair<int, Leaning>> order;
    for (std::size_t i = 0; i < out.size(); ++i)
        order.emplace_back(layerOf(i), out[i]);
    std::stable_sort(order.begin(), order.end(), [](const auto& a, const auto& b) {
        return a.first != b.first ? a.first < b.first
                                  : a.second.box.size().y > b.second.box.size().y;
    });
    out.clear();
    for (auto& [layer, l] : order) {
        double behind = 0;
        for (const Leaning& other : out)
            if (overlap(other.box, l.box))
                behind = std::max(behind, other.foot);
        const double out_ = lean * l.box.size().y;
        // Its head touches the wall, or what is behind it, which leans alike.
        l.foot = behind + l.thick + (behind > 0 ? 0.0 : out_);
        l.plane = l.foot - (behind > 0 ? lean * l.box.size().y / 2 : out_ / 2);
        out.push_back(l);
    }
    return out;
}

double standsOver(const Box& behind, double wide, double high) {
    constexpr double hides = 0.25;
    const double before = std::max(std::min(high, behind.size().y), 1.0);
    return std::min(wide, hides * behind.size().x * behind.size().y / before);
}

double hiddenShare(const Leaning& of, const std::vector<Leaning>& before, Vec3 eye) {
    const double area = of.box.size().x * of.box.size().y;
    if (area <= 0 || eye.z <= of.plane + 1)
        return 0;
    std::vector<Box> shadows;
    for (const Leaning& b : before) {
        if (eye.z <= b.plane + 1)
            continue;
        const double grow = (eye.z - of.plane) / (eye.z - b.plane);
        const auto thrown = [&](Vec2 p) {
            return Vec2{eye.x + (p.x - eye.x) * grow, eye.y + (p.y - eye.y) * grow};
        };
        Box s;
        s.include(thrown(b.box.low));
        s.include(thrown(b.box.high));
        s.low = {std::max(s.low.x, of.box.low.x), std::max(s.low.y, of.box.low.y)};
        s.high = {std::min(s.high.x, of.box.high.x), std::min(s.high.y, of.box.high.y)};
        if (s.low.x < s.high.x && s.low.y < s.high.y)
            shadows.push_back(s);
    }
    // Strip by strip between their sides: in each, the lengths they cover laid together.
    std::vector<double> cuts;
    for (const Box& s : shadows) {
        cuts.push_back(s.low.x);
        cuts.push_back(s.high.x);
    }
    std::sort(cuts.begin(), cuts.end());
    double hidden = 0;
    for (std::size_t i = 0; i + 1 < cuts.size(); ++i) {
        std::vector<std::pair<double, double>> covered;
        for (const Box& s : shadows)
            if (s.low.x <= cuts[i] && s.high.x >= cuts[i + 1])
                covered.emplace_back(s.low.y, s.high.y);
        std::sort(covered.begin(), covered.end());
        double upTo = -1e300;
        for (const auto& [from, to] : covered) {
            hidden += (cuts[i + 1] - cuts[i]) * std::max(0.0, to - std::max(from, upTo));
            upTo = std::max(upTo, to);
        }
    }
    return hidden / area;
}

} // namespace mezzet
