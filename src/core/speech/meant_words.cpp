#include "speech/meant_words.h"

#include "edit/beside_wall.h"
#include "edit/words_reader.h"
#include "measure/text.h"
#include "scheme/on_wall.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

bool isAtWall(const Piece& p, int wall, const Scene& scene) {
    if (p.on.isCarried() || wallBehind(scene, p.id) != wall)
        return false;
    if (p.onWall())
        return true;
    constexpr double aStepAway = 300;
    const FloorView floor(scene);
    const auto before = standingBefore(floor, wall);
    return std::any_of(before.begin(), before.end(), [&](const Standing& s) {
        return floor.placed[s.index].id == p.id && s.off < aStepAway;
    });
}

bool mentions(std::string_view line, std::initializer_list<std::string_view> words) {
    const auto folded = foldCase(line);
    return std::any_of(words.begin(), words.end(),
                       [&](std::string_view w) { return folded.find(w) != std::string::npos; });
}

std::regex meaning(const char* words) {
    return std::regex(words, std::regex::icase | std::regex::optimize);
}

KindPtr nounIn(std::string_view text, const Project& job) {
    WordsReader in(text, job);
    while (!in.done()) {
        const std::size_t at = in.at();
        if (in.comma())
            continue;
        if (const KindPtr kind = in.kind())
            return kind;
        in.goTo(at);
        if (in.word().empty())
            return {};
    }
    return {};
}

const Piece* pieceNamed(const std::string& words, const Project& job) {
    WordsReader in(words, job);
    try {
        in.article();
        const int id = in.piece();
        return in.done() ? job.scheme().byId(id) : nullptr;
    } catch (const LineFault&) {
        return nullptr;
    }
}

WallToward wallToward(const Room& room, Vec2 from, Vec2 way) {
    constexpr double square = 0.99;
    WallToward out;
    for (const Wall& w : room.walls)
        if (const double off = dot(from - w.start, w.inward());
            dot(w.inward(), way) < -square && off > 0 && off < out.off)
            out = {&w, off};
    return out;
}

const Piece* onlyOneLike(const Kind& kind, const Project& job) {
    const Piece* found = nullptr;
    for (const Piece& p : job.scheme().pieces)
        if (p.kind->role == kind.role && p.kind->family == kind.family && p.kind->on == kind.on) {
            if (found != nullptr)
                return nullptr;
            found = &p;
        }
    return found;
}

const Fixture* onlyBreast(const Room& room) {
    const Fixture* found = nullptr;
    for (const Fixture& f : room.fixtures)
        if (f.isBreast()) {
            if (found != nullptr)
                return nullptr;
            found = &f;
        }
    return found;
}

std::string sizesOf(const Piece& p, const Size& size, const Project& job) {
    const bool hangs = p.kind->hangs();
    const auto said = [&](Length l) { return write(l, job.notation); };
    return fmt::format("{} x {} x {}", said(size.width), said(hangs ? size.height : size.depth),
                       said(hangs ? size.depth : size.height));
}

std::string sideBySide(const Kind& kind, int count, int wall, double from, const Project& job) {
    std::vector<std::string> lines;
    for (int i = 0; i < count; ++i)
        lines.push_back(fmt::format(
            "add {} against wall {}, {} from the left corner", kind.name, wallName(wall),
            write(Length::millimetres(from + i * kind.size.width.mm()), job.notation)));
    return fmt::format("{}", fmt::join(lines, "; then "));
}

Angle turnToFace(Vec2 direction) {
    return (directionOf(direction) - directionOf(Pose{}.front())).normalised();
}

const Piece* onlyDiningTable(const Project& job) {
    const Piece* found = nullptr;
    for (const Piece& p : job.scheme().pieces)
        if (p.kind->role == Role::diningTable) {
            if (found != nullptr)
                return nullptr;
            found = &p;
        }
    return found;
}

Stands standsNamed(const std::string& words, const Project& job) {
    const Piece* p = pieceNamed(words, job);
    const auto scene = p != nullptr && p->on.isFloor() ? sceneOf(job) : Result<ScenePtr>(Problem{});
    return scene ? Stands{*scene, p, (*scene)->fromAbove(p->id)} : Stands{};
}

std::vector<const Piece*> piecesNamed(const std::string& words, const Project& job) {
    std::vector<const Piece*> out;
    WordsReader in(words, job);
    try {
        for (const int id : readSubjects(in, 0))
            out.push_back(job.scheme().byId(id));
        return in.done() ? out : std::vector<const Piece*>();
    } catch (const LineFault&) {
        return {};
    }
}

std::optional<NamedAndFigure> namedAndFigure(const std::string& words, const Project& job) {
    for (auto at = words.find(' '); at != std::string::npos; at = words.find(' ', at + 1)) {
        auto figure = words.substr(at + 1);
        if (figure.empty() || figure[0] < '0' || figure[0] > '9' ||
            !readLength(figure, job.notation.units))
            continue;
        auto named = piecesNamed(words.substr(0, at), job);
        auto once = named;
        std::sort(once.begin(), once.end());
        if (!named.empty() && std::adjacent_find(once.begin(), once.end()) == once.end())
            return NamedAndFigure{std::move(named), std::move(figure)};
    }
    return {};
}

std::optional<Target> targetNamed(const std::string& words, const Project& job, bool pieces) {
    WordsReader in(words, job);
    try {
        in.article();
        const Target t = in.target(pieces);
        return in.done() ? std::optional(t) : std::nullopt;
    } catch (const LineFault&) {
        return {};
    }
}

std::vector<std::pair<std::string, Target>> targetsNamed(const std::string& words,
                                                         const Project& job, bool pieces) {
    if (const auto one = targetNamed(words, job, pieces))
        return {{words, *one}};
    std::vector<std::pair<std::string, Target>> out;
    constexpr int most = 20;
    for (int i = 1; i < most; ++i)
        if (auto name = fmt::format("{} {}", words, i);
            const auto t = targetNamed(name, job, pieces))
            out.emplace_back(std::move(name), *t);
    return out;
}

SeveralStand severalStanding(const std::string& words, const Project& job) {
    SeveralStand out;
    const auto all = piecesNamed(words, job);
    const auto scene = all.empty() ? Result<ScenePtr>(Problem{}) : sceneOf(job);
    if (!scene)
        return out;
    out.scene = *scene;
    for (const Piece* p : all) {
        const Placed* there = p->on.isFloor() ? (*scene)->fromAbove(p->id) : nullptr;
        if (there == nullptr)
            return {};
        out.all.emplace_back(p, there);
    }
    return out;
}

} // namespace mezzet
