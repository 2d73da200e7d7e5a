#pragma once

#include "measure/length.h"
#include "work/schedule.h"

#include <array>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// How far a thing of the list has come.
enum class ItemState {
    have,
    keep,
    toFind,
    chosen,
    ordered,
    delivered,
    placed,
    returned,
    notWanted
};
inline constexpr std::size_t itemStates = 9;
/// "to find", as it is written in job files, CSV and JSON.
[[nodiscard]] std::string_view itemStateName(ItemState);
/// Reads that, in any case. Nothing for other words.
[[nodiscard]] std::optional<ItemState> readItemState(std::string_view);
/// Whether its price counts: of all but what went back or is not wanted.
[[nodiscard]] constexpr bool isPaid(ItemState s) {
    return s != ItemState::returned && s != ItemState::notWanted;
}

/// What is told of one thing of the list: of a piece of that name, or of a thing that is in no
/// scheme. The price of a piece is the piece's own.
struct ListEntry {
    std::string name;
    std::string room; ///< empty for the whole job
    std::optional<ItemState> state;
    std::string supplier;
    std::optional<double> price; ///< of one, in the client's money; of what is in no scheme
    std::optional<int> quantity; ///< 1 when not told
    std::optional<int> leadDays; ///< from the order to the delivery
    std::optional<Day> ordered;
    std::optional<Day> due;
    std::string zone; ///< of what is in no scheme
    std::string note;
    std::string link;
    std::string picture; ///< key of one of the job's pictures; empty for none
    /// Of what is in no scheme: width, depth and height, nothing where not told.
    std::array<std::optional<Length>, 3> size{};

    bool operator==(const ListEntry&) const = default;
};

/// What is told of one task, over what the job itself makes of it.
struct TaskTold {
    std::string name;
    std::optional<std::string> trade{};
    std::optional<double> hours{};
    std::optional<int> days{};
    std::optional<int> waitDays{};
    std::optional<std::vector<std::string>> after{};
    std::optional<Day> notBefore{};
    bool leftOut = false; ///< it is not done
    std::string note{};

    bool operator==(const TaskTold&) const = default;
};

/// A length that was measured once it was done: what of which piece, and the figure.
struct BuiltMark {
    /// Of a hook: its height, and how far it is from its wall's left corner. Of a piece: its
    /// foot's, top's or middle's height; how far it is from another piece or from a wall.
    enum class What { hookUp, hookAlong, foot, top, centre, fromPiece, fromWall };
    What what = What::fromWall;
    std::string piece;
    int number = 1;    ///< which hook, from 1, from the left
    std::string other; ///< fromPiece: the other piece; fromWall: the wall's letter
    Length built;
    Length planned; ///< when it was measured
    Day day{};
    std::string room{};

    bool operator==(const BuiltMark&) const = default;
};

/// What is told of a job's handing over: the list, the money, the order of work, what was built.
struct Handover {
    std::vector<ListEntry> list;
    std::optional<double> budget;
    std::vector<TaskTold> tasks;
    WorkCalendar calendar;
    std::optional<Day> from; ///< the first day of work
    std::vector<BuiltMark> built;

    bool operator==(const Handover&) const = default;
    [[nodiscard]] const ListEntry* entry(std::string_view room, std::string_view name) const;
    [[nodiscard]] ListEntry* entry(std::string_view room, std::string_view name);
    [[nodiscard]] const TaskTold* task(std::string_view name) const;
    [[nodiscard]] TaskTold* task(std::string_view name);
};

/// Limits, stated in docs/limits.md.
inline constexpr std::size_t mostEntries = 4000;
inline constexpr std::size_t mostHolidays = 400;
inline constexpr std::size_t mostBuilt = 4000;
inline constexpr int mostQuantity = 100000;
inline constexpr double mostMoney = 1e9;

/// An amount of money with two decimals and its point: "1200.00"; whole ones without.
[[nodiscard]] std::string moneyText(double);
/// Reads one, with a decimal point or comma and without a sign of money. Nothing for other text,
/// and for what is below nothing or over the limit.
[[nodiscard]] std::optional<double> readMoney(std::string_view);

} // namespace mezzet
