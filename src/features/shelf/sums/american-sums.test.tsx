import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { ReactElement } from 'react';
import { I18nProvider } from 'react-aria-components';
import { productFixture, rateFixture } from '@/core/trial/fixtures/product-fixture';
import { DoseSheet } from '../DoseSheet';
import { LooseMeasures } from '../LooseMeasures';
import { DripSum } from './DripSum';
import { LawnSum } from './LawnSum';
import { LayerSum } from './LayerSum';
import { MixSum } from './MixSum';
import { PotSum } from './PotSum';
import { RainSum } from './RainSum';
import { DrySum, SaltSum } from './SaltSum';
import { SieveSum } from './SieveSum';
import { SpraySum } from './SpraySum';

const METRIC = /\d ?(?:mm|cm|m²|ml|l|g|kg)\b|litre|gram|square metre/;

function american(sum: ReactElement): void {
  render(<I18nProvider locale="en-US">{sum}</I18nProvider>);
}

test.each([
  ['salt', <SaltSum key="us" system="us" />],
  ['wet and dry', <DrySum key="us" system="us" />],
  ['a drip line', <DripSum key="us" />],
  ['a lawn', <LawnSum key="us" />],
  ['sieves', <SieveSum key="us" system="us" />],
  ['a spray', <SpraySum key="us" system="us" />],
  ['a mix', <MixSum key="us" system="us" />],
  ['a pot', <PotSum key="us" system="us" />],
  ['layers', <LayerSum key="us" system="us" />],
  ['rain on a pot', <RainSum key="us" system="us" />],
  [
    'a dose',
    <DoseSheet
      key="us"
      product={productFixture({ rates: [rateFixture(70, 70, { kind: 'area', m2: 1 }, 'mass')] })}
      system="us"
    />,
  ],
])('the sum of %s asks and says nothing metric in an American garden', (_name, sum) => {
  american(sum);
  const fields = screen.getAllByRole<HTMLInputElement>('textbox');
  expect(document.body.textContent).not.toMatch(METRIC);
  expect(fields.map(field => field.value).join('\n')).not.toMatch(METRIC);
  expect(screen.queryByText(/is not a|More than none|From /)).toBeNull();
});

test('salt: 10 oz in a gallon, half a gallon on 10 sq ft, three times, leave 1.5 oz a square foot', () => {
  american(<SaltSum system="us" />);
  expect(screen.getByText('1.5 oz a square foot stay')).toBeVisible();
  expect(screen.getByText(/^10 oz a gallon\./)).toBeVisible();
});

test('a drip line: cups of 3.3, 3.5, 2.9 and 3.4 fl oz in 10 minutes, two emitters, 30 minutes three times', () => {
  american(<DripSum />);
  // (3.3 + 3.5 + 2.9 + 3.4) / 4 = 3.275 fl oz in 10 minutes; × 3 × 3 × 2 = 58.95 fl oz = 0.4605 gal
  expect(screen.getByText('0.461 gal a plant and week')).toBeVisible();
});

test('a lawn: from 3 in to 2 in at the lowest; one cut to 1½ in that grows ⅛ in a day, every 6 days', () => {
  american(<LawnSum />);
  fireEvent.change(screen.getByLabelText('Stands now at'), { target: { value: '3' } });
  expect(screen.getByText(/^From 3 in cut it to 2 in at the lowest/)).toBeVisible();
  expect(screen.getByText('every 6 days')).toBeVisible();
});

test('a spray: 6 tbsp to a gallon are said by the gallon', () => {
  american(<SpraySum system="us" />);
  expect(screen.getByText(/^3 fl oz a gallon\./)).toBeVisible();
});

test('five handfuls are weighed in the ounces that the field says', async () => {
  const weigh = jest.fn().mockResolvedValue(undefined);
  american(<LooseMeasures measures={[]} isLiquid={false} weigh={weigh} />);
  expect(screen.getByRole('option', { name: 'ounces' })).toBeInTheDocument();
  fireEvent.change(screen.getByLabelText('A'), { target: { value: 'handful' } });
  fireEvent.change(screen.getByLabelText('Five tries'), { target: { value: '1 2' } });
  fireEvent.click(screen.getByRole('button', { name: 'Keep it' }));
  await waitFor(() =>
    expect(weigh).toHaveBeenCalledWith({
      name: 'handful',
      of: 'mass',
      tries: [expect.closeTo(28.3495, 4), expect.closeTo(56.699, 3)],
    }),
  );
});
