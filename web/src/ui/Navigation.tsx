import { Box, Button } from '@chakra-ui/react';
import { Suspense, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { onDemand } from './onDemand';
import './navigation.css';

/**
 * The ways through Huerta: one row for the whole garden and one for a planter, with the same words everywhere. On a
 * phone they are a bar at the bottom: of the planter where one is open, else of the garden.
 */

interface Way {
  to: string;
  name: string;
  /** What a reader says, where the word alone says too little. */
  says?: string;
}

const GARDEN: readonly Way[] = [
  { to: '/today', name: 'Today' },
  { to: '/', name: 'Garden', says: 'Garden: all planters' },
  { to: '/year', name: 'Year' },
  { to: '/away', name: 'Away', says: 'Away: the whole garden while nobody is at home' },
  { to: '/shopping', name: 'Shopping' },
  { to: '/joined', name: 'Joined', says: 'Joined planters' },
  { to: '/vessels', name: 'My vessels' },
  { to: '/prices', name: 'Price book' },
  { to: '/compare', name: 'Compare' },
  { to: '/settings', name: 'Settings' },
  { to: '/help', name: 'Help' },
];
/** As many stand in the bar of a phone, and along the top of a narrow desk; the rest in a menu. */
const AT_ONCE = 4;
const ALONG_TOP = 6;

const planterWays = (id: string): readonly Way[] => [
  { to: `/planters/${id}`, name: 'Bench', says: 'To the bench' },
  { to: `/planters/${id}/build`, name: 'Build' },
  { to: `/planters/${id}/season`, name: 'Season' },
  { to: `/planters/${id}/log`, name: 'Log' },
  { to: `/planters/${id}/trouble`, name: 'Trouble', says: 'Trouble: something is wrong' },
];

/** The planter that is open, or null. */
function usePlanterHere(): string | null {
  const { pathname } = useLocation();
  return /^\/planters\/([^/]+)/.exec(pathname)?.[1] ?? null;
}

function WayLink({ to, name, says }: Way) {
  const { pathname } = useLocation();
  const here = pathname === to;
  return (
    <Link
      to={to}
      {...(says ? { 'aria-label': says } : {})}
      {...(here ? { 'aria-current': 'page' as const } : {})}
    >
      {name}
    </Link>
  );
}

/** The ways of the garden, along the top where there is room. */
export function GardenNavigation() {
  return (
    <Box as="nav" aria-label="Huerta" className="ways" hideBelow="lg">
      {GARDEN.slice(0, ALONG_TOP).map((way) => (
        <WayLink key={way.to} {...way} />
      ))}
      <Box className="ways-rest">
        {GARDEN.slice(ALONG_TOP).map((way) => (
          <WayLink key={way.to} {...way} />
        ))}
      </Box>
      <Box className="ways-menu">
        <More ways={GARDEN.slice(ALONG_TOP)} />
      </Box>
    </Box>
  );
}

/** The ways of the planter that is open, under the top. */
export function PlanterNavigation() {
  const id = usePlanterHere();
  if (id === null) return null;
  return (
    <Box as="nav" aria-label="This planter" className="ways is-planter not-printed" hideBelow="lg">
      {planterWays(id).map((way) => (
        <WayLink key={way.to} {...way} />
      ))}
    </Box>
  );
}

/** The bar at the bottom of a phone. */
export function BottomNavigation() {
  const id = usePlanterHere();
  return (
    <Box
      as="nav"
      aria-label={id === null ? 'Huerta' : 'This planter'}
      className="ways is-bottom not-printed"
      hideFrom="lg"
    >
      {id === null ? (
        <>
          {GARDEN.slice(0, AT_ONCE).map((way) => (
            <WayLink key={way.to} {...way} />
          ))}
          <More ways={GARDEN.slice(AT_ONCE)} />
        </>
      ) : (
        planterWays(id).map((way) => <WayLink key={way.to} {...way} />)
      )}
    </Box>
  );
}

const MoreMenu = onDemand(() => import('./MoreMenu').then(({ MoreMenu: part }) => part));

/** What has no room in the bar; its menu is fetched and made when it is asked for. */
function More({ ways }: { ways: readonly Way[] }) {
  const [asked, setAsked] = useState(false);
  const closed = (
    <Button
      variant="ghost"
      px="1"
      h="auto"
      fontWeight="inherit"
      fontSize="inherit"
      aria-haspopup="menu"
      onClick={() => setAsked(true)}
    >
      More
    </Button>
  );
  if (!asked) return closed;
  return (
    <Suspense fallback={closed}>
      <MoreMenu ways={ways} />
    </Suspense>
  );
}
