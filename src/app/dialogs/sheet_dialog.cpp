#include "app/dialogs/sheet_dialog.h"
#include "app/look/tr.h"
#include "app/look/widgets.h"
#include "measure/example.h"

#include "app/dialogs/paper_choice.h"
#include "app/look/plain_words.h"
#include "app/look/style.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDate>
#include <QDialogButtonBox>
#include <QDir>
#include <QFileDialog>
#include <QFileInfo>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QStandardItemModel>

namespace mezzet::app {

namespace {

constexpr int pictureWidth = 1100; // pixels it is painted at, and scaled down from

/// What a preview came to.
struct Drawn {
    QImage picture;
    std::size_t pages = 0;
    QString words;
    bool fault = false;
    std::vector<bool> fits; ///< of each scale, whether the sheet does; empty when not asked
};

} // namespace

QString asFileName(QString name) {
    for (const QChar c : QString("/\\:*?\"<>|"))
        name.replace(c, ' ');
    name = name.simplified();
    while (name.startsWith('.'))
        name.remove(0, 1);
    return name.left(120);
}

QString askWhere(QWidget* over, const QString& title, const QString& name, const QString& ending,
                 const QString& kinds, const QString& folder) {
    const auto path = QFileDialog::getSaveFileName(
        over, title, QDir(folder).filePath(name + "." + ending),
        QString("%1 (*.%2)").arg(kinds.isEmpty() ? ending.toUpper() : kinds, ending));
    // A dot in a name is no ending: "plan 1.2" wants its own.
    static const QStringList known{"pdf", "svg", "png", "csv", "dxf"};
    return path.isEmpty() || known.contains(QFileInfo(path).suffix().toLower())
               ? path
               : path + "." + ending;
}

SheetDialog::SheetDialog(ProjectPtr job, const QString& first, SurfaceId looked, QWidget* parent)
    : QDialog(parent), job_(std::move(job)) {
    setObjectName("sheetDialog");
    setWindowTitle(tr("Print a sheet"));
    const Units units = job_->notation.units;
    auto* whole = new QHBoxLayout(this);
    whole->setContentsMargins(18, 16, 18, 14);
    whole->setSpacing(18);

    auto* left = new QVBoxLayout;
    left->setSpacing(10);
    list_ = new QListWidget;
    list_->setObjectName("sheetKinds");
    list_->setAccessibleName(tr("Sheets"));
    for (const sheets::SheetKind* k : sheets::sheetKinds()) {
        auto* item = new QListWidgetItem(tr(k->title), list_);
        item->setData(Qt::UserRole, QString(k->id));
        if (first == k->id)
            list_->setCurrentItem(item);
    }
    if (list_->currentItem() == nullptr)
        list_->setCurrentRow(0);
    list_->setFixedHeight(list_->sizeHintForRow(0) * list_->count() + 10);
    left->addWidget(list_);
    about_ = new QLabel;
    about_->setWordWrap(true);
    about_->setProperty("quiet", true);
    left->addWidget(about_);

    form_ = new QFormLayout;
    form_->setSpacing(8);
    wall_ = new QComboBox;
    paper_ = newPaperBox();
    scale_ = newScaleBox(units);
    piece_ = new QComboBox;
    piece_->addItem(tr("All that hangs"), "");
    for (const Piece& p : job_->scheme().hung())
        piece_->addItem(QString::fromStdString(p.name), QString::fromStdString(p.name));
    roll_ = new QLineEdit;
    roll_->setPlaceholderText(tr("empty for tiles; a width, like %1")
                                  .arg(fromCore(exampleIn("24", job_->notation.units))));
    format_ = new QComboBox;
    form_->addRow(tr("Wall"), wall_);
    form_->addRow(tr("Of"), piece_);
    form_->addRow(tr("Paper"), paper_);
    form_->addRow(tr("Scale"), scale_);
    form_->addRow(tr("On a roll of"), roll_);
    form_->addRow(tr("File"), format_);
    client_ = new QCheckBox(tr("For a client: leave off what is to mend"));
    client_->setObjectName("forClient");
    form_->addRow(client_);
    left->addLayout(form_);
    note_ = new QLabel;
    note_->setWordWrap(true);
    note_->setProperty("quiet", true);
    left->addWidget(note_);
    left->addStretch(1);
    auto* buttons = new QDialogButtonBox;
    print_ = buttons->addButton(tr("Save the sheet …"), QDialogButtonBox::AcceptRole);
    print_->setDefault(true);
    buttons->addButton(tr("Cancel"), QDialogButtonBox::RejectRole);
    left->addWidget(buttons);
    auto* side = new QWidget;
    side->setLayout(left);
    side->setFixedWidth(320);
    left->setContentsMargins(0, 0, 0, 0);
    whole->addWidget(side);

    auto* right = new QVBoxLayout;
    picture_ = new QLabel;
    picture_->setObjectName("sheetPicture");
    picture_->setAccessibleName(tr("The sheet as it will be printed"));
    picture_->setAlignment(Qt::AlignCenter);
    picture_->setMinimumSize(440, 380);
    picture_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Ignored);
    right->addWidget(picture_, 1);
    auto* turn = new QHBoxLayout;
    back_ = new QPushButton(tr("Page before"));
    on_ = new QPushButton(tr("Next page"));
    for (auto* b : {back_, on_})
        b->setAutoDefault(false);
    said_ = new QLabel;
    said_->setAlignment(Qt::AlignCenter);
    said_->setWordWrap(true);
    turn->addWidget(back_);
    turn->addWidget(said_, 1);
    turn->addWidget(on_);
    right->addLayout(turn);
    whole->addLayout(right, 1);

