const format = new Intl.DateTimeFormat("en-GB", { dateStyle: "medium" });

/** The day of a moment in ISO 8601, where it is read: "1 Jan 2027" */
export const day = (moment: string) => format.format(new Date(moment));
