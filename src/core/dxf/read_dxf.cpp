#include "dxf/dxf.h"

#include "geometry/polygon.h"
#include "measure/texts.h"

#include <dxflib/dl_creationadapter.h>
#include <dxflib/dl_dxf.h>

#include <cmath>
#include <fstream>
#include <map>
#include <numbers>

namespace mezzet {

namespace {

constexpr std::size_t mostLines = 1000000;
constexpr std::uintmax_t mostBytes = 400ULL * 1024 * 1024;
constexpr int deepest = 12;

/// Thrown out of dxflib's callbacks to end a reading; caught in readDxf.
struct Ended {
    Problem problem;
};

/// A map of the plane: rows (a c e; b d f).
struct Affine {
    double a = 1, b = 0, c = 0, d = 1, e = 0, f = 0;

    [[nodiscard]] Vec2 map(Vec2 p) const { return {a * p.x + c * p.y + e, b * p.x + d * p.y + f}; }
    [[nodiscard]] Affine after(const Affine& inner) const {
        return {a * inner.a + c * inner.b,     b * inner.a + d * inner.b,
                a * inner.c + c * inner.d,     b * inner.c + d * inner.d,
                a * inner.e + c * inner.f + e, b * inner.e + d * inner.f + f};
    }
};

struct Insert {
    std::string block;
    Affine place;
    int layer = 0;
};

/// What a block, or the drawing itself, holds.
struct Content {
    Vec2 base;
    std::vector<DrawnLine> lines;
    std::vector<Insert> inserts;
};

class Collector : public DL_CreationAdapter {
public:
    Collector(std::istream& in, std::uintmax_t size, Watch* watch)
        : in_(in), size_(size), watch_(watch) {}

    DrawnSheet finish() {
        endPolyline();
        sheet_.lines = std::move(model_.lines);
        for (const Insert& i : model_.inserts)
            flatten(i.block, i.place, i.layer, 1);
        // The sheet's y runs down.
        bool first = true;
        sheet_.counts.assign(sheet_.layers.size(), 0);
        for (DrawnLine& l : sheet_.lines) {
            ++sheet_.counts[static_cast<std::size_t>(l.layer)];
            for (Vec2* p : {&l.from, &l.to}) {
                p->y = -p->y;
                sheet_.low =
                    first ? *p : Vec2{std::min(sheet_.low.x, p->x), std::min(sheet_.low.y, p->y)};
                sheet_.high =
                    first ? *p : Vec2{std::max(sheet_.high.x, p->x), std::max(sheet_.high.y, p->y)};
                first = false;
            }
        }
        for (const auto& [what, n] : left_)
            sheet_.skipped.push_back(worded("{} {}{}", n, what, n == 1 ? "" : "s"));
        return std::move(sheet_);
    }

