import { spokenCommand, type SpokenCommand } from '@kobran/core';
import { useEffect, useRef } from 'react';
import { flushSync } from 'react-dom';
import { toast } from 'sonner';

export const hasVoice = (): boolean => 'speechSynthesis' in window && speechSynthesis.getVoices().length > 0;

/** Speaks a text with the browser’s own voice; where it has none, says so (the text itself is on the screen). */
export function say(text: string): void {
  if (!hasVoice()) {
    toast('This browser has no voice. The step is on the screen in full.');
    return;
  }
  speechSynthesis.cancel();
  speechSynthesis.speak(new SpeechSynthesisUtterance(text));
}

/** As much of a browser’s speech recogniser as is used here; it is not in TypeScript’s own library. */
interface Recogniser {
  lang: string;
  continuous: boolean;
  start: () => void;
  abort: () => void;
  onresult:
    ((event: { resultIndex: number; results: ArrayLike<ArrayLike<{ transcript: string }>> }) => void) | null;
  onerror: ((event: { error: string }) => void) | null;
  onend: (() => void) | null;
}
type RecogniserClass = new () => Recogniser;

function recogniserClass(): RecogniserClass | undefined {
  const named = window as unknown as Record<string, RecogniserClass | undefined>;
  return named.SpeechRecognition ?? named.webkitSpeechRecognition;
}

export const hasEars = (): boolean => recogniserClass() !== undefined;

/**
 * Listens for commands while `on`, and hears nothing while the card itself speaks.
 *
 * @param onRefused called with a sentence when the browser will not listen
 */
export function useListening(
  on: boolean,
  onCommand: (command: SpokenCommand) => void,
  onRefused: (why: string) => void,
): void {
  const act = useRef({ onCommand, onRefused });
  useEffect(() => {
    act.current = { onCommand, onRefused };
  });
  useEffect(() => {
    const Recogniser = recogniserClass();
    if (!on || !Recogniser) return undefined;
    const ears = new Recogniser();
    let over = false;
    ears.lang = 'en';
    ears.continuous = true;
    ears.onresult = ({ resultIndex, results }) => {
      if ('speechSynthesis' in window && speechSynthesis.speaking) return;
      const command = spokenCommand(results[resultIndex][0].transcript);
      // Done before the next word is heard: two in one breath are two steps.
      if (command) flushSync(() => act.current.onCommand(command));
    };
    ears.onerror = ({ error }) => {
      if (error === 'no-speech' || error === 'aborted') return;
      over = true;
      act.current.onRefused(
        error === 'not-allowed'
          ? 'The browser was not allowed to use the microphone. Allow it in the address bar, then switch listening on again.'
          : error === 'network'
            ? 'This browser listens over the network only, and it is not to be reached. Space or a pedal goes on.'
            : `The browser stopped listening (${error}). Space or a pedal goes on.`,
      );
    };
    // A recogniser stops by itself after a silence; a bench is often silent.
    ears.onend = () => {
      if (!over) ears.start();
    };
    ears.start();
    return () => {
      over = true;
      ears.abort();
    };
  }, [on]);
}
