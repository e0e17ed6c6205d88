import { CROP_IDS, cropOf, HABIT_IDS, HABITS, type CropId } from '@huerta/core/catalog';
import type { OwnCrop } from '@huerta/core/document';
import { useMemo, type ReactNode } from 'react';
import { useOwnCrops } from '../../../data/api/crops';
import { useWords } from '../../../ui/preferences';
import { GroupedChoice, type ChoiceGroup } from '../../../ui/GroupedChoice';

interface CropChoiceProps {
  label: string;
  value: { crop: CropId; own: OwnCrop | null } | null;
  onChoose(crop: CropId, own: OwnCrop | null): void;
  help?: ReactNode;
}

const NONE = '';
/** An own crop's value in the list: what no crop of the catalogue is called. */
const ownValue = (name: string): string => `: ${name}`;

/** A crop of the catalogue, by how it grows, or one of one's own. */
export function CropChoice({ label, value, onChoose, help }: CropChoiceProps) {
  const { data } = useOwnCrops();
  const { say } = useWords();
  const own = useMemo(() => {
    const kept = data?.crops ?? [];
    const mine = value?.own;
    return mine && !kept.some(({ name }) => name === mine.name) ? [...kept, mine] : kept;
  }, [data, value]);
  const groups = useMemo((): ChoiceGroup[] => {
    const catalogue = HABIT_IDS.map((habit) => ({
      label: HABITS[habit].name,
      options: CROP_IDS.filter((id) => cropOf(id).habit === habit)
        .map((id) => ({ value: id, label: say(cropOf(id).name) }))
        .sort((a, b) => a.label.localeCompare(b.label)),
    }));
    return [
      ...(value ? [] : [{ label: '', options: [{ value: NONE, label: 'Choose a crop' }] }]),
      ...(own.length > 0
        ? [
            {
              label: 'Your own',
              options: own.map(({ name }) => ({ value: ownValue(name), label: name })),
            },
          ]
        : []),
      ...catalogue,
    ];
  }, [own, value, say]);
  return (
    <GroupedChoice
      label={label}
      value={value ? (value.own ? ownValue(value.own.name) : value.crop) : NONE}
      groups={groups}
      help={help}
      onChoose={(chosen) => {
        const mine = own.find(({ name }) => ownValue(name) === chosen);
        if (mine) onChoose(mine.like, mine);
        else if (chosen !== NONE) onChoose(chosen as CropId, null);
      }}
    />
  );
}
