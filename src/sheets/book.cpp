#include "sheets/book.h"
#include "sheets/tr.h"

#include "files/whole_file.h"
#include "handover/list.h"
#include "judge/compare.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "sheets/drawing.h"
#include "sheets/paper_pen.h"
#include "sheets/plan_layout.h"
#include "sheets/table_pages.h"

#include <QBuffer>
#include <QPageLayout>
#include <QPageSize>
#include <QPdfWriter>

#define POINTERHOLDER_TRANSITION 4
#include <qpdf/QPDF.hh>
#include <qpdf/QPDFPageDocumentHelper.hh>
#include <qpdf/QPDFWriter.hh>

#include <algorithm>
#include <array>
#include <set>

namespace mezzet::sheets {

namespace {

constexpr double pointsAMm = 72 / 25.4;
constexpr double contentsRow = 7;

constexpr std::array<std::pair<Reader, const char*>, 5> readers{
    {{Reader::client, "client"},
     {Reader::shop, "shop"},
     {Reader::electrician, "electrician"},
     {Reader::installer, "installer"},
     {Reader::workroom, "workroom"}}};

/// Which sheets each reader has, in order; “schemes” is the book's own.
std::vector<std::string_view> chaptersFor(Reader r) {
    switch (r) {
    case Reader::client:
        return {"plan", "wall", "schemes", "dressing", "list", "order"};
    case Reader::shop:
        return {"plan", "card", "list"};
    case Reader::electrician:
        return {"ceiling", "lighting", "plan", "order"};
    case Reader::installer:
        return {"plan", "tape-out", "wall", "hooks", "boards", "as-built", "order"};
    case Reader::workroom:
        return {"plan", "rug-order", "cutting", "dressing"};
    case Reader::all:
        break;
    }
    return {"plan",    "wall",     "hooks", "ceiling", "lighting", "rug-order", "cutting",
            "schemes", "dressing", "list",  "card",    "order",    "tape-out",  "as-built"};
}

struct BookPage {
    double width = 0; ///< mm
    double height = 0;
    std::function<void(QPainter&, double)> paint;
};

struct Chapter {
    BookChapter told;
    std::vector<BookPage> pages;
};

/// The schemes of a room side by side, with why.
Result<Sheet> schemesPages(const Project& job, const SheetOptions& o) {
    const auto here = job.schemesHere();
    if (here.size() < 2)
        return Problem{std::string(told("there is one scheme only")), ""};
    TablePages t;
    t.sheet = std::string(told("Schemes compared"));
    const bool own = o.mends;
    t.columns = {{tr("Scheme"), 2.4, false},
                 {tr("Seats"), 0.8, true},
                 {tr("For guests"), 0.9, true},
                 {tr("Narrowest way"), 1.3, true},
                 {tr("Floor taken"), 1.0, true}};
    if (own) {
        t.columns.push_back({tr("To mend"), 0.9, true});
        t.columns.push_back({tr("Cost"), 1.2, true});
    }
    for (const std::size_t i : here) {
        const auto s = summaryOf(job, i);
        if (!s)
            continue;
        TableRow r;
        r.strong = i == job.active;
        r.cells = {s->name, std::to_string(s->seats), std::to_string(s->seatsForGuests),
                   s->narrowest ? write(*s->narrowest, job.notation) : std::string(),
                   fmt::format("{:.0f} %", s->floorTaken * 100)};
        if (own) {
            r.cells.push_back(std::to_string(s->toMend));
            r.cells.push_back(s->cost ? writeCost(*s->cost) : std::string());
        }
        t.rows.push_back(std::move(r));
        const auto words = [&](std::string what) {
            TableRow w;
            w.is = TableRow::Is::words;
            w.cells = {std::move(what)};
            t.rows.push_back(std::move(w));
        };
        if (!s->note.empty())
            words(s->note);
        for (const Piece& p : job.schemes[i]->pieces)
            if (!p.reason.empty())
                words(worded("{}: {}", p.name, p.reason));
    }
    return tableSheet(job, o, std::move(t));
}

class BookMaker {
public:
    BookMaker(const Project& job, const BookAsked& asked) : job_(job), asked_(asked) {}

