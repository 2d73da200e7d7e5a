#pragma once

#include "fits/fits.h"
#include "judge/sights.h"
#include "judge/use.h"
#include "judge/ways.h"
#include "judge/zones.h"
#include "light/illuminance.h"
#include "sheets/drawing.h"

namespace mezzet::sheets {

/// The floor things take in use, in dashes; what clashes there cross-hatched.
void drawUseZones(const Drawing&, const std::vector<UseZone>&, Notation);
/// Ways as a line of steps, their narrowest places with their width.
void drawWays(const Drawing&, const std::vector<DrawnWay>&);
/// Zones as a rounded outline with name and area, and the gaps between them.
void drawZones(const Drawing&, const ZonesFacts&);
/// What is seen from a place: the floor in view lightly, backs in the colour of warning.
void drawView(const Drawing&, const RoomView&);
/// Where the middle of a piece may lie.
void drawRegions(const Drawing&, const std::vector<AllowedRegion>&);
/// Light on the floor: a wash, warmer where it is brighter, and lines of one brightness with their
/// lux. The wash goes up to the floor's edge.
void drawLux(const Drawing&, const LuxGrid&, const std::vector<Vec2>& edge);

} // namespace mezzet::sheets
