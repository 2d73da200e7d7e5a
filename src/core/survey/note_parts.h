#pragma once

#include "survey/note_line.h"

#include <functional>

namespace mezzet {

/// What may follow a word of the notes, said once: "2' from left, 32 wide, 80 high, hinge right".
/// The parts come in any order, with commas between them.
class NoteParts {
public:
    using Words = std::vector<std::string_view>;

    NoteParts(NoteLine& line, std::string thing, Tool tool)
        : line_(line), thing_(std::move(thing)), tool_(tool) {}

    /// "L from left", "L from right corner".
    NoteParts& place(TapedPlace& at) {
        place_ = &at;
        return *this;
    }
    /// "L from wall A", as often as said.
    NoteParts& fromWalls(std::vector<FromWall>& out) {
        walls_ = &out;
        return *this;
    }
    /// "L wide".
    NoteParts& after(Words words, Taped& out) {
        return add(false, std::move(words), [&out](const Taped& t) { out = t; });
    }
    NoteParts& after(Words words, Length& out) {
        return add(false, std::move(words), [&out](const Taped& t) { out = t.value; });
    }
    NoteParts& after(Words words, std::function<void(const Taped&)> take) {
        return add(false, std::move(words), std::move(take));
    }
    /// "sill L" and, as people also say it, "L sill".
    NoteParts& before(const Words& words, std::function<void(const Taped&)> take) {
        add(true, words, take);
        return add(false, words, std::move(take));
    }
    NoteParts& before(const Words& words, Length& out) {
        return before(words, [&out](const Taped& t) { out = t.value; });
    }
    NoteParts& before(const Words& words, std::optional<Length>& out) {
        return before(words, [&out](const Taped& t) { out = t.value; });
    }
    /// A word that stands alone.
    NoteParts& word(Words words, std::function<void()> take) {
        flags_.push_back({std::move(words), std::move(take)});
        return *this;
    }
    /// A word and one of some others: "hinge left".
    struct Answer {
        Words words;
        std::function<void()> take;
    };
    NoteParts& choice(Words words, std::string question, std::string remedy,
                      std::vector<Answer> answers) {
        choices_.push_back(
            {std::move(words), std::move(question), std::move(remedy), std::move(answers)});
        return *this;
    }
    /// "to Hall": the rest of the line.
    NoteParts& rest(Words words, std::string& out) {
        rests_.push_back({std::move(words), &out});
        return *this;
    }

    void read() {
        line_.comma();
        while (!line_.done()) {
            one();
            if (!line_.done() && !line_.comma() && !partAhead())
                line_.failAhead(fmt::format("“{}” doesn't follow here", line_.ahead()),
                                "put a comma between the parts");
        }
    }

private:
    struct Measure {
        bool before;
        Words words;
        std::function<void(const Taped&)> take;
    };
    struct Flag {
        Words words;
        std::function<void()> take;
    };
    struct Choice {
        Words words;
        std::string question;
        std::string remedy;
        std::vector<Answer> answers;
    };
    struct Rest {
        Words words;
        std::string* out;
    };

    NoteParts& add(bool before, Words words, std::function<void(const Taped&)> take) {
        measures_.push_back({before, std::move(words), std::move(take)});
        return *this;
    }
    bool takes(const Words& words) {
        for (const auto w : words)
            if (line_.take({w}))
                return true;
        return false;
    }

