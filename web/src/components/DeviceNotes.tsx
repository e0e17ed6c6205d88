import { Box, Text } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import { sayStorage, useLeftOut, useStorage } from '../device/storage';
import { allUnsent } from '../device/unsent';

/** What waits on this device; asked again whenever something is kept, sent or refused. */
export const useUnsent = () =>
  useQuery({ queryKey: ['kept', 'unsent'], queryFn: allUnsent, networkMode: 'always' });

/** What is wrong with what this device keeps, under the bar of every page: it keeps nothing, or something is refused. */
export function DeviceNotes() {
  const storage = sayStorage(useStorage());
  const rows = useLeftOut((left) => left.rows);
  const { data: unsent = [] } = useUnsent();
  const { pathname } = useLocation();
  // Its own page says so itself.
  const refused = pathname === '/unsent' ? 0 : unsent.filter((one) => one.refused !== null).length;
  return (
    <>
      {storage && <Line>{storage}</Line>}
      {rows > 0 && (
        <Line>
          {rows === 1
            ? 'One thing that the server sent cannot be read and is left out.'
            : `${rows} things that the server sent cannot be read and are left out.`}{' '}
          Take the garden away as a file under Settings: it holds them as they are.
        </Line>
      )}
      {refused > 0 && (
        <Line>
          {refused === 1
            ? 'The server did not take one thing that was done here. It is kept on this device.'
            : `The server did not take ${refused} things that were done here. They are kept on this device.`}{' '}
          <Link to="/unsent" style={{ textDecoration: 'underline', fontWeight: 'bold' }}>
            See why
          </Link>
        </Line>
      )}
    </>
  );
}

function Line({ children }: { children: ReactNode }) {
  return (
    <Box
      role="status"
      className="not-printed"
      flex="1 0 100%"
      order="4"
      mx={{ base: '-3', md: '-5' }}
      px={{ base: '3', md: '5' }}
      mb="-1.5"
      py="1.5"
      bg="harmWash"
      color="ink"
      fontSize="sm"
      lineHeight="1.3"
    >
      <Text as="span">{children}</Text>
    </Box>
  );
}
