#include "edit/language.h"
#include "edit/line.h"
#include "edit/preview.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

Result<Applied> runScript(std::string_view script, std::string_view file, const Project& job) {
    return runScript(script, file, job,
                     [](std::string_view line, const Project& now) { return readLine(line, now); });
}

Result<Applied> runScript(std::string_view script, std::string_view file, const Project& job,
                          const LineReading& read) {
    constexpr std::size_t mostBytes = 1000000;
    if (script.size() > mostBytes)
        return Problem{worded("the lines are over {} KB", mostBytes / 1000),
                       "say them in several files", std::string(file)};
    Applied now{std::make_shared<const Project>(job), {}, {}};
    int number = 0;
    while (!script.empty()) {
        const auto end = script.find('\n');
        auto line = script.substr(0, end);
        script = end == std::string_view::npos ? std::string_view() : script.substr(end + 1);
        ++number;
        if (line.ends_with('\r'))
            line.remove_suffix(1);
        if (trimmed(line).empty() || trimmed(line).front() == '#')
            continue;
        const auto refuse = [&](Problem p) {
            p.file = file;
            p.line = number;
            p.column = std::max(p.column, 1);
            return p;
        };
        auto said = read(line, *now.project);
        if (!said)
            return refuse(said.problem());
        auto next = apply(*now.project, said->edit);
        if (!next)
            return refuse(next.problem());
        for (auto& n : next->notices)
            now.notices.push_back(std::move(n));
        now.project = next->project;
        now.scene = next->scene;
    }
    if (!now.scene) {
        auto scene = sceneOf(*now.project);
        if (!scene)
            return scene.problem();
        now.scene = *scene;
    }
    return now;
}

Result<Said> readChain(std::string_view text, const Project& job, Listener to) {
    constexpr std::string_view parts = "; then ";
    Said out;
    Project now = job;
    std::size_t at = 0;
    while (true) {
        const auto end = text.find(parts, at);
        auto said =
            readLine(text.substr(at, end == std::string_view::npos ? end : end - at), now, to);
        if (!said) {
            Problem p = said.problem();
            p.column += static_cast<int>(characterCount(text.substr(0, at)));
            return p;
        }
        auto next = apply(now, said->edit);
        if (!next)
            return next.problem();
        now = *next->project;
        if (!said->them.empty())
            to.them = out.them = said->them;
        const auto preview = withoutNotices(said->preview, toldOf(out.edit));
        out.edit.words += (out.edit.words.empty() ? "" : ", then ") + said->edit.words;
        out.edit.acts.insert(out.edit.acts.end(), said->edit.acts.begin(), said->edit.acts.end());
        for (auto& n : said->edit.notices)
            if (std::find(out.edit.notices.begin(), out.edit.notices.end(), n) ==
                out.edit.notices.end())
                out.edit.notices.push_back(n);
        // A caution before it ends a sentence of its own.
        const auto before = withoutStop(out.preview);
        out.preview = before + (before.empty() ? "" : ", then ") + preview;
        if (end == std::string_view::npos)
            return out;
        at = end + parts.size();
    }
}

} // namespace mezzet
