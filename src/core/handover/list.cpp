#include "handover/list.h"

#include "handover/materials.h"
#include "kit/csv.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "things/stock.h"

#include <algorithm>
#include <charconv>
#include <set>

namespace mezzet {

namespace {

enum class Column {
    name,
    state,
    supplier,
    price,
    quantity,
    leadDays,
    room,
    zone,
    width,
    depth,
    height,
    ordered,
    due,
    note,
    link
};
constexpr std::size_t columns = 15;
constexpr std::array<std::string_view, columns> columnNames{
    "name",     "state",    "supplier",  "price",   "quantity", "lead_days", "room", "zone",
    "width_mm", "depth_mm", "height_mm", "ordered", "due",      "note",      "link"};

bool isSameName(std::string_view a, std::string_view b) {
    return plainWord(a) == plainWord(b);
}

std::string zoneOf(const Scheme& scheme, int piece) {
    for (const Zone& z : scheme.zones)
        if (std::find(z.pieces.begin(), z.pieces.end(), piece) != z.pieces.end())
            return z.name;
    if (const LightZone* z = scheme.light.zoneOf(piece))
        return z->name;
    return {};
}

/// What is told of a thing, wherever it is.
void tell(ListItem& i, const ListEntry& e) {
    i.state = e.state.value_or(i.state);
    if (!i.price)
        i.price = e.price; // the scheme's own wins: that of what is away, or in none, is told
    i.supplier = e.supplier;
    i.quantity = e.quantity.value_or(i.quantity);
    i.leadDays = e.leadDays;
    i.ordered = e.ordered;
    i.due = e.due;
    if (!e.note.empty())
        i.note = e.note;
    i.link = e.link;
    if (!e.picture.empty())
        i.picture = e.picture;
}

ListItem itemOf(const Project& job, std::size_t scheme, const Piece& p, const Handover& told) {
    const Scheme& s = *job.schemes[scheme];
    ListItem i;
    i.name = p.name;
    i.room = job.roomOf(scheme)->name;
    i.zone = zoneOf(s, p.id);
    i.price = p.cost;
    i.size = {p.size.width, p.size.depth, p.size.height};
    i.kind = p.kind;
    i.picture = p.picture;
    i.scheme = scheme;
    i.piece = p.id;
    if (p.thing && !p.thing->stock.empty())
        i.state = ItemState::have;
    if (const ListEntry* e = told.entry(i.room, p.name))
        tell(i, *e);
    return i;
}

/// A length as a table has it: to a ten-thousandth of a mm, without naughts at its end.
std::string plainMillimetres(Length l) {
    auto s = fmt::format("{:.4f}", l.mm());
    s.erase(s.find_last_not_of('0') + 1);
    if (s.back() == '.')
        s.pop_back();
    return s;
}

std::string cellOf(const ListItem& i, Column c) {
    const auto day = [](const std::optional<Day>& d) { return d ? isoDay(*d) : std::string(); };
    const auto side = [&](std::size_t n) {
        return i.size.at(n) ? plainMillimetres(*i.size.at(n)) : std::string();
    };
    switch (c) {
    case Column::name:
        return i.name;
    case Column::state:
        return std::string(itemStateName(i.state));
    case Column::supplier:
        return i.supplier;
    case Column::price:
        return i.price ? moneyText(*i.price) : std::string();
    case Column::quantity:
        return std::to_string(i.quantity);
    case Column::leadDays:
        return i.leadDays ? std::to_string(*i.leadDays) : std::string();
    case Column::room:
        return i.room;
    case Column::zone:
        return i.zone;
    case Column::width:
        return side(0);
    case Column::depth:
        return side(1);
    case Column::height:
        return side(2);
    case Column::ordered:
        return day(i.ordered);
    case Column::due:
        return day(i.due);
    case Column::note:
        return i.note;
    case Column::link:
        return i.link;
    }
    return {};
}

/// Puts what an entry tells over what is there.
void takeOver(ListEntry& there, const ListEntry& e) {
    const auto text = [](std::string& to, const std::string& from) {
        if (!from.empty())
            to = from;
    };
    const auto value = [](auto& to, const auto& from) {
        if (from)
            to = from;
    };
    value(there.state, e.state);
    text(there.supplier, e.supplier);
    value(there.price, e.price);
    value(there.quantity, e.quantity);
    value(there.leadDays, e.leadDays);
    value(there.ordered, e.ordered);
    value(there.due, e.due);
    text(there.zone, e.zone);
    text(there.note, e.note);
    text(there.link, e.link);
    text(there.picture, e.picture);
    for (std::size_t i = 0; i < 3; ++i)
        value(there.size.at(i), e.size.at(i));
}

/// What is usual is not told.
void tidy(ListEntry& e, ItemState usual, const Material* material) {
    if (e.state == usual)
        e.state.reset();
    if (e.quantity == (material != nullptr ? material->quantity : 1))
        e.quantity.reset();
    if (material != nullptr && e.note == material->note)
        e.note.clear();
}

/// The pieces of that name: of the room when it is named, else of the one they are in, if they are
/// in one only, else of the active room. Every scheme of it.
std::vector<std::pair<std::size_t, const Piece*>> piecesCalled(const Project& job,
                                                               const ListEntry& e) {
    std::vector<std::pair<std::size_t, const Piece*>> all;
    std::set<std::size_t> rooms;
    for (std::size_t i = 0; i < job.schemes.size(); ++i) {
        if (!e.room.empty() && foldCase(job.roomOf(i)->name) != foldCase(e.room))
            continue;
        const Scheme& s = *job.schemes[i];
        for (const auto* list : {&s.pieces, &s.away})
            for (const Piece& p : *list)
                if (isSameName(p.name, e.name) && !p.isGroup()) {
                    all.emplace_back(i, &p);
                    rooms.insert(s.room);
                }
    }
    if (rooms.size() > 1) {
        const std::size_t room =
            rooms.count(job.scheme().room) > 0 ? job.scheme().room : *rooms.begin();
        std::erase_if(all, [&](const auto& one) { return job.schemes[one.first]->room != room; });
    }
    return all;
}

/// The material of that name, of the room that is named or else of any; null for none.
const Material* materialCalled(const std::vector<Material>& all, const ListEntry& e) {
    const auto it = std::find_if(all.begin(), all.end(), [&](const Material& m) {
        return isSameName(m.name, e.name) && (e.room.empty() || isSameName(m.room, e.room));
    });
    return it == all.end() ? nullptr : &*it;
}

/// A list's table, row by row.
class ListRows {
public:
    explicit ListRows(const CsvTable& table) : table_(table) {}

