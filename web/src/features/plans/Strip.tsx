import { vesselName } from '@huerta/core/catalog';
import { monthName, type PlanWish } from '@huerta/core/planning/plans';
import { cropOf, SPOT, SUN } from '@huerta/core/catalog';
import type { ReactNode } from 'react';
import { useWords } from '../../ui/preferences';
import { meansWords } from './counts';

const QUESTIONS = {
  has: { name: 'What there is' },
  wants: { name: 'What you want' },
  place: { name: 'Where' },
  matters: { name: 'How long, and what matters' },
} as const;
export type QuestionId = keyof typeof QUESTIONS;

interface StripProps {
  wish: PlanWish;
  open: QuestionId | null;
  onOpen(question: QuestionId | null): void;
  /** The fields of the question that is open. */
  children: ReactNode;
}

/** What one said, in one strip; a press opens the answer. */
export function Strip({ wish, open, onOpen, children }: StripProps) {
  return (
    <>
      <div className="plans-strip" role="group" aria-label="What was said">
        {(Object.keys(QUESTIONS) as QuestionId[]).map((id) => (
          <button
            key={id}
            type="button"
            className="plans-answer"
            aria-expanded={open === id}
            aria-controls="plans-question"
            onClick={() => onOpen(open === id ? null : id)}
          >
            <span className="plans-asked">{QUESTIONS[id].name}</span>
            <Said question={id} wish={wish} />
          </button>
        ))}
      </div>
      <div
        id="plans-question"
        className="plans-question"
        role="region"
        aria-label={open ? QUESTIONS[open].name : 'No question is open'}
        hidden={open === null}
      >
        {children}
      </div>
    </>
  );
}

/** So many things are named in the strip. */
const NAMED = 4;

function Said({ question, wish }: { question: QuestionId; wish: PlanWish }) {
  const words = useWords();
  const lines = linesOf(question, wish, words);
  const shown = lines.slice(0, NAMED);
  const more = lines.length - shown.length;
  return (
    <span className="plans-said">
      {shown.map((line) => (
        <span key={line}>{line}</span>
      ))}
      {more > 0 && <span>and {more} more</span>}
      {lines.length === 0 && <span className="is-none">{NONE[question]}</span>}
    </span>
  );
}

const NONE: Readonly<Record<QuestionId, string>> = {
  has: 'Nothing yet: all is bought',
  wants: 'Nothing yet: begin here',
  place: '',
  matters: '',
};

function linesOf(question: QuestionId, wish: PlanWish, words: ReturnType<typeof useWords>) {
  const { write, say, units } = words;
  switch (question) {
    case 'has':
      return [
        ...wish.vessels.map(({ vessel, count }) => `${count} × ${vesselName(vessel, units)}`),
        ...wish.own.map(({ name, count }) => `${count} × ${name}`),
        ...wish.means.map((held) => meansWords(held, words)),
      ];
    case 'wants':
      return wish.crops.map(
        ({ crop, count }) => `${count} × ${say(cropOf(crop).name).toLowerCase()}`,
      );
    case 'place':
      return [
        say(SPOT[wish.place.spot].name),
        wish.floor
          ? `${write(wish.floor.length, 'span')} × ${write(wish.floor.width, 'span')}`
          : say(SUN[wish.place.sun].name),
      ];
    case 'matters':
      return [
        wish.days > 0
          ? `${write(wish.days, 'days')} in ${monthName(wish.month)}`
          : `Not away, ${monthName(wish.month)}`,
        ...(wish.budget === null ? [] : [`at most ${wish.budget}`]),
      ];
  }
}
