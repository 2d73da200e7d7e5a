// What would mend what is wrong.
#include "edit/words_reader.h"
#include "judge/remedy.h"
#include "judge/say.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/spoken.h"
#include "speech/questions.h"

#include <algorithm>

namespace mezzet {

namespace {

/// "how is the sofa mended?", "how is it mended?": of what is wrong with it, or of all, the
/// weightiest, and the line that mends each.
std::optional<Answer> howMended(Asking& a) {
    int id = 0;
    if (!a.in.take({"everything", "all"}) &&
        !(a.selected == 0 && a.in.take({"it", "this", "that"})))
        id = a.piece();
    if (!a.in.take({"mended", "put right"}))
        return {};
    a.end();
    const auto all = judge(*a.scene, *a.job.library.book, a.job.judgement);
    std::vector<const Reading*> own;
    for (const Reading* r : toMendByWeight(all))
        if (id == 0 || r->isAbout(id))
            own.push_back(r);
    Answer out;
    if (id != 0)
        out.about = {id};
    if (own.empty()) {
        out.words = id == 0
                        ? worded("Nothing is to mend")
                        : worded("{}: nothing is to mend about it", a.scene->pieceById(id)->name);
        return out;
    }
    constexpr std::size_t most = 3;
    for (std::size_t i = 0; i < std::min(most, own.size()) && a.goesOn(); ++i) {
        auto sentence = sentenceOf(*own[i], a.wording());
        while (sentence.ends_with("."))
            sentence.pop_back();
        const auto remedy = remedyFor(*own[i], a.job, *a.scene, all);
        out.words += (i == 0 ? "" : ". ") + sentence;
        out.words += remedy ? worded("; say: {}", remedy->line)
                            : std::string(told("; no single move mends it"));
        if (id == 0 && own[i]->piece != 0)
            out.about.push_back(own[i]->piece);
    }
    if (own.size() > most)
        out.words += worded(", and {} more", own.size() - most);
    return out;
}

} // namespace

const std::vector<Question>& mendingQuestions() {
    static const std::vector<Question> all{
        {{"how is", "how are"},
         &howMended,
         "what would mend what is wrong with a piece, or with all, as lines to say",
         "how is sofa mended?"},
    };
    return all;
}

} // namespace mezzet
