import { Button } from '@chakra-ui/react';
import {
  COLOURS,
  EXPOSURES,
  FIELDS,
  FORMER_CONTENTS,
  PLASTICS,
  RAIN,
  ROUND_VESSELS,
  type RoundVesselId,
} from '@huerta/core';
import { useState } from 'react';
import { useWords } from '../../../app/preferences';
import { ChoiceField } from '../../../components/ChoiceField';
import { TextField } from '../../../components/TextField';
import { useBench } from '../bench';
import { Choice, Group, Measure, Pair, Says, Tick } from './parts';

const OWN = { own: { name: 'My own measures' } };

/** Choose, inspect and measure the vessel, and say where it will stand. */
export function VesselRoom() {
  const { design, planter, change } = useBench();
  const { write, tell } = useWords();
  const { vessel } = design;
  const [refusal, setRefusal] = useState('');
  const usual = (Object.keys(ROUND_VESSELS) as RoundVesselId[]).find((id) => {
    const size = ROUND_VESSELS[id];
    return (
      size.topDiameter === vessel.topDiameter &&
      size.bottomDiameter === vessel.bottomDiameter &&
      size.depth === vessel.depth
    );
  });
  const choose = (id: RoundVesselId | 'own') => {
    if (id === 'own') return;
    const { name: _name, ...size } = ROUND_VESSELS[id];
    const refused = change([{ path: ['vessel'], value: { ...vessel, ...size } }]);
    setRefusal(refused ? `Not taken: ${tell(refused)}` : '');
  };
  return (
    <>
      <Group title="Measures">
        <ChoiceField
          label="Usual size, to start from"
          value={usual ?? 'own'}
          choices={{ ...OWN, ...ROUND_VESSELS }}
          onChoose={choose}
          help={refusal}
        />
        <Pair>
          <Measure
            path={['vessel', 'topDiameter']}
            spec={FIELDS.vessel.topDiameter}
            value={vessel.topDiameter}
          />
          <Measure
            path={['vessel', 'bottomDiameter']}
            spec={FIELDS.vessel.bottomDiameter}
            value={vessel.bottomDiameter}
          />
        </Pair>
        <Pair>
          <Measure path={['vessel', 'depth']} spec={FIELDS.vessel.depth} value={vessel.depth} />
          <Measure path={['vessel', 'wall']} spec={FIELDS.vessel.wall} value={vessel.wall} />
        </Pair>
        <Says>
          Holds {write(planter.vessel.volumeBelow(vessel.depth), 'volume')} to the rim. Pour a known
          amount in and compare: that beats the tape.
        </Says>
      </Group>
      <Group title="Inspect it">
        <Choice
          label="What it held before"
          value={vessel.formerContents}
          choices={FORMER_CONTENTS}
          path={['vessel', 'formerContents']}
        />
        <Choice
          label="Plastic"
          value={vessel.plastic}
          choices={PLASTICS}
          path={['vessel', 'plastic']}
        />
        <Choice
          label="Colour"
          value={vessel.colour}
          choices={COLOURS}
          path={['vessel', 'colour']}
        />
        <Tick
          label="There is an old hole in the floor, not patched"
          checked={vessel.drainHole}
          path={['vessel', 'drainHole']}
        />
      </Group>
      <PlaceGroup />
    </>
  );
}

/** What the floor may bear, when somebody has said so: about 200 kg on a square metre. */
const USUAL_FLOOR_LIMIT = 2000;

function PlaceGroup() {
  const { design, change } = useBench();
  const { place } = design;
  return (
    <Group title="Where it stands">
      <TextField
        label="Place"
        value={place.name}
        maxLength={120}
        onCommit={(value) => change([{ path: ['place', 'name'], value }])}
      />
      <Choice
        label="Sun and wind"
        value={place.exposure}
        choices={EXPOSURES}
        path={['place', 'exposure']}
      />
      <Choice label="Rain" value={place.rain} choices={RAIN} path={['place', 'rain']} />
      <Pair>
        <Measure
          path={['place', 'liftLimit']}
          spec={FIELDS.place.liftLimit}
          value={place.liftLimit}
        />
        <Measure path={['place', 'slope']} spec={FIELDS.place.slope} value={place.slope} />
      </Pair>
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
