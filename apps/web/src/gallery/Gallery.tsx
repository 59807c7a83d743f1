/** Each element and drawing in its states, side by side, so that a change of one is seen in all. */
import type { DrawnLayer } from '@torvin/core/piece';
import { found } from '@torvin/core/problem';
import { formatLength, formatTemperature } from '@torvin/core/units';
import { CALLS, type EngineCall } from '@torvin/core/engine';
import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import { LookedThrough } from '@/runsheet/polariserViews';
import { SectionDrawing, SectionPicture } from '@/section/SectionDrawing';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Caution } from '@/ui/Caution';
import { Chips } from '@/ui/Chips';
import { Choice } from '@/ui/Choice';
import { Drawer } from '@/ui/Drawer';
import { Field } from '@/ui/Field';
import { FigureBlock } from '@/ui/FigureBlock';
import { Fold } from '@/ui/Fold';
import { LinkRow } from '@/ui/LinkRow';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Reading } from '@/ui/Reading';
import { Search } from '@/ui/Search';
import { Slider } from '@/ui/Slider';
import { Stepper } from '@/ui/Stepper';
import { Swatch } from '@/ui/Swatch';
import { Toggles } from '@/ui/Toggles';
import { Why } from '@/ui/Why';
import { Words } from '@/ui/Words';
import { CalculatorSheet } from './CalculatorSheet';

const NOTHING = (): void => undefined;
const OPTIONS = ['one', 'another', 'a third'].map((value) => ({ value, title: value }));
const FORMS: readonly DrawnLayer[] = [
  { name: 'Base', colour: '#8fb5cf', thickness_m: 0.003, form: 'sheet' },
  { name: 'Shimmer', colour: '#c9a86b', thickness_m: 0.003, form: 'sheet', coated: 'down' },
  { name: 'Frit', colour: '#b0543f', thickness_m: 0.0015, form: 'frit', cover: 0.6 },
  { name: 'Rods', colour: '#5b8f5a', thickness_m: 0.004, form: 'rod', cover: 0.5 },
  { name: 'Pieces', colour: '#c46a8f', thickness_m: 0.003, form: 'pieces', cover: 0.3, count: 5 },
];
const OUTLINES = [
  { shape: 'disc', diameter_m: 0.25 },
  { shape: 'rectangle', width_m: 0.2, length_m: 0.3 },
  { shape: 'oval', width_m: 0.2, length_m: 0.3 },
] as const;
/** A band of stress along the rim, as thick glass shows it. */
const RIM = Array.from({ length: 9 }, (_, i) => ({ x_m: i * 0.0005, retardation_nm: 200 * (1 - i / 4) }));
const GHOST = { width_m: 0.26, depth_m: 0.006, rim_m: 0.003, relief_m: 0.001, crown_m: 0 };

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <View style={{ gap: space.small, paddingVertical: space.large }}>
      <Words size="title" bold role="heading" aria-level={2}>
        {title}
      </Words>
      {children}
    </View>
  );
}

