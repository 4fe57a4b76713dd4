import { perZone, ZONE_BORDER, type PerZone } from '../hair/zone';
import type { FramePoint } from '../sphere/crown-chart';
import { hairlinePolygon } from '../sphere/hairline';
import { clipPolygon, polygonArea } from '../sphere/polygon';

/** The outline of each zone on the chart, cut from the hairline along the zone borders. */
export function zoneOutlines(): PerZone<FramePoint[]> {
  const scalp = hairlinePolygon();
  const { nape, ear, front, side } = ZONE_BORDER;
  const top = clipPolygon(scalp, 't', ear, 'above');
  const middle = clipPolygon(clipPolygon(top, 'f', side, 'below'), 'f', -side, 'above');
  return {
    nape: clipPolygon(scalp, 't', nape, 'below'),
    back: clipPolygon(clipPolygon(scalp, 't', ear, 'below'), 't', nape, 'above'),
    left: clipPolygon(top, 'f', -side, 'below'),
    right: clipPolygon(top, 'f', side, 'above'),
    crown: clipPolygon(middle, 't', front, 'below'),
    front: clipPolygon(middle, 't', front, 'above'),
  };
}

/** Share of the scalp that each zone covers, adding up to 1. */
export function zoneShares(): PerZone<number> {
  const outlines = zoneOutlines();
  const total = polygonArea(hairlinePolygon());
  return perZone((zone) => polygonArea(outlines[zone]) / total);
}
