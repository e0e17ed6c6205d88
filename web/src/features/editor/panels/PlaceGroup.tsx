import { Button } from '@chakra-ui/react';
import { exposureOf } from '@huerta/core/physics/climate';
import { FIELDS } from '@huerta/core/document';
import { RAIN, SPOT, SUN, WIND } from '@huerta/core/catalog';
import { q, type Words } from '@huerta/core/units';
import { useWords } from '../../../ui/preferences';
import { TextField } from '../../../ui/TextField';
import { useEditor } from '../editorState';
import { Choice, Group, Measure, Pair, Says, Tick } from './parts';

/** What the floor may bear, when somebody has said so: about 200 kg on a square metre. */
const USUAL_FLOOR_LIMIT = 2000;
const FALLS = {
  away: { name: 'Away from the overflow' },
  towards: { name: 'Towards the overflow' },
} as const;

/** Where it stands: sun, wind, rain, level and what the floor bears. */
export function PlaceGroup() {
  const { design, assessment, change } = useEditor();
  const { write, writeTogether } = useWords();
  const { place } = design;
  const { tilt, weight, standing } = assessment.figures;
  const amount = writeTogether([q(tilt.holds, 'volume'), q(standing, 'volume')]);
  return (
    <Group title="Where it stands">
      <TextField
        label="Place"
        value={place.name}
        maxLength={120}
        onCommit={(value) => change([{ path: ['place', 'name'], value }])}
      />
      <Pair>
        <Choice label="Sun" value={place.sun} choices={SUN} path={['place', 'sun']} />
        <Choice label="Wind" value={place.wind} choices={WIND} path={['place', 'wind']} />
      </Pair>
      <Pair>
        <Choice label="On" value={place.spot} choices={SPOT} path={['place', 'spot']} />
        <Choice label="Rain" value={place.rain} choices={RAIN} path={['place', 'rain']} />
      </Pair>
      <Says>{thirstHere(exposureOf(place), write)}</Says>
      <Pair>
        <Measure
          path={['place', 'slopeAcross']}
          spec={FIELDS.place.slopeAcross}
          value={place.slopeAcross}
        />
        <Measure
          path={['place', 'slopeAlong']}
          spec={FIELDS.place.slopeAlong}
          value={place.slopeAlong}
        />
      </Pair>
      {place.slopeAcross > 0 && (
        <Choice label="It falls" value={place.falls} choices={FALLS} path={['place', 'falls']} />
      )}
      {tilt.across > 5e-4 && (
        <Says>
          Tilted by {write(tilt.across, 'length')} it holds {amount(tilt.holds, 'volume')}, not{' '}
          {amount(standing, 'volume')}. Aim at the same depth in every corner.
        </Says>
      )}
      <Measure
        path={['place', 'liftLimit']}
        spec={FIELDS.place.liftLimit}
        value={place.liftLimit}
        help={`Empty ${write(weight.empty, 'mass')}, full ${write(weight.full, 'mass')}${weight.perLeg === null ? '' : `, ${write(weight.perLeg, 'mass')} on each leg`}`}
      />
      {place.floorLimit === null ? (
        <Button
          onClick={() => change([{ path: ['place', 'floorLimit'], value: USUAL_FLOOR_LIMIT }])}
        >
          Give the floor a limit
        </Button>
      ) : (
        <>
          <Measure
            path={['place', 'floorLimit']}
            spec={FIELDS.place.floorLimit}
            value={place.floorLimit}
          />
          <Button
            variant="ghost"
            onClick={() => change([{ path: ['place', 'floorLimit'], value: null }])}
          >
            No limit is known
          </Button>
        </>
      )}
      <Tick
        label="Small children or animals come near"
        checked={place.children}
        path={['place', 'children']}
      />
      <Tick label="It freezes here in winter" checked={place.frost} path={['place', 'frost']} />
    </Group>
  );
}

/** How thirsty plants are here beside an open field. */
function thirstHere(exposure: number, write: Words['write']): string {
  const more = exposure - 1;
  if (Math.abs(more) < 0.005) return 'Plants drink here as they would in the open.';
  return `About ${write(Math.abs(more), 'share')} ${more > 0 ? 'thirstier' : 'less thirsty'} here than in the open.`;
}
