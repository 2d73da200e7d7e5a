#pragma once

#include "measure/result.h"

#include <memory>
#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// A task as the trade knows it.
struct StandardTask {
    std::string name;
    std::string of; ///< what of a job asks for it: see handover/tasks.cpp
    std::string trade;
    double hours = 0;   ///< of one person, for the whole
    double each = 0;    ///< and for every one that is counted
    std::string counts; ///< what is counted
    int waitDays = 0;
    std::vector<std::string> after; ///< names of tasks
    std::vector<std::string> cautions;
    std::vector<std::string> atHand;
};
using WorkBook = std::vector<StandardTask>;

/// Reads data/work/work.json. Problem: with the entry and the reason; one of no name, twice, or
/// after what is not there.
[[nodiscard]] Result<std::shared_ptr<const WorkBook>> readWorkBook(std::string_view json,
                                                                   std::string_view file);

} // namespace mezzet
