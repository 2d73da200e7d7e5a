#pragma once

#include "rules/rule_book.h"
#include "scheme/scheme.h"
#include "work/handover.h"

#include <array>
#include <utility>

namespace mezzet {

/// The format of job files this version writes, and the newest it reads.
inline constexpr int jobFormat = 4;

// The enumerations as the file spells them.

inline constexpr std::array<std::pair<SurfaceId::Is, const char*>, 5> surfaceWords{
    {{SurfaceId::Is::floor, "floor"},
     {SurfaceId::Is::wall, "wall"},
     {SurfaceId::Is::ceiling, "ceiling"},
     {SurfaceId::Is::opening, "opening"},
     {SurfaceId::Is::top, "top"}}};
inline constexpr std::array<std::pair<Level, const char*>, 3> levelWords{
    {{Level::bottom, "bottom"}, {Level::centre, "centre"}, {Level::top, "top"}}};
inline constexpr std::array<std::pair<Household, const char*>, 5> householdWords{
    {{Household::unsaid, "unsaid"},
     {Household::shortOnes, "short"},
     {Household::mixed, "mixed"},
     {Household::tall, "tall"},
     {Household::open, "public"}}};
inline constexpr std::array<std::pair<GroupForm, const char*>, groupForms> formWords{
    {{GroupForm::row, "row"},
     {GroupForm::column, "column"},
     {GroupForm::grid, "grid"},
     {GroupForm::spiral, "spiral"},
     {GroupForm::salon, "salon"},
     {GroupForm::mirrored, "mirrored"},
     {GroupForm::stepped, "stepped"},
     {GroupForm::asPlaced, "as-placed"}}};
inline constexpr std::array<std::pair<Target::Is, const char*>, 13> targetWords{
    {{Target::Is::piece, "piece"},
     {Target::Is::wall, "wall"},
     {Target::Is::corner, "corner"},
     {Target::Is::window, "window"},
     {Target::Is::door, "door"},
     {Target::Is::opening, "opening"},
     {Target::Is::chimney, "chimney"},
     {Target::Is::room, "room"},
     {Target::Is::fixture, "fixture"},
     {Target::Is::ceiling, "ceiling"},
     {Target::Is::skirting, "skirting"},
     {Target::Is::chairRail, "chair-rail"},
     {Target::Is::pictureRail, "picture-rail"}}};
inline constexpr std::array<std::pair<FixtureKind, const char*>, 11> fixtureWords{
    {{FixtureKind::chimney, "chimney"},
     {FixtureKind::fireplace, "fireplace"},
     {FixtureKind::radiator, "radiator"},
     {FixtureKind::builtIn, "built-in"},
     {FixtureKind::halfWall, "half-wall"},
     {FixtureKind::column, "column"},
     {FixtureKind::stairs, "stairs"},
     {FixtureKind::outlet, "outlet"},
     {FixtureKind::lightSwitch, "switch"},
     {FixtureKind::vent, "vent"},
     {FixtureKind::wallLight, "wall-light"}}};
inline constexpr std::array<std::pair<Side, const char*>, 4> sideWords{{{Side::front, "front"},
                                                                        {Side::behind, "behind"},
                                                                        {Side::left, "left"},
                                                                        {Side::right, "right"}}};

inline constexpr std::array<std::pair<BuiltMark::What, const char*>, 7> builtWords{
    {{BuiltMark::What::hookUp, "hook-up"},
     {BuiltMark::What::hookAlong, "hook-along"},
     {BuiltMark::What::foot, "bottom"},
     {BuiltMark::What::top, "top"},
     {BuiltMark::What::centre, "centre"},
     {BuiltMark::What::fromPiece, "from-piece"},
     {BuiltMark::What::fromWall, "from-wall"}}};

inline constexpr std::array<std::pair<Lies, const char*>, 3> liesWords{
    {{Lies::standing, "standing"}, {Lies::lying, "lying"}, {Lies::leaning, "leaning"}}};

template <class Table, class E> const char* wordFor(const Table& table, E e) {
    for (const auto& [value, word] : table)
        if (value == e)
            return word;
    return "";
}

} // namespace mezzet
