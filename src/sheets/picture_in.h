#pragma once

#include "edit/edit.h"
#include "things/picture_answers.h"

#include <filesystem>

class QImage;

namespace mezzet::sheets {

/// Reads a PNG or JPEG for a frame: turned as its camera held it, no side over 1000 pixels, small
/// enough to be kept in a job, with the file it came from. Problem: no such file, another format,
/// or a damaged one.
[[nodiscard]] Result<Picture> readPicture(const std::filesystem::path&);

/// The pixels of a PNG or JPEG, 0xAARRGGBB, as its camera held it or not; a large JPEG smaller, by
/// whole halves. Problem: as readPicture.
[[nodiscard]] Result<std::vector<std::uint32_t>> pixelsOf(const std::filesystem::path&);

/// What a picture that was read is made of.
[[nodiscard]] PictureColours coloursOf(const Picture&);

/// Puts a picture in a frame that hangs in a scene, with a copy in the job.
[[nodiscard]] Edit intoFrame(const Project&, const Scene&, const Piece& frame, const Picture&);

/// A key for it among a job's pictures: its file's name, with a number when another picture has it.
[[nodiscard]] std::string pictureKey(const Project&, const Picture&);

/// A picture's pixels, read once while the job keeps it; of its own thread.
[[nodiscard]] const QImage& imageOf(const Picture&);

} // namespace mezzet::sheets
