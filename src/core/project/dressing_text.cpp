#include "project/dressing_text.h"

#include "project/job_words.h"

namespace mezzet {

namespace {

using OrderedJson = nlohmann::ordered_json;

OrderedJson sizeJson(const Size& s) {
    return {s.width.mm(), s.depth.mm(), s.height.mm()};
}

void putColour(OrderedJson& j, const char* key, const std::optional<Rgb>& c) {
    if (c)
        j[key] = hexOf(*c);
}

void putText(OrderedJson& j, const char* key, const std::string& s) {
    if (!s.empty())
        j[key] = s;
}

void putLooks(OrderedJson& j, const ThingLooks& t) {
    putColour(j, "colour", t.colour);
    putColour(j, "colour2", t.colour2);
    putText(j, "material", t.material);
    putText(j, "finish", t.finish);
    if (t.kilograms)
        j["kg"] = *t.kilograms;
}

} // namespace

OrderedJson jsonOf(const ThingTold& t) {
    OrderedJson j = OrderedJson::object();
    putLooks(j, t);
    if (t.lies != Lies::standing)
        j["lies"] = wordFor(liesWords, t.lies);
    for (const auto& [key, yes] :
         {std::pair{"jacketOff", t.jacketOff}, std::pair{"spineIn", t.spineIn},
          std::pair{"papered", t.papered}, std::pair{"coverShows", t.coverShows}})
        if (yes)
            j[key] = true;
    putText(j, "stock", t.stock);
    if (!t.holds.empty())
        j["holds"] = OrderedJson::array();
    for (const HeldThing& h : t.holds)
        j["holds"].push_back({{"name", h.name}, {"count", h.count}, {"size", sizeJson(h.size)}});
    return j;
}

OrderedJson jsonOf(const UnitTold& u) {
    OrderedJson j = OrderedJson::object();
    if (!u.high.empty())
        j["high"] = OrderedJson::array();
    for (const Length h : u.high)
        j["high"].push_back(h.mm());
    if (u.rows > 0)
        j["rows"] = u.rows;
    if (u.across > 0)
        j["across"] = u.across;
    if (u.board)
        j["board"] = u.board->mm();
    if (u.pins > Length{})
        j["pins"] = u.pins.mm();
    return j;
}

OrderedJson jsonOf(const Dressing& d) {
    OrderedJson j = OrderedJson::object();
    if (!d.families.empty())
        j["families"] = OrderedJson::array();
    for (const Rgb c : d.families)
        j["families"].push_back(hexOf(c));
    putColour(j, "accent", d.accent);
    putColour(j, "walls", d.walls);
    putColour(j, "floor", d.floor);
    putColour(j, "ceiling", d.ceiling);
    for (const auto& [wall, colour] : d.ownWalls)
        j["ownWalls"].push_back({{"wall", wall}, {"colour", hexOf(colour)}});
    if (!d.noHoles.empty())
        j["noHoles"] = d.noHoles;
    return j;
}

OrderedJson jsonOf(const Stock& stock) {
    OrderedJson all = OrderedJson::array();
    for (const StockThing& t : stock) {
        OrderedJson j{
            {"name", t.name}, {"kind", t.kind->id}, {"count", t.count}, {"size", sizeJson(t.size)}};
        putLooks(j, t);
        all.push_back(std::move(j));
    }
    return all;
}

} // namespace mezzet
