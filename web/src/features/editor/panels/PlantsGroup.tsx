import { Box, Button, Text } from '@chakra-ui/react';
import {
  cropIn,
  FIELDS,
  MAX_PLANTINGS,
  usualPlanted,
  usualStart,
  type Planted,
} from '@huerta/core/document';
import { q } from '@huerta/core/units';
import { peakOf } from '@huerta/core/physics/crop';
import { plantingPlan } from '@huerta/core/assembly';
import { plantingView } from '@huerta/core/drawing';
import { Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useWords } from '../../../ui/preferences';
import { PlanDrawing } from '../../../drawing/PlanDrawing';
import { useEditor } from '../editorState';
import { CropChoice } from '../../../ui/CropChoice';
import { Group, Measure, Pair, Says } from './parts';
import { PlantedFields } from './PlantedFields';
import './plants.css';

/** What grows in it, one after the other or side by side, and how thirsty all of it gets. */
export function PlantsGroup() {
  const { design, planter, assessment } = useEditor();
  const { write, writeTogether } = useWords();
  const { place, planting } = design;
  const { crops } = planting;
  const [open, setOpen] = useState<number | null>(crops.length === 1 ? 0 : null);
  const drawing = useMemo(() => plantingView(planter), [planter]);
  const { figures } = assessment;
  const { day } = peakOf(planting);
  const daily = writeTogether([q(figures.mild.total, 'daily'), q(figures.hot.total, 'daily')]);
  return (
    <Group title="Plants and their thirst">
      {crops.length === 0 && (
        <Text fontSize="sm">Nothing grows in it yet. Add what you want to plant.</Text>
      )}
      <ul className="plantings">
        {crops.map((planted, i) => (
          <li key={i}>
            <PlantedRow
              planted={planted}
              of={i}
              open={open === i}
              onOpen={() => setOpen(open === i ? null : i)}
              onGone={() => setOpen(null)}
            />
          </li>
        ))}
      </ul>
      {crops.length < MAX_PLANTINGS && <Another onAdded={() => setOpen(crops.length)} />}
      <PlanDrawing
        drawing={drawing}
        width={262}
        height={180}
        label="Where the plants stand, seen from above, to scale"
      />
      {crops.length > 0 && (
        <Text fontSize="sm" color="faint">
          Tall ones stand at the back. To move them, press Move parts over the drawing and choose
          Plants.
        </Text>
      )}
      <Pair>
        <Measure
          path={['place', 'etMild']}
          spec={FIELDS.place.etMild}
          value={place.etMild}
          label="A mild day takes"
        />
        <Measure
          path={['place', 'etHot']}
          spec={FIELDS.place.etHot}
          value={place.etHot}
          label="A hot day takes"
        />
      </Pair>
      {crops.length > 0 && (
        <Says>
          {crops.length > 1
            ? `At its thirstiest, ${write(day, 'days')} after the first planting, it`
            : 'Grown, it'}{' '}
          drinks {daily(figures.mild.total, 'daily')} when mild and{' '}
          {daily(figures.hot.total, 'daily')} when hot.
        </Says>
      )}
    </Group>
  );
}

/** When a planting stands there, in words. */
function timeOf({ from, stays }: Planted, write: ReturnType<typeof useWords>['write']): string {
  const begins = from === 0 ? 'from the start' : `after ${write(from, 'days')}`;
  return stays === null ? begins : `${begins}, for ${write(stays, 'days')}`;
}

interface PlantedRowProps {
  planted: Planted;
  of: number;
  open: boolean;
  onOpen(): void;
  onGone(): void;
}

function PlantedRow({ planted, of, open, onOpen, onGone }: PlantedRowProps) {
  const { planter } = useEditor();
  const { write, say } = useWords();
  const { stand } = useMemo(() => plantingPlan(planter), [planter]);
  const missing = planted.count - (stand[of] ?? 0);
  return (
    <>
      <button
        type="button"
        className="planting"
        aria-expanded={open}
        aria-controls={`planting-${of}`}
        onClick={onOpen}
      >
        <b>
          {planted.count} × {planted.own?.name ?? say(cropIn(planted).name)}
        </b>
        <span>
          {timeOf(planted, write)}
          {missing > 0 && `; no room for ${missing}`}
        </span>
      </button>
      {open && (
        <div id={`planting-${of}`} className="planting-fields">
          <PlantedFields planted={planted} of={of} onGone={onGone} />
        </div>
      )}
    </>
  );
}

/** Another planting: what it is, and whether it stands beside the others or follows them. */
function Another({ onAdded }: { onAdded(): void }) {
  const { design, change } = useEditor();
  const { tell } = useWords();
  const [adding, setAdding] = useState(false);
  const [refusal, setRefusal] = useState('');
  const { crops } = design.planting;
  if (!adding) {
    return (
      <Button alignSelf="flex-start" onClick={() => setAdding(true)}>
        <Plus size={18} aria-hidden /> Add a crop
      </Button>
    );
  }
  return (
    <Box className="planting-new" role="group" aria-label="Another crop">
      <CropChoice
        label="Which one"
        value={null}
        onChoose={(crop, own) => {
          const refused = change([
            {
              path: ['planting', 'crops'],
              value: [...crops, usualPlanted(crop, 1, { start: usualStart(crop) }, own)],
            },
          ]);
          setRefusal(refused ? tell(refused) : '');
          if (!refused) {
            setAdding(false);
            onAdded();
          }
        }}
      />
      <Button variant="ghost" onClick={() => setAdding(false)}>
        Leave it
      </Button>
      {refusal && (
        <Text role="alert" fontSize="sm" color="harm">
          {refusal}
        </Text>
      )}
    </Box>
  );
}
