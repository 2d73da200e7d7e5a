#pragma once

#include <nlohmann/json.hpp>

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

/// A job of its own, built from typed lines in a plain room, with a studio of its own.
class JobShellTest : public ShellTest {
protected:
    Ran here(const std::string& arguments) const {
        return run(arguments, "MEZZET_STUDIO=" + (folder / "studio").string());
    }
    void build(const std::string& lines) const {
        write("room.txt",
              "room Plain\nceiling 8'\nwall A 20'\nwall B 15'\nwall C 20'\n door 2' from "
              "left, 32 wide, 80 high, hinge right, swings in\nwall D 15'\n");
        write("lines.txt", lines);
        const auto built = here("build room.txt --lines lines.txt -o job.mezzet");
        ASSERT_EQ(built.code, 0) << built.error;
    }
    nlohmann::json told(const std::string& arguments) const {
        const auto ran = here(arguments);
        EXPECT_EQ(ran.code, 0) << ran.error;
        return ran.code == 0 ? nlohmann::json::parse(ran.out) : nlohmann::json();
    }
};

} // namespace mezzet::test
