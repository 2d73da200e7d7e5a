// The command line on a bad day: two programs on one job, full disks, names that would be code,
// damaged files; and what it tells of remedies.
#include "cli/shell.h"
#include "kit/csv.h"
#include "survey/tape_notes.h"

#include <nlohmann/json.hpp>

#include <fmt/format.h>

#include <csignal>

using json = nlohmann::json;
namespace fs = std::filesystem;

namespace {

class SafeShell : public mezzet::test::ShellTest {
protected:
    void SetUp() override {
        ShellTest::SetUp();
        write("room.tape", "ceiling 8'\nwall A 14'\n window 4' from left, 5' wide, 4' high, sill "
                           "30\nwall B 12'\n door 8 from left, 32 wide, 80 high, hinge left, "
                           "swings in, undercut 3/4\nwall C 14'\nwall D 12'\n door 5' from left, "
                           "30 wide, swings out\n");
        ASSERT_EQ(run("build room.tape -o job.mezzet").code, 0);
    }
    int shell(const std::string& command) const {
        return WEXITSTATUS(std::system(("cd " + folder.string() + " && " + command).c_str()));
    }
    void say(const std::string& lines) {
        const auto r = run("say job.mezzet " + lines);
        ASSERT_EQ(r.code, 0) << r.error;
    }
    std::size_t pieces() const {
        return json::parse(run("scene job.mezzet --json").out)["pieces"].size();
    }
};

} // namespace

TEST_F(SafeShell, OfManyCommandsAtOnceNoneIsLost) {
    std::string all;
    for (int i = 0; i < 24; ++i)
        all += fmt::format("({} say job.mezzet 'stool called Stool no{}' >/dev/null 2>err-{}.txt; "
                           "echo $? > code-{}.txt) & ",
                           MEZZET_CLI, i, i, i);
    shell("{ " + all + "wait; }");
    int done = 0;
    for (int i = 0; i < 24; ++i) {
        const auto code = read(fmt::format("code-{}.txt", i));
        EXPECT_TRUE(code == "0\n" || code == "3\n") << code;
        done += code == "0\n" ? 1 : 0;
        if (code == "3\n")
            EXPECT_FALSE(read(fmt::format("err-{}.txt", i)).empty());
    }
    EXPECT_EQ(pieces(), static_cast<std::size_t>(done)) << "what ended with 0 is in the job";
    EXPECT_GT(done, 0);
}

TEST_F(SafeShell, AFullDiskIsToldAndEndsWith3) {
    say("'sofa against wall A'");
    for (const char* command :
         {"check job.mezzet --json", "scene job.mezzet --json", "rules", "survey room.tape", "kit"})
        EXPECT_EQ(shell(std::string(MEZZET_CLI) + " " + command + " > /dev/full 2> full.txt"), 3)
            << command << ": " << read("full.txt");
    const auto before = read("job.mezzet");
    EXPECT_EQ(shell(fmt::format("ulimit -f 1; trap '' XFSZ; {} export job.mezzet -o plan.dxf "
                                ">/dev/null 2>err.txt",
                                MEZZET_CLI)),
              3)
        << read("err.txt");
    EXPECT_FALSE(fs::exists(folder / "plan.dxf")) << "no cut-off drawing";
    EXPECT_EQ(read("job.mezzet"), before);
}

TEST_F(SafeShell, TheEndingDecidesWhatIsWritten) {
    EXPECT_EQ(run("export job.mezzet -o plan.dxf").code, 0);
    EXPECT_NE(run("export job.mezzet -o plan.glb").code, 0);
    EXPECT_FALSE(fs::exists(folder / "plan.glb"));
    EXPECT_NE(run("sheet job.mezzet plan -o plan.doc").code, 0);
    EXPECT_FALSE(fs::exists(folder / "plan.doc"));
}

TEST_F(SafeShell, NamesAreWhatTheyAreInEveryFile) {
    write("names.lines", "sofa called Smith & Jones against wall A\n"
                         "armchair called <script>alert(1)</script> at 8', 8'\n"
                         "stool called =HYPERLINK(1) at 3', 9'\n"
                         "title \"<img src=/etc/passwd> & more\"\n");
    const auto built = run("build room.tape --lines names.lines -o job.mezzet");
    ASSERT_EQ(built.code, 0) << built.error;
    ASSERT_EQ(run("sheet job.mezzet plan -o plan.svg").code, 0);
    const auto svg = read("plan.svg");
    EXPECT_EQ(svg.find("<script"), std::string::npos);
    EXPECT_EQ(svg.find("<img"), std::string::npos);
    // Well-formed, by another reader.
    EXPECT_EQ(shell("python3 -c \"import xml.dom.minidom as m; m.parse('plan.svg')\" 2>xml.txt"), 0)
        << read("xml.txt");
    const auto shown = run("scene job.mezzet");
    EXPECT_EQ(shown.code, 0);
    const auto told = run("check job.mezzet");
    for (const char c : told.out + shown.out)
        EXPECT_TRUE(c == '\n' || static_cast<unsigned char>(c) >= 32) << static_cast<int>(c);
}

