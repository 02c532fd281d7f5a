import { isLine, lineOf } from '@/core/design/site/site-features';
import type { SiteFeature } from '@/core/trial/model/layout';
import { siteTextMm } from './SiteMarks';

/** How far what lies about a bench reaches beyond each of its sides, in mm; room for its words included. */
export interface SiteExtent {
  readonly left: number;
  readonly right: number;
  readonly far: number;
  readonly near: number;
}

export function siteExtent(
  site: readonly SiteFeature[],
  bench: { readonly widthMm: number; readonly depthMm: number },
): SiteExtent {
  const gradients = (side: SiteFeature['side']): number =>
    site.filter(feature => feature.side === side && !isLine(feature)).length *
    siteTextMm(bench) *
    2;
  const room = siteTextMm(bench) * 1.6;
  const lines = site.filter(isLine).map(feature => lineOf(feature, bench));
  const beyond = (mm: readonly number[]): number =>
    Math.max(0, ...mm.map(each => (each > 0 ? each + room : each > -room ? room : 0)));
  return {
    left: Math.max(gradients('left'), beyond(lines.flatMap(line => [-line.x1Mm, -line.x2Mm]))),
    right: Math.max(
      gradients('right'),
      beyond(lines.flatMap(line => [line.x1Mm - bench.widthMm, line.x2Mm - bench.widthMm])),
    ),
    far: Math.max(gradients('far'), beyond(lines.flatMap(line => [-line.y1Mm, -line.y2Mm]))),
    near: Math.max(
      gradients('near'),
      beyond(lines.flatMap(line => [line.y1Mm - bench.depthMm, line.y2Mm - bench.depthMm])),
    ),
  };
}
