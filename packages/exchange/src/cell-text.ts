import { harmless, writable } from '@iunctus/core';

/** Text as a cell may hold it: nothing that a file cannot hold, and nothing that a program would run. */
export const cellText = (text: string): string => harmless(writable(text));
