// What a job file tells of light: of a piece, of a scheme, and its photometric files.
#include "project/job_fields.h"

#include "measure/texts.h"

namespace mezzet {

namespace {

/// The share of light something gives back, below 1.
double readShare(Fields& f, const char* key) {
    const double share = f.number(key);
    if (share < 0 || share >= 1)
        f.fail(worded("“{}” is no share of light", key), "it is from 0 up to, but not, 1");
    return share;
}

std::vector<int> readIds(Fields& f, const char* key) {
    std::vector<int> out;
    for (const auto& id : f.list(key, mostPieces)) {
        if (!id.is_number_integer() || id.get<long long>() < 1 || id.get<long long>() > mostId)
            f.fail(worded("“{}” holds something that is no piece", key));
        out.push_back(id.get<int>());
    }
    return out;
}

} // namespace

LightTold readLightTold(const json& j, const std::string& where) {
    Fields f(j, where);
    LightTold out;
    out.shine = f.text("file", mostNameLength, false);
    for (const auto& [key, to] : {std::pair{"lumens", &out.lumens}, std::pair{"watts", &out.watts}})
        if (f.has(key)) {
            *to = f.number(key);
            if (**to < 0)
                f.fail(worded("“{}” is less than nothing", key));
        }
    if (f.has("aim"))
        out.aim = readTarget(f.need("aim"), where + ", “aim”");
    if (f.has("wire"))
        out.wire = f.pair("wire");
    return out;
}

std::optional<double> readReflects(Fields& f) {
    if (!f.has("reflects"))
        return {};
    return readShare(f, "reflects");
}

LightPlan readLightPlan(const json& j, const std::string& where) {
    Fields f(j, where);
    LightPlan out;
    for (const auto& [key, to] :
         {std::pair{"walls", &out.walls}, std::pair{"ceiling", &out.ceiling},
          std::pair{"floor", &out.floor}})
        if (f.has(key))
            *to = readShare(f, key);
    if (f.has("maintained")) {
        out.maintained = f.number("maintained");
        if (out.maintained <= 0 || out.maintained > 1)
            f.fail("“maintained” is no share of a lamp's first light");
    }
    if (f.has("zones"))
        for (const auto& z : f.list("zones", mostLightZones)) {
            Fields one(z, where + ", a zone");
            LightZone zone;
            zone.name = tidyName(one.text("name", mostNameLength, true));
            zone.lights = readIds(one, "lights");
            if (one.has("switches"))
                for (const auto& s : one.list("switches", 20))
                    zone.switches.push_back(readTarget(s, where + ", a switch"));
            zone.dims = one.yes("dims");
            out.zones.push_back(std::move(zone));
        }
    if (f.has("scenes"))
        for (const auto& s : f.list("scenes", mostLightScenes)) {
            Fields one(s, where + ", a light scene");
            LightScene scene;
            scene.name = tidyName(one.text("name", mostNameLength, true));
            for (const auto& l : one.list("levels", mostLightZones)) {
                Fields level(l, where + ", a light scene");
                LightScene::Level is{tidyName(level.text("zone", mostNameLength, true)),
                                     level.number("part")};
                if (is.part < 0 || is.part > 1)
                    level.fail("“part” is not from 0 to 1");
                scene.levels.push_back(std::move(is));
            }
            out.scenes.push_back(std::move(scene));
        }
    return out;
}

std::shared_ptr<const PhotometryFiles> readPhotometries(const json& all) {
    auto out = std::make_shared<PhotometryFiles>();
    for (const auto& j : all) {
        Fields f(j, "a photometric file");
        const auto key = f.text("key", mostNameLength, true);
        PhotometryFile one;
        one.name = tidyName(f.text("name", 300, true));
        one.text = f.text("text", mostPhotometryText, true);
        auto shines = readPhotometry(one.text, one.name);
        if (!shines)
            f.fail(shines.problem().sentence());
        one.shines = std::make_shared<const Photometry>(std::move(*shines));
        (*out)[key] = std::move(one);
    }
    return out;
}

} // namespace mezzet
