// The picture a room was traced from, kept in the job.
#include "jobs.h"
#include "trace/trace.h"

#include <nlohmann/json.hpp>

using namespace mezzet;
using namespace mezzet::test;

namespace {

Project laid(const Underlay& u) {
    auto next = apply(jobWith({}), {"", {SetUnderlay{std::make_shared<const Underlay>(u)}}, {}});
    if (!next)
        throw std::runtime_error(next.problem().text());
    return *next->project;
}

} // namespace

TEST(UnderlayOfAJob, IsKeptInItsFile) {
    const Underlay u{"aGVsbG8=", 0, {-120.5, 33}, Angle::degrees(-2.5), 3.25};
    const auto job = laid(u);
    const auto read = readJob(jobText(job), "t", library());
    ASSERT_TRUE(read) << read.problem().text();
    ASSERT_TRUE((*read)->underlay);
    EXPECT_EQ((*read)->underlay->picture, u.picture);
    EXPECT_EQ((*read)->underlay->at, u.at);
    EXPECT_NEAR((*read)->underlay->turn.inDegrees(), -2.5, 1e-9);
    EXPECT_EQ(jobText(**read), jobText(job));
    const auto gone = apply(job, {"", {SetUnderlay{}}, {}});
    ASSERT_TRUE(gone);
    EXPECT_EQ(jobText(*gone->project), jobText(jobWith({})));
}

TEST(UnderlayOfAJob, ADamagedOneIsRefusedWhole) {
    const auto job = laid({"aGVsbG8=", 0, {0, 0}, {}, 1});
    const auto with = [&](const char* key, const nlohmann::json& value) {
        auto j = nlohmann::json::parse(jobText(job));
        j["underlay"][key] = value;
        return readJob(j.dump(), "t", library());
    };
    EXPECT_FALSE(with("picture", "<script>"));
    EXPECT_FALSE(with("mmPerPixel", 0));
    EXPECT_FALSE(with("mmPerPixel", -4));
    EXPECT_FALSE(with("at", {1}));
    EXPECT_FALSE(with("turn", "round"));
    EXPECT_TRUE(with("room", "a room that is gone")) << "it goes under the first";
    const auto huge =
        apply(jobWith({}), {"",
                            {SetUnderlay{std::make_shared<const Underlay>(
                                Underlay{std::string(mostUnderlayBytes + 1, 'A'), 0, {}, {}, 1})}},
                            {}});
    EXPECT_FALSE(huge);
}

TEST(UnderlayOfAJob, TheTracedPlaceIsTheRoomsOwn) {
    // Traced the other way round and askew: the room's wall A runs along the first stretch of the
    // outline taken clockwise.
    TracedRoom t;
    const Angle turn = Angle::degrees(20);
    for (const Vec2 p : {Vec2{0, 0}, Vec2{0, 3000}, Vec2{4000, 3000}, Vec2{4000, 0}})
        t.corners.push_back(Vec2{700, 900} + turned(p, turn));
    Pose place;
    const auto notes = notesOf(t, Units::millimetres, &place);
    ASSERT_TRUE(notes);
    EXPECT_NEAR(norm(place.at - Vec2{700, 900}), 0, 1e-9);
    EXPECT_NEAR(place.turn.inDegrees(), 20, 1e-9);
    const auto room = roomFromNotes(*notes);
    ASSERT_TRUE(room);
    for (const Wall& w : (*room)->walls) {
        const Vec2 traced = place.toRoom(w.start);
        double near = 1e300;
        for (const Vec2 c : t.corners)
            near = std::min(near, norm(c - traced));
        EXPECT_LT(near, 2);
    }
}
