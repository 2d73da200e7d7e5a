// Lights in rows over a room.
#include "edit/place.h"
#include "edit/words_reader.h"
#include "geometry/boxes.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// So many lights over a room that is no rectangle: shared out by floor among the rectangles it is
/// made of, in as square a grid as the number allows in each; empty where it has slanting walls.
std::string lightsOverParts(int count, const Project& job) {
    const auto parts = boxesOf(job.room->edge);
    if (parts.size() < 2)
        return {};
    const auto floor = [](const Box& b) { return b.size().x * b.size().y; };
    double all = 0;
    for (const Box& b : parts)
        all += floor(b);
    // One after the other to the part that has the most floor for each of its lights.
    std::vector<int> share(parts.size(), 0);
    for (int i = 0; i < count; ++i) {
        std::size_t most = 0;
        for (std::size_t k = 1; k < parts.size(); ++k)
            if (floor(parts[k]) / (share[k] + 1) > floor(parts[most]) / (share[most] + 1))
                most = k;
        ++share[most];
    }
    const bool metric = isMetric(job.notation.units);
    const auto at = [&](double mm) {
        return write(metric ? Length::centimetres(std::round(mm / 10))
                            : Length::inches(std::round(mm / 25.4)),
                     job.notation);
    };
    std::string out;
    for (std::size_t k = 0; k < parts.size(); ++k) {
        const Vec2 size = parts[k].size();
        int columns = 0;
        for (int c = 1; c <= share[k]; ++c) {
            const auto oblong = [&](int n) {
                return std::abs(
                    std::log(size.x / n / (size.y / (static_cast<double>(share[k]) / n))));
            };
            if (share[k] % c == 0 && (columns == 0 || oblong(c) < oblong(columns)))
                columns = c;
        }
        for (int i = 0; i < share[k]; ++i) {
            const int rows = share[k] / columns;
            const Vec2 place = parts[k].low + Vec2{size.x * (i % columns + 0.5) / columns,
                                                   size.y * (i / columns + 0.5) / rows};
            out += fmt::format("{}add another recessed light at {}, {}",
                               out.empty() ? "" : "; then ", at(place.x), at(place.y));
        }
    }
    return out;
}

/// The longest wall, and how far the room goes from it, mm.
struct LongWay {
    const Wall* along;
    double depth;
};
LongWay longWay(const Room& room) {
    const auto longest =
        std::max_element(room.walls.begin(), room.walls.end(),
                         [](const Wall& a, const Wall& b) { return a.length() < b.length(); });
    const Vec2 size = room.bounds().size();
    return {&*longest,
            std::abs(longest->inward().x) * size.x + std::abs(longest->inward().y) * size.y};
}

/// To a whole centimetre or inch, as one writes it.
std::string inWhole(double mm, const Project& job) {
    return write(isMetric(job.notation.units) ? Length::centimetres(std::round(mm / 10))
                                              : Length::inches(std::round(mm / 25.4)),
                 job.notation);
}

