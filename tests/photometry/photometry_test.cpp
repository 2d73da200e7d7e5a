// Photometric files: what is read, how it shines between its angles, what is refused.
#include "photometry/photometry.h"

#include <fmt/format.h>
#include <gtest/gtest.h>

#include <cmath>
#include <numbers>

using namespace mezzet;

namespace {

constexpr double pi = std::numbers::pi;

/// A file of one plane, by a function of the vertical angle in degrees.
template <class F> std::string plane(F candela, double step = 2.5, double to = 180) {
    std::string v;
    std::string c;
    int n = 0;
    for (double a = 0; a <= to + 1e-9; a += step, ++n) {
        v += fmt::format("{} ", a);
        c += fmt::format("{:.6f}\n", candela(a));
    }
    return fmt::format("IESNA:LM-63-2002\n[LUMINAIRE] A plane\nTILT=NONE\n1 -1 1 {} 1 1 2 0 0 0\n1 "
                       "1 12\n{}\n0\n{}",
                       n, v, c);
}

Photometry read(const std::string& text, const char* name = "a.ies") {
    auto out = readPhotometry(text, name);
    if (!out)
        throw std::runtime_error(out.problem().text());
    return *out;
}

std::string refused(const std::string& text, const char* name = "a.ies") {
    const auto out = readPhotometry(text, name);
    return out ? std::string() : out.problem().text();
}

/// EULUMDAT of a symmetry, with planes every 90 degrees and angles every 45, cd for 1000 lm.
std::string ldt(int symmetry, int planes, double apart, const std::string& values,
                double flux = 2000) {
    std::string out =
        fmt::format("House\n1\n{}\n{}\n{}\n5\n45\nno report\nA lamp\n1\nlamp.ldt\n"
                    "2026-11-29\n600\n100\n50\n500\n80\n0\n0\n0\n0\n100\n100\n1\n0\n1\n"
                    "1\nled\n{}\n3000\n80\n20\n",
                    symmetry, planes, apart, flux);
    for (int i = 0; i < 10; ++i)
        out += "0.5\n";
    for (int i = 0; i < planes; ++i)
        out += fmt::format("{}\n", i * apart);
    return out + "0\n45\n90\n135\n180\n" + values;
}

} // namespace

// The same all round gives 4 pi I; a diffuse one pi I (both by integration).
TEST(Photometry, LumensAreTheIntegralOverTheSphere) {
    EXPECT_NEAR(read(plane([](double) { return 100.0; })).lumens(), 400 * pi, 1e-6);
    const auto diffuse =
        read(plane([](double v) { return v < 90 ? 100 * std::cos(v * pi / 180) : 0; }));
    EXPECT_NEAR(diffuse.lumens(), 100 * pi, 0.1);
    // 2 pi / (n + 1) of a power n of the cosine.
    const auto narrow = read(
        plane([](double v) { return v < 90 ? 100 * std::pow(std::cos(v * pi / 180), 4) : 0; }));
    EXPECT_NEAR(narrow.lumens(), 100 * 2 * pi / 5, 0.2);
}

TEST(Photometry, WhatIsMirroredShinesAsWell) {
    for (const char* planes : {"0 90", "0 180", "90 270"}) {
        const auto p = read(fmt::format("IESNA91\nTILT=NONE\n1 -1 1 3 2 1 2 0 0 0\n1 1 10\n0 90 "
                                        "180\n{}\n100 100 100\n100 100 100\n",
                                        planes));
        EXPECT_NEAR(p.lumens(), 400 * pi, 1e-6) << planes;
    }
}

TEST(Photometry, ALineIsStraightBetweenTwoAngles) {
    const auto p = read("IESNA91\nTILT=NONE\n2 500 2 3 3 1 1 1 2 0\n0.5 1 30\n0 45 90\n0 45 90\n"
                        "10 20 30\n40 50 60\n70 80 90\n");
    EXPECT_DOUBLE_EQ(p.watts, 30);
    EXPECT_DOUBLE_EQ(p.lampLumens, 1000);
    EXPECT_DOUBLE_EQ(p.width, 304.8);
    EXPECT_DOUBLE_EQ(p.length, 609.6);
    // Multiplier 2 times ballast factor 0.5.
    EXPECT_DOUBLE_EQ(p.at(0, 0), 10);
    EXPECT_DOUBLE_EQ(p.at(22.5, 0), 15);
    EXPECT_DOUBLE_EQ(p.at(22.5, 22.5), 30);
    EXPECT_DOUBLE_EQ(p.at(90, 90), 90);
    EXPECT_DOUBLE_EQ(p.at(91, 0), 0);
    // A quarter is the same in all four.
    EXPECT_DOUBLE_EQ(p.at(45, 135), p.at(45, 45));
    EXPECT_DOUBLE_EQ(p.at(45, -45), p.at(45, 45));
    EXPECT_DOUBLE_EQ(p.at(45, 200), p.at(45, 20));
}