    Result<PrintedBook> print(const std::filesystem::path& path) {
        loadFonts();
        if (auto wrong = gather())
            return *wrong;
        PrintedBook out;
        for (Chapter& c : chapters_)
            out.chapters.push_back(c.told);
        if (pages_.size() <= front())
            return Problem{std::string(told("there is nothing to put in a book yet")),
                           std::string(told("place something first"))};
        auto plain = written();
        if (!plain)
            return plain.problem();
        auto linked = withLinks(*plain);
        if (!linked)
            return linked.problem();
        if (auto saved = writeWhole(path, *linked); !saved)
            return saved.problem();
        out.pages = static_cast<int>(pages_.size());
        return out;
    }

private:
    [[nodiscard]] bool forSelf() const { return asked_.reader == Reader::all; }

    [[nodiscard]] bool goesOn(double share) const {
        return !asked_.options.goOn || asked_.options.goOn(share);
    }

    /// Pages before the first chapter: the cover, and as many of contents as they want.
    [[nodiscard]] std::size_t front() const { return 1 + contentsPages_; }
    [[nodiscard]] std::size_t rowsAPage() const {
        return static_cast<std::size_t>((high_ - 2 * margin - 30) / contentsRow);
    }

    static Problem halted() {
        return {std::string(told("the printing was stopped")),
                std::string(told("print it again when there is time"))};
    }

    std::optional<Problem> gather() {
        const Paper paper = paperFor(job_, asked_.options);
        wide_ = std::min(paper.width, paper.height).mm();
        high_ = std::max(paper.width, paper.height).mm();
        const auto ids = chaptersFor(asked_.reader);
        const auto rooms = listedSchemes(job_);
        // What is of the whole job comes once, with the active room.
        const auto once = [](std::string_view id) { return id == "list" || id == "order"; };
        std::size_t done = 0;
        for (const std::string_view id : ids) {
            if (!goesOn(static_cast<double>(done++) / static_cast<double>(ids.size() * 2)))
                return halted();
            if (std::find(asked_.leftOut.begin(), asked_.leftOut.end(), id) != asked_.leftOut.end())
                continue;
            for (const std::size_t scheme : rooms) {
                if (once(id) && scheme != job_.active)
                    continue;
                Project at = job_;
                at.activate(scheme);
                const std::string room =
                    rooms.size() > 1 && !once(id) ? at.room->name : std::string();
                if (id == "wall")
                    walls(at, room);
                else
                    chapter(at, id, room, {});
            }
        }
        std::size_t shown = 0;
        for (const Chapter& c : chapters_)
            shown += c.pages.empty() ? 0 : 1;
        contentsPages_ = std::max<std::size_t>(1, (shown + rowsAPage() - 1) / rowsAPage());
        pages_.resize(front());
        for (Chapter& c : chapters_) {
            if (c.pages.empty())
                continue;
            c.told.page = static_cast<int>(pages_.size()) + 1;
            c.told.pages = static_cast<int>(c.pages.size());
            for (BookPage& p : c.pages)
                pages_.push_back(std::move(p));
        }
        for (std::size_t i = 0; i < front(); ++i)
            pages_[i] = {wide_, high_, [this, i](QPainter& p, double k) {
                             if (i == 0)
                                 cover(p, k);
                             else
                                 contents(p, k, i - 1);
                         }};
        return {};
    }

    /// Every wall on which something hangs, or stands before.
    void walls(const Project& at, const std::string& room) {
        std::set<int> shown;
        for (const Piece& p : at.scheme().pieces)
            if (p.onWall())
                shown.insert(p.wall());
        for (const int wall : shown)
            chapter(at, "wall", room, wall);
    }

