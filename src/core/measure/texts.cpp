#include "measure/texts.h"

#include "measure/text.h"

#include <nlohmann/json.hpp>

#include <algorithm>
#include <atomic>
#include <map>
#include <memory>
#include <vector>

namespace mezzet {

namespace {

Speaking& speaking() {
    static Speaking now;
    return now;
}

std::atomic<char>& mark() {
    static std::atomic<char> now{'.'};
    return now;
}

/// What is put into a text: each {} with what stands in it, in any order.
std::vector<std::string> holes(std::string_view text) {
    std::vector<std::string> out;
    for (std::size_t i = 0; i < text.size(); ++i) {
        if (text[i] != '{')
            continue;
        if (i + 1 < text.size() && text[i + 1] == '{') {
            ++i;
            continue;
        }
        const auto end = text.find('}', i);
        if (end == std::string_view::npos)
            return {"unclosed"};
        out.emplace_back(text.substr(i, end - i + 1));
        i = end;
    }
    return out;
}

bool isNamed(const std::string& hole) {
    return hole.size() > 2 && hole[1] >= 'a' && hole[1] <= 'z';
}

} // namespace

std::string_view told(std::string_view english) {
    const Speaking& own = speaking();
    if (!own)
        return english;
    const auto text = own(english);
    return text.empty() ? english : text;
}

bool speaksEnglish() {
    return !speaking();
}

std::string goingOn(std::string title) {
    return speaksEnglish() ? smallFirst(std::move(title)) : title;
}

std::string ownHandbook() {
    const auto folder = told(handbookKey);
    const bool plain = std::all_of(folder.begin(), folder.end(), [](char c) {
        return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') || c == '_' || c == '-';
    });
    return plain ? std::string(folder) : std::string();
}

char decimalMark() {
    return mark();
}

void useDecimalMark(char own) {
    mark() = own == ',' ? ',' : '.';
}

std::string decimals(std::string number) {
    std::replace(number.begin(), number.end(), '.', decimalMark());
    return number;
}

void speak(Speaking own) {
    speaking() = std::move(own);
}

Result<Speaking> readTexts(std::string_view content, std::string_view file) {
    const auto refuse = [&](std::string what, std::string remedy) {
        Problem p{std::move(what), std::move(remedy)};
        p.file = file;
        return p;
    };
    const auto j = nlohmann::json::parse(content, nullptr, false);
    if (j.is_discarded() || !j.is_object())
        return refuse("these are no texts", "write an object: {\"English\": \"its own\"}");
    auto texts = std::make_shared<std::map<std::string, std::string, std::less<>>>();
    for (const auto& [english, own] : j.items()) {
        if (!own.is_string())
            return refuse(worded("“{}” has no text", english), "put it in quotes");
        auto text = own.get<std::string>();
        // In the same order, so that each finds its own; what is named is found anywhere.
        auto wanted = holes(english);
        auto put = holes(text);
        if (std::all_of(wanted.begin(), wanted.end(), isNamed)) {
            std::sort(wanted.begin(), wanted.end());
            std::sort(put.begin(), put.end());
        }
        if (wanted != put)
            return refuse(worded("in “{}” other things are put in than in “{}”", text, english),
                          "keep each {} as it is, in its order");
        texts->emplace(english, std::move(text));
    }
    return Speaking([texts](std::string_view english) -> std::string_view {
        const auto it = texts->find(english);
        return it == texts->end() ? std::string_view() : std::string_view(it->second);
    });
}

} // namespace mezzet
