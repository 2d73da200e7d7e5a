#include "project/spoken_library.h"

#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

namespace {

void intoOwn(std::string& text) {
    if (!text.empty())
        text = told(text);
}

void changeBook(RuleBook& book) {
    for (School& s : book.schools) {
        intoOwn(s.title);
        intoOwn(s.says);
    }
    for (Rule& r : book.rules) {
        for (std::string* text : {&r.title, &r.measures, &r.right, &r.tight, &r.loose, &r.note})
            intoOwn(*text);
        for (auto& [when, text] : r.instead)
            intoOwn(text);
        intoOwn(r.source);
    }
    for (Habit& h : book.habits) {
        intoOwn(h.says);
        intoOwn(h.source);
    }
}

void changeKinds(std::vector<Kind>& kinds) {
    for (Kind& k : kinds) {
        intoOwn(k.caution);
        intoOwn(k.opens);
    }
}

void changeRugs(RugBook& rugs) {
    for (RugPad& p : rugs.pads)
        intoOwn(p.says);
    for (RugNeed& n : rugs.needs)
        intoOwn(n.asks);
    for (RugMaterial& m : rugs.materials)
        for (auto& [need, mark] : m.marks)
            intoOwn(mark.reason);
}

void changeWork(WorkBook& work) {
    for (StandardTask& t : work) {
        std::for_each(t.cautions.begin(), t.cautions.end(), intoOwn);
        std::for_each(t.atHand.begin(), t.atHand.end(), intoOwn);
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
    auto book = std::make_shared<RuleBook>(*library.book);
    changeBook(*book);
    library.book = book;
    auto kinds = kindsOf(*library.kit);
    changeKinds(kinds);
    // The same ids and words as a kit that was good: it can't be refused.
    if (auto kit = Kit::of(std::move(kinds)))
        library.kit = std::make_shared<const Kit>(std::move(*kit));
    if (library.rugs) {
        auto rugs = std::make_shared<RugBook>(*library.rugs);
        changeRugs(*rugs);
        library.rugs = rugs;
    }
    if (library.work) {
        auto work = std::make_shared<WorkBook>(*library.work);
        changeWork(*work);
        library.work = work;
    }
    return library;
}

} // namespace mezzet
