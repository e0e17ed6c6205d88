import { Button, Dialog, HStack, Portal } from '@chakra-ui/react';
import { Minus, Plus, X } from 'lucide-react';
import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';

interface EnlargedProps {
  title: string;
  /** Whether it fills the window in both directions, as what has controls of its own does. */
  whole?: boolean;
  onClose(): void;
  children: ReactNode;
}

/** How many times as large as the window the drawing is, step by step. */
const ZOOMS = [1, 1.5, 2.5, 4];

/** A drawing over the whole window, to be drawn larger still and moved about in it. */
export function Enlarged({ title, whole = false, onClose, children }: EnlargedProps) {
  const [step, setStep] = useState(0);
  const zoom = ZOOMS[step] ?? 1;
  const frame = useRef<HTMLDivElement>(null);
  const before = useRef(1);
  // What was in the middle stays in the middle.
  useLayoutEffect(() => {
    const { current } = frame;
    if (!current) return;
    const { clientWidth, clientHeight, scrollLeft, scrollTop } = current;
    const by = zoom / before.current;
    before.current = zoom;
    current.scrollLeft = (scrollLeft + clientWidth / 2) * by - clientWidth / 2;
    current.scrollTop = (scrollTop + clientHeight / 2) * by - clientHeight / 2;
  }, [zoom]);
  return (
    <Dialog.Root open size="full" onOpenChange={(event) => !event.open && onClose()}>
      <Portal>
        <Dialog.Positioner>
          <Dialog.Content>
            <HStack px="3" py="1" gap="2" borderBottom="2px solid" borderColor="ink">
              <Dialog.Title flex="1">{title}</Dialog.Title>
              <Button
                variant="ghost"
                px="2"
                aria-label="Smaller"
                disabled={step === 0}
                onClick={() => setStep(step - 1)}
              >
                <Minus size={20} />
              </Button>
              <Button
                variant="ghost"
                px="2"
                aria-label="Larger"
                disabled={step === ZOOMS.length - 1}
                onClick={() => setStep(step + 1)}
              >
                <Plus size={20} />
              </Button>
              <Button px="3" onClick={onClose}>
                <X size={18} /> Close
              </Button>
            </HStack>
            {/* Focusable, so that it is moved by arrow keys too. */}
            <div
              ref={frame}
              className="enlarged-frame"
              tabIndex={zoom > 1 ? 0 : -1}
              aria-label={title}
            >
              <div
                className="enlarged-drawing"
                style={{
                  width: `${zoom * 100}%`,
                  height: whole ? `${zoom * 100}%` : `min(${zoom * 100}%, ${zoom * 110}vw)`,
                }}
              >
                {children}
              </div>
            </div>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
