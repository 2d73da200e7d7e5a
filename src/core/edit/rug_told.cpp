#include "edit/rug_told.h"

#include "measure/text.h"
#include "measure/texts.h"
#include "room/facts.h"
#include "scheme/rug.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// A runner over the run of a stair, in the middle of its width.
std::optional<Problem> layOnStairs(const Room& room, Piece& p, const RugWork& work,
                                   std::vector<std::string>& notices, Notation n) {
    const Fixture* it = stairsUnder(room, work);
    if (it == nullptr)
        return Problem{worded("there are no stairs {}", work.stairs), "add them to the tape notes"};
    if (it->risers < 1 || it->riser <= Length{})
        return Problem{worded("{} has no risers taped", it->name()),
                       "tape how many there are, how high and how deep"};
    const Wall& w = room.walls[static_cast<std::size_t>(it->wall)];
    const Length wide = std::min(p.size.width, p.size.depth);
    const Length room_ = it->depth;
    if (room_ > Length{} && wide > room_ + quiet)
        return Problem{worded("a runner {} wide is wider than {}, which has {}", writeGap(wide, n),
                              it->name(), writeGap(room_, n)),
                       "say a narrower one"};
    p.size.width = it->width;
    p.size.depth = wide;
    p.pose.at = w.at(it->left + it->width / 2) + w.inward() * (room_ / 2).mm();
    p.pose.turn = directionOf(w.along());
    p.ties.clear();
    notices.emplace_back("a runner is fixed with rods or gripper by a fitter: a loose one makes "
                         "people fall");
    if (room_ > Length{})
        notices.push_back(
            worded("{} of each tread is bare on either side", writeGap((room_ - wide) / 2, n)));
    return {};
}

} // namespace

Result<bool> tellOfRug(const Project& job, Piece& p, const Placement& said,
                       std::vector<std::string>& notices) {
    if (said.thickness)
        p.size.height = *said.thickness;
    if (said.rounded) {
        if (isCut(p) || !said.corners.empty())
            return Problem{"an outline of its own has the corners it has", "leave the radius out"};
        p.footprint.corner = std::min(*said.rounded, std::min(p.size.width, p.size.depth) / 2);
    }
    bool lies = false;
    const RugWork before = rugOf(p);
    if (said.rug)
        tellRug(p, *said.rug);
    if (!said.corners.empty()) {
        if (auto bad = giveCorners(p, said.corners))
            return *bad;
        p.ties.clear();
        lies = true;
    } else if (said.rug && said.rug->fit && said.rug->fit != before.fit) {
        if (auto bad = cutToFit(p, *job.room, notices))
            return *bad;
        lies = true;
    } else if (said.rug && said.rug->stairs != before.stairs && said.rug->stairs > 0) {
        if (auto bad = layOnStairs(*job.room, p, *said.rug, notices, job.notation))
            return *bad;
        lies = true;
    }
    if (said.rug && said.rug->breaks != before.breaks && !said.rug->breaks.empty()) {
        const Fixture* it = stairsUnder(*job.room, *said.rug);
        if (it == nullptr)
            return Problem{"only what lies on stairs goes over their landings",
                           "say which: on stairs 1, landing 36 after 6"};
        const auto goes = measureRunner(runnerOn(p, *it, job.library.book->habit("stair-nosing")));
        if (!goes)
            return goes.problem();
        notices.push_back(
            goes->pieces == 1
                ? worded("{} long up the stairs", writeGap(goes->length, job.notation))
                : worded("{} long up the stairs, in {} lengths",
                         writeGap(goes->length, job.notation), goes->pieces));
    }
    if (said.rug) {
        if (said.rug->drop > Length{} && said.rug->repeat <= Length{})
            return Problem{"a pattern that drops has a repeat", "say both: repeat 18, drop 9"};
        const int sides = static_cast<int>(sidesOf(p, p.pose).size());
        for (const RugEdge& e : said.rug->edges)
            if (e.edge > sides)
                return Problem{worded("{} has {} {}, and no edge {}",
                                      p.name.empty() ? p.kind->name : p.name, sides,
                                      sides == 1 ? "edge" : "edges", e.edge),
                               "count them from its first corner"};
    }
    if (said.rug && said.rug->pad && *said.rug->pad <= Length{} && before.pad != said.rug->pad)
        notices.emplace_back("bare on a hard floor it slips: tape it, or lay it on a pad");
    if (!lies)
        return false;
    if (!said.ties.empty() || said.step)
        return Problem{"its outline says where it lies already", "leave the other place out"};
    notices.push_back(worded(
        "{} corners, {}", rugOf(p).outline.empty() ? 4 : static_cast<int>(rugOf(p).outline.size()),
        writeArea(areaOf(p), job.notation.units)));
    return true;
}

std::vector<int> readEdges(WordsReader& in) {
    std::vector<int> out;
    for (int n = 0; in.takeCount(n);) {
        out.push_back(n);
        in.comma();
        in.take({"and"});
    }
    return out;
}

