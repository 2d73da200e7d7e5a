// docs/job-file.schema.json holds for every job that is written. The check is valijson's, a reader
// of JSON Schema by others.
#include "jobs.h"
#include "project/project.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <filesystem>
#include <fstream>
#include <random>
#include <valijson/adapters/nlohmann_json_adapter.hpp>
#include <valijson/schema.hpp>
#include <valijson/schema_parser.hpp>
#include <valijson/validator.hpp>

using namespace mezzet;
using namespace mezzet::test;
using nlohmann::json;

namespace {

json fileOf(const std::filesystem::path& path) {
    std::ifstream in(path);
    return json::parse(in);
}

/// A schema in which no object may have a field that it does not name, so that a field that is
/// written and not told of is found.
void close(json& schema) {
    if (schema.is_object()) {
        if (schema.contains("properties") && !schema.contains("additionalProperties"))
            schema["additionalProperties"] = false;
        for (auto& [key, value] : schema.items())
            close(value);
    } else if (schema.is_array()) {
        for (auto& value : schema)
            close(value);
    }
}

/// What in a job's text the schema doesn't allow; empty when it allows all.
std::string faultsOf(const std::string& text) {
    static const auto schema = [] {
        auto told = fileOf(std::filesystem::path(MEZZET_TEST_DATA).parent_path() /
                           "docs/job-file.schema.json");
        close(told);
        auto read = std::make_unique<valijson::Schema>();
        valijson::SchemaParser parser;
        valijson::adapters::NlohmannJsonAdapter adapter(told);
        parser.populateSchema(adapter, *read);
        return read;
    }();
    const json job = json::parse(text);
    valijson::Validator validator;
    valijson::ValidationResults results;
    valijson::adapters::NlohmannJsonAdapter target(job);
    if (validator.validate(*schema, target, &results))
        return {};
    std::string out;
    valijson::ValidationResults::Error error;
    for (int i = 0; i < 6 && results.popError(error); ++i) {
        for (const auto& part : error.context)
            out += part;
        out += ": " + error.description + "\n";
    }
    return out;
}

} // namespace

TEST(JobSchema, HoldsForTheDemo) {
    const auto demo =
        openJob(std::string(MEZZET_TEST_DATA) + "/demo/lantern-row.mezzet", library());
    ASSERT_TRUE(demo) << demo.problem().text();
    EXPECT_EQ(faultsOf(jobText(**demo)), "");
}

TEST(JobSchema, RefusesWhatNoJobHas) {
    const auto good = jobText(jobWith({"sofa against wall A", "vase at 5', 5'"}));
    ASSERT_EQ(faultsOf(good), "");
    for (const auto& [from, to] :
         {std::pair{"\"version\": 4", "\"version\": 5"}, std::pair{"\"turn\": ", "\"tern\": "},
          std::pair{"\"tie\": \"against\"", "\"tie\": \"glued\""},
          std::pair{"\"is\": \"wall\"", "\"is\": \"roof\""}}) {
        auto bad = good;
        ASSERT_NE(bad.find(from), std::string::npos) << from;
        bad.replace(bad.find(from), std::string(from).size(), to);
        EXPECT_NE(faultsOf(bad), "") << to;
    }
}

TEST(JobSchema, HoldsForEverythingThatCanBeSaid) {
    const auto job = jobWith({"sofa against wall A, centred on wall A, gap 1",
                              "coffee table 16 from sofa, centred on sofa",
                              "armchair facing sofa, 30 in front of coffee table",
                              "rug 96 x 72 under sofa and coffee table",
                              "rug 60 x 40 called Runner, front legs on",
                              "console in corner CD",
                              "desk square to wall B, 40 "
                              "from wall B",
                              "stool at 3', 3', turned 30",
                              "bench in line with sofa, 30 from corner CD",
                              "dining table 72 x 40 at 14', 10'",
                              "seat dining table with 4",
                              "bookcase against wall D",
                              "low bookcase centred between sofa and wall C, 30 from wall D",
                              "table lamp on console, 20 from left end",
                              "vase on console, left of table lamp",
                              "storage basket in opening 2 of bookcase, 1 from front edge",
                              "pendant over dining table, 33 above dining table",
                              "swag pendant from 12', 8'",
                              "bookcase openings 14, 12, 16, 10 high, uprights 1, boards 1 thick",
                              "stock 12 cream books 9 x 6 x 1, with navy cloth, 2 lb each",
                              "stock brass bowl 10 dia x 5",
                              "palette cream and navy, accent brass",
                              "colour walls sage",
                              "stack of 3 cream books, widest below, left of opening 1 of bookcase",
                              "remotes box on bookcase",
                              "remotes box holds remote 7 x 2 x 1 and 4 coasters 4 x 4 x 1/2",
                              "ceiling light centred on room, close to "
                              "the ceiling",
                              "chandelier bottom at 84, 40 from wall A",
                              "picture 30 x 24 on wall B, centre at 58, on a wire, drop 3",
                              "mirror on wall B, 6 right of picture, top with top of picture",
                              "sconce on wall C, at eye level",
                              "floating shelf on wall D, holds 30 lb, of oak, 20 from left corner",
                              "picture called P1 on wall C, at 140, 60",
                              "picture called P2 on wall C, at 180, 60",
                              "group P1 and P2 called Pair, gap 3",
                              "lock sofa",
                              "sofa costs 1200, because it is there",
                              "zone Seating is sofa and armchair",
                              "brief 6 seats, 8 for guests",
                              "access on",
                              "household mixed",
                              "school viewer-and-air",
                              "band seat-to-table 14 to 18",
                              "units cm",
                              "title A job",
                              "client Someone",
                              "note why",
                              "for guests",
                              "move stool 10 left",
                              "folding chair at 2', 9'",
                              "put away bench",
                              "scheme new called Other",
                              "add sofa",
                              "scheme remove"});
    EXPECT_EQ(faultsOf(jobText(job)), "");
}

TEST(JobSchema, HoldsForEveryKind) {
    for (const auto& kind : library().kit->kinds()) {
        if (kind->role == Role::group)
            continue;
        const auto where = kind->hangs() ? " on wall A" : kind->underCeiling() ? "" : " at 9', 7'";
        const auto job = jobWith({kind->name + where});
        EXPECT_EQ(faultsOf(jobText(job)), "") << kind->name;
    }
}

TEST(JobSchema, HoldsForJobsAtRandom) {
    std::mt19937 random(1126);
    const auto any = [&](const std::vector<std::string>& of) { return of[random() % of.size()]; };
    for (int i = 0; i < 60; ++i) {
        Project job = jobWith({});
        for (int k = 0; k < 14; ++k) {
            const auto kind = library().kit->kinds()[random() % library().kit->kinds().size()];
            const auto line = fmt::format(
                "{}, {}", kind->name,
                any({"against wall A", "on wall B", "on console", "in opening 1 of bookcase",
                     "centred on wall C", "12 from wall D", "turned 20", "bottom at 80",
                     "facing wall B", "at 60, 70", "6 above sofa", "in corner AB"}));
            const auto said = readLine(line, job);
            if (!said)
                continue;
            if (const auto next = apply(job, said->edit))
                job = *next->project;
        }
        const auto text = jobText(job);
        EXPECT_EQ(faultsOf(text), "");
        const auto again = readJob(text, "again", library());
        ASSERT_TRUE(again) << again.problem().text();
        EXPECT_EQ(jobText(**again), text);
    }
}
