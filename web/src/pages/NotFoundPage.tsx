import { Box, Button, Text } from '@chakra-ui/react';
import { Link } from 'react-router';
import { TopBar } from '../components/TopBar';

export function NotFoundPage() {
  return (
    <>
      <TopBar />
      <Box as="main" id="main" tabIndex={-1} outline="none" p={{ base: '5', md: '10' }}>
        <Text as="h1" fontSize="2xl">
          Page not found
        </Text>
        <Text mt="2" mb="5">
          There is no page at this address.
        </Text>
        <Button asChild variant="solid">
          <Link to="/">To the garden</Link>
        </Button>
      </Box>
    </>
  );
}