void readFinish(WordsReader& in, RugWork& work, const std::vector<int>& edges) {
    in.take({"in", "with", "of"});
    in.article();
    const auto& all = in.job().library.rugs->edges;
    const RugEdging* found = nullptr;
    std::size_t end = 0;
    for (const RugEdging& e : all) {
        std::vector<std::string> words{e.name};
        words.insert(words.end(), e.also.begin(), e.also.end());
        for (const auto& word : words) {
            const auto folded = foldCase(word);
            in.offer(folded);
            if (const std::size_t there = in.endOf(folded); there > end) {
                end = there;
                found = &e;
            }
        }
    }
    if (found == nullptr) {
        std::vector<std::string> names;
        for (const RugEdging& one : all)
            names.push_back(one.also.empty() ? one.name : one.also.front());
        in.failAhead("no edge is finished so", worded("say one of: {}", listed(names, "or")));
    }
    in.goTo(end);
    Length wide;
    if (in.lengthAhead()) {
        const std::size_t at = in.at();
        wide = in.length("how wide the tape is");
        in.take({"wide"});
        if (found->tape <= Length{})
            in.fail(at, in.at() - at, worded("{} has no width", found->name), "leave it out");
        if (wide <= Length{} || wide > Length::inches(20))
            in.fail(at, in.at() - at, "no tape is as wide as that",
                    "say it like: in leather tape 3");
    }
    if (edges.empty()) {
        work.edges = {{0, found->id, wide}};
        return;
    }
    for (const int n : edges) {
        std::erase_if(work.edges, [n](const RugEdge& old) { return old.edge == n; });
        work.edges.push_back({n, found->id, wide});
    }
}

std::vector<std::string> rugToldWords(const Piece& before, const Piece& now, const Project& job) {
    std::vector<std::string> out;
    const RugWork& was = rugOf(before);
    const RugWork& is = rugOf(now);
    if (was == is)
        return out;
    const auto say = [&](bool differs, std::string words) {
        if (differs)
            out.push_back(std::move(words));
    };
    const auto gap = [&](Length l) { return writeGap(l, job.notation); };
    for (const RugEdge& e : is.edges) {
        const RugEdging* finish = job.library.rugs ? job.library.rugs->edgeById(e.finish) : nullptr;
        auto in = finish != nullptr ? finish->name : e.finish;
        if (e.width > Length{})
            in += " " + gap(e.width);
        say(std::find(was.edges.begin(), was.edges.end(), e) == was.edges.end(),
            e.edge == 0 ? worded("finishes all edges of {} in {}", now.name, in)
                        : worded("finishes edge {} of {} in {}", e.edge, now.name, in));
    }
    say(was.pad != is.pad, is.pad && *is.pad <= Length{}
                               ? worded("lays {} without a pad", now.name)
                               : worded("lays {} on a pad {}", now.name,
                                        gap(is.pad.value_or(job.library.book->habit("rug-pad")))));
    const RugMaterial* m = job.library.rugs ? job.library.rugs->materialById(is.material) : nullptr;
    say(was.material != is.material,
        worded("makes {} of {}", now.name, m != nullptr ? m->name : is.material));
    say(was.taped != is.taped, worded("tapes {} down", now.name));
    say(was.ready != is.ready, is.ready ? worded("buys {} as it comes", now.name)
                                        : worded("cuts {} off a roll", now.name));
    say(was.seams != is.seams, is.seams ? worded("allows seams in {}", now.name)
                                        : worded("keeps {} in one piece", now.name));
    say(was.pileAcross != is.pileAcross,
        worded("runs the pile of {} {}", now.name,
               is.pileAcross ? "along its shorter side" : "along its longer side"));
    say(was.repeat != is.repeat || was.drop != is.drop,
        worded("notes the pattern of {}: it repeats after {}", now.name, gap(is.repeat)));
    say(was.outline != is.outline || was.fit != is.fit, worded("cuts {} anew", now.name));
    return out;
}

void recut(Project& job, std::vector<std::string>& notices) {
    for (auto& scheme : job.schemes) {
        const auto follows = [](const Piece& p) {
            return p.rug && (p.rug->fit || p.rug->stairs > 0);
        };
        if (std::none_of(scheme->pieces.begin(), scheme->pieces.end(), follows))
            continue;
        auto s = std::make_shared<Scheme>(*scheme);
        const Room& room = *job.rooms[scheme->room];
        for (Piece& p : s->pieces) {
            if (!follows(p))
                continue;
            Piece anew = p;
            std::vector<std::string> told;
            const auto bad = p.rug->fit ? cutToFit(anew, room, told)
                                        : layOnStairs(room, anew, *p.rug, told, job.notation);
            if (bad)
                notices.push_back(worded("{} stays as it was cut: {}", p.name, bad->what));
            else
                p = std::move(anew);
        }
        scheme = s;
    }
}

std::string lostFit(const Piece& before, Piece& now) {
    const auto follows = [](const Piece& p) { return rugOf(p).fit || rugOf(p).stairs > 0; };
    if (!follows(before))
        return {};
    if (before.rug == now.rug) {
        const bool stays =
            norm(before.pose.at - now.pose.at) < 0.01 && now.ties.empty() &&
            std::abs(difference(before.pose.turn, now.pose.turn).inDegrees()) < 0.01 &&
            before.size.width == now.size.width && before.size.depth == now.size.depth;
        if (stays)
            return {};
        dropFit(now);
    } else if (follows(now)) {
        return {};
    }
    return worded("{} keeps its outline, and follows the room no longer", now.name);
}

} // namespace mezzet
