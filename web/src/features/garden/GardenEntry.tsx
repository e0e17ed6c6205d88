import { Box, Text } from '@chakra-ui/react';
import type { PlanterSummary } from '@huerta/contract';
import type { Section } from '@huerta/core/drawing';
import { memo, Suspense } from 'react';
import { Link } from 'react-router';
import { useWords } from '../../ui/preferences';
import { TickField } from '../../ui/ChoiceField';
import { onDemand } from '../../ui/onDemand';
import { SeverityMark } from '../../ui/Severity';
import { SmallSection } from '../../drawing/SmallSection';
import { EntryMenu } from './EntryMenu';
import { buildOf } from './found';
import { CARD_WIDE } from './rowScale';

/** What it asks for is not asked of the first page’s own scripts. */
const JoinedNote = onDemand(() => import('./JoinedNote').then(({ JoinedNote: part }) => part));

interface GardenEntryProps {
  entry: PlanterSummary;
  /** Null until it is there. */
  drawing: Section | null;
  height: number;
  /** Pixels per metre, and whether that is told over it. */
  scale: number;
  told: boolean;
  /** Whether several stand side by side. */
  wide: boolean;
  /** Whether it is chosen; null while nothing is being chosen. */
  chosen: boolean | null;
  onChoose(id: string): void;
}

const STATE = { planned: null, begun: 'Being built', built: 'Built' } as const;

/** One planter on the ledge: its section, what it gives, and the worst that is wrong with it. */
export const GardenEntry = memo(function GardenEntry(props: GardenEntryProps) {
  const { entry, drawing, height, scale, told, wide, chosen, onChoose } = props;
  const { tell, write } = useWords();
  const { id, name, summary } = entry;
  const { worst, serious } = summary;
  return (
    <Box
      role="listitem"
      display="flex"
      flexDirection={{ base: 'row', md: 'column' }}
      position="relative"
      gap={{ base: '3', md: '0' }}
      borderBottom={{ base: '1px solid', md: 'none' }}
      borderColor={{ base: 'rule', md: 'ink' }}
      pb={{ base: '4', md: '0' }}
    >
      <Box
        flexShrink="0"
        w={{ base: '7rem', md: 'full' }}
        borderBottom={{ base: '2px solid', md: '3px solid' }}
        borderColor="ink"
        alignSelf={{ base: 'flex-start', md: 'stretch' }}
      >
        <Box h={`${wide ? height : 130}px`}>
          {drawing && (
            <SmallSection
              section={drawing}
              width={wide ? CARD_WIDE : 112}
              height={wide ? height : 130}
              {...(wide ? { scale, bar: told ? true : 'room' } : {})}
            />
          )}
        </Box>
      </Box>
      <Box pt={{ base: '0', md: '3' }} pe="4" flex="1" minW="0">
        <Box display="flex" alignItems="flex-start" gap="2">
          <Text as="h2" fontSize="lg" flex="1" minW="0" overflowWrap="anywhere" lineClamp={3}>
            <Link to={`/planters/${id}`}>
              {/* The whole entry can be pressed; the menu lies above it. */}
              <Box as="span" _before={{ content: '""', position: 'absolute', inset: 0 }} />
              {name}
            </Link>
          </Text>
          {chosen === null ? (
            <EntryMenu entry={entry} />
          ) : (
            <Box zIndex="1" bg="wall" minH="touch" display="flex" alignItems="center">
              <TickField
                label={`Choose ${name}`}
                hidden
                checked={chosen}
                onTick={() => onChoose(id)}
              />
            </Box>
          )}
        </Box>
        <Text color="faint" fontSize="sm" overflowWrap="anywhere">
          {[summary.variant, summary.place || 'No place yet', STATE[buildOf(entry)]]
            .filter(Boolean)
            .join(' · ')}
        </Text>
        <Text mt="2">
          <b>{write(summary.usable, 'volume')}</b> to use
          {' · '}
          {summary.days === null ? (
            'nothing planted'
          ) : (
            <>
              <b>{write(summary.days, 'days')}</b> until it reads low when hot
            </>
          )}
        </Text>
        <Suspense fallback={null}>
          <JoinedNote planter={id} />
        </Suspense>
        {worst ? (
          <Box mt="2" fontSize="sm">
            <SeverityMark severity={worst.severity} />
            <Text lineHeight="1.35" lineClamp={4}>
              {tell(worst.text)}
            </Text>
            {serious > 1 && <Text color="faint">and {serious - 1} more to mend</Text>}
          </Box>
        ) : (
          <Text mt="2" fontSize="sm" color="faint">
            Nothing to mend.
          </Text>
        )}
      </Box>
    </Box>
  );
});
