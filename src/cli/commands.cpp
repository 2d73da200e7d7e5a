#include "commands.h"
#include "shared.h"
#include "tell.h"

#include "judge/accept.h"
#include "judge/lux.h"
#include "judge/say.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/surfaces.h"
#include "speech/speech.h"

#include <fmt/format.h>

#include <algorithm>
#include <chrono>
#include <cstdio>

namespace mezzet::cli {

namespace {

/// The corners a tape would find: of the piece's box, turned with it; for an L its six.
std::vector<Vec2> cornersOf(const Piece& p, const Placed& where) {
    if (p.footprint.form == FootprintForm::ell) {
        Footprint sharp = p.footprint;
        sharp.corner = {};
        return outline(placed(footprintShape(sharp, p.size), drawn(p.on, where.pose)));
    }
    const double w = p.outlineSize().width.mm() / 2;
    const double d = p.outlineSize().depth.mm() / 2;
    std::vector<Vec2> out;
    for (const Vec2 c : {Vec2{-w, -d}, Vec2{w, -d}, Vec2{w, d}, Vec2{-w, d}})
        out.push_back(drawn(p.on, where.pose).toRoom(c));
    return out;
}

const char* formName(const Piece& p) {
    const Size s = p.outlineSize();
    switch (p.footprint.form) {
    case FootprintForm::ell:
        return "L";
    case FootprintForm::oval:
        return abs(s.width - s.depth) <= quiet ? "round" : "oval";
    case FootprintForm::arch:
        return "arch";
    case FootprintForm::octagon:
        return "octagon";
    case FootprintForm::rectangle:
        break;
    }
    return "rectangle";
}

} // namespace

int build(const std::string& notes, const std::string& lines, const std::string& out) {
    auto lib = library();
    if (!lib)
        return refuse(lib.problem());
    const auto kept = keepJob(out, "build");
    if (!kept)
        return refuse(kept.problem());
    auto text = readTextFile(notes, mostNotes);
    if (!text)
        return refuse(text.problem());
    auto job = newProject(*lib, *text, notes);
    if (!job)
        return refuse(job.problem());
    ProjectPtr made = *job;
    if (made->room->walls.empty()) {
        Problem p{"there is no room in these notes", "begin with a wall, like: wall A 14' 2\""};
        p.file = notes;
        return refuse(p);
    }
    if (!lines.empty()) {
        auto script = readTextFile(lines, mostScript);
        if (!script)
            return refuse(script.problem());
        // Nobody is there to be asked: what would go through a wall is done, and told.
        const auto read = [](std::string_view line, const Project& now) -> Result<Said> {
            auto spoken = readSpoken(line, now, {});
            if (spoken)
                return std::move(spoken->said);
            if (!asksFirst(spoken.problem()))
                return spoken.problem();
            auto anyway = readSpoken(std::string(line) + " anyway", now, {});
            if (!anyway)
                return spoken.problem();
            anyway->said.edit.notices.push_back(spoken.problem().what);
            return std::move(anyway->said);
        };
        auto done = runScript(*script, lines, *made, read);
        if (!done)
            return refuse(done.problem());
        made = done->project;
        for (const auto& n : done->notices)
            fmt::print("{}\n", n);
    }
    if (auto saved = saveJob(*made, out); !saved)
        return refuse(saved.problem());
    tell("{}\n{}: {} pieces\n", made->room->closure.words, out, made->scheme().pieces.size());
    return ran;
}

int say(const std::string& path, const std::vector<std::string>& lines) {
    // Kept from reading it to writing it, so that nobody's work is written over.
    std::error_code error;
    if (!std::filesystem::exists(path, error))
        return refuse(open(path).problem());
    const auto kept = keepJob(path, "say");
    if (!kept)
        return refuse(kept.problem());
    auto job = open(path);
    if (!job)
        return refuse(job.problem());
    ProjectPtr now = *job;
    std::vector<ProjectPtr> before;
    std::vector<ProjectPtr> after;
    Listener to;
    int number = 0;
    for (const auto& line : lines) {
        ++number;
        const auto refused = [&](Problem p) {
            p.file = "line";
            p.line = number;
            const int code = refuse(p);
            for (const auto& way : waysOn(line, *now, to))
                tell(stderr, "  or say: {}\n", shownPlainly(way));
            return code;
        };
        auto spoken = readSpoken(line, *now, to);
        if (!spoken)
            return refused(spoken.problem());
        if (spoken->is == Spoken::Is::undo || spoken->is == Spoken::Is::redo) {
            const bool undo = spoken->is == Spoken::Is::undo;
            auto& from = undo ? before : after;
            if (from.empty())
                return refused({undo ? "nothing was said yet that could be undone"
                                     : "nothing was undone that could be done again",
                                "in the window all that was done can be undone"});
            (undo ? after : before).push_back(now);
            now = from.back();
            from.pop_back();
            fmt::print("{}\n", undo ? "Undone" : "Done again");
            continue;
        }
        fmt::print("{}\n", spoken->said.preview);
        if (!spoken->said.them.empty())
            to.them = spoken->said.them;
        // What the window does is another command here.
        if (spoken->answer.act.starts_with("print:"))
            fmt::print("  (mezzet-cli sheet {} {} -o {}.pdf)\n", shownPlainly(path),
                       spoken->answer.act.substr(6), spoken->answer.act.substr(6));
        if (spoken->is == Spoken::Is::answer)
            continue;
        auto next = apply(*now, spoken->said.edit);
        if (!next)
            return refused(next.problem());
        before.push_back(now);
        after.clear();
        now = next->project;
        if (!saysAgain(line))
            to.before = line;
    }
    if (now == *job)
        return ran; // only asked
    if (auto saved = saveJob(*now, path); !saved)
        return refuse(saved.problem());
    return ran;
}

namespace {

/// A line of the list of pieces: what it is, where, and what holds it.
std::string pieceLine(const Piece& p, const Placed& where, const Wording& say) {
    std::vector<std::string> ties;
    for (const auto& t : p.ties)
        ties.push_back(words(t, say));
    const auto x = write(Length::millimetres(where.pose.at.x), say.notation);
    const auto y = write(Length::millimetres(where.pose.at.y), say.notation);
    auto line = fmt::format("{:<26} {:>16}  ", p.name, sizeWords(p, say.notation));
    if (p.onWall())
        line += fmt::format("{} at {}, {} up  ", words(p.on, say), x, y);
    else
        line += fmt::format("{}at {}, {}  turned {}{}",
                            p.on.isFloor() ? std::string() : words(p.on, say) + " ", x, y,
                            words(where.pose.turn), ties.empty() ? "" : "  ");
    return line + listed(ties, "");
}

json pieceJson(const Scene& s, std::size_t i, const Wording& say) {
    const Piece& p = s.scheme->pieces[i];
    const Placed& where = s.all[i];
    json one{{"name", p.name},
             {"kind", p.kind->id},
             {"family", familyName(p.kind->family)},
             {"surface", surfaceName(p.on, say)},
             {"shape", formName(p)}};
    one["size_mm"] = {p.size.width.mm(), p.size.depth.mm(), p.size.height.mm()};
    one["centre"] = point(where.pose.at);
    one["turn"] = std::round(where.pose.turn.inDegrees() * 1e6) / 1e6;
    one["corners"] = points(cornersOf(p, where));
    if (p.on.isCeiling())
        one["bottom_mm"] = bottomOf(s, p, where).mm();
    if (p.on.isCarried())
        if (const auto body = bodyOf(s, p.id))
            one["foot_in_room"] = json::array({body->foot.x, body->foot.y, body->foot.z});
    if (p.group() != 0)
        one["group"] = s.scheme->byId(p.group())->name;
    one["ties"] = json::array();
    for (const auto& t : p.ties)
        one["ties"].push_back(words(t, say));
    one["free"] = 2 - where.coordinatesTied + (p.onWall() || where.turnTied ? 0 : 1) +
                  (p.on.isCeiling() && !where.offTied ? 1 : 0);
    one["locked"] = p.locked;
    return one;
}

} // namespace

int scene(const std::string& path, const std::string& room, bool asJson) {
    auto job = open(path, room);
    if (!job)
        return refuse(job.problem());
    auto resolved = sceneOf(**job);
    if (!resolved)
        return refuse(resolved.problem());
    const Scene& s = **resolved;
    const Wording say = (*job)->wording();
    // What stands first, then what hangs, each in the order it was placed.
    std::vector<std::size_t> order;
    for (const bool hung : {false, true})
        for (std::size_t i = 0; i < s.all.size(); ++i)
            if (s.scheme->pieces[i].onWall() == hung)
                order.push_back(i);
    if (!asJson) {
        for (const std::size_t i : order)
            fmt::print("{}\n", pieceLine(s.scheme->pieces[i], s.all[i], say));
        return ran;
    }
    json out{{"room", s.room->name},
             {"scheme", s.scheme->name},
             {"corners_mm", points(s.room->corners())},
             {"pieces", json::array()}};
    for (const std::size_t i : order)
        out["pieces"].push_back(pieceJson(s, i, say));
    fmt::print("{}\n", out.dump(1));
    return ran;
}

namespace {

/// In which state of the room a reading holds.
std::string_view stateOf(const Reading& r, const Scheme& scheme) {
    if (r.inUse)
        return r.rule->id == "seats-count" ? "guests" : "in use";
    return scheme.arrangement == Arrangement::guests ? "guests" : "day";
}

/// True from so many seconds on.
class Deadline {
public:
    explicit Deadline(double seconds)
        : end_(std::chrono::steady_clock::now() +
               std::chrono::duration_cast<std::chrono::steady_clock::duration>(
                   std::chrono::duration<double>(seconds))) {}
    bool operator()() const { return std::chrono::steady_clock::now() >= end_; }

private:
    std::chrono::steady_clock::time_point end_;
};

} // namespace

json readingJson(const Reading& r, const Project& job, const Scheme& scheme) {
    const Wording say = job.wording();
    const auto bound = [](const std::optional<double>& b) { return b ? json(*b) : json(nullptr); };
    json one{{"rule", r.rule->id}, {"of", namesOf(r, say)}};
    one[r.value.quantity == Quantity::length  ? "value_mm"
        : r.value.quantity == Quantity::ratio ? "ratio"
                                              : "count"] = r.value.value;
    one["low"] = bound(r.band.low);
    one["high"] = bound(r.band.high);
    one["verdict"] = verdictName(r.verdict);
    one["surface"] = surfaceName(r.surface, say);
    one["at"] = {point(r.at[0]), point(r.at[1])};
    one["to"] = words(r.other.is == Target::Is::none ? r.to : r.other, say);
    one["why"] = whyOf(r, say);
    if (r.accepted)
        one["accepted"] = whyAccepted(r, scheme);
    one["school"] = job.judgement.schoolOf(*r.rule);
    one["state"] = stateOf(r, scheme);
    if (*r.instead != 0 && std::string_view(r.instead).starts_with("shut"))
        one["shut"] = true;
    if (std::string_view(r.instead) == "none")
        one["none"] = true;
    return one;
}

int check(const std::string& path, const std::string& room, const std::string& school,
          double seconds, bool asJson) {
    auto opened = open(path, room);
    if (!opened)
        return refuse(opened.problem());
    Project job = **opened;
    if (!school.empty()) {
        const auto* s = job.library.book->schoolByWords(school);
        if (s == nullptr)
            return wrong(
                worded("there is no school “{}”; use low-and-close or viewer-and-air", school));
        job.judgement.school = s->id;
        job.judgement.choices.clear();
    }
    auto resolved = sceneOf(job);
    if (!resolved)
        return refuse(resolved.problem());
    const Deadline late(seconds);
    Judged judged = judgeWhole(**resolved, *job.library.book, job.judgement, late);
    for (Reading& r : luxReadings(job, **resolved))
        judged.readings.push_back(std::move(r));
    const auto& readings = judged.readings;
    const Wording say = job.wording();
    json out{{"school", job.judgement.school}, {"readings", json::array()}};
    int toMend = 0;
    int untried = 0;
    Progress progress("looking for remedies", readings.size());
    const auto remedies =
        remediesFor(judged, job, **resolved, late, [&progress] { progress.step(); });
    progress.end();
    for (std::size_t i = 0; i < readings.size(); ++i) {
        const Reading& r = readings[i];
        untried += remedies[i] ? 0 : 1;
        const auto remedy = remedies[i].value_or(std::nullopt);
        toMend += r.toMend() ? 1 : 0;
        if (!asJson) {
            fmt::print(
                "{:<6} {:<15} {:<40} {:>9}  {}\n", verdictName(r.verdict), r.rule->id,
                fmt::format("{}{}{}{}", subjectOf(r, say),
                            r.other.is == Target::Is::none && r.to.is == Target::Is::none ? ""
                                                                                          : ": ",
                            r.other.is == Target::Is::none
                                ? r.to.is == Target::Is::none ? "" : words(r.to, say)
                                : words(r.other, say),
                            stateOf(r, *(*resolved)->scheme) == "day"
                                ? std::string()
                                : fmt::format(" ({})", stateOf(r, *(*resolved)->scheme))),
                std::string_view(r.instead) == "none" ? "none" : words(r.value, job.notation),
                whyOf(r, say));
            if (r.accepted)
                tell("       accepted: {}\n", whyAccepted(r, *(*resolved)->scheme));
            if (remedy)
                tell("       mend it: {}\n", remedy->line);
            if (remedy)
                for (const auto& upset : remedy->upsets)
                    tell("           but then {}\n", upset);
            continue;
        }
        json one = readingJson(r, job, *(*resolved)->scheme);
        if (remedy) {
            one["remedy"] = remedy->line;
            one["upsets"] = remedy->upsets;
            one["mends"] = remedy->mends;
        }
        out["readings"].push_back(one);
    }
    if (judged.stopped)
        tell(stderr, "The room was not judged whole in {:g} s: allow more with --seconds.\n",
             seconds);
    else if (untried > 0)
        fmt::print(stderr,
                   "For {} of what is to mend no remedy was looked for in {:g} s: allow more with "
                   "--seconds.\n",
                   untried, seconds);
    out["judged_whole"] = !judged.stopped;
    out["remedies_not_tried"] = untried;
    if (asJson)
        fmt::print("{}\n", out.dump(1));
    else
        tell("{} readings, {} to mend, judged {}\n", readings.size(), toMend, job.judgement.school);
    return ran;
}

} // namespace mezzet::cli
