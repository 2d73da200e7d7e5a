// What stands in a row: along one side of a thing, on a wall, at a table; moved to the other side,
// spaced anew.
#include "edit/arrange.h"
#include "edit/words_reader.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// Pieces that all stand on one side of the same piece.
struct BesideOne {
    const Piece* of = nullptr; ///< null where they don't
    Side side = Side::front;
    Length gap; ///< of the first
};
BesideOne besideOne(const std::vector<const Piece*>& pieces, const Project& job) {
    BesideOne out;
    for (const Piece* p : pieces) {
        const auto tie = std::find_if(p->ties.begin(), p->ties.end(), [](const Tie& t) {
            return t.kind == Tie::Kind::fromPiece && t.of.is == Target::Is::piece;
        });
        if (tie == p->ties.end())
            return {};
        const Piece* of = job.scheme().byId(tie->of.piece);
        if (p == pieces.front())
            out = {of, tie->side, tie->distance};
        else if (of != out.of || tie->side != out.side)
            return {};
    }
    return out;
}

const char* sideWords(Side side) {
    switch (side) {
    case Side::front:
        return "in front of";
    case Side::behind:
        return "behind";
    case Side::left:
        return "left of";
    case Side::right:
        return "right of";
    }
    return "";
}
Side across(Side side) {
    switch (side) {
    case Side::front:
        return Side::behind;
    case Side::behind:
        return Side::front;
    case Side::left:
        return Side::right;
    case Side::right:
        return Side::left;
    }
    return side;
}

/// Before or behind it, where left and right are along that side.
bool isLevel(Side side) {
    return side == Side::front || side == Side::behind;
}

/// A place at one side of a piece, so far along that side from its middle.
std::string placeAt(const BesideOne& by, double along, const Project& job) {
    const auto size = [&](double mm) { return write(Length::millimetres(mm), job.notation); };
    auto out = fmt::format("{} {} {}, centred on {}", size(by.gap.mm()), sideWords(by.side),
                           by.of->name, by.of->name);
    if (std::abs(along) > 0.5)
        out += fmt::format(", {} {}", size(std::abs(along)),
                           isLevel(by.side) ? (along < 0 ? "left" : "right")
                                            : (along < 0 ? "back" : "forward"));
    return out;
}

/// How far along its side of that a piece is from the middle, mm; none for what hangs on a wall.
std::optional<double> alongOf(const Piece& p, const BesideOne& by, const Scene& scene) {
    const Placed* of = scene.inPlan(by.of->id);
    const Placed* own = scene.inPlan(p.id);
    if (of == nullptr || own == nullptr)
        return {};
    const Vec2 at = of->pose.toLocal(own->pose.at);
    return isLevel(by.side) ? at.x : at.y;
}

/// How long the side is that things stand along, mm.
double roomAt(const BesideOne& by) {
    return (isLevel(by.side) ? by.of->size.width : by.of->size.depth).mm();
}

/// Each of some pieces along the side, about its middle in the order in which they stand, so far
/// from middle to middle.
std::string inARow(std::vector<const Piece*> pieces, const BesideOne& by, double step,
                   const Project& job, const Scene& scene) {
    std::stable_sort(pieces.begin(), pieces.end(), [&](const Piece* a, const Piece* b) {
        return alongOf(*a, by, scene) < alongOf(*b, by, scene);
    });
    const double middle = (static_cast<double>(pieces.size()) - 1) / 2;
    std::vector<std::string> lines;
    for (std::size_t i = 0; i < pieces.size(); ++i)
        lines.push_back(fmt::format("{} {}", pieces[i]->name,
                                    placeAt(by, (static_cast<double>(i) - middle) * step, job)));
    return fmt::format("{}", fmt::join(lines, "; then "));
}

/// "move the stools to the other side", of what they are beside: each straight across.
void toTheOtherSide(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:move|put|bring|place|shift|switch|slide|take) (.+?) (?:over |around "
        "|round |across )?(?:to|on|onto) the (?:other|opposite|far) side"
        "(?: of (.+))?");
    std::smatch found;
    const auto scene = sceneOf(job);
    if (!scene || !words.is(line, found))
        return;
    const auto pieces = piecesNamed(found[1], job);
    const auto by = pieces.empty() ? BesideOne{} : besideOne(pieces, job);
    if (by.of == nullptr || (found[2].matched && pieceNamed(found[2], job) != by.of))
        return;
    BesideOne other = by;
    other.side = across(by.side);
    std::vector<std::string> lines;
    for (const Piece* p : pieces) {
        const auto along = alongOf(*p, by, **scene);
        // What hangs keeps its height, and is only left or right of it.
        if (p->onWall())
            lines.push_back(fmt::format("{} {} {} {}", p->name, write(by.gap, job.notation),
                                        sideWords(other.side), by.of->name));
        else if (along)
            lines.push_back(
                fmt::format("{} {}{}", p->name, placeAt(other, *along, job),
                            p->kind->isSeat() ? ", facing " + by.of->name : std::string()));
        else
            return;
    }
    out.push_back(fmt::format("{}", fmt::join(lines, "; then ")));
}

