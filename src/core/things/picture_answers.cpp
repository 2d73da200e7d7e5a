#include "things/picture_answers.h"

#include "measure/text.h"
#include "measure/texts.h"
#include "room/facts.h"
#include "things/stock.h"

#include <algorithm>

namespace mezzet {

namespace {

constexpr int dominant = 8;
constexpr double leastShared = 0.2, mostShared = 0.5;
constexpr double mostRepeated = 0.6;
constexpr double wantedContrast = 30; // L*
constexpr double weightShared = 0.45, weightContrast = 0.35, weightRepeats = 0.2;

/// 1 within the band, less with the distance from it.
double within(double v, double low, double high, double slopeUnder, double slopeOver) {
    const double off = v < low ? (low - v) / slopeUnder : v > high ? (v - high) / slopeOver : 0;
    return std::max(0.0, 1 - off);
}

} // namespace

PictureColours pictureColours(std::span<const std::uint32_t> pixels, std::size_t width) {
    PictureColours out;
    if (width == 0 || pixels.empty())
        return out;
    out.patches = dominantColours(pixels, dominant);
    const std::size_t rows = pixels.size() / width;
    double sum[2] = {0, 0};
    std::size_t count[2] = {0, 0};
    // A lightness is not linear in its channels; a sample in so many will do for a mean.
    const std::size_t step = std::max<std::size_t>(1, pixels.size() / 40000);
    for (std::size_t i = 0; i < rows * width; i += step) {
        const std::uint32_t p = pixels[i];
        if ((p >> 24U) < 128)
            continue;
        const Rgb c{static_cast<std::uint8_t>(p >> 16U), static_cast<std::uint8_t>(p >> 8U),
                    static_cast<std::uint8_t>(p)};
        const int foot = i / width >= rows - rows / 3 ? 1 : 0;
        sum[foot] += labOf(c).l;
        ++count[foot];
    }
    const std::size_t all = count[0] + count[1];
    if (all > 0)
        out.lightness = (sum[0] + sum[1]) / static_cast<double>(all);
    if (count[0] > 0 && count[1] > 0)
        out.footDarker =
            sum[0] / static_cast<double>(count[0]) - sum[1] / static_cast<double>(count[1]);
    return out;
}

std::vector<RoomColour> roomColours(const Scene& scene) {
    const Scheme& s = *scene.scheme;
    std::vector<RoomColour> out;
    if (s.dressing.walls)
        out.push_back({std::string(told("the walls")), *s.dressing.walls, 40, true});
    for (const auto& [wall, colour] : s.dressing.ownWalls)
        if (wall < static_cast<int>(scene.room->walls.size()))
            out.push_back({worded("wall {}", wallName(wall)), colour,
                           netAreaOf(*scene.room, wall) / 1e6, false});
    if (s.dressing.floor)
        out.push_back({std::string(told("the floor")), *s.dressing.floor,
                       scene.room->floorArea() / 1e6, false});
    if (s.dressing.ceiling)
        out.push_back({std::string(told("the ceiling")), *s.dressing.ceiling, 10, false});
    for (const Piece& p : s.pieces) {
        // Small things come and go; cushions and throws are of the room.
        const bool small = p.isThing() && p.kind->thing->sort != ThingSort::textile;
        if (!p.thing || !p.thing->colour || p.kind->role == Role::art || small)
            continue;
        const Size face = p.outlineSize();
        const double area = p.kind->flat() || !p.onWall()
                                ? p.size.width.mm() * std::max(p.size.depth, p.size.height).mm()
                                : face.width.mm() * face.depth.mm();
        out.push_back({p.name, *p.thing->colour, area / 1e6, false});
    }
    return out;
}

PictureAnswer answerOf(const PictureColours& picture, const std::vector<RoomColour>& room) {
    PictureAnswer out;
    out.darkFoot = picture.footDarker >= darkFootFrom;
    const RoomColour* wall = nullptr;
    for (const RoomColour& c : room)
        if (c.wall)
            wall = &c;
    std::map<std::string, double> by;
    for (const Patch& p : picture.patches) {
        const Lab lab = labOf(p.colour);
        bool shared = false;
        for (const RoomColour& c : room) {
            if (colourDifference(lab, labOf(c.colour)) > sameFamily)
                continue;
            by[c.name] += p.share;
            shared = shared || !c.wall;
        }
        out.shared += shared ? p.share : 0;
    }
    std::string most;
    for (const auto& [name, share] : by) {
        if (share > out.repeats) {
            out.repeats = share;
            most = name;
        }
        if (wall == nullptr || name != wall->name)
            out.with.push_back(name);
    }
    std::stable_sort(out.with.begin(), out.with.end(),
                     [&](const std::string& a, const std::string& b) { return by[a] > by[b]; });
    double stands = 0.5; // of a wall whose colour nobody told
    bool lightOnDark = false;
    if (wall != nullptr) {
        const double l = labOf(wall->colour).l;
        out.contrast = std::abs(picture.lightness - l);
        stands = std::min(1.0, out.contrast / wantedContrast);
        lightOnDark = picture.lightness - l > wantedContrast && l < 50;
    }
    const bool anyColour = room.size() > (wall != nullptr ? 1U : 0U);
    const double answers = anyColour ? within(out.shared, leastShared, mostShared, 0.25, 0.5) : 0.5;
    const double fresh = within(out.repeats, 0, mostRepeated, 1, 0.4);
    out.score = weightShared * answers + weightContrast * stands + weightRepeats * fresh;
    std::vector<std::string> why;
    if (!out.with.empty())
        why.push_back(
            worded("it takes up {} ({:.0f} % of it)", listed(out.with), out.shared * 100));
    else if (anyColour)
        why.push_back(std::string(told("it takes up no colour of the room")));
    if (out.repeats > mostRepeated)
        why.push_back(worded("it is mostly {} over again", most));
    if (wall != nullptr)
        why.push_back(std::string(lightOnDark ? told("it is light on a dark wall")
                                  : out.contrast >= wantedContrast / 2
                                      ? told("it stands out from the wall")
                                      : told("it is lost on the wall")));
    if (out.darkFoot)
        why.push_back(std::string(told("it is dark at its foot, and wants more air below")));
    out.why = listed(why, ";");
    for (std::size_t at = out.why.find(" ; "); at != std::string::npos; at = out.why.find(" ; "))
        out.why.replace(at, 3, "; ");
    if (!out.why.empty())
        out.why[0] = static_cast<char>(std::toupper(static_cast<unsigned char>(out.why[0])));
    return out;
}

} // namespace mezzet
