#pragma once

#include "photometry/photometry.h"

#include <optional>

namespace mezzet {

/// The lines of a file, counted.
class Lines {
public:
    Lines(std::string_view text, std::string_view file) : text_(text), file_(file) {}
    /// The next one, without its end; nothing at the end of the file.
    [[nodiscard]] std::optional<std::string_view> next();
    [[nodiscard]] int number() const { return number_; }
    [[nodiscard]] bool done() const { return at_ >= text_.size(); }
    [[nodiscard]] Problem problem(std::string what, std::string remedy) const;

private:
    std::string_view text_;
    std::string_view file_;
    std::size_t at_ = 0;
    int number_ = 0;
};

/// Figures parted by blanks, commas and line ends.
class Figures {
public:
    explicit Figures(Lines& lines) : lines_(lines) {}
    [[nodiscard]] Result<double> number(std::string_view what);
    [[nodiscard]] Result<double> positive(std::string_view what, double most);
    [[nodiscard]] Result<int> whole(std::string_view what, int least, int most);
    /// So many, rising, within bounds; degrees.
    [[nodiscard]] std::optional<Problem> angles(std::vector<double>& out, int count,
                                                std::string_view which, double least, double most);
    /// So many, none below nothing, each times `factor`.
    [[nodiscard]] std::optional<Problem> candelas(std::vector<double>& out, std::size_t count,
                                                  double factor);
    [[nodiscard]] std::optional<Problem> nothingMore();
    [[nodiscard]] Problem problem(std::string what, std::string remedy) const {
        return lines_.problem(std::move(what), std::move(remedy));
    }

private:
    std::optional<std::string_view> word();

    Lines& lines_;
    std::string_view line_;
    std::size_t at_ = 0;
};

/// What is wrong with how far the angles of a distribution reach; nothing when all is well.
[[nodiscard]] std::optional<Problem> reachOf(const Photometry&, const Figures&);

[[nodiscard]] Problem tooLong(std::string_view file);
} // namespace mezzet
