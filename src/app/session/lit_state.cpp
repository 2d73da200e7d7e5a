#include "app/session/lit_state.h"

namespace mezzet::app {

const std::optional<LuxGrid>& LitState::of(const ProjectPtr& job, const ScenePtr& scene,
                                           int which) {
    if (scene == scene_ && which == which_)
        return grid_;
    runner_.drop(working_);
    if (scene_ != nullptr && scene_->room != scene->room)
        grid_.reset();
    job_ = job;
    scene_ = scene;
    which_ = which;
    whole_ = false;
    if (scene->room->closed)
        find(false);
    else
        grid_.reset();
    return grid_;
}

void LitState::find(bool whole) {
    working_ = runner_.run(
        [job = job_, scene = scene_, which = which_, whole](Progress& p) {
            const StopsLight stops = [&p] { return p.stop.load(); };
            const auto& scenes = scene->scheme->light.scenes;
            const LightScene* turned = which >= 0 && static_cast<std::size_t>(which) < scenes.size()
                                           ? &scenes[static_cast<std::size_t>(which)]
                                           : nullptr;
            LitRoom lit(*job, *scene, turned);
            if (whole && !lit.pass(stops))
                return std::optional<LuxGrid>();
            const auto grid = gridFromAbove(lit, *scene, Length::millimetres(250), !whole, stops);
            return grid ? std::optional<LuxGrid>(*grid) : std::optional<LuxGrid>();
        },
        [this, whole](std::optional<LuxGrid> grid) {
            if (!grid)
                return;
            grid_ = std::move(grid);
            whole_ = whole;
            emit found();
            if (!whole)
                find(true);
        });
}

} // namespace mezzet::app
