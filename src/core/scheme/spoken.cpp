#include "scheme/spoken.h"

#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

namespace {

// Each is looked up by its English word, with what counts it after it.
// texts
constexpr const char* ofTheRoom[] = {
    "wall",     "corner", "window",         "door",      "opening",      "chimney",
    "column",   "stairs", "chimney breast", "fireplace", "radiator",     "built-in",
    "outlet",   "switch", "light",          "the floor", "the ceiling",  "the room",
    "the wall", "floor",  "ceiling",        "room",      "on the floor", "under the ceiling"};
// end of texts

bool isOfTheRoom(const std::string& word) {
    return std::find(std::begin(ofTheRoom), std::end(ofTheRoom), word) != std::end(ofTheRoom);
}

/// "wall C" as "Wand C".
std::string inOwn(const std::string& words) {
    if (isOfTheRoom(words))
        return std::string(told(words));
    const auto last = words.rfind(' ');
    if (last == std::string::npos || !isOfTheRoom(words.substr(0, last)))
        return words;
    return std::string(told(words.substr(0, last))) + words.substr(last);
}

} // namespace

std::string spoken(const Target& t, const Wording& w) {
    const auto said = words(t, w);
    return t.is == Target::Is::piece ? said : inOwn(said);
}

std::string spokenOfRoom(const std::string& name) {
    return inOwn(name);
}

std::string spoken(SurfaceId on, const Wording& w) {
    if (on.isFloor() || on.isCeiling())
        return inOwn(words(on, w));
    if (on.isWall())
        return worded("on {}", inOwn("wall " + wallName(on.wall())));
    return words(on, w);
}

} // namespace mezzet
