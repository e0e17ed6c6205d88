import { useQuery } from '@tanstack/react-query';
import { Link, useLocation } from 'react-router';
import { BarLine } from './BarLine';
import { sayStorage, useLeftOut, useStorage } from '../data/offline/storage';
import { allUnsent } from '../data/offline/unsent';

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
      {storage && <BarLine of="harm">{storage}</BarLine>}
      {rows > 0 && (
        <BarLine of="harm">
          {rows === 1
            ? 'One thing that the server sent cannot be read and is left out.'
            : `${rows} things that the server sent cannot be read and are left out.`}{' '}
          Take the garden away as a file under Settings: it holds them as they are.
        </BarLine>
      )}
      {refused > 0 && (
        <BarLine of="harm">
          {refused === 1
            ? 'The server did not take one thing that was done here. It is kept on this device.'
            : `The server did not take ${refused} things that were done here. They are kept on this device.`}{' '}
          <Link to="/unsent" style={{ textDecoration: 'underline', fontWeight: 'bold' }}>
            See why
          </Link>
        </BarLine>
      )}
    </>
  );
}
