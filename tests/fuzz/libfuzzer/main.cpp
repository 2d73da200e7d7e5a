// One reader under libFuzzer; MEZZET_FUZZ_TARGET names it.
#include "fuzz/targets.h"

#include <cstdint>
#include <cstdio>
#include <cstdlib>
#include <exception>
#include <string_view>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    static const auto* target = [] {
        for (const auto& t : mezzet::fuzz::targets())
            if (std::string_view(t.name) == MEZZET_FUZZ_TARGET)
                return &t;
        std::abort();
    }();
    try {
        target->run({reinterpret_cast<const char*>(data), size});
    } catch (const std::exception& e) {
        std::fprintf(stderr, "%s: %s\n", target->name, e.what());
        std::abort();
    }
    return 0;
}
