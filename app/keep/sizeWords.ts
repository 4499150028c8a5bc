/** What a file takes up, as systems say it: kB up to a million bytes, then MB, then GB. @param bytes not below zero */
export const sizeWords = (bytes: number): string =>
  bytes < 1e6
    ? `${Math.ceil(bytes / 1000)} kB`
    : bytes < 1e9
      ? `${(bytes / 1e6).toFixed(1)} MB`
      : `${(bytes / 1e9).toFixed(1)} GB`
