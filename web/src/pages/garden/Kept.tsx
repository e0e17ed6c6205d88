import { Box, Text } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useGarden } from '../../api/planters';
import { isOpen, keeper, type Kept } from '../../device/kept';

/** What the garden page says of work that is not where it should be. */

function Bar({ children }: { children: ReactNode }) {
  return (
    <Box role="status" borderLeft="4px solid" borderColor="clay" bg="sheet" px="4" py="2" mb="4">
      {children}
    </Box>
  );
}

/** What is said of each kind, and where it is opened. */
function named({ kind, id, body }: Kept): { name: string; to: string } {
  if ('design' in body) return { name: body.design.name, to: `/planters/${id}` };
  if ('vessel' in body) return { name: body.name, to: '/vessels' };
  if (kind === 'prices') return { name: 'the price book', to: '/prices' };
  if (kind === 'season') return { name: 'the plan of a season', to: `/planters/${id}/season` };
  if (kind === 'crops') return { name: 'your own crops', to: '/' };
  return { name: 'the weather', to: '/' };
}

/** Work on this device that the server does not have yet. */
export function Unsent() {
  const { data: waiting = [] } = useQuery({
    queryKey: ['kept'],
    queryFn: async () => {
      const all = await keeper.all();
      const open = await Promise.all(all.map(({ holder }) => isOpen(holder)));
      return all.filter((_, i) => !open[i]);
    },
  });
  if (waiting.length === 0) return null;
  return (
    <Bar>
      <Text>
        {waiting.length === 1
          ? 'One change is kept on this device and not on the server yet. It is'
          : `${waiting.length} changes are kept on this device and not on the server yet. They are`}{' '}
        sent when it answers.
      </Text>
      {waiting.map((kept) => {
        const { name, to } = named(kept);
        return (
          <Text key={kept.key} overflowWrap="anywhere">
            <Link to={to} style={{ textDecoration: 'underline' }}>
              Open {name}
            </Link>
            {kept.refused && `. It was not taken: ${kept.refused}`}
          </Text>
        );
      })}
    </Bar>
  );
}

/** Planters that the server keeps and cannot read, each with its file. */
export function SetAside() {
  const aside = useGarden().data?.setAside ?? [];
  if (aside.length === 0) return null;
  return (
    <Bar>
      {aside.map(({ kind, id, name, why }) => (
        <Text key={id} overflowWrap="anywhere">
          ‘{name}’ is set aside: {why}{' '}
          <a
            className="file-link"
            href={`/api/documents/${kind}/${id}`}
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
