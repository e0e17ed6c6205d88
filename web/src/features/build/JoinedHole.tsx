import { Text } from '@chakra-ui/react';
import { hoseHole } from '@huerta/core/fabrication';
import { Link } from 'react-router';
import { useLineOf } from '../../data/api/round';
import { useWords } from '../../ui/preferences';

/** The hole for the hose of a planter that is joined to others, which its own sheet does not know. */
export function JoinedHole({ planter }: { planter: string }) {
  const line = useLineOf(planter);
  const { tell } = useWords();
  const hole = line && hoseHole(line, planter);
  if (!hole) return null;
  return (
    <Text mb="2" maxW="46rem" overflowWrap="anywhere">
      {tell(hole)} Heights, hoses and fittings are on{' '}
      <Link to="/joined" style={{ textDecoration: 'underline' }}>
        Joined
      </Link>
      .
    </Text>
  );
}
