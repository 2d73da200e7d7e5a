#include "dxf/dxf.h"
#include "files/whole_file.h"
#include "measure/text.h"
#include "scheme/rug.h"

#include <dxflib/dl_dxf.h>
#include <dxflib/dl_writer_ascii.h>

#include <fmt/format.h>

#include <unistd.h>

#include <algorithm>
#include <cctype>
#include <cmath>
#include <cstdio>
#include <fstream>
#include <iterator>
#include <set>

namespace mezzet {

namespace {

/// Text as DXF keeps it: what is not ASCII as \U+XXXX.
std::string dxfString(const std::string& s) {
    std::string out;
    for (std::size_t i = 0; i < s.size();) {
        const auto c = static_cast<unsigned char>(s[i]);
        if (c < 0x80) {
            out += c < 0x20 ? ' ' : s[i];
            ++i;
            continue;
        }
        const int more = c >= 0xf0 ? 3 : c >= 0xe0 ? 2 : 1;
        unsigned code = c & (0x3fU >> more);
        for (int k = 1; k <= more && i + static_cast<std::size_t>(k) < s.size(); ++k)
            code = code << 6U |
                   (static_cast<unsigned char>(s[i + static_cast<std::size_t>(k)]) & 0x3fU);
        out += fmt::format("\\U+{:04X}", code);
        i += static_cast<std::size_t>(more) + 1;
    }
    return out;
}

std::string layerOf(Family f) {
    std::string name = "PIECES-" + std::string(familyName(f));
    std::transform(name.begin(), name.end(), name.begin(),
                   [](unsigned char c) { return static_cast<char>(std::toupper(c)); });
    return name;
}

class Writer {
public:
    Writer(const FloorView& scene, DL_WriterA& out) : scene_(scene), out_(out) {}

    void run() {
        dxf_.writeHeader(out_);
        out_.dxfString(9, "$INSUNITS");
        out_.dxfInt(70, 4); // millimetres
        out_.dxfString(9, "$MEASUREMENT");
        out_.dxfInt(70, 1);
        out_.sectionEnd();
        tables();
        blocks();
        out_.sectionEntities();
        room();
        for (std::size_t i = 0; i < scene_.placed.size(); ++i)
            piece(i);
        const CeilingView above(scene_);
        for (std::size_t i = 0; i < above.placed.size(); ++i) {
            outlineOn(underCeiling, outline(above.placed[i].shape, Length::millimetres(0.05)));
            name(above.placed[i].pose.at, above.piece(i).name, 80);
        }
        out_.sectionEnd();
        dxf_.writeObjects(out_);
        dxf_.writeObjectsEnd(out_);
        out_.dxfEOF();
    }

private:
    void tables() {
        out_.sectionTables();
        dxf_.writeVPort(out_);
        out_.tableLinetypes(3);
        for (const char* name : {"BYBLOCK", "BYLAYER", "CONTINUOUS"})
            dxf_.writeLinetype(out_, DL_LinetypeData(name, name, 0, 0, 0.0));
        out_.tableEnd();
        std::vector<std::pair<std::string, int>> layers{
            {"0", 7},        {"WALLS", 7},    {"WINDOWS", 5}, {"DOORS", 3},
            {"OPENINGS", 8}, {"BUILT-IN", 8}, {"NAMES", 7}};
        std::set<std::string> families;
        for (std::size_t i = 0; i < scene_.placed.size(); ++i)
            families.insert(layerOf(scene_.piece(i).kind->family));
        for (const auto& f : families)
            layers.emplace_back(f, 4);
        if (!CeilingView(scene_).placed.empty())
            layers.emplace_back(underCeiling, 2);
        out_.tableLayers(static_cast<int>(layers.size()));
        for (const auto& [name, colour] : layers)
            dxf_.writeLayer(out_, DL_LayerData(name, 0),
                            DL_Attributes(std::string(), colour, 25, "CONTINUOUS", 1.0));
        out_.tableEnd();
        out_.tableStyle(1);
        dxf_.writeStyle(out_, DL_StyleData("Standard", 0, 0.0, 1.0, 0.0, 0, 2.5, "txt", ""));
        out_.tableEnd();
        dxf_.writeView(out_);
        dxf_.writeUcs(out_);
        out_.tableAppid(1);
        dxf_.writeAppid(out_, "ACAD");
        out_.tableEnd();
        dxf_.writeDimStyle(out_, 2.5, 0.625, 0.625, 0.625, 2.5);
        dxf_.writeBlockRecord(out_);
        out_.tableEnd();
        out_.sectionEnd();
    }
    void blocks() {
        out_.sectionBlocks();
        for (const char* name : {"*Model_Space", "*Paper_Space", "*Paper_Space0"}) {
            dxf_.writeBlock(out_, DL_BlockData(name, 0, 0.0, 0.0, 0.0));
            dxf_.writeEndBlock(out_, name);
        }
        out_.sectionEnd();
    }

