#pragma once

#include <gtest/gtest.h>

#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <string>
#include <sys/wait.h>
#include <unistd.h>

namespace mezzet::test {

struct Ran {
    int code;
    std::string out;
    std::string error;
};

/// Runs the command-line program in a folder of its own, without a display.
class ShellTest : public testing::Test {
protected:
    void SetUp() override {
        folder =
            std::filesystem::temp_directory_path() / ("mezzet-cli-" + std::to_string(::getpid()));
        std::filesystem::create_directories(folder);
    }
    void TearDown() override { std::filesystem::remove_all(folder); }

    void write(const std::string& name, const std::string& text) const {
        std::ofstream(folder / name) << text;
    }
    std::string read(const std::string& name) const {
        std::ifstream in(folder / name);
        return {std::istreambuf_iterator<char>(in), {}};
    }
    Ran run(const std::string& arguments, const std::string& environment = "") const {
        const auto command = "cd " + folder.string() + " && env -u DISPLAY " + environment + " " +
                             MEZZET_CLI + " " + arguments + " >out.txt 2>err.txt";
        const int status = std::system(command.c_str());
        return {WEXITSTATUS(status), read("out.txt"), read("err.txt")};
    }

    std::filesystem::path folder;
};

} // namespace mezzet::test
