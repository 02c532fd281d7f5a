import { dayMeasures, gridMeasures } from './day-measures';
import type { DeskView } from './desk-view';

type Asked = Parameters<typeof dayMeasures>[0];

const column = (measureId: string, part = '') => ({ measureId, part, head: measureId, unit: 'mm' });
const course = (measureId: string, ...days: readonly string[]): DeskView['courses'][number] => ({
  measureId,
  name: measureId,
  unit: 'mm',
  pots: [{ code: 'A1', course: days.map(day => ({ day, value: 1 })) as never }],
});
const asked = (over: Partial<Asked>): Asked => ({
  day: '2026-07-18',
  cells: [],
  columns: [column('height', '1'), column('height', '2'), column('stem'), column('ph')],
  measures: [],
  courses: [],
  ...over,
});

describe('the measures of a day', () => {
  it('are all of them before anything was read', () => {
    expect([...dayMeasures(asked({}))]).toEqual(['height', 'stem', 'ph']);
  });

  it('are those of the last day on which anything was read, up to that day', () => {
    const courses = [
      course('height', '2026-07-01', '2026-07-12'),
      course('stem', '2026-07-12'),
      course('ph', '2026-07-01', '2026-07-25'),
    ];
    expect([...dayMeasures(asked({ courses }))]).toEqual(['height', 'stem']);
    expect([...dayMeasures(asked({ courses, day: '2026-07-02' }))]).toEqual(['height', 'ph']);
  });

  it('have what was read on the day itself, whatever was read when else', () => {
    const cells = [{ id: 'r', unitId: 'u', measureId: 'ph', part: '', text: '6.4' }];
    const shown = dayMeasures(asked({ cells, courses: [course('stem', '2026-07-12')] }));
    expect([...shown].sort()).toEqual(['ph', 'stem']);
  });

  it('always have the main measure, and never one that has no column', () => {
    const measures = [{ id: 'height', isMain: true }] as unknown as DeskView['measures'];
    const courses = [course('stem', '2026-07-12'), course('harvest', '2026-07-18')];
    expect([...dayMeasures(asked({ measures, courses }))].sort()).toEqual(['height', 'stem']);
  });

  it('of the grid come once each, in order', () => {
    expect(gridMeasures(asked({}).columns)).toEqual(['height', 'stem', 'ph']);
  });
});