    /// To a millionth of a millimetre, and no minus nothing.
    static double tidy(double v) { return std::round(v * 1e6) / 1e6 + 0.0; }
    static DL_Attributes on(const std::string& layer) {
        return {layer, 256, -1, "BYLAYER", 1.0}; // 256: colour by layer
    }
    void line(const std::string& layer, Vec2 a, Vec2 b) {
        dxf_.writeLine(out_, DL_LineData(tidy(a.x), tidy(-a.y), 0, tidy(b.x), tidy(-b.y), 0),
                       on(layer));
    }
    void outlineOn(const std::string& layer, const std::vector<Vec2>& c, bool closed = true) {
        dxf_.writePolyline(out_, DL_PolylineData(static_cast<int>(c.size()), 0, 0, closed ? 1 : 0),
                           on(layer));
        for (const Vec2 p : c)
            dxf_.writeVertex(out_, DL_VertexData(tidy(p.x), tidy(-p.y), 0, 0));
        dxf_.writePolylineEnd(out_);
    }
    void name(Vec2 at, const std::string& words, double height) {
        dxf_.writeText(out_,
                       DL_TextData(at.x, -at.y, 0, at.x, -at.y, 0, height, 1.0, 0, 1, 2,
                                   dxfString(words), "Standard", 0),
                       on("NAMES"));
    }

    /// Walls broken at their openings, so that the drawing reads back as walls and openings.
    void room() {
        const Room& room = *scene_.room;
        for (std::size_t i = 0; i < room.stretches(); ++i) {
            const Wall w = room.stretchAt(i);
            const double length = w.length().mm();
            std::vector<std::pair<double, double>> holes;
            const Wall& whole = room.walls[static_cast<std::size_t>(room.edgeWall[i])];
            for (const Opening& o : room.openings) {
                if (o.wall != room.edgeWall[i] || std::abs(cross(w.along(), whole.along())) > 1e-6)
                    continue;
                const double from = dot(whole.at(o.left) - w.start, w.along());
                const double to = from + o.width.mm();
                if (std::abs(cross(w.along(), whole.at(o.left) - w.start)) < 1 && from > -1 &&
                    to < length + 1)
                    holes.emplace_back(from, to);
            }
            std::sort(holes.begin(), holes.end());
            double at = 0;
            for (const auto& [from, to] : holes) {
                if (from > at)
                    line("WALLS", w.start + w.along() * at, w.start + w.along() * from);
                at = to;
            }
            if (at < length)
                line("WALLS", w.start + w.along() * at, w.end);
        }
        for (const Opening& o : room.openings) {
            const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
            const Vec2 a = w.at(o.left);
            const Vec2 b = w.at(o.left + o.width);
            const char* layer = o.kind == OpeningKind::window ? "WINDOWS"
                                : o.kind == OpeningKind::door ? "DOORS"
                                                              : "OPENINGS";
            line(layer, a, b);
            if (const auto swing = doorSwing(room, o))
                for (const Convex& part : swing->all())
                    outlineOn(layer, outline(part));
        }
        for (const Fixture& f : room.fixtures)
            if (f.takesFloor())
                outlineOn("BUILT-IN", outline(solid(room, f), Length::millimetres(0.05)));
        name(room.middle(), room.name, 150);
    }

    void piece(std::size_t i) {
        const Piece& p = scene_.piece(i);
        outlineOn(layerOf(p.kind->family),
                  p.kind->flat() ? trueOutline(p, scene_.placed[i].pose)
                                 : outline(scene_.placed[i].shape, Length::millimetres(0.05)));
        name(scene_.placed[i].pose.at, p.name, 80);
    }

    /// What hangs from the ceiling, lights for the most part.
    static constexpr const char* underCeiling = "CEILING";

    const FloorView scene_;
    DL_WriterA& out_;
    DL_Dxf dxf_;
};

} // namespace

Result<std::string> dxfText(const Scene& scene) {
    if (scene.room->walls.empty())
        return Problem{"there is no room to write yet", "write its tape notes first"};
    // dxflib writes to a file of its own.
    auto name = (std::filesystem::temp_directory_path() / "mezzet-XXXXXX").string();
    const int fd = ::mkstemp(name.data());
    if (fd < 0)
        return Problem{"the drawing can't be written", "make room in the temporary folder"};
    ::close(fd);
    {
        DL_WriterA out(name.c_str(), DL_Codes::AC1015);
        if (out.openFailed()) {
            ::unlink(name.c_str());
            return Problem{"the drawing can't be written", "make room in the temporary folder"};
        }
        Writer(scene, out).run();
        out.close();
    }
    auto text = readWholeFile(name, std::size_t{1} << 30U);
    ::unlink(name.c_str());
    // A drawing that was cut off, by a full disk or a limit, does not end as one.
    if (!text ||
        trimmed(text->substr(text->size() - std::min<std::size_t>(text->size(), 16))).find("EOF") ==
            std::string_view::npos)
        return Problem{"the drawing can't be written whole",
                       "make room in the temporary folder, and on the disk"};
    return text;
}

} // namespace mezzet