    // The walls, with the one that is looked at first.
    for (std::size_t i = 0; i < job_->room->walls.size(); ++i)
        wall_->addItem(tr("Wall ") + QString::fromStdString(job_->room->walls[i].name),
                       static_cast<int>(i));
    if (looked.isWall())
        wall_->setCurrentIndex(std::max(wall_->findData(looked.wall()), 0));

    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(list_, &QListWidget::currentRowChanged, this, [this] {
        askFor();
        page_ = 0;
        drawSoon();
    });
    connect(client_, &QCheckBox::toggled, this, [this] {
        page_ = 0;
        drawSoon();
    });
    for (auto* box : {wall_, paper_, scale_, piece_})
        connect(box, &QComboBox::currentIndexChanged, this, [this] {
            page_ = 0;
            drawSoon();
        });
    connect(roll_, &QLineEdit::textChanged, this, [this] {
        page_ = 0;
        drawSoon();
    });
    connect(back_, &QPushButton::clicked, this, [this] {
        page_ -= page_ > 0 ? 1 : 0;
        draw();
    });
    connect(on_, &QPushButton::clicked, this, [this] {
        page_ += page_ + 1 < pages_ ? 1 : 0;
        draw();
    });
    later_.setSingleShot(true);
    later_.setInterval(60);
    connect(&later_, &QTimer::timeout, this, &SheetDialog::draw);
    askFor();
    drawSoon();
    const QSize most = parent != nullptr ? parent->size() - QSize(60, 60) : QSize(1100, 720);
    resize(std::min(1100, most.width()), std::min(700, most.height()));
}

const sheets::SheetKind& SheetDialog::kind() const {
    return *sheets::sheetById(list_->currentItem()->data(Qt::UserRole).toString().toStdString());
}

/// Shows the rows of what the chosen sheet asks for.
void SheetDialog::askFor() {
    const sheets::SheetKind& k = kind();
    about_->setText(tr(k.about));
    note_->setText(tr(k.note));
    note_->setVisible(*k.note != '\0');
    const bool any = k.asks.has(sheets::Asks::anyWall);
    const int every = wall_->findData(-1);
    if (any && every < 0)
        wall_->insertItem(0, tr("Every wall"), -1);
    if (!any && every >= 0)
        wall_->removeItem(every);
    form_->setRowVisible(wall_, any || k.asks.has(sheets::Asks::wall));
    form_->setRowVisible(piece_, k.asks.has(sheets::Asks::piece));
    form_->setRowVisible(paper_, k.asks.has(sheets::Asks::paper));
    form_->setRowVisible(scale_, k.asks.has(sheets::Asks::scale));
    form_->setRowVisible(roll_, k.asks.has(sheets::Asks::roll));
    form_->setRowVisible(client_, k.asks.has(sheets::Asks::mends));
    const auto chosen = format_->currentData();
    format_->clear();
    format_->addItem(tr("PDF, to print"), "pdf");
    format_->addItem(tr("SVG, to draw on"), "svg");
    format_->addItem(tr("PNG, to send"), "png");
    if (k.table != nullptr)
        format_->addItem(tr("CSV, a table"), "csv");
    format_->setCurrentIndex(std::max(format_->findData(chosen), 0));
    // As it was asked for last.
    if (const auto it = job_->prints.find(k.id); it != job_->prints.end()) {
        const PrintChoice& c = it->second;
        choose(paper_, c.paper);
        choose(scale_, c.scale);
        choose(format_, c.file);
        client_->setChecked(!c.mends);
    }
}

PrintChoice SheetDialog::choice() const {
    const auto text = [](QComboBox* box) { return box->currentData().toString().toStdString(); };
    return {text(paper_), text(scale_), format().toStdString(), !client_->isChecked(), {}};
}

QString SheetDialog::fileName() const {
    const sheets::SheetKind& k = kind();
    QStringList parts{QString::fromStdString(job_->title)};
    // A title that names the room needs it no second time.
    if (const auto room = QString::fromStdString(job_->room->name);
        !room.isEmpty() && !parts.front().contains(room, Qt::CaseInsensitive))
        parts << room;
    parts << QString(k.id);
    const auto asked = options();
    if (asked.wall)
        parts.back() += " " + QString::fromStdString(wallName(*asked.wall));
    if (!asked.of.empty())
        parts << QString::fromStdString(asked.of);
    parts << QDate::currentDate().toString(Qt::ISODate);
    return asFileName(parts.join(", "));
}

