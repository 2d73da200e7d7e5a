// Every phrase and verb of the tables: what the help gives as an example can be said, does
// something, and ends a name that stands before it.
#include "edit/phrase.h"
#include "edit/things_said.h"
#include "edit/verb.h"
#include "jobs.h"
#include "speech/line_page.h"

#include <set>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const char* notes() {
    return "room Plain\nceiling 8' 6\"\nskirting 6\npicture rail 6' 11\"\nwall A 20'\n"
           " stairs 0 from left, 36 wide, riser 7, going 10, count 8, up left\n"
           " window 7' 6\" from left, 5' wide, 4' high, sill 32\nwall B 15'\nwall C 20'\n"
           " door 2' from left, 32 wide, 80 high, hinge right, swings in, undercut 3/4\n"
           "wall D 15'\n";
}

const Project& furnished() {
    static const Project job = jobWith(
        {"sofa 84 x 36 against wall C, 20 from corner CD", "coffee table 40 from sofa",
         "round table 54 called supper table at 14', 9'",
         "sideboard against wall D, 10 from corner CD",
         "console 60 x 16 against wall B, centred on wall B",
         "low bookcase against wall D, 6 from corner DA called bookcase", "bed 60 x 80 at 5', 5'",
         "vase 6 x 6 x 10 on sideboard, at 0, 0", "rug 96 x 60 at 9', 7'",
         "pendant centred on room, bottom at 80",
         "picture 20 x 16 on wall A, at 15', 60 called mill",
         "picture 12 x 16 on wall A, at 18', 64 called barn, on two rings",
         "picture 12 x 10 on wall A, at 17', 40 called harbour",
         "mirror 14 x 20 on wall A, at 19', 30", "floating shelf 36 x 8 on wall B, top at 60"},
        notes());
    return job;
}

std::vector<std::string> parts(std::string_view all) {
    std::vector<std::string> out;
    while (!all.empty()) {
        const auto end = all.find("; ");
        out.emplace_back(all.substr(0, end));
        all = end == std::string_view::npos ? std::string_view() : all.substr(end + 2);
    }
    return out;
}

/// What is there to say an example of, and a kind of the same surface.
std::pair<std::string, std::string> subjectOf(const Phrase& p, const std::string& example) {
    if (example.find("front legs") != std::string::npos || example.starts_with("under"))
        return {"rug", "rug"};
    if (p.of.has(SaidOf::rug))
        return {"rug", "small rug"};
    if (example.starts_with("finished"))
        return {"sideboard", "sideboard"};
    if (example.starts_with("seat") || example.starts_with("arm"))
        return {"sofa", "armchair"};
    for (const char* unit : {"shelves", "upright", "openings", "boards", "pins"})
        if (example.find(unit) != std::string::npos)
            return {"bookcase", "bookcase"};
    if (p.of.has(SaidOf::floor))
        return {"coffee table", "armchair"};
    if (p.of.has(SaidOf::board))
        return {"vase", "candlestick"};
    if (p.of.has(SaidOf::ceiling))
        return {"pendant", "chandelier"};
    return {"barn", "canvas"};
}

} // namespace

TEST(Examples, OfPhrasesCanBeSaidAndDoSomething) {
    const auto before = jobText(furnished());
    for (const PhraseGroup& g : phraseGroups())
        for (const Phrase& p : g.phrases)
            for (const auto& example : parts(p.example)) {
                const auto line = subjectOf(p, example).first + " " + example;
                const auto said = readLine(line, furnished());
                ASSERT_TRUE(said) << line << ": " << said.problem().text();
                const auto after = apply(furnished(), said->edit);
                ASSERT_TRUE(after) << line << ": " << after.problem().text();
                EXPECT_NE(jobText(*after->project), before) << line << " does nothing";
            }
}

TEST(Examples, EndANameThatStandsBeforeThem) {
    int tried = 0;
    for (const PhraseGroup& g : phraseGroups())
        for (const Phrase& p : g.phrases)
            for (const auto& example : parts(p.example)) {
                const auto line = subjectOf(p, example).second + " called Alba " + example;
                const auto said = readLine(line, furnished());
                if (!said) // what is new has no place to step from
                    continue;
                const auto after = apply(furnished(), said->edit);
                ASSERT_TRUE(after) << line;
                if (!example.starts_with("called"))
                    EXPECT_NE(after->project->scheme().byName("Alba"), nullptr) << line;
                ++tried;
            }
    EXPECT_GE(tried, 60);
}

