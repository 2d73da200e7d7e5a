#pragma once

#include "hang/free_wall.h"
#include "judge/floor_ways.h"
#include "judge/handle.h"
#include "judge/on_walls.h"
#include "judge/reading.h"
#include "things/dressed.h"

#include <functional>
#include <span>

namespace mezzet {

/// What several rules work with, made once for a scene, when first asked for.
class Shared {
public:
    Shared(const Scene& scene, const RuleBook& book) : scene_(scene), book_(book) {}

    /// The free floor as everything stands, and with chairs in use.
    const FloorWays& ways(bool chairsOut);
    /// Whether any chair is drawn up to a table, so that there is another state in use.
    bool hasChairs();
    /// A wall's face, its hooks, and what mirrors can meet.
    const WallFace& face(int wall);
    const std::vector<HangOf>& hangs();
    const Reflections& reflections();
    /// The ways between doors, as lines on the floor.
    const std::vector<std::vector<Vec2>>& lines();
    /// Units and tables with what stands on them.
    const std::vector<DressedUnit>& units();
    /// The figures of ways, told once by the rule `walkway-main`.
    [[nodiscard]] Length setting(std::string_view rule, std::string_view name) const;

private:
    const Scene& scene_; ///< of which each is shown the view it is for
    const RuleBook& book_;
    std::array<std::optional<FloorWays>, 2> ways_;
    std::optional<bool> chairs_;
    std::vector<std::optional<WallFace>> faces_;
    std::optional<std::vector<HangOf>> hangs_;
    std::optional<Reflections> reflections_;
    std::optional<std::vector<std::vector<Vec2>>> lines_;
    std::optional<std::vector<DressedUnit>> units_;
};

/// What a rule's code is given, whatever surface it is about.
struct JudgeContext {
    const RuleBook& book;
    const Rule& rule;
    const Band band;
    std::vector<Reading>& out;
    const Judgement& judgement;
    Shared& shared;
    std::vector<WayWidth>& ways;
    const Stopped& stopped;

    [[nodiscard]] bool leaveOff() const { return stopped && stopped(); }

    /// Adds a reading; its verdict is the band's, with half of 0.01 mm (or a millionth) to spare.
    Reading& add(int piece, Target other, Amount value, Vec2 a, Vec2 b) const {
        return add(piece, other, value, band, a, b);
    }
    Reading& add(int piece, Target other, Amount value, const Band& own, Vec2 a, Vec2 b) const;
    /// For information: no band, nothing to mend.
    Reading& note(int piece, Target other, Amount value, Vec2 a, Vec2 b) const;
};

/// A rule about the floor sees what stands on it, and no picture.
struct FloorContext : JudgeContext {
    FloorView scene;
};

/// A rule about walls sees what hangs, and the floor before it.
struct WallContext : JudgeContext {
    WallsView scene;

    /// Adds a reading of something seen on a wall.
    Reading& addOnWall(int wall, int piece, Target other, Amount value, const Band& own, Vec2 a,
                       Vec2 b) const {
        Reading& r = add(piece, other, value, own, a, b);
        r.surface = onWall(wall);
        return r;
    }
};

/// A rule about lights sees what hangs from the ceiling, and the floor under it.
struct CeilingContext : JudgeContext {
    CeilingView scene;
};

/// A rule about shelves and tabletops sees what stands on them.
struct DressContext : JudgeContext {
    const Scene& scene;
    const std::vector<DressedUnit>& units;
};

/// What measures a rule, by the surface it looks at; a rule may look at several.
struct Measure {
    using OfFloor = void (*)(const FloorContext&);
    using OfWalls = void (*)(const WallContext&);
    using OfCeiling = void (*)(const CeilingContext&);
    using OfUnits = void (*)(const DressContext&);
    constexpr Measure(OfFloor f) : floor(f) {}
    constexpr Measure(OfCeiling c) : ceiling(c) {}
    constexpr Measure(OfWalls w) : walls(w) {}
    constexpr Measure(OfUnits u) : units(u) {}
    constexpr Measure(OfFloor f, OfWalls w) : floor(f), walls(w) {}
    OfFloor floor = nullptr;
    OfWalls walls = nullptr;
    OfCeiling ceiling = nullptr;
    OfUnits units = nullptr;
};

/// The code of one rule.
struct RuleCode {
    std::string_view id;
    Measure judge;
    /// What could bring a reading to the value `target`, likeliest first.
    std::vector<Handle> (*handles)(const Reading&, double target, const Project&, const Scene&);
    /// A reading is there only while there is something to mend.
    bool goneWhenMended = false;
    /// It is measured to whatever is nearest, which may be another thing next time.
    bool toNearest = false;
    /// A rule whose readings it looks at, which is read before it.
    std::string_view after{};
    /// Mended by the least that helps, at the near edge of its band rather than in its middle.
    bool nearEdge = false;
};

/// The rules by subject; a new subject is one more file and a line in rule_code.cpp.
[[nodiscard]] std::span<const RuleCode> seatingRules();
[[nodiscard]] std::span<const RuleCode> diningRules();
[[nodiscard]] std::span<const RuleCode> doorRules();
[[nodiscard]] std::span<const RuleCode> rugRules();
[[nodiscard]] std::span<const RuleCode> rugEdgeRules();
[[nodiscard]] std::span<const RuleCode> clashRules();
[[nodiscard]] std::span<const RuleCode> wayRules();
[[nodiscard]] std::span<const RuleCode> talkRules();
[[nodiscard]] std::span<const RuleCode> useRules();
[[nodiscard]] std::span<const RuleCode> lookRules();
[[nodiscard]] std::span<const RuleCode> roomRules();
[[nodiscard]] std::span<const RuleCode> hangingRules();
[[nodiscard]] std::span<const RuleCode> wallRules();
[[nodiscard]] std::span<const RuleCode> displayRules();
[[nodiscard]] std::span<const RuleCode> lightRules();
[[nodiscard]] std::span<const RuleCode> dressRules();
/// Whether a rule is one of a subject's.
[[nodiscard]] bool isOf(std::span<const RuleCode>, const Rule&);

[[nodiscard]] const RuleCode* codeOf(std::string_view id);

/// A rule of the book that nothing measures, or code that the book has no rule for; a book and a
/// program that don't belong together are not used.
[[nodiscard]] std::optional<Problem> unpaired(const RuleBook&);

} // namespace mezzet
