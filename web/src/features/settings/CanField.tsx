import type { FieldSpec } from '@huerta/core/document';
import { usePreferences } from '../../ui/preferences';
import { QuantityField } from '../../ui/QuantityField';

/** Half a litre to ten gallons. m³. */
const CAN: FieldSpec = { label: 'Your watering can holds', kind: 'volume', min: 5e-4, max: 0.038 };

/** What a can holds: Today counts what is to be carried in it, and a line of the log may tell water by it. */
export function CanField() {
  const { can, setCan } = usePreferences();
  return (
    <QuantityField
      spec={CAN}
      value={can}
      onCommit={(volume) => {
        setCan(volume);
        return null;
      }}
    />
  );
}
