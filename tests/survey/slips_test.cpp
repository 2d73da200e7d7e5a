// Slips planted in rooms that are taped well: the program, not the customer, finds them.
#include "rounds.h"
#include "survey/rooms_made.h"
#include "survey/slip.h"

#include <gtest/gtest.h>

#include <cstdlib>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// What a tape reads: to the eighth, with an honest error.
Length read(double mm, std::mt19937& random) {
    std::normal_distribution<double> error(0, 2.0);
    return rounded(Length::millimetres(mm + error(random)), {Units::feetAndInches, 8});
}

struct Kind {
    const char* name;
    const char* says;
    /// What was written for a length read; empty when this slip can't befall it.
    std::string (*slip)(Length, std::mt19937&);
};

std::string plain(Length l) {
    return write(l, {Units::feetAndInches, 8});
}

const Kind kinds[] = {
    {"a foot dropped", "a foot dropped",
     [](Length l, std::mt19937&) { return plain(l - Length::feet(1)); }},
    {"a foot too many", "a foot too many",
     [](Length l, std::mt19937&) { return plain(l + Length::feet(1)); }},
    {"figures swapped", "swapped",
     [](Length l, std::mt19937&) {
         // 12' 4" for 21' 4", 4' 10" for 10' 4".
         const int feet = static_cast<int>(l / Length::feet(1));
         const double inches = (l - Length::feet(feet)).inInches();
         const int whole = static_cast<int>(inches);
         if (std::abs(feet - whole) < 2 || feet > 11)
             return std::string();
         return plain(Length::feet(whole) + Length::inches(feet + inches - whole));
     }},
    {"the wrong side of the foot mark", "wrong side of the foot mark",
     [](Length l, std::mt19937&) {
         const Length mark = Length::feet(std::round(l / Length::feet(1)));
         const Length off = abs(mark - l);
         if (off < Length::inches(2.5) || off > Length::inches(5.5))
             return std::string();
         return plain(mark * 2 - l);
     }},
    {"centimetres for inches", "centimetres written as inches",
     [](Length l, std::mt19937&) { return fmt::format("{:.0f}", l.mm() / 10); }},
};

} // namespace

TEST(Slips, OfEachKindAreFoundFirstInWellBracedRooms) {
    for (const Kind& kind : kinds) {
        std::mt19937 random(501);
        int planted = 0, found = 0, named = 0;
        std::string missed;
        const int rooms = rounds(100, 1000);
        while (planted < rooms) {
            const auto corners = steppedRoom(random);
            const auto count = static_cast<int>(corners.size());
            const int at = static_cast<int>(random() % static_cast<unsigned>(count));
            bool slipped = false;
            const auto notes = bracedNotes(corners, [&](double mm, int k) {
                const Length l = read(mm, random);
                if (k != at)
                    return plain(l);
                const auto wrong = kind.slip(l, random);
                slipped = !wrong.empty();
                return slipped ? wrong : plain(l);
            });
            if (!slipped)
                continue;
            ++planted;
            const auto r = roomFromNotes(notes);
            // What is so wrong that the outline crosses itself is refused at that wall, or near.
            if (!r)
                continue;
            const auto& fit = (*r)->fit;
            if (!fit.suspects.empty() &&
                fit.items[static_cast<std::size_t>(fit.suspects[0].item)].name ==
                    "wall " + wallName(at)) {
                ++found;
                named += fit.suspects[0].slip.find(kind.says) != std::string::npos ? 1 : 0;
            } else {
                missed += notes +
                          (fit.suspects.empty() ? std::string("nothing") : fit.suspects[0].words) +
                          "\n";
            }
        }
        EXPECT_GE(found, rooms * 95 / 100) << kind.name << "\n" << missed;
        EXPECT_GE(named, rooms * 80 / 100) << kind.name;
    }
}

TEST(Slips, HonestRoomsHaveHardlyAnySuspect) {
    std::mt19937 random(77);
    int suspected = 0;
    for (int i = 0; i < 200; ++i) {
        const auto r = roomFromNotes(bracedNotes(
            steppedRoom(random), [&](double mm, int) { return plain(read(mm, random)); }));
        ASSERT_TRUE(r) << r.problem().text();
        EXPECT_TRUE((*r)->closed) << (*r)->closure.words;
        suspected += (*r)->fit.suspects.empty() ? 0 : 1;
    }
    EXPECT_LE(suspected, 4);
}

