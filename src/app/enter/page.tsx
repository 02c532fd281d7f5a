import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { currentRole } from '@/app/role';
import { Enter } from '@/features/sharing/Enter';
import { hasAuthority } from '@/service/sharing/authority';
import { isShared } from '@/service/sharing/shared';
import { enterAction } from './actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Come in' };

interface EnterPageProps {
  readonly searchParams: Promise<{ readonly [name in 'to' | 'not']?: string | readonly string[] }>;
}

export default async function EnterPage({ searchParams }: EnterPageProps) {
  if (!isShared()) redirect('/');
  const { to, not } = await searchParams;
  return (
    <Enter
      to={typeof to === 'string' ? to : '/'}
      isIn={(await currentRole()) !== undefined}
      wasNotIt={not !== undefined}
      hasAuthority={hasAuthority()}
      enter={enterAction}
    />
  );
}
