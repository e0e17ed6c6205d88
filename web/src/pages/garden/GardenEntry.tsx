import { Box, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { cautiousDays, type Assessment, type Section } from '@huerta/core';
import { Link } from 'react-router';
import { useWords } from '../../app/preferences';
import { SeverityMark } from '../../components/Severity';
import { SmallSection } from '../../drawing/SmallSection';
import { EntryMenu } from './EntryMenu';

interface GardenEntryProps {
  resource: PlanterResource;
  assessment: Assessment;
  drawing: Section;
  /** Pixels per metre, shared by all entries. */
  scale: number;
  height: number;
}

/** One planter on the ledge: its section, what it gives, and the worst that is wrong with it. */
export function GardenEntry({ resource, assessment, drawing, scale, height }: GardenEntryProps) {
  const { tell, write } = useWords();
  const { design } = resource;
  const { figures, findings } = assessment;
  const worst = findings.find((finding) => finding.severity !== 'note');
  const serious = findings.filter((f) => f.severity === 'danger' || f.severity === 'fault').length;
  return (
    <Box
      as="li"
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
        <Box hideBelow="md">
          <SmallSection section={drawing} width={260} height={height} scale={scale} />
        </Box>
        <Box hideFrom="md">
          <SmallSection section={drawing} width={112} height={130} />
        </Box>
      </Box>
      <Box pt={{ base: '0', md: '3' }} pe="4" flex="1" minW="0">
        <Box display="flex" alignItems="flex-start" gap="2">
          <Text as="h2" fontSize="lg" flex="1" minW="0" overflowWrap="anywhere" lineClamp={3}>
            <Link to={`/planters/${resource.id}`}>
              {/* The whole entry can be pressed; the menu lies above it. */}
              <Box as="span" _before={{ content: '""', position: 'absolute', inset: 0 }} />
              {design.name}
            </Link>
          </Text>
          <EntryMenu resource={resource} />
        </Box>
        <Text color="faint" fontSize="sm">
          {[design.variant, design.place.name || 'No place yet'].filter(Boolean).join(' · ')}
        </Text>
        <Text mt="2">
          <b>{write(figures.usable, 'volume')}</b> to use
          {' · '}
          {figures.lastsHot.days > 0 && Number.isFinite(figures.lastsHot.days) ? (
            <>
              lasts <b>{write(cautiousDays(figures.lastsHot.days), 'days')}</b> when hot
            </>
          ) : (
            'nothing planted'
          )}
        </Text>
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
}