TEST(Examples, OfVerbsCanBeSaid) {
    auto job = furnished();
    for (const auto& list :
         {pieceVerbs(), arrangingVerbs(), groupVerbs(), jobVerbs(), lightVerbs(), dressingVerbs()})
        for (const VerbHelp& v : list)
            for (const auto& example : parts(v.example)) {
                // Some speak of what another one makes.
                auto with = job;
                const auto first = [&](const char* line) {
                    const auto made = readLine(line, with);
                    ASSERT_TRUE(made) << line << ": " << made.problem().text();
                    with = *apply(with, made->edit)->project;
                };
                if (example.find("trio") != std::string::npos && !example.starts_with("group"))
                    first("group harbour, mill and barn as a row, gap 2, called trio");
                if (example.starts_with("size all") ||
                    example.find("armchairs") != std::string::npos)
                    first("seat supper table with 4");
                if (example.find("from sofa") != std::string::npos)
                    first("coffee table 16 from sofa");
                if (example.find("Supper") != std::string::npos && !example.starts_with("zone"))
                    first("light zone Supper is pendant");
                if (example == "light the tasks")
                    first("desk at 10', 4'");
                if (example == "stock remove brass bowl")
                    first("stock brass bowl 10 dia x 5");
                if (example == "scene remove Supper")
                    first("scene Supper is Supper 60 %");
                if (example == "zone remove Seating")
                    first("zone Seating is sofa and rug");
                if (example == "scheme remove" || example.starts_with("scheme get back"))
                    first("scheme new called Winter");
                if (example.starts_with("scheme get back"))
                    first("scheme remove");
                const auto said = readLine(example, with);
                EXPECT_TRUE(said) << example << ": " << said.problem().text();
            }
}

TEST(Examples, NamesMayHoldWordsOfPhrasesThatMeanNothingThere) {
    // A frame, a seat or a drop is a phrase only with its length.
    for (const char* name : {"Frame of mind", "Corner seat", "Drop leaf", "Chest of drawers",
                             "Two hooks print", "Wire basket", "Top shelf", "Old place card"}) {
        const auto job = furnished();
        const auto said = readLine(std::string("armchair called ") + name + ", at 9', 9'", job);
        ASSERT_TRUE(said) << name << ": " << said.problem().text();
        const auto after = apply(job, said->edit);
        ASSERT_TRUE(after) << name;
        EXPECT_NE(after->project->scheme().byName(name), nullptr) << name;
    }
}

TEST(Examples, ANameMayEndInAFigure) {
    // "0 under" is a clause about what hangs, and a rug does not.
    const auto job = jobWith({"sofa called Sofa 0 against wall A", "coffee table called Low 0",
                              "rug 96 x 60 called Rug 0 under Sofa 0 and Low 0"});
    for (const char* name : {"Sofa 0", "Low 0", "Rug 0"})
        EXPECT_NE(job.scheme().byName(name), nullptr) << name;
    // Of a picture it is one.
    const auto art = jobWith({"sofa against wall A", "picture called Mill 6 above sofa"});
    EXPECT_NE(art.scheme().byName("Mill"), nullptr);
}

TEST(Examples, CalledAddsWhereverItIsSaid) {
    const auto job = jobWith({"picture on wall A", "picture on wall C called P1"});
    EXPECT_NE(job.scheme().byName("Picture"), nullptr);
    EXPECT_NE(job.scheme().byName("P1"), nullptr);
}

TEST(Examples, WhatIsSaidOfOtherThingsIsToldSo) {
    const auto job = furnished();
    EXPECT_NE(refusal(job, "sofa 6 above coffee table").what.find("stands on the floor"),
              std::string::npos);
    EXPECT_NE(refusal(job, "coffee table on sideboard").what.find("doesn't go with"),
              std::string::npos);
    EXPECT_NE(refusal(job, "barn facing sofa").what.find("hangs on a wall"), std::string::npos);
}

TEST(Examples, ThePageTellsEveryOne) {
    const auto page = linePage();
    for (const PhraseGroup& g : phraseGroups()) {
        EXPECT_NE(page.find(g.title), std::string::npos);
        for (const Phrase& p : g.phrases) {
            EXPECT_FALSE(p.begins.empty());
            for (const auto& example : parts(p.example))
                EXPECT_NE(page.find("`" + example + "`"), std::string::npos) << example;
        }
    }
}
