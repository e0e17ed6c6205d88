import { Text } from '@chakra-ui/react';
import { useLineOf } from '../../data/api/round';

/** That a planter shares its water with others: its litres and days are with what they give it. */
export function JoinedNote({ planter }: { planter: string }) {
  const line = useLineOf(planter);
  if (!line) return null;
  return (
    <Text fontSize="sm" color="faint" overflowWrap="anywhere">
      With its share of the water of ‘{line.name}’
    </Text>
  );
}