    /// Whether a part begins here, so that no comma is missed.
    bool partAhead() {
        if (line_.lengthAhead())
            return true;
        const auto w = line_.ahead();
        if (place_ != nullptr && (w == "centred" || w == "centered" || w == "in"))
            return true;
        const auto in = [&](const Words& words) {
            return std::find(words.begin(), words.end(), w) != words.end();
        };
        return std::any_of(rests_.begin(), rests_.end(),
                           [&](const Rest& r) { return in(r.words); }) ||
               std::any_of(flags_.begin(), flags_.end(),
                           [&](const Flag& f) { return in(f.words); }) ||
               std::any_of(choices_.begin(), choices_.end(),
                           [&](const Choice& c) { return in(c.words); }) ||
               std::any_of(measures_.begin(), measures_.end(),
                           [&](const Measure& m) { return in(m.words); });
    }
    /// The measure of a word like "wide"; null for none.
    const Measure* measureOf(std::string_view word) const {
        for (const auto& m : measures_)
            if (!m.before && std::find(m.words.begin(), m.words.end(), word) != m.words.end())
                return &m;
        return nullptr;
    }
    /// "centred", "in the middle of the wall"
    bool inTheMiddle() {
        if (place_ == nullptr)
            return false;
        for (const std::string_view words :
             {"in the middle of the wall", "in the middle of wall", "in the middle",
              "in the centre", "in the center", "centred on the wall", "centered on the wall",
              "centred", "centered", "centrally", "middle", "centre", "center"})
            if (line_.takePhrase(words)) {
                place_->centred = true;
                return true;
            }
        return false;
    }
    /// "32" behind the place: how wide it is, where nothing else told that.
    bool bareWidth(const Taped& t) {
        const Measure* wide = measureOf("wide");
        if (wide == nullptr || wideTold_ || place_ == nullptr || !place_->given() ||
            !(line_.done() || line_.ahead().empty()))
            return false;
        wide->take(t);
        wideTold_ = true;
        return true;
    }
    /// Takes a measure; "72w x 48h" goes on with the second.
    void take(const Measure& m, const Taped& t) {
        m.take(t);
        if (std::find(m.words.begin(), m.words.end(), "wide") == m.words.end())
            return;
        wideTold_ = true;
        const Measure* second =
            measureOf("deep") != nullptr ? measureOf("deep") : measureOf("high");
        if (second == nullptr || !line_.times())
            return;
        const Taped by = line_.taped("the " + thing_, tool_);
        for (const auto& other : measures_)
            if (!other.before && takes(other.words))
                return other.take(by);
        second->take(by);
    }
    /// "36x48": wide by high of what is in a wall, wide by deep of what stands out from it.
    bool bySize(const Taped& first) {
        const Measure* wide = measureOf("wide");
        const Measure* deep = measureOf("deep");
        const Measure* high = measureOf("high");
        const Measure* second = deep != nullptr ? deep : high;
        if (wide == nullptr || second == nullptr || !line_.times())
            return false;
        wide->take(first);
        wideTold_ = true;
        second->take(line_.taped("the " + thing_, tool_));
        if (deep != nullptr && high != nullptr && line_.times())
            high->take(line_.taped("the " + thing_, tool_));
        return true;
    }

    void one() {
        for (const auto& r : rests_) {
            if (!takes(r.words))
                continue;
            *r.out = line_.restOfLine();
            return;
        }
        if (inTheMiddle())
            return;
        for (const auto& f : flags_)
            if (takes(f.words))
                return f.take();
        for (const auto& c : choices_) {
            if (!takes(c.words))
                continue;
            line_.take({"on"});
            line_.take({"the"});
            for (const auto& a : c.answers)
                if (takes(a.words))
                    return a.take();
            line_.failAhead(c.question, c.remedy);
        }
        for (const auto& m : measures_) {
            if (!m.before || !takes(m.words))
                continue;
            line_.take({"at"});
            return m.take(line_.taped("the " + std::string(m.words.front()), tool_));
        }
        // "W 36", where one also says "36 wide".
        for (const auto& m : measures_)
            if (!m.before && !line_.lengthAhead() && takes(m.words)) {
                line_.take({"is", "of", "at"});
                return take(m, line_.taped("the " + std::string(m.words.front()), tool_));
            }
        if (const auto word = line_.ahead(); !word.empty() && !line_.lengthAhead())
            line_.failAhead(worded("“{}” is not told of the {}", word, thing_),
                            worded("say {}", offered()));
        const Taped t = line_.taped("the " + thing_, tool_);
        if (bySize(t))
            return;
        for (const auto& m : measures_)
            if (!m.before && takes(m.words))
                return take(m, t);
        if ((place_ != nullptr || walls_ != nullptr) && line_.take({"from"}))
            return from(t);
        if (bareWidth(t))
            return;
        line_.failAhead("what does this length measure?", fmt::format("say {}", offered()));
    }

    void from(const Taped& t) {
        line_.take({"the"});
        if (walls_ != nullptr) {
            const auto place = line_.place();
            line_.take({"wall"});
            const auto i = wallIndex(line_.name());
            if (!i)
                line_.failHere("from which wall?", "say it like: 3' from wall A");
            walls_->push_back({*i, t, place});
            return;
        }
        const bool right = line_.take({"right"});
        if (!right && !line_.take({"left"}))
            line_.failAhead("from which corner?",
                            "say “from left” or “from right”, as you face the wall");
        line_.take({"corner"});
        (right ? place_->right : place_->left) = t;
    }

    [[nodiscard]] std::string offered() const {
        std::vector<std::string> words;
        if (place_ != nullptr)
            words.emplace_back("“from left”");
        if (walls_ != nullptr)
            words.emplace_back("“from wall A”");
        for (const auto& m : measures_)
            if (m.before || std::none_of(measures_.begin(), measures_.end(), [&](const Measure& o) {
                    return o.before && o.words == m.words;
                }))
                words.push_back(m.before ? fmt::format("“{}” before it", m.words.front())
                                         : fmt::format("“{}”", m.words.front()));
        return listed(words, "or");
    }

    NoteLine& line_;
    std::string thing_;
    Tool tool_;
    TapedPlace* place_ = nullptr;
    bool wideTold_ = false;
    std::vector<FromWall>* walls_ = nullptr;
    std::vector<Measure> measures_;
    std::vector<Flag> flags_;
    std::vector<Choice> choices_;
    std::vector<Rest> rests_;
};

} // namespace mezzet
