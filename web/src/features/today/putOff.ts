import { dayAfter } from '@huerta/core/physics/climate';
import { useState } from 'react';

/** What somebody does not want to be told for some days, on this device. */

const KEY = 'huerta.put-off';
/** Days for which something is put off by a press. */
const PUT_OFF_DAYS = 7;

/** Until which day each is put off, by planter and duty. */
type PutOff = Readonly<Record<string, string>>;

function read(): PutOff {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '{}');
    return typeof kept === 'object' && kept !== null ? (kept as PutOff) : {};
  } catch {
    return {};
  }
}

function write(next: PutOff): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(next));
  } catch {
    // Where nothing is kept it is put off until the page is left.
  }
}

/** What is put off, and how to do it and take it back. @param today ISO date */
export function usePutOff(today: string): {
  isPutOff(key: string): boolean;
  putOff(keys: readonly string[]): void;
  takeBack(keys: readonly string[]): void;
} {
  const [kept, setKept] = useState(read);
  const change = (next: PutOff) => {
    // What is over is forgotten.
    const left = Object.fromEntries(Object.entries(next).filter(([, until]) => until > today));
    write(left);
    setKept(left);
  };
  return {
    isPutOff: (key) => (kept[key] ?? '') > today,
    putOff: (keys) =>
      change({
        ...kept,
        ...Object.fromEntries(keys.map((key) => [key, dayAfter(today, PUT_OFF_DAYS)])),
      }),
    takeBack: (keys) =>
      change(Object.fromEntries(Object.entries(kept).filter(([key]) => !keys.includes(key)))),
  };
}
