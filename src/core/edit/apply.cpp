#include "edit/edit.h"

#include "edit/after_edit.h"
#include "edit/carried.h"
#include "edit/follow.h"
#include "edit/handed_over.h"
#include "edit/rug_told.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace mezzet {

namespace {

struct Applier {
    Project job;
    std::vector<std::string> notices;
    std::set<int> going{}; ///< pieces that the same edit takes away

    std::shared_ptr<Scheme> change() {
        auto s = std::make_shared<Scheme>(job.scheme());
        job.schemes[job.active] = s;
        return s;
    }

    std::optional<Problem> act(const PutPiece& put) {
        auto s = change();
        Piece p = put.piece;
        p.name = tidyName(p.name);
        if (plainWord(p.name).empty())
            return Problem{"a piece needs a name", "give it one"};
        if (characterCount(p.name) > mostNameLength)
            return Problem{"the name is too long",
                           worded("use at most {} characters", mostNameLength)};
        const auto* same = s->byName(p.name);
        for (const Piece& gone : s->away)
            if (plainWord(gone.name) == plainWord(p.name))
                same = &gone;
        if (same != nullptr && same->id != p.id)
            return Problem{worded("there is a piece called {} already", same->name),
                           "choose another name"};
        if (characterCount(p.reason) > mostReason)
            return Problem{"the reason is too long",
                           worded("use at most {} characters", mostReason)};
        if (p.cost && !(*p.cost >= 0 && *p.cost <= 1e9))
            return Problem{"that is no price", "say what it costs, like 1200"};
        for (const Length l : {p.size.width, p.size.depth, p.size.height})
            if (l <= Length{} || l > Length::metres(20))
                return Problem{worded("{} would be {}", p.name, sizeWords(p, job.notation)),
                               worded("sizes lie between nothing and {}",
                                      write(Length::metres(20), job.notation))};
        if (auto problem = tooHighInItself(p, p.id == 0 ? nullptr : s->byId(p.id), job.notation))
            return problem;
        if (auto problem = unsuitedSurface(p))
            return problem;
        if (auto problem = wrongOpenings(p, job.notation))
            return problem;
        if (const Piece* old = p.id != 0 ? s->byId(p.id) : nullptr)
            if (auto told = lostFit(*old, p); !told.empty())
                notices.push_back(std::move(told));
        if (p.id == 0) {
            if (s->pieces.size() >= mostPieces)
                return Problem{worded("a scheme holds at most {} pieces", mostPieces),
                               "start another scheme"};
            p.id = freshId(*s);
            // What is brought in for guests is there for guests.
            p.onlyHere = s->arrangement == Arrangement::guests && !p.onWall() && !p.on.isCeiling();
            if (p.on.isCarried())
                if (const Piece* carrier = s->byId(p.on.piece))
                    p.onlyHere = p.onlyHere || carrier->onlyHere;
            p.otherwise.reset();
            s->pieces.push_back(std::move(p));
        } else if (Piece* old = s->byId(p.id)) {
            if (auto problem = keepInOpenings(*s, *old, p))
                return problem;
            if (s->arrangement == Arrangement::guests && !old->onlyHere && !old->otherwise &&
                (old->ties != p.ties || old->pose != p.pose || old->on != p.on))
                p.otherwise = old->stance();
            followName(job, old->name, p.name);
            *old = std::move(p);
        } else {
            s->nextId = std::max(s->nextId, std::min(p.id, mostId - 1) + 1);
            s->pieces.push_back(std::move(p));
        }
        return {};
    }

    /// The next number of a scheme; when there are no more, the least that nothing has.
    static int freshId(Scheme& s) {
        if (s.nextId < mostId)
            return s.nextId++;
        std::set<int> taken;
        for (const auto* list : {&s.pieces, &s.away})
            for (const Piece& p : *list)
                taken.insert(p.id);
        int id = 1;
        while (taken.count(id) > 0)
            ++id;
        return id;
    }

    std::optional<Problem> act(const SetDressing& d) {
        change()->dressing = d.dressing;
        return {};
    }

    std::optional<Problem> act(const SetStock& s) {
        if (s.stock.size() > mostStock)
            return Problem{worded("a stock has at most {} entries", mostStock), "remove some"};
        job.stock = s.stock.empty() ? nullptr : std::make_shared<const Stock>(s.stock);
        return {};
    }

    std::optional<Problem> act(const SetHandover& h) {
        if (auto problem = wrongHandover(job, h.handover))
            return problem;
        job.handover =
            h.handover == Handover{} ? nullptr : std::make_shared<const Handover>(h.handover);
        return {};
    }