    void chapter(const Project& at, std::string_view id, const std::string& room,
                 std::optional<int> wall) {
        SheetOptions o = asked_.options;
        o.goOn = {};
        o.onePage = false;
        o.wall = wall;
        o.mends = forSelf();
        Chapter c;
        c.told.id = id;
        const SheetKind* kind = sheetById(id);
        const std::string title =
            id == "schemes" ? std::string(told("Schemes compared"))
            : wall ? worded("Wall {}", at.room->walls.at(static_cast<std::size_t>(*wall)).name)
                   : std::string(told(kind->title));
        c.told.title = room.empty() ? title : worded("{}: {}", room, title);
        if (const auto none = nothingFor(at, id); !none.empty()) {
            c.told.why = none;
            chapters_.push_back(std::move(c));
            return;
        }
        const auto pagesAt = [&] {
            return id == "schemes" ? schemesPages(at, o) : kind->pages(at, o);
        };
        auto made = pagesAt();
        // A sheet that is too large at the scale asked for has the largest that fits.
        if (!made && o.scale) {
            o.scale.reset();
            made = pagesAt();
        }
        if (made && !made->told.empty() && id == "card")
            c.told.why = made->told;
        else if (made)
            for (const auto& paint : made->paper.pages)
                c.pages.push_back({made->paper.width, made->paper.height, paint});
        else
            c.told.why = made.problem().what;
        chapters_.push_back(std::move(c));
    }

    /// Why a sheet that could be printed would be an empty one.
    static std::string nothingFor(const Project& at, std::string_view id) {
        const auto& pieces = at.scheme().pieces;
        const auto any = [&](auto is) { return std::any_of(pieces.begin(), pieces.end(), is); };
        if (id == "hooks" && !any([](const Piece& p) { return p.onWall() && !p.isGroup(); }))
            return std::string(told("nothing hangs there"));
        if (id == "cutting" && !any([](const Piece& p) { return p.kind->flat() && p.rug; }))
            return std::string(told("no rug is cut off a roll"));
        return {};
    }

    void cover(QPainter& p, double k) {
        PaperPen pen(p, k);
        pen.clear(wide_, high_);
        const double w = wide_ - 2 * margin - 10;
        const double x = margin + 5;
        pen.text({x, high_ * 0.12, w, 14}, Qt::AlignLeft | Qt::AlignVCenter, q(job_.title), 10,
                 false, QFont::DemiBold);
        if (!job_.client.empty())
            pen.text({x, high_ * 0.12 + 15, w, 7}, Qt::AlignLeft | Qt::AlignVCenter,
                     q(worded("for {}", job_.client)), 5);
        pen.rule(x, high_ * 0.12 + 25, x + w, high_ * 0.12 + 25, 0.4);
        pen.text({x, high_ * 0.12 + 27, w, 6}, Qt::AlignLeft | Qt::AlignVCenter,
                 q(asked_.reader == Reader::all
                       ? dateOr(asked_.options.date)
                       : worded("{}: for the {}", dateOr(asked_.options.date), readerWord())),
                 3.6, false, QFont::Normal, paperLook().soft);
        if (const auto scene = sceneOf(job_)) {
            const QRectF mm(x, high_ * 0.3, w, high_ * 0.5);
            const Box b = job_.room->bounds();
            const double perMm = std::min((mm.width() - 2 * aroundRoom) / b.size().x,
                                          (mm.height() - 2 * aroundRoom) / b.size().y) *
                                 k;
            Labels labels(pen.dev(mm));
            Drawing d{p,
                      paperLook(),
                      pen.dev(mm).center() - QPointF(b.centre().x, b.centre().y) * perMm,
                      perMm,
                      k * 0.25,
                      job_.notation,
                      &labels};
            drawRoom(d, *job_.room);
            drawPieces(d, FloorView(**scene));
            drawWallLetters(d, *job_.room, (aroundRoom - 3.6) * k);
            labels.place();
            labels.draw(p);
        }
        std::vector<std::string> rooms;
        for (const auto& r : job_.rooms)
            rooms.push_back(r->name);
        pen.text({x, high_ * 0.84, w, 6}, Qt::AlignLeft | Qt::AlignVCenter, q(listed(rooms)), 3.6,
                 false, QFont::Normal, paperLook().soft);
    }

