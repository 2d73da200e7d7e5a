// The commands of handing over, by the forms other programs go by.
#include "cli/shell.h"

#include <nlohmann/json.hpp>

#include <gtest/gtest.h>

#include <cmath>

using json = nlohmann::json;

namespace {

class HandoverShell : public mezzet::test::JobShellTest {
protected:
    /// What another program printed of a file in the folder.
    std::string of(const std::string& command) const {
        const auto all = "cd " + folder.string() + " && " + command + " >tool.txt 2>&1";
        EXPECT_EQ(std::system(all.c_str()), 0) << command;
        return read("tool.txt");
    }
};

const char* furnished = "sofa 84 x 36 x 34 against wall A, centred on wall A\n"
                        "coffee table 48 x 24 at 10', 7'\n"
                        "picture 40 x 30 on wall A, centred on sofa, bottom at 39, on two rings "
                        "called harbour\n";

} // namespace

TEST_F(HandoverShell, ListReadsAndTells) {
    build(furnished);
    auto j = told("list job.mezzet --json");
    ASSERT_EQ(j["items"].size(), 3U);
    EXPECT_EQ(j["items"][0]["state"], "to find");
    EXPECT_TRUE(j["items"][0]["price"].is_null());
    EXPECT_EQ(j["total"], 0.0);
    EXPECT_TRUE(j["budget"].is_null());
    write("in.csv", "name,state,price,quantity,lead_days,supplier\nsofa,ordered,1200,1,42,Linden\n"
                    "blind,to find,80.50,2,,\n");
    const auto ran = here("list job.mezzet --read in.csv --json");
    ASSERT_EQ(ran.code, 0) << ran.error;
    EXPECT_NE(ran.error.find("blind"), std::string::npos);
    j = json::parse(ran.out);
    EXPECT_DOUBLE_EQ(j["total"], 1200 + 161);
    EXPECT_EQ(j["items"][0]["lead_days"], 42);
    EXPECT_EQ(j["items"][0]["supplier"], "Linden");
    EXPECT_EQ(here("say job.mezzet \"budget 5000\"").code, 0);
    EXPECT_EQ(told("list job.mezzet --json")["budget"], 5000.0);
    // Whole or not at all.
    const auto before = read("job.mezzet");
    write("bad.csv", "name,price\nsofa,100\ncoffee table,x\n");
    const auto bad = here("list job.mezzet --read bad.csv");
    EXPECT_EQ(bad.code, 3);
    EXPECT_NE(bad.error.find("bad.csv:3"), std::string::npos) << bad.error;
    EXPECT_EQ(read("job.mezzet"), before);
    // The table goes round.
    const auto csv = here("list job.mezzet --csv");
    write("again.csv", csv.out);
    EXPECT_EQ(here("list job.mezzet --read again.csv --csv").out, csv.out);
}

TEST_F(HandoverShell, OrderGoesOutAndComesBack) {
    build(std::string(furnished) + "colour walls sage\npendant centred on room\n");
    const auto j = told("order job.mezzet --from 2027-03-01 --json");
    ASSERT_GT(j["tasks"].size(), 5U);
    std::map<std::string, json> byName;
    for (const auto& t : j["tasks"])
        byName[t["name"]] = t;
    for (const auto& t : j["tasks"]) {
        for (const char* key : {"name", "trade", "hours", "after", "start", "end", "slack_days",
                                "critical", "days", "wait_days"})
            EXPECT_TRUE(t.contains(key)) << key;
        for (const auto& a : t["after"])
            EXPECT_LT(byName.at(a)["end"], t["start"]);
    }
    const auto ics = here("order job.mezzet --from 2027-03-01 --ics");
    EXPECT_EQ(ics.out, here("order job.mezzet --from 2027-03-01 --ics").out);
    EXPECT_NE(ics.out.find("BEGIN:VEVENT"), std::string::npos);
    // Wiring a week later.
    auto moved = ics.out;
    const std::string was = "20270301\r\nDTEND;VALUE=DATE:20270302";
    ASSERT_NE(moved.find(was), std::string::npos);
    moved.replace(moved.find(was), was.size(), "20270308\r\nDTEND;VALUE=DATE:20270309");
    write("moved.ics", moved);
    ASSERT_EQ(here("order job.mezzet --from 2027-03-01 --read moved.ics").code, 0);
    const auto later = told("order job.mezzet --from 2027-03-01 --json");
    for (const auto& t : later["tasks"])
        if (t["name"] == "wiring")
            EXPECT_EQ(t["start"], "2027-03-08");
    // Loops, days and files that can't be.
    EXPECT_EQ(here("say job.mezzet \"task wiring after pendants\"").code, 3);
    EXPECT_EQ(here("order job.mezzet --from 2027-02-30").code, 2);
    write("bad.ics", "BEGIN:VCALENDAR\nnothing");
    const auto before = read("job.mezzet");
    const auto bad = here("order job.mezzet --read bad.ics");
    EXPECT_EQ(read("job.mezzet"), before);
    write("bad.txt", "x");
    EXPECT_EQ(here("order job.mezzet --read bad.txt").code, 2);
}

