#include "handover/shelf_boards.h"

#include "hang/hooks.h"
#include "hang/stock.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>
#include <map>

namespace mezzet {

namespace {

/// Widths and lengths boards are stocked in: common practice, dressed sizes of softwood, and
/// sheets.
constexpr std::array<double, 8> widthsInches{3.5, 5.5, 7.25, 9.25, 11.25, 16, 24, 48};
constexpr std::array<double, 8> widthsMetric{95, 145, 195, 245, 295, 400, 600, 1220};
constexpr std::array<double, 4> lengthsInches{96, 120, 144, 192};
constexpr std::array<double, 4> lengthsMetric{2400, 3000, 3600, 4800};

template <class All> Length leastOf(const All& all, Length holds, bool metric) {
    for (const double v : all) {
        const Length l = metric ? Length::millimetres(v) : Length::inches(v);
        if (l + Length::millimetres(0.01) >= holds)
            return l;
    }
    return holds;
}

class BoardLister {
public:
    BoardLister(const Scene& scene, const RuleBook& book, bool units)
        : scene_(scene), book_(book), units_(units) {}

    std::vector<ShelfBoard> all() {
        const WallsView walls(scene_);
        const HookRules rules = hookRules(book_);
        for (std::size_t k = 0; k < walls.hung.size(); ++k) {
            const Piece& p = walls.hungPiece(k);
            if (p.kind->role == Role::shelf)
                hung(walls, k, p, rules);
        }
        if (units_)
            for (const Piece& p : scene_.scheme->pieces)
                if (p.unit && p.openings() > 0 && !p.onWall())
                    unit(p);
        return std::move(out_);
    }

private:
    ShelfBoard& add(const Piece& p, std::string name, Length length, Length width, Length thickness,
                    UnitMaterial of) {
        ShelfBoard b;
        b.piece = p.id;
        b.name = std::move(name);
        b.length = length;
        b.width = width;
        b.thickness = thickness;
        b.assumed = of.assumed;
        if (of.is != nullptr) {
            b.material = of.is->name;
            b.weight =
                Mass::kilograms(of.is->density * length.mm() * width.mm() * thickness.mm() / 1e9);
        }
        out_.push_back(std::move(b));
        return out_.back();
    }

    void hung(const WallsView& walls, std::size_t k, const Piece& p, const HookRules& rules) {
        const auto& all = book_.shelving;
        UnitMaterial of{materialNamed(all, p.hanging.material), false};
        if (of.is == nullptr)
            of = {materialNamed(all, p.kind->hanging.material), true};
        if (of.is == nullptr)
            of = unitMaterial(all, p);
        ShelfBoard& b = add(p, p.name, p.size.width, p.size.depth, p.size.height, of);
        b.edges = {std::string(told("front")), std::string(told("left end")),
                   std::string(told("right end"))};
        b.pilots = bracketsOf(walls, k, rules);
        const auto& studs = scene_.room->studs;
        const auto wall = static_cast<std::size_t>(p.wall());
        b.intoStuds = wall < studs.size() && studs[wall].has_value();
    }

    void unit(const Piece& p) {
        const Length t = p.board();
        const Length inner = p.size.width - t * 2;
        if (inner <= Length{})
            return;
        const UnitMaterial of = unitMaterial(book_.shelving, p);
        for (const char* side : {"left side", "right side"})
            add(p, worded("{}, {}", p.name, told(side)), p.size.height, p.size.depth, t, of)
                .edges = {std::string(told("front"))};
        const int rows = p.rows();
        for (int r = 0; r <= rows; ++r)
            add(p,
                r == 0      ? worded("{}, top", p.name)
                : r == rows ? worded("{}, bottom", p.name)
                            : worded("{}, shelf {}", p.name, r),
                inner, p.size.depth, t, of)
                .edges = {std::string(told("front"))};
        for (int r = 0; p.unit && r < rows; ++r)
            for (int u = 1; u < p.across(); ++u) {
                const Length high =
                    !p.unit->high.empty()
                        ? p.unit->high.at(static_cast<std::size_t>(r))
                        : (p.size.height - p.kind->openings.foot - t * (rows + 1.0)) /
                              static_cast<double>(rows);
                if (high > Length{})
                    add(p, worded("{}, upright {} of row {}", p.name, u, r + 1), high, p.size.depth,
                        t, of)
                        .edges = {std::string(told("front"))};
            }
    }

    const Scene& scene_;
    const RuleBook& book_;
    bool units_;
    std::vector<ShelfBoard> out_;
};

} // namespace

std::vector<ShelfBoard> shelfBoards(const Scene& scene, const RuleBook& book, bool units) {
    return BoardLister(scene, book, units).all();
}

std::vector<BoardLot> boardLots(const std::vector<ShelfBoard>& boards, const Notation& shown) {
    const bool metric = isMetric(shown.units);
    std::vector<BoardLot> out;
    for (std::size_t i = 0; i < boards.size(); ++i) {
        const ShelfBoard& b = boards[i];
        auto it = std::find_if(out.begin(), out.end(), [&](const BoardLot& l) {
            return l.material == b.material &&
                   abs(l.thickness - b.thickness) < Length::millimetres(0.5);
        });
        if (it == out.end()) {
            out.emplace_back();
            it = out.end() - 1;
            it->material = b.material;
            it->thickness = b.thickness;
            it->kerf = metric ? Length::millimetres(3) : Length::inches(0.125);
        }
        it->boards.push_back(i);
    }
    for (BoardLot& l : out) {
        Length longest, widest;
        std::vector<BoardSize> sizes;
        for (const std::size_t i : l.boards) {
            longest = std::max(longest, boards[i].length);
            widest = std::max(widest, boards[i].width);
            sizes.push_back({boards[i].length, boards[i].width});
        }
        l.stock = {leastOf(metric ? lengthsMetric : lengthsInches, longest, metric),
                   leastOf(metric ? widthsMetric : widthsInches, widest, metric)};
        BoardAsk ask;
        ask.stock = l.stock;
        ask.kerf = l.kerf;
        ask.shown = shown;
        if (auto plan = cutBoards(sizes, ask))
            l.plan = std::move(*plan);
    }
    return out;
}

} // namespace mezzet
