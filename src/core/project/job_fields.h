#pragma once

#include "measure/text.h"
#include "project/job_words.h"
#include "project/project.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <array>
#include <cmath>
#include <set>
#include <string>

namespace mezzet {

// How the readers of a job file take its fields; only read_job.cpp and read_piece.cpp see it.

// Sorted, so that a field is found at once however many there are.
using json = nlohmann::json;

inline constexpr int deepest = 24;
inline constexpr std::size_t mostValues = 8000000; // of a whole file
inline constexpr double farthest = 1e6;            // mm; a kilometre

struct Fault {
    std::string what;
    std::string remedy;
};

/// One object of the file: takes known fields, keeps the rest.
class Fields {
public:
    Fields(const json& j, std::string where) : json_(j), where_(std::move(where)) {
        if (!j.is_object())
            throw Fault{where_ + " is not an object",
                        "the file is damaged; take a copy that opens"};
    }

    [[noreturn]] void
    fail(const std::string& what,
         const std::string& remedy = "the file is damaged; take a copy that opens") const {
        throw Fault{where_ + ": " + what, remedy};
    }
    [[nodiscard]] bool has(const char* key) { return find(key) != nullptr; }
    const json& need(const char* key) {
        const auto* v = find(key);
        if (v == nullptr)
            fail(fmt::format("“{}” is missing", key));
        return *v;
    }
    std::string text(const char* key, std::size_t most, bool needed) {
        if (!needed && !has(key))
            return {};
        const auto& v = need(key);
        if (!v.is_string() || characterCount(v.get_ref<const std::string&>()) > most ||
            !isText(v.get_ref<const std::string&>()))
            fail(fmt::format("“{}” is not a text of at most {} characters", key, most));
        return v.get<std::string>();
    }
    static bool isNumber(const json& v) {
        return v.is_number() && std::isfinite(v.get<double>()) &&
               std::abs(v.get<double>()) <= farthest;
    }
    double number(const char* key) {
        const auto& v = need(key);
        if (!isNumber(v))
            fail(fmt::format("“{}” is no number a room could hold", key));
        return v.get<double>();
    }
    int whole(const char* key, int low, int high) {
        const auto& v = need(key);
        if (!v.is_number_integer() || v.get<long long>() < low || v.get<long long>() > high)
            fail(fmt::format("“{}” is no whole number from {} to {}", key, low, high));
        return v.get<int>();
    }
    /// False when it is not there.
    bool yes(const char* key) {
        const json* v = find(key);
        if (v == nullptr)
            return false;
        if (!v->is_boolean())
            fail(fmt::format("“{}” is neither true nor false", key));
        return v->get<bool>();
    }
    Vec2 pair(const char* key) {
        const auto& v = need(key);
        if (!v.is_array() || v.size() != 2 || !isNumber(v[0]) || !isNumber(v[1]))
            fail(fmt::format("“{}” is not two numbers", key));
        return {v[0].get<double>(), v[1].get<double>()};
    }
    const json& list(const char* key, std::size_t most) {
        const auto& v = need(key);
        if (!v.is_array() || v.size() > most)
            fail(fmt::format("“{}” is not a list of at most {}", key, most));
        return v;
    }
    template <class E, std::size_t N>
    E word(const char* key, const std::array<std::pair<E, const char*>, N>& table) {
        const auto w = text(key, 40, true);
        for (const auto& [value, name] : table)
            if (w == name)
                return value;
        fail(fmt::format("“{}” can't be “{}”", key, w), "a newer Mezzet may have written it");
    }
    /// What was not asked for, as JSON; empty when nothing is left.
    std::string rest() const {
        json left = json::object();
        for (const auto& [key, v] : json_.items())
            if (seen_.count(key) == 0)
                left[key] = v;
        return left.empty() ? std::string() : left.dump();
    }
    [[nodiscard]] const std::string& where() const { return where_; }

private:
    const json* find(const char* key) {
        seen_.insert(key);
        const auto it = json_.find(key);
        return it == json_.end() ? nullptr : &*it;
    }

    const json& json_;
    std::string where_;
    std::set<std::string> seen_;
};

/// One piece of a scheme, on the floor or on a wall. Throws Fault.
/// `version` is the format of the file: 1 named a wall where later ones name a surface.
[[nodiscard]] Target readTarget(const json&, const std::string& where);
[[nodiscard]] Piece readPiece(const json&, const std::string& where, const Kit&, int version);
// What is told of light (read_light.cpp).
[[nodiscard]] LightTold readLightTold(const json&, const std::string& where);
[[nodiscard]] std::optional<double> readReflects(Fields&);
[[nodiscard]] LightPlan readLightPlan(const json&, const std::string& where);
[[nodiscard]] std::shared_ptr<const PhotometryFiles> readPhotometries(const json&);
// What is told of things and of what they stand on (read_dressing.cpp).
[[nodiscard]] ThingTold readThingTold(const json&, const std::string& where);
[[nodiscard]] UnitTold readUnitTold(const json&, const std::string& where);
[[nodiscard]] Dressing readDressing(const json&, const std::string& where);
[[nodiscard]] std::shared_ptr<const Stock> readStock(const json&, const Kit&);
// What is told of a job's handing over (read_handover.cpp).
[[nodiscard]] Handover readHandover(const json&);
/// Before format 4 the openings of a unit were counted from its foot.
void countFromTheTop(Scheme&);

} // namespace mezzet