void SheetDialog::markScales(const std::vector<bool>& fits) {
    auto* model = qobject_cast<QStandardItemModel*>(scale_->model());
    if (model == nullptr)
        return;
    for (std::size_t i = 0; i < fits.size() && static_cast<int>(i) + 1 < scale_->count(); ++i) {
        auto* item = model->item(static_cast<int>(i) + 1);
        const auto words = item->data(Qt::UserRole).toString();
        item->setText(fits[i] ? words : words + tr(", too large for the paper"));
        item->setEnabled(fits[i]);
    }
}

sheets::SheetOptions SheetDialog::options() const {
    const sheets::SheetKind& k = kind();
    const auto text = [](QComboBox* box) { return box->currentData().toString().toStdString(); };
    sheets::SheetOptions o;
    if (k.asks.has(sheets::Asks::paper))
        o.paper = sheets::paperNamed(text(paper_));
    if (k.asks.has(sheets::Asks::scale))
        o.scale = sheets::readScale(text(scale_));
    if ((k.asks.has(sheets::Asks::wall) || k.asks.has(sheets::Asks::anyWall)) &&
        wall_->currentData().isValid() && wall_->currentData().toInt() >= 0)
        o.wall = wall_->currentData().toInt();
    if (k.asks.has(sheets::Asks::piece))
        o.of = text(piece_);
    if (k.asks.has(sheets::Asks::mends))
        o.mends = !client_->isChecked();
    if (k.asks.has(sheets::Asks::roll) && !roll_->text().trimmed().isEmpty())
        if (const auto l = readLength(roll_->text().trimmed().toStdString(), job_->notation.units))
            o.roll = *l;
    return o;
}

QString SheetDialog::format() const {
    return format_->currentData().toString();
}

void SheetDialog::drawSoon() {
    later_.start();
}

void SheetDialog::draw() {
    later_.stop();
    runner_.drop(drawing_);
    // Which scales fit is tried once for each sheet, paper and wall.
    const auto of =
        QString("%1 %2 %3").arg(kind().id).arg(paper_->currentIndex()).arg(wall_->currentIndex());
    std::vector<sheets::Scale> scales;
    if (of != fitsOf_ && kind().asks.has(sheets::Asks::scale))
        for (int i = 1; i < scale_->count(); ++i)
            if (const auto s = sheets::readScale(scale_->itemData(i).toString().toStdString()))
                scales.push_back(*s);
    drawing_ = runner_.run(
        [job = job_, kind = &kind(), asked = options(), page = page_,
         scales = std::move(scales)](Progress& progress) {
            Drawn out;
            for (const sheets::Scale& s : scales) {
                if (progress.stop.load())
                    return out; // it was asked for otherwise meanwhile
                auto at = asked;
                at.scale = s;
                out.fits.push_back(static_cast<bool>(kind->pages(*job, at)));
            }
            const auto sheet = kind->pages(*job, asked);
            if (!sheet) {
                out.words = QString::fromStdString(sheet.problem().sentence());
                out.fault = true;
                return out;
            }
            out.pages = sheet->paper.pages.size();
            const std::size_t shown = std::min(page, out.pages - 1);
            out.picture = sheets::pictureOf(sheet->paper, shown, pictureWidth);
            out.words = QString("%1, %2").arg(QString::fromStdString(sheet->on),
                                              QString::fromStdString(sheet->scale));
            if (out.pages > 1)
                out.words += tr(", page %1 of %2").arg(shown + 1).arg(out.pages);
            if (!sheet->told.empty())
                out.words += "; " + QString::fromStdString(sheet->told);
            return out;
        },
        [this, of](Drawn d) {
            if (!d.fits.empty())
                fitsOf_ = of;
            drawn_ = d.picture;
            pages_ = d.pages;
            markScales(d.fits);
            said_->setText(d.words);
            print_->setEnabled(!d.fault);
            back_->setVisible(pages_ > 1);
            on_->setVisible(pages_ > 1);
            back_->setEnabled(page_ > 0);
            on_->setEnabled(page_ + 1 < pages_);
            showPicture();
        },
        [this](const QString& fault) { said_->setText(tr("It can't be shown: ") + fault); });
}

void SheetDialog::showPicture() {
    if (drawn_.isNull()) {
        picture_->clear();
        return;
    }
    const double ratio = devicePixelRatioF();
    QImage small = drawn_.scaled(picture_->size() * ratio - QSize(4, 4), Qt::KeepAspectRatio,
                                 Qt::SmoothTransformation);
    small.setDevicePixelRatio(ratio);
    picture_->setPixmap(QPixmap::fromImage(small));
}

void SheetDialog::resizeEvent(QResizeEvent* e) {
    QDialog::resizeEvent(e);
    showPicture();
}

} // namespace mezzet::app
