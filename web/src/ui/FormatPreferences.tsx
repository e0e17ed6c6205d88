import { DECIMAL_MARKS, WORD_STYLES } from '@huerta/core/units';
import { usePreferences } from './preferences';
import { ChoiceField } from './ChoiceField';
import { DATE_ORDERS, WEEK_CHOICES } from './dates';

const UNITS = {
  metric: { name: 'Millimetres and litres' },
  us: { name: 'Inches and gallons' },
};

/** How measures and dates are written on this device. */
export function FormatPreferences() {
  const { units, setUnits, dates, setDates, week, setWeek, style, setStyle, decimal, setDecimal } =
    usePreferences();
  return (
    <>
      <ChoiceField label="Measures" value={units} choices={UNITS} onChoose={setUnits} />
      <ChoiceField label="Words" value={style} choices={WORD_STYLES} onChoose={setStyle} />
      <ChoiceField label="Dates" value={dates} choices={DATE_ORDERS} onChoose={setDates} />
      <ChoiceField
        label="A week begins on"
        value={week}
        choices={WEEK_CHOICES}
        onChoose={setWeek}
      />
      <ChoiceField label="Numbers" value={decimal} choices={DECIMAL_MARKS} onChoose={setDecimal} />
    </>
  );
}
