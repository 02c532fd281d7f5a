'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { styled } from 'styled-components';
import { shownUnit } from '@/core/measure/library/shown-unit';
import { shortDay } from '@/core/time/days';
import { useSystem } from '@/features/frame/use-garden-units';
import type { SeasonView } from '@/features/trial/trial-view';
import { Fold } from '@/ui/Fold';
import { Select } from '@/ui/fields/Select';
import { Soft } from '@/ui/Page';
import { eventsBetween } from './course-events';
import type { MeasureCourses } from './desk-view';

interface CoursesProps {
  readonly courses: readonly MeasureCourses[];
  readonly unitWord: string;
  readonly season: Pick<SeasonView, 'care' | 'mishaps' | 'weather'>;
}

const CourseChart = dynamic(() => import('./CourseChart').then(file => file.CourseChart), {
  ssr: false,
  loading: () => <div style={{ minHeight: 260 }} />,
});

/** How each pot goes along, one of them in hand among all: without treatments, as long as the key is shut and after. */
export function Courses({ courses, unitWord, season }: CoursesProps) {
  const [measureId, setMeasure] = useState(courses[0]?.measureId ?? '');
  const [code, setCode] = useState('');
  const system = useSystem();
  const shown = courses.find(each => each.measureId === measureId) ?? courses[0];
  if (!shown) return null;
  const pot = shown.pots.find(each => each.code === code) ?? shown.pots[0];
  const [first, last] = [pot?.course[0], pot?.course.at(-1)];
  const days = shown.pots.flatMap(each => each.course.map(point => point.day)).sort();
  const events = eventsBetween(season, days[0] ?? '', days.at(-1) ?? '');
  const { name, base } = shownUnit(shown.unit, system);
  const figure = (value: number): string =>
    `${Number((value / base).toPrecision(4))}${name === '' || name === '%' ? name : ` ${name}`}`;
  return (
    <Box aria-label="How it goes along">
      <h2>How it goes along</h2>
      <div>
        <Select
          label="Of"
          name="courseOf"
          value={shown.measureId}
          onChange={setMeasure}
          options={courses.map(each => ({ value: each.measureId, label: each.name }))}
        />
        <Select
          label={`The ${unitWord}`}
          name="courseCode"
          value={pot?.code ?? ''}
          onChange={setCode}
          options={shown.pots.map(each => ({ value: each.code, label: each.code }))}
        />
      </div>
      {pot && <CourseChart courses={shown} code={pot.code} events={events} />}
      {pot && first && last && (
        <Soft>
          {pot.code}: {figure(first.value)} on {shortDay(first.day)}
          {last === first ? '' : `, ${figure(last.value)} on ${shortDay(last.day)}`}, among{' '}
          {shown.pots.length}. Its treatment is not shown here, so that it can’t sway the next
          reading.
        </Soft>
      )}
      {events.length > 0 && (
        <Fold title={`What happened meanwhile, ${events.length}`}>
          <ul>
            {events.map(({ on, words, kind }) => (
              <li key={`${on} ${kind} ${words}`}>
                {shortDay(on)}: {words}
              </li>
            ))}
          </ul>
        </Fold>
      )}
      <Fold title="As a table">
        <ul>
          {pot?.course.map(point => (
            <li key={point.day}>
              {shortDay(point.day)}: {figure(point.value)}
            </li>
          ))}
        </ul>
      </Fold>
    </Box>
  );
}

const Box = styled.section`
  & > div:first-of-type { display: flex; flex-wrap: wrap; gap: 16px; max-width: none; }
  & ul { margin: 4px 0 0; padding-left: 18px; }
`;
