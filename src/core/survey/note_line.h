#pragma once

#include "measure/example.h"
#include "measure/text.h"
#include "survey/note_words.h"
#include "survey/tape_notes.h"

#include <fmt/format.h>

#include <charconv>
#include <cmath>

namespace mezzet {

/// A fault in the notes; lives only between the readers of this folder and readTapeNotes.
struct NoteFault {
    Problem problem;
};

/// One line of notes being read from left to right.
class NoteLine {
public:
    NoteLine(std::string_view text, int number, Units bare, std::string_view file)
        : text_(text), number_(number), bare_(bare), file_(file) {}

    void skip() {
        while (at_ < text_.size() && (text_[at_] == ' ' || text_[at_] == '\t'))
            ++at_;
    }
    [[nodiscard]] bool done() {
        skip();
        return at_ >= text_.size();
    }
    bool comma() {
        skip();
        if (at_ < text_.size() && (text_[at_] == ',' || text_[at_] == ';')) {
            ++at_;
            return true;
        }
        return false;
    }
    /// The word ahead, lower case and written out, without taking it.
    std::string ahead() { return writtenOut(written()); }
    std::string word() {
        const auto w = written();
        mark_ = at_;
        at_ += w.size();
        return writtenOut(w);
    }
    /// A word that is a name, as it stands.
    std::string name() {
        const auto w = written();
        mark_ = at_;
        at_ += w.size();
        return w;
    }
    /// "36x48": takes the sign between two sizes.
    bool times() {
        skip();
        for (const std::string_view sign : {"x", "X", "×"})
            if (text_.substr(at_).starts_with(sign)) {
                const std::size_t here = at_;
                at_ += sign.size();
                if (lengthAhead())
                    return true;
                at_ = here;
                return false;
            }
        return false;
    }
    bool take(std::initializer_list<std::string_view> words) {
        const auto w = ahead();
        for (auto x : words) {
            if (w == x) {
                word();
                return true;
            }
        }
        return false;
    }
    /// Words that stand next to each other, in any case and with a blank or a hyphen between them:
    /// takes them, or nothing.
    bool takePhrase(std::string_view words) {
        skip();
        const auto rest = text_.substr(at_);
        auto said = foldCase(rest.substr(0, words.size()));
        std::replace(said.begin(), said.end(), '-', ' ');
        if (said != words)
            return false;
        constexpr std::string_view ends = " \t,;:";
        if (rest.size() > words.size() && ends.find(rest[words.size()]) == std::string_view::npos)
            return false;
        mark_ = at_;
        at_ += words.size();
        if (at_ < text_.size() && text_[at_] == ':')
            ++at_;
        return true;
    }
    void expect(std::initializer_list<std::string_view> words, std::string_view wanted) {
        if (!take(words))
            failAhead(fmt::format("{} was expected here", wanted), "");
    }
    Length length(std::string_view what, bool mayBeZero = true) {
        skip();
        mark_ = at_;
        auto scanned = scanLength(text_.substr(at_), bare_);
        if (!scanned) {
            const auto& p = scanned.problem();
            const bool missing = p.what == "no length here";
            fail(at_ + bytesBefore(p.column - 1),
                 missing ? fmt::format("{} needs a length here", what) : p.what, p.remedy,
                 missing ? ahead().size() : 1);
        }
        if (scanned->value < Length{} || (!mayBeZero && scanned->value <= Length{}))
            fail(mark_, fmt::format("{} must be more than nothing", what), "check the figure",
                 scanned->used);
        if (scanned->value > Length::metres(200))
            fail(mark_, fmt::format("{} is over 200 m", what), "check the figure and its unit",
                 scanned->used);
        Length value = scanned->value;
        if (mostFeet_ && !scanned->unitGiven) {
            // The notes say that a bare number is feet; what makes no sense so is asked about.
            const double feet = value.inInches();
            value = Length::feet(feet);
            if (feet > *mostFeet_ || (feet < leastFeet_ && feet > 0)) {
                const auto said = trimmed(text_.substr(at_, scanned->used));
                fail(mark_,
                     fmt::format("{} is {} feet, as these notes have it: is that so?", what, said),
                     fmt::format("write {}' or {}\"", said, said), scanned->used);
            }
        }
        if (!scanned->unitGiven && ((least_ && value < *least_) || (most_ && value > *most_))) {
            const auto said = trimmed(text_.substr(at_, scanned->used));
            fail(mark_,
                 fmt::format("{} is {} {} without a unit: is that so?", what, said,
                             isMetric(bare_) ? "cm" : "in"),
                 isMetric(bare_) ? fmt::format("write {}m or {}cm", said, said)
                                 : fmt::format("write {}cm or {}in", said, said),
                 scanned->used);
        }
        at_ += scanned->used;
        return value;
    }
    /// From here on a bare number under, or over, a length is asked about.
    void bareNotUnder(Length least) { least_ = least; }
    void bareNotOver(Length most) { most_ = most; }
    /// From here on a bare number is feet; one over `most`, or under `least` and not nothing, is
    /// asked about.
    void bareFeet(double least, double most) {
        leastFeet_ = least;
        mostFeet_ = most;
    }
    /// A length with the words it was written in.
    Taped taped(std::string_view what, Tool tool, bool mayBeZero = true) {
        skip();
        const std::size_t from = at_;
        Taped t;
        t.value = length(what, mayBeZero);
        t.written = std::string(trimmed(text_.substr(from, at_ - from)));
        t.tool = tool;
        return t;
    }
    /// Whether a length stands here; takes nothing.
    [[nodiscard]] bool lengthAhead() {
        skip();
        return scanLength(text_.substr(at_), bare_).ok();
    }
    double number(std::string_view what) {
        auto w = word();
        if (w.ends_with("°"))
            w.resize(w.size() - std::string_view("°").size());
        double v = 0;
        const auto [end, error] = std::from_chars(w.data(), w.data() + w.size(), v);
        if (w.empty() || error != std::errc() || end != w.data() + w.size() || !std::isfinite(v))
            failHere(fmt::format("{} needs a number here", what),
                     "a plain number, as 135 or 134.5");
        return v;
    }
    std::string restOfLine() {
        skip();
        auto r = std::string(trimmed(text_.substr(at_)));
        at_ = text_.size();
        return r;
    }

