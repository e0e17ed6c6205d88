import { Box, Button, Text } from '@chakra-ui/react';
import { Suspense } from 'react';
import { Link } from 'react-router';
import { FormatPreferences } from '../../ui/FormatPreferences';
import { onDemand } from '../../ui/onDemand';
import { ImportButton } from './ImportButton';
import { MoneyChoice } from './MoneyChoice';

const FirstSection = onDemand(() =>
  import('./FirstSection').then(({ FirstSection: part }) => part),
);

/** A garden with nothing in it yet: what Huerta is about, in one drawing, and where to begin. */
export function Welcome() {
  return (
    <Box className="welcome">
      <Box>
        <Text as="h1" fontSize="3xl" fontFamily="heading" fontWeight="bold" lineHeight="1.1">
          A pail that waters itself.
        </Text>
        <Text fontSize="lg" mt="4">
          Fill it once and it drinks for days. Huerta draws it for the vessel that you have, and
          tells you where to drill.
        </Text>
        <Button asChild variant="solid" mt="5" h="60px" px="6" fontSize="lg">
          <Link to="/new">Draw my first planter</Link>
        </Button>
      </Box>
      <Suspense fallback={null}>
        <FirstSection />
      </Suspense>
      <Box className="welcome-more">
        <Box display="flex" gap="0 1rem" flexWrap="wrap" alignItems="center">
          {(
            [
              ['/plans', 'What could I make?'],
              ['/examples', 'A garden that is planted'],
              ['/settings', 'Bring a garden file in'],
            ] as const
          ).map(([to, name]) => (
            <Link key={to} to={to} className="welcome-link">
              {name}
            </Link>
          ))}
          <ImportButton />
        </Box>
        <details className="welcome-set">
          <summary>Dates, decimals, money</summary>
          <Box display="grid" gridTemplateColumns={{ base: '1fr', sm: '1fr 1fr' }} gap="4">
            <FormatPreferences />
            <MoneyChoice />
          </Box>
        </details>
      </Box>
    </Box>
  );
}
