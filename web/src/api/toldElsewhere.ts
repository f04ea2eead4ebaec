/**
 * Of work whose failure is said by what it goes through: what the server refuses of a change of the book is told across
 * the page, and the field that asked for it says so as well.
 */
export const toldElsewhere = () => undefined;

/** Of work that was asked to stop and has ended by itself: what is shown of it says how. */
export const endedAlready = () => undefined;
