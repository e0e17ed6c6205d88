import { Button } from '@chakra-ui/react';
import { CAPS, FEET, PIPE_USES, PIPES, TUBE_JOINTS } from '@huerta/core/catalog';
import { FIELDS, holeForPipe, MAX_PIPES, usualIn, type ExtraPipe } from '@huerta/core/document';
import { useState } from 'react';
import { useWords } from '../../../ui/preferences';
import { ChoiceField } from '../../../ui/ChoiceField';
import { useEditor } from '../editorState';
import { Choice, Group, Measure, Pair, Says, Tick } from './parts';
import { Spot } from './Spots';

/** The pipes that stand in it: the fill tube, and those for looking in and for scraps. */
export function TubePanel() {
  return (
    <>
      <FillTube />
      <ExtraPipes />
    </>
  );
}

/** The pipe that water goes down by. */
function FillTube() {
  const { design, planter, change } = useEditor();
  const { write, tell, units } = useWords();
  const [refusal, setRefusal] = useState('');
  const { fillTube } = design;
  if (!fillTube) {
    const tube = usualIn(units).tube(planter.heights.rim);
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
  const foot = planter.of('tube')[0]?.parts[0]?.from ?? 0;
  const onPipe = planter.of('lying').some(({ parts }) => parts.length > 0);
  const ends = !onPipe || fillTube.joint === 'cross';
  const top = foot + fillTube.length;
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
        It is {write(pipe.outside, 'length')} across outside and {write(pipe.inside, 'length')}{' '}
        inside. Drill {write(holeForPipe(fillTube.pipe), 'length')}.
      </Says>
      <Pair>
        <Measure path={['fillTube', 'length']} spec={FIELDS.tube.length} value={fillTube.length} />
        {(design.reservoir.cover === 'platform' || design.bed?.kind === 'nested') && (
          <Measure path={['fillTube', 'hole']} spec={FIELDS.tube.hole} value={fillTube.hole} />
        )}
      </Pair>
      <Pair>
        {ends && fillTube.run === 0 && (
          <Choice label="Foot" value={fillTube.foot} choices={FEET} path={['fillTube', 'foot']} />
        )}
        <Choice label="Top" value={fillTube.cap} choices={CAPS} path={['fillTube', 'cap']} />
      </Pair>
      {onPipe ? (
        <Choice
          label="Meets the lying pipe by"
          value={fillTube.joint}
          choices={TUBE_JOINTS}
          path={['fillTube', 'joint']}
        />
      ) : (
        <Measure path={['fillTube', 'run']} spec={FIELDS.tube.run} value={fillTube.run} />
      )}
      <Spot path={['fillTube', 'at']} at={fillTube.at} group={planter.of('tube')[0]} />
      <Says>
        It stands {write(Math.max(top - planter.heights.rim, 0), 'length')} proud of the rim
        {foot > 0.005 ? `, its foot on the lying pipe at ${write(foot, 'length')}` : ''}. Fix it to
        the wall so that nobody pulls it out.
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

const NEW_PIPES: Readonly<Record<ExtraPipe['use'], ExtraPipe>> = {
  inspection: { use: 'inspection', diameter: 0.05, capped: true, fills: false, at: null },
  worm: { use: 'worm', diameter: 0.09, capped: true, fills: false, at: null },
};

/** Inspection pipes and worm tubes. */
function ExtraPipes() {
  const { design, planter, change } = useEditor();
  const { tell } = useWords();
  const [refusal, setRefusal] = useState('');
  const { pipes } = design;
  const put = (value: readonly ExtraPipe[]) => {
    const refused = change([{ path: ['pipes'], value }]);
    setRefusal(refused ? tell(refused) : '');
  };
  return (
    <Group title="Other pipes">
      {pipes.map((pipe, i) => (
        <Group key={i} title={PIPE_USES[pipe.use].name}>
          <Measure
            path={['pipes', i, 'diameter']}
            spec={FIELDS.pipe.diameter}
            value={pipe.diameter}
          />
          <Tick label="It has a cap" checked={pipe.capped} path={['pipes', i, 'capped']} />
          {pipe.use === 'worm' && (
            <Tick
              label="Water is poured in by it too"
              checked={pipe.fills}
              path={['pipes', i, 'fills']}
            />
          )}
          <Spot
            path={['pipes', i, 'at']}
            at={pipe.at}
            group={[...planter.of('inspection'), ...planter.of('worm')].find(
              ({ index }) => index === i,
            )}
          />
          <Button
            variant="ghost"
            alignSelf="flex-start"
            onClick={() => put(pipes.filter((_, k) => k !== i))}
          >
            Leave it out
          </Button>
        </Group>
      ))}
      {pipes.length < MAX_PIPES &&
        (Object.keys(PIPE_USES) as ExtraPipe['use'][]).map((use) => (
          <Button key={use} alignSelf="flex-start" onClick={() => put([...pipes, NEW_PIPES[use]])}>
            Add {use === 'worm' ? 'a worm tube' : 'an inspection pipe'}
          </Button>
        ))}
      {refusal && <Says>Not taken: {refusal}</Says>}
    </Group>
  );
}
