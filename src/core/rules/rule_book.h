#pragma once

#include "measure/notation.h"
#include "measure/result.h"

#include <filesystem>
#include <map>
#include <memory>
#include <optional>
#include <set>
#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// What kind of number a rule measures.
enum class Quantity { length, ratio, count };

/// A number of one quantity: mm for a length, a plain number else.
struct Amount {
    Quantity quantity = Quantity::length;
    double value = 0;

    static Amount of(Length l) { return {Quantity::length, l.mm()}; }
    static Amount ratio(double r) { return {Quantity::ratio, r}; }
    [[nodiscard]] Length length() const { return Length::millimetres(value); }
    bool operator==(const Amount&) const = default;
};

/// Where a value should lie, in the quantity's own unit (mm for lengths).
struct Band {
    std::optional<double> low;
    std::optional<double> high;
    std::optional<double> bestLow; ///< the better part of it, where the trade names one
    std::optional<double> bestHigh;

    bool operator==(const Band&) const = default;
};

/// A way of working practitioners agree on among themselves.
struct School {
    std::string id;    ///< "low-and-close"
    std::string title; ///< "Low and close"
    std::string says;  ///< one sentence
};

/// One rule of the book: everything about it but how it is measured.
struct Rule {
    std::string id;
    std::string title;    ///< over the tape; {other} is replaced by the other thing's name
    std::string measures; ///< what between which points, for docs and help
    Quantity quantity = Quantity::length;
    std::map<std::string, Band, std::less<>> bands; ///< by school; "" for all others
    std::string right; ///< said when it sits in its band; {value}, {low} and {high} are replaced
    std::string tight;
    std::string loose;
    std::string note; ///< said when it is only for information; `right` when there is none
    /// Said instead of those in cases the rule's code tells apart, by their words.
    std::map<std::string, std::string, std::less<>> instead{};
    std::string source;     ///< where the band comes from
    double weight = 3;      ///< among what is to mend, 9 first: what hurts or can't be used
    bool seenInPlan = true; ///< false for what is no stretch of floor: a height, a proportion
    std::map<std::string, double, std::less<>>
        settings; ///< other figures the rule works with; lengths in mm
    std::set<std::string, std::less<>> plain{}; ///< those of them that are no lengths

    /// The trade's own metric figures, in mm, where it has some: they stand in place of those above
    /// in a metric job (metricBook).
    std::map<std::string, Band, std::less<>> metricBands{};
    std::map<std::string, double, std::less<>> metricSettings{};

    [[nodiscard]] Length setting(std::string_view name) const;
    [[nodiscard]] double number(std::string_view name) const;
    /// A sentence of the book with each {name} of a setting or number put in, as the notation
    /// writes it; other {words} stay for who knows them.
    [[nodiscard]] std::string filled(std::string sentence, Notation) const;
    /// What it measures, in the notation's units.
    [[nodiscard]] std::string measuresIn(Notation n) const { return filled(measures, n); }
};

/// A length the trade goes by where nothing is said, with its reason.
struct Habit {
    std::string id;
    std::string says;
    Length length;
    Length low; ///< what a book may put in its place
    Length high;
    std::string source;
    Length metric{}; ///< the trade's own metric figure; nothing for none
};
/// The habits the program asks for; a book has each of them, and no other.
inline constexpr std::string_view habitIds[] = {"front-legs-on-rug",
                                                "beside-on-wall",
                                                "chair-drawn",
                                                "table-beside-seat",
                                                "front-legs-least",
                                                "group-gap",
                                                "shelves-apart",
                                                "legs-come-off",
                                                "seats-apart",
                                                "rug-past-table",
                                                "pendant-over-table",
                                                "rug-border",
                                                "rug-pad",
                                                "rug-leg",
                                                "cut-allowance",
                                                "above-at-most",
                                                "mantel-depth",
                                                "mantel-height",
                                                "stair-nosing",
                                                "step",
                                                "step-slight",
                                                "curtain-past-least",
                                                "curtain-past",
                                                "curtain-over",
                                                "curtain-over-least",
                                                "curtain-under-ceiling",
                                                "near",
                                                "eaten-at",
                                                "eaten-at-long",
                                                "bar-height",
                                                "runner-short",
                                                "over-fire"};

