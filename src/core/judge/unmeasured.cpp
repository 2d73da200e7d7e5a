#include "judge/unmeasured.h"

#include "geometry/gap.h"
#include "measure/example.h"
#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

namespace {

/// What stands nearer to a wall than this stands before it.
constexpr Length standsBefore = Length::inches(18);
/// What is taller than this is anchored to the wall so that it can't tip.
constexpr Length anchored = Length::inches(48);

class LookedInto {
public:
    explicit LookedInto(const FloorView& scene) : scene_(scene), room_(*scene.room) {}

    std::vector<Unmeasured> run() {
        if (room_.walls.empty())
            return {};
        if (!room_.ceilingTaped)
            out_.push_back(
                {worded("no ceiling height: {} is taken", write(room_.ceiling, {room_.units, 16})),
                 "ceiling ", 0, -1});
        bracing();
        for (const Opening& o : room_.openings)
            opening(o);
        for (std::size_t w = 0; w < room_.walls.size(); ++w)
            studs(static_cast<int>(w));
        for (const Fixture& f : room_.fixtures)
            if (f.kind == FixtureKind::fireplace && f.hearthDepth <= Length{})
                out_.push_back(
                    {worded("no hearth for the {}: rugs and chairs keep off it", f.name()),
                     ", hearth ", f.place.line, f.wall});
        out_.insert(out_.end(), later_.begin(), later_.end());
        return out_;
    }

private:
    void bracing() {
        if (room_.closed && room_.diagonals.empty() && room_.walls.size() > 3 && room_.fit.next) {
            const auto& next = *room_.fit.next;
            out_.push_back({worded("no diagonal: {} to {} would tell most", wallName(next.from),
                                   wallName(next.to)),
                            worded("diagonal {} to {} ", wallName(next.from), wallName(next.to)), 0,
                            -1});
        }
    }

    /// The first piece, not flat, that stands before a stretch of wall.
    [[nodiscard]] const Piece* standingBefore(int wall, Length left, Length right,
                                              Length tallerThan) const {
        const Wall& w = room_.walls[static_cast<std::size_t>(wall)];
        const double base = dot(w.start, w.along());
        for (std::size_t i = 0; i < scene_.placed.size(); ++i) {
            const Piece& p = scene_.piece(i);
            const Shape& s = scene_.placed[i].shape;
            if (p.kind->flat() || p.size.height <= tallerThan)
                continue;
            const double off = -extent(s, -w.inward()) - dot(w.start, w.inward());
            if (off < -standsBefore.mm() || off > standsBefore.mm())
                continue;
            if (extent(s, w.along()) - base > left.mm() &&
                -extent(s, -w.along()) - base < right.mm())
                return &p;
        }
        return nullptr;
    }

    void opening(const Opening& o) {
        if (o.kind == OpeningKind::window && !o.sillTaped) {
            if (const auto* p = standingBefore(o.wall, o.left, o.left + o.width, Length{}))
                out_.push_back({worded("no sill for {}: {} stands under it", o.name(), p->name),
                                ", sill ", o.place.line, o.wall});
            else
                later_.push_back(
                    {worded("no sill for {}", o.name()), ", sill ", o.place.line, o.wall});
        }
        if (o.kind == OpeningKind::window && o.opens == WindowOpens::unknown)
            if (const auto* p = standingBefore(o.wall, o.left, o.left + o.width,
                                               o.sillTaped ? o.sill : Length::inches(30)))
                out_.push_back(
                    {worded("which way {} opens: {} stands before it", o.name(), p->name),
                     ", opens in", o.place.line, o.wall});
        if (o.kind == OpeningKind::door && !o.undercut && o.swingsIn) {
            const auto swing = doorSwing(room_, o);
            for (std::size_t i = 0; swing && i < scene_.placed.size(); ++i)
                if (scene_.piece(i).kind->flat() &&
                    gapBetween(scene_.placed[i].shape, *swing).depth > Length{})
                    out_.push_back({worded("no undercut for {}: {} lies under its leaf", o.name(),
                                           scene_.piece(i).name),
                                    ", undercut ", o.place.line, o.wall});
        }
    }

    void studs(int wall) {
        if (room_.studs[static_cast<std::size_t>(wall)])
            return;
        const Wall& w = room_.walls[static_cast<std::size_t>(wall)];
        for (std::size_t i = 0; i < scene_.placed.size(); ++i) {
            const Piece& p = scene_.piece(i);
            if ((p.kind->family != Family::storage && p.kind->family != Family::screen) ||
                p.size.height < anchored)
                continue;
            const Shape& s = scene_.placed[i].shape;
            const double off = -extent(s, -w.inward()) - dot(w.start, w.inward());
            const double at = dot(s.centre - w.start, w.along());
            if (std::abs(off) > 100 || at < 0 || at > w.length().mm())
                continue;
            out_.push_back(
                {worded("no studs on wall {}: {} is anchored there", w.name, p.name),
                 worded("studs {} apart, first  from left", exampleIn("16", room_.units)), 0,
                 wall});
            return;
        }
    }

    const FloorView scene_;
    const Room& room_;
    std::vector<Unmeasured> out_;
    std::vector<Unmeasured> later_; ///< what nothing planned needs yet
};

} // namespace

std::vector<Unmeasured> stillToMeasure(const FloorView& scene) {
    return LookedInto(scene).run();
}

} // namespace mezzet
