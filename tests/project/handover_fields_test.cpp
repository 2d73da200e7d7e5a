// What a job file tells of handing over: kept as written, refused where it can't be, with what and
// where.
#include "edit/handed_over.h"
#include "handover/list.h"
#include "jobs.h"

#include <nlohmann/json.hpp>

using namespace mezzet;
using namespace mezzet::test;
using json = nlohmann::json;

namespace {

const Project& told() {
    static const Project job =
        jobWith({"sofa 84 x 36 x 34 against wall C", "budget 5000",
                 "list sofa ordered 2027-02-01, from Linden Workshop, price 1200, lead 6 weeks",
                 "list cushion, 4 of them, 40 each, note in wool",
                 "task paint after wiring, 2 days, waits 1", "work from 2027-03-01",
                 "holidays 2027-12-24 to 2028-01-02", "away painter 2027-03-10 to 2027-03-12",
                 "work on saturdays"});
    return job;
}

json handoverWritten() {
    return json::parse(jobText(told()));
}
Result<ProjectPtr> handoverRead(const json& j) {
    return readJob(j.dump(), "a.mezzet", library());
}

} // namespace

TEST(HandoverFields, AreKeptAsWritten) {
    const auto again = handoverRead(handoverWritten());
    ASSERT_TRUE(again) << again.problem().text();
    EXPECT_EQ(jobText(**again), jobText(told()));
    EXPECT_EQ(handedOver(**again), handedOver(told()));
}

TEST(HandoverFields, AreRefusedWhereTheyCantBe) {
    struct Wrong {
        const char* at; ///< a JSON pointer into the job
        json put;
        const char* says;
    };
    const Wrong all[] = {
        {"/handover", 3, "handover"},
        {"/handover/budget", -1, "budget"},
        {"/handover/budget", "much", "budget"},
        {"/handover/budget", 1e12, "budget"},
        {"/handover/list", "sofa", "list"},
        {"/handover/list/0/name", "", "name"},
        {"/handover/list/0/name", std::string(200, 'x'), "name"},
        {"/handover/list/0/state", "lost", "state"},
        {"/handover/list/0/leadDays", 1.5, "leadDays"},
        {"/handover/list/0/leadDays", -3, "leadDays"},
        {"/handover/list/0/ordered", "2027-02-30", "ordered"},
        {"/handover/list/1/quantity", 1e9, "quantity"},
        {"/handover/list/1/price", nullptr, "price"},
        {"/handover/list/1/size", json::array({1, 2}), "size"},
        {"/handover/list/1/size", json::array({1, 2, -3}), "size"},
        {"/handover/list/1/picture", 7, "picture"},
        {"/handover/tasks/0/days", 0, "days"},
        {"/handover/tasks/0/after", json::array({1}), "after"},
        {"/handover/tasks/0/hours", 1e9, "hours"},
        {"/handover/from", "soon", "from"},
        {"/handover/worked", json::array({true}), "worked"},
        {"/handover/worked", json::array({1, 1, 1, 1, 1, 0, 0}), "worked"},
        {"/handover/holidays", json::array({json::array({"2028-01-02", "2027-12-24"})}),
         "holidays"},
        {"/handover/away/0/days", json::array({"2027-03-10"}), "days"},
        {"/handover/built", json::array({{{"what", "nothing"}}}), "what"},
    };
    for (const Wrong& w : all) {
        auto j = handoverWritten();
        j[json::json_pointer(w.at)] = w.put;
        const auto read = handoverRead(j);
        ASSERT_FALSE(read) << w.at << " " << w.put;
        EXPECT_NE(read.problem().text().find(w.says), std::string::npos)
            << w.at << ": " << read.problem().text();
        EXPECT_NE(read.problem().text().find("a.mezzet"), std::string::npos) << w.at;
    }
}

TEST(HandoverFields, ABooksChoicesAreKeptAndRefusedWhereTheyCantBe) {
    auto j = handoverWritten();
    j["prints"]["book for client"] = {{"paper", "A3"},
                                      {"scale", "1:50"},
                                      {"file", ""},
                                      {"mends", true},
                                      {"leftOut", {"order", "list"}}};
    const auto again = handoverRead(j);
    ASSERT_TRUE(again) << again.problem().text();
    EXPECT_EQ((*again)->prints.at("book for client").leftOut,
              (std::vector<std::string>{"order", "list"}));
    EXPECT_EQ(jobText(**handoverRead(json::parse(jobText(**again)))), jobText(**again));
    j["prints"]["book for client"]["leftOut"] = {1, 2};
    EXPECT_FALSE(handoverRead(j));
    j["prints"]["book for client"]["leftOut"] = "all";
    EXPECT_FALSE(handoverRead(j));
}
