import { Chart as ChartJs, type Scale } from 'chart.js';
import annotation from 'chartjs-plugin-annotation';
import type { Tokens } from '../use-tokens';

// For all of them at once: a chart that was drawn before another brought the plugin along would break at its next change.
ChartJs.register(annotation);

/** How every chart behaves: it fills its place and stands still. */
export const STILL = { animation: false, responsive: true, maintainAspectRatio: false } as const;

/** The type of a chart's figures and names. */
export function chartFont({ font }: Tokens): { readonly family: string; readonly size: number } {
  return { family: font, size: 14 };
}

/** An axis with its figures where they are round in the garden’s own units, instead of in what is stored. */
export function roundFigures(ticksOf: (span: readonly [number, number]) => readonly number[]) {
  return {
    afterBuildTicks: (axis: Scale): void => {
      axis.ticks = ticksOf([axis.min, axis.max]).map(value => ({ value }));
    },
  };
}

/** How the two ends of a range are drawn: a bar across, or an arrow where it goes on beyond the picture. */
export function endsOf([below, above]: readonly [boolean, boolean]) {
  return {
    pointStyle: [below, above].map(isCut => (isCut ? 'triangle' : 'line')) as (
      | 'triangle'
      | 'line'
    )[],
    pointRotation: [below ? -90 : 90, 90],
  };
}
