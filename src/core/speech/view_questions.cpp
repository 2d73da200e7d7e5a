// What is seen from a seat, from a door, or from outside through a window.
#include "edit/words_reader.h"
#include "judge/sights.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/spoken.h"
#include "speech/questions.h"

#include <fmt/format.h>

#include <cmath>

namespace mezzet {

namespace {

using Is = Target::Is;

/// One looks over what is no higher than that: a coffee table.
constexpr Length kneeHigh = Length::inches(20);

const Opening* openingOf(const Room& room, const Target& t) {
    for (const Opening& o : room.openings)
        if (targetOf(o) == t)
            return &o;
    return nullptr;
}

/// "what is seen from the sofa?", "what do I see first from the door?"
std::optional<Answer> whatIsSeen(Asking& a) {
    a.in.take({"first"});
    a.in.take({"when you sit on", "when i sit on", "when sitting on", "when sitting in",
               "when you sit in", "sitting on", "sitting in", "seated on", "on entering by",
               "coming in by", "coming through", "from", "through", "at"});
    a.in.article();
    const std::size_t at = a.in.at();
    const Target t = a.in.target();
    const std::size_t end = a.in.at();
    a.in.take({"first"});
    a.end();
    const FloorView floor(*a.scene);
    RoomView view;
    const Opening* opening = openingOf(*a.job.room, t);
    if (opening != nullptr && opening->kind == OpeningKind::window)
        view = viewFromOutside(floor, *opening);
    else if (opening != nullptr)
        view = viewFromDoor(floor, *opening);
    else if (t.is == Is::piece && floor.byId(t.piece) != nullptr)
        view = viewFromSeat(floor, t.piece, kneeHigh);
    else
        a.in.fail(at, std::max<std::size_t>(end - at, 1), "nobody looks from there",
                  "name a seat, a door, or a window to look in by");
    Answer out;
    if (t.is == Is::piece)
        out.about = {t.piece};
    const auto name = spoken(t, a.wording());
    if (view.first) {
        out.words = worded("From {} one sees first {}", name, spoken(*view.first, a.wording()));
        out.marks.push_back({theFloor(), view.from, view.firstAt, ""});
    } else {
        out.words = worded("From {} one sees nothing in the room", name);
    }
    constexpr std::size_t most = 4;
    constexpr double little = 0.005;
    std::vector<std::string> parts;
    for (const ViewItem& i : view.items) {
        if (i.share < little || parts.size() == most)
            break;
        const auto share = static_cast<int>(std::lround(i.share * 100));
        parts.push_back(i.backSeen ? worded("{} {} %, its back", spoken(i.what, a.wording()), share)
                                   : worded("{} {} %", spoken(i.what, a.wording()), share));
    }
    if (!parts.empty())
        out.words += worded("; of the view: {}", fmt::format("{}", fmt::join(parts, ", ")));
    return out;
}

} // namespace

const std::vector<Question>& viewQuestions() {
    static const std::vector<Question> all{
        {{"what is seen from",
          "what is first seen from",
          "what is seen first from",
          "what can be seen from",
          "what's seen from",
          "what does one see",
          "what do you see",
          "what do i see",
          "what do we see",
          "what do people see",
          "what do guests see",
          "what does one see from",
          "what can you see",
          "what can i see",
          "what can one see",
          "what can we see",
          "what would you see",
          "what would i see",
          "what will you see",
          "what is the view from",
          "what's the view from",
          "what is the first thing seen from",
          "what is the first thing you see from",
          "what's the first thing you see from",
          "what is the first thing i see from",
          "what's the first thing i see from"},
         &whatIsSeen,
         "what is seen from a seat, a door, or in by a window",
         "what is seen from sofa?; what is seen first from door 1?"},
    };
    return all;
}

} // namespace mezzet
