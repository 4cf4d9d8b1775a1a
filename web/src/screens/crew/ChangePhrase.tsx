import { routes } from '@kobran/contract';
import { MIN_PHRASE } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { call, messageOf } from '../../store/client.js';
import { PhraseField } from '../../ui/PhraseField.js';
import { SentForm } from '../../ui/SentForm.js';

/** Another pass phrase for who is signed in. */
export function ChangePhrase(): ReactNode {
  const [old, setOld] = useState('');
  const [phrase, setPhrase] = useState('');
  async function send(): Promise<void> {
    await call(routes.changePhrase, { body: { old, phrase } });
    setOld('');
    setPhrase('');
    toast.success('Changed. Your other devices are signed out.');
  }
  return (
    <section className="mt-6" aria-labelledby="phrase">
      <h2 id="phrase" className="text-lg font-bold">
        Your pass phrase
      </h2>
      <SentForm label="Change it" isQuiet say={messageOf} send={send}>
        <PhraseField label="The one you have" value={old} onChange={setOld} />
        <PhraseField
          label="The new one"
          value={phrase}
          onChange={setPhrase}
          isNew
          hint={`${MIN_PHRASE} letters or more. Your other devices are signed out.`}
        />
      </SentForm>
    </section>
  );
}
