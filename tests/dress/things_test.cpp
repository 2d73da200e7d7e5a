// Things put on shelves and tables: where they come to stand, what is refused, and units told by
// their openings.
#include "dressed_jobs.h"

using namespace mezzet;
using namespace mezzet::test;

TEST(Openings, AreWhatBoardsAndPlinthLeave) {
    // 5 shelves in 84 in of height on a plinth of 3: six openings, seven boards of 3/4.
    const auto alike = jobWith({"bookcase 48 x 12 x 84 against wall A, 5 shelves"});
    const auto all = surfacesOf(alike);
    ASSERT_EQ(all.size(), 7U); // and its top
    for (int i = 0; i < 6; ++i) {
        EXPECT_NEAR(*all[static_cast<std::size_t>(i)].height, (84 - 3 - 7 * 0.75) / 6 * 25.4, 1e-6);
        EXPECT_NEAR(all[static_cast<std::size_t>(i)].width, 46.5 * 25.4, 1e-6);
        EXPECT_NEAR(all[static_cast<std::size_t>(i)].depth, 12 * 25.4, 1e-6);
        EXPECT_EQ(all[static_cast<std::size_t>(i)].name(), fmt::format("opening {}", i + 1));
    }
    EXPECT_FALSE(all[6].height);
    // From the top: the first board is the highest.
    EXPECT_GT(all[0].floor, all[1].floor);
    EXPECT_NEAR(all[5].floor, 3.75 * 25.4, 1e-6);
    // Said one by one: what is left over is the plinth.
    const auto said =
        jobWith({"bookcase 48 x 12 x 60 against wall A, openings 14, 12, 16, 10 high, uprights 1"});
    const auto eight = surfacesOf(said);
    ASSERT_EQ(eight.size(), 9U);
    EXPECT_NEAR(*eight[0].height, 14 * 25.4, 1e-6);
    EXPECT_NEAR(*eight[1].height, 14 * 25.4, 1e-6); // beside it
    EXPECT_NEAR(*eight[2].height, 12 * 25.4, 1e-6);
    EXPECT_NEAR(*eight[6].height, 10 * 25.4, 1e-6);
    EXPECT_NEAR(eight[0].width, (48 - 3 * 0.75) / 2 * 25.4, 1e-6);
    const Piece& unit = *said.scheme().byName("Bookcase");
    EXPECT_NEAR(plinthOf(unit).inInches(), 60 - 52 - 5 * 0.75, 1e-6);
    // In a line after its own, other boards, and on pins.
    const auto later = jobWith({"bookcase 48 x 12 x 60 against wall A", "bookcase 3 shelves",
                                "bookcase boards 1 thick, uprights 2"});
    EXPECT_EQ(surfacesOf(later).size(), 13U);
    const auto pins = jobWith({"bookcase 48 x 12 x 78 against wall A, 4 shelves, pins 1 1/4"});
    for (const DressedSurface& s : surfacesOf(pins))
        if (s.height) {
            const double steps = (s.floor / 25.4 - 3.75) / 1.25;
            EXPECT_NEAR(steps, std::round(steps), 1e-6);
        }
}

TEST(Openings, ThatDoNotFitAreRefused) {
    const auto job = jobWith({"bookcase 48 x 12 x 60 against wall A", "sofa against wall C"});
    EXPECT_NE(refusalOf(job, "bookcase openings 20, 20, 20 high").find("higher than Bookcase"),
              std::string::npos);
    EXPECT_FALSE(refusalOf(job, "bookcase uprights 60").empty());
    EXPECT_FALSE(refusalOf(job, "sofa 5 shelves").empty());
    EXPECT_FALSE(refusalOf(job, "vase in opening 9 of bookcase").empty());
    // Openings something stands in are not taken away.
    const auto dressed = said(job, {"vase 5 x 5 x 8 in opening 5 of bookcase"});
    EXPECT_NE(refusalOf(dressed, "bookcase openings 14, 14, 14 high").find("opening 5"),
              std::string::npos)
        << refusalOf(dressed, "bookcase openings 14, 14, 14 high");
    EXPECT_NE(refusalOf(dressed, "bookcase openings 14, 8, 8, 8, 7 high").find("Vase"),
              std::string::npos);
    // Nor do things leave their place when there are more side by side.
    const auto split = said(dressed, {"bookcase uprights 1"});
    EXPECT_EQ(split.scheme().byName("Vase")->on.index, 9);
}

