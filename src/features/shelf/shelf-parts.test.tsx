import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { productDraft } from '@/core/materials/label/product-form';
import { addDays } from '@/core/time/garden-day';
import { productFixture, rateFixture } from '@/core/trial/fixtures/product-fixture';
import { DripSum } from '@/features/shelf/sums/DripSum';
import { HeapSum } from '@/features/shelf/sums/HeapSum';
import { HeatSum } from '@/features/shelf/sums/HeatSum';
import { LawnSum } from '@/features/shelf/sums/LawnSum';
import { LayerSum } from '@/features/shelf/sums/LayerSum';
import { LooseSum } from '@/features/shelf/sums/LooseSum';
import { MixSum } from '@/features/shelf/sums/MixSum';
import { PotSum } from '@/features/shelf/sums/PotSum';
import { RainSum } from '@/features/shelf/sums/RainSum';
import { DrySum, SaltSum } from '@/features/shelf/sums/SaltSum';
import { SieveSum } from '@/features/shelf/sums/SieveSum';
import { SowSum } from '@/features/shelf/sums/SowSum';
import { SpraySum } from '@/features/shelf/sums/SpraySum';
import { Cautions } from './Cautions';
import { DoseSheet } from './DoseSheet';
import { LabelWorking } from './LabelWorking';
import { LooseMeasures } from './LooseMeasures';
import { Opened } from './Opened';
import { ProductForm } from './ProductForm';
import { Shelf } from './Shelf';
import { StepUp } from './StepUp';

const write = (label: string | RegExp, value: string): void => {
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
};
const TODAY = '2026-06-10';

