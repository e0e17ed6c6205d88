import { createToaster, Toast, Toaster } from '@chakra-ui/react';
import { useEffect } from 'react';
import { NOTICE_TIMES, showNoticesBy, type Notice } from './notices';

/** Notices that stand at a time. */
const MOST = 3;

const toaster = createToaster({ placement: 'bottom' });

/** Shows a notice at once: the oldest makes room for it. */
function create({ text, undo }: Notice): void {
  const shown = toaster.getVisibleToasts();
  if (shown.length >= MOST) toaster.remove(shown.at(-1)?.id);
  toaster.create({
    title: text,
    duration: undo ? NOTICE_TIMES.undo : NOTICE_TIMES.plain,
    ...(undo ? { action: { label: undo.label, onClick: undo.run } } : {}),
  });
}

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
      toaster.remove();
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
