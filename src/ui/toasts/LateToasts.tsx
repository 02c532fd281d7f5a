'use client';

import dynamic from 'next/dynamic';
import { useSyncExternalStore } from 'react';
import { wasTold, whenTold } from './tell';

const Toasts = dynamic(() => import('./Toasts').then(file => file.Toasts), { ssr: false });

/** Where toasts come, once there is one: until then it is next to no script. */
export function LateToasts() {
  return useSyncExternalStore(whenTold, wasTold, () => false) ? <Toasts /> : null;
}
