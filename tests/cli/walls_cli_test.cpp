// What hangs, from the command line: hook points, sheets, templates, pictures.
#include "shell.h"

#include <nlohmann/json.hpp>

#include <filesystem>
#include <fstream>

using namespace mezzet::test;
using json = nlohmann::json;

namespace {

class Walls : public ShellTest {
protected:
    void SetUp() override {
        ShellTest::SetUp();
        for (const char* f : {"lantern-row.tape", "lantern-row.lines", "lantern-row.mezzet"})
            std::filesystem::copy_file(std::filesystem::path(MEZZET_TEST_DATA) / "demo" / f,
                                       folder / f,
                                       std::filesystem::copy_options::overwrite_existing);
    }
};

} // namespace

TEST_F(Walls, HangTellsEveryHookToTheSixteenth) {
    const auto j = json::parse(run("hang lantern-row.mezzet --json").out);
    int hooks = 0;
    for (const auto& p : j["pieces"])
        for (const auto& k : p["hooks"]) {
            ++hooks;
            for (const char* key : {"from_left_mm", "up_mm", "from_ceiling_mm", "from_right_mm",
                                    "into", "carries_kg", "rated_kg", "cable_zone"})
                EXPECT_TRUE(k.contains(key)) << key;
            EXPECT_NEAR(k["rated_kg"].get<double>(), 4 * k["carries_kg"].get<double>(), 1e-9);
            EXPECT_GT(k["from_ceiling_mm"].get<double>(), 0);
        }
    EXPECT_GE(hooks, 14);
    EXPECT_FALSE(j["mirrors"].empty());
    EXPECT_FALSE(j["shelves"].empty());
    const auto d = json::parse(run("hang lantern-row.mezzet --wall D --json").out);
    EXPECT_EQ(d["pieces"].size(), 9U);
    EXPECT_NE(run("hang lantern-row.mezzet --wall D").out.find("from the left corner"),
              std::string::npos);
    EXPECT_EQ(run("hang lantern-row.mezzet --wall Q").code, 2);
}

TEST_F(Walls, WallHooksAndTemplatesArePrinted) {
    EXPECT_EQ(run("sheet lantern-row.mezzet wall --wall D -o d.pdf").code, 0);
    EXPECT_EQ(run("sheet lantern-row.mezzet wall --wall C -o c.svg --paper a4 --scale 1:50").code,
              0);
    EXPECT_EQ(run("sheet lantern-row.mezzet hooks -o h.csv").code, 0);
    EXPECT_EQ(run("sheet lantern-row.mezzet hooks -o h.pdf").code, 0);
    EXPECT_EQ(run("sheet lantern-row.mezzet templates --of barn -o t.pdf").code, 0);
    EXPECT_EQ(run("sheet lantern-row.mezzet templates --wall D --roll 60 -o t.svg").code, 0);
    EXPECT_EQ(run("sheet lantern-row.mezzet wall -o d.pdf").code, 2) << "which wall?";
    EXPECT_EQ(run("sheet lantern-row.mezzet wall --wall Z -o d.pdf").code, 2);
    EXPECT_EQ(run("sheet lantern-row.mezzet templates --roll wide -o t.pdf").code, 2);
    EXPECT_EQ(run("sheet lantern-row.mezzet templates --of nobody -o t.pdf").code, 3);
    EXPECT_EQ(run("sheet lantern-row.mezzet wall --wall D --scale 1:5 -o d.pdf").code, 3);
}

TEST_F(Walls, APictureIsPutInAFrame) {
    // One red dot, as a PNG.
    const unsigned char dot[] = {
        0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0x00, 0x00, 0x00, 0x0d, 0x49, 0x48,
        0x44, 0x52, 0x00, 0x00, 0x00, 0x01, 0x00, 0x00, 0x00, 0x01, 0x08, 0x02, 0x00, 0x00,
        0x00, 0x90, 0x77, 0x53, 0xde, 0x00, 0x00, 0x00, 0x0c, 0x49, 0x44, 0x41, 0x54, 0x78,
        0x9c, 0x63, 0xf8, 0xcf, 0xc0, 0x00, 0x00, 0x03, 0x01, 0x01, 0x00, 0xc9, 0xfe, 0x92,
        0xef, 0x00, 0x00, 0x00, 0x00, 0x49, 0x45, 0x4e, 0x44, 0xae, 0x42, 0x60, 0x82};
    std::ofstream(folder / "dot.png", std::ios::binary)
        .write(reinterpret_cast<const char*>(dot), sizeof dot);
    run("build lantern-row.tape --lines lantern-row.lines -o own.mezzet");
    const auto put = run("picture own.mezzet mill dot.png");
    EXPECT_EQ(put.code, 0) << put.error;
    EXPECT_EQ(run("picture own.mezzet nobody dot.png").code, 2);
    EXPECT_EQ(run("picture own.mezzet mill lantern-row.tape").code, 3) << "no picture";
    EXPECT_EQ(run("picture own.mezzet mill missing.png").code, 3);
    EXPECT_EQ(run("scene own.mezzet").code, 0);
}
