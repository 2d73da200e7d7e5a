#include "hang/stock.h"

#include "files/whole_file.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <nlohmann/json.hpp>

#include <algorithm>
#include <array>
#include <cmath>

namespace mezzet {

namespace {

using json = nlohmann::json;

constexpr std::size_t mostBytes = std::size_t{1024} * 1024;

Result<json> readFormat(const std::filesystem::path& file, const char* format) {
    auto text = readTextFile(file, mostBytes);
    if (!text)
        return text.problem();
    Problem p;
    p.file = file.string();
    json j = json::parse(*text, nullptr, false);
    if (j.is_discarded() || !j.is_object() || j.value("format", json()) != format) {
        p.what = worded("this is no “{}”", format);
        p.remedy = "put the shipped file back";
        return p;
    }
    return j;
}

bool between(const json& v, double low, double high) {
    return v.is_number() && v.get<double>() > low && v.get<double>() <= high;
}

} // namespace

Result<WallStock> loadWallStock(const std::filesystem::path& folder) {
    WallStock out;
    const auto shelving = folder / "shelving.json";
    auto j = readFormat(shelving, "mezzet-shelving 1");
    if (!j)
        return j.problem();
    const auto fault = [](const std::filesystem::path& file, std::size_t entry,
                          const char* remedy) {
        Problem p{worded("entry {} can't be read", entry), remedy};
        p.file = file.string();
        return p;
    };
    std::size_t n = 0;
    for (const auto& m : j->value("materials", json::array())) {
        ++n;
        if (!m.is_object() || !m.value("name", json()).is_string() ||
            !between(m.value("GPa", json()), 0, 1000) ||
            !between(m.value("kg per cubic metre", json()), 0, 20000) ||
            !between(m.value("mm", json()), 0, 200))
            return fault(shelving, n, "it needs a name, GPa, kg per cubic metre and mm");
        out.shelving.push_back({m["name"].get<std::string>(), m["GPa"].get<double>(),
                                m["kg per cubic metre"].get<double>(),
                                Length::millimetres(m["mm"].get<double>())});
    }
    const auto sizes = folder / "stock-sizes.json";
    auto s = readFormat(sizes, "mezzet-stock-sizes 1");
    if (!s)
        return s.problem();
    for (const auto& [key, unit] : {std::pair<const char*, double>{"inches", 25.4},
                                    std::pair<const char*, double>{"millimetres", 1.0}}) {
        n = 0;
        for (const auto& one : s->value(key, json::array())) {
            ++n;
            if (!one.is_array() || one.size() != 2 || !between(one[0], 0, 20000) ||
                !between(one[1], 0, 20000))
                return fault(sizes, n, "write each size as [width, height]");
            out.sizes.push_back({Length::millimetres(one[0].get<double>() * unit),
                                 Length::millimetres(one[1].get<double>() * unit), unit == 1.0});
        }
    }
    return out;
}

const ShelfMaterial* materialNamed(const std::vector<ShelfMaterial>& all, const std::string& name) {
    for (const auto& m : all)
        if (foldCase(m.name) == foldCase(name))
            return &m;
    return nullptr;
}

UnitMaterial unitMaterial(const std::vector<ShelfMaterial>& all, const Piece& unit) {
    if (unit.thing)
        if (const ShelfMaterial* told = materialNamed(all, unit.thing->material))
            return {told, false};
    return {materialNamed(all, "particleboard"), true};
}

std::string proportionName(Length width, Length height) {
    const double ratio = std::max(width, height) / std::min(width, height);
    constexpr std::array<std::pair<const char*, double>, 4> names{
        {{"1:1", 1.0}, {"2:3", 1.5}, {"1:2", 2.0}, {"1:3", 3.0}}};
    const auto* best = &names[0];
    for (const auto& n : names)
        if (std::abs(std::log(ratio / n.second)) < std::abs(std::log(ratio / best->second)))
            best = &n;
    if (best->second == 1.0)
        return best->first;
    return worded("{} {}", best->first, width >= height ? "lying" : "standing");
}

std::vector<Suits> stockFor(const std::vector<StockSize>& all, Length width, Length height,
                            bool metric) {
    std::vector<Suits> out;
    if (width <= Length{} || height <= Length{})
        return out;
    for (const StockSize& s : all) {
        if (s.metric != metric)
            continue;
        for (const bool lying : {true, false}) {
            const Length w = lying ? s.width : s.height;
            const Length h = lying ? s.height : s.width;
            if (w > width || h > height || (!lying && s.width == s.height))
                continue;
            Suits one{w, h, (w / width) * (h / height), 0};
            one.off = std::abs(std::log((w / h) / (width / height)));
            out.push_back(one);
        }
    }
    // Each step off the wall's proportion costs as much as the same share of its cover.
    std::stable_sort(out.begin(), out.end(), [](const Suits& a, const Suits& b) {
        return a.covers * std::exp(-a.off / 2) > b.covers * std::exp(-b.off / 2);
    });
    return out;
}

} // namespace mezzet
