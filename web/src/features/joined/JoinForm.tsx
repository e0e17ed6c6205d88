import { Box, Button, Checkbox, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { useState, type FormEvent } from 'react';
import { TextField } from '../../ui/TextField';

interface JoinFormProps {
  /** Those that are not joined yet. */
  planters: readonly PlanterResource[];
  name: string;
  /** @throws Error with the sentence to show */
  onJoin(name: string, chosen: readonly PlanterResource[]): Promise<void>;
  onClose(): void;
}

/** Which planters hoses are to join. */
export function JoinForm({ planters, name: first, onJoin, onClose }: JoinFormProps) {
  const [name, setName] = useState(first);
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [error, setError] = useState('');
  const [busy, setBusy] = useState(false);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (chosen.length < 2) {
      setError('Choose two planters or more.');
      return;
    }
    setBusy(true);
    try {
      // In the order in which they were pressed: that is the order of the hose.
      await onJoin(
        name,
        chosen.flatMap((id) => planters.find((one) => one.id === id) ?? []),
      );
    } catch (failure) {
      setError(failure instanceof Error ? failure.message : 'They could not be joined. Try again.');
      setBusy(false);
    }
  };
  return (
    <form
      aria-label="Join planters"
      onSubmit={(event) => void submit(event)}
      className="join-form not-printed"
    >
      <TextField
        label="What you call them"
        value={name}
        maxLength={80}
        required="Give them a name."
        onCommit={setName}
      />
      <Box as="fieldset" mt="3">
        <Text as="legend" fontWeight="bold" mb="2">
          Planters, in the order of the hose
        </Text>
        <ul className="join-choices">
          {planters.map(({ id, design }) => (
            <li key={id}>
              <Checkbox.Root
                checked={chosen.includes(id)}
                onCheckedChange={({ checked }) => {
                  setError('');
                  setChosen(
                    checked === true ? [...chosen, id] : chosen.filter((one) => one !== id),
                  );
                }}
              >
                <Checkbox.HiddenInput />
                <Checkbox.Control />
                <Checkbox.Label>
                  {design.variant ? `${design.name}, ${design.variant}` : design.name}
                </Checkbox.Label>
              </Checkbox.Root>
            </li>
          ))}
        </ul>
      </Box>
      {error && (
        <Text role="alert" color="harm" mt="2">
          {error}
        </Text>
      )}
      <Box display="flex" gap="3" mt="4">
        <Button type="submit" variant="solid" disabled={busy}>
          Join them
        </Button>
        <Button variant="ghost" onClick={onClose}>
          Not now
        </Button>
      </Box>
    </form>
  );
}
