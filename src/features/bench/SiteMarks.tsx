import { isLine, lineOf, SITE_WORDS } from '@/core/design/site/site-features';
import type { SiteFeature } from '@/core/trial/model/layout';

interface SiteMarksProps {
  readonly site: readonly SiteFeature[];
  readonly widthMm: number;
  readonly depthMm: number;
}

/** How large the words at a bench are drawn. */
export function siteTextMm({
  widthMm,
  depthMm,
}: {
  readonly widthMm: number;
  readonly depthMm: number;
}): number {
  return Math.max(widthMm, depthMm) * 0.026;
}

/** Slope and light at their side of the bench; walls, fences, paths and taps where they are. */
export function SiteMarks({ site, widthMm, depthMm }: SiteMarksProps) {
  const textMm = siteTextMm({ widthMm, depthMm });
  const gradients = site.filter(feature => !isLine(feature));
  return (
    <g aria-hidden>
      {gradients.map((feature, i) => {
        const nth = gradients.slice(0, i).filter(other => other.side === feature.side).length;
        return (
          <SideMark
            key={`${feature.kind} ${feature.side}`}
            feature={feature}
            at={textMm * (0.7 + 1.5 * nth)}
            textMm={textMm}
            widthMm={widthMm}
            depthMm={depthMm}
          />
        );
      })}
      {site.filter(isLine).map(feature => (
        <LineMark
          key={JSON.stringify(feature)}
          feature={feature}
          textMm={textMm}
          bench={{ widthMm, depthMm }}
        />
      ))}
    </g>
  );
}

function SideMark({
  feature,
  at,
  textMm,
  widthMm,
  depthMm,
}: {
  readonly feature: SiteFeature;
  readonly at: number;
  readonly textMm: number;
  readonly widthMm: number;
  readonly depthMm: number;
}) {
  const isUpright = feature.side === 'left' || feature.side === 'right';
  const length = isUpright ? depthMm : widthMm;
  const x = feature.side === 'left' ? -at : feature.side === 'right' ? widthMm + at : widthMm / 2;
  const y = feature.side === 'far' ? -at : feature.side === 'near' ? depthMm + at : depthMm / 2;
  const turn = feature.side === 'left' ? -90 : feature.side === 'right' ? 90 : 0;
  return (
    <g transform={`translate(${x} ${y}) rotate(${turn})`}>
      <path
        d={`M${-length / 2} 0H${length / 2}`}
        stroke={STROKE[feature.kind]}
        strokeWidth={textMm * 0.3}
        strokeDasharray={`${textMm * 0.6} ${textMm * 0.4}`}
      />
      <text
        y={feature.side === 'near' ? textMm * 1.2 : -textMm * 0.45}
        textAnchor="middle"
        fontSize={textMm}
        fill="var(--ink-soft)"
      >
        {wordsOf(feature)}
      </text>
    </g>
  );
}

interface LineMarkProps {
  readonly feature: SiteFeature;
  readonly textMm: number;
  readonly bench: { readonly widthMm: number; readonly depthMm: number };
}

/** A wall, fence or path with its words along it; a tap as a ring with its words below. */
export function LineMark({ feature, textMm, bench }: LineMarkProps) {
  const { x1Mm, y1Mm, x2Mm, y2Mm } = lineOf(feature, bench);
  const length = Math.hypot(x2Mm - x1Mm, y2Mm - y1Mm);
  const isPoint = length < textMm;
  const degrees = (Math.atan2(y2Mm - y1Mm, x2Mm - x1Mm) * 180) / Math.PI;
  const upright = degrees > 90 ? degrees - 180 : degrees <= -90 ? degrees + 180 : degrees;
  // The words stand on the side that looks away from the bench.
  const turn = (upright * Math.PI) / 180;
  const isOutward =
    Math.sin(turn) * ((x1Mm + x2Mm) / 2 - bench.widthMm / 2) -
      Math.cos(turn) * ((y1Mm + y2Mm) / 2 - bench.depthMm / 2) >
    0;
  return (
    <g
      transform={`translate(${(x1Mm + x2Mm) / 2} ${(y1Mm + y2Mm) / 2}) rotate(${isPoint ? 0 : upright})`}
    >
      {isPoint ? (
        <circle
          r={textMm * 0.5}
          fill="none"
          stroke={STROKE[feature.kind]}
          strokeWidth={textMm * 0.3}
        />
      ) : (
        <path
          d={`M${-length / 2} 0H${length / 2}`}
          stroke={STROKE[feature.kind]}
          strokeWidth={textMm * 0.3}
          strokeDasharray={
            feature.kind === 'traffic' ? `${textMm * 0.3} ${textMm * 0.5}` : undefined
          }
          strokeLinecap="round"
        />
      )}
      <text
        y={isPoint ? textMm * 1.7 : isOutward ? -textMm * 0.5 : textMm * 1.25}
        textAnchor="middle"
        fontSize={textMm}
        fill="var(--ink-soft)"
      >
        {wordsOf(feature)}
      </text>
    </g>
  );
}

function wordsOf(feature: SiteFeature): string {
  return `${SITE_WORDS[feature.kind]} ${feature.percent}%`;
}

const STROKE: Readonly<Record<SiteFeature['kind'], string>> = {
  slope: 'var(--leaf)',
  light: 'var(--straw)',
  wall: 'var(--pot)',
  fence: 'var(--rule-strong)',
  tap: 'var(--water)',
  traffic: 'var(--beet)',
};
