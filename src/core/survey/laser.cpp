#include "survey/laser.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <fmt/format.h>

#include <charconv>
#include <cmath>

namespace mezzet {

namespace {

constexpr std::size_t mostLaserLine = 200;

std::string_view wordOf(std::string_view& text) {
    text = trimmed(text);
    const auto end = text.find(' ');
    const auto w = text.substr(0, end);
    text.remove_prefix(w.size());
    return w;
}

} // namespace

Result<LaserReading> readLaserLine(std::string_view line) {
    const Problem bad{
        worded("the laser sent “{}”, which is no reading",
               isText(line) ? shownPlainly(line.substr(0, 60)) : "bytes that are no text"),
        "a reading looks like: reading 7 4571.6 mm 2026-11-24T09:15:03"};
    if (line.size() > mostLaserLine || !isText(line) || wordOf(line) != "reading")
        return bad;
    LaserReading r;
    const auto number = wordOf(line);
    const auto [end, error] =
        std::from_chars(number.data(), number.data() + number.size(), r.number);
    if (error != std::errc() || end != number.data() + number.size())
        return bad;
    const auto figure = wordOf(line);
    const auto unit = wordOf(line);
    r.figure = fmt::format("{} {}", figure, unit);
    const auto length = readLength(fmt::format("{}{}", figure, unit), Units::millimetres);
    if (!length || unit.empty() || *length <= Length{} || *length > Length::metres(200))
        return bad;
    r.distance = *length;
    r.time = std::string(trimmed(line));
    return r;
}

std::string writeLaserLine(const LaserReading& r) {
    return fmt::format("reading {} {} {}", r.number, r.figure, r.time);
}

Length simulatedReading(Length truth, const LaserNoise& noise, std::mt19937& random,
                        bool* slipped) {
    const Accuracy a{noise.fixed, noise.share};
    std::normal_distribution<double> error(0, a.of(truth).mm());
    double mm = truth.mm() + error(random);
    const bool slip = std::uniform_real_distribution<double>(0, 1)(random) < noise.slips;
    if (slip) {
        // The case's own length counted wrongly, or a frame hit before the wall.
        constexpr double caseLength = 110;
        switch (random() % 3) {
        case 0:
            mm -= caseLength;
            break;
        case 1:
            mm += caseLength;
            break;
        default:
            mm -= std::uniform_real_distribution<double>(15, 90)(random);
        }
    }
    if (slipped != nullptr)
        *slipped = slip;
    return Length::millimetres(std::round(std::max(mm, 1.0) * 10) / 10);
}

std::vector<WalkStep> walkOf(const TapeNotes& notes) {
    std::vector<WalkStep> out;
    for (const auto& w : notes.walls)
        out.push_back({"wall " + w.name, w.run.value});
    for (const auto& d : notes.diagonals)
        out.push_back(
            {fmt::format("diagonal {} to {}", wallName(d.from), wallName(d.to)), d.run.value});
    out.push_back({"the ceiling", notes.ceiling.height});
    return out;
}

} // namespace mezzet
