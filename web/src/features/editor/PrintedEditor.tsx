import { Box, Text } from '@chakra-ui/react';
import { reportOf, SHOWN } from '@huerta/core/assessment';
import { section } from '@huerta/core/drawing';
import { useWords } from '../../ui/preferences';
import { SeverityMark } from '../../ui/Severity';
import { SmallSection } from '../../drawing/SmallSection';
import { useEditor } from './editorState';
import { useFindings } from './moisture';

/** The bench on paper: the section, what it yields, and what is found, without anything to press. */
export function PrintedEditor() {
  const { design, planter, assessment } = useEditor();
  const { tell, write } = useWords();
  const { figures } = assessment;
  const findings = useFindings();
  return (
    <Box className="for-paper">
      <Text as="h1" fontSize="2xl" overflowWrap="anywhere">
        {design.name}
      </Text>
      <Text>{[design.variant, design.place.name].filter(Boolean).join(' · ')}</Text>
      <Box borderBottom="3px solid" my="4">
        <SmallSection section={section(planter)} width={620} height={330} label="Section" />
      </Box>
      <table>
        <tbody>
          {reportOf(figures, SHOWN.paper).map(({ id, label, value, kind, none }) => (
            <tr key={id}>
              <th scope="row">{label}</th>
              <td>{value === null ? none : write(value, kind)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Text as="h2" fontSize="lg" mt="4">
        {findings.length === 0 ? 'Nothing to mend' : 'What is found'}
      </Text>
      <Box as="ul" listStyleType="none">
        {findings.map(({ id, severity, text }) => (
          <Box as="li" key={id} mt="2">
            <SeverityMark severity={severity} /> {tell(text)}
          </Box>
        ))}
      </Box>
      {design.notes && (
        <Text mt="4" whiteSpace="pre-wrap" overflowWrap="anywhere">
          {design.notes}
        </Text>
      )}
    </Box>
  );
}
