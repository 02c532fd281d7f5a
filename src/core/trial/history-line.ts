import type { CareAct } from './model/care-plan';
import { type Incident, MISHAP_WORDS } from './model/incident';
import type { ExperimentalUnit } from './model/unit';

/** One entry of a history, as it is told: when it was put down, by whom, and what it said. */
export interface HistoryLine {
  readonly id: string;
  /** The instant it was put down, UTC. */
  readonly at: string;
  readonly by: string;
  readonly says: string;
}

/** An act of care as the history tells it: done, left out, or taken back. Never which units. @param name as it may be seen */
export function actLine(act: CareAct, name: string): HistoryLine {
  const came = act.isRemoval
    ? 'undone'
    : `${act.isSkipped ? 'left out' : 'done'}${act.unitIds === null ? '' : ' for some'}`;
  return {
    id: act.id,
    at: act.takenAt,
    by: act.by,
    says: `${name} of ${act.doneOn}, ${came}${withNote(act.note)}`,
  };
}

/** A mishap as the history tells it. */
export function mishapLine(
  incident: Incident,
  units: readonly Pick<ExperimentalUnit, 'id' | 'code'>[],
): HistoryLine {
  const code = units.find(unit => unit.id === incident.unitId)?.code ?? '';
  const what = incident.cause === null ? incident.what : MISHAP_WORDS[incident.cause];
  return {
    id: incident.id,
    at: incident.recordedAt,
    by: incident.by,
    says: `${code}, ${incident.happenedOn}: ${what}${incident.isRemoval ? ', undone' : withNote(incident.why)}`,
  };
}

function withNote(note: string): string {
  return note === '' ? '' : `. ${note}`;
}
