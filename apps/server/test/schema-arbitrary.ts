import fc from 'fast-check';
import type * as v from 'valibot';

/** Values that break what they meet, where anything does. */
const HOSTILE: readonly unknown[] = [
  null, true, -1, 0, 1.5, 2 ** 31, 2 ** 53, -(2 ** 53) - 2, 1e308, 5e-324, '', ' ', 'constructor', '__proto__',
  'toString', '\u0000', 'a\u0000b', '\ud800', 'x\udfff', '\u202e', '０', '９９９', '%zz', "'; DROP TABLE account; --",
  '0000-01-01', '0000-00', '9999-12-31', '10000-01', '2026-02-30', 'infinity', 'NaN', '-0', [], {}, [[]], { a: {} },
  'x'.repeat(5000), Array.from({ length: 300 }, () => 'x'), { constructor: { prototype: {} } },
]; // prettier-ignore

const anyUuid = fc.uuid({ version: 4 });

interface Node {
  readonly type: string;
  readonly kind?: string;
  readonly pipe?: readonly Node[];
  readonly requirement?: unknown;
  readonly message?: unknown;
  readonly entries?: Readonly<Record<string, Node>>;
  readonly options?: readonly unknown[];
  readonly item?: Node;
  readonly items?: readonly Node[];
  readonly wrapped?: Node;
  readonly key?: Node;
  readonly value?: Node;
  readonly literal?: unknown;
}

const requirementOf = (node: Node, type: string): unknown =>
  node.pipe?.find((part) => part.type === type)?.requirement;

/** Makes values of a contract's schema, and now and then breaks one of their parts. */
export class SchemaArbitraries {
  /** `hostile`: whether one part in thirty is something that breaks what it meets; else all of it fits. */
  constructor(
    private readonly ids: readonly string[],
    private readonly hostile: boolean,
  ) {}

  /** Values of the shape that a schema asks for. */
  of(schema: v.GenericSchema): fc.Arbitrary<unknown> {
    return this.node(schema);
  }

  private node(node: Node): fc.Arbitrary<unknown> {
    if (!this.hostile) return this.fitting(node);
    return fc.oneof(
      { weight: 30, arbitrary: this.fitting(node) },
      { weight: 1, arbitrary: fc.constantFrom(...HOSTILE) },
    );
  }

  private fitting(node: Node): fc.Arbitrary<unknown> {
    switch (node.type) {
      case 'string':
        return this.text(node);
      case 'number':
        return this.number(node);
      case 'boolean':
        return fc.boolean();
      case 'literal':
        return fc.constant(node.literal);
      case 'picklist':
        return fc.constantFrom(...(node.options ?? []));
      case 'nullable':
      case 'optional':
      case 'exact_optional':
        return fc.option(this.node(node.wrapped as Node), {
          nil: node.type === 'nullable' ? null : undefined,
        });
      case 'array':
        return fc.array(this.node(node.item as Node), { maxLength: 4 });
      case 'tuple':
        return fc.tuple(...(node.items ?? []).map((item) => this.node(item)));
      case 'record':
        return fc.dictionary(
          fc.oneof(anyUuid, fc.constantFrom('constructor', '__proto__', 'a')),
          this.node(node.value as Node),
          { maxKeys: 3 },
        );
      case 'union':
      case 'variant':
        return fc.oneof(...((node.options ?? []) as Node[]).map((option) => this.node(option)));
      case 'strict_object':
      case 'object':
        return fc.record(
          Object.fromEntries(
            Object.entries(node.entries ?? {}).map(([key, part]) => [key, this.node(part)]),
          ),
        );
      default:
        throw new Error(`no values are known for a schema of type ${node.type}`);
    }
  }

  private text(node: Node): fc.Arbitrary<unknown> {
    if (node.pipe?.some(({ type }) => type === 'uuid'))
      return fc.oneof({ weight: 5, arbitrary: fc.constantFrom(...this.ids) }, anyUuid);
    if (node.pipe?.some(({ type }) => type === 'email')) return fc.emailAddress();
    const asked = node.pipe?.map(({ message }) => message);
    if (asked?.includes('is no calendar date')) return fc.constantFrom('2026-10-31', '2026-02-28');
    if (asked?.includes('is no month')) return fc.constantFrom('2026-07', '2026-10', '2026-09');
    const pattern = requirementOf(node, 'regex');
    if (pattern instanceof RegExp)
      return fc.constantFrom(
        ...[
          'US',
          'GB',
          'USD',
          'JPY',
          '1.25',
          '0',
          'r1',
          '2026',
          'bisque',
          'A'.repeat(43),
          'value/00000000-0000-4000-8000-000000000001',
        ].filter((text) => pattern.test(text)),
      );
    const longest = Math.min(Number(requirementOf(node, 'max_length') ?? 20), 30);
    const least = Number(requirementOf(node, 'min_length') ?? 0);
    return fc.oneof(
      fc.string({
        minLength: least,
        maxLength: longest,
        unit: this.hostile ? 'binary' : 'grapheme',
      }),
      fc.constantFrom(
        ...['1010', 'Rent', 'Fuel', '4021'].filter(({ length }) => length <= longest),
        'x'.repeat(least),
      ),
    );
  }

  private number(node: Node): fc.Arbitrary<unknown> {
    const [least, most] = [requirementOf(node, 'min_value'), requirementOf(node, 'max_value')];
    const min = typeof least === 'number' ? least : -1000;
    const max = typeof most === 'number' ? most : 1_000_000;
    return fc.oneof(
      fc.integer({ min: Math.max(min, -(2 ** 31)), max: Math.min(max, 2 ** 31 - 1) }),
      fc.constantFrom(min, max, 0, 1, 2),
    );
  }
}