TEST(Slips, ABlunderOfTenStandardErrorsInOneRunIsTheOnePointedAt) {
    // Baarda's data snooping, after any textbook of adjustment: the largest standardised residual.
    // A hexagon with all nine diagonals leaves no room for doubt.
    std::mt19937 random(9);
    std::vector<Vec2> hexagon;
    for (int i = 0; i < 6; ++i) {
        const Angle a = Angle::degrees(60.0 * i);
        hexagon.push_back(turned({2500, 0}, a));
    }
    int found = 0;
    for (int i = 0; i < 100; ++i) {
        const int at = static_cast<int>(random() % 6);
        const auto notes = bracedNotes(
            hexagon,
            [&](double mm, int k) {
                const double sigma = Weights{}.tape.of(Length::millimetres(mm)).mm();
                std::normal_distribution<double> error(0, sigma);
                return fmt::format("{:.2f}mm", mm + (k == at ? 10 * sigma : error(random)));
            },
            "units mm\ntolerance 1 in 50\n");
        const auto r = roomFromNotes(notes);
        ASSERT_TRUE(r);
        const auto& fit = (*r)->fit;
        found += !fit.suspects.empty() && fit.suspects[0].item == at ? 1 : 0;
    }
    EXPECT_GE(found, 95);
}

TEST(Slips, AreToldInWords) {
    const auto words = [](const char* written, const char* likely, Units bare) {
        const Taped t{*readLength(written, bare), written, Tool::tape};
        return slipWords(t, *readLength(likely, bare), Length::inches(0.25), bare);
    };
    using U = Units;
    EXPECT_EQ(words("13' 4\"", "14' 4\"", U::feetAndInches), "a foot dropped");
    EXPECT_EQ(words("12' 2\"", "11' 10\"", U::feetAndInches),
              "inches read from the wrong side of the foot mark");
    EXPECT_EQ(words("5' 7\"", "7' 5\"", U::feetAndInches), "the figures 5 and 7 swapped");
    EXPECT_EQ(words("10' 4\"", "4' 10\"", U::feetAndInches), "the feet and the inches swapped");
    EXPECT_EQ(words("98", "38.58", U::inches), "centimetres written as inches");
    EXPECT_EQ(words("3450", "3540", U::millimetres), "the figures 4 and 5 swapped");
    EXPECT_EQ(words("3450", "4450", U::millimetres), "a metre dropped");
    EXPECT_EQ(words("16' 3\"", "19' 3\"", U::feetAndInches), "a 9 read as a 6");
    EXPECT_EQ(words("13' 4\"", "13' 4 1/8\"", U::feetAndInches), "") << "that is no slip";
    EXPECT_EQ(words("13' 4\"", "13' 9 1/2\"", U::feetAndInches), "") << "none that is known";
    EXPECT_EQ(angleSlipWords(153, 135, 1), "the figures 5 and 3 swapped");
    EXPECT_EQ(angleSlipWords(45, 135, 1), "the angle was read from the wrong side");
    EXPECT_EQ(angleSlipWords(90, 270, 1), "it is an outside corner");
}

TEST(Slips, ACornerTurnedTheWrongWayIsNamed) {
    // An L whose outside corner was not written down.
    const auto r =
        roomFromNotes("wall A 10'\nwall B 6'\nwall C 4'\nwall D 4'\nwall E 6'\nwall F 10'");
    ASSERT_TRUE(r);
    EXPECT_FALSE((*r)->closed);
    ASSERT_FALSE((*r)->fit.suspects.empty());
    EXPECT_NE((*r)->fit.suspects[0].words.find("the corner of C and D “out”"), std::string::npos)
        << (*r)->closure.words;
}

TEST(Slips, PartsAlongAWallCheckItsRun) {
    // 3' 0", 5' 0" and 5' 0" make 13', and the wall is 14': a foot dropped in one of the parts.
    const auto r = roomFromNotes("wall A 14'\n window 3' 0\" from left, 5' 0\" wide, 5' 0\" from "
                                 "right\nwall B 12'\nwall C 14'\nwall D 12'\n"
                                 "diagonal A to C 18' 5 1/4\"\ndiagonal B to D 18' 5 1/4\"");
    ASSERT_TRUE(r) << r.problem().text();
    const auto& fit = (*r)->fit;
    ASSERT_FALSE(fit.suspects.empty());
    EXPECT_EQ(fit.items[static_cast<std::size_t>(fit.suspects[0].item)].name,
              "the parts along wall A");
    EXPECT_NE(fit.suspects[0].slip.find("a foot dropped"), std::string::npos);
}

TEST(Slips, WithNothingToChooseBetweenThemBothWallsAreNamed) {
    const auto r = roomFromNotes("wall A 14'\nwall B 12'\nwall C 13'\nwall D 12'");
    ASSERT_TRUE(r);
    const auto& words = (*r)->closure.words;
    EXPECT_NE(words.find("all A"), std::string::npos) << words;
    EXPECT_NE(words.find("all C"), std::string::npos) << words;
    ASSERT_TRUE((*r)->fit.next);
}
