#include "judge/safe_snap.h"

#include "edit/drag.h"
#include "judge/guard.h"

namespace mezzet {

namespace {

std::optional<Judged> judgedAfter(const Project& job, const Edit& edit, const Stopped& stopped) {
    const auto after = apply(job, edit);
    if (!after)
        return {};
    auto judged = judgeWhole(*after->scene, *job.library.book, job.judgement, stopped);
    if (judged.stopped)
        return {};
    return judged;
}

} // namespace

Edit snappedEdit(const Project& job, const Scene& scene, int piece, const SnapOffer& snap) {
    Edit out = drag(job, scene, {piece}, snap.step, DragTies::revalue).edit;
    if (out.acts.size() != 1)
        return out;
    if (const auto* put = std::get_if<PutPiece>(&out.acts.front()))
        if (auto held = retied(job, put->piece, snap.ties)) {
            held->piece.pose = put->piece.pose;
            out.words = put->piece.name + " " + snap.words;
            out.acts.front() = PutPiece{held->piece};
        }
    return out;
}

std::optional<SnapOffer> safeSnapFor(const Project& job, const Scene& scene, int piece, Vec2 step,
                                     Length reach, const Stopped& stopped) {
    auto snap = snapFor(job, scene, piece, step, reach);
    if (!snap)
        return {};
    const auto byHand =
        judgedAfter(job, drag(job, scene, {piece}, step, DragTies::revalue).edit, stopped);
    const auto there = judgedAfter(job, snappedEdit(job, scene, piece, *snap), stopped);
    if (!byHand || !there || harms(*byHand, *there))
        return {};
    return snap;
}

} // namespace mezzet
