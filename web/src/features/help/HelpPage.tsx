import { Box, Text } from '@chakra-ui/react';
import { useEffect } from 'react';
import { Link, useLocation } from 'react-router';
import { useWords } from '../../ui/preferences';
import { GLOSSARY } from '../../ui/glossary';
import { Page } from '../../ui/Page';
import { PageHead } from '../../ui/PageHead';
import { HELP } from './help';
import './help.css';

/** A few lines about each room and page, and what the words mean. */
export default function HelpPage() {
  const { hash } = useLocation();
  const { say } = useWords();
  // The page came after the address: what it names is looked for now.
  useEffect(() => {
    document.getElementById(hash.slice(1))?.scrollIntoView();
  }, [hash]);
  return (
    <Page title="Help" maxW="60rem">
      <PageHead>Help</PageHead>
      <nav aria-label="On this page" className="help-ways">
        {HELP.map(({ id, title }) => (
          <Link key={id} to={`#${id}`}>
            {title}
          </Link>
        ))}
        <Link to="#words">Words</Link>
      </nav>
      {HELP.map(({ id, title, lines }) => (
        <Box as="section" key={id} id={id} className="help-part" aria-labelledby={`${id}-title`}>
          <Text as="h2" id={`${id}-title`} fontSize="lg">
            {title}
          </Text>
          {lines.map((line) => (
            <p key={line}>{say(line)}</p>
          ))}
        </Box>
      ))}
      <Box as="section" id="words" className="help-part" aria-labelledby="words-title">
        <Text as="h2" id="words-title" fontSize="lg">
          Words
        </Text>
        <dl className="help-words">
          {Object.entries(GLOSSARY).map(([term, meaning]) => (
            <div key={term} id={term.replace(/ /g, '-')}>
              <dt>{term}</dt>
              <dd>{say(meaning)}</dd>
            </div>
          ))}
        </dl>
      </Box>
    </Page>
  );
}
