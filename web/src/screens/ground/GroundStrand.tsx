import { arresterNode, arrestersOf, formatFigure, onSite, strandOf, survey, type Site } from '@kobran/core';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { FigureText } from '../../ui/FigureText.js';
import { usePreferences, useWords } from '../../ui/Preferences.js';

/** The way of this run’s arrester to the soil, of all that the site is tied to. */
export function GroundStrand({ site }: { site: Site }): ReactNode {
  const { id, jobId, editor, sheet, practice } = useOpenRun();
  const { design } = editor;
  const catalog = useCatalog();
  const { units } = usePreferences();
  const words = useWords();
  const { ground } = useMemo(
    () =>
      survey(
        site,
        [{ id, design: onSite(design, site), sheet, installed: true }],
        catalog,
        practice.codeProfiles,
      ),
    [site, id, design, sheet, catalog, practice.codeProfiles],
  );
  const [arrester] = arrestersOf(design);
  const node = arrester && ground.nodes.find((one) => one.id === arresterNode(id, arrester.id));
  if (!node) return null;
  return (
    <section aria-label={words('Its way to the ground')} className="my-4 max-w-2xl">
      <h2 className="font-bold">{words('Its way to the ground')}</h2>
      {node.tied ? (
        <ol className="mt-1 divide-y divide-rule border-y border-rule">
          {strandOf(ground, node.id).map(({ bond, to }) => (
            <li key={bond.bond.id} className="flex flex-wrap justify-between gap-x-4 py-1">
              <span>
                {bond.bond.joint === 'mounted' ? 'screwed on to' : 'to'} <strong>{to.name}</strong>
                {bond.bond.made ? '' : ', not joined yet'}
              </span>
              {bond.bond.joint !== 'mounted' && (
                <span className="figures">
                  {bond.length && bond.first
                    ? `${formatFigure(bond.length, units)}, ${formatFigure(bond.first, units)}`
                    : 'length not known'}
                </span>
              )}
            </li>
          ))}
        </ol>
      ) : (
        <p className="text-stop">
          <strong>Tied to nothing.</strong> {words('Join its arrester to the bar at the entry.')}
        </p>
      )}
      <p className="mt-1">
        {node.volts ? (
          <>
            In all <FigureText figure={node.volts} /> at a first stroke.{' '}
          </>
        ) : (
          node.unmeasured.length > 0 && (
            <>How many volts at a first stroke is not known: enter the lengths. </>
          )
        )}
        <Link className="underline underline-offset-4" to={`/jobs/${jobId}/ground`}>
          {words('Open the ground of the site')}
        </Link>
      </p>
    </section>
  );
}
