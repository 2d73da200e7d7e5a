#pragma once

#include "scheme/on_wall.h"

#include <memory>
#include <optional>
#include <vector>

namespace mezzet {

/// Somebody who looks into a mirror.
struct Looker {
    Vec2 at;     ///< on the floor, mm
    Length eye;  ///< over the floor
    Target from; ///< the seat they sit in, or the door they stand in
};

/// One upright strip of a mirror, and what it shows there.
struct MirrorStrip {
    double from = 0; ///< mm along the wall
    double to = 0;
    double low = 0; ///< mm over the floor
    double high = 0;
    Target what; ///< a piece, an opening, something built in; a wall; the ceiling; `room` the floor
    bool hidden = false; ///< something before the mirror hides it; `what` is that thing
};

struct MirrorItem {
    Target what;
    double share = 0; ///< of the mirror's face
};

struct MirrorView {
    Looker looker;
    std::vector<MirrorItem> items; ///< what it shows, most first; walls, floor and ceiling too
    double hidden = 0;             ///< share of the mirror that something stands before
    bool seen = false;             ///< false from behind it or beside its face
    bool self = false;             ///< the looker sees themself in it
};

/// What a mirror shows to someone: each strip of it is looked through from the looker's place
/// reflected in its face, and along that upright plane everything is met in order; upright sides
/// and level tops and undersides are exact in it. `strips` is how finely it is cut, across. Pieces
/// are as high as they are all over their outline. When `parts` is given they are added to it.
[[nodiscard]] MirrorView mirrorShows(const WallsView&, std::size_t mirror, const Looker&,
                                     int strips = 96, std::vector<MirrorStrip>* parts = nullptr);

/// The same for many lookers and mirrors of one scene, whose things are gathered once.
class Reflections {
public:
    explicit Reflections(const WallsView&);
    ~Reflections();
    Reflections(const Reflections&) = delete;
    Reflections& operator=(const Reflections&) = delete;

    [[nodiscard]] MirrorView of(std::size_t mirror, const Looker&, int strips = 96,
                                std::vector<MirrorStrip>* parts = nullptr) const;

private:
    struct Things;
    const WallsView scene_;
    std::unique_ptr<Things> things_;
};

/// The places people look from: each upholstered seat, chairs at a table left out, and each door
/// or opening, standing.
[[nodiscard]] std::vector<Looker> lookersOf(const WallsView&, Length stature);

/// Eye height over a seat's cushion and over the floor, for a stature: 0.46 and 0.936 of it
/// (Drillis and Contini's segment ratios; Dreyfuss' tables; from memory).
[[nodiscard]] Length seatedEye(Length cushion, Length stature);
[[nodiscard]] Length standingEye(Length stature);

/// Where on a wall's face a thing is seen by someone, as if the whole wall were a mirror: the box a
/// mirror must cover to show all of it. Empty when it lies behind the wall's face.
[[nodiscard]] std::optional<Box> shownOn(const WallsView&, int wall, Length out, const Looker&,
                                         const Target& thing);

} // namespace mezzet
