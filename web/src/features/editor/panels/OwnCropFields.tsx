import { Button, Text } from '@chakra-ui/react';
import { FIELDS, type Change, type OwnCrop } from '@huerta/core/document';
import { FROSTS, HABITS, LIKES, WET_FEET, cropOf } from '@huerta/core/catalog';
import { useState } from 'react';
import { useKeepOwnCrop, useOwnCrops } from '../../../data/api/crops';
import { TextField } from '../../../ui/TextField';
import { useEditor } from '../editorState';
import { Choice, Measure, Pair } from './parts';

interface OwnCropFieldsProps {
  own: OwnCrop;
  path: Change['path'];
}

const STAGES = ['Young', 'Growing', 'Grown', 'Ripening'] as const;

/** A crop of one's own: what is otherwise than in the one that it was made from. */
export function OwnCropFields({ own, path }: OwnCropFieldsProps) {
  const { change } = useEditor();
  const { data } = useOwnCrops();
  const keep = useKeepOwnCrop();
  const [said, setSaid] = useState('');
  const kept = data?.crops.find(({ name }) => name === own.name);
  const same = kept !== undefined && JSON.stringify(kept) === JSON.stringify(own);
  return (
    <div className="own-crop" role="group" aria-label="A crop of your own">
      <TextField
        label="Its name"
        value={own.name}
        maxLength={60}
        required="Give it a name."
        onCommit={(name) => change([{ path: [...path, 'name'], value: name }])}
      />
      <Text fontSize="sm" color="faint">
        Made from {cropOf(own.like).name.toLowerCase()}. Change what is otherwise. Thirst is told
        beside that of short grass, which is 1.
      </Text>
      <Pair>
        <Measure
          path={[...path, 'kc']}
          spec={FIELDS.crop.kc}
          value={own.kc}
          label="Thirst, grown"
        />
        <Measure path={[...path, 'roots']} spec={FIELDS.crop.roots} value={own.roots} />
      </Pair>
      <Pair>
        <Measure
          path={[...path, 'kcStart']}
          spec={FIELDS.crop.kc}
          value={own.kcStart}
          label="Thirst, young"
        />
        <Measure
          path={[...path, 'kcEnd']}
          spec={FIELDS.crop.kc}
          value={own.kcEnd}
          label="Thirst, at the end"
        />
      </Pair>
      <Pair>
        <Measure path={[...path, 'height']} spec={FIELDS.crop.height} value={own.height} />
        <Choice path={[...path, 'habit']} label="How it grows" value={own.habit} choices={HABITS} />
      </Pair>
      <Pair>
        {STAGES.slice(0, 2).map((name, i) => (
          <Measure
            key={name}
            path={[...path, 'stages', i]}
            spec={FIELDS.crop.stage}
            value={own.stages[i] ?? 1}
            label={`${name} for`}
          />
        ))}
      </Pair>
      <Pair>
        {STAGES.slice(2).map((name, i) => (
          <Measure
            key={name}
            path={[...path, 'stages', i + 2]}
            spec={FIELDS.crop.stage}
            value={own.stages[i + 2] ?? 1}
            label={`${name} for`}
          />
        ))}
      </Pair>
      <Choice path={[...path, 'likes']} label="Soil" value={own.likes} choices={LIKES} />
      <Pair>
        <Choice path={[...path, 'feet']} label="Roots" value={own.feet} choices={WET_FEET} />
        <Choice path={[...path, 'frost']} label="Bears" value={own.frost} choices={FROSTS} />
      </Pair>
      <Button
        alignSelf="flex-start"
        disabled={same || keep.isPending}
        onClick={() =>
          keep.mutate(own, {
            onSuccess: () => setSaid(`${own.name} is kept in the garden.`),
            onError: (failed) => setSaid(failed.message),
          })
        }
      >
        {same ? 'Kept in the garden' : 'Keep it for other planters'}
      </Button>
      {said && (
        <Text role="status" fontSize="sm">
          {said}
        </Text>
      )}
    </div>
  );
}
