'use client';

import { styled } from 'styled-components';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { FORM_WORDS, isPastKeeping, type Product, storeTrouble } from '@/core/trial/model/product';
import { counted } from '@/core/words/plural';
import { useAmountWords, useSystem } from '@/features/frame/use-garden-units';
import { Link } from '@/ui/Link';
import { Page, Soft } from '@/ui/Page';
import { UnreadProducts } from './UnreadProducts';

interface ShelfProps {
  readonly products: readonly Product[];
  /** Those that can't be read. */
  readonly broken: readonly Pick<Product, 'id' | 'name'>[];
  readonly today: string;
  /** Of the last days, in the shade; undefined where no weather is known. */
  readonly warmestC: number | undefined;
}

/** What the garden has in its shed, as the packs print it. */
export function Shelf({ products, broken, today, warmestC }: ShelfProps) {
  const system = useSystem();
  const inUnits = useAmountWords();
  return (
    <Page>
      <h1>The shelf</h1>
      <Ways>
        <Link href="/shelf/new">Put a product on it</Link>
        <Link href="/shelf/sums">Mixes, layers, pots and sprays</Link>
      </Ways>
      <UnreadProducts products={broken} />
      {products.length === 0 && broken.length === 0 ? (
        <Soft>
          Nothing stands here yet. Put a feed, a mix or a spray on the shelf as its pack prints it:
          the three numbers, the rate, the price. Then Turnspit works out what each pot gets, what
          is in it, and what it costs.
        </Soft>
      ) : (
        <List>
          {products.map(product => (
            <li key={product.id}>
              <Link href={`/shelf/${product.id}`}>{product.name}</Link>
              <b>
                {product.analysis
                  ? `${product.analysis.n}-${product.analysis.p}-${product.analysis.k}`
                  : '—'}
              </b>
              <span>
                {FORM_WORDS[product.form]}
                {product.analysis?.basis === 'element' ? ', counted as elements' : ''}
                {product.pack ? `, pack of ${inUnits(product.pack.amount, product.pack.of)}` : ''}
              </span>
              <small>
                {product.rates.length === 0
                  ? 'no rate yet'
                  : product.rates.map(rate => rate.asWritten).join(' · ')}
                {product.waitingDays === null
                  ? ''
                  : ` · ${counted(product.waitingDays, 'day')} before harvest`}
              </small>
              {mindOf(product, today, warmestC, system).map(mind => (
                <em key={mind}>{mind}</em>
              ))}
            </li>
          ))}
        </List>
      )}
    </Page>
  );
}

/** What its store asks to mind today. */
function mindOf(
  product: Product,
  today: string,
  warmestC: number | undefined,
  system: MeasureSystem,
): readonly string[] {
  const old = product.batches
    .filter(batch => isPastKeeping(product, batch, today))
    .map(batch => `${batch.name} stands open past the ${product.keepsMonths} months it keeps.`);
  return [
    storeTrouble(product, warmestC, system) ?? '',
    ...old,
    product.keepDark ? 'Light spoils it: keep it in its own bottle, shut away.' : '',
    product.mixedHours === null
      ? ''
      : `Once mixed it is good for ${counted(product.mixedHours, 'hour')}: mix what is used up.`,
  ].filter(each => each !== '');
}

const Ways = styled.p`
  display: flex; flex-wrap: wrap; gap: 8px 32px;
  & a { font-weight: 600; color: var(--clay); }
`;

const List = styled.ul`
  list-style: none; margin: 0; padding: 0; border-top: 1px solid var(--ink);
  & li { display: grid; grid-template-columns: minmax(180px, 2fr) 120px minmax(0, 3fr); gap: 2px 24px; padding: 14px 0; border-bottom: 1px solid var(--rule); align-items: baseline; }
  & a { font-weight: 600; font-size: 1.125rem; }
  & b { font-family: var(--font-heading), sans-serif; font-size: 1.25rem; }
  & em { grid-column: 3; font-style: normal; font-size: 0.9375rem; border-left: 3px solid var(--straw); padding-left: 10px; }
  & small { grid-column: 3; color: var(--ink-soft); font-size: 0.9375rem; }
  @media (max-width: 640px) { & li { grid-template-columns: minmax(0, 1fr) auto; } & span, & small, & em { grid-column: 1 / -1; } }
`;
