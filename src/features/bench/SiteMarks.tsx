import { SITE_WORDS } from '@/core/design/site';
import type { SiteFeature } from '@/core/trial/trial-data';

interface SiteMarksProps {
  readonly site: readonly SiteFeature[];
  readonly widthMm: number;
  readonly depthMm: number;
}

/** Slope, light, wall and the rest, drawn at their side of the bench. */
export function SiteMarks({ site, widthMm, depthMm }: SiteMarksProps) {
  const textMm = widthMm * 0.028;
  return (
    <g aria-hidden>
      {site.map((feature, i) => {
        const nth = site.slice(0, i).filter(other => other.side === feature.side).length;
        return <SideMark key={`${feature.kind} ${feature.side}`} feature={feature} at={widthMm * (0.02 + 0.04 * nth)} textMm={textMm} widthMm={widthMm} depthMm={depthMm} />;
      })}
    </g>
  );
}

function SideMark({ feature, at, textMm, widthMm, depthMm }: { readonly feature: SiteFeature; readonly at: number; readonly textMm: number; readonly widthMm: number; readonly depthMm: number }) {
  const words = `${SITE_WORDS[feature.kind]} ${feature.percent}%`;
  const isUpright = feature.side === 'left' || feature.side === 'right';
  const length = isUpright ? depthMm : widthMm;
  const x = feature.side === 'left' ? -at : feature.side === 'right' ? widthMm + at : widthMm / 2;
  const y = feature.side === 'far' ? -at : feature.side === 'near' ? depthMm + at : depthMm / 2;
  const turn = feature.side === 'left' ? -90 : feature.side === 'right' ? 90 : 0;
  return (
    <g transform={`translate(${x} ${y}) rotate(${turn})`}>
      <path d={`M${-length / 2} 0H${length / 2}`} stroke={STROKE[feature.kind]} strokeWidth={textMm * 0.3} strokeDasharray={feature.kind === 'slope' || feature.kind === 'light' ? `${textMm * 0.6} ${textMm * 0.4}` : undefined} />
      <text y={feature.side === 'near' ? textMm * 1.2 : -textMm * 0.45} textAnchor="middle" fontSize={textMm} fill="var(--ink-soft)">{words}</text>
    </g>
  );
}

const STROKE: Readonly<Record<SiteFeature['kind'], string>> = { slope: 'var(--leaf)', light: 'var(--straw)', wall: 'var(--pot)', fence: 'var(--rule-strong)', tap: 'var(--water)', traffic: 'var(--beet)' };