TEST(Photometry, HalvesAreMirrored) {
    const auto half =
        read("IESNA:LM-63-1995\nTILT=NONE\n1 1000 1 2 3 1 2 0 0 0\n1 1 10\n0 90\n0 90 "
             "180\n1 2\n3 4\n5 6\n");
    EXPECT_DOUBLE_EQ(half.at(90, 270), half.at(90, 90));
    EXPECT_DOUBLE_EQ(half.at(90, 225), half.at(90, 135));
    const auto other = read("IESNA:LM-63-1995\nTILT=NONE\n1 1000 1 2 3 1 2 0 0 0\n1 1 10\n0 90\n90 "
                            "180 270\n1 2\n3 4\n5 6\n");
    EXPECT_DOUBLE_EQ(other.at(90, 0), other.at(90, 180));
    EXPECT_DOUBLE_EQ(other.at(90, 45), other.at(90, 135));
    EXPECT_DOUBLE_EQ(other.at(90, 315), other.at(90, 225));
}

TEST(Photometry, EveryEditionOfTheStandardIsRead) {
    const std::string body = "TILT=NONE\n1 1000 1 3 1 1 2 0 0 0\n1 1 10\n0 45 90\n0\n100 80 0\n";
    for (const char* head : {"An old one of 1986\n", "IESNA91\n[TEST] 1\n", "IESNA:LM-63-1995\n",
                             "IESNA:LM-63-2002\n[TEST] 1\n[MORE] 2\n"})
        EXPECT_DOUBLE_EQ(read(head + body).at(45, 0), 80) << head;
    const auto tilted =
        read("IESNA91\nTILT=INCLUDE\n1\n3\n0 45 90\n1 0.9 0.8\n1 1000 1 3 1 1 2 0 0 "
             "0\n1 1 10\n0 45 90\n0\n100 80 0\n");
    EXPECT_DOUBLE_EQ(tilted.at(0, 0), 100);
    // Line ends of three sorts, commas between figures.
    EXPECT_DOUBLE_EQ(
        read("IESNA91\r\nTILT=NONE\r1,1000,1,3,1,1,2,0,0,0\n1 1 10\r\n0 45 90\r0\r100 80 "
             "0")
            .at(45, 0),
        80);
}

// Types A and B of a steady 100 cd over the half before them give 2 pi I.
TEST(Photometry, TypesAAndBCountTheirOwnAngles) {
    for (const int type : {2, 3}) {
        const auto p = read(fmt::format("IESNA91\nTILT=NONE\n1 -1 1 3 3 {} 2 0 0 0\n1 1 10\n-90 0 "
                                        "90\n-90 0 90\n100 100 100\n100 100 100\n100 100 100\n",
                                        type));
        EXPECT_NEAR(p.lumens(), 200 * pi, 1e-6) << type;
        EXPECT_DOUBLE_EQ(p.along(0, 0, 1), 100);
        EXPECT_DOUBLE_EQ(p.along(0, 0, -1), 0);
    }
    // Type A: V is up and down whatever H is; type B: H is to the side whatever V is.
    const auto a =
        read("IESNA91\nTILT=NONE\n1 -1 1 3 2 3 2 0 0 0\n1 1 10\n-90 0 90\n0 90\n0 1 2\n10 "
             "11 12\n");
    EXPECT_NEAR(a.along(0, 1, 0), 2, 1e-9);
    EXPECT_NEAR(a.along(1, 0, 0), 11, 1e-9);
    EXPECT_NEAR(a.along(-1, 0, 0), 11, 1e-9);
    const auto b =
        read("IESNA91\nTILT=NONE\n1 -1 1 3 2 2 2 0 0 0\n1 1 10\n-90 0 90\n0 90\n0 1 2\n10 "
             "10 10\n");
    EXPECT_NEAR(b.along(0, 1, 0), 2, 1e-9);
    EXPECT_NEAR(b.along(1, 0, 0), 10, 1e-9);
}

