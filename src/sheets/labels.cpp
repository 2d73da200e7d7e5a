#include "sheets/labels.h"

#include <algorithm>
#include <numeric>

namespace mezzet::sheets {

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

int Labels::whoIsAt(const QRectF& box, int but) const {
    for (const QRectF& h : hard_)
        if (h.intersects(box))
            return blocked;
    int who = -1;
    for (std::size_t i = 0; i < all_.size(); ++i) {
        const Kept& k = all_[i];
        if (k.at < 0 || static_cast<int>(i) == but ||
            !k.label.places[static_cast<std::size_t>(k.at)].intersects(box))
            continue;
        if (who >= 0)
            return blocked;
        who = static_cast<int>(i);
    }
    return who;
}

int Labels::bodiesUnder(const QRectF& box, int of) const {
    return static_cast<int>(std::count_if(bodies_.begin(), bodies_.end(), [&](const Body& b) {
        return (of == 0 || b.of != of) && b.box.intersects(box);
    }));
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

bool Labels::makeRoomFor(std::size_t which) {
    Kept& wanted = all_[which];
    for (std::size_t i = 0; i < wanted.label.places.size(); ++i) {
        const QRectF& box = wanted.label.places[i];
        if (!within(box) ||
            (i >= wanted.label.onlyClearFrom && bodiesUnder(box, wanted.label.of) > 0))
            continue;
        const int who = whoIsAt(box);
        if (who < 0)
            continue;
        Kept& other = all_[static_cast<std::size_t>(who)];
        const int was = other.at;
        other.at = -1;
        wanted.at = static_cast<int>(i);
        other.at = bestOf(other.label);
        if (other.at >= 0)
            return true;
        other.at = was;
        wanted.at = -1;
    }
    return false;
}

void Labels::place() {
    std::vector<std::size_t> order(all_.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
        return all_[a].label.weight > all_[b].label.weight;
    });
    for (const std::size_t i : order) {
        all_[i].at = bestOf(all_[i].label);
        if (all_[i].at < 0)
            makeRoomFor(i);
    }
}

void Labels::draw(QPainter& p) const {
    for (const Kept& k : all_)
        if (k.at >= 0 && k.label.paint)
            k.label.paint(p, static_cast<std::size_t>(k.at));
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

std::vector<int> Labels::left() const {
    std::vector<int> out;
    for (const Kept& k : all_)
        if (k.at < 0 && k.label.of != 0)
            out.push_back(k.label.of);
    return out;
}

QRectF Labels::boxOf(int piece) const {
    for (const Kept& k : all_)
        if (k.at >= 0 && k.label.of == piece)
            return k.label.places[static_cast<std::size_t>(k.at)];
    return {};
}

} // namespace mezzet::sheets
