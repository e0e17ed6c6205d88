import { createToaster, Toast, Toaster } from '@chakra-ui/react';

const toaster = createToaster({ placement: 'bottom', max: 3 });

/** Says something that has been done, with a way to take it back. */
export function notify(text: string, undo?: { label: string; run: () => void }): void {
  toaster.create({
    title: text,
    duration: undo ? 12_000 : 6_000,
    ...(undo ? { action: { label: undo.label, onClick: undo.run } } : {}),
  });
}

/** Where notices appear. */
export function Notices() {
  return (
    <Toaster toaster={toaster} insetInline={{ mdDown: '4' }}>
      {(toast) => (
        <Toast.Root>
          <Toast.Title>{toast.title}</Toast.Title>
          {toast.action && <Toast.ActionTrigger>{toast.action.label}</Toast.ActionTrigger>}
        </Toast.Root>
      )}
    </Toaster>
  );
}
