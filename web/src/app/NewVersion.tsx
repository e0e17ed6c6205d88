import { useEffect } from 'react';
import { registerSW } from 'virtual:pwa-register';
import { prefetch } from '../data/api/prefetch';
import { notify } from '../ui/notices';

/** How often it is looked whether home has a newer Huerta. */
const LOOK_MS = 3_600_000;

/** Keeps the application and what it may need on this device, and offers a newer one when home has it; it is never forced. */
export function NewVersion() {
  useEffect(() => {
    const take = registerSW({
      onNeedRefresh: () =>
        notify('A newer Huerta is there. What you are doing is kept.', {
          label: 'Take it',
          run: () => void take(true),
        }),
      onRegisteredSW: (_address, registration) => {
        if (registration) setInterval(() => void registration.update(), LOOK_MS);
      },
    });
    return prefetch();
  }, []);
  return null;
}