    std::optional<Problem> act(const SetEyes& e) {
        if (e.eyes.statures.size() > mostStatures)
            return Problem{worded("at most {} people", mostStatures), "leave some out"};
        for (const Length l : e.eyes.statures)
            if (l < Length::inches(20) || l > Length::inches(100))
                return Problem{"nobody is that tall", "say a stature like 5' 6\""};
        job.judgement.eyes = e.eyes;
        followEyes(job);
        return {};
    }

    std::optional<Problem> act(const PutPicture& p) {
        if (p.picture.bytes.size() > mostPictureBytes)
            return Problem{"the picture is too large to be kept in the job", "take a smaller one"};
        auto all =
            job.pictures ? std::make_shared<Pictures>(*job.pictures) : std::make_shared<Pictures>();
        if (all->size() >= mostPictures && all->count(p.key) == 0)
            return Problem{worded("a job holds at most {} pictures", mostPictures), ""};
        (*all)[p.key] = p.picture;
        job.pictures = all;
        return {};
    }

    std::optional<Problem> act(const RemovePiece& r) {
        auto s = change();
        const Piece* there = std::as_const(*s).byId(r.id);
        if (there == nullptr)
            return Problem{"that piece is gone already", ""};
        const bool group = there->isGroup();
        const Wording say{*job.room, job.scheme(), job.notation};
        for (Piece& p : s->pieces) {
            if (p.id == r.id)
                continue;
            std::erase_if(p.ties, [&](const Tie& t) {
                if (!t.refersTo(r.id))
                    return false;
                if (!group && going.count(p.id) == 0)
                    notices.push_back(
                        worded("{} stays where it is; it was {}", p.name, words(t, say)));
                return true;
            });
        }
        setDown(*s, r.id, job, notices);
        std::erase_if(s->pieces, [&](const Piece& p) { return p.id == r.id; });
        forgetElsewhere(*s, r.id);
        return {};
    }

    std::optional<Problem> act(const SetAccess& a) {
        job.judgement.access = a.on;
        return {};
    }

    std::optional<Problem> act(const SetBrief& b) {
        for (const int n : {b.brief.day, b.brief.guests})
            if (n < 0 || n > 500)
                return Problem{"no room seats so many", "say a number up to 500"};
        if (b.brief == Brief{})
            job.judgement.briefs.erase(job.room->name);
        else
            job.judgement.briefs[job.room->name] = b.brief;
        return {};
    }

    std::optional<Problem> act(const SetZone& said) {
        auto s = change();
        SetZone z = said;
        z.zone.name = tidyName(z.zone.name);
        if (plainWord(z.zone.name).empty() || characterCount(z.zone.name) > mostNameLength)
            return Problem{"a zone needs a name", worded("use 1 to {} characters", mostNameLength)};
        const auto plain = plainWord(z.zone.name);
        const auto it = std::find_if(s->zones.begin(), s->zones.end(),
                                     [&](const Zone& one) { return plainWord(one.name) == plain; });
        if (z.zone.pieces.empty()) {
            if (it == s->zones.end())
                return Problem{worded("there is no zone “{}”", z.zone.name), ""};
            s->zones.erase(it);
            return {};
        }
        for (const int id : z.zone.pieces)
            if (s->byId(id) == nullptr)
                return Problem{"a piece of that zone is not there", "name pieces of this scheme"};
        if (it != s->zones.end())
            *it = z.zone;
        else if (s->zones.size() >= mostZones)
            return Problem{worded("a scheme has at most {} zones", mostZones), ""};
        else
            s->zones.push_back(z.zone);
        return {};
    }

    std::optional<Problem> act(const SetLightPlan& l) {
        if (l.plan.zones.size() > mostLightZones || l.plan.scenes.size() > mostLightScenes)
            return Problem{
                worded("a scheme has at most {} light zones, and as many scenes", mostLightZones),
                ""};
        auto s = change();
        for (const LightZone& z : l.plan.zones)
            for (const int id : z.lights)
                if (s->byId(id) == nullptr || !s->byId(id)->kind->light)
                    return Problem{"a light of that zone is not there", "name lights"};
        s->light = l.plan;
        return {};
    }

    std::optional<Problem> act(const PutPhotometry& p) {
        auto all = job.photometries ? std::make_shared<PhotometryFiles>(*job.photometries)
                                    : std::make_shared<PhotometryFiles>();
        if (all->size() >= mostPhotometries && all->count(p.key) == 0)
            return Problem{worded("a job holds at most {} photometric files", mostPhotometries),
                           ""};
        (*all)[p.key] = p.file;
        job.photometries = all;
        return {};
    }

