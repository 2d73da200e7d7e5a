#include "work/handover.h"

#include "measure/text.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

// texts
constexpr std::array<std::string_view, itemStates> stateNames{"have",   "keep",     "to find",
                                                              "chosen", "ordered",  "delivered",
                                                              "placed", "returned", "not wanted"};
// end of texts

template <class All> auto entryIn(All& all, std::string_view room, std::string_view name) {
    const auto it = std::find_if(all.begin(), all.end(), [&](const ListEntry& e) {
        return foldCase(e.name) == foldCase(name) && foldCase(e.room) == foldCase(room);
    });
    return it == all.end() ? nullptr : &*it;
}

template <class All> auto taskIn(All& all, std::string_view name) {
    const auto it = std::find_if(all.begin(), all.end(), [&](const TaskTold& t) {
        return foldCase(t.name) == foldCase(name);
    });
    return it == all.end() ? nullptr : &*it;
}

} // namespace

std::string_view itemStateName(ItemState s) {
    return stateNames.at(static_cast<std::size_t>(s));
}

std::optional<ItemState> readItemState(std::string_view text) {
    const auto word = foldCase(trimmed(text));
    for (std::size_t i = 0; i < itemStates; ++i)
        if (word == stateNames.at(i))
            return static_cast<ItemState>(i);
    return {};
}

const ListEntry* Handover::entry(std::string_view room, std::string_view name) const {
    return entryIn(list, room, name);
}
ListEntry* Handover::entry(std::string_view room, std::string_view name) {
    return entryIn(list, room, name);
}
const TaskTold* Handover::task(std::string_view name) const {
    return taskIn(tasks, name);
}
TaskTold* Handover::task(std::string_view name) {
    return taskIn(tasks, name);
}

std::string moneyText(double v) {
    const double cents = std::round(v * 100) / 100;
    return cents == std::floor(cents) ? fmt::format("{:.0f}", cents) : fmt::format("{:.2f}", cents);
}

std::optional<double> readMoney(std::string_view text) {
    std::string s(trimmed(text));
    // "1,200.50", "1.200,50" and "1 200,50" are read by what stands last, "1,200" by its three
    // digits.
    std::erase(s, ' ');
    std::erase(s, '\'');
    const auto point = s.find_last_of('.');
    const auto comma = s.find_last_of(',');
    const auto digitsAfter = [&](std::size_t at) { return s.size() - at - 1; };
    char mark = 0;
    if (point != std::string::npos && comma != std::string::npos)
        mark = point > comma ? '.' : ',';
    else if (point != std::string::npos)
        mark = '.';
    else if (comma != std::string::npos && digitsAfter(comma) != 3)
        mark = ',';
    std::string plain;
    bool marked = false;
    for (std::size_t i = 0; i < s.size(); ++i) {
        if (s[i] >= '0' && s[i] <= '9') {
            plain += s[i];
        } else if (s[i] == mark && !marked && (mark == '.' ? i == point : i == comma)) {
            plain += '.';
            marked = true;
        } else if ((s[i] == '.' || s[i] == ',') && s[i] != mark && !plain.empty() && !marked &&
                   i + 3 < s.size()) {
            continue; // between thousands
        } else {
            return {};
        }
    }
    if (plain.empty() || plain.size() > 20 || plain.front() == '.')
        return {};
    const double v = std::stod(plain);
    if (!(v >= 0 && v <= mostMoney))
        return {};
    return v;
}

} // namespace mezzet
