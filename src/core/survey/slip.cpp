#include "survey/slip.h"
#include "measure/texts.h"

#include <algorithm>
#include <cctype>

namespace mezzet {

namespace {

struct Candidate {
    Length value;
    std::string words;
};

bool isFigure(char c) {
    return std::isdigit(static_cast<unsigned char>(c)) != 0;
}

/// The same text with some figures changed, read as the notes would read it.
void rewritten(std::vector<Candidate>& out, const std::string& text, Units bare,
               std::string words) {
    if (const auto v = readLength(text, bare))
        out.push_back({*v, std::move(words)});
}

void figureSlips(std::vector<Candidate>& out, const std::string& written, Units bare) {
    for (std::size_t i = 0; i < written.size(); ++i) {
        if (!isFigure(written[i]))
            continue;
        for (std::size_t k = i + 1; k < written.size(); ++k) {
            if (!isFigure(written[k]) || written[i] == written[k])
                continue;
            auto text = written;
            std::swap(text[i], text[k]);
            rewritten(out, text, bare,
                      worded("the figures {} and {} swapped", written[i], written[k]));
        }
        constexpr std::pair<char, char> alike[] = {{'6', '9'}, {'9', '6'}, {'1', '7'},
                                                   {'7', '1'}, {'3', '8'}, {'8', '3'}};
        for (const auto& [seen, meant] : alike) {
            if (written[i] != seen)
                continue;
            auto text = written;
            text[i] = meant;
            rewritten(out, text, bare, worded("a {} read as a {}", meant, seen));
        }
    }
    // A whole number swapped with the next: 5' 7" for 7' 5".
    std::vector<std::pair<std::size_t, std::size_t>> numbers;
    for (std::size_t i = 0; i < written.size();) {
        std::size_t e = i;
        while (e < written.size() && isFigure(written[e]))
            ++e;
        if (e > i)
            numbers.push_back({i, e - i});
        i = std::max(e, i + 1);
    }
    if (numbers.size() >= 2) {
        const auto [a, na] = numbers[0];
        const auto [b, nb] = numbers[1];
        rewritten(out,
                  written.substr(0, a) + written.substr(b, nb) +
                      written.substr(a + na, b - a - na) + written.substr(a, na) +
                      written.substr(b + nb),
                  bare, "the feet and the inches swapped");
    }
}

} // namespace

std::string slipWords(const Taped& taped, Length likely, Length within, Units bare) {
    const Length v = taped.value;
    const Length by = likely - v;
    if (abs(by) <= within)
        return {};
    std::vector<Candidate> all;
    const bool metric =
        taped.written.find('m') != std::string::npos ||
        (isMetric(bare) && taped.written.find_first_of("'\"f") == std::string::npos &&
         taped.written.find("in") == std::string::npos);
    // In order of how common each is; the first that is near enough is named unless another is
    // clearly nearer.
    if (!metric) {
        all.push_back({v + Length::feet(1), std::string(told("a foot dropped"))});
        all.push_back({v - Length::feet(1), std::string(told("a foot too many"))});
        const Length foot = Length::feet(std::floor(v / Length::feet(1)));
        for (const Length mark : {foot, foot + Length::feet(1)})
            if (abs(mark * 2 - v - v) > Length::inches(0.5))
                all.push_back(
                    {mark * 2 - v,
                     std::string(told("inches read from the wrong side of the foot mark"))});
    } else {
        all.push_back({v + Length::metres(1), std::string(told("a metre dropped"))});
        all.push_back({v - Length::metres(1), std::string(told("a metre too many"))});
        all.push_back({v + Length::centimetres(10), std::string(told("ten centimetres dropped"))});
        all.push_back({v - Length::centimetres(10), std::string(told("ten centimetres too many"))});
    }
    figureSlips(all, taped.written, bare);
    all.push_back({v / 2.54, std::string(told("centimetres written as inches"))});
    all.push_back({v * 2.54, std::string(told("inches written as centimetres"))});
    if (!metric) {
        all.push_back({v + Length::feet(10), std::string(told("ten feet dropped"))});
        all.push_back({v - Length::feet(10), std::string(told("ten feet too many"))});
        all.push_back({v + Length::inches(1),
                       std::string(told("an inch dropped, or the tape held at its 1 in mark"))});
        all.push_back({v - Length::inches(1),
                       std::string(told("read from the 1 in mark, and the inch not taken off"))});
    }
    const Candidate* best = nullptr;
    for (const auto& c : all) {
        const Length off = abs(c.value - likely);
        if (off > within || off >= abs(by))
            continue;
        if (best == nullptr || off + within * 0.5 < abs(best->value - likely))
            best = &c;
    }
    return best == nullptr ? std::string() : best->words;
}

std::string angleSlipWords(double written, double likely, double within) {
    if (std::abs(likely - written) <= within)
        return {};
    if (std::abs(likely - (360 - written)) <= within)
        return written < 180 ? "it is an outside corner" : "it is an inside corner";
    if (std::abs(likely - (180 - written)) <= within)
        return "the angle was read from the wrong side";
    auto text = worded("{:g}", written);
    for (std::size_t i = 0; i < text.size(); ++i) {
        for (std::size_t k = i + 1; k < text.size(); ++k) {
            auto other = text;
            std::swap(other[i], other[k]);
            if (isFigure(text[i]) && isFigure(text[k]) &&
                std::abs(std::stod(other) - likely) <= within)
                return worded("the figures {} and {} swapped", text[i], text[k]);
        }
    }
    return {};
}

} // namespace mezzet
