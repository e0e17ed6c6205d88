import { Box, Button, Field, Input, Text } from '@chakra-ui/react';
import type { Good } from '@huerta/core/fabrication';
import { Plus, X } from 'lucide-react';
import { useWords } from '../../ui/preferences';
import type { DraftErrors, GoodDraft } from './draft';

interface GoodRowProps {
  good: Good;
  /** The planters that take it. */
  users: readonly string[];
  draft: GoodDraft;
  errors: DraftErrors;
  /** Whether its prices are the typical ones. */
  typical: boolean;
  currency: string;
  onChange(draft: GoodDraft): void;
}

const MOST_SIZES = 6;
/** Planters that are named; more are counted. */
const NAMED = 2;

const someOf = (users: readonly string[]): string => {
  const more = users.length - NAMED;
  return [...users.slice(0, NAMED), ...(more > 0 ? [`${more} more`] : [])].join('; ');
};

/** Sizes on sale with their prices, and what lies at hand, of one good. */
export function GoodRow(props: GoodRowProps) {
  const { good, users, draft, errors, typical, currency, onChange } = props;
  const { tell } = useWords();
  const name = tell(good.name);
  const set = (i: number, change: Partial<GoodDraft['packs'][number]>) =>
    onChange({
      ...draft,
      packs: draft.packs.map((pack, k) => (k === i ? { ...pack, ...change } : pack)),
    });
  const byPiece = good.unit === 'piece';
  return (
    <Box as="section" aria-label={name} className="good">
      <Box className="good-name">
        <Text fontWeight="medium">{name}</Text>
        <Text fontSize="sm" color="faint">
          {typical ? 'Typical price' : 'Your price'}
          {users.length > 0 && `, for ${someOf(users)}`}
        </Text>
      </Box>
      <Box className="good-packs">
        {draft.packs.map((pack, i) => (
          <Box key={i} className="good-pack">
            <Entry
              label={byPiece ? 'In a pack' : 'Size'}
              of={name}
              value={pack.size}
              error={errors[`size ${i}`]}
              onType={(size) => set(i, { size })}
            />
            <Entry
              label={`Price, ${currency}`}
              of={name}
              value={pack.price}
              error={errors[`price ${i}`]}
              onType={(price) => set(i, { price })}
            />
            {draft.packs.length > 1 && (
              <Button
                variant="ghost"
                px="0"
                aria-label={`Take size ${pack.size} of ${name} away`}
                onClick={() => onChange({ ...draft, packs: draft.packs.filter((_, k) => k !== i) })}
              >
                <X size={18} aria-hidden />
              </Button>
            )}
            {i === draft.packs.length - 1 && i < MOST_SIZES - 1 && (
              <Button
                variant="ghost"
                aria-label={`Another size of ${name}`}
                onClick={() =>
                  onChange({ ...draft, packs: [...draft.packs, { size: '', price: '' }] })
                }
              >
                <Plus size={16} aria-hidden /> Another size
              </Button>
            )}
          </Box>
        ))}
      </Box>
      <Box className="good-hand">
        {good.unit === 'length' ? (
          <Entry
            label="Offcuts at hand"
            of={name}
            value={draft.offcuts}
            error={errors.offcuts}
            help="Lengths, with semicolons"
            onType={(offcuts) => onChange({ ...draft, offcuts })}
          />
        ) : (
          <Entry
            label="At hand"
            of={name}
            value={draft.atHand}
            error={errors.atHand}
            onType={(atHand) => onChange({ ...draft, atHand })}
          />
        )}
      </Box>
    </Box>
  );
}

interface EntryProps {
  label: string;
  of: string;
  value: string;
  error: string | undefined;
  help?: string;
  onType(text: string): void;
}

function Entry({ label, of, value, error, help, onType }: EntryProps) {
  return (
    <Field.Root invalid={error !== undefined}>
      <Field.Label fontSize="sm">
        {label}
        <span className="for-readers"> of {of}</span>
      </Field.Label>
      <Input value={value} autoComplete="off" onChange={(event) => onType(event.target.value)} />
      {error && <Field.ErrorText>{error}</Field.ErrorText>}
      {!error && help && <Field.HelperText>{help}</Field.HelperText>}
    </Field.Root>
  );
}
