import { Box, Button } from '@chakra-ui/react';
import {
  COLOURS,
  FLAWS,
  FORMER_CONTENTS,
  MATERIALS,
  SAWINGS,
  VESSEL_GROUPS,
  VESSEL_IDS,
  type VesselId,
  VESSELS,
  vesselName,
  type VesselGroup,
} from '@huerta/core/catalog';
import {
  changeMaterial,
  FIELDS,
  putVessel,
  vesselIn,
  type VesselDesign,
} from '@huerta/core/document';
import { useState } from 'react';
import { useWords } from '../../../ui/preferences';
import { useKeepVessel, useVessels } from '../../../data/api/vessels';
import { ChoiceField } from '../../../ui/ChoiceField';
import { GroupedChoice, type ChoiceGroup } from '../../../ui/GroupedChoice';
import { notify } from '../../../ui/notices';
import { TextField } from '../../../ui/TextField';
import { VesselFields } from '../../../ui/vessel/VesselFields';
import { useEditor } from '../editorState';
import { BedGroup } from './BedGroup';
import { Choice, Group, Measure, Says, Tick } from './parts';
import { PlaceGroup } from './PlaceGroup';

/** Choose, inspect and measure the vessel, and say where it will stand. */
export function VesselPanel() {
  const { design, planter, change, store } = useEditor();
  const { write } = useWords();
  const { vessel } = design;
  return (
    <>
      <Group title="Measures">
        <UsualSize />
        <VesselFields
          vessel={vessel}
          onChange={(next) => change([{ path: ['vessel'], value: next }])}
          measures={{
            enter: (key, value) => store.enter({ path: ['vessel', key], value })?.message ?? null,
            forget: (key) => store.forget(['vessel', key]),
          }}
        />
        <Says>
          Holds {write(planter.vessel.volumeBelow(planter.vessel.depth), 'volume')} to the rim. Pour
          a known amount in and compare: that beats the tape.
        </Says>
        <KeepIt />
      </Group>
      <BedGroup />
      <Group title="Inspect it">
        <Choice
          label="What it held before"
          value={vessel.formerContents}
          choices={FORMER_CONTENTS}
          path={['vessel', 'formerContents']}
        />
        <ChoiceField
          label="Made of"
          value={vessel.material}
          choices={MATERIALS}
          onChoose={(material) => change(changeMaterial(vessel, material))}
        />
        <Choice
          label="Colour"
          value={vessel.colour}
          choices={COLOURS}
          path={['vessel', 'colour']}
        />
        <Choice
          label="Old hole in the floor"
          value={vessel.drainHole}
          choices={FLAWS}
          path={['vessel', 'drainHole']}
        />
        <Choice label="Crack" value={vessel.cracked} choices={FLAWS} path={['vessel', 'cracked']} />
        <Tick
          label="It keeps its shape when full"
          checked={vessel.rigid}
          path={['vessel', 'rigid']}
        />
      </Group>
      <ToDo />
      <PlaceGroup />
    </>
  );
}

/** What is still to be done to the vessel before anything goes in. */
function ToDo() {
  const { design } = useEditor();
  const { vessel } = design;
  return (
    <Group title="Before anything goes in">
      {vessel.kind === 'frame' ? (
        <Tick
          label="It stands already, and is dug out first"
          checked={vessel.stands}
          path={['vessel', 'stands']}
        />
      ) : (
        <>
          <Choice
            label="Still to be sawn"
            value={vessel.sawing}
            choices={SAWINGS}
            path={['vessel', 'sawing']}
          />
          <Measure path={['vessel', 'bungs']} spec={FIELDS.vessel.bungs} value={vessel.bungs} />
        </>
      )}
    </Group>
  );
}

/** Whether two vessels have the same measures, whatever they held. */
function alike(one: VesselDesign, other: VesselDesign): boolean {
  const measures = (vessel: VesselDesign) => {
    const { formerContents: _f, material: _m, colour: _c, rigid: _r, ...rest } = vessel;
    const { cracked: _k, drainHole: _d, wall: _w, sawing: _s, bungs: _b, ...sizes } = rest;
    return JSON.stringify(sizes, Object.keys(sizes).sort());
  };
  return measures(one) === measures(other);
}

function UsualSize() {
  const { design, change } = useEditor();
  const { tell, units } = useWords();
  const { data: mine = [] } = useVessels();
  const [refusal, setRefusal] = useState('');
  const sizes = (id: VesselId) => vesselIn(id, units);
  // A vessel keeps its name where the other system is looked through.
  const usual = VESSEL_IDS.find((id) =>
    (['metric', 'us'] as const).some((one) => alike(vesselIn(id, one), design.vessel)),
  );
  const own = mine.find((one) => alike(one.vessel, design.vessel));
  const groups: ChoiceGroup[] = [
    { label: 'Here', options: [{ value: 'own', label: 'My own measures' }] },
    ...(mine.length > 0
      ? [
          {
            label: 'My vessels',
            options: mine.map(({ id, name }) => ({ value: id, label: name })),
          },
        ]
      : []),
    ...(Object.keys(VESSEL_GROUPS) as VesselGroup[]).map((group) => ({
      label: VESSEL_GROUPS[group].name,
      options: VESSEL_IDS.filter((id) => VESSELS[id].group === group).map((id) => ({
        value: id,
        label: vesselName(id, units),
      })),
    })),
  ];
  const choose = (value: string) => {
    const known = VESSEL_IDS.find((id) => id === value);
    const kept = mine.find((one) => one.id === value)?.vessel;
    if (!known && !kept) return;
    const { formerContents, colour } = design.vessel;
    const next = kept ?? { ...sizes(known ?? 'pail-20'), formerContents, colour };
    const refused = change(putVessel(design, next));
    setRefusal(refused ? `Not taken: ${tell(refused)}` : '');
  };
  return (
    <GroupedChoice
      label="Usual size, to start from"
      value={own?.id ?? usual ?? 'own'}
      groups={groups}
      onChoose={choose}
      help={refusal || 'Typical sizes. Measure yours.'}
    />
  );
}

/** Keeps the measured vessel among the person's own, for other planters. */
function KeepIt() {
  const { design } = useEditor();
  const keep = useKeepVessel();
  const [naming, setNaming] = useState(false);
  if (!naming) {
    return (
      <Button alignSelf="flex-start" onClick={() => setNaming(true)}>
        Save to My vessels
      </Button>
    );
  }
  return (
    <Box display="flex" flexDirection="column" gap="2">
      <TextField
        label="Name of the vessel"
        value=""
        maxLength={80}
        required="Give it a name, such as where it stands."
        onCommit={(name) =>
          keep.mutate(
            { name, vessel: design.vessel },
            {
              onSuccess: () => {
                setNaming(false);
                notify(`‘${name}’ is among your vessels.`);
              },
              onError: (error) => notify(error.message),
            },
          )
        }
      />
      <Button variant="ghost" alignSelf="flex-start" onClick={() => setNaming(false)}>
        Not now
      </Button>
    </Box>
  );
}