    Result<std::vector<ListEntry>> read() {
        std::vector<ListEntry> out;
        for (row_ = 0; row_ < table_.rows(); ++row_) {
            auto e = entry();
            if (!e)
                return e.problem();
            out.push_back(std::move(*e));
        }
        return out;
    }

private:
    [[nodiscard]] std::string cell(Column c) const {
        return table_.cell(row_, static_cast<std::size_t>(c));
    }
    [[nodiscard]] Problem wrongCell(Column c, std::string what, std::string remedy) const {
        return table_.fault(row_, static_cast<std::size_t>(c), std::move(what), std::move(remedy));
    }

    std::optional<Problem> whole(Column c, int most, std::optional<int>& out) const {
        const auto s = cell(c);
        if (s.empty())
            return {};
        int v = 0;
        const auto [end, error] = std::from_chars(s.data(), s.data() + s.size(), v);
        if (error != std::errc{} || end != s.data() + s.size() || v < 0 || v > most)
            return wrongCell(
                c,
                worded("“{}” is no whole number from 0 to {}", shownPlainly(s.substr(0, 60)), most),
                std::string(told("write it in figures")));
        out = v;
        return {};
    }

    std::optional<Problem> day(Column c, std::optional<Day>& out) const {
        const auto s = cell(c);
        if (s.empty())
            return {};
        const auto d = readDay(s);
        if (!d)
            return wrongCell(c, d.problem().what, d.problem().remedy);
        out = *d;
        return {};
    }

