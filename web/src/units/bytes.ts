/** The size of a file, as a person reads it. */
export const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`;
