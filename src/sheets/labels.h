#pragma once

#include <QPainter>
#include <QRectF>

#include <cstdint>
#include <functional>
#include <unordered_map>
#include <utility>
#include <vector>

namespace mezzet::sheets {

/// Something lettered on a drawing, and where it may go. All places are in device units.
struct Label {
    std::vector<QRectF> places; ///< best first
    /// Paints it at places[place].
    std::function<void(QPainter&, std::size_t place)> paint;
    double weight = 1; ///< the heavier finds its place before the lighter
    int of = 0;        ///< the piece it names, whose own body it may lie over; 0 for none
    int tag = -1;      ///< whatever it is told apart by
    /// From this place on it is dropped rather than laid over a body.
    std::size_t onlyClearFrom = static_cast<std::size_t>(-1);
};

/// What is lettered on one drawing: names, figures and chips, placed so that none lies over another
/// or past the frame. A label that finds no place is left out. The heaviest
/// is placed first, each at the first of its places that is free and over the fewest bodies; one
/// that finds none may send a single other to another of that one's places (the greedy method with
/// repair of the literature on labelling maps).
class Labels {
public:
    /// Nothing is lettered past `frame`; a null one bounds nothing.
    explicit Labels(const QRectF& frame = {}) : frame_(frame) {}

    /// No label lies over this.
    void keepClear(const QRectF& box) { hard_.push_back(box); }
    /// Labels lie over this only where there is no better place. `of`: the piece whose body it is.
    void ratherClear(const QRectF& box, int of) { bodies_.push_back({box, of}); }
    /// All that another drawing has lettered is kept clear.
    void keepClear(const Labels& placed);
    void add(Label);

    /// Finds a place for each that was added.
    void place();
    /// Paints those that found one. place() must have been called.
    void draw(QPainter&) const;
    /// Whether any that is painted lies under one of the boxes.
    [[nodiscard]] bool liesUnder(const std::vector<QRectF>& boxes) const;
    /// Takes those away that lie under one of the boxes, as when something is dragged over them.
    std::vector<Label> takeUnder(const std::vector<QRectF>& boxes);
    /// Where they are, those painted.
    [[nodiscard]] std::vector<QRectF> boxes() const;
    /// Where those with a tag are, by tag.
    [[nodiscard]] std::vector<std::pair<int, QRectF>> tagged() const;

private:
    /// Boxes by the squares of a grid that they touch, so that few are looked at.
    class Grid {
    public:
        void setCell(double cell) { cell_ = cell; }
        void put(const QRectF&, int id);
        void take(const QRectF&, int id);
        /// Calls for each id whose squares meet the box, some more than once; until it gives false.
        template <class Each> void each(const QRectF& box, Each&& call) const;

    private:
        template <class Each> void squares(const QRectF& box, Each&& call) const;
        double cell_ = 64;
        std::unordered_map<std::uint64_t, std::vector<int>> at_;
    };
    struct Body {
        QRectF box;
        int of;
    };
    struct Kept {
        Label label;
        int at = -1; ///< which place; -1 for none
    };
    [[nodiscard]] bool within(const QRectF&) const;
    void settle(std::size_t which, int at);
    /// The label that lies there, or -1 where none does; blocked where more than one does, or
    /// something no label may cover.
    static constexpr int blocked = -2;
    [[nodiscard]] int whoIsAt(const QRectF&) const;
    [[nodiscard]] int bodiesUnder(const QRectF&, int of) const;
    /// The best free place of one; -1 for none.
    [[nodiscard]] int bestOf(const Label&) const;
    bool makeRoomFor(std::size_t which);

    QRectF frame_;
    std::vector<QRectF> hard_;
    std::vector<Body> bodies_;
    std::vector<Kept> all_;
    mutable std::vector<int> met_; ///< kept from call to call for its room only
    Grid hardAt_;
    Grid bodiesAt_;
    Grid placedAt_;
};

} // namespace mezzet::sheets
