#include "app/session/judging.h"

#include "judge/deadline.h"

#include <algorithm>

namespace mezzet::app {

namespace {

/// Longer than this the window is not kept waiting; what is left is judged beside it.
constexpr std::chrono::milliseconds judgeInWindow{40};

} // namespace

JudgedState::JudgedState(QObject* parent) : QObject(parent), runner_(nullptr) {}

void JudgedState::judge(ProjectPtr job, ScenePtr scene, RuleBookPtr book) {
    runner_.drop(judging_);
    runner_.drop(finding_);
    wanted_.clear();
    remedies_.clear();
    shared_.reset();
    job_ = std::move(job);
    scene_ = std::move(scene);
    book_ = std::move(book);
    judged_ = judgeWhole(*scene_, *book_, job_->judgement, within(judgeInWindow));
    if (!judged_.stopped)
        return;
    judging_ = runner_.run(
        [at = job_, there = scene_, rules = book_](Progress& p) {
            return judgeWhole(*there, *rules, at->judgement, [&p] { return p.stop.load(); });
        },
        [this](Judged all) {
            if (all.stopped)
                return;
            judged_ = std::move(all);
            emit foundMore();
        });
}

int JudgedState::toMend() const {
    return static_cast<int>(std::count_if(judged_.readings.begin(), judged_.readings.end(),
                                          [](const Reading& r) { return r.toMend(); }));
}

std::optional<int> JudgedState::toMendIn(const ProjectPtr& job, std::size_t scheme) {
    if (job != elsewhereOf_) {
        for (ProgressPtr& p : counting_)
            runner_.drop(p);
        counting_.clear();
        elsewhere_.clear();
        elsewhereOf_ = job;
    }
    if (const auto known = elsewhere_.find(scheme); known != elsewhere_.end())
        return known->second;
    const auto count = [job, scheme, book = book_](const Stopped& stopped) {
        const auto other = resolve(job->roomOf(scheme), job->schemes[scheme], job->notation);
        std::optional<int> out = 0;
        if (!other)
            return out;
        const auto all = judgeWhole(**other, *book, job->judgement, stopped);
        for (const Reading& r : all.readings)
            *out += r.toMend() ? 1 : 0;
        return all.stopped ? std::nullopt : out;
    };
    const auto known = elsewhere_[scheme] = count(within(judgeInWindow / 4));
    if (!known)
        counting_.push_back(
            runner_.run([count](Progress& p) { return count([&p] { return p.stop.load(); }); },
                        [this, scheme](std::optional<int> found) {
                            elsewhere_[scheme] = found;
                            emit foundMore();
                        }));
    return known;
}

Verdict JudgedState::verdictOf(int piece) const {
    Verdict worst = Verdict::right;
    for (const Reading& r : judged_.readings) {
        if (!r.toMend() ||
            !(r.piece == piece || (r.other.is == Target::Is::piece && r.other.piece == piece)))
            continue;
        if (r.verdict == Verdict::clash)
            return r.verdict;
        if (worst == Verdict::right || r.verdict == Verdict::tight)
            worst = r.verdict;
    }
    return worst;
}

const std::optional<Remedy>& JudgedState::remedyOf(std::size_t reading) {
    const auto it = remedies_.find(reading);
    if (it != remedies_.end())
        return it->second;
    return remedies_[reading] = remedyFor(judged_.readings[reading], *job_, *scene_, judged_);
}

void JudgedState::findRemedies(std::vector<std::size_t> wanted) {
    runner_.drop(finding_);
    std::erase_if(wanted,
                  [&](std::size_t i) { return remedyKnown(i) || i >= judged_.readings.size(); });
    // Not before all is judged: then they are asked for again.
    if (!whole())
        wanted.clear();
    std::reverse(wanted.begin(), wanted.end());
    wanted_ = std::move(wanted);
    findNext();
}

void JudgedState::findNext() {
    if (wanted_.empty())
        return;
    const std::size_t i = wanted_.back();
    wanted_.pop_back();
    // Jobs, scenes and readings are values: the thread has its own.
    if (!shared_)
        shared_ = std::make_shared<const Judged>(judged_);
    finding_ = runner_.run(
        [i, job = job_, there = scene_, all = shared_](Progress& p) {
            return remedyFor(all->readings[i], *job, *there, *all, [&p] { return p.stop.load(); });
        },
        [this, i](std::optional<Remedy> remedy) {
            remedies_[i] = std::move(remedy);
            findNext();
            emit remedyFound(i);
        },
        [this, i](const QString&) {
            remedies_[i] = std::nullopt;
            findNext();
            emit remedyFound(i);
        });
}

} // namespace mezzet::app
