import type { ReactNode } from 'react';
import { ChosenUnitProvider } from '@/features/bench/ChosenUnit';

export default function TrialLayout({ children }: { readonly children: ReactNode }) {
  return <ChosenUnitProvider>{children}</ChosenUnitProvider>;
}
