import { Box, Button, Text } from '@chakra-ui/react';
import { FIELDS, type Change, type SpotDesign } from '@huerta/core/document';
import { keepPlaces, type PartGroup } from '@huerta/core/assembly';
import { useEditor } from '../editorState';
import { Measure, Pair } from './parts';

interface SpotProps {
  path: Change['path'];
  at: SpotDesign | null;
  group: PartGroup | undefined;
}

/** Where one thing stands: left to Huerta, or by numbers of one's own. */
export function Spot({ path, at, group }: SpotProps) {
  const { change, planter } = useEditor();
  if (!at) {
    return (
      <Button
        alignSelf="flex-start"
        disabled={!group?.parts.length}
        onClick={() => group && change(keepPlaces(planter, group))}
      >
        Choose its place myself
      </Button>
    );
  }
  return (
    <>
      <Pair>
        <Measure path={[...path, 'x']} spec={FIELDS.at.x} value={at.x} label="To the right" />
        <Measure path={[...path, 'y']} spec={FIELDS.at.y} value={at.y} label="To the back" />
      </Pair>
      <LetHuerta path={path} />
    </>
  );
}

interface SpotsProps {
  path: Change['path'];
  at: readonly SpotDesign[] | null;
  group: PartGroup | undefined;
  /** What one of them is called. */
  name: string;
}

/** Where several things stand. */
export function Spots({ path, at, group, name }: SpotsProps) {
  const { change, planter } = useEditor();
  if (!at) {
    return (
      <Button
        alignSelf="flex-start"
        disabled={!group?.parts.length}
        onClick={() => group && change(keepPlaces(planter, group))}
      >
        Choose their places myself
      </Button>
    );
  }
  return (
    <>
      {at.map((spot, i) => (
        <Box key={i} role="group" aria-label={`Place of ${name} ${i + 1}`}>
          <Text fontSize="sm" color="faint">
            {name} {i + 1}, from the middle
          </Text>
          <Pair>
            <Measure
              path={[...path, i, 'x']}
              spec={FIELDS.at.x}
              value={spot.x}
              label="To the right"
            />
            <Measure
              path={[...path, i, 'y']}
              spec={FIELDS.at.y}
              value={spot.y}
              label="To the back"
            />
          </Pair>
        </Box>
      ))}
      <LetHuerta path={path} />
    </>
  );
}

function LetHuerta({ path }: { path: Change['path'] }) {
  const { change } = useEditor();
  return (
    <Button variant="ghost" alignSelf="flex-start" onClick={() => change([{ path, value: null }])}>
      Let Huerta choose the place
    </Button>
  );
}