    Result<ListEntry> entry() const {
        ListEntry e;
        e.name = cell(Column::name);
        if (plainWord(e.name).empty() || characterCount(e.name) > mostNameLength)
            return wrongCell(Column::name,
                             worded("it has no name of 1 to {} characters", mostNameLength),
                             std::string(told("give it one")));
        if (const auto s = cell(Column::state); !s.empty()) {
            e.state = readItemState(s);
            if (!e.state) {
                std::vector<std::string> all;
                for (std::size_t i = 0; i < itemStates; ++i)
                    all.emplace_back(itemStateName(static_cast<ItemState>(i)));
                return wrongCell(
                    Column::state,
                    worded("“{}” is no state of a thing", shownPlainly(s.substr(0, 60))),
                    worded("it is one of {}", listed(all, "or")));
            }
        }
        e.supplier = cell(Column::supplier);
        if (const auto s = cell(Column::price); !s.empty()) {
            e.price = readMoney(s);
            if (!e.price)
                return wrongCell(Column::price,
                                 worded("“{}” is no price", shownPlainly(s.substr(0, 60))),
                                 std::string(told("write it like 1200 or 49.50")));
        }
        if (auto wrong = whole(Column::quantity, mostQuantity, e.quantity))
            return *wrong;
        if (auto wrong = whole(Column::leadDays, mostTaskDays, e.leadDays))
            return *wrong;
        e.room = cell(Column::room);
        e.zone = cell(Column::zone);
        for (std::size_t i = 0; i < 3; ++i) {
            const auto c = static_cast<Column>(static_cast<std::size_t>(Column::width) + i);
            const auto s = cell(c);
            if (s.empty())
                continue;
            const auto l = readLength(s, Units::millimetres);
            if (!l || *l <= Length{} || *l > Length::metres(20))
                return wrongCell(
                    c, worded("“{}” is no length of a thing", shownPlainly(s.substr(0, 60))),
                    std::string(told("write it in millimetres")));
            e.size.at(i) = *l;
        }
        if (auto wrong = day(Column::ordered, e.ordered))
            return *wrong;
        if (auto wrong = day(Column::due, e.due))
            return *wrong;
        e.note = cell(Column::note);
        e.link = cell(Column::link);
        for (const auto& [c, text] :
             {std::pair{Column::supplier, &e.supplier}, std::pair{Column::note, &e.note},
              std::pair{Column::link, &e.link}})
            if (characterCount(*text) > mostReason)
                return wrongCell(c, worded("it is over {} characters", mostReason),
                                 std::string(told("shorten it")));
        return e;
    }

