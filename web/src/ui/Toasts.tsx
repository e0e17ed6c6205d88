import { createToaster, Toast, Toaster } from '@chakra-ui/react';
import { useEffect } from 'react';
import { showNoticesBy, type Notice } from './notices';

const toaster = createToaster({ placement: 'bottom', max: 3 });

const create = ({ text, undo }: Notice): void =>
  void toaster.create({
    title: text,
    duration: undo ? 12_000 : 6_000,
    ...(undo ? { action: { label: undo.label, onClick: undo.run } } : {}),
  });

/** Notices as they stand at the bottom of the page for a while. */
export function Toasts() {
  useEffect(() => {
    // The toaster listens from the next turn on.
    let end = (): void => undefined;
    const begin = setTimeout(() => {
      end = showNoticesBy(create);
    });
    return () => {
      clearTimeout(begin);
      end();
    };
  }, []);
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
