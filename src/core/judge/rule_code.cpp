#include "judge/rule_code.h"

#include "judge/at_table.h"
#include "judge/rug_facts.h"
#include "measure/texts.h"

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

const std::vector<std::vector<Vec2>>& Shared::lines() {
    if (!lines_)
        lines_ = mainLines(FloorView(scene_), ways(false), setting("rug-trip", "half a way"));
    return *lines_;
}

const std::vector<DressedUnit>& Shared::units() {
    if (!units_)
        units_ = dressedUnits(scene_);
    return *units_;
}

Length Shared::setting(std::string_view rule, std::string_view name) const {
    const Rule* r = book_.byId(rule);
    return r != nullptr ? r->setting(name) : Length{};
}

namespace {

std::array<std::span<const RuleCode>, 16> subjects() {
    return {seatingRules(), diningRules(),  doorRules(),  rugRules(),
            rugEdgeRules(), wayRules(),     clashRules(), talkRules(),
            useRules(),     lookRules(),    roomRules(),  hangingRules(),
            wallRules(),    displayRules(), lightRules(), dressRules()};
}

} // namespace

bool isOf(std::span<const RuleCode> subject, const Rule& rule) {
    return std::any_of(subject.begin(), subject.end(),
                       [&](const RuleCode& c) { return c.id == rule.id; });
}

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
            return Problem{worded("the rule book has a rule “{}” that nothing measures", r.id),
                           "use the book that came with this program"};
    for (const auto subject : subjects())
        for (const RuleCode& c : subject)
            if (book.byId(c.id) == nullptr)
                return Problem{worded("the rule book lacks the rule “{}”", c.id),
                               "use the book that came with this program"};
    for (const auto id : habitIds)
        if (book.habit(id) <= Length{})
            return Problem{worded("the rule book lacks the habit “{}”", id),
                           "use the book that came with this program"};
    return {};
}

} // namespace mezzet
