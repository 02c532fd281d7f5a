import type { PersonMinutes } from '@/core/judge/after/minutes-by-person';
import { Fold } from '@/ui/Fold';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';

/** Who put how much time into the trial. */
export function TimeByPerson({ people }: { readonly people: readonly PersonMinutes[] }) {
  if (people.length === 0) return null;
  return (
    <Fold title="Time by person" tone="heading" isRuled>
      <WideTable label="Time by person">
        <TableHead of={['who', 'time']} />
        <tbody>
          {people.map(({ person, minutes }) => (
            <tr key={person}>
              <th scope="row">{person === '' ? 'not said' : person}</th>
              <td>{hours(minutes)}</td>
            </tr>
          ))}
        </tbody>
      </WideTable>
    </Fold>
  );
}

function hours(minutes: number): string {
  const whole = Math.round(minutes);
  const [h, m] = [Math.floor(whole / 60), whole % 60];
  if (h === 0) return `${m} min`;
  return m === 0 ? `${h} h` : `${h} h ${m} min`;
}
