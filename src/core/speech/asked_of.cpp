#include "speech/asked_of.h"

#include "edit/words_reader.h"
#include "judge/ahead.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/spoken.h"

#include <fmt/ranges.h>

#include <cmath>
#include <numbers>

namespace mezzet {

std::string lengthSaid(const Asking& a, double mm) {
    return writeGap(Length::millimetres(mm), a.job.notation);
}
std::string rangeSaid(const Asking& a, double low, double high) {
    return worded("{} to {}", lengthSaid(a, low), lengthSaid(a, high));
}
const Rule& ruleOf(const Asking& a, std::string_view id) {
    const Rule* r = a.job.library.book->byId(id);
    if (r == nullptr)
        throw LineFault{Problem{"the rule book says nothing of that", ""}};
    return *r;
}
Band bandOf(const Asking& a, std::string_view id) {
    return a.job.judgement.bandOf(ruleOf(a, id));
}
std::string bandSaid(const Asking& a, const Band& b) {
    return b.low && b.high ? rangeSaid(a, *b.low, *b.high)
           : b.low         ? worded("{} or more", lengthSaid(a, *b.low))
                           : worded("{} at most", lengthSaid(a, b.high.value_or(0)));
}

std::optional<AskedOf> thingAhead(Asking& a) {
    const std::size_t at = a.in.at();
    a.in.article();
    AskedOf out;
    const std::size_t name = a.in.at();
    // "table lamp" is no table, where a longer word for a kind stands there.
    std::size_t kindEnd = 0;
    try {
        if (a.in.kind() != nullptr)
            kindEnd = a.in.at();
    } catch (const LineFault&) {
        kindEnd = 0;
    }
    a.in.goTo(name);
    try {
        if (const int id = a.in.piece(); id != 0 && a.in.at() >= kindEnd) {
            out.piece = a.scene->pieceById(id);
            out.kind = out.piece->kind;
            return out;
        }
        a.in.goTo(name);
    } catch (const LineFault&) {
        // several of them: what is said holds of each
        a.in.goTo(name);
        std::vector<int> all;
        try {
            all = a.in.pieces();
        } catch (const LineFault&) {
            all.clear();
        }
        for (const int id : all) {
            const KindPtr kind = a.scene->pieceById(id)->kind;
            if (out.kind && out.kind != kind) {
                all.clear();
                break;
            }
            out.kind = kind;
        }
        if (!all.empty())
            return out;
        out.kind = nullptr;
        a.in.goTo(name);
    }
    for (const auto& [word, kind] : {std::pair{"curtain rod", "curtains"},
                                     {"rod", "curtains"},
                                     {"pole", "curtains"},
                                     {"curtain pole", "curtains"},
                                     {"curtain rail", "curtains"},
                                     {"art", "picture"},
                                     {"artwork", "picture"}})
        if (!out.kind && a.in.take({word}))
            out.kind = a.job.library.kit->byWord(kind);
    if (!out.kind)
        out.kind = a.in.kind();
    if (!out.kind) {
        a.in.goTo(at);
        return {};
    }
    return out;
}

void tellFree(const Asking& a, const Piece& p, std::initializer_list<Side> sides, Answer& out) {
    const Placed* where = p.on.isFloor() ? a.scene->fromAbove(p.id) : nullptr;
    if (where == nullptr)
        return;
    const FloorView floor(*a.scene);
    const auto word = [](Side s) {
        return s == Side::front    ? told("in front")
               : s == Side::behind ? told("behind")
               : s == Side::left   ? told("left")
                                   : told("right");
    };
    std::vector<std::string> parts;
    for (const Side s : sides) {
        const auto [lane, stop] = aheadOf(floor, p, *where, s);
        if (!stop)
            continue;
        const auto figure = lengthSaid(a, stop->ahead);
        parts.push_back(worded("{} {}, to {}", figure, word(s), spoken(stop->what, a.wording())));
        out.marks.push_back({theFloor(), lane.from, lane.from + lane.along * stop->ahead, figure});
    }
    if (parts.empty())
        return;
    if (!out.words.empty())
        out.words += ". ";
    out.words += worded("Around {}: {}", p.name, fmt::format("{}", fmt::join(parts, "; ")));
}

std::optional<Vec2> planMiddle(const Target& t, const Scene& scene) {
    const Piece* p = t.is == Target::Is::piece ? scene.pieceById(t.piece) : nullptr;
    if (p == nullptr)
        return middleOf(t, scene);
    if (p->onWall()) {
        const Wall& w = scene.room->walls[static_cast<std::size_t>(p->wall())];
        return w.start + w.along() * scene.byId(p->id)->pose.at.x;
    }
    const Placed* seen = scene.inPlan(p->id);
    return seen != nullptr ? std::optional(seen->pose.at) : std::nullopt;
}

double figureFor(const Asking& a) {
    return isMetric(a.job.notation.units) ? 1000 : 304.8;
}

double widthsAway() {
    return 0.5 / std::tan(screenAngle / 2 * std::numbers::pi / 180);
}

double screenWidth(double across) {
    return across * 16 / std::hypot(16.0, 9.0);
}

} // namespace mezzet