    const CsvTable& table_;
    std::size_t row_ = 0;
};

} // namespace

const Handover& handedOver(const Project& job) {
    static const Handover nothing;
    return job.handover ? *job.handover : nothing;
}

std::vector<std::size_t> listedSchemes(const Project& job) {
    std::vector<std::size_t> out;
    for (std::size_t room = 0; room < job.rooms.size(); ++room) {
        if (job.scheme().room == room) {
            out.push_back(job.active);
            continue;
        }
        for (std::size_t i = 0; i < job.schemes.size(); ++i)
            if (job.schemes[i]->room == room) {
                out.push_back(i);
                break;
            }
    }
    return out;
}

std::vector<ListItem> jobList(const Project& job) {
    const Handover& told = handedOver(job);
    std::vector<ListItem> out;
    std::set<std::pair<std::string, std::string>> placed;
    for (const std::size_t i : listedSchemes(job)) {
        const Scheme& s = *job.schemes[i];
        for (const auto* list : {&s.pieces, &s.away})
            for (const Piece& p : *list) {
                if (p.isGroup())
                    continue;
                out.push_back(itemOf(job, i, p, told));
                placed.emplace(foldCase(out.back().room), foldCase(p.name));
            }
        for (const Material& m : materialsOf(job, i)) {
            ListItem item;
            item.name = m.name;
            item.room = m.room;
            item.quantity = m.quantity;
            item.note = m.note;
            item.size = m.size;
            if (const ListEntry* e = told.entry(m.room, m.name))
                tell(item, *e);
            if (placed.emplace(foldCase(m.room), foldCase(m.name)).second)
                out.push_back(std::move(item));
        }
    }
    for (const ListEntry& e : told.list) {
        if (placed.count({foldCase(e.room), foldCase(e.name)}) > 0)
            continue;
        ListItem i;
        i.name = e.name;
        i.room = e.room;
        i.zone = e.zone;
        i.size = e.size;
        tell(i, e);
        out.push_back(std::move(i));
    }
    return out;
}

ListTotals totalsOf(const std::vector<ListItem>& items) {
    ListTotals t;
    for (const ListItem& i : items) {
        t.byState[i.state] += i.cost();
        if (!isPaid(i.state))
            continue;
        t.all += i.cost();
        t.byRoom[i.room] += i.cost();
        if (!i.zone.empty())
            t.byZone[i.room + ", " + i.zone] += i.cost();
        t.unpriced += i.price ? 0 : 1;
    }
    return t;
}

std::string listAsCsv(const std::vector<ListItem>& items) {
    std::string out;
    for (std::size_t c = 0; c < columns; ++c)
        out += (c == 0 ? "" : ",") + std::string(columnNames.at(c));
    out += "\r\n";
    for (const ListItem& i : items) {
        for (std::size_t c = 0; c < columns; ++c)
            out += (c == 0 ? "" : ",") + csvCell(cellOf(i, static_cast<Column>(c)));
        out += "\r\n";
    }
    return out;
}

ListChange withEntries(const Project& job, const std::vector<ListEntry>& entries) {
    ListChange out;
    out.handover = handedOver(job);
    std::vector<Material> wanted;
    for (const std::size_t i : listedSchemes(job))
        for (Material& m : materialsOf(job, i))
            wanted.push_back(std::move(m));
    const auto put = [&](std::size_t scheme, const Piece& p) -> Piece& {
        for (auto& one : out.pieces)
            if (one.scheme == scheme && one.piece.id == p.id)
                return one.piece;
        return out.pieces.emplace_back(ListChange::Put{scheme, p}).piece;
    };
    for (ListEntry e : entries) {
        const auto pieces = piecesCalled(job, e);
        if (!pieces.empty()) {
            e.name = pieces.front().second->name;
            e.room = job.roomOf(pieces.front().first)->name;
            const bool here = std::any_of(pieces.begin(), pieces.end(), [&](const auto& one) {
                return job.schemes[one.first]->byId(one.second->id) != nullptr;
            });
            const auto shown = listedSchemes(job);
            const auto isShown = [&](std::size_t scheme) {
                return std::find(shown.begin(), shown.end(), scheme) != shown.end();
            };
            // A price that is another one is so in every scheme; a size is the shown scheme's own.
            const bool dearer =
                e.price && std::any_of(pieces.begin(), pieces.end(), [&](const auto& one) {
                    return isShown(one.first) && one.second->cost != e.price;
                });
            for (const auto& [scheme, p] : pieces) {
                if (job.schemes[scheme]->byId(p->id) == nullptr)
                    continue;
                Size size = p->size;
                for (const auto& [side, to] :
                     {std::pair{0U, &size.width}, std::pair{1U, &size.depth},
                      std::pair{2U, &size.height}})
                    if (isShown(scheme) && e.size.at(side) &&
                        abs(*e.size.at(side) - *to) > Length::millimetres(0.005))
                        *to = *e.size.at(side);
                if ((dearer && e.price != p->cost) || size != p->size) {
                    Piece& now = put(scheme, *p);
                    if (dearer)
                        now.cost = e.price;
                    now.size = size;
                }
            }
            // What the scheme has is not told twice.
            if (here)
                e.price.reset();
            e.size = {};
            e.zone.clear();
        }
        const bool stocked = !pieces.empty() && pieces.front().second->thing &&
                             !pieces.front().second->thing->stock.empty();
        const ItemState usual = stocked ? ItemState::have : ItemState::toFind;
        const Material* material = pieces.empty() ? materialCalled(wanted, e) : nullptr;
        if (material != nullptr) {
            e.name = material->name;
            e.room = material->room;
            e.size = {};
        }
        if (ListEntry* there = out.handover.entry(e.room, e.name)) {
            takeOver(*there, e);
            tidy(*there, usual, material);
            continue;
        }
        if (!pieces.empty() || material != nullptr) {
            tidy(e, usual, material);
            ListEntry nothing;
            nothing.name = e.name;
            nothing.room = e.room;
            if (e == nothing)
                continue;
        } else {
            // Elsewhere on the list under that name, when no room is said.
            if (e.room.empty()) {
                const auto it = std::find_if(
                    out.handover.list.begin(), out.handover.list.end(),
                    [&](const ListEntry& one) { return isSameName(one.name, e.name); });
                if (it != out.handover.list.end()) {
                    takeOver(*it, e);
                    tidy(*it, usual, material);
                    continue;
                }
            }
            tidy(e, usual, material);
            out.told.push_back(worded("{} is new on the list: a thing to buy", e.name));
        }
        out.handover.list.push_back(std::move(e));
    }
    return out;
}

Result<ListChange> listFromCsv(std::string_view text, std::string_view file, const Project& job) {
    const auto table = CsvTable::read(text, file, columnNames, mostEntries);
    if (!table)
        return table.problem();
    const auto entries = ListRows(*table).read();
    if (!entries)
        return entries.problem();
    auto change = withEntries(job, *entries);
    if (change.handover.list.size() > mostEntries) {
        Problem p{worded("the list would have more than {} things", mostEntries),
                  std::string(told("split the table"))};
        p.file = file;
        return p;
    }
    return change;
}

void followName(Handover& h, std::string_view room, std::string_view was, std::string_view is) {
    if (h.entry(room, is) == nullptr)
        if (ListEntry* e = h.entry(room, was))
            e->name = is;
    for (BuiltMark& b : h.built) {
        if (foldCase(b.room) != foldCase(room))
            continue;
        if (foldCase(b.piece) == foldCase(was))
            b.piece = is;
        if (b.what == BuiltMark::What::fromPiece && foldCase(b.other) == foldCase(was))
            b.other = is;
    }
}

} // namespace mezzet
