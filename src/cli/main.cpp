#include "commands.h"

#include <CLI/CLI.hpp>

int main(int argc, char** argv) {
    using namespace mezzet::cli;
    CLI::App app{"Mezzet without a window: build a room from tape notes, place pieces by saying "
                 "where they go, check it, print it."};
    app.name("mezzet-cli");
    app.require_subcommand(1);
    app.set_version_flag("--version", "mezzet-cli 0.1.0");

    std::string notes, job, out, lines, school, which, paper = "fit", scale = "fit";
    std::vector<std::string> said;
    bool asJson = false;

    auto* surveyCommand = app.add_subcommand("survey", "Read tape notes; tell how the room closes");
    surveyCommand->add_option("NOTES", notes, "tape notes, a text file")->required();
    surveyCommand->add_flag("--json", asJson, "print JSON");

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

    auto* sheetCommand = app.add_subcommand("sheet", "Print a sheet to scale");
    sheetCommand->add_option("JOB", job, "a job file")->required();
    sheetCommand->add_option("SHEET", which, "which sheet: plan")->required();
    sheetCommand->add_option("-o,--output", out, "FILE.pdf, .svg or .png")->required();
    sheetCommand->add_option("--paper", paper,
                             "letter, tabloid, a4, a3; the smallest that fits when left out");
    sheetCommand->add_option("--scale", scale, "1:50, 1/4\", or fit");

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
    if (*surveyCommand)
        return survey(notes, asJson);
    if (*buildCommand)
        return build(notes, lines, out);
    if (*sayCommand)
        return say(job, said);
    if (*sceneCommand)
        return scene(job, asJson);
    if (*checkCommand)
        return check(job, school, asJson);
    return sheet(job, which, out, paper, scale);
}
