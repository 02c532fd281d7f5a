'use client';

import { styled } from 'styled-components';
import { Link } from '@/ui/Link';
import { Soft } from '@/ui/Page';

interface PlanCodesProps {
  readonly trialId: string;
  /** Drawings, in their order. */
  readonly codes: readonly string[];
}

/** The plan on a screen or a sheet, for a phone to read: no network between the two gardens. */
export function PlanCodes({ trialId, codes }: PlanCodesProps) {
  return (
    <Sheet>
      <h2>The plan as square codes</h2>
      {codes.length === 0 ? (
        <p>
          <Link href={`/trials/${trialId}/lay-out`}>Lock the plan</Link> first: until then it may
          still change.
        </p>
      ) : (
        <Soft>
          The other garden reads all {codes.length}, in any order: “Take a plan in from square
          codes” on its page of trials. <Link href={`/trials/${trialId}/gardens`}>Back</Link>
        </Soft>
      )}
      <ol>
        {codes.map((code, i) => (
          <li key={code}>
            {/* biome-ignore lint/performance/noImgElement: a drawing in the page itself, nothing to fetch */}
            <img src={code} alt={`Square code ${i + 1} of ${codes.length}`} />
            <span>
              {i + 1} of {codes.length}
            </span>
          </li>
        ))}
      </ol>
    </Sheet>
  );
}

const Sheet = styled.section`
  display: grid; gap: 16px;
  & ol { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(min(320px, 100%), 1fr)); gap: 24px; }
  & li { display: grid; gap: 4px; justify-items: center; break-inside: avoid; }
  & img { width: 100%; max-width: 360px; background: #fff; }
`;
