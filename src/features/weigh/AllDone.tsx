import { styled } from 'styled-components';
import { Link } from '@/ui/Link';
import { WayOn } from '@/ui/WayOn';

interface AllDoneProps {
  readonly trialId: string;
  /** `12 pots`. */
  readonly units: string;
}

/** After the last pot of the day: where to go from here. */
export function AllDone({ trialId, units }: AllDoneProps) {
  return (
    <Done>
      <p>All {units} are done.</p>
      <WayOn href="/">What else is due today</WayOn>
      <Link href={`/trials/${trialId}/judge`}>What it says so far</Link>
    </Done>
  );
}

const Done = styled.div`
  display: flex; flex-wrap: wrap; gap: 8px 20px; align-items: center; border-top: 1px solid var(--rule); padding-top: 16px;
  & > p { flex-basis: 100%; font-weight: 600; }
  & a { padding-block: 8px; }
`;