TEST_F(HandoverShell, TapeOutTellsTwoLengthsToEveryCorner) {
    build(furnished);
    const auto j = told("tape-out job.mezzet --json");
    ASSERT_EQ(j["steps"].size(), 8U);
    for (const auto& s : j["steps"]) {
        ASSERT_EQ(s["from"].size(), 2U);
        for (const auto& f : s["from"]) {
            EXPECT_NE(f["at"].is_null(), f["wall"].is_null());
            if (!f["at"].is_null())
                EXPECT_NEAR(std::hypot(f["at"][0].get<double>() - s["at"][0].get<double>(),
                                       f["at"][1].get<double>() - s["at"][1].get<double>()),
                            f["length_mm"].get<double>(), 0.01);
        }
    }
    // 2 (84 + 36) and 2 (48 + 24) in.
    EXPECT_NEAR(j["tape_m"], 384 * 0.0254, 1e-4);
}

TEST_F(HandoverShell, BoardsAreCutWithTheLeastWaste) {
    const auto j = told("boards \"1200 x 200\" \"1200 x 200\" --stock \"2400 x 200\" --json");
    ASSERT_EQ(j["sheets"].size(), 1U);
    EXPECT_NEAR(j["waste"], 0, 1e-9);
    EXPECT_EQ(j["sheets"][0]["cuts"][1]["board"], 2);
    EXPECT_EQ(j["sheets"][0]["cuts"][1]["at"], json({1200.0, 0.0}));
    EXPECT_EQ(told("boards \"1200 x 200\" \"1200 x 200\" --stock \"2400 x 200\" --kerf 3mm "
                   "--json")["sheets"]
                  .size(),
              2U);
    EXPECT_EQ(told("boards \"4 of 600 x 200\" --stock \"2400 x 200\" --json")["sheets"].size(), 1U);
    EXPECT_EQ(here("boards \"200 x 1200\" --stock \"2400 x 200\"").code, 3);
    EXPECT_EQ(told("boards \"200 x 1200\" --stock \"2400 x 200\" --turn --json")["sheets"].size(),
              1U);
    for (const char* bad :
         {"boards nonsense --stock \"2400 x 200\"", "boards \"1 x 1\" --stock nonsense",
          "boards \"1 x 1\" --stock \"2 x 2\" --kerf wide"})
        EXPECT_EQ(here(bad).code, 3) << bad;
}

TEST_F(HandoverShell, AsBuiltDiffersAndAsksAgain) {
    build(furnished);
    auto j = told("as-built job.mezzet \"hook of harbour 61 5/8 up\" \"bottom of harbour 52\" "
                  "\"coffee table 90 from sofa\" --json");
    ASSERT_EQ(j["differs"].size(), 2U);
    EXPECT_EQ(j["differs"][0]["name"], "harbour");
    EXPECT_NEAR(j["differs"][0]["planned_mm"], 61.5 * 25.4, 0.01);
    EXPECT_NEAR(j["differs"][0]["built_mm"], 61.625 * 25.4, 0.01);
    EXPECT_EQ(j["differs"][0]["matters"], false);
    EXPECT_EQ(j["differs"][1]["matters"], true);
    ASSERT_EQ(j["ask_again"].size(), 1U);
    EXPECT_EQ(j["ask_again"][0]["name"], "Coffee table");
    auto kept = json::parse(read("job.mezzet"))["handover"]["built"];
    EXPECT_EQ(kept.size(), 2U);
    j = told("as-built job.mezzet \"coffee table 90 from sofa\" --sure --take --json");
    EXPECT_EQ(j["differs"].size(), 1U);
    EXPECT_NEAR(
        told("as-built job.mezzet \"coffee table 90 from sofa\" --json")["agrees"][0]["planned_mm"],
        90 * 25.4, 0.01);
    EXPECT_EQ(here("as-built job.mezzet \"hook of nothing 5 up\"").code, 3);
}

