#include "light/rays.h"

#include <embree3/rtcore.h>

#include <limits>

namespace mezzet {

namespace {

constexpr float close = 1; // mm

/// One for the program: making it starts what Embree works with.
RTCDevice device() {
    static const RTCDevice one = rtcNewDevice("threads=1,set_affinity=0");
    return one;
}

} // namespace

struct Rays::Scene {
    RTCScene scene = nullptr;
    ~Scene() {
        if (scene != nullptr)
            rtcReleaseScene(scene);
    }
};

Rays::Rays(std::vector<Triangle> all)
    : triangles_(std::move(all)), scene_(std::make_unique<Scene>()) {
    scene_->scene = rtcNewScene(device());
    rtcSetSceneFlags(scene_->scene, RTC_SCENE_FLAG_ROBUST);
    if (!triangles_.empty()) {
        RTCGeometry geometry = rtcNewGeometry(device(), RTC_GEOMETRY_TYPE_TRIANGLE);
        auto* corners = static_cast<float*>(
            rtcSetNewGeometryBuffer(geometry, RTC_BUFFER_TYPE_VERTEX, 0, RTC_FORMAT_FLOAT3,
                                    3 * sizeof(float), triangles_.size() * 3));
        auto* indices = static_cast<unsigned*>(
            rtcSetNewGeometryBuffer(geometry, RTC_BUFFER_TYPE_INDEX, 0, RTC_FORMAT_UINT3,
                                    3 * sizeof(unsigned), triangles_.size()));
        for (std::size_t i = 0; i < triangles_.size(); ++i)
            for (std::size_t k = 0; k < 3; ++k) {
                const Vec3 c = triangles_[i].corners[k];
                corners[9 * i + 3 * k] = static_cast<float>(c.x);
                corners[9 * i + 3 * k + 1] = static_cast<float>(c.y);
                corners[9 * i + 3 * k + 2] = static_cast<float>(c.z);
                indices[3 * i + k] = static_cast<unsigned>(3 * i + k);
            }
        rtcCommitGeometry(geometry);
        rtcAttachGeometry(scene_->scene, geometry);
        rtcReleaseGeometry(geometry);
    }
    rtcCommitScene(scene_->scene);
}

Rays::~Rays() = default;
Rays::Rays(Rays&&) noexcept = default;
Rays& Rays::operator=(Rays&&) noexcept = default;

namespace {

RTCRay rayFrom(Vec3 from, Vec3 way, float to) {
    RTCRay ray;
    ray.org_x = static_cast<float>(from.x);
    ray.org_y = static_cast<float>(from.y);
    ray.org_z = static_cast<float>(from.z);
    ray.dir_x = static_cast<float>(way.x);
    ray.dir_y = static_cast<float>(way.y);
    ray.dir_z = static_cast<float>(way.z);
    ray.tnear = close;
    ray.tfar = to;
    ray.time = 0;
    ray.mask = ~0U;
    ray.id = 0;
    ray.flags = 0;
    return ray;
}

} // namespace

bool Rays::blocked(Vec3 from, Vec3 to) const {
    const Vec3 step = to - from;
    const double far = norm(step);
    if (far <= 2 * static_cast<double>(close))
        return false;
    RTCIntersectContext context;
    rtcInitIntersectContext(&context);
    RTCRay ray = rayFrom(from, step * (1 / far), static_cast<float>(far) - close);
    rtcOccluded1(scene_->scene, &context, &ray);
    return ray.tfar < 0;
}

std::optional<Met> Rays::first(Vec3 from, Vec3 way) const {
    RTCIntersectContext context;
    rtcInitIntersectContext(&context);
    RTCRayHit hit{};
    hit.ray = rayFrom(from, way, std::numeric_limits<float>::infinity());
    hit.hit.geomID = RTC_INVALID_GEOMETRY_ID;
    rtcIntersect1(scene_->scene, &context, &hit);
    if (hit.hit.geomID == RTC_INVALID_GEOMETRY_ID)
        return {};
    const std::size_t i = hit.hit.primID;
    return Met{i, static_cast<double>(hit.ray.tfar), dot(triangles_[i].normal, way) < 0};
}

} // namespace mezzet
