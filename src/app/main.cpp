#include "app/dialogs/compare_view.h"
#include "app/dialogs/dress_dialog.h"
#include "app/dialogs/finder.h"
#include "app/dialogs/fit_dialog.h"
#include "app/dialogs/group_dialog.h"
#include "app/dialogs/handbook_dialog.h"
#include "app/dialogs/layout_dialog.h"
#include "app/dialogs/mend_dialog.h"
#include "app/dialogs/pictures_dialog.h"
#include "app/dialogs/sheet_dialog.h"
#include "app/handover/handover_dialog.h"
#include "app/look/style.h"
#include "app/look/tr.h"
#include "app/measure/measure_screen.h"
#include "app/measure/trace_screen.h"
#include "app/window/main_window.h"
#include "judge/rule_code.h"
#include "measure/text.h"

#include <QAction>
#include <QApplication>
#include <QCheckBox>
#include <QComboBox>
#include <QCommandLineParser>
#include <QDir>
#include <QElapsedTimer>
#include <QFile>
#include <QImage>
#include <QLineEdit>
#include <QPainter>
#include <QSettings>
#include <QStyleFactory>
#include <QTabWidget>
#include <QThread>

#include <cstdio>
#include <cstdlib>

namespace {

/// The plan sheet as if photographed askew, straightened by the sheet's own edges, and half traced.
template <class Shot>
bool traced(mezzet::app::MainWindow& window, const QString& folder, Shot shot) {
    const auto flat = folder + "/plan-flat.png";
    mezzet::sheets::SheetOptions options;
    options.scale = mezzet::sheets::readScale("1:48");
    if (!window.printTo(flat, "plan", options))
        return false;
    const QImage sheet = QImage(flat).scaledToWidth(1100, Qt::SmoothTransformation);
    QFile::remove(flat);
    mezzet::app::TraceScreen trace(mezzet::Units::feetAndInches, &window);
    trace.show();
    const auto photo = folder + "/photo.png";
    sheet.copy(0, 0, sheet.width() * 7 / 10, sheet.height()).save(photo);
    trace.openFile(photo);
    QFile::remove(photo);
    // The room's corners on the sheet, by the drawing's own scale: 1:48 on 11 in of paper.
    const double k = 1100 / (11 * 25.4 * 48);
    const auto& room = *window.session().project()->room;
    // Where wall A begins is found as the sheet lays it out, about its middle.
    const auto b = room.bounds();
    const mezzet::Vec2 middle{sheet.width() * 0.3561, sheet.height() * 0.4536};
    const auto at = [&](mezzet::Vec2 p) { return middle + (p - b.centre()) * k; };
    trace.setHand(mezzet::app::TraceHand::scale);
    trace.clickAt(at(room.walls[0].start));
    trace.clickAt(at(room.walls[0].end));
    trace.typeLength("15' 0\"");
    trace.setHand(mezzet::app::TraceHand::walls);
    for (const auto& w : room.walls)
        trace.clickAt(at(w.start));
    trace.clickAt(at(room.walls[0].start));
    trace.setHand(mezzet::app::TraceHand::window);
    for (const auto& o : room.openings) {
        if (o.kind != mezzet::OpeningKind::window)
            continue;
        const auto& w = room.walls[static_cast<std::size_t>(o.wall)];
        trace.clickAt(at(w.at(o.left)));
        trace.clickAt(at(w.at(o.left + o.width)));
    }
    return shot(trace, "trace");
}

/// The walls with what hangs there: its readings, its hooks, a group set out, what a mirror shows.
template <class Shot> bool walls(mezzet::app::MainWindow& window, Shot shot) {
    auto& session = window.session();
    const auto chosen = [&](const char* name) {
        if (const auto* p = session.project()->scheme().byName(name))
            session.show(p->id);
    };
    chosen("Hearth picture");
    bool ok = shot(window, "wall-picture");
    chosen("Nine prints");
    window.act("showHooks")->trigger();
    ok = shot(window, "wall-hooks") && ok;
    window.act("showHooks")->trigger();
    {
        mezzet::app::GroupDialog group(session, session.selected(), &window);
        group.setModal(false);
        group.show();
        while (group.solving())
            QApplication::processEvents(QEventLoop::AllEvents, 20);
        ok = shot(group, "group") && ok;
    }
    chosen("Sideboard mirror");
    window.act("showReflected")->trigger();
    ok = shot(window, "wall-mirror") && ok;
    window.act("showReflected")->trigger();
    window.act("unroll")->trigger();
    ok = shot(window, "walls-unrolled") && ok;
    window.act("unroll")->trigger();
    session.goTo(mezzet::theFloor());
    session.select({});
    return ok;
}

/// Every main view of the demo as a picture, for a machine without a display and for the docs.
int renderViews(mezzet::app::MainWindow& window, const QString& folder) {
    QDir().mkpath(folder);
    const auto shot = [&](QWidget& w, const char* name) {
        // Until what comes a moment later, the line's hints among it, is there too.
        QElapsedTimer since;
        since.start();
        for (int i = 0; since.elapsed() < 300 || (i < 2000 && window.session().findingRemedies());
             ++i) {
            QApplication::processEvents(QEventLoop::AllEvents, 20);
            QThread::msleep(3);
        }
        const auto file = QString("%1/%2.png").arg(folder, name);
        const bool saved = w.grab().save(file);
        std::printf("%s\n", qPrintable(saved ? file : "could not write " + file));
        return saved;
    };
    auto& session = window.session();
    window.show();
    bool ok = shot(window, "start");
    window.openDemo();
    ok = shot(window, "floor") && ok;
    session.sayLine("scheme 1");
    session.select({session.project()->scheme().byName("Coffee table")->id});
    window.line()->edit()->setText("coffee table 16 from sofa");
    emit window.line()->edit()->textEdited(window.line()->edit()->text());
    window.line()->choices()->hide();
    ok = shot(window, "selected") && ok;
    window.line()->edit()->clear();
    emit window.line()->edit()->textEdited({});
    session.sayLine("how far is the sofa from the sideboard?");
    ok = shot(window, "answer") && ok;
    session.clearMarks();
    session.select({});
    session.goTo(mezzet::onWall(2));
    window.pieces()->box()->setText("picture 16 x 20");
    ok = shot(window, "wall") && ok;
    window.pieces()->box()->clear();
    session.goTo(mezzet::theFloor());
    ok = walls(window, shot) && ok;
    session.select({session.project()->scheme().byName("Supper table")->id});
    window.setNight(true);
    ok = shot(window, "night") && ok;
    window.setNight(false);
    session.select({});
    // The second scheme with its ways and its room in use, and what fits.
    session.sayLine("scheme 2");
    window.act("showWays")->trigger();
    ok = shot(window, "ways") && ok;
    window.act("showWays")->trigger();
    window.act("showUse")->trigger();
    window.act("showZones")->trigger();
    ok = shot(window, "use") && ok;
    window.act("showUse")->trigger();
    window.act("showZones")->trigger();
    window.act("showView")->trigger();
    ok = shot(window, "view") && ok;
    window.act("showView")->trigger();
    {
        mezzet::app::CompareView beside(session, &window);
        beside.setModal(false);
        beside.show();
        ok = shot(beside, "schemes") && ok;
    }
    {
        mezzet::app::FitDialog fits(session, &window);
        fits.setModal(false);
        fits.show();
        fits.ask("does sofa 90 x 38 x 36 fit");
        while (fits.answering())
            QApplication::processEvents(QEventLoop::AllEvents, 20);
        ok = shot(fits, "fits") && ok;
    }
    session.sayLine("scheme 1");
    {
        mezzet::app::MendDialog mend(session, &window);
        mend.setModal(false);
        mend.show();
        while (mend.looking())
            QApplication::processEvents(QEventLoop::AllEvents, 20);
        ok = shot(mend, "mend") && ok;
    }
    {
        mezzet::app::SheetDialog sheet(session.settledProject(), "wall", mezzet::onWall(2),
                                       &window);
        sheet.setModal(false);
        sheet.show();
        while (!sheet.drawn())
            QApplication::processEvents(QEventLoop::AllEvents, 20);
        ok = shot(sheet, "print") && ok;
    }
    {
        mezzet::app::Finder finder(session, window.findChildren<QAction*>(), &window);
        finder.setModal(false);
        finder.show();
        finder.box()->setText("chair");
        ok = shot(finder, "finder") && ok;
    }
    // A carpet cut to the room, its edges and corners to be dragged.
    session.sayLine("remove hearth rug");
    session.sayLine("rug called Carpet cut to the room, 12 off the walls, 6 off the hearth, ending "
                    "at opening 1 anyway");
    session.sayLine("edges of Carpet in linen tape 3");
    if (const auto* carpet = session.project()->scheme().byName("Carpet"))
        session.select({carpet->id});
    ok = shot(window, "rugs") && ok;
    ok = window.printTo(folder + "/rug-order-sheet.png", "rug-order") && ok;
    for (int i = 0; i < 3; ++i)
        session.undo();
    session.select({});
    // What hangs from the ceiling, and what stands on tops and in openings.
    for (const char* line :
         {"drum pendant called Pendant over supper table, 32 above supper table",
          "ceiling light over hearth rug", "table lamp on sideboard, 6 from left end",
          "storage basket in opening 1 of low bookcase",
          "stack of books in opening 4 of low bookcase, 2 from left end",
          "vase on low bookcase, 4 from right end"})
        session.sayLine(line);
    session.goTo(mezzet::theCeiling());
    session.select({session.project()->scheme().byName("Pendant")->id});
    ok = shot(window, "ceiling") && ok;
    session.goTo(mezzet::onWall(0));
    session.select({});
    ok = shot(window, "dressed") && ok;
    session.goTo(mezzet::theFloor());
    ok = shot(window, "floor-dressed") && ok;
    // A unit dressed from what is at hand, and its sheet.
    const int before = session.history().standing();
    for (const char* line :
         {"bookcase 60 x 12 x 84, 5 shelves, uprights 1 called Tall shelves",
          "palette cream and navy, accent brass", "stock 40 cream books 9 x 6 x 1",
          "stock 30 navy books 10 x 7 x 1 1/4", "stock 20 linen books 8 x 5 1/2 x 1",
          "stock 6 brass spheres 4 dia x 4", "stock 4 brass boxes 6 x 4 x 3",
          "stock 6 white vases 6 x 6 x 9", "stock 4 cream bowls 8 dia x 4",
          "stock 3 navy ginger jars 7 dia x 9", "stock 4 oak boxes 9 x 6 x 4",
          "stock 5 cream prints 8 x 10", "stock 6 battery candles 3 dia x 5",
          "stock 3 shelf plants 7 dia x 8", "stock 2 red books 9 x 6 x 1"})
        session.sayLine(line);
    {
        mezzet::app::DressDialog dress(session, &window);
        dress.setModal(false);
        dress.show();
        dress.units()->setCurrentIndex(dress.units()->findText("Tall shelves"));
        dress.solve({});
        while (dress.solving())
            QApplication::processEvents(QEventLoop::AllEvents, 20);
        ok = shot(dress, "dress") && ok;
        if (auto* far = dress.findChild<QCheckBox*>("squint"))
            far->setChecked(true);
        ok = shot(dress, "squint") && ok;
    }
    ok = window.printTo(folder + "/dressing-sheet.png", "dressing") && ok;
    // What is handed over: the list, the order of work, tape-out.
    for (const char* line :
         {"budget 6000",
          "list sofa ordered 2027-02-01, from Linden Workshop, price 1450, lead 42 days",
          "list supper table chosen, from Orchard Joinery, price 620, lead 21 days",
          "list hearth rug have", "list cushion, 4 of them, 38 each, note in wool",
          "colour walls sage", "work from 2027-03-01"})
        session.sayLine(line);
    {
        mezzet::app::HandoverDialog hand(session, &window);
        hand.setModal(false);
        hand.show();
        ok = shot(hand, "list") && ok;
        hand.tabs()->setCurrentIndex(1);
        ok = shot(hand, "order") && ok;
        hand.tabs()->setCurrentIndex(2);
        hand.tape()->done();
        hand.tape()->done();
        ok = shot(hand, "tape-out") && ok;
        hand.tabs()->setCurrentIndex(3);
        hand.built()->line()->setText("sideboard 3 from wall A");
        hand.built()->say();
        ok = shot(hand, "as-built") && ok;
        hand.tabs()->setCurrentIndex(4);
        ok = shot(hand, "book") && ok;
        // Pictures of the program's own for one frame: its plan, and two plain ones.
        session.sayLine("colour sofa navy");
        QStringList files;
        for (const auto& [name, above, foot] :
             {std::tuple{"dawn", "#e9c9a8", "#2f3f6b"}, std::tuple{"moss", "#7f8f6a", "#6f7f5a"},
              std::tuple{"sail", "#f4efe2", "#d8d2c0"}}) {
            QImage image(300, 220, QImage::Format_RGB32);
            image.fill(QColor(above));
            QPainter(&image).fillRect(0, 150, 300, 70, QColor(foot));
            files << folder + "/picture-" + name + ".png";
            image.save(files.back());
        }
        mezzet::app::PicturesDialog pictures(
            session, session.project()->scheme().byName("Hearth picture")->id, &window);
        pictures.setModal(false);
        static_cast<QWidget&>(pictures).show();
        pictures.take(files);
        while (pictures.reading())
            QApplication::processEvents(QEventLoop::AllEvents, 20);
        ok = shot(pictures, "pictures") && ok;
        mezzet::app::LayoutDialog layout(session, &window);
        layout.setModal(false);
        layout.show();
        while (layout.finding())
            QApplication::processEvents(QEventLoop::AllEvents, 20);
        ok = shot(layout, "layouts") && ok;
        mezzet::app::HandbookDialog book(*session.project()->library.book,
                                         session.project()->notation.units, &window);
        book.setModal(false);
        book.show();
        book.showPage("walls");
        ok = shot(book, "handbook") && ok;
    }
    session.goToStep(before);
    // The light of it all at night, and what an electrician is given.
    session.sayLine("light this room evenly");
    session.select({});
    window.act("showLight")->trigger();
    (void)window.grab();
    while (!window.board()->lightFound())
        QApplication::processEvents(QEventLoop::AllEvents, 20);
    ok = shot(window, "light") && ok;
    window.act("showLight")->trigger();
    ok = window.printTo(folder + "/ceiling-sheet.png", "ceiling") && ok;
    for (int i = 0; i < 7; ++i)
        session.undo();
    session.sayLine("room landing");
    session.goTo(mezzet::onWall(2));
    ok = shot(window, "landing") && ok;
    session.undo();
    session.undo();
    session.undo();
    // The measure screen, with a foot dropped from one wall.
    auto slipped = QString::fromStdString(session.project()->notes);
    slipped.replace("wall E 14' 6\"", "wall E 13' 6\"");
    mezzet::app::MeasureScreen notes(slipped, false, &window, session.project());
    notes.show();
    ok = shot(notes, "measure") && ok;
    notes.close();
    ok = traced(window, folder, shot) && ok;
    ok = window.printTo(folder + "/plan-sheet.png", "plan") && ok;
    std::printf("%s/plan-sheet.png\n", qPrintable(folder));
    return ok ? 0 : 1;
}

/// Shows the window, or its views, to the end.
int runWindow(mezzet::app::MainWindow& window, const QCommandLineParser& options,
              const QString& studioTrouble) {
    if (options.isSet("views")) {
        QApplication::setCursorFlashTime(0); // the same picture, whenever it is taken
        return renderViews(window, options.value("views"));
    }
    window.show();
    if (!studioTrouble.isEmpty())
        emit window.session().told(studioTrouble, true);
    const bool recovered = window.offerRecovery();
    if (!recovered && !options.positionalArguments().isEmpty())
        window.openPath(options.positionalArguments().front());
    else if (!recovered && options.isSet("demo"))
        window.openDemo();
    return QApplication::exec();
}

} // namespace

