/** The guide: how to begin, how to read the sheet, how to measure, how to set Eskiz to one's own school. */

export interface Chapter {
  id: string;
  title: string;
  /** Paragraphs, or numbered steps. */
  steps?: readonly string[];
  text?: readonly string[];
}

export const CHAPTERS: readonly Chapter[] = [
  {
    id: 'first-plan',
    title: 'A first plan in two minutes',
    steps: [
      'On Plans press n, or New plan, and say how it will be used. A run with usual bands and one demand stands there at once.',
      'Set the power at the radio, and the length of the cable in the drawing: type it, or draw the end of the line.',
      'Choose your bands; for each say what the antenna is: its SWR, or its impedance. Nothing known? Leave 1.5.',
      'Read the first row of the ledger and the headline of the note: that is the cable to buy. Point at other rows and see their outline in the drawing.',
      'Say below the bands what you ask: so many watts, so much money, a duct to go through. Rows that fail say by how much.',
      'Choose this cable, with a reason in your own words. Open Paper, print it, and take it onto the roof.',
    ],
  },
  {
    id: 'reading',
    title: 'How to read the sheet',
    text: [
      'The ribbon is the run. Its copper is the power there, on the band in focus; the hatching is what became heat. Watts stand at each boundary, and every element tells its own loss. Point at the line to read power, voltage, current and SWR at that place.',
      'A tab for each band shows its verdict: a full disc passes, a half one is marginal, a hollow one fails. What is marginal passes with little to spare, or only if the cable is as good as is said of it.',
      'The ledger has one row a cable: what arrives on each band, what it costs, and the reason that decides, in words. The first row above the line is what you could make of your own pieces. A row opens to everything that is known of it.',
      'The note says the same in sentences, and what would change it: a shorter run, another band, a dB more from the antenna. Three things are kept apart everywhere: loss in the cable, what the standing wave adds, and power that never left the radio.',
      'u steps through watts, percent, dB and S-units; all are the same ratio. Every number comes with its unit, and every word that is dotted leads to the glossary.',
    ],
  },
  {
    id: 'measuring',
    title: 'Three ways to measure',
    text: [
      'Wattmeter and dummy load. Read the power at the radio through a short lead, then through the cable; the ratio is the loss. Say whether the lead was taken out or stayed in: forgetting it is the commonest mistake. A flickering meter is typed as it flickers, 47-49. Nothing is needed that a station does not have, and it is good to a few tenths of a dB.',
      'Sweep through. Calibrate, join both ends of the cable to the analyser, save the sweep and drop the file on the sheet. Loss, impedance and velocity factor follow for all frequencies at once. Adapters that were not calibrated away belong to what is measured.',
      'Sweep from one end. For a cable that is up already: the far end open, then shorted. Half of what comes back is the loss; both together give it without guesswork. The same sweep tells how far away something reflects.',
      'Mind the load: it has a rating in watts and minutes. Never key a radio without one.',
    ],
  },
  {
    id: 'site',
    title: 'All runs of a place together',
    text: [
      'A preamplifier, a filter, a splitter or a diplexer is a part of the run like any other: press the + where it stands and type its name. What it loses is one number, a table by frequency, or a two-port sweep of it; a preamplifier counts on receive by its gain and its own noise, and is gone round on transmit. Open one to compare it at the mast and at the radio.',
      'Where a diplexer or a splitter leads on to several antennas, or several radios share one line, the run forks: each band goes through one branch, and the others leave the ribbon as thin lines. Press one to go there. Opened, the fork tells what a line for each would cost.',
      'Plans that carry the same site stand together on its sheet: what lies in one duct, drawn across at scale; what hangs on the mast; which cable to buy for all runs, whole reels and what lies in the shed counted; and what to cut from which reel, ticked as it is cut and put into the locker.',
      'Two lines that are fed in phase are told in degrees, with what nobody knows of lengths and velocity factors. Cut both a little long, sweep them, type their delays, and cut off what the sheet says.',
    ],
  },
  {
    id: 'together',
    title: 'With others, and for others',
    text: [
      'Alone on one machine nobody signs in. Opened to others (./eskiz open), everybody has a name, belongs to a workshop, and is a guest, a member or a keeper of it; plans, cables, tests and pieces are the workshop’s.',
      'Several may have one plan open: the foot of the sheet tells who, and what one saves the others see at once. Where two change the same part, both versions stand side by side, and one of you chooses.',
      'A plan is given away on Paper: as a drawing, as a file, or by a link that ends on a day of your choosing. Whoever has the link sees this plan, computes with it, and reaches nothing else.',
    ],
  },
];

/** Where practitioners disagree, and how to set Eskiz to each side. */
export const SCHOOLS: readonly { question: string; one: string; other: string; how: string }[] = [
  {
    question: 'How good a cable?',
    one: 'Buy once: what goes through walls deserves the least loss that can be paid for.',
    other: 'Field cable gets trodden on: cheap, light, in short pieces, replaced when it dies.',
    how: 'Order of the rows: least loss inside the budget, with a budget asked; or lightest, with pieces in the locker.',
  },
  {
    question: 'Does one dB matter?',
    one: 'No: an S-unit is six, the meter will not move.',
    other: 'Yes: with weak signals it is the contact made or missed.',
    how: 'Read in S-units and ask for at most half of one; or read in dB and ask for a number of them.',
  },
  {
    question: 'Antenna or cable first?',
    one: 'Cable: it is the hard thing to replace.',
    other: 'Antenna: gain buys back more than a cable can lose.',
    how: 'Set in the settings what a dB costs you of either; the note tells which is cheaper here. Ask for no more loss than the gain.',
  },
  {
    question: 'What is acceptable?',
    one: 'Never more than 3 dB; or so many watts.',
    other: 'Stop where the next step costs more than it brings.',
    how: 'Ask for it below the bands; or open Value and set what a dB is worth to you.',
  },
  {
    question: 'SWR on the line?',
    one: 'A tuner at the radio makes it right.',
    other: 'Put the tuner, or a resonant antenna, at the far end.',
    how: 'Choose on each band where the matching unit stands; the sign between radio and line shows what either brings.',
  },
  {
    question: 'What does a joint lose?',
    one: 'A flat couple of tenths of a dB each.',
    other: 'At HF it cannot be measured.',
    how: 'Open a joint: the same at every joint, what is typical of its connector, or a figure of your own. The settings say what new plans begin with.',
  },
  {
    question: 'Sheet or meter?',
    one: 'The data sheet.',
    other: 'My own meter.',
    how: 'Tolerances in the settings; a test on the bench makes a cable type of your own, and a piece of the locker stands with what was measured of it.',
  },
  {
    question: 'Metres or feet?',
    one: 'Metres, per 100 m.',
    other: 'Feet, per 100 ft.',
    how: 'In the title block or the settings; a field takes either, with its unit.',
  },
];
