// "How do I move it?": the line that does it, with what is in the room.
#include "measure/text.h"
#include "measure/texts.h"
#include "speech/questions.h"

#include <fmt/format.h>

namespace mezzet {

namespace {

/// What is asked how to do, and the line that does it: {0} is a piece that is there, {1} another or
/// a wall, {2} a step.
struct Doing {
    std::initializer_list<std::string_view> asked;
    const char* line;
};
const Doing doings[] = {
    {{"delete", "remove", "take out", "take away", "get rid of", "erase", "throw out"},
     "remove {0}"},
    {{"undo", "go back", "take back", "take it back", "reverse"}, "undo"},
    {{"redo"}, "redo"},
    {{"rotate", "turn", "spin", "angle"}, "turn {0} 90"},
    {{"resize", "change the size of", "change the width of", "make larger", "make bigger",
      "make smaller", "stretch", "enlarge", "scale"},
     "make {0} {2} longer"},
    {{"swap", "exchange", "switch"}, "swap {0} and {1}"},
    {{"replace", "change"}, "replace {0} by an armchair"},
    {{"copy", "duplicate", "clone", "repeat"}, "copy {0}"},
    {{"rename", "name", "call"}, "call {0} Reading corner"},
    {{"lock", "fix in place", "pin"}, "lock {0}"},
    {{"move", "shift", "slide", "nudge", "push", "pull"}, "move {0} {2} left"},
    {{"hang", "put up", "mount"}, "picture on wall A"},
    {{"add", "place", "put", "insert", "bring in", "draw", "create", "make a new", "get"},
     "another armchair beside {0}"},
    {{"measure", "find the distance", "see how far", "check the distance", "find out how far"},
     "how far is {0} from the wall?"},
    {{"print"}, "print the plan"},
    {{"save"}, "save"},
    {{"zoom"}, "zoom in"},
    {{"make"}, "make {0} {2} longer"},
};

std::optional<Answer> howIsItDone(Asking& a) {
    a.in.take({"i", "we", "you", "one"});
    for (const Doing& d : doings) {
        const std::size_t at = a.in.at();
        bool said = false;
        for (const auto word : d.asked)
            said = said || a.in.take({word});
        if (!said)
            continue;
        // "how do I get to the kitchen?" is a way, and no doing.
        if (a.in.take({"to", "from", "by", "past", "through", "out of", "into"})) {
            a.in.goTo(at);
            return {};
        }
        const Piece* one = nullptr; // the one that is named, or any
        try {
            a.in.article();
            if (const int id = a.in.piece(); id != 0)
                one = a.job.scheme().byId(id);
        } catch (const LineFault&) {
            one = nullptr;
        }
        a.in.goTo(a.in.text().size());
        const Piece* other = nullptr;
        for (const Piece& p : a.job.scheme().pieces) {
            if (!p.on.isFloor() || p.kind->flat() || &p == one)
                continue;
            (one == nullptr ? one : other) = &p;
            if (other != nullptr)
                break;
        }
        const bool metric = isMetric(a.job.notation.units);
        const auto step =
            write(metric ? Length::centimetres(15) : Length::inches(6), a.job.notation);
        const std::string first = one != nullptr ? one->name : "sofa";
        const std::string second = other != nullptr ? other->name : "armchair";
        return Answer{
            worded("Type it, like: {}", fmt::format(fmt::runtime(d.line), first, second, step))};
    }
    return {};
}

} // namespace

const std::vector<Question>& helpQuestions() {
    static const std::vector<Question> all{
        {{"how do", "how can", "how would", "how does", "how to"},
         &howIsItDone,
         "the line that does what is asked for",
         "how do I turn it?"},
    };
    return all;
}

} // namespace mezzet
