#include "edit/column_said.h"

#include <algorithm>

namespace mezzet {

namespace {

constexpr std::string_view columnWords[] = {
    "one above the other",     "one over the other",  "one above another",  "one over another",
    "one below the other",     "one under the other", "above each other",   "on top of each other",
    "one on top of the other", "in a column",         "stacked vertically", "stacked"};

} // namespace

std::optional<std::string> withoutColumn(std::string_view line, std::size_t from) {
    std::string folded(line);
    for (char& c : folded)
        if (c >= 'A' && c <= 'Z')
            c = static_cast<char>(c - 'A' + 'a');
    for (const std::string_view words : columnWords) {
        const auto found = folded.find(words, from);
        if (found == std::string::npos)
            continue;
        std::string out(line);
        out.replace(found, words.size(), words.size(), ' ');
        // No comma is left alone at the end.
        const auto last = out.find_last_not_of(' ');
        if (last != std::string::npos && last >= from && out[last] == ',')
            out[last] = ' ';
        return out;
    }
    return {};
}

void columnAtEyes(Placement& lowest, const Piece& one, int count, Length apart,
                  const Project& job) {
    const bool told = std::any_of(lowest.ties.begin(), lowest.ties.end(),
                                  [](const Tie& t) { return t.fixesHeight(); });
    if (told || one.kind->role == Role::shelf || !one.kind->hangs())
        return;
    const Length eyes = eyeLevel(*job.library.book, job.judgement);
    const Length under = (one.size.height + apart) * ((count - 1) / 2.0);
    Tie centre;
    centre.kind = Tie::Kind::height;
    centre.level = Level::centre;
    centre.distance = std::max(eyes - under, one.size.height / 2);
    lowest.ties.push_back(centre);
}

} // namespace mezzet
