/** What the words of the trade mean, in a sentence or two each. */

import { PARTS, PROPERTIES } from './anatomy';
import type { Part } from './anatomy';

export interface Entry extends Part {
  /** How it stands in sentences, where that differs from its name; longer forms first. */
  forms?: readonly string[];
}

const WORDS: readonly Entry[] = [
  {
    id: 'run',
    name: 'Run',
    text: 'Everything that power passes between the radio and the antenna: cables, jumpers, joints, devices.',
  },
  {
    id: 'matched-loss',
    name: 'Matched loss',
    forms: ['matched loss'],
    text: 'What a cable or a joint loses when it ends in its own impedance: the least that it can lose.',
  },
  {
    id: 'mismatch-loss',
    name: 'Mismatch loss',
    forms: ['mismatch loss', 'standing wave adds', 'standing wave'],
    text: 'What is lost in the cable besides, because waves run to and fro on it when the antenna is no match. It grows with the matched loss: a good cable bears a bad match, a poor one does not.',
  },
  {
    id: 'reflection-loss',
    name: 'Reflection at the radio',
    forms: ['reflection at the radio', 'reflects there'],
    text: 'Power that never left the radio, because what it sees is not its own impedance and no matching unit stands between. Nothing is heated by it.',
  },
  {
    id: 'preamplifier',
    name: 'Preamplifier',
    forms: ['preamplifier'],
    text: 'An amplifier for what is received. At the antenna its own small noise stands in place of that of cable and receiver; behind the cable it can only keep what is left. Relays lead what is sent round it.',
  },
  {
    id: 'noise-figure',
    name: 'Noise figure',
    forms: ['noise figure'],
    text: 'How much noise a receiver or an amplifier adds to what comes in, in dB over a part that adds none at room temperature.',
  },
  {
    id: 'diplexer',
    name: 'Diplexer',
    forms: ['diplexer', 'triplexer'],
    text: 'Filters that send low bands one way and high bands another, so that one line serves two antennas or two radios. Each way loses a little.',
  },
  {
    id: 'splitter',
    name: 'Splitter',
    forms: ['splitter'],
    text: 'Shares what comes in among equal ports: two get half each, 3 dB less, four a quarter each, 6 dB less, and a little is lost besides.',
  },
  {
    id: 'foldback',
    name: 'Foldback',
    forms: ['reduce their power', 'foldback'],
    text: 'A radio that protects itself gives less power into a bad SWR; many begin at 2.',
  },
  {
    id: 'swr',
    name: 'SWR',
    forms: ['SWR at the antenna', 'SWR at the radio', 'SWR'],
    text: 'How much voltage swells and sinks along a line, from 1 up. At the antenna it tells of the antenna; at the radio it is smaller by what the cable loses, so a lossy cable flatters a bad antenna.',
  },
  {
    id: 'matching-unit',
    name: 'Matching unit',
    forms: ['matching unit'],
    text: 'A tuner. At the radio it pleases the radio and leaves the standing wave on the cable; at the antenna it takes it off.',
  },
  {
    id: 'transformer',
    name: 'Transformer',
    forms: ['transformer'],
    text: 'Changes impedance by a fixed ratio, and may join a balanced line to a coaxial one.',
  },
  {
    id: 'joint',
    name: 'Joint',
    forms: ['mated pairs', 'mated pair', 'joints', 'joint'],
    text: 'One mated pair of connectors. A barrel makes two of them. On HF what it loses can hardly be measured; a bad one is found by its heat, its flicker or a sweep.',
  },
  {
    id: 'jumper',
    name: 'Jumper',
    forms: ['jumpers', 'jumper'],
    text: 'A short flexible cable between things that move or are unplugged.',
  },
  {
    id: 'arrestor',
    name: 'Arrestor',
    forms: ['arrestor'],
    text: 'Leads a surge to ground. It wants a short, thick bond; where and how is for local codes and a qualified person.',
  },
  {
    id: 'feed-point',
    name: 'Feed point',
    forms: ['feed point'],
    text: 'Where the cable meets the antenna.',
  },
  {
    id: 'db',
    name: 'Decibel',
    forms: ['decibels'],
    text: 'A ratio told so that it can be added: 3 dB is half the power, 10 dB a tenth, 0.5 dB nine tenths.',
  },
  {
    id: 's-unit',
    name: 'S-unit',
    forms: ['S-units', 'S-unit'],
    text: 'A step of a receiver’s meter, 6 dB: four times the power for one step. So half the power is half a step, and it is neither half the range nor half the signal.',
  },
  {
    id: 'reach',
    name: 'Reach',
    forms: ['reach'],
    text: 'How long the run may become with a cable before the first thing that was asked fails.',
  },
  {
    id: 'knee',
    name: 'Knee',
    forms: ['knee'],
    text: 'The last step up in cable that still costs no more for each dB than a dB is worth to you.',
  },
  {
    id: 'tolerance',
    name: 'Tolerance',
    forms: ['tolerance'],
    text: 'How far a cable may be off what is said of it, by where that comes from: typical, a sheet, a measurement, a guess. What passes only with luck is marginal.',
  },
  {
    id: 'extrapolation',
    name: 'Extrapolation',
    forms: ['extrapolated', 'extrapolation'],
    text: 'A figure for a frequency that lies well outside what the sheet covers. It may be right.',
  },
  {
    id: 'duty',
    name: 'Duty',
    forms: ['duty'],
    text: 'How much of the time the power is really there while one sends: a quarter for speech, all of it for FM and data. It decides what gets hot.',
  },
  {
    id: 'margin',
    name: 'Margin',
    forms: ['margins', 'margin'],
    text: 'What a cable or connector bears, over what it meets here, in heat or in voltage. Below one it fails; below one and a half it is marginal.',
  },
  {
    id: 'eirp',
    name: 'EIRP',
    forms: ['EIRP'],
    text: 'The power that an antenna without gain would need to be as strong in the best direction. Limits of exposure and some licences speak of it.',
  },
  {
    id: 'receive-penalty',
    name: 'Receive penalty',
    forms: ['receive penalty', 'noise from outside'],
    text: 'What the cable’s loss costs a weak signal against its noise. On low bands the noise comes in with the signal and loses as much, so it costs nearly nothing; under a quiet sky it may cost more than the loss itself.',
  },
  {
    id: 'piece',
    name: 'Piece',
    forms: ['pieces', 'piece'],
    text: 'A length of cable that you own, with a label, two ends and a history.',
  },
  {
    id: 'kit',
    name: 'Kit',
    forms: ['kits', 'kit'],
    text: 'Pieces and adapters that go into one bag and make a run.',
  },
  {
    id: 'bench-test',
    name: 'Bench test',
    forms: ['bench test', 'tests', 'test'],
    text: 'One measurement of one real cable on one day. It is never altered, only corrected by a further revision.',
  },
  {
    id: 'trend',
    name: 'Trend',
    forms: ['trend'],
    text: 'How many percent of its sheet a piece loses more each year: the median of the slopes between any two tests, so that one bad reading does not bend it. An interval is told from five tests on.',
  },
  {
    id: 'dummy-load',
    name: 'Dummy load',
    forms: ['dummy load'],
    text: 'A resistor that takes the place of an antenna and turns the power into heat. It has a rating in watts and in minutes.',
  },
  {
    id: 'sweep',
    name: 'Sweep',
    forms: ['sweep through', 'sweep'],
    text: 'What an analyser measures over a range of frequencies, kept as a Touchstone file (.s1p from one end, .s2p through both).',
  },
  {
    id: 'distance-to-fault',
    name: 'Distance to fault',
    forms: ['distance to fault'],
    text: 'How far along the cable something reflects, from a sweep of one end and the velocity factor. Two faults nearer together than the resolution look like one.',
  },
  {
    id: 'drip-loop',
    name: 'Drip loop',
    forms: ['drip loop'],
    text: 'A bow that hangs lower than the hole in the wall, so that water falls off before it comes in.',
  },
  {
    id: 'service-loop',
    name: 'Service loop',
    forms: ['service loop'],
    text: 'A little more cable than needed, so that an end can be cut off and made anew once or twice.',
  },
];

