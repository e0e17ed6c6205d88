import { Text } from '@chakra-ui/react';
import { useLineOf } from '../../data/api/round';

/** That a planter shares its water with others, by which its days are more than its own. */
export function JoinedNote({ planter }: { planter: string }) {
  const line = useLineOf(planter);
  if (!line) return null;
  return (
    <Text fontSize="sm" color="faint" overflowWrap="anywhere">
      By itself; it is joined as ‘{line.name}’
    </Text>
  );
}
