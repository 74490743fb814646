/** How the cable in a run came to lie there, in a word. */
export const STANDINGS = { SUGGESTED: 'suggested', PICKED: 'picked', CHOSEN: 'chosen' } as const;
