// A piece under fresh ties, and a step in words.
#include "edit/edit.h"
#include "edit/follow.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/surfaces.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

Result<Retied> retied(const Project& job, Piece piece, const std::vector<Tie>& fresh) {
    const auto attempt = [&](const std::vector<Tie>& ties) -> Result<ScenePtr> {
        auto s = std::make_shared<Scheme>(job.scheme());
        Piece p = piece;
        if (p.isGroup())
            followGroup(*s, p);
        p.ties = ties;
        p.locked = false;
        if (p.id == 0) {
            p.id = s->nextId;
            s->pieces.push_back(p);
        } else {
            *s->byId(p.id) = p;
        }
        auto scene = resolve(job.room, s, job.notation);
        if (scene)
            for (const auto& over : (*scene)->overTied)
                if (over.piece == p.id)
                    return over.problem;
        return scene;
    };
    if (auto alone = attempt(fresh); !alone)
        return alone.problem();
    Retied out;
    const Wording say = job.wording();
    std::vector<Tie> ties = fresh;
    const auto keep = [&](const Tie& t) {
        auto more = ties;
        more.push_back(t);
        if (!attempt(more))
            return false;
        ties = more;
        return true;
    };
    for (const Tie& old : piece.ties) {
        if (std::find(ties.begin(), ties.end(), old) != ties.end() || keep(old))
            continue;
        // Turned away from its wall, a piece still keeps its distance from it.
        if (old.kind == Tie::Kind::against && old.of.is != Target::Is::piece) {
            Tie off = old;
            off.kind = Tie::Kind::fromWall;
            if (keep(off))
                continue;
        }
        // The same tie with another number is re-valued, not let go.
        const bool revalued = std::any_of(fresh.begin(), fresh.end(), [&](const Tie& t) {
            return (t.kind == old.kind && t.of == old.of) || (t.fixesHeight() && old.fixesHeight());
        });
        if (!revalued)
            out.letGo.push_back(words(old, say));
    }
    piece.ties = ties;
    out.piece = std::move(piece);
    return out;
}

std::string wallStepWords(const Project& job, Vec2 step) {
    std::vector<std::string> out;
    const auto say = [&](double v, const char* more, const char* less) {
        if (std::abs(v) > 0.05)
            out.push_back(worded("{} {}", writeGap(Length::millimetres(std::abs(v)), job.notation),
                                 v > 0 ? more : less));
    };
    say(step.x, "right", "left");
    say(step.y, "up", "down");
    return listed(out);
}

std::string movedWords(const Project& job, const Scene& was, int id, const Scene& now, int nowId,
                       double least) {
    const auto surface = [&](const Scene& s, SurfaceId on) {
        const auto name = surfaceName(on, {*s.room, *s.scheme, job.notation});
        return on.isFloor() || on.isCeiling() ? "the " + name : name;
    };
    const SurfaceId from = was.pieceById(id)->on;
    const SurfaceId to = now.pieceById(nowId)->on;
    const auto there = surface(now, to);
    if (from.is != to.is || surface(was, from) != there)
        return "to " + there;
    if (to.isWall()) {
        const Vec2 step = now.byId(nowId)->pose.at - was.byId(id)->pose.at;
        return norm(step) > least ? wallStepWords(job, step) : std::string();
    }
    const Vec3 before = bodyOf(was, id)->foot;
    const Vec3 after = bodyOf(now, nowId)->foot;
    std::vector<std::string> out;
    if (const Vec2 step = after.plan() - before.plan(); norm(step) > least)
        out.push_back(stepWords(job, step));
    if (const double up = after.z - before.z; to.isCeiling() && std::abs(up) > least)
        out.push_back(wallStepWords(job, {0, up}));
    return listed(out);
}

std::string stepWords(const Project& job, Vec2 step) {
    if (norm(step) < 0.05)
        return {};
    const Wall* toward = nullptr;
    double most = -2;
    for (const Wall& w : job.room->walls) {
        const double d = dot(-w.inward(), unit(step));
        if (d > most) {
            most = d;
            toward = &w;
        }
    }
    const auto far = writeGap(Length::millimetres(norm(step)), job.notation);
    return toward == nullptr ? far : worded("{} toward wall {}", far, toward->name);
}

} // namespace mezzet
