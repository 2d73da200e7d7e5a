#pragma once

#include "app/board/board.h"
#include "app/panels/key_panel.h"
#include "app/panels/line_bar.h"
#include "app/panels/piece_list.h"
#include "app/panels/scheme_strip.h"
#include "app/panels/start_page.h"
#include "app/panels/tape_panel.h"
#include "app/session/job_session.h"

#include "edit/arrange.h"
#include "sheets/book.h"
#include "sheets/sheet.h"

#include <QMainWindow>

#include <functional>

class QActionGroup;

class QComboBox;
class QLabel;
class QMenu;
class QStackedWidget;

namespace mezzet::app {

/// What came of a printing, and whether it is a fault.
struct Told {
    QString words;
    bool fault = false;
};
using Printing = std::function<Told(const sheets::GoOn&)>;

/// The window: key and list to the left, the board with its line in the middle, the tape to the
/// right, the schemes at the foot. Every act is in the menu with its key.
class MainWindow : public QMainWindow {
    Q_OBJECT
public:
    explicit MainWindow(Library library, QWidget* parent = nullptr);

    [[nodiscard]] JobSession& session() { return session_; }
    [[nodiscard]] Board* board() const { return board_; }
    [[nodiscard]] KeyPanel* key() const { return key_; }
    [[nodiscard]] PieceList* pieces() const { return pieces_; }
    [[nodiscard]] TapePanel* tape() const { return tape_; }
    [[nodiscard]] LineBar* line() const { return line_; }
    [[nodiscard]] SchemeStrip* schemes() const { return schemes_; }
    [[nodiscard]] QAction* act(const QString& name) const;

    /// Opens the demo on one of its schemes: by itself the one that is nearly right.
    void openDemo(std::size_t scheme = 1);
    bool openPath(const QString& path);
    bool saveTo(const QString& path);
    /// Prints a sheet by its id, here and now.
    bool printTo(const QString& path, const QString& sheet, const sheets::SheetOptions& = {});
    bool writeDxf(const QString& path);
    /// A printing of the job as it is now, for printLater.
    [[nodiscard]] Printing printing(const QString& path, const sheets::SheetKind&,
                                    const sheets::SheetOptions&) const;
    /// Prints off the window's thread, with how far it is and a stop, and tells what came of it.
    void printLater(Printing);
    /// Puts a PNG or JPEG in the chosen frame, with a copy of it in the job.
    bool putPicture(const QString& path);
    void setNight(bool night);
    /// Takes kinds of the studio's own from a CSV, keeps them, and has them in the kit at once.
    bool importKinds(const QString& path);
    bool exportKinds(const QString& path);
    bool readStock(const QString& path);
    bool writeStock(const QString& path);
    bool takeStudioStock();
    bool addToStock(const Result<Stock>&, const QString& told);
    bool keepForStudio();
    /// The palette of the scheme as a picture has it: found beside the window.
    void paletteFrom(const QString& path);
    /// Opens the list (0), the order of work (1), tape-out (2), what was built (3), the book (4).
    void handOver(int tab);
    /// Makes the book now.
    bool bookTo(const QString& path, const sheets::BookAsked&);
    /// Offers what an earlier run left unsaved. True when something was taken up.
    bool offerRecovery();

protected:
    void closeEvent(QCloseEvent*) override;

private:
    QAction* add(QMenu*, const QString& name, const QString& text, const QKeySequence&,
                 const std::function<void()>&);
    void buildMenu();
    void buildLanguageMenu(QMenu*);
    void buildJobMenu(QMenu*);
    void buildEditMenu(QMenu*);
    void buildPlaceMenu(QMenu*);
    void buildJudgeMenu(QMenu*);
    void buildViewMenu(QMenu*);
    void buildWallMenu(QMenu*);
    void buildDressMenu(QMenu*);
    void buildHandoverMenu(QMenu*);
    /// At the page that goes with what is shown.
    void showHandbook();
    [[nodiscard]] QString askBeside(const QString& title, const QString& name,
                                    const QString& kinds);
    [[nodiscard]] Printing bookPrinting(const QString& path, sheets::BookAsked) const;
    [[nodiscard]] Printing cardPrinting(const QString& path) const;
    void dressUnit();
    void lightRoom();
    bool printNow(const Printing&);
    void groupSelected();
    void ungroupSelected();
    void choosePicture();
    void comparePictures();
    void sayHousehold();
    void stepWall(int by);
    void showState();
    bool mayLeave();
    bool startFrom(const QString& notes, bool traced = false);
    void newJob();
    void newFromDrawing();
    void editNotes();
    void open();
    void saveAs();
    void print(const QString& sheet);
    void saveDxf();
    void showRoom();
    void rememberPath(const QString&);
    void fillRecent();
    /// What was done, to go back to or on to.
    void fillSteps();
    void removeSelected();
    void copySelected();
    void cutSelected();
    void putOnClipboard();
    void paste();
    /// A piece's name and sizes, typed.
    void editPiece(int id);
    void showPieceMenu(QPoint at);
    void turnSelected(double degrees);
    void lockSelected();
    void walkMend(int step);
    void renameScheme();
    void titleJob();
    void showKeys();
    void findAnything();
    void askWhatFits();
    void mendAll();
    void layBesides();
    void alignSelected(AlignBy);
    void spreadSelected();
    void mirror(MirrorBy);
    void seatSelected();
    void zoneSelected();
    void keepKind();
    bool keepOwnKinds(const std::vector<Kind>&);
    void keepBands();
    void briefSeats();
    void noteScheme();
    void getBackScheme();
    void setArrangement(Arrangement);
    void setNotation(Notation);

    JobSession session_;
    Runner colours_; ///< looks for those of a picture
    Board* board_;
    StartPage* start_;
    QStackedWidget* pages_;
    KeyPanel* key_;
    PieceList* pieces_;
    TapePanel* tape_;
    LineBar* line_;
    SchemeStrip* schemes_;
    QLabel* title_;
    QLabel* surfacesSay_;
    QComboBox* room_;
    int shownRoom_ = 0;
    QMenu* steps_ = nullptr;
    QMenu* recent_ = nullptr;
    QMenu* surfaces_ = nullptr;
    QActionGroup* units_ = nullptr;
    QActionGroup* schools_ = nullptr;
    bool night_ = false;
};

} // namespace mezzet::app
