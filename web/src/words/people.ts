import type { Happening, Role } from '../api';

/** What somebody may do in a workshop. */
export const ROLE_WORDS: Record<Role, { name: string; may: string }> = {
  GUEST: { name: 'guest', may: 'looks and computes, and changes nothing' },
  MEMBER: { name: 'member', may: 'makes and changes plans, cables, tests and pieces' },
  KEEPER: {
    name: 'keeper',
    may: 'makes and changes everything, and looks after people, settings and the bin',
  },
};

export const peopleWords = {
  lostPassword:
    'Whoever has lost their password asks a keeper of the workshop, who makes a link that lets them back in.',
  linkIsUsedUp:
    'It was used, was taken back, or has ended. A keeper of the workshop makes another one.',
  goodPassword:
    'Ten characters or more. A few words one after the other are easy to keep and hard to guess.',
  whatAPasskeyIs:
    'A key that stays in this device and is used with its lock: a finger, a face, a code. Nobody can guess it or read it from here, and you sign in without a password.',
  handOver:
    'Hand it over in a way that only that person reads. It is shown this once, lets one person in, and ends by itself.',
  leaving:
    'Your name, your password and how you like to work are deleted; what you made stays with the workshop, without your name.',
  guestLooks: 'You are a guest here: you look and compute, and nothing that you change is kept.',
  visiting: (day: string) =>
    `shared with you until ${day}; what you change here is for you alone, and is not kept`,
  shownOnce: 'It is shown this once. Hand it to whom the plan is for.',
  shareHasEnded:
    'Its last day is over, or it was taken back. Whoever gave it to you can make another one.',
  sharing:
    'Whoever has the link sees this plan as it stands, computes with it, and reaches nothing else here.',
  factsAreKept: 'This holds for all of the workshop; its keepers change it.',
};

/** What was done, behind who did it and before what it was done to. */
export const HAPPENING_WORDS: Record<Happening['kind'], { name: string; did: string }> = {
  PLAN_SAVED: { name: 'plans saved', did: 'saved' },
  PLAN_DELETED: { name: 'plans put into the bin', did: 'put into the bin' },
  CABLE_CHOSEN: { name: 'cables chosen', did: 'chose a cable in' },
  CHOICE_WITHDRAWN: { name: 'choices withdrawn', did: 'withdrew the choice in' },
  TEST_NOTED: { name: 'tests noted', did: 'tested' },
  TEST_CORRECTED: { name: 'tests corrected', did: 'corrected a test of' },
  PIECE_TAKEN_OUT: { name: 'pieces taken out', did: 'took out' },
  PIECE_PUT_AWAY: { name: 'pieces put away', did: 'put away' },
  PIECE_CHANGED: { name: 'pieces changed', did: 'worked on' },
  CABLE_CHANGED: { name: 'cables of our own', did: 'changed the cable' },
  FILE_IMPORTED: { name: 'files taken in', did: 'took in the file' },
};

const WORKED_ON: Record<string, string> = {
  REPAIR: 'repaired',
  NEW_END: 'a new end',
  RETIRED: 'retired',
  BACK_IN_SERVICE: 'back in service',
};

/** What more there is to say of it; empty for nothing. */
export function happeningDetail({ kind, detail }: Happening): string {
  if (detail === null || kind === 'CABLE_CHANGED') return '';
  return kind === 'PIECE_CHANGED' ? (WORKED_ON[detail] ?? '') : detail;
}
