/** Sentences that stand on a sheet as they are: cautions, what an empty sheet says, what a figure rests on. */
export const sentences = {
  brokenSheet:
    'That is a fault of Eskiz. What was stored is stored, and what was being typed is kept in this browser.',
  lettersRest: 'They rest while a field is being typed in. The settings turn single letters off.',
  whatAUseSets: 'It sets bands, what is asked and what comes first. Everything can be changed.',
  firstPlan:
    'A plan is one run from a radio to an antenna. Begin with one: type how far it is and what the radio makes, and read which cable brings enough of it.',
  costsOfAllRuns:
    'Cost and mass are those of all runs; ends fitted by yourself cost what their connectors do.',
  betweenTheBands:
    'Between the bands, radio and antenna are taken as on the nearest band: what they are there nobody has said.',
  nothingAskedReach:
    'Nothing is asked yet, so every cable goes as far as you like. Ask for something above the ledger.',
  receiverSendsNothing: 'A receiver sends nothing: there is no voltage and no heat along its run.',
  atFullPower:
    'At full power; the margins take in the mode and the temperature of the day. Not in it: current on the outside of the shield. Keep hands off a mismatched line while it is keyed.',
  pdfFailed: 'The PDF could not be written; print, and choose a file there.',
  assumedRange: 'An assumption, for a unit built into a radio: type what yours copes with.',
  neverSendIntoIt:
    'Sending into a preamplifier destroys it: its relays must switch before the radio sends, by its own sensing or by the radio’s line.',
  preamplifierIsAnElement:
    'A preamplifier is a part of the run: put it where it stands, at the mast or anywhere else.',
  tailMoves: 'The tail alone has to move and to bend again and again.',
  nearIsAnEstimate:
    'In the main direction, with reflection from the ground, averaged over the mode and half an hour. An estimate: local rules and a qualified person decide.',
  nothingAsked: 'Nothing is asked yet, so every cable will do.',
  readAtTheRadioOnly:
    'An SWR read at the radio says nothing about the antenna once a unit stands there: give the antenna’s own SWR first.',
  emptyRun: 'The antenna sits on the radio’s own socket. Add the first piece of the run above.',
  tooGoodToBeTrue:
    'Too good to be true: some of its rows lose less than copper of its size allows.',
  sheetNeedsARow: 'It needs at least one row: a frequency and a loss.',
  instrumentHosts:
    'Names or addresses apart by spaces. What is there is spoken to without a password.',
  luckIsMarginal: 'A cable that passes only with luck is marginal.',
  licenceReminder: 'A reminder of your own. What you may use is in your licence.',
  whicheverFirst: 'Whichever comes first; sooner where its trend says so.',
  schoolsDisagree:
    'Practitioners disagree, and each side has its reasons. Eskiz takes none; this is how to set it to yours.',
  radioIsDangerous:
    'Radio power can burn, masts and wires can kill, and what you may use is in your licence. Eskiz reckons; it does not know your site. Local codes and a qualified person have the last word.',
  nothingAlongIt: 'Nothing along it reflects more than the noise.',
} as const;
