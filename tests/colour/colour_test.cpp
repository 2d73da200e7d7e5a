// Colours: their differences by published pairs, L*a*b* against a colour library, words, families
// and what a picture is made of.
#include "colour/families.h"

#include <gtest/gtest.h>
#include <lcms2.h>

#include <cmath>
#include <fstream>
#include <random>
#include <sstream>

using namespace mezzet;

TEST(Colour, DiffersAsThePublishedPairsDo) {
    std::ifstream file(MEZZET_TEST_CASES "/ciede2000.txt");
    int pairs = 0;
    for (std::string line; std::getline(file, line);) {
        if (line.empty() || line.front() == '#')
            continue;
        std::istringstream in(line);
        Lab a;
        Lab b;
        double is = 0;
        in >> a.l >> a.a >> a.b >> b.l >> b.a >> b.b >> is;
        ASSERT_TRUE(in) << line;
        EXPECT_NEAR(colourDifference(a, b), is, 0.00005) << line;
        EXPECT_NEAR(colourDifference(b, a), is, 0.00005) << line;
        ++pairs;
    }
    EXPECT_EQ(pairs, 34);
}

TEST(Colour, DiffersAsAnotherLibraryHasIt) {
    std::mt19937 random(7);
    std::uniform_real_distribution<double> l(0, 100);
    std::uniform_real_distribution<double> ab(-90, 90);
    for (int i = 0; i < 1000; ++i) {
        const cmsCIELab a{l(random), ab(random), ab(random)};
        const cmsCIELab b{l(random), ab(random), ab(random)};
        EXPECT_NEAR(colourDifference({a.L, a.a, a.b}, {b.L, b.a, b.b}),
                    cmsCIE2000DeltaE(&a, &b, 1, 1, 1), 1e-6);
    }
}

TEST(Colour, IsLabAsAColourLibraryHasItUnderD65) {
    // Little CMS works under D50: its own XYZ of sRGB is taken back to D65 by its adaptation, and
    // then to L*a*b* against the white of D65.
    const cmsHPROFILE srgb = cmsCreate_sRGBProfile();
    const cmsHPROFILE xyz = cmsCreateXYZProfile();
    const cmsHTRANSFORM to =
        cmsCreateTransform(srgb, TYPE_RGB_DBL, xyz, TYPE_XYZ_DBL, INTENT_RELATIVE_COLORIMETRIC,
                           cmsFLAGS_NOOPTIMIZE | cmsFLAGS_NOCACHE);
    ASSERT_NE(to, nullptr);
    const cmsCIExyY white{0.3127, 0.3290, 1};
    cmsCIEXYZ d65;
    cmsxyY2XYZ(&d65, &white);
    std::mt19937 random(11);
    std::uniform_int_distribution<int> byte(0, 255);
    for (int i = 0; i < 1000; ++i) {
        const Rgb c{static_cast<std::uint8_t>(byte(random)),
                    static_cast<std::uint8_t>(byte(random)),
                    static_cast<std::uint8_t>(byte(random))};
        const double rgb[3] = {c.r / 255.0, c.g / 255.0, c.b / 255.0};
        cmsCIEXYZ d50;
        cmsDoTransform(to, rgb, &d50, 1);
        cmsCIEXYZ adapted;
        ASSERT_TRUE(cmsAdaptToIlluminant(&adapted, cmsD50_XYZ(), &d65, &d50));
        cmsCIELab lab;
        cmsXYZ2Lab(&d65, &lab, &adapted);
        const Lab own = labOf(c);
        // Its profile keeps 16 bits.
        EXPECT_NEAR(own.l, lab.L, 0.05) << hexOf(c);
        EXPECT_NEAR(own.a, lab.a, 0.12) << hexOf(c);
        EXPECT_NEAR(own.b, lab.b, 0.12) << hexOf(c);
        EXPECT_EQ(rgbOf(own), c);
    }
    cmsDeleteTransform(to);
    cmsCloseProfile(xyz);
    cmsCloseProfile(srgb);
}

