import { useHotkeys, type HotkeyCallback, type Options } from 'react-hotkeys-hook';

/**
 * Keys of the page; while a dialog stands over it they are the dialog’s. The Escape which closes a dialog is spent: by the time the
 * page hears it the dialog is gone, and only the event knows.
 */
export function useKeys(keys: string, act: HotkeyCallback, options: Options = {}): void {
  useHotkeys(keys, act, {
    ...options,
    ignoreEventWhen: ({ defaultPrevented }) =>
      defaultPrevented || document.querySelector('[role=dialog], [role=menu]') !== null,
  });
}
