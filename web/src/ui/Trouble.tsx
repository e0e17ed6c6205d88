import { Box, Button, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';

interface TroubleProps {
  title: string;
  detail: string;
  retry?: () => void;
  children?: ReactNode;
}

/** Something went wrong: what happened, what is safe, what to do. */
export function Trouble({ title, detail, retry, children }: TroubleProps) {
  return (
    <Box
      role="alert"
      borderLeft="6px solid"
      borderColor="harm"
      bg="harmWash"
      px="5"
      py="4"
      maxW="40rem"
    >
      <Text as="h2" fontFamily="heading" fontSize="lg" fontWeight="bold">
        {title}
      </Text>
      <Text mt="1">{detail}</Text>
      <Box mt="3" display="flex" gap="3" flexWrap="wrap">
        {retry && <Button onClick={retry}>Try again</Button>}
        {children}
      </Box>
    </Box>
  );
}
