/** What a JSON schema says of each figure, word and choice in a value: the rows of a calculator's sheet. */

export interface JsonSchema {
  [key: string]: unknown;
}

export interface Leaf {
  /** Keys and places from the top of the value. */
  path: (string | number)[];
  value: string | number | boolean | null;
  title: string;
  unit: string;
  choices: readonly string[] | null;
}

const isRecord = (value: unknown): value is JsonSchema => typeof value === 'object' && value !== null && !Array.isArray(value);

/** Follows references, and of several shapes takes the first that knows the key. */
function part(schema: unknown, root: JsonSchema, key: string | number): JsonSchema | undefined {
  for (const shape of shapesOf(schema, root)) {
    const { properties, items, prefixItems, additionalProperties } = shape;
    const found =
      typeof key === 'number'
        ? ((Array.isArray(prefixItems) ? prefixItems[key] : undefined) ?? items)
        : ((isRecord(properties) ? properties[key] : undefined) ?? (isRecord(additionalProperties) ? additionalProperties : undefined));
    if (isRecord(found)) return found;
  }
  return undefined;
}

function shapesOf(schema: unknown, root: JsonSchema): JsonSchema[] {
  if (!isRecord(schema)) return [];
  if (typeof schema.$ref === 'string') {
    const name = schema.$ref.split('/').at(-1) ?? '';
    return shapesOf((root.$defs as JsonSchema | undefined)?.[name] ?? (schema.$ref === '#' ? root : undefined), root);
  }
  const several = [schema.anyOf, schema.oneOf, schema.allOf].flatMap((list) => (Array.isArray(list) ? list : []));
  return [schema, ...several.flatMap((one) => shapesOf(one, root))];
}

const saying = (schema: JsonSchema | undefined, root: JsonSchema, key: string): unknown => shapesOf(schema, root).find((one) => one[key] !== undefined)?.[key];

/** Every leaf of a value, in its order, with what its schema says of it. */
export function leavesOf(value: unknown, schema: JsonSchema): Leaf[] {
  const leaves: Leaf[] = [];
  const walk = (at: unknown, under: JsonSchema | undefined, path: (string | number)[]): void => {
    if (Array.isArray(at)) at.forEach((one, i) => walk(one, part(under, schema, i), [...path, i]));
    else if (isRecord(at)) for (const [key, one] of Object.entries(at)) walk(one, part(under, schema, key), [...path, key]);
    else if (at !== undefined) {
      const choices = saying(under, schema, 'enum');
      const unit = String(saying(under, schema, 'x-unit') ?? '');
      const title = saying(under, schema, 'title') ?? saying(under, schema, 'description') ?? path.at(-1);
      leaves.push({
        path,
        value: at as Leaf['value'],
        title: String(title),
        unit: unit === '1' ? '' : unit,
        choices: Array.isArray(choices) ? choices.map(String) : null,
      });
    }
  };
  walk(value, schema, []);
  return leaves;
}

/** The value with another leaf at a path. */
export function withLeaf(value: unknown, [key, ...rest]: readonly (string | number)[], leaf: unknown): unknown {
  if (key === undefined) return leaf;
  if (Array.isArray(value)) return value.with(Number(key), withLeaf(value[Number(key)], rest, leaf));
  return { ...(value as JsonSchema), [key]: withLeaf((value as JsonSchema)[key], rest, leaf) };
}
