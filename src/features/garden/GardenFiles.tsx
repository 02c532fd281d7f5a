import { Fold } from '@/ui/Fold';
import { Soft } from '@/ui/Page';

/** Every trial as tables that other programs read. */
export function GardenFiles() {
  return (
    <Fold title="Take the data elsewhere">
      <Soft>
        One ZIP holds each trial’s pots or beds, picks and readings, places, tasks, mishaps and
        measures as CSV tables, with a description that other programs read (a Frictionless Data
        Package). A trial whose key is shut is in it by its codes alone. Names of people become
        numbers.
      </Soft>
      <ul>
        <li>
          <a href="/api/package">Save all trials as tables (ZIP)</a>
        </li>
        <li>
          <a href="/schema/turnspit-trial.schema.json">What a trial’s file looks like</a>, a{' '}
          <a href="/schema/turnspit-protocol.schema.json">plan’s</a>, a garden’s{' '}
          <a href="/schema/turnspit-results.schema.json">results</a> (JSON Schema)
        </li>
      </ul>
    </Fold>
  );
}
