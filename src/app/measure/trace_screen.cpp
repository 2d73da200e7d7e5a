#include "app/measure/trace_screen.h"
#include "app/look/tr.h"
#include "measure/texts.h"
#include "app/look/widgets.h"
#include "measure/example.h"

#include "app/look/style.h"
#include "app/measure/open_picture.h"
#include "dxf/dxf.h"

#include <QBuffer>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QFileDialog>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QPainter>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QRegularExpression>
#include <QSpinBox>
#include <QTableWidget>
#include <QTransform>
#include <QVBoxLayout>

namespace mezzet::app {

namespace {

struct HandWord {
    TraceHand hand;
    const char* name;
    const char* words;
    const char* tip;
};
// texts
constexpr HandWord pictureHands[] = {
    {TraceHand::look, "look", "Look round", "Drag to move, wheel to zoom"},
    {TraceHand::straighten, "straighten", "1   Straighten",
     "Click the four corners of a known rectangle, from the upper left"},
    {TraceHand::scale, "scale", "2   Known length",
     "Click two points and type how far they are apart"},
    {TraceHand::walls, "walls", "3   Walls", "Click the corners in turn; the first again closes"},
    {TraceHand::window, "window", "4   Window", "Click its two jambs"},
    {TraceHand::door, "door", "4   Door", "Click its two jambs"},
    {TraceHand::opening, "opening", "4   Opening", "Click its two jambs"}};
// end of texts

} // namespace

TraceScreen::TraceScreen(Units units, QWidget* parent) : QDialog(parent), units_(units) {
    setObjectName("traceScreen");
    setWindowTitle(tr("Trace a drawing"));
    openAt(*this, {1200, 760});
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(16, 12, 16, 12);
    auto* row = new QHBoxLayout;
    row->setSpacing(14);
    canvas_ = new TraceCanvas;
    canvas_->setNotation({units, 16});
    row->addWidget(canvas_, 1);
    auto* side = new QVBoxLayout;
    side->setSpacing(6);
    auto* openRow = new QHBoxLayout;
    auto* open = new QPushButton(tr("Open …"));
    open->setObjectName("openDrawing");
    open->setAutoDefault(false);
    page_ = new QSpinBox;
    page_->setPrefix("page ");
    page_->setMinimum(1);
    page_->hide();
    openRow->addWidget(open);
    openRow->addWidget(page_);
    openRow->addStretch(1);
    side->addLayout(openRow);
    file_ = new QLabel(tr("no drawing yet"));
    file_->setProperty("quiet", true);
    file_->setWordWrap(true);
    side->addWidget(file_);

    hands_ = new QButtonGroup(this);
    pictureTools_ = new QWidget;
    auto* tools = new QVBoxLayout(pictureTools_);
    tools->setContentsMargins(0, 4, 0, 0);
    tools->setSpacing(5);
    for (const auto& h : pictureHands) {
        auto* b = new QPushButton(tr(h.words));
        b->setObjectName(h.name);
        b->setToolTip(tr(h.tip));
        b->setCheckable(true);
        b->setAutoDefault(false);
        hands_->addButton(b, static_cast<int>(h.hand));
        tools->addWidget(b);
    }
    side->addWidget(pictureTools_);

    sheetTools_ = new QWidget;
    auto* sheet = new QVBoxLayout(sheetTools_);
    sheet->setContentsMargins(0, 4, 0, 0);
    auto* layersSay = new QLabel(tr("What its layers are"));
    layersSay->setProperty("quiet", true);
    sheet->addWidget(layersSay);
    layers_ = new QTableWidget(0, 3);
    layers_->setObjectName("layers");
    layers_->setHorizontalHeaderLabels({"layer", "lines", "is"});
    layers_->verticalHeader()->hide();
    layers_->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
    layers_->setColumnWidth(1, 56);
    layers_->setColumnWidth(2, 104);
    layers_->setShowGrid(false);
    layers_->setMinimumHeight(170);
    sheet->addWidget(layers_, 1);
    auto* unitRow = new QHBoxLayout;
    unitBox_ = new QComboBox;
    unitBox_->setObjectName("unit");
    for (const auto& [name, mm] :
         std::initializer_list<std::pair<QString, double>>{{tr("choose …"), 0},
                                                           {"mm", 1},
                                                           {"cm", 10},
                                                           {"m", 1000},
                                                           {tr("inches"), 25.4},
                                                           {tr("feet"), 304.8}})
        unitBox_->addItem(name, mm);
    auto* unitLabel = new QLabel(tr("one unit is"));
    unitLabel->setBuddy(unitBox_);
    unitRow->addWidget(unitLabel);
    unitRow->addWidget(unitBox_, 1);
    sheet->addLayout(unitRow);
    auto* inside = new QPushButton(tr("Click inside the room"));
    inside->setObjectName("inside");
    inside->setCheckable(true);
    inside->setAutoDefault(false);
    hands_->addButton(inside, static_cast<int>(TraceHand::inside));
    sheet->addWidget(inside);
    sheetTools_->hide();
    side->addWidget(sheetTools_, 1);

    length_ = new QLineEdit;
    length_->setObjectName("knownLength");
    length_->setProperty("figure", true);
    length_->setPlaceholderText(tr("how far apart, then Enter"));
    length_->setAccessibleName(tr("The known length"));
    length_->hide();
    side->addWidget(length_);
    scaleSays_ = new QLabel;
    scaleSays_->setObjectName("scaleSays");
    scaleSays_->setProperty("small", true);
    scaleSays_->setWordWrap(true);
    side->addWidget(scaleSays_);
    auto* made = new QLabel(tr("The notes it makes"));
    made->setProperty("quiet", true);
    side->addWidget(made);
    preview_ = new QPlainTextEdit;
    preview_->setObjectName("traced");
    preview_->setReadOnly(true);
    preview_->setAccessibleName(tr("The notes the tracing makes"));
    side->addWidget(preview_, 2);
    auto* sideBox = new QWidget;
    side->setContentsMargins(0, 0, 0, 0);
    sideBox->setLayout(side);
    sideBox->setFixedWidth(290);
    row->addWidget(sideBox);
    whole->addLayout(row, 1);

    auto* last = new QHBoxLayout;
    says_ = new QLabel;
    says_->setObjectName("traceSay");
    says_->setWordWrap(true);
    last->addWidget(says_, 1);
    work_ = new LongWork;
    last->addWidget(work_, 1);
    auto* buttons = new QDialogButtonBox;
    take_ = buttons->addButton(tr("Take as notes"), QDialogButtonBox::AcceptRole);
    buttons->addButton(tr("Cancel"), QDialogButtonBox::RejectRole);
    last->addWidget(buttons);
    whole->addLayout(last);

    connect(open, &QPushButton::clicked, this, &TraceScreen::browse);
    connect(page_, &QSpinBox::valueChanged, this, [this](int n) { openFile(path_, n); });
    connect(hands_, &QButtonGroup::idClicked, this,
            [this](int id) { setHand(static_cast<TraceHand>(id)); });
    connect(unitBox_, &QComboBox::activated, this, &TraceScreen::refresh);
    connect(length_, &QLineEdit::returnPressed, this, [this] { typeLength(length_->text()); });
    connect(canvas_, &TraceCanvas::clicked, this, &TraceScreen::clickAt);
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    setHand(TraceHand::look);
    refresh();
    tell(tr("Open an agent's plan, a blueprint, a photo of graph paper, or a DXF."));
}

QString TraceScreen::said() const {
    return says_->text();
}

void TraceScreen::tell(const QString& words, bool trouble) {
    says_->setText(words);
    says_->setStyleSheet(QString("color: %1;").arg((trouble ? look().tight : look().ink).name()));
    if (trouble && length_->isVisible())
        length_->selectAll(); // so that typing again replaces it
}

void TraceScreen::browse() {
    const auto path = QFileDialog::getOpenFileName(
        this, tr("Open a drawing"), {},
        tr("Drawings (*.png *.jpg *.jpeg *.bmp *.gif *.webp *.svg *.pdf *.dxf);;All files (*)"));
    if (!path.isEmpty())
        openFile(path);
}

bool TraceScreen::openFile(const QString& path, int page) {
    const auto ending = QFileInfo(path).suffix().toLower();
    if (ending == "dxf") {
        auto read = std::make_shared<Result<DrawnSheet>>(Problem{});
        work_->start(
            tr("Reading ") + QFileInfo(path).fileName(),
            [read, file = path.toStdString()](Watch& w) { *read = readDxf(file, &w); },
            [this, read, path] {
                if (!*read)
                    return tell(QString::fromStdString(read->problem().sentence()), true);
                path_ = path;
                showSheet(std::make_shared<const DrawnSheet>(std::move(**read)));
            });
        return true;
    }
    int pages = 1;
    const auto image = ending == "pdf" ? pdfPage(path, page, pages) : picture(path);
    if (!image) {
        tell(QString::fromStdString(image.problem().sentence()), true);
        return false;
    }
    if (!showPicture(*image, path))
        return false;
    const QSignalBlocker quietly(page_);
    page_->setMaximum(pages);
    page_->setValue(std::clamp(page, 1, pages));
    page_->setVisible(pages > 1);
    return true;
}

bool TraceScreen::showPicture(const QImage& image, const QString& path) {
    if (image.isNull() || image.width() < 20 || image.height() < 20) {
        tell(tr("This picture is too small to trace."), true);
        return false;
    }
    path_ = path;
    picture_ = image.convertToFormat(QImage::Format_RGB32);
    sheet_.reset();
    tracing_ = {};
    tracing_.room.name = "Traced room";
    pending_.clear();
    closed_ = false;
    sheetTools_->hide();
    pictureTools_->show();
    file_->setText(tr("%1, %2 x %3 pixels")
                       .arg(QFileInfo(path).fileName())
                       .arg(image.width())
                       .arg(image.height()));
    canvas_->showPicture(picture_);
    setHand(TraceHand::scale);
    tell(tr(
        "A photo taken askew: straighten it first. Then click two points a known length apart."));
    refresh();
    return true;
}

void TraceScreen::showSheet(std::shared_ptr<const DrawnSheet> sheet) {
    sheet_ = std::move(sheet);
    picture_ = {};
    tracing_ = {};
    tracing_.room.name = "Traced room";
    pending_.clear();
    closed_ = false;
    page_->hide();
    pictureTools_->hide();
    sheetTools_->show();
    roles_ = guessRoles(*sheet_);
    file_->setText(
        tr("%1, %2 things drawn%3")
            .arg(QFileInfo(path_).fileName())
            .arg(sheet_->entities)
            .arg(sheet_->skipped.empty()
                     ? QString()
                     : tr("; left out: %1").arg(QString::fromStdString(sheet_->skipped.front()))));
    const auto in = [](const std::vector<int>& v, int i) {
        return std::find(v.begin(), v.end(), i) != v.end();
    };
    layers_->setRowCount(static_cast<int>(sheet_->layers.size()));
    for (int i = 0; i < layers_->rowCount(); ++i) {
        const auto k = static_cast<std::size_t>(i);
        auto* name = new QTableWidgetItem(QString::fromStdString(sheet_->layers[k]));
        name->setFlags(Qt::ItemIsEnabled);
        layers_->setItem(i, 0, name);
        auto* count = new QTableWidgetItem(QString::number(sheet_->counts[k]));
        count->setFlags(Qt::ItemIsEnabled);
        count->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
        layers_->setItem(i, 1, count);
        auto* role = new QComboBox;
        role->addItems({tr("left out"), "walls", "windows", "doors"});
        role->setCurrentIndex(in(roles_.walls, i)     ? 1
                              : in(roles_.windows, i) ? 2
                              : in(roles_.doors, i)   ? 3
                                                      : 0);
        role->setAccessibleName(tr("What layer ") + name->text() + " is");
        connect(role, &QComboBox::activated, this, &TraceScreen::rolesChanged);
        layers_->setCellWidget(i, 2, role);
    }
    const int known =
        sheet_->unitMm ? unitBox_->findText(QString::fromStdString(sheet_->unitName)) : 0;
    unitBox_->setCurrentIndex(std::max(known, 0));
    canvas_->showSheet(sheet_, roles_);
    setHand(TraceHand::inside);
    tell(sheet_->unitMm ? tr("Click inside the room that is wanted.")
                        : tr("The drawing doesn't say its unit: choose it, then click inside "
                             "the room."),
         !sheet_->unitMm);
    refresh();
}

void TraceScreen::rolesChanged() {
    roles_ = {};
    for (int i = 0; i < layers_->rowCount(); ++i) {
        const auto* role = qobject_cast<QComboBox*>(layers_->cellWidget(i, 2));
        auto* list = role->currentIndex() == 1   ? &roles_.walls
                     : role->currentIndex() == 2 ? &roles_.windows
                     : role->currentIndex() == 3 ? &roles_.doors
                                                 : nullptr;
        if (list != nullptr)
            list->push_back(i);
    }
    canvas_->showSheet(sheet_, roles_);
}

double TraceScreen::unit() const {
    return unitBox_->currentData().toDouble();
}

void TraceScreen::setHand(TraceHand h) {
    if (auto* b = hands_->button(static_cast<int>(h)))
        b->setChecked(true);
    pending_.clear();
    length_->hide();
    canvas_->setHand(h);
    for (const auto& w : pictureHands)
        if (w.hand == h && !picture_.isNull())
            tell(tr(w.tip) + ".");
    refresh();
}

void TraceScreen::clickAt(Vec2 p) {
    const auto hand = canvas_->hand();
    switch (hand) {
    case TraceHand::look:
        return;
    case TraceHand::straighten:
    case TraceHand::scale: {
        const std::size_t wanted = hand == TraceHand::scale ? 2 : 4;
        if (pending_.size() == wanted)
            pending_.clear();
        pending_.push_back(p);
        if (pending_.size() == wanted) {
            length_->setPlaceholderText(hand == TraceHand::scale
                                            ? tr("how far apart, then Enter")
                                            : tr("its size, like %1, then Enter")
                                                  .arg(fromCore(exampleIn("12' x 9'", units_))));
            length_->clear();
            length_->show();
            length_->setFocus();
        }
        break;
    }
    case TraceHand::walls: {
        if (closed_)
            break;
        auto& corners = tracing_.room.corners;
        const auto next =
            snapClick(corners, p, tracing_.snap ? squareWithin : 0, canvas_->nearness());
        if (next.closes)
            closed_ = true;
        else
            corners.push_back(next.at);
        break;
    }
    case TraceHand::window:
    case TraceHand::door:
    case TraceHand::opening:
        pending_.push_back(p);
        if (pending_.size() == 2) {
            tracing_.room.openings.push_back({hand == TraceHand::window ? OpeningKind::window
                                              : hand == TraceHand::door ? OpeningKind::door
                                                                        : OpeningKind::opening,
                                              pending_[0], pending_[1]});
            pending_.clear();
        }
        break;
    case TraceHand::inside: {
        if (!sheet_)
            break;
        if (unit() <= 0)
            return tell(tr("Choose what one unit of the drawing is."), true);
        auto found = std::make_shared<Result<TracedRoom>>(Problem{});
        const double mm = unit();
        work_->start(
            tr("Finding the room"),
            [found, sheet = sheet_, roles = roles_, mm, p](Watch& w) {
                *found = findRoom(*sheet, roles, mm, p, &w);
            },
            [this, found, mm] {
                if (!*found)
                    return tell(QString::fromStdString(found->problem().sentence()), true);
                tracing_.room = **found;
                // Shown in the drawing's own units.
                for (Vec2& c : tracing_.room.corners)
                    c = c / mm;
                for (auto& o : tracing_.room.openings) {
                    o.from = o.from / mm;
                    o.to = o.to / mm;
                }
                closed_ = true;
                tell(tr("Found. Click inside another room to take that one."));
                refresh();
            });
        return;
    }
    }
    refresh();
}

void TraceScreen::typeLength(const QString& typed) {
    if (canvas_->hand() == TraceHand::straighten)
        return straighten(typed);
    if (pending_.size() != 2)
        return tell(tr("Click two points first."), true);
    const auto l = readLength(typed.toStdString(), units_);
    if (!l || *l <= Length{})
        return tell(l ? tr("A known length is more than nothing.")
                      : QString::fromStdString(l.problem().sentence()),
                    true);
    auto with = tracing_.lengths;
    with.push_back({pending_[0], pending_[1], *l});
    if (auto fit = fitScale(with); !fit)
        return tell(QString::fromStdString(fit.problem().sentence()), true);
    tracing_.lengths = with;
    pending_.clear();
    length_->hide();
    tell(tracing_.lengths.size() == 1
             ? tr("Scaled. A second known length would show how true the drawing is.")
             : tr("Scaled. Now click the walls."));
    refresh();
}

void TraceScreen::straighten(const QString& typed) {
    if (pending_.size() != 4)
        return tell(tr("Click four corners first."), true);
    const auto parts = typed.split(QRegularExpression("\\s*[x×]\\s*|\\s+by\\s+"));
    const auto w =
        parts.size() == 2
            ? readLength(parts[0].toStdString(), units_)
            : Result<Length>(Problem{"the size has two figures",
                                     worded("type it like {}", exampleIn("12' x 9'", units_))});
    const auto h = parts.size() == 2 ? readLength(parts[1].toStdString(), units_) : w;
    if (!w || !h)
        return tell(QString::fromStdString((w ? h : w).problem().sentence()), true);
    if (*w <= Length{} || *h <= Length{} || *h / *w > 20 || *w / *h > 20)
        return tell(tr("That is no size of a rectangle to straighten by."), true);
    const double height = straightWidth * (*h / *w);
    const auto s = Straightener::of({pending_[0], pending_[1], pending_[2], pending_[3]},
                                    straightWidth, height);
    if (!s)
        return tell(QString::fromStdString(s.problem().sentence()), true);
    const auto& f = s->figures();
    // Qt's map is transposed: its rows are what x, y and 1 give.
    const QTransform map(f[0], f[3], f[6], f[1], f[4], f[7], f[2], f[5], f[8]);
    // What lies about the rectangle is shown too, as far as it stays sane.
    const QRectF wanted(-straightWidth * 0.6, -height * 0.6, straightWidth * 2.2, height * 2.2);
    QImage straight(wanted.size().toSize(), QImage::Format_RGB32);
    straight.fill(look().board);
    QPainter p(&straight);
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    p.setTransform(map * QTransform::fromTranslate(-wanted.left(), -wanted.top()));
    p.drawImage(0, 0, picture_);
    p.end();
    const Vec2 moved{-wanted.left(), -wanted.top()};
    picture_ = straight;
    tracing_.room.corners.clear();
    tracing_.room.openings.clear();
    closed_ = false;
    tracing_.lengths = {{moved, moved + Vec2{straightWidth, 0}, *w}};
    canvas_->showPicture(picture_);
    setHand(TraceHand::walls);
    tell(tr("Straightened, and scaled by the rectangle. Now click the walls."));
}

std::shared_ptr<Underlay> TraceScreen::underlay() const {
    const auto scale = fitScale(tracing_.lengths);
    if (picture_.isNull() || !scale || notes_.isEmpty())
        return {};
    auto u = std::make_shared<Underlay>();
    constexpr int most = 1600; // enough to see under the board
    QImage kept = picture_;
    if (std::max(kept.width(), kept.height()) > most)
        kept = kept.scaled(most, most, Qt::KeepAspectRatio, Qt::SmoothTransformation);
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    kept.save(&buffer, "JPG", 80);
    u->picture = bytes.toBase64().toStdString();
    u->mmPerPixel = scale->mmPerPixel * picture_.width() / kept.width();
    u->turn = -place_.turn;
    u->at = turned(-place_.at, -place_.turn);
    return u;
}

void TraceScreen::removeLast() {
    if (!pending_.empty())
        pending_.pop_back();
    else if (canvas_->hand() == TraceHand::scale && !tracing_.lengths.empty())
        tracing_.lengths.pop_back();
    else if (canvas_->hand() == TraceHand::walls && closed_)
        closed_ = false;
    else if (canvas_->hand() == TraceHand::walls && !tracing_.room.corners.empty())
        tracing_.room.corners.pop_back();
    else if (!tracing_.room.openings.empty())
        tracing_.room.openings.pop_back();
    refresh();
}

void TraceScreen::keyPressEvent(QKeyEvent* e) {
    if (e->key() == Qt::Key_Backspace)
        return removeLast();
    if ((e->key() == Qt::Key_Return || e->key() == Qt::Key_Enter) &&
        canvas_->hand() == TraceHand::walls && tracing_.room.corners.size() > 2) {
        closed_ = true;
        return refresh();
    }
    if (e->key() == Qt::Key_Escape && (!pending_.empty() || length_->isVisible())) {
        pending_.clear();
        length_->hide();
        return refresh();
    }
    QDialog::keyPressEvent(e);
}

void TraceScreen::refresh() {
    canvas_->setTracing(tracing_, pending_, closed_);
    notes_.clear();
    QString words;
    QString why;
    if (sheet_) {
        if (closed_ && unit() > 0) {
            TracedRoom room = tracing_.room;
            for (Vec2& c : room.corners)
                c = c * unit();
            for (auto& o : room.openings) {
                o.from = o.from * unit();
                o.to = o.to * unit();
            }
            const auto made = notesOf(room, units_);
            made ? notes_ = QString::fromStdString(*made)
                 : why = QString::fromStdString(made.problem().sentence());
        }
    } else if (!picture_.isNull()) {
        const auto scale = fitScale(tracing_.lengths);
        if (scale) {
            words = tr("one pixel is %1")
                        .arg(QString::fromStdString(write(Length::millimetres(scale->mmPerPixel),
                                                          {Units::millimetres, 8})));
            words = tr("%1 mm to a pixel").arg(scale->mmPerPixel, 0, 'f', 3);
            if (scale->misfits.size() > 1) {
                words += tr(", sure to %1 %").arg(scale->error * 100, 0, 'f', 2);
                for (std::size_t i = 0; i < scale->misfits.size(); ++i)
                    words +=
                        tr("\nlength %1 is off by %2")
                            .arg(i + 1)
                            .arg(QString::fromStdString(write(scale->misfits[i], {units_, 16})));
            }
        }
        if (closed_ && scale) {
            const auto made = notesOf(tracing_, units_, nullptr, &place_);
            made ? notes_ = QString::fromStdString(*made)
                 : why = QString::fromStdString(made.problem().sentence());
        } else if (closed_) {
            why = tr("Say one known length, and the notes are made.");
        }
    }
    scaleSays_->setText(words);
    preview_->setPlainText(why.isEmpty() ? notes_ : why);
    take_->setEnabled(!notes_.isEmpty());
}

} // namespace mezzet::app
