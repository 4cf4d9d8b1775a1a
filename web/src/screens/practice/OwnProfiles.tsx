import {
  bondRoleNames,
  bondRoles,
  codeProfiles,
  formatResistance,
  formatWireSize,
  freshId,
  parseResistance,
  parseWireSize,
  type CodeProfile,
  type Practice,
} from '@kobran/core';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { usePreferences, useWords } from '../../ui/Preferences.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { TextField } from '../../ui/TextField.js';

/** A new one begins with what is common practice; the shop puts in what its code asks. */
const beginning = (own: readonly CodeProfile[]): CodeProfile => ({
  ...codeProfiles[0],
  id: freshId([...codeProfiles, ...own], 'own-code'),
  name: 'Our code',
  source: 'our own reading',
});

/** What the local code asks of ground conductors, where none of the shipped profiles is it. */
export function OwnProfiles({
  practice,
  onChange,
}: {
  practice: Practice;
  onChange: (change: Partial<Practice>) => void;
}): ReactNode {
  const words = useWords();
  const own = practice.codeProfiles ?? [];
  return (
    <section aria-labelledby="codes">
      <h2 id="codes" className="font-bold">
        {words('Sizes of ground conductors')}
      </h2>
      <p className="mt-1 text-sm text-muted">
        {words(
          'What your local code asks, for the Ground of your sites to choose. It certifies nothing: local code and a licensed electrician decide.',
        )}
      </p>
      {own.map((profile) => (
        <Profile
          key={profile.id}
          profile={profile}
          onChange={(next) =>
            onChange({ codeProfiles: own.map((one) => (one.id === profile.id ? next : one)) })
          }
          onRemove={() => onChange({ codeProfiles: own.filter(({ id }) => id !== profile.id) })}
        />
      ))}
      <button className="button mt-2" onClick={() => onChange({ codeProfiles: [...own, beginning(own)] })}>
        <Plus size={16} aria-hidden /> Add your own code
      </button>
    </section>
  );
}

function Profile({
  profile,
  onChange,
  onRemove,
}: {
  profile: CodeProfile;
  onChange: (profile: CodeProfile) => void;
  onRemove: () => void;
}): ReactNode {
  const { units } = usePreferences();
  const words = useWords();
  const put = (over: Partial<CodeProfile>): void => onChange({ ...profile, ...over });
  return (
    <fieldset className="mt-3 grid gap-2 border-l-4 border-rule pl-3 sm:grid-cols-2">
      <legend className="sr-only">{profile.name}</legend>
      <TextField label="Name" value={profile.name} maxLength={80} onChange={(name) => put({ name })} />
      <TextField
        label="Edition"
        value={profile.edition}
        maxLength={40}
        allowEmpty
        onChange={(edition) => put({ edition })}
      />
      <TextField
        label="Country"
        value={profile.country}
        maxLength={60}
        allowEmpty
        onChange={(country) => put({ country })}
      />
      <TextField
        label="Source"
        value={profile.source}
        maxLength={200}
        onChange={(source) => put({ source })}
      />
      {bondRoles.map((role) => (
        <QuantityField
          key={role}
          label={words(`Copper ${bondRoleNames[role]}`)}
          value={profile.copperMm2[role]}
          format={(mm2) => formatWireSize(mm2, units)}
          parse={parseWireSize}
          onChange={(mm2) => put({ copperMm2: { ...profile.copperMm2, [role]: mm2 } })}
        />
      ))}
      <QuantityField
        label={words('To ground at most')}
        value={profile.earthOhm}
        format={formatResistance}
        parse={(text) => parseResistance(text)}
        onChange={(earthOhm) => put({ earthOhm })}
      />
      <button className="button justify-self-start" onClick={onRemove}>
        <Trash2 size={16} aria-hidden /> Remove {profile.name}
      </button>
    </fieldset>
  );
}