TEST_F(SafeShell, ControlCharactersDoNotComeIntoNames) {
    const auto r = run("say job.mezzet \"$(printf 'stool called a\\033[31mred\\007')\"");
    if (r.code == 0) {
        const auto scene = run("scene job.mezzet");
        EXPECT_EQ(scene.out.find('\033'), std::string::npos);
        EXPECT_EQ(scene.out.find('\007'), std::string::npos);
    }
    EXPECT_EQ((r.out + r.error).find('\033'), std::string::npos);
}

TEST_F(SafeShell, ADamagedStudioFileIsToldAndSetAside) {
    fs::create_directory(folder / "studio");
    for (const char* bad : {"{\"kinds\": [{\"size\": [1e999]}]}", "not json", "\xff\xfe"}) {
        std::ofstream(folder / "studio/kinds.json") << bad;
        const auto r = run("scene job.mezzet", "MEZZET_STUDIO=studio");
        EXPECT_EQ(r.code, 0) << r.error;
        EXPECT_NE(r.error.find("kinds.json"), std::string::npos) << r.error;
        EXPECT_FALSE(fs::exists(folder / "studio/kinds.json"));
        const auto again = run("scene job.mezzet", "MEZZET_STUDIO=studio");
        EXPECT_EQ(again.code, 0);
        EXPECT_TRUE(again.error.empty()) << "told once: " << again.error;
    }
    int aside = 0;
    for (const auto& f : fs::directory_iterator(folder / "studio"))
        aside += f.is_regular_file() ? 1 : 0;
    EXPECT_EQ(aside, 3) << "none of them is lost";
}

TEST_F(SafeShell, AJobOverItsLimitsIsRefusedAndStaysAsItWas) {
    say("stool");
    auto j = json::parse(read("job.mezzet"));
    j["schemes"][0]["pieces"][0]["id"] = 1 << 30;
    j["schemes"][0]["next id"] = (1 << 30) + 1;
    write("high.mezzet", j.dump());
    const auto before = read("high.mezzet");
    const auto r = run("say high.mezzet stool");
    if (r.code == 0)
        EXPECT_EQ(run("scene high.mezzet").code, 0) << "what was said can be opened";
    else
        EXPECT_EQ(read("high.mezzet"), before);
}

TEST_F(SafeShell, BigJobsAreReadInTimeThatGrowsWithThem) {
    auto text = read("job.mezzet");
    std::string fields;
    for (int i = 0; i < 60000; ++i)
        fields += fmt::format("\"later field {}\": {},", i, i);
    text.insert(text.find('{') + 1, fields);
    write("big.mezzet", text);
    // A square of sixty thousand takes minutes; the timeout only tells those from moments.
    EXPECT_EQ(shell(fmt::format("timeout 10 {} scene big.mezzet > big.txt 2>&1", MEZZET_CLI)), 0)
        << read("big.txt").substr(0, 300);
}

TEST_F(SafeShell, NotesWithoutARoomMakeNoJob) {
    write("none.tape", "# nothing yet\nceiling 8'\n");
    const auto r = run("build none.tape -o none.mezzet");
    EXPECT_EQ(r.code, 3);
    EXPECT_NE(r.error.find("no room"), std::string::npos) << r.error;
    EXPECT_FALSE(fs::exists(folder / "none.mezzet"));
}

TEST_F(SafeShell, BareFeetAreFeetAndAnAbsurdFigureIsAsked) {
    write("feet.tape", "units feet\nwall A 14\nwall B 12\nwall C 14\nwall D 12\n");
    const auto j = json::parse(run("survey feet.tape --json").out);
    const auto& room = j.is_array() ? j[0] : j.contains("rooms") ? j["rooms"][0] : j;
    EXPECT_NEAR(room["area_m2"].get<double>(), 14 * 12 * 0.09290304, 1e-6);
    write("absurd.tape", "units feet\nwall A 168\nwall B 144\nwall C 168\nwall D 144\n");
    const auto r = run("survey absurd.tape");
    EXPECT_EQ(r.code, 3) << "a wall of 168 feet is no room's";
    EXPECT_NE(r.error.find("absurd.tape:2:"), std::string::npos) << r.error;
}

