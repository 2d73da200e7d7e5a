#pragma once

#include "colour/colour.h"
#include "geometry/shape.h"
#include "kit/hanging.h"
#include "measure/result.h"

#include <filesystem>
#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <unordered_map>
#include <vector>

namespace mezzet {

/// What a kind of piece is drawn and listed as.
enum class Family { seat, table, storage, sleep, rug, light, plant, screen, art, textile };
inline constexpr int familyCount = 10;

/// The surfaces a thing can have its place on.
enum class SurfaceKind {
    floor,
    wall,
    ceiling,
    opening, ///< of a shelf unit: on the board under it
    top      ///< of a table, a chest, a ledge
};
/// Where a kind can have its place: the floor, a wall, the ceiling; or a top, and then an opening
/// too.
inline constexpr SurfaceKind homes[] = {SurfaceKind::floor, SurfaceKind::wall, SurfaceKind::ceiling,
                                        SurfaceKind::top};
[[nodiscard]] std::string_view surfaceWord(SurfaceKind);

/// The openings of a shelf unit, all alike: so many across and up, between boards.
struct Openings {
    int across = 0;
    int up = 0;
    Length board; ///< how thick the boards and the sides are
    Length foot;  ///< from the floor to the underside of the lowest board

    bool operator==(const Openings&) const = default;
    [[nodiscard]] int count() const { return across * up; }
};

/// What a kind is to the rules.
enum class Role {
    none,
    sofa,        ///< an upholstered seat for two or more
    armchair,    ///< an upholstered seat for one
    perch,       ///< an ottoman, pouf or stool: a seat without a back
    lowTable,    ///< stands before a sofa
    sideTable,   ///< stands beside a seat
    diningTable, ///< people sit in to it
    desk,        ///< one person sits in to it
    diningChair, ///< is drawn in under a dining table or a desk
    bed,
    storage,
    rug,
    lamp,
    plant,
    screen,
    art, ///< a picture, framed or not
    mirror,
    shelf,
    sconce,   ///< a light on the wall
    object,   ///< a plate, a basket, a mask, a clock
    hookRail, ///< coats are hung from it
    cabinet,  ///< a cupboard on the wall
    curtain,  ///< with its rod, over a window
    group     ///< several pieces on a wall, taken as one outline
};

/// How many roles there are, for those who go through them.
inline constexpr int roleCount = 24;

struct Size {
    Length width;  ///< left to right as you face it
    Length depth;  ///< front to back; of a piece on a wall, how far it stands out
    Length height; ///< floor to its highest point; a rug's own thickness; on a wall, foot to top

    bool operator==(const Size&) const = default;
};

/// The heights that matter besides the highest point; empty where a kind has none.
struct Heights {
    std::optional<Length> seat; ///< floor to the top of the cushion
    std::optional<Length> arm;
    std::optional<Length> back;
    std::optional<Length> top; ///< of the surface things stand on

    bool operator==(const Heights&) const = default;
};

enum class FootprintForm {
    rectangle,
    oval,
    ell,
    arch,   ///< a square foot and a round head
    octagon ///< with eight equal corners
};

/// The outline seen from above, or of a piece on a wall from the front; its size is the piece's.
struct Footprint {
    FootprintForm form = FootprintForm::rectangle;
    Length corner;          ///< radius of rounded corners
    Length bodyDepth;       ///< ell: depth of the part along the back
    Length armWidth;        ///< ell: width of the part that reaches forward
    bool armOnRight = true; ///< ell: as you face it

    bool operator==(const Footprint&) const = default;
};

/// How a kind gives light.
struct LightSource {
    double lumens = 0;
    double watts = 0;
    double kelvin = 2700; ///< the colour of its light
    std::string shine;    ///< how it shines each way: a file of data/light, without its ending
    Length lamp;          ///< its photometric centre, over its foot
    Length cutOut;        ///< the width of the hole it goes into; nothing for none
    Length recess;        ///< how far it reaches up into the ceiling
    Length shade;         ///< its shade's foot, over its own; nothing for none
    bool bare = false;    ///< its lamp is seen
    bool hung = false;    ///< by a cord or a rod, as high as one chooses
    bool general = false; ///< let in, to light a room at large
    double kilograms = 0; ///< what it weighs

    bool operator==(const LightSource&) const = default;
};

/// What a thing on a shelf or a table is to those who dress it.
enum class ThingSort {
    book,
    stack, ///< of books, that is one thing
    box,   ///< things can be put away in it
    vase,
    bowl,
    tray,
    candle,
    flat, ///< leans at the back, or lies: a print, a frame, a plate
    plant,
    figure,
    riser, ///< lifts what stands on it
    basket,
    lamp,
    clock,
    textile,
    other
};
inline constexpr int thingSortCount = 16;
[[nodiscard]] std::string_view thingSortName(ThingSort);

/// How a kind of thing looks and weighs, as it usually comes.
struct ThingKind {
    ThingSort sort = ThingSort::other;
    Rgb colour;
    std::optional<Rgb> colour2; ///< of a book the cloth under its jacket
    std::string material;
    std::string finish;      ///< matt or polished
    double kgPerLitre = 0.4; ///< of the box round it