TEST(Colour, GreysHaveNoColour) {
    for (int v = 0; v <= 255; v += 5) {
        const auto byte = static_cast<std::uint8_t>(v);
        const Lab lab = labOf({byte, byte, byte});
        EXPECT_NEAR(lab.a, 0, 1e-9);
        EXPECT_NEAR(lab.b, 0, 1e-9);
    }
    EXPECT_NEAR(labOf({255, 255, 255}).l, 100, 1e-9);
    EXPECT_NEAR(labOf({0, 0, 0}).l, 0, 1e-9);
    // The primaries of sRGB under D65, as handbooks have them (from memory).
    EXPECT_NEAR(labOf({255, 0, 0}).l, 53.24, 0.01);
    EXPECT_NEAR(labOf({255, 0, 0}).a, 80.09, 0.01);
    EXPECT_NEAR(labOf({255, 0, 0}).b, 67.20, 0.01);
    EXPECT_NEAR(labOf({0, 0, 255}).l, 32.30, 0.01);
    EXPECT_NEAR(labOf({0, 0, 255}).b, -107.86, 0.01);
}

TEST(Colour, IsReadAndSaidInWords) {
    EXPECT_EQ(*readColour("#b08d57"), (Rgb{0xb0, 0x8d, 0x57}));
    EXPECT_EQ(*readColour(" #FFF "), (Rgb{255, 255, 255}));
    EXPECT_EQ(*readColour("Dark Gray"), *readColour("dark grey"));
    EXPECT_EQ(hexOf({1, 171, 255}), "#01abff");
    const auto lab = readLab("lab(50,2.68,-79.8)");
    ASSERT_TRUE(lab);
    EXPECT_EQ(*lab, (Lab{50, 2.68, -79.8}));
    EXPECT_TRUE(readLab("LAB( 50 , 2.68 , -79.8 )"));
    for (const char* wrong : {"", "#12", "#12345g", "mauvish", "lab(50,2)", "lab(50,2,3", "lab(,,)",
                              "lab(50,2,nan)", "lab(50,2,1e999)", "lab(120,0,0)", "lab(1,2,3,4)"})
        EXPECT_FALSE(readLab(wrong)) << wrong;
    EXPECT_EQ(colourWord({34, 46, 80}), "navy");
    EXPECT_EQ(colourWord({241, 231, 203}), "cream");
    EXPECT_EQ(colourAhead("dark green books").bytes, 10U);
    EXPECT_EQ(colourAhead("creamy books").bytes, 0U);
    EXPECT_EQ(colourAhead("#123456, 9 x 6").bytes, 7U);
    // Every word is nearer to itself than to any other.
    for (const char* word : {"white", "cream", "navy", "brass", "terracotta", "sage", "black"})
        EXPECT_EQ(colourWord(*readColour(word)), word);
}

TEST(ColourFamilies, AreSeenAsOne) {
    const std::vector<Patch> patches{{{30, 42, 74}, 3},    {{38, 60, 110}, 1}, {{240, 230, 200}, 4},
                                     {{244, 238, 218}, 1}, {{190, 40, 44}, 1}, {{30, 42, 74}, 0}};
    const auto families = familiesOf(patches);
    ASSERT_EQ(families.size(), 3U);
    EXPECT_EQ(families[0].members, (std::vector<std::size_t>{2, 3}));
    EXPECT_NEAR(families[0].share, 0.5, 1e-12);
    EXPECT_EQ(families[1].members, (std::vector<std::size_t>{0, 1, 5}));
    EXPECT_NEAR(families[1].share, 0.4, 1e-12);
    EXPECT_NEAR(families[2].share, 0.1, 1e-12);
    EXPECT_TRUE(familiesOf({}).empty());
}

TEST(ColourFamilies, MakeAPalette) {
    const auto of = [](std::vector<Patch> patches, double least, double most) {
        return choosePalette(familiesOf(patches), least, most);
    };
    const Rgb cream{240, 230, 200};
    const Rgb navy{30, 42, 74};
    const Rgb grey{136, 138, 140};
    const Rgb brass{182, 146, 72};
    const auto whole = of({{cream, 5}, {navy, 3}, {grey, 1}, {brass, 1}}, 0.1, 0.2);
    EXPECT_EQ(whole.families, (std::vector<Rgb>{cream, navy}));
    ASSERT_TRUE(whole.accent);
    EXPECT_EQ(*whole.accent, brass) << "the more colourful of the two";
    // A second family has more than the least, an accent the most at most.
    EXPECT_EQ(of({{cream, 9}, {navy, 1}}, 0.1, 0.2).families.size(), 1U);
    EXPECT_EQ(*of({{cream, 9}, {navy, 1}}, 0.1, 0.2).accent, navy);
    EXPECT_FALSE(of({{cream, 4}, {navy, 3}, {brass, 3}}, 0.1, 0.2).accent);
    EXPECT_EQ(*of({{cream, 4}, {navy, 3}, {brass, 3}}, 0, 1).accent, brass);
    EXPECT_TRUE(choosePalette({}).families.empty());
}

