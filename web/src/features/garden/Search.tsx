import { Button, Field, Input } from '@chakra-ui/react';
import type { PlanterSummary } from '@huerta/contract';
import { SlidersHorizontal } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { ChoiceField } from '../../ui/ChoiceField';
import { answersIn, BUILDS, ORDERS, TROUBLES, wantedOf, type Wanted } from './found';

/** What is asked for lies in the address, so that going back shows the same. */
export function useWanted(): [Wanted, (name: string, value: string) => void] {
  const [search, setSearch] = useSearchParams();
  const want = (name: string, value: string) =>
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        if (value === '') next.delete(name);
        else next.set(name, value);
        return next;
      },
      { replace: true },
    );
  return [wantedOf(search), want];
}

interface SearchProps {
  entries: readonly PlanterSummary[];
  wanted: Wanted;
  onWant(name: string, value: string): void;
  /** What else stands in the row. */
  children: ReactNode;
}

/** Finds planters by words, place, crop, trouble and build. */
export function Search({ entries, wanted, onWant, children }: SearchProps) {
  const narrowed =
    wanted.place !== '' ||
    wanted.crop !== '' ||
    wanted.trouble !== 'any' ||
    wanted.build !== 'any' ||
    wanted.order !== 'made';
  const [open, setOpen] = useState(narrowed);
  const named = (all: string, names: readonly string[]) => ({
    '': { name: all },
    ...Object.fromEntries(names.map((name) => [name, { name }])),
  });
  return (
    <form role="search" className="garden-search" onSubmit={(event) => event.preventDefault()}>
      <Field.Root className="garden-words">
        <Field.Label>Find</Field.Label>
        <Input
          type="search"
          value={wanted.words}
          placeholder="Name, place or crop"
          onChange={(event) => onWant('q', event.target.value)}
        />
      </Field.Root>
      <Button aria-expanded={open} onClick={() => setOpen(!open)}>
        <SlidersHorizontal size={18} aria-hidden /> Filter and sort
      </Button>
      {children}
      {open && (
        <div className="garden-narrow">
          <ChoiceField
            label="Where"
            own
            value={wanted.place}
            choices={named(
              'Everywhere',
              answersIn(entries, ({ summary }) => summary.place),
            )}
            onChoose={(place) => onWant('place', place)}
          />
          <ChoiceField
            label="What grows"
            value={wanted.crop}
            choices={named(
              'Anything',
              answersIn(entries, ({ summary }) => summary.crop),
            )}
            onChoose={(crop) => onWant('crop', crop)}
          />
          <ChoiceField
            label="Trouble"
            value={wanted.trouble}
            choices={TROUBLES}
            onChoose={(one) => onWant('trouble', one === 'any' ? '' : one)}
          />
          <ChoiceField
            label="Build"
            value={wanted.build}
            choices={BUILDS}
            onChoose={(one) => onWant('build', one === 'any' ? '' : one)}
          />
          <ChoiceField
            label="Order"
            value={wanted.order}
            choices={ORDERS}
            onChoose={(one) => onWant('order', one === 'made' ? '' : one)}
          />
        </div>
      )}
    </form>
  );
}
