#include "scheme/scheme.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

Target targetOf(const Fixture& f) {
    Target t;
    t.is = f.kind == FixtureKind::chimney ? Target::Is::chimney : Target::Is::fixture;
    t.index = f.number;
    t.built = f.kind;
    return t;
}

const Fixture* fixtureOf(const Room& room, const Target& t) {
    if (t.is != Target::Is::chimney && t.is != Target::Is::fixture)
        return nullptr;
    for (const auto& f : room.fixtures)
        if (f.number == t.index &&
            f.kind == (t.is == Target::Is::chimney ? FixtureKind::chimney : t.built))
            return &f;
    return nullptr;
}

bool Tie::refersTo(int id) const {
    return (of.is == Target::Is::piece && of.piece == id) ||
           (also.is == Target::Is::piece && also.piece == id) ||
           std::find(group.begin(), group.end(), id) != group.end();
}

const Piece* Scheme::byId(int id) const {
    for (const auto& p : pieces)
        if (p.id == id)
            return &p;
    return nullptr;
}

Piece* Scheme::byId(int id) {
    return const_cast<Piece*>(std::as_const(*this).byId(id));
}

const Piece* Scheme::byName(std::string_view said) const {
    const auto plain = plainWord(said);
    for (const auto& p : pieces)
        if (plainWord(p.name) == plain)
            return &p;
    return nullptr;
}

std::string Scheme::freeName(std::string_view wanted) const {
    if (byName(wanted) == nullptr)
        return std::string(wanted);
    for (int i = 2;; ++i) {
        auto n = fmt::format("{} {}", wanted, i);
        if (byName(n) == nullptr)
            return n;
    }
}

Piece pieceOf(const KindPtr& kind) {
    Piece p;
    p.kind = kind;
    p.size = kind->size;
    p.heights = kind->heights;
    p.footprint = kind->footprint;
    return p;
}

} // namespace mezzet
