import { Text } from '@chakra-ui/react';

/** A page's heading. */
export function PageHead({ children }: { children: string }) {
  return (
    <Text as="h1" fontSize={{ base: 'xl', md: '2xl' }} overflowWrap="anywhere" mb="3">
      {children}
    </Text>
  );
}
