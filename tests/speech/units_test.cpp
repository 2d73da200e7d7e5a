// No sentence has a figure of the other unit system, and none has a length without its unit.
#include "edit/language.h"
#include "fits/ask.h"
#include "judge/remedy.h"
#include "measure/texts.h"
#include "said_cases.h"
#include "speech/line_page.h"
#include "speech/speech.h"

#include "jobs.h"
#include "rounds.h"

#include <gtest/gtest.h>

#include <regex>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// What stands in a sentence that belongs to the other system; empty for none. Names and what was
/// typed by the user are not the program's own.
std::string foreign(const std::string& sentence, bool metric) {
    static const std::regex inches(
        R"(\d ?("|″|'|′|½|¼|¾)|\d (in\b(?! front| the| a | corner| line)|inches\b|inch\b|feet\b|foot\b|ft\b|lb\b|sq ft\b))");
    static const std::regex centimetres(R"(\d ?(mm|cm|m|kg|m²)([^a-z²]|$))");
    std::smatch m;
    return std::regex_search(sentence, m, metric ? inches : centimetres) ? m.str() : std::string();
}

/// All that the program says of a job and of lines said to it.
std::vector<std::string> sentencesOf(const Project& job, const std::vector<std::string>& lines) {
    std::vector<std::string> out;
    const auto scene = *sceneOf(job);
    const auto readings = judge(*scene, *job.library.book, job.judgement);
    int tried = 0;
    for (const Reading& r : readings) {
        out.push_back(sentenceOf(r, job.wording()));
        out.push_back(titleWithSubject(r, job.wording()));
        if (!r.toMend() || ++tried > 12)
            continue;
        if (const auto remedy = remedyFor(r, job, *scene, readings)) {
            out.push_back(remedy->preview);
            for (const auto* list : {&remedy->upsets, &remedy->mends})
                out.insert(out.end(), list->begin(), list->end());
        }
    }
    for (const Rule& r : job.library.book->rules)
        out.push_back(r.measuresIn(job.notation));
    for (const auto& line : lines) {
        const auto spoken = readSpoken(line, job, {});
        if (spoken)
            out.push_back(spoken->said.preview);
        else
            out.push_back(spoken.problem().what + "; " + spoken.problem().remedy);
    }
    for (const auto& way : openings(job, {}))
        out.push_back(way);
    for (const char* question : {"table", "sofa on wall A", "rug for seats", "where sideboard",
                                 "does sideboard fit", "picture over sofa"})
        if (const auto found = askWhatFits(question, job)) {
            out.push_back(found->heading);
            out.insert(out.end(), found->reasons.begin(), found->reasons.end());
            for (const auto& c : found->choices) {
                out.push_back(c.title);
                out.push_back(c.detail);
            }
        }
    return out;
}

std::vector<std::string> bareLines(const SaidFile& file) {
    // Those whose own figures have no unit.
    std::vector<std::string> out;
    static const std::regex unit(R"(["']|\d ?(mm|cm|m|in|ft|lb)\b|inch|foot|feet|metre|a foot)");
    for (const auto& c : file.cases)
        if (!std::regex_search(c.sentences.front(), unit))
            out.push_back(c.sentences.front());
    return out;
}

} // namespace

TEST(EverySentence, IsInTheJobsOwnUnits) {
    const auto file = readSaidFile(std::filesystem::path(MEZZET_TEST_CASES) / "plain_speech.txt");
    const auto lines = bareLines(file);
    ASSERT_GT(lines.size(), 300U);
    // Each second line in inches and in centimetres, and some in the other units, of which a room
    // has one at most; in the long run all of them in every room and unit.
    const bool all = rounds(1, 2) != 1;
    std::size_t read = 0, turn = 0, other = 0;
    for (const auto& setting : file.settings)
        for (const char* units :
             {"units cm", "units mm", "units m", "units inches", "units feet"}) {
            const auto job = *apply(setting.job, readLine(units, setting.job)->edit)->project;
            const bool metric = isMetric(job.notation.units);
            const bool usual =
                job.notation.units == Units::inches || job.notation.units == Units::centimetres;
            if (!usual && !all && ++other % 4 != 0)
                continue;
            const auto every = all ? std::size_t{1} : file.settings.size() * 2;
            std::vector<std::string> some;
            for (std::size_t i = turn++ % every; i < lines.size(); i += every)
                some.push_back(lines[i]);
            for (const auto& s : sentencesOf(job, some)) {
                ++read;
                if (s.find("say the unit") != std::string::npos)
                    continue; // the other system's unit is what is asked about
                EXPECT_EQ(foreign(s, metric), "") << setting.name << ", " << units << ": " << s;
            }
        }
    EXPECT_GT(read, 3000U);
}

TEST(EverySentence, HasTheLocalesDecimalCommaAndIsUnderstoodSo) {
    useDecimalMark(',');
    const auto file = readSaidFile(std::filesystem::path(MEZZET_TEST_CASES) / "plain_speech.txt");
    static const std::regex point(R"(\d\.\d+ ?(mm|cm|m|kg|m²)([^a-z²]|$))");
    std::size_t read = 0;
    for (const auto& setting : file.settings) {
        const auto job = *apply(setting.job, readLine("units cm", setting.job)->edit)->project;
        const auto scene = *sceneOf(job);
        const auto readings = judge(*scene, *job.library.book, job.judgement);
        for (const auto& s : sentencesOf(job, {})) {
            ++read;
            EXPECT_FALSE(std::regex_search(s, point)) << s;
        }
        // A remedy's words, typed as they are shown, do what its button does.
        for (const Reading& r : readings)
            if (r.toMend())
                if (const auto remedy = remedyFor(r, job, *scene, readings))
                    EXPECT_TRUE(readLine(remedy->line, job)) << remedy->line;
    }
    useDecimalMark('.');
    EXPECT_GT(read, 300U);
}

TEST(EverySentence, OfTheHelpIsInTheJobsOwnUnits) {
    EXPECT_NE(foreign(linePage(Units::feetAndInches), true), "");
    const auto page = linePage(Units::centimetres);
    // What is said of units themselves may name both.
    const auto tables = page.substr(page.find("## Where it stands"));
    EXPECT_EQ(foreign(tables, true), "");
    EXPECT_NE(page.find("`40 from sofa"), std::string::npos);
}

TEST(Examples, AreRoundCentimetresInAMetricJob) {
    const auto cm = [](const char* s) { return exampleIn(s, Units::centimetres); };
    EXPECT_EQ(cm("sofa 84 x 36 against wall A"), "sofa 210 x 90 against wall A");
    EXPECT_EQ(cm("6 above sofa"), "15 above sofa");
    EXPECT_EQ(cm("6 chairs around table"), "6 chairs around table");
    for (const char* same : {"work from 2027-03-01", "holidays 2027-12-24 to 2028-01-02",
                             "task paint after wiring, 2 days, waits 1", "budget 5000",
                             "list cushion, 4 of them, 40 each", "lead 42 days"})
        EXPECT_EQ(cm(same), same);
    EXPECT_EQ(cm("turn sofa 30"), cm("turn sofa 30"));
    EXPECT_EQ(exampleIn("16 from sofa", Units::inches), "16 from sofa");
}
