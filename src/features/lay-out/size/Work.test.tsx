import { render, screen } from '@testing-library/react';
import { I18nProvider } from 'react-aria-components';
import { Work } from './Work';

const work = (minutes: number) => (
  <Work units={16} minutes={minutes} rounds={8} areaM2={0.0625} cost={null} unitWords="pots" />
);

test('hours and ground are told, the ground in square metres', () => {
  render(work(2));
  expect(screen.getByText(/of going round in the season/)).toHaveTextContent(
    '4.3 hours of going round in the season. The pots alone take 1 m².',
  );
});

test('an American garden counts its ground in square feet, and minutes that are not known make no hours', () => {
  render(<I18nProvider locale="en-US">{work(0)}</I18nProvider>);
  // 1 m² is 10.76 sq ft.
  expect(screen.getByText('The pots alone take 10.8 sq ft.')).toBeVisible();
});
