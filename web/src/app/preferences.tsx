import {
  tell,
  writeParts,
  writeQuantity,
  type Message,
  type QuantityKind,
  type UnitSystem,
} from '@huerta/core';
import { createContext, use, useEffect, useMemo, useState, type ReactNode } from 'react';

type ColourMode = 'light' | 'dark';

interface Preferences {
  units: UnitSystem;
  setUnits(units: UnitSystem): void;
  mode: ColourMode;
  setMode(mode: ColourMode): void;
}

const PreferencesContext = createContext<Preferences | null>(null);

/** Reads a remembered choice; storage may be closed, then the default holds for this visit. */
function remembered<T extends string>(key: string, allowed: readonly T[], otherwise: T): T {
  try {
    const value = localStorage.getItem(key);
    return allowed.find((candidate) => candidate === value) ?? otherwise;
  } catch {
    return otherwise;
  }
}

function remember(key: string, value: string): void {
  try {
    localStorage.setItem(key, value);
  } catch {
    // Without storage the choice lasts as long as the page.
  }
}

/** Units and light or dark, remembered on this device. */
export function PreferencesProvider({ children }: { children: ReactNode }) {
  const [units, setUnits] = useState(() =>
    remembered<UnitSystem>('huerta.units', ['metric', 'us'], 'metric'),
  );
  const [mode, setMode] = useState(() =>
    remembered<ColourMode>(
      'huerta.mode',
      ['light', 'dark'],
      window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light',
    ),
  );
  useEffect(() => remember('huerta.units', units), [units]);
  useEffect(() => {
    remember('huerta.mode', mode);
    document.documentElement.classList.toggle('dark', mode === 'dark');
    document.documentElement.classList.toggle('light', mode === 'light');
  }, [mode]);
  const value = useMemo(() => ({ units, setUnits, mode, setMode }), [units, mode]);
  return <PreferencesContext value={value}>{children}</PreferencesContext>;
}

export function usePreferences(): Preferences {
  const preferences = use(PreferencesContext);
  if (!preferences) throw new Error('Preferences are read outside their provider');
  return preferences;
}

/** Ways of writing quantities and messages in the chosen units. */
export function useWords() {
  const { units } = usePreferences();
  return useMemo(
    () => ({
      units,
      tell: (message: Message) => tell(message, units),
      write: (value: number, kind: QuantityKind) => writeQuantity(value, kind, units),
      parts: (value: number, kind: QuantityKind) => writeParts(value, kind, units),
    }),
    [units],
  );
}