    void addBlock(const DL_BlockData& b) override {
        endPolyline();
        if (b.name.starts_with("*Model") || b.name.starts_with("*MODEL") ||
            b.name.starts_with("*Paper") || b.name.starts_with("*PAPER")) {
            block_ = &nowhere_;
            return;
        }
        block_ = &blocks_[b.name];
        block_->base = {b.bpx, b.bpy};
    }
    void endBlock() override {
        endPolyline();
        block_ = nullptr;
    }
    void addLine(const DL_LineData& l) override {
        entity();
        line({l.x1, l.y1}, {l.x2, l.y2});
    }
    void addArc(const DL_ArcData& a) override {
        entity();
        double to = a.angle2;
        while (to <= a.angle1)
            to += 360;
        arc({a.cx, a.cy}, a.radius, a.angle1, to);
    }
    void addCircle(const DL_CircleData& c) override {
        entity();
        arc({c.cx, c.cy}, c.radius, 0, 360);
    }
    void addEllipse(const DL_EllipseData& e) override {
        entity();
        const Vec2 major{e.mx, e.my};
        const Vec2 minor = Vec2{-e.my, e.mx} * e.ratio;
        double to = e.angle2;
        while (to <= e.angle1)
            to += 2 * std::numbers::pi;
        Vec2 last;
        constexpr int parts = 72;
        for (int i = 0; i <= parts; ++i) {
            const double t = e.angle1 + (to - e.angle1) * i / parts;
            const Vec2 p = Vec2{e.cx, e.cy} + major * std::cos(t) + minor * std::sin(t);
            if (i > 0)
                line(last, p);
            last = p;
        }
    }
    void addPolyline(const DL_PolylineData& p) override {
        entity();
        endPolyline();
        inPolyline_ = true;
        closed_ = (p.flags & 1) != 0;
    }
    void addVertex(const DL_VertexData& v) override {
        if (inPolyline_)
            vertices_.push_back({{v.x, v.y}, v.bulge});
    }
    void endSequence() override { endPolyline(); }
    void endEntity() override { endPolyline(); }
    void addInsert(const DL_InsertData& i) override {
        entity();
        const double turn = i.angle * std::numbers::pi / 180;
        const Affine turned{std::cos(turn), std::sin(turn), -std::sin(turn), std::cos(turn), 0, 0};
        for (int row = 0; row < std::clamp(i.rows, 1, 1000); ++row) {
            for (int column = 0; column < std::clamp(i.cols, 1, 1000); ++column) {
                const Vec2 step = turned.map({column * i.colSp, row * i.rowSp});
                Insert in;
                in.block = i.name;
                in.place = {turned.a * i.sx, turned.b * i.sx, turned.c * i.sy,
                            turned.d * i.sy, i.ipx + step.x,  i.ipy + step.y};
                in.layer = layer();
                content().inserts.push_back(in);
                if (content().inserts.size() > mostLines)
                    tooMany();
            }
        }
    }
    void addSpline(const DL_SplineData&) override { skip("spline"); }
    void addHatch(const DL_HatchData&) override { skip("hatch"); }
    void addText(const DL_TextData&) override { skip("text"); }
    void addMText(const DL_MTextData&) override { skip("text"); }
    void addSolid(const DL_SolidData&) override { skip("solid"); }
    void addLayer(const DL_LayerData& l) override { static_cast<void>(layerNamed(l.name)); }
    void setVariableInt(const std::string& key, int value, int) override {
        if (key == "$INSUNITS")
            units(value);
    }

private:
    void units(int code) {
        // Header variable $INSUNITS, of the DXF reference.
        static const std::map<int, std::pair<double, const char*>> known{{1, {25.4, "inches"}},
                                                                         {2, {304.8, "feet"}},
                                                                         {4, {1, "mm"}},
                                                                         {5, {10, "cm"}},
                                                                         {6, {1000, "m"}}};
        if (const auto it = known.find(code); it != known.end()) {
            sheet_.unitMm = it->second.first;
            sheet_.unitName = it->second.second;
        }
    }
    void skip(const char* what) {
        entity();
        ++left_[what];
    }
    void entity() {
        if (inPolyline_)
            endPolyline();
        ++sheet_.entities;
        if (watch_ == nullptr || sheet_.entities % 256 != 0)
            return;
        if (watch_->stop)
            throw Ended{{"it was stopped", "nothing was changed"}};
        const auto at = in_.tellg();
        if (at > 0 && size_ > 0)
            watch_->share = static_cast<double>(at) / static_cast<double>(size_);
    }
    [[noreturn]] static void tooMany() {
        throw Ended{{worded("the drawing has more than {} lines", mostLines),
                     "write it out again with only the layers of the walls"}};
    }
    int layerNamed(const std::string& name) {
        const auto it = index_.find(name);
        if (it != index_.end())
            return it->second;
        const int i = static_cast<int>(sheet_.layers.size());
        index_[name] = i;
        sheet_.layers.push_back(name);
        return i;
    }
    int layer() { return layerNamed(getAttributes().getLayer()); }
    Content& content() { return block_ != nullptr ? *block_ : model_; }

    void line(Vec2 a, Vec2 b) {
        const auto sane = [](Vec2 v) {
            return std::isfinite(v.x) && std::isfinite(v.y) && std::abs(v.x) < 1e9 &&
                   std::abs(v.y) < 1e9;
        };
        if (!sane(a) || !sane(b)) {
            ++left_["line too far away to be drawn"];
            return;
        }
        content().lines.push_back({a, b, layer()});
        if (content().lines.size() > mostLines)
            tooMany();
    }
    void arc(Vec2 c, double r, double from, double to) {
        if (!(r > 0) || !std::isfinite(from) || !std::isfinite(to))
            return;
        const int parts = std::clamp(static_cast<int>(std::ceil((to - from) / 4)), 2, 90);
        Vec2 last;
        for (int i = 0; i <= parts; ++i) {
            const double t = (from + (to - from) * i / parts) * std::numbers::pi / 180;
            const Vec2 p = c + Vec2{std::cos(t), std::sin(t)} * r;
            if (i > 0)
                line(last, p);
            last = p;
        }
    }
    void endPolyline() {
        if (!inPolyline_)
            return;
        inPolyline_ = false;
        const std::size_t n = vertices_.size();
        for (std::size_t i = 0; i + (closed_ ? 0 : 1) < n && n > 1; ++i) {
            const auto& [a, bulge] = vertices_[i];
            const Vec2 b = vertices_[(i + 1) % n].first;
            if (std::abs(bulge) < 1e-9) {
                line(a, b);
                continue;
            }
            // The bulge is the tangent of a quarter of the arc's angle, left turning above 0; its
            // rise is half the chord times it.
            const Vec2 out = quarter(unit(b - a)) * (bulge > 0 ? -1 : 1);
            const double chord = norm(b - a);
            const double angle = 4 * std::atan(std::abs(bulge));
            const double r = chord / 2 / std::sin(angle / 2);
            const Vec2 centre = (a + b) / 2 - out * (r * std::cos(angle / 2));
            const int parts = std::clamp(static_cast<int>(std::ceil(angle / 0.07)), 2, 90);
            Vec2 last = a;
            for (int k = 1; k <= parts; ++k) {
                const double t = angle * k / parts;
                const Vec2 p =
                    k == parts ? b
                               : centre + turned(a - centre, Angle::radians(bulge > 0 ? t : -t));
                line(last, p);
                last = p;
            }
        }
        vertices_.clear();
    }

