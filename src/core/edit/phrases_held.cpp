// How a piece is held on its wall: its hardware, its weight, its frame, a shelf's material and
// load.
#include "edit/phrase.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

namespace {

constexpr SaidOf hung = SaidOf::wall;

std::string materialNamed(Placing& p) {
    const std::size_t at = p.in.at();
    std::vector<std::string> names;
    for (const auto& m : p.in.job().library.book->shelving) {
        const auto name = foldCase(m.name);
        if (p.in.take({std::string_view(name)}))
            return m.name;
        names.push_back(name);
    }
    p.in.fail(at, std::max<std::size_t>(p.in.ahead().size(), 1),
              worded("I know no shelf of “{}”", p.in.ahead()),
              worded("the materials are {}", listed(names)));
}

void spacing(Placing& p) {
    if (!p.in.lengthAhead())
        return;
    p.hanging.ringSpacing = p.in.length("the spacing");
    p.in.take({"apart"});
}

bool slack(Placing& p) {
    const Length d = p.in.length("the slack");
    if (d < Length{} || d > Length::metres(1))
        p.fault("no wire has that slack", "say how much longer it is than its rings are apart");
    p.hanging.slack = d;
    return true;
}

bool rings(Placing& p) {
    const auto d = p.in.length("the rings' place");
    if (p.in.take({"down", "from the top", "below the top"}))
        p.hanging.ringsDown = d;
    else if (p.in.take({"apart"}))
        p.hanging.ringSpacing = d;
    else
        p.in.failAhead("down from the top, or apart?", "say it like: rings 6 down");
    return true;
}

bool brackets(Placing& p) {
    p.hanging.mount = Mount::brackets;
    if (p.said.ends_with("brackets") && p.said.find_first_of("2345") != std::string_view::npos)
        p.hanging.hooks = p.said[p.said.find_first_of("2345")] - '0';
    else
        spacing(p);
    return true;
}

/// A mount without more.
template <Mount mount> bool mounted(Placing& p) {
    p.hanging.mount = mount;
    return true;
}

} // namespace

std::span<const Phrase> heldPhrases() {
    static const std::vector<Phrase> all{
        {.begins = {"weighs", "weight"},
         .of = hung,
         .read =
             [](Placing& p) {
                 p.hanging.weight = p.in.mass("the weight");
                 return true;
             },
         .help = "its weight",
         .example = "weighs 12 lb"},
        {.begins = {"holds", "carries"},
         .of = hung,
         .read =
             [](Placing& p) {
                 p.hanging.load = p.in.mass("what it holds");
                 return true;
             },
         .follows = Follows::number,
         .help = "what a shelf holds",
         .example = "holds 40 lb"},
        {.begins = {"of"},
         .of = hung,
         .read =
             [](Placing& p) {
                 p.hanging.material = materialNamed(p);
                 return true;
             },
         .follows = Follows::material,
         .help = "what a shelf is made of",
         .example = "of pine"},
        {.begins = {"on a wire", "on wire", "wire"},
         .of = hung,
         .read = &mounted<Mount::wire>,
         .follows = Follows::pause,
         .help = "a wire between two rings",
         .example = "on a wire"},
        {.begins = {"slack"},
         .of = hung,
         .read = &slack,
         .follows = Follows::length,
         .help = "how much longer the wire is than its rings are apart",
         .example = "on a wire, slack 2"},
        {.begins = {"rings"},
         .of = hung,
         .read = &rings,
         .follows = Follows::length,
         .help = "where the rings are",
         .example = "rings 5 down; rings 14 apart"},
        {.begins = {"on two rings", "two rings", "on rings"},
         .of = hung,
         .read =
             [](Placing& p) {
                 p.hanging.mount = Mount::rings;
                 spacing(p);
                 return true;
             },
         .follows = Follows::pause,
         .help = "hung by its rings",
         .example = "on two rings 14 apart"},
        {.begins = {"on one ring", "one ring"},
         .of = hung,
         .read = &mounted<Mount::ring>,
         .follows = Follows::pause,
         .help = "one ring at the middle of its top",
         .example = "on one ring"},
        {.begins = {"on a sawtooth", "on sawtooth", "sawtooth"},
         .of = hung,
         .read = &mounted<Mount::sawtooth>,
         .follows = Follows::pause,
         .help = "a toothed strip at the middle of its top",
         .example = "on a sawtooth"},
        {.begins = {"on a cleat", "on cleat", "cleat"},
         .of = hung,
         .read = &mounted<Mount::cleat>,
         .follows = Follows::pause,
         .help = "two wedged strips, one on the wall",
         .example = "on a cleat"},
        {.begins = {"on screws", "screwed", "on a plate"},
         .of = hung,
         .read = &mounted<Mount::screws>,
         .follows = Follows::pause,
         .help = "screwed through to the wall",
         .example = "on screws"},
        {.begins = {"brackets", "on brackets", "on 2 brackets", "on 3 brackets", "on 4 brackets",
                    "on 5 brackets"},
         .of = hung,
         .read = &brackets,
         .follows = Follows::pause,
         .help = "how many brackets a shelf has, or how far apart",
         .example = "on 3 brackets; on brackets 16 apart"},
        {.begins = {"housed at its ends", "housed", "between cheeks"},
         .of = hung,
         .read =
             [](Placing& p) {
                 p.hanging.clamped = true;
                 return true;
             },
         .follows = Follows::pause,
         .help = "a shelf let in at its ends, so that it sags less",
         .example = "housed"},
        {.begins = {"on one hook", "one hook"},
         .of = hung,
         .read =
             [](Placing& p) {
                 p.hanging.hooks = 1;
                 return true;
             },
         .follows = Follows::pause,
         .help = "how many hooks",
         .example = "two hooks; one hook"},
        {.begins = {"on two hooks", "two hooks"},
         .of = hung,
         .read =
             [](Placing& p) {
                 p.hanging.hooks = 2;
                 return true;
             },
         .follows = Follows::pause,
         .help = "",
         .example = ""},
        {.begins = {"hooks"},
         .of = hung,
         .read =
             [](Placing& p) {
                 p.hanging.hookSpacing = p.in.length("the hooks' spacing");
                 p.in.take({"apart"});
                 p.hanging.hooks = 2;
                 return true;
             },
         .follows = Follows::length,
         .help = "two hooks, so far apart",
         .example = "hooks 12 apart"},
        {.begins = {"drop"},
         .of = hung,
         .read =
             [](Placing& p) {
                 p.hanging.drop = p.in.length("the drop");
                 return true;
             },
         .follows = Follows::length,
         .help = "from its top to where the hook takes it",
         .example = "drop 3"},
        {.begins = {"frame"},
         .of = hung,
         .read =
             [](Placing& p) {
                 p.hanging.frame = p.in.length("the frame's width");
                 return true;
             },
         .follows = Follows::length,
         .help = "how wide its frame and its mat are",
         .example = "frame 1 1/2; mat 3"},
        {.begins = {"mat", "mount"},
         .of = hung,
         .read =
             [](Placing& p) {
                 p.hanging.mat = p.in.length("the mat's width");
                 return true;
             },
         .follows = Follows::length,
         .help = "",
         .example = ""},
    };
    return all;
}

} // namespace mezzet