    /// What is usual where nothing is taped: as it is said in the notes' own units.
    [[nodiscard]] Length usual(Length inches, Length centimetres) const {
        return isMetric(bare_) ? centimetres : inches;
    }

    [[nodiscard]] NotePlace place() {
        skip();
        return {number_, column(at_), static_cast<int>(characterCount(trimmed(text_.substr(at_))))};
    }
    /// Points at the word last taken.
    [[noreturn]] void failHere(std::string what, std::string remedy) {
        fail(mark_, std::move(what), std::move(remedy), std::max<std::size_t>(at_ - mark_, 1));
    }
    /// Points at the word ahead.
    [[noreturn]] void failAhead(std::string what, std::string remedy) {
        const auto w = ahead();
        fail(at_, std::move(what), std::move(remedy), std::max<std::size_t>(w.size(), 1));
    }

private:
    /// The word ahead as it stands, lower case.
    std::string written() {
        skip();
        std::size_t e = at_;
        while (e < text_.size() && text_[e] != ' ' && text_[e] != '\t' && text_[e] != ',' &&
               text_[e] != ';')
            ++e;
        return foldCase(text_.substr(at_, e - at_));
    }
    [[nodiscard]] int column(std::size_t byte) const {
        return static_cast<int>(characterCount(text_.substr(0, byte))) + 1;
    }
    [[nodiscard]] std::size_t bytesBefore(int characters) const {
        std::size_t i = at_;
        while (characters > 0 && i < text_.size()) {
            ++i;
            while (i < text_.size() && (text_[i] & 0xC0) == 0x80)
                ++i;
            --characters;
        }
        return i - at_;
    }
    [[noreturn]] void fail(std::size_t at, std::string what, std::string remedy,
                           std::size_t bytes) {
        Problem p{std::move(what), remedyIn(remedy, bare_)};
        p.file = file_;
        p.line = number_;
        p.column = column(at);
        p.width = static_cast<int>(characterCount(text_.substr(std::min(at, text_.size()), bytes)));
        throw NoteFault{p};
    }

    std::string_view text_;
    int number_;
    Units bare_;
    double leastFeet_ = 0;
    std::optional<double> mostFeet_;
    std::optional<Length> least_;
    std::optional<Length> most_;
    std::string_view file_;
    std::size_t at_ = 0;
    std::size_t mark_ = 0;
};

} // namespace mezzet