TEST(Photometry, DirectionsAreTheFixturesOwn) {
    const auto p = read("IESNA91\nTILT=NONE\n1 -1 1 2 5 1 2 0 0 0\n1 1 10\n0 180\n0 90 180 270 "
                        "360\n1 1\n2 2\n3 3\n4 4\n1 1\n");
    EXPECT_NEAR(p.along(1, 0, 0), 1, 1e-9);
    EXPECT_NEAR(p.along(0, 1, 0), 2, 1e-9);
    EXPECT_NEAR(p.along(-1, 0, 0), 3, 1e-9);
    EXPECT_NEAR(p.along(0, -1, 0), 4, 1e-9);
    EXPECT_NEAR(p.along(1, 1, 0), 1.5, 1e-9);
}

TEST(Photometry, EulumdatIsInCandelaForAThousandLumens) {
    const auto round = read(ldt(1, 24, 15, "100\n80\n60\n40\n20\n"), "a.ldt");
    EXPECT_DOUBLE_EQ(round.at(0, 0), 200);
    EXPECT_DOUBLE_EQ(round.at(67.5, 123), 140);
    EXPECT_DOUBLE_EQ(round.watts, 20);
    EXPECT_DOUBLE_EQ(round.length, 500);
    EXPECT_EQ(round.name, "A lamp");
    const auto quarter = read(ldt(4, 4, 90, "1\n2\n3\n4\n5\n11\n12\n13\n14\n15\n", 1000), "a.ldt");
    EXPECT_DOUBLE_EQ(quarter.at(45, 0), 2);
    EXPECT_DOUBLE_EQ(quarter.at(45, 90), 12);
    EXPECT_DOUBLE_EQ(quarter.at(45, 180), 2);
    EXPECT_DOUBLE_EQ(quarter.at(45, 225), 7);
    // C90 to C270 alike on both sides: planes C270, C0, C90 are given.
    const auto half =
        read(ldt(3, 4, 90, "1\n1\n1\n1\n1\n2\n2\n2\n2\n2\n3\n3\n3\n3\n3\n", 1000), "a.ldt");
    EXPECT_DOUBLE_EQ(half.at(45, 270), 1);
    EXPECT_DOUBLE_EQ(half.at(45, 0), 2);
    EXPECT_DOUBLE_EQ(half.at(45, 180), 2);
    EXPECT_DOUBLE_EQ(half.at(45, 90), 3);
    EXPECT_DOUBLE_EQ(half.at(45, 135), 2.5);
    const auto all =
        read(ldt(0, 4, 90, "1\n1\n1\n1\n1\n2\n2\n2\n2\n2\n3\n3\n3\n3\n3\n4\n4\n4\n4\n4\n", 1000),
             "a.ldt");
    EXPECT_DOUBLE_EQ(all.at(45, 270), 4);
    EXPECT_DOUBLE_EQ(all.at(45, 315), 2.5);
    const auto c0 =
        read(ldt(2, 4, 90, "1\n1\n1\n1\n1\n2\n2\n2\n2\n2\n3\n3\n3\n3\n3\n", 1000), "a.ldt");
    EXPECT_DOUBLE_EQ(c0.at(45, 270), 2);
    EXPECT_DOUBLE_EQ(c0.at(45, 180), 3);
}

