import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { messageOf } from '../store/client.js';
import { useMe, useSignOut } from '../store/me.js';
import { usePreferences } from '../ui/Preferences.js';

/** Something that is switched at this device. */
interface Setting {
  id: string;
  /** What pressing it brings. */
  label: string;
  hint: string;
  act: () => void;
}

/** What can be switched, wherever it is offered: in the menu of a phone, by Ctrl K. */
export function useSettings(): Setting[] {
  const { units, theme, language, sound, set } = usePreferences();
  const sign = useSign();
  return [
    {
      id: 'units',
      label: units === 'metric' ? 'Feet and inches' : 'Metres and millimetres',
      hint: 'units',
      act: () => set({ units: units === 'metric' ? 'imperial' : 'metric' }),
    },
    {
      id: 'theme',
      label: theme === 'light' ? 'Dark' : 'Light',
      hint: 'light of the screen',
      act: () => set({ theme: theme === 'light' ? 'dark' : 'light' }),
    },
    {
      id: 'language',
      label: language === 'US' ? 'UK English: earth, aluminium, grey' : 'US English: ground, aluminum, gray',
      hint: 'language',
      act: () => set({ language: language === 'US' ? 'UK' : 'US' }),
    },
    {
      id: 'sound',
      label: sound ? 'Sound off' : 'Sound on: readings as tones',
      hint: 'short, wiggle and resonance by ear',
      act: () => set({ sound: !sound }),
    },
    ...sign,
  ];
}

/** Coming and going, where there is a crew. */
function useSign(): Setting[] {
  const me = useMe();
  const navigate = useNavigate();
  const signOut = useSignOut();
  const leave = (): void => void signOut().catch((error: unknown) => toast.error(messageOf(error)));
  if (me?.kind === 'member')
    return [
      { id: 'sign', label: `Sign out ${me.name}`, hint: 'what waits to be sent stays here', act: leave },
    ];
  if (me?.kind === 'here' && me.hasCrew)
    return [
      {
        id: 'sign',
        label: 'Sign in',
        hint: 'what is done here is then signed by you',
        act: () => void navigate('/sign-in'),
      },
    ];
  return [];
}
