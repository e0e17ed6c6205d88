import { Box, Text } from '@chakra-ui/react';
import {
  markedWith,
  PAPERS,
  tilesOf,
  type BuildSheet,
  type PaperId,
} from '@huerta/core/fabrication';
import { fileAddress } from '../../data/api/build';
import { usePreferences } from '../../ui/preferences';
import { SheetSection } from '../../ui/Table';

interface TemplatesProps {
  id: string;
  sheet: BuildSheet;
  paper: PaperId;
}

/** Templates at 1:1, each to look at and to take away. */
export function Templates({ id, sheet, paper }: TemplatesProps) {
  const { units, decimal } = usePreferences();
  return (
    <SheetSection title="Templates at 1:1">
      {sheet.templates.length === 0 && <Text>Nothing of this planter needs a template.</Text>}
      <Box className="templates">
        {sheet.templates.map((plain) => {
          const template = markedWith(plain, decimal);
          const { id: name, title, says } = template;
          const sheets = tilesOf(template, paper).length;
          const file = (as: string) =>
            fileAddress(id, `templates/${name}.${as}`, { units, decimal });
          return (
            <Box as="section" key={name} className="template" aria-label={title}>
              <img src={file('svg')} alt={`${title}, small`} />
              <Box>
                <Text as="h3" fontSize="md" fontWeight="bold">
                  {title}
                </Text>
                <Text fontSize="sm">{says}</Text>
                <Text fontSize="sm" color="faint" mt="1">
                  {sheets === 1 ? 'One sheet' : `${sheets} sheets to join`} of {PAPERS[paper].name}.{' '}
                  <a className="file-link" href={file('svg')} aria-label={`${title} as SVG`}>
                    SVG
                  </a>{' '}
                  <a
                    className="file-link"
                    href={file('dxf')}
                    aria-label={`${title} as DXF`}
                    download
                  >
                    DXF
                  </a>
                </Text>
              </Box>
            </Box>
          );
        })}
      </Box>
    </SheetSection>
  );
}
