#include "sheets/picture_in.h"
#include "sheets/tr.h"

#include <QBuffer>
#include <QFileInfo>
#include <QImage>
#include <QImageReader>

#include <map>

#include <fmt/format.h>

namespace mezzet::sheets {

namespace {

/// The longest side of a picture kept in a job, pixels.
constexpr int mostPixels = 1000;
/// Over this many pixels it is no picture for a frame, and not read at all.
constexpr qint64 mostToRead = qint64{400} * 1000 * 1000;

Problem refused(const std::filesystem::path& path, std::string what, std::string remedy) {
    Problem p{std::move(what), std::move(remedy)};
    p.file = path.string();
    return p;
}

/// Why a file is no picture that is read; nothing when it is one.
std::optional<Problem> noPicture(const std::filesystem::path& path, QImageReader& reader) {
    const auto format = reader.format();
    if (!QFileInfo::exists(reader.fileName()))
        return refused(path, "there is no such file", "check the name and the folder");
    if (format != "png" && format != "jpeg" && format != "jpg")
        return refused(path, "that is no PNG or JPEG picture", "save it as one of these first");
    const QSize size = reader.size();
    if (size.isValid() && qint64{size.width()} * size.height() > mostToRead)
        return refused(path, "the picture is too large", "take a smaller copy");
    return {};
}

} // namespace

Result<std::vector<std::uint32_t>> pixelsOf(const std::filesystem::path& path) {
    QImageReader reader(QString::fromStdString(path.string()));
    if (auto problem = noPicture(path, reader))
        return *problem;
    const QSize size = reader.size();
    constexpr double enough = 3e6; // pixels, for colours
    if (reader.format() != "png" && size.isValid()) {
        int by = 1;
        while (by < 8 && static_cast<double>(size.width()) * size.height() / (by * by) > enough)
            by *= 2;
        if (by > 1)
            reader.setScaledSize({(size.width() + by - 1) / by, (size.height() + by - 1) / by});
    }
    QImage image = reader.read();
    if (image.isNull())
        return refused(path, tr("the picture can't be read: ") + reader.errorString().toStdString(),
                       tr("open it elsewhere, and save it again"));
    image = image.convertToFormat(QImage::Format_ARGB32);
    std::vector<std::uint32_t> out;
    out.reserve(static_cast<std::size_t>(image.width()) * static_cast<std::size_t>(image.height()));
    for (int y = 0; y < image.height(); ++y) {
        const auto* line = reinterpret_cast<const std::uint32_t*>(image.constScanLine(y));
        out.insert(out.end(), line, line + image.width());
    }
    return out;
}

Result<Picture> readPicture(const std::filesystem::path& path) {
    const auto refuse = [&](std::string what, std::string remedy) {
        return refused(path, std::move(what), std::move(remedy));
    };
    QImageReader reader(QString::fromStdString(path.string()));
    reader.setAutoTransform(true);
    if (auto problem = noPicture(path, reader))
        return *problem;
    const QSize size = reader.size();
    if (size.isValid() && (size.width() > mostPixels || size.height() > mostPixels))
        reader.setScaledSize(size.scaled(mostPixels, mostPixels, Qt::KeepAspectRatio));
    const QImage image = reader.read();
    if (image.isNull())
        return refuse(tr("the picture can't be read: ") + reader.errorString().toStdString(),
                      tr("open it elsewhere, and save it again"));
    QByteArray bytes;
    const auto save = [&](const QImage& as, const char* how, int quality) {
        bytes.clear();
        QBuffer buffer(&bytes);
        buffer.open(QIODevice::WriteOnly);
        return as.save(&buffer, how, quality) &&
               static_cast<std::size_t>(bytes.size()) * 4 / 3 + 4 <= mostPictureBytes;
    };
    // What has clear parts stays a PNG while it is small enough; photographs are kept as JPEG.
    bool kept = image.hasAlphaChannel() && save(image, "PNG", -1);
    for (const int quality : {85, 70, 50, 30})
        kept = kept || save(image.convertToFormat(QImage::Format_RGB32), "JPEG", quality);
    if (!kept)
        return refuse("the picture is too large to be kept in a job", "take a smaller copy");
    return Picture{path.filename().string(), path.string(), bytes.toBase64().toStdString(),
                   image.width(), image.height()};
}

std::string pictureKey(const Project& job, const Picture& picture) {
    const auto stem =
        QFileInfo(QString::fromStdString(picture.name)).completeBaseName().left(60).toStdString();
    std::string key = stem.empty() ? "picture" : stem;
    const auto& all = job.pictures;
    for (int n = 2; all && all->count(key) != 0 && all->at(key).bytes != picture.bytes; ++n)
        key = fmt::format("{} {}", stem, n);
    return key;
}

PictureColours coloursOf(const Picture& picture) {
    QImage image;
    if (!image.loadFromData(QByteArray::fromBase64(QByteArray::fromStdString(picture.bytes))))
        return {};
    image = image.convertToFormat(QImage::Format_ARGB32);
    std::vector<std::uint32_t> pixels;
    pixels.reserve(static_cast<std::size_t>(image.width()) *
                   static_cast<std::size_t>(image.height()));
    for (int y = 0; y < image.height(); ++y) {
        const auto* line = reinterpret_cast<const std::uint32_t*>(image.constScanLine(y));
        pixels.insert(pixels.end(), line, line + image.width());
    }
    return pictureColours(pixels, static_cast<std::size_t>(image.width()));
}

Edit intoFrame(const Project& job, const Scene& scene, const Piece& frame, const Picture& picture) {
    const auto key = pictureKey(job, picture);
    Piece changed = frame;
    changed.pose = scene.byId(frame.id)->pose;
    changed.picture = key;
    changed.darkFoot = coloursOf(picture).footDarker >= darkFootFrom;
    return {"put " + picture.name + " in " + frame.name,
            {PutPicture{key, picture}, PutPiece{std::move(changed)}},
            {}};
}

const QImage& imageOf(const Picture& p) {
    // Kept by its length and by 4096 of its letters, evenly through it: whole texts would be as
    // large again as the pictures. Sheets are printed on threads of their own.
    thread_local std::map<std::pair<std::size_t, std::string>, QImage> known;
    if (known.size() > 400)
        known.clear();
    constexpr std::size_t most = 4096;
    const std::size_t step = p.bytes.size() / most + 1;
    std::pair key{p.bytes.size(), std::string()};
    for (std::size_t i = 0; i < p.bytes.size(); i += step)
        key.second += p.bytes[i];
    auto it = known.find(key);
    if (it == known.end())
        it = known
                 .emplace(std::move(key), QImage::fromData(QByteArray::fromBase64(
                                              QByteArray::fromStdString(p.bytes))))
                 .first;
    return it->second;
}

} // namespace mezzet::sheets
