// A cord that comes out of the ceiling elsewhere, and is led to a hook over the light.

#include "edit/swagged.h"

#include "light/lamps.h"
#include "measure/texts.h"
#include "scheme/resolve.h"

namespace mezzet {

namespace {

/// "72, 60": along wall A from its left corner, and from wall A.
Vec2 wireAt(WordsReader& in) {
    const Length x = in.length("how far along wall A the wire comes out of the ceiling");
    if (!in.comma())
        in.take({"by", "and", "x"});
    const Length y = in.length("how far from wall A the wire comes out of the ceiling");
    return {x.mm(), y.mm()};
}

/// The middle of what is named, as it is now: a wire in a ceiling doesn't move along.
Vec2 wireAtNamed(WordsReader& in, const Scene& scene, const Piece& light) {
    if (in.take({"the middle of the room", "middle of the room", "the middle of the ceiling",
                 "middle of the ceiling"}))
        return scene.room->middle();
    const std::size_t at = in.at();
    const Target t = in.target();
    if (t.is == Target::Is::none || t == pieceTarget(light.id) || t.is == Target::Is::wall)
        in.fail(at, in.at() - at, "that is no place in the ceiling",
                "say it like: swag pendant from 72, 60");
    return middleOf(t, scene);
}

} // namespace

Edit readSwag(WordsReader& in, int light, std::size_t at) {
    Piece p = *in.scheme().byId(light);
    if (!p.kind->light->hung || !p.on.isCeiling())
        in.fail(at, in.at() - at, worded("{} doesn't hang by a cord from the ceiling", p.name),
                "name a pendant or a chandelier");
    LightTold told;
    if (p.light)
        told = *p.light;
    Edit e;
    if (in.take({"straight up", "straight", "from nothing", "no more"})) {
        told.wire.reset();
        e.words = worded("{} hangs straight under its wire", p.name);
    } else {
        in.take({"from"});
        const std::size_t from = in.at();
        const auto scene = sceneOf(in.job());
        if (!scene)
            WordsReader::refuse(scene.problem(), at);
        const Scene& now = **scene;
        told.wire = in.lengthAhead() ? wireAt(in) : wireAtNamed(in, now, p);
        if (!now.room->holds(*told.wire))
            in.fail(from, in.at() - from, "there is no ceiling of this room there",
                    "say how far along wall A and from it, like 72, 60");
        if (const Placed* where = now.byId(light)) {
            Piece led = p;
            led.light = std::make_shared<const LightTold>(told);
            e.words = worded("swag {}: {} of cord from its wire to its top", p.name,
                             write(cordOf(led, *where), in.job().notation));
        }
        e.notices.emplace_back(mezzet::told(
            "a hook that holds four times the light, in a joist; wiring is for a licensed "
            "electrician"));
    }
    in.nothingMore();
    p.light = std::make_shared<const LightTold>(std::move(told));
    e.acts.emplace_back(PutPiece{std::move(p)});
    return e;
}

} // namespace mezzet
