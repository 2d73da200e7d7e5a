#include "app/dialogs/pictures_dialog.h"
#include "app/look/tr.h"

#include "app/look/style.h"
#include "app/look/widgets.h"
#include "sheets/drawing.h"
#include "sheets/picture_in.h"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QPainter>
#include <QPixmap>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>

namespace mezzet::app {

namespace {

constexpr QSize shownSize{250, 220};

} // namespace

PicturesDialog::PicturesDialog(JobSession& session, int frame, QWidget* parent)
    : QDialog(parent), session_(session), frame_(frame) {
    setObjectName("picturesDialog");
    const Piece* p = session.project()->scheme().byId(frame);
    setWindowTitle(p != nullptr ? tr("Which picture for ") + fromCore(p->name)
                                : tr("Which picture"));
    openAt(*this, {1120, 700});
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(18, 14, 18, 14);
    whole->setSpacing(10);
    list_ = new QListWidget;
    list_->setObjectName("picturesList");
    list_->setAccessibleName(tr("Pictures, the best first"));
    list_->setViewMode(QListView::IconMode);
    list_->setIconSize(shownSize);
    list_->setGridSize({shownSize.width() + 24, shownSize.height() + 110});
    list_->setResizeMode(QListView::Adjust);
    list_->setMovement(QListView::Static);
    list_->setWordWrap(true);
    whole->addWidget(list_, 1);
    told_ = new QLabel;
    told_->setObjectName("picturesTold");
    told_->setTextFormat(Qt::PlainText);
    told_->setWordWrap(true);
    told_->setMinimumHeight(22);
    whole->addWidget(told_);
    auto* foot = new QHBoxLayout;
    auto* more = new QPushButton(tr("Choose pictures …"));
    more->setObjectName("picturesChoose");
    more->setAutoDefault(false);
    connect(more, &QPushButton::clicked, this, [this] {
        take(QFileDialog::getOpenFileNames(this, tr("Pictures to try"), {},
                                           tr("Pictures (*.png *.jpg *.jpeg)")));
    });
    foot->addWidget(more);
    hang_ = new QPushButton(tr("Put it in the frame"));
    hang_->setObjectName("picturesHang");
    hang_->setAutoDefault(false);
    hang_->setEnabled(false);
    connect(hang_, &QPushButton::clicked, this, [this] { hang(); });
    foot->addWidget(hang_);
    foot->addStretch(1);
    addPlainButton(foot, tr("Close"), "picturesClose", [this] { accept(); });
    whole->addLayout(foot);
    connect(list_, &QListWidget::currentRowChanged, this,
            [this](int row) { hang_->setEnabled(row >= 0); });
    connect(&session, &JobSession::jobChanged, this, &PicturesDialog::showTried);
    if (roomColours(*session.scene()).empty())
        told_->setText(
            tr("No colour of the room is told yet: say it on the line, like “colour walls "
               "sage” and “colour sofa navy”; or take the palette from a picture."));
}

PicturesDialog::~PicturesDialog() = default;

void PicturesDialog::take(const QStringList& files) {
    const auto colours = roomColours(*session_.scene());
    for (const QString& path : files) {
        ++left_;
        runner_.run(
            [path, colours](Progress&) -> Result<Tried> {
                auto picture = sheets::readPicture(path.toStdString());
                if (!picture)
                    return picture.problem();
                PictureAnswer answer = answerOf(sheets::coloursOf(*picture), colours);
                return Tried{std::move(*picture), std::move(answer)};
            },
            [this](Result<Tried> read) {
                --left_;
                if (!read) {
                    told_->setText(fromCore(read.problem().text()));
                    return;
                }
                tried_.push_back(std::move(*read));
                std::stable_sort(tried_.begin(), tried_.end(), [](const Tried& a, const Tried& b) {
                    return a.answer.score > b.answer.score;
                });
                showTried();
            },
            [this](const QString& fault) {
                --left_;
                told_->setText(fault);
            });
    }
}

QPixmap PicturesDialog::onTheWall(const Tried& t) const {
    const Project& job = *session_.project();
    const Piece* p = job.scheme().byId(frame_);
    QPixmap out(shownSize);
    out.fill(look().board);
    if (p == nullptr || !p->onWall())
        return out;
    // The wall round the frame, with this picture in it, on the colour the wall has.
    auto scheme = std::make_shared<Scheme>(job.scheme());
    scheme->byId(frame_)->picture = "tried";
    auto pictures = job.pictures ? *job.pictures : Pictures{};
    pictures["tried"] = t.picture;
    const auto scene = resolve(job.room, scheme, job.notation);
    if (!scene)
        return out;
    const Box frame = bounds((*scene)->byId(frame_)->shape);
    const double span = std::max(frame.size().x, frame.size().y) * 2.2;
    const double scale = std::min(shownSize.width(), shownSize.height()) / span;
    if (const auto c = job.scheme().dressing.colourOf(p->wall()))
        out.fill(QColor(c->r, c->g, c->b));
    QPainter painter(&out);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    // y runs up the wall.
    const Vec2 middle = frame.centre();
    const QPointF origin(shownSize.width() / 2.0 - middle.x * scale,
                         shownSize.height() * 0.45 + middle.y * scale);
    const sheets::Drawing d{painter, look(), origin, scale, 1, job.notation};
    const WallsView walls(**scene);
    sheets::drawHung(d, walls, p->wall(), &pictures);
    return out;
}

void PicturesDialog::showTried() {
    const int chosen = list_->currentRow();
    list_->clear();
    for (const Tried& t : tried_) {
        // Chosen or not, its colours are its own.
        const QPixmap shown = onTheWall(t);
        QIcon icon(shown);
        icon.addPixmap(shown, QIcon::Selected);
        auto* item = new QListWidgetItem(
            icon, QString("%1\n%2").arg(fromCore(t.picture.name), fromCore(t.answer.why)), list_);
        item->setToolTip(tr("%1 of 1").arg(t.answer.score, 0, 'f', 2));
    }
    if (list_->count() > 0)
        list_->setCurrentRow(std::clamp(chosen, 0, list_->count() - 1));
}

bool PicturesDialog::hang() {
    const int row = list_->currentRow();
    const Piece* p = session_.project()->scheme().byId(frame_);
    if (row < 0 || p == nullptr)
        return false;
    const Tried& t = tried_[static_cast<std::size_t>(row)];
    const bool done =
        session_.apply(sheets::intoFrame(*session_.project(), *session_.scene(), *p, t.picture));
    if (done)
        told_->setText(fromCore(t.picture.name) + tr(" is in the frame"));
    return done;
}

} // namespace mezzet::app