/// "six recessed lights in two rows", "recessed lights in a grid": rows along the longest wall,
/// each as far from its neighbour as twice from the wall; without a number by the floor's area.
void lightsInRows(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"light", "can", "spot", "downlight"}))
        return;
    static const auto words = meaning(
        "(?:(?:put|place|add|set|have|spread|space) "
        ")?(?:(an?|one|two|three|four|five|six|seven|eight|"
        "nine|ten|eleven|twelve|[0-9]+) )?(?:small )?(?:recessed (?:can )?lights|can lights|cans|"
        "downlights|down lights|recessed cans|spotlights|spots|pot lights)(?:,? (?:evenly|spread|"
        "spaced|in the ceiling|on the ceiling|across the ceiling|in the room|over the room|in an? "
        "(?:even )?grid|in rows|evenly spaced|spread out|out|(?:in )?(one|two|three|2|3) rows?(?: "
        "of "
        "(?:[0-9]+|two|three|four|five|six))?|over the whole room|around the room))*");
    std::smatch found;
    if (!std::regex_match(line, found, words) || !job.room->closed)
        return;
    int count = 0;
    if (found[1].matched) {
        const std::string number = foldCase(found[1].str());
        if (number == "a" || number == "an" || !WordsReader(number, job).takeCount(count))
            return;
    }
    if (count == 0) {
        out.emplace_back("light this room evenly");
        return;
    }
    if (auto over = found[2].matched ? std::string() : lightsOverParts(count, job); !over.empty()) {
        out.push_back(std::move(over));
        return;
    }
    int rows = 0;
    if (const auto said = found[2]; said.matched)
        rows = said.str() == "2" || foldCase(said.str()) == "two"     ? 2
               : said.str() == "3" || foldCase(said.str()) == "three" ? 3
                                                                      : 1;
    const LongWay way = longWay(*job.room);
    const Wall* longest = way.along;
    const double depth = way.depth;
    // As square a grid as the number allows: no cell is more than twice as long as wide, if it can
    // be; at most three rows.
    for (int r = 1; rows == 0 && r <= 3; ++r)
        if (count % r == 0 && (longest->length().mm() / (count / r)) >= depth / r * 0.75)
            rows = r;
    for (int r = 3; rows == 0 && r >= 1; --r)
        if (count % r == 0)
            rows = r;
    if (rows == 0 || count % rows != 0)
        return;
    const int each = count / rows;
    const auto length = [&](double mm) { return inWhole(mm, job); };
    std::string all;
    for (int r = 0; r < rows; ++r) {
        const double off = depth / rows * (r + 0.5);
        const auto one =
            each == 1
                ? fmt::format("recessed light {} from wall {}, centred on wall {}", length(off),
                              longest->name, longest->name)
                : fmt::format("{} recessed lights {} from wall {}, {} apart", each, length(off),
                              longest->name, length(longest->length().mm() / each));
        all += (all.empty() ? "" : "; then ") + one;
    }
    out.push_back(std::move(all));
}

/// "three spotlights in a row along wall C": under the ceiling, as far off that wall as the first
/// line of lights is.
void lightsAlongWall(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"along", "against", "near", "by ", "next to"}))
        return;
    static const Saying words(
        "(?:(?:put|place|add|set|have|hang|install|a|the) )*(.+?)(?:,? (?:in an? (?:row|line)|"
        "evenly|spaced|spread|out))* (?:along|against|near|by|next to) (?:the )?(.+?)(,? [0-9].*? "
        "apart)?(?:,? (?:in an? (?:row|line)|evenly|spaced|spread|out))*");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const KindPtr kind = nounIn(found[1].str(), job);
    if (!kind || !kind->underCeiling())
        return;
    const auto wall = targetNamed(found[2], job, false);
    if (!wall || wall->is != Target::Is::wall)
        return;
    out.push_back(fmt::format("{} {} from wall {}{}", found[1].str(),
                              write(usualBy(job, "recessed-edge"), job.notation),
                              wallName(wall->index), found[3].str()));
}

/// "two pendants along the hall", "three lanterns down the middle of the room": in a row along it,
/// each in the middle of its share.
void lightsDownTheRoom(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"along", "down", "length"}))
        return;
    static const auto words = meaning(
        "(?:(?:put|place|add|hang|have) )?(two|three|four|five|six|[2-6]) (?:small |matching |more "
        ")?"
        "(.+?)s,? (?:in a (?:row|line) )?(?:evenly )?(?:along|down|over the length of|along the "
        "length "
        "of) (?:the )?(?:(?:middle|centre|center|length|whole length) of (?:the "
        ")?)?(?:hall|hallway|"
        "corridor|passage|landing|room|kitchen|gallery|entry|entrance)(?:,? evenly(?: spaced)?)?");
    std::smatch found;
    if (!std::regex_match(line, found, words) || !job.room->closed)
        return;
    const KindPtr kind = job.library.kit->byWord(found[2].str());
    int count = 0;
    if (!kind || !kind->underCeiling() || !WordsReader(found[1].str(), job).takeCount(count))
        return;
    const LongWay way = longWay(*job.room);
    out.push_back(fmt::format("{} {}s {} from wall {}, {} apart", count, foldCase(kind->name),
                              inWhole(way.depth / 2, job), way.along->name,
                              inWhole(way.along->length().mm() / count, job)));
}

} // namespace

std::vector<Meaning> meaningsOverhead() {
    return {lightsInRows, lightsAlongWall, lightsDownTheRoom};
}

} // namespace mezzet