TEST(Photometry, WhatIsWrittenIsReadAgain) {
    for (const std::string& text :
         {plane([](double v) { return 300 * std::exp(-v / 30); }),
          std::string(
              "IESNA91\nTILT=NONE\n1 -1 1 3 2 3 2 0.1 0.2 0\n1 1 10\n-90 0 90\n0 90\n0 1.25 "
              "2\n10 11 12\n"),
          std::string(
              "IESNA91\n[LUMINAIRE] Disc\nTILT=NONE\n1 900 1 3 1 1 2 -0.3 -0.3 0\n1 1 10\n0 45 "
              "90\n0\n9 8 7\n")}) {
        const auto p = read(text);
        const auto again = read(writeIes(p));
        EXPECT_EQ(again.candela, p.candela);
        EXPECT_EQ(again.vertical, p.vertical);
        EXPECT_EQ(again.horizontal, p.horizontal);
        EXPECT_EQ(again.type, p.type);
        EXPECT_EQ(again.name, p.name);
        EXPECT_EQ(again.round, p.round);
        EXPECT_NEAR(again.width, p.width, 1e-9);
        EXPECT_DOUBLE_EQ(again.watts, p.watts);
        EXPECT_EQ(writeIes(again), writeIes(p));
    }
}

TEST(Photometry, DamagedFilesAreRefusedWithLineAndReason) {
    const std::string head = "IESNA91\nTILT=NONE\n";
    const struct {
        std::string text;
        const char* says;
    } all[] = {
        {"", "no TILT"},
        {"just a text\n", "no TILT"},
        {"IESNA91\nTILT=other.tlt\n1 1000 1 3 1 1 2 0 0 0\n1 1 10\n", "another file"},
        {head + "1 1000 1 3 1 1 2 0 0 0\n1 1 10\n0 45 90\n0\n100 -80 0\n", ":7:"},
        {head + "1 1000 1 3 1 1 2 0 0 0\n1 1 10\n0 45 90\n0\n100 -80 0\n", "less than none"},
        {head + "1 1000 1 3 1 1 2 0 0 0\n1 1 10\n0 45\n", "ends before"},
        {head + "1 1000 1 3 1 1 2 0 0 0\n1 1 10\n0 90 45\n0\n1 1 1\n", "comes after"},
        {head + "1 1000 1 3 1 1 2 0 0 0\n1 1 10\n0 45 90\n0\n100 80\n", "ends before value 3 of 3"},
        {head + "1 1000 1 3 1 1 2 0 0 0\n1 1 10\n0 45 90\n0\n100 80 0 7\n", "left over"},
        {head + "1 1000 1 2000 2000 1 2 0 0 0\n", "too many"},
        {head + "1 1000 1 3 1 4 2 0 0 0\n", "photometric type"},
        {head + "1 1000 1 3 1 1 3 0 0 0\n", "units"},
        {head + "1 1000 0 3 1 1 2 0 0 0\n", "multiplier"},
        {head + "1 1000 1 3 1 1 2 0 0 0\n1 1 10\n0 45 80\n0\n1 1 1\n", "0 to 90"},
        {head + "1 1000 1 3 2 1 2 0 0 0\n1 1 10\n0 45 90\n0 100\n1 1 1 1 1 1\n",
         "0, 90, 180 or 360"},
        {head + "1 1000 1 three 1 1 2 0 0 0\n", "no figure"},
        {head + "1 1000 1 3 1 1 2 0 0 0\n1 1 nan\n", "no figure"},
        {head + "1 1e999 1 3 1 1 2 0 0 0\n", "no figure"},
    };
    for (const auto& one : all) {
        const auto told = refused(one.text);
        EXPECT_NE(told.find(one.says), std::string::npos) << one.text << "\n" << told;
    }
    EXPECT_NE(refused(ldt(1, 24, 15, "100\n80\n-60\n40\n20\n"), "a.ldt").find("value 3 of 5"),
              std::string::npos);
    EXPECT_NE(refused(ldt(1, 24, 15, "100\n80\n"), "a.ldt").find("ends before"), std::string::npos);
    EXPECT_NE(refused(ldt(9, 24, 15, "100\n"), "a.ldt").find("symmetry"), std::string::npos);
    EXPECT_NE(refused("House\n1\n", "a.ldt").find("ends before"), std::string::npos);
}

TEST(Photometry, BeamAndFieldAreWholeAngles) {
    // cos^n falls to a half where cos v = 2^(-1/n).
    const auto p = read(
        plane([](double v) { return v < 90 ? std::pow(std::cos(v * pi / 180), 4.82) : 0; }, 1));
    EXPECT_NEAR(p.spread(0.5), 60, 0.6);
    EXPECT_NEAR(p.spread(0.1), 2 * std::acos(std::pow(0.1, 1 / 4.82)) * 180 / pi, 0.6);
}
