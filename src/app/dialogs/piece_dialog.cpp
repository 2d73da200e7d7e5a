#include "app/dialogs/piece_dialog.h"
#include "app/look/tr.h"

#include "app/look/style.h"
#include "edit/new_piece.h"
#include "edit/place.h"

#include <QDialogButtonBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

namespace mezzet::app {

PieceDialog::PieceDialog(JobSession& session, int piece, QWidget* parent)
    : QDialog(parent), session_(session), piece_(piece) {
    const Piece& p = *session.project()->scheme().byId(piece);
    const Notation n = session.project()->notation;
    setObjectName("pieceDialog");
    setWindowTitle(tr("Name and sizes: %1").arg(QString::fromStdString(p.name)));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(18, 16, 18, 14);
    auto* form = new QFormLayout;
    form->setHorizontalSpacing(14);
    form->setVerticalSpacing(9);
    const auto row = [&](const QString& label, const QString& value) {
        auto* edit = new QLineEdit(value);
        edit->setAccessibleName(label);
        edit->setMinimumWidth(240);
        form->addRow(label, edit);
        return edit;
    };
    const auto length = [&](Length l) { return QString::fromStdString(writeGap(l, n)); };
    name_ = row(tr("Name"), QString::fromStdString(p.name));
    width_ = row(tr("Width"), length(p.size.width));
    // Of what hangs the height is what is seen.
    depth_ = row(p.onWall() ? tr("Stands out") : tr("Depth"), length(p.size.depth));
    height_ = row(tr("Height"), length(p.size.height));
    column->addLayout(form);
    fault_ = new QLabel;
    fault_->setTextFormat(Qt::PlainText);
    fault_->setWordWrap(true);
    fault_->setStyleSheet(QString("color: %1;").arg(look().tight.name()));
    fault_->hide();
    column->addWidget(fault_);
    auto* buttons = new QDialogButtonBox;
    auto* keep = buttons->addButton(tr("Keep these"), QDialogButtonBox::AcceptRole);
    buttons->addButton(tr("Leave as it was"), QDialogButtonBox::RejectRole);
    keep->setDefault(true);
    connect(buttons, &QDialogButtonBox::accepted, this, &PieceDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    column->addWidget(buttons);
    name_->selectAll();
    name_->setFocus();
}

QString PieceDialog::fault() const {
    return fault_->isHidden() ? QString() : fault_->text();
}

void PieceDialog::accept() {
    const Project& job = *session_.project();
    const Piece* now = job.scheme().byId(piece_);
    if (now == nullptr)
        return QDialog::reject();
    const auto refuse = [&](QLineEdit* at, const QString& words) {
        fault_->setText(words);
        fault_->show();
        at->setFocus();
        at->selectAll();
    };
    Piece p = asItStands(job, *session_.scene(), piece_);
    p.name = name_->text().trimmed().toStdString();
    Size size = p.size;
    for (const auto& [edit, into] : {std::pair{width_, &size.width}, std::pair{depth_, &size.depth},
                                     std::pair{height_, &size.height}}) {
        // What was not touched stays to its last digit.
        if (!edit->isModified())
            continue;
        const auto read = readLength(edit->text().toStdString(), job.notation.units);
        if (!read)
            return refuse(edit, QString::fromStdString(read.problem().sentence()));
        *into = *read;
    }
    if (size != p.size)
        giveSize(p, size);
    Edit edit;
    edit.words = "change " + now->name;
    edit.acts.emplace_back(PutPiece{std::move(p)});
    if (const auto tried = mezzet::apply(job, edit); !tried)
        return refuse(name_, QString::fromStdString(tried.problem().sentence()));
    session_.apply(edit);
    QDialog::accept();
}

} // namespace mezzet::app
