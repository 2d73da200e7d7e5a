// Every sentence goes through the one layer of texts: spoken in a made-up language that brackets
// what it says, nothing stands outside the brackets.
#include "jobs.h"
#include "measure/texts.h"
#include "rules/rules_page.h"

#include <fmt/format.h>

#include <map>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// Speaks in brackets while it is there.
class Brackets {
public:
    Brackets() {
        speak([this](std::string_view english) -> std::string_view {
            auto& own = texts_[std::string(english)];
            own = "⟦" + std::string(english) + "⟧";
            return own;
        });
    }
    ~Brackets() { speak({}); }
    Brackets(const Brackets&) = delete;

private:
    std::map<std::string, std::string> texts_;
};

/// What of a sentence stands outside all brackets, but for what joins sentences.
std::string outside(const std::string& s) {
    std::string out;
    int deep = 0;
    for (std::size_t i = 0; i < s.size();) {
        if (s.compare(i, 3, "⟦") == 0 || s.compare(i, 3, "⟧") == 0) {
            deep += s.compare(i, 3, "⟦") == 0 ? 1 : -1;
            i += 3;
            continue;
        }
        if (deep == 0 && s[i] != ' ' && s[i] != ';' && s[i] != ',')
            out += s[i];
        ++i;
    }
    return out;
}

} // namespace

TEST(Texts, HoldWhatIsPutIn) {
    EXPECT_EQ(worded("{} is {} high", "Sofa", 3), "Sofa is 3 high");
    const Brackets on;
    EXPECT_EQ(worded("{} is {} high", "Sofa", 3), "⟦Sofa is 3 high⟧");
    EXPECT_EQ(told("which piece?"), "⟦which piece?⟧");
}

TEST(Texts, AreReadFromAFileAndCheckedAgainstTheEnglish) {
    const auto own = readTexts(R"({"{} is locked": "{} ist gesperrt"})", "de.json");
    ASSERT_TRUE(own);
    speak(*own);
    EXPECT_EQ(worded("{} is locked", "Sofa"), "Sofa ist gesperrt");
    EXPECT_EQ(worded("{} is not", "Sofa"), "Sofa is not") << "what has none stays English";
    const auto job = jobWith({"sofa against wall A", "lock sofa"});
    EXPECT_EQ(refusal(job, "sofa against wall B").what, "Sofa ist gesperrt");
    speak({});
    for (const char* bad : {"[]", "{", R"({"{} is locked": "gesperrt"})", R"({"x": 1})",
                            R"({"{} of {:.0f}": "{:.0f} of {}"})", R"({"x": "{"})"}) {
        const auto r = readTexts(bad, "bad.json");
        ASSERT_FALSE(r) << bad;
        EXPECT_EQ(r.problem().file, "bad.json");
    }
}

TEST(Texts, WhatIsNamedMayStandInAnyOrder) {
    const auto own = readTexts(R"({"{value} under {low}": "{low} über {value}"})", "de.json");
    ASSERT_TRUE(own) << own.problem().text();
    EXPECT_FALSE(readTexts(R"({"{value} under {low}": "{low} über {wert}"})", "de.json"));
    EXPECT_FALSE(readTexts(R"({"{value} under {low}": "unter {low}"})", "de.json"));
    EXPECT_FALSE(readTexts(R"({"{value} is {}": "{} ist {value}"})", "de.json"))
        << "what has no name is found by its place";
}

TEST(Texts, ALanguageNamesTheFolderOfItsHandbook) {
    EXPECT_TRUE(speaksEnglish());
    EXPECT_EQ(ownHandbook(), "") << "English is the handbook's own";
    for (const auto& [said, folder] :
         {std::pair{"de", "de"}, std::pair{"pt_BR", "pt_BR"}, std::pair{"../../etc", ""},
          std::pair{"a b", ""}, std::pair{"/", ""}}) {
        const auto own =
            readTexts(fmt::format(R"({{"the handbook's folder": "{}"}})", said), "x.json");
        ASSERT_TRUE(own);
        speak(*own);
        EXPECT_FALSE(speaksEnglish());
        EXPECT_EQ(ownHandbook(), folder) << said;
        speak({});
    }
}

TEST(Texts, ATitleGoesOnSmallInEnglishAlone) {
    EXPECT_EQ(goingOn("Gap to Sofa"), "gap to Sofa");
    const auto own = readTexts(R"({"Gap to {}": "Abstand zu {}"})", "de.json");
    speak(*own);
    EXPECT_EQ(goingOn(worded("Gap to {}", "Sofa")), "Abstand zu Sofa");
    speak({});
}

TEST(Texts, ThePageOfTheRulesHasFiguresOfOneSystem) {
    const auto inches = rulesPage(*library().book);
    EXPECT_NE(inches.find("Band: 12 to 18 in (low-and-close)"), std::string::npos);
    EXPECT_EQ(inches.find(" cm"), std::string::npos);
    // The trade's own metric figures, not converted ones: common practice.
    const auto metric = rulesPage(*inUnits(library(), Units::centimetres).book, Units::centimetres);
    EXPECT_NE(metric.find("Band: 30 to 45 cm (low-and-close)"), std::string::npos);
    EXPECT_EQ(metric.find(" in ("), std::string::npos);
    EXPECT_EQ(metric.find('"'), std::string::npos) << metric.substr(metric.find('"') - 200, 300);
}

TEST(Texts, NothingIsSaidPastThem) {
    const auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                              "coffee table 16 from sofa, centred on sofa",
                              "picture on wall C, centred on wall C", "console against wall B",
                              "vase on console"});
    const Brackets on;
    for (const char* line : {"move sofa 6 left", "size sofa 78 x 36", "rename sofa to settee",
                             "lock sofa", "turn coffee table a quarter", "vase on the floor",
                             "picture 6 up", "remove sofa", "sofa seat 16"}) {
        const auto said = readLine(line, job);
        ASSERT_TRUE(said) << line << ": " << said.problem().text();
        EXPECT_EQ(outside(said->preview), "") << line << ": " << said->preview;
    }
    for (const char* line :
         {"soffa against wall A", "stool against wall Q", "move table", "turn sofa to face soffa",
          "scheme 4", "units furlongs", "stool 6 above sofa", "size sofa 0 x 3",
          "stool called sofa", "picture facing sofa", "sofa against wall A, 20 from wall C",
          "coffee table 10 from coffee table", "sofa in corner AC", "band seat-to-table 14",
          "zone Seating", "seat sofa with 4", "stool gap 3", "stool centred on corner AB"}) {
        const auto p = refusal(job, line);
        ASSERT_FALSE(p.what.empty()) << line;
        EXPECT_EQ(outside(p.sentence()), "") << line << ": " << p.sentence();
    }
}
