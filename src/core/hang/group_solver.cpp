#include "hang/group_solver.h"

#include "hang/group_parts.h"

#include <algorithm>
#include <cmath>
#include <deque>
#include <mutex>

namespace mezzet {

namespace {

/// Answers differ clearly when things moved by this share of the diagonal, on average.
constexpr double clearlyDifferent = 0.12;

bool overlap(const GroupAsk& ask, const GroupAnswer& a) {
    const Boxes b = boxesOf(ask, a);
    const double gap = ask.gap.mm() - 0.01;
    for (std::size_t i = 0; i < b.size(); ++i)
        for (std::size_t k = i + 1; k < b.size(); ++k)
            if (b.left[i] < b.right[k] + gap && b.left[k] < b.right[i] + gap &&
                b.low[i] < b.high[k] + gap && b.low[k] < b.high[i] + gap)
                return true;
    return false;
}

/// Keeps the best, and those clearly different from all that are better.
std::vector<GroupAnswer> distinct(std::vector<GroupAnswer> all, int wanted) {
    std::stable_sort(all.begin(), all.end(),
                     [](const GroupAnswer& a, const GroupAnswer& b) { return a.cost < b.cost; });
    std::vector<GroupAnswer> out;
    for (auto& a : all) {
        if (static_cast<int>(out.size()) >= wanted)
            break;
        if (std::all_of(out.begin(), out.end(), [&](const GroupAnswer& b) {
                return differenceOf(a, b) >= clearlyDifferent;
            }))
            out.push_back(std::move(a));
    }
    return out;
}

} // namespace

namespace {

/// What was asked last, since looking for remedies asks the same over and over.
class Remembered {
public:
    std::optional<std::vector<GroupAnswer>> find(const GroupAsk& ask) {
        const std::scoped_lock lock(mutex_);
        for (const auto& [asked, answers] : kept_)
            if (same(asked, ask))
                return answers;
        return {};
    }
    void keep(const GroupAsk& ask, const std::vector<GroupAnswer>& answers) {
        const std::scoped_lock lock(mutex_);
        constexpr std::size_t most = 16;
        if (kept_.size() == most)
            kept_.pop_front();
        kept_.emplace_back(ask, answers);
        kept_.back().first.goesOn = nullptr;
    }

private:
    static bool same(const GroupAsk& a, const GroupAsk& b) {
        return a.form == b.form && a.gap == b.gap && a.within == b.within && a.slope == b.slope &&
               a.answers == b.answers && a.seed == b.seed && a.items == b.items;
    }
    std::mutex mutex_;
    std::deque<std::pair<GroupAsk, std::vector<GroupAnswer>>> kept_;
};

std::vector<GroupAnswer> solve(const GroupAsk& ask) {
    if (ask.items.empty())
        return {};
    const bool pins = std::any_of(ask.items.begin(), ask.items.end(),
                                  [](const GroupItem& i) { return i.pinned.has_value(); });
    std::vector<GroupAnswer> all;
    if (pins) {
        all = byOrder(ask);
    } else {
        switch (ask.form) {
        case GroupForm::row:
        case GroupForm::column:
        case GroupForm::stepped:
            all = inLines(ask);
            break;
        case GroupForm::grid:
            all = inGrids(ask);
            break;
        case GroupForm::mirrored:
            all = mirroredOver(ask);
            break;
        case GroupForm::spiral:
        case GroupForm::salon:
        case GroupForm::asPlaced:
            all = annealed(ask);
            if (ask.within)
                for (auto& a : byOrder(ask))
                    all.push_back(std::move(a));
            break;
        }
    }
    std::erase_if(all, [&](const GroupAnswer& a) { return overlap(ask, a); });
    return distinct(std::move(all), ask.answers);
}

} // namespace

std::vector<GroupAnswer> arrangeGroup(const GroupAsk& ask) {
    static Remembered remembered;
    if (auto known = remembered.find(ask))
        return *known;
    auto answers = solve(ask);
    // What was stopped is no answer for the next who asks.
    if (!ask.goesOn || ask.goesOn())
        remembered.keep(ask, answers);
    return answers;
}

std::optional<MatchingSet> setToMatch(const std::vector<GroupItem>& pool, Vec2 wanted, Length gap,
                                      std::size_t most) {
    std::optional<MatchingSet> best;
    double least = 1e300;
    const std::size_t n = std::min<std::size_t>(pool.size(), 16);
    const auto tried = [&](const std::vector<std::size_t>& of) {
        double area = 0;
        for (const std::size_t i : of)
            area += pool[i].width.mm() * pool[i].height.mm();
        // What can't fill half of it, or is more than it, needs no trying.
        if (area < wanted.x * wanted.y * 0.5 || area > wanted.x * wanted.y)
            return;
        for (const GroupForm form : {GroupForm::row, GroupForm::column, GroupForm::grid}) {
            GroupAsk ask;
            ask.form = form;
            ask.gap = gap;
            ask.answers = 8;
            for (const std::size_t i : of)
                ask.items.push_back(pool[i]);
            for (auto& a : arrangeGroup(ask)) {
                const double off =
                    std::max(std::abs(a.size.x / wanted.x - 1), std::abs(a.size.y / wanted.y - 1));
                // Of two that match alike, the one with less bare wall in it.
                const double bare = off + (1 - a.fill) / 4;
                if (bare < least - 1e-9) {
                    least = bare;
                    best = MatchingSet{of, a, off};
                }
            }
        }
    };
    std::vector<std::size_t> of;
    const auto choose = [&](auto&& self, std::size_t from) -> void {
        if (of.size() >= 2)
            tried(of);
        if (of.size() == most)
            return;
        for (std::size_t i = from; i < n; ++i) {
            of.push_back(i);
            self(self, i + 1);
            of.pop_back();
        }
    };
    choose(choose, 0);
    return best;
}

} // namespace mezzet
