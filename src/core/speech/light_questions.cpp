// Questions about light: how bright it is where something is done, and by which lights.
#include "light/tasks.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "speech/questions.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// "; walls 60 % given back, assumed"
std::string assumedToo(const Asking& a) {
    const auto assumed = assumedIn(a.job.scheme().light);
    return assumed.empty() ? assumed : "; " + assumed;
}

/// What a task comes to, and who lights it.
std::string brightnessOf(const Asking& a, const LitRoom& lit, const LightTask& t) {
    const Lux lux = lit.at(t.at, t.facing);
    std::string out =
        worded("{}: {} lux at night, {} straight and {} passed on", t.name, std::lround(lux.all()),
               std::lround(lux.direct), std::lround(lux.bounced));
    if (t.least > 0)
        out += lux.all() < t.least  ? worded("; it wants {} to {}", t.least, t.most)
               : lux.all() > t.most ? worded("; {} to {} would do", t.least, t.most)
                                    : worded("; {} to {} is aimed at", t.least, t.most);
    std::vector<std::pair<double, int>> by;
    for (std::size_t i = 0; i < lit.lamps().size(); ++i)
        if (const double part = lit.directFrom(i, t.at, t.facing); part > 0)
            by.emplace_back(part, lit.lamps()[i].piece);
    std::sort(by.rbegin(), by.rend());
    std::vector<std::string> names;
    constexpr std::size_t told = 3;
    for (std::size_t i = 0; i < std::min(told, by.size()); ++i)
        names.push_back(worded("{} {} %", a.job.scheme().byId(by[i].second)->name,
                               std::lround(by[i].first / std::max(lux.direct, 1e-9) * 100)));
    if (!names.empty())
        out += worded(". Straight from {}", listed(names));
    return out + assumedToo(a);
}

/// "how bright is the desk?"; with nothing named, the floor and what wants more.
std::optional<Answer> howBright(Asking& a) {
    const Project& job = a.job;
    if (!job.room->closed)
        a.in.failAhead("the room is not closed, so no light can be reckoned in it",
                       "tape all of its walls");
    a.in.take({"it in here", "in here", "this room", "the room", "in the room"});
    int id = 0;
    a.in.take({"at", "on", "by"});
    if (!a.in.done() && a.in.ahead() != "?")
        id = a.piece();
    a.end();
    LitRoom lit(job, *a.scene);
    Answer out;
    if (lit.lamps().empty()) {
        out.words = mezzet::told("There is no light yet: hang one first");
        return out;
    }
    const auto goesOn = a.goesOn;
    if (!lit.pass([goesOn] { return goesOn && !goesOn(); }))
        return out;
    const auto tasks = tasksOf(job, *a.scene);
    if (id != 0) {
        out.about = {id};
        for (const LightTask& t : tasks)
            if (t.piece == id) {
                out.words = brightnessOf(a, lit, t);
                return out;
            }
        // Nothing is done there: its top, facing up.
        const Piece& p = *job.scheme().byId(id);
        const auto body = bodyOf(*a.scene, id);
        LightTask t;
        t.name = p.name;
        t.at = body ? body->foot + Vec3{0, 0, p.kind->flat() ? 0 : p.top().mm()} : Vec3{};
        t.facing = {0, 0, 1};
        out.words = brightnessOf(a, lit, t);
        return out;
    }
    const auto grid = gridOf(lit, *job.room, Length::millimetres(300), {}, false);
    if (grid)
        out.words =
            worded("On the floor {} lux at night, all lights full on", std::lround(grid->mean));
    std::vector<std::string> dark;
    for (const LightTask& t : tasks)
        if (const double lux = lit.at(t.at, t.facing).all(); lux < t.least) {
            dark.push_back(worded("{} has {} and wants {}", t.name, std::lround(lux), t.least));
            out.about.push_back(t.piece);
        }
    if (!dark.empty())
        out.words += ". " + listed(dark, "and");
    else if (!tasks.empty())
        out.words += mezzet::told(". All that is done there has light enough");
    out.words += assumedToo(a);
    return out;
}

} // namespace

const std::vector<Question>& lightQuestions() {
    static const std::vector<Question> all{
        {{"how bright is", "how bright", "how light is", "how much light is there",
          "how much light is", "is there enough light", "is there light enough",
          "is it bright enough", "how well lit is", "how is the light"},
         &howBright,
         "lux at night where something is done, what it wants, and which lights give it",
         "how bright is it in here?; how bright is sofa?"},
    };
    return all;
}

} // namespace mezzet
