// A hand-held laser measure, played: it listens on a local socket, and each pull of the trigger
// sends a reading to whoever is connected. docs/laser.md tells the line it speaks.
#include "files/whole_file.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "project/project.h"
#include "survey/laser.h"

#include <CLI/CLI.hpp>
#include <fmt/format.h>

#include <QCoreApplication>
#include <QDateTime>
#include <QLocalServer>
#include <QLocalSocket>
#include <QSocketNotifier>
#include <QTimer>

#include <unistd.h>

#include <iostream>

using namespace mezzet;

namespace {

class Laser : public QObject {
public:
    Laser(LaserNoise noise, unsigned seed, std::vector<WalkStep> walk)
        : noise_(noise), random_(seed), walk_(std::move(walk)) {}

    bool listen(const QString& name) {
        // A living laser keeps its socket; one left behind by a program that was killed is taken.
        QLocalSocket other;
        other.connectToServer(name);
        if (other.waitForConnected(200)) {
            fmt::print(stderr, "{}\n", worded("another laser is on at “{}”", name.toStdString()));
            return false;
        }
        QLocalServer::removeServer(name);
        server_.setSocketOptions(QLocalServer::UserAccessOption);
        if (!server_.listen(name)) {
            fmt::print(stderr, "the socket can't be opened: {}\n",
                       server_.errorString().toStdString());
            return false;
        }
        connect(&server_, &QLocalServer::newConnection, this, [this] {
            while (auto* s = server_.nextPendingConnection()) {
                fmt::print("{}\n", told("a listener has come"));
                std::fflush(stdout);
                listeners_.push_back(s);
                connect(s, &QLocalSocket::disconnected, this, [this, s] {
                    std::erase(listeners_, s);
                    s->deleteLater();
                });
            }
        });
        return true;
    }

    [[nodiscard]] bool walking() const { return at_ < walk_.size(); }
    [[nodiscard]] std::size_t listeners() const { return listeners_.size(); }

    /// Pulls the trigger: at the next thing of the walk, or at a distance.
    void pull(std::optional<Length> target = {}) {
        std::string what = "at";
        if (!target) {
            if (!walking()) {
                fmt::print("{}\n", told("the walk is over; type a distance"));
                return;
            }
            what = walk_[at_].what;
            target = walk_[at_++].truth;
        }
        bool slipped = false;
        LaserReading r;
        r.number = ++number_;
        r.distance = simulatedReading(*target, noise_, random_, &slipped);
        r.figure = fmt::format("{:.1f} mm", r.distance.mm());
        r.time = QDateTime::currentDateTime().toString("yyyy-MM-ddTHH:mm:ss").toStdString();
        const auto line = writeLaserLine(r);
        fmt::print("{}: {}{}\n", what, line, slipped ? told("   (a slip)") : "");
        std::fflush(stdout);
        for (auto* s : listeners_) {
            s->write(QByteArray::fromStdString(line + "\n"));
            s->flush();
        }
    }

private:
    LaserNoise noise_;
    std::mt19937 random_;
    std::vector<WalkStep> walk_;
    std::size_t at_ = 0;
    int number_ = 0;
    QLocalServer server_;
    std::vector<QLocalSocket*> listeners_;
};

} // namespace

int main(int argc, char** argv) {
    QCoreApplication application(argc, argv);
    CLI::App app{"Plays a hand-held laser measure over a local socket. Enter pulls the trigger; a "
                 "distance typed before it, like 14' 2\" or 4318mm, is what it is aimed at."};
    app.name("mezzet-laser");
    std::string socket = "mezzet-laser", walk;
    double slips = 0.03, noise = 1.5, every = 0;
    unsigned seed = std::random_device{}();
    app.add_option("--socket", socket, "the local socket to listen on")->capture_default_str();
    app.add_option("--walk", walk, "tape notes of a room to walk: its runs are the true distances");
    app.add_option("--noise", noise, "standard error, mm")
        ->capture_default_str()
        ->check(CLI::Range(0.0, 100.0));
    app.add_option("--slips", slips, "how often a reading slips, 0 to 1")
        ->capture_default_str()
        ->check(CLI::Range(0.0, 1.0));
    app.add_option("--seed", seed, "for the same readings again");
    app.add_option("--every", every,
                   "walk by itself: a reading every so many seconds once someone listens, then end")
        ->check(CLI::Range(0.01, 60.0));
    if (const auto problem = speakAsAsked())
        fmt::print(stderr, "{}\n", problem->text());
    app.description(std::string(told(app.get_description())));
    for (CLI::Option* o : app.get_options())
        o->description(std::string(told(o->get_description())));
    CLI11_PARSE(app, argc, argv);

    std::vector<WalkStep> steps;
    if (!walk.empty()) {
        auto text = readTextFile(walk, 200000);
        auto notes =
            text ? readTapeNotes(*text, walk) : Result<std::vector<TapeNotes>>(text.problem());
        if (!notes) {
            fmt::print(stderr, "{}\n", notes.problem().text());
            return 3;
        }
        for (const auto& room : *notes)
            for (auto& s : walkOf(room))
                steps.push_back(std::move(s));
    }
    Laser laser({Length::millimetres(noise), 1e-4, slips}, seed, std::move(steps));
    if (!laser.listen(QString::fromStdString(socket)))
        return 3;
    fmt::print("{}\n", worded("the laser is on at “{}”", socket));
    std::fflush(stdout);

    QTimer timer;
    if (every > 0) {
        QObject::connect(&timer, &QTimer::timeout, &laser, [&] {
            if (laser.listeners() == 0)
                return;
            if (!laser.walking())
                return QCoreApplication::quit();
            laser.pull();
        });
        timer.start(static_cast<int>(every * 1000));
    }
    QSocketNotifier typed(STDIN_FILENO, QSocketNotifier::Read);
    if (every <= 0)
        QObject::connect(&typed, &QSocketNotifier::activated, &laser, [&] {
            std::string line;
            if (!std::getline(std::cin, line))
                return QCoreApplication::quit();
            if (trimmed(line).empty())
                return laser.pull();
            const auto l = readLength(trimmed(line), Units::millimetres);
            if (l && *l > Length{})
                laser.pull(*l);
            else
                fmt::print("{}\n", l ? std::string(told("a distance is more than nothing"))
                                     : l.problem().sentence());
            std::fflush(stdout);
        });
    else
        typed.setEnabled(false);
    return QCoreApplication::exec();
}
