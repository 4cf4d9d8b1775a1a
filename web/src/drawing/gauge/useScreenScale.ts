import { pxPerMmNow } from '@kobran/core';
import { useEffect, useState } from 'react';
import { usePreferences } from '../../ui/Preferences.js';

/** CSS pixels to the millimetre of this screen at its present zoom; undefined while it was never calibrated. */
export function useScreenScale(): number | undefined {
  const { screen } = usePreferences();
  const [ratio, setRatio] = useState(devicePixelRatio);
  useEffect(() => {
    const follow = (): void => setRatio(devicePixelRatio);
    addEventListener('resize', follow);
    return () => removeEventListener('resize', follow);
  }, []);
  return screen && pxPerMmNow(screen, ratio);
}
