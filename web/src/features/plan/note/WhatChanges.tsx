import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Row } from '../../../api';
import { answered, api } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import type { Settings } from '../../../app/preferences';
import { Fact, OpensInPlace, QuantityField, useSettled } from '../../../ui';
import { plain } from '../../../units';
import {
  cheaperSentence,
  farthestSentence,
  insteadSentence,
  matchingMovedSentence,
  stepUpSentence,
} from '../../../words';
import {
  bandName,
  bandsOf,
  comparisonOf,
  isAnythingAsked,
  matchingOn,
  powerOn,
} from '../document/model';
import { useSheet } from '../sheetContext';

/** It follows so long after the last change: nobody reads it while typing. */
const SETTLED_MS = 300;

/** What would turn the answer: a cheaper cable, a shorter run, a step up, other places for the money. */
export function WhatChanges({ row }: { row: Row }) {
  const { plan, focus } = useSheet();
  const { settings, lengths } = usePreferences();
  const wanted = useMemo(
    () => ({
      comparison: comparisonOf(plan, settings.tolerances, []),
      rowId: row.id,
      band: focus,
    }),
    [plan, settings.tolerances, row.id, focus],
  );
  const request = useSettled(wanted, SETTLED_MS);
  const answer = useQuery({
    queryKey: ['changes', request],
    queryFn: ({ signal }) =>
      answered(api.POST('/api/comparisons/changes', { body: request, signal })),
    placeholderData: keepPreviousData,
    staleTime: 60_000,
  });
  const changes = answer.data;
  if (!changes || !isAnythingAsked(plan)) return null;
  const bands = bandsOf(plan).map(bandName);
  const band = bands[focus] ?? '';
  const radioW = powerOn(plan, bandsOf(plan)[focus]);
  const instead = insteadSentence(changes, radioW, settings);
  const sentences = [
    cheaperSentence(changes, row, bands, lengths),
    stepUpSentence(changes, row, focus, band),
    instead,
    farthestSentence(changes, row.name, bands, lengths),
    matchingOn(plan, bandsOf(plan)[focus]) === 'NONE'
      ? null
      : matchingMovedSentence(changes, row, focus, band),
  ].filter((s) => s !== null);
  if (sentences.length === 0) return null;
  const isOld = answer.isPlaceholderData || request !== wanted;
  return (
    <section
      aria-label="what would change it"
      className={`border-t border-hairline pt-3 print:hidden ${isOld ? 'opacity-45' : ''}`}
    >
      <h2 className="mb-1 text-fine text-soft">What would change it</h2>
      <ul className="flex flex-col gap-1.5">
        {sentences.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
      {instead && <Worth settings={settings} />}
    </section>
  );
}

/** What a dB costs elsewhere, as the operator reckons it. */
function Worth({ settings }: { settings: Settings }) {
  const { change } = usePreferences();
  const fields = [
    ['cableWorthPerDb', 'a dB less in the cable is worth'],
    ['gainCostPerDb', 'a dB of antenna gain costs'],
    ['powerCostPerDb', 'a dB of power costs'],
  ] as const;
  return (
    <p className="mt-1 text-fine text-soft">
      <OpensInPlace
        label="what a dB costs me"
        text="what a dB costs me"
        className="quiet"
        width={300}
      >
        {() =>
          fields.map(([name, label]) => (
            <Fact key={name} label={label}>
              <QuantityField
                label={label}
                kind="budget"
                unit=""
                unitLabel={settings.currency}
                value={settings[name]}
                least={name === 'cableWorthPerDb' ? 0.01 : 0}
                show={(v) => plain(v, 2)}
                say={(v) => `${plain(v, 2)} ${settings.currency}`}
                onCommit={(v) => change({ [name]: v })}
              />
            </Fact>
          ))
        }
      </OpensInPlace>
    </p>
  );
}
