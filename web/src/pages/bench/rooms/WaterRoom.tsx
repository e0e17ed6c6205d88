import { Button } from '@chakra-ui/react';
import {
  BUILDS,
  buildOf,
  changeBuild,
  FIELDS,
  invertOf,
  plan,
  usualOverflow,
  VENTS,
  type PlanterDesign,
} from '@huerta/core';
import { useMemo, useState } from 'react';
import { useWords } from '../../../app/preferences';
import { ChoiceField } from '../../../components/ChoiceField';
import { SmallPlan } from '../../../drawing/SmallPlan';
import { useBench } from '../bench';
import { Choice, Group, Measure, Pair, Says, Tick } from './parts';

/** Decide the water: what keeps the soil out of it, and where it runs out. */
export function WaterRoom() {
  const { design } = useBench();
  return (
    <>
      <BuildGroup />
      {design.overflow ? <OverflowGroup overflow={design.overflow} /> : <NoOverflow />}
      <Group title="How long it must last">
        <Measure
          path={['place', 'daysAway']}
          spec={FIELDS.place.daysAway}
          value={design.place.daysAway}
        />
        <Pair>
          <Measure path={['place', 'hose']} spec={FIELDS.place.hose} value={design.place.hose} />
          {design.place.rain === 'open' && (
            <Measure
              path={['place', 'storm']}
              spec={FIELDS.place.storm}
              value={design.place.storm}
            />
          )}
        </Pair>
      </Group>
    </>
  );
}

function BuildGroup() {
  const { design, planter, assessment, change } = useBench();
  const { write, tell } = useWords();
  const [refusal, setRefusal] = useState('');
  const { reservoir } = design;
  const support = reservoir.kind === 'platform' ? reservoir.supports : reservoir;
  const at = reservoir.kind === 'platform' ? ['reservoir', 'supports'] : ['reservoir'];
  const { figures } = assessment;
  const drawing = useMemo(() => plan(planter), [planter]);
  return (
    <Group title="Reservoir">
      <ChoiceField
        label="Soil is kept up by"
        value={buildOf(design)}
        choices={BUILDS}
        onChoose={(build) => {
          const refused = change(changeBuild(design, build));
          setRefusal(refused ? `Not taken: ${tell(refused)}` : '');
        }}
        help={refusal}
      />
      {reservoir.kind === 'platform' && (
        <Pair>
          <Measure
            path={['reservoir', 'underside']}
            spec={FIELDS.platform.underside}
            value={reservoir.underside}
          />
          <Measure
            path={['reservoir', 'thickness']}
            spec={FIELDS.platform.thickness}
            value={reservoir.thickness}
          />
        </Pair>
      )}
      <Pair>
        <Measure
          path={[...at, 'diameter']}
          spec={FIELDS.support.diameter}
          value={support.diameter}
          label={
            { ring: 'Ring, across outside', tubs: 'Tub, across', bottles: 'Bottle, across' }[
              support.kind
            ]
          }
        />
        {'count' in support ? (
          <Measure
            path={[...at, 'count']}
            spec={FIELDS.support.count}
            value={support.count}
            help={`Room for ${planter.layout.supportRoom()}`}
          />
        ) : (
          <Measure path={[...at, 'wall']} spec={FIELDS.support.wall} value={support.wall} />
        )}
      </Pair>
      {reservoir.kind === 'bottles' && (
        <Measure
          path={['reservoir', 'height']}
          spec={FIELDS.support.height}
          value={reservoir.height}
        />
      )}
      <SmallPlan
        drawing={drawing}
        width={262}
        height={190}
        label="The floor seen from above, to scale"
      />
      <Choice
        label="Water and air get in"
        value={support.vents}
        choices={VENTS}
        path={[...at, 'vents']}
      />
      {reservoir.kind === 'platform' && (
        <Says>
          Cut the platform {write(figures.platformDiameter, 'length')} across: the inside at its
          height, less a little play.
        </Says>
      )}
    </Group>
  );
}

function OverflowGroup({ overflow }: { overflow: NonNullable<PlanterDesign['overflow']> }) {
  const { change, planter, assessment } = useBench();
  const { write } = useWords();
  const lip = invertOf(overflow);
  const { storage, heights } = planter;
  const lost =
    storage.volumeBelow(Math.min(overflow.centre, heights.ceiling)) -
    storage.volumeBelow(Math.min(lip, heights.ceiling));
  return (
    <Group title="Overflow">
      <Pair>
        <Measure
          path={['overflow', 'centre']}
          spec={FIELDS.overflow.centre}
          value={overflow.centre}
          help="The mark you drill on"
        />
        <Measure
          path={['overflow', 'diameter']}
          spec={FIELDS.overflow.diameter}
          value={overflow.diameter}
        />
      </Pair>
      <Measure path={['overflow', 'count']} spec={FIELDS.overflow.count} value={overflow.count} />
      <Tick
        label="Screened against insects"
        checked={overflow.screened}
        path={['overflow', 'screened']}
      />
      <Says>
        Water stops at the lip, {write(lip, 'length')} up, not at the mark: that is{' '}
        {write(lost, 'volume')} less.
        {assessment.figures.airGap !== null && assessment.figures.airGap >= 0
          ? ` Above it are ${write(assessment.figures.airGap, 'length')} of air.`
          : ''}
      </Says>
      <Button
        variant="ghost"
        alignSelf="flex-start"
        onClick={() => change([{ path: ['overflow'], value: null }])}
      >
        Plan without an overflow
      </Button>
    </Group>
  );
}

function NoOverflow() {
  const { planter, change } = useBench();
  const add = () => change([{ path: ['overflow'], value: usualOverflow(planter.heights.ceiling) }]);
  return (
    <Group title="Overflow">
      <Says>No overflow yet: nothing decides how high the water stands.</Says>
      <Button variant="solid" onClick={add}>
        Mark an overflow
      </Button>
    </Group>
  );
}