    std::optional<Problem> act(const SetArrangement& a) {
        *change() = arranged(job.scheme(), a.arrangement);
        return {};
    }

    /// What stands on a piece goes with it, and comes back with it.
    std::optional<Problem> act(const PutAway& put) {
        if (const Piece* p = job.scheme().byId(put.id);
            p != nullptr && (p->onWall() || p->on.isCeiling()))
            return Problem{worded("{} hangs {} in both arrangements", p->name,
                                  p->onWall() ? "on the wall" : "from the ceiling"),
                           ""};
        auto s = change();
        for (const int id : withCarried(put.away ? s->pieces : s->away, put.id))
            if (auto problem = put.away ? putAway(*s, id) : bringBack(*s, id))
                return problem;
        return {};
    }

    static std::optional<Problem> putAway(Scheme& s, int id) {
        const auto it = std::find_if(s.pieces.begin(), s.pieces.end(),
                                     [&](const Piece& p) { return p.id == id; });
        if (it == s.pieces.end())
            return Problem{"that piece is not in the room now", ""};
        Piece p = *it;
        if (p.onlyHere)
            return Problem{worded("{} would be in neither arrangement", p.name),
                           "remove it instead"};
        s.pieces.erase(it);
        // In the other arrangement it is as it was there.
        if (p.otherwise) {
            p.stand(*p.otherwise);
            p.otherwise.reset();
        }
        for (Piece& q : s.pieces) {
            const Stance was = q.stance();
            std::erase_if(q.ties, [&](const Tie& t) { return t.refersTo(p.id); });
            if (q.ties.size() != was.ties.size() && !q.otherwise && !q.onlyHere)
                q.otherwise = was;
        }
        p.onlyHere = true;
        s.away.push_back(std::move(p));
        return {};
    }

    static std::optional<Problem> bringBack(Scheme& s, int id) {
        const auto it =
            std::find_if(s.away.begin(), s.away.end(), [&](const Piece& p) { return p.id == id; });
        if (it == s.away.end())
            return Problem{"that piece is not put away", ""};
        Piece p = *it;
        s.away.erase(it);
        std::erase_if(p.ties, [&](const Tie& t) {
            return std::any_of(s.away.begin(), s.away.end(),
                               [&](const Piece& gone) { return t.refersTo(gone.id); });
        });
        p.onlyHere = false;
        s.pieces.push_back(std::move(p));
        return {};
    }

    std::optional<Problem> act(const RestoreScheme& r) {
        if (r.index >= job.thrownAway.size())
            return Problem{"no such scheme was thrown away", ""};
        if (job.schemes.size() >= mostSchemes)
            return Problem{worded("a job holds at most {} schemes", mostSchemes),
                           "throw one away first"};
        auto s = std::make_shared<Scheme>(*job.thrownAway[r.index]);
        s->room = std::min(s->room, job.rooms.size() - 1);
        job.thrownAway.erase(job.thrownAway.begin() + static_cast<std::ptrdiff_t>(r.index));
        job.schemes.push_back(s);
        job.activate(job.schemes.size() - 1);
        freeOfWhatIsGone();
        return {};
    }

    std::optional<Problem> act(const SetSchemeNote& n) {
        if (characterCount(n.note) > mostReason)
            return Problem{"the note is too long", worded("use at most {} characters", mostReason)};
        change()->note = n.note;
        return {};
    }

    std::optional<Problem> act(const SetAccepted& a) {
        if (a.accepted.size() > mostAccepted)
            return Problem{worded("at most {} readings can be accepted", mostAccepted), ""};
        for (const Accepted& one : a.accepted)
            if (one.reason.empty() || characterCount(one.reason) > mostReason ||
                !isText(one.reason))
                return Problem{"the reason is missing, or too long",
                               worded("use 1 to {} characters", mostReason)};
        change()->accepted = a.accepted;
        return {};
    }

    std::optional<Problem> act(const SetNotes& n) {
        auto rooms = roomsFromNotes(n.notes, "tape notes");
        if (!rooms)
            return rooms.problem();
        if (auto problem = follow(*rooms))
            return problem;
        job.notes = n.notes;
        job.rooms = *rooms;
        job.activate(job.active);
        if (auto problem = rehang(job, notices))
            return problem;
        recut(job, notices);
        freeOfWhatIsGone();
        return {};
    }

