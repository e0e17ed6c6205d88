import { Box, Text } from '@chakra-ui/react';
import { Link } from 'react-router';

interface PageHeadProps {
  children: string;
  /** Other pages, by address. */
  links: readonly (readonly [to: string, name: string])[];
}

/** A page's heading, with ways to others beside it, or under it where there is no room. */
export function PageHead({ children, links }: PageHeadProps) {
  return (
    <Box display="flex" flexWrap="wrap" columnGap="4" rowGap="1" alignItems="baseline" mb="3">
      <Text
        as="h1"
        fontSize={{ base: 'xl', md: '2xl' }}
        flex={{ base: '1 1 100%', md: '1' }}
        overflowWrap="anywhere"
      >
        {children}
      </Text>
      {links.map(([to, name]) => (
        <Link
          key={to}
          className="not-printed"
          to={to}
          style={{ textDecoration: 'underline', minHeight: 44, lineHeight: '44px' }}
        >
          {name}
        </Link>
      ))}
    </Box>
  );
}
