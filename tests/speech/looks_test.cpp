// How a new thing looks, said before it is named: what is a colour is kept, what is no size or is
// not drawn is told.
#include "jobs.h"
#include "measure/text.h"
#include "speech/looks.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

Result<Spoken> said(const Project& job, const std::string& line) {
    return readSpoken(line, job, listening(0));
}

const Piece* added(const Project& job, const Spoken& s) {
    for (const Act& a : s.said.edit.acts)
        if (const auto* put = std::get_if<PutPiece>(&a);
            put != nullptr && job.scheme().byId(put->piece.id) == nullptr)
            return &put->piece;
    return nullptr;
}

} // namespace

TEST(Looks, AreWhatStandsBeforeTheNoun) {
    struct Case {
        const char* sentence;
        const char* plain;
        const char* size;
        const char* made;
        const char* colour;
    };
    for (const Case& c :
         {Case{"a big sofa on wall A", "a sofa on wall A", "big", "", ""},
          Case{"put a tall thin lamp in corner AB", "put a lamp in corner AB", "tall thin", "", ""},
          Case{"a dark green velvet armchair", "a armchair", "", "velvet", "dark green"},
          Case{"two old, white wooden chairs", "two chairs", "", "old wooden", "white"},
          Case{"leather sofa", "sofa", "", "leather", ""}}) {
        const auto looks = looksSaid(c.sentence);
        ASSERT_TRUE(looks) << c.sentence;
        EXPECT_EQ(looks->plain, c.plain);
        EXPECT_EQ(looks->size, c.size);
        EXPECT_EQ(looks->made, c.made);
        EXPECT_EQ(looks->colourWords, c.colour);
        EXPECT_EQ(looks->colour.has_value(), *c.colour != 0);
    }
    for (const char* none : {"a sofa on wall A", "big", "put it there", "", "a biggish sofa"})
        EXPECT_FALSE(looksSaid(none)) << none;
}

TEST(Looks, AColourIsTheNewThings) {
    const auto job = jobWith({});
    const auto s = said(job, "a navy leather sofa on wall B");
    ASSERT_TRUE(s) << s.problem().text();
    const Piece* sofa = added(job, *s);
    ASSERT_NE(sofa, nullptr);
    ASSERT_TRUE(sofa->thing && sofa->thing->colour);
    EXPECT_EQ(colourWord(*sofa->thing->colour), "navy");
    EXPECT_NE(s->said.preview.find("in navy"), std::string::npos) << s->said.preview;
    EXPECT_NE(s->said.preview.find("“leather” is not drawn"), std::string::npos);
    // And it is there once it is done.
    const auto after = apply(job, s->said.edit);
    ASSERT_TRUE(after);
    EXPECT_TRUE(after->project->scheme().byName("Sofa")->thing->colour);
}

TEST(Looks, AreOfWhatIsNamedFirst) {
    const auto job = jobWith({});
    for (const char* line : {"a navy dressing table with a stool on wall B",
                             "a navy sofa on wall B with a floor lamp beside it"}) {
        const auto s = said(job, line);
        ASSERT_TRUE(s) << line << ": " << s.problem().text();
        int navy = 0, plain = 0;
        for (const Act& a : s->said.edit.acts)
            if (const auto* put = std::get_if<PutPiece>(&a))
                ++(put->piece.thing && put->piece.thing->colour ? navy : plain);
        EXPECT_EQ(navy, 1) << line;
        EXPECT_EQ(plain, 1) << line;
    }
    // As many as there are of it.
    const auto two = said(job, "two navy armchairs on wall B");
    ASSERT_TRUE(two);
    for (const Act& a : two->said.edit.acts)
        if (const auto* put = std::get_if<PutPiece>(&a))
            EXPECT_TRUE(put->piece.thing && put->piece.thing->colour) << put->piece.name;
}

TEST(Looks, WhatIsNoSizeIsTold) {
    const auto job = jobWith({});
    const auto s = said(job, "a big armchair on wall B");
    ASSERT_TRUE(s);
    EXPECT_NE(s->said.preview.find("“big” is no size"), std::string::npos) << s->said.preview;
}

TEST(Looks, WhatIsThereIsNotTakenForAnother) {
    const auto job = jobWith({"sofa against wall B"});
    EXPECT_FALSE(said(job, "the enormous leather sofa")) << "nothing is said of it";
}

TEST(Looks, WhatStandsAgainstThePlainOneIsTold) {
    const auto job = jobWith({"bookcase 36 x 12 x 78 against wall B, 8 from corner AB"});
    const auto plain = said(job, "sofa 300 wide on wall B");
    const auto looked = said(job, "a leather sofa 300 wide on wall B");
    ASSERT_FALSE(plain);
    ASSERT_FALSE(looked);
    EXPECT_EQ(looked.problem().what, plain.problem().what);
}
