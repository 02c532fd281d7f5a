import { render, screen } from '@testing-library/react';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { VerdictNotes } from './VerdictNotes';

const show = (looks: number, interimLooks: number) => {
  const { trial } = trialFixture();
  const agreed = {
    ...trial,
    startsOn: '2026-05-01',
    endsOn: '2026-08-01',
    rules: { ...trial.rules, looks },
  };
  const { container } = render(
    <VerdictNotes
      trial={agreed}
      amendments={[]}
      frozen={null}
      interimLooks={interimLooks}
      headline=""
    />,
  );
  return container.textContent;
};

test('looks that were agreed are told with their days and their price, and are no fault', () => {
  const said = show(3, 2);
  expect(said).toContain('3 looks were agreed, on 1 June, 1 July and 1 August');
  expect(said).toContain('a gap had to be 17% larger');
  expect(said).not.toContain('A lead in the middle');
});

test('more looks than were agreed, or any where none was, are told as what they are', () => {
  expect(show(2, 2)).toContain('on 2 days before the end, more often than was agreed');
  expect(show(1, 1)).toContain(
    'Looked at on 1 day before the end. A lead in the middle often turns',
  );
  expect(show(1, 0)).not.toContain('ooked at');
  expect(screen.queryAllByText(/agreed/)).toHaveLength(2);
});
