#pragma once

#include "edit/edit.h"
#include "hang/group_solver.h"

namespace mezzet {

/// What the solver is asked for a group, or for pieces that are to become one: their sizes, the
/// gap, and the slope of a stair they hang over. Pieces of `pinned` keep their places.
[[nodiscard]] GroupAsk askOf(const Scene&, const std::vector<int>& pieces, GroupForm, Length gap,
                             const std::vector<int>& pinned = {});

/// Makes a group of pieces of one wall as they hang, each kept where it is in it; what they were
/// tied to is let go. Pieces already in a group leave it. Problem: fewer than two, a group among
/// them, or pieces of two walls.
[[nodiscard]] Result<Edit> makeGroup(const Project&, const Scene&, const std::vector<int>& pieces,
                                     const std::string& name, GroupForm, Length gap);

/// Sets a group's pieces out as an answer has them; the group's middle stays where it is, or where
/// its ties put it. Those left out leave the group and hang where they were.
[[nodiscard]] Edit setOut(const Project&, const Scene&, int group, const GroupPlan&,
                          const GroupAsk&, const GroupAnswer&);

/// Sets a group out anew by a plan, as the solver's answer of its number has it. Problem: nothing
/// sets it out so, or there are fewer answers.
[[nodiscard]] Result<Edit> arrangeAs(const Project&, const Scene&, int group, const GroupPlan&,
                                     const std::vector<int>& pinned = {},
                                     std::optional<Vec2> within = {});

/// Takes a group apart; its pieces hang where they are.
[[nodiscard]] Edit ungroup(const Project&, const Scene&, int group);

/// Carries a shelf round the corner it is nearest to: it is drawn up to the corner, and another as
/// deep, level with it, runs so far along the adjoining wall. Problem: no shelf, or no wall there.
[[nodiscard]] Result<Edit> wrapShelf(const Project&, const Scene&, int shelf, Length beyond);

/// The pieces themselves, in place of the groups among them.
[[nodiscard]] std::vector<int> membersOf(const Scheme&, const std::vector<int>& ids);

} // namespace mezzet
