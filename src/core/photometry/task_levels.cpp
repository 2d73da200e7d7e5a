#include "photometry/task_levels.h"
#include "measure/texts.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <algorithm>
#include <array>

namespace mezzet {

Result<std::shared_ptr<const TaskLevels>> readTaskLevels(std::string_view text,
                                                         std::string_view file) {
    using At = TaskLevel::At;
    constexpr std::array<std::pair<const char*, At>, 6> places{{{"top", At::top},
                                                                {"lap", At::lap},
                                                                {"pillow", At::pillow},
                                                                {"face", At::face},
                                                                {"front", At::front},
                                                                {"floor", At::floor}}};
    const auto refuse = [&](std::string what) {
        Problem p{std::move(what), "see data/light/tasks.json"};
        p.file = std::string(file);
        return p;
    };
    const auto j = nlohmann::json::parse(text, nullptr, false);
    if (!j.is_object() || !j.contains("tasks") || !j["tasks"].is_array())
        return refuse("this holds no list of “tasks”");
    auto out = std::make_shared<TaskLevels>();
    int entry = 0;
    for (const auto& t : j["tasks"]) {
        ++entry;
        const auto word = [&](const char* key) {
            return t.is_object() && t.contains(key) && t[key].is_string()
                       ? t[key].get<std::string>()
                       : std::string();
        };
        const auto number = [&](const char* key) {
            return t.is_object() && t.contains(key) && t[key].is_number() ? t[key].get<double>()
                                                                          : -1.0;
        };
        TaskLevel is;
        is.of = word("of");
        is.task = word("task");
        is.source = word("source");
        is.up = std::max(number("up"), 0.0);
        is.out = std::max(number("out"), 0.0);
        is.least = number("least");
        is.most = number("most");
        bool placed = false;
        for (const auto& [name, at] : places)
            if (word("at") == name) {
                is.at = at;
                placed = true;
            }
        if (is.of.empty() || is.task.empty() || !placed || is.least < 0 || is.most < is.least)
            return refuse(worded("task {} lacks “of”, “task”, “at”, “least” or “most”", entry));
        out->push_back(std::move(is));
    }
    return std::shared_ptr<const TaskLevels>(std::move(out));
}

} // namespace mezzet
