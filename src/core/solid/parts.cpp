// What a piece is made of, as far as it stands in the light.
#include "solid/solids.h"

#include <algorithm>

namespace mezzet {

namespace {

// How such things are usually built, mm: common practice.
constexpr double tableTop = 35;
constexpr double leg = 50;
constexpr double legIn = 35;
constexpr double pedestal = 90;
constexpr double seatThick = 60;
constexpr double chairBack = 40;
constexpr double softBack = 250;
constexpr double softArm = 190;
constexpr double headboard = 60;
constexpr double partChords = 4; ///< how far a chord may be off its curve

std::vector<Vec2> box(double left, double back, double right, double front) {
    return {{left, back}, {right, back}, {right, front}, {left, front}};
}

class Builder {
public:
    explicit Builder(const Piece& p)
        : p_(p), w_(p.size.width.mm() / 2), d_(p.size.depth.mm() / 2), h_(p.size.height.mm()),
          outline_(mezzet::outline(footprintShape(p.footprint, p.size),
                                   Length::millimetres(partChords))) {}

    std::vector<Prism> parts() {
        if (p_.openings() > 0)
            boards();
        else if (p_.kind->family == Family::table)
            table();
        else if (p_.kind->family == Family::sleep)
            bed();
        else if (p_.kind->family == Family::seat)
            seat();
        else if (p_.kind->family == Family::plant)
            plant();
        else
            add(outline_, 0, h_);
        return std::move(out_);
    }

private:
    void add(std::vector<Vec2> base, double from, double to) {
        if (to > from)
            out_.push_back({std::move(base), from, to});
    }
    void legs(double up) {
        if (p_.footprint.form == FootprintForm::oval) {
            const double half = std::min(pedestal / 2, w_);
            add(box(-half, -half, half, half), 0, up);
            return;
        }
        std::vector<Vec2> middles;
        for (const Vec2 l : p_.kind->legs)
            // They are told for a piece of the kind's own size.
            middles.push_back({l.x * w_ * 2 / p_.kind->size.width.mm() - w_,
                               l.y * d_ * 2 / p_.kind->size.depth.mm() - d_});
        if (middles.empty()) {
            const double x = std::max(w_ - legIn - leg / 2, leg / 2);
            const double y = std::max(d_ - legIn - leg / 2, leg / 2);
            middles = {{-x, -y}, {x, -y}, {x, y}, {-x, y}};
        }
        for (const Vec2 m : middles)
            add(box(m.x - leg / 2, m.y - leg / 2, m.x + leg / 2, m.y + leg / 2), 0, up);
    }
    void table() {
        const double top = p_.top().mm();
        const double under = std::max(top - tableTop, 0.0);
        add(outline_, under, top);
        // What has drawers or doors under its top stands to the floor.
        if (!p_.kind->opens.empty() && p_.kind->role != Role::desk)
            add(outline_, 0, under);
        else
            legs(under);
        if (h_ > top)
            add(box(-w_, -d_, w_, -d_ + headboard), top, h_);
    }
    void bed() {
        const double top = p_.heights.seat.value_or(p_.size.height).mm();
        add(outline_, std::min(100.0, top / 3), top);
        if (p_.heights.back && *p_.heights.back > Length::millimetres(top))
            add(box(-w_, -d_, w_, -d_ + headboard), 0, p_.heights.back->mm());
    }
    void seat() {
        const double cushion = p_.heights.seat.value_or(p_.size.height).mm();
        const bool soft = p_.kind->role == Role::sofa || p_.kind->role == Role::armchair ||
                          p_.kind->role == Role::perch;
        if (soft) {
            add(outline_, 0, cushion);
        } else {
            add(outline_, std::max(cushion - seatThick, 0.0), cushion);
            legs(std::max(cushion - seatThick, 0.0));
        }
        const double deep = std::min(soft ? softBack : chairBack, d_);
        if (p_.heights.back && p_.heights.back->mm() > cushion)
            add(box(-w_, -d_, w_, -d_ + deep), cushion, p_.heights.back->mm());
        if (soft && p_.heights.arm && p_.heights.arm->mm() > cushion) {
            const double wide = std::min(softArm, w_ * 0.28);
            add(box(-w_, -d_ + deep, -w_ + wide, d_), cushion, p_.heights.arm->mm());
            add(box(w_ - wide, -d_ + deep, w_, d_), cushion, p_.heights.arm->mm());
        }
    }
    void plant() {
        const double pot = std::min(h_ * 0.28, 360.0);
        const double wide = 0.5;
        std::vector<Vec2> foot;
        for (const Vec2 c : outline_)
            foot.push_back(c * wide);
        add(foot, 0, pot);
        add(outline_, pot, h_);
    }
    void boards() {
        const int across = p_.across();
        const double thick = p_.board().mm();
        for (int i = 1; i <= p_.openings(); ++i) {
            const auto at = openingOf(p_, i);
            if (!at)
                continue;
            if (i <= across)
                add(box(at->left - thick, -d_, at->left, d_), 0, h_);
            if ((i - 1) % across == 0)
                add(box(-w_ + thick, -d_, w_ - thick, d_), at->board - thick, at->board);
        }
        add(box(w_ - thick, -d_, w_, d_), 0, h_);
        add(box(-w_ + thick, -d_, w_ - thick, d_), h_ - thick, h_);
        constexpr double back = 8;
        add(box(-w_ + thick, -d_, w_ - thick, -d_ + back), std::max(plinthOf(p_).mm(), 0.0),
            h_ - thick);
    }

    const Piece& p_;
    double w_;
    double d_;
    double h_;
    std::vector<Vec2> outline_;
    std::vector<Prism> out_;
};

} // namespace

std::vector<Prism> partsOf(const Piece& p) {
    if (p.onWall()) {
        const double deep = p.size.depth.mm() / 2;
        return {
            {outline(footprintShape(p.footprint, p.outlineSize()), Length::millimetres(partChords)),
             -deep, deep}};
    }
    return Builder(p).parts();
}

} // namespace mezzet