export function Gallery() {
  const [one, setOne] = useState<string | null>('one');
  const [several, setSeveral] = useState<string[]>(['one']);
  const [typed, setTyped] = useState('12 in');
  const [metres, setMetres] = useState(0.003);
  const [wanted, setWanted] = useState('');
  const [share, setShare] = useState(40);
  const [open, setOpen] = useState(false);
  const [call, setCall] = useState<EngineCall>('release');
  return (
    <Screen title="Gallery" subtitle="for those who work on Torvin">
      <Part title="Words">
        {(['title', 'text', 'label', 'note'] as const).map((size) => (
          <Words key={size} size={size}>{`${size}: glass is pulled by cold and pressed by heat`}</Words>
        ))}
        {(['ink', 'muted', 'touch', 'warn'] as const).map((tone) => (
          <Words key={tone} tone={tone} bold>
            {tone}
          </Words>
        ))}
      </Part>
      <Part title="Actions">
        {(['main', 'second', 'plain'] as const).map((kind) => (
          <View key={kind} style={{ gap: space.small }}>
            <Action kind={kind} title={kind} onPress={NOTHING} />
            <Action kind={kind} title={`${kind}, disabled`} onPress={NOTHING} disabled />
          </View>
        ))}
      </Part>
      <Part title="One of a few, several, a filter">
        <Choice label="Choice" value={one} options={OPTIONS} onChange={setOne} testID="choice" />
        <Choice
          label="Choice with notes, none chosen"
          value={null}
          options={OPTIONS.map((option) => ({ ...option, note: 'what it means' }))}
          onChange={setOne}
        />
        <Toggles label="Toggles" values={several} options={OPTIONS} onChange={setSeveral} testID="toggles" />
        <Chips label="Chips" value={one} options={OPTIONS} onChange={setOne} testID="chips" />
        <Search label="Search" value={wanted} onChange={setWanted} hint="words to find by" testID="search" />
      </Part>
      <Part title="Fields">
        <Field label="Field" value={typed} onChange={setTyped} hint="a hint beneath" />
        <Field label="Field that is wrong" value="wide" onChange={setTyped} error="'wide' is not a length: write for example 12 in." />
        <Field label="Field of many lines" value={'One\nanother'} onChange={setTyped} multiline />
        <Stepper
          label="Stepper"
          shown={formatLength(metres, 'mm')}
          other={formatLength(metres, 'in')}
          read={(text) => found(Number(text) / 1000)}
          stepped={(direction) => metres + direction * 0.001}
          onValue={setMetres}
          testID="stepper"
        />
        <Slider label="Slider" value={share} least={0} most={100} step={1} shown={`${share} %`} onChange={setShare} testID="slider" />
      </Part>
      <Part title="Figures">
        <View style={{ flexDirection: 'row', gap: space.medium }}>
          <FigureBlock label="plain" value={formatTemperature(780, 'C')} />
          <FigureBlock label="turns on touch" value={formatTemperature(780, 'C')} other={formatTemperature(780, 'F')} />
          <FigureBlock label="near its limit" value={formatLength(0.006, 'mm')} share={0.9} note="of 6.7 mm" />
          <FigureBlock label="broken" value={formatLength(0.008, 'mm')} share={1.2} broken />
        </View>
      </Part>
      <Part title="What is said">
        <Reading />
        <Notice tone="plain">Something worth knowing.</Notice>
        <Notice tone="care">Gloves and a face shield.</Notice>
        <Notice tone="warn" actions={<Action title="Mend it" onPress={NOTHING} />}>
          Something is wrong, and this is what would be right.
        </Notice>
        <Caution about="gallery">A caution that folds once it has been met.</Caution>
        <Why of="the sentence" lines={['α·ΔT = 9·10⁻⁶ · 5 = 4.5·10⁻⁵', 'E·α·ΔT = 3.2 MPa']}>
          <Words>A sentence that can say why.</Words>
        </Why>
        <Fold title="Fold" about="opens beneath" testID="gallery-fold">
          {() => <Words>What it held.</Words>}
        </Fold>
        <View role="list">
          <LinkRow href="/bench" inset={0} testID="row">
            <Swatch colour="#8fb5cf" />
            <Words>A row that leads on</Words>
          </LinkRow>
          <LinkRow href="/bench" inset={0} current testID="current-row">
            <Swatch />
            <Words>The row whose page is open</Words>
          </LinkRow>
        </View>
        <Action kind="second" title="Open the drawer" onPress={() => setOpen(true)} />
        {open && (
          <Drawer title="Drawer" subtitle="under the drawing" label="Drawer" closeLabel="Close the drawer" onClose={() => setOpen(false)} testID="drawer">
            <Words>What it holds.</Words>
          </Drawer>
        )}
      </Part>
      <Part title="Section">
        {OUTLINES.map((footprint) => (
          <SectionDrawing key={footprint.shape} footprint={footprint} layers={FORMS} width={340} height={150} />
        ))}
        <SectionDrawing
          footprint={OUTLINES[0]}
          layers={FORMS.slice(0, 2)}
          width={340}
          height={150}
          ghost={{ shape: GHOST, words: 'Fired it is a little wider.' }}
        />
        <SectionPicture footprint={OUTLINES[0]} layers={FORMS.slice(0, 1)} width={120} height={60} />
      </Part>
      <Part title="Between crossed polarisers">
        <LookedThrough width={200} footprint={OUTLINES[0]} rim={RIM} added={0} />
        <LookedThrough width={200} footprint={OUTLINES[1]} rim={RIM} added={565} />
      </Part>
      <Part title="Calculators">
        <Choice<EngineCall> label="Calculator" value={call} options={CALLS.map((value) => ({ value, title: value }))} onChange={setCall} testID="calculator" />
        <CalculatorSheet key={call} call={call} />
      </Part>
    </Screen>
  );
}
