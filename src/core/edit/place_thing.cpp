#include "edit/place_thing.h"

#include "edit/carried.h"
#include "measure/texts.h"
#include "scheme/surfaces.h"

#include <algorithm>

namespace mezzet {

Result<Edit> putThing(const Project& job, const Scene& scene, int thing, SurfaceId on,
                      double left) {
    const Scheme& scheme = *scene.scheme;
    const Piece* there = scheme.byId(thing);
    const Piece* carrier = scheme.byId(on.piece);
    if (there == nullptr || carrier == nullptr || !on.isCarried())
        return Problem{"it is gone", ""};
    if (there->locked)
        return Problem{worded("{} is locked", there->name),
                       worded("unlock it first: unlock {}", there->name)};
    for (const Piece* c : carriersOf(*carrier, scheme))
        if (c->id == thing)
            return Problem{worded("{} can't stand on itself", there->name),
                           "put it on something else"};
    Piece p = *there;
    const Box box = boardOf(*carrier, on);
    const double wide = box.high.x - box.low.x;
    const double deep = box.high.y - box.low.y;
    const auto surface = surfaceOf(scene, on);
    const double clear = surface ? surface->clear.mm() : 0;
    constexpr double touch = 0.05;
    const Notation& n = job.notation;
    if (on.is == SurfaceId::Is::opening && heightWithLoad(scheme, thing) > clear + touch)
        return Problem{worded("{} is {} high with what stands on it, and there it is {} clear",
                              p.name,
                              writeGap(Length::millimetres(heightWithLoad(scheme, thing)), n),
                              writeGap(Length::millimetres(clear), n)),
                       "take a higher opening"};
    if (p.size.width.mm() > wide + touch || p.size.depth.mm() > deep + touch)
        return Problem{worded("{} is larger than the board there", p.name), "take a larger one"};
    const double half = p.size.width.mm() / 2;
    const double back = p.on == on                   ? p.pose.at.y
                        : liesOf(p) == Lies::leaning ? box.low.y + p.size.depth.mm() / 2
                                                     : (box.low.y + box.high.y) / 2;
    p.on = on;
    p.ties.clear();
    p.pose = {{std::clamp(box.low.x + left + half, box.low.x + half, box.high.x - half), back},
              there->pose.turn};
    Edit e;
    e.words = worded("move {}", p.name);
    e.acts.emplace_back(PutPiece{std::move(p)});
    return e;
}

} // namespace mezzet
