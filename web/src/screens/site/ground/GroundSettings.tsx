import {
  codeProfiles,
  type CodeProfile,
  formatResistance,
  lightningLevels,
  parsePlainNumber,
  soils,
  type Ground,
  type LightningLevel,
  type SiteChange,
} from '@kobran/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Choice } from '../../../ui/Choice.js';
import { useWords } from '../../../ui/Preferences.js';
import { QuantityField } from '../../../ui/QuantityField.js';

/** What is reckoned with: soil, season, stroke, and the profile which says the sizes. */
export function GroundSettings({
  jobId,
  ground,
  profile,
  own,
  change,
}: {
  jobId: string;
  ground: Ground;
  /** The one which is reckoned with. */
  profile: CodeProfile;
  /** Those of the shop. */
  own: readonly CodeProfile[];
  change: (changes: readonly SiteChange[]) => void;
}): ReactNode {
  const words = useWords();
  const set = (over: Partial<Ground>): void => change([{ op: 'set ground', ground: over }]);
  const soil = soils.find(({ ohmM }) => ohmM === ground.soilOhmM);
  return (
    <section aria-label="What is reckoned with" className="mt-6 max-w-3xl">
      <h2 className="font-bold">What is reckoned with</h2>
      <div className="mt-2 grid gap-3 sm:grid-cols-3">
        <Choice
          label="Soil"
          value={soil?.name ?? ''}
          options={[
            ...(soil ? [] : [{ value: '', label: 'as measured' }]),
            ...soils.map(({ name, ohmM }) => ({ value: name, label: `${name}, ${ohmM} ohm m` })),
          ]}
          onChange={(name) => {
            const chosen = soils.find((one) => one.name === name);
            if (chosen) set({ soilOhmM: chosen.ohmM });
          }}
        />
        <QuantityField
          label="Resistivity, ohm m"
          value={ground.soilOhmM}
          format={String}
          parse={(text) => parsePlainNumber(text, 'resistivity')}
          onChange={(soilOhmM) => set({ soilOhmM })}
        />
        <QuantityField
          label="Season raises it"
          value={ground.season}
          format={(value) => String(value)}
          parse={(text) => parsePlainNumber(text.replace(/\s*(times|×|x)\s*$/i, ''), 'season')}
          onChange={(season) => set({ season })}
          hint="0.7 wet, 1 as it is, 2 dry or frozen"
        />
        <Choice
          label="Lightning level"
          value={ground.level}
          options={lightningLevels.map((level) => ({ value: level, label: `${level}, IEC 62305-1` }))}
          onChange={(level) => set({ level: level as LightningLevel })}
        />
        <Choice
          label="Share of it in a conductor"
          value={String(ground.share)}
          options={[...new Set([0.25, 0.5, 1, ground.share])].map((share) => ({
            value: String(share),
            label: `${Math.round(share * 100)} %`,
          }))}
          onChange={(share) => set({ share: Number(share) })}
        />
        <Choice
          label="Sizes as asked by"
          value={profile.id}
          options={[...codeProfiles, ...own].map(({ id, name, edition }) => ({
            value: id,
            label: [name, edition].filter(Boolean).join(', '),
          }))}
          onChange={(id) => set({ profile: id })}
        />
      </div>
      <p className="mt-2 text-sm text-muted">
        {words(
          `Your profile asks ${profile.copperMm2.electrodes} mm² copper between electrodes and bars, and ${formatResistance(profile.earthOhm)} to earth. Source: ${profile.source}. It certifies nothing: local code and a licensed electrician decide.`,
        )}{' '}
        <Link className="underline underline-offset-4" to={`/jobs/${jobId}/practice`}>
          Add your own code’s sizes
        </Link>
      </p>
    </section>
  );
}
