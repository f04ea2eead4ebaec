const exact = new Intl.NumberFormat("en-GB", { maximumFractionDigits: 12 });

/** A number as it is shown: digits grouped, a true minus, no more decimals than it has. "−12,500.25" */
export const written = (value: number) => exact.format(value).replace("-", "−");
