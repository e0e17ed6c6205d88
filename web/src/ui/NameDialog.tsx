import { Button, Dialog, Field, Input, Portal } from '@chakra-ui/react';
import { useState, type FormEvent, type ReactNode } from 'react';

interface NameDialogProps {
  title: string;
  label: string;
  /** The name to begin with. */
  name: string;
  /** What is said when none is given. */
  missing: string;
  /** Names that are offered. */
  known?: readonly string[];
  help?: ReactNode;
  /** The words on the buttons that do it and that leave it. */
  doIt: string;
  leaveIt: string;
  /** Does it. @throws Error with the sentence to show */
  onName(name: string): Promise<unknown>;
  onClose(): void;
}

/** Asks for one name. */
export function NameDialog(props: NameDialogProps) {
  const { title, label, missing, known = [], help, doIt, leaveIt, onName, onClose } = props;
  const [name, setName] = useState(props.name);
  const [error, setError] = useState('');
  const [busy, setBusy] = useState(false);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const trimmed = name.trim();
    if (trimmed === '') {
      setError(missing);
      return;
    }
    setBusy(true);
    try {
      await onName(trimmed);
      onClose();
    } catch (failed) {
      setError((failed as Error).message);
      setBusy(false);
    }
  };
  return (
    <Dialog.Root open onOpenChange={({ open }) => !open && onClose()}>
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content asChild>
            <form onSubmit={(event) => void submit(event)}>
              <Dialog.Header>
                <Dialog.Title>{title}</Dialog.Title>
              </Dialog.Header>
              <Dialog.Body>
                <Field.Root invalid={error !== ''}>
                  <Field.Label>{label}</Field.Label>
                  <Input
                    {...(known.length > 0 ? { list: 'names-known' } : {})}
                    value={name}
                    maxLength={120}
                    onChange={(event) => setName(event.target.value)}
                  />
                  <datalist id="names-known">
                    {known.map((one) => (
                      <option key={one} value={one} />
                    ))}
                  </datalist>
                  {help && <Field.HelperText>{help}</Field.HelperText>}
                  <Field.ErrorText>{error}</Field.ErrorText>
                </Field.Root>
              </Dialog.Body>
              <Dialog.Footer>
                <Button type="submit" variant="solid" disabled={busy}>
                  {doIt}
                </Button>
                <Button variant="ghost" onClick={onClose}>
                  {leaveIt}
                </Button>
              </Dialog.Footer>
            </form>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
