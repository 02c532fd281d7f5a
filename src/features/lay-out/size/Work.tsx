import { printArea } from '@/core/quantity/print-quantity';
import { useSystem } from '@/features/frame/use-garden-units';

/** What going round takes in hours, ground and money. */
export function Work({
  units,
  minutes,
  rounds,
  areaM2,
  cost,
  unitWords,
}: {
  readonly cost: number | null;
  readonly units: number;
  readonly minutes: number;
  readonly rounds: number;
  readonly areaM2: number | null;
  readonly unitWords: string;
}) {
  const system = useSystem();
  const hours = (units * minutes * rounds) / 60;
  return (
    <p>
      {hours > 0 ? (
        <>
          <b>{hours < 10 ? hours.toFixed(1) : Math.round(hours)} hours</b> of going round in the
          season.{' '}
        </>
      ) : (
        ''
      )}
      {areaM2 !== null && areaM2 > 0
        ? `The ${unitWords} alone take ${printArea(units * areaM2, system)}.`
        : ''}
      {cost === null ? '' : ` Treating them costs about ${cost.toFixed(2)}.`}
    </p>
  );
}