    [[nodiscard]] std::string readerWord() const {
        for (const auto& [r, name] : readers)
            if (r == asked_.reader)
                return std::string(told(name));
        return {};
    }

    void contents(QPainter& p, double k, std::size_t part) {
        PaperPen pen(p, k);
        pen.clear(wide_, high_);
        double y = pen.heading(q(std::string(told("Contents"))), margin + 5, margin + 8,
                               wide_ - 2 * margin - 10) +
                   4;
        std::size_t n = 0;
        for (const Chapter& c : chapters_) {
            if (c.told.page == 0)
                continue;
            if (n++ / rowsAPage() != part)
                continue;
            const double x = margin + 5, w = wide_ - 2 * margin - 10;
            pen.text({x, y, w - 16, contentsRow}, Qt::AlignLeft | Qt::AlignVCenter, q(c.told.title),
                     3.4);
            pen.text({x + w - 14, y, 14, contentsRow}, Qt::AlignRight | Qt::AlignVCenter,
                     QString::number(c.told.page), 3.4, true);
            pen.rule(x, y + contentsRow, x + w, y + contentsRow, 0.06);
            links_.push_back({1 + part, QRectF(x, y, w, contentsRow), c.told.page - 1});
            y += contentsRow;
        }
    }

    Result<std::string> written() {
        constexpr int dpi = 1200;
        QByteArray bytes;
        QBuffer buffer(&bytes);
        buffer.open(QIODevice::WriteOnly);
        QPdfWriter pdf(&buffer);
        pdf.setResolution(dpi);
        pdf.setTitle(q(job_.title));
        pdf.setCreator("Mezzet");
        const auto size = [&](const BookPage& p) {
            pdf.setPageLayout(
                QPageLayout(QPageSize(QSizeF(p.width, p.height), QPageSize::Millimeter, QString(),
                                      QPageSize::ExactMatch),
                            QPageLayout::Portrait, {}));
        };
        size(pages_.front());
        QPainter p(&pdf);
        const double k = dpi / 25.4;
        for (std::size_t i = 0; i < pages_.size(); ++i) {
            if (!goesOn(0.5 + static_cast<double>(i) / static_cast<double>(pages_.size() * 2)))
                return halted();
            if (i > 0) {
                size(pages_[i]);
                pdf.newPage();
            }
            p.save();
            pages_[i].paint(p, k);
            p.restore();
            if (i > 0) {
                PaperPen pen(p, k);
                pen.text({pages_[i].width - margin - 30, pages_[i].height - margin + 1, 30, 5},
                         Qt::AlignRight | Qt::AlignVCenter, QString::number(i + 1), 2.8, true);
            }
        }
        p.end();
        return bytes.toStdString();
    }

    /// The contents' lines made links, and a bookmark for each chapter.
    Result<std::string> withLinks(const std::string& plain) {
        try {
            QPDF pdf;
            pdf.processMemoryFile("book", plain.data(), plain.size());
            auto pages = QPDFPageDocumentHelper(pdf).getAllPages();
            const auto goesTo = [&](int page) {
                auto dest = QPDFObjectHandle::newArray();
                dest.appendItem(pages.at(static_cast<std::size_t>(page)).getObjectHandle());
                dest.appendItem(QPDFObjectHandle::newName("/Fit"));
                return dest;
            };
            for (const Link& l : links_) {
                auto page = pages.at(l.on).getObjectHandle();
                auto note = QPDFObjectHandle::newDictionary();
                note.replaceKey("/Type", QPDFObjectHandle::newName("/Annot"));
                note.replaceKey("/Subtype", QPDFObjectHandle::newName("/Link"));
                auto rect = QPDFObjectHandle::newArray();
                for (const double v :
                     {l.mm.left(), high_ - l.mm.bottom(), l.mm.right(), high_ - l.mm.top()})
                    rect.appendItem(QPDFObjectHandle::newReal(v * pointsAMm, 2));
                note.replaceKey("/Rect", rect);
                auto border = QPDFObjectHandle::newArray();
                for (int i = 0; i < 3; ++i)
                    border.appendItem(QPDFObjectHandle::newInteger(0));
                note.replaceKey("/Border", border);
                note.replaceKey("/Dest", goesTo(l.to));
                auto all = page.getKey("/Annots");
                if (!all.isArray()) {
                    all = QPDFObjectHandle::newArray();
                    page.replaceKey("/Annots", all);
                }
                all.appendItem(pdf.makeIndirectObject(note));
            }
            bookmarks(pdf, goesTo);
            QPDFWriter out(pdf);
            out.setOutputMemory();
            out.setDeterministicID(true);
            out.write();
            const auto held = out.getBufferSharedPointer();
            return std::string(reinterpret_cast<const char*>(held->getBuffer()), held->getSize());
        } catch (const std::exception&) {
            return Problem{std::string(told("the book could not be put together")),
                           std::string(told("print its sheets one by one"))};
        }
    }

