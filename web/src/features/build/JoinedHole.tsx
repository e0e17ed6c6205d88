import { Text } from '@chakra-ui/react';
import { Link } from 'react-router';
import { useLineOf } from '../../data/api/round';
import { useWords } from '../../ui/preferences';

/** The hole for the hose of a planter that is joined to others, which its own sheet does not know. */
export function JoinedHole({ planter }: { planter: string }) {
  const line = useLineOf(planter);
  const { write } = useWords();
  const member = line?.members.find((one) => one.planter === planter);
  if (!line || !member) return null;
  return (
    <Text mb="2" maxW="46rem" overflowWrap="anywhere">
      It is joined as ‘{line.name}’: before any mix goes in, drill for the hose’s fitting, too, the
      middle of the hole {write(member.port, 'length')} above the inside floor. Heights, hoses and
      fittings are on{' '}
      <Link to="/joined" style={{ textDecoration: 'underline' }}>
        Joined
      </Link>
      .
    </Text>
  );
}
