import { afterEach, describe, expect, it, vi } from 'vitest';
import { answering, Problem } from '../../../testing/answers';
import { joint, line, planOfRun } from '../../../testing/plans';
import { readAtTheAntenna, readAtTheRadio } from './loadFiles';

const file = new File(['MHz,SWR\n145,1.8'], 'antenna.csv');
const plan = planOfRun([joint(), line()]);

function load(change: object) {
  return {
    frequencyMHz: 145,
    swr: null,
    referenceOhm: null,
    resistanceOhm: null,
    reactanceOhm: null,
    whyNot: null,
    ...change,
  };
}

function read(...loads: object[]) {
  return { rows: 2, lowestMHz: 100, highestMHz: 500, loads: loads.map(load) };
}

describe('antennas out of a file', () => {
  afterEach(() => vi.restoreAllMocks());

  it('are asked for on the bands of the plan', async () => {
    const asked = answering({ 'POST /api/loads': () => read({ swr: 1.8 }, { swr: 2.4 }) });
    await readAtTheAntenna(file, plan);
    expect(asked[0]?.body).toEqual({
      fileName: 'antenna.csv',
      text: 'MHz,SWR\n145,1.8',
      frequenciesMHz: [145, 433],
    });
  });

  it('are an SWR with its reference, or an impedance, or nothing with why', async () => {
    answering({
      'POST /api/loads': () =>
        read(
          { swr: 1.80049, referenceOhm: 75 },
          { resistanceOhm: 43.1234567, reactanceOhm: -12.5 },
          { whyNot: 'the file ends at 500 MHz' },
        ),
    });
    const { loads, curve } = await readAtTheAntenna(file, plan);
    expect(loads[0]).toMatchObject({ load: { swr: 1.8, referenceOhm: 75 }, swrAtAntenna: 1.80049 });
    expect(loads[1]?.load).toEqual({ resistanceOhm: 43.1235, reactanceOhm: -12.5 });
    expect(loads[2]).toEqual({
      load: null,
      swrAtAntenna: null,
      whyNot: 'the file ends at 500 MHz',
    });
    expect(curve).toEqual([]);
  });

  it('measured at the radio are carried through the run, those that are known', async () => {
    const asked = answering({
      'POST /api/loads': () =>
        read(
          { whyNot: 'below the file' },
          { frequencyMHz: 433, resistanceOhm: 40, reactanceOhm: 9 },
        ),
      'POST /api/assessments/at-the-antenna': (body: { bands: unknown[] }) => ({
        loads: body.bands.map(() => ({
          frequencyMHz: 433,
          swrAtRadio: 1.3,
          swrAtAntenna: 2.1,
          resistanceOhm: 61.23456789,
          reactanceOhm: null,
          whyNot: null,
        })),
      }),
    });
    const found = await readAtTheRadio(file, plan);
    const carried = asked.filter((a) => a.path === '/api/assessments/at-the-antenna');
    expect(carried[0]?.body).toMatchObject({
      run: [{ kind: 'JOINT' }, { kind: 'LINE' }],
      bands: [{ frequencyMHz: 433, load: { resistanceOhm: 40, reactanceOhm: 9 } }],
    });
    expect(found.loads[0]).toEqual({ load: null, swrAtAntenna: null, whyNot: 'below the file' });
    expect(found.loads[1]).toEqual({
      load: { resistanceOhm: 61.2346, reactanceOhm: 0 },
      swrAtAntenna: 2.1,
      whyNot: null,
    });
    expect(found.curve[0]).toEqual({ frequencyMHz: 433, swrAtRadio: 1.3, swrAtAntenna: 2.1 });
  });

  it('of an SWR alone keep what was read at the radio', async () => {
    answering({
      'POST /api/loads': () => read({ swr: 1.23456, referenceOhm: 50 }),
      'POST /api/assessments/at-the-antenna': (body: { bands: unknown[] }) => ({
        loads: body.bands.map(() => ({
          frequencyMHz: 145,
          swrAtRadio: 1.23,
          swrAtAntenna: 1.6,
          resistanceOhm: null,
          reactanceOhm: null,
          whyNot: null,
        })),
      }),
    });
    const found = await readAtTheRadio(file, plan);
    expect(found.loads[0]?.load).toEqual({ swrAtRadio: 1.235, referenceOhm: 50 });
  });

  it('that cannot be carried say why', async () => {
    answering({
      'POST /api/loads': () => ({ ...read({ swr: 1.1 }), highestMHz: 100 }),
      'POST /api/assessments/at-the-antenna': () => ({
        loads: [
          {
            frequencyMHz: 145,
            swrAtRadio: 1.1,
            swrAtAntenna: null,
            resistanceOhm: null,
            reactanceOhm: null,
            whyNot: 'this run cannot show an SWR as low as that',
          },
        ],
      }),
    });
    const found = await readAtTheRadio(file, plan);
    expect(found.loads[0]).toMatchObject({ load: null, whyNot: /cannot show/ });
    expect(found.curve).toEqual([]);
  });

  it('are not carried where the file says nothing at all', async () => {
    const asked = answering({ 'POST /api/loads': () => read({ whyNot: 'empty' }) });
    await readAtTheRadio(file, plan);
    expect(asked.every((a) => a.path === '/api/loads')).toBe(true);
  });

  it('that cannot be read are an error with its reason', async () => {
    answering({ 'POST /api/loads': () => new Problem(422, 'line 2: "x" is not a number') });
    await expect(readAtTheAntenna(file, plan)).rejects.toThrow('line 2: "x" is not a number');
  });
});
