import Link from 'next/link';
import { Soft } from '@/ui/Page';

interface AllDoneProps {
  readonly trialId: string;
  /** `12 pots`. */
  readonly units: string;
}

/** After the last pot of the day: where to go from here. */
export function AllDone({ trialId, units }: AllDoneProps) {
  return (
    <Soft>
      All {units} are done. <Link href="/">What else is due today</Link> ·{' '}
      <Link href={`/trials/${trialId}/judge`}>What it says so far</Link>
    </Soft>
  );
}