TEST(Things, StandWhereTheyAreSaid) {
    const auto job = said(bookcase(), {"stack of 4 blue books, widest below, left of opening 2",
                                       "bud vase on the books", "bowl 8 dia x 4 right of opening 2",
                                       "lean print 8 x 10 at the back of opening 3, centred"});
    const auto all = surfacesOf(job);
    const DressedSurface& two = all[1];
    ASSERT_EQ(two.things.size(), 6U);
    // Four books of 9 x 6 x 1 1/4 lie on each other, 9 wide, from the left.
    double up = 0;
    for (std::size_t i = 0; i < 4; ++i) {
        const DressedThing& t = two.things[i];
        EXPECT_NEAR(t.at.x, 0, 1e-6);
        EXPECT_NEAR(t.at.z, up, 1e-6);
        EXPECT_NEAR(t.size.width.inInches(), 9, 1e-6);
        EXPECT_EQ(t.on == 0, i == 0);
        up += t.size.height.mm();
    }
    EXPECT_NEAR(up, 5 * 25.4, 1e-6);
    const DressedThing& vase = thingIn(two, job, "Bud vase");
    EXPECT_NEAR(vase.at.z, up, 1e-6);
    EXPECT_NEAR(vase.at.x, (9 - 3) / 2.0 * 25.4, 1e-6);
    EXPECT_NEAR(thingIn(two, job, "Bowl").right(), two.width, 1e-6);
    const DressedThing& print = thingIn(all[2], job, "Print");
    EXPECT_NEAR(print.at.y, 0, 1e-6);
    EXPECT_NEAR(print.at.x + print.size.width.mm() / 2, all[2].width / 2, 1e-6);
    EXPECT_EQ(liesOf(*job.scheme().byName("Print")), Lies::leaning);
    // They go along when the unit does.
    const auto moved = said(job, {"bookcase against wall C"});
    EXPECT_NEAR(thingIn(surfacesOf(moved)[1], moved, "Bud vase").at.z, up, 1e-6);
}

TEST(Things, StandBesideBeforeAndBetweenOthers) {
    const auto job =
        said(bookcase(), {"lean print 8 x 10 at the back of opening 3, centred",
                          "pair of candlesticks either side of print, one 2 forward",
                          "votive in front of print", "box 9 x 6 x 4 in opening 4, 2 from left end",
                          "3 books lying right of box", "sphere between box and book",
                          "bowl 8 dia x 3 on a riser in opening 5"});
    const auto all = surfacesOf(job);
    const auto& print = thingIn(all[2], job, "Print");
    const auto& one = thingIn(all[2], job, "Candlestick");
    const auto& two = thingIn(all[2], job, "Candlestick 2");
    EXPECT_NEAR(one.right(), print.at.x - 12.7, 1e-6);
    EXPECT_NEAR(two.at.x, print.right() + 12.7, 1e-6);
    EXPECT_NEAR(two.at.y - one.at.y, 2 * 25.4, 1e-6);
    EXPECT_NEAR(thingIn(all[2], job, "Votive").at.y, print.front(), 1e-6);
    const auto& box = thingIn(all[3], job, "Box");
    EXPECT_NEAR(box.at.x, 2 * 25.4, 1e-6);
    const auto& book = thingIn(all[3], job, "Book");
    EXPECT_NEAR(book.at.x, box.right(), 1e-6);
    EXPECT_EQ(thingIn(all[3], job, "Book 3").on, thingIn(all[3], job, "Book 2").id);
    const auto& riser = thingIn(all[4], job, "Riser");
    EXPECT_NEAR(thingIn(all[4], job, "Bowl").at.z, riser.size.height.mm(), 1e-6);
    // A thing that is there is put elsewhere by the same words, and what is on it goes along.
    const auto moved = said(job, {"riser right of opening 6"});
    EXPECT_NEAR(thingIn(surfacesOf(moved)[5], moved, "Bowl").at.z, riser.size.height.mm(), 1e-6);
}

TEST(Things, AreSpokenOfAsIt) {
    const auto job = said(bookcase(), {"lean print 8 x 10 at the back of opening 3, centred"});
    const int print = job.scheme().byName("Print")->id;
    const auto heard = readLine("pair of candlesticks either side of it, one 2 forward", job,
                                {{print}, theFloor(), {}});
    ASSERT_TRUE(heard) << heard.problem().text();
    const auto next = *apply(job, heard->edit)->project;
    const auto all = surfacesOf(next);
    EXPECT_LT(thingIn(all[2], next, "Candlestick").right(), thingIn(all[2], next, "Print").at.x);
    // Colour and material are heard before the kind, on a table too.
    const auto console =
        jobWith({"console 60 x 14 x 32 against wall A", "two white vases on console",
                 "polished brass bowl on console, right"});
    EXPECT_EQ(console.scheme().byName("White vase 2")->on.is, SurfaceKind::top);
    EXPECT_EQ(materialOf(*console.scheme().byName("Polished brass bowl")), "brass");
}

