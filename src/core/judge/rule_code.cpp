#include "judge/rule_code.h"

#include "judge/at_table.h"

#include <fmt/format.h>

#include <array>
#include <cmath>

namespace mezzet {

Reading& JudgeContext::add(int piece, Target other, Amount value, const Band& own, Vec2 a,
                           Vec2 b) const {
    Reading r;
    r.rule = &rule;
    r.piece = piece;
    r.other = other;
    r.value = value;
    r.band = own;
    r.at = {a, b};
    const double spare = value.quantity == Quantity::length ? 0.005 : 1e-6;
    if (own.low && value.value < *own.low - spare)
        r.verdict = Verdict::tight;
    else if (own.high && value.value > *own.high + spare)
        r.verdict = Verdict::loose;
    out.push_back(r);
    return out.back();
}

Reading& JudgeContext::note(int piece, Target other, Amount value, Vec2 a, Vec2 b) const {
    Reading& r = add(piece, other, value, Band{}, a, b);
    r.verdict = Verdict::note;
    return r;
}

const FloorWays& Shared::ways(bool chairsOut) {
    auto& ways = ways_[chairsOut ? 1 : 0];
    if (!ways)
        ways = floorWays(scene_, {setting("walkway-main", "look"), chairsOut,
                                  setting("chair-pull-out", "draw"),
                                  setting("chair-pull-out", "at table")});
    return *ways;
}

bool Shared::hasChairs() {
    if (!chairs_) {
        chairs_ = false;
        const Length at = setting("chair-pull-out", "at table");
        const FloorView floor(scene_);
        for (std::size_t i = 0; i < floor.placed.size() && !*chairs_; ++i)
            chairs_ =
                floor.piece(i).kind->role == Role::diningChair && tableOf(floor, i, at).has_value();
    }
    return *chairs_;
}

const WallFace& Shared::face(int wall) {
    faces_.resize(scene_.room->walls.size());
    auto& face = faces_[static_cast<std::size_t>(wall)];
    if (!face)
        face = faceOf(scene_, wall, setting("art-above", "near"));
    return *face;
}

const std::vector<HangOf>& Shared::hangs() {
    if (!hangs_)
        hangs_ = hangAll(scene_, hookRules(book_));
    return *hangs_;
}

const Reflections& Shared::reflections() {
    if (!reflections_)
        reflections_.emplace(scene_);
    return *reflections_;
}

Length Shared::setting(std::string_view rule, std::string_view name) const {
    const Rule* r = book_.byId(rule);
    return r != nullptr ? r->setting(name) : Length{};
}

namespace {

std::array<std::span<const RuleCode>, 11> subjects() {
    return {seatingRules(), diningRules(), doorRules(), wayRules(),     clashRules(), talkRules(),
            useRules(),     lookRules(),   roomRules(), hangingRules(), wallRules()};
}

} // namespace

const RuleCode* codeOf(std::string_view id) {
    for (const auto subject : subjects())
        for (const RuleCode& c : subject)
            if (c.id == id)
                return &c;
    return nullptr;
}

std::optional<Problem> unpaired(const RuleBook& book) {
    for (const Rule& r : book.rules)
        if (codeOf(r.id) == nullptr)
            return Problem{fmt::format("the rule book has a rule “{}” that nothing measures", r.id),
                           "use the book that came with this program"};
    for (const auto subject : subjects())
        for (const RuleCode& c : subject)
            if (book.byId(c.id) == nullptr)
                return Problem{fmt::format("the rule book lacks the rule “{}”", c.id),
                               "use the book that came with this program"};
    return {};
}

std::vector<Handle> noHandles(const Reading&, double, const Project&, const Scene&) {
    return {};
}

namespace {

std::string gapWords(double mm, const Project& job) {
    return writeGap(Length::millimetres(mm), job.notation);
}

/// A name as the line can read it back.
std::string nameOf(const Project& job, int id) {
    return job.scheme().byId(id)->name;
}

} // namespace

Handle moveAway(const Project& job, int id, const Target& other, double by) {
    return {[&job, id, other](double x) {
                // Nobody moves a thing away from nothing, from the room, or from itself.
                if (other.is == Target::Is::none || other.is == Target::Is::room ||
                    other == pieceTarget(id))
                    return std::string();
                return fmt::format("move {} {} {} {}", nameOf(job, id), gapWords(std::abs(x), job),
                                   x < 0 ? "toward" : "away from", words(other, job.wording()));
            },
            by, 1};
}

std::vector<Handle> retape(const Project& job, int id, int other, double by) {
    std::vector<Handle> out;
    for (const auto& [a, b] : {std::pair{id, other}, std::pair{other, id}}) {
        const Piece& p = *job.scheme().byId(a);
        for (const Tie& t : p.ties) {
            if (t.kind != Tie::Kind::fromPiece || t.of != pieceTarget(b))
                continue;
            out.push_back({[&job, t, a = a](double x) {
                               Tie next = t;
                               next.distance = Length::millimetres(x);
                               if (x < 0)
                                   return std::string();
                               return fmt::format("{} {}", nameOf(job, a),
                                                  words(next, job.wording()));
                           },
                           t.distance.mm() + by, 1});
        }
    }
    return out;
}

Handle saying(std::string line) {
    return {[line = std::move(line)](double) { return line; }, 0, 0};
}

Handle resize(const Project& job, int id, SizeFigure figure, double start, double slope) {
    return {[&job, id, figure](double x) {
                const Piece& p = *job.scheme().byId(id);
                Size s = p.size;
                const Length l = Length::millimetres(x);
                if (l <= Length::millimetres(5))
                    return std::string();
                const Size face = p.outlineSize();
                const bool round = p.footprint.form == FootprintForm::oval &&
                                   abs(face.width - face.depth) <= quiet;
                switch (figure) {
                case SizeFigure::width:
                    s.width = l;
                    if (round)
                        (p.onWall() ? s.height : s.depth) = l;
                    break;
                case SizeFigure::depth:
                    s.depth = l;
                    break;
                case SizeFigure::height:
                    s.height = l;
                    break;
                }
                Piece sized = p;
                sized.size = s;
                return fmt::format("size {} {}", p.name, sizeWords(sized, job.notation));
            },
            start, slope};
}

} // namespace mezzet
