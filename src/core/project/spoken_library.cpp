#include "project/spoken_library.h"

#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

namespace {

using Change = std::function<void(std::string&)>;

void changeBook(RuleBook& book, const Change& change) {
    for (School& s : book.schools) {
        change(s.title);
        change(s.says);
    }
    for (Rule& r : book.rules) {
        for (std::string* text : {&r.title, &r.measures, &r.right, &r.tight, &r.loose, &r.note})
            change(*text);
        for (auto& [when, text] : r.instead)
            change(text);
        change(r.source);
    }
    for (Habit& h : book.habits) {
        change(h.says);
        change(h.source);
    }
}

void changeKinds(std::vector<Kind>& kinds, const Change& change) {
    for (Kind& k : kinds) {
        change(k.caution);
        change(k.opens);
    }
}

void changeRugs(RugBook& rugs, const Change& change) {
    for (RugPad& p : rugs.pads)
        change(p.says);
    for (RugNeed& n : rugs.needs)
        change(n.asks);
    for (RugMaterial& m : rugs.materials)
        for (auto& [need, mark] : m.marks)
            change(mark.reason);
}

void changeWork(WorkBook& work, const Change& change) {
    for (StandardTask& t : work) {
        std::for_each(t.cautions.begin(), t.cautions.end(), change);
        std::for_each(t.atHand.begin(), t.atHand.end(), change);
    }
}

std::vector<Kind> kindsOf(const Kit& kit) {
    std::vector<Kind> out;
    for (const KindPtr& k : kit.kinds())
        out.push_back(*k);
    return out;
}

} // namespace

Library inOwnLanguage(Library library) {
    const Change change = [](std::string& text) {
        if (!text.empty())
            text = told(text);
    };
    auto book = std::make_shared<RuleBook>(*library.book);
    changeBook(*book, change);
    library.book = book;
    auto kinds = kindsOf(*library.kit);
    changeKinds(kinds, change);
    // The same ids and words as a kit that was good: it can't be refused.
    if (auto kit = Kit::of(std::move(kinds)))
        library.kit = std::make_shared<const Kit>(std::move(*kit));
    if (library.rugs) {
        auto rugs = std::make_shared<RugBook>(*library.rugs);
        changeRugs(*rugs, change);
        library.rugs = rugs;
    }
    if (library.work) {
        auto work = std::make_shared<WorkBook>(*library.work);
        changeWork(*work, change);
        library.work = work;
    }
    return library;
}

void eachText(const Library& library, const std::function<void(const std::string&)>& one) {
    const Change change = [&](std::string& text) { one(text); };
    RuleBook book = *library.book;
    changeBook(book, change);
    for (const ShelfMaterial& m : book.shelving)
        one(m.name);
    auto kinds = kindsOf(*library.kit);
    changeKinds(kinds, change);
    for (const Kind& k : kinds)
        one(k.name);
    if (library.rugs) {
        RugBook rugs = *library.rugs;
        changeRugs(rugs, change);
        for (const RugEdging& e : rugs.edges)
            one(e.name);
        for (const RugPad& p : rugs.pads)
            one(p.name);
        for (const RugMaterial& m : rugs.materials)
            one(m.name);
    }
    if (library.work) {
        WorkBook work = *library.work;
        changeWork(work, change);
        for (const StandardTask& t : work) {
            one(t.name);
            one(t.trade);
            one(t.counts);
        }
    }
    if (library.tasks)
        for (const auto& level : *library.tasks)
            one(level.task);
}

} // namespace mezzet
