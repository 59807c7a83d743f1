/** Makes pieces step after step, and remembers where the one in hand is and how many steps it has. */
import type { Look } from '@torvin/core/look';
import type { LayerForm } from '@torvin/core/piece';
import type { StepEntry } from '../apps/web/src/planner/stepEntry';
import { beginPiece, planFiring } from './states';
import { type Visitor } from './visitor';

export class Maker {
  /** Of the piece in hand. */
  address = '';
  steps = 0;

  constructor(
    private readonly me: () => Visitor,
    private readonly origin: () => string,
  ) {}

  /** A new piece of one layer, opened. */
  async begin(name: string, size: Record<string, string>, glass: string, form?: LayerForm): Promise<void> {
    const { page } = this.me();
    const origin = this.origin();
    this.address = `${origin}/pieces/${await beginPiece(origin, name, size, glass, form)}`;
    await page.goto(this.address);
    await this.me().find('section-editor');
    this.steps = 1;
  }

  async enter(testId: string, value: string): Promise<void> {
    await this.me().type(testId, value);
    await this.me().page.keyboard.press('Enter');
  }

  /** One more layer in the step that is open, its figures by their fields. */
  async add(form: string, glass: string, figures: Record<string, string>): Promise<void> {
    const me = this.me();
    await me.press('add-layer');
    await me.press(`add-${form}`);
    await me.press(`glass-${glass}`);
    for (const [field, value] of Object.entries(figures)) await this.enter(`layer-${field}`, value);
    await me.press('close-layer-sheet');
  }

  /** A step of the hands after the last one, with what is chosen and typed of it. */
  async hand(kind: string, chosen: readonly string[] = [], figures: Record<string, string> = {}): Promise<void> {
    const me = this.me();
    await me.press(`journey-${this.steps - 1}`);
    await me.press('journey-add');
    await me.press(`add-step-${kind}`);
    this.steps += 1;
    await me.find(kind === 'lay' ? 'add-layer' : 'hand-step');
    for (const testId of chosen) await me.press(testId);
    for (const [field, value] of Object.entries(figures)) await this.enter(field, value);
  }

  /** A firing after the last step, computed, and the piece with it looked at. typed: what its planner asks for. */
  async fire(look: Look, typed: Partial<StepEntry> = {}): Promise<void> {
    const { origin, pathname } = new URL(this.address);
    await this.saved();
    await planFiring(origin, pathname.split('/').at(-1) ?? '', look, typed);
    this.steps += 1;
    await this.me().page.goto(this.address);
    await this.me().press(`journey-${this.steps - 1}`);
  }

  /** The same by touch, in the planner. */
  async fireByTouch(look: Look, form: Record<string, string> = {}): Promise<void> {
    const me = this.me();
    await me.press(`journey-${this.steps - 1}`);
    await me.press('journey-add');
    await me.press('add-fire');
    await me.chooseLook(look);
    for (const [field, value] of Object.entries(form)) await me.type(`shape-${field}`, value);
    await me.press('compute');
    await this.fired();
  }

  /** What was done by touch has reached the server. */
  async saved(): Promise<void> {
    await this.me().settled();
  }

  /** Its run sheet has come: back on the piece, with the firing looked at. */
  async fired(): Promise<void> {
    await this.me().find('run-row-0');
    this.steps += 1;
    await this.me().page.goto(this.address);
    await this.me().press(`journey-${this.steps - 1}`);
  }
}
