#include "commands.h"
#include "manual.h"
#include "measure/texts.h"
#include "project/project.h"
#include "sheets/sheet.h"

#include <CLI/CLI.hpp>

#include <csignal>
#include <cstdio>
#include <new>
#include <system_error>

namespace {

/// What leaves the desk and what comes back.
class HandoverCommands {
public:
    explicit HandoverCommands(CLI::App& app)
        : book_(
              app.add_subcommand("book", "All sheets of a job as one PDF, or those of one reader")),
          card_(app.add_subcommand("card", "The shopping card: one fold of pocket size, or a "
                                           "picture for a telephone")),
          list_(app.add_subcommand("list", "What is had and bought, and what it comes to")),
          order_(app.add_subcommand("order", "The order of work, task by task, with its days")),
          tape_(app.add_subcommand("tape-out", "How the floor is marked with tape, by two lengths "
                                               "to every corner")),
          boards_(app.add_subcommand("boards", "Cut boards out of stock with the least waste")),
          built_(app.add_subcommand("as-built",
                                    "Hold what was measured against what was planned; keep it")) {
        book_->add_option("JOB", book.job, "a job file")->required();
        book_->add_option("--for", book.reader,
                          "client, shop, electrician, installer or workroom; else all of it");
        book_->add_option("--paper", book.paper, "letter, tabloid, a4, a3; the job's own");
        book_->add_option("--scale", book.scale, "like 1:50 or 1/4\"; the largest that fits");
        book_->add_option("--without", book.without, "a sheet that is not to be in it");
        book_->add_option("-o,--output", book.out, "FILE.pdf")->required();

        card_->add_option("JOB", job, "a job file")->required();
        card_->add_option("--room", room, "which of the job's rooms");
        card_->add_option("-o,--output", out, "FILE.pdf or .png")->required();

        list_->add_option("JOB", list.job, "a job file")->required();
        list_->add_option("--read", list.read, "a CSV to take in: its columns are the JSON keys");
        list_->add_flag("--csv", list.asCsv, "print CSV");
        list_->add_flag("--json", list.asJson, "print JSON");

        order_->add_option("JOB", order.job, "a job file")->required();
        order_->add_option("--from", order.from, "the first day, like 2027-03-01");
        order_->add_option("--read", order.read, "FILE.ics or .csv: take changes back");
        order_->add_flag("--ics", order.asIcs, "print iCalendar");
        order_->add_flag("--csv", order.asCsv, "print CSV");
        order_->add_flag("--json", order.asJson, "print JSON");

        tape_->add_option("JOB", job, "a job file")->required();
        tape_->add_option("--room", room, "which of the job's rooms");
        tape_->add_flag("--json", asJson, "print JSON, lengths in mm");

        boards_
            ->add_option("BOARD", boards.boards,
                         "length x width in mm, like \"1200 x 200\"; \"3 of 1200 x 200\"")
            ->required();
        boards_->add_option("--stock", boards.stock, "the stock's length x width")->required();
        boards_->add_option("--kerf", boards.kerf, "what the saw takes, like 3mm; else nothing");
        boards_->add_flag("--turn", boards.turn, "boards may lie across the grain");
        boards_->add_flag("--json", boards.asJson, "print JSON, lengths in mm");

        built_->add_option("JOB", built.job, "a job file")->required();
        built_
            ->add_option("MEASURE", built.said,
                         "like \"hook of harbour 58 1/4 up\" or \"sofa 36 from wall A\"")
            ->required();
        built_->add_option("--room", built.room, "which of the job's rooms");
        built_->add_flag("--sure", built.sure, "keep what is more than 500 mm off, too");
        built_->add_flag("--take", built.take, "let the job stand as it was built");
        built_->add_flag("--json", built.asJson, "print JSON, lengths in mm");
    }
    /// What the command ended with; nothing when it was another one.
    [[nodiscard]] std::optional<int> run() const {
        using namespace mezzet::cli;
        if (*book_)
            return mezzet::cli::book(book);
        if (*card_)
            return card(job, room, out);
        if (*list_)
            return mezzet::cli::list(list);
        if (*order_)
            return mezzet::cli::order(order);
        if (*tape_)
            return tapeOutCommand(job, room, asJson);
        if (*boards_)
            return mezzet::cli::boards(boards);
        if (*built_)
            return asBuilt(built);
        return {};
    }

private:
    mezzet::cli::BookCommand book;
    mezzet::cli::ListCommand list;
    mezzet::cli::OrderCommand order;
    mezzet::cli::BoardsCommand boards;
    mezzet::cli::AsBuiltCommand built;
    std::string job, room, out;
    bool asJson = false;
    CLI::App* book_;
    CLI::App* card_;
    CLI::App* list_;
    CLI::App* order_;
    CLI::App* tape_;
    CLI::App* boards_;
    CLI::App* built_;
};

/// What each option and command is for, in the language that is spoken.
void inOwnLanguage(CLI::App& app) {
    app.description(std::string(mezzet::told(app.get_description())));
    for (CLI::Option* o : app.get_options())
        o->description(std::string(mezzet::told(o->get_description())));
    for (CLI::App* sub : app.get_subcommands({}))
        inOwnLanguage(*sub);
}

int run(int argc, char** argv) {
    using namespace mezzet::cli;
    CLI::App app{"Mezzet without a window: build a room from tape notes, place pieces by saying "
                 "where they go, check it, print it."};
    app.name("mezzet-cli");
    app.require_subcommand(1);
    app.set_version_flag("--version", "mezzet-cli 0.1.0");

    std::string notes, job, out, lines, school, which, room, paper = "fit", scale = "fit";
    std::vector<std::string> said;
    bool asJson = false;

    auto* surveyCommand = app.add_subcommand("survey", "Read tape notes; tell how the room closes");
    surveyCommand->add_option("NOTES", notes, "tape notes, a text file")->required();
    surveyCommand->add_flag("--json", asJson, "print JSON");

    std::vector<std::string> headroomAt;
    surveyCommand->add_option("--headroom", headroomAt, "how high it is at X,Y of the first room")
        ->delimiter(',')
        ->expected(2);

    auto* buildCommand =
        app.add_subcommand("build", "Make a job from tape notes and, if given, a script of lines");
    buildCommand->add_option("NOTES", notes, "tape notes, a text file")->required();
    buildCommand->add_option("--lines", lines, "a file of lines to say in turn");
    buildCommand->add_option("-o,--output", out, "the job to write, NAME.mezzet")->required();

    auto* sayCommand = app.add_subcommand(
        "say", "Say lines to a job and save it; nothing is saved when one is refused");
    sayCommand->add_option("JOB", job, "a job file")->required();
    sayCommand->add_option("LINE", said, "what you would say, like \"sofa 84 x 36 against wall C\"")
        ->required();

    auto* sceneCommand = app.add_subcommand("scene", "List every piece in its true place");
    sceneCommand->add_option("JOB", job, "a job file")->required();
    sceneCommand->add_flag("--json", asJson, "print JSON, lengths in mm");

    auto* checkCommand = app.add_subcommand("check", "Take every reading");
    checkCommand->add_option("JOB", job, "a job file")->required();
    checkCommand->add_option("--school", school, "judge by another school than the job's");
    checkCommand->add_flag("--json", asJson, "print JSON, lengths in mm");
    double seconds = 20;
    checkCommand
        ->add_option("--seconds", seconds, "how long it may take to judge and to look for remedies")
        ->check(CLI::Range(0.0, 86400.0))
        ->capture_default_str();

    auto* sheetCommand = app.add_subcommand("sheet", "Print a sheet to scale");
    sheetCommand->add_option("JOB", job, "a job file")->required();
    sheetCommand->add_option("SHEET", which, "which sheet: " + mezzet::sheets::sheetIds())
        ->required();
    sheetCommand->add_option("-o,--output", out, "FILE.pdf, .svg or .png")->required();
    sheetCommand->add_option("--paper", paper,
                             "letter, tabloid, a4, a3; the smallest that fits when left out");
    sheetCommand->add_option("--scale", scale, "1:50, 1/4\", or fit");
    std::string wall, templateOf, roll;
    sheetCommand->add_option("--wall", wall, "which wall, by its letter");
    sheetCommand->add_option("--of", templateOf, "templates: of one piece or group");
    sheetCommand->add_option("--roll", roll, "templates: on a roll of this width, in one piece");
    bool client = false;
    sheetCommand->add_flag("--client", client, "leave off what is to mend: for a client");

    std::string frame, pictureFile;
    auto* pictureCommand = app.add_subcommand(
        "picture", "Put a PNG or JPEG in a frame, and keep a copy of it in the job");
    pictureCommand->add_option("JOB", job, "a job file")->required();
    pictureCommand->add_option("PIECE", frame, "the frame, by name")->required();
    pictureCommand->add_option("FILE", pictureFile, "the picture")->required();

    std::vector<std::string> pictureFiles;
    std::string frameFor;
    auto* picturesCommand = app.add_subcommand(
        "pictures", "Rank several pictures by how they answer the room's colours");
    picturesCommand->add_option("JOB", job, "a job file")->required();
    picturesCommand->add_option("FILE", pictureFiles, "PNG or JPEG pictures")->required();
    picturesCommand->add_option("--frame", frameFor, "put the best into this frame");
    picturesCommand->add_option("--room", room, "which of the job's rooms");
    picturesCommand->add_flag("--json", asJson, "print JSON");

    auto* hangCommand = app.add_subcommand(
        "hang", "Where every hook goes, what mirrors show, and how shelves hold");
    hangCommand->add_option("JOB", job, "a job file")->required();
    hangCommand->add_option("--wall", wall, "of one wall, by its letter");
    hangCommand->add_flag("--json", asJson, "print JSON, lengths in mm");

    for (auto* c : {sceneCommand, checkCommand, sheetCommand, hangCommand})
        c->add_option("--room", room, "which of the job's rooms");

    std::string question, csvIn, csvOut;
    bool inMillimetres = false, ownOnly = false;
    auto* fitCommand = app.add_subcommand(
        "fit",
        "Ask what fits: \"table\", \"sofa on wall A\", \"rug for seats\", \"where sideboard 60 "
        "x 18\", \"does sofa 90 x 38 x 36 fit\"");
    fitCommand->add_option("JOB", job, "a job file")->required();
    fitCommand->add_option("QUESTION", question, "the question")->required();
    auto* schemesCommand = app.add_subcommand("schemes", "Lay the room's schemes side by side");
    schemesCommand->add_option("JOB", job, "a job file")->required();
    auto* floorCommand =
        app.add_subcommand("floor", "Zones, talk, views, ways, room in use and balance, as JSON");
    floorCommand->add_option("JOB", job, "a job file")->required();
    for (auto* c : {fitCommand, schemesCommand, floorCommand})
        c->add_option("--room", room, "which of the job's rooms");
    for (auto* c : {fitCommand, schemesCommand})
        c->add_flag("--json", asJson, "print JSON, lengths in mm");
    auto* kitListCommand =
        app.add_subcommand("kit", "List the kit as CSV; take in kinds of your own");
    kitListCommand->add_option("--read", csvIn, "a CSV of own kinds to keep in the studio's kit");
    kitListCommand->add_option("--write", csvOut, "write the kit to this CSV");
    kitListCommand->add_flag("--metric", inMillimetres, "millimetres instead of inches");
    kitListCommand->add_flag("--own", ownOnly, "the studio's own kinds only");
    bool rulesInCentimetres = false;
    auto* rulesCommand = app.add_subcommand("rules", "Print the rules as the page docs/rules.md");
    rulesCommand->add_flag("--metric", rulesInCentimetres, "centimetres instead of inches");
    auto* phrasesCommand = app.add_subcommand(
        "phrases", "Print what can be said on the line, as the page docs/line.md");

    TraceCommand traced;
    auto* traceCommand = app.add_subcommand(
        "trace", "Make tape notes of a DXF drawing, or of the steps of a tracing");
    traceCommand->add_option("FILE", traced.file, "FILE.dxf, or a tracing as text")->required();
    traceCommand->add_option("-o,--output", traced.out, "the tape notes to write");
    traceCommand->add_option("--units", traced.units, "what the notes are written in");
    traceCommand->add_option("--unit", traced.unit,
                             "what one unit of the DXF is: mm, cm, m, in, ft");
    traceCommand->add_option("--name", traced.room, "the room's name");
    traceCommand->add_option("--walls", traced.walls, "layers of the walls")->delimiter(',');
    traceCommand->add_option("--windows", traced.windows, "layers of the windows")->delimiter(',');
    traceCommand->add_option("--doors", traced.doors, "layers of the doors")->delimiter(',');
    traceCommand->add_option("--inside", traced.inside, "x,y of a point in the room")
        ->delimiter(',')
        ->expected(2);
    traceCommand->add_flag("--layers", traced.listLayers, "list the DXF's layers and stop");

    auto* exportCommand = app.add_subcommand("export", "Write a plan as DXF, in millimetres");
    exportCommand->add_option("JOB", job, "a job file")->required();
    exportCommand->add_option("-o,--output", out, "FILE.dxf")->required();
    exportCommand->add_option("--room", room, "which of the job's rooms");

    LightCommand lightAsked;
    auto* lightCommand = app.add_subcommand(
        "light", "Every light, how bright it is where things are done, at a point, or on a grid");
    lightCommand->add_option("JOB", lightAsked.job, "a job file")->required();
    lightCommand->add_option("--room", lightAsked.room, "which of the job's rooms");
    lightCommand->add_option("--scene", lightAsked.scene, "a light scene; else all full on");
    lightCommand->add_option("--at", lightAsked.at, "the light at X,Y,Z, in mm");
    lightCommand->add_option("--facing", lightAsked.facing, "which way that looks; else up");
    lightCommand->add_option("--grid", lightAsked.grid, "on a grid of this step, like 250mm");
    lightCommand->add_option("--height", lightAsked.height, "of the grid over the floor");
    lightCommand->add_flag("--direct", lightAsked.directOnly,
                           "only what comes straight from the lights");
    lightCommand->add_flag("--json", lightAsked.asJson, "print JSON, lengths in mm");

    DressCommand dressAsked;
    auto* dressCommand = app.add_subcommand(
        "dress", "What stands on shelves and tables, or would, dressed from the stock");
    dressCommand->add_option("JOB", dressAsked.job, "a job file")->required();
    dressCommand->add_option("--room", dressAsked.room, "which of the job's rooms");
    dressCommand->add_option("--of", dressAsked.of, "one piece; else all");
    dressCommand->add_flag("--solve", dressAsked.solve, "dress it from the stock, and show that");
    dressCommand->add_flag("--keep", dressAsked.keep, "and write it to the job");
    dressCommand->add_flag("--list", dressAsked.list, "put what is wanted on the job's list");
    dressCommand->add_option("--answer", dressAsked.answer, "which answer, 1 the best");
    dressCommand->add_flag("--json", dressAsked.asJson, "print JSON, lengths in mm");

    StockCommand stockAsked;
    auto* stockCommand = app.add_subcommand("stock", "The things that are at hand");
    stockCommand->add_option("JOB", stockAsked.job, "a job file")->required();
    stockCommand->add_option("--read", stockAsked.read, "a CSV of things to add");
    stockCommand->add_option("--write", stockAsked.write, "a CSV to write");
    stockCommand->add_flag("--mm", stockAsked.metric, "write lengths in mm");
    stockCommand->add_flag("--from-studio", stockAsked.fromStudio,
                           "add what the studio has at hand");
    stockCommand->add_flag("--to-studio", stockAsked.toStudio, "add it to what the studio has");

    std::string colourOne;
    std::string colourTwo;
    auto* colourCommand =
        app.add_subcommand("colour", "How different two colours look (CIEDE2000)");
    colourCommand->add_option("A", colourOne, "#rrggbb, lab(50,2.68,-79.8) or a word")->required();
    colourCommand->add_option("B", colourTwo, "the other")->required();

    std::string coloursFile;
    int coloursMost = 6;
    bool coloursJson = false;
    auto* coloursCommand = app.add_subcommand("colours", "The dominant colours of a picture");
    coloursCommand->add_option("FILE", coloursFile, "a PNG or JPEG picture")->required();
    coloursCommand->add_option("--most", coloursMost, "at most so many; 6 when not said");
    coloursCommand->add_flag("--json", coloursJson, "print JSON");

    const HandoverCommands handover(app);
    // For whoever packs the program: no group, so that they are not among what is offered.
    auto* manCommand = app.add_subcommand("man-page", "Print the manual page")->group("");
    auto* completionCommand =
        app.add_subcommand("completion", "Print the completion for bash")->group("");

    std::string photometryFile, photometryAt, photometryCurve;
    auto* photometryCommand =
        app.add_subcommand("photometry", "What an IES or EULUMDAT file says of a fixture");
    photometryCommand->add_option("FILE", photometryFile, "FILE.ies or FILE.ldt")->required();
    photometryCommand->add_option("--at", photometryAt, "candela at V,H, the file's own angles");
    photometryCommand->add_option("-o,--output", photometryCurve,
                                  "draw its polar curve to FILE.pdf, .svg or .png");
    photometryCommand->add_flag("--json", asJson, "print JSON");

    RugsCommand rugsAsked;
    auto* rugsCommand = app.add_subcommand(
        "rugs",
        "Every rug: its outline and edges, how seats stand on it, how it is cut off a roll");
    rugsCommand->add_option("JOB", rugsAsked.job, "a job file")->required();
    rugsCommand->add_option("--room", rugsAsked.room, "which of the job's rooms");
    rugsCommand->add_option("--roll", rugsAsked.rolls, "a roll's width; may be repeated")
        ->expected(1)
        ->take_all();
    rugsCommand->add_option("--allowance", rugsAsked.allowance, "more at each edge of a cut");
    rugsCommand->add_flag("--json", rugsAsked.asJson, "print JSON, lengths in mm");

    CutCommand cutAsked;
    auto* cutCommand = app.add_subcommand("cut", "Lay cuts out on a roll, with the least length");
    cutCommand->add_option("CUT", cutAsked.cuts, "across x along the pile, like \"9' x 12'\"")
        ->required();
    cutCommand->add_option("--roll", cutAsked.rolls, "a roll's width; may be repeated")
        ->expected(1)
        ->take_all();
    cutCommand->add_option("--allowance", cutAsked.allowance, "more at each edge; 2 in (5 cm)");
    cutCommand->add_option("--repeat", cutAsked.repeat, "of the pattern, along the roll");
    cutCommand->add_option("--drop", cutAsked.drop, "of the pattern, from length to length");
    cutCommand->add_flag("--seams", cutAsked.seams, "what is wider than the roll may have seams");
    cutCommand->add_flag("--json", cutAsked.asJson, "print JSON, lengths in mm");

    RunnerCommand asked;
    std::vector<std::string> riser, going, nosing, width, pile;
    std::vector<std::vector<std::string>> landings;
    auto* runnerCommand = app.add_subcommand("runner", "Measure a carpet runner up a stair");
    // A length may be two words: 7 1/2.
    for (const auto& [name, into, what] :
         {std::tuple<const char*, std::vector<std::string>&, const char*>{"--riser", riser,
                                                                          "how high a riser is"},
          {"--going", going, "how deep a going is"},
          {"--nosing", nosing, "how far a tread stands out over its riser; 1 in (25 mm)"},
          {"--width", width, "how wide the runner is"},
          {"--pile", pile, "how thick it is; 3/8 in (10 mm)"}})
        runnerCommand->add_option(name, into, what)->expected(1, 2);
    runnerCommand->add_option("--landing", landings, "a landing's length; may be repeated")
        ->expected(1, 2);
    runnerCommand->add_option("--count", asked.count, "how many risers")->required();
    runnerCommand->add_option("--turns", asked.turns, "how often it turns: a length ends there");
    runnerCommand->add_flag("--capped", asked.capped, "drawn in under each nosing");
    runnerCommand->add_flag("--json", asked.asJson, "print JSON, lengths in mm");

    bool metric = false;
    auto* blankCommand =
        app.add_subcommand("measuring-sheet", "Print a blank sheet to measure a room with");
    blankCommand->add_option("NOTES", notes, "tape notes of a room that is known in part");
    blankCommand->add_flag("--metric", metric, "A4 and centimetres, for a room not yet known");
    blankCommand->add_option("-o,--output", out, "FILE.pdf, .svg or .png")->required();

    std::string socket = "mezzet-laser", log;
    int count = 0;
    auto* listenCommand = app.add_subcommand("listen", "Print what a laser measure sends");
    listenCommand->add_option("--socket", socket, "its local socket")->capture_default_str();
    listenCommand->add_option("--count", count, "end after so many readings")
        ->check(CLI::Range(0, 1000000));
    listenCommand->add_option("--log", log, "keep the raw lines in this file");

    inOwnLanguage(app);
    try {
        app.parse(argc, argv);
    } catch (const CLI::CallForHelp& e) {
        return app.exit(e);
    } catch (const CLI::CallForVersion& e) {
        return app.exit(e);
    } catch (const CLI::ParseError& e) {
        app.exit(e);
        return wrongUsage;
    }
    if (*manCommand || *completionCommand) {
        fmt::print("{}",
                   *manCommand ? manPage(app, "0.1.0", "November 2026") : bashCompletion(app));
        return ran;
    }
    if (const auto ended = handover.run())
        return *ended;
    if (*surveyCommand)
        return survey(notes, asJson, headroomAt);
    if (*buildCommand)
        return build(notes, lines, out);
    if (*sayCommand)
        return say(job, said);
    if (*sceneCommand)
        return scene(job, room, asJson);
    if (*checkCommand)
        return check(job, room, school, seconds, asJson);
    if (*pictureCommand)
        return picture(job, frame, pictureFile);
    if (*picturesCommand)
        return pictures(job, room, pictureFiles, frameFor, asJson);
    if (*hangCommand)
        return hang(job, room, wall, asJson);
    if (*fitCommand)
        return fit(job, room, question, asJson);
    if (*schemesCommand)
        return schemes(job, room, asJson);
    if (*floorCommand)
        return floorFacts(job, room);
    if (*kitListCommand)
        return kitCommand(csvIn, csvOut, inMillimetres, ownOnly);
    if (*rulesCommand)
        return rules(rulesInCentimetres);
    if (*phrasesCommand)
        return phrases();
    if (*traceCommand)
        return trace(traced);
    if (*exportCommand)
        return exportDxf(job, room, out);
    if (*blankCommand)
        return measuringSheet(notes, metric, out);
    if (*lightCommand)
        return light(lightAsked);
    if (*dressCommand)
        return dress(dressAsked);
    if (*stockCommand)
        return stock(stockAsked);
    if (*colourCommand)
        return colour(colourOne, colourTwo);
    if (*coloursCommand)
        return colours(coloursFile, coloursMost, coloursJson);
    if (*photometryCommand)
        return photometry(photometryFile, photometryAt, photometryCurve, asJson);
    if (*rugsCommand)
        return rugs(rugsAsked);
    if (*cutCommand)
        return cut(cutAsked);
    if (*runnerCommand) {
        const auto joined = [](const std::vector<std::string>& words) {
            std::string all;
            for (const auto& w : words)
                all += (all.empty() ? "" : " ") + w;
            return all;
        };
        asked.riser = joined(riser);
        asked.going = joined(going);
        asked.nosing = joined(nosing);
        asked.width = joined(width);
        asked.pile = joined(pile);
        for (const auto& l : landings)
            asked.landings.push_back(joined(l));
        return runner(asked);
    }
    if (*listenCommand)
        return listen(socket, count, log);
    return sheet({job, room, which, out, paper, scale, wall, templateOf, roll, client});
}

} // namespace

int main(int argc, char** argv) {
    // A limit on files is told, and does not end the program.
    std::signal(SIGXFSZ, SIG_IGN);
    try {
        if (const auto problem = mezzet::speakAsAsked())
            std::fprintf(stderr, "%s\n", problem->text().c_str());
        const int code = run(argc, argv);
        // What was to be printed and could not be is no success.
        if (std::fflush(stdout) != 0 || std::ferror(stdout) != 0) {
            std::fprintf(
                stderr, "%s\n",
                std::string(
                    mezzet::told("What it found could not be written: the disk may be full."))
                    .c_str());
            return mezzet::cli::badInput;
        }
        return code;
    } catch (const std::system_error&) { // from printing itself
        std::fprintf(
            stderr, "%s\n",
            std::string(mezzet::told("What it found could not be written: the disk may be full."))
                .c_str());
        return mezzet::cli::badInput;
    } catch (const std::bad_alloc&) {
        std::fprintf(stderr, "%s\n",
                     std::string(mezzet::told("There is not enough memory for that.")).c_str());
        return mezzet::cli::badInput;
    }
}
