import { Box, Button, Text } from '@chakra-ui/react';
import { Link } from 'react-router';
import { useWords } from '../../ui/preferences';
import { FormatPreferences } from '../../ui/FormatPreferences';
import { MoneyChoice } from './MoneyChoice';

/** A garden with nothing in it yet: what Huerta does, and where to begin. */
export function Welcome() {
  const { units, say } = useWords();
  return (
    <Box maxW="38rem" borderTop="2px solid" borderColor="ink" pt="5">
      <Text as="h2" fontSize="xl">
        Nothing planned yet
      </Text>
      <Text mt="2">
        Huerta draws a planter that waters itself to scale from the vessel that you have. It counts
        the {units === 'us' ? 'gallons' : say('litres')}, says what would go wrong before anything
        is drilled, and makes the sheet to build by. Then it looks ahead through the season: how
        often to fill, and whether it lasts while you are away.
      </Text>
      <Box display="flex" gap="3" flexWrap="wrap" mt="4">
        <Button asChild variant="solid">
          <Link to="/new">Begin the first planter</Link>
        </Button>
        <Button asChild>
          <Link to="/plans">What could I make?</Link>
        </Button>
        <Button asChild>
          <Link to="/examples">Look at a garden that is planted</Link>
        </Button>
        <Button asChild variant="ghost">
          <Link to="/settings">Bring a garden file in</Link>
        </Button>
      </Box>
      <Box display="grid" gridTemplateColumns={{ base: '1fr', sm: '1fr 1fr' }} gap="4" mt="6">
        <FormatPreferences />
        <MoneyChoice />
      </Box>
    </Box>
  );
}
