'use client';

import { shortDay } from '@/core/time/days';
import { clockIn } from '@/core/time/time-zone';
import { useAmountWords, useRainWords } from '@/features/frame/use-garden-units';
import { Mind } from '@/ui/Page';
import type { TendView } from './tend-scene';

/** What a label or the rain asks to mind just now. */
export function Weathered({
  view: { reEntries, timeZone, washedOff, leached, trial },
}: {
  readonly view: TendView;
}) {
  const inUnits = useAmountWords();
  const inRain = useRainWords();
  return (
    <>
      {reEntries.map(off => (
        <p key={`${off.product} ${off.until}`} role="alert">
          <b>Stay off the bed until {clockIn(off.until, timeZone)}.</b>{' '}
          {off.product === null
            ? 'The label of something in the bottles asks for it.'
            : `The label of ${off.product} asks for it.`}
        </p>
      ))}
      {washedOff.map(washed => (
        <p key={`${washed.name} ${washed.on}`} role="alert">
          <b>
            {washed.name} of {shortDay(washed.on)} was rained on, {inRain(washed.rainMm)}.
          </b>{' '}
          What only lies on the leaf is gone: it is due again, for all alike.
        </p>
      ))}
      {leached.map(({ on, rainMm, ml }) => (
        <Mind key={on}>
          {inRain(rainMm)} of rain on {shortDay(on)} ran through: about {inUnits(ml, 'volume')} out
          of each {trial.unitWord}, and feed with it.
        </Mind>
      ))}
    </>
  );
}
