import { Box, Text } from '@chakra-ui/react';
import { cautionsFor, type BenchPanel } from '@huerta/core/assessment';
import type { PlanterDesign } from '@huerta/core/document';
import { useWords } from './preferences';
import { TriangleAlert } from 'lucide-react';

/** The cautions of one room, next to the work that they are about. */
export function Cautions({ room, design }: { room: BenchPanel; design: PlanterDesign }) {
  const { say } = useWords();
  const cautions = cautionsFor(room, design);
  if (cautions.length === 0) return null;
  return (
    <Box
      as="aside"
      aria-label="Cautions"
      bg="strawWash"
      px="3"
      py="2.5"
      fontSize="xs"
      lineHeight="1.4"
    >
      {cautions.map((caution) => (
        <Box key={caution.id} display="flex" gap="2" _notFirst={{ mt: '2' }}>
          <Box as="span" color="strawInk" flexShrink="0" pt="0.5">
            <TriangleAlert size={16} aria-hidden />
          </Box>
          <Text>{say(caution.text)}</Text>
        </Box>
      ))}
    </Box>
  );
}
