#include "sheets/labels.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace mezzet::sheets {

template <class Each> void Labels::Grid::squares(const QRectF& box, Each&& call) const {
    const auto square = [this](double v) {
        return static_cast<std::int32_t>(std::floor(std::clamp(v / cell_, -1e6, 1e6)));
    };
    for (std::int32_t y = square(box.top()); y <= square(box.bottom()); ++y)
        for (std::int32_t x = square(box.left()); x <= square(box.right()); ++x)
            if (!call((static_cast<std::uint64_t>(static_cast<std::uint32_t>(y)) << 32U) |
                      static_cast<std::uint32_t>(x)))
                return;
}

void Labels::Grid::put(const QRectF& box, int id) {
    squares(box, [&](std::uint64_t square) {
        at_[square].push_back(id);
        return true;
    });
}

void Labels::Grid::take(const QRectF& box, int id) {
    squares(box, [&](std::uint64_t square) {
        std::erase(at_[square], id);
        return true;
    });
}

template <class Each> void Labels::Grid::each(const QRectF& box, Each&& call) const {
    squares(box, [&](std::uint64_t square) {
        const auto it = at_.find(square);
        if (it == at_.end())
            return true;
        return std::all_of(it->second.begin(), it->second.end(), call);
    });
}

void Labels::keepClear(const Labels& placed) {
    const auto boxes = placed.boxes();
    hard_.insert(hard_.end(), boxes.begin(), boxes.end());
}

void Labels::add(Label label) {
    all_.push_back({std::move(label)});
}

bool Labels::within(const QRectF& box) const {
    return frame_.isNull() || frame_.contains(box);
}

int Labels::whoIsAt(const QRectF& box) const {
    bool kept = false;
    hardAt_.each(box, [&](int i) {
        kept = hard_[static_cast<std::size_t>(i)].intersects(box);
        return !kept;
    });
    if (kept)
        return blocked;
    int who = -1;
    placedAt_.each(box, [&](int i) {
        const Kept& k = all_[static_cast<std::size_t>(i)];
        if (i == who || !k.label.places[static_cast<std::size_t>(k.at)].intersects(box))
            return true;
        who = who < 0 ? i : blocked;
        return who != blocked;
    });
    return who;
}

int Labels::bodiesUnder(const QRectF& box, int of) const {
    // A handful at most.
    met_.clear();
    bodiesAt_.each(box, [&](int i) {
        const Body& b = bodies_[static_cast<std::size_t>(i)];
        if ((of == 0 || b.of != of) && b.box.intersects(box) &&
            std::find(met_.begin(), met_.end(), i) == met_.end())
            met_.push_back(i);
        return true;
    });
    return static_cast<int>(met_.size());
}

int Labels::bestOf(const Label& l) const {
    int best = -1;
    int fewest = 0;
    for (std::size_t i = 0; i < l.places.size(); ++i) {
        if (!within(l.places[i]) || whoIsAt(l.places[i]) != -1)
            continue;
        const int under = bodiesUnder(l.places[i], l.of);
        if (under == 0)
            return static_cast<int>(i);
        if (i < l.onlyClearFrom && (best < 0 || under < fewest)) {
            best = static_cast<int>(i);
            fewest = under;
        }
    }
    return best;
}

/// Puts a label at one of its places, or takes it away.
void Labels::settle(std::size_t which, int at) {
    Kept& k = all_[which];
    if (k.at >= 0)
        placedAt_.take(k.label.places[static_cast<std::size_t>(k.at)], static_cast<int>(which));
    k.at = at;
    if (k.at >= 0)
        placedAt_.put(k.label.places[static_cast<std::size_t>(k.at)], static_cast<int>(which));
}

bool Labels::makeRoomFor(std::size_t which) {
    const Label& wanted = all_[which].label;
    for (std::size_t i = 0; i < wanted.places.size(); ++i) {
        const QRectF& box = wanted.places[i];
        if (!within(box) || (i >= wanted.onlyClearFrom && bodiesUnder(box, wanted.of) > 0))
            continue;
        const int who = whoIsAt(box);
        if (who < 0)
            continue;
        const auto other = static_cast<std::size_t>(who);
        const int was = all_[other].at;
        settle(other, -1);
        settle(which, static_cast<int>(i));
        settle(other, bestOf(all_[other].label));
        if (all_[other].at >= 0)
            return true;
        settle(which, -1);
        settle(other, was);
    }
    return false;
}

void Labels::place() {
    // Squares of about a label's width.
    double wide = 0;
    int counted = 0;
    for (const Kept& k : all_)
        if (!k.label.places.empty()) {
            wide += k.label.places.front().width();
            ++counted;
        }
    const double cell = std::max(16.0, counted > 0 ? wide / counted : 64.0);
    for (Grid* g : {&hardAt_, &bodiesAt_, &placedAt_}) {
        *g = {};
        g->setCell(cell);
    }
    for (std::size_t i = 0; i < hard_.size(); ++i)
        hardAt_.put(hard_[i], static_cast<int>(i));
    for (std::size_t i = 0; i < bodies_.size(); ++i)
        bodiesAt_.put(bodies_[i].box, static_cast<int>(i));
    for (Kept& k : all_)
        k.at = -1;
    std::vector<std::size_t> order(all_.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
        return all_[a].label.weight > all_[b].label.weight;
    });
    for (const std::size_t i : order) {
        settle(i, bestOf(all_[i].label));
        if (all_[i].at < 0)
            makeRoomFor(i);
    }
}

void Labels::draw(QPainter& p) const {
    for (const Kept& k : all_)
        if (k.at >= 0 && k.label.paint)
            k.label.paint(p, static_cast<std::size_t>(k.at));
}

namespace {

bool meets(const QRectF& label, const std::vector<QRectF>& boxes) {
    return std::any_of(boxes.begin(), boxes.end(),
                       [&](const QRectF& box) { return box.intersects(label); });
}

} // namespace

bool Labels::liesUnder(const std::vector<QRectF>& boxes) const {
    return std::any_of(all_.begin(), all_.end(), [&](const Kept& k) {
        return k.at >= 0 && meets(k.label.places[static_cast<std::size_t>(k.at)], boxes);
    });
}

std::vector<Label> Labels::takeUnder(const std::vector<QRectF>& boxes) {
    std::vector<Label> taken;
    for (std::size_t i = 0; i < all_.size(); ++i) {
        const Kept& k = all_[i];
        if (k.at < 0 || !meets(k.label.places[static_cast<std::size_t>(k.at)], boxes))
            continue;
        taken.push_back(k.label);
        settle(i, -1);
    }
    return taken;
}

std::vector<QRectF> Labels::boxes() const {
    std::vector<QRectF> out;
    for (const Kept& k : all_)
        if (k.at >= 0)
            out.push_back(k.label.places[static_cast<std::size_t>(k.at)]);
    return out;
}

std::vector<std::pair<int, QRectF>> Labels::tagged() const {
    std::vector<std::pair<int, QRectF>> out;
    for (const Kept& k : all_)
        if (k.at >= 0 && k.label.tag >= 0)
            out.emplace_back(k.label.tag, k.label.places[static_cast<std::size_t>(k.at)]);
    return out;
}

} // namespace mezzet::sheets
