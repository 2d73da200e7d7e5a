#include "work/work_book.h"
#include "measure/texts.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <algorithm>

namespace mezzet {

Result<std::shared_ptr<const WorkBook>> readWorkBook(std::string_view text, std::string_view file) {
    const auto refuse = [&](std::string what) {
        Problem p{std::move(what), "see data/work/work.json"};
        p.file = std::string(file);
        return p;
    };
    const auto j = nlohmann::json::parse(text, nullptr, false);
    if (!j.is_object() || !j.contains("tasks") || !j["tasks"].is_array())
        return refuse("this holds no list of “tasks”");
    auto out = std::make_shared<WorkBook>();
    for (const auto& t : j["tasks"]) {
        const auto word = [&](const char* key) {
            return t.is_object() && t.contains(key) && t[key].is_string()
                       ? t[key].get<std::string>()
                       : std::string();
        };
        const auto number = [&](const char* key) {
            return t.is_object() && t.contains(key) && t[key].is_number() ? t[key].get<double>()
                                                                          : 0.0;
        };
        const auto words = [&](const char* key) {
            std::vector<std::string> all;
            if (t.is_object() && t.contains(key) && t[key].is_array())
                for (const auto& one : t[key])
                    if (one.is_string())
                        all.push_back(one.get<std::string>());
            return all;
        };
        StandardTask s;
        s.name = word("name");
        s.of = word("of");
        s.trade = word("trade");
        s.hours = number("hours");
        s.each = number("each");
        s.counts = word("counts");
        s.waitDays = static_cast<int>(number("waits"));
        s.after = words("after");
        s.cautions = words("cautions");
        s.atHand = words("hand");
        if (s.name.empty() || s.of.empty() || s.trade.empty() || s.hours < 0 || s.each < 0 ||
            s.waitDays < 0)
            return refuse(worded("task {} lacks “name”, “of” or “trade”, or has a number below "
                                 "nothing",
                                 out->size() + 1));
        if (std::any_of(out->begin(), out->end(),
                        [&](const StandardTask& o) { return o.name == s.name; }))
            return refuse(worded("“{}” is there twice", s.name));
        out->push_back(std::move(s));
    }
    for (const StandardTask& s : *out)
        for (const std::string& before : s.after)
            if (std::none_of(out->begin(), out->end(),
                             [&](const StandardTask& o) { return o.name == before; }))
                return refuse(worded("“{}” comes after “{}”, which is not there", s.name, before));
    return std::shared_ptr<const WorkBook>(std::move(out));
}

} // namespace mezzet
