#include "edit/words_reader.h"

#include "edit/aside_said.h"

#include "edit/language.h"

#include "edit/phrase.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>
#include <charconv>
#include <cmath>

namespace mezzet {

void WordsReader::skip() {
    while (at_ < text_.size() && isBlank(text_[at_]))
        ++at_;
}

bool WordsReader::done() {
    skip();
    return at_ >= text_.size();
}

std::string_view WordsReader::rest() {
    skip();
    return text_.substr(at_);
}

std::string_view WordsReader::since(std::size_t from) {
    return trimmed(text_.substr(from, at_ - from));
}

void WordsReader::failWhich(std::size_t at, std::size_t bytes, std::string what,
                            std::string remedy) const {
    try {
        fail(at, bytes, std::move(what), std::move(remedy));
    } catch (LineFault& fault) {
        fault.problem.oneOfSeveral = trimmed(text_.substr(at, bytes));
        throw;
    }
}

namespace {

/// "curtains", and not "glass".
bool isSeveral(const std::string& noun) {
    const auto n = noun.size();
    return n > 2 && noun[n - 1] == 's' && noun[n - 2] != 's';
}

} // namespace

void WordsReader::noneYet() {
    skip();
    const std::size_t word = at_;
    const auto none = kind();
    const std::size_t end = at_;
    at_ = word;
    if (!none) {
        // "the table", where there is none of any kind.
        std::string noun = ahead();
        const std::size_t width = noun.size();
        if (const auto one = plainWord(noun); one == "table" || one == "chair")
            failNone(word, width, std::move(noun));
        return;
    }
    // "chest of drawers" is one.
    const auto said = foldCase(text_.substr(word, end - word));
    const bool asSaid = foldCase(none->name) == said ||
                        std::find(none->also.begin(), none->also.end(), said) != none->also.end();
    failNone(word, end - word, asSaid ? said : plainWord(said));
}

void WordsReader::failNone(std::size_t at, std::size_t bytes, std::string noun) const {
    try {
        const bool several = isSeveral(noun);
        fail(at, bytes,
             several ? worded("there are no {} yet", noun) : worded("there is no {} yet", noun),
             "put one in the room first");
    } catch (LineFault& fault) {
        fault.problem.notThere = std::move(noun);
        throw;
    }
}

void WordsReader::noneYet(std::size_t behind) {
    const std::size_t here = at_;
    goTo(behind);
    article();
    skip();
    const std::size_t noun = at_;
    const auto& pieces = scheme().pieces;
    if (const KindPtr k = kind(); k && std::none_of(pieces.begin(), pieces.end(),
                                                    [&](const Piece& p) { return p.kind == k; })) {
        goTo(noun);
        noneYet();
    }
    goTo(here);
}

void WordsReader::nothingMore() {
    take({"please"});
    if (!done())
        failAhead(worded("“{}” is left over", rest()), "take it out");
}

void WordsReader::refuse(Problem p, std::size_t from) {
    p.column = static_cast<int>(from) + 1;
    throw LineFault{std::move(p)};
}

std::string WordsReader::ahead() {
    skip();
    std::size_t e = at_;
    while (e < text_.size() && !endsWord(text_[e]))
        ++e;
    return foldCase(text_.substr(at_, e - at_));
}

std::string WordsReader::word() {
    auto w = ahead();
    at_ += w.size();
    return w;
}

bool WordsReader::comma() {
    skip();
    if (at_ < text_.size() && (text_[at_] == ',' || text_[at_] == ';')) {
        ++at_;
        return true;
    }
    return false;
}

std::size_t WordsReader::endOf(std::string_view phrase) {
    skip();
    std::size_t t = at_;
    std::size_t p = 0;
    while (p < phrase.size()) {
        if (isBlank(phrase[p])) {
            if (t >= text_.size() || !isBlank(text_[t]))
                return 0;
            while (t < text_.size() && isBlank(text_[t]))
                ++t;
        } else {
            if (t >= text_.size() || foldCase(text_.substr(t, 1))[0] != phrase[p])
                return 0;
            ++t;
        }
        ++p;
    }
    return t >= text_.size() || endsWord(text_[t]) ? t : 0;
}

bool WordsReader::take(std::initializer_list<std::string_view> phrases) {
    skip();
    for (const auto phrase : phrases)
        offer(phrase);
    for (const auto phrase : phrases)
        if (const std::size_t end = endOf(phrase)) {
            at_ = end;
            return true;
        }
    return false;
}

void WordsReader::article() {
    const auto w = ahead();
    if ((w == "a" || w == "an") && lengthAhead())
        return; // "a foot"
    if (w == "the" || w == "a" || w == "an" || w == "my" || w == "our" || w == "some")
        word();
}

Length WordsReader::usualStep() const {
    return job_.library.book->habit(slightly_ ? "step-slight" : "step");
}

bool WordsReader::lengthAhead() {
    return scanLength(rest(), job_.notation.units).ok();
}

Length WordsReader::length(std::string_view what) {
    skip();
    const auto scanned = scanLength(text_.substr(at_), job_.notation.units);
    if (!scanned) {
        const auto& p = scanned.problem();
        if (p.what != "no length here")
            fail(at_, rest().size(), p.what, p.remedy);
        failAhead(worded("{} needs a length here", what), p.remedy);
    }
    if (abs(scanned->value) > Length::metres(200))
        fail(at_, scanned->used, worded("{} is over 200 m", what), "check the figure and its unit");
    at_ += scanned->used;
    return scanned->value;
}

double WordsReader::number(std::string_view what) {
    skip();
    const std::size_t start = at_;
    auto w = word();
    if (w.ends_with("°"))
        w.resize(w.size() - std::string_view("°").size());
    double v = 0;
    const auto [end, error] = std::from_chars(w.data(), w.data() + w.size(), v);
    if (w.empty() || error != std::errc() || end != w.data() + w.size() || std::abs(v) > 1e6)
        fail(start, std::max<std::size_t>(at_ - start, 1), worded("{} needs a number here", what),
             "write it like 30 or 22.5");
    return v;
}

bool WordsReader::takeCount(int& n) {
    constexpr std::string_view words[] = {"one",   "two",   "three", "four", "five",   "six",
                                          "seven", "eight", "nine",  "ten",  "eleven", "twelve"};
    for (int i = 1; const auto w : words) {
        if (take({w})) {
            n = i;
            return true;
        }
        ++i;
    }
    const auto w = ahead();
    const auto [end, error] = std::from_chars(w.data(), w.data() + w.size(), n);
    if (w.empty() || error != std::errc() || end != w.data() + w.size() || n < 0 || n > 10000)
        return false;
    word();
    return true;
}

bool WordsReader::takeChairs(int& n) {
    const std::size_t start = at();
    if (take({"a chair", "a dining chair", "one chair"})) {
        n = 1;
        return true;
    }
    if (takeCount(n) && take({"chairs", "dining chairs", "chair", "seats", "people round it"}))
        return true;
    goTo(start);
    return false;
}

Mass WordsReader::mass(std::string_view what) {
    skip();
    std::size_t used = 0;
    const auto m = scanMass(text_.substr(at_), job_.notation.units, used);
    if (!m)
        failAhead(worded("{} is missing here", what), "write it like 24 lb or 11 kg");
    if (*m < Mass{} || *m > Mass::kilograms(2000))
        fail(at_, used, "no wall holds that", "check the figure and its unit");
    at_ += used;
    return *m;
}

namespace {

bool ofFigure(char c) {
    return (c >= '0' && c <= '9') || c == '.' || c == ',' || c == '/' || c == ' ';
}

/// "2.4 x 3 m": figures without a unit have that of the last one.
void shareUnit(std::vector<Length>& sizes, const std::vector<std::string_view>& written,
               Units units) {
    const std::string_view last = written.back();
    const auto at = std::find_if_not(last.begin(), last.end(), ofFigure) - last.begin();
    const auto unit = last.substr(static_cast<std::size_t>(at));
    // One figure and its unit; feet and inches hold two.
    if (unit.empty() ||
        std::any_of(unit.begin(), unit.end(), [](char c) { return c >= '0' && c <= '9'; }))
        return;
    for (std::size_t i = 0; i + 1 < sizes.size(); ++i) {
        if (!std::all_of(written[i].begin(), written[i].end(), ofFigure))
            continue;
        const auto whole = std::string(trimmed(written[i])) + std::string(unit);
        if (const auto again = scanLength(whole, units); again && again->used == whole.size())
            sizes[i] = again->value;
    }
}

} // namespace

std::vector<Length> WordsReader::sizes(Flags<SaidOf> of, std::string_view* measured) {
    std::vector<Length> out;
    std::vector<std::string_view> written;
    if (measured != nullptr)
        *measured = {};
    const std::size_t start = at_;
    while (out.size() < 3) {
        skip();
        const auto scanned = scanLength(text_.substr(at_), job_.notation.units);
        if (!scanned)
            break;
        written.push_back(trimmed(text_.substr(at_, scanned->used)));
        at_ += scanned->used;
        out.push_back(scanned->value);
        const std::size_t after = at_;
        skip();
        const bool by =
            at_ < text_.size() &&
            (text_.substr(at_).starts_with("x") || text_.substr(at_).starts_with("X") ||
             text_.substr(at_).starts_with("×") || text_.substr(at_).starts_with("by "));
        if (!by || out.size() == 3) {
            at_ = after;
            break;
        }
        at_ += text_.substr(at_).starts_with("×") || text_.substr(at_).starts_with("by") ? 2 : 1;
        // "30 x 33 by the door": no third size.
        if (!lengthAhead()) {
            at_ = after;
            break;
        }
    }
    if (out.size() > 1)
        shareUnit(out, written, job_.notation.units);
    for (const std::string_view word : {"dia", "in diameter", "diameter", "across", "round", "long",
                                        "wide", "deep", "high", "tall"})
        if (!out.empty() && take({word})) {
            if (measured != nullptr)
                *measured = word;
            break;
        }
    // "22 square"; "84 square to wall C" is how it stands.
    if (const std::size_t here = at_;
        out.size() == 1 && measured != nullptr && measured->empty() && take({"square"})) {
        if (endOf("to") > 0 || endOf("with") > 0)
            at_ = here;
        else
            *measured = "square";
    }
    const bool worded = measured != nullptr && !measured->empty();
    if (out.size() == 1 && !worded && phraseAhead(*this, true, of)) {
        // "16 from sofa" is a placement, not a size.
        at_ = start;
        return {};
    }
    return out;
}

/// "either side of …", as of two things.
bool WordsReader::sidesAhead() {
    const std::size_t here = at_;
    const bool is = takeSides(*this) || take({"around"});
    at_ = here;
    return is;
}

std::string WordsReader::name(Flags<SaidOf> of) {
    skip();
    for (const auto& [open, close] :
         {std::pair<std::string_view, std::string_view>{"\"", "\""}, {"“", "”"}}) {
        if (!text_.substr(at_).starts_with(open))
            continue;
        const auto end = text_.find(close, at_ + open.size());
        if (end == std::string_view::npos)
            fail(at_, text_.size() - at_, "the quotes are never closed",
                 "close them after the name");
        auto n = std::string(trimmed(text_.substr(at_ + open.size(), end - at_ - open.size())));
        at_ = end + close.size();
        return n;
    }
    const std::size_t start = at_;
    std::size_t stop = at_;
    while (!done() && text_[at_] != ',' && text_[at_] != ';') {
        if (stop > start && (phraseAhead(*this, false, of) || sidesAhead()))
            break;
        // A figure begins a placement ("called table 16 from sofa") unless the name ends with it.
        const std::size_t before = at_;
        if (stop > start && lengthAhead()) {
            length("the name");
            const bool placed = phraseAhead(*this, true, of);
            at_ = before;
            if (placed)
                break;
        }
        word();
        stop = at_;
    }
    at_ = stop;
    auto n = std::string(trimmed(text_.substr(start, stop - start)));
    if (n.empty())
        failAhead("a name is missing here", "like: called supper table");
    return n;
}

void WordsReader::fail(std::size_t at, std::size_t bytes, std::string what,
                       std::string remedy) const {
    // What is told as an example is one of the job's own unit.
    Problem p{std::move(what), remedyIn(remedy, job_.notation.units)};
    at = std::min(at, text_.size());
    p.column = static_cast<int>(characterCount(text_.substr(0, at))) + 1;
    p.width = static_cast<int>(characterCount(text_.substr(at, bytes)));
    throw LineFault{p};
}

void WordsReader::unknownAhead(std::string what, std::string remedy) {
    try {
        failAhead(std::move(what), std::move(remedy));
    } catch (LineFault& fault) {
        fault.problem.unknown = true;
        throw;
    }
}

void WordsReader::failAhead(std::string what, std::string remedy) {
    skip();
    const auto w = ahead();
    if (remedy.empty()) {
        std::vector<std::string> known = offered(at_);
        std::optional<std::string> near;
        // Compare with as many words as each candidate has.
        int best = 1000;
        for (const auto& k : known) {
            const auto count = std::count(k.begin(), k.end(), ' ');
            std::size_t e = at_;
            for (std::ptrdiff_t i = 0; i <= count && e < text_.size(); ++i) {
                while (e < text_.size() && isBlank(text_[e]))
                    ++e;
                while (e < text_.size() && !endsWord(text_[e]))
                    ++e;
            }
            const auto said = foldCase(text_.substr(at_, e - at_));
            const int d = editDistance(said, foldCase(k));
            if (d > 0 && d < best && d <= static_cast<int>(k.size()) / 3) {
                best = d;
                near = k;
            }
        }
        remedy = near ? worded("did you mean “{}”?", *near) : "say it another way";
    }
    fail(at_, std::max<std::size_t>(w.size(), 1), std::move(what), std::move(remedy));
}

} // namespace mezzet
