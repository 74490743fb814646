import type { Schemas } from '../../../api';
import { answered, api } from '../../../api';
import type { Plan } from '../document/model';
import { bandsOf } from '../document/model';
import type { Load } from './loads';

type ReadLoad = Schemas['ReadLoadResponse'];
type Assessment = Schemas['AssessmentSpec'];

/** So many places tell a curve. */
const CURVE_POINTS = 48;

/** What a file says of the antenna. */
export interface FromFile {
  rows: number;
  lowestMHz: number;
  highestMHz: number;
  /** One for each band of the plan; no load where the file says nothing, with why. */
  loads: { load: Load | null; swrAtAntenna: number | null; whyNot: string | null }[];
  /** SWR at both ends over the file, where it was measured at the radio; empty otherwise. */
  curve: { frequencyMHz: number; swrAtRadio: number; swrAtAntenna: number }[];
}

export async function readAtTheAntenna(file: File, plan: Plan): Promise<FromFile> {
  const read = await readLoads(file, frequenciesOf(plan));
  return {
    ...read,
    loads: read.loads.map((l) => ({ load: loadOf(l), swrAtAntenna: l.swr, whyNot: l.whyNot })),
    curve: [],
  };
}

/** What was measured at the radio, carried through the plan's run. */
export async function readAtTheRadio(file: File, plan: Plan): Promise<FromFile> {
  const read = await readLoads(file, frequenciesOf(plan));
  const carried = await carry(plan, read.loads);
  const { lowestMHz, highestMHz } = read;
  const places = Array.from(
    { length: CURVE_POINTS },
    (_, i) => lowestMHz + ((highestMHz - lowestMHz) * i) / (CURVE_POINTS - 1),
  );
  const along = highestMHz > lowestMHz ? await readLoads(file, places) : null;
  const curve = along ? await carry(plan, along.loads) : [];
  return {
    ...read,
    loads: read.loads.map((l, i) => {
      const at = carried[i];
      const whyNot = l.whyNot ?? at?.whyNot ?? null;
      return {
        load: whyNot === null && at ? carriedLoad(l, at) : null,
        swrAtAntenna: at?.swrAtAntenna ?? null,
        whyNot,
      };
    }),
    curve: curve.flatMap((c) =>
      c?.swrAtRadio != null && c.swrAtAntenna !== null
        ? [
            {
              frequencyMHz: c.frequencyMHz,
              swrAtRadio: c.swrAtRadio,
              swrAtAntenna: c.swrAtAntenna,
            },
          ]
        : [],
    ),
  };
}

async function readLoads(file: File, frequenciesMHz: number[]) {
  return answered(
    api.POST('/api/loads', {
      body: { fileName: file.name, text: await file.text(), frequenciesMHz },
    }),
  );
}

/** One answer for each load; undefined where there is nothing to carry. */
async function carry(plan: Plan, loads: readonly ReadLoad[]) {
  const known = loads.filter((l) => l.whyNot === null);
  if (known.length === 0) return loads.map(() => undefined);
  const body: Assessment = {
    ...plan.document.assessment,
    bands: known.map((l) => ({ frequencyMHz: l.frequencyMHz, load: seenAtRadio(l) })),
  };
  const answer = await answered(api.POST('/api/assessments/at-the-antenna', { body }));
  let next = 0;
  return loads.map((l) => (l.whyNot === null ? answer.loads[next++] : undefined));
}

function frequenciesOf(plan: Plan): number[] {
  return bandsOf(plan).map((b) => b.frequencyMHz ?? 0);
}

function seenAtRadio(l: ReadLoad): Load {
  return l.swr === null
    ? { resistanceOhm: l.resistanceOhm ?? undefined, reactanceOhm: l.reactanceOhm ?? undefined }
    : { swrAtRadio: l.swr, referenceOhm: l.referenceOhm ?? undefined };
}

/** An impedance is known at the antenna then; of an SWR alone what was read at the radio is kept. */
function carriedLoad(l: ReadLoad, at: Schemas['CarriedLoadResponse']): Load {
  return at.resistanceOhm === null
    ? { swrAtRadio: Number((l.swr ?? 1).toFixed(3)), referenceOhm: l.referenceOhm ?? undefined }
    : {
        resistanceOhm: Number(at.resistanceOhm.toPrecision(6)),
        reactanceOhm: Number((at.reactanceOhm ?? 0).toPrecision(6)),
      };
}

/** Null where the file says nothing: the band keeps what it has. */
function loadOf(l: ReadLoad): Load | null {
  if (l.whyNot !== null) return null;
  if (l.swr !== null) return { swr: Number(l.swr.toFixed(3)), referenceOhm: l.referenceOhm ?? 50 };
  return {
    resistanceOhm: Number((l.resistanceOhm ?? 0).toPrecision(6)),
    reactanceOhm: Number((l.reactanceOhm ?? 0).toPrecision(6)),
  };
}
