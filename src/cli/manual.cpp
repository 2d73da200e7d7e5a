#include "manual.h"

#include "measure/texts.h"
#include <fmt/format.h>

#include <cctype>

namespace mezzet::cli {

namespace {

/// Text as troff takes it: no line begins with a control character, signs are those of the
/// keyboard.
std::string roff(std::string_view text) {
    std::string out;
    for (const char c : text) {
        if (c == '\\')
            out += "\\e";
        else if (c == '-')
            out += "\\-";
        else if (c == '\n')
            out += ' ';
        else
            out += c;
    }
    if (!out.empty() && (out[0] == '.' || out[0] == '\''))
        out.insert(0, "\\&");
    return out;
}

std::string namesOf(const CLI::Option& o) {
    std::string out;
    for (const auto& s : o.get_snames())
        out += (out.empty() ? "-" : ", -") + s;
    for (const auto& l : o.get_lnames())
        out += (out.empty() ? "--" : ", --") + l;
    return out.empty() ? o.get_name(true) : out;
}

bool isHelp(const CLI::Option& o) {
    for (const auto& l : o.get_lnames())
        if (l == "help" || l == "version")
            return true;
    return false;
}

bool isShown(const CLI::App& a) {
    return !a.get_group().empty();
}

} // namespace

std::string manPage(const CLI::App& app, const std::string& version, const std::string& date) {
    const auto heading = [](std::string_view words) { return fmt::format(".SH {}\n", words); };
    std::string out = fmt::format(".TH MEZZET-CLI 1 \"{}\" \"Mezzet {}\" \"{}\"\n", date, version,
                                  told("User Commands"));
    out +=
        ".SH NAME\nmezzet\\-cli \\- " + roff(std::string(told("Mezzet without a window"))) + "\n";
    out += heading(told("SYNOPSIS")) +
           fmt::format(".B mezzet\\-cli\n.I {}\n.RI [ {} ]\n", told("COMMAND"), told("ARGUMENTS"));
    out += heading(told("DESCRIPTION")) + roff(app.get_description()) + "\n";
    out += heading(told("COMMANDS"));
    for (const CLI::App* sub : app.get_subcommands({})) {
        if (!isShown(*sub))
            continue;
        out += ".SS " + roff(sub->get_name());
        for (const CLI::Option* o : sub->get_options())
            if (!isHelp(*o) && o->get_positional())
                out += " " +
                       roff(o->get_required() ? o->get_name(true) : "[" + o->get_name(true) + "]");
        out += "\n" + roff(sub->get_description()) + ".\n";
        for (const CLI::Option* o : sub->get_options()) {
            if (isHelp(*o))
                continue;
            out += ".TP\n.B " + roff(namesOf(*o)) + "\n";
            const auto words = roff(o->get_description());
            out += (words.empty() ? std::string("\\&") : words) + "\n";
        }
    }
    out += heading(told("EXIT STATUS")) +
           roff(std::string(
               told("0 when it ran, 2 for wrong usage, 3 for bad input or when another program has "
                    "the job; then what is wrong, and where, is on standard error."))) +
           "\n";
    out += heading(told("ENVIRONMENT")) + ".TP\n.B MEZZET_DATA\n" +
           roff(std::string(told("where the program's data are"))) + "\n.TP\n.B MEZZET_STUDIO\n" +
           roff(std::string(told("where what the studio keeps for itself is"))) +
           "\n.TP\n.B MEZZET_LANGUAGE\n" +
           roff(std::string(told("the language that is spoken, like de; else the locale's"))) +
           "\n";
    out += heading(told("SEE ALSO")) + ".BR mezzet (1),\n.BR mezzet\\-laser (1)\n";
    return out;
}

std::string bashCompletion(const CLI::App& app) {
    std::string commands, cases;
    for (const CLI::App* sub : app.get_subcommands({})) {
        if (!isShown(*sub))
            continue;
        commands += (commands.empty() ? "" : " ") + sub->get_name();
        std::string options;
        for (const CLI::Option* o : sub->get_options())
            for (const auto& l : o->get_lnames())
                options += (options.empty() ? "--" : " --") + l;
        cases += fmt::format("        {}) words=\"{}\" ;;\n", sub->get_name(), options);
    }
    return fmt::format("# Completion of mezzet-cli for bash; made by `mezzet-cli completion`.\n"
                       "_mezzet_cli() {{\n"
                       "    local now=\"${{COMP_WORDS[COMP_CWORD]}}\" words=\"\"\n"
                       "    COMPREPLY=()\n"
                       "    if [ \"$COMP_CWORD\" -eq 1 ]; then\n"
                       "        COMPREPLY=($(compgen -W \"{}\" -- \"$now\"))\n"
                       "        return\n"
                       "    fi\n"
                       "    case \"${{COMP_WORDS[1]}}\" in\n"
                       "{}"
                       "    esac\n"
                       "    case \"$now\" in\n"
                       "        -*) COMPREPLY=($(compgen -W \"$words\" -- \"$now\")) ;;\n"
                       "        *) COMPREPLY=($(compgen -f -- \"$now\")) ;;\n"
                       "    esac\n"
                       "}}\n"
                       "complete -o filenames -F _mezzet_cli mezzet-cli\n",
                       commands, cases);
}

} // namespace mezzet::cli
