import { Box, Button, Text } from '@chakra-ui/react';
import { aggregateOf, FILLS, fillMaterial, SOLD } from '@huerta/core/catalog';
import { baseName, changeBase, BEARERS } from '@huerta/core/assembly';
import {
  baseOf,
  BASES,
  FIELDS,
  layerTop,
  MAX_FILLS,
  MAX_PARTS,
  measuredIn,
  partsToAdd,
  type BaseId,
  type Patch,
  type PlanterDesign,
} from '@huerta/core/document';
import { mixOf } from '@huerta/core/physics/soil';
import { settled } from '@huerta/core/assessment';
import type { Message } from '@huerta/core/units';
import { useState } from 'react';
import { useWords } from '../../../ui/preferences';
import { ChoiceField } from '../../../ui/ChoiceField';
import { useEditor } from '../editorState';
import { DrainFields } from './DrainFields';
import { PartFields } from './PartFields';
import { capital } from '../parts/supportFields';
import { Choice, Group, Measure, Pair, Says } from './parts';

const OWN = { own: { name: 'Its own mixture' } };
const COVERS = {
  platform: { name: 'A rigid platform' },
  none: { name: 'Nothing rigid' },
} as const;

/** What keeps the soil out of the water: parts, what lies round them, and what covers them. */
export function BaseGroup() {
  const { design, planter, assessment, change, store } = useEditor();
  const { write, tell } = useWords();
  // What is said of the last change is said until the next.
  const [said, setSaid] = useState({ text: '', of: design });
  const { reservoir, bed } = design;
  const { platform } = assessment.figures;
  const base = baseOf(design);
  const attempt = (patch: Patch) => {
    const refused = change(patch);
    setSaid({ text: refused ? `Not taken: ${tell(refused)}` : '', of: store.getState().design });
    return !refused;
  };
  const choose = (next: BaseId) => {
    const { patch, mends } = wholeChange(design, next);
    if (!attempt(patch) || mends.length === 0) return;
    const text = `Changed with it: ${mends.map((one) => `${tell(one)}.`).join(' ')}`;
    setSaid({ text, of: store.getState().design });
  };
  if (bed?.kind === 'bag') {
    return (
      <Group title="Reservoir">
        <Says>The bags stand in the tray’s water; nothing else is needed.</Says>
      </Group>
    );
  }
  return (
    <Group title="Reservoir">
      <ChoiceField<BaseId | 'own'>
        label="Soil is kept up by"
        value={base ?? 'own'}
        choices={base === null ? { ...OWN, ...BASES } : (BASES as never)}
        onChoose={(next) => next !== 'own' && choose(next)}
        help={said.of === design ? said.text : ''}
      />
      <Pair>
        <Measure
          path={['reservoir', 'top']}
          spec={FIELDS.reservoir.top}
          value={reservoir.top}
          label={
            reservoir.cover === 'platform' && !bed
              ? 'Platform underside'
              : capital(baseName(design).replace(/^the /, ''))
          }
        />
        {reservoir.cover === 'platform' && !bed && (
          <Measure
            path={['reservoir', 'thickness']}
            spec={FIELDS.reservoir.thickness}
            value={reservoir.thickness}
          />
        )}
      </Pair>
      {planter.partGroups
        .filter(({ kind }) => BEARERS.includes(kind))
        .map((part) => (
          <PartFields
            key={part.id}
            part={part}
            onRemove={
              reservoir.parts.length > 1
                ? () =>
                    attempt([
                      {
                        path: ['reservoir', 'parts'],
                        value: reservoir.parts.filter((_, i) => i !== part.index),
                      },
                    ])
                : null
            }
          />
        ))}
      {!bed && (
        <Choice
          label="Covered by"
          value={reservoir.cover}
          choices={COVERS}
          path={['reservoir', 'cover']}
        />
      )}
      {reservoir.cover === 'platform' && !bed && (
        <Says>
          {platform.length === platform.width
            ? `Cut the platform ${write(platform.length, 'length')} across`
            : `Cut the platform ${write(platform.length, 'length')} by ${write(platform.width, 'length')}`}
          : the inside at its height, less a little play.
        </Says>
      )}
      <DrainFields />
      <Fills onChange={attempt} />
      {reservoir.parts.length < MAX_PARTS && reservoir.parts.length > 0 && (
        <Box>
          <Text fontSize="xs" color="faint" mb="1">
            Add to it
          </Text>
          <Box display="flex" gap="2" flexWrap="wrap">
            {partsToAdd(SOLD[measuredIn(design)]).map(([label, part]) => (
              <Button
                key={label}
                px="2"
                onClick={() =>
                  attempt([{ path: ['reservoir', 'parts'], value: [...reservoir.parts, part] }])
                }
              >
                {label}
              </Button>
            ))}
          </Box>
        </Box>
      )}
    </Group>
  );
}

/** What grows in it, and where it stands, stay whatever it stands on. */
const KEPT = ['planting', 'soil', 'vessel', 'place'] as const;

/** A change of base with what it takes beside it, as a lip under the new top or a wick. */
function wholeChange(
  design: PlanterDesign,
  base: BaseId,
): { patch: Patch; mends: readonly Message[] } {
  const patch = changeBase(design, base);
  return settled(design, patch, KEPT) ?? { patch, mends: [] };
}

function Fills({ onChange }: { onChange(patch: Patch): void }) {
  const { design, planter, assessment } = useEditor();
  const { write } = useWords();
  const { fill } = design.reservoir;
  const set = (value: unknown) => onChange([{ path: ['reservoir', 'fill'], value }]);
  const last = fill[fill.length - 1];
  return (
    <>
      {fill.map((layer, i) => {
        const medium = fillMaterial(layer.medium, mixOf(design.soil));
        const stone = aggregateOf(layer.medium);
        return (
          <Box key={i} display="flex" flexDirection="column" gap="2">
            <Choice
              label={
                fill.length > 1 ? `Around it, layer ${i + 1} from the floor` : 'Around it lies'
              }
              value={layer.medium}
              choices={FILLS}
              path={['reservoir', 'fill', i, 'medium']}
              help={`${write(planter.storage.fills[i] ?? 0, 'volume')} of it. Typical: lifts water ${write(medium.reach, 'length')}${stone ? `, ${write(stone.thetaS, 'share')} of its space holds water` : ''}.`}
            />
            <Pair>
              <Measure
                path={['reservoir', 'fill', i, 'upTo']}
                spec={FIELDS.reservoir.upTo}
                value={layer.upTo}
                help={`${write(layerTop(design, layer), 'length')} from the floor`}
              />
              <Button
                variant="ghost"
                alignSelf="center"
                onClick={() => set(fill.filter((_, k) => k !== i))}
              >
                Leave it out
              </Button>
            </Pair>
          </Box>
        );
      })}
      {fill.length < MAX_FILLS && (last?.upTo ?? 0) < 0.95 && (
        <Button
          alignSelf="flex-start"
          onClick={() => set([...fill, { medium: fill.length > 0 ? 'mix' : 'gravel', upTo: 1 }])}
        >
          {fill.length > 0 ? 'Another layer on it' : 'Fill around it with stone or mix'}
        </Button>
      )}
      {fill.length === 0 && assessment.figures.standing > 0 && (
        <Says>Open water around it: nothing takes up its room.</Says>
      )}
    </>
  );
}
