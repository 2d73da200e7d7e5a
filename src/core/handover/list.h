#pragma once

#include "project/project.h"

#include <map>
#include <string>
#include <vector>

namespace mezzet {

/// One thing of a job's list: a piece of a scheme, or what is in none.
struct ListItem {
    std::string name;
    ItemState state = ItemState::toFind;
    std::string supplier;
    std::optional<double> price; ///< of one
    int quantity = 1;
    std::optional<int> leadDays;
    std::string room; ///< empty for the whole job
    std::string zone;
    std::optional<Day> ordered;
    std::optional<Day> due;
    std::string note;
    std::string link;
    std::string picture; ///< key of one of the job's pictures: told, or shown in the frame; or empty
    std::array<std::optional<Length>, 3> size{}; ///< width, depth and height
    KindPtr kind;                                ///< null for what is in no scheme
    std::size_t scheme = 0;                      ///< of a piece, in the job
    int piece = 0;                               ///< its id there; 0 for what is in none

    [[nodiscard]] double cost() const { return price.value_or(0) * quantity; }
};

/// What is told of a job's handing over; nothing told where there is none.
[[nodiscard]] const Handover& handedOver(const Project&);

/// The scheme of each room that its list is of: the active one, and of other rooms their first.
[[nodiscard]] std::vector<std::size_t> listedSchemes(const Project&);

/// Every piece of those schemes, those of the other arrangement too, and then what is in none, in
/// the order in which it was placed or told. A piece begins as to find; one that was taken from
/// the stock is had. Groups are no things.
[[nodiscard]] std::vector<ListItem> jobList(const Project&);

/// What a list comes to.
struct ListTotals {
    double all = 0; ///< price times quantity of all but what went back and what is not wanted
    std::map<ItemState, double> byState;
    std::map<std::string, double> byRoom;
    std::map<std::string, double> byZone; ///< with a room's name before it
    int unpriced = 0;                     ///< of those that count
};
[[nodiscard]] ListTotals totalsOf(const std::vector<ListItem>&);

/// The list as CSV: a column for each key of its JSON, sizes in mm.
[[nodiscard]] std::string listAsCsv(const std::vector<ListItem>&);

/// A list as it is to be, and the pieces that are to differ with it.
struct ListChange {
    Handover handover;
    struct Put {
        std::size_t scheme = 0;
        Piece piece;
    };
    std::vector<Put> pieces;
    std::vector<std::string> told; ///< what was added, in a sentence each
};

/// Puts things into a job's list: what is told of a piece goes to it, its price and its size into
/// the scheme; a name that is nowhere is a thing to buy. `size` of an entry may name a piece's.
[[nodiscard]] ListChange withEntries(const Project&, const std::vector<ListEntry>&);

/// Reads such a table and puts it into the job's list. Columns may be left out, stand in any order
/// and be parted by semicolons; cells that are empty leave what is there. Problem: a column that is
/// none, a name that is missing, a state, a number, a day that is none, with line and column;
/// nothing half-read is returned.
[[nodiscard]] Result<ListChange> listFromCsv(std::string_view text, std::string_view file,
                                             const Project&);

/// What is told of a piece goes with it when it is called otherwise.
void followName(Handover&, std::string_view room, std::string_view was, std::string_view is);

} // namespace mezzet
