import type { AuditFinding } from '@/core/design/audit/audit-view';
import type { PositionCheck } from '@/core/judge/sensitivity/position-check';
import { adherenceOf, isUneven } from '@/core/schedule/adherence/adherence';
import { careTasks } from '@/core/schedule/tasks/due-today';
import type { CalendarDay } from '@/core/time/garden-day';
import { MISHAP_WORDS } from '@/core/trial/model/incident';
import type { TrialData } from '@/core/trial/model/trial-data';

/** Something else that could have made the gap, and what would tell it from the treatment. */
export interface AlternativeExplanation {
  readonly says: string;
  readonly test: string;
}

/** By what the audit found: another reading of the gap, and the test that would part the two. */
const BY_FINDING: Readonly<Record<string, AlternativeExplanation>> = {
  confounded: {
    says: 'What went together with the treatment did it.',
    test: 'Deal again within blocks, so that the two come apart.',
  },
  leans: {
    says: 'Something that goes partly with the treatment did it.',
    test: 'Block by that column next time.',
  },
  'site-leans': {
    says: 'The place did it: light, slope or wall lay unevenly over the treatments.',
    test: 'Cut the blocks along it, or use a square.',
  },
  'differs-in-amount': {
    says: 'It was how much was fed, not what.',
    test: 'Feed both the same nitrogen, one of each at its own rate beside them.',
  },
  'containers-differ': {
    says: 'The volume or the drying did it, not the container.',
    test: 'Fill all to one volume, and weigh the water.',
  },
  'not-blind': {
    says: 'Whoever measured may have favoured one.',
    test: 'Let somebody weigh who does not know.',
  },
  'key-early': {
    says: 'Whoever weighed knew by then.',
    test: 'Look at what was weighed before the key was opened.',
  },
  'left-out-one-sided': {
    says: 'What was left out did it.',
    test: 'Look at the verdict with all in.',
  },
  'unread-unevenly': {
    says: 'What was not weighed was the worst.',
    test: 'Go round all on one day.',
  },
  'shared-roots': { says: 'The neighbour was fed, too.', test: 'Give each its own container.' },
  'arranged-in-sight': {
    says: 'The favourite got the better place.',
    test: 'Deal again, and move nothing.',
  },
  'fed-mix': {
    says: 'The mix fed them all, and hid what the feed does.',
    test: 'Start with a lean mix.',
  },
};

/** Rival explanations from the map, the log and the mishaps. None is claimed: each comes with what would tell it. */
export function alternativeExplanationsOf(
  data: TrialData,
  {
    findings,
    position,
    today,
  }: {
    readonly findings: readonly AuditFinding[];
    readonly position: PositionCheck | null;
    readonly today: CalendarDay;
  },
): readonly AlternativeExplanation[] {
  const adherence = adherenceOf(
    data.care.rules,
    careTasks(data, today),
    data.treatments.map(treatment => treatment.id),
    data.units,
  );
  const found = findings.flatMap(finding => BY_FINDING[finding.code] ?? []);
  return [
    ...new Set(found),
    ...ofPosition(position),
    ...(isUneven(adherence) ? [LOOKED_AFTER] : []),
    ...ofMishaps(data),
  ];
}

const LOOKED_AFTER: AlternativeExplanation = {
  says: 'One of them was looked after better: more of its tasks were done.',
  test: 'The same number of tasks for all, on the same days.',
};

function ofPosition(position: PositionCheck | null): readonly AlternativeExplanation[] {
  const isSloping = position?.gradientP != null && position.gradientP < 0.05;
  const isCatching = position?.neighbours != null && position.neighbours.p < 0.05;
  return [
    ...(isSloping
      ? [
          {
            says: `The bench did it: it rose towards ${position.towards}.`,
            test: 'Cut the blocks across that slope.',
          },
        ]
      : []),
    ...(isCatching
      ? [
          {
            says: 'Something went from plant to plant: water, roots, a pest.',
            test: 'Wider spacing, or guards between the plots.',
          },
        ]
      : []),
  ];
}

/** Not those that a treatment itself brought about. */
function ofMishaps({ incidents }: TrialData): readonly AlternativeExplanation[] {
  const causes = new Set(
    incidents.flatMap(({ cause, byTreatment }) =>
      cause === null || byTreatment === 'yes' ? [] : [MISHAP_WORDS[cause]],
    ),
  );
  if (causes.size === 0) return [];
  return [
    {
      says: `A mishap did it: ${[...causes].join(', ')}.`,
      test: 'Look at the verdict of those that had none.',
    },
  ];
}
