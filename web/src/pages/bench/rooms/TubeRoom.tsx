import { Button } from '@chakra-ui/react';
import { CAPS, FEET, FIELDS, holeForPipe, PIPES, usualTube } from '@huerta/core';
import { useState } from 'react';
import { useWords } from '../../../app/preferences';
import { ChoiceField } from '../../../components/ChoiceField';
import { useBench } from '../bench';
import { Choice, Group, Measure, Pair, Says } from './parts';

/** The pipe that water goes down by. */
export function TubeRoom() {
  const { design, planter, change } = useBench();
  const { write, tell } = useWords();
  const [refusal, setRefusal] = useState('');
  const { fillTube } = design;
  if (!fillTube) {
    const tube = usualTube(planter.heights.rim);
    return (
      <>
        <Says>No fill tube: all water goes in from the top.</Says>
        <Button
          variant="solid"
          onClick={() => {
            const refused = change([{ path: ['fillTube'], value: tube }]);
            setRefusal(refused ? tell(refused) : '');
          }}
        >
          Add a fill tube
        </Button>
        {refusal && <Says>{refusal}</Says>}
      </>
    );
  }
  const pipe = PIPES[fillTube.pipe];
  return (
    <Group title="Fill tube">
      <ChoiceField
        label="Pipe"
        value={fillTube.pipe}
        choices={PIPES}
        onChoose={(value) => {
          const refused = change([
            { path: ['fillTube', 'pipe'], value },
            { path: ['fillTube', 'hole'], value: holeForPipe(value) },
          ]);
          setRefusal(refused ? `Not taken: ${tell(refused)}` : '');
        }}
        help={refusal}
      />
      <Says>
        It is really {write(pipe.outside, 'length')} across outside and{' '}
        {write(pipe.inside, 'length')} inside. Drill {write(holeForPipe(fillTube.pipe), 'length')}.
      </Says>
      <Pair>
        <Measure path={['fillTube', 'length']} spec={FIELDS.tube.length} value={fillTube.length} />
        {design.reservoir.kind === 'platform' && (
          <Measure path={['fillTube', 'hole']} spec={FIELDS.tube.hole} value={fillTube.hole} />
        )}
      </Pair>
      <Pair>
        <Choice label="Foot" value={fillTube.foot} choices={FEET} path={['fillTube', 'foot']} />
        <Choice label="Top" value={fillTube.cap} choices={CAPS} path={['fillTube', 'cap']} />
      </Pair>
      <Says>
        It stands {write(Math.max(fillTube.length - planter.heights.rim, 0), 'length')} proud of the
        rim. Fix it to the wall so that nobody pulls it out.
      </Says>
      <Button
        variant="ghost"
        alignSelf="flex-start"
        onClick={() => change([{ path: ['fillTube'], value: null }])}
      >
        Plan without a tube
      </Button>
    </Group>
  );
}
