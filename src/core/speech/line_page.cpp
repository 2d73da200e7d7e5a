#include "speech/line_page.h"

#include "edit/handover_said.h"
#include "edit/language.h"
#include "edit/phrase.h"
#include "edit/things_said.h"
#include "edit/verb.h"
#include "measure/texts.h"
#include "speech/speech.h"

namespace mezzet {

namespace {

/// "16 from sofa; 6 behind sofa" as code, parted.
std::string examples(std::string_view all) {
    std::string out;
    while (!all.empty()) {
        const auto end = all.find("; ");
        out += (out.empty() ? "`" : ", `") + std::string(all.substr(0, end)) + "`";
        all = end == std::string_view::npos ? std::string_view() : all.substr(end + 2);
    }
    return out;
}

void row(std::string& out, const char* example, const char* help) {
    if (*example != '\0')
        out += "| " + examples(example) + " | " + help + " |\n";
}

void verbs(std::string& out, const char* title, const std::vector<VerbHelp>& all) {
    out += std::string("\n## ") + title + "\n\n| line | what it does |\n|---|---|\n";
    for (const VerbHelp& v : all)
        row(out, v.example, v.help);
}

/// The page in the language that is spoken: its opening whole, then headings, and what a row tells;
/// what is said on the line stays, for that speaks English everywhere.
std::string pageInOwnLanguage(const std::string& page) {
    const auto first = page.find("\n## ");
    std::string out{mezzet::told(page.substr(0, first))};
    std::size_t at = first;
    while (at < page.size()) {
        const auto end = std::min(page.find('\n', at + 1), page.size());
        const auto line = std::string_view(page).substr(at + 1, end - at - 1);
        out += '\n';
        if (line.starts_with("## ")) {
            out += fmt::format("## {}", mezzet::told(line.substr(3)));
        } else if (line.starts_with("| ") && line.ends_with(" |")) {
            const auto cells = line.substr(2, line.size() - 4);
            const auto bar = cells.find(" | ");
            const auto said = cells.substr(0, bar);
            out += fmt::format("| {} | {} |", said.starts_with("`") ? said : mezzet::told(said),
                               mezzet::told(cells.substr(bar + 3)));
        } else {
            out += line;
        }
        at = end;
    }
    return out;
}

} // namespace

std::string linePage(Units units) {
    std::string out =
        "# The line\n\n"
        "What you would say: in the window, in a script (`mezzet-cli build --lines`) and on the\n"
        "command line (`mezzet-cli say`). Case, plurals, articles and `x`, `by` or `×` don't\n"
        "matter. A bare number takes the job's unit. Nothing is guessed silently: what can't be\n"
        "understood is pointed at, and nothing changes.\n\n"
        "    PIECE [SIZE] [called NAME] [, PLACE] [, PLACE] …\n\n"
        "PIECE is the name of one that is there (or its kind, when there is only one), or a kind "
        "of\n"
        "the kit, which adds one. `add`, `another` and `called` always add. SIZE is width x depth "
        "x\n"
        "height, of what hangs width x height x depth, or one figure for a round. `it` and `them`\n"
        "are what is selected or was named last; with one piece selected nothing need be said.\n"
        "`a sofa` is a new one, `the sofa` one that is there. SIZE may come first (`a 90 inch "
        "sofa`) or "
        "be\n"
        "said by words and letters (`84 wide, 36 deep`, `W84 D36 H34`); a unit said last is of "
        "all\n"
        "figures (`rug 2.4 x 3 m`). A rug's bare `9 x 12` is in feet, and the preview says so; a\n"
        "figure longer than the room is asked about.\n\n"
        "Several are said at once: `two armchairs facing sofa`, `a pair of bookcases either side "
        "of\n"
        "window 1`, `6 chairs around supper table`, `three pictures on wall C, 2 apart`. The "
        "first\n"
        "is placed as said and each other beside the one before.\n\n"
        "New words win over older ones that fix the same thing; the preview tells what is let go,\n"
        "what else moves, and what a thing would stand in. A new piece comes to stand where there "
        "is\n"
        "room for it, as far as its words leave it a choice; without a word of where, by the one "
        "thing\n"
        "it goes with (`nightstand`: beside the bed). What would put it through a wall, in a\n"
        "chimney or above the ceiling is asked about first, and done when `anyway` is added.\n"
        "Two in one line that fix the same thing are refused, and so is a loop, with its chain. A\n"
        "new piece placed by another stands in line with it; a seat placed at a table, or before\n"
        "another seat, faces it. What is new on a wall hangs at eye level, or where its kind\n"
        "usually does. These ties are shown and can be let go like any other. Lines joined by\n"
        "`; then` are said in turn and undone together. In scripts `#` begins a comment line.\n\n"
        "This page is made by `mezzet-cli phrases` from the tables that read the line; F1 shows "
        "it.\n";
    for (const PhraseGroup& g : phraseGroups()) {
        out += std::string("\n## ") + g.title + "\n\n| said | what it fixes |\n|---|---|\n";
        for (const Phrase& p : g.phrases)
            row(out, p.example, p.help);
    }
    verbs(out, "One piece, or several", pieceVerbs());
    verbs(out, "How pieces stand to each other", arrangingVerbs());
    verbs(out, "Groups on a wall", groupVerbs());
    verbs(out, "Light", lightVerbs());
    out += "| `ies spot.ies for pendant` | a light shines as a photometric file has it (IES or "
           "EULUMDAT); a copy is kept in the job |\n";
    verbs(out, "Shelves and tables", dressingVerbs());
    verbs(out, "Handing over", handoverVerbs());
    verbs(out, "The job, its schemes and its rules", jobVerbs());
    out += "| `room Landing` | goes to another room of the notes |\n";
    out += "\n## Asking\n\n| question | what is answered, below the line and on the board |\n"
           "|---|---|\n";
    for (const QuestionHelp& q : questionHelp())
        row(out, q.example, q.says);
    out += "\n## Mending\n\n| line | what it does |\n|---|---|\n"
           "| `mend all`, `mend all within 18` | mends, step by step, all that can be without "
           "upsetting as much; no piece ends farther than said from where it stood |\n"
           "| `accept sofa because the dog lies there` | leaves its readings as they are, with the "
           "reason; they are printed as accepted, and are to mend again when they get worse |\n"
           "| `judge sofa again` | accepts them no longer |\n"
           "| `mend sofa` | takes the weightiest remedy about it |\n"
           "| `undo`, `redo` | what was done last; on the command line what was said in the same "
           "call |\n"
           "| `again` | the line before once more |\n";
    out = pageInOwnLanguage(out);
    if (!isMetric(units))
        return out;
    // The examples stand between back quotes.
    std::string metric;
    bool code = false;
    for (std::size_t at = 0; at <= out.size();) {
        const auto end = std::min(out.find('`', at), out.size());
        const auto part = std::string_view(out).substr(at, end - at);
        metric += code ? exampleIn(part, units) : std::string(part);
        if (end < out.size())
            metric += '`';
        code = !code;
        at = end + 1;
    }
    return metric;
}

} // namespace mezzet