TEST_F(SafeShell, RemediesTellAllTheyUpsetAndTheStateOfAWay) {
    say("'sofa at 6ft, 4ft' 'coffee table 4 from sofa' 'dining table 60 x 36 at 9ft, 8ft' 'seat "
        "dining table with 4' 'bookcase at 2ft, 10ft'");
    const auto j = json::parse(run("check job.mezzet --json").out);
    int remedies = 0;
    for (const auto& r : j["readings"]) {
        if (r["rule"] == "walkway-main" || r["rule"] == "walkway-minor") {
            ASSERT_TRUE(r.contains("state")) << r.dump();
            const auto state = r["state"].get<std::string>();
            EXPECT_TRUE(state == "day" || state == "in use" || state == "guests") << state;
        }
        if (!r.contains("remedy") || r["remedy"].is_null())
            continue;
        ++remedies;
        const auto& at = r["remedy"].is_object() ? r["remedy"] : r;
        ASSERT_TRUE(at.contains("upsets")) << r.dump();
        for (const auto& u : at["upsets"])
            EXPECT_FALSE(u.get<std::string>().empty());
    }
    EXPECT_GT(remedies, 0);
    EXPECT_TRUE(j.contains("judged_whole"));
}

TEST_F(SafeShell, AScriptTellsWhatGoesThroughAWallAndSayingItAsks) {
    write("through.lines", "sofa called Sofa one at 10in, 60in\n");
    const auto built = run("build room.tape --lines through.lines -o through.mezzet");
    EXPECT_EQ(built.code, 0) << built.error;
    EXPECT_NE(built.out.find("Sofa one would go through wall"), std::string::npos) << built.out;
    const auto before = read("through.mezzet");
    const auto said = run("say through.mezzet \"armchair at 5in, 100in\"");
    EXPECT_EQ(said.code, 3);
    EXPECT_NE(said.error.find("anyway"), std::string::npos) << said.error;
    EXPECT_EQ(read("through.mezzet"), before);
    EXPECT_EQ(run("say through.mezzet \"armchair at 5in, 100in anyway\"").code, 0);
    // What is wrong otherwise is refused with its line, and nothing is written.
    write("wrong.lines", "sofa at 60in, 60in\nzzzz\n");
    const auto wrong = run("build room.tape --lines wrong.lines -o wrong.mezzet");
    EXPECT_EQ(wrong.code, 3);
    EXPECT_NE(wrong.error.find("wrong.lines:2"), std::string::npos) << wrong.error;
    EXPECT_EQ(read("wrong.mezzet"), "");
}

TEST_F(SafeShell, CheckingIsBoundedInTimeAndSaysWhatWasNotLookedAt) {
    std::string lines;
    for (int i = 0; i < 40; ++i)
        lines +=
            fmt::format("sofa called Sofa no{} at {}in, {}in\n", i, 30 + i * 2, 40 + i % 5 * 10);
    write("crowd.lines", lines);
    ASSERT_EQ(run("build room.tape --lines crowd.lines -o crowd.mezzet").code, 0);
    const auto began = std::chrono::steady_clock::now();
    const auto r = run("check crowd.mezzet --json --seconds 1");
    EXPECT_EQ(r.code, 0);
    EXPECT_LT(std::chrono::steady_clock::now() - began, std::chrono::seconds(20));
    const auto j = json::parse(r.out);
    EXPECT_TRUE(j.contains("remedies_not_tried"));
}

TEST_F(SafeShell, AShelfIsAsDeepAsItWasSaid) {
    say("'floating shelf 48 x 10 x 1 1/2 on wall C, top at 50'");
    const auto j = json::parse(run("scene job.mezzet --json").out);
    const auto size = j["pieces"][0]["size_mm"].get<std::vector<double>>();
    EXPECT_NEAR(size.at(1), 254, 0.01) << "10 in deep";
    EXPECT_NEAR(size.at(2), 38.1, 0.01) << "1 1/2 in high";
    EXPECT_NE(read("out.txt").size(), 0U);
    const auto told = run("say job.mezzet 'size floating shelf 50 x 12 x 2'");
    EXPECT_NE(told.out.find("50 x 12 x 2"), std::string::npos)
        << "it is told as it was said: " << told.out;
}

TEST_F(SafeShell, ATracingsNamesDoNotBreakItsNotes) {
    write("t.trace", "scale 100,200 900,200 = 12' 4\"\nroom wall A 12' # \"x\"\ncorner 100,200\n"
                     "corner 900,200\ncorner 900,700\ncorner 100,700\n");
    const auto r = run("trace t.trace -o t.tape");
    if (r.code == 0)
        EXPECT_EQ(run("survey t.tape").code, 0) << read("t.tape");
    else
        EXPECT_FALSE(fs::exists(folder / "t.tape"));
}

