import { fireEvent, render, screen } from '@testing-library/react';
import fc from 'fast-check';
import { useState } from 'react';
import { BLANK_PRODUCT, type ProductDraft } from '@/core/materials/label/product-form';
import { Hazard } from '@/core/trial/model/product';
import { LabelLines } from './LabelLines';
import { hazardsAsked, isAsked, kindOf } from './label-kind';

const kinds = fc.constantFrom('feed' as const, 'remedy', 'soil', 'other');
const written = fc.constantFrom('', '1', '12-4-8');

test('nothing that is filled in or ticked is ever left out, whatever the product is said to be', () => {
  fc.assert(
    fc.property(
      kinds,
      fc.record({
        grade: written,
        moisture: written,
        reentryHours: written,
        acts: fc.constant(''),
      }),
      fc.subarray([...Hazard.options]),
      (kind, filled, hazards) => {
        const form: ProductDraft = { ...BLANK_PRODUCT, ...filled, acts: '', hazards };
        for (const key of ['grade', 'moisture', 'reentryHours'] as const)
          if (form[key] !== '') expect(isAsked(key, kind, form)).toBe(true);
        expect(hazardsAsked(kind, Hazard.options, form)).toEqual(expect.arrayContaining(hazards));
      },
    ),
  );
});

test.each([
  [{}, 'feed'],
  [{ name: 'Osmund', grade: '12-4-8' }, 'feed'],
  [{ name: 'Soap', hazards: ['soap' as const] }, 'remedy'],
  [{ name: 'Leaf-mould', hazards: ['compost' as const] }, 'soil'],
  [{ name: 'Twine' }, 'other'],
])('%o seems to be %s', (facts, kind) => {
  expect(kindOf({ ...BLANK_PRODUCT, ...facts })).toBe(kind);
});

function Held() {
  const [form, setForm] = useState(BLANK_PRODUCT);
  return (
    <LabelLines
      form={form}
      change={changes => setForm({ ...form, ...changes })}
      troubles={{}}
      system="uk"
      looseMeasures={[]}
    />
  );
}

test('a feed is asked what a feed has, a spray what a spray has, and a filled line stays', () => {
  render(<Held />);
  const lines = () => screen.getAllByRole('textbox').length;
  expect(screen.queryByLabelText('Days to wait before harvest')).toBeNull();
  expect(lines()).toBeLessThanOrEqual(8);
  expect(screen.getAllByRole('checkbox').length).toBeLessThanOrEqual(8);
  fireEvent.change(screen.getByLabelText('The three numbers'), { target: { value: '12-4-8' } });
  fireEvent.click(screen.getByLabelText('a spray or remedy'));
  expect(screen.getByLabelText('Days to wait before harvest')).toBeVisible();
  expect(screen.getByLabelText('The three numbers')).toHaveValue('12-4-8');
  fireEvent.click(screen.getByLabelText('something else: show every line'));
  expect(lines()).toBeGreaterThan(15);
});