using mezzet::app::tr;

int main(int argc, char** argv) {
    QApplication::setHighDpiScaleFactorRoundingPolicy(
        Qt::HighDpiScaleFactorRoundingPolicy::PassThrough);
    QApplication application(argc, argv);
    QApplication::setApplicationName("mezzet");
    QApplication::setOrganizationName("mezzet");
    QApplication::setApplicationVersion("0.1.0");
    QApplication::setStyle(QStyleFactory::create("Fusion"));
    if (const auto problem =
            mezzet::speakAsAsked(QSettings().value("language").toString().toStdString()))
        std::fprintf(stderr, "%s\n", problem->text().c_str());
    mezzet::app::installTexts(application);
    QCommandLineParser options;
    options.setApplicationDescription(tr("Plan a room to scale, and know whether it works."));
    options.addHelpOption();
    options.addVersionOption();
    options.addPositionalArgument("JOB", tr("a .mezzet job to open"), "[JOB]");
    options.addOption({"demo", tr("open the demo job")});
    options.addOption({"views",
                       tr("render each main view of the demo as PNG into a folder, and leave"),
                       "FOLDER"});
    options.process(application);

    mezzet::sheets::loadFonts();
    mezzet::app::useTheme(false);
    auto library = mezzet::loadLibrary(mezzet::dataFolder());
    if (!library) {
        std::fprintf(stderr, "%s\n", library.problem().text().c_str());
        return 3;
    }
    if (const auto odd = mezzet::unpaired(*library->book)) {
        std::fprintf(stderr, "%s\n", odd->text().c_str());
        return 3;
    }
    // What the studio keeps is taken up; damaged, it is told and left, and the program starts all
    // the same.
    QString studioTrouble;
    if (!options.isSet("views")) {
        std::vector<std::string> told;
        library = mezzet::withWholeStudio(*library, mezzet::studioFolder(), told);
        studioTrouble = QString::fromStdString(mezzet::listed(told, ""));
    }
    int code = 0;
    {
        mezzet::app::MainWindow window(*library);
        code = runWindow(window, options, studioTrouble);
    }
    // What did not stop in time is left where it is; it writes nothing.
    if (mezzet::app::Runner::someGoesOn()) {
        std::fflush(nullptr);
        std::_Exit(code);
    }
    return code;
}
