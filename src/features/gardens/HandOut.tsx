'use client';

import { useState } from 'react';
import { TextLine } from '@/ui/fields/TextLine';
import { Tick } from '@/ui/fields/Tick';
import { Link } from '@/ui/Link';
import { Acts, Soft } from '@/ui/Page';
import { Box } from './gardens-look';

interface HandOutProps {
  readonly trialId: string;
  readonly gardenName: string;
  readonly isLocked: boolean;
}

/** The plan as one file, or as square codes, for whoever runs it too. */
export function HandOut({ trialId, gardenName, isLocked }: HandOutProps) {
  const [isNamed, setNamed] = useState(false);
  const [person, setPerson] = useState('');
  const asked = new URLSearchParams({
    named: isNamed ? 'yes' : 'no',
    person: isNamed ? person : '',
  });
  return (
    <Box aria-label="Give the plan to others">
      <h2>Give the plan to others</h2>
      <Soft>
        One file holds the question, the treatments, what is measured and how, the care and its
        cautions. Each garden deals by its own lot, keeps its own codes, and sends one file back.
      </Soft>
      {isLocked ? (
        <>
          <Tick isOn={isNamed} onChange={setNamed}>
            Say that it is from {gardenName}
          </Tick>
          {isNamed && (
            <TextLine
              name="person"
              label="And who asks (may stay empty)"
              value={person}
              onChange={setPerson}
            />
          )}
          <Acts>
            <a data-button href={`/api/gardens/${trialId}?what=plan&${asked}`}>
              Save the plan
            </a>
            <Link href={`/trials/${trialId}/gardens/codes?${asked}`}>Show it as square codes</Link>
          </Acts>
        </>
      ) : (
        <p>
          <Link href={`/trials/${trialId}/lay-out`}>Lock the plan</Link> first: until then it may
          still change.
        </p>
      )}
    </Box>
  );
}
