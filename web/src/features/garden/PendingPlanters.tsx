import { Box, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useGarden } from '../../data/api/planters';
import { useUnsent } from '../../ui/DeviceNotes';

/** What the garden page says of work that is not where it should be. */

function Bar({ children }: { children: ReactNode }) {
  return (
    <Box role="status" borderLeft="4px solid" borderColor="clay" bg="sheet" px="4" py="2" mb="4">
      {children}
    </Box>
  );
}

/** Work on this device that the server does not have yet. */
export function PendingPlanters() {
  const { data: unsent = [] } = useUnsent();
  const waiting = unsent.filter(({ refused }) => refused === null).length;
  if (waiting === 0) return null;
  return (
    <Bar>
      <Text>
        {waiting === 1
          ? 'One change is kept on this device and not on the server yet. It is'
          : `${waiting} changes are kept on this device and not on the server yet. They are`}{' '}
        sent when it answers.{' '}
        <Link to="/unsent" style={{ textDecoration: 'underline' }}>
          See what waits
        </Link>
      </Text>
    </Bar>
  );
}

/** Planters that the server keeps and cannot read, each with its file. */
export function SetAside() {
  const aside = useGarden().data?.setAside ?? [];
  if (aside.length === 0) return null;
  return (
    <Bar>
      {aside.map(({ name, why, file }) => (
        <Text key={file} overflowWrap="anywhere">
          ‘{name}’ is set aside: {why}{' '}
          <a
            className="file-link"
            href={`/api${file}`}
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
