#include "app/dialogs/wall_sheet_dialog.h"

#include "app/dialogs/sheet_dialog.h"

#include <QComboBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>

namespace mezzet::app {

WallSheetDialog::WallSheetDialog(const Project& job, const QString& which, SurfaceId looked,
                                 QWidget* parent)
    : QDialog(parent), units_(job.notation.units) {
    setObjectName("wallSheetDialog");
    setWindowTitle(which == "wall"    ? "Print a wall"
                   : which == "hooks" ? "Print the hooks"
                                      : "Print paper templates");
    auto* form = new QFormLayout(this);
    form->setContentsMargins(20, 18, 20, 14);
    form->setSpacing(10);
    if (which != "hooks") {
        wall_ = new QComboBox;
        if (which == "templates")
            wall_->addItem("Every wall");
        for (std::size_t i = 0; i < job.room->walls.size(); ++i)
            wall_->addItem("Wall " + QString::fromStdString(job.room->walls[i].name),
                           static_cast<int>(i));
        if (looked.isWall())
            wall_->setCurrentIndex(std::max(wall_->findData(looked.wall()), 0));
        form->addRow("Wall", wall_);
    }
    paper_ = new QComboBox;
    paper_->addItem(isMetric(units_) ? "A4" : "Letter", "");
    for (const char* p : {"Letter", "Tabloid", "A4", "A3"})
        paper_->addItem(p, p);
    form->addRow("Paper", paper_);
    if (which == "wall") {
        scale_ = new QComboBox;
        scale_->addItem("The largest that fits", "");
        for (const bool system : {isMetric(units_), !isMetric(units_)})
            for (const auto& s : sheets::usualScales(system))
                scale_->addItem(QString::fromStdString(s.words), QString::fromStdString(s.words));
        form->addRow("Scale", scale_);
    }
    if (which == "templates") {
        roll_ = new QLineEdit;
        roll_->setPlaceholderText("empty for tiles; a roll's width, like 24 or 610mm");
        roll_->setMinimumWidth(300);
        form->addRow("On a roll of", roll_);
        auto* say = new QLabel("Print at full size (100 %, not “fit to page”). Each sheet has a "
                               "length to check the printer by.");
        say->setWordWrap(true);
        say->setProperty("quiet", true);
        form->addRow(say);
    }
    format_ = addFileRows(form, this);
    if (which == "hooks")
        format_->addItem("CSV, a table", "csv");
}

sheets::WallSheetOptions WallSheetDialog::options() const {
    sheets::WallSheetOptions o;
    o.paper = sheets::paperNamed(paper_->currentData().toString().toStdString());
    if (scale_ != nullptr)
        o.scale = sheets::readScale(scale_->currentData().toString().toStdString());
    return o;
}

sheets::TemplateOptions WallSheetDialog::templates() const {
    sheets::TemplateOptions o;
    o.paper = sheets::paperNamed(paper_->currentData().toString().toStdString());
    o.wall = wall();
    if (roll_ != nullptr && !roll_->text().trimmed().isEmpty())
        if (const auto l = readLength(roll_->text().trimmed().toStdString(), units_))
            o.roll = *l;
    return o;
}

std::optional<int> WallSheetDialog::wall() const {
    if (wall_ == nullptr || !wall_->currentData().isValid())
        return {};
    return wall_->currentData().toInt();
}

QString WallSheetDialog::format() const {
    return format_->currentData().toString();
}

} // namespace mezzet::app
