// The window's acts of shelves and tabletops: dressing them, what is at hand, colours.
#include "app/dialogs/dress_dialog.h"
#include "app/dialogs/layout_dialog.h"
#include "app/look/tr.h"
#include "app/window/main_window.h"

#include "colour/families.h"
#include "files/whole_file.h"
#include "sheets/picture_in.h"

#include <QComboBox>
#include <QFileDialog>
#include <QMenu>

#include <algorithm>

namespace mezzet::app {

void MainWindow::dressUnit() {
    auto* dialog = new DressDialog(session_, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &DressDialog::printWanted, this, [this] { print("dressing"); });
    // The unit that is chosen, or the one the chosen thing is in.
    for (const int id : session_.selected()) {
        const Scheme& scheme = session_.project()->scheme();
        const Piece* p = scheme.byId(id);
        for (int guard = 0; p != nullptr && guard < 60; ++guard) {
            if (const int at = dialog->units()->findData(p->id); at >= 0)
                dialog->units()->setCurrentIndex(at);
            p = p->on.isCarried() ? scheme.byId(p->on.piece) : nullptr;
        }
    }
    dialog->open();
}

bool MainWindow::addToStock(const Result<Stock>& more, const QString& told) {
    if (!more) {
        emit session_.told(QString::fromStdString(more.problem().text()), true);
        return false;
    }
    const auto& now = session_.project()->stock;
    return session_.apply(
        {inOwnWords("add to the stock"), {SetStock{withThings(now ? *now : Stock{}, *more)}}, {}},
        {}, told.arg(more->size()));
}

bool MainWindow::readStock(const QString& path) {
    constexpr std::size_t most = std::size_t{16} * 1024 * 1024;
    const auto text = readTextFile(path.toStdString(), most);
    return addToStock(
        text ? stockFromCsv(*text, path.toStdString(), *session_.project()->library.kit)
             : Result<Stock>(text.problem()),
        tr("%1 read into the stock"));
}

bool MainWindow::takeStudioStock() {
    const auto own = studioStock(*session_.project()->library.kit, studioFolder());
    if (own && own->empty()) {
        emit session_.told("The studio has nothing at hand yet.", true);
        return false;
    }
    return addToStock(own, tr("%1 of the studio's taken into the stock"));
}

bool MainWindow::keepForStudio() {
    const Project& job = *session_.project();
    const Stock none;
    const Stock& now = job.stock ? *job.stock : none;
    const auto kept = keepStudioStock(now, *job.library.kit, studioFolder());
    emit session_.told(kept ? tr("%1 are kept for the studio").arg(now.size())
                            : QString::fromStdString(kept.problem().text()),
                       !kept);
    return static_cast<bool>(kept);
}

bool MainWindow::writeStock(const QString& path) {
    const Stock none;
    const Project& job = *session_.project();
    const auto text = stockAsCsv(job.stock ? *job.stock : none, isMetric(job.notation.units));
    if (const auto written = writeWhole(path.toStdString(), text); !written) {
        emit session_.told(QString::fromStdString(written.problem().text()), true);
        return false;
    }
    emit session_.told("The stock is in " + path, false);
    return true;
}

void MainWindow::paletteFrom(const QString& path) {
    colours_.run(
        [path](Progress&) -> Result<std::vector<Patch>> {
            const auto pixels = sheets::pixelsOf(path.toStdString());
            if (!pixels)
                return pixels.problem();
            return dominantColours(*pixels, 6);
        },
        [this](Result<std::vector<Patch>> patches) {
            if (!patches) {
                emit session_.told(QString::fromStdString(patches.problem().text()), true);
                return;
            }
            Dressing d = session_.project()->scheme().dressing;
            const PaletteChoice chosen = choosePalette(familiesOf(*patches));
            d.families = chosen.families;
            d.accent = chosen.accent;
            QStringList words;
            for (const Rgb c : d.families)
                words << QString::fromStdString(std::string(colourWord(c)));
            auto told = tr("Palette ") + words.join(" and ");
            if (d.accent)
                told +=
                    tr(", accent ") + QString::fromStdString(std::string(colourWord(*d.accent)));
            session_.apply({inOwnWords("palette from a picture"), {SetDressing{d}}, {}}, {}, told);
        },
        [this](const QString& fault) { emit session_.told(fault, true); });
}

void MainWindow::lightRoom() {
    auto* dialog = new LayoutDialog(session_, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->open();
}

void MainWindow::buildDressMenu(QMenu* m) {
    add(m, "lightRoom", tr("Light this room …"), {}, [this] { lightRoom(); });
    add(m, "dress", tr("Dress shelves and tables …"), QKeySequence("Ctrl+J"),
        [this] { dressUnit(); });
    auto* stockMenu = m->addMenu(tr("What is at hand"));
    add(stockMenu, "readStock", tr("Read the stock from a CSV …"), {}, [this] {
        const auto path = QFileDialog::getOpenFileName(this, tr("Read the stock from"), {},
                                                       tr("Tables (*.csv);;All files (*)"));
        if (!path.isEmpty())
            readStock(path);
    });
    add(stockMenu, "writeStock", tr("Write the stock as CSV …"), {}, [this] {
        const auto path = QFileDialog::getSaveFileName(this, tr("Write the stock to"), "stock.csv",
                                                       tr("Tables (*.csv)"));
        if (!path.isEmpty())
            writeStock(path);
    });
    stockMenu->addSeparator();
    add(stockMenu, "takeStudioStock", tr("Take what the studio has"), {},
        [this] { takeStudioStock(); });
    add(stockMenu, "keepStudioStock", tr("Keep this for the studio"), {},
        [this] { keepForStudio(); });
    add(m, "paletteFrom", tr("Take the palette from a picture …"), {}, [this] {
        const auto path = QFileDialog::getOpenFileName(this, tr("Take the palette from"), {},
                                                       tr("Pictures (*.png *.jpg *.jpeg)"));
        if (!path.isEmpty())
            paletteFrom(path);
    });
}

} // namespace mezzet::app
