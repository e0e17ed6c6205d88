import { Box, Button, HStack } from '@chakra-ui/react';
import { Moon, Sun } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { usePreferences } from './preferences';
import { useConnectivity } from '../data/offline/connectivity';
import { useStorage } from '../data/offline/storage';
import { BarLine } from './BarLine';
import { DeviceNotes } from './DeviceNotes';
import { writeAgo } from './dates';
import { GardenNavigation } from './Navigation';

/** The line along the top: whose wall this is, what is open, and how quantities are shown. */
export function TopBar({ children }: { children?: ReactNode }) {
  return (
    <Box
      as="header"
      className={children ? 'top-bar has-work' : 'top-bar'}
      display="flex"
      alignItems="center"
      gap={{ base: '2', md: '4' }}
      px={{ base: '3', md: '5' }}
      minH="3.5rem"
      py="1.5"
      borderBottom="2px solid"
      borderColor="ink"
      flexWrap="wrap"
    >
      <a className="skip" href="#main">
        To the content
      </a>
      <Box flex={children ? { base: '1', md: 'none' } : { base: '1', lg: 'none' }}>
        <Link to="/" aria-label="Huerta, to the garden">
          <HStack gap="2" fontFamily="heading" fontWeight="bold" fontSize="lg" minH="touch">
            <img src="/mark.svg" alt="" width="28" height="28" />
            <span>Huerta</span>
          </HStack>
        </Link>
      </Box>
      {children ? (
        <Box
          className="top-bar-work"
          order={{ base: 1, md: 0 }}
          flex={{ base: '1 0 100%', md: '1' }}
          minW="0"
          display="flex"
          alignItems="center"
          gap="2"
          pb={{ base: '1', md: '0' }}
        >
          {children}
        </Box>
      ) : null}
      {!children && (
        <Box flex="1">
          <GardenNavigation />
        </Box>
      )}
      <UnitSwitch />
      <ModeSwitch />
      {/* On the bench the mark of saving says it. */}
      {!children && <Away />}
      <DeviceNotes />
    </Box>
  );
}

/** Says since when the server has not been heard, and that the work goes on. */
function Away() {
  const { away, last } = useConnectivity();
  const keeps = useStorage((storage) => storage.keeps);
  if (!away) return null;
  const ago = last > 0 ? writeAgo(last) : 'just now';
  const when = ago === 'just now' ? '' : `; last ${ago}`;
  return (
    <BarLine of="attention">
      <b>Offline{when}.</b> This shows what was last seen
      {keeps ? '; what you do is kept here and sent later.' : '.'}
    </BarLine>
  );
}

function UnitSwitch() {
  const { units, setUnits } = usePreferences();
  return (
    <Box role="radiogroup" aria-label="Units" display="flex" border="1.5px solid" borderColor="ink">
      {(
        [
          ['metric', 'mm · L'],
          ['us', 'in · gal'],
        ] as const
      ).map(([system, label]) => (
        <Button
          key={system}
          role="radio"
          aria-checked={units === system}
          aria-label={system === 'metric' ? 'Metric units' : 'US units'}
          variant="ghost"
          px="2"
          border="none"
          bg={units === system ? 'ink' : 'transparent'}
          color={units === system ? 'wall' : 'ink'}
          _hover={{ bg: units === system ? 'ink' : 'clayWash' }}
          onClick={() => setUnits(system)}
        >
          {label}
        </Button>
      ))}
    </Box>
  );
}

function ModeSwitch() {
  const { mode, setMode } = usePreferences();
  const next = mode === 'dark' ? 'light' : 'dark';
  return (
    <Button
      variant="ghost"
      px="2"
      aria-label={next === 'dark' ? 'Dark, for the evening' : 'Light, for the sun'}
      onClick={() => setMode(next)}
    >
      {mode === 'dark' ? <Sun size={20} /> : <Moon size={20} />}
    </Button>
  );
}
