// What is told of a piece wherever it is: its name, its price, why it was chosen.
#include "edit/phrase.h"

#include "measure/text.h"
#include "measure/texts.h"

namespace mezzet {

namespace {

constexpr Flags<SaidOf> anything{SaidOf::floor, SaidOf::ceiling, SaidOf::wall, SaidOf::board};
constexpr Flags<SaidOf> standing{SaidOf::floor, SaidOf::board};

bool height(Placing& p, std::optional<Length>& which) {
    const std::size_t at = p.in.at();
    const auto h = p.in.length("the height");
    if (h <= Length{} || h > Length::metres(5))
        p.in.fail(at, p.in.at() - at, "no piece has that height", "check the figure and its unit");
    p.in.take({"high"});
    which = h;
    return true;
}

} // namespace

std::span<const Phrase> toldPhrases() {
    static const std::vector<Phrase> all{
        {.begins = {"called", "named"},
         .of = anything,
         .read =
             [](Placing& p) {
                 p.out.nameAt = p.in.at();
                 p.out.name = p.in.name(saidOf(*p.subject.kind));
                 return true;
             },
         .help = "its name; in quotes where it holds words that place things",
         .example = "called corner table"},
        {.begins = {"apart", "between them"},
         .afterLength = true,
         .of = anything,
         .read =
             [](Placing& p) {
                 p.out.apart = p.measured;
                 p.out.apartAt = p.start;
                 return true;
             },
         .help = "",
         .example = ""},
        {.begins = {"costs", "cost"},
         .of = anything,
         .read =
             [](Placing& p) {
                 const std::size_t here = p.in.at();
                 const double price = p.in.number("the cost");
                 if (price < 0)
                     p.in.fail(here, p.in.at() - here, "nothing costs less than nothing",
                               "say it like: costs 1200");
                 p.out.cost = price;
                 return true;
             },
         .help = "what it costs, in the client's money",
         .example = "costs 1200"},
        {.begins = {"because"},
         .of = anything,
         .read =
             [](Placing& p) {
                 p.out.reason = std::string(trimmed(p.in.rest()));
                 p.in.goTo(p.in.at() + p.in.rest().size());
                 return true;
             },
         .help = "why this one, and why here; to the end of the line, and printed",
         .example = "because it faces the fire"},
        {.begins = {"seat height", "seat"},
         .of = standing,
         .read =
             [](Placing& p) {
                 if (!p.subject.kind->heights.seat)
                     p.fault(worded("nobody sits on {}", p.subject.name.empty()
                                                             ? smallFirst(p.subject.kind->name)
                                                             : p.subject.name),
                             worded("say it like: seat {} with 6", p.subject.name));
                 return height(p, p.out.heights.seat);
             },
         .follows = Follows::length,
         .help = "its heights over the floor",
         .example = "seat 17; arm 24; top 20"},
        {.begins = {"arm height", "arm"},
         .of = standing,
         .read = [](Placing& p) { return height(p, p.out.heights.arm); },
         .follows = Follows::length,
         .help = "",
         .example = ""},
        {.begins = {"top height", "top"},
         .of = standing,
         .read = [](Placing& p) { return height(p, p.out.heights.top); },
         .follows = Follows::length,
         .help = "",
         .example = ""},
        {.begins = {"with a finished back", "finished back", "back finished"},
         .of = standing,
         .read =
             [](Placing& p) {
                 p.out.finishedBack = true;
                 return true;
             },
         .help = "whether its back may be looked at",
         .example = "finished back; bare back"},
        {.begins = {"bare back", "back bare"},
         .of = standing,
         .read =
             [](Placing& p) {
                 p.out.finishedBack = false;
                 return true;
             },
         .help = "",
         .example = ""},
    };
    return all;
}

} // namespace mezzet
