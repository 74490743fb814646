import type { BandAssessment } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { fixed, levelText, lengthText, powerText } from '../../../units';
import type { Level, Reading } from '../../../units';
import { isAside } from '../document/branches';
import { runOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { elementName, heatOf, KIND_WORDS } from './elements';

/** What the ribbon shows, as a table. */
export function RunTable({ levels, shown }: { levels: Level[]; shown: Reading }) {
  const sheet = useSheet();
  const { assessment } = sheet;
  const { lengths } = usePreferences();
  const level = (i: number) => (levels[i] ? levelText(levels[i], shown) : '–');
  return (
    <table className="mb-2 w-full max-w-[860px] border-collapse [&_td]:py-0.5 [&_td]:pr-4 [&_th]:pr-4">
      <caption className="sr-only">the run from the radio to the antenna</caption>
      <thead>
        <tr className="border-b border-hairline text-left text-small text-soft [&>th]:font-normal">
          <th scope="col">element</th>
          <th scope="col">what it is</th>
          <th scope="col" className="text-right">
            length
          </th>
          <th scope="col" className="text-right">
            goes in
          </th>
          <th scope="col" className="text-right">
            comes out
          </th>
          <th scope="col" className="text-right">
            its loss
          </th>
          <th scope="col" className="text-right">
            of it by mismatch
          </th>
          <th scope="col" className="text-right">
            heat
          </th>
        </tr>
      </thead>
      <tbody>
        {runOf(sheet.plan).map((element, i) => {
          if (isAside(element, sheet.band)) return null;
          const figures = assessment?.elements[i];
          return (
            <tr key={element.id ?? i} className="border-b border-hairline">
              <th scope="row" className="text-left font-semibold">
                {elementName(element, sheet)}
              </th>
              <td>{KIND_WORDS[element.kind]}</td>
              <td className="figures text-right">
                {element.kind === 'LINE' ? lengthText(element.lengthM ?? 0, lengths) : ''}
              </td>
              <td className="figures text-right">{level(i)}</td>
              <td className="figures text-right">{level(i + 1)}</td>
              <td className="figures text-right">
                {figures ? `${fixed(figures.lossDb, 2)} dB` : '–'}
              </td>
              <td className="figures text-right">
                {figures ? `${fixed(figures.lossDb - figures.matchedLossDb, 2)} dB` : '–'}
              </td>
              <td className="figures text-right">{heatText(assessment, i)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function heatText(assessment: BandAssessment | undefined, i: number): string {
  const heatW = heatOf(assessment, i);
  return heatW === null ? '–' : powerText(heatW);
}