describe('a product', () => {
  test('the working shows the factor from oxide to element, and what a missing density keeps from being known', () => {
    render(<LabelWorking product={productFixture({ densityGPerMl: null })} system="uk" />);
    expect(screen.getByText('× 0.4364 = 2.18 g P')).toBeVisible();
    expect(screen.getByText('× 0.8301 = 4.15 g K')).toBeVisible();
    expect(screen.getByText(/for spoons and millilitres its density is needed/)).toBeVisible();
  });

  test('the working of an American garden counts ounces, and what is no weight in weight stays a percentage', () => {
    const product = productFixture({ densityGPerMl: null });
    const { rerender } = render(<LabelWorking product={product} system="us" />);
    expect(screen.getByText('in 100 oz')).toBeVisible();
    expect(screen.getByText('× 0.4364 = 2.18 oz P')).toBeVisible();
    expect(screen.getByText(/fluid ounces its density is needed\. Weigh a pint/)).toBeVisible();
    const { analysis } = product;
    if (!analysis) throw new Error('the fixture must have an analysis');
    rerender(
      <LabelWorking product={{ ...product, analysis: { ...analysis, per: 'w/v' } }} system="us" />,
    );
    expect(screen.getByText('weight in volume')).toBeVisible();
    expect(screen.getByText('× 0.4364 = 2.18 % P')).toBeVisible();
  });

  test('a dose follows strength, water and tool; a coarse tool gets a stock solution', async () => {
    const user = userEvent.setup();
    render(
      <DoseSheet
        product={productFixture({
          rates: [rateFixture(20, 20), rateFixture(70, 100, { kind: 'area', m2: 1 }, 'mass')],
        })}
        system="uk"
      />,
    );
    expect(screen.getByText('How much water does each get?')).toBeVisible();
    write('Water to each', '0.5 l');
    write('Strength', '1/2');
    expect(screen.getByText('1.11 ml each, 8.89 ml for 8')).toBeVisible();
    await user.selectOptions(screen.getByLabelText('Measured with'), '15 ml cap');
    expect(screen.getByText(/A 15 ml cap is too coarse for that/)).toBeVisible();
    expect(screen.getByText('Use a finer tool:')).toBeVisible();
    await user.selectOptions(screen.getByLabelText('Measured with'), '1 ml syringe');
    expect(screen.queryByText('Use a finer tool:')).toBeNull();
    write('Strength', 'strong');
    expect(screen.getByText('1, 1/2 or 50%')).toBeVisible();
  });

  test('by area a width will do, and a kilogram will not', async () => {
    render(
      <DoseSheet
        product={productFixture({ rates: [rateFixture(70, 100, { kind: 'area', m2: 1 }, 'mass')] })}
        system="uk"
      />,
    );
    write('Each is across, or its area', '30 cm');
    expect(screen.getByText('7.07 g each, 56.5 g for 8')).toBeVisible();
    await userEvent.setup().selectOptions(screen.getByLabelText('Of the range'), 'the least, 70 g');
    expect(screen.getByText('4.95 g each, 39.6 g for 8')).toBeVisible();
    write('Each is across, or its area', '3 kg');
    expect(screen.getByText('A width such as 30 cm or 2 m, or an area.')).toBeVisible();
  });

  test('a can made up already says how many it is for, and how strong', () => {
    render(<DoseSheet product={productFixture({ rates: [rateFixture(20, 20)] })} system="uk" />);
    write('Water to each', '750 ml');
    write('So much', '5 l');
    write('holding', '10 ml');
    expect(screen.getByText('Enough for 6, 500 ml left; 45% of the label.')).toBeInTheDocument();
  });

  test('what is wrong stands by its field after saving, and what was typed stays', async () => {
    const save = jest
      .fn()
      .mockResolvedValueOnce({ grade: '60-30-20 makes 110%.' })
      .mockResolvedValue(undefined);
    render(
      <ProductForm
        draftKey="test-product"
        saved={productDraft(productFixture(), 'uk')}
        system="uk"
        save={save}
        takeOff={null}
      />,
    );
    write('The three numbers', '60-30-20');
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('60-30-20 makes 110%.')).toBeVisible();
    expect(screen.getByLabelText('The three numbers')).toHaveValue('60-30-20');
    expect(screen.getByText(/is worked out here as soon as the lines can be read/)).toBeVisible();
    await waitFor(() => {
      fireEvent.click(screen.getByRole('button', { name: 'Save' }));
      expect(screen.getByRole('status')).toHaveTextContent('Saved.');
    });
  });

  test('an open bottle past its months is not dosed from', async () => {
    const open = jest
      .fn()
      .mockResolvedValueOnce({ name: 'Give it a name.' })
      .mockResolvedValue(undefined);
    const batches = [
      {
        id: '019ed9be-7c4e-735c-aa18-b308639083f2',
        name: 'bottle 1',
        madeOn: null,
        openedOn: '2024-01-01',
      },
    ];
    render(
      <Opened product={productFixture({ keepsMonths: 12, batches })} today={TODAY} open={open} />,
    );
    expect(
      screen.getByText('past the 12 months it keeps: don’t dose a trial from it'),
    ).toBeVisible();
    fireEvent.click(screen.getByRole('button', { name: 'Open it' }));
    expect(await screen.findByText('Give it a name.')).toBeVisible();
    expect(open).toHaveBeenCalledWith({ id: expect.any(String), name: '', openedOn: TODAY });
  });

  test('a spray is stepped up: no look before its day, and harm ends it', () => {
    const look = jest.fn().mockResolvedValue(undefined);
    const product = (looks: readonly boolean[], startedOn = addDays(TODAY, -9)) =>
      productFixture({ stepUp: { startedOn, looks } });
    const { rerender } = render(<StepUp product={product([], TODAY)} today={TODAY} look={look} />);
    expect(screen.queryByRole('button', { name: 'No harm seen' })).toBeNull();
    rerender(<StepUp product={product([false])} today={TODAY} look={look} />);
    fireEvent.click(screen.getByRole('button', { name: 'Harm seen' }));
    expect(look).toHaveBeenCalledWith('harm');
    rerender(<StepUp product={product([false, true])} today={TODAY} look={look} />);
    expect(screen.getByText(/^Up to quarter strength did no harm/)).toBeVisible();
    rerender(<StepUp product={product([true])} today={TODAY} look={look} />);
    expect(screen.getByText('Even the weakest did harm. Don’t use it here.')).toBeVisible();
    expect(screen.getByText(/^A rising dose tells what harms/)).toBeVisible();
  });

  test('the shelf lists what is on it, and teaches when it is empty', () => {
    const { rerender } = render(
      <Shelf broken={[]} products={[]} today={TODAY} warmestC={undefined} />,
    );
    expect(screen.getByText(/^Nothing stands here yet/)).toBeVisible();
    rerender(
      <Shelf
        broken={[]}
        products={[productFixture({ waitingDays: 7, rates: [rateFixture(20, 20)] })]}
        today={TODAY}
        warmestC={34}
      />,
    );
    expect(screen.getByText('as on the label · 7 days before harvest')).toBeVisible();
    expect(screen.getByText('5-5-5')).toBeVisible();
  });

  test('the shelf says what spoils in heat and light, and what is used up the same day', () => {
    const open = {
      id: '019ed9be-7c4e-735c-aa18-b308639083f2',
      name: 'bottle 1',
      madeOn: null,
      openedOn: '2024-01-01',
    };
    const { rerender } = render(
      <Shelf
        broken={[]}
        products={[
          productFixture({
            keepBelowC: 30,
            keepDark: true,
            mixedHours: 24,
            keepsMonths: 12,
            batches: [open],
          }),
        ]}
        today={TODAY}
        warmestC={34}
      />,
    );
    expect(
      [
        'It was 34 °C of late; it keeps below 30 °C. A glasshouse is hotter still.',
        'Light spoils it: keep it in its own bottle, shut away.',
        'Once mixed it is good for 24 hours: mix what is used up.',
        'bottle 1 stands open past the 12 months it keeps.',
      ].filter(says => screen.queryByText(says) === null),
    ).toEqual([]);
    rerender(
      <Shelf
        broken={[]}
        products={[productFixture({ keepBelowC: 30 })]}
        today={TODAY}
        warmestC={29}
      />,
    );
    expect(screen.queryByText(/it keeps below/)).toBeNull();
  });

  test('five handfuls are weighed once and kept by name; nonsense is said', async () => {
    const weigh = jest.fn().mockResolvedValue(undefined);
    render(
      <LooseMeasures
        measures={[
          { name: 'cap', of: 'volume', mean: 14.2, sd: 0.4, tries: 5 },
          { name: 'handful', of: 'mass', mean: 34, sd: 5, tries: 5 },
        ]}
        isLiquid={false}
        weigh={weigh}
      />,
    );
    expect(screen.getByText('a cap: 14.2 ml, give or take 0.4 ml over 5')).toBeVisible();
    expect(screen.getByText('too uneven to dose by')).toBeVisible();
    write('A', 'pinch');
    write('Five tries', '1.1 x');
    await userEvent.setup().click(screen.getByRole('button', { name: 'Keep it' }));
    expect(screen.getByText('Numbers above 0, with spaces between them.')).toBeVisible();
    write('Five tries', '1,1 0.9 1');
    await userEvent.setup().click(screen.getByRole('button', { name: 'Keep it' }));
    expect(weigh).toHaveBeenCalledWith({ name: 'pinch', of: 'mass', tries: [1.1, 0.9, 1] });
  });

  test('cautions end with who decides; without hazards there are none', () => {
    const { container, rerender } = render(<Cautions hazards={['lime', 'lime']} />);
    expect(screen.getAllByRole('listitem')).toHaveLength(1);
    expect(
      screen.getByText('The product’s label, local rules and licensed advice decide.'),
    ).toBeVisible();
    rerender(<Cautions hazards={[]} />);
    expect(container).toBeEmptyDOMElement();
  });
});

