import { XMLParser } from 'fast-xml-parser';
import { unreadable } from './file-problem';

type Parsed = Readonly<Record<string, unknown>>;

/** What stands below a name in parsed XML; `undefined` for nothing. */
export const under = (parent: unknown, name: string): unknown =>
  typeof parent === 'object' && parent !== null ? (parent as Parsed)[name] : undefined;

/** The text below a name; empty where there is none. */
export const textIn = (parent: unknown, name: string): string => {
  const value = under(parent, name);
  return typeof value === 'string' ? value : '';
};

/** All that stand below a name, one or many. */
export const childrenOf = (parent: unknown, name: string): readonly unknown[] => {
  const value = under(parent, name);
  return Array.isArray(value) ? value : value === undefined ? [] : [value];
};

/** Parses XML, attributes as `@_name`. Entities are refused, not resolved. Refuses xmlEntities, damaged. */
export const parsedXml = (text: string): unknown => {
  if (/<!(DOCTYPE|ENTITY)/i.test(text)) return unreadable({ code: 'xmlEntities' });
  const parser = new XMLParser({
    ignoreAttributes: false,
    parseTagValue: false,
    parseAttributeValue: false,
    // Also “&#233;” and “&#xe9;”; entities that a file defines itself are refused above.
    htmlEntities: true,
    removeNSPrefix: true,
  });
  try {
    return parser.parse(text, true) as unknown;
  } catch {
    return unreadable({ code: 'damaged' });
  }
};
