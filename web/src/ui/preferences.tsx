import {
  DECIMAL_MARK_IDS,
  wordsIn,
  type DecimalMark,
  type UnitSystem,
  type Words,
  type WordStyle,
} from '@huerta/core/units';
import { canOf, WEEK_STARTS, type WeekStart } from '@huerta/core/journal';
import { PAPER_IDS, type PaperId } from '@huerta/core/fabrication';
import { setDateOrder, usualOrder, usualWeek, type DateOrder } from './dates';
import { setDecimalMark, usualMark } from './decimalMark';
import {
  createContext,
  use,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';

type ColourMode = 'light' | 'dark';

interface Preferences {
  units: UnitSystem;
  setUnits(units: UnitSystem): void;
  mode: ColourMode;
  setMode(mode: ColourMode): void;
  dates: DateOrder;
  setDates(order: DateOrder): void;
  /** The day that a week begins on. */
  week: WeekStart;
  setWeek(starts: WeekStart): void;
  /** British or American words. */
  style: WordStyle;
  setStyle(style: WordStyle): void;
  /** The mark in numbers, on screen, on paper and in tables. */
  decimal: DecimalMark;
  setDecimal(mark: DecimalMark): void;
  /** What lies in the printer: as chosen, else what is usual where people measure so. */
  paper: PaperId;
  setPaper(paper: PaperId): void;
  /** What one's watering can holds, m³: as somebody set it, else a usual one. */
  can: number;
  setCan(volume: number): void;
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

/** A can's volume as it was set here, m³; null for none. */
function rememberedCan(): number | null {
  try {
    const value = Number(localStorage.getItem('huerta.can'));
    return value > 0 && value <= 1 ? value : null;
  } catch {
    return null;
  }
}

/** Inches and gallons where the browser’s language is American, else millimetres and litres. */
const usualUnits = (language: string): UnitSystem => (/^en-US$/i.test(language) ? 'us' : 'metric');

/** American words where the browser’s language is American, else British. */
const usualStyle = (language: string): WordStyle =>
  /^en-US$/i.test(language) ? 'american' : 'british';

const darkOutside = () => window.matchMedia('(prefers-color-scheme: dark)');
/** Whether the device is dark now, as long as nothing else is chosen. */
const isDusk = (): boolean => darkOutside().matches;
function watchDusk(changed: () => void): () => void {
  const query = darkOutside();
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
}

/** Units, words, dates and light or dark, remembered on this device. */
export function PreferencesProvider({ children }: { children: ReactNode }) {
  const [units, setUnits] = useState(() =>
    remembered<UnitSystem>('huerta.units', ['metric', 'us'], usualUnits(navigator.language)),
  );
  const [chosenMode, setMode] = useState(() =>
    remembered<ColourMode | ''>('huerta.mode', ['light', 'dark'], ''),
  );
  const dusk = useSyncExternalStore(watchDusk, isDusk);
  const mode = chosenMode || (dusk ? 'dark' : 'light');
  const [dates, setDates] = useState(() =>
    remembered<DateOrder>(
      'huerta.dates',
      ['day-first', 'month-first'],
      usualOrder(navigator.language),
    ),
  );
  const [week, setWeek] = useState(() =>
    remembered<WeekStart>('huerta.week', WEEK_STARTS, usualWeek(navigator.language)),
  );
  const [style, setStyle] = useState(() =>
    remembered<WordStyle>('huerta.words', ['british', 'american'], usualStyle(navigator.language)),
  );
  const [decimal, setDecimal] = useState(() =>
    remembered<DecimalMark>('huerta.decimal', DECIMAL_MARK_IDS, usualMark(navigator.language)),
  );
  const [chosenPaper, setPaper] = useState(() =>
    remembered<PaperId | ''>('huerta.paper', PAPER_IDS, ''),
  );
  const [ownCan, setCan] = useState(rememberedCan);
  const can = ownCan ?? canOf(units);
  const paper = chosenPaper || (units === 'us' ? 'letter' : 'a4');
  setDecimalMark(decimal);
  // Before anything below is drawn, so that every date is written in this order.
  setDateOrder(dates);
  useEffect(() => remember('huerta.dates', dates), [dates]);
  useEffect(() => remember('huerta.units', units), [units]);
  useEffect(() => remember('huerta.week', week), [week]);
  useEffect(() => remember('huerta.words', style), [style]);
  useEffect(() => remember('huerta.decimal', decimal), [decimal]);
  useEffect(() => {
    if (ownCan !== null) remember('huerta.can', String(ownCan));
  }, [ownCan]);
  useEffect(() => {
    if (chosenPaper) remember('huerta.paper', chosenPaper);
  }, [chosenPaper]);
  useEffect(() => {
    if (chosenMode) remember('huerta.mode', chosenMode);
  }, [chosenMode]);
  useEffect(() => {
    const show = (shown: ColourMode) => {
      document.documentElement.classList.toggle('dark', shown === 'dark');
      document.documentElement.classList.toggle('light', shown === 'light');
    };
    show(mode);
    // Paper is light.
    const print = () => show('light');
    const back = () => show(mode);
    window.addEventListener('beforeprint', print);
    window.addEventListener('afterprint', back);
    return () => {
      window.removeEventListener('beforeprint', print);
      window.removeEventListener('afterprint', back);
    };
  }, [mode]);
  const value = useMemo(
    () => ({
      units,
      setUnits,
      mode,
      setMode,
      dates,
      setDates,
      week,
      setWeek,
      style,
      setStyle,
      decimal,
      setDecimal,
      paper,
      setPaper,
      can,
      setCan,
    }),
    [units, mode, dates, week, style, decimal, paper, can],
  );
  return <PreferencesContext value={value}>{children}</PreferencesContext>;
}

export function usePreferences(): Preferences {
  const preferences = use(PreferencesContext);
  if (!preferences) throw new Error('Preferences are read outside their provider');
  return preferences;
}

/** How everything is written, as it was chosen. */
export function useWords(): Words {
  const { units, style, decimal } = usePreferences();
  return useMemo(() => wordsIn(units, decimal, style), [units, style, decimal]);
}