describe('the sums of the shed', () => {
  test('a mix by parts, of the whole, and on top', async () => {
    render(<MixSum system="uk" />);
    write('It settles by, %', '0');
    write('What goes in', 'compost 0, 40 l, 8\nchar 10');
    await userEvent
      .setup()
      .selectOptions(screen.getByLabelText('The numbers are'), 'percent on top of the first');
    expect(screen.getByText('9.09%')).toBeVisible();
    write('What goes in', 'compost\nchar 10');
    expect(screen.getByText('“compost”: a name, then a number.')).toBeVisible();
    write('What goes in', '');
    expect(screen.getByText('Say what goes in, and how many parts of each.')).toBeVisible();
  });

  test('a layer in bags, and back', () => {
    render(<LayerSum system="us" />);
    write('The bed is long', '36 in');
    write('and wide', '36 in');
    write('Depths, in', '1, 3');
    expect(screen.getByText('2 (1.5)')).toBeVisible();
    expect(screen.getByText('4 in')).toBeVisible();
    write('A bag holds', '0 l');
    expect(screen.getByText('More than none.')).toBeVisible();
  });

  test('a pot, round or a box', async () => {
    render(<PotSum system="uk" />);
    expect(screen.getByText('16.1 l, 0.0707 m² open')).toBeVisible();
    await userEvent.setup().selectOptions(screen.getByLabelText('It is'), 'a box or trough');
    expect(screen.getByText('20.2 l')).toBeVisible();
  });

  test('a spray, both ways, and what a ratio can mean', () => {
    render(<SpraySum system="us" />);
    expect(screen.getByText('0.069% added, 0.070% made up')).toBeVisible();
    expect(screen.getAllByRole('listitem')).toHaveLength(2);
    write('What does it mean?', '1 part to 16');
    expect(screen.getByText('1 of product to 16 of water, 5.88% of the whole')).toBeVisible();
    write('In the bottle, %', '130');
    expect(screen.getByText('From 0 to 100.')).toBeVisible();
  });

  test('a handful, a heap, salt, wet and dry, a drip line', () => {
    render(
      <>
        <LooseSum />
        <HeapSum />
        <SaltSum system="uk" />
        <DrySum system="uk" />
        <DripSum />
      </>,
    );
    expect(
      screen.getByText('They differ by 13.6%: too much to dose by. Use a spoon or a scale.'),
    ).toBeVisible();
    write('What goes on', 'grass 10 0 45 3\nstraw 10 0 45 0.6');
    expect(screen.getByText('25 of carbon to 1 of nitrogen')).toBeVisible();
    expect(screen.getByText(/456 g a square metre stay/)).toBeVisible();
    expect(screen.getByText(/never where something is to grow/)).toBeVisible();
    expect(screen.getByText('200 g dry, as 308 g of the second')).toBeVisible();
    write('In the cups, ml', '50 100 150');
    expect(screen.getByText(/some plants drink more/)).toBeVisible();
    write('The five, all in one unit', '12');
    expect(
      screen.getByText('At least two numbers above 0, with spaces between them.'),
    ).toBeVisible();
  });

  test('rain on a pot, sieves, sowing, a lawn, a hot heap', () => {
    render(
      <>
        <RainSum system="uk" />
        <SieveSum system="uk" />
        <SowSum />
        <LawnSum />
        <HeatSum />
      </>,
    );
    expect(screen.getByText('982 ml a pot')).toBeVisible();
    write('Rain', '90 mm');
    expect(screen.getByText(/1.92 l ran out below/)).toBeVisible();
    expect(screen.getByText('480 g with all sizes alike, 120 g of each')).toBeVisible();
    write('On the sieves', '4 mm 30\n2 mm 60\npan 30');
    expect(screen.getAllByText('25%').length).toBeGreaterThan(1);
    write('On the sieves', 'coarse 30');
    expect(screen.getByText('An opening and a weight in each line: 4 mm 340 g.')).toBeVisible();
    expect(screen.getByText('sow 33')).toBeVisible();
    write('Seeds in a gram', '200');
    write('Seed in a pot', '0.5');
    expect(screen.getByText(/some 80 plants/)).toBeVisible();
    expect(screen.getByText('every 5.83 days')).toBeVisible();
    write('Stands now at', '60');
    expect(screen.getByText(/cut it to 40 mm/)).toBeVisible();
    expect(screen.getByText('4 hot days of 15')).toBeVisible();
    write('°C, a number a day', 'warm');
    expect(screen.getByText('Temperatures with spaces between them.')).toBeVisible();
  });
});
