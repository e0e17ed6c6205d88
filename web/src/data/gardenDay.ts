import { dayIn, isZone, ownZone } from '@huerta/core/physics/climate';
import { useSyncExternalStore } from 'react';

/**
 * The garden's day: whoever looks at it from elsewhere sees the day that it is there. Its time zone is the one chosen in
 * Settings, known from the last answer that said it; before that it is this device's.
 */

const KEPT = 'huerta.zone';

function zoneKept(): string | null {
  try {
    const kept = localStorage.getItem(KEPT);
    return kept !== null && isZone(kept) ? kept : null;
  } catch {
    return null;
  }
}

let zone = zoneKept();
const listeners = new Set<() => void>();
const tell = (): void => listeners.forEach((listener) => listener());

/** The time zone of the garden, as the IANA names it. */
export const gardenZone = (): string => zone ?? ownZone();

const MINUTE_MS = 60_000;

/** The day by its zone and minute: every component that shows a day asks with every render. */
let lastDay = { zone: '', minute: -1, day: '' };

/** The day that it is in the garden, as an ISO date. */
export function gardenDay(): string {
  const minute = Math.floor(Date.now() / MINUTE_MS);
  if (lastDay.minute !== minute || lastDay.zone !== (zone ?? '')) {
    lastDay = { zone: zone ?? '', minute, day: dayIn(gardenZone()) };
  }
  return lastDay.day;
}

/** Takes down which time zone the garden has; null where nobody has said. */
export function setGardenZone(name: string | null): void {
  if (name === zone) return;
  zone = name;
  try {
    if (name === null) localStorage.removeItem(KEPT);
    else localStorage.setItem(KEPT, name);
  } catch {
    // A window that keeps nothing asks again.
  }
  tell();
}

/** How often it is looked whether a new day has begun, milliseconds. */
const LOOKS_MS = MINUTE_MS;

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  const timer = setInterval(listener, LOOKS_MS);
  document.addEventListener('visibilitychange', listener);
  return () => {
    listeners.delete(listener);
    clearInterval(timer);
    document.removeEventListener('visibilitychange', listener);
  };
}

/** The day that it is in the garden, also after midnight. ISO date. */
export const useGardenDay = (): string => useSyncExternalStore(subscribe, gardenDay);
