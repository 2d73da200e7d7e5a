// What could be said in place of a line that is refused.
#include "edit/handover_said.h"
#include "edit/landing.h"
#include "edit/phrase.h"
#include "edit/pieces.h"
#include "edit/things_said.h"
#include "edit/verb.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "speech/asked_first.h"
#include "speech/speech.h"
#include "speech/unheard.h"
#include "speech/vocabulary.h"

#include <algorithm>
#include <array>
#include <regex>
#include <set>

namespace mezzet {

namespace {

constexpr std::size_t most = 3;

class Ways {
public:
    Ways(std::string_view text, const Project& job, const Listener& to)
        : text_(text), job_(job), to_(to) {}

    std::vector<std::string> find(const Problem& fault) {
        if (isQuestion(text_)) {
            theWordMended();
            aQuestionOfIt();
            return std::move(out_);
        }
        theUnitSaid(fault);
        if (const auto thing = unheardOf(text_, job_); thing && !thing->sized.empty())
            offer(thing->sized);
        withoutItsLook();
        theWordMended();
        theOneMeant(fault);
        thePlaceOnly(fault);
        aPlaceForIt();
        return std::move(out_);
    }

private:
    [[nodiscard]] bool enough() const { return out_.size() >= most; }

    void offer(const std::string& line) {
        if (enough() || line == text_ || std::find(out_.begin(), out_.end(), line) != out_.end())
            return;
        if (++tried_ > mostTried)
            return;
        const auto spoken = readSpoken(line, job_, to_);
        if (!spoken)
            return;
        const std::string& preview = spoken->said.preview;
        for (const char* harm : {"changes nothing", "through wall", "beyond wall"})
            if (spoken->is == Spoken::Is::edit && preview.find(harm) != std::string::npos)
                return;
        out_.push_back(line);
    }

    [[nodiscard]] std::string with(const WordAt& w, std::string_view instead) const {
        return std::string(text_.substr(0, w.at)) + std::string(instead) +
               std::string(text_.substr(w.at + w.size));
    }

    /// Figures that stand alone where the fault is, with a unit.
    void theUnitSaid(const Problem& fault) {
        auto at = static_cast<std::size_t>(std::max(fault.column - 1, 0));
        // "say the unit: 160 x 200 cm": those figures, wherever they are.
        if (asksUnit(fault)) {
            const auto from = fault.remedy.rfind(": ");
            auto figures =
                from == std::string::npos ? std::string() : fault.remedy.substr(from + 2);
            figures.resize(std::min(figures.size(), figures.rfind(' ')));
            if (const auto there = text_.find(figures);
                !figures.empty() && there != std::string_view::npos)
                at = there;
        }
        const auto ofFigures = [](char c) {
            return (c >= '0' && c <= '9') || c == '.' || c == ',' || c == 'x' || c == ' ';
        };
        if (at >= text_.size() || text_[at] < '0' || text_[at] > '9')
            return;
        std::size_t end = at;
        while (end < text_.size() && ofFigures(text_[end]))
            ++end;
        while (end > at && (text_[end - 1] < '0' || text_[end - 1] > '9'))
            --end;
        const WordAt figures{at, end - at};
        const auto said = std::string(text_.substr(at, figures.size));
        const bool metric = isMetric(job_.notation.units);
        const auto before = out_.size();
        // In the job's own unit it makes no sense, where that is what is asked.
        const Units units = job_.notation.units;
        const std::string_view own = !asksUnit(fault)              ? ""
                                     : units == Units::millimetres ? "mm"
                                     : units == Units::centimetres ? "cm"
                                     : units == Units::metres      ? "m"
                                                                   : "in";
        for (const char* unit : metric ? std::array{"cm", "mm", "m"} : std::array{"in", "ft", "cm"})
            if (out_.size() == before && unit != own)
                offer(with(figures, said + " " + unit));
        if (out_.size() == before && !own.empty())
            offer(with(figures, said + (own == "mm" ? " cm" : metric ? " m" : " ft")) + " anyway");
    }

    /// "a low dresser", "a long shelf": without the word; how low, its size would say.
    void withoutItsLook() {
        for (const WordAt& w : wordsOf(text_)) {
            const auto said = foldCase(text_.substr(w.at, w.size));
            for (const std::string_view look :
                 {"low",   "long",  "tall",  "high",  "short",  "deep",   "shallow",    "narrow",
                  "wide",  "slim",  "small", "large", "big",    "little", "old",        "new",
                  "heavy", "light", "thin",  "thick", "square", "oval",   "rectangular"})
                if (said == look) {
                    const auto after = trimmed(text_.substr(w.at + w.size));
                    offer(std::string(text_.substr(0, w.at)) + std::string(after));
                    if (w.at == 0) // another, and not the one that is there
                        offer("a " + std::string(text_));
                }
        }
    }

