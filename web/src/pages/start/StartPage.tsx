import { Box, Grid, Text } from '@chakra-ui/react';
import { resolve, section, STARTING_POINTS } from '@huerta/core';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { useCreatePlanter } from '../../api/planters';
import { TopBar } from '../../components/TopBar';
import { Trouble } from '../../components/Trouble';
import { SmallSection } from '../../drawing/SmallSection';

/** Pixels per metre, so that the pails stand side by side at one scale. */
const SCALE = 470;

/** What have you got? Each answer is a planter to begin from. */
export default function StartPage() {
  const navigate = useNavigate();
  const create = useCreatePlanter();
  const choices = useMemo(
    () => STARTING_POINTS.map((point) => ({ point, drawing: section(resolve(point.design)) })),
    [],
  );
  return (
    <Box minH="full">
      <title>New planter · Huerta</title>
      <TopBar />
      <Box as="main" px={{ base: '4', md: '8' }} pt={{ base: '4', md: '6' }} pb="16">
        <Text as="h1" fontSize="2xl">
          What have you got?
        </Text>
        <Text mt="1" mb="6" maxW="40rem">
          Choose what is nearest. Every measure can be changed on the bench.
        </Text>
        {create.error && (
          <Box mb="6">
            <Trouble title="The planter was not begun" detail={create.error.message} />
          </Box>
        )}
        <Grid
          templateColumns={{ base: '1fr', sm: '1fr 1fr', lg: 'repeat(4, 1fr)' }}
          gap={{ base: '6', md: '8' }}
        >
          {choices.map(({ point, drawing }) => (
            <Box
              key={point.id}
              as="button"
              textAlign="left"
              cursor="pointer"
              display="flex"
              flexDirection="column"
              _hover={{ bg: 'clayWash' }}
              _focusVisible={{
                outline: '3px solid',
                outlineColor: 'waterInk',
                outlineOffset: '4px',
              }}
              aria-busy={create.isPending}
              onClick={() => {
                if (create.isPending) return;
                create.mutate(point.design, {
                  onSuccess: ({ id }) => void navigate(`/planters/${id}`, { replace: true }),
                });
              }}
            >
              <Box borderBottom="3px solid" borderColor="ink" alignSelf="stretch">
                <SmallSection section={drawing} width={260} height={250} scale={SCALE} />
              </Box>
              <Text as="h2" fontSize="lg" mt="3">
                {point.title}
              </Text>
              <Text mt="1" fontSize="sm">
                {point.says}
              </Text>
            </Box>
          ))}
        </Grid>
      </Box>
    </Box>
  );
}
