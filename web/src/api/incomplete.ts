/**
 * A drawing of which more is to come in a moment, such as tiles on their way, says so itself; it is asked for again.
 */
export const AGAIN_MS = 2_000;

export const incomplete = (svg: string | undefined) => svg?.includes(' data-incomplete="1"') ?? false;
