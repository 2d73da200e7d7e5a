// What a job file may hold, and what saving does to what is there.
#include "files/whole_file.h"
#include "jobs.h"
#include "measure/text.h"

#include <fmt/format.h>

#include <filesystem>
#include <fstream>
#include <sys/stat.h>
#include <unistd.h>

using namespace mezzet;
using namespace mezzet::test;
namespace fs = std::filesystem;

namespace {

class Saved : public testing::Test {
protected:
    void SetUp() override {
        folder = fs::temp_directory_path() / ("mezzet-save-" + std::to_string(::getpid()));
        fs::create_directories(folder);
    }
    void TearDown() override {
        fs::permissions(folder, fs::perms::owner_all);
        fs::remove_all(folder);
    }
    std::string read(const fs::path& p) const {
        std::ifstream in(p);
        return {std::istreambuf_iterator<char>(in), {}};
    }

    fs::path folder;
};

std::string replaced(std::string text, const std::string& a, const std::string& b) {
    const auto at = text.find(a);
    if (at == std::string::npos)
        throw std::runtime_error("not there: " + a);
    return text.replace(at, a.size(), b);
}

} // namespace

TEST_F(Saved, ALinkStaysALinkAndItsFileIsReplaced) {
    const auto real = folder / "real.mezzet";
    const auto link = folder / "link.mezzet";
    ASSERT_TRUE(writeWhole(real, "old"));
    fs::create_symlink(real, link);
    ASSERT_TRUE(writeWhole(link, "new"));
    EXPECT_TRUE(fs::is_symlink(link));
    EXPECT_EQ(read(real), "new");
}

TEST_F(Saved, AFileKeepsItsPermissions) {
    const auto path = folder / "job.mezzet";
    ASSERT_TRUE(writeWhole(path, "old"));
    ::chmod(path.c_str(), 0640);
    ASSERT_TRUE(writeWhole(path, "new"));
    struct stat now {};
    ::stat(path.c_str(), &now);
    EXPECT_EQ(now.st_mode & 0777U, 0640U);
}

TEST_F(Saved, AFailedSaveLeavesTheOldFileAndNothingElse) {
    const auto path = folder / "job.mezzet";
    ASSERT_TRUE(writeWhole(path, "old"));
    // A full device refuses the writing.
    const auto r = writeWhole("/dev/full/job.mezzet", "new");
    ASSERT_FALSE(r);
    EXPECT_NE(r.problem().remedy.find("as it was"), std::string::npos);
    EXPECT_EQ(read(path), "old");
    int files = 0;
    for (const auto& f : fs::directory_iterator(folder)) {
        ++files;
        EXPECT_EQ(f.path(), path);
    }
    EXPECT_EQ(files, 1);
}

TEST_F(Saved, AFileOverTheLimitIsNotEvenRead) {
    const auto path = folder / "big.mezzet";
    std::ofstream(path) << std::string(mostJobBytes + 10, ' ');
    const auto r = openJob(path, library());
    ASSERT_FALSE(r);
    EXPECT_NE(r.problem().what.find("KB"), std::string::npos);
}

TEST(JobLimits, TwoThousandPiecesOpenAndOneMoreDoesNot) {
    auto scheme = std::make_shared<Scheme>();
    Project job = jobWith({});
    const auto kind = library().kit->byId("stool");
    for (int i = 1; i <= 2001; ++i) {
        Piece p = pieceOf(kind);
        p.id = i;
        p.name = fmt::format("no {}", i);
        p.pose.at = {100.0 + i, 500};
        scheme->pieces.push_back(p);
        if (i == 2000) {
            auto full = std::make_shared<Scheme>(*scheme);
            job.schemes = {full};
            EXPECT_TRUE(readJob(jobText(job), "x", library()));
        }
    }
    job.schemes = {scheme};
    EXPECT_FALSE(readJob(jobText(job), "x", library()));
}

TEST(JobLimits, NamesAndNotesAndTiesHaveTheirs) {
    const auto text = jobText(jobWith({"sofa against wall A"}));
    EXPECT_TRUE(
        readJob(replaced(text, "\"name\": \"Sofa\"", "\"name\": \"" + std::string(80, 'x') + "\""),
                "x", library()));
    EXPECT_FALSE(
        readJob(replaced(text, "\"name\": \"Sofa\"", "\"name\": \"" + std::string(81, 'x') + "\""),
                "x", library()));
    std::string ties;
    for (int i = 0; i < 9; ++i)
        ties += R"({"tie": "turned", "turn": 0},)";
    EXPECT_FALSE(readJob(replaced(text, "\"ties\": [", "\"ties\": [" + ties), "x", library()));
}

