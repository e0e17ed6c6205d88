import { Box, Text } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useSetAside } from '../../api/planters';
import { isOpen, keeper } from '../../keeping/kept';

/** What the garden page says of work that is not where it should be. */

function Bar({ children }: { children: ReactNode }) {
  return (
    <Box role="status" borderLeft="4px solid" borderColor="clay" bg="sheet" px="4" py="2" mb="4">
      {children}
    </Box>
  );
}

/** Planters with work on this device that the server does not have yet. */
export function Unsent() {
  const { data: waiting = [] } = useQuery({
    queryKey: ['kept'],
    queryFn: async () => {
      const all = await keeper.all();
      const open = await Promise.all(all.map(({ bench }) => isOpen(bench)));
      return all.filter((_, i) => !open[i]);
    },
  });
  if (waiting.length === 0) return null;
  return (
    <Bar>
      <Text>
        {waiting.length === 1 ? 'One planter has' : `${waiting.length} planters have`} changes that
        are kept on this device and not on the server yet. They are sent when it answers.
      </Text>
      {waiting.map(({ key, planter, design }) => (
        <Text key={key} overflowWrap="anywhere">
          <Link to={`/planters/${planter}`} style={{ textDecoration: 'underline' }}>
            Open {design.name}
          </Link>
        </Text>
      ))}
    </Bar>
  );
}

/** Planters that the server keeps and cannot read, each with its file. */
export function SetAside() {
  const { data: aside = [] } = useSetAside();
  if (aside.length === 0) return null;
  return (
    <Bar>
      {aside.map(({ id, name, why }) => (
        <Text key={id} overflowWrap="anywhere">
          ‘{name}’ is set aside: {why}{' '}
          <a
            className="file-link"
            href={`/api/planters/${id}/document`}
            download
            style={{ textDecoration: 'underline' }}
          >
            Take its file away
          </a>
        </Text>
      ))}
    </Bar>
  );
}
