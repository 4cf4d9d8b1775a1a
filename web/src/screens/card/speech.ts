import { toast } from 'sonner';

/** Speaks a text with the browser’s own voice; where it has none, says so (the text itself is on the screen). */
export function say(text: string): void {
  if (!('speechSynthesis' in window) || speechSynthesis.getVoices().length === 0) {
    toast('This browser has no voice. The step is on the screen in full.');
    return;
  }
  speechSynthesis.cancel();
  speechSynthesis.speak(new SpeechSynthesisUtterance(text));
}
