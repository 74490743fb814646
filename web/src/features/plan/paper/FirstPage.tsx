import type { RefObject } from 'react';
import type { BandAssessment, Verdict } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import {
  fixed,
  frequencyText,
  lengthText,
  levelText,
  moneyFigure,
  plain,
  powerText,
  shownReading,
} from '../../../units';
import { costSentences, dateText, reasonText, words } from '../../../words';
import { headline } from '../note/headline';
import type { Band } from '../document/model';
import { bandName, bandsOf, powerOn, revisionNumber, runOf } from '../document/model';
import { elementName } from '../run/elements';
import { partsWith } from '../run/parts';
import { partName } from '../run/parts';
import { useSheet } from '../sheetContext';
import { figuresOf } from './bandsOnPaper';
import { Page } from './Page';
import { RunDrawing } from './RunDrawing';
import type { RunSheet } from './usePaper';

/** As many reasons as are read on a roof. */
const MOST_REASONS = 3;

interface Props {
  sheet: RunSheet;
  format: 'a4' | 'letter';
  drawing: RefObject<HTMLDivElement | null>;
}

/** What it is, and what is needed for it. */
export function FirstPage({ sheet, format, drawing }: Props) {
  const context = useSheet();
  const { plan, version, catalogue, connectors, focus, band } = context;
  const { reading, lengths } = usePreferences();
  const bands = bandsOf(plan);
  const radioW = powerOn(plan, band);
  const shown = shownReading(reading, radioW !== null);
  const assessment = figuresOf(sheet, band);
  const run = runOf(plan);
  return (
    <Page format={format} label="first page of the run sheet">
      <header className="flex items-baseline justify-between border-b-2 border-ink pb-1">
        <h1 className="text-title font-bold">{plan.name}</h1>
        <span>
          {plan.site && `${plan.site} · `}revision {revisionNumber(version)} ·{' '}
          {dateText(new Date().toISOString())}
        </span>
      </header>
      <Decided sheet={sheet} />
      <p>
        {headline(plan, sheet.row, focus, shown)} It {words.judged[sheet.row.verdict]}
        {sheet.row.reasons.length > 0 &&
          `: ${sheet.row.reasons
            .slice(0, MOST_REASONS)
            .map((r) =>
              reasonText(
                r,
                r.band === null ? '' : bandName(bands[r.band]),
                partsWith(sheet.row, context)(r),
              ),
            )
            .join('; ')}`}
        .
      </p>
      <div ref={drawing}>
        {assessment && (
          <RunDrawing
            run={run}
            assessment={assessment}
            radioW={radioW}
            nameOf={(e) =>
              elementName(e, { catalogue, connectors, cableName: sheet.name, isPresent: false })
            }
            lengths={lengths}
            reading={shown}
            bandName={bandName(band)}
          />
        )}
      </div>
      <p className="text-small">Drawn on {bandName(band)}; white is power, hatched became heat.</p>
      <h2>Figures</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">band</th>
            <th scope="col">radio</th>
            <th scope="col">at the antenna</th>
            <th scope="col">lost in all</th>
            <th scope="col">cable and joints</th>
            <th scope="col">by SWR</th>
            <th scope="col">SWR antenna / radio</th>
            <th scope="col">verdict</th>
          </tr>
        </thead>
        <tbody>
          {bands.map((own, i) => (
            <FiguresRow
              key={own.id ?? i}
              band={own}
              figures={figuresOf(sheet, own)}
              verdict={sheet.row.cells[i]?.verdict ?? 'FAIL'}
            />
          ))}
        </tbody>
      </table>
      {run.length > 12 && <Elements sheet={sheet} />}
      <div className="flex gap-8">
        <section className="flex-1">
          <h2>To buy</h2>
          <table>
            <tbody>
              {sheet.toBuy.map((b) => (
                <tr key={`${b.kind} ${b.name ?? b.elements.join()}`}>
                  <th scope="row">
                    {partName({ ...b, element: b.elements[0] ?? null }, sheet.row, context)}
                  </th>
                  <td>
                    {b.kind === 'CABLE' ? lengthText(b.bought, lengths) : `${plain(b.bought)} ×`}
                    {b.bought > b.needed && ` (${lengthText(b.needed, lengths)} cut from it)`}
                  </td>
                  <td>
                    {b.cost ? `${moneyFigure(b.cost.amount)} ${b.cost.currency}` : 'no price'}
                  </td>
                </tr>
              ))}
              <tr className="font-semibold">
                <th scope="row">together</th>
                <td />
                <td>
                  {sheet.row.cost
                    ? `${moneyFigure(sheet.row.cost.amount)} ${sheet.row.cost.currency}`
                    : 'not known'}
                </td>
              </tr>
            </tbody>
          </table>
          <p className="text-tiny">
            {sheet.row.cost?.sample && sheet.row.cost.samples.length === 0 && words.samplePrices}{' '}
            {costSentences(sheet.row, (part) => partName(part, sheet.row, context))}
          </p>
        </section>
        <section className="flex-1">
          <h2>To cut</h2>
          <table>
            <tbody>
              {sheet.cuts.map((c) => (
                <tr key={c.element}>
                  <th scope="row">{c.name}</th>
                  <td>
                    {c.isOwned
                      ? `${lengthText(c.runM, lengths)}, a piece of yours`
                      : `cut ${lengthText(Number(plain(c.cutM, 2)), lengths)}`}
                  </td>
                  <td>{!c.isOwned && `for ${lengthText(c.runM, lengths)} of run`}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      </div>
    </Page>
  );
}

function swr(value: number | null): string {
  return value === null ? 'no limit' : fixed(value, 2);
}

/** Which cable, since when and why; or that nothing is decided yet. */
function Decided({ sheet }: { sheet: RunSheet }) {
  const { decisions, rowId } = useSheet();
  const standing = decisions.find((d) => d.withdrawnAt === null);
  if (standing && standing.rowId === rowId) {
    return (
      <p className="my-2 text-lead">
        <strong>{standing.cableName}</strong>, chosen on {dateText(standing.decidedAt)}
        {standing.reason && <>: “{standing.reason}”</>}
      </p>
    );
  }
  return (
    <p className="my-2 text-lead">
      <strong>{sheet.name}</strong>
      {standing ? `, not what was chosen: that is ${standing.cableName}.` : ', not decided yet.'}
    </p>
  );
}

/** One band in figures; dashes where more is lost than can be assessed. */
function FiguresRow({
  band,
  figures,
  verdict,
}: {
  band: Band;
  figures: BandAssessment | undefined;
  verdict: Verdict;
}) {
  const { plan } = useSheet();
  const { reading } = usePreferences();
  const w = powerOn(plan, band);
  return (
    <tr>
      <th scope="row">
        {bandName(band)}, {frequencyText(band.frequencyMHz ?? 0)}
      </th>
      <td>{w === null ? 'listens' : powerText(w)}</td>
      {figures ? (
        <>
          <td>
            {levelText(
              { lossDb: figures.totalLossDb, watts: figures.powerAtAntennaW },
              shownReading(reading, w !== null),
            )}
          </td>
          <td>{fixed(figures.totalLossDb, 2)} dB</td>
          <td>{fixed(figures.matchedLossDb, 2)} dB</td>
          <td>
            {fixed(figures.mismatchLossDb + figures.reflectionLossDb + figures.foldbackDb, 2)} dB
          </td>
          <td>
            {swr(figures.swrAtAntenna)} / {swr(figures.swrAtRadio)}
          </td>
        </>
      ) : (
        <td colSpan={5}>more is lost than can be assessed</td>
      )}
      <td>{words.verdict[verdict]}</td>
    </tr>
  );
}

/** Where the drawing only has numbers. */
function Elements({ sheet }: { sheet: RunSheet }) {
  const { plan, catalogue, connectors, band } = useSheet();
  const { lengths } = usePreferences();
  const named = { catalogue, connectors, cableName: sheet.name, isPresent: false };
  return (
    <p className="text-tiny">
      {runOf(plan)
        .flatMap((e, i) => {
          const figures = figuresOf(sheet, band)?.elements[i];
          return figures?.aside
            ? []
            : `${i + 1} ${elementName(e, named)}${e.kind === 'LINE' ? ` ${lengthText(e.lengthM ?? 0, lengths)}` : ''} −${fixed(figures?.lossDb ?? 0, 2)} dB`;
        })
        .join('; ')}
    </p>
  );
}
