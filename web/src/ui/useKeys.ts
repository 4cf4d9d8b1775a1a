import { useHotkeys, type HotkeyCallback, type Options } from 'react-hotkeys-hook';

/** Keys of the page; while a dialog stands over it they are the dialog’s. */
export function useKeys(keys: string, act: HotkeyCallback, options: Options = {}): void {
  useHotkeys(keys, act, {
    ...options,
    ignoreEventWhen: () => document.querySelector('[role=dialog], [role=menu]') !== null,
  });
}