TEST(Things, ThatHaveNoRoomAreRefused) {
    const auto job = said(bookcase(), {"stack of 5 books left of opening 2"});
    for (const auto& [line, why] :
         {std::pair{"vase 8 x 8 x 16 in opening 3", "clear"},
          std::pair{"vase 8 x 8 x 10 on the books", "clear"},
          std::pair{"tray 40 x 14 x 1 in opening 3", "deep"},
          std::pair{"box 60 x 6 x 4 in opening 3", "wide"},
          std::pair{"3 books lying left of book", "over the edge"},
          std::pair{"tray 30 x 10 x 1 on the books", "tip"},
          std::pair{"40 books in opening 3", "wide"}, std::pair{"stack of 5 books", "where"},
          std::pair{"stack of 300 books in opening 3", "more than"}})
        EXPECT_NE(refusalOf(job, line).find(why), std::string::npos)
            << line << ": " << refusalOf(job, line);
    // What is moved takes along what stands on it.
    const auto low = jobWith({"bookcase 48 x 12 x 40 against wall A, openings 14, 7 high",
                              "box 9 x 6 x 4 in opening 1", "votive 2 dia x 5 on box"});
    EXPECT_NE(refusalOf(low, "box in opening 2").find("clear"), std::string::npos);
    // What fits is taken until the opening is full.
    const auto full = said(job, {"30 books in opening 3"});
    EXPECT_NE(refusalOf(full, "10 books in opening 3").find("no room"), std::string::npos);
}

TEST(Things, OfTheStockAreTakenFromIt) {
    auto job = said(bookcase(), {"stock 4 cream books 9 x 6 x 1", "stock brass bowl 10 dia x 5",
                                 "stock seaside print 8 x 10", "stock 2 oak boxes 9 x 6 x 4"});
    ASSERT_EQ(job.stock->size(), 4U);
    const StockThing& book = (*job.stock)[0];
    EXPECT_EQ(book.name, "cream book");
    EXPECT_EQ(book.count, 4);
    EXPECT_NEAR(book.size.height.inInches(), 9, 1e-9);
    EXPECT_NEAR(book.size.depth.inInches(), 6, 1e-9);
    EXPECT_NEAR(book.size.width.inInches(), 1, 1e-9);
    EXPECT_EQ(colourWord(*book.colour), "cream");
    const StockThing& bowl = (*job.stock)[1];
    EXPECT_EQ(bowl.material, "brass");
    EXPECT_NEAR(bowl.size.depth.inInches(), 10, 1e-9);
    EXPECT_NEAR(bowl.size.height.inInches(), 5, 1e-9);
    EXPECT_NEAR((*job.stock)[2].size.height.inInches(), 10, 1e-9);
    EXPECT_EQ((*job.stock)[3].name, "oak box");
    job = said(job, {"3 cream books in opening 1", "brass bowl in opening 2"});
    EXPECT_EQ(
        leftOver(*job.stock, job.scheme()),
        (std::vector<std::string>{"cream book 4", "seaside print", "oak box 1", "oak box 2"}));
    EXPECT_NE(refusalOf(job, "2 cream books in opening 3").find("1 are left"), std::string::npos);
    EXPECT_EQ(placedOf(book, job.scheme()), 3);
    // Taken off the shelf they are at hand again.
    job = said(job, {"remove brass bowl"});
    EXPECT_EQ(leftOver(*job.stock, job.scheme()).size(), 5U);
    // The file keeps all of it.
    const auto again = readJob(jobText(job), "again", library());
    ASSERT_TRUE(again) << again.problem().text();
    EXPECT_EQ(*(*again)->stock, *job.stock);
    EXPECT_EQ((*again)->scheme().byName("cream book 2")->thing->stock, "cream book");
}

TEST(Boxes, HoldWhatGoesIn) {
    const auto job = said(bookcase(), {"remotes box in opening 4"});
    const auto full =
        said(job, {"remotes box holds remote 7 x 2 x 1 and 4 coasters 4 x 4 x 1/2"}); // 10 x 7 x 4
    const Piece& box = *full.scheme().byName("Remotes box");
    ASSERT_EQ(box.thing->holds.size(), 2U);
    EXPECT_EQ(box.thing->holds[1].count, 4);
    const auto verdict = [&](const Project& of) {
        const auto all = readingsOf(of);
        return find(all, of, "box-fits", "Remotes box")->verdict;
    };
    EXPECT_EQ(verdict(full), Verdict::right);
    EXPECT_EQ(verdict(said(job, {"remotes box holds tablet 11 x 8 x 1/2"})), Verdict::loose);
    EXPECT_EQ(verdict(said(job, {"remotes box holds 5 bricks 9 x 6 x 1"})), Verdict::loose);
    EXPECT_EQ(verdict(said(job, {"remotes box holds 4 bricks 9 x 6 x 1"})), Verdict::right);
    // By hand: two side by side in each of two layers.
    EXPECT_NEAR(filledBy({Length::inches(10), Length::inches(7), Length::inches(4)},
                         {{"a", 4, {Length::inches(5), Length::inches(7), Length::inches(2)}}}),
                1, 1e-9);
    EXPECT_FALSE(refusalOf(job, "remotes box holds remote").empty());
}
