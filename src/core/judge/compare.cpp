#include "judge/compare.h"

#include "judge/talk.h"
#include "judge/zones.h"
#include "measure/texts.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

Result<SchemeSummary> summaryOf(const Project& job, std::size_t index) {
    SchemeSummary out;
    const Scheme& scheme = *job.schemes[index];
    out.index = index;
    out.name = scheme.name;
    out.note = scheme.note;
    auto scene = resolve(job.roomOf(index), job.schemes[index], job.notation);
    if (!scene)
        return scene.problem();
    out.scene = *scene;
    out.readings = judge(*out.scene, *job.library.book, job.judgement);
    for (const Reading& r : out.readings) {
        out.toMend += r.toMend() ? 1 : 0;
        out.clashes += r.verdict == Verdict::clash ? 1 : 0;
        if (r.rule->id == "walkway-main" && !r.inUse &&
            (!out.narrowest || r.value.length() < *out.narrowest))
            out.narrowest = r.value.length();
    }
    if (const Rule* rule = job.library.book->byId("seats-count")) {
        const Length each = rule->setting("each");
        const Length arms = rule->setting("arms");
        out.seats = seatsIn(scheme, Arrangement::day, each, arms);
        out.seatsForGuests = seatsIn(scheme, Arrangement::guests, each, arms);
    }
    for (const auto* list : {&scheme.pieces, &scheme.away})
        for (const Piece& p : *list)
            if (p.cost) {
                out.cost = out.cost.value_or(0) + *p.cost;
                ++out.priced;
            }
    const double floor = out.scene->room->floorArea();
    out.floorTaken = floor > 0 ? floorTaken(scheme) / floor : 0;
    return out;
}

std::vector<PieceDifference> differencesBetween(const Project& job, const SchemeSummary& a,
                                                const SchemeSummary& b) {
    using How = PieceDifference::How;
    std::vector<PieceDifference> out;
    for (const Piece& p : a.scene->scheme->pieces) {
        const Piece* q = b.scene->scheme->byName(p.name);
        PieceDifference d;
        d.name = p.name;
        d.first = p.id;
        if (q == nullptr) {
            d.how = How::onlyFirst;
            d.words = worded("only in {}", a.name);
            out.push_back(std::move(d));
            continue;
        }
        d.second = q->id;
        if (p.kind != q->kind) {
            d.how = How::otherKind;
            d.words = worded("{} instead of {}", q->kind->name, p.kind->name);
        } else if (p.size != q->size) {
            d.how = How::resized;
            d.words = worded("{} instead of {}", words(q->size, job.notation),
                             words(p.size, job.notation));
        } else {
            const Pose& from = a.scene->byId(p.id)->pose;
            const Pose& to = b.scene->byId(q->id)->pose;
            const double turn = difference(to.turn, from.turn).inDegrees();
            if (auto step = movedWords(job, *a.scene, p.id, *b.scene, q->id, 1); !step.empty()) {
                d.how = How::moved;
                d.words = worded("moved {}", step);
            } else if (std::abs(turn) > 0.5) {
                d.how = How::turned;
                d.words = worded("turned {:.4g}°", turn);
            } else {
                continue;
            }
        }
        out.push_back(std::move(d));
    }
    for (const Piece& q : b.scene->scheme->pieces) {
        if (a.scene->scheme->byName(q.name) != nullptr)
            continue;
        PieceDifference d;
        d.how = How::onlySecond;
        d.name = q.name;
        d.second = q.id;
        d.words = worded("only in {}", b.name);
        out.push_back(std::move(d));
    }
    return out;
}

std::string writeCost(double v) {
    const auto digits = worded("{:.0f}", std::round(v));
    std::string out;
    for (std::size_t i = 0; i < digits.size(); ++i) {
        if (i > 0 && (digits.size() - i) % 3 == 0)
            out += ',';
        out += digits[i];
    }
    return out;
}

} // namespace mezzet
