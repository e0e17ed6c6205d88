import { Text } from '@chakra-ui/react';
import type { BuildSheet } from '@huerta/core/fabrication';
import { useWords } from '../../ui/preferences';
import { SheetSection, Table } from '../../ui/Table';

/** Every hole: where its middle goes, the drill that exists for it, and why. */
export function Holes({ sheet }: { sheet: BuildSheet }) {
  const { tell, write, units } = useWords();
  return (
    <SheetSection title="Holes">
      {sheet.holes.length === 0 ? (
        <Text>Nothing is drilled.</Text>
      ) : (
        <>
          <Text mb="3" color="faint">
            Sizes are {units === 'us' ? 'inch' : 'metric'} drills and hole saws that are on sale.
            The switch for units above changes the set.
          </Text>
          <Table
            head={['In', 'How many', 'Drill', 'Where', 'Why']}
            rows={sheet.holes.map((hole) => [
              hole.id,
              hole.part,
              String(hole.count),
              `${write(hole.bit, 'length')}, ${hole.tool.toLowerCase()}`,
              tell(hole.where),
              tell(hole.why),
            ])}
          />
        </>
      )}
    </SheetSection>
  );
}