/** Parts and properties of a cable, and all other words, by name. */
export const GLOSSARY: readonly Entry[] = [...PARTS, ...PROPERTIES, ...WORDS].toSorted((a, b) =>
  a.name.localeCompare(b.name, 'en'),
);

/** Entries that the page on what a cable is made of draws. */
export const DRAWN: ReadonlySet<string> = new Set([...PARTS, ...PROPERTIES].map((p) => p.id));

const FORMS = WORDS.flatMap((e) => (e.forms ?? []).map((form) => ({ form, id: e.id }))).toSorted(
  (a, b) => b.form.length - a.form.length,
);
const ANY = new RegExp(
  `(?<![\\w-])(?:${FORMS.map((f) => f.form.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')).join('|')})(?![\\w-])`,
  'g',
);

export interface Bit {
  text: string;
  /** The entry of the glossary that it belongs to; null for plain text. */
  term: string | null;
}

/** A sentence cut into plain text and terms; each term is marked once. */
export function bitsOf(sentence: string): Bit[] {
  const bits: Bit[] = [];
  const seen = new Set<string>();
  let from = 0;
  for (const match of sentence.matchAll(ANY)) {
    const id = FORMS.find((f) => f.form === match[0])?.id;
    if (id === undefined || seen.has(id)) continue;
    seen.add(id);
    if (match.index > from) bits.push({ text: sentence.slice(from, match.index), term: null });
    bits.push({ text: match[0], term: id });
    from = match.index + match[0].length;
  }
  if (from < sentence.length) bits.push({ text: sentence.slice(from), term: null });
  return bits;
}
