'use client';

import type { ReactNode } from 'react';
import { useAddress } from '@/ui/pages/address';
import { PageNav } from '@/ui/pages/PageNav';

const PAGES = [
  { key: 'photos', label: 'Photos' },
  { key: 'soil', label: 'Soil' },
  { key: 'dug', label: 'Digging up' },
  { key: 'taste', label: 'Taste' },
] as const;

type CloseLooksProps = Readonly<Record<(typeof PAGES)[number]['key'], ReactNode>>;

/** What is looked at closely: a page each. */
export function CloseLooks(looks: CloseLooksProps) {
  const asked = useAddress().get('page');
  const page = PAGES.find(each => each.key === asked)?.key ?? 'photos';
  return (
    <>
      <PageNav label="Close looks" pages={PAGES} page={page} />
      {looks[page]}
    </>
  );
}