TEST_F(HandoverShell, TheStudiosStockGoesFromJobToJob) {
    build("stock 12 cream books 9 x 6 x 1\nstock brass bowl 10 dia x 5\n");
    const auto kept = here("stock job.mezzet --to-studio");
    ASSERT_EQ(kept.code, 0) << kept.error;
    EXPECT_NE(kept.out.find("2 kept"), std::string::npos);
    build("stock white vase 8 x 8 x 12\n");
    ASSERT_EQ(here("stock job.mezzet --from-studio").code, 0);
    const auto all = here("stock job.mezzet").out;
    for (const char* name : {"cream book", "brass bowl", "white vase", "3 in the stock"})
        EXPECT_NE(all.find(name), std::string::npos) << name << all;
    // What is there is kept, and a name that is there replaced.
    ASSERT_EQ(here("stock job.mezzet --to-studio").code, 0);
    build("sofa against wall C\n");
    ASSERT_EQ(here("stock job.mezzet --from-studio").code, 0);
    EXPECT_NE(here("stock job.mezzet").out.find("3 in the stock"), std::string::npos);
    // A damaged one is told, and nothing is changed.
    write("studio/stock.csv",
          "name,kind,count,width_mm,depth_mm,height_mm\nvase,vase,many,90,90,200\n");
    const auto before = read("job.mezzet");
    const auto bad = here("stock job.mezzet --from-studio");
    EXPECT_EQ(bad.code, 3);
    EXPECT_NE(bad.error.find("stock.csv:2"), std::string::npos) << bad.error;
    EXPECT_EQ(read("job.mezzet"), before);
    EXPECT_EQ(here("stock job.mezzet --to-studio").code, 3);
    EXPECT_EQ(read("studio/stock.csv"),
              "name,kind,count,width_mm,depth_mm,height_mm\nvase,vase,many,90,90,200\n");
}

TEST_F(HandoverShell, BookAndCardAreReadByOtherTools) {
    build(std::string(furnished) + "pendant centred on room\nbudget 5000\nlist sofa price 1200\n");
    const auto made = here("book job.mezzet -o book.pdf");
    ASSERT_EQ(made.code, 0) << made.error;
    const auto info = of("pdfinfo book.pdf");
    const auto at = info.find("Pages:");
    ASSERT_NE(at, std::string::npos);
    const int pages = std::stoi(info.substr(at + 6));
    EXPECT_GT(pages, 8);
    // Every line of the contents ends in the page its chapter is on, and leads there.
    const auto contents = of("pdftotext -f 2 -l 2 -layout book.pdf -");
    const auto urls = of("qpdf --json book.pdf");
    const auto j = json::parse(urls);
    std::size_t links = 0;
    for (const auto& [name, object] : j["qpdf"][1].items())
        if (object.contains("value") && object["value"].is_object() &&
            object["value"].value("/Subtype", "") == "/Link")
            ++links;
    std::size_t lines = 0;
    std::istringstream in(contents);
    for (std::string line; std::getline(in, line);) {
        const auto end = line.find_last_not_of(" \f");
        if (end == std::string::npos || line.find("Contents") != std::string::npos ||
            !std::isdigit(static_cast<unsigned char>(line[end])))
            continue;
        const auto from = line.find_last_of(' ', end);
        const int page = std::stoi(line.substr(from + 1));
        if (from == std::string::npos || line.find_first_not_of(' ') > from)
            continue; // the page's own number
        ++lines;
        EXPECT_GT(page, 2);
        EXPECT_LE(page, pages);
        if (line.find("The list") != std::string::npos)
            EXPECT_NE(of("pdftotext -f " + std::to_string(page) + " -l " + std::to_string(page) +
                         " book.pdf -")
                          .find("to find"),
                      std::string::npos);
    }
    EXPECT_GT(lines, 4U);
    EXPECT_EQ(links, lines);
    // All letters are with it.
    const auto fonts = of("pdffonts book.pdf");
    std::istringstream rows(fonts);
    std::string row;
    std::getline(rows, row);
    const auto emb = row.find("emb");
    std::getline(rows, row);
    while (std::getline(rows, row))
        EXPECT_EQ(row.substr(emb, 3), "yes") << row;
    // What the job remembers of a reader's book is asked for again, but for what is said.
    auto job = json::parse(read("job.mezzet"));
    job["prints"]["book"] = {{"paper", "A3"},
                             {"scale", ""},
                             {"file", "pdf"},
                             {"mends", true},
                             {"leftOut", {"order", "list"}}};
    write("job.mezzet", job.dump());
    const auto again = here("book job.mezzet -o again.pdf");
    ASSERT_EQ(again.code, 0) << again.error;
    EXPECT_EQ(again.out.find("The order of work"), std::string::npos) << again.out;
    EXPECT_NE(of("pdfinfo again.pdf").find("A3"), std::string::npos);
    const auto letter =
        here("book job.mezzet --paper letter --scale 1:500 --without plan -o l.pdf");
    ASSERT_EQ(letter.code, 0) << letter.error;
    EXPECT_NE(letter.out.find("The order of work"), std::string::npos) << letter.out;
    EXPECT_EQ(here("book job.mezzet --scale wrong -o l.pdf").code, 2);
    // A client sees no price.
    ASSERT_EQ(here("book job.mezzet --for client -o client.pdf").code, 0);
    EXPECT_EQ(of("pdftotext client.pdf -").find("1200"), std::string::npos);
    EXPECT_NE(of("pdftotext book.pdf -").find("1200"), std::string::npos);
    for (const char* reader : {"shop", "electrician", "installer", "workroom"})
        EXPECT_EQ(here(std::string("book job.mezzet --for ") + reader + " -o r.pdf").code, 0);
    EXPECT_EQ(here("book job.mezzet --for cat -o r.pdf").code, 2);
    EXPECT_EQ(here("book job.mezzet -o r.doc").code, 2);
    EXPECT_EQ(here("book job.mezzet -o /dev/full/r.pdf").code, 3);
    // The card is at most A5 (420 by 595 points), of two pages; its picture at most 1600 wide.
    ASSERT_EQ(here("card job.mezzet -o card.pdf").code, 0);
    const auto card = of("pdfinfo card.pdf");
    EXPECT_NE(card.find("Pages:           2"), std::string::npos) << card;
    EXPECT_NE(card.find("420 x 595 pts"), std::string::npos) << card;
    ASSERT_EQ(here("card job.mezzet -o card.png").code, 0);
    const auto png = read("card.png");
    ASSERT_GT(png.size(), 24U);
    const auto wide =
        (static_cast<unsigned char>(png[18]) << 8) + static_cast<unsigned char>(png[19]);
    EXPECT_LE(wide, 1600);
    EXPECT_EQ(here("card job.mezzet -o card.svg").code, 2);
}