    /// Each word that is none, as the nearest that is one; two of them at most.
    void theWordMended() {
        auto known = vocabulary(job_);
        if (isQuestion(text_)) // their words begin no other
            known.insert({"how",   "what",   "which", "where", "who",   "why",    "when", "many",
                          "much",  "can",    "could", "will",  "would", "should", "does", "are",
                          "there", "enough", "room",  "fit",   "fits",  "far",    "any"});
        const auto figures = [](std::string_view w) {
            return w.find_first_of("0123456789'\"") != std::string_view::npos;
        };
        for (const WordAt& w : wordsOf(text_)) {
            const auto said = foldCase(text_.substr(w.at, w.size));
            if (said.size() < 3 || figures(said) || known.count(said) > 0 ||
                (said.ends_with("s") && known.count(said.substr(0, said.size() - 1)) > 0))
                continue;
            // Two words written as one: "nextto".
            for (std::size_t i = 2; i + 1 < said.size(); ++i)
                if (known.count(said.substr(0, i)) > 0 && known.count(said.substr(i)) > 0)
                    offer(with(w, said.substr(0, i) + " " + said.substr(i)));
            std::vector<std::pair<int, std::string>> near;
            for (const auto& k : known) {
                const int allowed = said.size() >= 5 || k.size() >= 5 ? 2
                                    : said.size() >= 4                ? 2
                                                                      : 1;
                if (const int d = editDistance(said, k); d <= allowed && k.front() != ' ')
                    near.emplace_back(d * 4 + (k.front() == said.front() ? 0 : 1), k);
            }
            std::sort(near.begin(), near.end());
            for (std::size_t i = 0; i < std::min<std::size_t>(6, near.size()); ++i)
                offer(with(w, near[i].second));
        }
    }

    /// "chair" where several are meant: each by its name.
    void theOneMeant(const Problem& fault) {
        if (fault.column <= 0 || fault.width <= 0)
            return;
        const WordAt w = bytesOf(fault);
        const auto said = plainWord(text_.substr(w.at, w.size));
        if (said.empty())
            return;
        for (const Piece& p : job_.scheme().pieces) {
            const auto name = plainWord(p.name);
            if (name != said && (name.starts_with(said) || name.ends_with(said) ||
                                 plainWord(p.kind->name).ends_with(said)))
                offer(with(w, p.name));
        }
        for (const Opening& o : job_.room->openings)
            if (o.name().starts_with(said))
                offer(with(w, o.name()));
        for (const auto& k : job_.library.kit->kinds()) {
            const auto name = plainWord(k->name);
            if (name != said && name.ends_with(" " + said))
                offer(with(w, foldCase(k->name)));
        }
        if (said == "wall" || said.starts_with("wall "))
            for (const Wall& wall : job_.room->walls)
                offer(with(w, "wall " + wall.name));
    }

    /// What stands before the word that can't be taken.
    void thePlaceOnly(const Problem& fault) {
        if (fault.column <= 1)
            return;
        const WordAt w = bytesOf(fault);
        std::string_view before = trimmed(text_.substr(0, w.at));
        while (before.ends_with(","))
            before = trimmed(before.substr(0, before.size() - 1));
        offer(std::string(before));
        // Without the word alone.
        if (const auto after = trimmed(text_.substr(w.at + w.size)); !after.empty())
            offer(std::string(before) + " " + std::string(after));
    }

    /// What can be asked of the piece that is named, or of the room.
    void aQuestionOfIt() {
        std::string subject;
        for (const WordAt& w : wordsOf(text_)) {
            WordsReader in(text_, job_, to_.them);
            in.goTo(w.at);
            if (subject.empty() && in.nameAhead())
                subject = job_.scheme().byId(in.piece())->name;
        }
        if (subject.empty()) {
            offer("what is wrong?");
            offer("what fits here?");
            return offer("how big is the room?");
        }
        offer(worded("how far is {} from the wall?", subject));
        offer(worded("how big is {}?", subject));
        offer(worded("what is wrong with {}?", subject));
    }

