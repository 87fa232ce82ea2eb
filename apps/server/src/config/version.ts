/** The version of the application, as files and descriptions name it. */
export const VERSION = '0.2.0';
