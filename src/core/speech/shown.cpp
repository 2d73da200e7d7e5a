#include "speech/shown.h"

#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/spoken.h"
#include "speech/meant_words.h"

#include <algorithm>

namespace mezzet {

namespace {

/// An act of the window that is said in a word or two.
struct WindowAct {
    std::regex words;      ///< of the whole line
    const char* act;       ///< what the window calls it
    std::string (*told)(); ///< what is told then
};
const std::vector<WindowAct>& acts() {
    static const std::vector<WindowAct> all{
        {meaning("print(?: (?:it|this|that|out|it out|the (?:plan|room|floor|floor plan|sheet|"
                 "sheets|drawing|layout)|everything))?"),
         "print:plan", [] { return worded("Prints the plan"); }},
        {meaning("print (?:the )?(?:wall|walls|elevation|elevations|wall views?|wall [a-z])"),
         "print:wall", [] { return worded("Prints the walls"); }},
        {meaning("print (?:out )?(?:the |a |my )?(?:shopping |furniture |order )?list"),
         "print:list", [] { return worded("Prints the list"); }},
        {meaning("print (?:out )?(?:the )?(?:lighting|light|lights|lighting plan|light plan)"),
         "print:lighting", [] { return worded("Prints the light plan"); }},
        {meaning("print (?:out )?(?:the )?ceiling(?: plan)?"), "print:ceiling",
         [] { return worded("Prints the ceiling"); }},
        {meaning("print (?:out )?(?:the )?(?:paper |hanging )?templates?"), "print:templates",
         [] { return worded("Prints the templates"); }},
        {meaning("save(?: (?:it|this|that|the (?:job|plan|file|room|work)|my (?:job|work|plan)|"
                 "everything))?"),
         "save", [] { return worded("Saves the job"); }},
        {meaning("zoom in(?: a bit)?"), "zoomIn", [] { return worded("Nearer"); }},
        {meaning("zoom out(?: a bit)?"), "zoomOut", [] { return worded("Farther"); }},
        {meaning("(?:new|start a new|another|begin a new) (?:room|job|plan|project)"), "new",
         [] { return worded("A new job"); }},
        {meaning("open(?: (?:a|another|my|the last) (?:job|room|plan|file|project))?"), "open",
         [] { return worded("Opens a job"); }},
        {meaning("save (?:it |this |the job )?as(?: .*)?|save a copy"), "saveAs",
         [] { return worded("Saves the job under another name"); }},
        {meaning(
             "(?:measure|tape|retape) (?:the |this |my )?(?:room|walls?)|(?:change|edit|open|show) "
             "(?:the |my )?(?:tape notes|notes|measurements)"),
         "notes", [] { return worded("The tape notes"); }},
        {meaning("compare(?: (?:the |both |all )*(?:schemes|layouts|versions|options|plans|"
                 "arrangements|them|it)| (?:it |this |them )?(?:with|to|and|against) (?:the )?(?:"
                 "other|others|first|second|last|rest)(?: (?:scheme|layout|version|option|one|plan)"
                 "s?)?)*|(?:show|put|lay|see) (?:me )?(?:the |both |all )*(?:schemes|layouts|"
                 "versions|options|plans) (?:side by side|next to each other)"),
         "besides", [] { return worded("Lays the schemes side by side"); }},
        {meaning("zoom to fit|fit (?:it|everything|all|the room) on the screen|(?:show me|see) "
                 "(?:everything|it all|all of it|the whole room)"),
         "fit", [] { return worded("The whole of it"); }},
    };
    return all;
}

/// Which surface words name: a wall, the floor, the ceiling.
std::optional<SurfaceId> surfaceNamed(const std::string& words, const Project& job) {
    const auto what = foldCase(words);
    for (const std::string_view w : {"floor", "plan", "floor plan", "floorplan", "room",
                                     "floor plan of the room", "plan of the room"})
        if (what == w)
            return theFloor();
    if (what == "ceiling" || what == "ceiling plan")
        return theCeiling();
    // The first of them, from which one goes on to the others.
    if ((what == "walls" || what == "elevations" || what == "wall") && !job.room->walls.empty())
        return onWall(0);
    const auto t = targetNamed(words, job, false);
    return t && t->is == Target::Is::wall ? std::optional(onWall(t->index)) : std::nullopt;
}

} // namespace

std::optional<Answer> shownFor(std::string_view text, const Project& job) {
    constexpr std::size_t longest = 60;
    const std::string line(trimmed(text));
    if (line.size() > longest)
        return {};
    if (mentions(line, {"print", "save", "zoom", "fit", "see", "show", "compare", "side by side",
                        "room", "job", "open", "project", "notes", "measurements"}))
        for (const WindowAct& a : acts())
            if (std::regex_match(line, a.words)) {
                Answer out{a.told()};
                out.act = a.act;
                return out;
            }
    // "zoom in on the sofa"
    static const auto nearer =
        meaning("(?:zoom|zoom in|go in|focus|close in|zoom way in) (?:on|to|into) "
                "((?:the |my )?.+?)");
    if (std::smatch found; mentions(line, {"zoom", "go in", "focus", "close in"}) &&
                           std::regex_match(line, found, nearer))
        if (const Piece* p = pieceNamed(found[1], job)) {
            Answer out{p->name};
            out.about = {p->id};
            out.act = "fitSelection";
            return out;
        }
    // "select the chairs": what "them" is from then on.
    static const auto chosen = meaning("(?:select|highlight|pick|choose|point (?:to|at)|mark) "
                                       "(?:all (?:of )?)?((?:the |my )?.+?)");
    if (std::smatch found;
        mentions(line, {"select", "highlight", "pick", "choose", "point", "mark"}) &&
        std::regex_match(line, found, chosen))
        if (const auto all = piecesNamed(found[1], job); !all.empty()) {
            Answer out;
            std::vector<std::string> names;
            for (const Piece* p : all) {
                out.about.push_back(p->id);
                names.push_back(p->name);
            }
            out.words = listed(names);
            out.act = "select";
            return out;
        }
    if (!mentions(line,
                  {"show", "go to", "look at", "see", "view", "switch to", "back to", "plan"}))
        return {};
    static const auto words =
        meaning("(?:(?:let me |let's |can i |can you )?(?:show|see|view|look at)(?: me| us)?|go "
                "(?:back )?to|switch to|back to) (?:the )?(.+?)(?: view| elevation)?\\??");
    static const auto plan = meaning("(?:the )?(floor ?plan(?: of the room)?|plan of the room)");
    std::smatch found;
    if (!std::regex_match(line, found, words) && !std::regex_match(line, found, plan))
        return {};
    const auto shown = surfaceNamed(found[1], job);
    if (!shown)
        return {};
    Answer out{shown->isFloor()     ? worded("The floor")
               : shown->isCeiling() ? worded("The ceiling")
                                    : capital(spoken(wallTarget(shown->wall()), job.wording()))};
    out.shows = shown;
    return out;
}

} // namespace mezzet
