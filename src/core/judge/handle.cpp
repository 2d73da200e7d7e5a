#include "judge/handle.h"

#include "edit/place.h"
#include "measure/text.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

Problem noSense() {
    return {"that number makes no sense there", ""};
}

std::string gapWords(double mm, const Project& job) {
    return writeGap(Length::millimetres(mm), job.notation);
}

const std::string& nameOf(const Project& job, int id) {
    return job.scheme().byId(id)->name;
}

constexpr double leastSize = 5; // mm

bool isRound(const Piece& p) {
    const Size face = p.outlineSize();
    return p.footprint.form == FootprintForm::oval && abs(face.width - face.depth) <= quiet;
}

} // namespace

std::vector<Handle> noHandles(const Reading&, double, const Project&, const Scene&) {
    return {};
}

Handle moveAway(const Project& job, const Scene& scene, int id, const Target& other, double by) {
    return {
        .edit = [&job, &scene, id, other](
                    double x) { return stepAway(job, scene, id, other, Length::millimetres(x)); },
        .line =
            [&job, id, other](double x) {
                return fmt::format("move {} {} {} {}", nameOf(job, id), gapWords(std::abs(x), job),
                                   x < 0 ? "toward" : "away from", words(other, job.wording()));
            },
        .start = by};
}

Handle moveAlong(const Project& job, const Scene& scene, int id, Vec2 way, const char* word,
                 double by) {
    return {.edit = [&job, &scene, id, way](double x) -> Result<Edit> {
                if (x < 0)
                    return noSense();
                return stepPiece(job, scene, id, way * x);
            },
            .line =
                [&job, id, word](double x) {
                    return fmt::format("move {} {} {}", nameOf(job, id), gapWords(x, job), word);
                },
            .start = by};
}

std::vector<Handle> moveAnywhereOnWall(const Project& job, const Scene& scene, int id, double by,
                                       double slope) {
    std::vector<Handle> out;
    for (const auto& [word, way] : {std::pair<const char*, Vec2>{"left", {-1, 0}},
                                    {"right", {1, 0}},
                                    {"up", {0, 1}},
                                    {"down", {0, -1}}}) {
        out.push_back(moveAlong(job, scene, id, way, word, std::abs(by)));
        out.back().slope = slope;
    }
    return out;
}

Handle moveRight(const Project& job, const Scene& scene, int id, double by) {
    return {.edit =
                [&job, &scene, id](double x) {
                    return stepPiece(job, scene, id, Vec2{x, 0});
                },
            .line =
                [&job, id](double x) {
                    return fmt::format("move {} {} {}", nameOf(job, id), gapWords(std::abs(x), job),
                                       x < 0 ? "left" : "right");
                },
            .start = by};
}

std::vector<Handle> retape(const Project& job, const Scene& scene, int id, int other, double by) {
    std::vector<Handle> out;
    for (const auto& [a, b] : {std::pair{id, other}, std::pair{other, id}})
        for (const Tie& t : job.scheme().byId(a)->ties)
            if (t.kind == Tie::Kind::fromPiece && t.of == pieceTarget(b))
                out.push_back(tieAt(job, scene, a, t, t.distance.mm() + by));
    return out;
}

Handle tieAt(const Project& job, const Scene& scene, int id, const Tie& tie, double start) {
    const auto at = [tie](double x) {
        Tie t = tie;
        t.distance = Length::millimetres(x);
        t.extra.clear();
        return t;
    };
    return {.edit = [&job, &scene, id, at](double x) -> Result<Edit> {
                if (x < 0)
                    return noSense();
                return tiePiece(job, scene, id, at(x));
            },
            .line =
                [&job, id, at](double x) {
                    return fmt::format("{} {}", nameOf(job, id), words(at(x), job.wording()));
                },
            .start = start};
}

Handle resize(const Project& job, const Scene& scene, int id, SizeFigure figure, double start,
              double slope) {
    return {.edit = [&job, &scene, id, figure](double x) -> Result<Edit> {
                if (x <= leastSize)
                    return noSense();
                const Piece& p = *job.scheme().byId(id);
                const Length l = Length::millimetres(x);
                Size s = p.size;
                switch (figure) {
                case SizeFigure::width:
                    s.width = l;
                    if (isRound(p))
                        (p.onWall() ? s.height : s.depth) = l;
                    break;
                case SizeFigure::depth:
                    s.depth = l;
                    break;
                case SizeFigure::height:
                    s.height = l;
                    break;
                }
                return sizePiece(job, scene, id, s);
            },
            .line =
                [&job, id, figure](double x) {
                    const Piece& p = *job.scheme().byId(id);
                    return fmt::format("size {} {} {}", p.name, gapWords(x, job),
                                       figure == SizeFigure::depth    ? "deep"
                                       : figure == SizeFigure::height ? "high"
                                       : isRound(p)                   ? "round"
                                                                      : "wide");
                },
            .start = start,
            .slope = slope};
}

Handle scaled(const Project& job, const Scene& scene, int id, double start, double slope) {
    const auto size = [&job, id](double x) {
        const Piece& p = *job.scheme().byId(id);
        return Size{rounded(p.size.width * x, job.notation), p.size.depth,
                    rounded(p.size.height * x, job.notation)};
    };
    const Size now = job.scheme().byId(id)->size;
    return {.edit = [&job, &scene, id, size](double x) -> Result<Edit> {
                const Size s = size(x);
                if (x <= 0 || std::min(s.width, s.height).mm() <= leastSize)
                    return noSense();
                return sizePiece(job, scene, id, s);
            },
            .line =
                [&job, id, size](double x) {
                    const Size s = size(x);
                    return fmt::format("size {} {} x {}", nameOf(job, id),
                                       writeBare(s.width, job.notation),
                                       writeBare(s.height, job.notation));
                },
            .start = start,
            .slope = slope,
            .of = Handle::Of::ratio,
            .step = division(job.notation) / std::max(now.width, now.height)};
}

Handle doing(std::string line, Result<Edit> edit) {
    return {.edit = [edit = std::move(edit)](double) { return edit; },
            .line = [line = std::move(line)](double) { return line; },
            .start = 0,
            .slope = 0,
            .of = Handle::Of::nothing};
}

} // namespace mezzet