TEST_F(SafeShell, ListeningKeepsNoMoreThanALine) {
    const auto socket = (folder / "flood").string();
    write("flood.py", fmt::format("import socket,time\n"
                                  "s=socket.socket(socket.AF_UNIX); s.bind('{}'); s.listen(1)\n"
                                  "c,_=s.accept()\n"
                                  "try:\n"
                                  "  for i in range(400): c.send(b'x'*100000)\n"
                                  "except Exception: pass\n",
                                  socket));
    shell(
        "(timeout 20 python3 flood.py >/dev/null 2>&1 &) ; for i in 1 2 3 4 5 6 7 8 9 10; do [ -S "
        "flood ] && break; sleep 0.1; done");
    // 40 MB without an end in a program that may have 400; a sanitizer takes all addresses there
    // are.
#ifdef __SANITIZE_ADDRESS__
    const char* limit = "";
#else
    const char* limit = "ulimit -v 400000; ";
#endif
    const int code =
        shell(fmt::format("{}timeout 15 {} listen --socket {} --count 1 > heard.txt 2> said.txt",
                          limit, MEZZET_CLI, socket));
    EXPECT_NE(code, 124) << "it ends";
    EXPECT_NE(code, 134) << "by itself";
    EXPECT_LT(read("said.txt").size() + read("heard.txt").size(), 20000U);
}

/// Whatever a command writes can be read back by its own reader, or one from elsewhere.
TEST_F(SafeShell, EverythingWrittenIsReadBack) {
    write("all.lines",
          "sofa called Über “big” & <b> against wall A, centred on window 1\n"
          "rug 96 x 60 under sofa\nround table 44 at 10', 9'\nseat round table with 4\n"
          "picture 30 x 24 on wall C, centre at 58\nfloating shelf 48 x 10 on wall C, top at 80\n"
          "round mirror 24, 3 above picture\n");
    const auto built = run("build room.tape --lines all.lines -o job.mezzet");
    ASSERT_EQ(built.code, 0) << built.error;
    EXPECT_EQ(run("scene job.mezzet").code, 0);
    for (const char* command :
         {"scene job.mezzet --json", "check job.mezzet --json", "hang job.mezzet --json",
          "floor job.mezzet", "schemes job.mezzet --json", "survey room.tape --json",
          "fit job.mezzet \"does sofa 70 x 34 x 34 fit\" --json"}) {
        const auto r = run(command);
        EXPECT_EQ(r.code, 0) << command << ": " << r.error;
        EXPECT_TRUE(json::accept(r.out)) << command << ": " << r.out.substr(0, 200);
    }
    for (const char* sheet : {"plan", "wall", "hooks", "templates"})
        for (const char* ending : {"pdf", "svg", "png"}) {
            // Thirty pages at full size take a while as pictures.
            if (std::string(sheet) == "templates" && std::string(ending) == "png")
                continue;
            const auto file = fmt::format("{}.{}", sheet, ending);
            const auto r = run(fmt::format("sheet job.mezzet {} -o {} --wall C", sheet, file));
            if (r.code != 0) {
                EXPECT_NE(r.code, 134);
                EXPECT_FALSE(r.error.empty());
                continue;
            }
            // Templates of several pages are numbered.
            for (const auto& f : fs::directory_iterator(folder)) {
                const auto name = f.path().filename().string();
                if (!name.starts_with(sheet) || f.path().extension() != fmt::format(".{}", ending))
                    continue;
                if (std::string(ending) == "pdf")
                    EXPECT_EQ(shell("pdfinfo " + name + " > info.txt 2>&1"), 0) << name;
                else if (std::string(ending) == "svg")
                    EXPECT_EQ(shell("python3 -c \"import xml.dom.minidom as m; m.parse('" + name +
                                    "')\""),
                              0)
                        << name;
                else
                    EXPECT_TRUE(read(name).starts_with("\x89PNG")) << name;
            }
        }
    ASSERT_EQ(run("export job.mezzet -o plan.dxf").code, 0);
    EXPECT_EQ(shell("/usr/bin/python3 -c \"import ezdxf; d=ezdxf.readfile('plan.dxf'); assert not "
                    "d.audit().has_errors\" 2>dxf.txt"),
              0)
        << read("dxf.txt");
    ASSERT_EQ(run("trace plan.dxf -o back.tape").code, 0) << read("err.txt");
    EXPECT_EQ(run("survey back.tape").code, 0);
    ASSERT_EQ(run("kit --write kit.csv").code, 0) << read("err.txt");
    EXPECT_TRUE(mezzet::readCsv(read("kit.csv"), "kit.csv"));
}
