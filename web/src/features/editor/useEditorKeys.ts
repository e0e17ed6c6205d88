import { useHotkeys } from 'react-hotkeys-hook';
import { useEditorHistory } from './editorState';
import { focusFinding } from './focusFinding';
import { PANELS, type PanelId } from './usePanel';

interface BenchKeys {
  setRoom(room: PanelId): void;
  openHelp(): void;
}

/** The keys of the bench; `ShortcutsDialog` lists them. */
export function useEditorKeys({ setRoom, openHelp }: BenchKeys): void {
  const { undo, redo } = useEditorHistory();
  const anywhere = {
    enableOnFormTags: true,
    ignoreEventWhen: typing,
    preventDefault: true,
  } as const;
  useHotkeys('mod+z', undo, anywhere, [undo]);
  useHotkeys('mod+shift+z, mod+y', redo, anywhere, [redo]);
  useHotkeys('?', openHelp, { ...anywhere, useKey: true }, [openHelp]);
  useHotkeys(
    '1, 2, 3, 4, 5, 6',
    (_event, { keys }) => {
      const room = PANELS[Number(keys?.[0]) - 1];
      if (room) setRoom(room.id);
    },
    { enableOnFormTags: true, ignoreEventWhen: typing },
    [setRoom],
  );
  useHotkeys('o', () => focusGrip('overflow'), anywhere);
  useHotkeys('p', () => focusGrip('platform'), anywhere);
  useHotkeys('s', () => focusGrip('surface'), anywhere);
  useHotkeys('f', () => focusFinding(0), anywhere);
}

/** Whether the key belongs to a field that letters are typed into. */
function typing({ target }: KeyboardEvent): boolean {
  if (target instanceof HTMLInputElement) {
    return !['checkbox', 'radio', 'range', 'button'].includes(target.type);
  }
  return target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement;
}

function focusGrip(id: string): void {
  document.getElementById(`grip-${id}`)?.focus();
}
