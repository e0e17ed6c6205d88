import {
  CROP_GROUP_IDS,
  CROP_GROUPS,
  CROP_IDS,
  cropOf,
  cropsFor,
  datesOf,
  plainName,
  type CropId,
} from '@huerta/core/catalog';
import { ownFrom, type OwnCrop } from '@huerta/core/document';
import { Suspense, useCallback, useMemo, type ReactNode } from 'react';
import { useOwnCrops } from '../data/api/crops';
import { useWords } from './preferences';
import { onDemand } from './onDemand';
import type { SearchGroup, SearchOption } from './SearchChoice';

// A list that is searched is no small thing, and no room but this one has it.
const SearchChoice = onDemand(() => import('./SearchChoice').then((part) => part.SearchChoice));

interface CropChoiceProps {
  label: string;
  value: { crop: CropId; own: OwnCrop | null } | null;
  onChoose(crop: CropId, own: OwnCrop | null): void;
  help?: ReactNode;
}

/** An own crop's value in the list: what no crop of the catalogue is called. */
const ownValue = (name: string): string => `: ${name}`;
/** What a crop of one's own is made from where nothing better is known. */
const LIKE_ANY: CropId = 'lettuce';

/** A crop of the catalogue, looked for by what people call it, or one of one's own. */
export function CropChoice({ label, value, onChoose, help }: CropChoiceProps) {
  const { data } = useOwnCrops();
  const { say } = useWords();
  const own = useMemo(() => {
    const kept = data?.crops ?? [];
    const mine = value?.own;
    return mine && !kept.some(({ name }) => name === mine.name) ? [...kept, mine] : kept;
  }, [data, value]);
  const find = useCallback(
    (typed: string): SearchGroup[] => [
      {
        label: 'Your own',
        options: own
          .filter(({ name }) => plainName(name).includes(plainName(typed)))
          .map(({ name }) => ({ value: ownValue(name), label: name })),
      },
      ...(typed === ''
        ? allGroups(say)
        : [{ label: '', options: cropsFor(typed).map((id) => optionOf(id, typed, say)) }]),
    ],
    [own, say],
  );
  return (
    <Suspense fallback={<span>{label}</span>}>
      <SearchChoice
        label={label}
        value={
          value &&
          (value.own
            ? { value: ownValue(value.own.name), label: value.own.name }
            : optionOf(value.crop, '', say))
        }
        find={find}
        help={help}
        unknown={{
          say: (typed) => `Make “${typed}” a crop of your own`,
          make: (typed) => {
            const like = value?.crop ?? LIKE_ANY;
            onChoose(like, ownFrom(like, typed.slice(0, 60)));
          },
        }}
        onChoose={(chosen) => {
          const mine = own.find(({ name }) => ownValue(name) === chosen);
          if (mine) onChoose(mine.like, mine);
          else onChoose(chosen as CropId, null);
        }}
      />
    </Suspense>
  );
}

type Say = (name: string) => string;

/** A crop by its name, and by the other one that was typed. */
function optionOf(id: CropId, typed: string, say: Say): SearchOption {
  const label = say(cropOf(id).name);
  const looked = plainName(typed);
  const also =
    typed === '' || plainName(label).includes(looked)
      ? undefined
      : datesOf(id).names.find((name) => plainName(name).includes(looked));
  return { value: id, label, ...(also ? { also } : {}) };
}

/** All crops in the groups of a gardener. */
const allGroups = (say: Say): SearchGroup[] =>
  CROP_GROUP_IDS.map((group) => ({
    label: CROP_GROUPS[group].name,
    options: CROP_IDS.filter((id) => datesOf(id).group === group)
      .map((id) => optionOf(id, '', say))
      .sort((a, b) => a.label.localeCompare(b.label)),
  }));
