// What leans against a wall, and what leans before it.
#include "edit/phrases_leaned.h"

#include "hang/display.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"

#include <algorithm>

#include <fmt/format.h>

namespace mezzet {

using K = Tie::Kind;
using Is = Target::Is;

namespace {

bool footOnFloor(Placing& p) {
    Tie& foot = p.add(K::height);
    foot.level = Level::bottom;
    return true;
}

} // namespace

bool leaned(Placing& p) {
    p.hanging.mount = Mount::leaned;
    if (p.in.take({"the floor", "floor"}))
        return footOnFloor(p);
    const Target of = p.target();
    // "leaning on wall D": its foot on the floor before it.
    if (of.is == Is::wall) {
        p.saidWall = of.index;
        return footOnFloor(p);
    }
    p.add(K::above).of = of;
    return true;
}

bool leansBefore(Placing& p) {
    const std::size_t at = p.in.at();
    const Target of = p.target();
    const Piece* q = of.is == Is::piece ? p.scene.pieceById(of.piece) : nullptr;
    if (q == nullptr || !q->onWall() || q->isGroup() || q->id == p.subject.id)
        p.in.fail(at, std::max<std::size_t>(p.in.at() - at, 1), "that hangs on no wall",
                  "name what leans against one");
    if (q->hanging.mount != Mount::leaned)
        p.in.fail(at, p.in.at() - at, worded("{} hangs, and doesn't lean", q->name),
                  worded("lean it first, like: {} leaned on floor", q->name));
    p.hanging.mount = Mount::leaned;
    p.hanging.before = q->id;
    p.saidWall = q->wall();
    const auto has = [&](auto wanted) {
        return std::any_of(p.out.ties.begin(), p.out.ties.end(), wanted);
    };
    const Tie* foot = nullptr;
    for (const Tie& t : q->ties)
        if (t.kind == K::above || (t.kind == K::height && t.level == Level::bottom))
            foot = &t;
    if (foot != nullptr && !has([](const Tie& t) {
            return t.kind == K::above || t.kind == K::height || t.kind == K::levelWith;
        })) {
        p.out.ties.push_back(*foot);
        p.out.ties.back().distance = foot->kind == K::above ? Length{} : foot->distance;
    }
    // Where along is said after it, or was before.
    if (!p.in.done() || has([](const Tie& t) {
            return t.kind == K::centredOn || t.kind == K::fromCorner || t.kind == K::fromPiece ||
                   t.kind == K::centredBetween || t.kind == K::at;
        }))
        return true;
    const auto there = boxOn(of, q->wall(), p.scene);
    if (!there)
        return true;
    const double wide = p.subject.size.width.mm();
    const double over = standsOver(*there, wide, p.subject.size.height.mm());
    double aside = (there->size().x + wide) / 2 - over;
    const auto board = foot != nullptr && foot->kind == K::above
                           ? boxOn(foot->of, q->wall(), p.scene)
                           : std::nullopt;
    if (board) {
        const double x = there->centre().x;
        const bool right = board->high.x - x >= x - board->low.x;
        const double most = (right ? board->high.x - x : x - board->low.x) - wide / 2;
        aside = std::min(aside, std::max(most, 0.0)) * (right ? 1 : -1);
    }
    Tie& middle = p.add(K::centredOn);
    middle.of = of;
    middle.distance = Length::millimetres(aside);
    return true;
}

} // namespace mezzet
