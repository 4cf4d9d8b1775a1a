import { Moon, Redo2, Sun, Undo2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link } from 'react-router';
import { usePreferences } from '../ui/Preferences.js';
import type { UnderEdit } from '../store/useDocumentEditor.js';
import { KeysDialog } from '../ui/KeysDialog.js';
import { AlsoHere } from './AlsoHere.js';
import { AsideNotice } from './AsideNotice.js';
import { PaletteWindow } from './PaletteWindow.js';
import { SaveMark } from './SaveMark.js';
import { ToolsMenu } from './ToolsMenu.js';

export interface Crumb {
  label: string;
  to?: string;
}

/** Where we are, whether it is saved, and what belongs to this device: units, light, keys. */
export function TopBar({
  crumbs,
  editor,
  children,
}: {
  crumbs: readonly Crumb[];
  editor?: UnderEdit;
  children?: ReactNode;
}): ReactNode {
  const { units, theme, set } = usePreferences();
  const [keys, setKeys] = useState(false);
  const [finding, setFinding] = useState(false);
  useHotkeys('shift+slash, ?', () => setKeys(true), { useKey: true });
  useHotkeys('mod+k', () => setFinding(!finding), { preventDefault: true, enableOnFormTags: true });
  const tool = 'grid size-9 place-items-center rounded hover:bg-panel disabled:text-rule';
  return (
    <header className="flex min-h-11 items-center gap-x-1 border-b border-rule px-4 py-1 sm:gap-x-3">
      <Link to="/" className="shrink-0 text-lg font-bold tracking-tight">
        {crumbs.length > 1 ? (
          <>
            <span aria-hidden="true" className="mr-1 sm:hidden">
              ‹
            </span>
            <span className="sr-only sm:not-sr-only">Kobran</span>
          </>
        ) : (
          'Kobran'
        )}
      </Link>
      <nav
        aria-label="Where you are"
        className={`min-w-0 flex-1 items-baseline gap-2 sm:flex ${crumbs.length > 1 ? 'flex' : 'hidden'}`}
      >
        {crumbs.map(({ label, to }, k) => (
          <span
            key={k}
            className={
              k === crumbs.length - 1 ? 'truncate font-semibold' : 'hidden shrink-0 text-muted sm:inline'
            }
          >
            {k > 0 && (
              <span aria-hidden="true" className="mr-2 hidden text-muted sm:inline">
                /
              </span>
            )}
            {to ? (
              <Link className="underline-offset-4 hover:underline" to={to}>
                {label}
              </Link>
            ) : (
              label
            )}
          </span>
        ))}
      </nav>
      {crumbs.length === 1 && <span className="flex-1 sm:hidden" />}
      <AlsoHere />
      {children}
      {editor && (
        <>
          <SaveMark save={editor.save} />
          <div className="flex">
            <button
              className={tool}
              aria-label="Undo"
              title="Undo (Ctrl Z)"
              disabled={!editor.undo}
              onClick={editor.undo}
            >
              <Undo2 size={18} aria-hidden />
            </button>
            <button
              className={tool}
              aria-label="Redo"
              title="Redo (Ctrl Shift Z)"
              disabled={!editor.redo}
              onClick={editor.redo}
            >
              <Redo2 size={18} aria-hidden />
            </button>
          </div>
        </>
      )}
      <AsideNotice />
      <ToolsMenu />
      <button
        className="hidden min-h-8 items-center gap-2 rounded border border-edge px-2 text-sm text-muted hover:border-ink lg:flex"
        onClick={() => setFinding(true)}
      >
        Find or do… <kbd className="key">Ctrl K</kbd>
      </button>
      <button
        className="figures hidden rounded border border-edge px-2 py-1 text-sm whitespace-nowrap hover:border-ink sm:block"
        title="Change units (U)"
        onClick={() => set({ units: units === 'metric' ? 'imperial' : 'metric' })}
      >
        <span className="sr-only">Units: </span>
        {units === 'metric' ? 'm · mm' : 'ft · in'}
      </button>
      <button
        className={`${tool} hidden sm:grid`}
        aria-label={theme === 'light' ? 'Dark' : 'Light'}
        title={theme === 'light' ? 'Dark' : 'Light'}
        onClick={() => set({ theme: theme === 'light' ? 'dark' : 'light' })}
      >
        {theme === 'light' ? <Moon size={18} aria-hidden /> : <Sun size={18} aria-hidden />}
      </button>
      <button
        className={`${tool} figures hidden text-lg sm:grid`}
        aria-label="Keys"
        title="Keys (?)"
        onClick={() => setKeys(true)}
      >
        ?
      </button>
      <KeysDialog open={keys} onOpenChange={setKeys} />
      <PaletteWindow open={finding} onOpenChange={setFinding} />
    </header>
  );
}
