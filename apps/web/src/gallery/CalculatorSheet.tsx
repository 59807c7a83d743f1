/** A calculator as a sheet, made of its contract alone: a case to begin with, a field for each figure, the answer as it follows. */
import { type EngineCall, type Asked, CALCULATORS } from '@torvin/core/engine';
import { type JsonSchema, type Leaf, leavesOf, problemOf, withLeaf } from '@torvin/core/contract';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { z } from 'zod';
import { compute } from '@/engine/client';
import { space } from '@/theme/theme';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Toggles } from '@/ui/Toggles';
import { Reading } from '@/ui/Reading';
import { Words } from '@/ui/Words';

type Contract = Awaited<ReturnType<(typeof CALCULATORS)[EngineCall]['contract']>>;

/** Curves and meshes are longer than anybody reads. */
const SHOWN_AT_MOST = 80;

const schemaOf = (schema: z.ZodType, io: 'input' | 'output'): JsonSchema => z.toJSONSchema(schema, { io, unrepresentable: 'any' }) as JsonSchema;
const labelOf = ({ title, unit, path }: Leaf): string => `${title}${unit ? `, ${unit}` : ''} · ${path.join('.')}`;

export function CalculatorSheet({ call }: { call: EngineCall }) {
  const [contract, setContract] = useState<Contract | null>(null);
  useEffect(() => {
    let gone = false;
    // Shown are the schemas of any calculator, each of which has a type of its own.
    // eslint-disable-next-line no-restricted-syntax -- only what all contracts have is read
    void CALCULATORS[call].contract().then((read) => !gone && setContract(read as unknown as Contract));
    return () => {
      gone = true;
    };
  }, [call]);
  return contract === null ? <Reading /> : <Sheet key={call} call={call} contract={contract} />;
}

function Sheet({ call, contract }: { call: EngineCall; contract: Contract }) {
  const cases: Record<string, object> = contract.cases;
  const [title, setTitle] = useState(Object.keys(cases)[0]);
  const [asked, setAsked] = useState<unknown>(cases[title]);
  const [answer, setAnswer] = useState<unknown>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [request, answered] = useMemo(() => [schemaOf(contract.request, 'input'), schemaOf(contract.answer, 'output')], [contract]);
  useEffect(() => {
    let gone = false;
    const read = contract.request.safeParse(asked);
    if (!read.success) setProblem(problemOf(read.error).message);
    else
      void compute(call, read.data as Asked<EngineCall>).then((outcome) => {
        if (gone) return;
        setProblem(outcome.ok ? null : outcome.problem.message);
        if (outcome.ok) setAnswer(outcome.value);
      });
    return () => {
      gone = true;
    };
  }, [asked, call, contract]);
  const take = (name: string): void => {
    setTitle(name);
    setAsked(cases[name]);
  };
  return (
    <View style={{ gap: space.small }}>
      <Words bold>{contract.summary}</Words>
      <Choice label="Begin with" value={title} options={Object.keys(cases).map((value) => ({ value, title: value }))} onChange={take} testID="case" />
      {leavesOf(asked, request)
        .slice(0, SHOWN_AT_MOST)
        .map((leaf) => (
          <LeafField key={leaf.path.join('.')} leaf={leaf} onChange={(value) => setAsked((now: unknown) => withLeaf(now, leaf.path, value))} />
        ))}
      {problem !== null && <Notice tone="warn">{problem}</Notice>}
      <Words bold role="heading" aria-level={3}>
        Answer
      </Words>
      {leavesOf(answer, answered)
        .slice(0, SHOWN_AT_MOST)
        .map((leaf) => (
          <Words key={leaf.path.join('.')} size="label">
            {`${leaf.path.join('.')}: ${typeof leaf.value === 'number' ? Number(leaf.value.toPrecision(6)) : String(leaf.value)} ${leaf.unit}`}
          </Words>
        ))}
    </View>
  );
}

function LeafField({ leaf, onChange }: { leaf: Leaf; onChange(value: Leaf['value']): void }) {
  const { value, choices, path } = leaf;
  const testID = `leaf-${path.join('.')}`;
  if (choices)
    return (
      <Choice label={labelOf(leaf)} value={String(value)} options={choices.map((one) => ({ value: one, title: one }))} onChange={onChange} testID={testID} />
    );
  if (typeof value === 'boolean') {
    return (
      <Toggles
        label={labelOf(leaf)}
        values={value ? ['yes'] : []}
        options={[{ value: 'yes', title: 'yes' }]}
        onChange={(on) => onChange(on.length > 0)}
        testID={testID}
      />
    );
  }
  if (typeof value === 'string') return <Field label={labelOf(leaf)} value={value} onChange={onChange} testID={testID} />;
  return <NumberField leaf={leaf} onChange={onChange} testID={testID} />;
}

/** Keeps what is being typed while it is no number yet; empty is none, such as a rate at full speed. */
function NumberField({ leaf, onChange, testID }: { leaf: Leaf; onChange(value: number | null): void; testID: string }) {
  const [typed, setTyped] = useState(leaf.value === null ? '' : String(leaf.value));
  return (
    <Field
      label={labelOf(leaf)}
      value={typed}
      onChange={(text) => {
        setTyped(text);
        const number = Number(text);
        if (text.trim() === '') onChange(null);
        else if (Number.isFinite(number)) onChange(number);
      }}
      testID={testID}
    />
  );
}
