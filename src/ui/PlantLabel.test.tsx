import { render } from '@testing-library/react';
import { hueOf, PlantLabel } from './PlantLabel';

test('a label turned away says nothing', () => {
  const { container } = render(<PlantLabel look={undefined} />);
  expect(container.textContent).toBe('');
  expect(container.querySelector('pattern')).toBeNull();
});

test('the control is outline only, the first treatment solid, the others each a pattern of their own', () => {
  const fillOf = (index: number): string | null | undefined =>
    render(<PlantLabel look={{ letter: 'A', index }} />)
      .container.querySelector('path')
      ?.getAttribute('fill');
  expect(fillOf(-1)).toBe('var(--plate)');
  expect(fillOf(0)).toBe(hueOf(0));
  const drawings = Array.from(
    { length: 7 },
    (_, i) =>
      render(<PlantLabel look={{ letter: 'X', index: i + 1 }} />).container.querySelector(
        'pattern g',
      )?.innerHTML,
  );
  expect(new Set(drawings).size).toBe(7);
  expect(new Set(Array.from({ length: 8 }, (_, i) => hueOf(i))).size).toBe(8);
});
