import {
  inLanguage,
  languageOf,
  type DecimalMark,
  type Language,
  type ScreenScale,
  type UnitSystem,
} from '@kobran/core';
import { createContext, use, useCallback, useEffect, useMemo, useState, type ReactNode } from 'react';
import { keep, keptMembers, likeUsual, oneOf } from './browserStore.js';

/** What belongs to this person at this device, not to the job. */
interface Stored {
  units: UnitSystem;
  /** English as it is written here. */
  language: Language;
  /** Readings are heard as tones. */
  sound: boolean;
  /** How 1,500 is read here; nothing: it is asked. */
  numbers?: DecimalMark;
  theme: 'light' | 'dark';
  /** Signs readings and log entries. */
  name: string;
  card: CardPreferences;
  /** How large this screen draws, once it was held against a card. */
  screen?: ScreenScale;
}

/** How cards are worked at this device. */
export interface CardPreferences {
  /** Each step is spoken when it begins. */
  speak: boolean;
  /** The card hears “next”, “back”, “repeat”, “value …”. */
  listen: boolean;
  /** Words for hands alone come first. */
  touch: boolean;
  /** A tap anywhere goes on. */
  tap: boolean;
  lifeSize: boolean;
  /** Key of a pedal, as the browser names it. */
  pedal: string;
}

interface Preferences extends Stored {
  /** Who is signed in; then the name is theirs, and nobody types another. */
  signedInAs: string | undefined;
  signInAs: (name: string | undefined) => void;
  set: (change: { [K in keyof Stored]?: Stored[K] | undefined }) => void;
}

const usualCard: CardPreferences = {
  speak: false,
  listen: false,
  touch: false,
  tap: false,
  lifeSize: false,
  pedal: '',
};

const KEY = 'kobran.preferences';

function load(): Stored {
  const kept = keptMembers(KEY);
  const dark = document.documentElement.dataset.theme === 'dark';
  const { sound, name, card } = likeUsual({ sound: false, name: '', card: usualCard }, kept);
  const screen = likeUsual({ pxPerMm: 0, pixelRatio: 0 }, kept.screen);
  return {
    units: oneOf(['metric', 'imperial'], kept.units, 'metric'),
    language: oneOf(['US', 'UK'], kept.language, languageOf(navigator.language)),
    theme: oneOf(['light', 'dark'], kept.theme, dark ? 'dark' : 'light'),
    sound,
    name,
    card,
    ...(kept.numbers === '.' || kept.numbers === ',' ? { numbers: kept.numbers } : {}),
    ...(screen.pxPerMm > 0 && screen.pixelRatio > 0 ? { screen } : {}),
  };
}

const Context = createContext<Preferences | undefined>(undefined);

export function PreferencesProvider({ children }: { children: ReactNode }): ReactNode {
  const [stored, setStored] = useState(load);
  const set = useCallback<Preferences['set']>((change) => setStored((now) => ({ ...now, ...change })), []);
  useEffect(() => {
    keep(KEY, stored);
    document.documentElement.dataset.theme = stored.theme;
  }, [stored]);
  const [signedInAs, signInAs] = useState<string>();
  const value = useMemo(
    () => ({ ...stored, name: signedInAs ?? stored.name, signedInAs, signInAs, set }),
    [stored, signedInAs, set],
  );
  return <Context value={value}>{children}</Context>;
}

export function usePreferences(): Preferences {
  const preferences = use(Context);
  if (!preferences) throw new Error('usePreferences outside its provider');
  return preferences;
}

/** Writes sentences of Kobran’s own in the shop’s English. */
export function useWords(): (text: string) => string {
  const { language } = usePreferences();
  return useCallback((text) => inLanguage(text, language), [language]);
}