    /// Gives every scheme its room among the new ones: by name, or by place when it was renamed.
    std::optional<Problem> follow(const std::vector<RoomPtr>& rooms) {
        const auto named = [](const std::vector<RoomPtr>& all, const std::string& name) {
            const auto it = std::find_if(all.begin(), all.end(), [&](const RoomPtr& r) {
                return foldCase(r->name) == foldCase(name);
            });
            return it == all.end() ? std::optional<std::size_t>()
                                   : static_cast<std::size_t>(it - all.begin());
        };
        std::vector<SchemePtr> kept;
        const SchemePtr activeOne = job.schemes[job.active];
        std::size_t active = 0;
        for (const auto& scheme : job.schemes) {
            const auto& was = job.rooms[scheme->room]->name;
            auto now = named(rooms, was);
            if (!now && scheme->room < rooms.size() && !named(job.rooms, rooms[scheme->room]->name))
                now = scheme->room;
            const std::size_t held = scheme->pieces.size();
            if (!now && held == 0)
                continue;
            if (!now)
                return Problem{worded("these notes leave out the room {}, and {} of its "
                                      "scheme {} would be lost",
                                      was, held == 1 ? "the piece" : worded("the {} pieces", held),
                                      scheme->name),
                               worded("keep the line “room {}”, or throw its schemes away "
                                      "first",
                                      was)};
            auto s = std::make_shared<Scheme>(*scheme);
            s->room = *now;
            if (scheme == activeOne)
                active = kept.size();
            kept.push_back(s);
        }
        for (std::size_t i = 0; i < rooms.size(); ++i) {
            if (std::any_of(kept.begin(), kept.end(),
                            [&](const SchemePtr& s) { return s->room == i; }))
                continue;
            auto s = std::make_shared<Scheme>();
            s->room = i;
            kept.push_back(s);
        }
        job.schemes = kept;
        job.active = active;
        return {};
    }

    void freeOfWhatIsGone() {
        // A wall or opening that is gone leaves what was tied to it where it stands.
        for (auto& scheme : job.schemes) {
            auto s = std::make_shared<Scheme>(*scheme);
            for (Piece& p : s->pieces) {
                std::erase_if(p.ties, [&](const Tie& t) {
                    auto alone = std::make_shared<Scheme>(*s);
                    for (Piece& q : alone->pieces) {
                        if (q.id != p.id)
                            q.ties.clear();
                    }
                    alone->byId(p.id)->ties = {t};
                    if (resolve(job.rooms[s->room], alone, job.notation))
                        return false;
                    notices.push_back(worded("{} stays where it was: {} is gone", p.name,
                                             words(t.of, {*job.rooms[s->room], *s, job.notation})));
                    return true;
                });
            }
            scheme = s;
        }
    }

    std::optional<Problem> act(const SetUnderlay& u) {
        if (u.underlay && u.underlay->picture.size() > mostUnderlayBytes)
            return Problem{"the picture is too large to be kept in the job",
                           "trace from a smaller one"};
        if (u.underlay && u.underlay->room >= job.rooms.size())
            return Problem{"there is no room over that drawing", "trace it again"};
        job.underlay = u.underlay;
        return {};
    }

    std::optional<Problem> act(const SetNotation& n) {
        const bool other = isMetric(n.notation.units) != isMetric(job.notation.units);
        job.notation = n.notation;
        if (other) {
            useLibrary(job, job.library);
            followEyes(job);
        }
        return {};
    }

    std::optional<Problem> act(const SetSchool& s) {
        if (!s.restore && job.library.book->schoolById(s.school) == nullptr)
            return Problem{worded("there is no school “{}”", s.school),
                           "use one of the rule book's"};
        if (s.rule.empty()) {
            job.judgement.school = s.school;
            followEyes(job);
            return {};
        }
        if (job.library.book->byId(s.rule) == nullptr)
            return Problem{worded("there is no rule “{}”", s.rule), "use one of the rule book's"};
        if (s.restore)
            job.judgement.choices.erase(s.rule);
        else
            job.judgement.choices[s.rule] = {s.school, {}};
        followEyes(job);
        return {};
    }

    std::optional<Problem> act(const SetBand& b) {
        if (job.library.book->byId(b.rule) == nullptr)
            return Problem{worded("there is no rule “{}”", b.rule), "use one of the rule book's"};
        if (b.band.low && b.band.high && *b.band.low > *b.band.high)
            return Problem{"the band ends before it begins", "put the lower bound first"};
        for (const auto& bound : {b.band.low, b.band.high})
            if (bound && !(std::abs(*bound) < 1e6))
                return Problem{"no band reaches so far", "say it like: 14 to 18"};
        job.judgement.choices[b.rule].band = b.band;
        followEyes(job);
        return {};
    }

