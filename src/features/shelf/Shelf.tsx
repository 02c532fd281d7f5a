'use client';

import Link from 'next/link';
import { styled } from 'styled-components';
import { FORM_WORDS, type Product } from '@/core/materials/product';
import { counted } from '@/core/words/plural';
import { Page, Soft } from '@/ui/Page';
import { amountWords } from '@/core/materials/amount-words';

/** What the garden has in its shed, as the packs print it. */
export function Shelf({ products }: { readonly products: readonly Product[] }) {
  return (
    <Page>
      <h1>The shelf</h1>
      <Ways>
        <Link href="/shelf/new">Put a product on it</Link>
        <Link href="/shelf/sums">Mixes, layers, pots and sprays</Link>
      </Ways>
      {products.length === 0 ? (
        <Soft>Nothing stands here yet. Put a feed, a mix or a spray on the shelf as its pack prints it: the three numbers, the rate, the price. Then Turnspit works out what each pot gets, what is in it, and what it costs.</Soft>
      ) : (
        <List>
          {products.map(product => (
            <li key={product.id}>
              <Link href={`/shelf/${product.id}`}>{product.name}</Link>
              <b>{product.analysis ? `${product.analysis.n}-${product.analysis.p}-${product.analysis.k}` : '—'}</b>
              <span>{FORM_WORDS[product.form]}{product.analysis?.basis === 'element' ? ', counted as elements' : ''}{product.pack ? `, pack of ${amountWords(product.pack.amount, product.pack.of)}` : ''}</span>
              <small>{product.rates.length === 0 ? 'no rate yet' : product.rates.map(rate => rate.asWritten).join(' · ')}{product.waitingDays === null ? '' : ` · ${counted(product.waitingDays, 'day')} before harvest`}</small>
            </li>
          ))}
        </List>
      )}
    </Page>
  );
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
  & small { grid-column: 3; color: var(--ink-soft); font-size: 0.9375rem; }
  @media (max-width: 640px) { & li { grid-template-columns: minmax(0, 1fr) auto; } & span, & small { grid-column: 1 / -1; } }
`;