    template <class Dest> void bookmarks(QPDF& pdf, Dest goesTo) {
        auto root = pdf.makeIndirectObject(QPDFObjectHandle::newDictionary());
        root.replaceKey("/Type", QPDFObjectHandle::newName("/Outlines"));
        std::vector<QPDFObjectHandle> all;
        for (const Chapter& c : chapters_) {
            if (c.told.page == 0)
                continue;
            auto one = pdf.makeIndirectObject(QPDFObjectHandle::newDictionary());
            one.replaceKey("/Title", QPDFObjectHandle::newUnicodeString(c.told.title));
            one.replaceKey("/Parent", root);
            one.replaceKey("/Dest", goesTo(c.told.page - 1));
            if (!all.empty()) {
                all.back().replaceKey("/Next", one);
                one.replaceKey("/Prev", all.back());
            }
            all.push_back(one);
        }
        if (all.empty())
            return;
        root.replaceKey("/First", all.front());
        root.replaceKey("/Last", all.back());
        root.replaceKey("/Count", QPDFObjectHandle::newInteger(static_cast<long long>(all.size())));
        pdf.getRoot().replaceKey("/Outlines", root);
    }

    struct Link {
        std::size_t on = 0; ///< page, from 0
        QRectF mm;
        int to = 0;
    };

    const Project& job_;
    const BookAsked& asked_;
    double wide_ = 0; ///< mm
    double high_ = 0;
    std::vector<Chapter> chapters_;
    std::vector<BookPage> pages_;
    std::size_t contentsPages_ = 1;
    std::vector<Link> links_;
};

} // namespace

std::optional<Reader> readerNamed(std::string_view word) {
    for (const auto& [r, name] : readers)
        if (foldCase(word) == name)
            return r;
    return {};
}

std::string bookKey(Reader r) {
    for (const auto& [reader, name] : readers)
        if (reader == r)
            return std::string("book for ") + name;
    return "book";
}

BookAsked BookAsked::asLast(const Project& job, Reader r) {
    BookAsked out;
    out.reader = r;
    const auto it = job.prints.find(bookKey(r));
    if (it == job.prints.end())
        return out;
    out.options.paper = paperNamed(it->second.paper);
    out.options.scale = readScale(it->second.scale);
    out.leftOut = it->second.leftOut;
    return out;
}

std::vector<std::pair<std::string, std::string>> chaptersOf(Reader r) {
    std::vector<std::pair<std::string, std::string>> out;
    for (const std::string_view id : chaptersFor(r)) {
        const SheetKind* kind = sheetById(id);
        out.emplace_back(id, kind != nullptr ? std::string(told(kind->title))
                                             : std::string(told("Schemes compared")));
    }
    return out;
}

std::string readerNames() {
    std::vector<std::string> all;
    for (const auto& [r, name] : readers)
        all.emplace_back(name);
    return listed(all, "or");
}

Result<PrintedBook> printBook(const Project& job, const BookAsked& asked,
                              const std::filesystem::path& path) {
    return BookMaker(job, asked).print(path);
}

} // namespace mezzet::sheets
