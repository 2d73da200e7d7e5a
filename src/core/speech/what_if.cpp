#include "speech/what_if.h"

#include "edit/language.h"
#include "judge/reading.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "speech/meant_words.h"

#include <algorithm>
#include <array>

namespace mezzet {

namespace {

/// "moved" as "move": the line tells what is to be done.
std::string asToldToDo(const std::string& line) {
    constexpr std::array<std::pair<std::string_view, std::string_view>, 21> verbs{
        {{"made", "make"},      {"moved", "move"},       {"turned", "turn"},
         {"added", "add"},      {"took out", "remove"},  {"removed", "remove"},
         {"swapped", "swap"},   {"replaced", "replace"}, {"had", "add"},
         {"hung", "hang"},      {"pushed", "push"},      {"pulled", "pull"},
         {"used", "use"},       {"raised", "raise"},     {"lowered", "lower"},
         {"centred", "centre"}, {"centered", "center"},  {"slid", "slide"},
         {"shifted", "shift"},  {"rotated", "rotate"},   {"got rid of", "remove"}}};
    const auto folded = foldCase(line);
    for (const auto& [was, is] : verbs)
        if (folded.starts_with(std::string(was) + " "))
            return std::string(is) + line.substr(was.size());
    return line;
}

} // namespace

std::vector<std::string> supposed(std::string_view text) {
    constexpr std::size_t longest = 200;
    std::string line(trimmed(text));
    while (line.ends_with("?") || line.ends_with(" ") || line.ends_with("."))
        line.pop_back();
    if (line.size() > longest || !mentions(line, {"what if", "suppose", "happens if", "happen if"}))
        return {};
    static const auto opens = meaning(
        "(?:and )?(?:what if|what happens if|what would happen if|suppose|supposing|what about "
        "if) (.+)");
    std::smatch found;
    if (!std::regex_match(line, found, opens))
        return {};
    const std::string rest = found[1];
    static const auto someone = meaning("(?:i|we|you|they|one|somebody) (?:(?:were to|was to|would|"
                                        "just|could) )?(.+)");
    if (std::smatch done; std::regex_match(rest, done, someone))
        return {asToldToDo(done[1])};
    // "the table was 120", "it were against wall C", "there was a bench under the window"
    static const auto thereWas = meaning("there (?:was|were|is|are) (.+)");
    if (std::smatch added; std::regex_match(rest, added, thereWas))
        return {"add " + added[1].str()};
    static const auto were =
        meaning("(.+?) (?:was|were|is|are|went|goes|stood|hung|came|moved|sat) "
                "(.+)");
    if (std::smatch so; std::regex_match(rest, so, were)) {
        const std::string thing = so[1];
        const std::string how = so[2];
        return {"make " + thing + " " + how, "move " + thing + " " + how, thing + " " + how};
    }
    return {rest};
}

Result<Spoken> whatWouldCome(const Project& job, Said said) {
    const auto done = apply(job, said.edit);
    if (!done)
        return done.problem();
    const auto before = sceneOf(job);
    const auto after = sceneOf(*done->project);
    if (!before)
        return before.problem();
    if (!after)
        return after.problem();
    const auto was = judge(**before, *job.library.book, job.judgement);
    const auto is = judge(**after, *job.library.book, done->project->judgement);
    const auto toMendNow = toMendByWeight(was).size();
    const auto toMendThen = toMendByWeight(is);
    std::vector<const Reading*> fresh;
    for (const Reading* r : toMendThen)
        if (std::none_of(was.begin(), was.end(),
                         [&](const Reading& o) { return o.toMend() && o.sameAs(*r); }))
            fresh.push_back(r);
    Spoken out;
    out.is = Spoken::Is::answer;
    Answer& a = out.answer;
    a.words = worded("If so: {}", said.preview) + ". ";
    constexpr std::size_t most = 2;
    for (std::size_t i = 0; i < std::min(most, fresh.size()); ++i) {
        const auto sentence = withoutStop(sentenceOf(*fresh[i], done->project->wording()));
        a.words += sentence + (i + 1 < std::min(most, fresh.size()) ? ". " : "");
    }
    if (fresh.size() > most)
        a.words += worded(", and {} more", fresh.size() - most);
    if (fresh.empty())
        a.words += toMendThen.size() < toMendNow
                       ? worded("{} to mend then, {} now", toMendThen.size(), toMendNow)
                       : std::string(told("Nothing more is to mend then"));
    for (const int id : said.them)
        if (job.scheme().byId(id) != nullptr)
            a.about.push_back(id);
    out.said.them = a.about;
    out.said.preview = a.words;
    return out;
}

} // namespace mezzet