TEST(DominantColours, OfPicturesMadeForIt) {
    // Flat fields: their colours and shares are found as they are.
    std::vector<std::uint32_t> flat;
    flat.insert(flat.end(), 500, 0xff1e2a4a);
    flat.insert(flat.end(), 300, 0xfff0e6c8);
    flat.insert(flat.end(), 150, 0xffb69248);
    flat.insert(flat.end(), 50, 0xffbe282c);
    flat.insert(flat.end(), 400, 0x00ff00ff); // not seen
    const auto of = dominantColours(flat, 6);
    ASSERT_EQ(of.size(), 4U);
    EXPECT_EQ(of[0].colour, (Rgb{0x1e, 0x2a, 0x4a}));
    EXPECT_NEAR(of[0].share, 0.5, 1e-12);
    EXPECT_EQ(of[1].colour, (Rgb{0xf0, 0xe6, 0xc8}));
    EXPECT_NEAR(of[1].share, 0.3, 1e-12);
    EXPECT_EQ(of[3].colour, (Rgb{0xbe, 0x28, 0x2c}));
    EXPECT_NEAR(of[3].share, 0.05, 1e-12);
    // Noise about them changes little, and fewer are given where fewer are asked.
    std::mt19937 random(3);
    std::normal_distribution<double> noise(0, 6);
    for (auto& p : flat)
        if (p >> 24) {
            std::uint32_t out = 0xff;
            for (const int shift : {16, 8, 0})
                out = out << 8 |
                      static_cast<std::uint32_t>(std::clamp(
                          static_cast<double>(p >> shift & 255) + noise(random), 0.0, 255.0));
            p = out;
        }
    const auto noisy = dominantColours(flat, 6);
    ASSERT_EQ(noisy.size(), 4U);
    for (std::size_t i = 0; i < 4; ++i) {
        EXPECT_LT(colourDifference(labOf(noisy[i].colour), labOf(of[i].colour)), 2);
        EXPECT_NEAR(noisy[i].share, of[i].share, 0.005);
    }
    const auto two = dominantColours(flat, 2);
    ASSERT_EQ(two.size(), 2U);
    EXPECT_NEAR(two[0].share + two[1].share, 1, 1e-9);
    EXPECT_TRUE(dominantColours({}, 6).empty());
    EXPECT_EQ(dominantColours(std::vector<std::uint32_t>(9, 0xff808080), 6).size(), 1U);
}

TEST(Shades, LieBetweenTheColourAndWhatTheyAreMixedWith) { // by CIE L*, a*, b*
    const auto lab = [](const char* words) {
        const auto c = readColour(words);
        EXPECT_TRUE(c) << words;
        return labOf(*c);
    };
    for (const char* name : {"red", "navy", "sage", "brown", "purple"}) {
        const auto plain = lab(name);
        EXPECT_GT(lab((std::string("pale ") + name).c_str()).l, plain.l) << name;
        EXPECT_GT(lab((std::string("very light ") + name).c_str()).l,
                  lab((std::string("soft ") + name).c_str()).l)
            << name;
        EXPECT_LT(lab((std::string("very dark ") + name).c_str()).l, plain.l) << name;
        EXPECT_LT(lab((std::string("dusty ") + name).c_str()).chroma(), plain.chroma()) << name;
    }
    EXPECT_GT(lab("warm white").b, lab("white").b); // toward yellow
    EXPECT_LT(lab("cool white").b, lab("white").b); // toward blue
    EXPECT_EQ(*readColour("bright red"), *readColour("red"));
    // What has a name of its own keeps it.
    EXPECT_EQ(*readColour("light grey"), *readColour("light gray"));
    EXPECT_FALSE(readColour("warm"));
    EXPECT_FALSE(readColour("warm nothing"));
    EXPECT_EQ(colourAhead("warm white walls").bytes, std::string("warm white").size());
    EXPECT_EQ(colourAhead("warm walls").bytes, 0U);
}
