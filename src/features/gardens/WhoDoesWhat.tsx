'use client';

import { fullDay } from '@/core/time/days';
import { pluralOf } from '@/core/words/plural';
import { Link } from '@/ui/Link';
import { Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';
import { Box } from './gardens-look';

interface WhoDoesWhatProps {
  readonly trialId: string;
  /** The trial’s own gardens, as they are named on Lay out. */
  readonly gardens: readonly {
    readonly name: string;
    readonly place: string;
    readonly soil: string;
    readonly person: string;
    readonly units: number;
  }[];
  readonly tasks: readonly {
    readonly key: string;
    readonly on: string;
    readonly says: string;
    readonly details: readonly string[];
  }[];
  readonly unitWord: string;
}

/** The gardens that one trial lies in: who looks after which, and what each has to do. */
export function WhoDoesWhat({ trialId, gardens, tasks, unitWord }: WhoDoesWhatProps) {
  const people = gardens.map(({ name, person }) => person || name);
  return (
    <Box aria-label="Who does what">
      <h2>Who does what</h2>
      <WideTable label="The gardens of this trial">
        <TableHead of={['garden', 'who', 'place', 'soil', pluralOf(unitWord)]} />
        <tbody>
          {gardens.map(({ name, person, place, soil, units }) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td>{person || 'nobody named'}</td>
              <td>{place}</td>
              <td>{soil}</td>
              <td>{units}</td>
            </tr>
          ))}
        </tbody>
      </WideTable>
      <Soft>
        Names, places and soils are written down under{' '}
        <Link href={`/trials/${trialId}/lay-out`}>Lay out</Link>.
      </Soft>
      {tasks.length > 0 && (
        <WideTable label="The next two weeks">
          <TableHead of={['day', 'what', 'how', 'who']} />
          <tbody>
            {tasks.map(({ key, on, says, details }) => (
              <tr key={key}>
                <th scope="row">{fullDay(on)}</th>
                <td>{says}</td>
                <td data-long>{details.join(' ')}</td>
                <td data-long>{people.join(', ')}, each in their own garden</td>
              </tr>
            ))}
          </tbody>
        </WideTable>
      )}
    </Box>
  );
}
