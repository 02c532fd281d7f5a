'use client';

import { type ReactNode, useState } from 'react';
import { Button, Disclosure, DisclosurePanel } from 'react-aria-components';
import { styled } from 'styled-components';

interface FoldProps {
  readonly title: ReactNode;
  readonly children: ReactNode;
  readonly id?: string;
  /** Open at first, and again whenever this turns true. The gardener may fold it all the same. */
  readonly isOpen?: boolean;
  readonly onOpenChange?: (isOpen: boolean) => void;
  /** `heading` is a part of the page, `soft` an aside. */
  readonly tone?: 'plain' | 'heading' | 'soft';
  /** Set off from what stands above it by a rule. */
  readonly isRuled?: boolean;
  /** How bad what is in it is, as the audit grades. */
  readonly grade?: string;
  /** Of the part that folds. */
  readonly className?: string;
}

/** A part that is folded away until it is asked for. */
export function Fold({ title, children, isOpen = false, onOpenChange, ...look }: FoldProps) {
  const [shown, setShown] = useState(isOpen);
  const [asked, setAsked] = useState(isOpen);
  if (asked !== isOpen) {
    setAsked(isOpen);
    if (isOpen) setShown(true);
  }
  const turn = (isNow: boolean): void => {
    setShown(isNow);
    onOpenChange?.(isNow);
  };
  const opener = (
    <Opener slot="trigger" data-tone={look.tone ?? 'plain'} data-grade={look.grade}>
      <i aria-hidden="true" />
      <span>{title}</span>
    </Opener>
  );
  return (
    <Whole
      data-fold=""
      id={look.id}
      isExpanded={shown}
      onExpandedChange={turn}
      data-ruled={look.isRuled || undefined}
    >
      {look.tone === 'heading' ? <h2>{opener}</h2> : opener}
      <Folded data-folded="" className={look.className}>
        {children}
      </Folded>
    </Whole>
  );
}

const Whole = styled(Disclosure)`
  min-width: 0;
  &[data-ruled] { border-top: 1px solid var(--rule); padding-top: 12px; }
`;

const Opener = styled(Button)`
  display: inline-flex; gap: 10px; align-items: baseline; padding: 4px 0; border: 0; background: none; color: inherit; font: inherit; font-weight: 600;
  text-align: start; cursor: pointer; max-width: 100%;
  & > i { flex: none; width: 7px; height: 7px; border: solid currentColor; border-width: 0 2px 2px 0; transform: translateY(-2px) rotate(-45deg); }
  &[aria-expanded='true'] > i { transform: translateY(-3px) rotate(45deg); }
  &[data-hovered] > span { text-decoration: underline; text-underline-offset: 3px; }
  &[data-focus-visible] { outline: 3px solid var(--clay); outline-offset: 2px; }
  &[data-tone='heading'] { font-family: var(--font-heading), sans-serif; font-weight: 650; font-size: 1.125rem; }
  &[data-tone='soft'] { font-weight: 400; color: var(--ink-soft); }
  @media (pointer: coarse) { padding: 12px 0; }
`;

const Folded = styled(DisclosurePanel)`
  min-width: 0;
  &[hidden]:not([hidden='until-found']) { display: none; }
  & > * { margin-top: 12px; }
`;
