/** Who may come in from other devices, and what open pages are told of each other's changes. */
import { id, instant, words } from '@torvin/core/contract';
import { z } from 'zod';

/** As it is compared: how letters are written, spaces and hyphens do not count. */
export const plainPasscode = (typed: string): string =>
  typed
    .normalize('NFC')
    .toLowerCase()
    .replace(/[\s-]+/g, '');

export const PASSCODE_LETTERS = { least: 8, most: 64 } as const;

const passcode = z.string().max(200);

export const EnterSchema = z.strictObject({ passcode, device: words('Name of the device', 40, 1) }).meta({ id: 'Enter' });

export const NewPasscodeSchema = z
  .strictObject({
    passcode: passcode.refine(
      (typed) => plainPasscode(typed).length >= PASSCODE_LETTERS.least && plainPasscode(typed).length <= PASSCODE_LETTERS.most,
      `A passcode has ${PASSCODE_LETTERS.least} to ${PASSCODE_LETTERS.most} letters or digits; spaces and hyphens do not count.`,
    ),
    old: passcode.optional().meta({ description: 'The one that holds now; the machine itself need not say it' }),
  })
  .meta({ id: 'NewPasscode' });

export const AccessSchema = z
  .object({
    addresses: z
      .array(z.object({ url: z.string(), qr: z.string().meta({ description: 'The address as a picture for a camera, SVG' }) }))
      .meta({ description: 'Where other devices find this studio, the likeliest first; none where it listens on this machine alone' }),
    passcode: z.boolean().meta({ description: 'Whether one has been made' }),
    home: z.boolean().meta({ description: 'Whether it is the machine itself that asks: it may take another passcode without the old one' }),
    devices: z
      .array(
        z.object({
          id,
          name: z.string(),
          enteredAt: instant,
          seenAt: instant,
          here: z.boolean().meta({ description: 'It is the device that asks' }),
        }),
      )
      .meta({ description: 'Those that have given the passcode' }),
  })
  .meta({ id: 'Access' });
export type AccessTold = z.infer<typeof AccessSchema>;

/** What may change under a page: all: anything. */
export const TOPICS = ['piece', 'firing', 'program', 'reckonings', 'shelves', 'studio', 'backups', 'aside', 'access', 'all'] as const;
export type Topic = (typeof TOPICS)[number];

export const ChangeSchema = z
  .object({
    topic: z.enum(TOPICS),
    id: z.string().optional().meta({ description: 'Of the piece, firing or record, where it is one' }),
    page: z.string().optional().meta({ description: 'The page that made it, as it calls itself' }),
  })
  .meta({ id: 'Change' });
export type Change = z.infer<typeof ChangeSchema>;
