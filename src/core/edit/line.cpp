#include "edit/line.h"

#include "edit/language.h"
#include "edit/line_reader.h"
#include "edit/preview.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

Listener listening(int selected, SurfaceId looksAt) {
    return {selected == 0 ? std::vector<int>{} : std::vector{selected}, looksAt, {}};
}

Result<Said> readLine(std::string_view text, const Project& job, int selected, SurfaceId surface) {
    return readLine(text, job, listening(selected, surface));
}

Result<Said> readLine(std::string_view text, const Project& job, const Listener& to) {
    if (text.size() > 2000)
        return Problem{"the line is too long", "say it in several"};
    if (!isText(text))
        return Problem{"the line is not text", "type it again"};
    if (text.find("; then ") != std::string_view::npos)
        return readChain(text, job, to);
    auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    std::vector<int> them;
    for (const int id : to.them)
        if (job.scheme().byId(id) != nullptr)
            them.push_back(id);
    try {
        LineReader reader(withoutCourtesy(text), job, *scene, them, to.surface);
        Said said;
        said.edit = reader.read();
        said.edit.notices.insert(said.edit.notices.begin(), reader.notices.begin(),
                                 reader.notices.end());
        if (!reader.in.done())
            reader.in.failAhead(worded("“{}” is left over", reader.in.rest()),
                                "take it out, or put a comma before it");
        auto after = apply(job, said.edit);
        if (!after) {
            Problem p = after.problem();
            if (p.column == 0)
                p.column = 1;
            return p;
        }
        said.preview = previewOf(job, **scene, said.edit, *after);
        said.them = spokenOf(job, said.edit, *after->project);
        return said;
    } catch (const LineFault& f) {
        return f.problem;
    }
}

std::vector<int> spokenOf(const Project& before, const Edit& edit, const Project& after) {
    std::vector<int> fresh;
    std::vector<int> changed;
    std::vector<int> gone;
    for (const Act& act : edit.acts)
        if (const auto* removed = std::get_if<RemovePiece>(&act))
            gone.push_back(removed->id);
        else if (const auto* put = std::get_if<PutPiece>(&act)) {
            const Piece* now = put->piece.id == 0 ? after.scheme().byName(put->piece.name)
                                                  : after.scheme().byId(put->piece.id);
            if (now == nullptr)
                continue;
            auto& list = before.scheme().byId(now->id) == nullptr ? fresh : changed;
            if (std::find(list.begin(), list.end(), now->id) == list.end())
                list.push_back(now->id);
        }
    return !fresh.empty() ? fresh : !changed.empty() ? changed : gone;
}

std::vector<Completion> completions(std::string_view text, const Project& job, int selected,
                                    SurfaceId surface) {
    return completions(text, job, listening(selected, surface));
}

std::vector<Completion> completions(std::string_view text, const Project& job, const Listener& to) {
    std::vector<Completion> out;
    auto scene = sceneOf(job);
    if (!scene || !isText(text))
        return out;
    LineReader reader(text, job, *scene, to.them, to.surface);
    try {
        reader.read();
    } catch (const LineFault&) {
        // What was tried before the fault is just what we are after.
    }
    // Every place a candidate was tried from which the rest of the line begins it.
    for (std::size_t at = 0; at <= text.size(); ++at) {
        const auto part = foldCase(text.substr(at));
        for (const auto& w : reader.in.offered(at)) {
            if (w.size() <= part.size() || !foldCase(w).starts_with(part))
                continue;
            if (part.empty() && at > 0 && text[at - 1] != ' ' && text[at - 1] != ',')
                continue;
            auto whole = std::string(text.substr(0, at)) + w;
            if (std::none_of(out.begin(), out.end(),
                             [&](const Completion& c) { return c.text == whole; }))
                out.push_back({std::move(whole), w});
        }
    }
    return out;
}

} // namespace mezzet
