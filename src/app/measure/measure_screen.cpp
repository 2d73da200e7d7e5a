#include "app/measure/measure_screen.h"
#include "app/look/tr.h"

#include "app/dialogs/sheet_dialog.h"
#include "app/look/style.h"
#include "app/measure/trace_screen.h"
#include "measure/texts.h"
#include "room/facts.h"
#include "sheets/blank_sheet.h"

#include <QDialogButtonBox>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QScrollArea>
#include <QTextBlock>
#include <QTime>
#include <QVBoxLayout>

namespace mezzet::app {

namespace {

QLabel* headed(QVBoxLayout* column, const QString& words) {
    auto* l = new QLabel(words);
    l->setProperty("quiet", true);
    column->addWidget(l);
    return l;
}

/// A label that scrolls when it is long.
QLabel* scrolled(QVBoxLayout* column, const char* name) {
    auto* area = new QScrollArea;
    area->setWidgetResizable(true);
    area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    area->setFocusPolicy(Qt::NoFocus);
    auto* l = new QLabel;
    l->setObjectName(name);
    l->setProperty("small", true);
    l->setWordWrap(true);
    l->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    l->setTextFormat(Qt::RichText);
    area->setWidget(l);
    column->addWidget(area, 1);
    return l;
}

QString html(const std::string& s) {
    return QString::fromStdString(s).toHtmlEscaped();
}

} // namespace

MeasureScreen::MeasureScreen(const QString& notes, bool fresh, QWidget* parent, ProjectPtr job)
    : QDialog(parent), job_(std::move(job)) {
    setObjectName("measureScreen");
    setWindowTitle(fresh ? tr("New job: measure the room") : tr("Measure"));
    setWindowFlag(Qt::WindowMaximizeButtonHint);
    openAt(*this, {1240, 760});
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(16, 12, 16, 12);
    auto* top = new QHBoxLayout;
    const bool isExample = fresh && notes == example();
    const QString says = tr("One fact a line. Walls in turn to the right, as you stand inside and "
                            "face each one.");
    auto* intro = new QLabel(
        says + (isExample ? " " + tr("These notes are an example: type over them.") : QString()));
    intro->setProperty("quiet", true);
    top->addWidget(intro, 1);
    laserSays_ = new QLabel;
    laserSays_->setObjectName("laserSays");
    laserSays_->setProperty("quiet", true);
    top->addWidget(laserSays_);
    const auto button = [&](const char* name, const QString& words, const QString& tip) {
        auto* b = new QPushButton(words);
        b->setObjectName(name);
        b->setToolTip(tip);
        b->setAutoDefault(false);
        top->addWidget(b);
        return b;
    };
    laserButton_ =
        button("laser", tr("Listen to the laser"),
               tr("Readings go where the caret stands, with their unit and time (Ctrl+L)"));
    auto* traced = button("trace", tr("From a drawing …"),
                          tr("Trace a picture, a PDF page or a DXF drawing into notes"));
    auto* blank =
        button("blank", tr("Blank sheet …"), tr("A measuring sheet to print and take along"));
    whole->addLayout(top);

    auto* row = new QHBoxLayout;
    row->setSpacing(12);
    text_ = new QPlainTextEdit(notes);
    text_->setObjectName("notes");
    text_->setAccessibleName(tr("Tape notes"));
    text_->setTabChangesFocus(true);
    text_->setLineWrapMode(QPlainTextEdit::NoWrap);
    if (isExample)
        text_->selectAll();
    row->addWidget(text_, 6);
    auto* side = new QVBoxLayout;
    side->setSpacing(8);
    plan_ = new MeasurePlan;
    side->addWidget(plan_, 1);
    auto* foot = new QHBoxLayout;
    foot->setSpacing(16);
    const auto column = [&](int share) {
        auto* c = new QVBoxLayout;
        c->setSpacing(3);
        foot->addLayout(c, share);
        return c;
    };
    auto* fits = column(5);
    headed(fits, tr("How it fits"));
    fit_ = scrolled(fits, "fit");
    auto* left = column(5);
    headed(left, tr("Still to measure"));
    missing_ = new QListWidget;
    missing_->setObjectName("missing");
    missing_->setAccessibleName(tr("Still to measure"));
    missing_->setWordWrap(true);
    missing_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    left->addWidget(missing_, 1);
    auto* facts = column(4);
    headed(facts, tr("The room"));
    facts_ = scrolled(facts, "facts");
    auto* footBox = new QWidget;
    footBox->setLayout(foot);
    foot->setContentsMargins(0, 0, 0, 0);
    footBox->setFixedHeight(190);
    side->addWidget(footBox);
    row->addLayout(side, 9);
    whole->addLayout(row, 1);

    auto* last = new QHBoxLayout;
    says_ = new QLabel;
    says_->setObjectName("notesSay");
    says_->setWordWrap(true);
    says_->setMinimumHeight(38);
    last->addWidget(says_, 1);
    auto* buttons = new QDialogButtonBox;
    take_ = buttons->addButton(fresh ? tr("Start the job") : tr("Take these notes"),
                               QDialogButtonBox::AcceptRole);
    take_->setObjectName("takeNotes");
    take_->setDefault(true);
    take_->setToolTip(tr("Ctrl+Enter"));
    buttons->addButton(tr("Cancel"), QDialogButtonBox::RejectRole);
    last->addWidget(buttons);
    whole->addLayout(last);

    laser_ = new LaserLink(this);
    connect(laserButton_, &QPushButton::clicked, this,
            [this] { laser_->connected() ? laser_->stop() : laser_->listen(); });
    connect(laser_, &LaserLink::told, this, [this](const QString& words) {
        laserSays_->setText(tr("Laser: ") + words);
        laserButton_->setText(laser_->connected() ? tr("Stop listening")
                                                  : tr("Listen to the laser"));
    });
    connect(laser_, &LaserLink::came, this, &MeasureScreen::take);
    connect(blank, &QPushButton::clicked, this, &MeasureScreen::printBlank);
    connect(traced, &QPushButton::clicked, this, &MeasureScreen::trace);
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(text_, &QPlainTextEdit::textChanged, this, &MeasureScreen::read);
    if (isExample)
        connect(text_, &QPlainTextEdit::textChanged, intro,
                [intro, says] { intro->setText(says); });
    connect(text_, &QPlainTextEdit::cursorPositionChanged, this, &MeasureScreen::follow);
    connect(plan_, &MeasurePlan::wallPointed, this, &MeasureScreen::showMarks);
    connect(plan_, &MeasurePlan::typedAt, this, &MeasureScreen::typedAt);
    connect(missing_, &QListWidget::itemActivated, this, [this](QListWidgetItem* item) {
        // A row that only says that there is none has nothing behind it.
        const auto at = static_cast<std::size_t>(missing_->row(item));
        if (at < todo_.size())
            jumpTo(todo_[at]);
    });
    begunFrom_ = notes;
    draft_.setSingleShot(true);
    draft_.setInterval(1500);
    connect(&draft_, &QTimer::timeout, this, [this] { keepDraft(); });
    connect(text_, &QPlainTextEdit::textChanged, &draft_, qOverload<>(&QTimer::start));
    connect(missing_, &QListWidget::itemClicked, missing_, &QListWidget::itemActivated);
    text_->setFocus();
    read();
}

MeasureScreen::~MeasureScreen() {
    // Notes that were taken, or given up, need no copy; those of a program that ends do.
    if (result() == QDialog::Rejected && !isVisible() && notes() == begunFrom_)
        forgetDraft();
}

QString MeasureScreen::said() const {
    return says_->text();
}

void MeasureScreen::keyPressEvent(QKeyEvent* e) {
    const bool ctrl = e->modifiers() & Qt::ControlModifier;
    if (ctrl && (e->key() == Qt::Key_Return || e->key() == Qt::Key_Enter) && take_->isEnabled())
        return accept();
    if (ctrl && e->key() == Qt::Key_L)
        return laserButton_->click();
    if (e->key() == Qt::Key_Escape && plan_->field()->isVisible()) {
        plan_->field()->hide();
        return;
    }
    QDialog::keyPressEvent(e);
}

void MeasureScreen::read() {
    const auto text = text_->toPlainText().toStdString();
    auto taped = readTapeNotes(text);
    auto rooms = taped ? roomsFromNotes(text) : Result<std::vector<RoomPtr>>(taped.problem());
    fault_.reset();
    if (rooms) {
        rooms_ = *rooms;
        taped_ = *taped;
    } else {
        fault_ = rooms.problem();
        drawRest(text);
    }
    take_->setEnabled(rooms.ok());
    room_ = std::min(room_, rooms_.empty() ? 0 : rooms_.size() - 1);
    follow();
    showFit();
    showMissing();
}

/// What can be read without the lines that can't, drawn all the same.
void MeasureScreen::drawRest(std::string text) {
    constexpr int most = 12; // lines left out
    for (int left = 0; left < most; ++left) {
        const auto taped = readTapeNotes(text);
        const auto rooms =
            taped ? roomsFromNotes(text) : Result<std::vector<RoomPtr>>(taped.problem());
        if (rooms) {
            rooms_ = *rooms;
            taped_ = *taped;
            return;
        }
        const int line = rooms.problem().line;
        if (line <= 0)
            return;
        // The line is emptied, so that the others keep their numbers.
        std::size_t from = 0;
        for (int n = 1; n < line && from != std::string::npos; ++n) {
            const auto end = text.find('\n', from);
            from = end == std::string::npos ? end : end + 1;
        }
        if (from == std::string::npos || from >= text.size() || text[from] == '\n')
            return;
        text.erase(from, std::min(text.find('\n', from), text.size()) - from);
    }
}

/// The room and the wall of the caret's line.
void MeasureScreen::follow() {
    const int line = text_->textCursor().blockNumber() + 1;
    int wall = -1;
    if (!taped_.empty()) {
        std::size_t room = 0;
        for (std::size_t i = 0; i < taped_.size(); ++i)
            if (taped_[i].firstLine <= line)
                room = i;
        const bool other = room != room_;
        room_ = room;
        const auto& walls = taped_[room].walls;
        for (std::size_t i = 0; i < walls.size(); ++i)
            if (walls[i].place.line <= line)
                wall = static_cast<int>(i);
        const auto block = text_->textCursor().block().text().trimmed();
        if (block.startsWith("diagonal") || block.startsWith("room") || block.isEmpty())
            wall = -1;
        plan_->show(rooms_, room_, {taped_[room].units, 16});
        if (other) {
            showFit();
            showMissing();
        }
    }
    plan_->light(wall);
    showMarks();
}

void MeasureScreen::showMarks() {
    QList<QTextEdit::ExtraSelection> marks;
    const auto whole = [&](int line, const QColor& colour) {
        const auto block = text_->document()->findBlockByNumber(line - 1);
        if (!block.isValid())
            return;
        QTextEdit::ExtraSelection mark;
        mark.cursor = QTextCursor(block);
        mark.format.setProperty(QTextFormat::FullWidthSelection, true);
        mark.format.setBackground(colour);
        marks << mark;
    };
    const int pointed = plan_->pointed();
    if (pointed >= 0 && room_ < taped_.size() &&
        pointed < static_cast<int>(taped_[room_].walls.size())) {
        QColor wash = look().chosen;
        wash.setAlphaF(0.25F);
        const int line = taped_[room_].walls[static_cast<std::size_t>(pointed)].place.line;
        whole(line, wash);
        if (!text_->hasFocus()) { // bring it into sight without taking the caret
            QTextCursor c(text_->document()->findBlockByNumber(line - 1));
            const QRect r = text_->cursorRect(c);
            if (!text_->viewport()->rect().contains(r))
                text_->setTextCursor(c);
        }
    }
    if (!fault_ && room_ < rooms_.size()) {
        QColor wash = look().tight;
        wash.setAlphaF(0.16F);
        for (std::size_t k = 0; k < rooms_[room_]->fit.suspects.size() && k < 2; ++k) {
            const auto& fit = rooms_[room_]->fit;
            whole(fit.items[static_cast<std::size_t>(fit.suspects[k].item)].place.line, wash);
        }
    }
    if (fault_) {
        const auto block = text_->document()->findBlockByNumber(fault_->line - 1);
        if (block.isValid()) {
            QTextEdit::ExtraSelection mark;
            mark.cursor = QTextCursor(block);
            const int end = std::max(block.length() - 1, 0);
            const int from = std::clamp(fault_->column - 1, 0, end);
            mark.cursor.setPosition(block.position() + from);
            mark.cursor.setPosition(block.position() +
                                        std::min(from + std::max(fault_->width, 1), end),
                                    QTextCursor::KeepAnchor);
            mark.format.setUnderlineStyle(QTextCharFormat::WaveUnderline);
            mark.format.setUnderlineColor(look().tight);
            mark.format.setForeground(look().tight);
            marks << mark;
        }
    }
    text_->setExtraSelections(marks);
}

void MeasureScreen::showFit() {
    const auto colour = [](const QColor& c) { return QString("color: %1;").arg(c.name()); };
    if (fault_) {
        says_->setText(tr("Line %1, column %2: %3")
                           .arg(fault_->line)
                           .arg(fault_->column)
                           .arg(QString::fromStdString(fault_->sentence())));
        says_->setStyleSheet(colour(look().tight));
    }
    if (rooms_.empty())
        return;
    const Room& room = *rooms_[room_];
    if (!fault_) {
        says_->setText(QString::fromStdString(room.closure.words));
        const bool sound = room.fit.suspects.empty() && !room.closure.doubted;
        says_->setStyleSheet(colour(!room.closed ? look().loose
                                    : sound      ? look().right
                                                 : look().tight));
    }
    const Notation n{room.units, 16};
    QString s;
    for (const Suspect& x : room.fit.suspects)
        s += tr("<p style='margin:2px 0'><b>%1</b>, %2 standard errors</p>")
                 .arg(html(x.words))
                 .arg(QString::fromStdString(
                     decimals(fmt::format("{:.1f}", std::abs(x.standardised)))));
    if (room.fit.next)
        s += tr("<p style='margin:2px 0'>%1</p>").arg(html(room.fit.next->words));
    if (room.fit.determined) {
        s += tr("<p style='margin:2px 0'>%1 measurements more than are needed; unit weight %2 (1: "
                "as true as the tools are taken to be).</p>")
                 .arg(room.fit.redundancy)
                 .arg(room.fit.unitWeight, 0, 'f', 2);
        s += tr("<table cellspacing=2>");
        for (const FitItem& it : room.fit.items) {
            if (it.assumed)
                continue;
            const auto off =
                it.angular() ? QString("%1°").arg(it.residual(), 0, 'f', 2)
                             : QString::fromStdString(write(Length::millimetres(it.residual()), n));
            s += tr("<tr><td>%1</td><td align=right>&nbsp;%2%3</td><td>&nbsp;%4</td></tr>")
                     .arg(html(it.name), it.residual() >= 0 ? "+" : "", off,
                          it.setAside     ? tr("set aside")
                          : it.share < .1 ? tr("hardly checked")
                                          : "");
        }
        s += "</table>";
    }
    if (s.isEmpty())
        s = tr("When the walls go round, this says how well they fit, and which to measure again.");
    fit_->setText(s);
    QString f = tr("<table cellspacing=2>");
    if (room.closed)
        for (const auto& [what, value] : factLines(factsOf(room), n))
            f += tr("<tr><td>%1</td><td align=right>&nbsp;%2</td></tr>")
                     .arg(html(what), html(value));
    f += "</table>";
    for (const auto& c : cautionsOf(room))
        f += tr("<p style='margin:3px 0'>%1</p>").arg(html(c));
    facts_->setText(room.closed ? f
                                : tr("When the walls go round, its areas and lengths are told "
                                     "here."));
}

void MeasureScreen::showMissing() {
    todo_.clear();
    if (!rooms_.empty()) {
        // What is planned in this room, as it stands in the job.
        auto scheme = std::make_shared<const Scheme>();
        if (job_)
            for (std::size_t i = 0; i < job_->schemes.size(); ++i)
                if (job_->roomOf(i)->name == rooms_[room_]->name &&
                    (scheme->pieces.empty() || i == job_->active))
                    scheme = job_->schemes[i];
        auto scene = resolve(rooms_[room_], scheme, {rooms_[room_]->units, 16});
        if (!scene) // tied to a wall that is being typed anew
            scene = resolve(rooms_[room_], std::make_shared<const Scheme>(),
                            {rooms_[room_]->units, 16});
        todo_ = stillToMeasure(**scene);
    }
    missing_->clear();
    for (const auto& u : todo_)
        missing_->addItem(QString::fromStdString(u.what));
    if (todo_.empty()) {
        auto* none = new QListWidgetItem(tr("Nothing for what is planned."));
        none->setFlags(Qt::NoItemFlags);
        missing_->addItem(none);
    }
}

// ---- writing into the notes ----

void MeasureScreen::replaceLine(int line, const QString& text) {
    const auto block = text_->document()->findBlockByNumber(line - 1);
    if (!block.isValid())
        return;
    QTextCursor c(block);
    c.movePosition(QTextCursor::EndOfBlock, QTextCursor::KeepAnchor);
    c.insertText(text);
    text_->setTextCursor(c);
}

void MeasureScreen::insertAfter(int line, const QString& text) {
    const auto block = text_->document()->findBlockByNumber(line - 1);
    QTextCursor c(text_->document());
    if (block.isValid()) {
        c = QTextCursor(block);
        c.movePosition(QTextCursor::EndOfBlock);
        c.insertText("\n" + text);
    } else {
        c.movePosition(QTextCursor::End);
        c.insertText((text_->toPlainText().endsWith('\n') ? "" : "\n") + text);
    }
    text_->setTextCursor(c);
}

int MeasureScreen::lastLineOf(std::size_t wall) const {
    const auto& walls = taped_[room_].walls;
    if (wall >= walls.size())
        return taped_[room_].firstLine;
    int end = text_->document()->blockCount();
    if (wall + 1 < walls.size())
        end = walls[wall + 1].place.line - 1;
    else if (room_ + 1 < taped_.size())
        end = taped_[room_ + 1].firstLine - 1;
    // Diagonals and blank lines after the last wall are not the wall's; nor is its corner, which
    // what stands on the wall comes before or after alike.
    while (end > walls[wall].place.line) {
        const auto t = text_->document()->findBlockByNumber(end - 1).text().trimmed();
        if (!t.isEmpty() && !t.startsWith("diagonal") && !t.startsWith("#"))
            break;
        --end;
    }
    return end;
}

void MeasureScreen::typedAt(int wall, const QString& typed) {
    if (room_ >= taped_.size() || wall < 0 || wall >= static_cast<int>(taped_[room_].walls.size()))
        return;
    const auto index = static_cast<std::size_t>(wall);
    const TapedWall& w = taped_[room_].walls[index];
    if (!readLength(typed.toStdString(), taped_[room_].units)) {
        insertAfter(lastLineOf(index), "  " + typed);
        return;
    }
    auto text = text_->document()->findBlockByNumber(w.place.line - 1).text();
    // After the wall's letter comes its run, as it was written.
    const auto from = text.indexOf(QString::fromStdString(w.run.written),
                                   text.indexOf("wall", 0, Qt::CaseInsensitive) + 6);
    if (from < 0)
        return;
    text.replace(from, static_cast<qsizetype>(QString::fromStdString(w.run.written).size()), typed);
    replaceLine(w.place.line, text);
}

void MeasureScreen::jumpTo(Unmeasured u) { // NOLINT(performance-unnecessary-value-param)
    text_->setFocus();
    if (room_ >= taped_.size())
        return;
    if (u.line > 0) {
        auto text = text_->document()->findBlockByNumber(u.line - 1).text();
        const auto comment = text.indexOf('#');
        auto fact = (comment < 0 ? text : text.left(comment)).trimmed();
        const auto lead = text.left(text.indexOf(fact.isEmpty() ? text : fact.left(1)));
        replaceLine(u.line, lead + fact + QString::fromStdString(u.write) +
                                (comment < 0 ? QString() : "  " + text.mid(comment)));
        QTextCursor c(text_->document()->findBlockByNumber(u.line - 1));
        c.movePosition(
            QTextCursor::Right, QTextCursor::MoveAnchor,
            static_cast<int>((lead + fact).size() + static_cast<qsizetype>(u.write.size())));
        text_->setTextCursor(c);
    } else if (u.wall >= 0) {
        insertAfter(lastLineOf(static_cast<std::size_t>(u.wall)),
                    "  " + QString::fromStdString(u.write));
    } else if (QString::fromStdString(u.write).startsWith("ceiling")) {
        insertAfter(taped_[room_].firstLine, QString::fromStdString(u.write));
    } else {
        const auto& walls = taped_[room_].walls;
        insertAfter(lastLineOf(walls.size() - 1), QString::fromStdString(u.write));
    }
}

void MeasureScreen::take(const LaserReading& r) {
    auto c = text_->textCursor();
    const auto line = c.block().text();
    auto figure = QString::fromStdString(r.figure).remove(' ');
    const auto time = QString::fromStdString(r.time);
    QString before = line.left(c.positionInBlock());
    const bool blank = line.trimmed().isEmpty();
    if (blank) {
        const auto count = taped_.empty() ? 0 : taped_[room_].walls.size();
        before = tr("wall %1 ").arg(QString::fromStdString(wallName(static_cast<int>(count))));
        c.insertText(before);
    } else if (!before.isEmpty() && !before.endsWith(' ')) {
        c.insertText(" ");
    }
    const auto word = before.trimmed().section(' ', 0, 0).toLower();
    const bool run = word == "wall" || word == "diagonal";
    c.insertText(figure + (run && !line.contains("by laser") ? tr(" by laser") : ""));
    const auto stamp = tr("%1laser %2, %3")
                           .arg(line.contains('#') ? "; " : "  # ")
                           .arg(r.number)
                           .arg(time.section('T', 1).isEmpty() ? time : time.section('T', 1));
    QTextCursor end(c.block());
    end.movePosition(QTextCursor::EndOfBlock);
    end.insertText(stamp);
    if (blank) { // walking the room: the next reading is the next wall's
        end.insertText("\n");
        text_->setTextCursor(end);
    } else {
        text_->setTextCursor(c);
    }
    laserSays_->setText(tr("Laser: ") + QString::fromStdString(r.figure));
}

UnderlayPtr MeasureScreen::underlay() const {
    if (!underlay_ || rooms_.empty())
        return {};
    // Under the room it was traced for, by name; renamed since, it is the last one.
    auto u = std::make_shared<Underlay>(*underlay_);
    u->room = rooms_.size() - 1;
    for (std::size_t i = 0; i < rooms_.size(); ++i)
        if (rooms_[i]->name == tracedRoom_)
            u->room = i;
    return u;
}

void MeasureScreen::printBlank() {
    const auto path =
        askWhere(this, tr("Print the measuring sheet to"), tr("measuring sheet"), "pdf");
    if (path.isEmpty())
        return;
    const RoomPtr room = rooms_.empty() ? nullptr : rooms_[room_];
    const Units units = taped_.empty() ? Units::feetAndInches : taped_[room_].units;
    const auto done = sheets::printPages(sheets::blankSheet(room, units).paper, path.toStdString());
    says_->setText(done ? path : QString::fromStdString(done.problem().text()));
}

void MeasureScreen::trace() {
    TraceScreen screen(taped_.empty() ? Units::feetAndInches : taped_[room_].units, this);
    if (screen.exec() != QDialog::Accepted)
        return;
    // Traced rooms are added after what is typed; an empty sheet takes them alone.
    const bool empty = rooms_.empty() || rooms_.front()->walls.empty();
    const auto old = text_->toPlainText();
    QTextCursor c(text_->document());
    c.movePosition(empty ? QTextCursor::Start : QTextCursor::End);
    if (empty)
        c.movePosition(QTextCursor::End, QTextCursor::KeepAnchor);
    c.insertText((empty || old.endsWith('\n') ? "" : "\n") + screen.notes());
    underlay_ = screen.underlay();
    tracedRoom_ = screen.tracing().room.name;
}

} // namespace mezzet::app
