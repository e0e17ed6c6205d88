import { Box, Text } from '@chakra-ui/react';
import { PAPERS, type PaperId } from '@huerta/core/fabrication';
import { Printer } from 'lucide-react';
import { Link } from 'react-router';
import { useGardenDay } from '../../data/gardenDay';
import { fileAddress } from '../../data/api/build';
import { useLabelAddress } from '../../data/api/access';
import { usePreferences } from '../../ui/preferences';
import { ChoiceField } from '../../ui/ChoiceField';

interface PaperProps {
  id: string;
  name: string;
  paper: PaperId;
  hasTemplates: boolean;
  hasCuts: boolean;
  onPaper(paper: PaperId): void;
}

/** Letters that the faces on paper have: Latin, Greek, Cyrillic, and what goes with all of them. */
const WRITABLE =
  /^(\p{Script=Latin}|\p{Script=Greek}|\p{Script=Cyrillic}|\p{Script=Common}|\p{Script=Inherited})*$/u;
const PICTURE = /\p{Extended_Pictographic}/u;

/** Whether a name can be set on paper as it is. */
const canBeSet = (name: string): boolean => WRITABLE.test(name) && !PICTURE.test(name);

/** What can be taken along: paper sheet, templates, label, and the tables as files. */
export function Paper({ id, name, paper, hasTemplates, hasCuts, onPaper }: PaperProps) {
  const { units, decimal } = usePreferences();
  const query = { units, paper, decimal };
  const { at, forPhones } = useLabelAddress();
  const label = { ...query, at, day: useGardenDay() };
  return (
    <Box as="section" className="not-printed paper" aria-label="On paper">
      <Text as="h2" fontSize="lg">
        On paper
      </Text>
      <ChoiceField label="Paper" value={paper} choices={PAPERS} onChoose={onPaper} />
      {!canBeSet(name) && (
        <Text role="status" mt="2" fontSize="sm" color="strawInk">
          Some letters of ‘{name}’ cannot be set on paper; boxes stand in their place. Give it a
          name in Latin, Greek or Cyrillic letters before you print.
        </Text>
      )}
      <Box as="ul" listStyleType="none" mt="2">
        <li>
          <a className="file-link" href={fileAddress(id, 'sheet.pdf', query)} target="_blank">
            <Printer size={18} aria-hidden /> The whole sheet (PDF)
          </a>
        </li>
        <li>
          <a className="file-link" href={fileAddress(id, 'booklet.pdf', query)} target="_blank">
            <Printer size={18} aria-hidden /> Step by step in pictures (PDF)
          </a>
        </li>
        {hasTemplates && (
          <li>
            <a className="file-link" href={fileAddress(id, 'templates.pdf', query)} target="_blank">
              <Printer size={18} aria-hidden /> Templates at 1:1 (PDF)
            </a>
          </li>
        )}
        <li>
          <a className="file-link" href={fileAddress(id, 'label.pdf', label)} target="_blank">
            <Printer size={18} aria-hidden /> Labels with a code (PDF)
          </a>
          {!forPhones && (
            <Text fontSize="sm" color="faint">
              A phone can follow the code once the door is open:{' '}
              <Link to="/settings/phone" style={{ textDecoration: 'underline' }}>
                let a phone in
              </Link>{' '}
              before you print them.
            </Text>
          )}
        </li>
        <li>
          <a className="file-link" href={fileAddress(id, 'parts.csv', query)} download>
            Parts (CSV)
          </a>
          {hasCuts && (
            <>
              {' '}
              <a className="file-link" href={fileAddress(id, 'cuts.csv', query)} download>
                Cuts (CSV)
              </a>
            </>
          )}{' '}
          <a className="file-link" href={`/api/planters/${id}/round.glb`} download>
            Solid (glTF)
          </a>
        </li>
      </Box>
    </Box>
  );
}
