#include "app/notes_dialog.h"

#include "app/style.h"
#include "sheets/drawing.h"

#include <QDialogButtonBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QTextBlock>
#include <QVBoxLayout>

namespace mezzet::app {

/// The room as far as the notes tell it.
class NotesPlan : public QWidget {
public:
    explicit NotesPlan(NotesDialog& dialog) : QWidget(&dialog), dialog_(dialog) {
        setMinimumSize(380, 320);
        setAccessibleName("The room the notes make");
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        p.fillRect(rect(), look().board);
        p.setPen(QPen(look().panelEdge, 1));
        p.drawRect(rect().adjusted(0, 0, -1, -1));
        const auto& room = dialog_.room_;
        if (!room || room->walls.empty()) {
            p.setPen(look().soft);
            p.drawText(rect(), Qt::AlignCenter, "The room is drawn here\nas its walls are typed.");
            return;
        }
        const Box b = room->bounds();
        const QRectF area = QRectF(rect()).adjusted(62, 62, -62, -62);
        const double k = std::min(area.width() / std::max(b.size().x, 500.0),
                                  area.height() / std::max(b.size().y, 500.0));
        const sheets::Drawing d{p, look(), area.center() - QPointF(b.centre().x, b.centre().y) * k,
                                k, 1,      Notation{}};
        if (room->closed) {
            p.setPen(Qt::NoPen);
            p.setBrush(look().floor);
            p.drawPolygon(d.polygon(room->edge));
        }
        sheets::drawRoom(d, *room);
        std::vector<QRectF> taken;
        const double wall = sheets::drawnWall.mm() * k;
        for (const Wall& w : room->walls)
            sheets::drawDimension(
                d, d.at(w.start), d.at(w.end), wall + 12,
                QString::fromStdString(write(w.length(), {Units::feetAndInches, 16})), 12, &taken);
        sheets::drawWallLetters(d, *room, 30);
    }

private:
    NotesDialog& dialog_;
};

NotesDialog::NotesDialog(const QString& notes, bool fresh, QWidget* parent) : QDialog(parent) {
    setObjectName("notesDialog");
    setWindowTitle(fresh ? "New job: tape notes" : "Tape notes");
    resize(1060, 640);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(18, 16, 18, 14);
    auto* intro = new QLabel("One fact a line. Walls in turn to the right, as you stand inside and "
                             "face each; left and right are as you face the wall.");
    intro->setProperty("quiet", true);
    column->addWidget(intro);
    auto* row = new QHBoxLayout;
    row->setSpacing(14);
    text_ = new QPlainTextEdit(notes);
    text_->setObjectName("notes");
    text_->setAccessibleName("Tape notes");
    text_->setTabChangesFocus(true);
    text_->setLineWrapMode(QPlainTextEdit::NoWrap);
    plan_ = new NotesPlan(*this);
    row->addWidget(text_, 5);
    row->addWidget(plan_, 5);
    column->addLayout(row, 1);
    says_ = new QLabel;
    says_->setObjectName("notesSay");
    says_->setWordWrap(true);
    says_->setMinimumHeight(40);
    column->addWidget(says_);
    auto* buttons = new QDialogButtonBox;
    take_ = buttons->addButton(fresh ? "Start the job" : "Take these notes",
                               QDialogButtonBox::AcceptRole);
    take_->setDefault(true);
    buttons->addButton("Cancel", QDialogButtonBox::RejectRole);
    column->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(text_, &QPlainTextEdit::textChanged, this, &NotesDialog::read);
    read();
}

QString NotesDialog::said() const {
    return says_->text();
}

QString NotesDialog::example() {
    return "room My room\n"
           "ceiling 8' 0\"\n"
           "wall A 14' 0\"\n"
           "  window 4' 6\" from left, 5' 0\" wide, 4' 6\" high, sill 2' 8\"\n"
           "wall B 12' 0\"\n"
           "wall C 14' 0\"\n"
           "  door 1' 6\" from left, 32 wide, 80 high, hinge left, swings in, undercut 3/4\n"
           "wall D 12' 0\"\n"
           "diagonal A to C 18' 5 1/4\"\n";
}

void NotesDialog::read() {
    auto room = roomFromNotes(text_->toPlainText().toStdString());
    QList<QTextEdit::ExtraSelection> marks;
    if (room) {
        room_ = *room;
        says_->setText(QString::fromStdString((*room)->closure.words));
        const bool bad = !(*room)->closed;
        says_->setStyleSheet(QString("color: %1;").arg((bad ? look().loose : look().right).name()));
    } else {
        const auto& p = room.problem();
        says_->setText(QString("Line %1, column %2: %3")
                           .arg(p.line)
                           .arg(p.column)
                           .arg(QString::fromStdString(p.sentence())));
        says_->setStyleSheet(QString("color: %1;").arg(look().tight.name()));
        const auto block = text_->document()->findBlockByNumber(p.line - 1);
        if (block.isValid()) {
            QTextEdit::ExtraSelection mark;
            mark.cursor = QTextCursor(block);
            const int from = std::clamp(p.column - 1, 0, std::max(block.length() - 1, 0));
            mark.cursor.setPosition(block.position() + from);
            mark.cursor.setPosition(block.position() + std::min(from + std::max(p.width, 1),
                                                                std::max(block.length() - 1, 0)),
                                    QTextCursor::KeepAnchor);
            mark.format.setUnderlineStyle(QTextCharFormat::WaveUnderline);
            mark.format.setUnderlineColor(look().tight);
            mark.format.setForeground(look().tight);
            marks << mark;
        }
    }
    text_->setExtraSelections(marks);
    take_->setEnabled(room.ok());
    plan_->update();
}

} // namespace mezzet::app
