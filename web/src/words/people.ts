import type { Role } from '../api';

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
  handOver:
    'Hand it over in a way that only that person reads. It is shown this once, lets one person in, and ends by itself.',
  guestLooks: 'You are a guest here: you look and compute, and nothing that you change is kept.',
  factsAreKept: 'This holds for all of the workshop; its keepers change it.',
};