    void flatten(const std::string& name, const Affine& place, int layer, int depth) {
        const auto it = blocks_.find(name);
        if (it == blocks_.end()) {
            ++left_["block that is not in the drawing"];
            return;
        }
        if (depth > deepest)
            throw Ended{{worded("block “{}” is nested without end", name),
                         "write the drawing out again with its blocks flattened"}};
        const Content& b = it->second;
        const Affine base = place.after({1, 0, 0, 1, -b.base.x, -b.base.y});
        const auto zero = index_.find("0");
        for (const DrawnLine& l : b.lines) {
            // What lies on layer 0 of a block goes to the layer of its insert.
            const bool inherits = zero != index_.end() && l.layer == zero->second;
            sheet_.lines.push_back({base.map(l.from), base.map(l.to), inherits ? layer : l.layer});
            if (sheet_.lines.size() > mostLines)
                tooMany();
        }
        if (watch_ != nullptr && watch_->stop)
            throw Ended{{"it was stopped", "nothing was changed"}};
        for (const Insert& i : b.inserts)
            flatten(i.block, base.after(i.place),
                    zero != index_.end() && i.layer == zero->second ? layer : i.layer, depth + 1);
    }

    std::istream& in_;
    std::uintmax_t size_;
    Watch* watch_;
    DrawnSheet sheet_;
    Content model_;
    Content nowhere_; ///< the layouts' own blocks, which repeat the model
    Content* block_ = nullptr;
    std::map<std::string, Content> blocks_;
    std::map<std::string, int> index_;
    std::map<std::string, int> left_;
    bool inPolyline_ = false;
    bool closed_ = false;
    std::vector<std::pair<Vec2, double>> vertices_;
};

} // namespace

Result<DrawnSheet> readDxf(const std::filesystem::path& path, Watch* watch) {
    const auto placed = [&](Problem p) {
        p.file = path.string();
        return p;
    };
    std::error_code error;
    const auto size = std::filesystem::file_size(path, error);
    std::ifstream in(path, std::ios::binary);
    if (error || !in)
        return placed({"the drawing can't be read", "check its name and its place"});
    if (size > mostBytes)
        return placed({worded("the drawing is over {} MB", mostBytes / 1024 / 1024),
                       "write it out again with only the layers of the walls"});
    // A DXF begins with the pair 0, SECTION (or a 999 comment before it).
    std::string head(std::min<std::uintmax_t>(size, 4096), '\0');
    in.read(head.data(), static_cast<std::streamsize>(head.size()));
    if (head.starts_with("AutoCAD Binary DXF"))
        return placed({"this is a binary DXF", "write it out again as text (ASCII) DXF"});
    if (head.find("SECTION") == std::string::npos || head.find('\0') != std::string::npos)
        return placed({"this is no DXF drawing", "a DXF is text that begins with 0, SECTION"});
    in.clear();
    in.seekg(0);
    Collector collector(in, size, watch);
    try {
        DL_Dxf dxf;
        if (!dxf.in(in, &collector))
            return placed({"the drawing can't be read", "write it out again as text (ASCII) DXF"});
        auto sheet = collector.finish();
        if (sheet.lines.empty())
            return placed({sheet.skipped.empty()
                               ? "nothing is drawn in it"
                               : worded("no line is drawn in it, only {}", sheet.skipped[0]),
                           "choose a drawing of the walls"});
        if (watch != nullptr)
            watch->share = 1;
        return sheet;
    } catch (const Ended& e) {
        return placed(e.problem);
    }
}

} // namespace mezzet
