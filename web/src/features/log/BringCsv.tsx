import { Box, Button, Text } from '@chakra-ui/react';
import { Upload } from 'lucide-react';
import { useRef, useState } from 'react';
import { gardenDay } from '../../data/gardenDay';
import { useWriteLog } from '../../data/api/log';
import { readLogCsv, type LogTable } from '../../ui/logCsv';
import { notify } from '../../ui/notices';

/** Troubles that are shown. */
const SHOWN = 5;

/** Brings entries in from a table: what it holds is said before anything is written. */
export function BringCsv({ planter }: { planter: string }) {
  const input = useRef<HTMLInputElement>(null);
  const { keep } = useWriteLog();
  const [table, setTable] = useState<LogTable | null>(null);
  const read = async (file: File | undefined) => {
    if (!file) return;
    const today = gardenDay();
    setTable(readLogCsv(await file.text(), planter, today));
  };
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".csv,text/csv"
        hidden
        aria-label="A table of entries"
        onChange={({ target }) => {
          void read(target.files?.[0]);
          target.value = '';
        }}
      />
      <Button onClick={() => input.current?.click()}>
        <Upload size={18} aria-hidden /> From CSV
      </Button>
      {table && (
        <Box flexBasis="100%" role="status">
          <Text>
            {table.entries.length === 1
              ? 'One entry can be read.'
              : `${table.entries.length} entries can be read.`}{' '}
            {table.troubles.slice(0, SHOWN).join(' ')}
            {table.troubles.length > SHOWN && ` And ${table.troubles.length - SHOWN} more.`}
          </Text>
          <Box display="flex" gap="2" mt="1">
            {table.entries.length > 0 && (
              <Button
                variant="solid"
                onClick={() =>
                  void keep(table.entries).then(() => {
                    setTable(null);
                    notify('They are in the log. What was there already is there once.');
                  })
                }
              >
                Bring them in
              </Button>
            )}
            <Button variant="ghost" onClick={() => setTable(null)}>
              Leave it
            </Button>
          </Box>
        </Box>
      )}
    </>
  );
}
