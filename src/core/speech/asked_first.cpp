#include "speech/asked_first.h"

#include "edit/landing.h"
#include "edit/preview.h"
#include "edit/stay_behind.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "speech/meant.h"
#include "speech/reading.h"
#include "speech/speech.h"

#include <algorithm>

namespace mezzet {

namespace {

constexpr std::string_view anywayWords = "say another place, or put “anyway” at the end";

bool isOf(const std::vector<int>& list, int id) {
    return std::find(list.begin(), list.end(), id) != list.end();
}

/// Who comes to harm by a change: those it is about, and those that only go along.
struct Harmed {
    std::vector<int> named;
    std::vector<int> along;
};
Harmed harmedBy(const Project& job, const Applied& after, const std::vector<int>& them) {
    Harmed out;
    // A rug that goes along is pulled forward afterwards: it is told of.
    for (const int id : comeToHarm(job, after))
        if (isOf(them, id))
            out.named.push_back(id);
        else if (!job.scheme().byId(id)->kind->flat())
            out.along.push_back(id);
    for (const Piece& p : after.project->scheme().pieces)
        if (job.scheme().byId(p.id) == nullptr)
            out.named.push_back(p.id);
    return out;
}

/// Whether one of those left behind is in the way of what goes, as it was not before.
bool isInTheWay(const Scene& was, const Scene& now, const std::vector<int>& stay) {
    return std::any_of(now.scheme->pieces.begin(), now.scheme->pieces.end(), [&](const Piece& p) {
        if (was.pieceById(p.id) == nullptr)
            return false;
        const auto in = overlapOf(now, p.id);
        if (in.empty() || in == overlapOf(was, p.id))
            return false;
        const Piece* other = now.scheme->byName(in);
        return isOf(stay, p.id) || (other != nullptr && isOf(stay, other->id));
    });
}

} // namespace

bool asksFirst(const Problem& p) {
    return p.remedy == anywayWords;
}

bool asksUnit(const Problem& p) {
    // As its sentence begins in the language that is spoken.
    const std::string_view said = told("say the unit: {} {}");
    return p.remedy.starts_with(said.substr(0, said.find('{')));
}

std::string_view withoutAnyway(std::string_view text) {
    const auto folded = foldCase(text);
    for (const std::string_view w : {"anyway", "all the same", "regardless"})
        if (const auto at = folded.rfind(w);
            at != std::string::npos && at > 0 && at + w.size() == folded.size()) {
            auto out = trimmed(text.substr(0, at));
            while (out.ends_with(","))
                out = trimmed(out.substr(0, out.size() - 1));
            return out;
        }
    return text;
}

std::optional<Problem> whatItAsks(std::string_view text, const Project& job, Said& said) {
    const auto first = apply(job, said.edit);
    const auto scene = sceneOf(job);
    if (!first || !scene || first->project->active != job.active)
        return {};
    auto harmed = harmedBy(job, *first, said.them);
    auto harm = harmOf(*first->project, *first->scene, harmed.named);
    // What stays may leave another in its way: some are tied to each other.
    std::vector<int> stay;
    while (harm.empty() && !harmed.along.empty()) {
        stay.insert(stay.end(), harmed.along.begin(), harmed.along.end());
        Edit edit = leftBehind(job, said.edit, *first, stay);
        const auto after = apply(job, edit);
        if (!after || isInTheWay(**scene, *after->scene, stay)) {
            harm = harmOf(*first->project, *first->scene, stay);
            break;
        }
        harmed = harmedBy(job, *after, said.them);
        std::erase_if(harmed.along, [&](int id) { return isOf(stay, id); });
        harm = harmOf(*after->project, *after->scene, harmed.named);
        if (harm.empty() && harmed.along.empty()) {
            said.preview = previewOf(job, **scene, said.edit, *after);
            said.edit = std::move(edit);
        }
    }
    if (harm.empty())
        return {};
    Problem p{std::move(harm), std::string(anywayWords)};
    p.column = 1;
    p.width = static_cast<int>(characterCount(text));
    return p;
}

Result<Spoken> readClear(const Result<Spoken>& asked, std::string_view line, const Project& job,
                         const Listener& to, const Stopped& stopped) {
    for (const auto& other : meantClear(line, job))
        if (auto clear = readAsSaid(other, job, to, stopped))
            return clear;
    return asked;
}

} // namespace mezzet