    /// A place for what is spoken of: the first piece or kind that is named.
    void aPlaceForIt() {
        std::string subject;
        bool hangs = false;
        bool onTops = false;
        for (const WordAt& w : wordsOf(text_)) {
            try {
                WordsReader in(text_, job_, to_.them);
                in.goTo(w.at);
                if (const int id = in.nameAhead() ? in.piece() : 0; id != 0) {
                    const Piece& p = *job_.scheme().byId(id);
                    subject = p.name;
                    hangs = p.kind->hangs();
                } else if (const auto k = in.kind()) {
                    subject = foldCase(k->name);
                    hangs = k->hangs();
                    onTops = k->standsOn();
                }
            } catch (const LineFault&) {
                continue;
            }
            if (!subject.empty())
                break;
        }
        if (subject.empty() && to_.them.size() == 1)
            if (const Piece* p = job_.scheme().byId(to_.them.front())) {
                subject = p->name;
                hangs = p->kind->hangs();
            }
        if (subject.empty())
            subject = job_.scheme().pieces.empty() ? "sofa" : job_.scheme().pieces.front().name;
        // A vase stands on something.
        if (onTops) {
            for (const Piece& p : job_.scheme().pieces)
                if (out_.size() + 1 < most && p.on.isFloor() && p.kind->hasTop() &&
                    !p.kind->isSeat())
                    offer(subject + " on " + p.name);
            offer(subject + " on the floor");
        }
        for (const Wall& w : job_.room->walls)
            if (out_.size() + 1 < most)
                offer(subject + (hangs ? " on wall " : " against wall ") + w.name);
        offer(hangs ? subject + " at eye level" : subject + " in the corner");
        offer(subject + " in the middle of the room");
    }

    [[nodiscard]] WordAt bytesOf(const Problem& p) const {
        // Columns count characters.
        const auto byteAt = [&](int column) {
            std::size_t at = 0;
            for (int n = 1; n < column && at < text_.size(); ++n) {
                ++at;
                while (at < text_.size() && (static_cast<unsigned char>(text_[at]) & 0xC0U) == 0x80)
                    ++at;
            }
            return at;
        };
        const std::size_t from = byteAt(p.column);
        return {from, byteAt(p.column + p.width) - from};
    }

    static constexpr int mostTried = 60; ///< lines that are tried in all
    std::string_view text_;
    const Project& job_;
    const Listener& to_;
    std::vector<std::string> out_;
    int tried_ = 0;
};

/// In place of what would go through a wall: a smaller rug of the sizes they are stocked in, the
/// same thing where it stands free, or all the same.
class WaysAround {
public:
    WaysAround(std::string text, const Project& job, const Listener& to)
        : text_(std::move(text)), job_(job), to_(to) {}

    std::vector<std::string> find() {
        const auto all = text_ + " anyway";
        const auto said = readSpoken(all, job_, to_);
        if (!said || said->is != Spoken::Is::edit)
            return {};
        std::vector<const Piece*> put;
        for (const Act& a : said->said.edit.acts)
            if (const auto* one = std::get_if<PutPiece>(&a))
                put.push_back(&one->piece);
        if (put.size() == 1) {
            smaller(*put.front());
            elsewhere(*put.front());
        }
        out_.push_back(all);
        return std::move(out_);
    }

private:
    /// A line after which all that it is about stands, or hangs, free.
    void offer(const std::string& line) {
        if (out_.size() + 1 >= most || line == text_)
            return;
        const auto said = readSpoken(line, job_, to_);
        if (!said || said->is != Spoken::Is::edit || said->said.edit.acts.empty())
            return;
        const auto after = apply(job_, said->said.edit);
        if (!after || !comeToHarm(job_, *after).empty())
            return;
        const auto& about = said->said.them;
        for (const Piece& p : after->project->scheme().pieces)
            if ((job_.scheme().byId(p.id) == nullptr ||
                 std::find(about.begin(), about.end(), p.id) != about.end()) &&
                (!overlapOf(*after->scene, p.id).empty() ||
                 !doorwayAt(*after->scene, p.id).empty()))
                return;
        out_.push_back(line);
    }
    void smaller(const Piece& rug) {
        if (!rug.kind->flat())
            return;
        auto sizes = stockedSizes(job_, rug);
        const double area = rug.size.width.mm() * rug.size.depth.mm();
        std::erase_if(sizes, [&](Vec2 s) { return s.x * s.y > area * 0.99; });
        std::sort(sizes.begin(), sizes.end(), [](Vec2 a, Vec2 b) { return a.x * a.y > b.x * b.y; });
        static const std::regex figures(
            "[0-9][0-9.,]*(?: ?(?:'|ft|feet|foot|cm|m|in))? ?(?:x|by|×) ?[0-9][0-9.,]*"
            "(?: ?(?:'|ft|feet|foot|cm|m|in)\\b)?",
            std::regex::icase | std::regex::optimize);
        static const std::regex noun("\\b(rug|carpet|runner)\\b", std::regex::icase);
        for (const Vec2 s : sizes) {
            if (!out_.empty())
                return; // the largest that does
            const auto size = fmt::format("{} x {}", write(Length::millimetres(s.x), job_.notation),
                                          write(Length::millimetres(s.y), job_.notation));
            offer(std::regex_search(text_, figures)
                      ? std::regex_replace(text_, figures, size,
                                           std::regex_constants::format_first_only)
                      : std::regex_replace(text_, noun, size + " $1",
                                           std::regex_constants::format_first_only));
        }
    }
    void elsewhere(const Piece& p) {
        const Piece* was = job_.scheme().byId(p.id);
        if (p.kind->flat() || p.on.isCarried() || (was != nullptr && was->size != p.size))
            return;
        std::string subject = was != nullptr ? was->name : "a " + foldCase(p.kind->name);
        if (was == nullptr && p.size != p.kind->size)
            subject +=
                fmt::format(" {} x {}", write(p.size.width, job_.notation),
                            write(p.kind->hangs() ? p.size.height : p.size.depth, job_.notation));
        for (const Wall& w : job_.room->walls)
            offer(
                fmt::format("{} {} wall {}", subject, p.kind->hangs() ? "on" : "against", w.name));
        if (!p.kind->hangs() && !p.kind->underCeiling())
            offer(subject + " in the corner");
        offer(subject + " in the middle of the room");
    }