TEST_F(HandoverShell, PicturesAreRankedAndTheBestIsPutInItsFrame) {
    build(std::string(furnished) + "colour walls navy\ncolour sofa cream\n");
    // A small PPM is none of the two formats; PNGs are drawn by the program itself.
    ASSERT_EQ(here("sheet job.mezzet plan -o light.png").code, 0);
    write("no.png", "no picture");
    EXPECT_EQ(here("pictures job.mezzet no.png").code, 3);
    const auto j = told("pictures job.mezzet light.png light.png --json");
    ASSERT_EQ(j["pictures"].size(), 2U);
    EXPECT_GT(j["pictures"][0]["contrast"], 30.0);
    EXPECT_EQ(j["room"].size(), 2U);
    const auto put = here("pictures job.mezzet light.png --frame harbour");
    EXPECT_EQ(put.code, 0) << put.error;
    EXPECT_NE(read("job.mezzet").find("\"picture\": "), std::string::npos);
}

TEST_F(HandoverShell, ManualAndCompletionHaveEveryCommand) {
    const auto help = here("--help");
    const auto man = here("man-page");
    const auto completion = here("completion");
    ASSERT_EQ(man.code, 0);
    ASSERT_EQ(completion.code, 0);
    write("c.bash", completion.out);
    EXPECT_EQ(std::system(("bash -n " + (folder / "c.bash").string()).c_str()), 0);
    std::istringstream in(help.out);
    bool commands = false;
    int n = 0;
    for (std::string line; std::getline(in, line);) {
        if (line.find("ubcommands") != std::string::npos) {
            commands = true;
            continue;
        }
        if (!commands || line.size() < 3 || line[2] == ' ')
            continue;
        const auto name = line.substr(2, line.find(' ', 2) - 2);
        ++n;
        std::string roff;
        for (const char c : name)
            roff += c == '-' ? "\\-" : std::string(1, c);
        EXPECT_NE(man.out.find(".SS " + roff), std::string::npos) << name;
        EXPECT_NE(completion.out.find(name), std::string::npos) << name;
    }
    EXPECT_GT(n, 30);
    EXPECT_EQ(man.out.find("man\\-page"), std::string::npos);
}
