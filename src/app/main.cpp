#include "app/main_window.h"
#include "app/measure_screen.h"
#include "app/style.h"
#include "measure/text.h"

#include <QApplication>
#include <QCommandLineParser>
#include <QDir>
#include <QStyleFactory>

#include <cstdio>

namespace {

/// Every main view of the demo as a picture, for a machine without a display and for the docs.
int renderViews(mezzet::app::MainWindow& window, const QString& folder) {
    QDir().mkpath(folder);
    const auto shot = [&](QWidget& w, const char* name) {
        for (int i = 0; i < 40; ++i)
            QApplication::processEvents(QEventLoop::AllEvents, 20);
        const auto file = QString("%1/%2.png").arg(folder, name);
        const bool saved = w.grab().save(file);
        std::printf("%s\n", qPrintable(saved ? file : "could not write " + file));
        return saved;
    };
    auto& session = window.session();
    window.show();
    bool ok = shot(window, "floor");
    session.select({session.project()->scheme().byName("Coffee table")->id});
    window.line()->edit()->setText("coffee table 16 from sofa");
    emit window.line()->edit()->textEdited(window.line()->edit()->text());
    window.line()->choices()->hide();
    ok = shot(window, "selected") && ok;
    window.line()->edit()->clear();
    emit window.line()->edit()->textEdited({});
    session.select({});
    window.pieces()->box()->setText("armchair 30 x 33");
    session.goTo(2);
    ok = shot(window, "wall") && ok;
    window.pieces()->box()->clear();
    session.goTo(-1);
    session.select({session.project()->scheme().byName("Supper table")->id});
    window.setNight(true);
    ok = shot(window, "night") && ok;
    window.setNight(false);
    mezzet::app::MeasureScreen notes(QString::fromStdString(session.project()->notes), false,
                                   &window);
    notes.show();
    ok = shot(notes, "tape-notes") && ok;
    notes.close();
    ok = window.printTo(folder + "/plan-sheet.png", {}) && ok;
    std::printf("%s/plan-sheet.png\n", qPrintable(folder));
    return ok ? 0 : 1;
}

} // namespace

int main(int argc, char** argv) {
    QApplication::setHighDpiScaleFactorRoundingPolicy(
        Qt::HighDpiScaleFactorRoundingPolicy::PassThrough);
    QApplication application(argc, argv);
    QApplication::setApplicationName("mezzet");
    QApplication::setOrganizationName("mezzet");
    QApplication::setApplicationVersion("0.1.0");
    QApplication::setStyle(QStyleFactory::create("Fusion"));
    QCommandLineParser options;
    options.setApplicationDescription("Plan a room to scale, and know whether it works.");
    options.addHelpOption();
    options.addVersionOption();
    options.addPositionalArgument("JOB", "a .mezzet job to open", "[JOB]");
    options.addOption({"demo", "open the demo job"});
    options.addOption(
        {"views", "render each main view of the demo as PNG into a folder, and leave", "FOLDER"});
    options.process(application);

    mezzet::sheets::loadFonts();
    mezzet::app::useTheme(false);
    auto library = mezzet::loadLibrary(mezzet::dataFolder());
    if (!library) {
        std::fprintf(stderr, "%s\n", library.problem().text().c_str());
        return 3;
    }
    mezzet::app::MainWindow window(*library);
    if (options.isSet("views")) {
        window.openDemo();
        return renderViews(window, options.value("views"));
    }
    window.show();
    const bool recovered = window.offerRecovery();
    if (!recovered && !options.positionalArguments().isEmpty())
        window.openPath(options.positionalArguments().front());
    else if (!recovered && options.isSet("demo"))
        window.openDemo();
    return QApplication::exec();
}
