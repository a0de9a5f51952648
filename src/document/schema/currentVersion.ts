/** The newest version this application writes. */
export const CURRENT_VERSION = 11