    std::optional<Problem> act(const AddScheme& a) {
        if (job.schemes.size() >= mostSchemes)
            return Problem{worded("a job holds at most {} schemes", mostSchemes),
                           "throw one away first"};
        auto s = a.copy ? std::make_shared<Scheme>(job.scheme()) : std::make_shared<Scheme>();
        s->room = job.scheme().room;
        const auto wanted = tidyName(a.name);
        if (characterCount(wanted) > mostNameLength)
            return Problem{"the scheme's name is too long",
                           worded("use at most {} characters", mostNameLength)};
        s->name = wanted.empty() ? worded("Scheme {}", job.schemesHere().size() + 1) : wanted;
        job.schemes.push_back(s);
        job.active = job.schemes.size() - 1;
        return {};
    }

    std::optional<Problem> act(const SwitchScheme& s) {
        if (s.index >= job.schemes.size())
            return Problem{worded("there is no scheme {}", s.index + 1),
                           worded("there are {}", job.schemes.size())};
        job.activate(s.index);
        return {};
    }

    std::optional<Problem> act(const RenameScheme& r) {
        const auto name = tidyName(r.name);
        if (name.empty() || characterCount(name) > mostNameLength)
            return Problem{"a scheme needs a name",
                           worded("use at most {} characters", mostNameLength)};
        change()->name = name;
        return {};
    }

    std::optional<Problem> act(const RemoveScheme&) {
        const auto here = job.schemesHere();
        if (here.size() == 1)
            return Problem{"this is the only scheme", "a room keeps one"};
        const auto at = std::find(here.begin(), here.end(), job.active);
        const std::size_t next = at + 1 == here.end() ? *(at - 1) : *(at + 1) - 1;
        if (!job.scheme().pieces.empty() || !job.scheme().away.empty())
            job.thrownAway.push_back(job.schemes[job.active]);
        if (job.thrownAway.size() > mostThrownAway)
            job.thrownAway.erase(job.thrownAway.begin());
        job.schemes.erase(job.schemes.begin() + static_cast<std::ptrdiff_t>(job.active));
        job.activate(next);
        return {};
    }

    std::optional<Problem> act(const SetTitle& t) {
        if (characterCount(t.title) > mostNameLength || characterCount(t.client) > mostNameLength)
            return Problem{"that is too long", worded("use at most {} characters", mostNameLength)};
        job.title = tidyName(t.title);
        job.client = tidyName(t.client);
        return {};
    }
};

} // namespace

Result<ScenePtr> sceneOf(const Project& p) {
    return resolve(p.room, p.schemes[p.active], p.notation);
}

Result<Applied> apply(const Project& before, const Edit& edit) {
    Applier a{before, edit.notices};
    bool roomChanged = false;
    bool deeper = false; // or less deep: a piece that is there
    for (const Act& one : edit.acts)
        if (const auto* gone = std::get_if<RemovePiece>(&one)) {
            a.going.insert(gone->id);
        } else if (const auto* put = std::get_if<PutPiece>(&one)) {
            const Piece* was = before.scheme().byId(put->piece.id);
            deeper = deeper || (was != nullptr && was->size.depth != put->piece.size.depth);
        }
    for (const Act& one : edit.acts) {
        if (auto problem = std::visit([&](const auto& x) { return a.act(x); }, one))
            return *problem;
        roomChanged = roomChanged || std::holds_alternative<SetNotes>(one);
    }
    regroup(a.job);
    dropPicturesReplaced(before, a.job);
    Project& job = a.job;
    for (std::size_t i = 0; i < job.schemes.size(); ++i) {
        const bool touched =
            roomChanged || i >= before.schemes.size() || job.schemes[i] != before.schemes[i];
        if (!touched && i != job.active)
            continue;
        if (touched && deeper)
            keepBacksInLine(before, i, job);
        auto scene = resolve(job.roomOf(i), job.schemes[i], job.notation);
        if (!scene)
            return scene.problem();
        if (!roomChanged && i < before.schemes.size() &&
            followFurniture(before, i, job, **scene, a.notices)) {
            scene = resolve(job.roomOf(i), job.schemes[i], job.notation);
            if (!scene)
                return scene.problem();
        }
        // Walls that come out parallel after measuring again are no reason to refuse the measuring.
        if (!roomChanged)
            if (auto problem = freshlyOverTied(before, i, **scene))
                return *problem;
        if (auto problem = wouldNotOpen(*job.schemes[i], **scene))
            return *problem;
        job.schemes[i] = settled(job.schemes[i], **scene);
    }
    auto scene = resolve(job.room, job.schemes[job.active], job.notation);
    if (!scene)
        return scene.problem();
    return Applied{std::make_shared<const Project>(std::move(job)), *scene, a.notices};
}

} // namespace mezzet