TEST(JobLimits, DepthIsLimited) {
    const auto text = jobText(jobWith({}));
    std::string deep = "\"deep\": ";
    for (int i = 0; i < 40; ++i)
        deep += "[";
    for (int i = 0; i < 40; ++i)
        deep += "]";
    const auto r = readJob(replaced(text, "\"format\"", deep + ", \"format\""), "x", library());
    ASSERT_FALSE(r);
    EXPECT_NE(r.problem().what.find("deep"), std::string::npos);
}

TEST(JobFaults, SayWhichPieceAndWhatWouldDo) {
    const auto text = jobText(jobWith({"sofa against wall A", "stool 10 from wall B"}));
    const std::pair<const char*, const char*> faults[] = {
        {"\"kind\": \"stool\"", "\"kind\": \"throne\""},
        {"\"turn\": 0.0", "\"turn\": \"north\""},
        {"\"is\": \"wall\"", "\"is\": \"moon\""},
        {"\"wall\": \"A\"", "\"wall\": \"9\""},
        {"\"wall\": \"A\"", "\"wall\": \"Q\""},
        {"\"form\": \"rectangle\"", "\"form\": \"star\""},
        {"\"units\": \"feet\"", "\"units\": \"cubits\""},
        {"\"denominator\": 8", "\"denominator\": 7"},
        {"\"nextId\": 3", "\"nextId\": -1"},
        {"\"title\": \"Plain\"", "\"title\": 4"},
    };
    for (const auto& [a, b] : faults) {
        const auto r = readJob(replaced(text, a, b), "my.mezzet", library());
        ASSERT_FALSE(r) << b;
        EXPECT_FALSE(r.problem().what.empty()) << b;
        EXPECT_FALSE(r.problem().remedy.empty()) << b;
        EXPECT_EQ(r.problem().file.rfind("my.mezzet", 0), 0U) << r.problem().text();
    }
}

TEST(JobFaults, BrokenJsonIsPointedAt) {
    const auto r = readJob("{\n \"format\": \"mezzet-job\",\n \"version\": ,\n}", "x", library());
    ASSERT_FALSE(r);
    EXPECT_EQ(r.problem().line, 3);
    EXPECT_GT(r.problem().column, 1);
}

TEST(JobFaults, BadNotesInAJobArePointedAtInTheNotes) {
    const auto text = jobText(jobWith({}));
    const auto r = readJob(replaced(text, "wall B 15'", "wall B fifteen"), "x.mezzet", library());
    ASSERT_FALSE(r);
    EXPECT_EQ(r.problem().file, "x.mezzet (tape notes)");
    EXPECT_GT(r.problem().line, 1);
}

TEST(NewJobs, TakeTheirUnitsFromTheirNotes) {
    EXPECT_EQ((*newProject(library(), "wall A 10'"))->notation.units, Units::feetAndInches);
    EXPECT_EQ((*newProject(library(), "units cm\nwall A 400"))->notation.units, Units::centimetres);
    EXPECT_EQ((*newProject(library(), "room Blue room"))->title, "Blue room");
    const auto bad = newProject(library(), "wall Z", "a.tape");
    ASSERT_FALSE(bad);
    EXPECT_EQ(bad.problem().file, "a.tape");
}

TEST(Libraries, AMissingOneSaysSo) {
    const auto r = loadLibrary("/nowhere");
    ASSERT_FALSE(r);
    EXPECT_FALSE(r.problem().remedy.empty());
}

TEST(TheDemo, OpensAndShowsBothRightAndWrong) {
    const auto job = openJob(fs::path(MEZZET_TEST_DATA) / "demo" / "lantern-row.mezzet", library());
    ASSERT_TRUE(job) << job.problem().text();
    EXPECT_GE((*job)->scheme().pieces.size(), 12U);
    EXPECT_TRUE((*job)->room->closed);
    EXPECT_GT((*job)->room->walls.size(), 4U) << "no plain rectangle";
    int right = 0;
    int mend = 0;
    for (const auto& r : readingsOf(**job))
        (r.toMend() ? mend : right)++;
    EXPECT_GE(right, 5);
    EXPECT_GE(mend, 3);
}

TEST(TheDemo, IsWhatItsNotesAndLinesSay) {
    const auto demo = fs::path(MEZZET_TEST_DATA) / "demo";
    const auto notes = *readTextFile(demo / "lantern-row.tape", 100000);
    const auto lines = *readTextFile(demo / "lantern-row.lines", 100000);
    const auto made = runScript(lines, "lines", **newProject(library(), notes));
    ASSERT_TRUE(made) << made.problem().text();
    EXPECT_EQ(jobText(*made->project), *readTextFile(demo / "lantern-row.mezzet", mostJobBytes));
}
