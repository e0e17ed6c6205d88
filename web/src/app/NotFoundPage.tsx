import { Button, Text } from '@chakra-ui/react';
import { Link } from 'react-router';
import { Page } from '../ui/Page';

export function NotFoundPage() {
  return (
    <Page title="Page not found">
      <Text as="h1" fontSize="2xl">
        Page not found
      </Text>
      <Text mt="2" mb="5">
        There is no page at this address.
      </Text>
      <Button asChild variant="solid">
        <Link to="/">To the garden</Link>
      </Button>
    </Page>
  );
}