    std::string text_;
    const Project& job_;
    const Listener& to_;
    std::vector<std::string> out_;
};

} // namespace

std::vector<std::string> waysOn(std::string_view text, const Project& job, const Listener& to) {
    if (text.size() > 300 || !isText(text))
        return {};
    if (const auto spoken = readSpoken(text, job, to); !spoken && asksFirst(spoken.problem()))
        return WaysAround(std::string(trimmed(text)), job, to).find();
    const auto said = readLine(text, job, to);
    if (said)
        return {};
    return Ways(trimmed(text), job, to).find(said.problem());
}

std::vector<std::string> openings(const Project& job, const Listener& heard) {
    const bool metric = isMetric(job.notation.units);
    const auto mm = [&](double cm, double inches) {
        return writeGap(metric ? Length::centimetres(cm) : Length::inches(inches), job.notation);
    };
    std::vector<std::string> tried;
    // What was spoken of may be gone.
    Listener to = heard;
    std::erase_if(to.them, [&](int id) { return job.scheme().byId(id) == nullptr; });
    const Piece* it = to.them.size() == 1 ? job.scheme().byId(to.them.front()) : nullptr;
    if (job.room->walls.empty())
        return {};
    if (to.them.size() > 1) {
        tried = {worded("move them {} left", mm(15, 6)), "turn them a quarter", "remove them"};
    } else if (it != nullptr && it->onWall()) {
        tried = {worded("{} up", mm(5, 2)), "at eye level", worded("make it {} wider", mm(10, 4)),
                 "how high should it hang?"};
    } else if (it != nullptr) {
        tried = {worded("{} left", mm(15, 6)),
                 worded("against wall {}", job.room->walls.front().name), "turn it a quarter",
                 worded("make it {} wider", mm(10, 4)), "how far is it from the wall?"};
    } else if (to.surface.isWall()) {
        const auto wall = job.room->walls[static_cast<std::size_t>(to.surface.wall())].name;
        tried = {
            worded("picture {} x {} on wall {}", metric ? "50" : "20", metric ? "70" : "28", wall),
            worded("mirror on wall {}", wall), "what fits here?"};
    } else if (job.scheme().pieces.empty()) {
        tried = {worded("sofa {} against wall {}", mm(210, 84), job.room->walls.front().name),
                 "a round table in the middle of the room", "what fits here?"};
    } else {
        const auto& name = job.scheme().pieces.front().name;
        tried = {worded("a side table beside {}", name), worded("a plant in the corner"),
                 "what is wrong?", worded("how far is {} from the wall?", name)};
    }
    std::vector<std::string> out;
    for (const auto& line : tried)
        if (isQuestion(line) || readLine(line, job, to))
            out.push_back(line);
    return out;
}

} // namespace mezzet