/// "space the stools 28 apart", of what stands on one side of a thing: about its middle, with so
/// much between them; from middle to middle where they would reach past its ends else.
void spacedAtASide(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("(?:space|set|put|have|move|spread|keep) (.+ [0-9].*?) apart(?: from "
                              "each other)?(?:,? (?:on )?(cent(?:er|re)s?(?: to cent(?:er|re)s?)?|"
                              "middle to middle))?");
    std::smatch found;
    const auto scene = sceneOf(job);
    if (!scene || !words.is(line, found))
        return;
    const auto parted = namedAndFigure(found[1].str(), job);
    if (!parted || parted->pieces.size() < 2)
        return;
    const auto& pieces = parted->pieces;
    const auto by = besideOne(pieces, job);
    const auto figure = readLength(parted->figure, job.notation.units);
    if (by.of == nullptr || !figure ||
        std::any_of(pieces.begin(), pieces.end(),
                    [&](const Piece* p) { return !alongOf(*p, by, **scene); }))
        return;
    const double room = roomAt(by);
    const double wide = pieces.front()->size.width.mm();
    const auto many = static_cast<double>(pieces.size());
    const double between = figure->mm() + wide;
    const bool middles = found[2].matched || (many - 1) * between + wide > room;
    const double step = middles ? figure->mm() : between;
    out.push_back(inARow(pieces, by, step, job, **scene));
}

std::string joinedNames(const std::vector<const Piece*>& pieces) {
    std::vector<std::string> names;
    for (const Piece* p : pieces)
        names.push_back(p->name);
    return listed(names, "and");
}

/// How far along what they stand beside, or the wall they are on, each of several is, mm; empty
/// where they are on no such line together.
std::vector<double> alongTogether(const std::vector<const Piece*>& pieces, const Project& job,
                                  const Scene& scene) {
    const auto by = besideOne(pieces, job);
    std::vector<double> out;
    for (const Piece* p : pieces) {
        if (p->onWall() && p->wall() == pieces.front()->wall() && pieces.front()->onWall())
            out.push_back(scene.byId(p->id)->pose.at.x);
        else if (const auto at = by.of != nullptr ? alongOf(*p, by, scene) : std::nullopt)
            out.push_back(*at);
        else
            return {};
    }
    std::sort(out.begin(), out.end());
    return out;
}

/// "bring the stools closer together", "spread the pictures out", of three and more in a row: with
/// so much less, or more, between them.
void rowCloser(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"closer", "nearer", "apart", " out"}))
        return;
    static const Saying words(
        "(?:move|push|pull|bring|slide|put|shift|space|set|hang|spread|get) (.+?)(?: (?:a bit|a "
        "little|slightly|out))* (?:(closer|nearer) together|(?:further|farther|more|wider) "
        "apart|out)(?: by (.+))?");
    std::smatch found;
    const auto scene = sceneOf(job);
    if (!scene || !words.is(line, found))
        return;
    const auto pieces = piecesNamed(found[1], job);
    constexpr std::size_t least = 3;
    const auto along =
        pieces.size() < least ? std::vector<double>() : alongTogether(pieces, job, **scene);
    if (along.empty())
        return;
    const bool metric = isMetric(job.notation.units);
    Length by = metric ? Length::centimetres(5) : Length::inches(2);
    if (found[3].matched) {
        const auto l = readLength(found[3].str(), job.notation.units);
        if (!l)
            return;
        by = *l;
    }
    const double wide = pieces.front()->size.width.mm();
    const double gap =
        (along.back() - along.front()) / static_cast<double>(along.size() - 1) - wide;
    const double now = std::max(0.0, gap + (found[2].matched ? -by.mm() : by.mm()));
    const Length step = metric ? Length::centimetres(1) : Length::inches(0.25);
    out.push_back(fmt::format("space {} {} apart", joinedNames(pieces),
                              write(step * std::round(now / step.mm()), job.notation)));
}

/// "space the chairs evenly", of chairs at their table: at its places; of what stands on one side
/// of a thing: each in the middle of its share; of three and more on a wall: between the two outer.
void spacedEvenly(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:space|spread|distribute|arrange|set) (.+?) (?:out )?(?:evenly|equally)");
    std::smatch found;
    const auto scene = sceneOf(job);
    if (!scene || !words.is(line, found))
        return;
    const auto pieces = piecesNamed(found[1], job);
    if (pieces.size() < 2)
        return;
    const Tie* at = tieToTable(*pieces.front(), job.scheme());
    if (at != nullptr && at->kind == Tie::Kind::atPlace &&
        std::all_of(pieces.begin(), pieces.end(), [&](const Piece* p) {
            const Tie* own = tieToTable(*p, job.scheme());
            return own != nullptr && own->of == at->of && own->kind == Tie::Kind::atPlace;
        })) {
        out.push_back(
            fmt::format("seat {} at {}", pieces.size(), job.scheme().byId(at->of.piece)->name));
        return;
    }
    const auto by = besideOne(pieces, job);
    if (by.of == nullptr) {
        if (pieces.size() > 2)
            out.push_back(fmt::format("spread {}", joinedNames(pieces)));
        return;
    }
    if (alongTogether(pieces, job, **scene).empty())
        return;
    out.push_back(
        inARow(pieces, by, roomAt(by) / static_cast<double>(pieces.size()), job, **scene));
}

} // namespace

std::vector<Meaning> meaningsOfSpacing() {
    return {toTheOtherSide, spacedAtASide, rowCloser, spacedEvenly};
}

} // namespace mezzet
