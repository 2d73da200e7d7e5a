#pragma once

#include "measure/result.h"

#include <memory>
#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// How much light something that is done wants, where it is done.
struct TaskLevel {
    /// Where that is, at a piece.
    enum class At {
        top,    ///< the middle of its top, facing up
        lap,    ///< a book in the lap of who sits there
        pillow, ///< a book before who sits up in bed
        face,   ///< the face of who stands before it, facing it
        front,  ///< the middle of its front, facing out
        floor   ///< the floor before it
    };
    std::string of;   ///< a kind's id, or “role: …”
    std::string task; ///< what is done: "reading"
    At at = At::top;
    double up = 0;    ///< over its seat or its mattress, mm
    double out = 0;   ///< before its front; of a pillow from the headboard, mm
    double least = 0; ///< lux, maintained
    double most = 0;  ///< the upper end of what is recommended
    std::string source;
};
using TaskLevels = std::vector<TaskLevel>;

/// Reads data/light/tasks.json. Problem: with the entry and the reason.
[[nodiscard]] Result<std::shared_ptr<const TaskLevels>> readTaskLevels(std::string_view json,
                                                                       std::string_view file);

} // namespace mezzet