    bool operator==(const ThingKind&) const = default;
};

/// Clear floor a kind needs in use, beyond each edge.
struct UseRoom {
    Length front;
    Length back;
    Length left;
    Length right;
};

/// A generic kind of piece, never a maker's product.
struct Kind {
    std::string id;
    std::string name;
    Family family = Family::storage;
    Role role = Role::none;
    std::vector<std::string> also; ///< other words people use for it
    /// Words of several kinds that a new one of this is meant by: "chair", "cabinet".
    std::vector<std::string> usually{};
    Size size;                     ///< as it usually comes
    Heights heights;
    Footprint footprint;
    UseRoom use;
    bool workedAt = false;    ///< one stands at it and works: a counter, a sink, a cook top
    std::string opens;        ///< what takes that room: "drawers", "doors", "the bed in it"
    bool opensSeldom = false; ///< for a night or a guest: what is light is moved aside for it
    /// Where its legs stand, each leg's middle from its back's left corner as you face it, of a
    /// piece of `size`; mm. None: in its corners.
    std::vector<Vec2> legs;
    bool bareBack = false;               ///< its back is not finished, and is not to be seen
    SurfaceKind on = SurfaceKind::floor; ///< where it has its place
    Openings openings;                   ///< of a unit with shelves
    bool own = false;                    ///< the studio's own, and not of the shipped kit
    Length clearBelow;            ///< floor to the underside of a table's top, where chairs tuck in
    std::string caution;          ///< said when it is placed; empty for most
    std::string draw;             ///< how it is drawn from above: "cushions", "top", "pillows" …
    Hanging hanging;              ///< how such a piece usually hangs
    Length hangAt;                ///< the height it usually hangs at; nothing is eye level
    Level hangBy = Level::centre; ///< which height of it that is
    std::optional<Size>
        metric;          ///< its size in metric trade; rounded from `size` where there is none
    Length metricHangAt; ///< the same of the height it hangs at; nothing for none
    std::shared_ptr<const LightSource> light; ///< null for what gives none
    std::shared_ptr<const ThingKind> thing;   ///< of what is put on shelves and tables; null else
    double arealWeight = 0; ///< kg to a square metre of its face, when its weight is not known

    /// The two figures of its outline: from above, or of what hangs from the front.
    [[nodiscard]] Size outlineSize() const {
        return hangs() ? Size{size.width, size.height, size.depth} : size;
    }
    /// Has its place on a wall.
    [[nodiscard]] bool hangs() const { return on == SurfaceKind::wall; }
    /// Stands on another piece and not on the floor.
    [[nodiscard]] bool standsOn() const { return on == SurfaceKind::top; }
    [[nodiscard]] bool underCeiling() const { return on == SurfaceKind::ceiling; }
    /// Things can stand on it.
    [[nodiscard]] bool hasTop() const {
        return heights.top.has_value() || family == Family::table || role == Role::shelf;
    }
    /// Flat on the floor: walked over, and stood on by other pieces.
    [[nodiscard]] bool flat() const { return family == Family::rug; }
    /// Stands on the floor, and is walked round.
    [[nodiscard]] bool takesFloor() const { return !flat() && on == SurfaceKind::floor; }
    /// People sit in to it: a dining table or a desk.
    [[nodiscard]] bool isSatInTo() const { return role == Role::diningTable || role == Role::desk; }
    /// Lies on seats and beds: a cushion, a throw.
    [[nodiscard]] bool isSoft() const {
        return thing != nullptr && thing->sort == ThingSort::textile;
    }
    /// Cushions and throws lie on it.
    [[nodiscard]] bool takesSoft() const { return isSeat() || role == Role::bed; }
    /// People sit on it.
    [[nodiscard]] bool isSeat() const { return family == Family::seat; }
};

using KindPtr = std::shared_ptr<const Kind>;

/// The footprint of a piece of this form and size, about its own centre.
[[nodiscard]] Shape footprintShape(const Footprint&, const Size&);

[[nodiscard]] std::string_view familyName(Family);
/// The family of what kits of before called of the family “hung”, by its role.
[[nodiscard]] Family wallFamily(Role);
[[nodiscard]] std::string_view roleName(Role);

/// All kinds known.
class Kit {
public:
    /// Problem when two kinds share an id or a word.
    [[nodiscard]] static Result<Kit> of(std::vector<Kind> kinds);

    [[nodiscard]] const std::vector<KindPtr>& kinds() const { return kinds_; }
    [[nodiscard]] KindPtr byId(std::string_view id) const;
    /// By name or any other word for it, in any case, plural or not.
    [[nodiscard]] KindPtr byWord(std::string_view word) const;
    /// The kind a new thing is of that is told by a word of several kinds alone: "a chair"; null
    /// for a word of none.
    [[nodiscard]] KindPtr usuallyMeant(std::string_view word) const;
    /// The kind that the last words of a name mean, as many of them as there can be: "Heron sofa"
    /// is a sofa. `fine`, when it is given, passes over kinds that it refuses.
    [[nodiscard]] KindPtr byLastWords(std::string_view name,
                                      bool (*fine)(const Kind&) = nullptr) const;
    /// Those with a word that begins like, or holds, what was typed; best first.
    [[nodiscard]] std::vector<KindPtr> matching(std::string_view typed) const;

private:
    std::vector<KindPtr> kinds_;
    std::vector<std::vector<std::string>> plain_; ///< of each kind its words, plain, its name first
    std::unordered_map<std::string, KindPtr> byWord_;
    std::unordered_map<std::string, KindPtr> byJoined_; ///< words written without blanks
    std::unordered_map<std::string, KindPtr> byId_;
};

using KitPtr = std::shared_ptr<const Kit>;

/// Reads one kit file; docs/kit.md tells its form. The Problem names file, entry and reason.
[[nodiscard]] Result<std::vector<Kind>> readKitFile(const std::filesystem::path&);
[[nodiscard]] Result<std::vector<Kind>> readKit(std::string_view json, std::string_view file);

/// Reads every *.json file of a folder as one kit, in order of file name.
[[nodiscard]] Result<KitPtr> loadKit(const std::filesystem::path& folder);

/// Small letters, without accents, plural endings and punctuation: how names are compared.
[[nodiscard]] std::string plainWord(std::string_view);

} // namespace mezzet