/// What a shelf is made of.
struct ShelfMaterial {
    std::string name;
    double modulus = 0; ///< of bending, GPa
    double density = 0; ///< kg/m³
    Length thickness;   ///< as it usually comes
};

/// The trade's rules and schools, as a data file tells them.
struct RuleBook {
    std::vector<School> schools;
    std::vector<Rule> rules;
    std::vector<Habit> habits{};
    std::vector<ShelfMaterial> shelving{}; ///< from data/walls/, not from the book

    [[nodiscard]] const Rule* byId(std::string_view id) const;
    /// One of habitIds.
    [[nodiscard]] Length habit(std::string_view id) const;
    [[nodiscard]] const School* schoolById(std::string_view id) const;
    /// Forgiving: any order of the words, any case, "close and low" for "low-and-close".
    [[nodiscard]] const School* schoolByWords(std::string_view) const;
};

using RuleBookPtr = std::shared_ptr<const RuleBook>;

/// A book in the trade's own metric figures: those it names, and the others rounded to a whole
/// centimetre (to a millimetre under 2.5 cm).
[[nodiscard]] RuleBookPtr metricBook(const RuleBook&);

/// Reads a rule book; docs/rules.md tells its form. The Problem names file, entry and reason.
[[nodiscard]] Result<RuleBookPtr> readRuleBook(std::string_view json, std::string_view file);
/// A studio's own book: of the same form, with only what is put in place of the shipped one's
/// entries, and of a rule only the fields that differ. Schools may be added. Problem: a rule or a
/// habit that the shipped book has not.
[[nodiscard]] Result<RuleBookPtr> readStudioBook(std::string_view json, std::string_view file,
                                                 const RuleBook& shipped);
[[nodiscard]] Result<RuleBookPtr> loadRuleBook(const std::filesystem::path& file);

/// What one job says otherwise than its school.
struct RuleChoice {
    std::string school;       ///< another school for this rule; empty for the job's
    std::optional<Band> band; ///< the studio's own band; wins over any school

    bool operator==(const RuleChoice&) const = default;
};

/// How many a room is to seat.
struct Brief {
    int day = 0;    ///< 0 when nothing was asked for
    int guests = 0; ///< with perches and pulled-in chairs

    bool operator==(const Brief&) const = default;
};

/// Who looks at what hangs.
enum class Household { unsaid, shortOnes, mixed, tall, open };
[[nodiscard]] std::string_view householdName(Household);

/// The eyes a wall is hung for.
struct Eyes {
    Household household = Household::unsaid;
    std::vector<Length> statures{}; ///< of the people; they win over the word

    bool operator==(const Eyes&) const = default;
};

/// A job's school and its choices rule by rule, and what the job asks for.
struct Judgement {
    std::string school;
    std::map<std::string, RuleChoice, std::less<>> choices;
    bool access = false;                                ///< judged for a wheelchair too
    std::map<std::string, Brief, std::less<>> briefs{}; ///< by room
    Eyes eyes{};

    [[nodiscard]] Band bandOf(const Rule&) const;
    /// The school a rule is judged by: its id, or "own band".
    [[nodiscard]] std::string schoolOf(const Rule&) const;
    bool operator==(const Judgement&) const = default;
};

/// The band of the rule `art-centre` for a job: its school's, or, where that school hangs for the
/// eye, about the eye height of who looks (0.936 of stature, Drillis and Contini), within the
/// rule's "spare". A band of the job's own wins.
[[nodiscard]] Band artCentreBand(const Rule&, const Judgement&);
/// How much higher a light hangs over a table under a ceiling over the usual: so much more for
/// every so much, by the rule's “usual ceiling”, “more ceiling” and “more drop”.
[[nodiscard]] Length raisedUnder(const Rule&, Length ceiling);
/// The height to hang a centre at: the middle of that band.
[[nodiscard]] Length eyeLevel(const RuleBook&, const Judgement&);

/// "8\"", "57 %" or "6".
[[nodiscard]] std::string words(const Amount&, Notation);

} // namespace mezzet
